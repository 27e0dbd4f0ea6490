import { remembering } from "../base/remembering.ts";
import type { CardRow } from "./cardRow.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { saysNothing } from "./edgeData.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { PACKS } from "./phrase.ts";
import type { Knowledge } from "./plainly.ts";
import { saysAmount } from "./recordFields.ts";
import { quick } from "./quick.ts";
import { FARTHEST, mayHead } from "./underHeadings.ts";

/**
 * A heading that is the item, with its sizes and counts alone below it: "Crepe bandages" over "5 cm   2" and "lid   10 cm   1". Each
 * such row is read as the heading's name with its size and its count.
 */

const UNIT = `(?:mm|cm|m|in(?:ch(?:es)?)?|ft|yd|"|″)(?!\\p{L})`;
const NUMBER = "(?:(?:\\d+\\s)?\\d+/\\d+|\\d+(?:[.,]\\d+)?)";
const SIDES = `${NUMBER}\\s*${UNIT}\\s*[x×]\\s*${NUMBER}\\s*${UNIT}|${NUMBER}\\s*[x×]\\s*${NUMBER}(?:\\s*${UNIT})?`;
const WIDTH = `${NUMBER}\\s*${UNIT}`;
/** "500 ml", "20 ml pods", "300 mg tablets": what a bottle holds, or how strong it is. */
const VOLUME = `${NUMBER}\\s*(?:ml|cl|l|g|mg|mcg|fl\\.?\\s?oz|oz|%)(?!\\p{L})(?:\\s+(?:pods?|bottles?|tubes?|sachets?|amp(?:oule)?s?|sprays?|pumps?|tab(?:let)?s?|caps?(?:ules)?))?`;
const LETTERS =
  "(?:extra[\\s-]?)?(?:small|medium|large)|XS|X{0,3}L|[SM]|(?:size|no|nr)\\.?\\s*(?:\\d{1,2}|[A-H])";
const COUNT = `(?:\\d{1,3}|${NUMBER_SAID})`;
const UNITS = `(?:\\s*(?:pcs|pieces|pairs?|prs?|rolls?|off|ea|${PACKS}(?:\\s+of\\s+${COUNT})?))?`;
const whole = (pattern: string) => quick(new RegExp(`^(?:${pattern})$`, "iu"));

/** "5 cm: 2", "10 x 10 cm (8)", "L - 4 pairs", "7.5 cm, box of 6". */
const SORT_FIRST = whole(
  `(?<sort>${SIDES}|${WIDTH}|${VOLUME}|${LETTERS})(?:\\s*(?:[-–:=,@]|[x×](?=\\s*\\d))\\s*|\\s+|\\s*(?=\\())(?<amount>\\S.*)`,
);
/** "2 x 10 x 10 cm", "12  5 x 5 cm", "4 pcs L". */
const COUNT_FIRST = whole(
  `(?<amount>${COUNT}${UNITS})(?:\\s*[x×:,–-]\\s*|\\s+(?:(?:of|at)\\s+)?)(?<sort>${SIDES}|${VOLUME}|${LETTERS})`,
);
/** "3 x 5 cm": of what comes in a width; of a pad it is a size. */
const COUNT_THEN_WIDTH = whole(
  `(?<amount>${COUNT}${UNITS})(?:\\s*[x×,]\\s*|\\s+(?:(?:of|at)\\s+)?)(?<sort>${WIDTH})`,
);
/** "assorted box of 100", "tub of 40": packs of what the heading names, with their price or without. */
const PACKS_OF = whole(
  `(?<sort>(?:assorted|asst\\.?|assd|mixed|plain|fabric|blue|waterproof|washproof|clear)?)\\s*(?<amount>(?:(?:${COUNT}|an?)\\s+)?(?:${PACKS})\\s+of\\s+\\d{1,3})(?:,\\s*\\d{1,3}[.,]\\d{2})?`,
);
const FORMS = [SORT_FIRST, COUNT_FIRST, PACKS_OF];
/** "2 x 20x20", "2 x 20 x 20 cm": two of so large. */
const OF_TWO_SIDES = quick(
  new RegExp(
    `^\\d{1,3}\\s*[x×]\\s*${NUMBER}\\s*[x×]\\s*${NUMBER}\\s*${UNIT}$|^\\d{1,3}\\s+[x×]\\s+${NUMBER}[x×]${NUMBER}$`,
    "iu",
  ),
);
/** "size C: 1 m": cut from a roll. */
const IS_NAMED = /^[a-z]/i;
const IS_LENGTH = whole(WIDTH);
/** "box of 6" */
const PACK_ALONE = quick(new RegExp(`^(?:${PACKS})(?!\\p{L})`, "iu"));
const IN_BRACKETS = /^\(([^()]+)\)$/;
const MARK = /^(?:[-*•–◦▪]\s+|\[[ xX✓✔]?\]\s*|[✓✔☑☐]\s*)*/;
/** Ticked, or with how many there should be, or with a remark: "4 ✓", "4 ✗ (need 6)", "10 ✗ (finish first)". */
const MARK_LAST =
  /\s+(?:\[[xX✓✔]\]|[✓✔☑])$|\s+(?:[✗✘]\s*)?\((?:need|want|order|should\s+be|min|max|short)\b[^()]*\)$|\s+[✓✔☑✗✘]\s*\([^()\d]*\)$/i;
