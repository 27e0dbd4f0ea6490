import type { TypeLookup } from "./catalogue.ts";
import type { Product } from "../model/priceBook.ts";

/** For licensed or prescribed use, or handed out and not sold. */
export function isLicensedOnly(product: Pick<Product, "itemType">, typeOf: TypeLookup): boolean {
  const type = typeOf(product.itemType);
  return type?.licensed === true || type?.notForSale === true;
}

/** Rule of the plan: things for licensed or prescribed use are never proposed; nor what is out of stock. */
export const mayPropose = (product: Product, typeOf: TypeLookup): boolean =>
  !isLicensedOnly(product, typeOf) && product.inStock !== false;
