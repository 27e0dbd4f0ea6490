import { rememberingFor } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { isCounted } from "./counted.ts";
import { isHabit, NO_INITIALS } from "./lineEdges.ts";
import { IS_PLACE } from "./labelsBefore.ts";
import { PART_OF_ONE } from "./placeWords.ts";
import { quick } from "./quick.ts";

/**
 * What stands at one end of line after line besides a thing and its count, set apart from them: a date, a price, a weight, a lot,
 * a code, a sign that it was looked at, where it lies. It counts nothing, and the count is read without it.
 */

const MONTH =
  "(?:jan|feb|mar|apr|may|june?|july?|aug|sept?|oct|nov|dec|january|february|march|april|august|september|october|november|december)\\.?";
const YEAR = "20[2-4]\\d";
const DAY = "(?:0?[1-9]|[12]\\d|3[01])";
const MONTH_NUMBER = "(?:0?[1-9]|1[0-2])";
const DATE_SAID =
  "(?:exp(?:iry|ires?|\\.)?|use\\s+by|best\\s+before|bbe?|dated?|checked|tested|opened|until)";
const DATE = [
  `${MONTH_NUMBER}[/.-](?:${YEAR}|2[5-9]|3\\d)`,
  `${DAY}[/.-]${MONTH_NUMBER}[/.-](?:${YEAR}|[23]\\d)`,
  `${YEAR}-${MONTH_NUMBER}(?:-${DAY})?`,
  `(?:${DAY}\\s+)?${MONTH}[\\s'’/-]+(?:${YEAR}|[23]\\d)`,
].join("|");
const MONEY = "(?:[£€$¥]|Rs\\.?|R|EUR|USD|GBP|CHF|SEK|AUD|CAD|NZD|INR|SGD|kr)";
const AMOUNT = "\\d{1,5}(?:[.,]\\d{2})?";

interface Kind {
  readonly name: string;
  readonly example: string;
  readonly pattern: RegExp;
  /** It stands for a count where the line has none in figures or words of its own: "whistle | n/a". */
  readonly mayCount?: true;
  /** It says nothing of a thing, wherever it stands. */
  readonly isPlain?: true;
  readonly isPlace?: true;
}
const whole = (pattern: string) => quick(new RegExp(`^(?:${pattern})$`, "iu"));

/** "small" by itself is a size. */
const PLACE = new RegExp(`^(?!(?:small|big|large)$)(?:${IS_PLACE.source})`, "i");
/** Who looked; sizes of gloves and what things come in are none. */
const INITIALS = quick(
  new RegExp(`^(?!(?:${NO_INITIALS}|NO)\\.?$)(?:\\p{Lu}{2,3}\\.?|(?:\\p{Lu}\\.){2,3})$`, "u"),
);

