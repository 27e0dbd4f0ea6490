import { freeId } from "../base/freeId.ts";
import type { Brief } from "../model/brief.ts";
import type { Change, KitEvent } from "../model/event.ts";
import type { ReferenceList } from "../model/list.ts";
import type { ItemType } from "../model/itemType.ts";
import { underTypeId, type ItemTypeRecord } from "./itemTypeRecord.ts";
import { CONFLICT_POLICY, isOffer, offeredFor, offerId } from "./keptCopy.ts";
import { same } from "./merge.ts";
import type { WorkspaceRecord } from "./records.ts";

/** Kinds of which one record holds for everything: an imported one is offered, never put in use unasked. */
const HOLDS_FOR_ALL: ReadonlySet<WorkspaceRecord["kind"]> = new Set([
  "priceBook",
  "settings",
  "drill",
]);

/** New names for what is renamed on the way in. */
interface Renamed {
  readonly records: Map<string, string>;
  readonly lists: Map<string, string>;
  readonly types: Map<string, string>;
}

/**
 * Imported records as they are to be put beside what is here: nothing here is replaced, the same
 * content is not taken in twice, what is renamed is renamed everywhere it is spoken of, and what
 * would answer in place of a thing in use is offered instead (keptCopy.ts).
 * @param newKey a short random text, different each time
 */
export function takeIn(
  incoming: readonly WorkspaceRecord[],
  here: ReadonlyMap<string, WorkspaceRecord>,
  newKey: () => string,
): WorkspaceRecord[] {
  const names: Renamed = { records: new Map(), lists: new Map(), types: new Map() };
  const mine = ownTypes(here.values());
  nameTypes(incoming, mine, names);
  const records = incoming
    .map((r) => (r.kind === "itemType" ? withTypes(r, names) : r))
    .filter((r) => !isKnownType(r, mine));
  const isHere = (r: WorkspaceRecord) => same(here.get(r.id), withNames(r, names));
  // A record that speaks of a renamed one is another record too, and so on until nothing changes.
  for (let before = -1; before < names.records.size;) {
    before = names.records.size;
    for (const r of records)
      if (!names.records.has(r.id) && !isHere(r)) nameRecord(r, here, names, newKey);
  }
  return records.filter((r) => !isHere(r)).map((r) => withNames(r, names));
}

const ownTypes = (records: Iterable<WorkspaceRecord>) =>
  [...records].flatMap((r) => (r.kind === "itemType" && !isOffer(r.id) ? [r.itemType] : []));

/** Two audits may define an own type of the same id differently: the newcomer gets another id. */
function nameTypes(
  incoming: readonly WorkspaceRecord[],
  mine: readonly ItemType[],
  { types }: Renamed,
): void {
  const mineById = new Map(mine.map((t) => [t.id, t]));
  const taken = new Set([...mineById.keys(), ...ownTypes(incoming).map((t) => t.id)]);
  for (const type of ownTypes(incoming)) {
    const known = mineById.get(type.id);
    if (!known || same(known, type)) continue;
    const twin = [...mineById.values()].find((t) => same({ ...t, id: type.id }, type));
    const id = twin?.id ?? freeId(type.id, taken);
    taken.add(id);
    types.set(type.id, id);
  }
}

const isKnownType = (r: WorkspaceRecord, mine: readonly ItemType[]): boolean =>
  r.kind === "itemType" && !isOffer(r.id) && mine.some((t) => same(t, r.itemType));

function nameRecord(
  r: WorkspaceRecord,
  here: ReadonlyMap<string, WorkspaceRecord>,
  { records, lists }: Renamed,
  newKey: () => string,
): void {
  if (HOLDS_FOR_ALL.has(r.kind) && here.size > 0 && !isOffer(r.id)) {
    records.set(r.id, offerId(r.id, newKey()));
    return;
  }
  if (!here.has(r.id)) return;
  if (CONFLICT_POLICY[r.kind] === "offer") {
    records.set(r.id, offerId(isOffer(r.id) ? offeredFor(r.id) : r.id, newKey()));
    return;
  }
  const key = newKey();
  records.set(r.id, `${r.kind}:${key}`);
  if (r.kind === "list") lists.set(r.list.id, `own-${key}`);
}

