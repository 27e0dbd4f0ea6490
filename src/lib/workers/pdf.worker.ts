import pdfMake from "pdfmake/build/pdfmake.js";
import fonts from "pdfmake/build/vfs_fonts.js";
import type { Block } from "../report/blocks.ts";
import { toPdf } from "../report/toPdf.ts";

/** A report to be made into a PDF, away from the page. */
export interface PdfAsked {
  readonly title: string;
  readonly blocks: readonly Block[];
}
export type PdfAnswer =
  | { readonly is: "progress"; readonly share: number }
  | { readonly is: "done"; readonly blob: Blob }
  | { readonly is: "failed"; readonly why: string };

const say = (message: PdfAnswer) => postMessage(message);
pdfMake.addVirtualFileSystem(fonts);

onmessage = async (event: MessageEvent<PdfAsked>) => {
  try {
    pdfMake.setProgressCallback((share: number) => say({ is: "progress", share }));
    const blob = await pdfMake.createPdf(toPdf(event.data.title, event.data.blocks)).getBlob();
    say({ is: "done", blob });
  } catch (error) {
    say({ is: "failed", why: error instanceof Error ? error.message : String(error) });
  }
};
