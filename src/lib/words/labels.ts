import type { Category } from "../core/model/functionRecord.ts";
import type { Mesh } from "../core/model/mesh.ts";

/** Short names that stand alone on a screen or in a report. */

export const CATEGORY_LABEL: Record<Category, string> = {
  "severe-bleeding": "Severe bleeding",
  "airway-chest": "Airway & chest",
  resuscitation: "Resuscitation",
  "everyday-wounds": "Everyday wounds",
  "wound-hygiene": "Wound hygiene",
  burns: "Burns",
  "bones-joints": "Bones & joints",
  "feet-skin": "Feet & skin",
  "bites-stings": "Bites & stings",
  allergy: "Allergy",
  eyes: "Eyes",
  exposure: "Heat & cold",
  "illness-pain": "Illness & pain",
  protection: "Protection",
  tools: "Tools",
  "signal-records": "Signal & records",
};

export const MESH_LABEL: Record<Mesh | "pan", string> = {
  here: "Here",
  real: "Real",
  enough: "Enough",
  sound: "Sound",
  fresh: "Fresh",
  handy: "Handy",
  usable: "Usable",
  pan: "Relied on",
};

/** The question each mesh asks. */
export const MESH_ASKS: Record<Mesh | "pan", string> = {
  here: "is there anything for it?",
  real: "does it really do the job?",
  enough: "as much as the brief asks?",
  sound: "would you trust it?",
  fresh: "in date to the last day?",
  handy: "in the hand in time?",
  usable: "can these people use it?",
  pan: "can be relied on",
};

export const TIER_LABEL = { vital: "vital", core: "core", useful: "useful" } as const;

export const LOCATION_LABEL = {
  outside: "outside",
  "open-top": "open on top",
  pocket: "inside pocket",
  bottom: "at the bottom",
  "other-bag": "in another bag",
} as const;

export const CARRY_LABEL = {
  pocket: "in a pocket",
  belt: "on a belt",
  pack: "in a pack",
  vehicle: "in a vehicle",
  boat: "on a boat",
  wall: "on a wall",
} as const;

export const SKILL_LABEL = {
  anyone: "no training",
  trained: "first aid trained",
  advanced: "medic",
  licensed: "licensed",
} as const;

export const SENSITIVITY_LABEL = {
  latex: "latex",
  adhesive: "adhesives",
  iodine: "iodine",
  nsaid: "aspirin and ibuprofen",
  sting: "stings",
} as const;

export const UNIT_LABEL = {
  each: ["", ""],
  pair: ["pair", "pairs"],
  dose: ["dose", "doses"],
  metre: ["m", "m"],
  millilitre: ["ml", "ml"],
  litre: ["l", "l"],
} as const;

export const UNCHECKED_LABEL: Record<string, string> = {
  count: "count",
  size: "size",
  measure: "length, volume or doses",
  strength: "strength",
  latex: "latex",
  condition: "condition",
  date: "date",
  reach: "reach",
};

export const CONDITION_LABEL = { sound: "sound", worn: "worn", failed: "failed" } as const;

/** Columns of a price list. */
export const PRICE_COLUMN_LABEL = {
  id: "code",
  title: "name",
  itemType: "kind of thing",
  pack: "pieces in a pack",
  sizeMm: "size",
  volumeMl: "content, ml",
  dosesPerPiece: "doses in a piece",
  strengthMg: "strength of a dose, mg",
  latexFree: "free of latex",
  price: "price of a pack",
  currency: "currency",
  massG: "weight of a pack, g",
  bulkMl: "space of a pack, ml",
  source: "source",
  leadDays: "lead time, days",
  shelfMonths: "good for, months",
  pricedOn: "day of the price",
  postage: "postage of an order at its source",
  freeFrom: "no postage from this sum on",
  minimum: "least order at its source",
} as const;
