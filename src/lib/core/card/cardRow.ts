/** What a line of a card is, before its words are read: rows of a table, list marks, notes. */

export interface CardRow {
  /** 1-based line number on the card. */
  readonly source: number;
  /** Text to read for items; quantity and unit columns apart. */
  readonly text: string;
  /** Text of the quantity column with its unit; null: none. */
  readonly quantity: string | null;
  readonly inTable: boolean;
  /** List mark or other sign that the line is one of a list. */
  readonly bullet: boolean;
  readonly indent: number;
  /** One of several things that the line lists: by that it is listed, whatever the other lines look like. */
  readonly isOfList?: true;
  /** Another number of the row may be the one that counts it. */
  readonly countDoubted?: true;
  /** Several columns count, and no heading tells which holds what is there. */
  readonly columnsUnclear?: boolean;
}
