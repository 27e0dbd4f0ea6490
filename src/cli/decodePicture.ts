import { readFileSync } from "node:fs";
import { createCanvas, loadImage } from "@napi-rs/canvas";
import { scaleFor, type Pixels } from "../lib/core/picture/prepare.ts";

/**
 * A process of its own that decodes one picture and sends its pixels, or null where it is none: the decoder is
 * native code, and a file that was cut short ends the process it runs in.
 */
async function decoded(file: string): Promise<Pixels | null> {
  try {
    // Upright as the camera noted it (EXIF), in the size that is read best.
    const image = await loadImage(readFileSync(file));
    const by = scaleFor(image.width, image.height);
    const canvas = createCanvas(Math.round(image.width * by), Math.round(image.height * by));
    const g = canvas.getContext("2d");
    g.drawImage(image, 0, 0, canvas.width, canvas.height);
    const { data, width, height } = g.getImageData(0, 0, canvas.width, canvas.height);
    return { width, height, data };
  } catch {
    return null;
  }
}

process.send!(await decoded(process.argv[2]!), () => process.disconnect());
