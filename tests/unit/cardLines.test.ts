import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Lines of a card by rule: what stands before each of them, each way to write a size, words that only describe, what is no item. */
const vocabulary = vocabularyOf(NAMED_CATALOGUE);

/** Name, size as printed, its millimetres, and what it is. */
type Thing = readonly [name: string, size: string, mm: readonly number[] | null, type: string];
const THINGS: readonly Thing[] = [
  ["Plasters, assorted", "", null, "adhesive-strip"],
  ["Sterile gauze pads", "10 x 10 cm", [100, 100], "gauze-pad"],
  ["Crepe bandage", "7.5 cm", [75], "elastic-bandage"],
  ["Triangular bandages", "", null, "triangular-bandage"],
  ["Conforming bandage", "8 cm x 4 m", [80, 4000], "roller-bandage"],
  ["Foil blanket", "", null, "foil-blanket"],
  ["Burn gel sachets", "", null, "burn-gel-sachet"],
];
const COUNTS = [24, 6, 2, 4, 3, 1, 8];
const sized = ([name, size]: Thing, between = " ") =>
  size === "" ? name : `${name}${between}${size}`;
type Body = (thing: Thing, count: number) => string;
const BODIES: readonly Body[] = [
  (t, n) => `${n} x ${sized(t)}`,
  (t, n) => `${n} ${sized(t)}`,
  (t, n) => `${sized(t)} x ${n}`,
  (t, n) => `${sized(t)} (${n})`,
  (t, n) => `${sized(t)} - ${n}`,
  (t, n) => `${sized(t)}: ${n}`,
  (t, n) => `${sized(t)} ${n}`,
  (t, n) => `${sized(t)}, ${n} pcs`,
  (t, n) => `${sized(t).padEnd(44)}${n}`,
  (t, n) => `${sized(t)} ${".".repeat(44 - sized(t).length)} ${n}`,
  (t, n) => `${sized(t)}\t${n}`,
  (t, n) => `(${n}) ${sized(t)}`,
  (t, n) => `${sized(t, ", ")}, qty ${n}`,
];
const said = (source: number, [, , mm, type]: Thing, pieces: number) =>
  `${source} ${type} ${pieces} ${JSON.stringify(mm)}`;
const readAs = (text: string) =>
  readCard(text, vocabulary).entries.map(
    (e) => `${e.source} ${e.itemType} ${e.pieces} ${JSON.stringify(e.sizeMm)}`,
  );

describe("what stands before each of many lines", () => {
  const LEADS: Readonly<Record<string, (row: number) => string>> = {
    "1. ": (i) => `${i + 1}. `,
    "(1) ": (i) => `(${i + 1}) `,
    "01 ": (i) => `0${i + 1} `,
    "1 - ": (i) => `${i + 1} - `,
    "1: ": (i) => `${i + 1}: `,
    "a) ": (i) => `${"abcdefg"[i]!}) `,
    "(iv) ": (i) => `(${["i", "ii", "iii", "iv", "v", "vi", "vii"][i]!}) `,
    "Item 1 ": (i) => `Item ${i + 1} `,
    "Item 9: ": (i) => `Item ${i + 6}: `,
    "No. 1 - ": (i) => `No. ${i + 1} - `,
    "Pos. 1 ": (i) => `Pos. ${i + 1} `,
    "Line 1: ": (i) => `Line ${i + 1}: `,
    "4.1 ": (i) => `4.${i + 1} `,
    "2.3.1 ": (i) => `2.3.${i + 1} `,
    "4711 / ": (i) => `${4711 + 13 * i} / `,
    "FA-101 ": (i) => `FA-${101 + i} `,
    "[x] ": () => "[x] ",
    "14:03 ": (i) => `14:0${i + 1} `,
    "14:03 - Jo: ": (i) => `14:0${i + 1} - Jo: `,
    "[14:03] Jo: ": (i) => `[14:0${i + 1}] Jo: `,
    "14.03 Jo: ": (i) => `14.0${i + 1} Jo: `,
    "2:03 pm - Jo: ": (i) => `2:0${i + 1} pm - Jo: `,
    "Jo 14:03: ": (i) => `Jo 14:0${i + 1}: `,
    "03/11/2025, 14:03 - Jo: ": (i) => `03/11/2025, 14:0${i + 1} - Jo: `,
    "Shelf 2: ": (i) => `Shelf ${1 + (i % 3)}: `,
  };
  for (const [lead, before] of Object.entries(LEADS))
    it(`“${lead}” is not of the thing, however that is written`, () => {
      const lost = BODIES.flatMap((body) => {
        const rows = THINGS.map((t, i) => `${before(i)}${body(t, COUNTS[i]!)}`);
        const read = readAs(["Van 4 first aid box", "", ...rows].join("\n"));
        return THINGS.flatMap((t, i) =>
          read.includes(said(i + 3, t, COUNTS[i]!)) ? [] : [rows[i]!],
        );
      });
      expect(lost).to.deep.equal([]);
    });

  it("numbers that fall or leap count, and number no lines", () => {
    const card = ["Van 4", "4 - plasters", "2 - eye pads", "9 - safety pins", "1 - foil blanket"];
    expect(readCard(card.join("\n"), vocabulary).entries.map((e) => e.pieces)).to.deep.equal([
      4, 2, 9, 1,
    ]);
  });

  it("a question among messages lists nothing", () => {
    const card =
      "14:01 Jo: plasters 40\n14:02 Jo: foil blankets 6\n14:03 Pat: tape?\n14:04 Jo: 2 rolls of tape\n14:05 Jo: 3 eye pads";
    expect(readAs(card)).to.deep.equal([
      "1 adhesive-strip 40 null",
      "2 foil-blanket 6 null",
      "4 medical-tape 2 null",
      "5 eye-pad 3 null",
    ]);
  });
});

