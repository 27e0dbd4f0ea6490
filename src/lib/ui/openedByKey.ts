/** The dialogs that a key opens on every page. */
export { default as History } from "./History.svelte";
export { default as Keys } from "./Keys.svelte";
export { default as Palette } from "./Palette.svelte";
