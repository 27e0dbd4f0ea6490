import type { PdfRun } from "./pdfWords.ts";

/** What the browser and the command line share in opening pictures and PDFs. */

/** Why a file cannot be read; said to the user after its name. */
export class PictureProblem extends Error {}

/** A page of a PDF drawn at this scale has print of the height that the recogniser reads best. */
export const DRAWN_AT = 2.5;

/** @throws PictureProblem with what is said of the file, if anything is */
export function refuseIf(why: string | null): void {
  if (why !== null) throw new PictureProblem(why);
}

export const NO_PICTURE = "cannot be opened as a picture: it may be damaged or cut short";

export const NO_PDF = "is not a whole PDF: it may be damaged or cut short";

/** Thrown in place of what a PDF reader throws. */
export function noPdf(error: Error): never {
  throw new PictureProblem(
    error.name === "PasswordException"
      ? "is locked with a password: save a copy without one"
      : NO_PDF,
  );
}

/** Thrown in place of what a PDF reader throws at one page; what is said already, or was cancelled, goes on. */
export function noPage(n: number): (error: Error) => never {
  return (error) => {
    if (error instanceof PictureProblem || error.name === "AbortError") throw error;
    throw new PictureProblem(`cannot be read on page ${n}: it may be damaged or cut short`);
  };
}

/** The runs of text among a PDF page's items; null: it holds no text, and is to be looked at as a picture. */
export function textRuns(items: readonly object[]): PdfRun[] | null {
  const runs = items.filter((i): i is PdfRun => "str" in i);
  return runs.some((r) => r.str.trim() !== "") ? runs : null;
}