describe("weights and prices at the end of each line", () => {
  const line = (name: string, weight: number) =>
    `${name} ${".".repeat(34 - name.length)} ${weight}`;
  const rows = [
    line("Pressure bandage 15 cm", 96),
    line("Gloves, 3 pairs", 33),
    line("Plasters x 8", 9),
    line("Trauma shears", 71),
  ];
  const right = [
    "2 pressure-bandage 1 [150]",
    "3 disposable-gloves 3 null",
    "4 adhesive-strip 8 null",
    "5 trauma-shears 1 null",
  ];
  it("count nothing where a line above says what they are", () => {
    expect(readAs(["Saddle bag, weights in grams", ...rows].join("\n"))).to.deep.equal(right);
  });
  it("nor where they come to a printed total, and the lines count in other words: 96 + 33 + 9 + 71 = 209", () => {
    expect(readAs(["Saddle bag", ...rows, line("Total", 209)].join("\n"))).to.deep.equal(right);
  });
  it("the kit's own weight says nothing of the numbers below it", () => {
    const card = "Kit weight 1.2 kg\nPlasters   20\nEye pads   2\nSafety pins   6\nWhistles   3";
    expect(readCard(card, vocabulary).entries.map((e) => e.pieces)).to.deep.equal([20, 2, 6, 3]);
  });
});

describe("a bag with a number", () => {
  const kinds = (card: string) =>
    readCard(card, vocabulary).entries.map((e) => [e.itemType, e.pieces]);
  it("is a place over what has its count in front, and two pouches where counts stand behind", () => {
    expect(kinds("1 whistle\nPouch 2\n4 eye pads\nPouch 3\n6 safety pins")).to.deep.equal([
      ["whistle", 1],
      ["eye-pad", 4],
      ["safety-pin", 6],
    ]);
    expect(kinds("Whistles 3\nPouch 2\nEye pads 4\nSafety pins 6")[1]).to.deep.equal([
      "container",
      2,
    ]);
  });
});

describe("sizes by a letter", () => {
  for (const line of [
    "Nitrile gloves size L 5 pairs",
    "Nitrile gloves L 5 pairs",
    "Nitrile gloves, size XL, 5 pairs",
    "Nitrile gloves S/M - 5 prs",
    "5 pairs nitrile gloves size m",
    "Nitrile gloves (XXL) 5 pairs",
  ])
    it(`“${line}” are five pairs, and surely`, () => {
      const [, entry] = readCard(`4 eye pads\n${line}\n1 whistle`, vocabulary).entries;
      expect(entry).to.deep.include({ itemType: "nitrile-gloves", pieces: 5, sizeMm: null });
      expect(entry!.confidence).to.be.at.least(0.9);
    });
  it("the letter stays in the line's own text", () => {
    const [entry] = readCard("Cervical collar size L 2 pcs", vocabulary).entries;
    expect(entry).to.deep.include({ itemType: "cervical-collar", pieces: 2 });
    expect(entry!.text).to.contain("(L)");
  });
});

