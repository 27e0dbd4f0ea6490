import { goto } from "$app/navigation";
import { takeFile } from "../state/import/takeFile.ts";

/** Takes dropped or picked files in, one after another, and goes to what came in. */
export async function takeFiles(files: Iterable<File>): Promise<void> {
  for (const file of files) {
    const at = await takeFile(file);
    if (at !== null) await goto(at);
  }
}