/** An item type record under its type's new id. */
const withTypes = (r: ItemTypeRecord, { types }: Renamed): ItemTypeRecord => {
  const id = types.get(r.itemType.id);
  return id === undefined || isOffer(r.id) ? r : underTypeId(r, id);
};

/** The record with every reference to what was renamed brought up to date. */
function withNames(r: WorkspaceRecord, names: Renamed): WorkspaceRecord {
  const record = (id: string) => names.records.get(id) ?? id;
  const type = (id: string) => names.types.get(id) ?? id;
  const listId = (id: string) => names.lists.get(id) ?? id;
  const id = record(r.id);
  switch (r.kind) {
    case "kit":
      return {
        ...r,
        id,
        briefId: record(r.briefId),
        ...(r.secondOf === undefined ? {} : { secondOf: record(r.secondOf) }),
        list: listWithTypes({ ...r.list, id: listId(r.list.id) }, type),
        ...(r.events ? { events: r.events.map((e) => eventWithTypes(e, type)) } : {}),
        doubts: Object.fromEntries(
          Object.entries(r.doubts).map(([line, d]) => [
            line,
            { ...d, alternatives: d.alternatives.map(type) },
          ]),
        ),
        kit: {
          ...r.kit,
          lines: r.kit.lines.map((l) =>
            l.itemType === null ? l : { ...l, itemType: type(l.itemType) },
          ),
        },
      };
    case "brief":
      return { ...r, id, brief: briefWithTypes(r.brief, type) };
    case "photo":
      return { ...r, id, kitId: record(r.kitId) };
    case "priceBook":
      return {
        ...r,
        id,
        book: {
          ...r.book,
          products: r.book.products.map((p) => ({ ...p, itemType: type(p.itemType) })),
        },
      };
    case "alias":
    case "barcode":
      return { ...r, id, itemType: type(r.itemType) };
    case "list":
      return {
        ...r,
        id,
        list: listWithTypes({ ...r.list, id: listId(r.list.id) }, type),
        ...(r.from === undefined ? {} : { from: listId(r.from) }),
      };
    case "set":
      return {
        ...r,
        id,
        judgedBy: record(r.judgedBy),
        members: r.members.map((m) => ({ ...m, kit: record(m.kit) })),
      };
    case "itemType":
    case "habit":
    case "settings":
    case "drill":
      return { ...r, id };
  }
}

/** Own types that an event speaks of: of what came in, what was recalled, what a line was found to be. */
function eventWithTypes(event: KitEvent, type: (id: string) => string): KitEvent {
  const changed = (c: Change): Change => {
    const factsType = c.facts?.itemType;
    return {
      ...c,
      ...(c.itemType === undefined ? {} : { itemType: type(c.itemType) }),
      ...(factsType ? { facts: { ...c.facts, itemType: type(factsType) } } : {}),
    };
  };
  return {
    ...event,
    ...(event.itemType === undefined ? {} : { itemType: type(event.itemType) }),
    ...(event.changes ? { changes: event.changes.map(changed) } : {}),
    ...(event.lines ? { lines: event.lines.map(changed) } : {}),
  };
}

const listWithTypes = (list: ReferenceList, type: (id: string) => string): ReferenceList => ({
  ...list,
  needs: list.needs.map((n) =>
    n.accept ? { ...n, accept: n.accept.map((a) => ({ ...a, itemType: type(a.itemType) })) } : n,
  ),
});

const briefWithTypes = (brief: Brief, type: (id: string) => string): Brief =>
  brief.carriedElsewhere
    ? {
        ...brief,
        carriedElsewhere: brief.carriedElsewhere.map((e) => ({
          ...e,
          itemType: type(e.itemType),
        })),
      }
    : brief;
