import { said } from "../base/said.ts";
import { z } from "zod";
import { readKeeping } from "../model/kept.ts";
import { fail, type Outcome, type Problem, problem } from "../model/problem.ts";
import { ALIAS_MIGRATIONS, aliasRecordSchema } from "./aliasRecord.ts";
import { BARCODE_MIGRATIONS, barcodeRecordSchema } from "./barcodeRecord.ts";
import { BRIEF_MIGRATIONS, briefRecordSchema } from "./briefRecord.ts";
import { DRILL_MIGRATIONS, drillRecordSchema } from "./drillRecord.ts";
import { HABIT_MIGRATIONS, habitRecordSchema } from "./habitRecord.ts";
import { ITEM_TYPE_MIGRATIONS, itemTypeRecordSchema } from "./itemTypeRecord.ts";
import { KIT_MIGRATIONS, kitRecordSchema } from "./kitRecord.ts";
import { LIST_MIGRATIONS, listRecordSchema } from "./listRecord.ts";
import { PHOTO_MIGRATIONS, photoRecordSchema } from "./photoRecord.ts";
import { PRICE_BOOK_MIGRATIONS, priceBookRecordSchema } from "./priceBookRecord.ts";
import { versionAfter, type Migration, type OldRecord } from "./record.ts";
import { SET_MIGRATIONS, setRecordSchema } from "./setRecord.ts";
import { SETTINGS_MIGRATIONS, settingsRecordSchema } from "./settingsRecord.ts";

/** What a workspace is made of: every kind of record, each a file of this folder. */
export const recordSchema = z.discriminatedUnion("kind", [
  kitRecordSchema,
  briefRecordSchema,
  photoRecordSchema,
  priceBookRecordSchema,
  itemTypeRecordSchema,
  aliasRecordSchema,
  barcodeRecordSchema,
  habitRecordSchema,
  listRecordSchema,
  settingsRecordSchema,
  setRecordSchema,
  drillRecordSchema,
]);
export type WorkspaceRecord = z.infer<typeof recordSchema>;
export type RecordKind = WorkspaceRecord["kind"];
export type RecordOf<K extends RecordKind> = Extract<WorkspaceRecord, { kind: K }>;

interface KindOfRecord<K extends RecordKind> {
  readonly schema: z.ZodType<RecordOf<K>>;
  /** The ledger: the step at index i brings version i + 1 to i + 2. */
  readonly migrations: readonly Migration[];
}

export const RECORD_KINDS: { readonly [K in RecordKind]: KindOfRecord<K> } = {
  kit: { schema: kitRecordSchema, migrations: KIT_MIGRATIONS },
  brief: { schema: briefRecordSchema, migrations: BRIEF_MIGRATIONS },
  photo: { schema: photoRecordSchema, migrations: PHOTO_MIGRATIONS },
  priceBook: { schema: priceBookRecordSchema, migrations: PRICE_BOOK_MIGRATIONS },
  itemType: { schema: itemTypeRecordSchema, migrations: ITEM_TYPE_MIGRATIONS },
  alias: { schema: aliasRecordSchema, migrations: ALIAS_MIGRATIONS },
  barcode: { schema: barcodeRecordSchema, migrations: BARCODE_MIGRATIONS },
  habit: { schema: habitRecordSchema, migrations: HABIT_MIGRATIONS },
  list: { schema: listRecordSchema, migrations: LIST_MIGRATIONS },
  settings: { schema: settingsRecordSchema, migrations: SETTINGS_MIGRATIONS },
  set: { schema: setRecordSchema, migrations: SET_MIGRATIONS },
  drill: { schema: drillRecordSchema, migrations: DRILL_MIGRATIONS },
};

/** The version that records of a kind are written in. */
export const currentVersion = (kind: RecordKind): number =>
  versionAfter(RECORD_KINDS[kind].migrations);

/**
 * A record from stored or imported JSON: brought up to date, then checked strictly.
 * @returns the record itself first, then what its migrations split off
 */
export function readRecord(
  json: unknown,
): Outcome<readonly [WorkspaceRecord, ...WorkspaceRecord[]]> {
  if (typeof json !== "object" || json === null) return fail([problem("", "no-record")]);
  const raw = json as OldRecord;
  const kind = raw["kind"];
  if (typeof kind !== "string" || !isKind(kind))
    return fail([problem("kind", "no-kind", { kind: said(kind) })]);
  const { schema, migrations } = RECORD_KINDS[kind];
  const from = raw["version"];
  const wrong = versionProblem(kind, from);
  if (wrong) return fail([wrong]);
  let record = raw;
  const splitOff: OldRecord[] = [];
  for (const step of migrations.slice((from as number) - 1)) {
    splitOff.push(...(step.splitOff?.(record) ?? []));
    record = step.up(record);
  }
  const read = readKeeping(schema as z.ZodType<WorkspaceRecord>, {
    ...record,
    version: currentVersion(kind),
  });
  if (!read.ok) return read;
  const others: WorkspaceRecord[] = [];
  for (const each of splitOff) {
    const other = readRecord(each);
    if (!other.ok) return other;
    others.push(...other.value);
  }
  return { ok: true, value: [read.value, ...others] };
}

const isKind = (kind: string): kind is RecordKind => Object.hasOwn(RECORD_KINDS, kind);

function versionProblem(kind: RecordKind, from: unknown): Problem | null {
  if (typeof from !== "number" || !Number.isInteger(from) || from < 1)
    return problem("version", "no-version", { version: said(from) });
  const current = currentVersion(kind);
  return from > current ? problem("version", "newer-record", { from, kind, current }) : null;
}
