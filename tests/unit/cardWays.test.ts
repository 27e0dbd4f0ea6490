import { expect } from "chai";
import { saysHeld, saysMeant, saysShould } from "../../src/lib/core/card/headingCounts.ts";
import { areUnits } from "../../src/lib/core/card/columnsByContent.ts";
import { kindByCount, kindByLetter } from "../../src/lib/core/card/kindBySize.ts";
import { cleanLines } from "../../src/lib/core/card/cleanLines.ts";
import { countPlainly } from "../../src/lib/core/card/countsPlainly.ts";
import { repairText } from "../../src/lib/core/card/repairText.ts";
import { besideTable, entriesOf } from "./cardReading.ts";

/** Ways of writing that cards of other trades and countries brought: columns, wrapped names, packs begun. */

describe("headings over numbers in other languages", () => {
  const HELD = "Qté réelle,vorhanden,Cantidad real,Existente,Quantità presente,Aanwezig,Skutečný";
  const MEANT =
    "Qté prévue,Sollbestand,Cantidad mínima,Quantità prevista,Vereist,Börvärde,Wymagana";
  for (const heading of HELD.split(",").slice(0, -1))
    it(`“${heading}”: how many there are`, () => {
      expect(saysHeld(heading)).to.equal(true);
      expect(saysMeant(heading)).to.equal(false);
    });
  for (const heading of MEANT.split(","))
    it(`“${heading}”: how many there should be`, () => {
      expect(saysShould(heading)).to.equal(true);
      expect(saysHeld(heading)).to.equal(false);
    });
  it("a count alone, two such words and a sentence say neither", () => {
    for (const heading of [
      ...["Quantité", "prévue réelle", "Menge die vorhanden sein soll"],
      "Anzahl Menge Stück vorhanden",
    ]) {
      expect(saysHeld(heading), heading).to.equal(false);
      expect(saysMeant(heading), heading).to.equal(false);
    }
  });
  it("what is there is read beside what there should be, on either side of it", () => {
    const rows = [
      ["Pansements adhésifs", "40", "31"],
      ["Écharpe triangulaire", "2", "1"],
      ["Couverture de survie", "2", "3"],
      ["Compresses stériles 10x10", "10", "8"],
    ];
    const read = [
      "2 adhesive-strip 31 null",
      "3 triangular-bandage 1 null",
      "4 foil-blanket 3 null",
      "5 gauze-pad 8 [100,100]",
    ];
    expect(entriesOf(besideTable([["Désignation", "Qté prévue", "Qté réelle"], ...rows]))).to.eql(
      read,
    );
    const turned = rows.map(([name, should, held]) => [name!, held!, should!]);
    expect(entriesOf(besideTable([["Désignation", "Qté réelle", "Qté prévue"], ...turned]))).to.eql(
      read,
    );
  });
});

describe("columns that say more than one number", () => {
  it("“N” beside how many were found says that some are wanting, not that none are", () => {
    const card = besideTable([
      ["Item", "Qty req", "Y/N", "Qty found"],
      ["Eye pads", "2", "Y", "2"],
      ["Triangular bandage", "2", "N", "1"],
      ["Safety pins", "12", "N", "0"],
      ["Whistle", "1", "Y", "1"],
    ]);
    expect(entriesOf(card)).to.eql([
      "2 eye-pad 2 null",
      "3 triangular-bandage 1 null",
      "5 whistle 1 null",
    ]);
  });
  it("“N” beside how many there should be says that it is not there", () => {
    const card = besideTable([
      ["Item", "Qty", "Y/N"],
      ["Eye pads", "2", "Y"],
      ["Triangular bandage", "2", "N"],
      ["Whistle", "1", "Y"],
    ]);
    expect(entriesOf(card)).to.eql(["2 eye-pad 2 null", "4 whistle 1 null"]);
  });
  it("“each” over packs is a unit, over prices it is none", () => {
    expect(areUnits(["pc", "bx100", "", "pk2", "set"])).to.equal(true);
    expect(areUnits(["pc", "bx100"]), "too few").to.equal(false);
    expect(areUnits(["1.20", "3.50", "0.80"])).to.equal(false);
    const table = (unit: (of: string) => string) =>
      besideTable([
        ["No.", "Contents", "Each"],
        ["2", "Nitrile gloves", unit("bx100")],
        ["3", "Chest seal, vented", unit("pk2")],
        ["5", "Foil blanket", unit("pc")],
        ["1", "Plasters", unit("bx20")],
      ]);
    expect(entriesOf(table((of) => of))).to.eql([
      "2 nitrile-gloves 100 null",
      "3 vented-chest-seal 6 null",
      "4 foil-blanket 5 null",
      "5 adhesive-strip 20 null",
    ]);
    const priced = entriesOf(table((of) => `${of.length}.50`));
    expect(priced).to.include("3 vented-chest-seal 3 null");
  });
  it("a line to sign on below a table lists nothing", () => {
    const table = besideTable([
      ["Item", "Qty"],
      ["Eye pads", "2"],
      ["Whistle", "1"],
      ["Slings", "3"],
    ]);
    expect(entriesOf(`${table}\nDriver: ____________  Date: ______`)).to.have.length(3);
  });
});

