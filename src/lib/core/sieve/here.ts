import { creditFor } from "../catalogue/catalogue.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Need } from "../model/list.ts";

/** Mesh 1, Here: the type claims the function, with any credit, 0 too, or the need accepts it. */
export const claimsOrAccepted = (type: ItemType, need: Need): boolean =>
  creditFor(type, need.function) !== undefined ||
  (need.accept?.some((a) => a.itemType === type.id) ?? false);
