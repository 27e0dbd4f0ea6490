import { remembering, rememberingFor } from "../base/remembering.ts";
import {
  asOnCard,
  countsAbroad,
  inEnglish,
  isFromAbroad,
  isWordAbroad,
  type Tongues,
} from "./abroad.ts";
import {
  headsPresent,
  listsElsewhere,
  listsUsed,
  speaksOfAbsence,
  speaksOfWant,
} from "./absence.ts";
import { answersBelow } from "./answersBelow.ts";
import { ofStep, UNHEARD, type Heard } from "./heard.ts";
import { keptInColumns, quotedAsCells } from "./cells.ts";
import { claimOf, countsInPieces } from "./claim.ts";
import { cleanLines, saysOpenIsMissing, untickedLines } from "./cleanLines.ts";
import { draftOf, isSure, namesItem, NAMES_FROM, type Draft } from "./draft.ts";
import { entryOf, type CardEntry } from "./entry.ts";
import { withoutWriters } from "./messages.ts";
import { IN_BRACKETS } from "./inBrackets.ts";
import type { CardRow } from "./cardRow.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE, MOST_LINES, MOST_WORDS } from "./cardLimits.ts";
import { heldIn } from "./heldIn.ts";
import { listsBeside } from "./besideEach.ts";
import { halvesBeside } from "./besideHalves.ts";
import { listsSetApart } from "./besideLost.ts";
import { columnsRestored } from "./columnsLost.ts";
import { cardRows } from "./layout.ts";
import { NO_HABITS, type Habits } from "./habits.ts";
import { countsInParts } from "./countsInParts.ts";
import { headsColumns } from "./headingRoles.ts";
import { isHeading } from "./headings.ts";
import { isNote } from "./notes.ts";
import { IS_NUMBER_SAID } from "./numberWords.ts";
import { openNumbers } from "./openNumbers.ts";
import { withoutRepeatedPlaces } from "./placesRepeated.ts";
import { questionsAnswered } from "./questions.ts";
import type { Reading } from "./quantity.ts";
import { plainly, type Knowledge } from "./plainly.ts";
import { closedUp, LINE_END, plainSigns } from "./plainSigns.ts";
import { repairText } from "./repairText.ts";
import { asMeant } from "./typedWrong.ts";
import { isOfTheKindBefore, isWhole, type Segment } from "./segments.ts";
import { sortsBelow, sortsTold } from "./sortsBelow.ts";
import { strokesAsCells } from "./strokes.ts";
import { isAmongItems, styleOf, type Style } from "./style.ts";
import { isKnownWord, knowsAny, matchType, NO_TYPE, type Vocabulary } from "./vocabulary.ts";
import { underHeadings } from "./underHeadings.ts";
import { wrappedNames } from "./wrappedNames.ts";
import { quick } from "./quick.ts";

export type { CardEntry } from "./entry.ts";

export interface CardReading {
  /** The piece total the card itself states; null: none. */
  readonly claimedPieces: number | null;
  readonly entries: readonly CardEntry[];
  /** First line of a table with several columns that count, none of them headed; null: none is. */
  readonly columnsUnclearAt: number | null;
}

const NO_LINES: ReadonlySet<number> = new Set();

/** Where a step over all lines begins and ends, as shares of the time that a long card of many ways takes. */
const STEPS = {
  repair: [0.1, 0.15],
  plain: [0.25, 0.75],
  draft: [0.75, 0.9],
  list: [0.9, 1],
} as const;

/**
 * Reads a contents card into entries, in reading order. Pure but for what it tells; never throws on text.
 * Lines longer than LONGEST_LINE and beyond MOST_LINES are not read.
 */
export function readCard(
  written: string,
  vocabulary: Vocabulary,
  habits: Habits = NO_HABITS,
  heard: Heard = UNHEARD,
): CardReading {
  const { text, lineOf } = closedUp(saidPlainly(written, vocabulary));
  const reading = readLines(text, vocabulary, habits, heard);
  if (lineOf === null) return reading;
  const { columnsUnclearAt: at } = reading;
  return {
    ...reading,
    entries: reading.entries.map((entry) => ({ ...entry, source: lineOf(entry.source) })),
    columnsUnclearAt: at === null ? null : lineOf(at),
  };
}