describe("a name too long for its column", () => {
  const rows = "Eye pads                        2\nWhistle                         1\n";
  const card = (name: string) => `${rows}${name}\nSafety pins                     6\nShears  1`;
  it("goes on below with its count, and is read where it begins", () => {
    expect(
      entriesOf(card("Individually wrapped triangular\nbandages (sterile)              4")),
    ).to.include("3 triangular-bandage 4 null");
  });
  it("a heading in capitals does not go on, nor what ends in a colon", () => {
    for (const heading of ["TOOLS", "Tools:"])
      expect(entriesOf(card(`${heading}\nscissors                       2`)), heading).to.include(
        "4 small-scissors 2 null",
      );
  });
  it("nothing is told where the rows of the card begin with small letters", () => {
    const small =
      "eye pads       2\nwhistle        1\nPocket\nmask           1\nslings         3\n";
    expect(entriesOf(small)).to.include("1 eye-pad 2 null").and.not.include("3 pocket-mask 1 null");
  });
});

describe("counts run into each other", () => {
  const READ: Readonly<Record<string, readonly string[]>> = {
    "2 triangulars 1 crepe": ["1 triangular-bandage 2 null", "1 elastic-bandage 1 null"],
    "2 packs 10 plasters": ["1 adhesive-strip 20 null"],
    "3 plasters 3 pleisters": ["1 adhesive-strip 3 null"],
    "gloves S x3 pairs, L x 5 pairs": ["1 disposable-gloves 3 null", "1 disposable-gloves 5 null"],
    "nitrile gloves M/L 6 pr each": ["1 nitrile-gloves 6 null", "1 nitrile-gloves 6 null"],
    "2 pairs large and 3 pairs medium latex gloves": [
      "1 latex-gloves 2 null",
      "1 latex-gloves 3 null",
    ],
    "2x big plasters boxes (50 each) one is half empty": ["1 adhesive-strip 75 null"],
    "2 boxes of 50 plasters, one is half empty": ["1 adhesive-strip 75 null"],
    "one and a half strips of ten ibuprofen": ["1 ibuprofen 15 null"],
    "gauze pads, a box of twenty five but only nine left": ["1 gauze-pad 9 null"],
    "gauze swabs 5x5 cm pk5 x6": ["1 gauze-pad 30 [50,50]"],
    "Ibuprofen 200 mg, 24 ct ........ 2": ["1 ibuprofen 48 null"],
    "NPA 6,7,8 w lube": ["1 nasal-airway 3 null", "1 lubricant-sachet 1 null"],
    '2 gauze pads (1 each of 2"x2" and 3"x3")': ["1 gauze-pad 1 [51,51]", "1 gauze-pad 1 [76,76]"],
    "Gauze swabs 7.5 cm x 4": ["1 gauze-pad 4 [75]"],
    "Gauze swabs 10 cm x 20": ["1 gauze-pad 1 [100,200]"],
  };
  for (const [written, read] of Object.entries(READ))
    it(`“${written}”`, () => expect(entriesOf(`${written}\n`)).to.eql(read));
  it("sizes each of which do not make up the whole are not parted", () => {
    expect(entriesOf("5 gauze pads (2 each of 5 x 5 and 10 x 10 cm)")).to.have.length(1);
  });
  it("“S x 3” are small ones, “S x 5 cm” is a five misread", () => {
    expect(repairText("gloves S x 3", () => true)).to.equal("gloves S x 3");
    expect(repairText("gauze S x 5 cm", () => true)).to.equal("gauze 5 x 5cm");
  });
});

