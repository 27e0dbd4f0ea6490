import { KitState } from "../../src/lib/state/kit.svelte.ts";
import { memoryStorage } from "../../src/lib/state/storage.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";

/** The demo's kits on a shelf in memory, as a page would find them. */
export async function demoShelf(): Promise<void> {
  await workspace.begin(memoryStorage());
  workspace.today = "2026-11-26";
  workspace.edit("demo", demoRecords());
  await workspace.flushed();
}

export const CREW_BOX = "kit:demo-crew-box";
export const kitState = (id = CREW_BOX): KitState => new KitState(() => id);
