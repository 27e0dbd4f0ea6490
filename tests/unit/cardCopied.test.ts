import { expect } from "chai";
import { listsSetApart } from "../../src/lib/core/card/besideLost.ts";
import { columnsRestored } from "../../src/lib/core/card/columnsLost.ts";
import { withoutPageBreaks } from "../../src/lib/core/card/pageBreaks.ts";
import { plainSigns } from "../../src/lib/core/card/plainSigns.ts";
import { blanksAsTabs } from "../../src/lib/core/card/tabsBesideBlanks.ts";
import { besideTable, closed, confidenceOf, entriesOf } from "./cardReading.ts";

/** What copying, typing and scanning do to a card: it reads as it read before. */

const TABLE = besideTable([
  ["Item", "Min", "Held", "Expiry"],
  ["Blue plasters, assorted", "40", "28", "03/2028"],
  ["Burn gel dressing 10 x 10 cm", "4", "3", "11/2027"],
  ["Sterile eye wash 20 ml pods", "5", "5", "01/2027"],
  ["Conforming bandage 7.5 cm x 4 m", "4", "2", "-"],
  ["Nitrile gloves, pairs", "10", "7", "-"],
]);
const HELD = [
  "2 adhesive-strip 28 null",
  "3 burn-gel-dressing 3 [100,100]",
  "4 eyewash 5 null",
  "5 roller-bandage 2 [75,4000]",
  "6 nitrile-gloves 7 null",
];

describe("a table whose columns a copy closed up", () => {
  it("takes the column that is held, as the table with its blanks does", () => {
    expect(entriesOf(TABLE)).to.deep.equal(HELD);
    expect(entriesOf(closed(TABLE))).to.deep.equal(HELD);
  });
  it("goes on over a section's name and an empty last cell", () => {
    const card = ["Item Auth Held Exp", "1 DRESSINGS", "1.1 Eye pads 6 4 02/27", "1.2 Shears 1 1"];
    card.push("", "2 MEDICINES", "2.1 Paracetamol 500mg 50 32 01/27");
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "3 eye-pad 4 null",
      "4 trauma-shears 1 null",
      "7 paracetamol 32 null",
    ]);
  });
  it("knows its name column by a title, by none, and by the one word it does not know", () => {
    const rows = ["waterproof plasters 40 52", "pocket mask 2 1", "foil blanket 2 3"];
    for (const head of ["Poolside kit min actual", "REQ. FOUND", "NOMENCLATURE min actual"])
      expect(entriesOf([head, ...rows].join("\n")), head).to.deep.equal([
        "2 adhesive-strip 52 null",
        "3 pocket-mask 1 null",
        "4 foil-blanket 3 null",
      ]);
  });
  it("finds numbers and codes before the name, sizes, lots, units and prices behind it", () => {
    const card = [
      "Line Stock no. Description Size Lot U/I Qty Unit cost",
      "010 71-20031 Gauze bandage 8 cm x 4 m B2291 RL 4 1.10",
      "020 71-20045 Triangular bandage - C0087 EA 6 0.95",
      "030 71-21110 Finger dressing 20 mm A44 EA 8 2.30",
    ];
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "2 roller-bandage 4 [80,4000]",
      "3 triangular-bandage 6 null",
      "4 tubular-bandage 8 [20]",
    ]);
  });
  it("is none where what is paid is the only number, or where lines only end in numbers", () => {
    const bill = [
      "Description Amount",
      "6 x eye pads 7.20",
      "2 x shears 6.90",
      "3 x whistles 4.35",
    ];
    expect(entriesOf(bill.join("\n"))).to.include("2 eye-pad 6 null");
    const list = ["Please check box and bag", "Eye pads 2", "Shears 1", "Foil blankets 4"];
    expect(entriesOf(list.join("\n"))).to.deep.equal([
      "2 eye-pad 2 null",
      "3 trauma-shears 1 null",
      "4 foil-blanket 4 null",
    ]);
  });
});

