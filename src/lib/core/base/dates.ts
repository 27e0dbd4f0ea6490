/** Calendar days as ISO strings, which sort as dates do. No clock, no time zone. */

const MONTH = /^(\d{4})-(\d{2})$/;
const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;

const pad = (n: number, width = 2) => String(n).padStart(width, "0");
const iso = (year: number, month: number, day: number) =>
  `${pad(year, 4)}-${pad(month)}-${pad(day)}`;

/** Days in a month, 1 = January. */
export const daysInMonth = (year: number, month: number): number =>
  new Date(Date.UTC(year, month, 0)).getUTCDate();

/** Whether `YYYY-MM-DD` names a day that exists, 1900 to 2199. */
export function isDay(text: string): boolean {
  const m = DAY.exec(text);
  if (!m) return false;
  const [year, month, day] = [Number(m[1]), Number(m[2]), Number(m[3])];
  return isYearMonth(year, month) && day >= 1 && day <= daysInMonth(year, month);
}

/** Whether `YYYY-MM` names a month that exists, 1900 to 2199. */
export function isMonth(text: string): boolean {
  const m = MONTH.exec(text);
  return m !== null && isYearMonth(Number(m[1]), Number(m[2]));
}

const isYearMonth = (year: number, month: number) =>
  year >= 1900 && year <= 2199 && month >= 1 && month <= 12;

/** The last good day of a printed date: a month is good to its last day. */
export function lastGoodDay(expires: string): string {
  const m = MONTH.exec(expires);
  if (!m) return expires;
  const [year, month] = [Number(m[1]), Number(m[2])];
  return iso(year, month, daysInMonth(year, month));
}

/** `date` (a day, or a month) moved by whole calendar months, then its last good day; 29 February becomes the 28th. */
export function lastGoodDayAfterMonths(expires: string, months: number): string {
  const parts = expires.split("-").map(Number);
  const zeroBased = parts[0]! * 12 + (parts[1]! - 1) + months;
  const year = Math.floor(zeroBased / 12);
  const month = (zeroBased % 12) + 1;
  const last = daysInMonth(year, month);
  return iso(year, month, parts.length === 2 ? last : Math.min(parts[2]!, last));
}

/** Whole days from one day to another; below 0: the other comes first. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);

/** A day moved by whole days. */
export function addDays(day: string, days: number): string {
  const [y, m, d] = day.split("-").map(Number);
  const moved = new Date(Date.UTC(y!, m! - 1, d! + days));
  return iso(moved.getUTCFullYear(), moved.getUTCMonth() + 1, moved.getUTCDate());
}
