import pdfMake from "pdfmake/build/pdfmake.js";
import fonts from "pdfmake/build/vfs_fonts.js";
import { toPdf } from "../report/toPdf.ts";
import type { PdfAsk, PdfSays } from "./protocol.ts";
import { serve } from "./serve.ts";

pdfMake.addVirtualFileSystem(fonts);

serve<PdfAsk, PdfSays>(async ({ title, blocks }, say) => {
  pdfMake.setProgressCallback((share: number) => say({ is: "progress", share }));
  say({ is: "done", blob: await pdfMake.createPdf(toPdf(title, blocks)).getBlob() });
});