describe("how many of it, among other numbers", () => {
  for (const [line, pieces] of [
    ["Safety pins, 3 sizes, 12 total", 12],
    ["Ibuprofen 2 tabs/pk x 6", 12],
    ["Aspirin 2 caplets per packet (6)", 12],
  ] as const)
    it(`“${line}” are ${pieces}`, () => {
      const [, entry] = readCard(`4 eye pads\n${line}\n1 whistle`, vocabulary).entries;
      expect(entry!.pieces).to.equal(pieces);
    });
});

describe("a card in capitals", () => {
  it("'X5' are five of it, and no size XS", () =>
    expect(readAs("* ALCOHOL PREP PADS X5\n* SAFETY PINS X1\n* EYE PADS X15")).to.deep.equal([
      "1 alcohol-pad 5 null",
      "2 safety-pin 1 null",
      "3 eye-pad 15 null",
    ]));
});

describe("several things on a line", () => {
  it("between strokes one of them needs no count", () =>
    expect(readAs("4 slings\n1 foil blanket / 1 glucose gel / whistle")).to.deep.equal([
      "1 triangular-bandage 4 null",
      "2 foil-blanket 1 null",
      "2 glucose-gel 1 null",
      "2 whistle 1 null",
    ]));
  it("beside marked lines one without a mark lists what it counts", () =>
    expect(
      readAs("- 4 slings\n- 2 whistles\n- 1 foil blanket\n6 4x4s, 2 ABD 5x9").slice(3),
    ).to.deep.equal(["4 gauze-pad 6 [102,102]", "4 abd-pad 2 [127,229]"]));
  it("'ct.' ends no sentence", () =>
    expect(readAs('25 ct. 3/4" x 3" fabric bandages')).to.deep.equal([
      "1 adhesive-strip 25 [19,76]",
    ]));
  it("where a thing lies is no thing: 'Back' is no backpack", () =>
    expect(readAs("4 slings\nBack\n2 whistles")).to.deep.equal([
      "1 triangular-bandage 4 null",
      "3 whistle 2 null",
    ]));
  it("the larger ones of what was said are of its kind", () =>
    expect(readAs("plasters 14. the big ones 3")).to.deep.equal([
      "1 adhesive-strip 14 null",
      "1 adhesive-large 3 null",
    ]));
});

describe("what a thing is counted in", () => {
  for (const [line, type, pieces] of [
    ["Cohesive wrap 7.5 cm - 2 rolls", "cohesive-wrap", 2],
    ["Ibuprofen 200 mg, 1 blister of 12", "ibuprofen", 12],
    ["Blue detectable plasters 1 box (100 pcs)", "adhesive-strip", 100],
    ["Haemostatic gauze 1 roll (z-fold)", "haemostatic-gauze", 1],
  ] as const)
    it(`says nothing else of it: “${line}”`, () => {
      const [, entry] = readCard(`4 eye pads\n${line}\n1 whistle`, vocabulary).entries;
      expect(entry).to.deep.include({ itemType: type, pieces });
      expect(entry!.confidence).to.be.at.least(0.9);
    });
  it("tells the kind where nothing else does: gauze by the roll", () => {
    expect(readCard("4 eye pads\nGauze 2 rolls", vocabulary).entries[1]!.itemType).to.equal(
      "roller-bandage",
    );
  });
  it("a box tells no kind of gloves: it is asked", () => {
    const [, entry] = readCard("4 eye pads\nGloves - 1 box (50 prs)", vocabulary).entries;
    expect(entry).to.deep.include({ pieces: 50, open: "gloves" });
  });
});

describe("a make that nobody knows", () => {
  const open = (line: string) =>
    readCard(`4 eye pads\n${line}\n1 whistle`, vocabulary).entries[1]?.open;
  it("leaves the kind of a tourniquet open, before or behind it", () => {
    for (const line of ["Zorb tourniquet 2", "Tourniquet ZRB 2", "Tourniquet (zorb-style) x2"])
      expect(open(line), line).to.equal("tourniquet");
  });
  it("behind a dressing it may name another thing", () => {
    expect(open("Zorb dressing 3")).to.equal("dressing");
    expect(open("Dressing zorbs 3")).to.equal(undefined);
  });
  it("what is known tells", () => {
    expect(open("Tourniquet, windlass 2")).to.equal(undefined);
    expect(open("Tourniquet strap rubber 2")).to.equal(undefined);
  });
});

