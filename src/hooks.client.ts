import { workspace } from "$lib/state/workspace.svelte.ts";

// The records are on their way as soon as their part of the program is here, before any page is.
void workspace.start();
