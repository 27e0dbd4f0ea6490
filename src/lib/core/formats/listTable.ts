import { defined } from "../base/defined.ts";
import Papa from "papaparse";
import { functionNamed, type Catalogue } from "../catalogue/catalogue.ts";
import type { Need, ReferenceList } from "../model/list.ts";
import { needSchema } from "../model/list.ts";
import { zodProblems, problem, type ProblemCode } from "../model/problem.ts";
import { freeId } from "../base/freeId.ts";
import { cellNumber, defused, undefused } from "./cells.ts";
import { fail, type Outcome, type Problem } from "../model/problem.ts";

/**
 * A reference list as a table that anyone can type in a spreadsheet: one need a row, a heading row,
 * and above it rows `# title`, `# for`, `# is not` with the text in the second cell. Sizes in mm.
 * Several things in one cell are parted by semicolons. Empty cells say nothing.
 */
export const LIST_COLUMNS = [
  "id",
  "function",
  "tier",
  "base",
  "base for people",
  "per person",
  "per day",
  "per person and day",
  "redress every h",
  "at least",
  "at most",
  "min size mm",
  "min width mm",
  "min length mm",
  "sterile",
  "access",
  "companions",
  "accept",
  "activities",
  "people from",
  "days from",
  "hours from",
  "carry",
  "sensitivities",
  "theirs",
  "reason",
] as const;
type Column = (typeof LIST_COLUMNS)[number];

/** Columns that a row cannot do without. */
const WANTED: readonly Column[] = ["function", "tier"];
const ABOUT = [
  ["# title", "title"],
  ["# for", "for"],
  ["# is not", "isNot"],
] as const;

/** What each column holds, for the help sheet and the documents. */
export const COLUMN_HELP: Readonly<Record<Column, string>> = {
  id: "a short name, once in the list; empty: made from the function",
  function: "one of the jobs of the catalogue, by id or by its name",
  tier: "vital, core or useful",
  base: "so many in any case, in the unit of the function",
  "base for people": "the base is for so many people; 'per person' counts those beyond them",
  "per person": "and so many more for each person",
  "per day": "and for each day",
  "per person and day": "and for each person on each day",
  "redress every h": "asked once more for every so many hours to care",
  "at least": "never fewer",
  "at most": "never more",
  "min size mm": "both sides, as 75 x 75",
  "min width mm": "the smaller side",
  "min length mm": "the larger side",
  sterile: "yes, or empty",
  access: "seconds, minute or any",
  companions: "functions without which it does half its job; several by semicolons",
  accept:
    "stand-ins: item type, credit from 0 to 1, then if wanted 'yield 4' and 'improvised'; several by semicolons",
  activities: "asked only where one of these goes on; several by semicolons",
  "people from": "asked only from so many people",
  "days from": "asked only from so many days",
  "hours from": "asked only from so many hours to care",
  carry: "asked only when carried so: pocket, belt, pack, vehicle, boat, wall",
  sensitivities: "asked only where someone reacts to: latex, adhesive, iodine, nsaid, sting",
  theirs: "yes: a thing of a person's own, checked and counted but never bought",
  reason: "why, in one plain sentence",
};

type Row = Partial<Record<Column, string>>;

/** The list as rows of text: about, heading, needs. */
export function listRows(list: ReferenceList): string[][] {
  const about = ABOUT.flatMap(([mark, key]) => {
    const text = (list as Record<string, unknown>)[key];
    return typeof text === "string" && text !== "" ? [[mark, text]] : [];
  });
  return [...about, [...LIST_COLUMNS], ...list.needs.map((n) => cellsOf(n))];
}

function cellsOf(need: Need): string[] {
  const { quantity: q, spec, when } = need;
  const n = (x: number | undefined) => (x === undefined ? "" : String(x));
  const several = (xs: readonly string[] | undefined) => (xs ?? []).join("; ");
  const row: Record<Column, string> = {
    id: need.id,
    function: need.function,
    tier: need.tier,
    base: n(q.base),
    "base for people": n(q.baseFor),
    "per person": n(q.perPerson),
    "per day": n(q.perDay),
    "per person and day": n(q.perPersonDay),
    "redress every h": n(q.redressEveryH),
    "at least": n(q.min),
    "at most": n(q.max),
    "min size mm": spec?.minSizeMm?.join(" x ") ?? "",
    "min width mm": n(spec?.minWidthMm),
    "min length mm": n(spec?.minLengthMm),
    sterile: spec?.sterile ? "yes" : "",
    access: need.access ?? "",
    companions: several(need.companions),
    accept: several(
      need.accept?.map(
        (a) =>
          `${a.itemType} ${a.credit}${a.yield === undefined ? "" : ` yield ${a.yield}`}${a.improvised ? " improvised" : ""}`,
      ),
    ),
    activities: several(when?.activities),
    "people from": n(when?.peopleMin),
    "days from": n(when?.daysMin),
    "hours from": n(when?.hoursToCareMin),
    carry: several(when?.carry),
    sensitivities: several(when?.sensitivities),
    theirs: need.theirs ? "yes" : "",
    reason: need.reason ?? "",
  };
  return LIST_COLUMNS.map((c) => row[c]);
}

