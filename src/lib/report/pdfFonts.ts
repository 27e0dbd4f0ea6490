import type { TDocumentDefinitions } from "pdfmake/interfaces";

/**
 * Faces of a PDF. The application's own has the Latin letters of western Europe; what holds any other
 * letter is set in the maker's wider one as a whole, so that no name loses a letter.
 */
export const OWN_FACE = "Atkinson";
export const WIDE_FACE = "Roboto";

/** Files of the own face, as the package of the face has them. */
export const OWN_FILES = {
  normal: "atkinson-hyperlegible-next-latin-400-normal.woff",
  bold: "atkinson-hyperlegible-next-latin-700-normal.woff",
  italics: "atkinson-hyperlegible-next-latin-400-italic.woff",
  bolditalics: "atkinson-hyperlegible-next-latin-700-italic.woff",
} as const;

/** Letters that the own face has: its package's Latin subset. */
const OWN_LETTERS =
  /^[\u0000-\u00FF\u0131\u0152\u0153\u02BB\u02BC\u02C6\u02DA\u02DC\u2000-\u206F\u20AC\u2122\u2191\u2193\u2212\u2215]*$/u;

/** A document set in the face that has every letter of it. */
export const faced = (document: TDocumentDefinitions): TDocumentDefinitions => ({
  ...document,
  defaultStyle: {
    ...document.defaultStyle,
    font: OWN_LETTERS.test(textsOf([document.content, document.info])) ? OWN_FACE : WIDE_FACE,
  },
});

/** All texts of a document but pictures, run together. */
function textsOf(part: unknown): string {
  if (typeof part === "string") return part;
  if (Array.isArray(part)) return part.map(textsOf).join("");
  if (typeof part !== "object" || part === null) return "";
  return Object.entries(part)
    .filter(([key]) => key !== "svg" && key !== "image")
    .map(([, value]) => textsOf(value))
    .join("");
}
