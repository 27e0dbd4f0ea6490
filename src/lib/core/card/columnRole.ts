/**
 * What a column holds: names the item, counts it, counts packs of it, counts what lies loose beside whole packs, says whether
 * it is there, its size, its unit or pack, a remark, or nothing to read.
 */
export type ColumnRole =
  | "text"
  | "quantity"
  | "packs"
  | "loose"
  | "there"
  | "size"
  | "unit"
  | "note"
  | "skip";
