import { problem, type ProblemCode, type Problem, type Values } from "../model/problem.ts";
import { isDay, isMonth } from "../base/dates.ts";

export type DateRead =
  | { readonly ok: true; readonly value: string | undefined }
  | {
      readonly ok: false;
      readonly problem: Problem;
      /** Where it can be read two ways: the dates it may be, most usual first. */
      readonly choices?: readonly string[];
    };

const refused = (...[code, values]: [ProblemCode, Values?]) =>
  ({ ok: false, problem: problem("", code, values) }) as const;

const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const two = (n: number) => String(n).padStart(2, "0");

/**
 * A date as it is typed off a wrapper, in any usual order: 2027-05, 05/2027, 0527, 5.27, May 2027,
 * 2027-05-31, 31.05.2027, none. Empty: not read yet. What can be read two ways is asked back with the
 * dates it may be; impossible dates are refused.
 */
export function readDateText(text: string): DateRead {
  const t = text.trim().toLowerCase();
  if (t === "") return { ok: true, value: undefined };
  if (/^(?:none|no date|no|-|–)$/.test(t)) return { ok: true, value: "none" };
  const good = (value: string): DateRead =>
    exists(value) ? { ok: true, value } : refused("no-such-date", { text: text.trim() });
  const named = /^(?:(\d{1,2})[\s.-]+)?([a-z]{3,9})\.?[\s.-]*(\d{4}|\d{2})$/.exec(t);
  const month = named ? MONTHS.findIndex((m) => named[2]!.startsWith(m)) + 1 : 0;
  if (named && month > 0) {
    const start = `${fullYear(named[3]!)}-${two(month)}`;
    return good(named[1] ? `${start}-${two(Number(named[1]))}` : start);
  }
  if (/^\d{6}$/.test(t) && /^(?:19|20|21)/.test(t)) return good(`${t.slice(0, 4)}-${t.slice(4)}`);
  if (/^\d{6}$/.test(t)) return among(text, dayOrders(t.slice(0, 2), t.slice(2, 4), t.slice(4)));
  if (/^\d{8}$/.test(t)) return good(`${t.slice(0, 4)}-${t.slice(4, 6)}-${t.slice(6)}`);
  if (/^\d{3,4}$/.test(t)) {
    // Typed without a sign, as on a number pad: 0527, 527
    const digits = t.padStart(4, "0");
    return among(text, monthOrders(digits.slice(0, 2), digits.slice(2)));
  }
  const parts = t.split(/[-/.\s]+/);
  if (!parts.every((p) => /^\d{1,4}$/.test(p))) return refuse(text);
  const [a, b, c] = parts as [string, string?, string?];
  if (b === undefined) return refuse(text);
  if (c === undefined) {
    if (a.length === 4) return good(`${a}-${two(Number(b))}`);
    if (b.length === 4) return good(`${b}-${two(Number(a))}`);
    return among(text, monthOrders(a, b));
  }
  if (a.length === 4) return good(`${a}-${two(Number(b))}-${two(Number(c))}`);
  if (c.length === 4)
    return among(text, [
      `${c}-${two(Number(b))}-${two(Number(a))}`,
      `${c}-${two(Number(a))}-${two(Number(b))}`,
    ]);
  if (c.length === 2 && a.length <= 2) {
    // The year leads where hyphens part it; 31/05/27 and 31.05.27 begin with a day or a month.
    const orders = dayOrders(a, b, c);
    return among(text, t.includes("-") ? orders : orders.slice(0, 2));
  }
  return refuse(text);
}

const exists = (date: string) => isMonth(date) || isDay(date);

/** 05/27: month and year, or year and month. */
const monthOrders = (a: string, b: string): string[] => [
  `${fullYear(b)}-${two(Number(a))}`,
  `${fullYear(a)}-${two(Number(b))}`,
];

/** 05/06/27: day month year, month day year, year month day. */
const dayOrders = (a: string, b: string, c: string): string[] => [
  `${fullYear(c)}-${two(Number(b))}-${two(Number(a))}`,
  `${fullYear(c)}-${two(Number(a))}-${two(Number(b))}`,
  `${fullYear(a)}-${two(Number(b))}-${two(Number(c))}`,
];

/** Medical goods on a bench today were made and expire within these years; others are read last. */
const LIKELY = { from: 2010, to: 2049 } as const;
const likely = (date: string) => {
  const year = Number(date.slice(0, 4));
  return year >= LIKELY.from && year <= LIKELY.to;
};

/** The one date of the orders that exists; of several that are as likely none, but asked back. */
function among(text: string, orders: readonly string[]): DateRead {
  const found = [...new Set(orders.filter(exists))];
  const plausible = found.filter(likely);
  const left = plausible.length > 0 ? plausible : found;
  if (left.length === 1) return { ok: true, value: left[0] };
  if (left.length === 0) return refused("no-such-date", { text: text.trim() });
  return {
    ok: false,
    problem: problem("", left.length === 2 ? "two-dates" : "several-dates", {
      text: text.trim(),
      dates: left,
    }),
    choices: left,
  };
}

const fullYear = (y: string): string => (y.length === 4 ? y : `20${two(Number(y))}`);
const refuse = (text: string): DateRead => refused("no-date", { text: text.trim() });

/** So many pieces of a line, good to one date. */
export interface DatedPart {
  readonly pieces: number;
  readonly expires: string;
}

export type DatesRead =
  | { readonly ok: true; readonly parts: readonly DatedPart[] }
  | { readonly ok: false; readonly problem: Problem };

/**
 * Several dates in one line: "3 2027-05, 3 2026-10", "3 good to 05/27; rest 10/26". `pieces` is what
 * lies there; `rest` takes what is left of it.
 */
export function readDates(text: string, pieces: number): DatesRead {
  const parts: DatedPart[] = [];
  let restAt = -1;
  for (const piece of text.split(/[,;\n]|\band\b/i)) {
    if (piece.trim() === "") continue;
    const m = /^\s*(\d+|rest)\s*(?:x|×|:|good to|to|until|of)?\s+(.+)$/i.exec(
      piece.replace(/(\d+)\s*[x×:]\s*/i, "$1 "),
    );
    if (!m) return refused("no-dated-part", { text: piece.trim() });
    const read = readDateText(m[2]!);
    if (!read.ok) return { ok: false, problem: read.problem };
    if (read.value === undefined) return refused("part-without-date", { text: piece.trim() });
    if (/rest/i.test(m[1]!)) {
      if (restAt >= 0) return refused("twice", { id: "rest" });
      restAt = parts.length;
    }
    parts.push({ pieces: /rest/i.test(m[1]!) ? 0 : Number(m[1]), expires: read.value });
  }
  const named = parts.reduce((s, p) => s + p.pieces, 0);
  if (parts.length < 2) return refused("two-dates-wanted");
  const left = pieces - named;
  if (restAt >= 0 ? left <= 0 : left !== 0)
    return refused("parts-do-not-add-up", { named, pieces });
  if (restAt >= 0) parts[restAt] = { ...parts[restAt]!, pieces: left };
  if (parts.some((p) => p.pieces <= 0)) return refused("part-without-pieces");
  return { ok: true, parts };
}
