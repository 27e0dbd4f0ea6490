import { expect } from "chai";
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
