import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { COLOUR, PACKS, valueOf } from "./phrase.ts";
import type { Knowledge } from "./plainly.ts";
import { quick, THREE_LETTERS } from "./quick.ts";
import { SIZED } from "./sized.ts";

/**
 * How many of one thing lie where, or are in what state: "Scissors: 1 at the desk, 1 in the drawer", "vet wrap, one purple and one
 * orange", "2 eye pads in the box and 1 in the bag". They are one sum: "Scissors: 2".
 */

/** Numbers in words are put in figures before: with all of their words the patterns would take a second to prepare. */
const N = "\\d{1,4}(?![\\d.,]*\\d)";
const IN_WORDS = quick(new RegExp(`(?<![\\p{L}\\d])(?:${NUMBER_SAID})(?![\\p{L}\\d-])`, "giu"));
/** "another on deck" is one more; "six or so" six. */
const ANOTHER = /\banother(?=\s+(?:in|on|at|by|with|under|up|down|one)\b)/gi;
const GUESSED =
  /\b(?:about|roughly|maybe|say|around)\s+(?=\d)|(?<=\d)\s+or\s+so\b|(?<=\d)-?ish\b/gi;
const inFigures = (text: string): string =>
  text
    .replace(IN_WORDS, (words) => String(valueOf(words)))
    .replace(ANOTHER, "1")
    .replace(GUESSED, "");
const UNIT =
  "pairs?|prs?|pcs?|pieces|nos?\\.?|of\\s+them|ones?|sachets?|pods?|ampoules?|bottles?|tubes?|rolls?|cans?|vials?|tins?|tablets?|strips?|wipes?";
/** Rooms, vehicles and parts of a kit, that need no "in the" before them. */
const ROOMS =
  "pocket|lid|drawer|cupboard|cabinet|shelf|locker|rucksack|backpack|van|truck|lorry|cab|car|boat|bus|trailer|kitchen|office|reception|workshop|garage|store(?:room)?|hall|gym|bar|shop|lab|shed|barn|hut|yard|gate|desk|stage|counter|wall|bench|galley|bridge|deck";
/** What is carried: "1 box" is a pack, "the red box" a place. */
const CARRIED = "box|bag|kit|tin|pouch|case|tray";
const PLACE = `(?:(?:kit|box|bag|unit|team|room|floor)\\s+(?:[A-Z]|\\d)|(?:\\p{L}+['’]?s?\\s+){1,2}(?:${CARRIED})|(?:\\p{L}+['’]?s?\\s+){0,2}(?:${ROOMS}|top|bottom|front|back|side))(?:\\s+(?:\\d|[A-F])(?![\\p{L}\\d]))?`;
const WHERE = `(?:(?:left|kept|stored|lying|still|also|now|more)\\s+)?(?:in|on|at|by|under|inside|behind|near|below|beside|with)\\s+(?:\\p{L}[\\p{L}'’.-]*\\s*){1,5}\\d?|(?:up|down)stairs|up|down|outside|inside|here|there|elsewhere`;
const STATE = `(?:in\\s+)?(?:spares?|reserve|loose|extra|more|new|old|opened|open|unopened|sealed|unused|full|fresh|staged|(?:in|out[\\s-]of)[\\s-]date|${COLOUR})(?:\\s+(?:ones?|stock))?`;
const UNTIL = "(?:\\s*,?\\s*(?:exp(?:iry|ires|\\.)?)?\\s*\\d{1,2}[/.-]\\d{2,4})?";
/** "2 in the box", "4 boxes of 3", "one purple", "6 sachets in the van", "x1 staged", "kitchen 4". */
const COUNTED = `(?:x\\s?)?${N}\\s*(?:[x×]\\s+)?`;
const SAID = `(?:(?:full|new|unopened|loose|single|spare)\\s+)?(?:(?:${UNIT}|${PACKS}(?:\\s+of\\s+${N})?)\\s+)?(?:${WHERE}|${STATE}|\\(?${PLACE}\\)?)`;
/** "a box of forty" needs no place. */
const PACK_OF = `(?:an?|one|${N})\\s+(?:full\\s+|new\\s+|unopened\\s+|sealed\\s+|spare\\s+)?${PACKS}\\s+of\\s+${N}`;
/** "staged x1". */
const STATE_BEFORE = `(?:spares?|loose|staged|extra|new|old|open(?:ed)?|unopened|sealed)\\s*[:x×]?\\s*${N}`;
/** "1 loose card" of those that hold so many. */
const PACK_ALONE = `${N}\\s+(?:loose|spare|odd|extra|full|new|other)\\s+${PACKS}`;
const whole = (source: string): RegExp => quick(new RegExp(`^(?:${source})$`, "iu"));
const PART_BEHIND = whole(
  `(?:${PACK_ALONE}|${PACK_OF}(?:\\s+(?:${WHERE}|${STATE}))?|${COUNTED}${SAID}|${STATE_BEFORE})${UNTIL}`,
);
const PART_BEFORE = whole(`(?:in\\s+)?(?:the\\s+)?${PLACE}\\s*[:x×]?\\s*${N}(?:\\s+(?:${UNIT}))?`);
/** "x1 / staged x1", "2 + 1 spare": what is not told apart comes first. */
const BARE = whole(`(?:x\\s?)?${N}`);
const BETWEEN_BARE = /^(?:x\s?)?\d+(?:\s*[+&/]|\s+(?:and|plus)\s)/i;
const JOIN =
  /\s*(?:[,;]\s*(?:and\s+|plus\s+|then\s+)?|\band\s+|\bplus\s+|\s[-–/]\s|[+&/])\s*(?:another\s+)?/gi;
