import { NUMBER_WORDS, VALUE_OF } from "./numberWords.ts";
import { quick } from "./quick.ts";
import {
  eachOfSizes,
  sizesThenCounts,
  sortsAroundName,
  sortsBeforeName,
  sortsBehindName,
  sortsInBrackets,
} from "./sortsInList.ts";

/**
 * One name with several variants, each with its own count: a line each, the name repeated.
 * An ordered table; the first pattern that takes the whole line wins.
 */
interface VariantPattern {
  readonly name: string;
  readonly example: readonly [written: string, lines: readonly string[]];
  readonly split: (text: string) => string[] | null;
}

const N = NUMBER_WORDS;
const UNIT = `(?:mm|cm|m|in(?:ch)?|ft|yd|"|″|-inch)`;
const SIZE = `\\d+(?:[.,]\\d+)?\\s*${UNIT}?(?:\\s*[x×]\\s*\\d+(?:[.,]\\d+)?\\s*${UNIT}?)?`;
const BETWEEN = /\s*(?:[,;+&]|\band\b)\s*/i;
const SIZE_WORD = "(?:extra[ -])?(?:small|medium|large|big|little)|[SML]|X+L";

const whole = (pattern: string) => quick(new RegExp(`^(?:${pattern})$`, "iu"));
const SIZE_THEN_COUNT = whole(
  `(${SIZE})\\s*(?:[-–:=]|[(x×])\\s*(\\d{1,3})\\)?(?:\\s*(?:pcs|off|rolls?))?`,
);
const SIZE_THEN_COUNT_TIMES = whole(
  `(\\d+(?:[.,]\\d+)?\\s*${UNIT}(?:\\s*[x×]\\s*\\d+(?:[.,]\\d+)?\\s*${UNIT})?)\\s*:?\\s+(\\d{1,3})\\s*[x×]`,
);
/** "2.5 cm 1 roll", "10 x 10 cm 5", "10x10 5": nothing between them, the size with its unit or two sides. */
const SIZE_BLANK_COUNT = whole(
  `(\\d+(?:[.,]\\d+)?\\s*(?:${UNIT}(?:\\s*[x×]\\s*\\d+(?:[.,]\\d+)?\\s*${UNIT})?|[x×]\\s*\\d+(?:[.,]\\d+)?\\s*${UNIT}?))\\s+(\\d{1,3})(?:\\s*(?:pcs|off|rolls?))?`,
);
/** "10x10 (3)", "10x10 – 3": a size without its unit, told from a count by the brackets or the dash. */
const BARE_SIZE_THEN_COUNT = whole(
  `(\\d+(?:[.,]\\d+)?\\s*[x×]\\s*\\d+(?:[.,]\\d+)?)\\s*(?:\\(|[:–—]\\s*|\\s-\\s|\\s[x×]\\s?)(\\d{1,3})\\)?`,
);
/** "2 x 20x20 cm". */
const COUNT_TIMES_SIZE = whole(
  `(\\d{1,3})\\s*[x×]\\s+(\\d+(?:[.,]\\d+)?\\s?[x×]\\s?\\d+(?:[.,]\\d+)?\\s*${UNIT}?)(?:\\s+sheets?)?`,
);
const WORD_OF_SIZE = "(?:extra[ -])?(?:small|medium|large|big)";
/** "medium dressings x 5, large x 2". */
const SIZED_NAME_THEN_SIZES = quick(
  new RegExp(
    `^(${WORD_OF_SIZE})\\s+(\\p{L}[\\p{L} ]*?)\\s*[x×:–-]?\\s*(\\d{1,3})\\s*(?:,|;|&|\\+|and)\\s*(${WORD_OF_SIZE}\\s*[x×:–-]?\\s*\\d{1,3}.*)$`,
    "iu",
  ),
);
const SIZE_WORD_THEN_COUNT = whole(`(${WORD_OF_SIZE})\\s*[x×:–-]?\\s*(\\d{1,3})`);
const LETTER_THEN_COUNT = whole(
  `\\(?(XS|XX?L|[SML]|small|medium|large)\\)?\\s*[-–:=x×(]?\\s*(\\d{1,3}\\)?(?:\\s*(?:pairs?|prs?|pcs|packs?|box(?:es)?|off))?)`,
);
const LETTER_WORD: Readonly<Record<string, string>> = { S: "small", M: "medium", L: "large" };
/** A name in a size by its letter, behind it, as "6 M" would be six metres; a dressing "M" would be a pad. */
function inSize(name: string, letter: string): string {
  const word = /(?:dressings?|drsgs?|dsgs?)$/i.test(name)
    ? LETTER_WORD[letter.toUpperCase()]
    : undefined;
  return word === undefined ? `${name} ${letter}` : `${word} ${name}`;
}
/** "S 20, M 40 (pairs)". */
const PAIRS_LAST = /\s*\((?:pairs?|prs?)\)\s*$/i;
/** "M×6 L×4": nothing between. */
const LETTERS_APART = /(?<=\d)\s+(?=(?:XS|XX?L|[SML])\s*[x×]\s*\d)/g;
const MODEL_THEN_COUNT = whole(`((?:no|nr)\\.?\\s*\\d{1,2})\\s*[x×:(–-]\\s*(\\d{1,3})\\)?`);
/** A number alone may be a width or a count of its own. */
const COUNT_THEN_SIZE = whole(
  `\\((\\d{1,3})\\)\\s*(\\d+(?:[.,]\\d+)?\\s*(?:${UNIT}|[x×]\\s*\\d+(?:[.,]\\d+)?)(?:\\s*[x×]\\s*\\d+(?:[.,]\\d+)?)?\\s*${UNIT}?)`,
);
const COUNT_THEN_WORDS = whole(`(${N})\\s+(\\p{L}[\\p{L} -]*)`);

