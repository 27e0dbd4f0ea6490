import { claimOf } from "./claim.ts";
import { isSure, type Draft } from "./draft.ts";
import { placesNumbered } from "./placeWords.ts";
import { quick } from "./quick.ts";

/** How a card writes what it lists. */
export interface Style {
  /** Most items carry a list mark. */
  readonly bullets: boolean;
  /** Most items carry a number. */
  readonly counts: boolean;
  /** Most items are in capitals. */
  readonly capitals: boolean;
  /** There is a table. */
  readonly table: boolean;
  /** Someone is talking. */
  readonly spoken: boolean;
  /** It writes sizes in centimetres or millimetres more often than in inches. */
  readonly metric: boolean;
  /** Some size is written with its unit. */
  readonly saysUnit: boolean;
  readonly indent: number;
  /** What "Pack 1" and "Pack 2" stand over: places, no packs. */
  readonly placesNumbered: ReadonlySet<string>;
  /** First and last line that surely names an item. */
  readonly first: number;
  readonly last: number;
}

/** The lines right above and below (no blank line between) surely name items; the last of a list has one above. */
export function isAmongItems(drafts: readonly Draft[], at: number): boolean {
  const source = drafts[at]!.row.source;
  const beside = (d: Draft | undefined, by: number) =>
    d !== undefined && d.row.source === source + by && d.segments.some((s) => isSure(s.match));
  const near = (step: 1 | -1) => {
    let k = at + step;
    // An unknown thing may stand beside another one.
    if (drafts[k] && drafts[k]!.row.source === source + step && !beside(drafts[k], step)) {
      k += step;
      return (
        drafts[k] !== undefined &&
        drafts[k]!.row.source === source + 2 * step &&
        drafts[k]!.segments.some((s) => isSure(s.match))
      );
    }
    return beside(drafts[k], step);
  };
  return (
    near(-1) && (near(1) || drafts[at + 1] === undefined || drafts[at + 1]!.row.source > source + 1)
  );
}

/** How this card writes its items, from the lines that surely are some. */
export function styleOf(drafts: readonly Draft[]): Style {
  const sure = drafts.filter(
    (d) => d.segments.some((s) => isSure(s.match)) && claimOf(d, false, false) === null,
  );
  const share = (test: (d: Draft) => boolean, of = sure) =>
    of.length === 0 ? 0 : of.filter(test).length / of.length;
  // A line of several things is none that a mark could begin each of.
  const lines = sure.filter((d) => d.row.isOfList !== true);
  const fillers = drafts.filter((d) =>
    /\b(?:um|uh|okay|there'?s|i've got|i have|here goes|let me see|let's see|right then|looks like|oh and|and then|we've got|we have|goodness|that's the lot|that's it)\b/i.test(
      d.row.text,
    ),
  ).length;
  const times = (pattern: RegExp) => drafts.filter((d) => pattern.test(d.row.text)).length;
  const indents = sure.map((d) => d.row.indent).sort((a, b) => a - b);
  const isCounted = (d: Draft) =>
    d.row.quantity !== null ||
    d.whole.bare !== null ||
    (d.whole.pieces !== null && !d.whole.article);
  const counts = share(isCounted) > 0.6;
  return {
    bullets: lines.filter(isMarked).length >= FEWEST_MARKED && share(isMarked, lines) > 0.6,
    counts,
    capitals: share((d) => isCapitals(d.row.text)) > 0.6,
    table: sure.some((d) => d.row.inTable),
    spoken: (fillers >= 2 || share(saysNumbers) > 0.5) && share((d) => d.row.bullet) < 0.3,
    metric: times(CENTIMETRES) > times(INCHES),
    saysUnit: times(CENTIMETRES) + times(INCHES) > 0,
    indent: indents[Math.floor(indents.length / 2)] ?? 0,
    placesNumbered: placesNumbered(drafts.map((d) => d.row.text.trim())),
    first:
      (counts ? sure.find((d) => isCounted(d) && d.match.type !== "container") : sure[0])?.row
        .source ?? 0,
    last: sure.at(-1)?.row.source ?? 0,
  };
}

const isMarked = ({ row }: Draft): boolean => row.bullet && !row.inTable;
/** Two may be parts of a sentence behind the places where they lie. */
const FEWEST_MARKED = 3;

const saysNumbers = (d: Draft): boolean =>
  d.segments.some((s) => s.tokens.some((t) => t.kind === "number" && t.spoken && !t.article));

const CENTIMETRES = /\d\s*(?:mm|cm)\b|\b(?:cent|mill)imet(?:re|er)s?\b/i;
const INCHES = /\d\s*(?:-\s*)?(?:["”″]|in\b(?!\s+a))|\binch/i;

const SMALL_LETTERS = quick(/\p{Ll}{2}/u);
const CAPITALS = quick(/\p{Lu}{3}/u);
export const isCapitals = (text: string) => CAPITALS.test(text) && !SMALL_LETTERS.test(text);