/** A list from rows of text. All of it, or what is wrong with row and column, and nothing else. */
export function listFromRows(
  rows: readonly (readonly string[])[],
  name: { id: string; title: string },
  isType: (id: string) => boolean,
  catalogue: Catalogue,
): Outcome<ReferenceList> {
  const about: Record<string, string> = {};
  let at = 0;
  for (; at < rows.length; at++) {
    const row = rows[at]!.map(undefused);
    const mark = row[0]?.trim().toLowerCase() ?? "";
    const key = ABOUT.find(([m]) => m === mark)?.[1];
    if (key) about[key] = row[1]?.trim() ?? "";
    else if (!mark.startsWith("#") && row.some((c) => c.trim() !== "")) break;
  }
  const heading = (rows[at] ?? []).map((c) => normal(c));
  const columnAt = new Map(LIST_COLUMNS.map((c) => [c, heading.indexOf(normal(c))]));
  const missing = WANTED.filter((c) => columnAt.get(c)! < 0);
  if (missing.length > 0)
    return fail([
      problem(`row ${at + 1}`, "list-lacks-heading", {
        missing: missing.map((m) => `'${m}'`).join(" and "),
        headings: LIST_COLUMNS.join(", "),
      }),
    ]);
  const unknown = heading.filter((h) => h !== "" && !LIST_COLUMNS.some((c) => normal(c) === h));
  const problems: Problem[] = unknown.map((h) =>
    problem(`row ${at + 1}`, "list-unknown-heading", { heading: h }),
  );
  const needs: Need[] = [];
  const ids = new Set<string>();
  rows.slice(at + 1).forEach((cells, i) => {
    if (cells.every((c) => c.trim() === "")) return;
    const where = `row ${at + i + 2}`;
    const row: Row = Object.fromEntries(
      LIST_COLUMNS.map((c) => [c, undefused(cells[columnAt.get(c)!] ?? "").trim()]),
    );
    const read = needOf(row, where, ids, isType, catalogue);
    problems.push(...read.problems);
    if (read.need) {
      ids.add(read.need.id);
      needs.push(read.need);
    }
  });
  if (needs.length === 0 && problems.length === 0) problems.push(problem("rows", "list-no-need"));
  if (problems.length > 0) return fail(problems.slice(0, 50));
  return {
    ok: true,
    value: { ...about, id: name.id, title: about["title"] || name.title, needs },
  };
}

/** Heading as compared: without case, blanks and underscores. */
const normal = (text: string) =>
  undefused(text)
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, " ");

