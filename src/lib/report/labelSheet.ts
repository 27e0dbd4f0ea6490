import type { Content, TDocumentDefinitions } from "pdfmake/interfaces";
import type { ItemType } from "../core/model/itemType.ts";
import type { Line } from "../core/model/kit.ts";
import type { Label } from "../core/labels/labels.ts";
import { spotOf, type LabelSheet } from "../core/labels/sheets.ts";
import { day, number } from "../words/display.ts";
import { pieceCount } from "../words/sentences.ts";
import { LABEL_TEXT } from "../words/labelTexts.ts";

type TypeOf = (id: string) => ItemType | undefined;

/** A point is 1/72 inch, an inch 25.4 mm. */
const PT_PER_MM = 72 / 25.4;
/** Kept free at each edge of a label, for printers that do not feed true. */
const INSET_MM = 2;

const typeFor = (line: Line, typeOf: TypeOf) => (line.itemType ? typeOf(line.itemType) : undefined);
const nameOf = (line: Line, typeOf: TypeOf) => typeFor(line, typeOf)?.label ?? line.text ?? "";

/** What stands on a label: a heading and lines below it. */
export function labelText(label: Label, typeOf: TypeOf): { head: string; lines: string[] } {
  switch (label.kind) {
    case "pocket":
      return {
        head: label.name,
        lines: label.holds.map(
          (l) =>
            `${pieceCount(l.counted ?? l.claimed ?? 0, typeFor(l, typeOf))} × ${nameOf(l, typeOf)}`,
        ),
      };
    case "medicine":
      return {
        head: `${nameOf(label.line, typeOf)}${label.line.strengthMg ? ` ${number(label.line.strengthMg)} mg` : ""}`,
        lines: [
          label.line.strengthMg ? "" : LABEL_TEXT.strengthToWrite,
          label.line.expires && label.line.expires !== "none"
            ? `${LABEL_TEXT.goodTo} ${day(label.line.expires)}`
            : LABEL_TEXT.dateToWrite,
          LABEL_TEXT.medicine,
        ].filter(Boolean),
      };
    case "opened":
      return {
        head: nameOf(label.line, typeOf),
        lines: [
          `${LABEL_TEXT.opened} ${day(label.opened)}`,
          label.line.expires && label.line.expires !== "none"
            ? `${LABEL_TEXT.goodTo} ${day(label.line.expires)}`
            : "",
        ].filter(Boolean),
      };
    case "first-use":
      return {
        head: nameOf(label.line, typeOf),
        lines: [`${LABEL_TEXT.firstUse} ${day(label.on)}`],
      };
  }
}

/** Lines of a label that fit its height at the small size. */
const linesThatFit = (sheet: LabelSheet) => Math.max(1, Math.floor((sheet.height - 9) / 3.2));

/** A sheet of labels as a document for the PDF maker. `used`: labels of the first sheet that are gone. */
export function labelSheet(
  labels: readonly Label[],
  sheet: LabelSheet,
  used: number,
  typeOf: TypeOf,
): TDocumentDefinitions {
  const spots = labels.map((_, i) => spotOf(sheet, i, used));
  const pages = (spots.at(-1)?.page ?? 0) + 1;
  const content: Content[] = [];
  for (let page = 0; page < pages; page++) {
    // Everything on a page is placed; this one thing flows, and turns the page.
    content.push({ text: " ", fontSize: 1, ...(page > 0 ? { pageBreak: "before" as const } : {}) });
    labels.forEach((label, i) => {
      const spot = spots[i]!;
      if (spot.page !== page) return;
      const { head, lines } = labelText(label, typeOf);
      const fit = linesThatFit(sheet);
      const shown = lines.length > fit ? [...lines.slice(0, fit - 1), "…"] : lines;
      content.push({
        absolutePosition: {
          x: (spot.x + INSET_MM) * PT_PER_MM,
          y: (spot.y + INSET_MM) * PT_PER_MM,
        },
        table: {
          widths: [(sheet.width - 2 * INSET_MM) * PT_PER_MM],
          body: [
            [
              {
                stack: [
                  { text: head, bold: true, fontSize: 10 },
                  ...shown.map((text) => ({ text, fontSize: 7.5 })),
                ],
              },
            ],
          ],
        },
        layout: {
          hLineWidth: () => 0,
          vLineWidth: () => 0,
          paddingLeft: () => 0,
          paddingRight: () => 0,
          paddingTop: () => 0,
          paddingBottom: () => 0,
        },
      });
    });
  }
  return {
    pageSize: sheet.page,
    pageMargins: [0, 0, 0, 0],
    info: { title: LABEL_TEXT.sheetTitle },
    content,
  };
}
