import { said } from "../base/said.ts";
import { underTypeId } from "../records/itemTypeRecord.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { freeId } from "../base/freeId.ts";
import { putBack } from "../model/kept.ts";
import { fail, type Outcome, type Problem, problem } from "../model/problem.ts";
import { wholeFileOf } from "../records/auditOf.ts";
import { emptyBriefRecord } from "../records/briefRecord.ts";
import { inUse, isOffer } from "../records/keptCopy.ts";
import { same } from "../records/merge.ts";
import { readRecord, recordSchema, type WorkspaceRecord } from "../records/records.ts";
import { integrity } from "./integrity.ts";
import { listProblems } from "./listFile.ts";

/** Everything a user has, in one file. Records sorted by id, so equal content is equal text. */
export const workspaceSchema = strictObject(() => ({
  format: z.literal("wide-sieve.workspace"),
  version: z.literal(1),
  records: z.array(recordSchema),
}));

interface WorkspaceFile {
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
    records: records.map((r) => putBack(r)).sort(byId),
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

/** A workspace that was read, and what was mended on the way. */
export interface WorkspaceRead {
  readonly records: readonly WorkspaceRecord[];
  /** What an earlier version could write and this one does not; told to the user. */
  readonly mended: readonly Problem[];
}

/** A workspace from parsed JSON: all of it, or what is wrong. */
export function parseWorkspace(json: unknown, catalogue: Catalogue): Outcome<WorkspaceRead> {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    return fail([problem("", "no-workspace")]);
  const { format, version, records } = json as Record<string, unknown>;
  if (format !== "wide-sieve.workspace")
    return fail([
      problem("format", "another-format", {
        format: said(format),
        wanted: "wide-sieve.workspace",
      }),
    ]);
  if (version !== 1)
    return fail([problem("version", "newer-file", { version: said(version), reads: 1 })]);
  if (!Array.isArray(records)) return fail([problem("records", "no-records")]);
  const { good, problems } = readAll(records);
  if (problems.length > 0) return fail(problems);
  const mended: Problem[] = [];
  const whole = giveBriefs(tellTypesApart(good, mended), mended);
  const wrong = contentProblems(whole, catalogue);
  return wrong.length > 0
    ? fail(wrong)
    : { ok: true, value: { records: whole.sort(byId), mended } };
}

function readAll(records: readonly unknown[]): { good: WorkspaceRecord[]; problems: Problem[] } {
  const good: WorkspaceRecord[] = [];
  const problems: Problem[] = [];
  const ids = new Set<string>();
  records.forEach((raw, i) => {
    const read = readRecord(raw);
    if (!read.ok) {
      const at = (where: string) => `records[${i}]${where ? `.${where}` : ""}`;
      problems.push(...read.problems.map((p) => ({ ...p, where: at(p.where) })));
      return;
    }
    for (const r of read.value) {
      if (ids.has(r.id)) problems.push(problem(r.id, "twice", { id: r.id }));
      ids.add(r.id);
      good.push(r);
    }
  });
  return { good, problems };
}

/**
 * Earlier versions could keep two own types of one id, of which the last record was looked up: the
 * others get an id of their own, and what names the type goes on meaning the same.
 */
function tellTypesApart(records: readonly WorkspaceRecord[], mended: Problem[]): WorkspaceRecord[] {
  const types = inUse(records, "itemType");
  const taken = new Set(types.map((t) => t.itemType.id));
  const lookedUp = new Map(types.map((t) => [t.itemType.id, t]));
  return records.flatMap((r) => {
    if (r.kind !== "itemType" || isOffer(r.id)) return [r];
    const first = lookedUp.get(r.itemType.id)!;
    if (first === r) return [r];
    if (same(first.itemType, r.itemType)) return [];
    const id = freeId(r.itemType.id, taken);
    taken.add(id);
    mended.push(problem(r.id, "type-told-apart", { was: r.itemType.id, is: id }));
    return [underTypeId(r, id)];
  });
}

/** A kit whose brief is not in the file gets an empty one. */
function giveBriefs(records: readonly WorkspaceRecord[], mended: Problem[]): WorkspaceRecord[] {
  const ids = new Set(records.map((r) => r.id));
  const given = new Map<string, WorkspaceRecord>();
  for (const r of records) {
    if (r.kind !== "kit" || ids.has(r.briefId) || given.has(r.briefId)) continue;
    given.set(r.briefId, { ...emptyBriefRecord("none"), id: r.briefId });
    mended.push(problem(r.id, "brief-given"));
  }
  return [...records, ...given.values()];
}

/** Whole-file checks: every kit and list is right with the briefs and own types beside it. */
function contentProblems(records: readonly WorkspaceRecord[], catalogue: Catalogue): Problem[] {
  const own = inUse(records, "itemType").map((r) => r.itemType);
  const briefs = new Map(records.map((r) => [r.id, r]));
  return records.flatMap((r) => {
    const brief = r.kind === "kit" ? briefs.get(r.briefId) : undefined;
    if (r.kind === "kit" && brief?.kind !== "brief")
      return [problem(r.id, "no-brief", { id: r.briefId })];
    const found =
      r.kind === "list"
        ? listProblems(r.list, own, catalogue)
        : r.kind === "kit" && brief?.kind === "brief"
          ? integrity(wholeFileOf(r, brief.brief, own), catalogue)
          : [];
    return found.map((p) => ({ ...p, where: `${r.id}: ${p.where}` }));
  });
}
