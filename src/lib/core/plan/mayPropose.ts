import type { TypeLookup } from "../catalogue/catalogue.ts";
import type { Product } from "../model/priceBook.ts";

/** For licensed or prescribed use. */
export const isLicensedOnly = (product: Pick<Product, "itemType">, typeOf: TypeLookup): boolean =>
  typeOf(product.itemType)?.licensed === true;

/** Rule of the plan: things for licensed or prescribed use are never proposed; nor what is out of stock. */
export const mayPropose = (product: Product, typeOf: TypeLookup): boolean =>
  !isLicensedOnly(product, typeOf) && product.inStock !== false;
