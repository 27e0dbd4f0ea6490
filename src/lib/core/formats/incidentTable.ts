import Papa from "papaparse";
import { incidentsSchema, type Incidents } from "../model/incident.ts";
import { headedRows } from "./headedCsv.ts";
import { fail, problem, zodProblems, type Outcome } from "../model/problem.ts";
import { cellNumber, defused, undefused } from "./cells.ts";

/** Assumptions as a table, one row an ask; what a kind says of itself stands in its first row. */
const COLUMNS = [
  "id",
  "label",
  "category",
  "per1000",
  "low",
  "high",
  "spread",
  "leaves",
  "helpers",
  "function",
  "units",
  "againEveryH",
  "againUnits",
] as const;

/** `1:0.5 2:0.5`. */
const written = (d: readonly (readonly [number, number])[] | undefined): string =>
  (d ?? []).map(([units, p]) => `${units}:${p}`).join(" ");

export function writeIncidents({ kinds }: Incidents): string {
  const rows = kinds.flatMap((k) =>
    (k.asks.length > 0 ? k.asks : [null]).map((a, i) => {
      const own = i === 0;
      const cell = (v: string | number | undefined) => (v === undefined ? "" : defused(String(v)));
      return [
        cell(k.id),
        ...(own
          ? [k.label, k.category, k.per1000, k.low, k.high, k.spread, k.leaves, k.helpers].map(cell)
          : Array.from({ length: 8 }, () => "")),
        cell(a?.function),
        a ? written(a.units) : "",
        cell(a?.againEveryH),
        written(a?.againUnits),
      ];
    }),
  );
  return Papa.unparse([[...COLUMNS], ...rows], { newline: "\r\n" });
}

/** Assumptions from CSV: all of them, or what is wrong and none. */
export function parseIncidents(text: string): Outcome<Incidents> {
  const parsed = headedRows(text, ["id", "category", "per1000"], COLUMNS);
  if (!parsed.ok) return parsed;
  const kinds = new Map<string, Record<string, unknown> & { asks: unknown[] }>();
  const read = (row: Record<string, string>, k: (typeof COLUMNS)[number]) =>
    undefused((row[k] ?? "").trim());
  for (const [i, row] of parsed.value.entries()) {
    const id = read(row, "id");
    const kind = kinds.get(id) ?? { id, asks: [] };
    for (const k of ["label", "category"] as const) if (read(row, k)) kind[k] = read(row, k);
    for (const k of ["per1000", "low", "high", "spread", "leaves", "helpers"] as const) {
      if (!read(row, k)) continue;
      const n = cellNumber(read(row, k));
      if (n === null)
        return fail([problem(`row ${i + 2}, ${k}`, "no-number", { text: read(row, k) })]);
      kind[k] = n;
    }
    if (read(row, "function")) {
      const again = cellNumber(read(row, "againEveryH"));
      kind.asks.push({
        function: read(row, "function"),
        units: distributionOf(read(row, "units")),
        ...(again === null ? {} : { againEveryH: again }),
        ...(read(row, "againUnits") ? { againUnits: distributionOf(read(row, "againUnits")) } : {}),
      });
    }
    kinds.set(id, kind);
  }
  const checked = incidentsSchema.safeParse({ helpersLeave: false, kinds: [...kinds.values()] });
  return checked.success ? { ok: true, value: checked.data } : fail(zodProblems(checked.error));
}

const distributionOf = (text: string): [number, number][] =>
  text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((part): [number, number] => {
      const [units, p] = part.split(":").map(Number);
      return [units ?? NaN, p ?? 1];
    });