describe("sizes beside counts", () => {
  const PADS: readonly (readonly [string, readonly number[]])[] = [
    ...["10 x 10 cm", "10x10cm", "10 × 10 cm", "10cm x 10cm", "100 x 100 mm", "10X10 CM"].map(
      (z) => [z, [100, 100]] as const,
    ),
    ...["10*10 cm", "10 by 10 cm", "10cm sq", "10,0 x 10,0 cm", "10/10 cm"].map(
      (z) => [z, [100, 100]] as const,
    ),
    ...["4 x 4 in", "4x4in", '4" x 4"', "4-inch x 4-inch", "4'' x 4''", "4 by 4 inch"].map(
      (z) => [z, [102, 102]] as const,
    ),
  ];
  const ROLLS: typeof PADS = [
    ...["7.5 cm x 4 m", "7,5 cm x 4 m", "75 mm x 4 m", "7.5cmx4m", "4m x 7.5cm"].map(
      (z) => [z, [75, 4000]] as const,
    ),
    ["7.5 cm wide", [75]],
    ["3-inch", [76]],
    ['3" (7.5 cm)', [76]],
    ["7½ cm", [75]],
    ['1 1/2"', [38]],
  ];
  const forms: readonly ((name: string, size: string) => string)[] = [
    (n, z) => `${z} ${n} x 12`,
    (n, z) => `${n} ${z} x 12`,
    (n, z) => `${n}, ${z}, 12`,
    (n, z) => `${n} ${z} (12)`,
    (n, z) => `12 x ${n} ${z}`,
    (n, z) => `12 x ${z} ${n}`,
    (n, z) => `${n} ${z} - 12`,
    (n, z) => `${n} (${z}) 12`,
    (n, z) => `${n}        ${z}        12`,
    (n, z) => `12 pcs ${n}, ${z}`,
  ];
  for (const [name, type, sizes] of [
    ["sterile gauze pads", "gauze-pad", PADS],
    ["conforming bandages", "roller-bandage", ROLLS],
  ] as const)
    it(`are told from them: ${name}`, () => {
      const lost = sizes.flatMap(([size, mm]) =>
        forms.flatMap((form) => {
          const line = form(name, size);
          const read = readAs(`Box list\nEye pads 20\n${line}\nWhistle 1`);
          return read.includes(`3 ${type} 12 ${JSON.stringify(mm)}`) ? [] : [line];
        }),
      );
      expect(lost).to.deep.equal([]);
    });
  it("of three numbers the first counts, but not of what has three sides", () => {
    expect(
      readAs("3 x 10 x 10 cm gauze pads\n2 x 96 x 96 x 136 cm triangular bandage"),
    ).to.deep.equal(["1 gauze-pad 3 [100,100]", "2 triangular-bandage 2 [960,960,1360]"]);
  });
});

describe("a line that goes on", () => {
  const read = (text: string) =>
    readCard(text, vocabulary).entries.map((e) => `${e.pieces} ${e.itemType}`);
  it("with what is there besides, and with what is not", () =>
    expect(
      read("You get: 2 eye pads and a foil blanket. There is also a whistle. Not included: tape."),
    ).to.deep.equal(["2 eye-pad", "1 foil-blanket", "1 whistle"]));
  it("of commas behind a quote that is never closed is read, and not sought through for ever", () =>
    expect(read(`Whistle 1\n"a"${", ".repeat(900)}"`)[0]).to.equal("1 whistle"));
  it("in another language: what is said to be wanting is not there", () =>
    expect(read("Whistle 1\nSchere: fehlt\nPinzette 1")).to.deep.equal([
      "1 whistle",
      "1 tweezers-fine",
    ]));
  it("an abbreviation with its dot ends no sentence", () =>
    expect(read("Whistle 1\n2 Triang. Bandage missing")).to.deep.equal(["1 whistle"]));
  it("said aloud, no comma written: what is put right is put right", () =>
    expect(
      read(
        "right there's four eye pads no three eye pads two foil blankets a pair of scissors there's twenty five safety pins",
      ),
    ).to.deep.equal(["3 eye-pad", "2 foil-blanket", "1 small-scissors", "25 safety-pin"]));
});

