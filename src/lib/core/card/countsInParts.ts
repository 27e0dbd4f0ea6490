import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { COLOUR, PACKS, valueOf } from "./phrase.ts";
import type { Knowledge } from "./plainly.ts";
import { quick, THREE_LETTERS } from "./quick.ts";
import { SIZED } from "./sized.ts";

/**
 * How many of one thing lie where, or are in what state: "Scissors: 1 at the desk, 1 in the drawer", "vet wrap, one purple and one
 * orange", "2 eye pads in the box and 1 in the bag". They are one sum: "Scissors: 2".
 */

const N = `(?:${NUMBER_WORDS})(?![\\d.,]*\\d)`;
const UNIT =
  "pairs?|prs?|pcs?|pieces|nos?\\.?|of\\s+them|ones?|sachets?|pods?|ampoules?|bottles?|tubes?|rolls?|cans?|vials?|tins?|tablets?|strips?|wipes?";
/** Rooms, vehicles and parts of a kit, that need no "in the" before them; "1 box" is a pack. */
const PLACE =
  "(?:(?:\\p{L}+['’]?s?\\s+){1,2}(?:box|bag|kit|tin|pouch|case|tray)|(?:\\p{L}+['’]?s?\\s+){0,2}(?:pocket|lid|drawer|cupboard|cabinet|shelf|locker|rucksack|backpack|van|truck|lorry|cab|car|boat|bus|trailer|kitchen|office|reception|workshop|garage|store(?:room)?|hall|gym|bar|shop|lab|shed|barn|hut|yard|gate|desk|stage|counter|wall|bench|galley|bridge|deck|top|bottom|front|back|side))(?:\\s+(?:\\d|[A-F])(?![\\p{L}\\d]))?";
const WHERE = `(?:(?:left|kept|stored|lying|still|also|now|more)\\s+)?(?:in|on|at|by|under|inside|behind|near|below|beside|with)\\s+(?!(?:${NUMBER_WORDS})(?!\\p{L}))(?:\\p{L}[\\p{L}'’.-]*\\s*){1,5}\\d?|(?:up|down)stairs|up|down|outside|inside|here|there|elsewhere`;
const STATE = `(?:in\\s+)?(?:spares?|reserve|loose|extra|more|new|old|opened|open|unopened|sealed|unused|full|fresh|staged|(?:in|out[\\s-]of)[\\s-]date|${COLOUR})(?:\\s+(?:ones?|stock))?`;
const UNTIL = "(?:\\s*,?\\s*(?:exp(?:iry|ires|\\.)?)?\\s*\\d{1,2}[/.-]\\d{2,4})?";
/** "2 in the box", "4 boxes of 3", "one purple", "6 sachets in the van", "x1 staged", "kitchen 4". */
const COUNTED = `(?:x\\s?)?${N}\\s*(?:[x×]\\s+)?`;
const SAID = `(?:(?:full|new|unopened|loose|single|spare)\\s+)?(?:(?:${UNIT}|${PACKS}(?:\\s+of\\s+${N})?)\\s+)?(?:${WHERE}|${STATE}|\\(?${PLACE}\\)?)`;
/** "a box of forty" needs no place. */
const PACK_OF = `(?:an?|one|${N})\\s+(?:full\\s+|new\\s+|unopened\\s+|sealed\\s+)?${PACKS}\\s+of\\s+${N}`;
/** "staged x1". */
const STATE_BEFORE = `(?:spares?|loose|staged|extra|new|old|open(?:ed)?|unopened|sealed)\\s*[:x×]?\\s*${N}`;
/** "1 loose card" of those that hold so many. */
const PACK_ALONE = `${N}\\s+(?:loose|spare|odd|extra|full|new|other)\\s+${PACKS}`;
const PART_BEHIND = `(?:${PACK_ALONE}|${PACK_OF}(?:\\s+(?:${WHERE}|${STATE}))?|${COUNTED}${SAID}|${STATE_BEFORE})${UNTIL}`;
const PART_BEFORE = `(?:in\\s+)?(?:the\\s+)?${PLACE}\\s*[:x×]?\\s*${N}(?:\\s+(?:${UNIT}))?`;
const JOIN =
  "\\s*(?:[,;]\\s*(?:and\\s+|plus\\s+|then\\s+)?|\\band\\s+|\\bplus\\s+|\\s[-–/]\\s|[+&/])\\s*(?:another\\s+)?";
const END = "\\s*\\)?\\s*[.!]*\\s*$";
const partsOf = (part: string): RegExp =>
  quick(new RegExp(`^${part}(?:${JOIN}${part})+${END}`, "iu"));
const BEHIND = partsOf(PART_BEHIND);
/** "x1 / staged x1", "2 + 1 spare": what is not told apart comes first. */
const FIRST_BARE = quick(
  new RegExp(
    `^(?:x\\s?)?${N}(?:\\s*[+&/]\\s*|\\s+(?:and|plus)\\s+)${PART_BEHIND}(?:${JOIN}${PART_BEHIND})*${END}`,
    "iu",
  ),
);
const BEFORE = partsOf(PART_BEFORE);
const EACH = quick(new RegExp(`${JOIN}|^`, "iu"));
/** Where a name may end and the parts begin. */
const STARTS = quick(
  new RegExp(
    `\\s*[:;,(]\\s*(?=[\\p{L}\\d])|\\s+[-–—/]\\s+|\\s+(?=(?:x\\s?)?(?:${NUMBER_WORDS})[x×]?\\s)`,
    "giu",
  ),
);
/** Further on stands no name's end. */
const MOST_STARTS = 6;
/** "2 eye pads in the box and 1 in the bag": the count before the name, where the first lie behind it. */
const COUNTED_NAME = quick(
  new RegExp(
    `^(?<mark>\\W*)(?<count>${N})\\s*(?:[x×]\\s*)?(?<name>\\p{L}[^,;:()]*?)\\s+(?<where>${WHERE}|${STATE})(?<more>${JOIN}${PART_BEHIND}(?:${JOIN}${PART_BEHIND})*)${END}`,
    "iu",
  ),
);
/** Things that went or are wanted are none of a sum, and sizes are sorts of their own. */
const NO_PART =
  /\b(?:used|gone|missing|lost|binned|needed|wanted|short|order(?:ed)?|buy|replace|each|per|small|medium|large|big|little|adult|child(?:ren)?)\b/i;
