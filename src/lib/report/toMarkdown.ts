import type { Block } from "./blocks.ts";
import { markdownLine, markdownText } from "./markdownText.ts";
import { markdownTable } from "./markdownTable.ts";

/** A report as Markdown. Pictures are told by their words; photographs are left to the other forms. */
export const toMarkdown = (blocks: readonly Block[]): string =>
  blocks
    .flatMap((b): string[] => {
      switch (b.kind) {
        case "heading":
          return [`${"#".repeat(b.level)} ${markdownLine(b.text)}`];
        case "text":
          return [b.strong ? `**${markdownLine(b.text)}**` : markdownText(b.text)];
        case "list":
          return [b.items.map((i) => `- ${markdownLine(i)}`).join("\n")];
        case "table":
          return [markdownTable(b.head, b.rows)];
        case "facts":
          return [markdownTable(["", ""], b.rows)];
        case "picture":
          return [`_${markdownLine(b.alt)}_`];
        case "photos":
          return [b.items.map((p) => `- photograph: ${markdownLine(p.caption)}`).join("\n")];
        case "new-page":
          return [];
      }
    })
    .join("\n\n") + "\n";
