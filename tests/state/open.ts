import { KitState } from "../../src/lib/state/kit.svelte.ts";
import { memoryStorage } from "../../src/lib/state/storage.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";

const OF_THE_YEAR = new Set(["kit:demo-shed-box", "brief:fennel-lane-year"]);

/**
 * The demo's kits on a shelf in memory, as a page would find them.
 * @param withYear with the box that is in service, which has a brief of its own
 */
export async function demoShelf(withYear = false): Promise<void> {
  await workspace.begin(memoryStorage());
  workspace.today = "2026-11-26";
  workspace.edit(
    "demo",
    demoRecords().filter((r) => withYear || !OF_THE_YEAR.has(r.id)),
  );
  await workspace.flushed();
}

export const SHED_BOX = "kit:demo-shed-box";
export const CREW_BOX = "kit:demo-crew-box";
export const kitState = (id = CREW_BOX): KitState => new KitState(() => id);