/** A card without who wrote what when, its questions answered. */
function saidPlainly(written: string, vocabulary: Vocabulary): string {
  const of = knowledgeOf(vocabulary);
  const plain = plainSigns(written);
  const said = withoutWriters(plain, of);
  const lines = said.split(LINE_END);
  const answered = answersBelow(lines);
  if (answered.some((line, i) => line !== lines[i])) return answered.join("\n");
  return said === plain ? questionsAnswered(plain, of) : said;
}

/** The same object for the same vocabulary, as what rests on it is remembered. */
const knowledges = new WeakMap<Vocabulary, Knowledge & Tongues>();
function knowledgeOf(vocabulary: Vocabulary): Knowledge & Tongues {
  const known = knowledges.get(vocabulary) ?? {
    names: (text: string) => namesItem(text, vocabulary),
    typeOf: (text: string) => matchType(text, vocabulary).type,
    isWhole: (text: string) => isWhole(matchType(text, vocabulary)),
    knows: (text: string) => knowsAny(text, vocabulary),
    abroad: vocabulary.abroad,
  };
  knowledges.set(vocabulary, known);
  return known;
}

/** @param text in plain signs, without blank lines between all its lines */
function readLines(
  text: string,
  vocabulary: Vocabulary,
  habits: Habits,
  heard: Heard,
): CardReading {
  const { repair, plain, draft, list } = STEPS;
  const { rows: laidOut, isAbroad } = rowsOf(text, vocabulary, habits, ofStep(heard, ...repair));
  const knowledge = knowledgeOf(vocabulary);
  const placed = withoutRepeatedPlaces(laidOut, text, knowledge);
  const headed = underHeadings(sortsBelow(placed, knowledge), knowledge);
  const rows = plainly(headed, knowledge, ofStep(heard, ...plain));
  const drafted = ofStep(heard, ...draft);
  const drafts = rows.map((row, at) => {
    drafted(at / rows.length);
    return draftOf(row, vocabulary);
  });
  const style = styleOf(drafts);
  const inPieces = countsInPieces(drafts);
  const unticked = untickedLines(text);
  const missing = saysOpenIsMissing(text) ? unticked : NO_LINES;
  let claim: { pieces: number; text: string } | null = null;
  const entries: CardEntry[] = [];
  let absentBlock: AbsentBlock | null = null;
  const listed = ofStep(heard, ...list);
  drafts.forEach((draft, at) => {
    const { row } = draft;
    listed(at / drafts.length);
    const pieces = claimOf(draft, at < 2 && entries.length === 0, inPieces);
    if (pieces !== null) {
      claim ??= { pieces, text: row.text };
      return;
    }
    absentBlock = absentAt(draft, absentBlock, drafts[at - 1]?.row);
    const listsNothing =
      absentBlock !== null ||
      missing.has(row.source) ||
      (row.isOfList !== true &&
        (isNote(draft, style) || isHeading(draft, drafts[at + 1], style, at === 0))) ||
      startsWithAbsence(row.text);
    if (!listsNothing)
      takeRow(
        draft,
        {
          ...{ style, vocabulary, habits },
          amongItems: isAmongItems(drafts, at),
          isUnticked: unticked.has(draft.row.source),
        },
        entries,
      );
  });
  return {
    claimedPieces: piecesOf(claim, entries),
    entries: inOwnWords(entries, text, vocabulary, isAbroad),
    columnsUnclearAt: unclearIn(laidOut),
  };
}

/** Entries that were read in English, with the words of the card beside. */
function inOwnWords(
  entries: readonly CardEntry[],
  text: string,
  vocabulary: Vocabulary,
  amongForeign: boolean,
): readonly CardEntry[] {
  const lines = text.split(LINE_END);
  const tongues = knowledgeOf(vocabulary);
  return entries.map((entry) => {
    const line = lines[entry.source - 1] ?? "";
    if (line.length > LONGEST_LINE || line.includes(entry.text)) return entry;
    const own = asOnCard(entry.text, { text: line, amongForeign }, tongues);
    return own === entry.text ? entry : { ...entry, own };
  });
}

