import { NUMBER_WORDS } from "../card/numberWords.ts";
import type { Box, PageText, PlacedWord, SeenPage, SeenWord } from "./seen.ts";

/**
 * The words of a page as lines of text. What stands at one height is one line, also where the picture is
 * tilted; gaps between words become blanks in their width, so that columns stay columns.
 */

const middle = (b: Box) => (b.y0 + b.y1) / 2;
const median = (numbers: readonly number[]): number =>
  [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? 0;

/** Steeper is no tilt of a photograph but another arrangement. */
const STEEPEST = 0.12;
/** Words further apart than so many heights say little of the tilt. */
const NEAR = 6;

/** So many words tell the tilt; each is held against each. */
const TILT_FROM = 400;

/** Rise per pixel to the right, from neighbouring words that overlap in height. */
function tiltOf(all: readonly SeenWord[], height: number): number {
  const words = all.slice(0, TILT_FROM);
  const slopes: number[] = [];
  for (const a of words)
    for (const b of words) {
      const dx = b.box.x0 - a.box.x1;
      const dy = middle(b.box) - middle(a.box);
      // Tall letters and low ones shift the middle of a box: only boxes of like height tell.
      const alike = Math.abs(b.box.y1 - b.box.y0 - (a.box.y1 - a.box.y0)) < 0.15 * height;
      if (dx > 0 && dx < NEAR * height && Math.abs(dy) < 0.8 * height && alike)
        slopes.push(dy / (b.box.x0 - a.box.x0 + (b.box.x1 - a.box.x1)) / 0.5);
    }
  const tilt = median(slopes);
  return Math.abs(tilt) > STEEPEST ? 0 : tilt;
}

/** This share of a word's height above or below the line's middle still stands on the line. */
const ON_THE_LINE = 0.55;

function linesOf(words: readonly SeenWord[], height: number, tilt: number): SeenWord[][] {
  const at = (w: SeenWord) => middle(w.box) - tilt * ((w.box.x0 + w.box.x1) / 2);
  const lines: { y: number; words: SeenWord[] }[] = [];
  for (const word of [...words].sort((a, b) => at(a) - at(b))) {
    const line = lines.at(-1);
    if (line && at(word) - line.y < ON_THE_LINE * height) {
      line.words.push(word);
      line.y += (at(word) - line.y) / line.words.length;
    } else lines.push({ y: at(word), words: [word] });
  }
  return lines.map((l) => l.words.sort((a, b) => a.box.x0 - b.box.x0));
}

/** A gap of more characters parts columns; less is a word space, however wide. */
const COLUMN_GAP = 2.2;

/** Fewer rows side by side are no columns of a list. */
const FEWEST_ROWS = 4;
/** Of the rows with words on both sides, at most this share may cross a gutter (titles, footers). */
const CROSSING = 0.15;

/**
 * Where a list is set in two columns: the x of the gutter between them, or null. Each side lists things
 * by itself: most of its rows have both a word and a number. A table, whose right side only counts or
 * remarks, has no gutter in this sense.
 */
function gutterOf(rows: readonly (readonly SeenWord[])[], width: number): number | null {
  const all = rows.flat();
  const left = Math.min(...all.map((w) => w.box.x0));
  const right = Math.max(...all.map((w) => w.box.x1));
  let best: { x: number; wide: number } | null = null;
  // Gutters lie in the middle half of the page; looked for at every other character.
  for (let x = left + (right - left) / 4; x < left + ((right - left) * 3) / 4; x += 2 * width) {
    const crossing = rows.filter((r) => r.some((w) => w.box.x0 < x && w.box.x1 > x)).length;
    if (crossing > CROSSING * rows.length) continue;
    const sides = [
      rows.map((r) => r.filter((w) => w.box.x1 <= x)),
      rows.map((r) => r.filter((w) => w.box.x0 >= x)),
    ].map((side) => side.filter((r) => r.length > 0));
    if (!sides.every(listsThings)) continue;
    const wide =
      Math.min(...sides[1]!.map((r) => r[0]!.box.x0)) -
      Math.max(...sides[0]!.map((r) => Math.max(...r.map((w) => w.box.x1))));
    if (wide > COLUMN_GAP * width && (best === null || wide > best.wide)) best = { x, wide };
  }
  return best?.x ?? null;
}

/** Shares of a side's rows that have a word, and a number. */
const WITH_WORD = 0.7;
const WITH_NUMBER = 0.6;
/** In digits or in words; "a" and "an" stand in remarks as well. */
const SAYS_NUMBER = new RegExp(`\\d|\\b(?:${NUMBER_WORDS}|dozen|pairs?|couple)\\b`, "i");
function listsThings(rows: readonly (readonly SeenWord[])[]): boolean {
  const share = (test: (text: string) => boolean) =>
    rows.filter((r) => test(r.map((w) => w.text).join(" "))).length / Math.max(1, rows.length);
  return (
    rows.length >= FEWEST_ROWS &&
    share((t) => /\p{L}{4}/u.test(t)) >= WITH_WORD &&
    share((t) => SAYS_NUMBER.test(t)) >= WITH_NUMBER
  );
}

export function layOut({ words }: Pick<SeenPage, "words">): PageText {
  const seen = words.filter((w) => w.text.trim() !== "" && w.box.x1 > w.box.x0);
  if (seen.length === 0) return { lines: [], words: [] };
  const height = median(seen.map((w) => w.box.y1 - w.box.y0));
  const width = median(seen.map((w) => (w.box.x1 - w.box.x0) / w.text.length)) || 1;
  const tilt = tiltOf(seen, height);
  const rows = linesOf(seen, height, tilt);
  const gutter = gutterOf(rows, width);
  if (gutter !== null) {
    const isRight = (w: SeenWord) => w.box.x0 >= gutter;
    const [first, second] = [seen.filter((w) => !isRight(w)), seen.filter(isRight)].map((side) =>
      layOut({ words: side }),
    );
    const below = first!.lines.length + 1;
    return {
      lines: [...first!.lines, "", ...second!.lines],
      words: [...first!.words, ...second!.words.map((w) => ({ ...w, line: w.line + below }))],
    };
  }
  return placed(rows, width, tilt);
}

/** Further in than so many characters a line begins under the words of the one above: it goes on there. */
const INDENT = 1.5;

function placed(rows: readonly (readonly SeenWord[])[], width: number, tilt: number): PageText {
  const left = Math.min(...rows.flat().map((w) => w.box.x0));
  // On a tilted page the margin leans as the lines rise.
  const fromMargin = ({ box }: SeenWord) => box.x0 + tilt * middle(box);
  const margin = Math.min(...rows.map((row) => fromMargin(row[0]!)));
  const lines: string[] = [];
  const words: PlacedWord[] = [];
  rows.forEach((row, line) => {
    const indent = (fromMargin(row[0]!) - margin) / width;
    let text = indent > INDENT ? " ".repeat(Math.round(indent)) : "";
    let end = left;
    for (const word of row) {
      const gap = (word.box.x0 - end) / width;
      if (word !== row[0]) {
        const column = Math.round((word.box.x0 - left) / width);
        text += gap > COLUMN_GAP ? " ".repeat(Math.max(3, column - text.length)) : " ";
      }
      words.push({ ...word, line, from: text.length, to: text.length + word.text.length });
      text += word.text;
      end = word.box.x1;
    }
    lines.push(text);
  });
  return { lines, words };
}