describe("two numbers without a unit", () => {
  const sizeOf = (line: string) => readCard(`Whistle 1\n${line}`, vocabulary).entries[1]?.sizeMm;
  for (const [line, mm] of [
    // Inches are written in quarters, and no plaster in inches is longer than 4.5.
    ["Washproof plasters 7.2x2.5   20", [25, 72]],
    ["Fabric plasters 7.2x1.9 10", [19, 72]],
    ["plasters 7x2, 10", [20, 70]],
    ["plasters 1x3, 10", [25, 76]],
    ["gauze pads 10x7.5, 5", [75, 100]],
  ] as const)
    it(`“${line}”`, () => expect(sizeOf(line)).to.deep.equal(mm));
  it("of what is made in no such size, a recogniser may have lost the comma: it is asked", () => {
    const doubts = (line: string) =>
      readCard(`Whistle 1\n${line}`, vocabulary).entries[1]?.doubts.includes("size-unusual");
    expect(doubts("Medical tape 25 cm x 10 m, 1")).to.equal(true);
    expect(doubts("Medical tape 2.5 cm x 10 m, 1")).to.equal(false);
    expect(doubts("Foil blanket 210 x 160 cm, 1")).to.equal(false);
    expect(doubts("Foil blanket 21 x 16 m, 1")).to.equal(true);
  });
  it("the dot of “No.8” makes no eight tenths of it", () =>
    expect(sizeOf("Field dressing No.8 x 2")).to.equal(null));
});

describe("words that say what a thing is like", () => {
  const WORDS =
    "sterile|non-adherent|low adherent|waterproof|fabric|hypoallergenic|self-adhesive|elastic|conforming|cohesive|absorbent|alcohol-free|latex-free|powder-free|nitrile|disposable|individually wrapped|assorted|large|blue|detectable|unmedicated|single use|non-woven|cotton|calico|reusable|instant|plastic|stainless steel|folded|vacuum packed|compressed|boxed|in pouch|CE marked|adjustable|transparent|hydrogel|paraffin|microporous|8-ply|unit dose|spare|new|blunt|fine point".split(
      "|",
    );
  const NAMES = [
    ["plasters", "adhesive-strip"],
    ["crepe bandages", "elastic-bandage"],
    ["burn sheet", "burn-sheet"],
    ["eye pads", "eye-pad"],
    ["trauma shears", "trauma-shears"],
    ["face shields", "face-shield"],
  ] as const;
  for (const word of WORDS)
    it(`“${word}” behind a comma makes no second thing`, () => {
      const two = NAMES.flatMap(([name]) =>
        [
          `${name}, ${word} x 3`,
          `3 x ${name}, ${word}`,
          `${name}, ${word} ........ 3`,
          `${name} - ${word} - 3`,
          `${name}; ${word}; 3`,
        ].flatMap((line) => {
          const read = readCard(
            `Box list\nWhistle x 1\n${line}\nMarker pen x 2`,
            vocabulary,
          ).entries;
          const here = read.filter((e) => e.source === 3);
          return here.length === 1 && here[0]!.pieces === 3 ? [] : [line];
        }),
      );
      expect(two).to.deep.equal([]);
    });
});

describe("lines that list nothing", () => {
  const OFFICE =
    "Kit no. 12|Weight 1.2 kg|Dimensions 20 x 15 x 8 cm|Size: 20 x 15 x 8 cm|Checked 12/3/25 by PM|Next check: May 2026|Seal no. 00417|Seal 00417 intact|Page 1 of 2|Tel 01234 567890|Emergency: dial 112|Item code 4471|Art. no. 10-2231|Price £24.99|Store below 25 °C|For 10 persons|Refills: see the intranet|© 2025 all rights reserved|Rev 3|Printed 3 May 2025|Location: main hall|Valid to 2028-05|To reorder quote 55120|Keep dry.|Batch 2025-03|Box 3 of 4|Copy 2 of 3|Sign: ______ Date: ______|Issued to: night shift|Room 204|First aiders: Ada (ext. 12), Ben (ext. 40)|EAN 4006381333931|3 kits in the building|Opening hours 8-17|Contents may vary|Used on trip 14|Thank you!|Regards, Tom|Hi all,|Dear team,".split(
      "|",
    );
  const items = [
    "6 x Safety pins",
    "2 x Foil blanket",
    "1 x Trauma shears",
    "10 x Antiseptic wipes",
  ];
  for (const line of OFFICE)
    it(`“${line}”, above, amid and below what does`, () => {
      for (const at of [0, 2, 4]) {
        const card = ["Van kit", ...items.toSpliced(at, 0, line)].join("\n");
        const read = readCard(card, vocabulary).entries.map((e) => e.pieces);
        expect(read, card).to.deep.equal([6, 2, 1, 10]);
      }
    });

  const HEADINGS = [
    "-- Burns --",
    "== Wounds ==",
    "[Eyes]",
    "1. Dressings and plasters",
    "B) Burn care",
    "Bag 2 (resuscitation)",
    "Pouch 1 – Airway",
    "## Tools",
    "WOUND CARE:",
    "Drawer A – eyes",
    "Compartment B",
    "Drawer 3",
    "Module III",
    "Bag C",
  ];
  for (const heading of HEADINGS)
    it(`“${heading}” heads a group`, () => {
      const card = [heading, ...items.slice(0, 2), heading, ...items.slice(2)].join("\n");
      expect(readCard(card, vocabulary).entries.map((e) => e.pieces)).to.deep.equal([6, 2, 1, 10]);
    });
});

