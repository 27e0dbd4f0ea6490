import type { Catalogue } from "../catalogue/catalogue.ts";
import { creditFor } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Need } from "../model/list.ts";
import type { Product } from "../model/priceBook.ts";
import { clashesOf, latexOf } from "../sieve/usable.ts";

/**
 * Needs that are a person's own (`theirs`) are never bought: where the thing is not there, its owner
 * brings it. In the plan that is a thing to be had for nothing, one for each such need.
 */
const BRING = "bring:";

/** Whether a product stands for what its owner brings. */
export const isBrought = (product: Pick<Product, "id">): boolean => product.id.startsWith(BRING);
/** The need that a brought thing is for. */
export const broughtFor = (product: Pick<Product, "id">): string => product.id.slice(BRING.length);

/** What owners would bring, one piece a pack. */
export function broughtProducts(
  audit: AuditFile,
  currency: string,
  catalogue: Catalogue,
): Product[] {
  return audit.list.needs.flatMap((need): Product[] => {
    const type = need.theirs && usualType(need, audit, catalogue);
    if (!type) return [];
    return [
      {
        id: BRING + need.id,
        title: type.label,
        itemType: type.id,
        pack: 1,
        price: { amount: 0, currency },
        ...(type.massG === undefined ? {} : { massG: type.massG }),
        ...(type.bulkMl === undefined ? {} : { bulkMl: type.bulkMl }),
        shelfMonths: type.shelfMonths ?? null,
        ...(type.planningDoseMg ? { strengthMg: type.planningDoseMg } : {}),
        ...(latexOf(type) === "yes" ? {} : { latexFree: true }),
      },
    ];
  });
}

/** The first kind of the catalogue that does the job in full and clashes with nobody. */
function usualType(need: Need, { brief }: AuditFile, catalogue: Catalogue) {
  for (const type of catalogue.types.values()) {
    if (creditFor(type, need.function)?.credit !== 1) continue;
    if (clashesOf(type, brief).length === 0) return type;
  }
  return undefined;
}
