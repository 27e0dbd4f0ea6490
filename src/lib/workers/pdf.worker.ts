import { faced } from "../report/pdfFonts.ts";
import { toPdf } from "../report/toPdf.ts";
import pdfMake from "./pdfMaker.ts";
import type { PdfAsk, PdfSays } from "./protocol.ts";
import { serve } from "./serve.ts";

serve<PdfAsk, PdfSays>(async ({ title, blocks }, say) => {
  pdfMake.setProgressCallback((share: number) => say({ is: "progress", share }));
  say({ is: "done", blob: await pdfMake.createPdf(faced(toPdf(title, blocks))).getBlob() });
});
