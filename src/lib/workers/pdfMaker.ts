import pdfMake from "pdfmake/build/pdfmake.js";
import wide from "pdfmake/build/vfs_fonts.js";
import bold from "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?inline";
import boldItalics from "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-italic.woff?inline";
import italics from "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-italic.woff?inline";
import normal from "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?inline";
import { OWN_FACE, OWN_FILES, WIDE_FACE } from "../report/pdfFonts.ts";

/** The maker of PDFs with its faces; nothing is fetched. Loaded when a PDF is first wanted. */
const base64 = (dataUrl: string): string => dataUrl.slice(dataUrl.indexOf(",") + 1);
const files = { normal, bold, italics, bolditalics: boldItalics };

pdfMake.addVirtualFileSystem({
  ...wide,
  ...Object.fromEntries(
    (Object.keys(OWN_FILES) as (keyof typeof OWN_FILES)[]).map((style) => [
      OWN_FILES[style],
      base64(files[style]),
    ]),
  ),
});
pdfMake.addFonts({
  [OWN_FACE]: { ...OWN_FILES },
  [WIDE_FACE]: {
    normal: "Roboto-Regular.ttf",
    bold: "Roboto-Medium.ttf",
    italics: "Roboto-Italic.ttf",
    bolditalics: "Roboto-MediumItalic.ttf",
  },
});

export default pdfMake;
