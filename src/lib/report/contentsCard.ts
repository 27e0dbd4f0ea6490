import type { TableCell, TDocumentDefinitions } from "pdfmake/interfaces";
import type { Compartment } from "../core/model/container.ts";
import type { ItemType } from "../core/model/itemType.ts";
import { lastGoodDay } from "../core/base/dates.ts";
import type { Kit, Line } from "../core/model/kit.ts";
import { day, size } from "../words/display.ts";
import { LOCATION_LABEL } from "../words/labels.ts";
import { LABEL_TEXT } from "../words/labelTexts.ts";
import { pieceCount } from "../words/sentences.ts";

type TypeOf = (id: string) => ItemType | undefined;

/** One row of a card that is true: what really lies there. */
export interface CardRow {
  /** "4", "2 pairs"; with a star where nobody counted. */
  readonly pieces: string;
  readonly counted: boolean;
  readonly name: string;
  readonly size: string;
  readonly place: string;
  /** Printed date, or empty. */
  readonly expires: string;
}

/** The rows of the card, and the next date on it (its last good day); null: nothing is dated. */
export function contentsRows(
  kit: Kit,
  compartments: readonly Compartment[],
  typeOf: TypeOf,
): { rows: CardRow[]; next: string | null } {
  const placeOf = (l: Line): string =>
    compartments.find((c) => c.id === l["compartment"])?.name ??
    (l.location ? LOCATION_LABEL[l.location] : "");
  const rows = kit.lines
    .filter((l) => (l.counted ?? l.claimed ?? 0) > 0)
    .map((l) => ({ ...l, type: l.itemType ? typeOf(l.itemType) : undefined }))
    .map((l) => ({
      counted: l.counted !== undefined,
      pieces: `${pieceCount(l.counted ?? l.claimed ?? 0, l.type)}${l.counted === undefined ? "*" : ""}`,
      name: l.type?.label ?? l.text ?? "",
      size: l.sizeMm ? size(l.sizeMm) : "",
      place: placeOf(l),
      expires: l.expires && l.expires !== "none" ? l.expires : "",
    }));
  const days = rows.flatMap((r) => (r.expires ? [lastGoodDay(r.expires)] : [])).sort();
  return { rows, next: days[0] ?? null };
}

/** A contents card to lie in the bag, as a document for the PDF maker. */
export function contentsCard(
  kit: Kit,
  compartments: readonly Compartment[],
  typeOf: TypeOf,
  today: string,
): TDocumentDefinitions {
  const { rows, next } = contentsRows(kit, compartments, typeOf);
  const head = ["", "", "size", "lies", LABEL_TEXT.goodTo].map((text): TableCell => ({
    text,
    bold: true,
    fontSize: 8,
  }));
  return {
    pageSize: "A5",
    pageMargins: [28, 28, 28, 34],
    info: { title: kit.name },
    defaultStyle: { fontSize: 9 },
    footer: (page, pages) => ({
      text: `${day(today)} · ${page} / ${pages}`,
      fontSize: 7,
      margin: [28, 8, 28, 0],
    }),
    content: [
      { text: kit.name, bold: true, fontSize: 15 },
      {
        text: `${LABEL_TEXT.contents}; ${next ? `${LABEL_TEXT.nextDate} ${day(next)}` : LABEL_TEXT.noDate}`,
        margin: [0, 2, 0, 8],
      },
      {
        table: {
          headerRows: 1,
          widths: ["auto", "*", "auto", "auto", "auto"],
          body: [
            head,
            ...rows.map((r): TableCell[] => [
              { text: r.pieces, alignment: "right" },
              r.name,
              r.size,
              r.place,
              r.expires ? day(r.expires) : "",
            ]),
          ],
        },
        layout: "lightHorizontalLines",
      },
      ...(rows.some((r) => !r.counted)
        ? [
            {
              text: `* ${LABEL_TEXT.uncounted}`,
              fontSize: 7,
              margin: [0, 4, 0, 0] as [number, number, number, number],
            },
          ]
        : []),
    ],
  };
}
