import { audit, type Audit } from "../../core/audit/audit.ts";
import { calendarOf } from "../../core/calendar/calendar.ts";
import type { BriefRecord } from "../../core/records/briefRecord.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { workspace } from "../workspace.svelte.ts";

export const SHELF_ORDERS = ["name", "readiness", "due", "price"] as const;
export type ShelfOrder = (typeof SHELF_ORDERS)[number];

export interface ShelfRow {
  readonly k: KitRecord;
  readonly brief: BriefRecord | undefined;
  readonly a: Audit | null;
  /** Next day on which something falls due; null: nothing does, or the kit has no brief. */
  readonly due: string | null;
}

/** What a row follows from besides its kit. */
type RowInputs = readonly [
  brief: BriefRecord | undefined,
  today: string,
  book: typeof workspace.priceBook,
  ownTypes: typeof workspace.ownTypes,
];
/** Of two hundred kits one changes at a time: the rows of the others stay. */
const remembered = new WeakMap<KitRecord, { readonly from: RowInputs; readonly row: ShelfRow }>();

function rowOf(k: KitRecord, from: RowInputs): ShelfRow {
  const known = remembered.get(k);
  if (known?.from.every((input, i) => input === from[i])) return known.row;
  const row = workOut(k, from);
  remembered.set(k, { from, row });
  return row;
}

function workOut(k: KitRecord, [brief, today, book]: RowInputs): ShelfRow {
  if (!brief) return { k, brief, a: null, due: null };
  const file = workspace.auditOf(k, brief.brief);
  const due = calendarOf(file, k.id.replace(/^kit:/, ""), book, today, CATALOGUE);
  return {
    ...{ k, brief },
    a: audit(file, today, CATALOGUE),
    due: due.find((d) => d.day >= today)?.day ?? null,
  };
}

/** The shelf: every kit with its audit, sought and in an order. */
export class ShelfState {
  seek = $state("");
  order = $state<ShelfOrder>("name");

  rows = $derived.by((): ShelfRow[] => {
    const { today, priceBook, ownTypes } = workspace;
    return workspace.kits.map((k) =>
      rowOf(k, [workspace.brief(k.briefId), today, priceBook, ownTypes] as const),
    );
  });

  /** Rows that hold every word sought, in the order wanted; of equals by name. */
  shown = $derived.by(() => {
    const words = this.seek.toLowerCase().split(/\s+/).filter(Boolean);
    const textOf = ({ k, brief }: ShelfRow) =>
      `${k.kit.name} ${brief?.brief.title ?? ""} ${k.list.title}`.toLowerCase();
    const key: Record<ShelfOrder, (r: ShelfRow) => number> = {
      name: () => 0,
      // What is least ready comes first: it needs somebody.
      readiness: (r) => r.a?.interval?.[0] ?? -1,
      due: (r) => (r.due === null ? Infinity : Date.parse(r.due)),
      price: (r) => -(r.k.kit.price?.amount ?? -1),
    };
    const by = key[this.order];
    return this.rows
      .filter((r) => words.every((w) => textOf(r).includes(w)))
      .sort((a, b) => by(a) - by(b) || a.k.kit.name.localeCompare(b.k.kit.name));
  });
}