describe("what is not a thing of the kit", () => {
  it("words in quotes hold no inch", () => {
    expect(entriesOf("- 2 eye pads\n- a “tourniquet” that is a rubber tube")[1]).to.match(
      / 1 null$/,
    );
  });
  it("but cells in quotes stay cells", () => {
    expect(entriesOf('Item,Qty\n"Pads, eye",4\n"Bandage, crepe",2\n"Whistle",1')).to.include(
      "2 eye-pad 4 null",
    );
  });
  it("fields of text round a list of objects", () => {
    const one = (name: string, n: number) => `    {"name": "${name}", "qty": ${n}},`;
    const card = [
      ...["{", '  "kit": "Studio box", "checked": "2026-10-30",', '  "items": ['],
      ...[one("Eye pad", 2), one("Whistle", 1), one("Foil blanket", 3), "  ]", "}"],
    ];
    expect(entriesOf(card.join("\n"))).to.have.length(3);
  });
  it("what somebody borrowed, behind dots; what leads to other words is there", () => {
    const card = "EYE PADS .... 4\nSHEARS .... BORROWED BY JO\nWHISTLE .... HOOK\nSLINGS .... 2";
    expect(entriesOf(card)).to.eql([
      "1 eye-pad 4 null",
      "3 whistle 1 null",
      "4 triangular-bandage 2 null",
    ]);
  });
  it("what somebody asks to buy", () => {
    expect(entriesOf("- 2 eye pads\n- 1 whistle\nMight we buy a cold pack or two?")).to.have.length(
      2,
    );
  });
});

describe("what stands above or is only meant", () => {
  it("ditto signs take the words above", () => {
    expect(
      entriesOf('Crepe bandage, 10 cm      2\n   "      "   , 7.5 cm     1\nWhistle   1'),
    ).to.include("2 elastic-bandage 1 [75]");
  });
  it("a thing without its count right over counted ones is one; a group is none", () => {
    expect(entriesOf("My list\n\nFoil blanket\nPlasters, 12\nEye pads, 4")).to.include(
      "3 foil-blanket 1 null",
    );
    expect(entriesOf("My list\n\nDressings\nPlasters, 12\nEye pads, 4")).to.have.length(2);
  });
  it("dressings that stick are plasters from ten on, where no size says otherwise", () => {
    expect(kindByCount("adhesive-large", "adhesive dressings", 10, null)).to.equal(
      "adhesive-strip",
    );
    expect(kindByCount("adhesive-large", "adhesive dressings", 9, null)).to.equal("adhesive-large");
    expect(kindByCount("adhesive-large", "adhesive dressings", 10, [80])).to.equal(
      "adhesive-large",
    );
    expect(kindByCount("adhesive-large", "large plasters", 10, null)).to.equal("adhesive-large");
  });
  it("calico wound on is no triangle", () => {
    expect(entriesOf("Calico bandage 5 cm x 5 m, 2 rolls")).to.eql([
      "1 roller-bandage 2 [50,5000]",
    ]);
  });
});

describe("so many of so many, on most lines", () => {
  const card = (counts: readonly string[]) =>
    ["Ice packs", "Plasters", "Gauze pads", "Eye pads", "Whistle"]
      .map((name, i) => `${name} ${counts[i]!}`)
      .join("\n");
  it("the first is how many there are", () => {
    expect(entriesOf(card(["7/10", "33/50", "6/10", "2/2", "0/1"]))).to.eql([
      "1 cold-pack 7 null",
      "2 adhesive-strip 33 null",
      "3 gauze-pad 6 null",
      "4 eye-pad 2 null",
    ]);
  });
  it("a month and a year count nothing", () => {
    const read = entriesOf(card(["05/27", "08/28", "06/29", "01/30", "03/27"]));
    for (const entry of read) expect(entry).to.match(/ 1 null$/);
  });
  it("nor does the day on which something runs out, by its month's name", () => {
    expect(entriesOf("- Rehydration sachets 6     Dec-28\n- Eye pads 4   Aug '27")).to.eql([
      "1 rehydration-salts 6 null",
      "2 eye-pad 4 null",
    ]);
  });
});

describe("groups in capitals behind a dash", () => {
  it("what they are for goes, and belongs to the names where they are burns", () => {
    expect(
      entriesOf("EYES – eyewash 2, eye pads 4\nBURNS – gel 8 sachets, dressings 10x10 x2"),
    ).to.eql([
      "1 eyewash 2 null",
      "1 eye-pad 4 null",
      "2 burn-gel-sachet 8 null",
      "2 burn-gel-dressing 2 [100,100]",
    ]);
  });
  it("sizes by their letters amid other things", () => {
    const card = "plasters 80, dressings M×6 L×4, tape ×2\n- 1 whistle";
    expect(entriesOf(card))
      .to.include("1 medical-tape 2 null")
      .and.include("1 adhesive-strip 80 null");
  });
});

