import type { CardDoubt } from "./cardDoubt.ts";
import type { ItemType } from "../model/itemType.ts";
import { LENGTH_FROM_MM } from "../sieve/measure.ts";
import { confidenceOf, doubtsOf } from "./confidence.ts";
import type { Habits } from "./habits.ts";
import type { Draft } from "./draft.ts";
import { isItem, isNamed } from "./isItem.ts";
import type { CardRow } from "./cardRow.ts";
import { kindByCount, kindByLetter, kindBySize, kindByVolume } from "./kindBySize.ts";
import { openNameOf } from "./openName.ts";
import { countOf, packedPieces } from "./pieces.ts";
import { HOLDS_SEVERAL } from "./packWords.ts";
import type { Reading } from "./quantity.ts";
import type { Segment } from "./segments.ts";
import type { Style } from "./style.ts";
import { isKnownWord, NO_TYPE, type Match, type Vocabulary } from "./vocabulary.ts";
import { quick } from "./quick.ts";

/** One item that a card names. */
export interface CardEntry {
  /** Line of the card, from 1, blank lines included. */
  readonly source: number;
  /** null: a real thing that no id describes, or none that is sure enough. */
  readonly itemType: string | null;
  /** Usable pieces; gloves in pairs. */
  readonly pieces: number;
  /** Whole mm, ascending. */
  readonly sizeMm: readonly number[] | null;
  readonly volumeMl: number | null;
  readonly strengthMg: number | null;
  /** How likely type, pieces and size are all right, 0–1. */
  readonly confidence: number;
  /** What speaks against it. */
  readonly doubts: readonly CardDoubt[];
  /** Next-best item types, best first. */
  readonly alternatives: readonly string[];
  /** The name leaves the kind open: id of the open name to ask about. */
  readonly open?: string;
  /** The words of the card that made it, in English where they are in another language. */
  readonly text: string;
  /** The same as they stand on the card, where that is in another language. */
  readonly own?: string;
}

/** What a pack holds by an earlier correction, where the card counts packs and does not say. */
function packKnown(reading: Reading, row: CardRow, { packs }: Habits): number | undefined {
  if (packs.size === 0 || row.quantity !== null || reading.packsOfUnknown === null)
    return undefined;
  return packs.get(reading.noun.toLowerCase());
}

/** The longest side of a blanket is printed as 84 in; from here on it is in centimetres. */
const CENTIMETRES_FROM = 100;
/** No blanket is ten metres long: from here on it is printed in millimetres. */
const MILLIMETRES_FROM = 1000;

/** No kit holds more pieces of one kind, nor so many litres of it: the fullest wall cabinets hold 500 plasters and some 20 l. */
const MOST_PIECES = 1000;
const MOST_ML = 25_000;
const isUnusual = (pieces: number, bulkMl: number | undefined): boolean =>
  pieces > MOST_PIECES || pieces * (bulkMl ?? 0) > MOST_ML;

/** The widest bandage or tape on a roll. */
const WIDEST_ROLL_MM = 200;
/** The longest shorter side of a blanket or sheet. */
const WIDEST_SHEET_MM = 2500;
/** "tape 25 cm" of a card that says 2.5: a recogniser lost the comma. */
const isTooLarge = (size: readonly number[] | null, type: ItemType | undefined): boolean =>
  size !== null &&
  ((type?.measure === "metre" &&
    size[0]! > WIDEST_ROLL_MM &&
    (size.length > 1 || size[0]! < LENGTH_FROM_MM)) ||
    (size.length > 1 && size.at(-2)! > WIDEST_SHEET_MM));

/** "(4 per unit)" beside a column that counts: what the words count is a part of what was taken. */
const agrees = (reading: Reading, row: CardRow, pieces: number): boolean =>
  row.quantity === null ||
  reading.pieces === null ||
  reading.pieces === 0 ||
  pieces % reading.pieces === 0 ||
  2 * pieces === reading.pieces;

/** What is known of the card and the line besides the segment. */
interface EntryContext {
  readonly style: Style;
  /** The lines around it list items. */
  readonly amongItems: boolean;
  /** Its box is left open where others are ticked. */
  readonly isUnticked: boolean;
  readonly vocabulary: Vocabulary;
  readonly habits: Habits;
}

