import { NUMBER_WORDS, VALUE_OF } from "./numberWords.ts";

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
const BETWEEN = /\s*(?:[,;+&]|\band\b)\s*/iu;
const SIZE_WORD = "(?:extra[ -])?(?:small|medium|large|big|little)|[SML]|X+L";

const whole = (pattern: string) => new RegExp(`^(?:${pattern})$`, "iu");
const SIZE_THEN_COUNT = whole(
  `(${SIZE})\\s*(?:[-–:=]|[(x×])\\s*(\\d{1,3})\\)?(?:\\s*(?:pcs|off|rolls?))?`,
);
const COUNT_THEN_SIZE = whole(`\\((\\d{1,3})\\)\\s*(${SIZE})`);
const COUNT_THEN_WORDS = whole(`(${N})\\s+(\\p{L}[\\p{L} -]*)`);

/** Has one printed dimension, so that the other number counts. */
const ON_A_ROLL = /bandage|crepe|crêpe|tape|roll|wrap/i;
const COUNT_TIMES_WIDTH = whole(`(\\d{1,3})\\s*[x×]\\s*(\\d+(?:[.,]\\d+)?\\s*${UNIT})`);

const WORDS_THEN_COUNT = whole(`(\\p{L}[\\p{L} -]*?(?:\\s*\\([^)]*\\))?)\\s*[x×]\\s*(\\d{1,3})`);
/** What is listed by its kind alone below such a heading: "Bandages: crepe ×2, triangular ×3". */
const SHARED_HEAD =
  /^(?:bandages|dressings|plasters|gloves|splints|tapes|wipes|pads|blankets|masks|collars|tourniquets)$/i;

/** What tells one of a kind from another, and names nothing by itself. */
const MODIFIER =
  "(?:calico|cloth|cotton|paper|non-?woven|woven|fabric|small|medium|large|wide|narrow|big|little|long|short|[SML]|XL|adult|child|infant|windlass|ratchet|blue|black|purple|white|clear|vinyl|nitrile|latex|vented|plain|sterile|unsterile|straight|curved|left|right)";
const COUNT_THEN_MODIFIER = whole(`(${N})\\s+(${MODIFIER})(?:\\s+ones?)?`);

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

/** Name first, then the list: the text before the first number, and all from there. */
function nameAndList(text: string): [name: string, list: string] | null {
  const m = /^(\p{L}[^\d(]*?)[\s:,–-]+((?:\(\d|\d).*)$/u.exec(text.trim());
  return m && [m[1]!.trim(), m[2]!];
}

export const VARIANTS: readonly VariantPattern[] = [
  {
    name: "sizes with their counts behind",
    example: [
      "Bandages, elastic: 6 cm (3), 8 cm (2)",
      ["Bandages, elastic 6 cm x 3 pcs", "Bandages, elastic 8 cm x 2 pcs"],
    ],
    split: (text) => {
      const [name, list] = nameAndList(text) ?? [];
      if (name === undefined || !new RegExp(UNIT, "iu").test(list!)) return null;
      return eachPart(list!, SIZE_THEN_COUNT, (size, n) => `${name} ${size} x ${n} pcs`);
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
      const m = new RegExp(`^(${N})\\s+(\\p{L}[^(]*?)\\s*\\(([^)]*)\\)\\s*$`, "iu").exec(
        text.trim(),
      );
      if (!m) return null;
      const parts = eachPart(m[3]!, COUNT_THEN_WORDS, (n, kind) => ({ n, kind }));
      const sum = parts?.reduce((s, p) => s + Number(p.n), 0);
      return parts && sum === Number(m[1]) ? parts.map((p) => `${p.n} ${p.kind} ${m[2]}`) : null;
    },
  },
  {
    name: "kinds of what a heading names, each with its count",
    example: ["Dressings: medium ×4, eye ×2", ["medium Dressings x 4", "eye Dressings x 2"]],
    split: (text) => {
      const m = /^(\p{L}+):\s+(.*)$/u.exec(text.trim());
      if (!m || !SHARED_HEAD.test(m[1]!)) return null;
      return eachPart(m[2]!, WORDS_THEN_COUNT, (kind, n) => `${kind} ${m[1]} x ${n}`);
    },
  },
  {
    name: "so many of each kind, after the name",
    example: [
      "triangular bandages: 4 calico, 2 paper",
      ["4 calico triangular bandages", "2 paper triangular bandages"],
    ],
    split: (text) => {
      const m = /^(\p{L}[^:\d,;()]*?)\s*(?::|\s[-–—])\s+(.*)$/u.exec(text.trim());
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
      const m = new RegExp(
        `^(${N})\\s+(\\p{L}[^:\\d,;()–—-]*?)\\s*(?::|\\s[-–—]|,)\\s+(.*)$`,
        "iu",
      ).exec(text.trim());
      if (!m) return null;
      const list = m[3]!.replace(new RegExp(`(${MODIFIER})\\s+(?=(?:${N})\\s)`, "giu"), "$1, ");
      const parts = eachPart(list, COUNT_THEN_MODIFIER, (n, kind) => ({ n, kind }));
      const sum = parts?.reduce((s, p) => s + valueOf(p.n), 0);
      return parts && sum === valueOf(m[1]!) ? parts.map((p) => `${p.n} ${p.kind} ${m[2]}`) : null;
    },
  },
  {
    name: "so many each of several sizes",
    example: [
      "1 each of small, medium and large wound dressings",
      ["1 small wound dressings", "1 medium wound dressings", "1 large wound dressings"],
    ],
    split: (text) => {
      const m = new RegExp(
        `^(${N})\\s+(?:of\\s+)?each(?:\\s+of)?:?\\s+((?:(?:${SIZE_WORD})\\s*(?:,|and|&|\\/)\\s*)+)((?:${SIZE_WORD})\\s+)(.*)$`,
        "iu",
      ).exec(text.trim());
      if (!m) return null;
      const sizes = [...m[2]!.split(/\s*(?:,|\band\b|&|\/)\s*/iu).filter(Boolean), m[3]!.trim()];
      return sizes.map((size) => `${m[1]} ${size} ${m[4]!.replace(/,\s*$/, "")}`);
    },
  },
];

const valueOf = (count: string): number => VALUE_OF[count.toLowerCase()] ?? Number(count);

/** Longer lines are prose. */
const LONGEST = 300;

/** The lines that a line with variants stands for; itself where it has none. */
export function eachVariant(text: string): string[] {
  if (text.length > LONGEST) return [text];
  for (const { split } of VARIANTS) {
    const lines = split(text);
    if (lines) return lines;
  }
  return [text];
}
