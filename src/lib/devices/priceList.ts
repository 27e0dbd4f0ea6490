import { priceListSchema, type PriceList } from "../core/plan/priceList.ts";

/** Where prices of the day come from. A real supplier's list plugs in here. */
export interface Supplier {
  /** Throws with a reason a person can read. */
  pricesOn(day: string): Promise<PriceList>;
}

/** The stand-in that ships with the application: prices that drift, and things that run out. */
export const supplier: Supplier = {
  async pricesOn(day) {
    const response = await fetch(`/api/sim/prices?day=${encodeURIComponent(day)}`);
    if (!response.ok) throw new Error(`it answered ${response.status}`);
    const parsed = priceListSchema.safeParse(await response.json());
    if (!parsed.success) throw new Error("its list cannot be read");
    return parsed.data;
  },
};
