import { expect } from "chai";
import { besideTable, confidenceOf, entriesOf } from "./cardReading.ts";

/** How a cell writes a count, and how another writes what a pack holds, in every table. */

const TABLES: Readonly<Record<string, (rows: readonly (readonly string[])[]) => string>> = {
  tabs: (rows) => rows.map((r) => r.join("\t")).join("\n"),
  "bars round it": (rows) => rows.map((r) => `| ${r.join(" | ")} |`).join("\n"),
  bars: (rows) => rows.map((r) => r.join(" | ")).join("\n"),
  commas: (rows) => rows.map((r) => r.join(",")).join("\n"),
  semicolons: (rows) => rows.map((r) => r.join(";")).join("\n"),
  blanks: besideTable,
};
const THINGS = [
  ["Plasters", "adhesive-strip", "null"],
  ["Gauze pads 10 x 10 cm", "gauze-pad", "[100,100]"],
  ["Crepe bandage 7.5 cm", "elastic-bandage", "[75]"],
  ["Whistle", "whistle", "null"],
] as const;
const COUNTS = [4, 9, 12, 3];
const wantedWith = (times: readonly number[]): string[] =>
  THINGS.map(([, type, size], i) => `${i + 2} ${type} ${COUNTS[i]! * times[i]!} ${size}`);
const ONCE = [1, 1, 1, 1];

/** 4, 9, 12 and 3, each writing its own. */
const WRITINGS: Readonly<Record<string, readonly string[]>> = {
  plain: COUNTS.map(String),
  "with a sign": COUNTS.map((n) => `x${n}`),
  about: COUNTS.map((n) => `~${n}`),
  "in brackets": COUNTS.map((n) => `(${n})`),
  pieces: COUNTS.map((n) => `${n} pcs`),
  each: COUNTS.map((n) => `${n} ea`),
  "two figures": COUNTS.map((n) => String(n).padStart(2, "0")),
  "in words": ["four", "nine", "twelve", "three"],
};
/** Columns around the count, by their headings; "N" is the name and "C" the count. */
const COLUMNS: readonly (readonly [heading: string, cells: readonly string[] | "N" | "C"])[][] = [
  [
    ["Item", "N"],
    ["Held", "C"],
  ],
  [
    ["Qty", "C"],
    ["Article", "N"],
  ],
  [
    ["Item", "N"],
    ["No.", "C"],
    ["Where", ["lid", "left", "shelf 2", "lid"]],
  ],
  [
    ["Nr", ["1", "2", "3", "4"]],
    ["Item", "N"],
    ["Min", ["5", "8", "10", "2"]],
    ["Found", "C"],
  ],
  [
    ["Expiry", ["05/2029", "01/2028", "02/2028", "n/a"]],
    ["Item", "N"],
    ["No.", "C"],
  ],
];

describe("what a cell says", () => {
  for (const [writing, cells] of Object.entries(WRITINGS))
    it(`counts, written so: ${writing}`, () => {
      for (const columns of COLUMNS)
        for (const [table, set] of Object.entries(TABLES)) {
          const told = (of: readonly string[] | "N" | "C", i: number) =>
            of === "N" ? THINGS[i]![0] : of === "C" ? cells[i]! : of[i]!;
          const rows = THINGS.map((_, i) => columns.map(([, of]) => told(of, i)));
          const card = set([columns.map(([heading]) => heading), ...rows]);
          expect(entriesOf(card), `${table}\n${card}`).to.deep.equal(wantedWith(ONCE));
        }
    });

  const HELD = [20, 5, 10, 50];
  const PACKS: Readonly<Record<string, (held: number) => string>> = {
    "a pack of so many": (n) => `box of ${n}`,
    "a pack over its content": (n) => `carton/${n}`,
    "so many over a pack": (n) => `${n}/box`,
    "glued to its pack": (n) => `PK${n}`,
    "in brackets": (n) => `box (${n})`,
    "pieces of a pack": (n) => `${n} pcs`,
    times: (n) => `x${n}`,
    "a number": String,
  };
  for (const [name, packed] of Object.entries(PACKS))
    for (const heading of ["Pack size", "Packed in", "Unit"])
      it(`is what a pack holds: ${name}, under "${heading}"`, () => {
        for (const [table, set] of Object.entries(TABLES)) {
          const rows = THINGS.map(([thing], i) => [thing, packed(HELD[i]!), String(COUNTS[i]!)]);
          const card = set([["Item", heading, "Qty"], ...rows]);
          expect(entriesOf(card), `${table}\n${card}`).to.deep.equal(wantedWith(HELD));
        }
      });

  it("is asked about where a pack holds as many as there are packs", () => {
    const card = "Item\tPer pack\tQty\nPlasters\t20\t4\nEye pads\t5\t5\nWhistle\t1\t1";
    expect(confidenceOf(card).map((c) => c >= 0.9)).to.deep.equal([true, false, true]);
  });

  it("packs said in text are no cartoons", () => {
    expect(
      entriesOf("plasters, 19 cartons of 20\n2 x box of 10 wipes\n2 x tin of 5 eye pads"),
    ).to.deep.equal([
      "1 adhesive-strip 380 null",
      "2 antiseptic-wipe 20 null",
      "3 eye-pad 10 null",
    ]);
  });
});

describe("a column of units beside the counts, without a heading", () => {
  for (const [name, table] of Object.entries(TABLES))
    it(`says what is counted: ${name}`, () => {
      const rows = [
        ["Nitrile gloves", "8", "pairs"],
        ["Eye wash 500 ml", "2", "bottles"],
        ["Crepe bandage 7.5 cm", "3", "rolls"],
        ["Whistle", "4", "pcs"],
      ];
      expect(entriesOf(table(rows))).to.deep.equal([
        "1 nitrile-gloves 8 null",
        "2 eyewash 2 null",
        "3 elastic-bandage 3 [75]",
        "4 whistle 4 null",
      ]);
    });
});
