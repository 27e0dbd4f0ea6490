import type { ClientInit } from "@sveltejs/kit";
import { config } from "zod";
import { nextTask } from "$lib/state/nextTask.ts";

// The content security policy forbids the code that Zod would make; to try it costs a slow device a tenth of a second.
config({ jitless: true });

/** Each part of the program begins in a task of its own, and the records are read before any page is made. */
export const init: ClientInit = async () => {
  await nextTask();
  await import("$lib/data/itemTypes.ts");
  await nextTask();
  await import("$lib/data/catalogue.ts");
  await nextTask();
  const { workspace } = await import("$lib/state/workspace.svelte.ts");
  await nextTask();
  await workspace.start();
  await nextTask();
};
