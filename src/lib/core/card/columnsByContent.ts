import type { ColumnRole } from "./columnRole.ts";
import { areAnswers, saysHeld, saysMeant, saysWhether } from "./headingCounts.ts";
import { quick } from "./quick.ts";

/** What the columns of a table hold, told by their cells; a heading is only a hint. */

/** What one cell looks like. */
type CellKind = "blank" | "name" | "pack" | "count" | "price" | "date" | "code" | "size" | "words";

const COUNT = quick(/^\d{1,4}(?:\s*(?:x|×)\s*\d{1,3})?(?:\s*\p{L}{1,5}\.?)?$/u);
const PRICE = quick(/^[^\p{L}\d]{0,2}\d{1,4}[.,]\d{2}[^\p{L}\d]{0,2}$/u);
const DATE = quick(
  /^(?:\d{1,2}[-/.]\d{4}|(?:0[1-9]|1[0-2])[/.]\d{2}|\d{1,2}\.? \p{L}{3,9}\.? \d{2,4}|\d{4}-\d{1,2}(?:-\d{1,2})?|\d{1,2}[-/.]\d{1,2}[-/.]\d{2,4}|\p{L}{3,9}\.? \d{2,4})\W*$/u,
);
const CODE = quick(/^(?=.*\d)(?:\p{Lu}{1,4}[-. ]?\d[\w-]*|\d{5,}|\d+-\d{3,})$/u);
/** "BX100", "EA", "PK/10": what one of the counted is. */
const PACK =
  /^(?:ea|each|prs?|pairs?|pcs?|pieces?|rolls?|reels?|tubes?|bottles?|btls?|sachets?|ampoules?|vials?|cans?|tins?|(?:bx|box|pk|pkt|pac|pack|rol|cs|bg|ct|st)s?(?:[/ ]?\d{1,4})?)\.?$/i;
/** "card of 4", "5 per card". */
const PACK_SAID =
  /^(?:(?:pack|pk|pkt|packet|box|card|strip|bag|sleeve|tub|tin)\s+of\s+\d{1,4}|\d{1,4}\s*(?:per|\/)\s*(?:pack|pk|pkt|packet|box|card|strip|bag|sleeve|tub|tin))$/i;
