/** What a column holds: names the item, counts it, its size, its unit or pack, a remark, or nothing to read. */
export type ColumnRole = "text" | "quantity" | "size" | "unit" | "note" | "skip";
