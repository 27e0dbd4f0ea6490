import { faced } from "../report/pdfFonts.ts";
import { pdfSurely } from "../report/pdfSurely.ts";
import pdfMake from "./pdfMaker.ts";
import type { PdfAsk, PdfSays } from "./protocol.ts";
import { serve } from "./serve.ts";

serve<PdfAsk, PdfSays>(async ({ title, blocks }, say) => {
  pdfMake.setProgressCallback((share: number) => say({ is: "progress", share }));
  const blob = await pdfSurely(title, blocks, (doc) => pdfMake.createPdf(faced(doc)).getBlob());
  say({ is: "done", blob });
});
