import type { PageText, PlacedWord } from "./seen.ts";

/** A word's place in a text of several pages; `page` from 0. */
export interface PagedWord extends PlacedWord {
  readonly page: number;
}

/** Pages one below the other as one card, a blank line between them. */
export function joinPages(pages: readonly PageText[]): { text: string; words: PagedWord[] } {
  const lines: string[] = [];
  const words: PagedWord[] = [];
  pages.forEach((page, at) => {
    if (lines.length > 0) lines.push("");
    const below = lines.length;
    lines.push(...page.lines);
    words.push(...page.words.map((w) => ({ ...w, line: w.line + below, page: at })));
  });
  return { text: lines.join("\n"), words };
}
