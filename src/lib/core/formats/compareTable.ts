import { CATEGORIES } from "../model/functionRecord.ts";
import type { ReadyCost } from "../compare/readyCost.ts";
import type { KitRow } from "../compare/compareKits.ts";

/**
 * Kits side by side as rows for a spreadsheet: numbers as numbers, shares in per cent, grams,
 * millilitres, money in the kit's own currency.
 */
export function compareTable(
  rows: readonly KitRow[],
  ready: ReadonlyMap<string, ReadyCost | null>,
): (string | number | null)[][] {
  const categories = CATEGORIES.filter((c) =>
    rows.some((r) => r.categories.some((x) => x.id === c)),
  );
  const per = (share: number | null | undefined) =>
    share === null || share === undefined ? null : Math.round(share * 1e5) / 1e3;
  return [
    [
      "kit",
      "grade",
      "coverage %",
      "low %",
      "high %",
      "price",
      "currency",
      "mass g",
      "carried",
      "volume ml",
      "quality",
      "pieces",
      "serving",
      "price a point",
      "replacement",
      "to make ready",
      "ready, in all",
      "mass ready g",
      ...categories.map((c) => `${c} %`),
    ],
    ...rows.map((r) => {
      const plan = ready.get(r.id) ?? null;
      return [
        r.name,
        r.grade,
        per(r.coverage),
        per(r.interval?.[0]),
        per(r.interval?.[1]),
        r.price,
        r.currency,
        Math.round(r.massG),
        r.carried,
        Math.round(r.volumeMl),
        r.quality === null ? null : Math.round(r.quality * 10) / 10,
        r.pieces,
        r.serving,
        r.pricePerPoint === null ? null : Math.round(r.pricePerPoint * 100) / 100,
        r.replacement,
        plan?.price ?? null,
        plan && r.price !== null ? Math.round((plan.price + r.price) * 100) / 100 : null,
        plan ? Math.round(plan.massG) : null,
        ...categories.map((c) => per(r.categories.find((x) => x.id === c)?.coverage)),
      ];
    }),
  ];
}
