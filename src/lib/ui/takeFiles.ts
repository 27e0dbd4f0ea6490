import { goto } from "$app/navigation";
import { page } from "$app/state";
import { kitIdOf } from "../state/paths.ts";
import { takeFile } from "../state/import/takeFile.ts";

/** Takes dropped or picked files in, one after another, and goes to what came in. */
export async function takeFiles(files: Iterable<File>): Promise<void> {
  for (const file of files) {
    const at = await takeFile(file, openKit());
    if (at !== null) await goto(at);
  }
}

/** The kit whose page is open. */
const openKit = (): string | undefined =>
  page.route.id?.startsWith("/kit/") && page.params["id"] ? kitIdOf(page.params["id"]) : undefined;
