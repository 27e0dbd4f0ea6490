/** What was seen on a picture or page: words with their places. Places are in pixels of the upright picture. */

export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

export interface SeenWord {
  readonly text: string;
  /** How sure the recogniser is, 0–1; 1 for text that a PDF holds as text. */
  readonly confidence: number;
  readonly box: Box;
}

export interface SeenPage {
  readonly width: number;
  readonly height: number;
  /** Words in no certain order. */
  readonly words: readonly SeenWord[];
}

/** A word's place in the text of a page. */
export interface PlacedWord extends SeenWord {
  /** Line of the page's text, from 0. */
  readonly line: number;
  /** Characters of that line, from inclusive, to exclusive. */
  readonly from: number;
  readonly to: number;
}

export interface PageText {
  readonly lines: readonly string[];
  readonly words: readonly PlacedWord[];
}

/** Below this a word is shown as doubtful: measured, words read wrong mostly have less. */
export const DOUBTFUL_WORD = 0.75;
