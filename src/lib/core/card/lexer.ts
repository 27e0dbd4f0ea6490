import { remembering } from "../base/remembering.ts";
import { quick } from "./quick.ts";

/** A card line as numbers, units and words, each with its place in the line. */

type LengthUnit = "mm" | "cm" | "m" | "in" | "ft" | "yd";

export type Token = { readonly start: number; readonly end: number; readonly text: string } & (
  | {
      readonly kind: "number";
      readonly value: number;
      readonly spoken: boolean;
      readonly article: boolean;
    }
  | { readonly kind: "length"; readonly mm: number }
  | { readonly kind: "volume"; readonly ml: number; readonly maybeMass: boolean }
  | { readonly kind: "strength"; readonly mg: number }
  /** A unit that makes the number before it no count: %, Fr, lumens, people, grams … */
  | { readonly kind: "otherUnit" }
  | { readonly kind: "times" }
  | { readonly kind: "open" | "close" }
  | { readonly kind: "separator"; readonly strong: boolean }
  | { readonly kind: "dash" | "slash" | "colon" }
  | { readonly kind: "word" }
);

const FRACTIONS: Record<string, number> = {
  "¼": 1 / 4,
  "½": 1 / 2,
  "¾": 3 / 4,
  "⅓": 1 / 3,
  "⅔": 2 / 3,
  "⅛": 1 / 8,
  "⅜": 3 / 8,
  "⅝": 5 / 8,
  "⅞": 7 / 8,
};

const SPOKEN: Record<string, number> = {
  zero: 0,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};

/** mm in one of each unit: exact by definition of the inch (25.4 mm). */
const MM: Record<LengthUnit, number> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8, yd: 914.4 };

const FLUID_OUNCE_ML = 29.5735;

/** Multiplication, also spoken: "four by four inch". */
const TIMES = quick(
  /^(?:[×✕✖*]|[xX](?![\p{L}])|times(?=\s+(?:\d|one|two|three|four|five|six|seven|eight|nine|ten|twenty|thirty|fifty|a\s+hundred))|by(?=\s+(?:\d|[a-z]+\s*(?:-\s*)?(?:inch|cm|mm|m\b|foot|feet|yard|and|point|by)|(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|a hundred)\b)))/iu,
);

const SHORTENED =
  /^(?:ct|cts|doz|stk|st|pkg|pkgs|pk|pkt|approx|appr|no|nr|nos|pcs|pc|pce|qty|ea|pr|prs|incl|assort|asst|ass|med|lge|lg|sm|sml|sz|misc|temp|adh|ster|non|bx|btl|env|amp|tab|tabs|cap|caps|disp|ind|indiv|min|max|dia|tri|band|dr|mr|vs|ref|art)$/i;

const OTHER_UNITS = quick(
  /^(?:%|percent|per cent|fr|french|ga|gauge|g|gm|gr|gram|grams|gramme|grammes|kg|kilo|kilos|lb|lbs|lumen|lumens|lm|w(?!\/)|watt|watts|v|volt|volts|hour|hours|h|hr|hrs|minute|minutes|min|mins|day|days|week|weeks|month|months|year|years|yr|yrs|yo|ply|layer|layers|people|persons?|ppl|users?|pages?|way|in-1|in 1|-in-1|functions?|stars?|denier|times(?!\s+(?:\d|one|two|three|four|five|six|seven|eight|nine|ten|twenty|thirty|fifty|a\s+hundred))|kcal|iu|micron|microns|leds?|decibels?|db|°c|°f|°|degrees?|mcg|µg|μg|ug|tools? in|reviews?|customers?|languages?|colours?|colors?|folds?|wraps?)(?![\p{L}\d])/iu,
);

