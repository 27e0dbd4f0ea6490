import { PictureProblem } from "../core/picture/opening.ts";
import { photoRecord, type PhotoRecord } from "../core/records/photoRecord.ts";
import { bitmapOf } from "../devices/pictureReader.ts";
import { newKey } from "../state/newKey.ts";
import type { KitState } from "../state/kit.svelte.ts";
import { workspace } from "../state/workspace.svelte.ts";

/** Long side of a stored photo, px: enough to read a label, small enough to export. */
const LONG_SIDE = 1400;
/** JPEG quality at which print on a wrapper stays legible. */
const QUALITY = 0.8;

/** Keys in the order of time, so that photos stand in the order they were taken in. */
const photoKey = () => `${Date.now().toString(36)}-${newKey()}`;

/** What a photo shows of a kit; neither: the kit. */
type Shown = Pick<PhotoRecord, "line" | "event">;

/** Takes a photo in as a note, resized. */
export async function storePhoto(kit: KitState, file: File, of: Shown = {}): Promise<void> {
  try {
    const picture = await bitmapOf(file);
    const by = Math.min(1, LONG_SIDE / Math.max(picture.width, picture.height));
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, Math.round(picture.width * by));
    canvas.height = Math.max(1, Math.round(picture.height * by));
    canvas.getContext("2d")!.drawImage(picture, 0, 0, canvas.width, canvas.height);
    const dataUrl = canvas.toDataURL("image/jpeg", QUALITY);
    const kitId = kit.record?.id;
    if (kitId === undefined) return;
    const photo = { kitId, name: file.name.slice(0, 300), dataUrl, ...of };
    workspace.edit("add a photo", [photoRecord(photoKey(), photo)]);
  } catch (error) {
    const why =
      error instanceof PictureProblem ? error.message : "is not a picture this browser can open";
    workspace.say(`${file.name} ${why}. Nothing was added.`, true);
  }
}