const MAY_SUM =
  /\b(?:in|on|at|by|under|inside|behind|near|spares?|loose|extra|more|new|old|open(?:ed)?|unopened|sealed|unused|full|date|staged|upstairs|downstairs|up|down|another|box|bag|kit|tin|pouch|pocket|lid|drawer|tray|cupboard|cabinet|shelf|locker|rucksack|backpack|case|van|truck|lorry|cab|car|boat|bus|trailer|kitchen|office|reception|workshop|garage|store|storeroom|hall|gym|bar|shop|lab|shed|barn|hut|yard|gate|desk|stage|counter|wall|bench|galley|bridge|deck|orange|lemon|blue|red|green|black|white|clear|purple|pink|yellow|grey|brown)\b/i;
/** In columns each cell stays where it is. */
const IN_COLUMNS = /\S(?:\s{3,}|\t|\s\|\s)\S|\|/;

const A_NUMBER = quick(new RegExp(`(?<![\\p{L}\\d.,])${N}(?=\\s*[x×]\\s|\\P{L}|$)`, "giu"));
const PACKS_OF = quick(new RegExp(`(${N}|an?)\\s+(?:\\p{L}+\\s+)?${PACKS}\\s+of\\s+(${N})`, "iu"));
const IS_PACK = new RegExp(`\\b${PACKS}\\b`, "i");
const UNIT_OF = quick(new RegExp(`(?:${N})\\s*(?:[x×]\\s+)?(${UNIT})\\b`, "iu"));

/** How many a part says; null: none. @param each what a pack holds, where another part says so */
function countOf(part: string, each: number | null): number | null {
  const packs = PACKS_OF.exec(part);
  if (packs) return (/^an?$/i.test(packs[1]!) ? 1 : valueOf(packs[1]!)) * valueOf(packs[2]!);
  const [first] = part.replace(/exp\S*\s*\S+|\d{1,2}[/.-]\d{2,4}/gi, " ").matchAll(A_NUMBER);
  if (first === undefined) return null;
  return valueOf(first[0]) * (each !== null && IS_PACK.test(part) ? each : 1);
}
/** What the parts come to, and the word for what is counted; null: they are no parts of one thing. */
function sumOf(said: string): string | null {
  const isBefore = !BEHIND.test(said) && !FIRST_BARE.test(said);
  if ((isBefore && !BEFORE.test(said)) || NO_PART.test(said)) return null;
  const parts = said.split(EACH).filter((part) => SAYS_NUMBER.test(part));
  const held = PACKS_OF.exec(said)?.[2];
  const counts = parts.map((part) => countOf(part, held === undefined ? null : valueOf(held)));
  if (parts.length < 2 || counts.includes(null)) return null;
  const unit = UNIT_OF.exec(said)?.[1];
  const areOfPacks = PACKS_OF.test(said);
  const told = areOfPacks || unit === undefined || /one|of/i.test(unit) ? "" : ` ${unit}`;
  return `${counts.reduce((sum: number, n) => sum + n!, 0)}${told}`;
}

type Of = Pick<Knowledge, "names">;
/** "6) ". */
const LIST_NUMBER = /^\s*\(?\d{1,2}[.)]\s+/;
const saysCount = (name: string): boolean =>
  SAYS_NUMBER.test(name.replace(LIST_NUMBER, "").replace(SIZED, " "));

function inParts(line: string, { names }: Of): string {
  const counted = COUNTED_NAME.exec(line)?.groups;
  if (counted && names(counted["name"]!) && !saysCount(counted["name"]!)) {
    const sum = sumOf(`${counted["count"]!} ${counted["where"]!}${counted["more"]!}`);
    if (sum !== null) return `${counted["mark"]!}${Number.parseInt(sum, 10)} ${counted["name"]!}`;
  }
  let left = MOST_STARTS;
  for (const at of line.matchAll(STARTS)) {
    if (left-- === 0) break;
    const name = line.slice(0, at.index);
    if (!THREE_LETTERS.test(name)) continue;
    const sum = sumOf(line.slice(at.index + at[0].length));
    if (sum === null) continue;
    if (!names(name) || saysCount(name)) return line;
    return `${name}: ${sum}`;
  }
  return line;
}

/** A line whose thing is counted in parts with their sum instead; each clause between semicolons by itself. */
export function countsInParts(line: string, of: Of): string {
  if (line.length > LONGEST_LINE || !MAY_SUM.test(line) || IN_COLUMNS.test(line)) return line;
  const whole = inParts(line, of);
  if (whole !== line || !line.includes("; ")) return whole;
  return line
    .split("; ")
    .map((clause) => inParts(clause, of))
    .join("; ");
}
