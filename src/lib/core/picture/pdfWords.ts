import type { SeenPage, SeenWord } from "./seen.ts";

/** A run of text of a PDF page, as pdf.js gives it: its matrix places the start of the base line. */
export interface PdfRun {
  readonly str: string;
  /** a, b, c, d, e, f of the PDF text matrix; units of the page, origin at the foot. */
  readonly transform: readonly number[];
  readonly width: number;
  readonly height: number;
}

/** The words of a PDF page with their places, origin at the head; runs are cut at blanks in proportion. */
export function pdfWords(
  runs: readonly PdfRun[],
  page: { readonly width: number; readonly height: number },
): SeenPage {
  const words = runs.flatMap((run): SeenWord[] => {
    const [, , , d = 0, e = 0, f = 0] = run.transform;
    const height = run.height || Math.abs(d) || 1;
    const perCharacter = run.width / Math.max(1, run.str.length);
    return [...run.str.matchAll(/\S+/g)].map((m) => ({
      text: m[0],
      confidence: 1,
      box: {
        x0: e + m.index * perCharacter,
        x1: e + (m.index + m[0].length) * perCharacter,
        y0: page.height - f - height,
        y1: page.height - f,
      },
    }));
  });
  return { ...page, words };
}
