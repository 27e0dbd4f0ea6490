import { expect } from "chai";
import { EDGE_KINDS, withoutEdgeData } from "../../src/lib/core/card/edgeData.ts";
import { entriesOf } from "./cardReading.ts";

/** A date, a price, a weight and their like at an end of each line count nothing, whatever sets them apart. */

/** Ways to count a thing; its count is taken from none of what is set beside it. */
const COUNTED = [
  (name: string, count: number) => `${count} x ${name}`,
  (name: string, count: number) => `${name}, ${count}`,
  (name: string, count: number) => `${name} (${count})`,
  (name: string, count: number) => `${name} - ${count}`,
];
const THINGS = [
  ["eye pads", "eye-pad", 4, "null"],
  ["crepe bandage 7.5 cm", "elastic-bandage", 3, "[75]"],
  ["whistle", "whistle", 2, "null"],
  ["safety pins", "safety-pin", 12, "null"],
] as const;
const WANTED = THINGS.map(([, type, count, size], i) => `${i + 1} ${type} ${count} ${size}`);
const BETWEEN = [" ........ ", "     ", "\t", " | ", ", ", " - ", " : ", "; "];

describe("what stands beside a thing and its count", () => {
  for (const { name, example } of EDGE_KINDS)
    it(`counts nothing at either end: ${name}, "${example}"`, () => {
      for (const counted of COUNTED)
        for (const between of BETWEEN) {
          const things = THINGS.map(([thing, , count]) => counted(thing, count));
          const behind = things.map((thing) => thing + between + example);
          const before = things.map((thing) => example + between + thing);
          expect(entriesOf(behind.join("\n")), behind[0]).to.deep.equal(WANTED);
          expect(entriesOf(before.join("\n")), before[0]).to.deep.equal(WANTED);
        }
    });

  it("may be several of them", () => {
    const lines = THINGS.map(
      ([thing, , count]) => `${count} x ${thing} | 05/2029 | lot A77 | £2.50`,
    );
    expect(entriesOf(lines.join("\n"))).to.deep.equal(WANTED);
  });

  it("is a cell where the table has a column that counts", () => {
    const table = ["Plasters\t40\t05/2029", "Eye pads\t4\t01/2028", "Whistle\t1\t02/2028"];
    expect(withoutEdgeData(table)).to.deep.equal(table);
  });

  it("counts a thing that has no other count, where it may", () => {
    const lines = ["whistle | n/a", "eye pads | n/a", "foil blanket | n/a", "4 x torch | n/a"];
    expect(withoutEdgeData(lines)).to.deep.equal(lines);
  });

  it("takes the sum with what it sums", () => {
    const lines = [
      "2 eye pads ... £2.40",
      "1 torch ... £4.10",
      "3 slings ... £3",
      "Total ... £9.50",
    ];
    expect(withoutEdgeData(lines)).to.deep.equal(["2 eye pads", "1 torch", "3 slings", ""]);
  });
});