/** An ordered table; the first that takes an end of a line tells its kind. */
export const EDGE_KINDS: readonly Kind[] = [
  {
    name: "date",
    example: "use by 05/2029",
    pattern: whole(
      `(?:${DATE_SAID}[\\s:.]*)?(?:${DATE})|${DATE_SAID}[\\s:.]*(?:${YEAR}|${DAY}[/.]${MONTH_NUMBER})`,
    ),
    isPlain: true,
  },
  {
    name: "price",
    example: "8,65 €",
    pattern: whole(`${MONEY}\\s?${AMOUNT}(?:\\s?-)?|${AMOUNT}\\s?(?:[£€$¥]|EUR|USD|GBP|CHF|kr)`),
    isPlain: true,
  },
  {
    name: "weight",
    example: "115 g",
    pattern: whole("\\d{1,5}(?:[.,]\\d{1,3})?\\s?(?:g|gr|kg|lbs?)\\.?"),
  },
  {
    name: "lot",
    example: "batch no. 540-69",
    pattern: whole(
      "(?:lot|batch|ref|sku|art)\\.?\\s*(?:no\\.?|nr\\.?|number)?\\s*[:#]?\\s*(?=[A-Z]{0,3}-?\\d)[A-Z\\d-]{2,}",
    ),
    isPlain: true,
  },
  {
    name: "code",
    example: "FA-954",
    pattern: quick(/^(?:[A-Z]{2,4}-\d{2,6}|#\s?\d{3,8})$/u),
    isPlain: true,
  },
  { name: "year", example: "2027", pattern: whole(YEAR), mayCount: true },
  {
    name: "price without its sign",
    example: "16.18",
    pattern: whole("\\d{1,4}[.,]\\d{2}"),
    mayCount: true,
  },
  {
    name: "not told",
    example: "n/a",
    pattern: whole("n\\.?/?a\\.?|ok|okay|yes|✓|✔"),
    mayCount: true,
  },
  { name: "share", example: "90%", pattern: whole("\\d{1,3}\\s?%"), mayCount: true },
  { name: "unit", example: "each", pattern: whole("each|ea\\.?|unit|single"), mayCount: true },
  { name: "initials", example: "R.S.", pattern: INITIALS, mayCount: true },
  {
    name: "part of the kit",
    example: "shelf 3",
    pattern: whole(`(?:${PART_OF_ONE}|box)\\s+(?:\\d{1,2}|[A-H])`),
    mayCount: true,
    isPlace: true,
  },
  { name: "place", example: "left pocket", pattern: PLACE, mayCount: true, isPlace: true },
];

/** Whether a cell says nothing of a thing, whatever its column: a date, a price, a lot, a code, a place. */
export const saysNothing = (cell: string): boolean =>
  EDGE_KINDS.some(
    ({ isPlain, isPlace, pattern }) => (isPlain ?? isPlace) === true && pattern.test(cell),
  );

/** What was taken off one end of a line, from its outside inwards. */
interface Edges {
  readonly kinds: readonly Kind[];
  /** The line without them, and without what set them apart. */
  readonly rest: string;
  /** They stand as cells of a table do. */
  readonly areCells: boolean;
  /** The rest says how many there are. */
  readonly isCounted: boolean;
}

const CELL = "\\s{2,}|\\t\\s*|\\s*\\|\\s*";
/** What sets an end of a line apart. */
const BETWEEN = `\\s*\\.{3,}\\s*|${CELL}|\\s+[-–—:]\\s+|[:,;]\\s+`;
const LONGEST_EDGE = 24;
const BEHIND = quick(
  new RegExp(
    `^(?<rest>.*\\S)(?:(?<between>${BETWEEN})(?<told>\\S[^|\\t;]{0,${LONGEST_EDGE}}?)|\\s*\\((?<inside>[^()]{1,${LONGEST_EDGE}})\\))\\s*$`,
    "u",
  ),
);
const BEFORE = quick(
  new RegExp(
    `^\\s*(?:\\((?<inside>[^()]{1,${LONGEST_EDGE}})\\)\\s*|(?<told>[^\\s|;][^|\\t;]{0,${LONGEST_EDGE}}?)(?<between>${BETWEEN}))(?<rest>\\S.*)$`,
    "u",
  ),
);
/** Cells of a table, which tells by itself what its columns hold. */
const HAS_CELLS = /[|;\t]|\S\s{2,}\S/;
const IS_CELL = quick(new RegExp(`^(?:${CELL})$`, "u"));
/** Of the dots that lead to it. */
const DOTS_LAST = /[\s.]*\.{2}$|\s+$/;
/** The sum of what is taken off: no thing. */
const SAYS_SUM = /^\W*(?:(?:grand|sub)[\s-]?)?(?:total|sum|sub)\b[^\d]{0,12}$/i;
/** More of them are a table's. */
const MOST_EDGES = 3;

/** A line with what stands at one of its ends taken off, with what is set apart inside of it too. */
function peeled(line: string, end: RegExp): Omit<Edges, "isCounted"> {
  const kinds: Kind[] = [];
  let rest = line;
  let areCells = false;
  while (kinds.length < MOST_EDGES) {
    const m = end.exec(rest)?.groups;
    const told = (m?.["told"] ?? m?.["inside"] ?? "").trim();
    const kind = m && EDGE_KINDS.find(({ pattern }) => pattern.test(told));
    if (!kind) break;
    kinds.push(kind);
    rest = m["rest"]!.replace(DOTS_LAST, "");
    areCells ||= IS_CELL.test(m["between"] ?? "");
  }
  return { kinds, rest: SAYS_SUM.test(rest) ? "" : rest, areCells };
}
const TICK_LAST = /\s*[✓✔☑]\s*$/;
/** A cell without what stands behind its thing; "" where it is nothing else. */
export function withoutEdges(cell: string): string {
  const text = cell.replace(TICK_LAST, "").trim();
  return EDGE_KINDS.some(({ pattern }) => pattern.test(text)) ? "" : peeled(text, BEHIND).rest;
}

/** null: nothing there is of these kinds, or it may be what counts the thing. */
const edgesOf = rememberingFor(edgesAt, LINES_KEPT, LONGEST_KEPT);
function edgesAt(line: string, end: RegExp): Edges | null {
  if (line.length > LONGEST_LINE) return null;
  const edges = peeled(line, end);
  if (edges.kinds.length === 0 || HAS_CELLS.test(edges.rest)) return null;
  const told = { ...edges, isCounted: isCounted(edges.rest) };
  const countsNothing = edges.kinds.every(({ mayCount }) => mayCount === undefined);
  return countsNothing || edges.rest === "" || told.isCounted ? told : null;
}

/** Of a card's lines so many have it: fewer, and a table's columns may be closed up there by chance. */
const SHARE = 0.3;

/**
 * The lines without what stands at one of their ends: beside a thing that is counted it counts nothing, whatever a dash or a comma sets
 * apart; what a table's cells may hold, and what may count, only where so many lines have the same there.
 */
function withoutEdge(lines: readonly string[], end: RegExp): readonly string[] {
  const found = lines.map((line) => edgesOf(line, end));
  const habits = new Set(
    EDGE_KINDS.filter((kind) =>
      isHabit(
        lines,
        (_, i) => found[i]?.isCounted === true && found[i].kinds.includes(kind),
        SHARE,
      ),
    ),
  );
  return lines.map((line, i) => {
    const edges = found[i];
    if (!edges) return line;
    const countsNothing =
      !edges.areCells && edges.kinds.every((kind) => kind.isPlain) && edges.isCounted;
    return countsNothing || edges.kinds.some((kind) => habits.has(kind)) ? edges.rest : line;
  });
}

/** As many lines as before. */
export const withoutEdgeData = (lines: readonly string[]): string[] => [
  ...withoutEdge(withoutEdge(lines, BEHIND), BEFORE),
];
