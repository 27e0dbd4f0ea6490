import type { Worker } from "tesseract.js";
import { isHeic, isPdf, isPicture } from "../core/picture/kindOfFile.ts";
import { layOut } from "../core/picture/layOut.ts";
import {
  DRAWN_AT,
  NO_PICTURE,
  noPage,
  noPdf,
  PictureProblem,
  refuseIf,
  textRuns,
} from "../core/picture/opening.ts";
import { withoutLeaders } from "../core/picture/leaders.ts";
import { pdfWords } from "../core/picture/pdfWords.ts";
import { scaleFor, stretched, turned, type Pixels } from "../core/picture/prepare.ts";
import { readUpright } from "../core/picture/readPage.ts";
import type { PageText } from "../core/picture/seen.ts";
import { seenPage } from "../core/picture/tesseractPage.ts";

/** Reads cards from pictures and PDFs in the browser. Recogniser, data and PDF reader are loaded when first used. */

export interface ReadPage {
  readonly text: PageText;
  /** The page upright, as a JPEG data URL, and the size in which its words have their places. */
  readonly picture: string;
  readonly width: number;
  readonly height: number;
}

export interface ReadProgress {
  readonly page: number;
  readonly pages: number;
  /** Of the page under way, 0–1. */
  readonly share: number;
}

export interface ReadOptions {
  readonly signal: AbortSignal;
  readonly onProgress: (p: ReadProgress) => void;
}

const HEIC =
  "is a HEIC picture, which browsers do not open: save or send it as JPEG (on the phone: camera settings, most compatible)";

/** Long side of the picture that is kept, px: enough to read a label, small enough to export. */
const KEPT_SIDE = 1400;
const KEPT_QUALITY = 0.75;

export const isCardPicture = async (file: File): Promise<boolean> => {
  const head = new Uint8Array(await file.slice(0, 16).arrayBuffer());
  return isPicture(head) || isPdf(head) || isHeic(head);
};

function canvasOf({ width, height, data }: Pixels): HTMLCanvasElement {
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  const pixels = new ImageData(new Uint8ClampedArray(data), width, height);
  canvas.getContext("2d")!.putImageData(pixels, 0, 0);
  return canvas;
}
function pixelsOf(canvas: HTMLCanvasElement): Pixels {
  const { data } = canvas.getContext("2d")!.getImageData(0, 0, canvas.width, canvas.height);
  return { width: canvas.width, height: canvas.height, data };
}
function kept(canvas: HTMLCanvasElement): string {
  const by = Math.min(1, KEPT_SIDE / Math.max(canvas.width, canvas.height));
  const small = document.createElement("canvas");
  small.width = Math.max(1, Math.round(canvas.width * by));
  small.height = Math.max(1, Math.round(canvas.height * by));
  small.getContext("2d")!.drawImage(canvas, 0, 0, small.width, small.height);
  return small.toDataURL("image/jpeg", KEPT_QUALITY);
}

/** The recogniser, started once and stopped when the reading is cancelled. */
class Recogniser {
  #worker: Promise<Worker> | null = null;
  onShare: (share: number) => void = () => {};

  get(): Promise<Worker> {
    this.#worker ??= import("tesseract.js").then(({ default: tesseract }) =>
      tesseract.createWorker("eng", tesseract.OEM.LSTM_ONLY, {
        workerPath: "/reader/worker.min.js",
        corePath: "/reader/core.wasm.js",
        langPath: "/reader",
        workerBlobURL: false,
        cacheMethod: "none",
        gzip: true,
        logger: (m) => {
          if (m.status === "recognizing text") this.onShare(m.progress);
        },
      }),
    );
    return this.#worker;
  }
  async stop(): Promise<void> {
    const worker = this.#worker;
    this.#worker = null;
    await (await worker)?.terminate();
  }
}

async function readPixels(canvas: HTMLCanvasElement, recogniser: Recogniser): Promise<ReadPage> {
  const ready = stretched(pixelsOf(canvas));
  const worker = await recogniser.get();
  const { page, quarters } = await readUpright(async (q) => {
    const upright = withoutLeaders(turned(ready, q));
    const { data } = await worker.recognize(canvasOf(upright), {}, { blocks: true, text: false });
    return seenPage(data, upright);
  });
  const upright = quarters === 0 ? canvas : canvasOf(turned(pixelsOf(canvas), quarters));
  return { text: layOut(page), picture: kept(upright), width: page.width, height: page.height };
}

