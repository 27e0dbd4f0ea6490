import { remembering } from "../base/remembering.ts";

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
const TIMES =
  /^(?:[×✕✖*]|[xX](?![\p{L}])|times(?=\s+(?:\d|one|two|three|four|five|six|seven|eight|nine|ten|twenty|thirty|fifty|a\s+hundred))|by(?=\s+(?:\d|[a-z]+\s*(?:-\s*)?(?:inch|cm|mm|m\b|foot|feet|yard|and|point|by)|(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|a hundred)\b)))/u;

const SHORTENED =
  /^(?:stk|st|pkg|pkgs|pk|pkt|approx|appr|no|nr|nos|pcs|pc|pce|qty|ea|pr|prs|incl|assort|asst|ass|med|lge|lg|sm|sml|sz|misc|temp|adh|ster|non|bx|btl|env|amp|tab|tabs|cap|caps|disp|ind|indiv|min|max|dia|tri|band|dr|mr|vs|ref|art)$/i;

const OTHER_UNITS =
  /^(?:%|percent|per cent|fr|french|ga|gauge|g|gm|gr|gram|grams|gramme|grammes|kg|kilo|kilos|lb|lbs|lumen|lumens|lm|w|watt|watts|v|volt|volts|hour|hours|h|hr|hrs|minute|minutes|min|mins|day|days|week|weeks|month|months|year|years|yr|yrs|yo|ply|layer|layers|people|persons?|ppl|users?|pages?|way|in-1|in 1|-in-1|functions?|stars?|denier|times(?!\s+(?:\d|one|two|three|four|five|six|seven|eight|nine|ten|twenty|thirty|fifty|a\s+hundred))|kcal|iu|micron|microns|leds?|decibels?|db|°c|°f|°|degrees?|mcg|µg|μg|ug|tools? in|reviews?|customers?|languages?|colours?|colors?|folds?|wraps?)(?![\p{L}\d])/iu;

