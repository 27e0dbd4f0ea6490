import type { KitEvent } from "../model/event.ts";
import { inOrder } from "./order.ts";

/** The last seal put on a kit, and whether it is still whole. */
export interface Seal {
  readonly number: string;
  readonly on: string;
  /** Event that opened it; null: it is whole. */
  readonly brokenBy: KitEvent | null;
}

/** Nothing goes in or out, and nothing is counted, through a whole seal. */
const OPENS: ReadonlySet<KitEvent["kind"]> = new Set([
  "seal-broken",
  "used",
  "put-back",
  "counted",
  "moved",
  "maintained",
  "plan-done",
]);

const opens = (e: KitEvent): boolean =>
  OPENS.has(e.kind) ||
  (e.kind === "checked" && (e.what === "full" || (e.changes ?? []).length > 0));

/** @param until YYYY-MM-DD; null: the kit was never sealed */
export function sealOn(events: readonly KitEvent[], until: string): Seal | null {
  const held = inOrder(events).filter((e) => e.on <= until);
  const at = held.findLastIndex((e) => e.kind === "sealed");
  const sealed = held[at];
  if (!sealed) return null;
  const brokenBy = held.slice(at + 1).find(opens) ?? null;
  return { number: sealed.seal ?? "", on: sealed.on, brokenBy };
}
