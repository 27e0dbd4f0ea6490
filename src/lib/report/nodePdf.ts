import { createRequire } from "node:module";
import { dirname, join, resolve } from "node:path";
import { faced, OWN_FACE, OWN_FILES, WIDE_FACE } from "./pdfFonts.ts";
import type { TDocumentDefinitions } from "pdfmake/interfaces";

interface Maker {
  setFonts(fonts: Record<string, Record<string, string>>): void;
  setUrlAccessPolicy(may: (url: string) => boolean): void;
  setLocalAccessPolicy(may: (path: string) => boolean): void;
  createPdf(document: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}

let maker: Maker | null = null;

/** A PDF without a browser. Nothing is fetched, and no file but the fonts is read. */
export async function makePdf(document: TDocumentDefinitions): Promise<Buffer> {
  if (!maker) {
    const require = createRequire(import.meta.url);
    const fonts = join(dirname(require.resolve("pdfmake/package.json")), "fonts", "Roboto");
    const own = join(
      dirname(require.resolve("@fontsource/atkinson-hyperlegible-next/package.json")),
      "files",
    );
    maker = require("pdfmake") as Maker;
    maker.setFonts({
      [OWN_FACE]: Object.fromEntries(
        Object.entries(OWN_FILES).map(([style, file]) => [style, join(own, file)]),
      ),
      [WIDE_FACE]: {
        normal: join(fonts, "Roboto-Regular.ttf"),
        bold: join(fonts, "Roboto-Medium.ttf"),
        italics: join(fonts, "Roboto-Italic.ttf"),
        bolditalics: join(fonts, "Roboto-MediumItalic.ttf"),
      },
    });
    maker.setUrlAccessPolicy(() => false);
    maker.setLocalAccessPolicy((path) =>
      [fonts, own].some((folder) => resolve(path).startsWith(resolve(folder))),
    );
  }
  return maker.createPdf(faced(document)).getBuffer();
}
