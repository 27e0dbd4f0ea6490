import type { ColumnRole } from "./columnRole.ts";
import {
  areArticles,
  areUnits,
  hint,
  isDate,
  isRunning,
  roleByCells,
  saidAgain,
  SAID_AGAIN,
} from "./columnsByContent.ts";
import { areAnswers, saysHeld, saysOneOfKits, saysShould, saysWhether } from "./headingCounts.ts";
import { packColumns, sumColumn } from "./packColumns.ts";
import { TWO_LETTERS } from "./quick.ts";
import { saysBalance, saysMoved } from "./runningBalances.ts";

/** What the columns under a heading hold, once the rows below it are seen: one step for each thing that they tell. */

export type Rows = readonly (readonly string[])[];
export interface Columns {
  /** One a column; null: neither its heading nor its cells tell. */
  readonly roles: readonly (ColumnRole | null)[];
  /** Several columns count, and the reader asks which holds what is there. */
  readonly isUnclear?: boolean;
}

/** "Material" over "30001120" beside "Short text" over "DRESSING, EYE": what holds no words names nothing. */
function withNamed(table: Columns, rows: Rows, isName: (text: string) => boolean): Columns {
  const at = table.roles.indexOf("text");
  if (at < 0 || rows.length < FEWEST_NAMED || rows.some((r) => TWO_LETTERS.test(r[at] ?? "")))
    return table;
  const named = (i: number) => rows.filter((r) => isName(r[i] ?? "")).length;
  const best = table.roles.reduce(
    (found, role, i) => (i !== at && MAY_NAME_TOO.has(role) && named(i) > named(found) ? i : found),
    at,
  );
  if (best === at || 2 * named(best) < rows.length) return table;
  const roles = table.roles.map((r, i) => (i === at ? "skip" : i === best ? "text" : r));
  return { ...table, roles };
}
/** Of fewer rows nothing can be told. */
const FEWEST_NAMED = 3;
const MAY_NAME_TOO: ReadonlySet<ColumnRole | null> = new Set<ColumnRole | null>([
  null,
  "note",
  "text",
]);

/** "Qty | Ring box | Qty | Canteen box": beside each of two counts that are headed alike lies a name, whatever heads it. */
function withSides(
  table: Columns,
  names: readonly string[],
  rows: Rows,
  isName: (text: string) => boolean,
): Columns {
  const alike = (at: number) =>
    names.filter((name) => name.trim().toLowerCase() === names[at]?.trim().toLowerCase()).length >
    1;
  const counts = table.roles.flatMap((role, at) => (role === "quantity" && alike(at) ? [at] : []));
  if (counts.length < 2) return table;
  const beside = counts[0] === 0 ? 1 : -1;
  const isNamed = (at: number) => {
    const cells = rows.map((r) => r[at] ?? "").filter((c) => c.trim() !== "");
    return cells.length > 0 && 2 * cells.filter(isName).length >= cells.length;
  };
  const sides = counts.map((at) => at + beside);
  if (!sides.every((at) => MAY_NAME_TOO.has(table.roles[at] ?? null) && isNamed(at))) return table;
  return { ...table, roles: table.roles.map((r, at) => (sides.includes(at) ? "text" : r)) };
}