describe("numbers before the lines", () => {
  const read = (...lines: readonly string[]) =>
    readCard(lines.join("\n"), vocabulary).entries.map((e) => `${e.pieces} ${e.itemType}`);
  it("count, where they go up and down", () =>
    expect(read("5: plasters", "2: eye pads", "10: antiseptic wipes")).to.deep.equal([
      "5 adhesive-strip",
      "2 eye-pad",
      "10 antiseptic-wipe",
    ]));
  it("count nothing where they go up by one, begin anew, or a line was taken out", () => {
    const one = ["1 adhesive-strip", "1 eye-pad", "1 antiseptic-wipe"];
    expect(read("1. plasters", "2. eye pads", "3. antiseptic wipes")).to.deep.equal(one);
    expect(read("1. plasters", "2. eye pads", "1. antiseptic wipes")).to.deep.equal(one);
    expect(read("1. plasters", "2. eye pads", "4. antiseptic wipes")).to.deep.equal(one);
  });
  it("count nothing where the lines have counts of their own", () =>
    expect(read("9. plasters x 5", "4. eye pads x 2", "7. whistle x 1")).to.deep.equal([
      "5 adhesive-strip",
      "2 eye-pad",
      "1 whistle",
    ]));
  it("and of two lines nothing is told", () =>
    expect(read("5: plasters", "2: eye pads")).to.deep.equal(["1 adhesive-strip", "1 eye-pad"]));
});

describe("a till's line", () => {
  const read = (text: string) =>
    readCard(`FOIL BLANKET      1 @ 2.00     2.00\n${text}`, vocabulary)
      .entries.slice(1)
      .map((e) => `${e.pieces} ${e.itemType}`);
  it("has how many were charged for before the price of one", () =>
    expect(read("BLUE PLASTERS 100S       2 @ 4.50     9.00")).to.deep.equal([
      "200 adhesive-strip",
    ]));
  it("with a sum that is another, is no such line", () =>
    expect(read("CREPE BANDAGE      2 x 4.50     7.00")).to.not.deep.equal(["2 elastic-bandage"]));
  it("of how it was paid lists nothing", () =>
    expect(read("CARD PAYMENT THANK YOU")).to.deep.equal([]));
});

describe("what is asked and what is answered", () => {
  const read = (text: string) =>
    readCard(text, vocabulary).entries.map((e) => `${e.source}: ${e.pieces} ${e.itemType}`);
  it("stands on the answer's line; who says no has none", () =>
    expect(
      read(
        "> plasters?\nyes, 22\n> scissors?\nno\n\n> gloves?\n\ntwo pairs\n> eye pads?\nyep one, in the lid",
      ),
    ).to.deep.equal(["2: 22 adhesive-strip", "8: 2 disposable-gloves", "10: 1 eye-pad"]));
  it("once may be chance", () =>
    expect(read("2 eye pads\nplasters?\n22 wipes")).to.include("3: 22 antiseptic-wipe"));
});

