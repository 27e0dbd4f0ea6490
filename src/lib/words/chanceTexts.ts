import type { Chance } from "../core/chance/simulate.ts";
import { number } from "./display.ts";

/** Beside every figure of chance. */
export const CHANCE_CAUTION =
  "A planning aid from assumptions, no statistics: a rare bad day is exactly what it cannot promise.";

const percents = (share: number): string => number(share * 100, 1);

/** "71–83 of 100" or "83 of 100": the chance that it does not fall short. */
export const outOf100 = (c: Pick<Chance, "low" | "high">): string =>
  Math.abs(c.high - c.low) < 0.0005
    ? `${percents(c.high)} of 100`
    : `${percents(c.low)}–${percents(c.high)} of 100`;

/** Seldomer than this nobody can say, whatever was played. */
const RAREST = 1e-6;
/** "about once in 1600 outings (± 4 %)". */
export const rareText = (value: number, se: number): string =>
  value < RAREST
    ? "less than once in a million outings"
    : `about once in ${number(Number((1 / value).toPrecision(2)), 0)} outings (± ${number((200 * se) / value, 0)} %)`;

/** "± 0.3": two standard errors, in points. */
export const errorText = (se: number, trips: number): string =>
  se === 0 ? `within ${number(300 / trips, 2)} points` : `± ${number(200 * se, 2)} points`;