describe("what stands before or behind a list", () => {
  it("a greeting goes, and the list behind it stays", () => {
    expect(entriesOf("Hi Mo, so in the white box: 40 plasters; 2 crepe bandages")).to.eql([
      "1 adhesive-strip 40 null",
      "1 elastic-bandage 2 null",
    ]);
    expect(entriesOf("Hi Mo,\n- 2 eye pads\n- 1 whistle")).to.have.length(2);
  });
  it("a count behind a full stop at the edge of a line counts what the next begins with", () => {
    const card =
      "The box by the door holds a whistle and a torch. Inside top: six\nlarge dressings, three of them sealed. Four triangulars.";
    expect(entriesOf(card)).to.include("1 bandaged-dressing 6 null");
  });
  it("an arrow points at what is left", () => {
    expect(entriesOf("- 12 safety pins -> 0\n- 24 plasters -> 9")).to.eql([
      "2 adhesive-strip 9 null",
    ]);
  });
  it("what is to be binned is not there", () => {
    expect(entriesOf("- 2 slings\nTo bin: eye pads (exp. 2024)\n- 1 whistle")).to.have.length(2);
  });
});

describe("numbers that count nothing", () => {
  it("keys with a number on them begin lines", () => {
    expect(
      entriesOf(
        "9️⃣ blister plasters ×20\n2️⃣ gauze pads 10x10 (1 box, 25 pcs)\n🔟 saline 20 ml ×20",
      ),
    ).to.eql(["1 blister-cushion 20 null", "2 gauze-pad 25 [100,100]", "3 saline-ampoule 20 null"]);
  });
  it("how many there should be, in brackets behind each name, where the heading says so", () => {
    const card = (head: string) =>
      besideTable([
        [head, "M", "T", "W"],
        ["Eye pads (4)", "4", "3", "2"],
        ["Large dressings (4)", "4", "4", "3"],
        ["Pocket mask (2)", "2", "2", "2"],
        ["Foil blanket (6)", "6", "5", "6"],
      ]);
    expect(entriesOf(card("Item (min.)"))).to.eql([
      "2 eye-pad 2 null",
      "3 bandaged-dressing 3 null",
      "4 pocket-mask 2 null",
      "5 foil-blanket 6 null",
    ]);
  });
});

describe("labels before a list", () => {
  const READ: Readonly<Record<string, readonly string[]>> = {
    "first aid box (on wall)     : plasters x 25": ["1 adhesive-strip 25 null"],
    "Big red bag, outer pocket - 4 pairs of nitrile gloves": ["1 nitrile-gloves 4 null"],
    "Extras (own): lip balm, sunscreen": ["1 lip-balm 1 null", "1 sunscreen 1 null"],
    "Here is what is in the shed behind the hall: a pouch containing ten plasters, two slings": [
      "1 adhesive-strip 10 null",
      "1 triangular-bandage 2 null",
    ],
  };
  for (const [written, read] of Object.entries(READ))
    it(`“${written}”`, () => expect(entriesOf(`${written}\n2 whistles`).slice(0, -1)).to.eql(read));
});

describe("kinds told beside the name, or by its size", () => {
  it("a remark in its own column", () => {
    const card = besideTable([
      ["What", "How many", "Comment"],
      ["wound pad 10x10 cm", "4", "low adherent"],
      ["eye pads", "2", "new"],
      ["slings", "1", ""],
    ]);
    expect(entriesOf(card)).to.include("2 non-adherent-pad 4 [100,100]");
  });
  it("tubular bandages by their letters, elastic ones by their widths either side of a stroke", () => {
    expect(entriesOf("- tubular bandage E - 1 roll, F - 2 rolls\n- 1 whistle")).to.eql([
      "1 tubular-bandage 1 null",
      "1 tubular-bandage 2 null",
      "2 whistle 1 null",
    ]);
    expect(entriesOf("elastic bandages: 8cm ×4 / 10cm ×2")).to.eql([
      "1 elastic-bandage 4 [80]",
      "1 elastic-bandage 2 [100]",
    ]);
  });
  it("two for the same are two things, though both names make one", () => {
    expect(entriesOf("2 wipes\nburn gel 120 ml bottle, burn dressing 10x10 x 2")).to.eql([
      "1 antiseptic-wipe 2 null",
      "2 burn-gel-sachet 1 null",
      "2 burn-gel-dressing 2 [100,100]",
    ]);
  });
  it("a pair begun at the edge of a line", () => {
    const card =
      "The club keeps a bag with two crepe bandages, four antiseptic wipes, one pair of\nnitrile gloves, a face shield and a whistle.";
    expect(entriesOf(card))
      .to.include("1 antiseptic-wipe 4 null")
      .and.include("1 nitrile-gloves 1 null");
  });
});

