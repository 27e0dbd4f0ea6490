/**
 * How numbers, sizes, dates and money are written for a reader. Stored values stay SI and ISO; the
 * screens set whose habits hold, a report or the command line uses the plain default.
 */
export interface Display {
  readonly units: "metric" | "us";
  /** BCP 47. */
  readonly locale: string;
}

/** British dates and a decimal point: what a report says when nobody chose. */
export const PLAIN: Display = { units: "metric", locale: "en-GB" };

let source: () => Display = () => PLAIN;
export const display = (): Display => source();
/** Lets the screens say by whose habits to write; `get` may be reactive. */
export const showBy = (get: () => Display): void => void (source = get);

const formats = new Map<string, Intl.NumberFormat>();
function formatter(key: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
  const id = `${display().locale} ${key}`;
  let found = formats.get(id);
  if (!found) formats.set(id, (found = new Intl.NumberFormat(display().locale, options)));
  return found;
}

/** A minus sign, as everywhere else, for the hyphen that some languages' formats write. */
const withMinus = (text: string): string => text.replace(/^-|-(?=\D?\d)/, "−");

/** A number with at most so many decimals, no grouping: 1234.5. */
export const number = (n: number, digits = 2): string =>
  withMinus(
    formatter(`n${digits}`, { maximumFractionDigits: digits, useGrouping: false }).format(
      Object.is(n, -0) ? 0 : n,
    ),
  );

/** A large whole number, its thousands apart: "12,000". */
export const grouped = (n: number): string =>
  formatter("grouped", { maximumFractionDigits: 0 }).format(n);

/** How many of what: "1 line", "3 lines". */
export const many = (n: number, one: string, more = `${one}s`): string =>
  `${number(n)} ${n === 1 ? one : more}`;

export const money = (amount: number, currency: string): string =>
  withMinus(formatter(currency, { style: "currency", currency }).format(amount));

/** Exact by definition of the inch, the yard and the pound; US fluid ounce. */
const MM_PER_INCH = 25.4;
const MM_PER_YARD = 914.4;
const G_PER_OUNCE = 28.349523125;
const ML_PER_FLUID_OUNCE = 29.5735295625;
const OUNCES_PER_POUND = 16;

export function grams(g: number): string {
  if (display().units === "us") {
    const ounces = g / G_PER_OUNCE;
    return ounces >= OUNCES_PER_POUND
      ? `${number(ounces / OUNCES_PER_POUND, 2)} lb`
      : `${number(ounces, 1)} oz`;
  }
  return g >= 1000 ? `${number(g / 1000, 2)} kg` : `${number(g, 0)} g`;
}

/** A strength: mg below a gram, grams from there. */
export const milligrams = (mg: number): string =>
  mg >= 1000 ? `${number(mg / 1000, 2)} g` : `${number(mg, 2)} mg`;

export function litres(ml: number): string {
  if (display().units === "us") return `${number(ml / ML_PER_FLUID_OUNCE, 1)} fl oz`;
  return ml >= 1000 ? `${number(ml / 1000, 1)} l` : `${number(ml, 0)} ml`;
}

/** A roll's length, in metres. */
export const metres = (m: number): string =>
  display().units === "us" ? `${number((m * 1000) / MM_PER_YARD, 1)} yd` : `${number(m, 2)} m`;

/** From here on a length is said in metres or yards. */
const LONG_MM = 1000;
/** A size all of whose numbers are below it is said in one unit, as a triangular bandage in cm. */
const ALL_SHORT_MM = 2000;

/** mm as the trade says it: cm below a metre, metres above; one unit once where all share it. */
export function size(mm: readonly number[] | null | undefined): string {
  if (!mm || mm.length === 0) return "not known";
  const us = display().units === "us";
  const short = (v: number) => number(us ? v / MM_PER_INCH : v / 10, 1);
  const unit = us ? "in" : "cm";
  if (mm.every((v) => v < ALL_SHORT_MM)) return `${mm.map(short).join(" × ")} ${unit}`;
  return mm.map((v) => (v >= LONG_MM ? metres(v / 1000) : `${short(v)} ${unit}`)).join(" × ");
}

const dates = new Map<string, Intl.DateTimeFormat>();
/** "2027-05" → "May 2027", "2027-05-31" → "31 May 2027", as the locale writes it. */
export function day(iso: string): string {
  if (!/^\d{4}-\d{2}(?:-\d{2})?$/.test(iso)) return iso;
  const month = iso.length === 7;
  const id = `${display().locale} ${month}`;
  let format = dates.get(id);
  if (!format)
    dates.set(
      id,
      (format = new Intl.DateTimeFormat(display().locale, {
        ...(month ? {} : { day: "numeric" }),
        month: "short",
        year: "numeric",
        timeZone: "UTC",
      })),
    );
  return format.format(new Date(`${iso}${month ? "-01" : ""}T00:00:00Z`));
}

/** A quantity a person types: in which unit, and how it becomes SI. */
export interface TypedUnit {
  readonly label: string;
  /** Multiply what is typed by it to get the stored value. */
  readonly factor: number;
}

/** Units in which fields are typed: mass in g or oz, volume in ml or fl oz, height in cm or in. */
export const typedUnit = (of: "mass" | "volume" | "height" | "length"): TypedUnit => {
  const us = display().units === "us";
  switch (of) {
    case "mass":
      return us ? { label: "oz", factor: G_PER_OUNCE } : { label: "g", factor: 1 };
    case "volume":
      return us ? { label: "fl oz", factor: ML_PER_FLUID_OUNCE } : { label: "ml", factor: 1 };
    case "height":
      return us ? { label: "in", factor: MM_PER_INCH / 10 } : { label: "cm", factor: 1 };
    case "length":
      return us ? { label: "in", factor: MM_PER_INCH } : { label: "mm", factor: 1 };
  }
};

/** Time of day of a moment, as the user's locale writes it: "07:59", "7:59 AM". */
export const clock = (at: number): string =>
  new Date(at).toLocaleTimeString(display().locale, { hour: "2-digit", minute: "2-digit" });
