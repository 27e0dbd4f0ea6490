import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import { saysGone } from "./absence.ts";
import { countSaid } from "./countBehind.ts";
import { inOurWords } from "./foreignUnits.ts";
import type { CardRow } from "./cardRow.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { NOT_A_COUNT_AFTER } from "./packWords.ts";
import { PLACE_WORDS } from "./placeWords.ts";
import { stripPrices } from "./stripPrices.ts";
import { quick } from "./quick.ts";

/** "Gloves, 3 pairs ......... 45 g": what the thing weighs. */
const IS_MASS = /^\d{1,4}\s?(?:g|gr|kg|oz)\.?$/i;
const LEADER_TO_PLACE = quick(/^(.*\p{L}.*?)\s*\.{4,}\s*([^\d]*)$/u);
const LEADER_TO_COUNT = quick(
  /^(?!.*\.{3,}\s*\d{1,4}\s+\p{L}{3}.*\.{3})(.*\p{L}.*?)\s*\.{4,}\s*(\d{1,4}(?:\s*[xX×]\s*\d{1,4})?(?:\s*\p{L}+\.?)?)\s*(?:\[[^\]]*\]\W*)?$/u,
);
/** "Hi Mo, so in the white box: plasters, …": how one is greeted, where a list goes on behind it. */
const GREETING =
  /^(?:(?:hi|hello|hey|dear|(?:good\s+)?(?:morning|afternoon|evening))(?:\s+(?:all|team|both|everyone|folks|there|(?:(?:dr|mr|mrs|ms|miss)\.?\s+)?[a-z]+))?(?:\s*[,!]|\s+[–-])|@[a-z]+[,:]?)\s*(?:(?:so|ok|okay|right)\s*,?\s+)?(?=(?:in\s+the\s[^:,;\d]{2,30}:\s|.*\d|.*,.*,).{12})/i;
/** "In the middle pocket: 3 non-stick dressings, …". */
const IN_PLACE = /^(?:in|on|inside)\s+the\s+[^:,;\d]{2,30}:\s+(?=\S)/i;
const YEAR_APART = quick(/(?<=\p{L}.*\S)(?:\s{2,}|\s*\.{4,}\s*|(?<=\p{L})\s)20[2-3]\d$/u);
const SAYS_AWAY = /\b(?:borrowed|taken|lent|with\s+\p{Lu}|has\s+(?:it|them))\b/iu;
/** What is named, and the count that a dot leader or blanks point at; null: none is. */
interface Counted {
  readonly named: string;
  readonly quantity: string | null;
  /** It leads to words, and is listed though it has no count: "Plasters ..... loads". */
  readonly isListed: boolean;
  /** It leads to words that are no place in a kit: they may say that it is not there. */
  readonly isDoubted?: true;
}
/** "pen tray", "lid", "top left": where it lies. */
const IS_PLACE = new RegExp(
  `^(?!.*\\bother\\b).*\\b(?:(?:${PLACE_WORDS})s?|lids?|flaps?|top|bottom|front|back|left|right|middle|inside|outside|main|cupboard|cabinet|locker|wall|hook|door|loose|spare|yes|ok|new|sealed)\\b`,
  "i",
);
function countedIn(text: string): Counted {
  // A dot leader points at the count; numbers before it are sizes and models.
  if (text.includes("....")) {
    const led = LEADER_TO_COUNT.exec(text);
    if (led && IS_MASS.test(led[2]!)) return { named: led[1]!, quantity: null, isListed: false };
    if (led) return { named: led[1]!, quantity: inOurWords(led[2]!), isListed: false };
    // "Scissors (1) ....... pen tray", "In the lid: torch": where things lie is not read.
    const placed = LEADER_TO_PLACE.exec(text);
    // "Plasters ....... two packs of ten": read as behind a colon.
    if (placed && SAYS_NUMBER.test(placed[2]!) && countSaid(placed[2]!) === null)
      return { named: `${placed[1]!}: ${placed[2]!}`, quantity: null, isListed: true };
    // "Scissors ....... in the house", "with Ann": no place in the kit.
    if (placed && saysGone(`it is ${placed[2]!}`))
      return { named: placed[1]!, quantity: "none", isListed: true };
    // "Scissors ...... borrowed by Jo": a remark, which is read with the others.
    if (!placed || SAYS_AWAY.test(placed[2]!))
      return { named: text, quantity: null, isListed: false };
    // "Plasters ....... out": how many, and no place.
    const quantity = countSaid(placed[2]!);
    const isUnclear = quantity === null && !IS_PLACE.test(placed[2]!);
    return {
      named: placed[1]!,
      quantity,
      isListed: true,
      ...(isUnclear ? { isDoubted: true } : {}),
    };
  }
  const counted = countApart(text);
  return counted
    ? { named: counted[0], quantity: inOurWords(counted[1]), isListed: false }
    : { named: text, quantity: null, isListed: false };
}