describe("the same said twice, and sizes by their letters", () => {
  it("“two (2)” and “1 (one)” count once; other numbers in brackets stay", () => {
    expect(countPlainly("two (2) slings and 1 (one) pouch")).to.equal("2 slings and 1 pouch");
    expect(countPlainly("twenty-four (24) plasters")).to.equal("24 plasters");
    expect(countPlainly("two (3) slings")).to.equal("two (3) slings");
    expect(
      entriesOf(
        "Each car carries a pouch with: two (2) triangular bandages, twelve (12) plasters.\n- 1 whistle",
      ),
    ).to.include("1 triangular-bandage 2 null");
  });
  it("a dressing by its letter is one with a bandage, not a pad of gauze", () => {
    const card =
      "Item / Exp / Act\nPlasters / 20 / 18\nWound drsg M / 3 / 3\nWound drsg L / 2 / 1\nEye pads / 2 / 2";
    expect(entriesOf(card))
      .to.include("3 bandaged-dressing 3 null")
      .and.include("4 bandaged-dressing 1 null");
  });
  it("names and their counts either side of one bar", () => {
    const card = [
      ...["plasters, fabric | 2 tubs of 60", "antiseptic wipes | 3 packs of 10 + 4"],
      ...["hand gel 500ml | 2", "crepe 7.5 | 2", "ice packs | 5"],
    ];
    expect(entriesOf(card.join("\n")).slice(0, 3)).to.eql([
      "1 adhesive-strip 120 null",
      "2 antiseptic-wipe 34 null",
      "3 hand-sanitiser 2 null",
    ]);
  });
  it("a year in quotes is no length", () => {
    expect(
      entriesOf("- 2 eye pads\n- a triangular bandage in its paper, 'calico, 1952'"),
    ).to.include("2 triangular-bandage 1 null");
  });
});

describe("of what is listed, what leans on what stands before it", () => {
  const READ: Readonly<Record<string, readonly string[]>> = {
    "1 x large dressing & 1 x extra large ditto": [
      "1 bandaged-dressing 1 null",
      "1 bandaged-dressing 1 null",
    ],
    "gloves: S 20, M 40 (pairs)": ["1 disposable-gloves 20 null", "1 disposable-gloves 40 null"],
    "Wound dressings .......... M 5, L 3 (1 L is out of date)": [
      "1 bandaged-dressing 5 null",
      "1 bandaged-dressing 3 null",
    ],
    "Ice packs ............ 14 (10 from sponsor)": ["1 cold-pack 14 null"],
    "Nitrile gloves, about half a box of 100": ["1 nitrile-gloves 25 null"],
    "10 plasters • 5 wipes • 1 tape • 2 whistles • 1 foil • shears": [
      "1 adhesive-strip 10 null",
      "1 antiseptic-wipe 5 null",
      "1 medical-tape 1 null",
      "1 whistle 2 null",
    ],
    "EYES – pods 20, pads 4": ["1 eyewash 20 null", "1 eye-pad 4 null"],
  };
  for (const [written, read] of Object.entries(READ))
    it(`“${written}”`, () =>
      expect(entriesOf(`${written}\n2 whistles`).slice(0, read.length)).to.eql(read));
});