/** The entry a segment makes; null: it names nothing. */
export function entryOf(
  segment: Segment,
  draft: Draft,
  { style, amongItems, isUnticked, vocabulary, habits }: EntryContext,
): CardEntry | null {
  const { match, reading } = segment;
  const { row } = draft;
  const named = isNamed(match);
  const { catalogue } = vocabulary;
  const type = named && match.type !== NO_TYPE ? match.type : null;
  // Where some kind is named, a word beyond the name is what told it.
  const tells = (word: string) => type !== null || isKnownWord(word, vocabulary);
  const open = openNameOf(reading.noun, catalogue, tells);
  if (!isItem(segment, draft, style, amongItems, open !== null)) return null;
  const isMetric = habits.bareUnit === null ? style.metric : habits.bareUnit === "cm";
  const sized = sizeOf(reading, row, type, isMetric);
  const byVolume = kindByVolume(type, reading.noun, reading.volumeMl);
  const byLetter = kindByLetter(byVolume, segment.text, sized.sizeMm);
  const bySize = kindBySize(byLetter, reading.noun, sized.sizeMm);
  const said = countOf(reading, row, bySize, sized.bareCount);
  const perPack = packKnown(reading, row, habits);
  const pieces = perPack ? { value: said.value * perPack, sure: true } : said;
  const refined = kindByCount(bySize, reading.noun, pieces.value, sized.sizeMm);
  const shippedT = refined === null ? undefined : catalogue.types.get(refined);
  const doubts = doubtsOf(segment, {
    named,
    isRefined: bySize !== type,
    isOpen: open !== null,
    piecesSure: pieces.sure && !mayBeWidth(sized, bySize),
    counted: isCounted(reading, row),
    cardCounts: style.counts,
    spoken: style.spoken,
    sizeUnusual: isTooLarge(sized.sizeMm, shippedT),
    fractionLost: LOST_FRACTION.test(row.text),
    holdsOthers: refined === "container" && mayHoldOthers(segment, draft),
    unitAssumed: !style.saysUnit && areInchesGuessed(reading, sized, habits),
    numberLeft: mayCountOtherwise(reading, row, pieces.value),
    countUnusual: isUnusual(pieces.value, shippedT?.bulkMl),
    isUnticked,
    columnGuessed: row.columnsUnclear === true,
    packUnknown: !perPack && isPackUnknown(reading, row, pieces.value),
  });
  return {
    source: row.source,
    itemType: refined,
    pieces: pieces.value,
    sizeMm: sized.sizeMm,
    volumeMl: volumeOf(reading, shippedT?.measure, refined),
    strengthMg: reading.strengthMg === null ? null : Math.round(reading.strengthMg * 1000) / 1000,
    confidence: confidenceOf(doubts),
    doubts,
    alternatives: alternativesTo(refined, type, match),
    text: segment.text,
    ...(open === null ? {} : { open: open.id }),
  };
}

const WORD_THEN_NUMBER = quick(/^\W*\p{L}+\s+\d{1,2}\b/u);
/** "box lid" in a row of plasters, "Bag 2": more likely where things lie than one of them. */
const mayHoldOthers = (segment: Segment, { segments }: Draft): boolean =>
  segments.some((s) => s !== segment && isNamed(s.match) && s.match.type !== "container") ||
  WORD_THEN_NUMBER.test(segment.text);

/** Another number stands there, or counts otherwise. */
const mayCountOtherwise = (reading: Reading, row: CardRow, pieces: number): boolean =>
  reading.leftOver > 0 || row.countDoubted === true || !agrees(reading, row, pieces);

const isCounted = (reading: Reading, row: CardRow): boolean =>
  reading.pieces !== null || row.quantity !== null;

/** Packs are counted, and neither text nor column says what one holds. */
const isPackUnknown = (reading: Reading, { quantity }: CardRow, pieces: number): boolean => {
  if (quantity === null) return reading.packsOfUnknown !== null;
  const [, packs, unit] = PACKS_IN_COLUMN.exec(quantity) ?? [];
  // Nothing multiplied them.
  if (packs !== undefined) return HOLDS_SEVERAL.test(unit!) && Number(packs) === pieces;
  return reading.packsOfUnknown !== null && !/\d.*\d/.test(quantity);
};
const PACKS_IN_COLUMN = /^\s*(\d{1,4})\s+([a-z]+)\.?\s*$/i;

/** The kind before its size told another, what the words alone may have meant, then the next best. */
const alternativesTo = (refined: string | null, type: string | null, match: Match): string[] =>
  [
    ...new Set([
      ...(refined !== type && type !== null ? [type] : []),
      ...(refined === null && match.type ? [match.type] : []),
      ...match.alternatives,
    ]),
  ].slice(0, 4);