function needOf(
  row: Row,
  where: string,
  taken: ReadonlySet<string>,
  isType: (id: string) => boolean,
  catalogue: Catalogue,
): { need?: Need; problems: Problem[] } {
  const problems: Problem[] = [];
  const bad: Bad = (column, code, values) =>
    problems.push(problem(`${where}, ${column}`, code, values));
  const number = (column: Column) => {
    const cell = row[column] ?? "";
    if (cell === "") return undefined;
    const n = cellNumber(cell);
    if (n === null) bad(column, "no-number", { text: cell });
    return n ?? undefined;
  };
  const several = (column: Column) =>
    (row[column] ?? "")
      .split(/[;\n]/)
      .map((x) => x.trim())
      .filter(Boolean);
  const functionIn = (column: Column, name: string) => {
    const id = functionNamed(name, catalogue)?.id ?? null;
    if (id === null) bad(column, "no-job", { name, jobs: catalogue.functions.size });
    return id;
  };

  const fn = functionIn("function", row.function ?? "");
  const sides = sidesOf(row["min size mm"] ?? "", bad);
  const accept = several("accept").flatMap((text) => standIn(text, isType, bad));
  const isYes = (column: "sterile" | "theirs"): boolean => {
    const cell = (row[column] ?? "").toLowerCase();
    if (!["", "yes", "no", "x", "true", "false", "0", "1"].includes(cell))
      bad(column, "no-yes", { text: row[column] ?? "" });
    return ["yes", "x", "true", "1"].includes(cell);
  };
  const companions = several("companions").flatMap((c) => functionIn("companions", c) ?? []);
  const spec = defined({
    minSizeMm: sides,
    minWidthMm: number("min width mm"),
    minLengthMm: number("min length mm"),
    sterile: isYes("sterile") ? true : undefined,
  });
  const when = defined({
    activities: orNone(several("activities")),
    peopleMin: number("people from"),
    daysMin: number("days from"),
    hoursToCareMin: number("hours from"),
    carry: orNone(several("carry")),
    sensitivities: orNone(several("sensitivities")),
  });
  const id = row.id || (fn === null ? "" : freeId(fn, taken));
  if (taken.has(id)) bad("id", "twice", { id });
  const given = {
    id,
    function: fn ?? "",
    tier: (row.tier ?? "").toLowerCase(),
    quantity: defined({
      base: number("base"),
      baseFor: number("base for people"),
      perPerson: number("per person"),
      perDay: number("per day"),
      perPersonDay: number("per person and day"),
      redressEveryH: number("redress every h"),
      min: number("at least"),
      max: number("at most"),
    }),
    ...(Object.keys(spec).length > 0 ? { spec } : {}),
    ...(row.access ? { access: row.access.toLowerCase() } : {}),
    ...(companions.length > 0 ? { companions } : {}),
    ...(accept.length > 0 ? { accept } : {}),
    ...(Object.keys(when).length > 0 ? { when } : {}),
    ...(isYes("theirs") ? { theirs: true } : {}),
    ...(row.reason ? { reason: row.reason } : {}),
  };
  const { min, max } = given.quantity as Need["quantity"];
  if (min !== undefined && max !== undefined && min > max)
    bad("at least", "list-min-above-max", { min, max });
  if (problems.length > 0) return { problems };
  const parsed = needSchema.safeParse(given);
  return parsed.success
    ? { need: parsed.data, problems }
    : {
        problems: zodProblems(parsed.error).map((p) => ({ ...p, where: `${where}, ${p.where}` })),
      };
}

type Bad = (
  column: Column,
  code: ProblemCode,
  values?: Readonly<Record<string, string | number>>,
) => void;

function sidesOf(size: string, bad: Bad) {
  if (size === "") return undefined;
  const sides = size.split(/[x×*]/i).map((s) => cellNumber(s));
  if (sides.length !== 2 || sides.some((s) => s === null))
    bad("min size mm", "no-two-sides", { text: size });
  return sides;
}

type Accept = NonNullable<Need["accept"]>[number];

/** A stand-in as typed: the item type, its credit, and what else is particular to it. */
function standIn(text: string, isType: (id: string) => boolean, bad: Bad): Accept[] {
  const m = /^(\S+)\s+(\d*[.,]?\d+)(?:\s+yield\s+(\d*[.,]?\d+))?(\s+improvised)?$/i.exec(text);
  if (!m) {
    bad("accept", "no-stand-in", { text });
    return [];
  }
  const [, itemType = "", credit = "", yields, improvised] = m;
  if (!isType(itemType)) bad("accept", "no-stand-in-type", { type: itemType });
  return [
    {
      itemType,
      credit: cellNumber(credit)!,
      ...(yields ? { yield: cellNumber(yields)! } : {}),
      ...(improvised ? { improvised: true } : {}),
    },
  ];
}

const orNone = (xs: readonly string[]) => (xs.length === 0 ? undefined : xs);

/** The list as CSV (RFC 4180); cells that a spreadsheet would run as a formula are defused. */
export const listCsv = (list: ReferenceList): string =>
  Papa.unparse(
    listRows(list).map((r) => r.map(defused)),
    { newline: "\r\n" },
  ) + "\r\n";

/** Rows of a CSV file, parted by commas, semicolons or tabs: whichever its heading row is written with. */
export function csvRows(text: string): Outcome<string[][]> {
  const body = text.replace(/^\uFEFF/, "");
  const tried = [",", ";", "\t"].map((delimiter) => Papa.parse<string[]>(body, { delimiter }));
  const parsed = tried.find((t) => t.data.some(isListHeading)) ?? tried[0]!;
  const broken = parsed.errors.find((e) => e.type === "Quotes");
  return broken
    ? fail([problem(`row ${(broken.row ?? 0) + 1}`, "open-quote")])
    : { ok: true, value: parsed.data };
}

/** Whether a row heads a list's table. */
export const isListHeading = (row: readonly string[]): boolean =>
  WANTED.every((c) => row.some((cell) => normal(cell) === c));