/** Has one printed dimension, so that the other number counts. */
const ON_A_ROLL = /bandage|crepe|crêpe|tape|roll|wrap|conforming|cohesive|elastic/i;
const COUNT_TIMES_WIDTH = whole(`(\\d{1,3})\\s*[x×]\\s*(\\d+(?:[.,]\\d+)?\\s*${UNIT})`);

const WORDS_THEN_COUNT = whole(`(\\p{L}[\\p{L} -]*?(?:\\s*\\([^)]*\\))?)\\s*[x×]\\s*(\\d{1,3})`);
const WORDS_THEN_BRACKETS = whole(`(\\p{L}[\\p{L} -]*?)\\s*\\((\\d{1,3})\\)`);
/** What is listed by its kind alone below such a heading: "Bandages: crepe ×2, triangular ×3". */
const SHARED_HEAD =
  /^(?:bandages|dressings|plasters|gloves|splints|tapes|wipes|pads|blankets|masks|collars|tourniquets)$/i;

/** What tells one of a kind from another, and names nothing by itself. */
const MODIFIER =
  "(?:calico|cloth|cotton|paper|non-?woven|woven|fabric|small|medium|large|wide|narrow|big|little|long|short|[SML]|XL|adult|child|infant|windlass|ratchet|blue|black|purple|white|clear|vinyl|nitrile|latex|vented|plain|sterile|unsterile|straight|curved|left|right)";
/** "three narrow", "one with the pad in it". */
const COUNT_THEN_ANY = whole(
  `(${N})\\s+((?:${MODIFIER}|with|in|from|that)\\b[^\\d,;]*?)(?:\\s+ones?)?`,
);
const COUNT_THEN_MODIFIER = whole(`(${N})\\s+(${MODIFIER})(?:\\s+ones?)?`);

/** Kinds by one word or two, as dressings, bandages and plasters are sorted: "6 medium, 2 extra large, 2 eye". */
const COUNT_THEN_KIND = whole(
  `(${N})\\s+((?:(?:extra[ -]?)?(?:small|medium|large|big|little)|(?:non-?)?(?:adherent|stick|sterile)|eye|burns?|wound|trauma|pressure|finger|fingertip|knuckle|blister|crepe|crêpe|triangular|conforming|elastic|cohesive|tubular)(?:\\s*\\(${SIZE}\\))?)`,
);
const COUNT_THEN_BRACKETS = whole(`(${N})\\s*\\((${MODIFIER})\\)`);