describe("lists beside each other that a copy ran together", () => {
  const RUN = {
    "counts behind": [
      "Plasters 20 Crepe bandage 2 Foil blanket 3",
      "Gauze swabs 10 Sling 4 Pocket mask 1",
      "Wipes 12 Tape 5 Eye pads 6",
    ],
    "dots before the counts": [
      "Plasters ..... 20 Crepe bandage ... 2 Foil blanket ... 3",
      "Gauze swabs ... 10 Sling .......... 4 Pocket mask .... 1",
      "Wipes ........ 12 Tape ........... 5 Eye pads ....... 6",
    ],
    "counts before": [
      "20 plasters 2 crepe bandages 3 foil blankets",
      "10 gauze swabs 4 slings 1 pocket mask",
      "12 wipes 5 rolls tape 6 eye pads",
    ],
  };
  for (const [how, lines] of Object.entries(RUN))
    it(`${how}: each is a thing`, () =>
      void expect(entriesOf(lines.join("\n"))).to.deep.equal([
        "1 adhesive-strip 20 null",
        "1 elastic-bandage 2 null",
        "1 foil-blanket 3 null",
        "2 gauze-pad 10 null",
        "2 triangular-bandage 4 null",
        "2 pocket-mask 1 null",
        "3 antiseptic-wipe 12 null",
        "3 medical-tape 5 null",
        "3 eye-pad 6 null",
      ]));
  it("a size within a name, and a model's number, part nothing", () => {
    const lines = [
      "Crepe 10 cm 2 Ice pack 3",
      "Dressing No. 8 Sling 2",
      "Wipes 12 Tape 5",
      "Burn dressing 10 x 10 cm 2 Shears 1",
    ];
    expect(
      entriesOf(lines.join("\n")).filter((e) => /elastic|cold|burn|shears/.test(e)),
    ).to.deep.equal([
      "1 elastic-bandage 2 [100]",
      "1 cold-pack 3 null",
      "4 burn-gel-dressing 2 [100,100]",
      "4 trauma-shears 1 null",
    ]);
  });
});

describe("tabs, blanks and pages", () => {
  it("a table set partly by tabs and partly by blanks", () => {
    const card = ["LN  BIN\tQTY  UOM  DESCRIPTION", "01  A-14\t2\tEA\tBurn dressing"];
    card.push("02  A-22\t3\tEA\tEye pad", "03  B-03\t4\tEA\tTriangular bandage");
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "2 burn-gel-dressing 2 null",
      "3 eye-pad 3 null",
      "4 triangular-bandage 4 null",
    ]);
  });
  it("dots before the count of a tabbed table are no weight", () => {
    const card = ["No.  Description\tQty\tWeight g", "1.\tTriangular cloth ..... 2\t64"];
    card.push("2.\tRescue blanket ..... 1\t60", "3.\tEye pads ..... 4\t20");
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "2 triangular-bandage 2 null",
      "3 foil-blanket 1 null",
      "4 eye-pad 4 null",
    ]);
  });
  it("two blanks between all words", () => {
    const lines = [
      "10 sterile gauze pads 10 x 10 cm",
      "2 rolls of tape 2.5 cm x 5 m",
      "4 pairs of gloves",
    ];
    lines.push("1 pair of round ended scissors", "6 burn gel sachets of 3.5 g each");
    const doubled = lines.join("\n").replaceAll(" ", "  ");
    expect(entriesOf(doubled)).to.deep.equal(entriesOf(lines.join("\n")));
  });
  it("a page break in a table, and the title said again", () => {
    const lines = ["Depot 4 first aid", ...TABLE.split("\n")];
    const broken = [...lines.slice(0, 4), "", "Page 1 of 2", "\f", "", "Depot 4 first aid", ""];
    expect(entriesOf([...broken, ...lines.slice(4)].join("\n"))).to.deep.equal([
      "3 adhesive-strip 28 null",
      "4 burn-gel-dressing 3 [100,100]",
      "11 eyewash 5 null",
      "12 roller-bandage 2 [75,4000]",
      "13 nitrile-gloves 7 null",
    ]);
  });
});

