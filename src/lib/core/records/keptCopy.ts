import type { RecordKind, RecordOf, WorkspaceRecord } from "./records.ts";

/**
 * What becomes of my version of a record where another window changed the same thing: theirs stays,
 * mine is kept. How, by kind:
 * - `copy`: under an id of its own, seen on the shelf like any other.
 * - `offer`: beside the one in use, not in use itself until the user takes it. For what there is only
 *   one of (settings, the price book) and what is looked up by a name of its own (an alias, a
 *   barcode, an item type): a second one would answer in its place.
 */
export const CONFLICT_POLICY: Readonly<Record<RecordKind, "copy" | "offer">> = {
  kit: "copy",
  brief: "copy",
  list: "copy",
  set: "copy",
  photo: "copy",
  priceBook: "offer",
  settings: "offer",
  itemType: "offer",
  alias: "offer",
  barcode: "offer",
  habit: "offer",
  drill: "offer",
};

/** Nothing that a person or a file names is spelt so. */
const OFFER = "~offered~";

/** Whether a record lies beside the one in use, to be taken or thrown away. */
export const isOffer = (id: string): boolean => id.includes(OFFER);
/** The id of the record that an offer would replace. */
export const offeredFor = (id: string): string => id.slice(0, id.indexOf(OFFER));
export const offerId = (id: string, key: string): string => `${id}${OFFER}${key}`;

/** An offer as the record in use. */
export const takenOffer = (offer: WorkspaceRecord): WorkspaceRecord => ({
  ...offer,
  id: offeredFor(offer.id),
});

/** My version under an id of its own, told apart by its name. `key` makes the new id. */
export function keptCopy(mine: WorkspaceRecord, key: string): WorkspaceRecord {
  if (CONFLICT_POLICY[mine.kind] === "offer") return { ...mine, id: offerId(mine.id, key) };
  return renamed({ ...mine, id: `${mine.kind}:${key}` }, key);
}

const YOURS = ", your version";

function renamed(copy: WorkspaceRecord, key: string): WorkspaceRecord {
  switch (copy.kind) {
    case "kit":
      return { ...copy, kit: { ...copy.kit, name: yours(copy.kit.name) } };
    case "list":
      return { ...copy, list: { ...copy.list, id: `own-${key}`, title: yours(copy.list.title) } };
    case "set":
      return { ...copy, title: yours(copy.title) };
    default:
      return copy;
  }
}

const yours = (name: string) => `${name.slice(0, 300 - YOURS.length)}${YOURS}`;

/** Records of one kind that are in use, by id. */
export function inUse<K extends RecordKind>(
  records: Iterable<WorkspaceRecord>,
  kind: K,
): RecordOf<K>[] {
  const own: RecordOf<K>[] = [];
  for (const r of records) if (r.kind === kind && !isOffer(r.id)) own.push(r as RecordOf<K>);
  return own.sort((a, b) => (a.id < b.id ? -1 : 1));
}