describe("packs said before, behind and beside the name", () => {
  const READ: Readonly<Record<string, readonly string[]>> = {
    "three packets of gauze, five in each packet": ["1 gauze-pad 15 null"],
    "Starting from the top tray: there's a tub of plasters, I make it forty-two.": [
      "1 adhesive-strip 42 null",
    ],
    'closure strips 1/4" x 10': ["1 closure-strips 10 [6]"],
    "wnd drsg L 2, M 4": ["1 bandaged-dressing 2 null", "1 bandaged-dressing 4 null"],
  };
  for (const [written, read] of Object.entries(READ))
    it(`“${written}”`, () =>
      expect(entriesOf(`- ${written}\n- 2 whistles`).slice(0, -1)).to.eql(read));
  it("a column of pieces that the name says again in packs", () => {
    const card =
      "Qty | Item | Where\n10 | aspirin tablets (5 packs of 2) | top\n9 | aspirin tablets (5 packs of 2) | top\n2 | whistle | top";
    expect(entriesOf(card)[0]).to.equal("2 aspirin 10 null");
    expect(entriesOf(card)[1]).to.equal("3 aspirin 18 null");
  });
  it("columns of strokes whose heading a blank line parts from its rows", () => {
    const card =
      "Amount / Item / Where\n\n3 boxes / plasters, 100 per box / top shelf\n14 / ice packs / bottom shelf\n6 / slings / drawer 1";
    expect(entriesOf(card)).to.eql([
      "3 adhesive-strip 300 null",
      "4 cold-pack 14 null",
      "5 triangular-bandage 6 null",
    ]);
  });
});

describe("what only looks like it", () => {
  it("one bar on a line or two of a list", () => {
    const card = "- 2 eye pads\n- 4 wipes\n- 1 whistle\n- 3 slings | 2 in use\n- 6 safety pins";
    expect(entriesOf(card)).to.have.length(5);
    const barred = (line: string) => cleanLines(`${line}\n`.repeat(4) + "eye pads\n".repeat(5))[0];
    expect(barred("plasters | 2 tubs"), "fewer than half").to.equal("plasters | 2 tubs");
  });
  it("a cloth with three corners is as wide as it is long", () => {
    expect(entriesOf("- Triangular bandage 90 x 127 cm\n- 2 wipes")[0]).to.equal(
      "1 triangular-bandage 1 [900,1270]",
    );
  });
  it("“line” over numbers names nothing", () => {
    const card = besideTable([
      ["LINE", "NOMENCLATUR", "UI", "QTY"],
      ["0001", "BANDAGE, CREPE", "EA", "2"],
      ["0002", "WHISTLE", "EA", "1"],
      ["0003", "EYE PAD", "EA", "4"],
    ]);
    expect(entriesOf(card)).to.eql([
      "2 elastic-bandage 2 null",
      "3 whistle 1 null",
      "4 eye-pad 4 null",
    ]);
  });
  it("headings as variables are named say which column is meant", () => {
    const card = "itemName\tminStock\tonHand\nEye pads\t4\t2\nWhistle\t2\t1\nSlings\t6\t5\n";
    expect(entriesOf(card)).to.eql([
      "2 eye-pad 2 null",
      "3 whistle 1 null",
      "4 triangular-bandage 5 null",
    ]);
    expect(cleanLines(card)[0]).to.equal("item Name\tmin Stock\ton Hand");
  });
  it("a word that is ours too, beside names in the language of the card", () => {
    const card = [
      ...["Botiquín del coche de apoyo", "Curas: 30 tiritas, 20 gasas 10x10, 1 esparadrapo"],
      ...[
        "Trauma: 2 vendajes compresivos, 2 pañuelos triangulares",
        "Varios: 10 pares guantes, tijeras",
      ],
      "Mantas térmicas: 4",
    ];
    expect(entriesOf(card.join("\n"))).to.include("3 triangular-bandage 2 null");
    expect(entriesOf(card.join("\n"))).to.include("3 pressure-bandage 2 null");
  });
});

describe("sterile dressings by their letter or number", () => {
  for (const said of [
    "sterile dressings, small",
    "Lge wnd drsg",
    "STERIL DRSNG MED",
    "Dressing, sterile, No. 8",
    "wound dressing M",
  ])
    it(`have their bandage: ${said}`, () =>
      expect(kindByLetter("gauze-pad", said, null)).to.equal("bandaged-dressing"));
  for (const [said, size, why] of [
    ["wound dressing", null, "no size is said"],
    ["wound dressing M", [100, 100], "it goes by its measures"],
    ["gauze dressing, small", null, "it is gauze"],
    ["swabs, large", null, "it is no dressing"],
  ] as const)
    it(`are gauze: ${said}, ${why}`, () =>
      expect(kindByLetter("gauze-pad", said, size)).to.equal("gauze-pad"));
  it("are what else they were called", () =>
    expect(kindByLetter("eye-pad", "dressing, small", null)).to.equal("eye-pad"));
});