/** "% x 3 in", `7%"`: no size has per cent, so a recogniser took a fraction of an inch for the sign. */
const LOST_FRACTION =
  /(?<![\d.,])\d{0,2}\s?[¥V]?%[”"″]?\s?(?:["”″]|in(?:ch)?\b(?!\s+(?:\d|an?\b|the\b))|[x×]\s?\d+(?:\.\d+)?\s?(?:["”″]|in(?:ch)?\b|ft\b|yds?\b))/i;

interface Sized {
  readonly sizeMm: readonly number[] | null;
  /** How many pieces the two bare numbers come to; null: they are a size, or there are none. */
  readonly bareCount: number | null;
}
const sizeIn = (numbers: readonly number[], mm: number): Sized => ({
  sizeMm: numbers.map((n) => Math.round(n * mm)).sort((x, y) => x - y),
  bareCount: null,
});
const CM = 10;
const INCH = 25.4;
const METRE = 1000;

/** What comes on a roll, and how wide, in cm, and how long, in m, it is made: "crepe 7.5 x 4.5", "tape 2.5 x 5". */
const ON_A_ROLL =
  /^(?:roller-bandage|elastic-bandage|cohesive-wrap|heavy-compression-bandage|medical-tape|strapping-tape)$/;
const ROLLS_CM = new Set([2.5, 5, 6, 7.5, 8, 10, 12, 15]);
const ROLLS_M = new Set([3, 4, 4.5, 5, 9, 10]);
const isRoll = (type: string | null): boolean => ON_A_ROLL.test(type ?? "");
/** "Conforming 3 x 2": a width and how many, or packs; nobody can tell. */
const mayBeWidth = ({ bareCount, sizeMm }: Sized, type: string | null): boolean =>
  bareCount !== null && sizeMm === null && isRoll(type);

/** Shorter no roll is made: "crepe 10 x1", "conforming 7.5 x 2" are one and two of that width. */
const SHORTEST_ROLL_M = 3;
/** A width that is made in either unit. */
const INCHES_TOO = 6;
/** What two bare numbers say of what comes on a roll; null: no width that is made. */
function rolledSize(a: number, b: number, metric: boolean): Sized | null {
  if (!ROLLS_CM.has(a)) return null;
  if (ROLLS_M.has(b)) return { sizeMm: [a * CM, b * METRE], bareCount: null };
  if (!Number.isInteger(b) || b >= SHORTEST_ROLL_M) return null;
  return { sizeMm: a === INCHES_TOO && !metric ? null : [a * CM], bareCount: b };
}

/**
 * Two bare numbers before a pad are inches ("4 x 4"), as the trade writes them, or centimetres
 * where the card is a metric one; else packs.
 */
function sizeOf(reading: Reading, row: CardRow, type: string | null, metric: boolean): Sized {
  const { bare } = reading;
  return reading.sizeMm === null && bare
    ? bareSize(bare, reading, row, type, metric)
    : { sizeMm: reading.sizeMm, bareCount: bare && packedPieces(bare, type) };
}

function bareSize(
  [a, b]: readonly [number, number],
  reading: Reading,
  row: CardRow,
  type: string | null,
  metric: boolean,
): Sized {
  const rolled = isRoll(type) ? rolledSize(a, b, metric) : null;
  if (rolled) return rolled;
  const printed = printedUnit(a, b, type);
  if (printed !== null) return sizeIn([a, b], printed);
  const counted = isCounted(reading, row);
  const isWide = counted && reading.pieces !== a * b && isWidePad(a, b);
  const isPad = isWide || (counted ? isUsualPad(a, b) || isMadeInCm(a, b) : isBarePad(a, b, type));
  if (!isPad || !isPadLike(type, reading.noun))
    return { sizeMm: null, bareCount: packedPieces([a, b], type) };
  return sizeIn([a, b], metric || isWide || isMadeMetric(a, b, type) ? CM : INCH);
}

/** Two numbers alone: a usual size, the smaller first, or one that is made; "plasters 20x20" are packs. */
const isBarePad = (a: number, b: number, type: string | null): boolean =>
  (isUsualPad(a, b) && a <= b && !(type === "adhesive-strip" && b > LONGEST_PLASTER_CM)) ||
  (isMadeInCm(a, b) && type !== "adhesive-strip");

/** "Plasters (2 x 20)": a finger plaster of 12 cm is the longest. */
const LONGEST_PLASTER_CM = 12;

/** So the trade writes pads and plasters in inches, without saying so. */
const SAID_IN_INCHES = new Set("1x3 2x2 2x3 2x4 3x3 3x4 4x4 5x9 10x30 12x30".split(" "));
/** Numbers without a unit were taken for inches, and nothing but that they are usual says so. */
function areInchesGuessed(
  { bare, sizeMm: printed }: Reading,
  { sizeMm }: Sized,
  { bareUnit }: Habits,
): boolean {
  if (bare === null || printed !== null || sizeMm === null || bareUnit !== null) return false;
  const [a, b] = [Math.min(...bare), Math.max(...bare)];
  return sizeMm[0] === Math.round(a * INCH) && !SAID_IN_INCHES.has(`${a}x${b}`);
}

/** Pads up to a foot, tape and bandages up to 30 of either unit. */
const isUsualPad = (a: number, b: number): boolean => a <= 12 && b <= 30;
/** Squares above a foot are no inches: "twenty by twenty". */
const isWidePad = (a: number, b: number): boolean => a > 12 && a <= 60 && b <= 80;

/** What the numbers alone tell of their unit, in mm; null: nothing. */
function printedUnit(a: number, b: number, type: string | null): number | null {
  // "Foil blanket 210x160": no blanket is so many inches.
  if (BLANKETS.test(type ?? "") && Math.min(a, b) >= CENTIMETRES_FROM)
    return a >= MILLIMETRES_FROM ? 1 : CM;
  // "Triangular bandage 90x127": of a sling so many are centimetres.
  if (type === "triangular-bandage" && Math.max(a, b) < LONGEST_SLING_CM) return CM;
  return isMadeInMm(a, b, type) ? 1 : null;
}

/** The longest side of the largest is 145 cm; in millimetres none is so short. */
const LONGEST_SLING_CM = 200;
/** No pad is 50 cm square, no tape 10 m wide: "gauze 100x100", "tape 25 x 5000". */
const isMadeInMm = (a: number, b: number, type: string | null): boolean =>
  /pad|gauze|dressing|tulle|bandage|tape/.test(type ?? "") &&
  (Math.min(a, b) >= 50 || Math.max(a, b) >= 1000);

const BLANKETS = /blanket|burn-sheet|poncho/;
const isPadLike = (type: string | null, noun: string): boolean =>
  type === null
    ? /^pads?$/i.test(noun.trim())
    : /pad|gauze|dressing|adhesive|tulle|bandage|patch|sheet|tape|cold-pack/.test(type);

/** Squares of gauze are made in 2, 3 and 4 inches, and in 5, 7.5, 10 and 20 cm; halves are centimetres too. */
const isMetricPad = (a: number, b: number): boolean =>
  (a === b && a >= 5) || [a, b].some((n) => n % 1 === 0.5 || !isOfInches(n)) || isMadeInCm(a, b);

/** Inches are written in eighths: "7.2", "1.9" are centimetres. */
const isOfInches = (n: number): boolean => Number.isInteger(8 * n);
/** The longest plaster that is made in inches is 4.5 long: "plasters 7 x 2". */
const LONGEST_PLASTER_IN = 4.5;
const isMadeMetric = (a: number, b: number, type: string | null): boolean =>
  isMetricPad(a, b) || (type === "adhesive-strip" && Math.max(a, b) > LONGEST_PLASTER_IN);

/** Pads, dressings and sheets that are made in these centimetres, and in no such inches. */
const MADE_IN_CM = new Set(
  "5x10 6x7 6x8 6x10 10x15 10x20 10x25 10x35 10x40 12x12 15x20 15x25 20x20 20x30 20x40 18x40 30x30 30x40 40x60 60x80 60x90".split(
    " ",
  ),
);
const isMadeInCm = (a: number, b: number): boolean =>
  MADE_IN_CM.has(`${Math.min(a, b)}x${Math.max(a, b)}`);

function volumeOf(
  reading: Reading,
  measure: string | undefined,
  type: string | null,
): number | null {
  // What a syringe holds when filled is no content of it.
  if (reading.volumeMl === null || type === "irrigation-syringe") return null;
  const liquid = measure === "millilitre" || type === "hand-sanitiser" || type === "sunscreen";
  if (reading.volumeMaybeMass && !liquid) return null;
  return Math.round(reading.volumeMl * 10) / 10;
}
