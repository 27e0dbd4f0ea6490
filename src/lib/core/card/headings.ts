import { isCountedAs, isCountedPlainly, saysTimes } from "./countedPlainly.ts";
import { isSure, type Draft } from "./draft.ts";
import { IN_BRACKETS } from "./inBrackets.ts";
import { firstTold, noIf, rulesOf, yesIf, type Rule } from "./firstTold.ts";
import { BAG_WITH_NUMBER, CARRIED, PART_OF_ONE, PLACE_WORDS } from "./placeWords.ts";
import { isCapitals, type Style } from "./style.ts";
import { quick } from "./quick.ts";
import { NO_TYPE, type Match } from "./vocabulary.ts";

/** Lines that name a group of items: an ordered table, the first rule that tells decides. */

const HEADINGS = new Set(
  "wound care|wounds|wound|bandages|bandages and dressings|dressings|dressings and bandages|plasters|plasters and dressings|tools|tools and protection|instruments|medicines|medicine|medication|medications|meds|drugs|burns|burn care|burn|bleeding|bleeding control|cleaning|hygiene|protection|ppe|personal protection|misc|miscellaneous|other|others|other items|extras|general|trauma|airway|breathing|circulation|eyes|eye care|fractures|sprains|sprains and strains|fractures and sprains|survival|tapes|tape|gloves and masks|antiseptics|cleansing|blisters|blister care|feet|foot care|bites and stings|insect bites|equipment|hardware|paperwork|documents|stationery|documentation|contents|medicine cabinet|diagnostics|splints|supports|immobilisation|cold therapy|hot and cold|resuscitation|cpr|first aid|emergency|pockets|front pocket|main compartment|back pocket|inner pocket|outer pocket|lid|top|bottom|left|right|front|back|side|left side|right side|inside|outside|wipes|wipes and creams|creams|ointments|creams and ointments|tablets|gauze|gauze and pads|pads|bandaging|wound dressings|closures|signalling|lighting|warmth|exposure|skin|allergy|stings|bites|cold|heat|wound closure|bag|box|sundry|sundries|various|oddments|bits and bobs|consumables|cuts|cuts and grazes|grazes|cuts and scrapes|scrapes|joints|limbs|muscles|ankles|knees|ankles and knees|fingers|hands|ears|nose|teeth|dental|stomach|pain|pain relief|insects|sun|nosebleeds|choking|shock|chest|admin|information|comfort|personal".split(
    "|",
  ),
);

/** "Pouch 2 – airway". */
const NUMBERED_PLACE = quick(
  new RegExp(`^\\W*(?:${PLACE_WORDS})\\s+(?:\\d{1,2}|\\p{Lu})\\s*[:–—-]\\s`, "iu"),
);

/** "Bag 2 (resuscitation)", "Drawer B – eyes": nothing in it is counted. */
const NUMBERED_GROUP = quick(
  new RegExp(
    `^\\W*(?:${PLACE_WORDS})\\s+(?:\\d{1,2}|\\p{Lu})\\s*(?:\\([^()\\d]*\\)|[:–—-]\\s*[^\\d]*)\\s*$`,
    "iu",
  ),
);

