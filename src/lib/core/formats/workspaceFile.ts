import { z } from "zod";
import {
  readRecord,
  recordSchema,
  type KitRecord,
  type WorkspaceRecord,
} from "../records/records.ts";
import { integrity, type AuditFile, type Brief } from "./auditFile.ts";
import type { ItemType } from "../catalogue/itemType.ts";
import { listProblems } from "./listFile.ts";
import { fail, type Outcome, type Problem } from "./problem.ts";

/** Everything a user has, in one file. Records sorted by id, so equal content is equal text. */
export const workspaceSchema = z.looseObject({
  format: z.literal("wide-sieve.workspace"),
  version: z.literal(1),
  records: z.array(recordSchema),
});

export interface WorkspaceFile {
  readonly format: "wide-sieve.workspace";
  readonly version: 1;
  readonly records: readonly WorkspaceRecord[];
}

const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** The workspace as text: keys sorted, so that the same content is the same bytes. */
export function writeWorkspace(records: readonly WorkspaceRecord[]): string {
  const file: WorkspaceFile = {
    format: "wide-sieve.workspace",
    version: 1,
    records: [...records].sort(byId),
  };
  return JSON.stringify(sortKeys(file), null, 1) + "\n";
}

function sortKeys(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sortKeys);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, sortKeys(v)]),
  );
}

/** A workspace from parsed JSON: all of it, or what is wrong. */
export function parseWorkspace(json: unknown): Outcome<readonly WorkspaceRecord[]> {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    return fail([{ where: "", what: "is not a workspace file: a JSON object is expected" }]);
  const { format, version, records } = json as Record<string, unknown>;
  if (format !== "wide-sieve.workspace")
    return fail([{ where: "format", what: `is '${String(format)}', not 'wide-sieve.workspace'` }]);
  if (version !== 1)
    return fail([
      {
        where: "version",
        what: `is ${String(version)}; this program reads 1: open the file with a newer Wide Sieve`,
      },
    ]);
  if (!Array.isArray(records))
    return fail([{ where: "records", what: "is missing: the file may be cut short" }]);
  const problems: Problem[] = [];
  const good: WorkspaceRecord[] = [];
  records.forEach((raw, i) => {
    const read = readRecord(raw);
    if (read.ok) good.push(read.value);
    else
      problems.push(
        ...read.problems.map((p) => ({
          where: `records[${i}]${p.where ? `.${p.where}` : ""}`,
          what: p.what,
        })),
      );
  });
  const ids = new Set<string>();
  good.forEach((r) => {
    if (ids.has(r.id)) problems.push({ where: r.id, what: "this id stands twice" });
    ids.add(r.id);
  });
  const own = good.flatMap((r) => (r.kind === "itemType" ? [r.itemType] : []));
  for (const r of good) {
    if (r.kind === "list")
      problems.push(
        ...listProblems(r.list, own).map((p) => ({ where: `${r.id}: ${p.where}`, what: p.what })),
      );
    if (r.kind !== "kit") continue;
    const brief = good.find((b) => b.id === r.briefId);
    if (brief?.kind !== "brief")
      problems.push({ where: r.id, what: `its brief '${r.briefId}' is not in the file` });
    else
      problems.push(
        ...integrity(auditOf(r, brief.brief, own)).map((p) => ({
          where: `${r.id}: ${p.where}`,
          what: p.what,
        })),
      );
  }
  return problems.length > 0 ? fail(problems) : { ok: true, value: good.sort(byId) };
}

/** The audit file of a kit record: what is judged, self-contained. */
export function auditOf(record: KitRecord, brief: Brief, own: readonly ItemType[]): AuditFile {
  const used = new Set(record.kit.lines.map((l) => l.itemType));
  for (const n of record.list.needs) n.accept?.forEach((a) => used.add(a.itemType));
  brief.carriedElsewhere?.forEach((e) => used.add(e.itemType));
  const itemTypes = own.filter((t) => used.has(t.id));
  return {
    format: "wide-sieve.audit",
    version: 1,
    brief,
    houseRules: record.houseRules,
    list: record.list,
    ...(itemTypes.length > 0 ? { itemTypes } : {}),
    kit: record.kit,
  };
}
