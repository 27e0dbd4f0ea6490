import type { CardEntry } from "../card/entry.ts";
import type { PagedWord } from "./joinPages.ts";

/**
 * The words that made an entry of a card read from a picture: those of its line that stand in its text;
 * all of the line where the text was put together from columns.
 */
export function wordsOfEntry(
  entry: Pick<CardEntry, "source" | "text">,
  words: readonly PagedWord[],
): PagedWord[] {
  const onLine = words.filter((w) => w.line === entry.source - 1);
  const said = new Set(entry.text.toLowerCase().split(/\s+/));
  const own = onLine.filter((w) => said.has(w.text.toLowerCase()));
  return own.length > 0 ? own : onLine;
}

/** The box round some words of one page, its page from 1; null: there are none. */
export function boxAround(
  words: readonly PagedWord[],
): { page: number; x0: number; y0: number; x1: number; y1: number } | null {
  if (words.length === 0) return null;
  const boxes = words.map((w) => w.box);
  return {
    page: words[0]!.page + 1,
    x0: Math.round(Math.min(...boxes.map((b) => b.x0))),
    y0: Math.round(Math.min(...boxes.map((b) => b.y0))),
    x1: Math.round(Math.max(...boxes.map((b) => b.x1))),
    y1: Math.round(Math.max(...boxes.map((b) => b.y1))),
  };
}
