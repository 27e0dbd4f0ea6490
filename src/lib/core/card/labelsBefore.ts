import { listsUsed, speaksOfAbsence, speaksOfWant } from "./absence.ts";
import type { CardRow } from "./cardRow.ts";
import { SECTION_LABEL } from "./headings.ts";
import { SAYS_NUMBER } from "./numberWords.ts";
import { PLACE_WORDS } from "./placeWords.ts";
import type { Knows } from "./countedSorts.ts";
import { eachVariant } from "./variants.ts";
import { TWO_LETTERS, quick } from "./quick.ts";

/** What stands before the things of a row: where they lie, or what they are for. */

type Names = (text: string) => boolean;

/** Where things lie, not what they are. */
export const IS_PLACE =
  /^(?:the\s+)?(?:(?:very\s+)?(?:top|bottom|front|back|rear|side|left|right|inner|outer|inside|outside|main|middle|lower|upper|first|second|third|lid|small|big|large|zip|mesh|belt|chest)\s*)+(?:layer|pockets?|shelf|tray|lid|compartment|drawer|pouch|section|front|flap|half|bag|box)?\s*$|^(?:glove\s?(?:box|compartment)|boot|trunk|under\s+(?:the\s+)?(?:passenger\s+|driver['’]?s\s+)?seat)$/i;

/** What holds things is no thing where it heads them: "Leaders' box in addition: ice packs (2), whistle". */
const HOLDER =
  /\b(?:box(?:es)?|bags?|kits?|cases?|pouch(?:es)?|tins?|drawers?|cupboards?|packs?)\b/gi;
/** "first aid box (on wall): plasters x 25". */
const HOLDER_LAST =
  /\b(?:box|bag|kit|case|pouch|tin|drawer|cupboard|station|cabinet|shelf)\b\s*(?:\([^()]*\))?$/i;
/** "Big red bag, outer pocket - four pairs of gloves". */
const BAG_AND_POCKET =
  /^(?:[a-z]+\s+){0,3}(?:bag|kit|box|case|pack|rucksack|pouch|tin),\s+(?:the\s+)?(?:(?:top|bottom|front|back|side|left|right|inner|outer|main|mesh|zip|lid|inside|outside)\s+){1,2}(?:pocket|pouch|tray|shelf|flap|compartment|section|lid)?\s*(?::|[-–—])\s+(?=\S)/i;
/** With what is said of it in brackets: "Extras (own): ". */
const PLACE_BEFORE = /^([^:,;\d(]{3,28}?(?:\s\([^()\d]{1,20}\))?)(?:\s*:\s+|\s+[-–—]\s+)(?=\S)/;
/** "Subject: first aid box, print room" */
const OF_A_MAIL = /^\W*(?:subject|betreff|objet|asunto|oggetto|re|fwd?|from|to|cc|sent)\s*$/i;
/** What a row says before its list, and the list; null: neither is told. */
interface Labelled {
  readonly label: string;
  readonly rest: string;
  readonly hasColon: boolean;
}
function labelled(text: string): Labelled | null {
  const m = PLACE_BEFORE.exec(text);
  if (m && OF_A_MAIL.test(m[1]!)) return null;
  return m && { label: m[1]!.trim(), rest: text.slice(m[0].length), hasColon: /:\s/.test(m[0]) };
}
/** Whether such a label says where the things behind it lie. */
function saysPlace({ label, rest, hasColon }: Labelled, names: Names): boolean {
  if (IS_PLACE.test(label)) return true;
  if (!hasColon || names(label.replace(HOLDER, " "))) return false;
  return /[,;+&]|\sand\s/.test(rest) || (/\d/.test(rest) && HOLDER_LAST.test(label) && names(rest));
}
/** "TOP POCKET: 2 pr gloves", "right front - 3 pr gloves": the place before the things goes. */
export function withoutPlace(row: CardRow, of: Knows): CardRow {
  const { names } = of;
  if (row.inTable) return row;
  const text = row.text.replace(BAG_AND_POCKET, "");
  if (text !== row.text) return { ...row, text };
  const said = labelled(row.text);
  if (!said || speaksOfAbsence(said.label) || speaksOfWant(row.text) || listsUsed(row.text))
    return row;
  const { rest } = said;
  // "Dressings: 6 medium, 2 eye": the label is the name of all.
  const parts = rest.split(/[,;+&]|\sand\s/).concat(rest.includes(";") ? rest.split(";") : []);
  return saysPlace(said, names) && parts.some(names) && eachVariant(row.text, of).length === 1
    ? { ...row, text: rest, bullet: true }
    : row;
}

/** "Front pocket", "Bag 2 (red)", "Section A". */
const PLACE_NAMED = new RegExp(
  `^(?:[a-z]+\\s+){0,2}(?:${PLACE_WORDS}|pockets?|lid|roll)(?:\\s+(?:no\\.?\\s*)?(?:\\d{1,2}|[A-F]))?$`,
  "i",
);
/** What a list is for, or of. */
const GROUP =
  /^(?:(?:for\s+)?(?:wounds?(?:\s+care)?|cuts(?:\s+and\s+grazes)?|(?:minor|major)\s+injuries|bleeding|trauma|burns?|eyes?|eye\s+care|airway|breathing|sprains|fractures|cold(?:\s*(?:&|and)\s*heat)?|tools|instruments|equipment|medicines?|medications?|meds|drugs|ppe|protection|hygiene|cleaning|diagnostics|documents|paperwork|rescue|personal|consumables|misc(?:ellaneous)?(?:\s+items)?|others?|extras?|sundries|additional|also|plus|added(?:\s+by\s+us)?|loose|spares?|resus(?:citation)?))$/i;
/** Between a label and its list. */
const LABEL_ENDS =
  /^([^\p{L}\d]{0,3}(?=\p{L})[^:;,|=→•·]{2,34}?[\])*_]{0,3}(?:\s\([^()\d]{1,20}\))?)(?::|\s[-–—|=→](?![-–—])|\s[-=]>|\.{1,3}(?=\s)|\t)\s*(?=\S)/u;
const BETWEEN = /[,;+&|•·]\s|\s[-–/]\s|\.\s|\sand\s/;
/** "Lid (red) → 8 whistles, 4 wipes", "Extras = torch 1": a label of any kind, where what follows it is each named and counted. */
export function withoutLabel(row: CardRow, names: Names): CardRow {
  const m = row.inTable || row.text.length > LONGEST_LABELLED ? null : LABEL_ENDS.exec(row.text);
  if (!m) return row;
  const label = bare(m[1]!);
  if (speaksOfAbsence(label) || speaksOfWant(row.text) || listsUsed(row.text)) return row;
  const rest = row.text.slice(m[0].length);
  const fewest = fewestBehind(label, names);
  const isCounted = SAYS_NUMBER.test(rest) || row.quantity !== null;
  const things = rest.split(BETWEEN).filter((p) => TWO_LETTERS.test(p));
  return fewest !== null &&
    isCounted &&
    names(things[0] ?? "") &&
    things.filter(names).length >= fewest
    ? { ...row, text: rest, bullet: true }
    : row;
}
/** "**Lid** (red)" → "Lid". */
const bare = (label: string): string =>
  label
    .replace(/\([^()]*\)\s*$/, "")
    .replace(/[^\p{L}\d&' -]/gu, "")
    .trim();
/** So many things are named behind what is a label; null: it is none, it names a thing itself. */
function fewestBehind(label: string, names: Names): number | null {
  if (IS_PLACE.test(label) || PLACE_NAMED.test(label) || GROUP.test(label)) return 1;
  return /\d/.test(label) || names(label.replace(HOLDER, " ")) ? null : FEWEST_UNTOLD;
}
/** A word that nobody knows is a label before so many things. */
const FEWEST_UNTOLD = 2;
const LONGEST_LABELLED = 400;

/** "SHELF 1   plasters, 20": where things lie, set apart before them. */
const PLACE_LABEL = new RegExp(
  `^(?:${PLACE_WORDS}|door|lid|hook|top|bottom|front|back|left|right)\\s*(?:no\\.?\\s*)?(?:\\d{1,2}|[A-F])?(?:\\s*\\([^()]{1,20}\\))?(?:\\s{2,}|\\s*:\\s+|\\s+[-–]\\s+)(?=\\S)`,
  "i",
);
/** "BLEED        TQ 2 | gauze 1": a word in capitals far before a list says what the list is for. */
const GROUP_LABEL = quick(/^\p{Lu}[\p{Lu}/& .-]{2,20}?\s{3,}(?=\S)/u);
const SMALL_LETTER = quick(/\p{Ll}/u);
/** "WOUNDS – wipes 40, tape x2": with a dash. */
const GROUP_DASH = quick(/^\p{Lu}{3,}(?:[ &/]+\p{Lu}{2,}){0,2}\s+[–—-]\s+(?=\S.*[,;])/u);
/** "BURNS – gel 8 sachets": what things are for is part of their names there. */
const SAYS_BURNS = /^burns?\b/i;
/** "EYES – pods 20, pads 4". */
const SAYS_EYES = /^eyes?\b/i;
const OF_EYES = /(^|[,;]\s*)(pods?|pads?|wash)\b/gi;
const ofEyes = (_: string, before: string, thing: string): string =>
  `${before}${/^pod/i.test(thing) ? "eyewash" : "eye"} ${thing}`;
const OF_BURNS = /(^|[,;]\s*)(?=(?:gel|drsg|dressing|cream|sheet|sachet)s?\b)/gi;
/** One may be named in a sentence. */
const FEWEST_BEHIND_DASH = 2;
/** The label that a row begins with, and what it lists; null: it has none. */
function groupOf(row: CardRow, names: Names): string | null {
  const dash = GROUP_DASH.exec(row.text)?.[0];
  const label = GROUP_LABEL.exec(row.text)?.[0] ?? dash;
  if (label === undefined || names(label)) return null;
  const said = row.text.slice(label.length);
  const rest = SAYS_BURNS.test(label)
    ? said.replace(OF_BURNS, "$1burn ")
    : SAYS_EYES.test(label)
      ? said.replace(OF_EYES, ofEyes)
      : said;
  const parts = rest.split(/[|,;]/);
  // "DRUGS – in a box, for carers only" lists nothing.
  const fewest = label === dash ? FEWEST_BEHIND_DASH : 1;
  return parts.length > 1 && parts.filter(names).length >= fewest && SMALL_LETTER.test(rest)
    ? rest
    : null;
}

/** A row without the label of its group, or of the place where its things lie. */
export function withoutGroup(row: CardRow, names: Names): CardRow {
  const section = SECTION_LABEL.exec(row.text)?.[0];
  const headsList = section !== undefined && !/\d/.test(row.text.slice(section.length));
  if (row.inTable || headsList) return row;
  const place = PLACE_LABEL.exec(row.text)?.[0];
  if (place !== undefined && names(row.text.slice(place.length)))
    return { ...row, text: row.text.slice(place.length), bullet: true };
  const rest = groupOf(row, names);
  return rest === null ? row : { ...row, text: rest, bullet: true };
}
