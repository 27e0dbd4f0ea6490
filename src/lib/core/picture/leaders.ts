import type { Pixels } from "./prepare.ts";

/**
 * Dot leaders taken out of a picture before it is read: blurred ones are taken for letters, and the count that
 * they point at for one more. A leader is a row of many marks alike, small, evenly apart.
 */

/** Darker is print, of 0–255 once the contrast is stretched; the more a dot is blurred the less it keeps of its darkness. */
const DARK_BELOW = [120, 170];
/** A dot of a leader is at most so large, px, where print is 20 to 40 px high; of smaller print this share of its height. */
const LARGEST = 12;
const OF_PRINT = 0.4;
/** Lower marks say nothing of how high the print is. */
const PRINT_FROM = 6;
/** Fewer in a row are an ellipsis, or a colon beside a point. */
const FEWEST = 6;
/** Apart from each other, px; beyond it they are no row. */
const NEAREST = 4;
const FARTHEST = 34;
/** From one dot to the next the row may rise or fall by so much, px: a tilted page, an edge of blur. */
const RISE = 2.5;
/** Gaps of one leader differ by this share at most, and so do its dots in size, px. */
const UNEVEN = 0.3;
const UNLIKE = 3;
/** Blur reaches so far beyond what is dark, px. */
const HALO = 5;

interface Mark {
  readonly x0: number;
  readonly y0: number;
  /** Beside the last pixel. */
  readonly x1: number;
  readonly y1: number;
}
const middleX = (m: Mark) => (m.x0 + m.x1) / 2;
const middleY = (m: Mark) => (m.y0 + m.y1) / 2;
const isRound = (m: Mark) => Math.abs(widthOf(m) - heightOf(m)) <= UNLIKE;
const widthOf = (m: Mark) => m.x1 - m.x0;
const heightOf = (m: Mark) => m.y1 - m.y0;

/** All that is printed, mark by mark: what touches is one. */
function marksIn({ width, height, data }: Pixels, darkBelow: number): Mark[] {
  const seen = new Uint8Array(width * height);
  const isDark = (at: number) => data[4 * at]! < darkBelow;
  const marks: Mark[] = [];
  const open: number[] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || !isDark(start)) continue;
    let [x0, x1, y0, y1] = [width, 0, height, 0];
    seen[start] = 1;
    open.push(start);
    while (open.length > 0) {
      const at = open.pop()!;
      const x = at % width;
      const y = (at - x) / width;
      if (x < x0) x0 = x;
      if (x >= x1) x1 = x + 1;
      if (y < y0) y0 = y;
      if (y >= y1) y1 = y + 1;
      for (let v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++)
        for (let u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++) {
          const next = v * width + u;
          if (seen[next] || !isDark(next)) continue;
          seen[next] = 1;
          open.push(next);
        }
    }
    marks.push({ x0, y0, x1, y1 });
  }
  return marks;
}

/** Marks no larger than a dot of this print is, from left to right. */
function dotsAmong(marks: readonly Mark[]): Mark[] {
  const heights = marks.map(heightOf).filter((h) => h >= PRINT_FROM);
  const print = heights.sort((a, b) => a - b)[Math.floor(heights.length / 2)] ?? 0;
  const largest = Math.min(LARGEST, OF_PRINT * print);
  return marks
    .filter((m) => widthOf(m) <= largest && heightOf(m) <= largest && isRound(m))
    .sort((a, b) => middleX(a) - middleX(b));
}

/** Rows of small marks alike, evenly apart. */
function leadersIn(marks: readonly Mark[]): Mark[][] {
  const used = new Set<Mark>();
  const rows: Mark[][] = [];
  marks.forEach((first, at) => {
    if (used.has(first)) return;
    const row = [first];
    for (let k = at + 1; k < marks.length; k++) {
      const next = marks[k]!;
      const gap = middleX(next) - middleX(row.at(-1)!);
      if (gap > FARTHEST) break;
      if (!used.has(next) && goesOn(row, next)) row.push(next);
    }
    if (row.length < FEWEST) return;
    for (const m of row) used.add(m);
    rows.push(row);
  });
  return rows;
}

function goesOn(row: readonly Mark[], next: Mark): boolean {
  const last = row.at(-1)!;
  const gap = middleX(next) - middleX(last);
  if (gap < NEAREST || Math.abs(middleY(next) - middleY(last)) > RISE) return false;
  if (Math.abs(widthOf(next) - widthOf(last)) > UNLIKE) return false;
  if (Math.abs(heightOf(next) - heightOf(last)) > UNLIKE) return false;
  const before = row.at(-2);
  return before === undefined || isEven(middleX(last) - middleX(before), gap);
}

const isEven = (a: number, b: number): boolean =>
  Math.abs(a - b) <= Math.max(2, UNEVEN * Math.min(a, b));

/** The picture without its dot leaders; the same object where it has none. */
export function withoutLeaders(pixels: Pixels): Pixels {
  const rows = DARK_BELOW.flatMap((dark) => leadersIn(dotsAmong(marksIn(pixels, dark))));
  if (rows.length === 0) return pixels;
  const { width, height } = pixels;
  const data = new Uint8ClampedArray(pixels.data);
  for (const mark of rows.flat()) {
    const [x0, y0] = [Math.max(0, mark.x0 - HALO), Math.max(0, mark.y0 - HALO)];
    const [x1, y1] = [Math.min(width, mark.x1 + HALO), Math.min(height, mark.y1 + HALO)];
    const corners = [y0, y1 - 1].flatMap((y) =>
      [x0, x1 - 1].map((x) => data[4 * (y * width + x)]!),
    );
    const paper = Math.max(...corners);
    for (let y = y0; y < y1; y++)
      for (let x = x0; x < x1; x++)
        for (let channel = 0; channel < 3; channel++) data[4 * (y * width + x) + channel] = paper;
  }
  return { width, height, data };
}
