import { ITEM_TYPES } from "./itemTypes.ts";

/** What dries, runs flat or perishes without a date of its own, and after how many months to look again. */
export type CheckKind = "by-touch" | "batteries" | "elastic";

/** Months between looks. Planning figures of the trade: by touch twice a year, batteries yearly, elastic every two. */
export const CHECK_MONTHS: Readonly<Record<CheckKind, number>> = {
  "by-touch": 6,
  batteries: 12,
  elastic: 24,
};
/** Seal and full count of the whole kit, or after use. */
export const FULL_COUNT_MONTHS = 6;

const BY_TYPE: Readonly<Record<string, CheckKind>> = {
  "antiseptic-wipe": "by-touch",
  "alcohol-pad": "by-touch",
  "iodine-pad": "by-touch",
  "hand-towelette": "by-touch",
  "sting-swab": "by-touch",
  "benzoin-swab": "by-touch",
  "saline-ampoule": "by-touch",
  "sting-ampoule": "by-touch",
  "burn-gel-sachet": "by-touch",
  "burn-gel-dressing": "by-touch",
  "tulle-dressing": "by-touch",
  eyewash: "by-touch",
  torch: "batteries",
  "thermometer-digital": "batteries",
  "elastic-bandage": "elastic",
  "heavy-compression-bandage": "elastic",
  "cohesive-wrap": "elastic",
  "roller-bandage": "elastic",
  "tubular-bandage": "elastic",
  "elastic-loop-tourniquet": "elastic",
  "stretch-wrap-tourniquet": "elastic",
  "medical-tape": "elastic",
  "adhesive-strip": "elastic",
  "adhesive-knuckle": "elastic",
  "adhesive-junior": "elastic",
  "adhesive-large": "elastic",
  "closure-strips": "elastic",
  "butterfly-closure": "elastic",
  "blister-cushion": "elastic",
  "friction-patch": "elastic",
  "nitrile-gloves": "elastic",
  "vinyl-gloves": "elastic",
  "latex-gloves": "elastic",
};

/** The kind of look a type wants; null: none beyond the full count. */
export const checkKind = (itemType: string): CheckKind | null => BY_TYPE[itemType] ?? null;
/** Types named above that the catalogue does not have; empty, or a slip. */
export const unknownCheckTypes = (): string[] =>
  Object.keys(BY_TYPE).filter((id) => !ITEM_TYPES.some((t) => t.id === id));
