import type { TDocumentDefinitions } from "pdfmake/interfaces";
import type { Block } from "./blocks.ts";
import { toPdf } from "./toPdf.ts";

/**
 * A report as a PDF, whatever its photographs are: one that the maker cannot read is left out and named,
 * and does not keep the rest from being made.
 */
export async function pdfSurely<T>(
  title: string,
  blocks: readonly Block[],
  make: (document: TDocumentDefinitions) => Promise<T>,
): Promise<T> {
  try {
    return await make(toPdf(title, blocks));
  } catch (whole) {
    if (!blocks.some((b) => b.kind === "photos")) throw whole;
    const left: Block[] = [];
    for (const b of blocks) {
      if (b.kind !== "photos") {
        left.push(b);
        continue;
      }
      const read = [];
      const unread: string[] = [];
      for (const photo of b.items) {
        try {
          await make(toPdf(title, [{ ...b, items: [photo] }]));
          read.push(photo);
        } catch {
          unread.push(`This photograph could not be read: ${photo.caption}`);
        }
      }
      if (read.length > 0) left.push({ ...b, items: read });
      if (unread.length > 0) left.push({ kind: "list", items: unread });
    }
    return make(toPdf(title, left));
  }
}
