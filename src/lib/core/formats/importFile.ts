import type { Catalogue } from "../catalogue/catalogue.ts";
import { defined } from "../base/defined.ts";
import { emptyBriefRecord } from "../records/briefRecord.ts";
import type { Kept } from "../model/kept.ts";
import type { ItemType } from "../model/itemType.ts";
import { fail, type Outcome, problem } from "../model/problem.ts";
import { itemTypeRecord } from "../records/itemTypeRecord.ts";
import { emptyKitRecord } from "../records/kitRecord.ts";
import { listRecord } from "../records/listRecord.ts";
import { parseAudit } from "./auditFile.ts";
import { parseListFile } from "./listFile.ts";
import { parseWorkspace, type WorkspaceRead } from "./workspaceFile.ts";

export const MB = 1024 * 1024;
/** No real file comes near it; a larger one is a mistake and would freeze the page. */
export const LARGEST_FILE_MB = 50;

/**
 * The records in a file of ours: a workspace, an audit or a list, told by its `format`.
 * @param newKey a short random text for the ids of what has none
 */
export function readImport(
  text: string,
  newKey: () => string,
  catalogue: Catalogue,
): Outcome<WorkspaceRead> {
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch (error) {
    return fail([problem("", "no-json", { why: (error as Error).message })]);
  }
  switch ((json as { format?: unknown } | null)?.format) {
    case "wide-sieve.audit":
      return readAudit(json, newKey, catalogue);
    case "wide-sieve.list":
      return readList(json, newKey, catalogue);
    default:
      return parseWorkspace(json, catalogue);
  }
}

const typeRecords = (types: readonly ItemType[] | undefined) => (types ?? []).map(itemTypeRecord);
const withKept = <R extends object>(record: R, kept: Kept): R =>
  kept.length > 0 ? { ...record, kept } : record;

function readAudit(
  json: unknown,
  newKey: () => string,
  catalogue: Catalogue,
): Outcome<WorkspaceRead> {
  const read = parseAudit(json, catalogue);
  if (!read.ok) return read;
  const { brief, kit, list, houseRules, itemTypes, events, incidents, byChance, kept } = read.value;
  const isBriefs = (k: Kept[number]) => k.at[0] === "brief";
  const briefKept = (kept ?? []).filter(isBriefs);
  const briefRecord = withKept({ ...emptyBriefRecord(newKey()), brief }, briefKept);
  const kitRecord = withKept(
    {
      ...emptyKitRecord(newKey(), kit.name, briefRecord.id, list),
      kit,
      ...(events && events.length > 0 ? { events } : {}),
      houseRules: houseRules ?? {},
      ...defined({ incidents, byChance }),
    },
    (kept ?? []).filter((k) => !isBriefs(k)),
  );
  const records = [briefRecord, kitRecord, ...typeRecords(itemTypes)];
  return { ok: true, value: { records, mended: [] } };
}

function readList(
  json: unknown,
  newKey: () => string,
  catalogue: Catalogue,
): Outcome<WorkspaceRead> {
  const read = parseListFile(json, catalogue);
  if (!read.ok) return read;
  const { list, itemTypes } = read.value;
  const records = [listRecord(newKey(), list), ...typeRecords(itemTypes)];
  return { ok: true, value: { records, mended: [] } };
}