/** Fewer lines with whole names say nothing of the others. */
const FEWEST_WHOLE = 2;
/** Whether lines are of a card from abroad. */
function isCardAbroad(
  read: readonly { readonly printed: string; readonly english: string }[],
  vocabulary: Vocabulary,
): boolean {
  const tongues = knowledgeOf(vocabulary);
  const { abroad, knows } = tongues;
  const lines = read.filter(({ printed }) => printed.trim() !== "");
  const isShort = (line: string) => line.length <= LONGEST_LINE;
  const [foreign, others] = [true, false].map((is) =>
    lines.filter(
      ({ english, printed }) =>
        (english !== printed || (isShort(printed) && countsAbroad(printed, abroad))) === is,
    ),
  ) as [typeof lines, typeof lines];
  if (foreign.length < FEWEST_WHOLE || isFromAbroad(foreign.length, lines.length))
    return isFromAbroad(foreign.length, lines.length);
  // "couv. survie": words cut short are looked for where some are whole.
  const cutShort = others.filter(
    ({ printed }) =>
      isShort(printed) &&
      !knows(printed) &&
      inEnglish({ text: printed, amongForeign: true }, tongues) !== printed,
  );
  return isFromAbroad(foreign.length + cutShort.length, lines.length);
}

/** The rows of a card, its tables laid out, before their wording is looked at. */
interface LaidOut {
  readonly rows: readonly CardRow[];
  /** It is written in another language. */
  readonly isAbroad: boolean;
}

function rowsOf(
  text: string,
  vocabulary: Vocabulary,
  habits: Habits,
  heard: Heard = UNHEARD,
): LaidOut {
  const lines = strokesAsCells(quotedAsCells(cleanLines(text)));
  const read = lines.map((line, at) => {
    heard(at / lines.length);
    const own = { printed: line, english: line };
    if (line.length > LONGEST_LINE) return own;
    const right = putRight(line, vocabulary);
    return right.english !== line && headsColumns(line) ? own : right;
  });
  const isAbroad = isCardAbroad(read, vocabulary);
  const tongues = knowledgeOf(vocabulary);
  const said = read.map(({ printed, english }) =>
    isAbroad && printed.length <= LONGEST_LINE && !headsColumns(printed)
      ? inEnglish({ text: printed, amongForeign: true }, tongues)
      : english,
  );
  const knowledge = knowledgeOf(vocabulary);
  const inOurs = keptInColumns(lines, isAbroad ? openNumbers(said) : said).map((line) =>
    sumsSaid(line, knowledge),
  );
  const { names } = knowledge;
  const laidOut = cardRows(
    besideEachOther(listsSetApart(columnsRestored(inOurs), names), names),
    names,
    habits,
  );
  return { rows: wrappedNames(laidOut, names).slice(0, MOST_LINES), isAbroad };
}

/** A line with the sums of what it counts in parts, and what it says of sorts and of what packs hold in one way. */
const sumsSaid = rememberingFor(
  (line: string, of: Knowledge) => heldIn(countsInParts(sortsTold(line), of), of),
  LINES_KEPT,
  LONGEST_KEPT,
);

/** Lists side by side, by their counts, or else by where they stand. */
function besideEachOther(
  lines: readonly string[],
  names: (text: string) => boolean,
): readonly string[] {
  const apart = listsBeside(lines, names);
  return apart === lines ? halvesBeside(lines, names) : apart;
}

/** Shorter words stand in every language. */
const SHORTEST_ABROAD = 5;
const isWord = rememberingFor(isKnownWord, MOST_WORDS);

/** "nitr. gloves": the dot of a word cut short, which is none by itself, ends no sentence. */
const SHORT_DOT = quick(/(?<![\p{L}\d.])(?!(?:[ivx]+|do)\.)(\p{L}{2,8})\.(?=\s\p{Ll}{2})/gu);
const withoutShortDots = (line: string, known: (word: string) => boolean): string =>
  line.replace(SHORT_DOT, (all, word: string) => (known(word) ? all : word));

