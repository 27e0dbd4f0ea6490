import { goto } from "$app/navigation";
import { page } from "$app/state";
import { kitIdOf } from "../state/paths.ts";

/** Takes dropped or picked files in, one after another, and goes to what came in. */
export async function takeFiles(files: Iterable<File>): Promise<void> {
  // The readers come when there is something to read.
  const { takeFile } = await import("../state/import/takeFile.ts");
  for (const file of files) {
    const at = await takeFile(file, openKit());
    if (at !== null) await goto(at);
  }
}

/** The kit whose page is open. */
const openKit = (): string | undefined =>
  page.route.id?.startsWith("/kit/") && page.params["id"] ? kitIdOf(page.params["id"]) : undefined;
