import { lineSchema, type Line } from "../model/kit.ts";
import { fail, problem, zodProblems, type Outcome, type Problem } from "../model/problem.ts";
import { amountOf } from "./amount.ts";
import { defused, undefused } from "./cells.ts";

/** Columns of a kit's contents as a table; sizes in mm as `75x4000`. */
const CONTENTS_COLUMNS = [
  ...["id", "itemType", "text", "claimed", "counted", "sizeMm", "volumeMl", "dosesPerPiece"],
  ...["strengthMg", "latexFree", "expires", "condition", "location", "reachS", "labelled"],
  ...["findable", "lot", "note"],
] as const;
const NUMBERS = new Set("claimed counted volumeMl dosesPerPiece strengthMg reachS".split(" "));
const YES_NO = new Set(["latexFree", "labelled", "findable"]);

/** Lines as rows of cells, headings first. */
export const contentsRows = (lines: readonly Line[]): (string | number)[][] => [
  [...CONTENTS_COLUMNS],
  ...lines.map((line) =>
    CONTENTS_COLUMNS.map((c): string | number => {
      const value = (line as Readonly<Record<string, unknown>>)[c];
      if (Array.isArray(value)) return value.join("x");
      if (typeof value === "boolean") return value ? "yes" : "no";
      return typeof value === "number" ? value : typeof value === "string" ? defused(value) : "";
    }),
  ),
];

/** Lines from rows of cells under a heading. All of them, or what is wrong with row and column. */
export function contentsFromRows(
  rows: readonly (readonly string[])[],
  isType: (id: string) => boolean,
): Outcome<Line[]> {
  const [heading = [], ...body] = rows;
  const problems: Problem[] = [];
  const lines = body
    .filter((row) => row.some((cell) => cell.trim() !== ""))
    .map((row, i): Line | null => {
      const at = `row ${i + 2}`;
      const line: Record<string, unknown> = { id: `line-${i + 1}` };
      heading.forEach((column, k) => {
        const text = undefused(row[k] ?? "").trim();
        if (text !== "") line[column] = valueOf(column, text);
      });
      const checked = lineSchema.safeParse(line);
      if (!checked.success) {
        for (const p of zodProblems(checked.error))
          problems.push({ ...p, where: `${at}, ${p.where}` });
        return null;
      }
      const { itemType } = checked.data;
      if (itemType !== null && !isType(itemType))
        problems.push(problem(`${at}, itemType`, "no-type", { type: itemType }));
      return checked.data;
    });
  return problems.length > 0
    ? fail(problems)
    : { ok: true, value: lines.filter((l) => l !== null) };
}

function valueOf(column: string, text: string): unknown {
  if (NUMBERS.has(column)) return amountOf(text) ?? text;
  if (YES_NO.has(column)) return text === "yes" ? true : text === "no" ? false : text;
  return column === "sizeMm" ? text.split(/[x×]/i).map(Number) : text;
}

/** Whether a row heads a table of contents. */
export const isContentsHeading = (row: readonly string[]): boolean =>
  row.includes("itemType") && (row.includes("counted") || row.includes("claimed"));