const LENGTH_UNITS: readonly (readonly [RegExp, LengthUnit])[] = [
  [quick(/^(?:mm|millimet(?:re|er)s?)(?![\p{L}])/iu), "mm"],
  [quick(/^(?:cms?|centimet(?:re|er)s?)(?![\p{L}])/iu), "cm"],
  [quick(/^(?:met(?:re|er)s?|mtrs?|m)(?![\p{L}])/iu), "m"],
  [quick(/^inch(?:es)?(?![\p{L}])/iu), "in"],
  // "10 in a box" is no inch.
  [
    quick(
      /^ins?\.?(?![\p{L}])(?!\s+(?:\d+\s+(?:sizes?|types?|colou?rs?)\b|a|an|each|one|every|the|it|them|there|here|my|our|this|use|good|bad|poor|fair|working|date|order|stock|place|hand|freezer|fridge|drawer|kitchen|lid|pocket|pouch|total|all|per|tub|boxe?s?|bags?|packs?|packets?|pkts?|tins?|jars?|strips?|cards?|pouch(?:es)?|case|kit|rucksack|van|car|cab|bus|boat|truck|lorry|cupboard|cabinet|shelf|desk|office|hall|room|store|shed|garage|workshop|reserve|(?:jan|feb|apr|jun|jul|aug|sept?|oct|nov|dec)[a-z]*|march|may|spring|summer|autumn|winter|20\d\d)\b)/iu,
    ),
    "in",
  ],
  [/^(?:"|″|”|“|''|′′|’’)/, "in"],
  [quick(/^(?:feet|foot|ft\.?)(?![\p{L}])/iu), "ft"],
  [quick(/^(?:'|′|’)(?![\p{L}\d])/u), "ft"],
  [quick(/^(?:yards?|yds?\.?)(?![\p{L}])/iu), "yd"],
];

/** Whether the number at `i` has a unit behind it. */
export const isMeasured = (tokens: readonly Token[], i: number): boolean =>
  ["length", "volume", "strength", "otherUnit"].includes(tokens[i + 1]?.kind ?? "");

/** A line is asked for again and again: whole, by its parts, and to tell what a cell holds. */
const MOST_REMEMBERED = 1_000;

/** Splits a line. Nothing is dropped but white space and filler dots. */
export const lex: (line: string) => readonly Token[] = remembering(tokensOf, MOST_REMEMBERED);

/** What stands at a place of the line; `token` null: nothing to keep. */
interface Found {
  readonly length: number;
  readonly token: Record<string, unknown> | null;
}

/** Reads what the text begins with; `before`: the token before it, `gap`: how far back that ends. */
type Step = (text: string, before: Token | undefined, gap: number) => Found | null;

const SKIPPED = /^(?:\s+|[ΦφØø⌀](?=\s?\d)|\.{2,}|_{2,}|…+|[•·*](?=\s))/;
const SEPARATOR = quick(
  /^(?:[,;+&|]|\.(?=\s|$)|(?:and|plus|then|also|but|however|with an?|as well as)(?![\p{L}])|w(?:\/(?=\s?[\p{L}\d])|\.\s(?=\s?\p{L})))/iu,
);
const STRONG = /^[;+|.]|^plus|^then|^and|^also|^&|^w|^as|^but|^how/i;
const WORD = quick(/^\p{L}[\p{L}\p{M}\d]*(?:['’]\p{L}+)?(?:-\p{L}[\p{L}\p{M}\d]*)*/u);
/** Signs of one letter. */
const SIGNS: Readonly<Record<string, Token["kind"]>> = {
  "(": "open",
  "[": "open",
  ")": "close",
  "]": "close",
  "-": "dash",
  "–": "dash",
  "—": "dash",
  "/": "slash",
  ":": "colon",
  "=": "colon",
};

/** In this order, the first that finds something. */
const STEPS: readonly Step[] = [
  function blank(text) {
    const m = SKIPPED.exec(text);
    return m && { length: m[0].length, token: null };
  },
  function unit(text, before, gap) {
    if (before?.kind !== "number") return null;
    const found = unitAfter(text, gap);
    return found && { length: found.length, token: found.token(before) };
  },
  function number(text, before, gap) {
    // "No.8": the dot shortens the word before it.
    if (text.startsWith(".") && before?.kind === "word" && gap === 0) return null;
    const found = /^[\d.¼½¾⅓⅔⅛⅜⅝⅞]/.test(text) ? numberAt(text) : null;
    return (
      found && {
        length: found.length,
        token: { kind: "number", value: found.value, spoken: false, article: false },
      }
    );
  },
  function times(text) {
    const m = /^[×✕✖*xXbtBT]/.test(text) ? TIMES.exec(text) : null;
    return m && { length: m[0].length, token: { kind: "times" } };
  },
  function spoken(text) {
    const found = spokenAt(text);
    return (
      found && {
        length: found.length,
        token: { kind: "number", value: found.value, spoken: true, article: found.article },
      }
    );
  },
  // "Stk.", "pkg.", "approx.": the dot shortens a word, it ends no sentence.
  function shortened(text, before, gap) {
    const isDot = text.startsWith(".") && before?.kind === "word" && gap === 0;
    return isDot && SHORTENED.test(before.text) ? { length: 1, token: null } : null;
  },
  function separator(text) {
    const m = SEPARATOR.exec(text);
    return m && { length: m[0].length, token: { kind: "separator", strong: STRONG.test(m[0]) } };
  },
  function sign(text) {
    const kind = SIGNS[text[0]!];
    return kind === undefined ? null : { length: 1, token: { kind } };
  },
  function word(text) {
    const m = WORD.exec(text);
    return m && { length: m[0].length, token: { kind: "word" } };
  },
];

function tokensOf(line: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (at < line.length) {
    const text = line.slice(at);
    const before = tokens.at(-1);
    const found = foundAt(text, before, at - (before?.end ?? 0));
    const end = at + found.length;
    if (found.token) {
      const place = { start: at, end, text: line.slice(at, end) };
      tokens.push(Object.assign(found.token, place) as unknown as Token);
    }
    at = end;
  }
  return tokens;
}

function foundAt(...place: Parameters<Step>): Found {
  for (const step of STEPS) {
    const found = step(...place);
    if (found) return found;
  }
  // A letter of no meaning here; those beyond 0xffff take two places.
  return { length: place[0].codePointAt(0)! > 0xffff ? 2 : 1, token: null };
}

function numberAt(text: string): { value: number; length: number } | null {
  // A hyphen with blanks round it parts a count from a size: "10 - 3/8 in".
  const mixed = /^(\d{1,3})(?:[-–]|\s+)(\d{1,2})\s?\/\s?(2|3|4|8|16)(?!\d)/.exec(text);
  if (mixed && Number(mixed[2]) < Number(mixed[3]))
    return {
      value: Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]),
      length: mixed[0].length,
    };
  // "3 / 4" with blanks is so many of so many, but before an inch.
  const simple = /^(\d{1,2})(?:[/⁄]|\s?[/⁄]\s?(?=\d+\s?(?:["”″]|in)))(2|3|4|8|16)(?!\d)/i.exec(
    text,
  );
  if (simple && Number(simple[1]) < Number(simple[2]))
    return { value: Number(simple[1]) / Number(simple[2]), length: simple[0].length };
  const glyph = /^(\d{0,3})\s?[-]?([¼½¾⅓⅔⅛⅜⅝⅞])/.exec(text);
  if (glyph)
    return { value: Number(glyph[1] || 0) + FRACTIONS[glyph[2]!]!, length: glyph[0].length };
  const thousands = /^\d{1,3}(?:,\d{3})+(?![\d,])/.exec(text);
  if (thousands)
    return { value: Number(thousands[0].replaceAll(",", "")), length: thousands[0].length };
  const comma = /^(\d+),(\d{1,2})(?=\s*(?:[x×*]|mm|cm|m\b|in\b|"|″|ml|l\b|mg))/i.exec(text);
  if (comma) return { value: Number(`${comma[1]}.${comma[2]}`), length: comma[0].length };
  const plain = /^(?:\d+\.\d+|\d+|\.\d+)/.exec(text);
  return plain ? { value: Number(plain[0]), length: plain[0].length } : null;
}

interface UnitFound {
  length: number;
  token: (number: { value: number }) => Record<string, unknown>;
}

const MILLIGRAMS = quick(/^(?:mg|milligram(?:me)?s?)(?![\p{L}])/iu);
const VOLUME = quick(
  /^(?:(ml|mils?|millilit(?:re|er)s?|cc|cm3)|(cl)|(l|lit(?:re|er)s?|ltr)|(fl\.?\s?oz\.?|fluid ounces?)|(oz\.?|ounces?))(?![\p{L}])/iu,
);
const HYPHEN = quick(/^[-‐]\s?(?=\p{L})/u);
const HYPHEN_CLOSE = quick(/^[-‐](?=\p{L})/u);
/** A unit right after a number (a hyphen or a space may stand between). */
function unitAfter(text: string, gap: number): UnitFound | null {
  if (gap > 2) return null;
  // "x2 - in the lid" is no inch.
  const hyphen = (gap > 0 ? HYPHEN_CLOSE : HYPHEN).exec(text)?.[0].length ?? 0;
  const body = text.slice(hyphen);
  const volume = VOLUME.exec(body);
  if (volume) {
    const factor = volume[1] ? 1 : volume[2] ? 10 : volume[3] ? 1000 : FLUID_OUNCE_ML;
    return {
      length: hyphen + volume[0].length,
      token: (n) => ({ kind: "volume", ml: n.value * factor, maybeMass: volume[5] !== undefined }),
    };
  }
  const mg = MILLIGRAMS.exec(body);
  if (mg)
    return { length: hyphen + mg[0].length, token: (n) => ({ kind: "strength", mg: n.value }) };
  for (const [pattern, unit] of LENGTH_UNITS) {
    const m = pattern.exec(body);
    if (m)
      return {
        length: hyphen + m[0].length,
        token: (n) => ({ kind: "length", mm: n.value * MM[unit] }),
      };
  }
  const other = OTHER_UNITS.exec(body);
  return other ? { length: hyphen + other[0].length, token: () => ({ kind: "otherUnit" }) } : null;
}

/** First words of every spoken number: all others need no closer look. */
const SPOKEN_STARTS: ReadonlySet<string> = new Set([
  ...Object.keys(SPOKEN),
  ..."a an another half couple dozen several some hundred".split(" "),
]);

interface Spoken {
  readonly value: number;
  readonly length: number;
  /** No count was said: "a", "some". */
  readonly article: boolean;
}

interface SpokenRule {
  readonly name: string;
  /** A text and the number it begins with; null: none. */
  readonly example: readonly [text: string, value: number | null];
  readonly pattern: RegExp;
  /** null: it is no number after all. */
  readonly value: ((m: RegExpExecArray) => number) | null;
  readonly article?: true;
}

const ONES = "one|two|three|four|five|six|seven|eight|nine";
const said = (word: string): number => SPOKEN[word.toLowerCase()]!;

/** Numbers said in other words than their own; the first that stands there. */
export const SPOKEN_RULES: readonly SpokenRule[] = [
  {
    name: "half a dozen",
    example: ["half a dozen pins", 6],
    pattern: quick(/^half(?:\s+an?|-an?-)?[\s-]+dozen(?![\p{L}])/iu),
    value: () => 6,
  },
  {
    name: "dozens",
    example: ["two dozen pins", 24],
    pattern: quick(/^(?:(two|three|four|five)\s+|(?:an?|one)\s+)?dozen(?![\p{L}])/iu),
    value: (m) => 12 * (m[1] === undefined ? 1 : said(m[1])),
  },
  {
    name: "a couple",
    example: ["a couple of pins", 2],
    pattern: quick(/^(?:(?:an?|one)\s+)?couple(?:\s+of)?(?![\p{L}])/iu),
    value: () => 2,
  },
  {
    name: "a bit, which counts nothing",
    example: ["a bit of tape", null],
    pattern: quick(/^a\s+(?:bit|little|lot|tad|touch|while)(?![\p{L}])/iu),
    value: null,
  },
  {
    name: "another",
    example: ["another one of these", 1],
    pattern: quick(/^another(?:\s+one)?(?:\s+of)?(?![\p{L}])/iu),
    value: () => 1,
  },
  {
    name: "a few",
    example: ["several pins", 3],
    pattern: quick(/^(?:a\s+few|several)(?![\p{L}])/iu),
    value: () => 3,
    article: true,
  },
  {
    name: "some",
    example: ["some pins", 1],
    pattern: quick(/^some(?=\s+\p{L})(?!\s+(?:of|are|were|is|more|have|missing|old)\b)/iu),
    value: () => 1,
    article: true,
  },
  {
    name: "a hundred",
    example: ["a hundred pins", 100],
    pattern: quick(/^(?:a\s+)?hundred(?![\p{L}])/iu),
    value: () => 100,
  },
  {
    name: "half a measure",
    example: ["half a litre", 0.5],
    pattern:
      /^half(?:\s+an?\s+|[\s-]+)(?=(?:lit(?:re|er)|met(?:re|er)|inch|yard|centimet|millilit))/i,
    value: () => 0.5,
  },
  {
    name: "half a thing, which is one that was begun",
    example: ["half a roll", 1],
    pattern: quick(/^half\s+(?:an?\s+)?(?=\p{L})/iu),
    value: () => 1,
    article: true,
  },
];

/** What may follow the word of a number and makes another of it; the first that stands there. */
export const AFTER_NUMBER: readonly {
  readonly name: string;
  readonly example: readonly [text: string, value: number | null];
  readonly pattern: RegExp;
  readonly of?: (value: number, word: string) => boolean;
  readonly value: ((value: number, m: RegExpExecArray) => number) | null;
}[] = [
  {
    name: "a part of a name",
    example: ["two-tone bag", null],
    pattern: quick(
      /^-(?!(?:inch|pack|piece|pair|one|two|three|four|five|six|seven|eight|nine)\b)\p{L}/iu,
    ),
    value: null,
  },
  {
    name: "one size, one by one",
    example: ["one size", null],
    pattern: quick(/^\s+(?:way|size|handed|hand|by one|each of)(?![\p{L}])/iu),
    of: (_, word) => word === "one",
    value: null,
  },
  {
    name: "tens and ones",
    example: ["twenty-five pins", 25],
    pattern: quick(new RegExp(`^[\\s-]+(${ONES})(?![\\p{L}])`, "iu")),
    of: (value) => value >= 20 && value % 10 === 0,
    value: (value, m) => value + said(m[1]!),
  },
  {
    name: "and a half",
    example: ["two and a half metres", 2.5],
    pattern: quick(/^\s+and\s+a\s+(half|quarter)(?![\p{L}])/iu),
    of: (_, word) => word !== "a" && word !== "an",
    value: (value, m) => value + (m[1]!.toLowerCase() === "half" ? 0.5 : 0.25),
  },
  {
    name: "a point",
    example: ["seven point five", 7.5],
    pattern: quick(new RegExp(`^\\s+point\\s+(${ONES})(?![\\p{L}])`, "iu")),
    value: (value, m) => value + said(m[1]!) / 10,
  },
];

function spokenAt(text: string): Spoken | null {
  const start = /^[a-z]+/i.exec(text)?.[0].toLowerCase();
  if (start === undefined || !SPOKEN_STARTS.has(start)) return null;
  for (const { pattern, value, article = false } of SPOKEN_RULES) {
    const m = pattern.exec(text);
    if (m) return value && { value: value(m), length: m[0].trimEnd().length, article };
  }
  return numberWordAt(text);
}

const HUNDRED = quick(/^\s+hundred(?![\p{L}])/iu);
const FIRST_WORD = quick(/^([a-z]+)(?![\p{L}])/iu);
function numberWordAt(text: string): Spoken | null {
  const word = FIRST_WORD.exec(text)?.[1]?.toLowerCase();
  if (!word) return null;
  const article = word === "a" || word === "an";
  const value = article ? 1 : SPOKEN[word];
  if (value === undefined) return null;
  const after = text.slice(word.length);
  const hundreds = HUNDRED.exec(after);
  if (hundreds) return hundredsAnd(100 * value, text, word.length + hundreds[0].length);
  for (const rule of AFTER_NUMBER) {
    const m = rule.of && !rule.of(value, word) ? null : rule.pattern.exec(after);
    if (!m) continue;
    const length = word.length + m[0].length;
    return rule.value && { value: rule.value(value, m), length, article: false };
  }
  return { value, length: word.length, article };
}

/** "two hundred and fifty": what follows the hundreds from `length` on is added to them. */
function hundredsAnd(value: number, text: string, length: number): Spoken {
  const and = /^\s+(?:and\s+)?(?=[a-z])/i.exec(text.slice(length));
  const rest = and && spokenAt(text.slice(length + and[0].length));
  return rest && !rest.article && rest.value < 100
    ? { value: value + rest.value, length: length + and[0].length + rest.length, article: false }
    : { value, length, article: false };
}
