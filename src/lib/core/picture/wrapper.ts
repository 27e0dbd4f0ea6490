import { lex } from "../card/lexer.ts";
import { readQuantity } from "../card/quantity.ts";
import { readDateText } from "../inspect/dateText.ts";

/** What the print on a wrapper may say of the thing in it; proposed to a person, never set. */
export interface WrapperFacts {
  /** Dates as printed, each with what it may mean; those beside a word for expiry first. */
  readonly dates: readonly { readonly printed: string; readonly means: readonly string[] }[];
  readonly lot: string | null;
  readonly sizeMm: readonly number[] | null;
}

const DATE =
  /\b(?:\d{4}[-/.]\d{1,2}(?:[-/.]\d{1,2})?|\d{1,2}[-/.]\d{1,2}[-/.]\d{2,4}|\d{1,2}[-/.]\d{4}|(?:\d{1,2}\s+)?(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?\s+\d{4})\b/gi;
const EXPIRY = /\b(?:exp(?:iry|ires?|\.)?|use\s+by|best\s+before|bbe?|valid\s+until)\b|⌛|⧗/i;
const MADE = /\b(?:mfg|mfd|made|manufactured|prod(?:uced)?|packed)\b/i;
const LOT = /\b(?:lot|batch|lot\s*no\.?|b\/n)\b\.?\s*[:#]?\s*([A-Z0-9][A-Z0-9-]{2,20})\b/i;

/** Reads the lines of a wrapper. A date of making is left out. */
export function wrapperFacts(lines: readonly string[]): WrapperFacts {
  const dates: { printed: string; means: string[]; isExpiry: boolean }[] = [];
  lines.forEach((line, i) => {
    for (const m of line.matchAll(DATE)) {
      const before = line.slice(0, m.index);
      // The word may stand on the line above.
      const above = lines[i - 1] ?? "";
      const about = /\p{L}/u.test(before) || above.search(DATE) >= 0 ? before : above;
      const isExpiry = EXPIRY.test(about);
      if (MADE.test(about) && !isExpiry) continue;
      const read = readDateText(m[0]);
      const means = read.ok ? [read.value] : [...(read.choices ?? [])];
      const known = means.filter((d): d is string => d !== undefined);
      if (known.length > 0 && !dates.some((d) => d.printed === m[0]))
        dates.push({ printed: m[0], means: known, isExpiry });
    }
  });
  const sizes = lines.map((l) => readQuantity(lex(l)).sizeMm).filter((s) => s !== null);
  return {
    dates: dates
      .sort((a, b) => Number(b.isExpiry) - Number(a.isExpiry))
      .map(({ printed, means }) => ({ printed, means })),
    lot: lines.map((l) => LOT.exec(l)?.[1]).find((l) => l !== undefined && /\d/.test(l)) ?? null,
    sizeMm: sizes.find((s) => s.length > 1) ?? sizes[0] ?? null,
  };
}

/** One thing that is printed, and on how many of the wrappers it stands. */
interface Printed<T> {
  readonly value: T;
  readonly wrappers: number;
}
/** What several wrappers of one line say together. */
export interface WrappersFacts {
  /** The soonest first: of pieces with several dates the soonest is the line's. */
  readonly dates: readonly Printed<{
    readonly printed: string;
    readonly means: readonly string[];
  }>[];
  readonly lots: readonly Printed<string>[];
  readonly sizes: readonly Printed<readonly number[]>[];
}

function counted<T>(values: readonly T[]): Printed<T>[] {
  const byKey = new Map<string, { value: T; wrappers: number }>();
  for (const value of values) {
    const key = JSON.stringify(value);
    const known = byKey.get(key);
    if (known) known.wrappers++;
    else byKey.set(key, { value, wrappers: 1 });
  }
  return [...byKey.values()];
}

/** Counts what wrappers photographed one by one have in common. */
export const onWrappers = (all: readonly WrapperFacts[]): WrappersFacts => ({
  dates: counted(all.flatMap((w) => w.dates)).sort((a, b) =>
    a.value.means[0]! < b.value.means[0]! ? -1 : 1,
  ),
  lots: counted(all.flatMap((w) => w.lot ?? [])),
  sizes: counted(all.flatMap((w) => (w.sizeMm ? [w.sizeMm] : []))),
});
