import { NUMBER_SAID, SAYS_NUMBER } from "./numberWords.ts";
import { COLOUR, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * One name with a list of its sorts, each counted, as a grammar: "gloves: 4 pairs L, and 2 pairs M", "6 crepe bandages - 2 x 7.5 cm
 * / 4 x 10 cm", "foil blankets (gold 2; silver 3)". A line of its own for each sort, with the name.
 *
 *   line  = name link list | total name link list | name total "(" list ")" | list name | count sort name between list
 *   list  = part between part …, all parts in one order
 *   part  = count unit? sign? sort | sort sign? count unit?
 *   sort  = measure | letter | model | word
 */

const UNIT = `(?:mm|cm|m|in(?:ch(?:es)?)?|ft|yd|"|″|-inch)`;
const NUMBER = "\\d+(?:[.,]\\d+)?";
/** "10 cm", "10 x 10 cm", "7.5 cm x 4 m", "10x10". */
const MEASURE = `${NUMBER}\\s*${UNIT}(?![\\p{L}])(?:\\s*[x×]\\s*${NUMBER}\\s*${UNIT}(?![\\p{L}]))?|${NUMBER}\\s*[x×]\\s*${NUMBER}(?:\\s*${UNIT}(?![\\p{L}]))?`;
const LETTER = "XS|X{0,3}L|[SM]";
const MODEL = "(?:no|nr|size|sz)\\.?\\s*\\d{1,2}";
const WORD = `\\p{L}[\\p{L}'’-]+(?:\\s\\p{L}[\\p{L}'’-]+){0,2}(?:\\s(?:${LETTER})(?![\\p{L}]))?(?:\\s?\\((?:${MEASURE})\\))?`;
/** A width without its unit, told from a count by its place. */
const BARE = "\\d{1,2}(?:[.,]5)?(?![\\d.,])";
/** "with the pad in it". */
const CLAUSE = "(?:with|that|from)\\s[^\\d,;()]+";
const SORT_NAMED = `${MEASURE}|(?:${MODEL}|${LETTER})(?![\\p{L}])|${WORD}`;
const SORT = `(?<sort>${SORT_NAMED})`;
const SORT_OR_BARE = `(?<sort>${CLAUSE}|${SORT_NAMED}|${BARE})`;
const COUNT = `(?<count>\\d{1,3}(?![.,]?\\d)|(?:${NUMBER_SAID})(?![\\p{L}]))`;
const UNITS =
  "(?<unit>pairs?|prs?|pcs?|pieces|off|nos?\\.?(?!\\s*\\d)|rolls?|cards?|packs?|pkts?|packets|box(?:es)?|strips?|tubes?|bottles?)";
const AGAIN = "(?:(?:and|plus|same|ditto|do\\.?|the|in|size)\\s+)?";

const whole = (pattern: string) => quick(new RegExp(`^(?:${pattern})$`, "iu"));
/** "2 x 7.5 cm", "4 pairs (L)", "two of 10 cm", "(3) wide", "3 wide ones". */
const COUNT_FIRST = whole(
  `${AGAIN}\\(?${COUNT}\\)?\\s*(?:${UNITS}(?![\\p{L}])\\s*)?(?:(?<times>[x×])(?=[\\s\\d(])\\s*|[@:=–-]\\s*|(?:of(?:\\s+the)?|in|at)\\s+)?\\(?${SORT_OR_BARE}\\)?(?:\\s+(?<behind>pairs?|prs?|ones?))?`,
);
/** "7.5 cm: 2", "L x 4 pairs", "wide (3)", "10 cm, two". */
const SORT_FIRST = whole(
  `${AGAIN}\\(?${SORT}\\)?(?:\\s+ones?)?\\s*(?:[-–:=x×@,]\\s*)?\\(?${COUNT}\\)?\\s*(?:[x×]\\s*)?(?:${UNITS}(?![\\p{L}]))?\\)?`,
);

/** What parts a list, the weightiest first; within one a lighter one may stand between a sort and its count. */
const BETWEEN = [
  /\s*;\s*/,
  /\s*,\s*(?:and|plus|&)\s+|\s+\/\s+|\s*[&+]\s*|\s+(?:and|plus)\s+/i,
  /\s*[;&+]\s*|\s*,\s*(?:(?:and|plus|&)\s+)?|\s+\/\s+|\s+(?:and|plus)\s+/i,
] as const;
/** Nothing but a blank: "3 small 2 big", "M x6 L x4". */
const APART = [
  quick(
    new RegExp(
      `\\s+(?=\\(?(?:\\d{1,3}|${NUMBER_SAID})\\)?\\s*(?:pairs?\\s+|prs?\\s+)?\\p{L})`,
      "iu",
    ),
  ),
  quick(
    /(?<=(?:\d|\b(?:one|two|three|four|five|six))\)?(?:\s*(?:pairs?|prs?|rolls?))?)\s+(?=\p{L})(?!(?:[x×]|pairs?|prs?|rolls?)(?!\p{L}))/iu,
  ),
] as const;

