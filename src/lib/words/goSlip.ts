import { day } from "./display.ts";

/** What the slip says that goes along with a kit. */
export interface GoSlip {
  readonly kit: string;
  readonly on: string;
  readonly to: string;
  readonly seal: string | null;
  readonly by: string;
  readonly grade: string | null;
  readonly checked: readonly string[];
}

/** A dated slip in Markdown: who looked at what, under which seal, for which days. */
export const goSlip = (s: GoSlip): string =>
  [
    `**${s.kit}**, looked at on ${day(s.on)} for the days to ${day(s.to)}.`,
    s.seal === null ? "Not sealed." : `Seal ${s.seal}, whole.`,
    s.grade === null ? "" : `Guaranteed after these checks: ${s.grade}.`,
    s.checked.length === 0 ? "" : `Looked at: ${s.checked.join("; ")}.`,
    s.by === "" ? "By: ____________________" : `By: ${s.by}`,
  ]
    .filter((t) => t !== "")
    .join("\n\n") + "\n";