const CELLS = /\s{2,}|\t|\s*\|\s*|\s*\.{2,}\s*/;

/** A size or a sort, and how many. */
interface Sort {
  readonly sort: string;
  readonly amount: string;
  /** It is cut from a roll: the amount is a length. */
  readonly isLength: boolean;
}
/** What a row tells besides its place and what counts nothing; null: it tells more than a sort and how many. */
function sortOf(
  { text, quantity }: Pick<CardRow, "text" | "quantity">,
  comesInWidth: boolean,
): Sort | null {
  const written = (quantity === null ? text : `${text}   ${quantity}`).replace(MARK_LAST, "");
  const cells = written
    .replace(MARK, "")
    .split(CELLS)
    .map((cell) => cell.trim())
    .filter((cell) => cell !== "" && !saysNothing(cell));
  const said = cells.join(" ").replace(/[,;]$/, "");
  const forms = OF_TWO_SIDES.test(said) ? [COUNT_FIRST] : FORMS;
  for (const form of comesInWidth ? [...forms, COUNT_THEN_WIDTH] : forms) {
    const { sort, amount = "" } = form.exec(said)?.groups ?? {};
    const bare = amount.replace(IN_BRACKETS, "$1").replace(PACK_ALONE, "1 $&");
    if (sort === undefined) continue;
    if (saysAmount(bare)) return { sort, amount: bare, isLength: false };
    if (IS_NAMED.test(sort) && IS_LENGTH.test(bare)) return { sort, amount: bare, isLength: true };
  }
  return null;
}

/** What parts several sorts on one row. */
const BETWEEN = [
  /\s*;\s*/,
  /\s{2,}|\t/,
  /\s+[/&+|]\s+|\s+and\s+/i,
  /\s*[;&+|]\s*|\s+[/]\s+|,\s+(?:and\s+)?|\s+and\s+/i,
] as const;
/** The sort that each part of a text is; null: one is none, and those behind it are not looked at. */
function eachSort(parts: readonly string[], comesInWidth: boolean): readonly Sort[] | null {
  const sorts: Sort[] = [];
  for (const text of parts) {
    const sort = sortOf({ text, quantity: null }, comesInWidth);
    if (sort === null) return null;
    sorts.push(sort);
  }
  return sorts;
}
/** The sorts that a text lists, two or more, each with how many; null: it tells more, or less. */
function listed(text: string, comesInWidth: boolean): readonly Sort[] | null {
  for (const between of BETWEEN) {
    const parts = text.trim().split(between);
    const sorts = parts.length < 2 ? null : eachSort(parts, comesInWidth);
    if (sorts) return sorts;
  }
  return null;
}
/** The sorts of a row, each with how many; null: it tells more. */
function sortsOf(row: CardRow, comesInWidth: boolean): readonly Sort[] | null {
  const written = row.quantity === null ? row.text : `${row.text} ${row.quantity}`;
  const several = listed(written.replace(MARK, ""), comesInWidth);
  const one = several === null ? sortOf(row, comesInWidth) : null;
  return several ?? (one && [one]);
}

