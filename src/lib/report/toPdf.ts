import type { Content, TDocumentDefinitions } from "pdfmake/interfaces";
import type { Block } from "./blocks.ts";

const HEADING_PT = { 1: 24, 2: 15, 3: 11.5 } as const;
/** A4 less its margins, pt. */
const PAGE_WIDTH = 595.28 - 2 * 40;
/** The picture leaves room on the first page for what stands above and below it. */
const MOST_PICTURE_HEIGHT = 225;
const PHOTO_WIDTH = 240;
/** What the PDF maker can take in; other pictures are left out of a PDF. */
const PHOTO = /^data:image\/(?:jpeg|png);base64,/;

/** A report as a document for the PDF maker: real text, a bookmark for each section. */
export function toPdf(title: string, blocks: readonly Block[]): TDocumentDefinitions {
  const content: Content[] = [];
  let newPage = false;
  for (const b of blocks) {
    if (b.kind === "new-page") {
      newPage = true;
      continue;
    }
    const item = contentOf(b);
    if (newPage && typeof item === "object" && !Array.isArray(item))
      Object.assign(item, { pageBreak: "before" });
    newPage = false;
    content.push(item);
  }
  return {
    pageSize: "A4",
    pageMargins: [40, 40, 40, 46],
    info: { title },
    ...({ tagged: true, displayTitle: true, lang: "en" } as object),
    defaultStyle: { fontSize: 9.5, lineHeight: 1.15 },
    footer: (page, pages) => ({
      text: `${title} · ${page} / ${pages}`,
      fontSize: 7.5,
      color: "#555555",
      margin: [40, 12, 40, 0],
    }),
    content,
  };
}

function contentOf(b: Exclude<Block, { kind: "new-page" }>): Content {
  switch (b.kind) {
    case "heading":
      return {
        text: b.text,
        bold: true,
        fontSize: HEADING_PT[b.level],
        margin: [0, b.level === 1 ? 0 : 14, 0, 4],
        headlineLevel: b.level,
        ...({ outline: b.level < 3 } as object),
      };
    case "text":
      return {
        text: b.text,
        margin: [0, 0, 0, 4],
        ...(b.strong ? { bold: true, fontSize: 14 } : {}),
      };
    case "list":
      return { ul: [...b.items], margin: [0, 0, 0, 4] };
    case "table":
      return {
        table: {
          headerRows: 1,
          dontBreakRows: true,
          widths: b.widths
            ? b.widths.map((w) => `${w}%`)
            : b.head.map((_, i) => (i === 0 ? "*" : "auto")),
          body: [
            b.head.map((text) => ({ text, bold: true, fontSize: 8 })),
            ...b.rows.map((r) => r.map((text) => ({ text, fontSize: 8 }))),
          ],
        },
        layout: "lightHorizontalLines",
      };
    case "facts":
      return {
        table: {
          widths: [130, "*"],
          body: b.rows.map(([k, v]) => [
            { text: k, color: "#444444" },
            { text: v, bold: true },
          ]),
        },
        layout: {
          hLineWidth: (i: number) => (i === 0 ? 0 : 0.5),
          vLineWidth: () => 0,
          hLineColor: () => "#999999",
        },
        margin: [0, 4, 0, 4],
      };
    case "picture": {
      const scale = Math.min(PAGE_WIDTH / b.width, MOST_PICTURE_HEIGHT / b.height);
      return {
        svg: b.svg,
        width: b.width * scale,
        height: b.height * scale,
        margin: [0, 6, 0, 6],
      };
    }
    case "photos":
      return {
        stack: b.items
          .filter((p) => PHOTO.test(p.dataUrl))
          .map((p) => ({
            stack: [
              { image: p.dataUrl, width: PHOTO_WIDTH },
              {
                text: p.caption,
                fontSize: 8,
                margin: [0, 2, 0, 8] as [number, number, number, number],
              },
            ],
            unbreakable: true,
          })),
      };
  }
}