/** One sort with its count. */
interface Part {
  readonly count: string;
  readonly sort: string;
  /** What it is counted in; undefined: pieces. */
  readonly unit: string | undefined;
  /** "2 x 10 cm", which may be a size of two sides. */
  readonly isTimes: boolean;
}

function partOf(text: string, form: RegExp): Part | null {
  const found = form.exec(text.trim())?.groups;
  if (!found) return null;
  const { count, sort, unit, behind, times } = found as Readonly<
    Record<string, string | undefined>
  >;
  const pairs = IN_PAIRS.test(behind ?? "") ? behind : undefined;
  // "2 x 20x20": what is closed up belongs together.
  if (LOOSE.test(sort!) && CLOSED_UP.test(text)) return null;
  if (IS_BARE.test(sort!) && !TELLS_COUNT.test(text)) return null;
  return { count: count!, sort: sort!, unit: unit ?? pairs, isTimes: times !== undefined };
}

const IS_BARE = /^\d{1,2}(?:[.,]5)?$/;
/** "(2) 10", "two 7.5", "2 x 7.5": which of two numbers counts. */
const TELLS_COUNT = /^\s*(?:\(|\p{L}|\d+\s*[x×])/iu;
const LOOSE = /^[\d.,]+\s+[x×]\s+[\d.,]+$/i;
const CLOSED_UP = /\d[x×]\d/i;

/** Longer lines are prose. */
const LONGEST = 300;
/** One sort alone is no list. */
const FEWEST = 2;
const IS_MEASURE = /^\d/;
/** Says how they are, or where, and not which. */
const NO_SORT =
  /\b(?:mm|cm|m|mil|in|inch(?:es)?|ft|ml|cl|l|mg|mcg|g|kg|oz|(?:milli|centi)?(?:lit(?:re|er)|metre|meter|gram)s?|percent|them|these|those|it|make|that|reqd?|required|held|hold|stock(?:ed)?|qty|quantity|count(?:ed)?|number|amount|sizes?|par|target|should|must|actual|found|balance|issued|received|opening|closing|remain(?:ing|s)?|used|left|over|missing|lost|gone|short|expired?|out|date|there|here|needed|wanted|ordered|open(?:ed)?|unopened|full|empty|spare|more|less|new|old|broken|damaged|only|each|per|about|approx|total|max|min|or|with|w|for|to|from|on|at|by|of|is|are|was|has|have|not|no|none|bin(?:ned)?|pairs?|prs?|pcs?|pieces|rolls?|packs?|packets|pkts?|box(?:es)?|bags?|cards?|off|sachets?|tubes?|bottles?|tablets?|tabs|caps(?:ules)?|days?|months?|years?|weeks?)\b/i;

/** The parts that a text is from end to end; null: it is no list. */
function partsOf(list: string): readonly Part[] | null {
  for (const between of BETWEEN) {
    const parts = partsBetween(list, between);
    if (parts) return parts;
  }
  for (const between of APART) {
    const parts = partsBetween(list, between);
    if (parts?.every((p) => KNOWN_SORT.test(p.sort))) return parts;
  }
  return null;
}
/** Most lines are no such list, and their first part tells. */
function allParts(said: readonly string[], form: RegExp): readonly Part[] | null {
  const parts: Part[] = [];
  for (const text of said) {
    const part = partOf(text, form);
    if (part === null) return null;
    parts.push(part);
  }
  return parts;
}
function partsBetween(list: string, between: RegExp): readonly Part[] | null {
  const said = list.split(between);
  if (said.length < FEWEST) return null;
  for (const form of [SORT_FIRST, COUNT_FIRST]) {
    const parts = allParts(said, form);
    if (parts && areAlike(parts)) return parts;
  }
  return null;
}
const areAlike = (parts: readonly Part[]): boolean =>
  new Set(parts.map((p) => IS_MEASURE.test(p.sort))).size === 1 &&
  (parts.every((p) => PLAIN_SORT.test(p.sort)) || !parts.some((p) => IS_LETTER.test(p.sort))) &&
  new Set(parts.map((p) => p.sort.toLowerCase())).size === parts.length &&
  parts.every(
    (p) =>
      SAFE_SORT.test(p.sort) ||
      !SAYS_HOW.test(p.sort.replace(IN_BRACKETS, "").replace(LETTER_LAST, "")),
  );
/** "nitrile M": its size, and no metres. */
const LETTER_LAST = new RegExp(`\\s(?:${LETTER})$`, "i");
const SAFE_SORT = new RegExp(`^(?:\\d|${CLAUSE}$|(?:${LETTER}|${MODEL})$)`, "iu");
const SAYS_HOW = new RegExp(`${NO_SORT.source}|${SAYS_NUMBER.source}`, "i");
const IN_BRACKETS = /\(.*\)/;

/** What comes in a width, of which one measure alone tells. */
const HAS_WIDTH =
  /bandage|crepe|crêpe|tape|roll|wrap|conforming|cohesive|elastic|gauze\s+(?:bandage|roll)/i;
const IN_PAIRS = /^p(?:ai)?rs?$/i;

/** A name, and what is said of it: in all, and sort by sort. */
interface Said {
  readonly name: string;
  readonly parts: readonly Part[];
  readonly inPairs: boolean;
  /** The sorts are said in brackets. */
  readonly areAside: boolean;
}

const sumOf = (parts: readonly Part[]): number =>
  parts.reduce((sum, part) => sum + valueOf(part.count), 0);

/** Whether the counts are counts, and come to what is said in all. */
function addsUp(name: string, parts: readonly Part[], total: number | null): boolean {
  if (total !== null && sumOf(parts) !== total) return false;
  if (HAS_WIDTH.test(name)) return true;
  return !parts.some((p) => IS_BARE.test(p.sort) || (total === null && p.isTimes && isOneSided(p)));
}
const isOneSided = (p: Part): boolean => IS_MEASURE.test(p.sort) && !/[x×]/i.test(p.sort);

/** Said of any thing, so that it needs no name that is known. */
const PLAIN = `(?:extra[ -])?(?:small|medium|large)|big|little|wide|narrow|long|short|adult|child(?:['’]?s|ren['’]?s)?|infant|junior|${LETTER}|${MODEL}`;
const PLAIN_SORT = new RegExp(`^(?:${PLAIN})$`, "i");
const SAME_KIND = new RegExp(`^(?:${COLOUR}|small|medium|large|big|little)$`, "i");
/** Told as a sort without a sign between it and the next. */
const KNOWN_SORT = new RegExp(
  `^(?:\\d.*|${PLAIN}|${COLOUR}|crepe|crêpe|triangular|elastic|conforming|cohesive|gauze|pressure|tubular|calico|cotton|straight|curved|blunt|sharp|windlass|ratchet|vented|plain)$`,
  "i",
);
const IS_CLAUSE = /^(?:with|that|from)\s/i;
const IS_LETTER = new RegExp(`^(?:${LETTER})$`, "i");
const LETTER_WORD: Readonly<Record<string, string>> = { S: "small", M: "medium", L: "large" };

/** "2 x 2, 4 x 4 in": the unit of the last is that of all; widths of which one is a half are in cm, others are not told. */
function withUnits(parts: readonly Part[]): readonly Part[] {
  const isMetric = parts.some(({ sort }) => /^\d+[.,]5$/.test(sort));
  const unit = LAST_UNIT.exec(parts.at(-1)!.sort)?.[0] ?? (isMetric ? "cm" : undefined);
  return parts.map((part) =>
    unit !== undefined && /^[\d.,x×\s]+$/i.test(part.sort)
      ? { ...part, sort: `${part.sort} ${unit}` }
      : part,
  );
}
const LAST_UNIT = quick(new RegExp(`(?<=\\d\\s*)${UNIT}$`, "iu"));

/** A part as a line of its own. */
function lineOf(name: string, { count, sort, unit }: Part, inPairs: boolean): string {
  const counted = inPairs ? `${count} pairs` : isPack(unit) ? `${count} ${unit}` : count;
  if (IS_BARE.test(sort)) return `${counted} ${name}`;
  if (IS_MEASURE.test(sort))
    return isPack(unit) ? `${counted} ${name} ${sort}` : `${name} ${sort} x ${valueOf(count)} pcs`;
  if (/^(?:size|sz)\b/i.test(sort) || (/^n[or]\b/i.test(sort) && name.includes(",")))
    return `${counted} ${name} ${sort}`;
  if (IS_CLAUSE.test(sort)) return `${counted} ${name} ${sort}`;
  if (IS_LETTER.test(sort))
    return /(?:dressings?|drsgs?|dsgs?)$/i.test(name)
      ? `${counted} ${LETTER_WORD[sort.toUpperCase()] ?? sort} ${name}`
      : `${counted} ${name} ${sort}`;
  return `${counted} ${sort} ${name}`;
}
const isPack = (unit: string | undefined): unit is string =>
  unit !== undefined &&
  /^(?:cards?|packs?|pkts?|packets|box(?:es)?|strips?|tubes?|bottles?)$/i.test(unit);

const BRACKETS = quick(
  new RegExp(
    `^(?<name>\\p{L}[^(]*?)[\\s:,–-]*(?:[x×]\\s*)?(?:\\b${COUNT}\\s*(?:(?<pairs>pairs?|prs?)|rolls?|pcs|pieces|off)?)?\\s*\\((?<list>(?:[^()]|\\([^()]*\\))*)\\)$`,
    "iu",
  ),
);
const TOTAL_FIRST = quick(
  new RegExp(
    `^\\(?${COUNT}\\)?\\s*(?:(?<pairs>pairs?|prs?)(?![\\p{L}])\\s*(?:of\\s+)?)?(?:[x×]\\s+)?(?<rest>\\p{L}.*)$`,
    "iu",
  ),
);
const FIRST_COUNT = quick(new RegExp(`\\(?(?<![\\p{L}\\d.,])(?:[x×]\\s*)?${COUNT}`, "iu"));
const NAME = quick(/^\p{L}[^\d(:;]*[\p{L}).]$/u);
/** "(checked)": says nothing of how many. */
const REMARK = /\s+\([^()\d]*\)$/;
/** "S 20, M 40 (pairs)". */
const PAIRS_LAST = /\s\((?:pairs?|prs?)\)$/i;
const LINK = /\s*(?::|[-–—]|,)?\s*$/;

const SAID_SORT = `(?<sort>${MEASURE}|${MODEL}|(?:${LETTER})(?![\\p{L}])|(?:extra[ -])?(?:small|medium|large)|big|little|wide|narrow|long|short|adult|child|infant)`;
const SAID_NAME = "(?<name>\\p{L}[^\\d(:;]*?\\p{L})";
/** "4 pairs gloves L", "two pairs of medium gloves", "medium dressings x 5", "6\" bandage x1". */
const WITH_NAME = [
  `\\(?${COUNT}\\)?\\s*(?:[x×]\\s+)?(?:${UNITS}(?![\\p{L}])\\s*)?(?:of\\s+)?${SAID_NAME}(?:\\s+\\(?|\\()${SAID_SORT}\\)?`,
  `\\(?${COUNT}\\)?\\s*(?:[x×]\\s+)?(?:${UNITS}(?![\\p{L}])\\s*)?(?:of\\s+)?${SAID_SORT}\\s+${SAID_NAME}`,
  `${SAID_SORT}\\s+${SAID_NAME}\\s*(?:[x×:–-]\\s*)?\\(?${COUNT}\\)?(?:\\s*${UNITS})?`,
].map(whole);

/** What the grammar asks of the words. */
export interface Knows {
  /** Whether a text surely names one thing. */
  readonly names: (text: string) => boolean;
  /** The type of thing that a text names; null: none, or one without a type. */
  readonly typeOf: (text: string) => string | null;
  /** Whether all words of a text are those of one name. */
  readonly isWhole: (text: string) => boolean;
}
/** "vet wrap 2 (one red, one blue)": of one kind and size, and said in brackets; they count together. */
const isOfKind = ({ sort }: Part, name: string, typeOf: Knows["typeOf"]): boolean =>
  SAME_KIND.test(sort) && typeOf(`${sort} ${name}`) === typeOf(name);

const NUMBERS_SAID = new RegExp(`\\d+|\\b(?:${NUMBER_SAID})\\b`, "gi");
/** Whether a text has two numbers, as each list of sorts has; most lines have one, and need not be looked at further. */
export function saysTwoCounts(text: string): boolean {
  NUMBERS_SAID.lastIndex = 0;
  return NUMBERS_SAID.test(text) && NUMBERS_SAID.test(text);
}

/** The lines that a line with counted sorts stands for; null: it is none. */
export function countedSorts(text: string, of: Knows): string[] | null {
  if (text.length > LONGEST || !saysTwoCounts(text)) return null;
  const said = saidBy(text.trim(), of);
  if (!said) return null;
  const { name, parts } = said;
  const inPairs = said.inPairs || parts.some((p) => IN_PAIRS.test(p.unit ?? ""));
  if (said.areAside && parts.every((p) => isOfKind(p, name, of.typeOf)))
    return [`${sumOf(parts)}${inPairs ? " pairs" : ""} ${name}`];
  return withUnits(parts).map((part) => lineOf(name, part, inPairs));
}

function saidBy(line: string, of: Knows): Said | null {
  const first = TOTAL_FIRST.exec(line)?.groups;
  const inAll = first && { total: valueOf(first["count"]!), inPairs: first["pairs"] !== undefined };
  const said =
    (inAll && behindName(first["rest"]!, inAll, of)) ??
    behindName(line, { total: null, inPairs: false }, of) ??
    beforeName(line, of) ??
    aroundName(line);
  if (said) return said;
  const plain = line.replace(REMARK, (remark) => (SAYS_NUMBER.test(remark) ? remark : ""));
  const without = plain === line ? null : saidBy(plain, of);
  return without && { ...without, inPairs: without.inPairs || PAIRS_LAST.test(line) };
}

/** What is said of all of them; a total of null: nothing. */
interface InAll {
  readonly total: number | null;
  readonly inPairs: boolean;
}

/** The list behind its name, in brackets or open. */
function behindName(line: string, inAll: InAll, of: Knows): Said | null {
  const inBrackets = BRACKETS.exec(line)?.groups;
  if (inBrackets) {
    const { name, count, pairs, list } = inBrackets;
    const parts = partsOf(list!.trim());
    const total = count === undefined ? inAll.total : valueOf(count);
    if (parts && isNameOf(name!.trim(), parts, total, of))
      return {
        name: name!.trim(),
        parts,
        inPairs: inAll.inPairs || pairs !== undefined,
        areAside: true,
      };
  }
  const count = FIRST_COUNT.exec(line);
  if (!count || count.index === 0) return null;
  for (const at of startsBefore(line, count.index)) {
    const name = line.slice(0, at).replace(LINK, "");
    const parts = NAME.test(name) ? partsOf(line.slice(at)) : null;
    if (parts && isNameOf(name, parts, inAll.total, of))
      return { name, parts, inPairs: inAll.inPairs, areAside: false };
  }
  return null;
}

/** "4 pairs L and 2 pairs M gloves": the list before its name. */
function beforeName(line: string, of: Knows): Said | null {
  for (const between of BETWEEN) {
    const said = line.split(between);
    if (said.length < FEWEST) continue;
    const last = said.at(-1)!;
    for (const { index } of last.matchAll(/(?<=\s)\p{L}/gu)) {
      const name = last.slice(index);
      if (!NAME.test(name)) continue;
      const parts = partsOf([...said.slice(0, -1), last.slice(0, index).trim()].join("; "));
      if (parts && isNameOf(name, parts, null, of))
        return { name, parts, inPairs: false, areAside: false };
    }
  }
  return null;
}

/** "4 pairs gloves L, 2 pairs M": the first sort stands with the name, the others by themselves. */
function aroundName(line: string): Said | null {
  for (const between of BETWEEN) {
    const [first, ...others] = line.split(between);
    if (others.length === 0) continue;
    for (const form of WITH_NAME) {
      const found = form.exec(first!.trim())?.groups;
      if (!found) continue;
      const { name, count, unit, sort } = found as Readonly<Record<string, string>>;
      const counted = `${count} ${unit ?? ""}`;
      const parts =
        partsOf([`${counted} ${sort}`, ...others].join("; ")) ??
        partsOf([`${sort}: ${counted}`, ...others].join("; "));
      if (
        parts?.every(
          (p) => PLAIN_SORT.test(p.sort) || (IS_MEASURE.test(p.sort) && !IS_BARE.test(p.sort)),
        )
      )
        return { name: name!, parts, inPairs: false, areAside: false };
    }
  }
  return null;
}

/** Where a list may begin: at its first number, or at a word or up to three before it. */
function startsBefore(line: string, number: number): number[] {
  const starts = [number];
  for (const word of [...line.slice(0, number).matchAll(/(?<=\s)\S/g)].toReversed().slice(0, 4))
    starts.push(word.index);
  return starts;
}

/** What is listed by its kind alone behind such a word: "Bandages: crepe x2, triangular x3". */
const SHARED_HEAD =
  /^(?:bandages?|dressings|plasters|gloves|splints|tapes|wipes|pads|blankets|masks|collars|tourniquets|scissors|airways)$/i;

/** Words tell sorts only of what is a name, and where they are none of another thing. */
function isNameOf(name: string, parts: readonly Part[], total: number | null, of: Knows): boolean {
  if (!addsUp(name, parts, total)) return false;
  if (parts.every((p) => IS_MEASURE.test(p.sort) || PLAIN_SORT.test(p.sort))) return true;
  if (of.typeOf(name) === "container") return false;
  if (parts.some((p) => IS_CLAUSE.test(p.sort)) && !SHARED_HEAD.test(name)) return false;
  if (parts.some((p) => SHARED_HEAD.test(p.sort.split(" ").at(-1)!))) return false;
  const isKnown = total !== null || SHARED_HEAD.test(name) || of.names(name);
  return isKnown && !parts.some((p) => namesAnother(p.sort, name, of));
}
/** "masks" behind "gloves:"; "windlass" behind "tourniquets:" is the same by its first word. */
function namesAnother(said: string, name: string, { names, typeOf }: Knows): boolean {
  const sort = said.replace(LETTER_LAST, "");
  return names(sort) && (/\s/.test(sort) || typeOf(sort) !== typeOf(`${sort} ${name}`));
}