/** "Tape: 25 mm (11) | 75 mm (6)": the name, and what it lists. */
const NAME_THEN_LIST = quick(
  /^(\s*(?:[-*•–◦▪]\s+)?(?:\p{L}[\p{L}\s,'’-]*?\p{L}(?:\s*[:,]|\s+[-–])?\s+)?)(?=[\d(])(.+)$/iu,
);
const IS_COUNT = /^\d{1,3}(?:\s*(?:pcs|pieces|rolls?))?$/i;
/** The sizes of a line set apart by semicolons, each with its count in brackets, whatever parted them; as it is where it says more. */
export const sortsTold = remembering(sortsOn, LINES_KEPT, LONGEST_KEPT);
function sortsOn(line: string): string {
  if (line.length > LONGEST_LINE || !TWO_NUMBERS.test(line)) return line;
  const [, name, list] = NAME_THEN_LIST.exec(line) ?? [];
  const sorts = list === undefined ? null : listed(list, HAS_WIDTH.test(name!));
  return sorts?.every(({ sort, amount }) => /\d/.test(sort) && IS_COUNT.test(amount))
    ? name! + sorts.map(({ sort, amount }) => `${sort} (${amount})`).join("; ")
    : line;
}
/** From the first number on: begun at each, a long one would be gone through again and again. */
const TWO_NUMBERS = /^\D*\d.*(?:[;,/+&|\t]\D*|\sand\s+)\d|\d\D*\s{2,}\d/;

/** What stands round a heading: a rule below it, a dash or a colon behind it. */
const AROUND = /^[\s#*=_-]+|[\s:=_*–—-]+$/g;
/** What a heading says of the rows of sorts below it. */
interface Heading {
  readonly at: number;
  readonly name: string;
  /** "Gloves (pairs)": what is counted below. */
  readonly inPairs: boolean;
  /** "2 per envelope": what each pack counted below holds; null: it does not say. */
  readonly perPack: string | null;
}
const IN_PAIRS = /[\s,]*\(?\b(?:in\s+)?pairs\)?$/i;
const PER_PACK = quick(/[\s,]*\(?(\d{1,3})\s*(?:per|in\s+an?|to\s+an?)\s+\p{L}+\)?$/iu);
/** null: the row counts, measures, or names nothing for sure. */
function headingOf(row: CardRow, at: number, of: Knowledge): Heading | null {
  if (!mayHead(row)) return null;
  const said = row.text.replace(AROUND, "");
  const name = said.replace(PER_PACK, "").replace(IN_PAIRS, "");
  return !/\d/.test(name) && of.names(name) && of.isWhole(name) && of.typeOf(name) !== "container"
    ? { at, name, inPairs: IN_PAIRS.test(said), perPack: PER_PACK.exec(said)?.[1] ?? null }
    : null;
}
/** How many of a sort there are, by what its heading says of the counts below. */
function quantityOf(amount: string, { inPairs, perPack }: Heading): string {
  const isNumber = /^\d+$/.test(amount);
  if (isNumber && inPairs) return `${amount} pairs`;
  return perPack === null ? amount : `${amount}${isNumber ? " packs" : ""} of ${perPack}`;
}
/** "5 cm", "10 x 10", "L", "20 ml", "latex, M". */
const SORT_BEGINS = quick(
  new RegExp(`^(?:${SIDES}|${WIDTH}|${VOLUME}|(?:\\p{L}+,?\\s+)?(?:${LETTERS})(?!\\p{L}))`, "iu"),
);
/** What comes on a roll, in a width. */
const HAS_WIDTH = /bandage|tape|wrap|roll/i;
/** A line drawn under the heading. */
const RULE = /^[-=_*~\s]+$/;

/** "Packing shed: 5 cm - 4", "Van - L 2 pairs". */
const PLACE_FIRST = quick(/^(?!ditto\b)(\p{L}[\p{L}' ]{1,24}?)(?::|\s[-–])\s+(?=[\d\p{L}])/u);
/** So many rows begin with one place. */
const FEWEST_AT = 2;
/** Rows whose place stands before a size or a sort, which names nothing by itself, without it: the name stands above. */
function withoutPlaces(rows: readonly CardRow[], { names }: Knowledge): readonly CardRow[] {
  const places = rows.map((row) => PLACE_FIRST.exec(row.text));
  const often = new Map<string, number>();
  for (const place of places) if (place) often.set(place[1]!, (often.get(place[1]!) ?? 0) + 1);
  return rows.map((row, i) => {
    const [lead = "", place = ""] = places[i] ?? [];
    const rest = row.text.slice(lead.length);
    const isPlace = (often.get(place) ?? 0) >= FEWEST_AT && SORT_BEGINS.test(rest);
    return isPlace && !names(place) && !names(rest) ? { ...row, text: rest } : row;
  });
}

/** The rows, those of sorts alone with their heading's name; a heading over such rows ends in a colon. */
export function sortsBelow(written: readonly CardRow[], of: Knowledge): CardRow[] {
  const rows = withoutPlaces(written, of);
  const read: CardRow[][] = rows.map((row) => [row]);
  let heading: Heading | null = null;
  let above = 0;
  rows.forEach((row, at) => {
    if (RULE.test(row.text)) return;
    const isFirst = heading !== null && rows[heading.at]!.source === above;
    if (row.source - above > (isFirst ? FARTHEST : 1)) heading = null;
    above = row.source;
    const told = heading && sortsOf(row, HAS_WIDTH.test(heading.name));
    if (!heading || !told) {
      heading = headingOf(row, at, of);
      return;
    }
    const { name } = heading;
    const under = heading;
    read[at] = told.map(({ sort, amount, isLength }) =>
      isLength
        ? { ...row, text: `${name} ${sort}: ${amount}`, quantity: null, bullet: true }
        : { ...row, text: `${name} ${sort}`, quantity: quantityOf(amount, under), bullet: true },
    );
    read[heading.at] = [{ ...rows[heading.at]!, quantity: null, text: `${name}:` }];
  });
  return read.flat();
}