describe("what is struck out at the beginning of a line", () => {
  const read = (text: string) =>
    readCard(`2 eye pads\n${text}`, vocabulary)
      .entries.slice(1)
      .map((e) => `${e.pieces} ${e.itemType}`);
  it("is gone, and what is counted behind it is there", () => {
    expect(read("~~12~~ 9 plasters")).to.deep.equal(["9 adhesive-strip"]);
    expect(read("~~foil blanket~~ replaced: 2 x foil blanket")).to.deep.equal(["2 foil-blanket"]);
    expect(read("<del>3 wipes</del> 2 wipes")).to.deep.equal(["2 antiseptic-wipe"]);
  });
  it("is gone with a remark on it", () => {
    expect(read("~~1 pair of scissors~~ (walked)")).to.deep.equal([]);
    expect(read("~~2 cold packs~~ given to team 3")).to.deep.equal([]);
  });
});

describe("sizes by their letter below the gloves they are of", () => {
  const read = (heading: string) =>
    readCard(`${heading}\n   S   10\n   M   25\n   L   15`, vocabulary).entries.map(
      (e) => e.pieces,
    );
  it("are counted in pairs where the heading says so, and singly where it does not", () => {
    expect(read("Nitrile gloves (pairs)")).to.deep.equal([10, 25, 15]);
    expect(read("Nitrile gloves")).to.deep.equal([5, 25, 15]);
  });
});

describe("a count of two figures in a table set by blanks", () => {
  it("with one blank before its name is a count of its own", () => {
    const { entries } = readCard(
      [
        "20  Plasters                     1  Whistle",
        "4   Triangular bandages          6  Safety pins",
        "2   Eye pads                     1  Trauma shears",
        "6   Foil blankets                2  Cold packs",
        "3   Pairs of vinyl gloves        10 Antiseptic wipes",
      ].join("\n"),
      vocabulary,
    );
    expect(
      entries.filter((e) => e.source === 5).map((e) => `${e.pieces} ${e.itemType}`),
    ).to.deep.equal(["3 vinyl-gloves", "10 antiseptic-wipe"]);
  });
});

describe("a line of several things", () => {
  const read = (text: string) =>
    readCard(`1 whistle\n${text}`, vocabulary)
      .entries.slice(1)
      .map((e) => `${e.pieces} ${e.itemType}`);
  it("has the kinds in brackets apart, where they come to the count before them", () => {
    expect(read("plasters (14), 2 bandages (one cohesive, one crepe), 3 eye pads")).to.deep.equal([
      "14 adhesive-strip",
      "1 cohesive-wrap",
      "1 elastic-bandage",
      "3 eye-pad",
    ]);
    expect(read("plasters (14), 3 bandages (one cohesive, one crepe), 3 eye pads")).to.include(
      "3 eye-pad",
    );
  });
  it("that ends in a full stop lists them, and tells nothing", () =>
    expect(read("tick hook, foil blanket, trauma shears and such.")).to.deep.equal([
      "1 tick-tool",
      "1 foil-blanket",
      "1 trauma-shears",
    ]));
  it("to replace lists what is not there", () =>
    expect(read("To replace: antiseptic wipes, eye pads.")).to.deep.equal([]));
});

describe("rows of small letters with leaders", () => {
  const read = (lines: readonly string[]) =>
    readCard(lines.join("\n"), vocabulary).entries.map((e) => [e.source, e.itemType, e.pieces]);
  it("are no paragraph that a page's edge broke, however full of commas", () =>
    expect(
      read([
        "wound dressings, sterile, large ............................... 4",
        "gauze bandages, 7 cm, white, wrapped ......................... 8",
        "triangular bandages, cotton, white, wrapped .................. 3",
      ]),
    ).to.deep.equal([
      [1, "bandaged-dressing", 4],
      [2, "roller-bandage", 8],
      [3, "triangular-bandage", 3],
    ]));
});

describe("a stop behind the last count of a line", () => {
  for (const stop of ["", ".", ";", ","])
    it(`“${stop}” ends its list`, () => {
      const { entries } = readCard(
        `Car kit\nBandages, elastic: 6 cm (3), 8 cm (2)${stop}`,
        vocabulary,
      );
      expect(entries.map((e) => [e.pieces, e.sizeMm])).to.deep.equal([
        [3, [60]],
        [2, [80]],
      ]);
    });
  it("and behind a volume makes no sentence of it", () => {
    const { entries } = readCard("4 eye pads\nSaline wash bottle 250ml.\n2 whistles", vocabulary);
    expect(entries.map((e) => e.source)).to.deep.equal([1, 2, 3]);
  });
});
