import Papa from "papaparse";
import type { ColumnRole } from "./columnRole.ts";
import { hint } from "./columnsByContent.ts";
import { roleOf } from "./headingRoles.ts";
import { blockAround } from "./layout.ts";
import { closedUp, LINE_END, plainSigns } from "./plainSigns.ts";
import { THREE_LETTERS } from "./quick.ts";
import { withoutRules } from "./ruledBlanks.ts";

/** A delimited file as a table, with what its columns seem to be. */
export interface ColumnGuess {
  readonly rows: readonly (readonly string[])[];
  /** One a column; null: not recognised. */
  readonly roles: readonly (ColumnRole | null)[];
  /** Whether the first row is a heading that tells item and quantity. */
  readonly clear: boolean;
  /** Whether the first row is a heading, where that is known. */
  readonly hasHeading?: boolean;
}

/** Looks at a delimited text; null when it is no table of two columns or more. */
export function guessColumns(text: string): ColumnGuess | null {
  const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const rows = parsed.data.filter((r) => r.some((c) => c.trim() !== ""));
  const width = Math.max(0, ...rows.slice(0, 20).map((r) => r.length));
  if (rows.length < 2 || width < 2) return null;
  const roles = Array.from({ length: width }, (_, i) => roleOf(rows[0]![i] ?? ""));
  return { rows, roles, clear: roles.includes("text") && roles.includes("quantity") };
}

/** The table of a card that a line lies in, with the text above and below it; null: it lies in none. */
export function columnsOfCard(
  written: string,
  line: number,
): { guess: ColumnGuess; around: readonly [above: string, below: string] } | null {
  const { text, lineOf } = closedUp(plainSigns(written));
  const lines = withoutRules(text.split(LINE_END));
  const at = lineOf === null ? line - 1 : lines.findIndex((_, i) => lineOf(i + 1) === line);
  const block = at < 0 ? null : blockAround(lines, at);
  if (!block) return null;
  const { rows, from, to } = block;
  const named = rows[0]!.map(roleOf);
  const words = (i: number) => rows.filter((r) => THREE_LETTERS.test(r[i] ?? "")).length;
  const wordiest = named.reduce((best, _, i) => (words(i) > words(best) ? i : best), 0);
  // The column with words names the item; which one counts is what is asked.
  const roles = named.map((role, i) => role ?? (i === wordiest ? ("text" as const) : null));
  // "Item  01/11  08/11": days are numbers, and head columns all the same.
  const hasHeading = named.includes("text") || !/\d/.test(rows[0]!.join(""));
  return {
    guess: {
      rows,
      roles: hasHeading ? withLastCount(rows[0]!, roles) : roles,
      clear: false,
      hasHeading,
    },
    around: [lines.slice(0, from).join("\n"), lines.slice(to).join("\n")],
  };
}

/** Of columns that count at several times the last is proposed, as it was read; what is left out is no choice. */
function withLastCount(
  heading: readonly string[],
  roles: readonly (ColumnRole | null)[],
): readonly (ColumnRole | null)[] {
  const kept = roles.map((role) => (role === "skip" ? null : role));
  const counted = roles.includes("quantity")
    ? -1
    : heading.findLastIndex((cell, i) => roles[i] === null && hint(cell) === "quantity");
  return kept.map((role, i) => (i === counted ? "quantity" : role));
}

const HEADING: Readonly<Record<ColumnRole, string>> = {
  text: "Item",
  quantity: "Qty",
  packs: "Packs",
  loose: "Loose",
  there: "Present",
  size: "Size",
  unit: "Unit",
  note: "Notes",
  skip: "Code",
};

/** The table as a card that the reader understands: the columns as said, one row a line. */
export function mappedCard(
  rows: readonly (readonly string[])[],
  roles: readonly (ColumnRole | null)[],
  hasHeading: boolean,
): string {
  const kept = roles.flatMap((role, i) => (role === null || role === "skip" ? [] : [{ role, i }]));
  const clean = (cell: string | undefined) => (cell ?? "").replace(/[\t\r\n]+/g, " ").trim();
  const body = hasHeading ? rows.slice(1) : rows;
  return [
    kept.map((k) => HEADING[k.role]).join("\t"),
    ...body.map((r) => kept.map((k) => clean(r[k.i])).join("\t")),
  ].join("\n");
}
