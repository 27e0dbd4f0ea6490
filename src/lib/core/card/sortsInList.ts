import { NUMBER_WORDS } from "./numberWords.ts";
import { COLOUR, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * One name with a list of its sorts, each counted: "gloves: 4 pairs L and 2 pairs M", "crepe bandages 2 wide 1 narrow", "gauze
 * 7.5 cm two, 10 cm one". The parts of a list are all written alike; between them stands a comma, a word, a stroke or a blank.
 */

const UNIT = `(?:mm|cm|m|in(?:ch(?:es)?)?|ft|yd|"|″)`;
const MEASURE = `\\d+(?:[.,]\\d+)?\\s*${UNIT}(?:\\s*[x×]\\s*\\d+(?:[.,]\\d+)?\\s*${UNIT}?)?`;
/** A width without its unit, told from a count by its place. */
const BARE = "\\d{1,2}(?:[.,]5)?";
const LETTER = "XS|X{0,3}L|[SM]";
const WORD = `(?:extra[ -])?(?:small|medium|large)|big|little|wide|narrow|long|short|adult|child(?:['’]?s|ren['’]?s)?|infant|junior|calico|cloth|cotton|paper|non-?woven|fabric|waterproof|${COLOUR}|straight|curved|blunt|sharp|windlass|ratchet|vented|plain|sterile|unsterile|non-?sterile|assorted|asst`;
/** Sorts that are kinds of their own, said right before the last word of the name: "blue fingertip plasters". */
const KIND = "strips?|spots?|knuckle|fingertip|blister";
const SORT = `(?<sort>${MEASURE}|${LETTER}|${WORD}|${KIND})`;
const COUNT = `(?<count>${NUMBER_WORDS})`;
const PAIRS = "(?<pairs>pairs?|prs?)";

/** "4 pairs L", "(2) 10 cm", "two of 7.5 cm", "2 wide ones". */
const COUNT_FIRST = `\\(?${COUNT}\\)?\\s*(?:${PAIRS}\\s+|no\\.?\\s+|off\\s+|pcs\\s+)?(?:of\\s+(?:the\\s+)?|@\\s*|[x×]\\s*(?=\\p{L}))?\\(?${SORT}\\)?(?:\\s+(?:(?<behind>pairs?|prs?)|ones?))?`;
/** "L x 4 pairs", "7.5 cm two". */
const SORT_FIRST = `\\(?${SORT}\\)?\\s*(?:[-–:=x×@]\\s*)?\\(?${COUNT}\\)?(?:\\s*(?:${PAIRS}|rolls?|pcs|off))?`;
/** "(2) 10", "two 7.5", "2 x 7.5": the count in brackets, in words, or with its sign. */
const COUNT_THEN_BARE = `(?:\\((?<count>\\d{1,3})\\)|(?<times>\\d{1,2})\\s*[x×]|(?<word>one|two|three|four|five|six|seven|eight|nine|ten|twelve))\\s*(?<sort>${BARE})`;
const FORMS = [COUNT_FIRST, SORT_FIRST, COUNT_THEN_BARE].map((form) =>
  quick(new RegExp(`(?<![\\p{L}\\d])(?:${form})(?![\\p{L}\\d.,]*[\\p{L}\\d])`, "iuy")),
);
/** "2 x 10 cm", "10 cm x 2", "a big": before a name. */
const FORMS_BEFORE = [
  FORMS[0]!,
  ...[
    `(?<count>\\d{1,2})\\s*[x×]\\s*(?<sort>${MEASURE})`,
    `(?<sort>${MEASURE})\\s*[x×]\\s*(?<count>\\d{1,2})`,
    `(?<count>an?|one)\\s+(?<sort>${WORD})`,
  ].map((form) => quick(new RegExp(`(?<![\\p{L}\\d])(?:${form})(?![\\p{L}\\d])`, "iuy"))),
];
const PARTED = /\s+\/\s+|\s*(?:[,;+&]|\band\b|\bplus\b)\s*|\s+/iy;

/** What a pattern found, by the names of its groups. */
type Groups = Readonly<
  Partial<
    Record<
      "name" | "list" | "all" | "pairs" | "first" | "sort" | "sizes" | "count" | "counts",
      string
    >
  >
>;

interface Part {
  readonly count: string;
  readonly sort: string;
  readonly isPairs: boolean;
}

/** The parts that a list begins with, all of one form, and where they end. */
function partsOf(list: string, form: RegExp): { parts: readonly Part[]; to: number } {
  const parts: Part[] = [];
  let to = 0;
  for (let at = 0; ;) {
    form.lastIndex = at;
    const m = form.exec(list);
    if (!m) break;
    const { count, times, word, sort, pairs, behind } = m.groups!;
    parts.push({
      count: count ?? times ?? word!,
      sort: sort!,
      isPairs: (pairs ?? behind) !== undefined,
    });
    to = form.lastIndex;
    PARTED.lastIndex = to;
    if (!PARTED.test(list)) break;
    at = PARTED.lastIndex;
  }
  return { parts, to };
}
/** One sort alone is no list. */
const FEWEST = 2;
/** The parts of a text that is such a list from end to end; null: it is none. */
function wholeList(list: string): readonly Part[] | null {
  for (const form of FORMS) {
    const { parts, to } = partsOf(list, form);
    if (parts.length >= FEWEST && to === list.length) return parts;
  }
  return null;
}

const HAS_UNIT = quick(new RegExp(UNIT, "iu"));
const IS_LETTER = new RegExp(`^(?:${LETTER})$`, "i");
const IS_KIND = new RegExp(`^(?:${KIND})$`, "i");
const IS_BARE = new RegExp(`^${BARE}$`);
const LETTER_WORD: Readonly<Record<string, string>> = { S: "small", M: "medium", L: "large" };
/** What comes in a width, of which a number beside a count tells. */
const HAS_WIDTH = /bandage|crepe|crêpe|tape|roll|wrap|gauze|conforming|cohesive|elastic/i;

/** A part as a line of its own. */
function lineOf(name: string, { count, sort, isPairs }: Part, inPairs: boolean): string {
  const counted = isPairs || inPairs ? `${count} pairs` : count;
  if (IS_LETTER.test(sort))
    return /(?:dressings?|drsgs?|dsgs?)$/i.test(name)
      ? `${counted} ${LETTER_WORD[sort.toUpperCase()] ?? sort} ${name}`
      : `${counted} ${name} ${sort}`;
  if (/^\d/.test(sort)) return `${name} ${sort} x ${valueOf(count)} pcs`;
  if (IS_KIND.test(sort)) return `${counted} ${name.replace(/(?=\S+$)/, `${sort} `)}`;
  return `${counted} ${sort.replace(/^asst$/i, "assorted")} ${name}`;
}
/** The lines of a name and its sorts; widths without a unit are in cm where one of them is a half: "7.5". */
function linesOf(name: string, parts: readonly Part[]): string[] | null {
  const isBare = parts.every(({ sort }) => IS_BARE.test(sort));
  if (isBare && !HAS_WIDTH.test(name)) return null;
  const isMetric = parts.some(({ sort }) => /[.,]5$/.test(sort));
  const inPairs = parts.some((p) => p.isPairs);
  return parts.map((part) =>
    isBare
      ? isMetric
        ? lineOf(name, { ...part, sort: `${part.sort} cm` }, inPairs)
        : `${part.count} ${name}`
      : lineOf(name, part, inPairs),
  );
}

const NAME_THEN_LIST = quick(/^(?<name>\p{L}[^\d(:]*?)\s*(?::|[-–—](?=\s)|,)?\s+(?<list>\S.*)$/u);
const NAME_THEN_BRACKETS = quick(
  new RegExp(
    `^(?<name>\\p{L}[^\\d(]*?)[\\s:,–-]*(?:(?<all>${NUMBER_WORDS})\\s*(?:${PAIRS})?)?\\s*\\((?<list>[^()]*)\\)$`,
    "iu",
  ),
);

/** "gloves: 4 pairs L and 2 pairs M": the list behind its name, from the first place where one begins. */
export function sortsBehindName(text: string): string[] | null {
  const written = text.trim();
  if (!NAME_THEN_LIST.test(written)) return null;
  for (const { index } of written.matchAll(/(?<=\s)\S/g)) {
    const parts = wholeList(written.slice(index));
    const name = written.slice(0, index).replace(/\s*[:,–—-]?\s*$/, "");
    if (parts && IS_NAME.test(name)) return linesOf(name, parts);
  }
  return null;
}
/** Words alone: a count before the name tells how many there are in all. */
const IS_NAME = quick(/^\p{L}[^\d(:]*\p{L}$/u);

/** "gloves 10 pairs (6 L, 4 M)": the list in brackets, which comes to what is said before them. */
export function sortsInBrackets(text: string): string[] | null {
  const found = NAME_THEN_BRACKETS.exec(text.trim())?.groups as Groups | undefined;
  const parts = found && wholeList(found.list!.trim());
  if (!parts) return null;
  const { name, all, pairs } = found;
  const sum = parts.reduce((s, p) => s + valueOf(p.count), 0);
  if (all !== undefined && sum !== valueOf(all)) return null;
  return linesOf(name!, pairs === undefined ? parts : parts.map((p) => ({ ...p, isPairs: true })));
}

/** "4 pairs L and 2 pairs M nitrile gloves": the list before its name. */
export function sortsBeforeName(text: string): string[] | null {
  const written = text.trim();
  for (const form of FORMS_BEFORE) {
    const { parts, to } = partsOf(written, form);
    const name = written.slice(to).trim();
    const isMeasured = parts.some((p) => /^\d/.test(p.sort));
    const isList = parts.length >= FEWEST && (!isMeasured || HAS_WIDTH.test(name));
    if (isList && IS_NAME.test(name) && !/[,;&+]|\band\b/i.test(name)) return linesOf(name, parts);
  }
  return null;
}

const SORT_BEHIND_NAME = quick(
  new RegExp(
    `^(?<first>(?:${NUMBER_WORDS})\\s*(?:pairs?|prs?)?)\\s+(?<name>\\p{L}[^\\d(,;]*?)\\s+\\(?(?<sort>${LETTER}|${WORD})\\)?\\s*(?:[,;+&]|\\band\\b)\\s*(?<list>\\S.*)$`,
    "iu",
  ),
);
const WIDTH_BEFORE_NAME = quick(
  new RegExp(
    `^(?<first>${NUMBER_WORDS})\\s+(?<sort>wide|narrow|long|short|blunt|sharp|straight|curved)\\s+(?<name>\\p{L}[^\\d(,;]*?)\\s*(?:[,;+&]|\\band\\b)\\s*(?<list>\\S.*)$`,
    "iu",
  ),
);
/** "4 pr gloves L, 2 pr M": the first sort stands behind the name, the others by themselves. */
export function sortsAroundName(text: string): string[] | null {
  const written = text.trim();
  for (const pattern of [SORT_BEHIND_NAME, WIDTH_BEFORE_NAME]) {
    const found = pattern.exec(written)?.groups as Groups | undefined;
    const parts = found && wholeList(`${found.first!} ${found.sort!}, ${found.list!}`);
    if (parts) return linesOf(found.name!, parts);
  }
  return null;
}

const SIZES_EACH = quick(
  new RegExp(
    `^(?<name>\\p{L}[^\\d(:]*?)\\s*[:,–-]?\\s+(?<sizes>\\d[^(]*?${UNIT})\\s*(?:[,–-]\\s*|\\()?(?<count>${NUMBER_WORDS})\\s+(?:of\\s+)?each\\)?$`,
    "iu",
  ),
);
const WIDTH = quick(new RegExp(`^\\d+(?:[.,]\\d+)?\\s*${UNIT}?$`, "iu"));
/** Widths of which the last has its unit, each with that or its own; null: they are none. */
function withUnits(sizes: readonly string[]): string[] | null {
  const unit = HAS_UNIT.exec(sizes.at(-1)!)?.[0];
  if (unit === undefined || !sizes.every((size) => WIDTH.test(size))) return null;
  return sizes.map((size) => (HAS_UNIT.test(size) ? size : `${size} ${unit}`));
}
/** "gauze 7.5 and 10 cm, two of each": as many of each. */
export function eachOfSizes(text: string): string[] | null {
  const found = SIZES_EACH.exec(text.trim())?.groups as Groups | undefined;
  if (!found) return null;
  const sizes = withUnits(found.sizes!.split(/\s*(?:,\s|[;+&/]|\band\b)\s*/i));
  if (!sizes || sizes.length < FEWEST) return null;
  return sizes.map((size) => `${found.name!} ${size} x ${valueOf(found.count!)} pcs`);
}

const SIZES_THEN_COUNTS = quick(
  new RegExp(
    `^(?<name>\\p{L}[^\\d(:]*?)\\s*[:,–-]?\\s+(?<sizes>\\d[^(]*?${UNIT})\\s*(?:[,:–-]\\s*|\\s)(?<counts>\\d{1,2}(?:\\s*\\/\\s*\\d{1,2})+)$`,
    "iu",
  ),
);
/** "gauze 7.5cm/10cm - 2/1": sizes and counts, a stroke between each. */
export function sizesThenCounts(text: string): string[] | null {
  const found = SIZES_THEN_COUNTS.exec(text.trim())?.groups as Groups | undefined;
  if (!found) return null;
  const sizes = withUnits(found.sizes!.split(/\s*\/\s*/));
  const counts = found.counts!.split(/\s*\/\s*/);
  if (sizes?.length !== counts.length) return null;
  return sizes.map((size, i) => `${found.name!} ${size} x ${counts[i]!} pcs`);
}
