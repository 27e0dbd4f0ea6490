/** What may speak against a reading; what the words mean to a person is in words/cardDoubts.ts. */
export const CARD_DOUBTS = [
  /** No item type is named. */
  "no-type",
  /** Only a part of a known name stands there. */
  "part-of-name",
  /** A word was taken for a misspelling or a short form. */
  "respelt",
  /** A short word was taken for a longer one cut short. */
  "cut-short",
  /** The name is one common word. */
  "common-word",
  /** Another kind fits nearly as well. */
  "close-second",
  /** Another kind fits somewhat. */
  "second",
  /** Less than 60 % of the known words are explained by the name found. */
  "half-explained",
  /** Less than 85 %. */
  "partly-explained",
  /** A word before any "for" or "with" is not known. */
  "unknown-word",
  /** A mark of two or three letters is not known. */
  "unknown-mark",
  /** The last word of the name belongs to another thing. */
  "head-elsewhere",
  /** The size decided between look-alikes. */
  "kind-by-size",
  /** The name leaves the kind open. */
  "kind-open",
  /** The pieces follow from a rule, as singles made pairs. */
  "count-derived",
  /** Packs are counted, and nothing says what one holds. */
  "pack-unknown",
  /** No number, on a card that counts. */
  "no-count",
  /** A number on the line is not used. */
  "number-left",
  /** More than a kit holds of such a thing. */
  "count-unusual",
  /** Larger than any of its kind is made, as where a decimal comma was lost. */
  "size-unusual",
  /** A recogniser took a fraction of an inch for another sign: the size is not whole. */
  "fraction-lost",
  /** A bag, box or tin on a line with other things, or a numbered one. */
  "holds-others",
  /** A size without a unit, taken for inches where nothing on the card says so. */
  "unit-assumed",
  /** Several columns count, and none is headed. */
  "column-guessed",
  /** Its box is left open, and others are ticked. */
  "unticked",
  /** Many words for one thing. */
  "long",
  /** Dictated. */
  "spoken",
] as const;
export type CardDoubt = (typeof CARD_DOUBTS)[number];
