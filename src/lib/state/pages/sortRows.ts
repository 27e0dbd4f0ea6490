/** A column by id and heading, with what its rows are sorted by; null: not known. */
export type Column<Row> = readonly [id: string, heading: string, of: (r: Row) => Sortable];
type Sortable = number | string | null;

/** Rows by one column; what is not known comes last, whichever way it is sorted. */
export function sortRows<Row>(
  rows: readonly Row[],
  of: (r: Row) => Sortable,
  down: boolean,
): Row[] {
  const sign = down ? -1 : 1;
  return [...rows].sort((x, y) => {
    const [p, q] = [of(x), of(y)];
    if (p === null || q === null) return p === q ? 0 : p === null ? 1 : -1;
    return sign * (typeof p === "string" ? p.localeCompare(String(q)) : p - Number(q));
  });
}