/** A line as it was most likely printed, and the same in English. */
const putRight = rememberingFor(
  (line: string, vocabulary: Vocabulary): { printed: string; english: string } => {
    const known = (word: string) => isWord(word, vocabulary);
    const printed = repairText(
      line,
      (word) =>
        known(word) ||
        IS_NUMBER_SAID.test(word) ||
        (word.length >= SHORTEST_ABROAD && isWordAbroad(word, vocabulary.abroad)),
    );
    const english = inEnglish({ text: printed, amongForeign: false }, knowledgeOf(vocabulary));
    if (english !== printed) return { printed, english };
    const meant = asMeant(withoutShortDots(printed, known), known, vocabulary);
    return { printed: meant, english: meant };
  },
  LINES_KEPT,
  LONGEST_KEPT,
);

const unclearIn = (rows: readonly CardRow[]): number | null =>
  rows.find((r) => r.columnsUnclear)?.source ?? null;

/** `columnsUnclearAt` of a card's reading, in a third of the time that reading all of it takes. */
export const columnsUnclearAt = (
  written: string,
  vocabulary: Vocabulary,
  habits: Habits = NO_HABITS,
): number | null => {
  const { text, lineOf } = closedUp(saidPlainly(written, vocabulary));
  const at = unclearIn(rowsOf(text, vocabulary, habits).rows);
  return at === null || lineOf === null ? at : lineOf(at);
};

/** "11 items" over eleven rows of more pieces counts the rows, and claims no number of pieces. */
function piecesOf(
  claim: { readonly pieces: number; readonly text: string } | null,
  entries: readonly CardEntry[],
): number | null {
  if (claim === null) return null;
  const rows = new Set(entries.map((e) => e.source)).size;
  const inAll = entries.reduce((s, e) => s + e.pieces, 0);
  const countsRows =
    claim.pieces === rows &&
    claim.pieces < inAll &&
    /\b(?:items?|articles|lines)\b/i.test(claim.text);
  return countsRows ? null : claim.pieces;
}

interface Card {
  readonly style: Style;
  readonly amongItems: boolean;
  readonly isUnticked: boolean;
  readonly vocabulary: Vocabulary;
  readonly habits: Habits;
}

/** Adds what a row lists to what was found before it; a correction changes that. */
function takeRow(draft: Draft, card: Card, found: CardEntry[]): void {
  const foundBefore = found.length;
  for (const said of draft.segments) {
    const segment = ofTheKindBefore(said, found.at(-1), card.style);
    if (found.length > 0 && onlyCorrects(segment)) {
      if (/scratch|strike/i.test(draft.row.text)) found.pop();
      continue;
    }
    takeSegment(segment, draft, card, found, foundBefore);
  }
}

/** @param foundBefore how many entries there were before this row */
function takeSegment(
  segment: Segment,
  draft: Draft,
  card: Card,
  found: CardEntry[],
  foundBefore: number,
): void {
  const { vocabulary } = card;
  // "chalk – no, that is not first aid": what was said before it on the line is taken back.
  if (segment.absent && segment.corrects && found.length > foundBefore) found.pop();
  if (segment.absent || isNone(segment, draft.row)) return;
  const entry = entryOf(segment, draft, card);
  const last = found.at(-1);
  // "six, sorry, five sachets": what is corrected named nothing yet; then this is the item itself.
  const namedHere = found.length > foundBefore || draft.segments[0]!.corrects;
  if (segment.corrects && last && namedHere) {
    const fixed = corrected(last, segment, entry, vocabulary);
    if (fixed) found[found.length - 1] = { ...fixed, source: last.source };
  } else if (entry) found.push(entry);
}

/** "two bigger ones": said aloud, of the kind before. */
const ofTheKindBefore = (said: Segment, before: CardEntry | undefined, style: Style): Segment =>
  style.spoken && before?.itemType && isOfTheKindBefore(said)
    ? { ...said, match: { ...said.match, type: before.itemType, whole: 1, weight: 2 } }
    : said;

/** "no, scratch that": takes back, and says nothing instead. */
const onlyCorrects = ({ corrects, absent, reading }: Segment): boolean =>
  corrects &&
  !absent &&
  reading.noun.trim() === "" &&
  reading.pieces === null &&
  reading.sizeMm === null;

