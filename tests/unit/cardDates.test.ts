import { expect } from "chai";
import { datesPlainly } from "../../src/lib/core/card/datesPlainly.ts";
import { entriesOf } from "./cardReading.ts";

describe("a date counts nothing", () => {
  const DATES = [
    "09/18/26",
    "09/18/2026",
    "9/18/26",
    "18/09/26",
    "18.09.26",
    "18-09-26",
    "2026/09/18",
    "2026-09-18",
    "September 18, 2026",
    "18 Sep 26",
    "Sep 18",
    "18-Sep",
    "18/09",
  ];
  const LINES: readonly (readonly [string, (thing: string, date: string) => string])[] = [
    ["before its thing", (t, d) => `${d}  ${t}`],
    ["before it, behind a dash", (t, d) => `${d} - ${t}`],
    ["before it, in brackets", (t, d) => `[${d}] ${t}`],
    ["in a cell before it", (t, d) => `${d}\t${t}`],
    ["behind it", (t, d) => `${t}    ${d}`],
    ["behind it, in brackets", (t, d) => `${t} (${d})`],
    ["in a cell behind it", (t, d) => `${t}\t${d}`],
  ];
  for (const [where, line] of LINES)
    it(where, () => {
      for (const date of DATES)
        for (const of of [(n: number) => `eye pads ${n}`, (n: number) => `eye pads (${n})`]) {
          const card = [line(of(4), date), line("whistle x2", date), line("slings: 3", date)];
          expect(entriesOf(card.join("\n")), card[0]).to.deep.equal([
            "1 eye-pad 4 null",
            "2 whistle 2 null",
            "3 triangular-bandage 3 null",
          ]);
        }
    });

  it("is put as wide as it was, so that columns stand", () => {
    expect(datesPlainly("a  March 8, 2026   4")).to.equal("a  8.3.2026        4");
    expect(datesPlainly("09/18/26  4")).to.equal("18.09.26  4");
    expect(datesPlainly("a\tJune 2030")).to.equal("a\t06/2030  ");
  });
  for (const line of [
    // sizes, sorts, fractions, ranges, names
    "2 mar markers",
    "gauze 10-15-20",
    "plasters 3/4 full",
    "24/7 cold pack",
    "may be used 3",
    "size 12-14",
    "August 12 pads",
  ])
    it(`is not what only looks like one: ${line}`, () => expect(datesPlainly(line)).to.equal(line));
});