describe("what every line of a card has says nothing of one", () => {
  const LINES = [
    "Bus kit",
    "12 plasters",
    "a crepe bandage",
    "Triangular bandages 2",
    "shears",
    "eye pads: 5 cm x 2, 7 cm x 4",
  ];
  const plain = entriesOf(LINES.join("\n"));
  const EVERY: Readonly<Record<string, (line: string, i: number) => string>> = {
    "its number": (line, i) => `${String(i + 1).padStart(3)}  ${line}`,
    "two stars": (line) => `**${line}**`,
    "a comma": (line) => `${line},`,
    "a full stop": (line) => `${line}.`,
  };
  for (const [what, written] of Object.entries(EVERY))
    it(what, () => {
      const card = LINES.map(written).join("\n");
      expect(entriesOf(card)).to.deep.equal(plain);
    });
  it("1 x, 2 x, 3 x count", () => {
    const things = ["plasters", "eye pads", "whistles", "wipes", "slings", "foil blankets"];
    const card = things.map((thing, i) => `${i + 1} x ${thing}`).join("\n");
    expect(entriesOf(card).map((e) => e.split(" ")[2])).to.deep.equal([
      "1",
      "2",
      "3",
      "4",
      "5",
      "6",
    ]);
  });
});

describe("signs that mean the same", () => {
  const SAME: Readonly<Record<string, readonly [string, string]>> = {
    "a star multiplies": ["6 gauze pads 10*10 cm", "6 gauze pads 10 x 10 cm"],
    "square brackets": ["Plasters [blue], 20", "Plasters (blue), 20"],
    "a long dash": [
      "conforming bandages 7.5cm — 3, 10cm — 2",
      "conforming bandages 7.5cm – 3, 10cm – 2",
    ],
    "an ampersand in a number": [
      "a roll of tape, two & a half centimetres",
      "a roll of tape, two and a half centimetres",
    ],
    "a decimal comma in brackets": ["burn gel sachets 10 (3,5 g)", "burn gel sachets 10 (3.5 g)"],
    "packs times pieces": ["2 boxes x 20 plasters", "2 boxes of 20 plasters"],
  };
  for (const [what, [one, other]] of Object.entries(SAME))
    it(what, () => void expect(entriesOf(one)).to.deep.equal(entriesOf(other)));
  it("a box to tick is none, nor what should be there", () => {
    expect(entriesOf("eye pads [ ] 4\nshears [x] 1")).to.deep.equal([
      "1 eye-pad 4 null",
      "2 trauma-shears 1 null",
    ]);
    expect(entriesOf("Ice packs .... 6 [10]\nPlasters .... 4 [20]")).to.deep.equal([
      "1 cold-pack 6 null",
      "2 adhesive-strip 4 null",
    ]);
  });
  it("strokes of a small letter count where fours of them do", () => {
    expect(entriesOf("plasters .... iiii ii\nwipes ....... iiii\neye pads .... ii")).to.deep.equal([
      "1 adhesive-strip 6 null",
      "2 antiseptic-wipe 4 null",
      "3 eye-pad 2 null",
    ]);
  });
});

describe("letters within letters", () => {
  it("the newest that lists is read, and not what it was asked about", () => {
    const card = ["Thanks Dan, will order.", "> plasters 11, eye pads 2,", "> foil blankets 1"];
    card.push(
      ">> what should be in it:",
      ">> - plasters x20",
      ">> - eye pads x4",
      ">> - foil blankets x3",
    );
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "2 adhesive-strip 11 null",
      "2 eye-pad 2 null",
      "3 foil-blanket 1 null",
    ]);
  });
  it("how many there should be over a stroke, where the heading says so", () => {
    const card = [
      "we should have / we have:",
      "20 plasters / 14",
      "2 eye pads / 2",
      "1 pair gloves / 3 pairs",
    ];
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "2 adhesive-strip 14 null",
      "3 eye-pad 2 null",
      "4 disposable-gloves 3 null",
    ]);
  });
});

describe("sizes without a unit", () => {
  const READ: Readonly<Record<string, readonly string[]>> = {
    "2 x 20x20 burn dressing": ["1 burn-gel-dressing 2 [200,200]"],
    "4 x 10 x 10 gauze pads": ["1 gauze-pad 4 [100,100]"],
    "Burn dressings: 2 x 20x20, 1 x 40x60": [
      "1 burn-gel-dressing 2 [200,200]",
      "1 burn-gel-dressing 1 [400,600]",
    ],
    "Burn dressing 20x20 x 2": ["1 burn-gel-dressing 2 [200,200]"],
  };
  for (const [line, read] of Object.entries(READ))
    it(line, () => void expect(entriesOf(line)).to.deep.equal(read));
});