/** "3 exp. 2028" */
const COUNT_WITH_EXPIRY = /^\d{1,4}\s*[,;(]?\s*(?:exp|use\s+by|best\s+before|bb)/i;
/** "Last counted", "Qty checked": what holds days counts nothing, whatever heads it. */
function withoutDates(table: Columns, names: readonly string[], rows: Rows): Columns {
  if (!table.roles.includes("quantity")) return table;
  const isBare = (at: number) => rows.every((r) => /^\d{0,4}$/.test(r[at]?.trim() ?? ""));
  const holdsDays = (at: number) => {
    const cells = rows.map((r) => r[at]?.trim() ?? "").filter((c) => c !== "");
    const days = cells.filter((c) => isDate(c) && !COUNT_WITH_EXPIRY.test(c));
    return cells.length >= 2 && 2 * days.length > cells.length;
  };
  return {
    ...table,
    roles: table.roles.map((r, at) =>
      (r === "quantity" && holdsDays(at)) ||
      // "Spec" over bare numbers beside a count tells no size.
      (r === "size" && saysShould(names[at] ?? "") && isBare(at))
        ? "skip"
        : r,
    ),
  };
}

/** Whether a column counts: most of its cells are numbers, and they do not run 1, 2, 3. */
function counts(rows: Rows, at: number): boolean {
  const cells = rows.map((r) => r[at] ?? "").filter((c) => !/^[-:=\s]*$/.test(c));
  const numbers = cells.map((c) => /^(\d{1,4})(?:\s*\p{L}.*)?$/u.exec(c)?.[1]);
  const running = isRunning(numbers.map(Number));
  return cells.length >= 2 && numbers.filter(Boolean).length >= cells.length * 0.7 && !running;
}

/** "Present" over "Y", "N": whether each is there. */
const withAnswers = (table: Columns, names: readonly string[], rows: Rows): Columns => ({
  ...table,
  roles: table.roles.map((r, at) => {
    if (!areAnswers(rows.map((row) => row[at] ?? ""))) return r;
    if (saysWhether(names[at] ?? "")) return "there";
    // "Seen" over "y" and "n": no count, and what nobody looked at may be there.
    return r === "quantity" ? "skip" : r;
  }),
});

/** "Y/N" beside "Qty found": "N" over two of three says that it is not complete; how many were found says how many there are. */
function withFound(table: Columns, names: readonly string[], rows: Rows): Columns {
  const at = table.roles.findIndex((r, i) => r === "quantity" && saysHeld(names[i] ?? ""));
  if (at < 0 || !table.roles.includes("there")) return table;
  const there = table.roles.indexOf("there");
  const isCounted = rows.every((row) => !row[there]?.trim() || /^\s*\d/.test(row[at] ?? ""));
  return isCounted
    ? { ...table, roles: table.roles.map((r) => (r === "there" ? "skip" : r)) }
    : table;
}

/** "No" beside "Amount" over "0.05": what is paid is no count. */
function withoutPaid(table: Columns, _: readonly string[], rows: Rows): Columns {
  const isPaid = (at: number) => {
    const cells = rows.map((r) => r[at]?.trim() ?? "").filter((c) => c !== "");
    const paid = cells.filter((c) => /^\d+[.,]\d{2}$/.test(c) && !/[.,]00$/.test(c));
    return cells.length >= 2 && 2 * paid.length > cells.length;
  };
  return {
    ...table,
    roles: table.roles.map((r, at) => (r === "quantity" && isPaid(at) ? "skip" : r)),
  };
}

/** Headings that mean something else beside a column that counts. */
const MAY_COUNT = /^(?:n(?:[.\s]*[oº°])?\.?|nr\.?|#|nos\.?|total|sum|balance|units|each)$/i;
/** "Item | No | Size": a heading that may mean a count or a code means a count when its cells do. */
function withQuantity(table: Columns, names: readonly string[], rows: Rows): Columns {
  if (table.roles.includes("quantity")) return table;
  const isCount = (at: number) => hint(names[at]!) !== "skip" && counts(rows, at);
  // "No. in box" is what a pack holds where packs are counted, and else how many there are.
  const isNamed = (name: string, at: number) =>
    MAY_COUNT.test(name.trim()) || (table.roles[at] === "unit" && saysHeld(name));
  const free = [...names.keys()].filter(isCount);
  const told = [
    ...free.filter((at) => isNamed(names[at]!, at)),
    ...free.filter((at) => table.roles[at] === null),
  ];
  // "N°" over 673, 759, 945 beside a column that counts too numbers the articles.
  const unclear =
    told.find((at) => !areArticles(rows.map((r) => parseInt(r[at] ?? "", 10)))) ?? told[0];
  if (unclear === undefined) return table;
  return { ...table, roles: table.roles.map((r, at) => (at === unclear ? "quantity" : r)) };
}

/** "Packs ordered": an order's own count. */
const ORDERED = /\b(?:ordered|requested|issued|dispatched|shipped)\b/i;
/** "Item | Required": a card that says only how many there should be lists those, and the reader asks. */
function withShould(table: Columns, names: readonly string[], rows: Rows): Columns {
  if (table.roles.includes("quantity")) return table;
  const meant = names.findIndex(
    (name, at) =>
      table.roles[at] === "skip" && (saysShould(name) || ORDERED.test(name)) && counts(rows, at),
  );
  if (meant < 0) return table;
  return {
    ...table,
    roles: table.roles.map((r, at) => (at === meant ? "quantity" : r)),
    isUnclear: true,
  };
}

/** "Each" or "Per" over "bx100", "pc", "pk2": what one of the counted is, and no price. */
const MAY_SAY_UNIT = /^(?:each|ea|per|packed|in|form|type)$/i;
function withUnits(table: Columns, names: readonly string[], rows: Rows): Columns {
  if (table.roles.includes("unit") || !table.roles.includes("quantity")) return table;
  const at = names.findIndex(
    (name, i) =>
      (table.roles[i] === null || table.roles[i] === "skip") &&
      MAY_SAY_UNIT.test(name.trim()) &&
      areUnits(rows.map((row) => row[i] ?? "")),
  );
  return at < 0 ? table : { ...table, roles: table.roles.map((r, i) => (i === at ? "unit" : r)) };
}

/** Several kits side by side, and the sum of them: that is how many there are. */
export function withSums(table: Columns, _: readonly string[], rows: Rows): Columns {
  const found = sumColumn(rows, (at) => !["text", "size", "there"].includes(table.roles[at] ?? ""));
  if (!found) return table;
  const of = (r: ColumnRole | null, at: number) =>
    at === found.inAll ? "quantity" : found.parts.includes(at) || r === "quantity" ? "skip" : r;
  return { ...table, roles: table.roles.map(of), isUnclear: false };
}

/** "Trail pack A | Trail pack B": packs that hold these, side by side, and not what each comes in. */
function withoutKits(table: Columns, _: readonly string[], rows: Rows): Columns {
  const kits = table.roles.flatMap((r, at) => (r === "unit" && counts(rows, at) ? [at] : []));
  return kits.length < 2
    ? table
    : {
        ...table,
        roles: table.roles.map((r, at) => (kits.includes(at) ? null : r)),
        isUnclear: true,
      };
}

/** "Box" over "A", "L2.14": which box it lies in, and not what it comes in. */
const MAY_SAY_PLACE = /^(?:box|carton|tub|tin)$/i;
function withoutBoxes(table: Columns, names: readonly string[], rows: Rows): Columns {
  const isPlace = (at: number) => {
    const cells = rows.map((row) => (row[at] ?? "").trim()).filter((cell) => /\w/.test(cell));
    return cells.length > 0 && cells.every((cell) => PLACE_CODE.test(cell));
  };
  return {
    ...table,
    roles: table.roles.map((r, at) =>
      r !== "text" && MAY_SAY_PLACE.test(names[at]?.trim() ?? "") && isPlace(at) ? "skip" : r,
    ),
  };
}
/** "A", "B2", "L2.14", "C-01". */
const PLACE_CODE = /^(?!(?:PK|BX|PR|EA|CT)\d*$)[A-Z]{1,2}[\d.-]{0,6}$/;

/** "Pack size; Packs; Total": where pieces are counted in all, what a pack holds and how many there are say nothing more. */
function withPacks(table: Columns, names: readonly string[], rows: Rows): Columns {
  // "Items" heads names, or how many there are.
  const isNumbers = (at: number) => rows.every((r) => !TWO_LETTERS.test(r[at] ?? ""));
  const isFree = (at: number) =>
    !["text", "size", "there"].includes(table.roles[at] ?? "") ||
    (table.roles[at] === "text" && isNumbers(at));
  const found = packColumns(rows, names, isFree);
  if (!found) return table;
  const { inAll, packs, perPack } = found;
  // Packs, and another count that is not their sum: which of them holds is asked.
  const isCounted = table.roles.some(
    (r, at) => r === "quantity" && at !== packs && at !== perPack && at !== inAll,
  );
  const asFound = (r: ColumnRole | null, at: number): ColumnRole | null => {
    if (inAll !== null) {
      if (at === inAll) return "quantity";
      return at === packs || at === perPack || r === "quantity" || r === "loose" ? "skip" : r;
    }
    if (at === packs) return isCounted ? "skip" : "packs";
    return at === perPack ? "unit" : r;
  };
  return {
    ...table,
    roles: table.roles.map(asFound),
    isUnclear:
      table.isUnclear === true ||
      found.isGuessed === true ||
      (inAll === null && packs !== null && isCounted),
  };
}

/** "Qty ordered; Qty received": of several columns that count one thing the last holds; of "In hut; In van" the first; and the reader asks. */
function withOneCount(table: Columns, names: readonly string[], rows: Rows): Columns {
  const { roles } = table;
  const counts = roles.flatMap((r, i) => (r === "quantity" ? [i] : []));
  if (counts.length < 2 || roles.filter((r) => r === "text").length !== 1) return table;
  // "Qty … Amount": what is paid is no count.
  const whole = counts.filter((at) => rows.every((r) => !/\d[.,]\d/.test(r[at] ?? "")));
  const areKits = counts.every((at) => saysOneOfKits(names[at] ?? ""));
  const last = areKits ? counts[0] : (whole.at(-1) ?? counts.at(-1));
  return {
    ...table,
    roles: roles.map((r, i) => (r === "quantity" && i !== last ? "skip" : r)),
    isUnclear: table.isUnclear === true || whole.length > 1,
  };
}

/** "Größe", "Ablauf": what no known word heads is told by its cells; a name it is only where no other column names. */
function withContent(
  table: Columns,
  names: readonly string[],
  rows: Rows,
  isName: (text: string) => boolean,
): Columns {
  if (!table.roles.includes(null)) return table;
  const isCounted = table.roles.includes("quantity") || table.roles.includes("packs");
  const roles = table.roles.map((role, at) => {
    if (role !== null) return role;
    const cells = rows.map((r) => r[at] ?? "");
    if (table.roles.includes("text") && saidAgain(cells) >= SAID_AGAIN) return "skip";
    const told = roleByCells(cells, names[at] ?? "", isName);
    if (told === "size" || told === "skip" || told === "unit") return told;
    // A number that no heading explains is no part of a name.
    return isCounted && counts(rows, at) ? "skip" : null;
  });
  return { ...table, roles };
}

/** "In | Out | Balance": what came and what went is no count of what is there. */
function withoutMoves(table: Columns, names: readonly string[]): Columns {
  const balance = names.findIndex(saysBalance);
  if (balance < 0 || table.roles[balance] !== "quantity") return table;
  const moved = (at: number) => table.roles[at] !== "text" && saysMoved(names[at] ?? "");
  return { ...table, roles: table.roles.map((r, at) => (moved(at) ? "skip" : r)) };
}

/**
 * The columns with what their rows tell of them.
 * @param names the headings, one a column
 * @param isName whether a text surely names one item
 */
export function columnsSettled(
  headed: Columns,
  names: readonly string[],
  rows: Rows,
  isName: (text: string) => boolean,
): Columns {
  const steps = [
    ...[
      withoutMoves,
      withoutDates,
      withoutPaid,
      withoutBoxes,
      withoutKits,
      withAnswers,
      withFound,
      withQuantity,
    ],
    ...[withShould, withUnits, withPacks, withOneCount, withSums],
  ];
  const named = withSides(withNamed(headed, rows, isName), names, rows, isName);
  const settled = steps.reduce<Columns>((table, step) => step(table, names, rows), named);
  return withContent(settled, names, rows, isName);
}