const ANY_UNIT = quick(new RegExp(UNIT, "iu"));
const COUNT_NAME_BRACKETS = quick(
  new RegExp(`^(${N})\\s+(\\p{L}[^(]*?)\\s*\\(([^)]*)\\)\\s*$`, "iu"),
);
const NAME_COUNT_BRACKETS = quick(
  /^(\p{L}[^\d(]*?)\s*(?:[x×:,–-]\s*)?(\d{1,3})\s*\(([^)]*)\)\s*$/u,
);
const COUNT_NAME_LIST = quick(
  new RegExp(`^(${N})\\s+(\\p{L}[^:\\d,;()–—-]*?)\\s*(?::|\\s[-–—]|,)\\s+(.*)$`, "iu"),
);
const MODIFIER_THEN_COUNT = quick(new RegExp(`(${MODIFIER})\\s+(?=(?:${N})\\s)`, "giu"));
const COUNTED_SIZE = `(${N})\\s+(${SIZE_WORD}|adult|child|junior|infant)`;
const EACH_COUNTED_SIZE = quick(new RegExp(COUNTED_SIZE, "giu"));
const COUNTED_SIZES_THEN_NAME = quick(
  new RegExp(
    `^((?:${COUNTED_SIZE}\\s*(?:,|\\+|&|\\band\\b)\\s*)+)${COUNTED_SIZE}\\s+(\\p{L}[^\\d,;]*)$`,
    "iu",
  ),
);
const NAME_THEN_COUNTED_SIZES = quick(
  new RegExp(
    `^(\\p{L}[^:\\d,;()]*?)\\s*(?::|,|\\s[-–—]|(?=\\s(?:one|two|three|four|five|six)\\s))\\s+((?:${COUNTED_SIZE}\\s+)+${COUNTED_SIZE})$`,
    "iu",
  ),
);
const MEASURE = `\\d+(?:[.,]\\d+)?\\s*${UNIT}`;
const COUNTED_MEASURES_THEN_NAME = quick(
  new RegExp(
    `^(${N})\\s+(${MEASURE})\\s*(?:,|\\+|&|\\band\\b)\\s*(${N})\\s+(${MEASURE})\\s+(\\p{L}[^\\d,;]*)$`,
    "iu",
  ),
);
const COUNTED_SORT = `(${N})\\s+(crepe|crêpe|triangular|elastic|conforming|cohesive|gauze|pressure|tubular)`;
const EACH_SORT = quick(new RegExp(COUNTED_SORT, "giu"));
const BANDAGES_BY_SORT = quick(
  new RegExp(
    `^(?:(?:${N})\\s*(?:[x×]\\s*)?)?(bandages?)\\s*(?::|,|[-–—])\\s*((?:${COUNTED_SORT}(?:\\s*(?:,|\\+|&|\\band\\b)\\s*|\\s+))+${COUNTED_SORT})$`,
    "iu",
  ),
);
/** What one thing comes in; two of them on a line are two things. */
const COUNT_THEN_FORM = whole(`(${N})\\s+(tubes?|sachets?|bottles?|pods?|ampoules?|jars?|sprays?)`);
const COUNT_NAME_SIZES = quick(
  new RegExp(`^(${N})\\s+(\\p{L}[^\\d(),;:]*?)\\s*(?:[(:,]|\\s[-–—]\\s)\\s*(\\d[^()]*)\\)?$`, "iu"),
);
/** Between sizes, where a comma alone may be a decimal one. */
const BETWEEN_SIZES = /\s*(?:,\s|[;+&]|\band\b)\s*/i;
const WIDTH = whole(`\\d+(?:[.,]\\d+)?\\s*${UNIT}?`);
const SIZE_NAME_COUNT_THEN_SIZE = quick(
  new RegExp(
    `^(${MEASURE})\\s+(\\p{L}[^\\d/]*?)\\s*[x×]\\s*(\\d{1,2})\\s*[/,]\\s*(${MEASURE})\\s*[x×]\\s*(\\d{1,2})$`,
    "iu",
  ),
);
const MODIFIER_TIMES_COUNT = whole(`(${MODIFIER})\\s*(?:[x×:=–-]\\s*)?(\\d{1,2})`);
const EACH_OF_SIZES = quick(
  new RegExp(
    `^(${N})\\s+(?:of\\s+)?each(?:\\s+of)?:?\\s+((?:(?:${SIZE_WORD})\\s*(?:,|and|&|\\/)\\s*)+)((?:${SIZE_WORD})\\s+)(.*)$`,
    "iu",
  ),
);

const PAIRS_OF_SIZES = quick(
  new RegExp(
    `^(?<one>${N})\\s+(?:pairs?|prs?)\\s+(?:of\\s+)?(?<size>${SIZE_WORD})\\s*(?:,|and|&|\\+)\\s*(?<other>${N})\\s+(?:pairs?|prs?)\\s+(?:of\\s+)?(?<otherSize>${SIZE_WORD})\\s+(?<name>\\p{L}[^\\d,;]*)$`,
    "iu",
  ),
);
const PAIRS_THEN_SIZE = quick(
  new RegExp(
    `^(?<one>${N})\\s+(?:pairs?|prs?)\\s+(?:of\\s+)?(?<size>${SIZE_WORD})\\s+(?<name>\\p{L}[^\\d,;]*?)\\s*(?:,|;|and|&|\\+)\\s*(?<other>${N})\\s+(?:(?:pairs?|prs?)\\s+)?(?:of\\s+)?(?<otherSize>${SIZE_WORD})(?:\\s+ones)?\\.?$`,
    "iu",
  ),
);
/** So many pairs of each of two sizes, as either pattern found them; null: none were. */
function eachPairs(found: RegExpExecArray | null): string[] | null {
  if (!found) return null;
  const { one, size, other, otherSize, name } = found.groups!;
  return [`${one} pairs ${size} ${name}`, `${other} pairs ${otherSize} ${name}`];
}
const TUBULAR_LETTERS = quick(
  /^(tubular\s+(?:bandages?|support|gauze)?)\s*[:,]?\s*(?:sizes?\s+)?([A-K]\s*[-–:=x×]\s*\d.*)$/iu,
);
const TUBULAR_LETTER = whole(`([A-K])\\s*[-–:=x×]\\s*(\\d{1,2}(?:\\s*(?:rolls?|m|metres?|pcs))?)`);
const LETTERS_EACH = quick(
  /^(\p{L}[^\d(),;/]*?)\s+\(?((?:X*[SL]|M)(?:\s*[/,&+]\s*(?:X*[SL]|M))+)\)?\s*[-–:,]?\s*(\d{1,3}\s*(?:pairs?|prs?|boxes|pcs)?)\s*(?:each|ea\.?)$/iu,
);
const NAME_EACH_OF_MEASURES = quick(
  new RegExp(
    `^(?:(${N})\\s+)?(\\p{L}[^\\d(),;:]*?)\\s*(?:[(:,]|\\s[-–—])\\s*(${N})\\s+(?:of\\s+)?each(?:\\s+(?:of|in|size)|:)?\\s+(\\d[^()]*)\\)?$`,
    "iu",
  ),
);
const MEASURES = whole(SIZE);

