import { remembering } from "../base/remembering.ts";
import { LONGEST_KEPT, MOST_WORDS } from "./cardLimits.ts";
import type { ColumnRole } from "./columnRole.ts";
import { saysHeld, saysMeant } from "./headingCounts.ts";
import { roleAbroad } from "./headingsAbroad.ts";
import { saysPacks, saysPerPack } from "./packColumns.ts";

/** Headings whole. */
const HEADER_ROLES: readonly (readonly [RegExp, ColumnRole])[] = [
  [
    /^(?:pack\s*(?:qty|quantity|count|of)|(?:qty|quantity|pcs|pieces|units|items|no\.?|number)\s*(?:per|\/|in)\s*(?:a\s*)?(?:pack|pk|box|unit)|per pack)$/i,
    "unit",
  ],
  [/^(?:(?:no\.?|nr\.?|number)\s*of\s*(?:packs|boxes)|boxes)$/i, "quantity"],
  [
    /^(?:item|items|short\s+text|description|descr?\.?|product|product name|contents?|article|name|item name|item description|component|material|what|equipment|supplies|supply|particulars)$/i,
    "text",
  ],
  [
    /^(?:qty\.?|quantity|count|amount|pieces|pcs|number|q'ty|quantities|units in kit|in kit|how many|stock|on hand|in stock|no\. of|(?:no\.?|number)\s+of\s+(?:pieces|pcs|items|units)|total\s+(?:qty|no\.?|number|count|items|pcs|pieces|units)|packs)$/i,
    "quantity",
  ],
  [/^(?:loose(?:\s+(?:pcs|pieces|items))?|singles?|odd\s+ones)$/i, "loose"],
  [
    /^(?:size|dimensions?|measurements?|spec|specification|format|size\/spec|variant|details?|strength)$/i,
    "size",
  ],
  [
    /^(?:unit|uom|u\/?i|u\/m|u\/issue|units|pack|pks?|pkts?|pack size|packing|packaging|packed\s+(?:in|as)|comes\s+in|put\s+up\s+in|per|unit of measure|form)$/i,
    "unit",
  ],
  [
    /^(?:no\.?|nr\.?|s\/n|s\.?\s?no\.?|(?:sl|sr|ser(?:ial)?)\.?(?:\s?no\.?)?|#|row|pos\.?|line|item no\.?|item #|ref\.?|code|sku|stock code|part no\.?|part|art\.? ?no\.?|id|barcode|ean|location|use|used\s+for|purpose|for|function|group|class|treats|injury|department|dept\.?|area|zone|room|site|station|compartment|category|section|pocket|price|unit price|each|ea|ext\.?|extended|net|gross|cost|value|total|expires?|expiry|exp\.?|expiry date|best before|use by|lot|batch|checked|supplier|weight|date|order code|cat\.? ?no\.?|bin|shelf|currency|brand|initials?|init\.?|signed|sign|sig\.?|(?:checked|counted|done)?\s*by|sum|where|place|kept in|found in|bbe?|(?:to\s+)?buy)$/i,
    "skip",
  ],
  [
    /^(?:notes?|remarks?|comments?(?:\s*\/\s*actions?)?|conditions?|status|state|action|actions|to\s+do|colou?r)$/i,
    "note",
  ],
];

/** Longer headings by the word they hold: "Qty in kit", "Item description (EN)". */
const HEADER_WORDS: readonly (readonly [RegExp, ColumnRole])[] = [
  // How many there should be is not how many there are.
  [
    /\b(?:min|max|minimum|maximum|par|target|required|reorder|should|ordered|requested|asked|short(?:age)?|missing|variance|back\s?order(?:ed)?)\b/i,
    "skip",
  ],
  // When it was counted is not how many there are.
  [/\b(?:last|date|when|day)\b|\b(?:counted|checked|found|received)\s+(?:on|by|at)\b/i, "skip"],
  [/\b(?:received|delivered|supplied|counted|found)\b/i, "quantity"],
  [/\bunit\s+of\s+(?:issue|measure|sale)\b/i, "unit"],
  [/\b(?:weight|mass)\b/i, "skip"],
  [/\b(?:qty|quantity|quantities)\b/i, "quantity"],
  [/\b(?:size|dimensions?)\s*[/&,+]|[/&,+]\s*(?:size|dimensions?)\b/i, "size"],
  [
    /\b(?:code|sku|ref|no\.?|number|price|cost|value|exp\.?|expiry|date|lot|batch|location)\b/i,
    "skip",
  ],
  [/\bnotes?\b/i, "note"],
  [/\b(?:item|description|product|contents?|article)\b/i, "text"],
  [/\b(?:size|dimensions?)\b/i, "size"],
  [/\b(?:unit|uom|pack)\b/i, "unit"],
];

/** What a whole heading says, not a word in it; null: nothing. */
export const roleOfWhole = (heading: string): ColumnRole | null => {
  const name = heading.trim();
  const exact = HEADER_ROLES.find(([pattern]) => pattern.test(name))?.[1];
  if (exact) return exact;
  if (saysPerPack(name)) return "unit";
  if (saysPacks(name) || saysHeld(name)) return "quantity";
  return saysMeant(name) ? "skip" : roleAbroad(name);
};

/** "Location / Item", "Area and item": a column that names things names whatever else it says. */
const BOTH = /\s*[/&+]\s*|\s+and\s+/i;
/** "Unit $", "Line total (EUR)". */
const MONEY = /[$£€]|\b(?:usd|eur|gbp|aud|nzd|cad|inr|zar|chf|sek|nok|dkk)\b/i;
/** What a column is by its heading; null: it does not tell. */
export const roleOf = remembering(roleOfHeading, MOST_WORDS, LONGEST_KEPT);
function roleOfHeading(heading: string): ColumnRole | null {
  const whole = roleOfWhole(heading);
  if (whole) return whole;
  const name = heading.trim();
  if (name.split(/\s+/).length > 4 || /\d/.test(name)) return null;
  if (MONEY.test(name)) return "skip";
  if (name.split(BOTH).some((part, _, parts) => parts.length > 1 && roleOfWhole(part) === "text"))
    return "text";
  return HEADER_WORDS.find(([pattern]) => pattern.test(name))?.[1] ?? null;
}

const CELL_END = /\s*[\t|;,]\s*|\s{2,}/;
/** "Objet; Nombre; Lot": a line whose cells but one are headings, two or more; its words are of no item's name. */
export function headsColumns(line: string): boolean {
  if (!CELL_END.test(line.trim()) || /\d/.test(line)) return false;
  const cells = line.split(CELL_END).filter((cell) => cell !== "");
  const told = cells.filter((cell) => roleOf(cell.replace(/^"|"$/g, "")) !== null).length;
  return told >= 2 && told >= cells.length - 1;
}
