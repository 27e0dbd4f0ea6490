import { defined } from "../base/defined.ts";
import type { KitEvent } from "../model/event.ts";
import type { Product } from "../model/priceBook.ts";

/** What of a plan was really done: packs bought, lines taken out, what was paid. */
export interface CarriedOut {
  readonly bought: readonly { readonly product: Product; readonly packs: number }[];
  readonly dropped: readonly string[];
  readonly paid: { readonly amount: number; readonly currency: string } | null;
}

/**
 * The event of a plan that was carried out: what was bought comes in as lines of its own, counted and as
 * printed on its pack; its date and condition are nobody's word yet. null: nothing was done.
 * @param lineId a free id for each new line
 */
export function planDone(
  { bought, dropped, paid }: CarriedOut,
  lineId: () => string,
): Pick<KitEvent, "kind" | "lines" | "dropped" | "paid"> | null {
  const come = bought.filter((b) => b.packs > 0);
  if (come.length === 0 && dropped.length === 0) return null;
  return {
    kind: "plan-done",
    ...(paid ? { paid: { ...paid } } : {}),
    ...(dropped.length > 0 ? { dropped: [...dropped] } : {}),
    lines: come.map(({ product: p, packs }) => ({
      line: lineId(),
      itemType: p.itemType,
      pieces: packs * p.pack,
      facts: defined({
        text: p.title,
        sizeMm: p.sizeMm,
        volumeMl: p.volumeMl,
        dosesPerPiece: p.dosesPerPiece,
        strengthMg: p.strengthMg,
        latexFree: p.latexFree,
      }),
    })),
  };
}