/** "Compartment B", "Drawer 3", "Bag II": alone, and no count. */
const PLACE_ALONE = quick(
  new RegExp(
    `^\\W*(?:(?:${PART_OF_ONE})\\s+(?:\\d{1,2}|\\p{L}|[ivx]{2,4})|(?:${CARRIED})\\s+(?:\\p{L}|[ivx]{2,4}))\\W*$`,
    "iu",
  ),
);
/** "AED cabinet", "Top drawer": no kit holds one, whatever else its words name. */
const FIXED_PLACE = quick(
  /^(?!\W*(?:an?|one)\s)\W*(?:\p{L}[\p{L}'’-]*\s+){0,3}(?:cabinet|cupboard|locker|drawer|shelf|compartment|side\s+pocket|glovebox)s?\W*$/iu,
);
/** "Pack 2", numbered so on this card. */
function isNumberedPlace(text: string, style: Style): boolean {
  const place = BAG_WITH_NUMBER.exec(text)?.groups!["place"];
  return place !== undefined && style.placesNumbered.has(place.toLowerCase());
}
const HOLDER_BY_PLACE = quick(
  new RegExp(
    `^\\D{0,24}\\b(?:${PLACE_WORDS})\\s*\\((?:the\\s+)?(?:inside|outside|inner|outer|in\\s|on\\s|top|bottom|left|right|front|back|lid|side|red|green|blue|black|orange|yellow|white)[^()\\d]*\\)\\s*$`,
    "iu",
  ),
);
/** A first aid kit in the languages that cards come in, with no list behind it. */
const KIT_ITSELF = quick(
  /^(?!\W*\d)(?!.*(?:[x×]\s*\d+|\(\d+\)|\d)\s*$)[^,;:]*(?:first[\s-]?aid\s+(?:kit|box|bag|tin|cabinet|point|pouch|cupboard|locker|stowage|post|room|station|supplies|drawer|shelf|checklist|list|contents|sheet|equipment|materials?)|erste[\s-]hilfe|verband[sk]?kasten|premiers?\s+secours|pharmacie|trousse|primeros\s+auxilios|botiqu[ií]n|pronto\s+soccorso|cassetta|ehbo|verbanddoos|primeiros\s+socorros|första[\s-]hjälpen|førstehjælp|førstehjelp|ensiapu|apteczka|lékárnička)(?![\p{L}])[^,;:]*$/iu,
);
/** "First aid - cab no. 7": the number of what it is for. */
const NUMBERED_KIT =
  /^\W*first[\s-]?aid\b[^,;:\d]*\b(?:n[or]|number|unit|cab|bus|van|vehicle|truck|boat|site|room|depot|team)\.?\s*#?\d{1,4}\W*$/i;
/** "Sheet 2", "page 1 of 3": numbers a title ends in. */
const SHEET = /[\s,(]*\b(?:sheet|page|card|copy|rev\.?|part)\s*\d+(?:\s*(?:of|\/)\s*\d+)?\)?\s*$/i;
/** "(3 items)", "– 3 items": lines, and no pieces. */
const SAYS_ITEMS =
  /\p{L}\s*(?:\(|\s[-–—]\s|:\s)\s*\d{1,2}\s+(?:items?|things|lines|articles)\s*\)?\s*$/iu;
/** "Section 2: ", "Category: ". */
export const SECTION_LABEL =
  /^(?:(?:section|part|group|module)\s+(?:\d{1,2}|[a-z])\s*[:–—.-]|(?:section|category|group|area)\s*:)\s+/i;
const COUNT_IN_FRONT = /^\W*\d/;

/** "A. Dressings", with a list mark: a heading where what is listed carries counts. */
const SECTIONS =
  /^(?:wounds?|wound care|bandages?|dressings?|bandages and dressings|dressings and bandages|tools|instruments|equipment|medicines?|medications?|meds|burns?|burn care|bleeding|cleaning|hygiene|protection|ppe|misc|miscellaneous|others?|extras|ice|eyes?|eye care|airway|resuscitation|sprains|fractures)$/;

const normalHeading = (text: string) =>
  text
    .toLowerCase()
    .replace(IN_BRACKETS, "")
    .replace(/&/g, "and")
    .replace(/[^a-z ]/g, "")
    .replace(/\s+/g, " ")
    .trim();

/** "Cuts, from hive tools". */
const COMES_OF = /\s*[,–-]\s*(?:from|for|after|by|when|in|on)\s[^\d]*$/i;
/** "– count of Nov 2": when the list was made. */
const MADE_ON =
  /\s*[-–,(]?\s*\b(?:count(?:ed)?|check(?:ed)?|list|stock|as)\s+(?:of|on|at)\s+(?:(?:\d{1,2}(?:st|nd|rd|th)?\s+)?(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?(?:\s+\d{1,2}(?:st|nd|rd|th)?)?|(?:mon|tues|wednes|thurs|fri|satur|sun)day)(?:,?\s+20\d\d)?\)?\s*$/i;

/** "Dressings", "Dressings and plasters": each part of it heads groups. */
const headsGroup = (text: string): boolean => {
  const heading = normalHeading(text);
  return HEADINGS.has(heading) || heading.split(" and ").every((part) => HEADINGS.has(part));
};

interface Line extends Draft {
  readonly text: string;
  readonly style: Style;
  readonly next: Draft | undefined;
  readonly isFirst: boolean;
  readonly counted: boolean;
  /** Some part of it surely names an item other than what things lie in. */
  readonly names: boolean;
}
const OF_A_KIT = /\b(?:list|kit|bag|box|set|pouch|contents|cabinet|refill)s?\b/i;
/** "Plasters, box of forty", "a wee box of plasters": what the things are in. */
const IN_A_BOX = quick(/(?:[,:–-]\s*|(?:^|\s)an?\s+)(?:\p{L}+\s+)?(?:bag|box|set|pouch)e?s?\b/giu);
const isNamedThing = ({ type, whole }: Match): boolean =>
  whole === 1 && type !== null && type !== NO_TYPE && type !== "container";
const FRAMED = quick(/\p{L}\W?\s*(?:[-=*~_#]{2,}|[\]~])\s*$/u);
/** "Foil blanket" without its count, right over "Plasters, 12". */
const isOneThing = ({ names, match, text, row, next, segments, whole }: Line): boolean =>
  names &&
  segments.length === 1 &&
  (whole.article ||
    BEGINS_SMALL.test(text) ||
    (match.explained === 1 && (!text.endsWith("s") || ALWAYS_PLURAL.test(text)))) &&
  next?.row.source === row.source + 1;
/** A title of several words has a capital. */
const BEGINS_SMALL = quick(/^\p{Ll}+,?\s+\p{Ll}/u);
/** One of these is called so. */
const ALWAYS_PLURAL = /\b(?:scissors|shears|tweezers|pliers|goggles|forceps)\b/i;
/** true: it is one, false: it is none. */
const HEADING_RULES: readonly Rule<Line, boolean>[] = [
  {
    name: "ends in a colon",
    reads: (text) => /:\s*(?:\([^)]*\))?\s*$/.test(text),
    tells: () => true,
  },
  {
    name: "'Bag 2 (resuscitation)', over what is counted",
    reads: (text) => NUMBERED_GROUP.test(text),
    tells: ({ style, row, next }) =>
      yesIf(style.counts && row.quantity === null && next !== undefined),
  },
  {
    name: "'Compartment B' or 'Pouch 2' alone, over what lies there",
    reads: (text) => PLACE_ALONE.test(text) || BAG_WITH_NUMBER.test(text),
    tells: ({ text, row, next, style }) =>
      yesIf(
        row.quantity === null &&
          next !== undefined &&
          (PLACE_ALONE.test(text) ||
            isNumberedPlace(text, style) ||
            (BAG_WITH_NUMBER.test(text) && COUNT_IN_FRONT.test(next.row.text))),
      ),
  },
  {
    name: "'AED cabinet', 'Drawer' over what is counted",
    reads: (text) => FIXED_PLACE.test(text),
    tells: ({ style, row, next }) =>
      yesIf(style.counts && !row.bullet && row.quantity === null && next !== undefined),
  },
  {
    name: "'Foot pouch (inside)': what holds things, and in brackets where it is",
    reads: (text) => HOLDER_BY_PLACE.test(text),
    tells: ({ row, next, names }) => yesIf(!names && row.quantity === null && next !== undefined),
  },
  {
    name: "'* Cold' over a list that is set further in",
    tells: ({ row, next, counted, match }) =>
      yesIf(
        row.bullet &&
          !counted &&
          !isSure(match) &&
          next?.row.bullet === true &&
          next.row.indent > row.indent,
      ),
  },
  {
    name: "'Camp nurse list (2 weeks, 24 kids)', first of all",
    tells: ({ isFirst, row, names, text, counted, match }) =>
      yesIf(
        isFirst &&
          !row.bullet &&
          !names &&
          !saysTimes(text) &&
          OF_A_KIT.test(counted && isNamedThing(match) ? text.replace(IN_A_BOX, " ") : text),
      ),
  },
  {
    name: "'Botiquín del refugio (2/10)', first of all: says what it is the kit of",
    tells: ({ isFirst, row, text, style, names }) =>
      yesIf(
        (isFirst || row.source < style.first) &&
          !row.bullet &&
          row.quantity === null &&
          (KIT_ITSELF.test(text.replace(SHEET, "")) ||
            // "First aid box, print room"
            (!names && KIT_ITSELF.test(text.replace(/, [^\d,]*$/, ""))) ||
            NUMBERED_KIT.test(text) ||
            MADE_ON.test(text)),
      ),
  },
  {
    name: "'## Pouch 1': marked as one",
    reads: (text) => /^#{2,}\s/.test(text),
    tells: ({ row, next }) => yesIf(row.quantity === null && next !== undefined),
  },
  {
    name: "'Wounds (3 items)': how many lines there are below it",
    reads: (text) => SAYS_ITEMS.test(text),
    tells: ({ row, next }) => yesIf(row.quantity === null && next !== undefined),
  },
  {
    name: "'Section B – gloves'",
    reads: (text) => SECTION_LABEL.test(text) && !/\d/.test(text.replace(SECTION_LABEL, "")),
    tells: ({ row, next, whole }) =>
      yesIf(row.quantity === null && next !== undefined && whole.sizeMm === null),
  },
  {
    name: "'First aid boxes': what the list is of, with no count",
    reads: (text) =>
      /^(?:the\s+)?first[\s-]aid\s+(?:box(?:es)?|kits?|bags?|cupboards?|supplies|equipment)$/i.test(
        text,
      ),
    tells: ({ row, next, counted }) =>
      yesIf(!counted && row.quantity === null && next !== undefined),
  },
  {
    name: "'KM 32 post', first of all: no word of it is known, and it has no size",
    tells: ({ isFirst, row, match, segments, style, text, next }) =>
      yesIf(
        isFirst &&
          !row.bullet &&
          !isCountedPlainly(text) &&
          !(next && isSure(next.match) && isCountedAs(row, next.row)) &&
          !style.spoken &&
          match.type === null &&
          segments.every((s) => s.match.type === null && s.reading.sizeMm === null),
      ),
  },
  {
    name: "'Bag 1 (coach)' over a table",
    tells: ({ row, next, names }) => yesIf(!row.inTable && next?.row.inTable === true && !names),
  },
  {
    name: "'Pouch 2 – airway' where what is listed is marked",
    reads: (text) => NUMBERED_PLACE.test(text),
    tells: ({ row, style, names }) => yesIf(style.bullets && !row.bullet && !names),
  },
  {
    name: "'-- Burns --', '[Eyes]': framed, over what is counted",
    reads: (text) => !/\d/.test(text) && FRAMED.test(text),
    tells: ({ row, style, counted, next }) =>
      yesIf(style.counts && !counted && row.quantity === null && next !== undefined),
  },
  {
    name: "'1. Burns and eyes' over what is counted without a mark",
    reads: headsGroup,
    tells: ({ row, style, counted, next }) =>
      yesIf(row.bullet && !style.bullets && style.counts && !counted && next !== undefined),
  },
  {
    name: "what is counted or measured is a thing",
    tells: ({ counted, whole }) =>
      noIf(counted || whole.sizeMm !== null || whole.volumeMl !== null),
  },
  {
    name: "'A. Dressings' where what is listed carries counts",
    reads: (text) => SECTIONS.test(normalHeading(text)),
    tells: ({ row, style }) => yesIf(row.bullet && style.counts),
  },
  {
    name: "a marked line among marked lines is a thing",
    tells: ({ row, style }) => noIf(row.bullet && style.bullets),
  },
  {
    // "tape" amid items in small letters is a thing; headings are plural or have a capital.
    name: "a word that heads groups",
    reads: (text) => headsGroup(text) || headsGroup(text.replace(COMES_OF, "")),
    tells: ({ names, text, style }) =>
      yesIf(
        !(names && text === text.toLowerCase() && !text.endsWith("s")) &&
          (!names || headsGroup(text)) &&
          (style.counts || style.bullets),
      ),
  },
  {
    name: "capitals over small letters",
    reads: isCapitals,
    tells: ({ style, next }) =>
      yesIf(style.counts && next !== undefined && !style.capitals && !isCapitals(next.row.text)),
  },
  {
    name: "less far in than the list",
    tells: ({ style, row }) => yesIf(style.counts && style.indent > row.indent && !row.bullet),
  },
  {
    name: "above all that is counted, unless it is one thing right over the others",
    tells: (line) =>
      yesIf(
        line.style.counts &&
          !line.style.spoken &&
          !line.row.bullet &&
          line.row.source < line.style.first &&
          !isOneThing(line),
      ),
  },
  {
    name: "ruled or marked as a heading",
    reads: (text) => /^[=*#~—–-]{2,}|[=*#~-]{3,}\s*$|^#+\s/.test(text),
    tells: () => true,
  },
  {
    name: "above the first item, and names none",
    tells: ({ names, row, style }) =>
      !names && !row.bullet && !style.spoken && row.source < style.first,
  },
];

const rulesFor = rulesOf(HEADING_RULES);

/** Whether a line names a group of items, and none itself. */
export function isHeading(
  draft: Draft,
  next: Draft | undefined,
  style: Style,
  isFirst: boolean,
): boolean {
  const { row, match, whole, segments } = draft;
  if (row.inTable)
    return (
      row.quantity === null &&
      !isSure(match) &&
      row.text.split(/\s+/).length <= 3 &&
      HEADINGS.has(normalHeading(row.text))
    );
  const line: Line = {
    ...draft,
    ...{ style, next, isFirst },
    text: row.text.trim(),
    counted:
      row.quantity !== null || (whole.pieces !== null && !whole.article) || whole.bare !== null,
    names: segments.some((s) => isSure(s.match) && s.match.type !== "container"),
  };
  return firstTold(rulesFor(line.text), line) === true;
}
