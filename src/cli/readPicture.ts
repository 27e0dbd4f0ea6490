import { fork } from "node:child_process";
import { readFileSync, statSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { createCanvas, ImageData, type Canvas } from "@napi-rs/canvas";
import type { PDFDocumentProxy } from "pdfjs-dist";
import { createWorker, type Worker } from "tesseract.js";
import { headOf } from "./io.ts";
import { isPdf } from "../lib/core/picture/kindOfFile.ts";
import { layOut } from "../lib/core/picture/layOut.ts";
import { drawnAt, whyTooHeavy, whyTooLarge, whyTooLong } from "../lib/core/picture/limits.ts";
import { joinPages, type PagedWord } from "../lib/core/picture/joinPages.ts";
import {
  DRAWN_AT,
  NO_PDF,
  NO_PICTURE,
  noPage,
  noPdf,
  PictureProblem,
  refuseIf,
  textRuns,
} from "../lib/core/picture/opening.ts";
import { pdfWords } from "../lib/core/picture/pdfWords.ts";
import { withoutLeaders } from "../lib/core/picture/leaders.ts";
import { stretched, turned, type Pixels } from "../lib/core/picture/prepare.ts";
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
    const upright = withoutLeaders(turned(ready, quarters));
    const { data } = await worker.recognize(
      canvasOf(upright).toBuffer("image/png"),
      {},
      { blocks: true, text: false },
    );
    return seenPage(data, upright);
  });
  return layOut(page);
}

/**
 * A picture file upright by what its camera noted (EXIF), in the size that is read best.
 * @throws PictureProblem where it is too large or cannot be decoded
 */
export async function pixelsOfFile(file: string): Promise<Pixels> {
  refuseIf(whyTooLarge(readFileSync(file)));
  const child = fork(new URL("./decodePicture.ts", import.meta.url), [file], {
    serialization: "advanced",
    stdio: ["ignore", "ignore", "ignore", "ipc"],
  });
  try {
    const pixels = await new Promise<Pixels | null>((resolve, reject) => {
      child.once("message", (said) => resolve(said as Pixels | null));
      child.once("exit", () => resolve(null));
      child.once("error", reject);
    });
    if (!pixels) throw new PictureProblem(NO_PICTURE);
    return pixels;
  } finally {
    child.kill();
  }
}

async function pageOfPdf(
  pdf: PDFDocumentProxy,
  n: number,
  worker: () => Promise<Worker>,
): Promise<PageText> {
  const page = await pdf.getPage(n);
  const view = page.getViewport({ scale: 1 });
  const { items } = await page.getTextContent();
  const runs = textRuns(items);
  if (runs) return layOut(pdfWords(runs, view));
  const large = page.getViewport({ scale: drawnAt(view.width, view.height, DRAWN_AT) });
  const canvas = createCanvas(Math.ceil(large.width), Math.ceil(large.height));
  await page.render({
    canvas: canvas as unknown as HTMLCanvasElement,
    viewport: large,
  }).promise;
  return textOfPicture(pixelsOf(canvas), await worker());
}

/** @param worker asked for where a page holds no text */
export async function pagesOfPdf(file: string, worker: () => Promise<Worker>): Promise<PageText[]> {
  const pdfjs = await import("pdfjs-dist/legacy/build/pdf.mjs");
  const loading = pdfjs.getDocument({
    data: new Uint8Array(readFileSync(file)),
    verbosity: 0,
    standardFontDataUrl: join(folderOf("pdfjs-dist/package.json"), "standard_fonts/"),
  });
  const pagesOf = async (): Promise<PageText[]> => {
    const pdf = await loading.promise.catch(noPdf);
    refuseIf(whyTooLong(pdf.numPages));
    const pages: PageText[] = [];
    for (let n = 1; n <= pdf.numPages; n++)
      pages.push(await pageOfPdf(pdf, n, worker).catch(noPage(n)));
    return pages;
  };
  return withOrphans(pagesOf, () => loading.destroy());
}

/** What the PDF reader rejects and nobody waits for would end the program: it is what ends the reading. */
async function withOrphans<T>(work: () => Promise<T>, stop: () => Promise<void>): Promise<T> {
  let hear: (reason: unknown) => void = () => {};
  const orphan = new Promise<never>((_, reject) => {
    hear = () => reject(new PictureProblem(NO_PDF));
  });
  process.on("unhandledRejection", hear);
  try {
    return await Promise.race([work(), orphan]);
  } finally {
    await stop().catch(() => {});
    // What was on its way when it was stopped comes a turn later.
    setTimeout(() => process.off("unhandledRejection", hear), 1000).unref();
  }
}

/** A photograph takes 10 s, thirty scanned pages 3 minutes; noise as large may take for ever. */
const LONGEST_MS = 240_000;
function inTime<T>(reading: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    const why = `took longer than ${LONGEST_MS / 60_000} minutes to read: cut out the card`;
    timer = setTimeout(() => reject(new PictureProblem(why)), LONGEST_MS);
  });
  return Promise.race([reading, late]).finally(() => clearTimeout(timer));
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
    refuseIf(whyTooHeavy(statSync(file).size));
    const head = headOf(file);
    const reading =
      head && isPdf(head)
        ? pagesOfPdf(file, worker)
        : pixelsOfFile(file).then(async (pixels) => [await textOfPicture(pixels, await worker())]);
    return joinPages(await inTime(reading));
  } finally {
    if (started) await (await (started as Promise<Worker>)).terminate();
  }
}
