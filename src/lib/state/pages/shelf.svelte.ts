import { audit, type Audit } from "../../core/audit/audit.ts";
import { calendarOf } from "../../core/calendar/calendar.ts";
import type { BriefRecord } from "../../core/records/briefRecord.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { SLICE_MS } from "../inSlices.ts";
import { workspace } from "../workspace.svelte.ts";

export const SHELF_ORDERS = ["name", "readiness", "due", "price"] as const;
export type ShelfOrder = (typeof SHELF_ORDERS)[number];

export interface ShelfRow {
  readonly k: KitRecord;
  readonly brief: BriefRecord | undefined;
  readonly a: Audit | null;
  /** Next day on which something falls due; null: nothing does, or the kit has no brief. */
  readonly due: string | null;
  /** Not worked out yet: `a` and `due` are to come. */
  readonly isWaiting: boolean;
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

const inputsOf = (k: KitRecord): RowInputs => [
  workspace.brief(k.briefId),
  workspace.today,
  workspace.priceBook,
  workspace.ownTypes,
];

function knownRow(k: KitRecord, from: RowInputs): ShelfRow {
  const known = remembered.get(k);
  if (known?.from.every((input, i) => input === from[i])) return known.row;
  const [brief] = from;
  // What was true a moment ago stands until the new is worked out.
  const { a, due } = (brief && known?.row) ?? { a: null, due: null };
  return { k, brief, a, due, isWaiting: brief !== undefined };
}

function workOut(k: KitRecord, from: RowInputs): void {
  const [brief, today, book] = from;
  if (!brief) return;
  const file = workspace.auditOf(k, brief.brief);
  const due = calendarOf(file, k.id.replace(/^kit:/, ""), book, today, CATALOGUE);
  const row = {
    ...{ k, brief, isWaiting: false },
    a: audit(file, today, CATALOGUE),
    due: due.find((d) => d.day >= today)?.day ?? null,
  };
  remembered.set(k, { from, row });
}

/** The shelf: every kit with its audit, sought and in an order. */
export class ShelfState {
  seek = $state("");
  order = $state<ShelfOrder>("name");

  /** How often rows were worked out: they are remembered outside what Svelte follows. */
  #slices = $state(0);
  rows = $derived.by((): ShelfRow[] => {
    void this.#slices;
    return workspace.kits.map((k) => knownRow(k, inputsOf(k)));
  });

  /** For an effect of the page: works out the next rows that wait, a slice at a time. Gives what stops it. */
  follow(): () => void {
    const waiting = this.rows.filter((r) => r.isWaiting);
    if (waiting.length === 0) return () => undefined;
    const timer = setTimeout(() => {
      const until = performance.now() + SLICE_MS;
      for (const { k } of waiting) {
        workOut(k, inputsOf(k));
        if (performance.now() >= until) break;
      }
      this.#slices += 1;
    });
    return () => clearTimeout(timer);
  }

  /** Rows that hold every word sought, in the order wanted; of equals by name. */
  shown = $derived.by(() => {
    const words = this.seek.toLowerCase().split(/\s+/).filter(Boolean);
    const textOf = ({ k, brief }: ShelfRow) =>
      `${k.kit.name} ${brief?.brief.title ?? ""} ${k.list.title}`.toLowerCase();
    const key: Record<ShelfOrder, (r: ShelfRow) => number> = {
      name: () => 0,
      // What is least ready comes first: it needs somebody.
      readiness: (r) => (r.isWaiting ? Infinity : (r.a?.interval?.[0] ?? -1)),
      due: (r) => (r.due === null ? Infinity : Date.parse(r.due)),
      price: (r) => -(r.k.kit.price?.amount ?? -1),
    };
    const by = key[this.order];
    return this.rows
      .filter((r) => words.every((w) => textOf(r).includes(w)))
      .sort((a, b) => by(a) - by(b) || a.k.kit.name.localeCompare(b.k.kit.name));
  });
}
