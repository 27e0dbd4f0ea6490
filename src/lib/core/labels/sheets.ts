/** Sheets of labels as they are sold everywhere. All measures in mm. */
export interface LabelSheet {
  readonly id: string;
  readonly page: "A4" | "LETTER";
  readonly across: number;
  readonly down: number;
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly top: number;
  readonly gapX: number;
  readonly gapY: number;
}

// prettier-ignore
export const LABEL_SHEETS: readonly LabelSheet[] = [
  { id: "a4-21", page: "A4", across: 3, down: 7, width: 63.5, height: 38.1, left: 7.25, top: 15.15, gapX: 2.5, gapY: 0 },
  { id: "a4-24", page: "A4", across: 3, down: 8, width: 70, height: 37, left: 0, top: 0.5, gapX: 0, gapY: 0 },
  { id: "a4-65", page: "A4", across: 5, down: 13, width: 38.1, height: 21.2, left: 4.75, top: 10.7, gapX: 2.5, gapY: 0 },
  { id: "letter-30", page: "LETTER", across: 3, down: 10, width: 66.7, height: 25.4, left: 4.76, top: 12.7, gapX: 3.1, gapY: 0 },
];

/** Where a label lies: page from 0, and its upper left corner in mm. */
export interface Spot {
  readonly page: number;
  readonly x: number;
  readonly y: number;
}

/** The spot of the `index`th label, row by row; `used` labels of the first sheet are gone already. */
export function spotOf(sheet: LabelSheet, index: number, used: number): Spot {
  const each = sheet.across * sheet.down;
  const n = index + used;
  const onPage = n % each;
  const column = onPage % sheet.across;
  const row = Math.floor(onPage / sheet.across);
  return {
    page: Math.floor(n / each),
    x: sheet.left + column * (sheet.width + sheet.gapX),
    y: sheet.top + row * (sheet.height + sheet.gapY),
  };
}