const END = /\s*\)?\s*[.!]*\s*$/;
/** Where a name may end and the parts begin. */
const STARTS = quick(/\s*[:;,(]\s*(?=[\p{L}\d])|\s+[-–—/]\s+|\s+(?=(?:x\s?)?\d+[x×]?\s)/giu);
/** Further on stands no name's end. */
const MOST_STARTS = 6;
/** "2 eye pads in the box and 1 in the bag": the count before the name, where the first lie behind it. */
const COUNTED_NAME = quick(
  new RegExp(
    `^(?<mark>\\W*)(?<count>${N})\\s*(?:[x×]\\s*)?(?<name>\\p{L}[^,;:()]*?)\\s+(?<where>(?:${WHERE}|${STATE})${JOIN.source}\\D{0,20}\\d.*)$`,
    "iu",
  ),
);
/** Things that went or are wanted are none of a sum, and sizes are sorts of their own. */
const NO_PART =
  /\b(?:used|gone|missing|lost|binned|needed|wanted|short|order(?:ed)?|buy|replace|each|per|see|small|medium|large|big|little|adult|child(?:ren)?)\b/i;
const MAY_SUM = new RegExp(
  `\\b(?:in|on|at|by|under|inside|behind|near|spares?|loose|extra|more|new|old|open(?:ed)?|unopened|sealed|unused|full|date|staged|upstairs|downstairs|up|down|another|orange|lemon|blue|red|green|black|white|clear|purple|pink|yellow|grey|brown|${CARRIED}|${ROOMS})\\b`,
  "i",
);
/** In columns each cell stays where it is. */
const IN_COLUMNS = /\S(?:\s{3,}|\t|\s\|\s)\S|\|/;

const A_NUMBER = quick(new RegExp(`(?<![\\p{L}\\d.,])${N}(?=\\s*[x×]\\s|\\P{L}|$)`, "giu"));
const PACKS_OF = quick(new RegExp(`(${N}|an?)\\s+(?:\\p{L}+\\s+)?${PACKS}\\s+of\\s+(${N})`, "iu"));
/** "2 boxes in the store", not "5 in the box". */
const IN_PACKS = quick(
  new RegExp(
    `^(?:x\\s?)?${N}\\s*(?:[x×]\\s+)?(?:(?:full|new|unopened|loose|single|spare|odd|extra|other)\\s+)?(${PACKS})(?![\\p{L}\\d])(?!\\s+of\\s)`,
    "iu",
  ),
);
const UNIT_OF = quick(new RegExp(`(?:${N})\\s*(?:[x×]\\s+)?(${UNIT})\\b`, "iu"));

type Of = Pick<Knowledge, "names" | "knows">;

/** How many a part says; null: none. @param each what a pack holds, where another part says so */
function countOf(part: string, each: number | null): number | null {
  const packs = PACKS_OF.exec(part);
  if (packs) return (/^an?$/i.test(packs[1]!) ? 1 : Number(packs[1])) * Number(packs[2]);
  const [first] = part.replace(/exp\S*\s*\S+|\d{1,2}[/.-]\d{2,4}/gi, " ").matchAll(A_NUMBER);
  if (first === undefined) return null;
  return Number(first[0]) * (each !== null && IN_PACKS.test(part) ? each : 1);
}
/** Whether all of what is said are parts of one thing. */
function areParts([first = "", ...others]: readonly string[], said: string): boolean {
  const areBehind = others.every((part) => PART_BEHIND.test(part));
  return (
    others.length > 0 &&
    ((areBehind && (PART_BEHIND.test(first) || (BARE.test(first) && BETWEEN_BARE.test(said)))) ||
      [first, ...others].every((part) => PART_BEFORE.test(part)))
  );
}
/** "2 ashore", "one still in the wash": behind a colon or in brackets any words that name nothing tell where or how. */
const ANY_PART = whole(
  `(?:x\\s?)?${N}\\s+(?!(?:[cmk]?m|[mc]?l|m?g|min(?:ute)?s?|hours?|days?|weeks?|months?|years?)(?!\\p{L}))(?:\\p{L}[\\p{L}'’-]*\\s*){1,6}`,
);
const COUNT = /^(?:x\s?)?\d+\s*/;
const areAnyParts = (parts: readonly string[], { names, knows }: Of): boolean =>
  parts.length > 1 &&
  parts.every((part) => {
    const words = part.replace(COUNT, "");
    return ANY_PART.test(part) && !names(words) && (STARTS_WHERE.test(words) || !knows(words));
  });
const STARTS_WHERE = whole(`(?:${WHERE}|${STATE}).*`);
/**
 * The word for what all parts count, behind a blank; empty: pieces. null: packs that nobody says the content of, beside pieces.
 * @param held what a pack holds
 */
function unitOf(parts: readonly string[], said: string, held: string | undefined): string | null {
  if (held !== undefined) return "";
  const packs = parts.filter((part) => IN_PACKS.test(part));
  if (packs.length > 0 && packs.length < parts.length) return null;
  const unit = UNIT_OF.exec(said)?.[1] ?? IN_PACKS.exec(packs[0] ?? "")?.[1];
  return unit === undefined || /one|of/i.test(unit) ? "" : ` ${unit}`;
}
/** What the parts come to, with the word for what is counted; null: they are no parts of one thing. */
function sumOf(told: string, isSetOff: boolean, of: Of): { sum: number; unit: string } | null {
  const said = told.replace(END, "");
  if (NO_PART.test(said)) return null;
  const parts = said.split(JOIN).map((part) => part.trim());
  if (!areParts(parts, said) && !(isSetOff && areAnyParts(parts, of))) return null;
  const held = PACKS_OF.exec(said)?.[2];
  const counts = parts.map((part) => countOf(part, held === undefined ? null : Number(held)));
  if (counts.includes(null)) return null;
  const unit = unitOf(parts, said, held);
  return unit === null ? null : { sum: counts.reduce((all: number, n) => all + n!, 0), unit };
}

/** "6) ". */
const LIST_NUMBER = /^\s*\(?\d{1,2}[.)]\s+/;
const saysCount = (name: string): boolean =>
  /\d/.test(name.replace(LIST_NUMBER, "").replace(SIZED, " ").replace(BARE_SIDES, " "));
/** "10x10": sides without a unit. */
const BARE_SIDES = /\d{1,2}(?:[.,]\d)?\s?[x×]\s?\d{1,2}(?:[.,]\d)?(?!\d)/g;

/** "4 (2 in the boat, 2 ashore)": the sum is said before. */
const SUM_THEN_PARTS =
  /^(?<head>.*?(?<![\d.,]|\d\s*[x×]\s*)(?<sum>\d{1,3}))\s*\((?<parts>[^()]*\d[^()]*\d[^()]*)\)\s*[.!]*$/;
function withoutParts(line: string, of: Of): string {
  const found = SUM_THEN_PARTS.exec(line)?.groups;
  return found && sumOf(found["parts"]!, true, of)?.sum === Number(found["sum"])
    ? found["head"]!
    : line;
}

function inParts(written: string, of: Of): string {
  const { names } = of;
  const line = withoutParts(written, of);
  const counted = COUNTED_NAME.exec(line)?.groups;
  if (counted && names(counted["name"]!) && !saysCount(counted["name"]!)) {
    const all = sumOf(`${counted["count"]!} ${counted["where"]!}`, false, of);
    if (all !== null) return `${counted["mark"]!}${all.sum} ${counted["name"]!}`;
  }
  let left = MOST_STARTS;
  for (const at of line.matchAll(STARTS)) {
    if (left-- === 0) break;
    const name = line.slice(0, at.index);
    if (!THREE_LETTERS.test(name)) continue;
    const all = sumOf(line.slice(at.index + at[0].length), /[:(]/.test(at[0]), of);
    if (all !== null)
      return names(name) && !saysCount(name) ? `${name}: ${all.sum}${all.unit}` : line;
  }
  return line;
}

/** "1/2 box of 40": no one and two boxes. */
const PART_OF_PACK = quick(
  new RegExp(
    `(?<![\\d/.,])[1-3]/[2348](?![\\d/])\\s*(?:of\\s+an?\\s+)?(?:full\\s+)?${PACKS}(?!\\p{L})`,
    "iu",
  ),
);
/** Parts have a number each. */
const TWO_NUMBERS = /\d.*[^\d.,x×]\s*x?\d/;
/** A line whose thing is counted in parts with their sum instead; each clause between semicolons by itself. */
export function countsInParts(line: string, of: Of): string {
  if (line.length > LONGEST_LINE || !MAY_SUM.test(line) || IN_COLUMNS.test(line)) return line;
  if (PART_OF_PACK.test(line)) return line;
  const said = inFigures(line);
  if (!TWO_NUMBERS.test(said)) return line;
  const all = inParts(said, of);
  if (all !== said) return all;
  const clauses = said.split("; ");
  const each = clauses.map((clause) => inParts(clause, of));
  return each.every((clause, i) => clause === clauses[i]) ? line : each.join("; ");
}