const LENGTH_UNITS: readonly (readonly [RegExp, LengthUnit])[] = [
  [/^(?:mm|millimet(?:re|er)s?)(?![\p{L}])/iu, "mm"],
  [/^(?:cms?|centimet(?:re|er)s?)(?![\p{L}])/iu, "cm"],
  [/^(?:met(?:re|er)s?|mtrs?|m)(?![\p{L}])/iu, "m"],
  [/^inch(?:es)?(?![\p{L}])/iu, "in"],
  // "10 in a box" is no inch.
  [
    /^ins?\.?(?![\p{L}])(?!\s+(?:\d+\s+(?:sizes?|types?|colou?rs?)\b|a|an|each|one|every|the|it|them|there|here|my|our|this|use|good|bad|poor|fair|working|date|order|stock|place|hand|freezer|fridge|drawer|kitchen|lid|pocket|pouch|total|all|per|tub|box|bag|pack|packet|pkt|tin|jar|strip|card)\b)/iu,
    "in",
  ],
  [/^(?:"|″|”|“|''|′′|’’)/u, "in"],
  [/^(?:feet|foot|ft\.?)(?![\p{L}])/iu, "ft"],
  [/^(?:'|′|’)(?![\p{L}\d])/u, "ft"],
  [/^(?:yards?|yds?\.?)(?![\p{L}])/iu, "yd"],
];

/** Whether the number at `i` has a unit behind it. */
export const isMeasured = (tokens: readonly Token[], i: number): boolean =>
  ["length", "volume", "strength", "otherUnit"].includes(tokens[i + 1]?.kind ?? "");

/** A line is asked for again and again: whole, by its parts, and to tell what a cell holds. */
const MOST_REMEMBERED = 1_000;

/** Splits a line. Nothing is dropped but white space and filler dots. */
export const lex: (line: string) => readonly Token[] = remembering(tokensOf, MOST_REMEMBERED);

function tokensOf(line: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  const rest = () => line.slice(at);
  const push = (token: Record<string, unknown>, length: number) => {
    token["start"] = at;
    token["end"] = at + length;
    token["text"] = line.slice(at, at + length);
    tokens.push(token as unknown as Token);
    at += length;
  };
  const last = () => tokens[tokens.length - 1];

  while (at < line.length) {
    const text = rest();
    const skip = /^(?:\s+|[ΦφØø⌀](?=\s?\d)|\.{2,}|_{2,}|…+|[•·*](?=\s))/u.exec(text);
    if (skip) {
      at += skip[0].length;
      continue;
    }
    const unit = last()?.kind === "number" ? unitAfter(text, at - last()!.end) : null;
    if (unit) {
      push(unit.token(last() as Token & { value: number }), unit.length);
      continue;
    }
    const number = /^[\d.¼½¾⅓⅔⅛⅜⅝⅞]/u.test(text) ? numberAt(text) : null;
    if (number) {
      push({ kind: "number", value: number.value, spoken: false, article: false }, number.length);
      continue;
    }
    const times = /^[×✕✖*xXbt]/u.test(text) ? TIMES.exec(text) : null;
    if (times) {
      push({ kind: "times" }, times[0].length);
      continue;
    }
    const spoken = spokenAt(text);
    if (spoken) {
      push(
        { kind: "number", value: spoken.value, spoken: true, article: spoken.article },
        spoken.length,
      );
      continue;
    }
    // "Stk.", "pkg.", "approx.": the dot shortens a word, it ends no sentence.
    const before = last();
    if (
      text[0] === "." &&
      before?.kind === "word" &&
      before.end === at &&
      SHORTENED.test(before.text)
    ) {
      at += 1;
      continue;
    }
    const separator =
      /^(?:[,;+&|]|\.(?=\s|$)|(?:and|plus|then|also|but|however|with an?|as well as)(?![\p{L}])|w(?:\/|\.\s)(?=\s?\p{L}))/iu.exec(
        text,
      );
    if (separator) {
      push(
        {
          kind: "separator",
          strong: /^[;+|.]|^plus|^then|^and|^also|^&|^w|^as|^but|^how/i.test(separator[0]),
        },
        separator[0].length,
      );
      continue;
    }
    if (/^[([]/.test(text)) push({ kind: "open" }, 1);
    else if (/^[)\]]/.test(text)) push({ kind: "close" }, 1);
    else if (/^[-–—]/.test(text)) push({ kind: "dash" }, 1);
    else if (/^\//.test(text)) push({ kind: "slash" }, 1);
    else if (/^[:=]/.test(text)) push({ kind: "colon" }, 1);
    else {
      const word = /^\p{L}[\p{L}\p{M}\d]*(?:['’]\p{L}+)?(?:-\p{L}[\p{L}\p{M}\d]*)*/u.exec(text);
      if (word) push({ kind: "word" }, word[0].length);
      else at += text.codePointAt(0)! > 0xffff ? 2 : 1;
    }
  }
  return tokens;
}

function numberAt(text: string): { value: number; length: number } | null {
  // A hyphen with blanks round it parts a count from a size: "10 - 3/8 in".
  const mixed = /^(\d{1,3})(?:[-–]|\s+)(\d{1,2})\s?\/\s?(2|3|4|8|16)(?!\d)/.exec(text);
  if (mixed && Number(mixed[2]) < Number(mixed[3]))
    return {
      value: Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]),
      length: mixed[0].length,
    };
  const simple = /^(\d{1,2})\s?[/⁄]\s?(2|3|4|8|16)(?!\d)/.exec(text);
  if (simple && Number(simple[1]) < Number(simple[2]))
    return { value: Number(simple[1]) / Number(simple[2]), length: simple[0].length };
  const glyph = /^(\d{0,3})\s?[-]?([¼½¾⅓⅔⅛⅜⅝⅞])/u.exec(text);
  if (glyph)
    return { value: Number(glyph[1] || 0) + FRACTIONS[glyph[2]!]!, length: glyph[0].length };
  const thousands = /^\d{1,3}(?:,\d{3})+(?![\d,])/.exec(text);
  if (thousands)
    return { value: Number(thousands[0].replaceAll(",", "")), length: thousands[0].length };
  const comma = /^(\d+),(\d{1,2})(?=\s*(?:[x×*]|mm|cm|m\b|in\b|"|″|ml|l\b|mg))/iu.exec(text);
  if (comma) return { value: Number(`${comma[1]}.${comma[2]}`), length: comma[0].length };
  const plain = /^(?:\d+\.\d+|\d+|\.\d+)/.exec(text);
  return plain ? { value: Number(plain[0]), length: plain[0].length } : null;
}

interface UnitFound {
  length: number;
  token: (number: { value: number }) => Record<string, unknown>;
}

/** A unit right after a number (a hyphen or a space may stand between). */
function unitAfter(text: string, gap: number): UnitFound | null {
  if (gap > 2) return null;
  // "x2 - in the lid" is no inch.
  const hyphen = (gap > 0 ? /^[-‐](?=\p{L})/u : /^[-‐]\s?(?=\p{L})/u).exec(text)?.[0].length ?? 0;
  const body = text.slice(hyphen);
  const volume =
    /^(?:(ml|mils?|millilit(?:re|er)s?|cc|cm3)|(cl)|(l|lit(?:re|er)s?|ltr)|(fl\.?\s?oz\.?|fluid ounces?)|(oz\.?|ounces?))(?![\p{L}])/iu.exec(
      body,
    );
  if (volume) {
    const factor = volume[1] ? 1 : volume[2] ? 10 : volume[3] ? 1000 : FLUID_OUNCE_ML;
    return {
      length: hyphen + volume[0].length,
      token: (n) => ({ kind: "volume", ml: n.value * factor, maybeMass: volume[5] !== undefined }),
    };
  }
  const mg = /^(?:mg|milligram(?:me)?s?)(?![\p{L}])/iu.exec(body);
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

function spokenAt(text: string): { value: number; length: number; article: boolean } | null {
  const start = /^[a-z]+/i.exec(text)?.[0].toLowerCase();
  if (start === undefined ? !/^[2-5]\s+dozen/i.test(text) : !SPOKEN_STARTS.has(start)) return null;
  const dozen =
    /^(?:(half)(?:\s+an?|-an?-)?[\s-]+dozen|(an?|one)\s+dozen|dozen|(an?|one)\s+couple(?:\s+of)?|couple(?:\s+of)?|(two|three|four|five|2|3|4|5)\s+dozen)(?![\p{L}])/iu.exec(
      text,
    );
  if (dozen) {
    const t = dozen[0].toLowerCase();
    const value = dozen[1]
      ? 6
      : t.includes("couple")
        ? 2
        : dozen[4]
          ? 12 * (SPOKEN[dozen[4].toLowerCase()] ?? Number(dozen[4]))
          : 12;
    return { value, length: dozen[0].length, article: false };
  }
  if (/^a\s+(?:bit|little|lot|tad|touch|while)(?![\p{L}])/iu.test(text)) return null;
  const another = /^another(?:\s+one)?(?:\s+of)?(?![\p{L}])/iu.exec(text);
  if (another) return { value: 1, length: another[0].length, article: false };
  const few = /^(?:a\s+few|several)(?![\p{L}])/iu.exec(text);
  if (few) return { value: 3, length: few[0].length, article: true };
  const some = /^some(?=\s+\p{L})(?!\s+(?:of|are|were|is|more|have|missing|old)\b)/iu.exec(text);
  if (some) return { value: 1, length: some[0].length, article: true };
  const hundred = /^(?:a\s+)?hundred(?![\p{L}])/iu.exec(text);
  if (hundred) return { value: 100, length: hundred[0].length, article: false };
  const halfOf =
    /^half(?:\s+an?\s+|[\s-]+)(?=(?:lit(?:re|er)|met(?:re|er)|inch|yard|centimet|millilit))/iu.exec(
      text,
    );
  if (halfOf) return { value: 0.5, length: halfOf[0].trimEnd().length, article: false };
  const half = /^half\s+(?:an?\s+)?(?=\p{L})/iu.exec(text);
  if (half) return { value: 1, length: half[0].trimEnd().length, article: true };
  const word = /^([a-z]+)(?![\p{L}])/iu.exec(text)?.[1]?.toLowerCase();
  if (!word) return null;
  const article = word === "a" || word === "an";
  const value = article ? 1 : SPOKEN[word];
  if (value === undefined) return null;
  const after = text.slice(word.length);
  // "one-way valve", "two-tone": part of a name, not a count; "two-pack", "six-inch" are.
  if (
    /^-(?!(?:inch|pack|piece|pair|one|two|three|four|five|six|seven|eight|nine)\b)\p{L}/iu.test(
      after,
    )
  )
    return null;
  if (
    /^\s+(?:way|size|handed|hand|of those|by one|each of)(?![\p{L}])/iu.test(after) &&
    word === "one" &&
    !/^\s+of those/i.test(after)
  )
    return null;
  const hundreds = /^\s+hundred(?![\p{L}])/iu.exec(after);
  if (hundreds) {
    const length = word.length + hundreds[0].length;
    const and = /^\s+(?:and\s+)?(?=[a-z])/iu.exec(text.slice(length));
    const rest = and && spokenAt(text.slice(length + and[0].length));
    return rest && !rest.article && rest.value < 100
      ? {
          value: value * 100 + rest.value,
          length: length + and[0].length + rest.length,
          article: false,
        }
      : { value: value * 100, length, article: false };
  }
  if (value >= 20 && value % 10 === 0) {
    const ones = /^[\s-]+(one|two|three|four|five|six|seven|eight|nine)(?![\p{L}])/iu.exec(after);
    if (ones)
      return {
        value: value + SPOKEN[ones[1]!.toLowerCase()]!,
        length: word.length + ones[0].length,
        article: false,
      };
  }
  const fraction = /^\s+and\s+a\s+(half|quarter)(?![\p{L}])/iu.exec(after);
  if (fraction && !article)
    return {
      value: value + (fraction[1]!.toLowerCase() === "half" ? 0.5 : 0.25),
      length: word.length + fraction[0].length,
      article: false,
    };
  const point = /^\s+point\s+(one|two|three|four|five|six|seven|eight|nine)(?![\p{L}])/iu.exec(
    after,
  );
  if (point)
    return {
      value: value + SPOKEN[point[1]!.toLowerCase()]! / 10,
      length: word.length + point[0].length,
      article: false,
    };
  return { value, length: word.length, article };
}
