import { quick } from "./quick.ts";

/** Sizes and contents as they stand on a line: "10 x 10 cm", "500 ml", "10x10". Their numbers count nothing; "2 x 20" may be packs. */
export const SIZED = quick(
  /(?<![\d.,])(?:5\s?[x×]\s?5|7[.,]5\s?[x×]\s?7[.,]5|10\s?[x×]\s?10|15\s?[x×]\s?15|20\s?[x×]\s?20)(?![\d.,]*\d)|(?<!\d)\d+(?:[.,]\d+)?\s*(?:(?:mm|cm|m|in|")?\s*[x×]\s*\d+(?:[.,]\d+)?\s*(?:mm|cm|m|in\b|["”″])|(?:mm|cm|ml|mg|m|g|l|%)(?![\p{L}]))/giu,
);