/** None of it: "gloves 0", a dash in the column that counts. */
const isNone = ({ reading }: Segment, row: CardRow): boolean =>
  row.quantity === null ? reading.pieces === 0 : quantityIsNought(row.quantity);

/** The entry before with what corrects it; another entry where another thing is named. */
function corrected(
  last: CardEntry,
  segment: Segment,
  entry: CardEntry | null,
  vocabulary: Vocabulary,
): CardEntry | null {
  const { match, reading } = segment;
  const isSame =
    match.type === null || match.type === (last.itemType ?? NO_TYPE) || match.weight < NAMES_FROM;
  return isSame
    ? {
        ...last,
        itemType: kindTold(last, segment, vocabulary),
        pieces: correctedPieces(reading, last),
        sizeMm: reading.sizeMm ?? last.sizeMm,
      }
    : entry;
}

/** "Sold separately: tick card, whistle": the whole line is of what is not there. */
const startsWithAbsence = remembering(
  (text) => {
    if (speaksOfWant(text) || listsUsed(text) || listsElsewhere(text)) return true;
    const colon = text.indexOf(":");
    return colon > 0 && colon < text.length - 1 && speaksOfAbsence(text.slice(0, colon));
  },
  LINES_KEPT,
  LONGEST_KEPT,
);

/** "Gloves five pairs, sorry, six pairs, the purple nitrile": the kind is told with the number. */
function kindTold(last: CardEntry, segment: Segment, vocabulary: Vocabulary): string | null {
  const { noun } = segment.reading;
  if (!knowsAny(noun, vocabulary)) return last.itemType;
  const { type, whole, weight } = matchType(`${last.text} ${noun}`, vocabulary);
  return whole === 1 && weight >= NAMES_FROM && type !== NO_TYPE ? type : last.itemType;
}

/** "box of 100, make that 60": of gloves that were not counted in pairs, nor is the correction. */
function correctedPieces(reading: Reading, last: CardEntry): number {
  if (reading.pairs !== null || reading.pieces === null) return reading.pairs ?? last.pieces;
  const isSingle =
    last.itemType?.endsWith("gloves") === true &&
    !/\b(?:pairs?|prs?)\b/i.test(last.text) &&
    reading.pieces % 2 === 0;
  return isSingle ? reading.pieces / 2 : reading.pieces;
}

const HEADS_WANTED =
  /^(?:optional|not included|recommended|you may|also|customers|sold|suggested|consider|frequently|extras|people|wish|refills)/i;
const isHeadingLike = (text: string) => {
  const t = text.trim();
  return (
    t.endsWith(":") ||
    (HEADS_WANTED.test(t) &&
      !/\d/.test(t.replace(IN_BRACKETS, "")) &&
      t.split(/\s+/).length <= 6 &&
      !/[.,]|:\s*\S/.test(t.replace(/\.$/, "")))
  );
};

/** "Also in the box (not in the standard):": more than there must be. */
const BESIDES =
  /\([^()]*\b(?:norms?|standards?|din|iso|required|requirements?|official|legal|law|list|vorschrift|pflicht|liste|norme|norma|lista)\b[^()]*\)/gi;

/** Lines of what is not there, from their heading on. */
interface AbsentBlock {
  readonly source: number;
}
/** The block that a row lies in, or heads; null: none. A blank line ends it, or a heading of what is there. */
function absentAt(
  { row, match }: Draft,
  block: AbsentBlock | null,
  previous: CardRow | undefined,
): AbsentBlock | null {
  // "Not included: whistle", "Consider adding a whistle": says itself what is not there.
  const heads = isHeadingLike(row.text) && (/:\s*$/.test(row.text) || !isSure(match));
  if (heads && speaksOfAbsence(row.text.replace(BESIDES, " "))) return { source: row.source };
  const isApart =
    previous !== undefined && previous.source !== block?.source && row.source - previous.source > 1;
  return isApart || headsPresent(row.text) ? null : block;
}

const NOUGHT = quick(/^\s*(?:0+(?:\s+\p{L}.*)?|nil|none|zero|[-–—]|n\/a)\s*$/iu);
const quantityIsNought = (quantity: string) => NOUGHT.test(quantity);
