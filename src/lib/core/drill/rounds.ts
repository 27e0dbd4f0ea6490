import { addDays, lastGoodDay } from "../base/dates.ts";
import type { Calculation } from "../calculators/calculation.ts";
import { dressings } from "../calculators/dressings.ts";
import { irrigation } from "../calculators/irrigation.ts";
import { wraps } from "../calculators/wraps.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Random } from "../chance/random.ts";
import type { Audit } from "../audit/audit.ts";

/** Thirty-second rounds: quick questions that nothing schedules. */
export const ROUND_S = 30;

const pick = <T>(list: readonly T[], random: Random): T =>
  list[Math.floor(random.next() * list.length)]!;
const upTo = (n: number, random: Random) => Math.floor(random.next() * n);
const two = (n: number) => String(n).padStart(2, "0");
const MONTHS = ["JAN", "FEB", "MAR", "APR", "MAY", "JUN", "JUL", "AUG", "SEP", "OCT", "NOV", "DEC"];

/** Is it still good on the last day? */
export interface DateQuestion {
  readonly is: "date";
  readonly printed: string;
  readonly lastDay: string;
  readonly right: "yes" | "no";
}

/** How dates stand on wrappers; a month alone is good to its last day. */
const PRINTS: readonly ((y: number, m: number, d: number) => { text: string; date: string })[] = [
  (y, m) => ({ text: `EXP ${two(m)}/${y}`, date: `${y}-${two(m)}` }),
  (y, m) => ({ text: `${y}-${two(m)}`, date: `${y}-${two(m)}` }),
  (y, m) => ({ text: `USE BY ${MONTHS[m - 1]} ${y}`, date: `${y}-${two(m)}` }),
  (y, m) => ({ text: `${two(m)}/${two(y % 100)}`, date: `${y}-${two(m)}` }),
  (y, m, d) => ({ text: `${y}-${two(m)}-${two(d)}`, date: `${y}-${two(m)}-${two(d)}` }),
  (y, m, d) => ({ text: `${two(d)} ${MONTHS[m - 1]} ${y}`, date: `${y}-${two(m)}-${two(d)}` }),
];

/** A date near the last day of an outing, so that the month's end and the day before decide. */
export function dateQuestion(today: string, random: Random): DateQuestion {
  const lastDay = addDays(today, upTo(40, random));
  const near = addDays(lastDay, upTo(91, random) - 45);
  const [y, m, d] = near.split("-").map(Number) as [number, number, number];
  const { text, date } = pick(PRINTS, random)(y, m, d);
  return { is: "date", printed: text, lastDay, right: lastGoodDay(date) >= lastDay ? "yes" : "no" };
}

/** How many of the pieces on a card are small plasters and wipes? */
export interface PaddingQuestion {
  readonly is: "padding";
  readonly lines: readonly { readonly itemType: string; readonly pieces: number }[];
  readonly options: readonly number[];
  readonly right: number;
}

const CARD_LINES = 6;
export function paddingQuestion(random: Random, catalogue: Catalogue): PaddingQuestion {
  const all = [...catalogue.types.values()].filter((t) => !t.trainer && t.use === "single");
  const padding = all.filter((t) => t.padding);
  const rest = all.filter((t) => !t.padding && t.measure === "each");
  const lines: { itemType: string; pieces: number; counts: boolean }[] = [];
  while (lines.length < CARD_LINES) {
    const counts = random.next() < 0.5;
    const type = pick(counts ? padding : rest, random);
    if (lines.some((l) => l.itemType === type.id)) continue;
    lines.push({
      itemType: type.id,
      pieces: counts ? 2 + upTo(29, random) : 1 + upTo(6, random),
      counts,
    });
  }
  const right = lines.reduce((s, l) => s + (l.counts ? l.pieces : 0), 0);
  const pieces = lines.reduce((s, l) => s + l.pieces, 0);
  return {
    is: "padding",
    lines: lines.map(({ itemType, pieces: n }) => ({ itemType, pieces: n })),
    options: optionsAround(right, [pieces, right + 5, Math.max(0, right - 4), right + 11], random),
    right,
  };
}

/** How much of it? An estimate among four, then the sum. */
export interface EstimateQuestion {
  readonly is: "estimate";
  readonly sum: Calculation;
  readonly limb: "leg" | "arm" | null;
  readonly people: number;
  readonly options: readonly number[];
  readonly right: number;
}

/** Estimates told apart by half again: nearer ones nobody tells by eye. */
const APART = 1.5;
export function estimateQuestion(random: Random): EstimateQuestion {
  const brief = {
    ...{ people: 2 + upTo(8, random), days: 1 + upTo(4, random) },
    ...{ hoursToCare: 2 * (1 + upTo(12, random)), tallestCm: 160 + 5 * upTo(8, random) },
  };
  const limb = pick(["leg", "arm"] as const, random);
  const kind = upTo(3, random);
  const sum =
    kind === 0
      ? wraps(
          { limb, limbs: 1, widthMm: pick([75, 100, 150], random), lengthMm: 4500, overlap: 0.5 },
          brief,
          true,
        )
      : kind === 1
        ? dressings({ wounds: 1 + upTo(3, random), everyH: pick([6, 8, 12], random) }, brief)
        : irrigation({ wounds: 1, lengthMm: 20 + 10 * upTo(7, random), mlPerCm: 100 }, brief);
  const right = sum.amount;
  const tidy = (n: number) => (n >= 10 ? Math.round(n) : Math.round(10 * n) / 10);
  const others = [right * APART, right / APART, right * APART ** 2, right / APART ** 2].map(tidy);
  return {
    ...{ is: "estimate", sum, people: brief.people, right },
    limb: kind === 0 ? limb : null,
    options: optionsAround(right, others, random),
  };
}

/** Which line, now? */
export interface FindQuestion {
  readonly is: "find";
  readonly function: string;
  readonly options: readonly string[];
  /** Any of these does the job. */
  readonly right: readonly string[];
}

/** A need that something in the kit meets, and lines that do not; null: the kit has too little to ask about. */
export function findQuestion(a: Audit, random: Random): FindQuestion | null {
  const idOf = (l: number) => a.context.lines[l]!.line.id;
  const own = a.context.lines.filter((l) => !l.elsewhere).map((l) => l.line.id);
  const served = a.needs.flatMap((n, i) => {
    const right = n.pairs.filter((p) => p.f > 0 && !a.context.lines[p.pair.line]!.elsewhere);
    return right.length > 0 && right.length < own.length
      ? [{ i, right: right.map((p) => idOf(p.pair.line)) }]
      : [];
  });
  if (served.length === 0 || own.length < 4) return null;
  const { i, right } = pick(served, random);
  const wrong = own.filter((id) => !right.includes(id));
  const options = new Set([pick(right, random)]);
  while (options.size < Math.min(4, wrong.length + 1)) options.add(pick(wrong, random));
  return {
    is: "find",
    function: a.context.needs[i]!.need.function,
    options: shuffled([...options], random),
    right,
  };
}

function optionsAround(right: number, others: readonly number[], random: Random): number[] {
  const options = new Set([right]);
  for (const o of others) if (options.size < 4) options.add(o);
  for (let more = 1; options.size < 4; more++) options.add(right + 2 * more);
  return shuffled([...options], random);
}

function shuffled<T>(list: T[], random: Random): T[] {
  for (let i = list.length - 1; i > 0; i--) {
    const j = upTo(i + 1, random);
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}