describe("what stands beside a count", () => {
  const READ: Readonly<Record<string, readonly string[]>> = {
    "eye pads    4 ✓": ["1 eye-pad 4 null"],
    "burn gel sachets 6 ok": ["1 burn-gel-sachet 6 null"],
    "paracetamol, 2 strips of 8 nos": ["1 paracetamol 16 null"],
    "eye pads x two": ["1 eye-pad 2 null"],
    "Foil blankets 6 (one each)": ["1 foil-blanket 6 null"],
    "paper tape, 1 roll (there used to be 3)": ["1 medical-tape 1 null"],
    "cohesive bandage 7.5 x 4.5m, 4": ["1 cohesive-wrap 4 [75,4500]"],
    "Triangular bandage 90x127, 4": ["1 triangular-bandage 4 [900,1270]"],
    "Sonnencreme LSF 30, 250 ml": ["1 sunscreen 1 null"],
    "medium wound dressings x 5, large x 2": [
      "1 bandaged-dressing 5 null",
      "1 bandaged-dressing 2 null",
    ],
    "Oropharyngeal airways, sizes 2, 3, 4 (1 each)": ["1 oral-airway 3 null"],
  };
  for (const [line, read] of Object.entries(READ))
    it(line, () => void expect(entriesOf(line)).to.deep.equal(read));

  it("parts of packs, and packs told by two columns", () => {
    const card = ["Product,Pack,Qty on hand,UOM,Use by", "Plasters fabric,100,2,BX,2028-04"];
    card.push(
      "Saline pod 20ml,25,0.4,BX,2027-08",
      "Foil blanket,1,10,EA,",
      "Gauze swab 5s,5,6,PK,2029-01",
    );
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "2 adhesive-strip 200 null",
      "3 saline-ampoule 10 null",
      "4 foil-blanket 10 null",
      "5 gauze-pad 30 null",
    ]);
    const left = [
      "Qty,Item,Notes",
      "1 bx (100),Wipes,approx half left",
      "12,Plasters,",
      "2,Shears,",
    ];
    expect(entriesOf(left.join("\n"))[0]).to.equal("2 antiseptic-wipe 50 null");
  });
  it("boxes to tick side by side; what is left open is not there", () => {
    const card = [
      "[x] trauma shears        [x] tweezers",
      "[x] foil blankets x 6    [ ] whistle (ordered)",
    ];
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "1 trauma-shears 1 null",
      "1 tweezers-fine 1 null",
      "2 foil-blanket 6 null",
    ]);
  });
});

describe("what is not there, and what is", () => {
  it("lists of what is gone, of what somebody was asked for, of what was used", () => {
    for (const line of [
      "Nothing left: sunscreen, throat lozenges",
      "Gone after last week: freeze spray",
      "Fehlt noch: Brandgel, Augenspülung",
      "Have asked Trish for 1 large dressing, 10 plasters and gloves.",
    ])
      expect(entriesOf(`Eye pads 2\nShears 1\n${line}`), line).to.deep.equal([
        "1 eye-pad 2 null",
        "2 trauma-shears 1 null",
      ]);
  });
  it("a heading of what is there ends what was asked for", () => {
    const card = ["We are out of or low on these:", "  10 x burn gel sachets", "Current contents:"];
    card.push("  Eye pads 2", "  Shears 1");
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "4 eye-pad 2 null",
      "5 trauma-shears 1 null",
    ]);
  });
  it("a place in a car is no thing", () => {
    expect(entriesOf("Glove box: 6 plasters, tweezers, shears")[0]).to.equal(
      "1 adhesive-strip 6 null",
    );
  });
  it("inches that nothing says are asked, as the trade writes them not", () => {
    const sure = (card: string) => confidenceOf(card)[0]! >= 0.9;
    expect(sure("gauze pads 8x10, 4\neye pads 2"), "8 x 10 of what?").to.equal(false);
    expect(sure("gauze pads 4x4, 4\neye pads 2"), "four by fours").to.equal(true);
    expect(sure("gauze pads 8x10, 4\ntape 1 in x 10 yd"), "the card is in inches").to.equal(true);
  });
});

