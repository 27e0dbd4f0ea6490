import type { TDocumentDefinitions } from "pdfmake/interfaces";
import { download } from "./download.ts";

/** Makes a PDF in the browser, with its fonts, and saves it. The maker is loaded when first wanted. */
export async function savePdf(name: string, document: TDocumentDefinitions): Promise<void> {
  const [{ default: pdfMake }, { default: fonts }] = await Promise.all([
    import("pdfmake/build/pdfmake.js"),
    import("pdfmake/build/vfs_fonts.js"),
  ]);
  pdfMake.addVirtualFileSystem(fonts);
  const blob = await pdfMake.createPdf(document).getBlob();
  download(name, blob, "application/pdf");
}
