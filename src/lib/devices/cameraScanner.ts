import { prepareZXingModule, readBarcodes } from "zxing-wasm/reader";
import wasmUrl from "zxing-wasm/reader/zxing_reader.wasm?url";
import type { Scanner } from "./scanner.ts";

export const hasCamera = (): boolean =>
  typeof navigator !== "undefined" && navigator.mediaDevices !== undefined;

/** Pictures looked at a second: more warms the hand and finds no more. */
const LOOKS_A_SECOND = 5;

let prepared = false;

/** Codes in a picture; the decoder ships with the application. */
export async function codesIn(picture: ImageData | Blob): Promise<string[]> {
  if (!prepared) {
    prepareZXingModule({ overrides: { locateFile: () => wasmUrl } });
    prepared = true;
  }
  const found = await readBarcodes(picture, { tryHarder: true, maxNumberOfSymbols: 4 });
  return found.filter((f) => f.isValid).map((f) => f.text);
}

/**
 * The camera as a scanner: shows in `video` what it sees and tells every code it finds.
 * Rejects when the user or the machine gives no camera.
 */
export async function cameraScanner(
  video: HTMLVideoElement,
  onScan: (text: string) => void,
): Promise<Scanner> {
  const stream = await navigator.mediaDevices.getUserMedia({
    video: { facingMode: "environment", width: { ideal: 1280 } },
  });
  video.srcObject = stream;
  await video.play();
  const canvas = document.createElement("canvas");
  let open = true;
  const look = async () => {
    if (!open) return;
    if (video.videoWidth > 0) {
      canvas.width = video.videoWidth;
      canvas.height = video.videoHeight;
      const context = canvas.getContext("2d", { willReadFrequently: true })!;
      context.drawImage(video, 0, 0);
      const codes = await codesIn(context.getImageData(0, 0, canvas.width, canvas.height)).catch(
        () => [],
      );
      if (open) codes.forEach(onScan);
    }
    setTimeout(() => void look(), 1000 / LOOKS_A_SECOND);
  };
  void look();
  return {
    name: "camera",
    close() {
      open = false;
      stream.getTracks().forEach((t) => t.stop());
      video.srcObject = null;
    },
  };
}
