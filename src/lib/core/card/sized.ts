import { quick } from "./quick.ts";

/** Sizes and contents as they stand on a line: "10 x 10 cm", "500 ml". Their numbers count nothing. */
export const SIZED = quick(
  /(?<!\d)\d+(?:[.,]\d+)?\s*(?:(?:mm|cm|m|in|")?\s*[x×]\s*\d+(?:[.,]\d+)?\s*(?:mm|cm|m|in\b|["”″])|(?:mm|cm|ml|mg|m|g|l|%)(?![\p{L}]))/giu,
);
