import type { AgainstList } from "../core/chance/againstList.ts";
import type { Chance } from "../core/chance/simulate.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import { grouped, number } from "./display.ts";
import { quantity } from "./sentences.ts";

/** Beside every figure of chance. */
export const CHANCE_CAUTION =
  "A planning aid from assumptions, no statistics: a rare bad day is exactly what it cannot promise.";

const percents = (share: number): string => number(share * 100, 1);

/** "71–83 of 100" or "83 of 100": the smaller first, be it the chance to last or to fall short. */
export const outOf100 = (c: Pick<Chance, "low" | "high">): string =>
  Math.abs(c.high - c.low) < 0.0005
    ? `${percents(c.high)} of 100`
    : `${percents(Math.min(c.low, c.high))}–${percents(Math.max(c.low, c.high))} of 100`;

/** Seldomer than this nobody can say, whatever was played. */
const RAREST = 1e-6;
/** "about once in 1,600 outings (± 4 %)". */
export const rareText = (value: number, se: number): string =>
  value < RAREST
    ? "less than once in a million outings"
    : `about once in ${grouped(Number((1 / value).toPrecision(2)))} outings (± ${number((200 * se) / value, 0)} %)`;

/** So much of what serves a function, in its unit: "1.5 m", "250 ml", "4". */
export const needAmount = (functionId: string, n: number): string =>
  quantity(Math.round(n * 10) / 10, CATALOGUE.functions.get(functionId)?.unit ?? "each");

/** What the list asks against what suffices, in a table. */
export const SAYS_TEXT: Readonly<Record<NonNullable<AgainstList["says"]>, string>> = {
  "too-little": "asks too little",
  "more-than-it-takes": "asks more than it takes",
  rare: "rare: the list decides",
};

/** So many are named; the table has the rest. */
const NAMED = 4;

/** Where the list asks too little and where more than it takes, the furthest off first; "" where it does neither. */
export function listAgainstChance(
  rows: readonly AgainstList[],
  labelOf: (functionId: string) => string,
): string {
  const named = (says: AgainstList["says"]): string => {
    const off = (r: AgainstList) => Math.abs(Math.log(r.need.enough["95"] / r.byList));
    const those = rows.filter((r) => r.says === says).sort((x, y) => off(y) - off(x));
    const texts = those.slice(0, NAMED).map((r) => {
      const amount = (n: number) => needAmount(r.need.function, n);
      const amounts = `${amount(r.byList)} asked, ${amount(r.need.enough["95"])} suffice`;
      return `${labelOf(r.need.function).toLowerCase()} (${amounts})`;
    });
    const more = those.length - texts.length;
    return texts.join("; ") + (more > 0 ? `; and ${more} more` : "");
  };
  const little = named("too-little");
  const more = named("more-than-it-takes");
  return [
    little && `For 95 of 100 outings the list asks too little of: ${little}.`,
    more &&
      `${little ? "It asks" : "For 95 of 100 outings the list asks"} more than it takes of: ${more}.`,
  ]
    .filter(Boolean)
    .join(" ");
}

/** "± 0.3": two standard errors, in points. */
export const errorText = (se: number, trips: number): string =>
  se === 0 ? `within ${number(300 / trips, 2)} points` : `± ${number(200 * se, 2)} points`;
