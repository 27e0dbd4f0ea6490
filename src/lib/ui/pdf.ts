import type { TDocumentDefinitions } from "pdfmake/interfaces";
import { faced } from "../report/pdfFonts.ts";
import { download } from "./download.ts";

/** Makes a PDF in the browser, with its fonts, and saves it. The maker is loaded when first wanted. */
export async function savePdf(name: string, document: TDocumentDefinitions): Promise<void> {
  const { default: pdfMake } = await import("../workers/pdfMaker.ts");
  const blob = await pdfMake.createPdf(faced(document)).getBlob();
  download(name, blob, "application/pdf");
}
