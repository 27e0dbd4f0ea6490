import { expect } from "chai";
import { confidenceOf, entriesOf } from "./cardReading.ts";

const read = (...lines: readonly string[]): string[] =>
  entriesOf(["4 hand warmers", ...lines].join("\n")).slice(1);
const reads = (line: string, ...entries: readonly string[]) =>
  it(line, () => expect(read(line)).to.deep.equal(entries.map((entry) => `2 ${entry}`)));

describe("a thing nobody knows beside one that is known", () => {
  reads("burn gel sachets 6, cling film 1", "burn-gel-sachet 6 null", "null 1 null");
  reads("aspirin 20, zorps 4", "aspirin 20 null", "null 4 null");
  it("asks of the one that it does not know", () =>
    expect(confidenceOf("aspirin 20, zorps 4")[1]).to.be.below(0.5));
  for (const said of ["drawer 2", "size 8", "minimum 4", "expiry 2028"])
    it(`"${said}" is none`, () => expect(read(`tape 3, ${said}`)).to.have.length(1));
});

describe("so many of a size by its letter", () => {
  reads("Sterile dressing pad M 4", "gauze-pad 4 null");
  reads("Dressings        S  1 / L  2", "bandaged-dressing 1 null", "bandaged-dressing 2 null");
  reads(
    "gloves L, 2 pairs and gloves M, 3 pairs",
    "disposable-gloves 2 null",
    "disposable-gloves 3 null",
  );
  it("a B is a model", () =>
    expect(read("Scissors B 145")).to.deep.equal(["2 small-scissors 1 null"]));
});

describe("a further size of the same", () => {
  const two = ["roller-bandage 3 [50]", "roller-bandage 2 [100]"];
  reads("vendas de gasa 5 cm 3, de 10 cm 2", ...two);
  reads("bende di garza 5 cm 3, da 10 cm 2", ...two);
});

describe("what is short of a pack", () => {
  // 1 x 100 less 22, and 3 x 10 less 5.
  reads("Plasters assorted (box/100) x 1 - 22 missing", "adhesive-strip 78 null");
  reads("Tiritas surtidas (caja/100) x 1 - faltan 22", "adhesive-strip 78 null");
  reads("Gauze pads PKT/10 x 3 - 5 used", "gauze-pad 25 null");
});

describe("what went and came back", () => {
  reads("Ice packs: 5, 2 used at the fete, restocked", "cold-pack 5 null");
  reads("Ice packs: 5, 2 used, not replaced", "cold-pack 3 null");
  reads("Burn gel sachets 10 (3 used, since replaced)", "burn-gel-sachet 10 null");
  it("in a column of remarks", () =>
    expect(
      entriesOf(
        [
          "Item\tQty\tRemark",
          "Plasters\t40\tfabric",
          "Ice pack\t2\tone went on a knee, replaced",
          "Ice pack, big\t4\tone went on a knee",
        ].join("\n"),
      ),
    ).to.deep.equal(["2 adhesive-strip 40 null", "3 cold-pack 2 null", "4 cold-pack 3 null"]));
});

describe("prices in pesos", () => {
  it("with cents, all of them whole", () =>
    expect(
      entriesOf(
        [
          "Strip plaster 50 pcs - P 75.00",
          "Gauze roll 2 in, 6 rolls - P 96.00",
          "Ice bag, 1 - P 150.00",
          "Alcohol 120 ml, 1 bottle - P 28.00",
        ].join("\n"),
      ).map((entry) => entry.split(" ").slice(0, 3).join(" ")),
    ).to.deep.equal([
      "1 adhesive-strip 50",
      "2 roller-bandage 6",
      "3 cold-pack 1",
      "4 alcohol-bottle 1",
    ]));
});

describe("plaster on a roll is tape, one as two", () => {
  reads("Sticking plaster 1 in: 1 roll", "medical-tape 1 [25]");
  reads("Plasters: 2 rolls", "medical-tape 2 null");
});

describe("slips in other languages", () => {
  it("a letter more, fewer or another", () =>
    expect(
      entriesOf("cerotti 20\nsparadrab 2\ngarze sterli 10\nbenda elastica 2, acqua ossigienata 1"),
    ).to.deep.equal([
      "1 adhesive-strip 20 null",
      "2 medical-tape 2 null",
      "3 gauze-pad 10 null",
      "4 elastic-bandage 2 null",
      "4 hydrogen-peroxide 1 null",
    ]));
  it("a book is no cloth", () =>
    expect(entriesOf("Verbandbuch\nPflaster 20\nMullbinden 3\nDreiecktuch 2")).to.not.include(
      "1 burn-sheet 1 null",
    ));
});

