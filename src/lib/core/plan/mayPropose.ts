import { LICENSED_ONLY } from "../catalogue/catalogue.ts";
import type { Product } from "../model/priceBook.ts";

/** For licensed or prescribed use. */
export const isLicensedOnly = (product: Pick<Product, "itemType">): boolean =>
  LICENSED_ONLY.has(product.itemType);

/** Rule of the plan: things for licensed or prescribed use are never proposed; nor what is out of stock. */
export const mayPropose = (product: Product): boolean =>
  !isLicensedOnly(product) && product.inStock !== false;
