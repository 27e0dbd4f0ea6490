import { LONGEST_LINE } from "../../src/lib/core/card/cardLimits.ts";

/** What patterns and tables may trip over, again and again along a line; with how it ends. */
const UNITS: readonly (readonly [again: string, end?: string])[] = [
  ...(["_", "[ ] ", "☐ ", "─", "a ", "✓  ", "× "] as const).map((again) => [again, "x"] as const),
  ["a ", "  y  z"],
  ["aa bb ", "   n"],
  ["a  b | "],
  ["│ "],
  ["\u00a0"],
  ["４"],
  ["\u200b"],
  ["a - "],
  ["a – "],
  ["a, "],
  ["(a) "],
  ["("],
  ["5 of them "],
  ["new ", "z"],
  ["all still just ", "z"],
  ["is are now all ", "in the z"],
  ["a // "],
  ["a # "],
  ["a;", ";"],
  ["a.", "."],
  ["I", ". "],
  ["*", "a*"],
  ["1x a "],
  ["【a】"],
  ["1*"],
  ["lot "],
  ["ref A1"],
  ["123456789012 "],
  ["1/1/26"],
  ["a: 3 bbb = "],
  ["2 x aaa "],
  ["<td></td>"],
  ["## a "],
  ["Section 1: a"],
  ["a   y"],
];
/** As long as a line of a card may be, and as long as one on which remarks are looked for. */
const LENGTHS = [LONGEST_LINE - 5, 110];

/** Cards of so many characters, each of one line over and over, or of numbers that run on. */
export function* hostileCards(length: number): Generator<string> {
  for (const [again, end = ""] of UNITS)
    for (const width of LENGTHS) {
      const line = again.repeat(Math.ceil(width / again.length)).slice(0, width - end.length) + end;
      yield Array.from({ length: Math.ceil(length / line.length) }, () => line).join("\n");
    }
  const lines = Array.from({ length: Math.ceil(length / 10) }, (_, i) => i + 1);
  yield lines.map((n) => `(${n}) x y`).join("\n");
  yield lines.map((n) => (n % 3 === 0 ? "abc def" : `${n} - abc`)).join("\n");
  yield lines.map(() => "abc n/a -").join("\n");
  yield lines.map(() => "five wipes").join("\n");
  yield "abc Q1 ".repeat(Math.ceil(length / 7));
  yield `é${"\n".repeat(length)}`;
}