describe("places that are numbered", () => {
  it("over their lists, counts last", () =>
    expect(
      entriesOf("Pack 1\n  Splint S     2\n  Slings       4\nPack 2\n  ditto        2"),
    ).to.deep.equal([
      "2 mouldable-splint 2 null",
      "3 triangular-bandage 4 null",
      "5 triangular-bandage 2 null",
    ]));
});

describe("minutes and circulars", () => {
  it("what was reported, resolved and is to be done lists nothing", () =>
    expect(
      entriesOf(
        [
          "CIRCULAR 14 OF 2026 TO ALL BRANCHES - FIRST AID BOXES",
          "1. Every branch must keep its box in the reception area, under lock.",
          "2. The box shall contain:",
          "   2.1 plasters, 20;",
          "   2.2 triangular bandages, 4;",
          "3. Managers report shortages by the 5th of each month.",
          "4. The committee resolved that the box be checked.",
        ].join("\n"),
      ),
    ).to.deep.equal(["4 adhesive-strip 20 null", "5 triangular-bandage 4 null"]));
});

describe("a size beside a pack over its content", () => {
  // 2 boxes of five.
  reads("Burn dressings 10x10, BOX/5 x 2", "burn-gel-dressing 10 [100,100]");
});

describe("two names and two counts in a row", () => {
  it("in words as in figures; one number in words counts one thing", () =>
    expect(
      entriesOf(
        [
          "| Item | How many |",
          "|---|---|",
          "| Plasters and blister plasters | forty and six |",
          "| Saline, iodine | 10, 1 |",
          "| Eye pads | twenty-six |",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "3 adhesive-strip 40 null",
      "3 blister-cushion 6 null",
      "4 saline-ampoule 10 null",
      "4 iodine-solution 1 null",
      "5 eye-pad 26 null",
    ]));
});

describe("what stands above again, behind its number", () => {
  it("No. 5 ditto", () =>
    expect(read("No. 3 wound dressing 2", "No. 5 ditto 3")).to.deep.equal([
      "2 bandaged-dressing 2 null",
      "3 bandaged-dressing 3 null",
    ]));
});

describe("a title with the number of what it is for", () => {
  it("first aid, cab no. 7", () =>
    expect(entriesOf("FIRST AID - CAB NO. 7\nScissors 1\nPlasters 20")).to.deep.equal([
      "2 small-scissors 1 null",
      "3 adhesive-strip 20 null",
    ]));
});

describe("what packs come to", () => {
  reads("Two boxes of wipes, that's forty in all.", "antiseptic-wipe 40 null");
  reads(
    "There's a fresh pack of blue plasters, that's a hundred, and about a dozen left in the old one.",
    "adhesive-strip 100 null",
    "adhesive-strip 12 null",
  );
});

describe("a title that tells what the columns below are", () => {
  it("min, held and expiry, set apart by blanks", () =>
    expect(
      entriesOf(
        [
          "First aid, launch hut. Min / held / expiry",
          "Crepe 3 in              3      2      03/28",
          "Sling, pins             2, 6   2, 5   -",
          "Foil blanket            4      4      -",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 elastic-bandage 2 [76]",
      "3 triangular-bandage 2 null",
      "3 safety-pin 5 null",
      "4 foil-blanket 4 null",
    ]));
});

describe("packs on a till receipt", () => {
  reads("2 x TIRITAS 20 U", "adhesive-strip 40 null");
  reads(
    "Plaster (PKT/100) x 1, plaster (PKT/20) x 2",
    "adhesive-strip 100 null",
    "adhesive-strip 40 null",
  );
  it("a lot is no bag of two", () =>
    expect(read("Burn gel 3.5 g ........ 10    lot BG2    exp 01/28")).to.deep.equal([
      "2 burn-gel-sachet 10 null",
    ]));
});

describe("dressing packs by their letters", () => {
  // Klein, mittel, groß.
  reads(
    "Dressing packs: K 2, M 3, G 1",
    "bandaged-dressing 2 null",
    "bandaged-dressing 3 null",
    "bandaged-dressing 1 null",
  );
});

describe("a code in the first cell", () => {
  it("CO01 is not cool", () =>
    expect(
      entriesOf(
        [
          "Réf;Désignation;Quantité;Lot",
          "PS02;Pansements doigt;vingt;L2240",
          "CO01;Compresses stériles 7,5x7,5;vingt;C88",
          "SP01;Sparadrap 2,5 cm;deux;S4",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-knuckle 20 null",
      "3 gauze-pad 20 [75,75]",
      "4 medical-tape 2 [25]",
    ]));
});

describe("remarks of a table that go on with what is counted", () => {
  it("of a hundred, pairs, on a roll, the same again", () =>
    expect(
      entriesOf(
        [
          "DATE      ITEM                      QTY     REMARKS",
          '1/9/26    Crepe bandage 2"          4       ok',
          '1/9/26    do.  4"                   2       ok',
          '1/9/26    Adhesive plaster 1"       1 roll  almost finished',
          '15/9/26   do.  3"                   1 roll  new',
          "15/9/26   Gloves                    1 box   of 100",
          "15/9/26   Hand gloves               10      - pairs",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 elastic-bandage 4 [51]",
      "3 elastic-bandage 2 [102]",
      "4 medical-tape 1 [25]",
      "5 medical-tape 1 [76]",
      // A hundred gloves are 50 pairs.
      "6 disposable-gloves 50 null",
      "7 disposable-gloves 10 null",
    ]));
});

describe("a field that counts in pairs", () => {
  it("of an object", () =>
    expect(
      entriesOf('[{"item": "Gloves", "pairs": 10},\n {"item": "Eye pads", "pieces": 4}]'),
    ).to.deep.equal(["1 disposable-gloves 10 null", "2 eye-pad 4 null"]));
});

describe("one thing in two sizes, with two counts", () => {
  it("in a row, and in an object", () => {
    const read = ["elastic-bandage 6 [100]", "elastic-bandage 4 [150]"];
    expect(
      entriesOf(
        "| Item | How many |\n|---|---|\n| Crepe bandage 10 cm and 15 cm | six and four |\n| Eye pads | 2 |",
      ).slice(0, 2),
    ).to.deep.equal(read.map((entry) => `3 ${entry}`));
    expect(
      entriesOf(
        '[{"item":"Crepe bandage 10cm and 15cm","qty":"6 and 4"},\n{"item":"Eye pads","qty":2}]',
      ).slice(0, 2),
    ).to.deep.equal(read.map((entry) => `1 ${entry}`));
  });
});

describe("cold packs lie in the cold", () => {
  reads("Ice pack, 2, in fridge", "cold-pack 2 null");
  it("not in somebody's fridge", () =>
    expect(read("ice packs x3 are in the staff fridge")).to.deep.equal([]));
});

describe("recognised sizes without blanks", () => {
  // 1.25 cm are 13 mm.
  reads("Surgical tape 1.25crnx5m - 2", "medical-tape 2 [13,5000]");
});

describe("pairs of what stands above", () => {
  it("by a mark for each word", () =>
    expect(
      read(
        "Gloves S (pairs)            2",
        ' "     M                    5',
        ' "     L                    2',
      ),
    ).to.deep.equal([
      "2 disposable-gloves 2 null",
      "3 disposable-gloves 5 null",
      "4 disposable-gloves 2 null",
    ]));
});

describe("mails and minutes", () => {
  it("a subject, who is to buy what, and the end of the meeting list nothing", () =>
    expect(
      entriesOf(
        [
          "Subject: First aid box, print room",
          "Plasters x 20",
          "Scissors x 1",
          "3. Ms Lim to buy replacement batteries for the torch.",
          "4. Meeting adjourned.",
        ].join("\n"),
      ),
    ).to.deep.equal(["2 adhesive-strip 20 null", "3 small-scissors 1 null"]));
});

describe("what holds things, and what things run on, are none of them", () => {
  reads("Zip bag with 10 ibuprofen + 12 paracetamol", "ibuprofen 10 null", "paracetamol 12 null");
  reads("head torch + batteries", "torch 1 null");
  reads("head torch + 4 spare batteries", "torch 1 null", "spare-batteries 4 null");
});

describe("so many, and a pack besides", () => {
  // Not six times forty.
  reads("6 plasters and a box of 40", "adhesive-strip 6 null", "adhesive-strip 40 null");
  reads(
    "There's a strip of plasters, six I think, and a box of forty that nobody has touched.",
    "adhesive-strip 6 null",
    "adhesive-strip 40 null",
  );
  reads("12 plasters and six blister ones", "adhesive-strip 12 null", "blister-cushion 6 null");
  reads(
    "Nine fabric plasters and a couple of the big ones",
    "adhesive-strip 9 null",
    "adhesive-large 2 null",
  );
});

describe("so many of a width", () => {
  // No bandage is 2 cm wide and 5 cm long.
  reads("conforming bandage: 2 x 5 cm", "roller-bandage 2 [50]");
  it("a plaster may be so", () =>
    expect(read("Wound plaster elastic 8x10 cm, 5")).to.deep.equal([
      "2 adhesive-large 5 [80,100]",
    ]));
});

describe("sorts of one thing, and another thing behind them", () => {
  reads(
    "Dressings: 4 medium, 2 large and 2 eye pads",
    "bandaged-dressing 4 null",
    "bandaged-dressing 2 null",
    "eye-pad 2 null",
  );
  reads("Eye pads x 2, eye wash", "eye-pad 2 null", "eyewash 1 null");
  reads("snake bandage x3, marked", "heavy-compression-bandage 3 null");
});

describe("prose", () => {
  reads("two crepe bandages in it and one of those has been used", "elastic-bandage 1 null");
  reads("Survival blankets x 3, one each for the boats", "foil-blanket 3 null");
  it("says no, and what has gone", () =>
    expect(
      read(
        "Right then, four alcohol swabs, one crepe bandage. Tweezers, yes. Thermometer, no. Two eye pads and both slings.",
        "The burn dressings have gone, so please order 2.",
      ),
    ).to.deep.equal([
      "2 alcohol-pad 4 null",
      "2 elastic-bandage 1 null",
      "2 tweezers-fine 1 null",
      "2 eye-pad 2 null",
      "2 triangular-bandage 2 null",
    ]));
  it("pairs below their name", () =>
    expect(read("Gloves", "   M, pairs      4", "   L, pairs      5")).to.deep.equal([
      "3 disposable-gloves 4 null",
      "4 disposable-gloves 5 null",
    ]));
  it("how an order was paid lists nothing", () =>
    expect(
      read("DISCOUNT 10%            -3.76", "Paid by card £27.64", "Carriage £3.95"),
    ).to.deep.equal([]));
});

describe("ones of it, counted behind", () => {
  reads(
    "plasters (10ish) and the blister ones (a full pack of 6)",
    "adhesive-strip 10 null",
    "blister-cushion 6 null",
  );
  reads(
    "plasters 20, moleskin 1 sheet, blister pads 4",
    "adhesive-strip 20 null",
    "friction-patch 1 null",
    "blister-cushion 4 null",
  );
  reads("2 triangular, 1 elastic 4in", "triangular-bandage 2 null", "elastic-bandage 1 [102]");
});

describe("remarks that tell how many of those that should be there are", () => {
  it("three only, none, and another one that went", () =>
    expect(
      entriesOf(
        [
          "item;soll;ist;bemerkung",
          "Plasters assorted;50;42;",
          "Eye wash 250 ml;2;1;second one expired, thrown away",
          "Gloves nitrile L (pair);10;7;",
          "Ice pack;4;2;",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 42 null",
      "3 eyewash 1 null",
      "4 nitrile-gloves 7 null",
      "5 cold-pack 2 null",
    ]));
  it("in a check of what should be there", () =>
    expect(
      entriesOf(
        [
          "Item                         Should be   OK?   Comment",
          "Plasters, assorted           50          Y",
          "Triangular bandages          4           N     3 only",
          "Wound dressings, large       2           N     none - reorder",
          "Foil blankets                2           Y",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 50 null",
      "3 triangular-bandage 3 null",
      "5 foil-blanket 2 null",
    ]));
});

describe("TQ are nobody's initials", () => {
  it("first in a pocket", () =>
    expect(
      read(
        "front: TQ, 2 trauma dressings, z-fold gauze x1",
        "left side: 2 mouldable splints, 2 triangular bandages",
        "inside: plasters 20, blister pads 4",
      ).slice(0, 2),
    ).to.deep.equal(["2 null 1 null", "2 trauma-pad 2 null"]));
});

describe("packs in other languages, and numbers that are no size", () => {
  // No plaster is 20 cm long.
  reads("Plasters (2 x 20)", "adhesive-strip 40 null");
  reads("povidone iodine, one bottle", "iodine-solution 1 null");
  reads("Adhesive plaster 3 inch, 2", "medical-tape 2 [76]");
  it("boxes and what each holds, as fields below the field that opens their list", () =>
    expect(
      entriesOf(
        [
          '{"botiquin":"refugio","contenido":[',
          '{"nombre":"Tiritas","cajas":2,"por_caja":20},',
          '{"nombre":"Guantes","cajas":1,"por_caja":100},',
          '{"nombre":"Tijeras","unidades":1},',
          '{"nombre":"Compresas de frío","unidades":5}',
          "]}",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 40 null",
      "3 disposable-gloves 50 null",
      "4 small-scissors 1 null",
      "5 cold-pack 5 null",
    ]));
  it("whole pesos", () =>
    expect(
      read("paracetamol 500mg (100) P2 each", "gloves, box of 100 (1) P250").map((e) =>
        e.split(" ").slice(1, 3).join(" "),
      ),
    ).to.deep.equal(["paracetamol 100", "disposable-gloves 50"]));
});

describe("two languages, and sorts in one of them", () => {
  reads(
    "Dastane / Gloves M 2 pairs, L 3 pairs",
    "disposable-gloves 2 null",
    "disposable-gloves 3 null",
  );
});

describe("where they all lie, and what each pack holds in words", () => {
  reads("Eye wash, 500 ml, 4 - two at the gate, two here", "eyewash 4 null");
  reads("Hand gloves, two boxes (one hundred each)", "disposable-gloves 100 null");
  // 8 x 10 in, a pack of ten.
  reads("2 gauze pads 10x8 PK/10", "gauze-pad 20 [203,254]");
  it("the same in blue", () =>
    expect(entriesOf('Item,Qty\nPlasters fabric,40\n"ditto, blue",20\nEye pads,2')).to.deep.equal([
      "2 adhesive-strip 40 null",
      "3 adhesive-strip 20 null",
      "4 eye-pad 2 null",
    ]));
});

describe("what things weigh, with a lot behind", () => {
  it("counted before the dots", () =>
    expect(
      entriesOf(
        [
          "Nitrile gloves L, 4 pairs ........... 48 g   lot N22",
          "Haemostatic gauze, 1 ................ 60 g   exp 03/27",
          "Sterile gauze 10x10, 20 ............. 70 g   lot G4",
          "Elastic bandage 8 cm, 3 ............. 105 g",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "1 nitrile-gloves 4 null",
      "2 haemostatic-gauze 1 null",
      "3 gauze-pad 20 [100,100]",
      "4 elastic-bandage 3 [80]",
    ]));
});

describe("a screw is not twenty", () => {
  it("short number words have no slips", () =>
    expect(
      entriesOf("Cerotti 20\nGarze sterili 10\nLaccio emostatico a vite, 2\nForbici 1")[2],
    ).to.equal("3 null 2 null"));
});

describe("prices in whole kroner", () => {
  it("all with two noughts, under their currency", () =>
    expect(
      entriesOf(
        [
          "Førstehjelp / First aid kit           NOK",
          "Plaster / Plasters 40               89,00",
          "Kompress / Gauze pad 10x10 cm 10    45,00",
          "Hansker / Gloves 10 pairs           65,00",
          "Saks / Scissors 1                  120,00",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 40 null",
      "3 gauze-pad 10 [100,100]",
      "4 disposable-gloves 10 null",
      "5 small-scissors 1 null",
    ]));
});

describe("dashes behind a count", () => {
  reads("moleskin, 2 sheets - precut", "friction-patch 2 null");
  // It goes on below; without a count a dash says that there is none.
  reads("Gauze swabs, a packet of five -", "gauze-pad 5 null");
  it("none", () => expect(read("Gauze swabs -")).to.deep.equal([]));
});

describe("what one of them has not", () => {
  it("points", () => expect(read("Tweezers, two - one pair has no points left")).to.have.length(1));
  it("in the bin", () =>
    expect(read("The eye wash bottle is empty so it went in the bin.")).to.deep.equal([]));
});

describe("till receipts without the sign of their currency", () => {
  it("so many times a price is what they came to", () =>
    expect(
      entriesOf(
        [
          "Sports tape 3.8cm      lot 77A     6 x 39,00    234,00",
          "Blister plasters 5pk   exp 02/30   3 x 59,00    177,00",
          "Scissors               -           1 x 89,00     89,00",
          "Saline 20ml            exp 05/28   20 x 4,50     90,00",
          "SUM                                             590,00",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "1 strapping-tape 6 [38]",
      "2 blister-cushion 15 null",
      "3 small-scissors 1 null",
      "4 saline-ampoule 20 null",
    ]));
  it("so many of a pack of 24", () =>
    expect(
      entriesOf(
        [
          "2 PLASTER ASS 24 STK              79,80",
          "1 PARACETAMOL 500 MG 20 STK       49,90",
          "1 PINSETT                         39,90",
        ].join("\n"),
      ).slice(0, 2),
    ).to.deep.equal(["1 adhesive-strip 48 null", "2 paracetamol 20 null"]));
});

describe("sentences behind places", () => {
  it("goes on without a place, and nothing is missing", () =>
    expect(
      entriesOf(
        [
          "In the press house: two triangular bandages and six safety pins ✓, gloves 5",
          "pairs and scissors ✓. On the tractor: one pressure bandage ✓, foil blanket ✓. Nothing is missing.",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "1 triangular-bandage 2 null",
      "1 safety-pin 6 null",
      "1 disposable-gloves 5 null",
      "2 small-scissors 1 null",
      "2 pressure-bandage 1 null",
      "2 foil-blanket 1 null",
    ]));
  it("returned: no longer there", () =>
    expect(read("Returned: 1 x ice pack (leaks)")).to.deep.equal([]));
});

describe("sorts in the cell that counts", () => {
  it("an entry each", () =>
    expect(
      entriesOf(
        [
          "| Item | Sizes and numbers | Lot |",
          "|---|---|---|",
          "| Plasters | 40 fabric, 20 waterproof | P2 |",
          "| Crepe bandages | 2 x 5 cm, 2 x 7.5 cm | - |",
          "| Gloves | 5 pairs M, 6 pairs L | G3 |",
          "| Wipes | 2 boxes of 20, 5 loose | - |",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "3 adhesive-strip 40 null",
      "3 adhesive-strip 20 null",
      "4 elastic-bandage 2 [50]",
      "4 elastic-bandage 2 [75]",
      "5 disposable-gloves 5 null",
      "5 disposable-gloves 6 null",
      "6 antiseptic-wipe 45 null",
    ]));
});

describe("so many rolls of a width without its unit", () => {
  // No bandage is one or two metres long, and none is packed by the eight.
  reads("crepe 10 x1", "elastic-bandage 1 [100]");
  reads("roller bandage 8 x 2", "roller-bandage 2 [80]");
  reads("crepe 7.5 x2, crepe 10 x1", "elastic-bandage 2 [75]", "elastic-bandage 1 [100]");
  reads("crepe bandages 5 x2, 8 x4", "elastic-bandage 2 [50]", "elastic-bandage 4 [80]");
  it("4 m is a length", () =>
    expect(read("crepe 10 x4")).to.deep.equal(["2 elastic-bandage 1 [100,4000]"]));
  it("of 3 x 2, inches or packs, the reader asks", () =>
    expect(confidenceOf("conforming bandage 3 x 2")[0]).to.be.below(0.9));
  it("what has decimals is no number of packs", () =>
    expect(read("wipes 7.5 x 2")).to.deep.equal(["2 antiseptic-wipe 2 null"]));
});

describe("of which sort some went", () => {
  const list = "dressings: 2 medium, 3 large";
  reads(`${list} (1 med used 8/11)`, "bandaged-dressing 1 null", "bandaged-dressing 3 null");
  reads(`${list} (1 lge opened)`, "bandaged-dressing 2 null", "bandaged-dressing 3 null");
  reads(`${list} (2 med used)`, "bandaged-dressing 3 null");
  reads("dressings: med 2, large 1 (1 large used)", "bandaged-dressing 2 null");
  reads(
    "dressings: med 2, large 1 (1 med used)",
    "bandaged-dressing 1 null",
    "bandaged-dressing 1 null",
  );
  it("not more than there are", () =>
    expect(read(`${list} (4 med used)`)).not.to.deep.equal(["2 bandaged-dressing 2 null"]));
});

describe("a count far behind a word that numbers follow", () => {
  reads("Tick remover, card type                    2", "tick-tool 2 null");
  it("right behind it, it is the type's", () =>
    expect(read("Tick remover, card type 2")).to.deep.equal(["2 tick-tool 1 null"]));
});

describe("both sides of a size that a recogniser spoilt, without its unit", () => {
  for (const spoilt of ["10xl0", "l0 x 10", "1Ox1O"])
    reads(`gauze pads ${spoilt}   12`, "gauze-pad 12 [100,100]");
});

describe("what is missing in another language, behind its count", () => {
  for (const line of ["pinzetta", "pinzetta      1  - manca", "pinzette      2  - mancano"])
    it(line, () =>
      expect(
        entriesOf(["telo isotermico      2", `${line}`, "cerotti      10  - ok"].join("\n")),
      ).to.have.length(line === "pinzetta" ? 3 : 2),
    );
});

describe("what went, behind a size without its unit", () => {
  reads("4 gauze pads 10x10 (2 used)", "gauze-pad 2 [100,100]");
  // "2 in March" is no inch, and March no match.
  reads("4 gauze pads 10x10 (used 2 in March)", "gauze-pad 2 [100,100]");
  reads("eye pads 2 in car, 2 in van", "eye-pad 4 null");
});

describe("a remark behind the last of several things", () => {
  reads("scissors 1, tweezers 1 (missing)", "small-scissors 1 null");
  reads("eye pads x 4, scissors (missing)", "eye-pad 4 null");
});

describe("packs and what they hold, as people write them", () => {
  reads("plasters 1 x 100 + loose 14", "adhesive-strip 114 null");
  // How they are packed: the first number counts them.
  reads("20 wipes in packs (5 per pack)", "antiseptic-wipe 20 null");
  reads("gauze pads 10x10 packs of 10, 3 pkts", "gauze-pad 30 [100,100]");
  reads("garze sterili 10x10 conf. da 10, 3 conf.", "gauze-pad 30 [100,100]");
  reads("crepe 5 cm qty 2, 10 cm qty 3", "elastic-bandage 2 [50]", "elastic-bandage 3 [100]");
  it("'1 (100)' beside a box", () =>
    expect(
      entriesOf(
        [
          "No  Description                Unit   Qty",
          "1   Adhesive dressing strips   Box    1 (100)",
          "2   Gauze bandage 5 cm x 3 m   Nos    6",
          "3   Cotton wool 100 g          Roll   2",
        ].join("\n"),
      )[0],
    ).to.equal("2 adhesive-strip 100 null"));
});

describe("bottles by their millilitres without the unit", () => {
  reads("eyewash ....... 2 x 500", "eyewash 2 null");
  reads("hand gel 2 x 100", "hand-sanitiser 2 null");
  reads("paracetamol 2 x 16", "paracetamol 32 null");
});

describe("what is empty", () => {
  reads("antiseptic spray 100 ml empty");
  reads("eyewash 500 ml bottle empty");
  reads("empty box", "container 1 null");
});

describe("words that count nothing", () => {
  reads("Augenspülung 500 ml – läuft 03/27 ab", "eyewash 1 null");
  for (const blanket of [
    "Rettungsdecke gold/silber",
    "manta térmica oro/plata",
    "couverture de survie or/argent",
    "telo termico oro/argento",
  ])
    reads(`${blanket} 2`, "foil-blanket 2 null");
});

describe("part of a pack in figures", () => {
  // "1/2" is no one and two boxes.
  reads("plasters - 1/2 box of 40", "adhesive-strip 20 null");
  reads("plasters, 1/4 box of 100", "adhesive-strip 25 null");
  reads("wipes – 3/4 tub of 100", "antiseptic-wipe 75 null");
  reads("wipes – ½ tub of 70", "antiseptic-wipe 35 null");
});

describe("what an AED is like", () => {
  reads("AED (pads exp 3/28, battery ok)", "aed 1 null");
});

describe("so many of either date", () => {
  reads("eyewash 500ml: 1 (12/26), 1 (05/27)", "eyewash 2 null");
  reads("gauze pads 10x10 8 (4 exp 26, 4 exp 28)", "gauze-pad 8 [100,100]");
  it("not where they come to another number", () =>
    expect(confidenceOf("gauze pads 10x10 8 (4 exp 26, 3 exp 28)")[0]).to.be.below(0.9));
});

describe("part of a pack in another language, among lines of it", () => {
  // "Pansements" alone are plasters or dressings, which is asked.
  it("half a box of a hundred", () =>
    expect(
      entriesOf(
        [
          "pansements (reste 1/2 boîte de 100)",
          "compresses 5x5 : 2 paquets de 10",
          "sparadrap 1 rouleau",
          "couverture de survie 2",
        ].join("\n"),
      )[0],
    ).to.equal("1 null 50 null"));
});

describe("sorts with their own counts beside the count of all", () => {
  it("they come to it, and it is said once", () =>
    expect(
      entriesOf(
        [
          "HOW MANY\tWHAT",
          "thirty\tplasters (20 fabric, 10 clear)",
          "two\telastic bandages, 1 x 3 in, 1 x 4 in",
          "3\tdressings: 2 med, 1 large",
          "4\ttriangular bandages",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 20 null",
      "2 adhesive-strip 10 null",
      "3 elastic-bandage 1 [76]",
      "3 elastic-bandage 1 [102]",
      "4 bandaged-dressing 2 null",
      "4 bandaged-dressing 1 null",
      "5 triangular-bandage 4 null",
    ]));
});

describe("what a till prints", () => {
  it("behind the name stands what its pack holds", () =>
    expect(
      entriesOf(
        [
          "1 ANTISEP WIPES 100         4.99",
          "2 IBUPROFEN 200MG 24        1.98",
          "2 DRESSING NO 8             2.40",
          "1 FOIL BLANKET              0.95",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "1 antiseptic-wipe 100 null",
      "2 ibuprofen 48 null",
      "3 bandaged-dressing 2 null",
      "4 foil-blanket 1 null",
    ]));
});

describe("packs below their heading", () => {
  it("are of what it names", () =>
    expect(
      entriesOf(
        ["Plasters", " assorted box of 100, 6.95", "Wipes", " tub of 40", " box of 100"].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 100 null",
      "4 antiseptic-wipe 40 null",
      "5 antiseptic-wipe 100 null",
    ]));
});

describe("struck out with its count in brackets", () => {
  reads("~~Cardboard splints (4)~~ 2 left", "rigid-splint 2 null");
  reads("~~cold packs (6)~~ 3", "cold-pack 3 null");
});

describe("the day on which some went", () => {
  it("says no number of them, in a column of remarks", () =>
    expect(
      entriesOf(
        [
          "Item;Qty;Note",
          "Elastic bandage 3 in;4;1 used on 3 Oct",
          "Triangular bandage;6;one used Sep 20, washed",
          "Tape 1 in;2;",
          "Eye pad;5;2 gone 8/11",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 elastic-bandage 3 [76]",
      "3 triangular-bandage 6 null",
      "4 medical-tape 2 [25]",
      "5 eye-pad 3 null",
    ]));
});

describe("sorts in the remark beside a count that they come to", () => {
  it("an entry each, and no sum of both", () =>
    expect(
      entriesOf(
        [
          "what                        stock      remark",
          "Burn dressings              four       two 10x10, two 20x20",
          "Tourniquets, windlass       two        checked",
          "Nitrile gloves              ten pairs  5 L, 5 XL",
          "Plasters                    thirty     20 textile 10 waterproof",
          "Rescue blankets             two        2 in van",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 burn-gel-dressing 2 [100,100]",
      "2 burn-gel-dressing 2 [200,200]",
      "3 windlass-tourniquet 2 null",
      "4 nitrile-gloves 5 null",
      "4 nitrile-gloves 5 null",
      "5 adhesive-strip 20 null",
      "5 adhesive-strip 10 null",
      "6 foil-blanket 2 null",
    ]));
});

describe("what a thing weighs is no count", () => {
  reads("Nitrile gloves M, 3 pairs ......... 45 g", "nitrile-gloves 3 null");
  reads("Plasters, 20 ......... 45 g", "adhesive-strip 20 null");
});

describe("what shops print", () => {
  // The two that are set closer are the sides.
  reads("non-adherent pads 2x3 x 3", "non-adherent-pad 3 [51,76]");
  reads("gloves (1 pair) x 5", "disposable-gloves 5 null");
  reads("Scissors*1 Tweezers*1", "small-scissors 1 null", "tweezers-fine 1 null");
});

describe("states, places and dates in the remark beside a count", () => {
  it("are no sorts, though they come to it", () =>
    expect(
      entriesOf(
        [
          "item\tqty\tremark",
          "Eyewash 500 ml\t2\t1 exp 03/27, 1 exp 05/28",
          "Torch\t2\t1 works, 1 flat",
          "Foil blankets\t2\t1 upstairs, 1 down",
          "Gloves\t6 pairs\t4 M, 2 L",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 eyewash 2 null",
      "3 torch 2 null",
      "4 foil-blanket 2 null",
      "5 disposable-gloves 4 null",
      "5 disposable-gloves 2 null",
    ]));
});