/** Each part by the pattern, or null where one part is written otherwise. */
function eachPart<T>(
  list: string,
  pattern: RegExp,
  read: (first: string, second: string) => T,
): T[] | null {
  const parts = list.trim().split(BETWEEN);
  if (parts.length < 2) return null;
  const read_: T[] = [];
  for (const part of parts) {
    const m = pattern.exec(part.trim());
    if (!m) return null;
    read_.push(read(m[1]!, m[2]!));
  }
  return read_;
}

const NAME_THEN_NUMBERS = quick(/^(\p{L}[^\d(]*?)[\s:,–-]+((?:\(\d|\d).*)$/u);
/** Name first, then the list: the text before the first number, and all from there. */
function nameAndList(text: string): [name: string, list: string] | null {
  const m = NAME_THEN_NUMBERS.exec(text.trim());
  return m && [m[1]!.trim(), m[2]!];
}

/** Of so many things with one name the kinds, each with its count; null: they do not add up. */
function whichOfThem(count: string, name: string, kinds: string): string[] | null {
  const parts = eachPart(kinds, COUNT_THEN_WORDS, (n, kind) => ({ n, kind }));
  const sum = parts?.reduce((s, p) => s + valueOf(p.n), 0);
  return parts && sum === valueOf(count) ? parts.map((p) => `${p.n} ${p.kind} ${name}`) : null;
}

/** Of so many things with one name each width with its count; null: they do not add up. */
function ofWidths(count: string, name: string, widths: string): string[] | null {
  const parts = eachPart(widths, COUNT_TIMES_WIDTH, (n, width) => ({ n, width }));
  const sum = parts?.reduce((s, p) => s + Number(p.n), 0);
  return parts && sum === valueOf(count)
    ? parts.map((p) => `${name} ${p.width} x ${p.n} pcs`)
    : null;
}

/** "4 slings, 2 x 5 cm and 1 x 7.5 cm crepe bandages, 6 pins": sorts before their name, amid other things. */
function sortsApart(text: string): string {
  const parts = text.split(", ");
  return parts.length < 2 ? text : parts.map((p) => sortsBeforeName(p)?.join(", ") ?? p).join(", ");
}

const COUNT_NAME_KINDS = quick(
  new RegExp(
    `(?<=[,;:]\\s+)(${N})\\s+(\\p{L}[^(),;:\\d]*?)\\s*\\(([^()]*)\\)(?=\\s*(?:[,;.]|$))`,
    "giu",
  ),
);
/** "plasters (14), 2 bandages (1 crepe, 1 cohesive)": amid other things each kind by itself. */
export const kindsApart = (text: string): string =>
  !text.includes("(")
    ? sortsApart(text)
    : sortsApart(text).replace(
        COUNT_NAME_KINDS,
        (all, count: string, name: string, kinds: string) =>
          whichOfThem(count, name, kinds)?.join(", ") ?? all,
      );

/** "Plasters: 11 (fabric), 4 (blue)": the name, and what stands behind a colon or a dash. */
const NAME_THEN_LIST = quick(/^(\p{L}[^:\d,;()]*?)\s*(?::|\s[-–—])\s+(.*)$/u);
/** The same, or behind a comma. */
const NAME_THEN_ANY_LIST = quick(/^(\p{L}[^:\d,;()]*?)\s*(?::|,|\s[-–—])\s+(.*)$/u);

const WORD_THEN_LIST = quick(/^(\p{L}+)(?::|\s[-–—])\s+(.*)$/u);
const NAME_THEN_LETTERS = quick(
  /^(\p{L}[^:\d(]*?)\s*(\((?:pairs?|prs?)\))?[\s:,–-]+(\(?(?:XS|XX?L|[SML]|small|medium|large)\)?\s*[-–:=x×(]?\s*\d.*)$/iu,
);
const NAME_THEN_MODELS = quick(/^(\p{L}[^\d(]*?)[\s:,–-]+((?:no|nr)\.?\s*\d.*)$/iu);
export const VARIANTS: readonly VariantPattern[] = [
  {
    name: "sizes with their counts behind",
    example: [
      "Bandages, elastic: 6 cm (3), 8 cm (2)",
      ["Bandages, elastic 6 cm x 3 pcs", "Bandages, elastic 8 cm x 2 pcs"],
    ],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined || !ANY_UNIT.test(list!)) return null;
      return eachPart(
        list!.replace(/\s\/\s/g, ", "),
        SIZE_THEN_COUNT,
        (size, n) => `${name} ${size} x ${n} pcs`,
      );
    },
  },
  {
    name: "sizes with counts and their signs behind, each side of a stroke",
    example: [
      "elastic bandage 8 cm 2x / 10 cm 1x",
      ["elastic bandage 8 cm x 2 pcs", "elastic bandage 10 cm x 1 pcs"],
    ],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined) return null;
      return eachPart(
        list!.replace(/\s\/\s/g, ", "),
        SIZE_THEN_COUNT_TIMES,
        (size, n) => `${name} ${size} x ${n} pcs`,
      );
    },
  },
  {
    name: "sizes with their counts behind, a blank between",
    example: ["Tape 2.5 cm 1 roll, 5 cm 2 rolls", ["Tape 2.5 cm x 1 pcs", "Tape 5 cm x 2 pcs"]],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined) return null;
      return eachPart(list!, SIZE_BLANK_COUNT, (size, n) => `${name} ${size} x ${n} pcs`);
    },
  },
  {
    name: "one size before the name, another behind a stroke",
    example: [
      '6" pressure bandage x1 / 4" x2',
      ['6" pressure bandage x 1 pcs', '4" pressure bandage x 2 pcs'],
    ],
    split: (text) => {
      const m = SIZE_NAME_COUNT_THEN_SIZE.exec(text.trim());
      if (!m) return null;
      const [, one, name, count, other, otherCount] = m;
      return [`${one} ${name} x ${count} pcs`, `${other} ${name} x ${otherCount} pcs`];
    },
  },
  {
    name: "kinds behind a name of several words, each with its count",
    example: [
      "Crepe bandages: narrow x2, wide x1",
      ["2 narrow Crepe bandages", "1 wide Crepe bandages"],
    ],
    split: (text) => {
      const m = NAME_THEN_LIST.exec(text.trim());
      const said = (kind: string, name: string) =>
        /^(?:[SML]|X+[SL])$/i.test(kind) ? inSize(name, kind) : `${kind} ${name}`;
      return m && eachPart(m[2]!, MODIFIER_TIMES_COUNT, (kind, n) => `${n} ${said(kind, m[1]!)}`);
    },
  },
  {
    name: "models with their counts behind",
    example: [
      "Dressing, sterile, No. 8 x 6, No. 9 x 3",
      ["Dressing, sterile No. 8 x 6 pcs", "Dressing, sterile No. 9 x 3 pcs"],
    ],
    split: (text) => {
      const m = NAME_THEN_MODELS.exec(text.trim());
      return (
        m && eachPart(m[2]!, MODEL_THEN_COUNT, (model, n) => `${m[1]!.trim()} ${model} x ${n} pcs`)
      );
    },
  },
  {
    name: "sizes without a unit, with their counts in brackets",
    example: [
      "burn dressings 10x10 (3) and 20x20 (1)",
      ["burn dressings 10x10 x 3 pcs", "burn dressings 20x20 x 1 pcs"],
    ],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined) return null;
      return eachPart(list!, BARE_SIZE_THEN_COUNT, (size, n) => `${name} ${size} x ${n} pcs`);
    },
  },
  {
    name: "sizes by their word before the name, then by it alone",
    example: [
      "medium dressings x 5, large x 2",
      ["medium dressings x 5 pcs", "large dressings x 2 pcs"],
    ],
    split: (text) => {
      const m = SIZED_NAME_THEN_SIZES.exec(text.trim());
      if (!m) return null;
      const [, size, name, count, list] = m;
      const all = `${size} x ${count}, ${list}`;
      return eachPart(all, SIZE_WORD_THEN_COUNT, (word, n) => `${word} ${name} x ${n} pcs`);
    },
  },
  {
    name: "counts and sizes of two sides, with or without their unit",
    example: [
      "burn dressings: 2 x 20x20, 1 x 40x60",
      ["burn dressings 20x20 x 2 pcs", "burn dressings 40x60 x 1 pcs"],
    ],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined) return null;
      return eachPart(list!, COUNT_TIMES_SIZE, (n, size) => `${name} ${size} x ${n} pcs`);
    },
  },
  {
    name: "sizes by their letter with their counts",
    example: ["gloves: L x 10 pr / M x 10 pr", ["10 pr gloves L", "10 pr gloves M"]],
    split: (text) => {
      const [, name, pairs, list] = NAME_THEN_LETTERS.exec(text.trim()) ?? [];
      if (name === undefined) return null;
      const unit = pairs === undefined && !PAIRS_LAST.test(list!) ? "" : " pairs";
      return eachPart(
        list!
          .replace(PAIRS_LAST, "")
          .replace(/\s\/\s/g, ", ")
          .replace(LETTERS_APART, ", "),
        LETTER_THEN_COUNT,
        (size, n) => `${n.replace(")", "")}${unit} ${inSize(name, size)}`,
      );
    },
  },
  {
    name: "counts and widths of what comes on a roll",
    example: [
      "crepe bandages: 5 x 7.5cm, 3 x 10cm",
      ["crepe bandages 7.5cm x 5 pcs", "crepe bandages 10cm x 3 pcs"],
    ],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined || !ON_A_ROLL.test(name)) return null;
      return eachPart(list!, COUNT_TIMES_WIDTH, (n, width) => `${name} ${width} x ${n} pcs`);
    },
  },
  {
    name: "counts in brackets before the sizes",
    example: [
      "Gauze pads (6) 2 x 2 in, (4) 3 x 3 in",
      ["Gauze pads 2 x 2 in x 6 pcs", "Gauze pads 3 x 3 in x 4 pcs"],
    ],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined) return null;
      return eachPart(list!, COUNT_THEN_SIZE, (n, size) => `${name} ${size} x ${n} pcs`);
    },
  },
  {
    name: "so many, and in brackets which",
    example: [
      "2 tourniquets (1 windlass, 1 ratchet)",
      ["1 windlass tourniquets", "1 ratchet tourniquets"],
    ],
    split: (text) => {
      const m = COUNT_NAME_BRACKETS.exec(text.trim());
      return m && whichOfThem(m[1]!, m[2]!, m[3]!);
    },
  },
  {
    name: "so many behind the name, and in brackets which",
    example: ["Bandages ×5 (2 crepe, 3 conforming)", ["2 crepe Bandages", "3 conforming Bandages"]],
    split: (text) => {
      const m = NAME_COUNT_BRACKETS.exec(text.trim());
      return m && whichOfThem(m[2]!, m[1]!, m[3]!);
    },
  },
  {
    name: "so many behind the name, and in brackets of which width",
    example: [
      "Conforming bandages – 3 (1 x 5cm, 2 x 7.5cm)",
      ["Conforming bandages 5cm x 1 pcs", "Conforming bandages 7.5cm x 2 pcs"],
    ],
    split: (text) => {
      const [, name, count, widths] = NAME_COUNT_BRACKETS.exec(text.trim()) ?? [];
      return name === undefined ? null : ofWidths(count!, name, widths!);
    },
  },
  {
    name: "so many, and in brackets of which width",
    example: [
      "4 conforming bandages (2 x 5 cm, 2 x 10 cm)",
      ["conforming bandages 5 cm x 2 pcs", "conforming bandages 10 cm x 2 pcs"],
    ],
    split: (text) => {
      const [, count, name, widths] = COUNT_NAME_BRACKETS.exec(text.trim()) ?? [];
      return name === undefined ? null : ofWidths(count!, name, widths!);
    },
  },
  {
    name: "kinds of what a heading names, each with its count",
    example: ["Dressings: medium ×4, eye ×2", ["medium Dressings x 4", "eye Dressings x 2"]],
    split: (text) => {
      const m = WORD_THEN_LIST.exec(text.trim());
      if (!m || !SHARED_HEAD.test(m[1]!)) return null;
      return (
        eachPart(m[2]!, WORDS_THEN_BRACKETS, (kind, n) => `${kind} ${m[1]} x ${n}`) ??
        eachPart(m[2]!, WORDS_THEN_COUNT, (kind, n) => `${kind} ${m[1]} x ${n}`) ??
        eachPart(m[2]!, COUNT_THEN_KIND, (n, kind) => `${n} ${kind} ${m[1]}`) ??
        eachPart(m[2]!, COUNT_THEN_ANY, (n, kind) =>
          /^(?:with|in|from|that)\b/i.test(kind) ? `${n} ${m[1]} ${kind}` : `${n} ${kind} ${m[1]}`,
        )
      );
    },
  },
  {
    name: "so many of each kind in brackets, after the name",
    example: ["Plasters: 11 (fabric), 4 (blue)", ["11 fabric Plasters", "4 blue Plasters"]],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined) return null;
      return eachPart(list!, COUNT_THEN_BRACKETS, (n, kind) => `${n} ${kind} ${name}`);
    },
  },
  {
    name: "so many of each kind, after the name",
    example: [
      "triangular bandages: 4 calico, 2 paper",
      ["4 calico triangular bandages", "2 paper triangular bandages"],
    ],
    split: (text) => {
      const m = NAME_THEN_LIST.exec(text.trim());
      return m && eachPart(m[2]!, COUNT_THEN_MODIFIER, (n, kind) => `${n} ${kind} ${m[1]}`);
    },
  },
  {
    name: "so many, and after it which",
    example: [
      "2 tourniquets - one windlass, one ratchet",
      ["one windlass tourniquets", "one ratchet tourniquets"],
    ],
    split: (text) => {
      const m = COUNT_NAME_LIST.exec(text.trim());
      if (!m) return null;
      const list = m[3]!.replace(MODIFIER_THEN_COUNT, "$1, ");
      const parts = eachPart(list, COUNT_THEN_MODIFIER, (n, kind) => ({ n, kind }));
      const sum = parts?.reduce((s, p) => s + valueOf(p.n), 0);
      return parts && sum === valueOf(m[1]!) ? parts.map((p) => `${p.n} ${p.kind} ${m[2]}`) : null;
    },
  },
  {
    name: "so many of each size, before the name",
    example: [
      "2 medium + 1 large sterile dressing",
      ["2 medium sterile dressing", "1 large sterile dressing"],
    ],
    split: (text) => {
      const m = COUNTED_SIZES_THEN_NAME.exec(text.trim());
      if (!m) return null;
      const each = [...m[1]!.matchAll(EACH_COUNTED_SIZE), [0, m[4]!, m[5]!] as const];
      return each.map(([, n, size]) => `${n} ${size} ${m[6]!}`);
    },
  },
  {
    name: "so many pairs of each size, before the name",
    example: [
      "2 pairs large and 3 pairs medium latex gloves",
      ["2 pairs large latex gloves", "3 pairs medium latex gloves"],
    ],
    split: (text) => {
      return eachPairs(PAIRS_OF_SIZES.exec(text.trim()));
    },
  },
  {
    name: "so many pairs of one size, so many of another",
    example: [
      "four pairs of medium gloves, two large",
      ["four pairs medium gloves", "two pairs large gloves"],
    ],
    split: (text) => {
      return eachPairs(PAIRS_THEN_SIZE.exec(text.trim()));
    },
  },
  {
    name: "so many each of several letters",
    example: ["gloves M/L 6 pr each", ["6 pr gloves M", "6 pr gloves L"]],
    split: (text) => {
      const [, name, letters, each] = LETTERS_EACH.exec(text.trim()) ?? [];
      return name === undefined
        ? null
        : letters!.split(/\s*[/,&+]\s*/).map((size) => `${each!} ${name} ${size}`);
    },
  },
  {
    name: "so many of each size, after the name and with nothing between",
    example: [
      "conforming bandages: 3 small 2 big",
      ["3 small conforming bandages", "2 big conforming bandages"],
    ],
    split: (text) => {
      const m = NAME_THEN_COUNTED_SIZES.exec(text.trim());
      return (
        m && [...m[2]!.matchAll(EACH_COUNTED_SIZE)].map(([, n, size]) => `${n} ${size} ${m[1]!}`)
      );
    },
  },
  {
    name: "bandages by their sort, with nothing or a comma between",
    example: ["bandage - 2 crepe 1 triangular", ["2 crepe bandage", "1 triangular bandage"]],
    split: (text) => {
      const m = BANDAGES_BY_SORT.exec(text.trim());
      return m && [...m[2]!.matchAll(EACH_SORT)].map(([, n, sort]) => `${n} ${sort} ${m[1]!}`);
    },
  },
  {
    name: "so many in each form",
    example: ["burn gel, 2 tubes + 5 sachets", ["burn gel, 2 tubes", "burn gel, 5 sachets"]],
    split: (text) => {
      const m = NAME_THEN_ANY_LIST.exec(text.trim());
      return m && eachPart(m[2]!, COUNT_THEN_FORM, (n, form) => `${m[1]}, ${n} ${form}`);
    },
  },
  {
    name: "so many of each measure, before the name",
    example: [
      "One 7.5 cm and one 10 cm crepe bandage",
      ["one 7.5 cm crepe bandage", "one 10 cm crepe bandage"],
    ],
    split: (text) => {
      const m = COUNTED_MEASURES_THEN_NAME.exec(text.trim());
      return m && [`${m[1]!.toLowerCase()} ${m[2]!} ${m[5]!}`, `${m[3]!} ${m[4]!} ${m[5]!}`];
    },
  },
  {
    name: "as many sizes as there are things: one of each",
    example: [
      "2 conforming bandages (5 cm & 7.5 cm)",
      ["1 conforming bandages 5 cm", "1 conforming bandages 7.5 cm"],
    ],
    split: (text) => {
      const m = COUNT_NAME_SIZES.exec(text.trim());
      if (!m) return null;
      const sizes = m[3]!.trim().split(BETWEEN_SIZES);
      const unit = ANY_UNIT.exec(sizes.at(-1)!)?.[0];
      if (unit === undefined || sizes.length < 2 || sizes.length !== valueOf(m[1]!)) return null;
      if (!sizes.every((size) => WIDTH.test(size))) return null;
      return sizes.map((size) => `1 ${m[2]!} ${ANY_UNIT.test(size) ? size : `${size} ${unit}`}`);
    },
  },
  {
    name: "tubular bandages by the letter of their width",
    example: [
      "tubular bandage E - 1 roll, F - 2 rolls",
      ["1 roll tubular bandage E", "2 rolls tubular bandage F"],
    ],
    split: (text) => {
      const [, name, list] = TUBULAR_LETTERS.exec(text.trim()) ?? [];
      if (name === undefined) return null;
      return eachPart(list!, TUBULAR_LETTER, (letter, n) => `${n} ${name} ${letter}`);
    },
  },
  {
    name: "so many each of several measures, behind the name",
    example: [
      "4 gauze pads (2 each of 5 x 5 and 10 x 10 cm)",
      ["2 gauze pads 5 x 5 cm", "2 gauze pads 10 x 10 cm"],
    ],
    split: (text) => {
      const [, total, name, each, list] = NAME_EACH_OF_MEASURES.exec(text.trim()) ?? [];
      if (name === undefined) return null;
      const sizes = list!.trim().split(BETWEEN_SIZES);
      const unit = ANY_UNIT.exec(sizes.at(-1)!)?.[0];
      if (unit === undefined || sizes.length < 2 || !sizes.every((s) => MEASURES.test(s)))
        return null;
      if (total !== undefined && valueOf(total) !== sizes.length * valueOf(each!)) return null;
      return sizes.map((s) => `${each} ${name} ${ANY_UNIT.test(s) ? s : `${s} ${unit}`}`);
    },
  },
  {
    name: "so many each of several sizes",
    example: [
      "1 each of small, medium and large wound dressings",
      ["1 small wound dressings", "1 medium wound dressings", "1 large wound dressings"],
    ],
    split: (text) => {
      const m = EACH_OF_SIZES.exec(text.trim());
      if (!m) return null;
      const sizes = [...m[2]!.split(/\s*(?:,|\band\b|&|\/)\s*/i).filter(Boolean), m[3]!.trim()];
      return sizes.map((size) => `${m[1]} ${size} ${m[4]!.replace(/,\s*$/, "")}`);
    },
  },
  {
    name: "counted sorts behind their name, however they are written",
    example: ["gloves: 4 pairs (L) and 2 pairs (M)", ["4 pairs gloves L", "2 pairs gloves M"]],
    split: sortsBehindName,
  },
  {
    name: "counted sorts in brackets, however they are written",
    example: ["gloves 10 pairs (6 L, 4 M)", ["6 pairs gloves L", "4 pairs gloves M"]],
    split: sortsInBrackets,
  },
  {
    name: "counted sorts before their name, however they are written",
    example: ["4 pairs (L) and 2 pairs M gloves", ["4 pairs gloves L", "2 pairs gloves M"]],
    split: sortsBeforeName,
  },
  {
    name: "counted sorts, the first behind the name",
    example: ["4 pr gloves L, 2 pr M", ["4 pairs gloves L", "2 pairs gloves M"]],
    split: sortsAroundName,
  },
  {
    name: "as many of each of several widths",
    example: [
      "gauze roll 7.5 and 10 cm, two of each",
      ["gauze roll 7.5 cm x 2 pcs", "gauze roll 10 cm x 2 pcs"],
    ],
    split: eachOfSizes,
  },
  {
    name: "widths and counts, strokes between them",
    example: [
      "gauze roll 7.5cm/10cm - 2/1",
      ["gauze roll 7.5cm x 2 pcs", "gauze roll 10cm x 1 pcs"],
    ],
    split: sizesThenCounts,
  },
];

const valueOf = (count: string): number => VALUE_OF[count.toLowerCase()] ?? Number(count);

/** Longer lines are prose. */
const LONGEST = 300;

/** What parts the variants, or leads to them: each pattern has one of these. */
const MAY_VARY = /[,;:+&/–—-]|\b(?:and|one|two|three|four|five|six)\b|\d\D+\s\d/i;

/** The lines that a line with variants stands for; itself where it has none. */
export function eachVariant(text: string): string[] {
  if (text.length > LONGEST || !MAY_VARY.test(text)) return [text];
  for (const { split } of VARIANTS) {
    const lines = split(text);
    if (lines) return lines;
  }
  return [text];
}