describe("what is put back, and what stays as it was", () => {
  const HEAD = "Item Min Held";
  const stays = (lines: readonly string[]) => expect(columnsRestored(lines)).to.deep.equal(lines);
  it("a table: of three rows, that most lines below fit, that counts more than money", () => {
    expect(columnsRestored([HEAD, "Eye pads 4 3", "Shears 1 1", "Tape 2 5"])).to.deep.equal([
      "Item      Min  Held",
      "Eye pads  4    3",
      "Shears    1    1",
      "Tape      2    5",
    ]);
    stays([HEAD, "Eye pads 4 3", "Shears 1 1"]);
    const others = ["a whistle 1", "some tape 2", "more tape 3", "a pen 4"];
    stays([HEAD, "Eye pads 4 3", "Shears 1 1", "Tape 2 5", ...others]);
    stays(["Item Amount VAT", "Eye pads 7.20 1.44", "Shears 6.90 1.38", "Tape 4.35 0.87"]);
  });
  it("lists beside each other: on three lines, each part a thing or led to by dots", () => {
    const named = (text: string) => !text.startsWith("Zog");
    const lines = ["Eye pads 4 Shears 1", "Tape 2 Slings 3", "Wipes 9 Pens 2"];
    const apart = lines.map((l) => l.replace(/(\d) (?=[A-Z])/, "$1    "));
    expect(listsSetApart(lines, named)).to.deep.equal(apart);
    expect(listsSetApart(lines.slice(1), named)).to.deep.equal(lines.slice(1));
    const unknown = [...lines, "Zogs 4 Tape 1", "Zogs ... 4 Tape ... 1", "Dressing size 4 Tape 1"];
    expect(listsSetApart(unknown, named).slice(3)).to.deep.equal([
      "Zogs 4 Tape 1",
      "Zogs ... 4    Tape ... 1",
      "Dressing size 4 Tape 1",
    ]);
  });
  it("blanks are tabs where both together fit the heading, and tabs alone do not", () => {
    const rows = ["Eye pads\t4\t3", "Shears\t1\t1", "Two  words\t2\t5"];
    expect(blanksAsTabs(["Item\tMin\tHeld", ...rows])).to.deep.equal(["Item\tMin\tHeld", ...rows]);
    const numbered = ["Item\tHeld", "1.1  Eye pads\t4", "1.2  Shears\t1", "1.3  Tape\t2"];
    expect(blanksAsTabs(numbered), "the number has no heading").to.deep.equal(numbered);
  });
  it("a page's number is none at the top of a card, where it may be a title", () => {
    expect(withoutPageBreaks(["Sheet 2", "plasters", "tape", "wipes", "Sheet 3"])).to.deep.equal([
      "Sheet 2",
      "plasters",
      "tape",
      "wipes",
      "",
    ]);
  });
  it("two blanks part columns where words have one", () => {
    const columns = Array.from({ length: 30 }, (_, i) => `eye pads, thing ${i}  ${i}`).join("\n");
    expect(plainSigns(columns)).to.equal(columns);
  });
  it("whole boxes of one are not boxes of one", () => {
    const card = [
      "Product,Pack,Qty on hand,UOM",
      "Foil blanket,1,3,PK",
      "Eye pad,2,3,PK",
      "Tape,1,2,EA",
    ];
    expect(entriesOf(card.join("\n"))).to.deep.equal([
      "2 foil-blanket 3 null",
      "3 eye-pad 6 null",
      "4 medical-tape 2 null",
    ]);
  });
  it("a box left open is not there, also in the middle", () => {
    const card = "[x] shears      [ ] whistle      [x] tweezers\n[x] foil blanket";
    expect(entriesOf(card)).to.deep.equal([
      "1 trauma-shears 1 null",
      "1 tweezers-fine 1 null",
      "2 foil-blanket 1 null",
    ]);
  });
  it("of three numbers alike the first counts behind a name too", () => {
    expect(entriesOf("Gauze pads: 4 x 10 x 10\neye pads 2")[0]).to.equal("1 gauze-pad 4 [100,100]");
  });
  it("prose in another language, an English word in one sentence", () => {
    const said =
      "Im Rucksack sind die folgenden Sachen, von oben nach unten gelesen. Zwei Dreiecktücher. Eine Rettungsdecke. Tape eine Rolle, und ein Marker. Handschuhe, drei Paar. Das war alles.";
    expect(entriesOf(said)).to.include.members([
      "1 triangular-bandage 2 null",
      "1 foil-blanket 1 null",
      "1 disposable-gloves 3 null",
    ]);
  });
});
