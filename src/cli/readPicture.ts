import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { createCanvas, loadImage, ImageData, type Canvas } from "@napi-rs/canvas";
import { createWorker, type Worker } from "tesseract.js";
import { isPdf } from "../lib/core/picture/kindOfFile.ts";
import { layOut } from "../lib/core/picture/layOut.ts";
import { joinPages, type PagedWord } from "../lib/core/picture/joinPages.ts";
import {
  DRAWN_AT,
  NO_PICTURE,
  noPdf,
  PictureProblem,
  textRuns,
} from "../lib/core/picture/opening.ts";
import { pdfWords } from "../lib/core/picture/pdfWords.ts";
import { scaleFor, stretched, turned, type Pixels } from "../lib/core/picture/prepare.ts";
import { readUpright } from "../lib/core/picture/readPage.ts";
import type { PageText } from "../lib/core/picture/seen.ts";
import { seenPage } from "../lib/core/picture/tesseractPage.ts";

/** Cards from pictures and PDFs, for the command line. */

const folderOf = (name: string) => dirname(createRequire(import.meta.url).resolve(name));

function canvasOf({ width, height, data }: Pixels): Canvas {
  const canvas = createCanvas(width, height);
  canvas.getContext("2d").putImageData(new ImageData(data, width, height), 0, 0);
  return canvas;
}
function pixelsOf(canvas: Canvas): Pixels {
  const { data } = canvas.getContext("2d").getImageData(0, 0, canvas.width, canvas.height);
  return { width: canvas.width, height: canvas.height, data };
}

async function textOfPicture(pixels: Pixels, worker: Worker): Promise<PageText> {
  const ready = stretched(pixels);
  const { page } = await readUpright(async (quarters) => {
    const upright = turned(ready, quarters);
    const { data } = await worker.recognize(
      canvasOf(upright).toBuffer("image/png"),
      {},
      { blocks: true, text: false },
    );
    return seenPage(data, upright);
  });
  return layOut(page);
}

/** A picture file upright by what its camera noted (EXIF), in the size that is read best. */
export async function pixelsOfFile(file: string): Promise<Pixels> {
  let image;
  try {
    image = await loadImage(readFileSync(file));
  } catch {
    throw new PictureProblem(NO_PICTURE);
  }
  const by = scaleFor(image.width, image.height);
  const canvas = createCanvas(Math.round(image.width * by), Math.round(image.height * by));
  canvas.getContext("2d").drawImage(image, 0, 0, canvas.width, canvas.height);
  return pixelsOf(canvas);
}

async function pagesOfPdf(file: string, worker: () => Promise<Worker>): Promise<PageText[]> {
  const pdfjs = await import("pdfjs-dist/legacy/build/pdf.mjs");
  const loading = pdfjs.getDocument({
    data: new Uint8Array(readFileSync(file)),
    verbosity: 0,
    standardFontDataUrl: join(folderOf("pdfjs-dist/package.json"), "standard_fonts/"),
  });
  const pdf = await loading.promise.catch(noPdf);
  const pages: PageText[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n);
    const view = page.getViewport({ scale: 1 });
    const { items } = await page.getTextContent();
    const runs = textRuns(items);
    if (runs) {
      pages.push(layOut(pdfWords(runs, view)));
      continue;
    }
    const large = page.getViewport({ scale: DRAWN_AT });
    const canvas = createCanvas(Math.ceil(large.width), Math.ceil(large.height));
    await page.render({
      canvas: canvas as unknown as HTMLCanvasElement,
      viewport: large,
    }).promise;
    pages.push(await textOfPicture(pixelsOf(canvas), await worker()));
  }
  return pages;
}

/**
 * The text of a photograph, scan or PDF with the place of each word.
 * @throws PictureProblem where the file cannot be read, with what is wrong
 */
export async function readPictureFile(
  file: string,
): Promise<{ text: string; words: readonly PagedWord[] }> {
  let started: Promise<Worker> | null = null;
  const worker = () =>
    (started ??= createWorker("eng", 1, {
      langPath: join(folderOf("@tesseract.js-data/eng/package.json"), "4.0.0_best_int"),
      cacheMethod: "none",
      gzip: true,
    }));
  try {
    const bytes = readFileSync(file).subarray(0, 16);
    const pages = isPdf(bytes)
      ? await pagesOfPdf(file, worker)
      : [await textOfPicture(await pixelsOfFile(file), await worker())];
    return joinPages(pages);
  } finally {
    if (started) await (await (started as Promise<Worker>)).terminate();
  }
}
