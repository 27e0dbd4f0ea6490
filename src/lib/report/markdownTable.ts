const cell = (text: string): string => text.replaceAll("|", "\\|").replaceAll(/\s*\n\s*/g, " ");

/** A Markdown table; bars and line breaks in cells are made harmless. */
export const markdownTable = (
  head: readonly string[],
  rows: readonly (readonly string[])[],
): string =>
  [head, head.map(() => "---"), ...rows].map((r) => `| ${r.map(cell).join(" | ")} |`).join("\n");
