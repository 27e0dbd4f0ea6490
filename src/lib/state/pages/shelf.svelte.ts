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

/** The shelf: every kit with its audit, sought and in an order. */
export class ShelfState {
  seek = $state("");
  order = $state<ShelfOrder>("name");

  rows = $derived.by((): ShelfRow[] =>
    workspace.kits.map((k) => {
      const brief = workspace.brief(k.briefId);
      if (!brief) return { k, brief, a: null, due: null };
      const file = workspace.auditOf(k, brief.brief);
      const id = k.id.replace(/^kit:/, "");
      const due = calendarOf(file, id, workspace.priceBook, workspace.today, CATALOGUE);
      return {
        k,
        brief,
        a: audit(file, workspace.today, CATALOGUE),
        due: due.find((d) => d.day >= workspace.today)?.day ?? null,
      };
    }),
  );

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
