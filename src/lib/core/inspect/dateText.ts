import { isDay, isMonth } from "../dates.ts";

export type DateRead =
  | { readonly ok: true; readonly value: string | undefined }
  | { readonly ok: false; readonly what: string };

const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const two = (n: number) => String(n).padStart(2, "0");

/**
 * A date as it is typed off a wrapper, in any usual order: 2027-05, 05/2027, 5.27, May 2027,
 * 2027-05-31, 31.05.2027, none. Empty: not read yet. Ambiguous or impossible dates are refused.
 */
export function readDateText(text: string): DateRead {
  const t = text.trim().toLowerCase();
  if (t === "") return { ok: true, value: undefined };
  if (/^(?:none|no date|no|-|–)$/.test(t)) return { ok: true, value: "none" };
  const good = (value: string): DateRead =>
    isMonth(value) || isDay(value)
      ? { ok: true, value }
      : { ok: false, what: `${text.trim()} is not a date that exists` };
  const named = /^(?:(\d{1,2})[\s.-]+)?([a-z]{3,9})\.?[\s.-]*(\d{4}|\d{2})$/.exec(t);
  const month = named ? MONTHS.findIndex((m) => named[2]!.startsWith(m)) + 1 : 0;
  if (named && month > 0) {
    const start = `${fullYear(named[3]!)}-${two(month)}`;
    return good(named[1] ? `${start}-${two(Number(named[1]))}` : start);
  }
  if (/^\d{6}$/.test(t)) return good(`${t.slice(0, 4)}-${t.slice(4)}`);
  const parts = t.split(/[-/.\s]+/);
  if (!parts.every((p) => /^\d{1,4}$/.test(p))) return refuse(text);
  const [a, b, c] = parts as [string, string?, string?];
  if (b === undefined) return refuse(text);
  if (c === undefined) {
    if (a.length === 4) return good(`${a}-${two(Number(b))}`);
    if (b.length === 4) return good(`${b}-${two(Number(a))}`);
    // 05/27 can only be May 2027; 05/06 could be two things, and so could 27/05 as a year first
    if (Number(a) <= 12 && Number(b) > 12) return good(`${fullYear(b)}-${two(Number(a))}`);
    return {
      ok: false,
      what: `${text.trim()} can be read two ways: write the year in full, as 2027-05`,
    };
  }
  if (a.length === 4) return good(`${a}-${two(Number(b))}-${two(Number(c))}`);
  if (c.length !== 4 && c.length !== 2) return refuse(text);
  const [x, y] = [Number(a), Number(b)];
  if (x > 12) return good(`${fullYear(c)}-${two(y)}-${two(x)}`);
  if (y > 12) return good(`${fullYear(c)}-${two(x)}-${two(y)}`);
  if (x === y) return good(`${fullYear(c)}-${two(y)}-${two(x)}`);
  return {
    ok: false,
    what: `${text.trim()} is the ${x}. of month ${y} or the ${y}. of month ${x}: write ${fullYear(c)}-${two(y)}-${two(x)} or ${fullYear(c)}-${two(x)}-${two(y)}`,
  };
}

const fullYear = (y: string): string => (y.length === 4 ? y : `20${two(Number(y))}`);
const refuse = (text: string): DateRead => ({
  ok: false,
  what: `'${text.trim()}' is not a date: write 2027-05, 2027-05-31 or none`,
});
