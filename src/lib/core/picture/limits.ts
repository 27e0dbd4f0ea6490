import imageSize from "image-size";

/** How large a picture or PDF may be. Its sizes are looked up in its first bytes, before anything is decoded. */

/** The largest photographs of phones have 25 MB, a scan of several pages 50. */
const MOST_BYTES = 60_000_000;
/** Dots; phones take up to 108 million. Four bytes each, decoded. */
const MOST_DOTS = 120_000_000;
/** A contents card has a few pages, a catalogue hundreds. */
const MOST_PAGES = 30;
/** Long side to which a page of a PDF is drawn, px: what the recogniser reads best, with room. */
const MOST_DRAWN = 4000;

const millions = (n: number): string => `${Math.round(n / 1_000_000)} million`;

/** Why a file is not opened at all, said after its name; null: it may be. */
export const whyTooHeavy = (bytes: number): string | null =>
  bytes > MOST_BYTES
    ? `has ${Math.round(bytes / 1_000_000)} MB, and at most ${MOST_BYTES / 1_000_000} are opened: save it smaller`
    : null;

/** Why a picture is not decoded; null: it may be, or nothing tells its size. */
export function whyTooLarge(picture: Uint8Array): string | null {
  let dots: number;
  try {
    const { width, height } = imageSize(picture);
    dots = width * height;
  } catch {
    // What has no size is told when it is opened.
    return null;
  }
  return dots > MOST_DOTS
    ? `has ${millions(dots)} dots, and at most ${millions(MOST_DOTS)} are opened: save it smaller, or cut out the card`
    : null;
}

/** Why a PDF of so many pages is not read; null: it is. */
export const whyTooLong = (pages: number): string | null =>
  pages > MOST_PAGES
    ? `has ${pages} pages, and at most ${MOST_PAGES} are read: save those with the card as a file of their own`
    : null;

/** Scale at which a page of this size, in points, is drawn: as asked, or as large as it may be. */
export const drawnAt = (width: number, height: number, asked: number): number =>
  Math.min(asked, MOST_DRAWN / Math.max(width, height, 1));
