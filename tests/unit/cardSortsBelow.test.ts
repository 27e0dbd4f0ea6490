import { expect } from "chai";
import { saysAmount } from "../../src/lib/core/card/recordFields.ts";
import { sortsTold } from "../../src/lib/core/card/sortsBelow.ts";
import { entriesOf } from "./cardReading.ts";

/** A heading that is the item, over rows of its sizes and sorts: every heading × every row reads the same. */

const HEADINGS: readonly ((name: string) => string)[] = [
  (name) => name,
  (name) => `${name}:`,
  (name) => `${name} -`,
  (name) => name.toUpperCase(),
  (name) => `## ${name}`,
  (name) => `**${name}**`,
  (name) => `${name}\n${"-".repeat(name.length)}`,
];
const ROWS: readonly ((sort: string, count: number) => string)[] = [
  (sort, count) => `  ${sort}     ${count}`,
  (sort, count) => `  ${sort} ${count}`,
  (sort, count) => `  ${sort}: ${count}`,
  (sort, count) => `  - ${sort}, ${count} pcs`,
  (sort, count) => `  ${sort} (${count})`,
  (sort, count) => `  ${sort} ........ ${count}`,
  (sort, count) => `  ${count} x ${sort}`,
  (sort, count) => `  ${sort}, box of ${count}`,
  (sort, count) => `  lid pocket   ${sort}   ${count}`,
  (sort, count) => `  ${sort}   drawer 2   ${count}`,
  (sort, count) => ` [x] main box   ${sort}   ${count}`,
  (sort, count) => ` ${sort}   ${count}   [x]`,
  (sort, count) => `  ${sort}   ${count}   exp 05/2029`,
  (sort, count) => `${sort}\t${count}`,
  (sort, count) => `${sort}\t${count}\t05/2029`,
  (sort, count) => `| ${sort} | ${count} |`,
];
/** Counted by hand: a heading, two sorts of it, another heading with one. */
function card(heading: (name: string) => string, row: (sort: string, count: number) => string) {
  const lines = ["First aid box", ...heading("Sterile gauze swabs").split("\n")];
  const wanted: string[] = [];
  const add = (sort: string, count: number, reading: string) => {
    lines.push(row(sort, count));
    wanted.push(`${lines.length} ${reading}`);
  };
  add("5 x 5 cm", 10, "gauze-pad 10 [50,50]");
  add("10 x 10 cm", 8, "gauze-pad 8 [100,100]");
  lines.push(...heading("Crepe bandages").split("\n"));
  add("7.5 cm", 3, "elastic-bandage 3 [75]");
  return { text: lines.join("\n"), wanted };
}

describe("sorts below the name of the thing", () => {
  HEADINGS.forEach((heading, h) =>
    it(`are read in every form under ${JSON.stringify(heading("Name"))}`, () => {
      for (const row of ROWS) {
        const { text, wanted } = card(heading, row);
        expect(entriesOf(text), `${h}: ${text}`).to.deep.equal(wanted);
      }
    }),
  );

  it("of what comes in a width, one number before it counts; of a pad it is a size", () => {
    expect(entriesOf("Conforming bandages\n  3 x 5 cm\n  2 x 7.5 cm")).to.deep.equal([
      "2 roller-bandage 3 [50]",
      "3 roller-bandage 2 [75]",
    ]);
    expect(entriesOf("Gauze pads\n  5 x 7.5 cm  4")).to.deep.equal(["2 gauze-pad 4 [50,75]"]);
  });

  it("are counted as the heading says", () => {
    expect(entriesOf("Gloves, nitrile (pairs)\n  M  10\n  L  5")).to.deep.equal([
      "2 nitrile-gloves 10 null",
      "3 nitrile-gloves 5 null",
    ]);
    expect(entriesOf("Gauze pads, 2 per envelope\n  5 x 5 cm   10")).to.deep.equal([
      "2 gauze-pad 20 [50,50]",
    ]);
    expect(entriesOf("Tubular bandage\n  - size C: 1 m\n  - size D: 1 m")).to.deep.equal([
      "2 tubular-bandage 1 [1000]",
      "3 tubular-bandage 1 [1000]",
    ]);
  });

  it("end where something else is named, or two lines are left out", () => {
    expect(entriesOf("Gauze pads\n  5 x 5 cm   10\nWhistle\n\n\n  7.5 cm   3")).to.include(
      "2 gauze-pad 10 [50,50]",
    );
  });
});