const SIZE = quick(/^[^\p{L}]*\d\s*(?:mm|cm|m|in|"|ml|l|g|mg|mcg|kg|oz|%|[x×])(?![\p{L}])/iu);

/** Whether each cell that is filled says what one of the counted is, three of them at least. */
export const areUnits = (cells: readonly string[]): boolean => {
  const said = cells.map((c) => c.trim()).filter((c) => c !== "");
  return said.length >= 3 && said.every((c) => PACK.test(c) || /^(?:pcs?|sets?)\.?$/i.test(c));
};
export const isDate = (cell: string): boolean => DATE.test(cell.trim());

/** 4, 5, 6 …: each is one more than the one before. */
export const isRunning = (numbers: readonly number[]): boolean =>
  numbers.every((n, i) => i === 0 || n === numbers[i - 1]! + 1);

function kindOf(cell: string, isName: (text: string) => boolean): CellKind {
  const text = cell.trim();
  if (/^[-–—.\s]*$/.test(text)) return "blank";
  if (PRICE.test(text)) return "price";
  if (DATE.test(text)) return "date";
  if (PACK.test(text)) return "pack";
  if (CODE.test(text)) return "code";
  if (SIZE.test(text)) return "size";
  if (COUNT.test(text)) return "count";
  return isName(text) ? "name" : "words";
}

/** This share of a column's cells must look alike. */
const ALIKE = 0.6;
/** Half the names known make a column of names: the rest are names not known yet. */
const NAMES_ALIKE = 0.4;
/** Numbers above this that all differ number the articles. */
const SMALLEST_ARTICLE = 100;

export const areArticles = (numbers: readonly number[]): boolean =>
  new Set(numbers).size === numbers.length && numbers.every((n) => n >= SMALLEST_ARTICLE);

/** What each column holds by its cells, under headings that do not tell. */
export const roleByCells = (
  cells: readonly string[],
  heading: string,
  isName: (text: string) => boolean,
): ColumnRole | null => ROLE[columnKind(cells, heading, isName)];

/** "20.00", "4.00": a column of numbers with nothing behind their points counts; prices seldom are so. */
const areWhole = (cells: readonly string[]): boolean => {
  const numbers = cells.map((c) => c.trim()).filter((c) => /\d/.test(c));
  return numbers.length >= FEWEST_WHOLE && numbers.every((c) => /^\d{1,4}[.,]0{1,3}$/.test(c));
};
const FEWEST_WHOLE = 4;

function columnKind(
  cells: readonly string[],
  heading: string,
  isName: (text: string) => boolean,
): CellKind {
  const kinds = cells.map((c) => kindOf(c, isName)).filter((k) => k !== "blank");
  if (kinds.length === 0) return "blank";
  const share = (k: CellKind) => kinds.filter((x) => x === k).length / kinds.length;
  if (share("name") >= NAMES_ALIKE) return "name";
  const packs = cells.filter((c) => PACK_SAID.test(c.trim())).length;
  if (heading === "" && packs >= ALIKE * kinds.length) return "pack";
  if (share("price") >= ALIKE && areWhole(cells) && hint(heading) !== "skip") return "count";
  if (share("count") >= ALIKE) {
    const numbers = cells.map((c) => parseInt(c, 10)).filter((n) => !Number.isNaN(n));
    return (isRunning(numbers) || areArticles(numbers)) && hint(heading) !== "quantity"
      ? "code"
      : "count";
  }
  return (
    (["price", "date", "pack", "code", "size"] as const).find((k) => share(k) >= ALIKE) ?? "words"
  );
}

/** Of a column of places so many cells say another's again; items are seldom named twice. */
export const SAID_AGAIN = 0.4;
/** The share of cells that say what another said before, 0–1. */
export function saidAgain(cells: readonly string[]): number {
  const said = cells.map((c) => c.trim().toLowerCase()).filter((c) => c !== "");
  return 1 - new Set(said).size / Math.max(1, said.length);
}

/** "drawer 1", "lock box", "bag": beside a column of names, one that says the same again and again tells where things lie. */
function placesAsWords(kinds: CellKind[], rows: readonly (readonly string[])[]): void {
  const again = (i: number) => saidAgain(rows.map((r) => r[i] ?? ""));
  const names = kinds.flatMap((k, i) => (k === "name" ? [i] : []));
  const least = Math.min(...names.map(again));
  if (least >= SAID_AGAIN) return;
  for (const i of names) if (again(i) >= SAID_AGAIN) kinds[i] = "words";
}

const SAYS_COUNT = /\b(?:qty|quantity|count(?:ed)?|pcs|pieces|stock|held|found|have)\b/i;
/** "Sl. No.": numbers that run 1, 2, 3 … beside another column that counts number the lines. */
function runningAsCodes(
  kinds: CellKind[],
  rows: readonly (readonly string[])[],
  headings: readonly string[],
): void {
  const counts = kinds.flatMap((k, i) => (k === "count" ? [i] : []));
  if (counts.length < 2) return;
  const runs = (i: number) => isRunning(rows.map((r) => parseInt(r[i] ?? "", 10)));
  const running = counts.filter((i) => runs(i) && !SAYS_COUNT.test(headings[i] ?? ""));
  if (running.length < counts.length) for (const i of running) kinds[i] = "code";
}

/** Source of a pattern for a month's name, cut short or not. */
export const MONTH = "(?:jan|feb|mar|apr|may|jun|jul|aug|sept?|oct|nov|dec)[a-z]*\\.?";
/** Counted by month, by day, at a time or by a shift, one column each. */
const TIME = [
  `(?:count\\s+)?${MONTH}(?:\\s*'?\\d{2,4})?`,
  "(?:mon|tue|wed|thu|fri|sat|sun)[a-z]*\\.?(?:\\s+\\d{1,2})?",
  "(?:wk|week|kw|day|visit|check|round|count|q)\\s*\\d{1,2}|\\d(?:st|nd|rd|th)(?:\\s+(?:check|count|round|week))?",
  `\\d{1,2}(?:st|nd|rd|th)?\\s+${MONTH}(?:\\s*'?\\d{2,4})?`,
  "\\d{1,2}[./]\\d{1,2}(?:[./](?:\\d{4}|\\d{2})?)?|20\\d\\d(?:-\\d{1,2}){0,2}|\\d{1,2}[:.]\\d{2}(?:\\s*[ap]m)?",
  "early|late|night|morning|noon|afternoon|evening|am|pm",
].join("|");

const HINTS: readonly (readonly [RegExp, ColumnRole])[] = [
  [
    /\b(?:min|max|par|target|req(?:uired|'?d)?|reorder|needed|should|std|standard|issue)\b/i,
    "skip",
  ],
  [/^(?:is|in\s+(?:the\s+)?(?:box|kit|bag|tin|cupboard|cabinet|pack))$/i, "quantity"],
  [/^(?:used|issued|taken|spent|gone|consumed)$/i, "skip"],
  [
    /\b(?:weight|mass|g|kg|price|value|cost|loc|location|lagerort|drawer|bin|shelf|page)\b/i,
    "skip",
  ],
  // What went out and came back: what came back is there.
  [/^(?:out|sent|given\s+out|went\s+out)$/i, "skip"],
  [/^(?:in|back|came\s+back|returned)$/i, "quantity"],
  [/^(?:per|a|pks?|pkts?|u\/?m|uom|ve)\b|\b(?:pack|per|box)\b(?!s)/i, "unit"],
  [new RegExp(`^(?:${TIME})$`, "i"), "quantity"],
  [/^cnt\s?\d?$/i, "quantity"],
  [/^(?:var(?:iance)?|diff(?:erence)?)$/i, "skip"],
  [
    /\b(?:act|actual|found|left|held|here|now|have|counted|present|in\s+box|qty|quantity|stock|packs|pcs|pieces|count|no|nr|n|on\s*board|on\s*hand|aboard|balance|bal|remaining|available|closing)\b/i,
    "quantity",
  ],
];
/** What a heading says of a column of numbers where several are. */
export const hint = (heading: string): ColumnRole | null => {
  if (saysHeld(heading)) return "quantity";
  if (saysMeant(heading)) return "skip";
  return HINTS.find(([pattern]) => pattern.test(heading.trim()))?.[1] ?? null;
};

const DAY = /^(?:m|tu?|w|th|f|sa?|su)$/i;
/** Fewer letters may be sizes or marks. */
const FEWEST_DAYS = 3;

const ROLE: Readonly<Record<CellKind, ColumnRole | null>> = {
  name: "text",
  size: "size",
  pack: "unit",
  count: null,
  price: "skip",
  date: "skip",
  code: "skip",
  blank: "skip",
  words: "note",
};

/**
 * Roles of the columns of a table, or null where no column names items or none counts them; unclear
 * where several columns count and no heading tells which is how many there are.
 * @param rows cells of the rows below the heading, all of one length
 * @param headings the cells of the heading; empty: there is none
 * @param isName whether a text surely names one item
 */
export function rolesByContent(
  rows: readonly (readonly string[])[],
  headings: readonly string[],
  isName: (text: string) => boolean,
): { readonly roles: readonly (ColumnRole | null)[]; readonly isUnclear: boolean } | null {
  const width = rows[0]?.length ?? 0;
  const kinds = Array.from({ length: width }, (_, i) =>
    columnKind(
      rows.map((r) => r[i] ?? ""),
      headings[i] ?? "",
      isName,
    ),
  );
  placesAsWords(kinds, rows);
  runningAsCodes(kinds, rows, headings);
  const names = kinds.filter((k) => k === "name").length;
  if (names === 0) return null;
  // "M  T  W": not the sizes S, M and L.
  const days = headings.filter((h) => DAY.test(h.trim()));
  const areDays = days.length >= FEWEST_DAYS && days.some((h) => /^[wft]/i.test(h.trim()));
  const roles = kinds.map((k, i) => {
    const heading = headings[i] ?? "";
    if (k === "count") return areDays && DAY.test(heading.trim()) ? "quantity" : hint(heading);
    return saysWhether(heading) && areAnswers(rows.map((r) => r[i] ?? "")) ? "there" : ROLE[k];
  });
  const counts = kinds.filter((k) => k === "count").length;
  const isUnclear = counts > names && !roles.includes("quantity");
  const isOpen = (i: number) => kinds[i] === "count" && roles[i] === null;
  if (!roles.includes("quantity"))
    for (let k = 0, wanted = names; k < width && wanted > 0; k++)
      if (isOpen(k)) {
        roles[k] = "quantity";
        wanted--;
      }
  const counted = roles.flatMap((r, i) => (r === "quantity" ? [i] : []));
  // Counted at eight and at twenty: the last holds, and the user is asked.
  const again = names === 1 && counted.length > 1;
  if (again) for (const i of counted.slice(0, -1)) roles[i] = "skip";
  else if (counted.length !== names) return null;
  return {
    roles: roles.map((r, i) => (isOpen(i) ? "skip" : r)),
    isUnclear: isUnclear || again,
  };
}
