import Papa from "papaparse";
import { fail, problem, type Outcome } from "../model/problem.ts";

/**
 * Rows of a CSV file with a heading, by column; empty rows are left out.
 * @param wanted columns that must be there
 * @param columns all that are read, for the message
 */
export function headedRows(
  text: string,
  wanted: readonly string[],
  columns: readonly string[],
): Outcome<Record<string, string>[]> {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ""), {
    header: true,
    skipEmptyLines: "greedy",
  });
  const twice = Object.values(parsed.meta.renamedHeaders ?? {}).find((c) => columns.includes(c));
  if (twice !== undefined) return fail([problem("header", "column-twice", { column: twice })]);
  const open = parsed.errors.find((e) => e.type === "Quotes");
  if (open) return fail([problem(`row ${(open.row ?? 0) + 2}`, "open-quote")]);
  const missing = wanted.filter((c) => !parsed.meta.fields?.includes(c));
  if (missing.length === 0) return { ok: true, value: parsed.data };
  return fail([
    problem("header", "prices-lack-column", {
      missing: missing.map((m) => `'${m}'`).join(", "),
      expected: columns.join(","),
    }),
  ]);
}
