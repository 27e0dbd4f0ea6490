import { makeCatalogue } from "../core/catalogue/catalogue.ts";
import { FUNCTIONS } from "./functions.ts";
import { OPEN_NAMES } from "./openNames.ts";
import { INSPECTION_POINTS, POINTS_BY_TYPE } from "./inspectionPoints.ts";
import { ITEM_TYPES } from "./itemTypes.ts";

/** The catalogue that ships with the program. */
export const CATALOGUE = makeCatalogue({
  functions: FUNCTIONS,
  types: ITEM_TYPES,
  points: INSPECTION_POINTS,
  pointsByType: POINTS_BY_TYPE,
  openNames: OPEN_NAMES,
});
