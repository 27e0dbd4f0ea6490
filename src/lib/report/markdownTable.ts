import { markdownLine } from "./markdownText.ts";

const cell = (text: string): string => markdownLine(text).replaceAll("|", "\\|");

/** A Markdown table; bars and line breaks in cells are made harmless. */
export const markdownTable = (
  head: readonly string[],
  rows: readonly (readonly string[])[],
): string =>
  [head, head.map(() => "---"), ...rows].map((r) => `| ${r.map(cell).join(" | ")} |`).join("\n");