/**
 * A picture decoded, upright as the camera noted it.
 * @throws PictureProblem where it is too large or no picture
 */
export async function bitmapOf(file: File): Promise<ImageBitmap> {
  const { whyTooHeavy, whyTooLarge } = await import("../core/picture/limits.ts");
  refuseIf(whyTooHeavy(file.size));
  refuseIf(whyTooLarge(new Uint8Array(await file.arrayBuffer())));
  try {
    return await createImageBitmap(file, { imageOrientation: "from-image" });
  } catch {
    throw new PictureProblem(NO_PICTURE);
  }
}

async function pictureOf(file: File): Promise<HTMLCanvasElement> {
  const image = await bitmapOf(file);
  const by = scaleFor(image.width, image.height);
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(image.width * by);
  canvas.height = Math.round(image.height * by);
  canvas.getContext("2d")!.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return canvas;
}

async function openPdf(file: File) {
  const [pdfjs, { default: workerUrl }, { whyTooHeavy, whyTooLong }] = await Promise.all([
    import("pdfjs-dist"),
    import("pdfjs-dist/build/pdf.worker.min.mjs?url"),
    import("../core/picture/limits.ts"),
  ]);
  refuseIf(whyTooHeavy(file.size));
  pdfjs.GlobalWorkerOptions.workerSrc = workerUrl;
  const data = new Uint8Array(await file.arrayBuffer());
  const pdf = await pdfjs.getDocument({ data, isEvalSupported: false }).promise.catch(noPdf);
  refuseIf(whyTooLong(pdf.numPages));
  return pdf;
}
type Pdf = Awaited<ReturnType<typeof openPdf>>;

async function readPdfPage(pdf: Pdf, n: number, recogniser: Recogniser): Promise<ReadPage> {
  const page = await pdf.getPage(n);
  const view = page.getViewport({ scale: 1 });
  const { drawnAt } = await import("../core/picture/limits.ts");
  const large = page.getViewport({ scale: drawnAt(view.width, view.height, DRAWN_AT) });
  const canvas = document.createElement("canvas");
  canvas.width = Math.ceil(large.width);
  canvas.height = Math.ceil(large.height);
  await page.render({ canvas, viewport: large }).promise;
  const { items } = await page.getTextContent();
  const runs = textRuns(items);
  if (!runs) return readPixels(canvas, recogniser);
  const { width, height } = view;
  return { text: layOut(pdfWords(runs, view)), picture: kept(canvas), width, height };
}

/** Why a picture or PDF cannot be opened at all; null: it can. */
export async function whyNotOpened(file: File): Promise<string | null> {
  const head = new Uint8Array(await file.slice(0, 16).arrayBuffer());
  try {
    if (isHeic(head)) throw new PictureProblem(HEIC);
    if (isPdf(head)) await (await openPdf(file)).destroy();
    else (await bitmapOf(file)).close();
    return null;
  } catch (error) {
    return error instanceof PictureProblem ? error.message : NO_PICTURE;
  }
}

/**
 * Reads one file, page by page.
 * @throws PictureProblem where it cannot be read; an AbortError where it was cancelled
 */
export async function readPicture(file: File, o: ReadOptions): Promise<ReadPage[]> {
  const head = new Uint8Array(await file.slice(0, 16).arrayBuffer());
  if (isHeic(head)) throw new PictureProblem(HEIC);
  const recogniser = new Recogniser();
  const stop = () => void recogniser.stop();
  o.signal.addEventListener("abort", stop);
  const cancelled = new Promise<never>((_, reject) => {
    o.signal.addEventListener("abort", () => reject(new DOMException("cancelled", "AbortError")));
  });
  const work = async (): Promise<ReadPage[]> => {
    if (!isPdf(head)) {
      recogniser.onShare = (share) => o.onProgress({ page: 1, pages: 1, share });
      return [await readPixels(await pictureOf(file), recogniser)];
    }
    const pdf = await openPdf(file);
    const pages: ReadPage[] = [];
    for (let n = 1; n <= pdf.numPages; n++) {
      o.signal.throwIfAborted();
      recogniser.onShare = (share) => o.onProgress({ page: n, pages: pdf.numPages, share });
      recogniser.onShare(0);
      pages.push(await readPdfPage(pdf, n, recogniser).catch(noPage(n)));
    }
    await pdf.cleanup();
    return pages;
  };
  try {
    return await Promise.race([work(), cancelled]);
  } finally {
    o.signal.removeEventListener("abort", stop);
    await recogniser.stop();
  }
}