describe("sizes below their name, each behind its place", () => {
  it("are of the name above, and the name is no thing of its own", () =>
    expect(
      entriesOf(
        "Crepe bandages\nPacking shed: 5 cm - 4\nSpray store: 7.5 cm - 2\nGauze\nSpray store - 5 x 5 cm: 6\nPacking shed - 10 x 10 cm: 12",
      ),
    ).to.deep.equal([
      "2 elastic-bandage 4 [50]",
      "3 elastic-bandage 2 [75]",
      "5 gauze-pad 6 [50,50]",
      "6 gauze-pad 12 [100,100]",
    ]));
  it("a place that stands once may be a name", () =>
    expect(entriesOf("Bandages\nCrepe: 5 cm - 4\nConforming: 7.5 cm - 2")).to.deep.equal([
      "2 elastic-bandage 4 [50]",
      "3 roller-bandage 2 [75]",
    ]));
});

describe("what bottles hold, below what is in them", () => {
  it("is read with the count beside it, first or last", () =>
    expect(
      entriesOf("Eye wash\n500 ml - 2\n4 x 250 ml\nParacetamol\n500 mg: 16\n250 mg tablets (8)"),
    ).to.deep.equal([
      "2 eyewash 2 null",
      "3 eyewash 4 null",
      "5 paracetamol 16 null",
      "6 paracetamol 8 null",
    ]));
});

describe("several sorts on one row", () => {
  /** Three sizes, each with how many, in one writing. */
  const COUNTED: readonly (readonly [string, (size: string, n: number) => string])[] = [
    ["a dash", (s, n) => `${s} - ${n}`],
    ["a sign", (s, n) => `${s} x ${n}`],
    ["brackets", (s, n) => `${s} (${n})`],
    ["a colon", (s, n) => `${s}: ${n}`],
    ["pieces", (s, n) => `${s} ${n} pcs`],
    ["dots", (s, n) => `${s} .. ${n}`],
    ["the count first", (s, n) => `${n} at ${s}`],
  ];
  const WRITTEN: readonly (readonly [string, string, readonly number[]])[] = [
    ["Elastic bandages", "cm", [50, 80, 100]],
    ["Crepe bandages", "in", [51, 102, 152]],
    ["Gauze pads", "cm", [50, 100, 200]],
  ];
  const sizeOf = (mm: number, unit: string, isArea: boolean) => {
    const n = unit === "in" ? Math.round(mm / 25.4) : mm / 10;
    return isArea ? `${n} x ${n} ${unit}` : `${n} ${unit}`;
  };
  for (const [how, counted] of COUNTED)
    it(`are a row each, below their heading or behind it: ${how}`, () => {
      for (const [name, unit, sizes] of WRITTEN)
        for (const between of ["; ", " / ", " + ", " & ", " and ", "     ", " | "]) {
          const isArea = name === "Gauze pads";
          const list = sizes.map((mm, i) => counted(sizeOf(mm, unit, isArea), 4 + i)).join(between);
          const type = isArea ? "gauze-pad" : "elastic-bandage";
          const want = (line: number) =>
            sizes.map((mm, i) => `${line} ${type} ${4 + i} [${isArea ? `${mm},${mm}` : mm}]`);
          for (const card of [`Whistle 1\n${name.toUpperCase()}\n  ${list}\nTorch 1`])
            expect(entriesOf(card).slice(1, -1), card).to.deep.equal(want(3));
          for (const card of [`Whistle 1\n${name}: ${list}\nTorch 1`])
            expect(entriesOf(card).slice(1, -1), card).to.deep.equal(want(2));
        }
    });

  it("are told whatever parts them, and what is no list of sizes is left", () => {
    expect(sortsTold("Tape: 25 mm (11) | 75 mm (6)")).to.equal("Tape: 25 mm (11); 75 mm (6)");
    expect(sortsTold("  2x2 - 20 pcs     4x4 - 15 pcs")).to.equal("  2x2 (20 pcs); 4x4 (15 pcs)");
    for (const line of [
      "Gloves: S 2 pairs, M 4 pairs",
      "Gauze pads 10 x 10 cm, 12; used 3",
      "1 whistle; 2 torches",
      "Bandage 6 cm x 4 m",
    ])
      expect(sortsTold(line)).to.equal(line);
  });
  it("are no count of the heading: '3 in (16)' counts nothing, '3 in the lid' does", () => {
    expect(saysAmount("3 in (16) / 6 in (10)")).to.equal(false);
    expect(saysAmount("2 of 4 x 4 in")).to.equal(false);
    expect(saysAmount("3 in the lid")).to.equal(true);
  });
});
