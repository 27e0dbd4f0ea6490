// Each part of the program begins as soon as it is here, as a task of its own, and the records are read before any page is made.
void import("$lib/data/itemTypes.ts")
  .then(() => import("$lib/data/catalogue.ts"))
  .then(() => import("$lib/state/workspace.svelte.ts"))
  .then(({ workspace }) => workspace.start());