/** A line that is no row of a table: its list mark, and the count that a dot leader points at. */
export const plainRow = (line: string, source: number): CardRow => ({ ...rowOf(line), source });
const rowOf = remembering(plainRowOf, LINES_KEPT, LONGEST_KEPT);
function plainRowOf(line: string): Omit<CardRow, "source"> {
  const indent = /^\s*/.exec(line)![0].length;
  let text = line
    .trim()
    .replace(GREETING, "")
    .replace(/\*{3,}/g, " ")
    .replace(/\*\*(?=\S)(.+?)\*\*/g, "$1")
    .trim();
  const unplaced = text.replace(IN_PLACE, "");
  let bullet = unplaced !== text;
  text = unplaced;
  const mark = /^(?:[-–—*•·▪◦●○■□☐☑✓✔»>+~]|\[[ xX~/]?\]|o(?=\s{2,}))\s*(?=\S)/.exec(text);
  if (mark && !/^[-–—]\d/.test(text)) {
    text = text.slice(mark[0].length);
    bullet = true;
  }
  // "12/3: 6 plasters": when it was written.
  text = text.replace(/^\d{1,2}[/.]\d{1,2}(?:[/.]\d{2,4})?:\s+(?=\S)/, "");
  const listNumber =
    /^(?:\d{1,3}[.)]|#\d{1,3}[.:)]?|\d{1,3}\s*[:]|[a-z][.)]|[ivx]{1,5}[.)])\s+(?=\S)/i.exec(text);
  if (listNumber) {
    text = text.slice(listNumber[0].length).replace(IN_PLACE, "");
    bullet = true;
  }
  // A box that is ticked, behind.
  text = text.replace(/(?<!\s)\s{2,}\[[xX✓✔]\]\s*$/, "");
  // A footnote's mark behind the count.
  text = text.replace(/^\[[ xX]?\]\s*/, "").replace(/(?<=\d)\s+[*†‡]{1,3}$/, "");
  // A year that stands apart is when it runs out.
  if (/20[2-3]\d$/.test(text)) text = text.replace(YEAR_APART, "");
  const { named, quantity, isListed, isDoubted } = countedIn(text);
  const unpriced = withoutPrices(named);
  const row = {
    ...{ text: unpriced, quantity, indent },
    inTable: false,
    bullet: bullet || isListed,
    ...(isDoubted ? { countDoubted: isDoubted } : {}),
  };
  // "GLOVE M BX100     1    7.99": without its price the count stands last.
  return unpriced === named ? row : withCountApart(row);
}

/** "eye pads 5 - dated 2026": the dash before what is taken out goes with it, and stands for no count; so do brackets round it. */
function withoutPrices(text: string): string {
  const left = stripPrices(text);
  return left === text
    ? text
    : left.replace(/[([]\s*[\])]/g, " ").replace(/(?:\s+[-–—]|\s*[,;])?\s*$/, "");
}

/** A row with the count that stands apart behind its name, where it has none yet. */
export function withCountApart<R extends Pick<CardRow, "text" | "quantity" | "inTable">>(
  row: R,
): R {
  const counted = row.quantity === null && !row.inTable ? countApart(row.text.trimEnd()) : null;
  return counted ? { ...row, text: counted[0], quantity: inOurWords(counted[1]) } : row;
}

/** "eye pads –": a dash in the place of the count. */
const DASH_LAST = quick(/^(.*\p{L}\)?)(?<!\sexp(?:iry|ires?)?)\s+([-–—])\s*$/iu);

/** "Gauze swabs, a packet of five –": a sentence that goes on below; "2 x scissors  –": another column's dash. */
const COUNTED_BEFORE = quick(
  new RegExp(
    `^\\W*\\d{1,4}\\s?[x×]\\s|(?:,\\s+|\\bof\\s+|[x×]\\s?)(?:${NUMBER_WORDS})(?:\\s+(?:pcs|pieces|pairs?|rolls?))?$`,
    "iu",
  ),
);
/** "3", "2 x 20"; a year is no count. */
const COUNT = /^(?!(?:19|20)\d\d$)\d{1,4}(?:\s*[xX×]\s*\d{1,4})?$/;

/** "Tick remover, card type      2": so far apart no type has a number. */
const endsInModel = (name: string): boolean => NOT_A_COUNT_AFTER.test(name.split(" ").at(-1)!);
const NAME_WITH_NUMBER = quick(/\p{L}.*\d/u);
/**
 * "Paracetamol 500     2 x 20": blanks point at the count as a dot leader does, where the name has a number of
 * its own. Not where a number begins the line, which may be the count; nor where another ends what is before it,
 * as columns do; nor where the name is of several things.
 */
function countApart(text: string): readonly [string, string] | null {
  const none = DASH_LAST.exec(text);
  if (none) return COUNTED_BEFORE.test(none[1]!) ? null : [none[1]!, none[2]!];
  return numberApart(text);
}
function numberApart(text: string): readonly [string, string] | null {
  const [, named, gap, count] =
    /^(.*[^\s:])(\s{2,}|\t|:\s+|\s+[-–=]\s+)(\d[\dxX×\s]*)$/.exec(text) ?? [];
  if (named === undefined || count === undefined || !COUNT.test(count)) return null;
  if (!NAME_WITH_NUMBER.test(named) && !(/^(?:\s{3,}|\t)$/.test(gap!) && endsInModel(named)))
    return null;
  if (/^\d|(?:\s{2,}|,\s*)\d{1,4}$|\s\+\s/.test(named)) return null;
  // "5 cm – 2, 7.5 cm – 1" counts twice.
  if (!/^\s+$/.test(gap!) && /[:;]|\s[-–=]\s/.test(named)) return null;
  // "size 7 - 8" is from one to the other.
  const first = /[-–]/.test(gap!) ? /(\d+)$/.exec(named)?.[1] : undefined;
  return first === undefined || Number(first) > Number.parseInt(count) ? [named, count] : null;
}
