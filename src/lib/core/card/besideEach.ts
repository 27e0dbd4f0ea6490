import { rememberingFor } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { isCounted } from "./counted.ts";
import { countPlainly } from "./countsPlainly.ts";
import { withoutEdges } from "./edgeData.ts";
import { isHabit } from "./lineEdges.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { saysAmount } from "./recordFields.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * Lists that stand beside each other, each thing with its count, and here and there with a date or a tick: "6 wipes  ok | 11 plasters
 *  ok", "whistle     11, exp 07/27     tape     6". Each line becomes its things, a record each.
 */

const BETWEEN = /\s*\|\s*|\s*\t\s*|\s*\.{3,}\s*|\s{2,}/;
/** A ruled table, whose columns are told by what they hold. */
const RULED = /^\s*\|.*\|\s*$/;
const COUNT = quick(
  new RegExp(`^[x×]?\\s*(?<count>${NUMBER_WORDS})\\s*(?:[x×]|pcs|pieces|off)?$`, "iu"),
);
/** ASCII's record separator: no card has one. */
export const RECORD_END = "\u001e";
type Names = (text: string) => boolean;

/** What is told of one thing; a name may say its count itself. */
interface Thing {
  readonly name?: string;
  readonly count?: string;
}
const isWhole = ({ name, count }: Thing): boolean =>
  name !== undefined && (count !== undefined) !== isCounted(name);
const written = ({ name, count }: Thing): string =>
  count === undefined ? countPlainly(name!) : `${count} x ${name!}`;

/** What a cell tells of a thing; {}: nothing, as a date does; null: it is no part of a list. */
function toldBy(cell: string, names: Names): Thing | null {
  const bare = withoutEdges(cell);
  if (bare === "") return {};
  const count = COUNT.exec(bare)?.groups?.["count"];
  if (count !== undefined) return { count };
  // "1 box (3)" and "box (3)" say how many, and name nothing.
  const isAmount = saysAmount(bare) || saysAmount(`1 ${bare}`);
  return names(bare) && !isAmount ? { name: bare } : null;
}

/** The things that cells tell one after another; null: a cell is none of a thing, or a thing has no count, or two. */
function thingsIn(cells: readonly string[], names: Names): readonly string[] | null {
  const things: Thing[] = [];
  for (const cell of cells) {
    const told = toldBy(cell, names);
    if (told === null) return null;
    const last = things.at(-1);
    if (last === undefined || (isWhole(last) && Object.keys(told).length > 0)) things.push(told);
    else if (Object.keys(told).some((key) => key in last)) return null;
    else things[things.length - 1] = { ...last, ...told };
  }
  return things.length > 0 && things.every(isWhole) ? things.map(written) : null;
}

/** Of a card's lines so many must be so. */
const SHARE = 0.5;
/** Of those with cells nearly all: others are a table's, which tells by itself what its columns hold. */
const MOST_OTHERS = 0.2;

/** "bandages: 2 x 6 cm, 3 x 8 cm     tape: 1": what is said of several sorts in a cell is a line of its own; null: a cell says nothing whole. */
const sortsIn = (cells: readonly string[]): readonly string[] | null =>
  cells.length > 1 && cells.every((cell) => THREE_LETTERS.test(cell) && HAS_NUMBER.test(cell))
    ? cells
    : null;
const HAS_NUMBER = quick(new RegExp(`(?<![\\p{L}\\d])(?:${NUMBER_WORDS})(?!\\p{L})`, "iu"));

/** The cells of a line, and the things they tell; null: none. */
const toldOn = rememberingFor(
  (line: string, names: Names) => {
    const cells = line.length > LONGEST_LINE || RULED.test(line) ? [] : line.trim().split(BETWEEN);
    return { cells, things: cells.length > 1 ? thingsIn(cells, names) : null };
  },
  LINES_KEPT,
  LONGEST_KEPT,
);

/** @param names whether a text surely names one item: the same one for the same vocabulary, as what rests on it is remembered */
export function listsBeside(lines: readonly string[], names: Names): readonly string[] {
  const told = lines.map((line) => toldOn(line, names));
  const cells = told.map((line) => line.cells);
  const things = told.map((line) => line.things);
  const isBeside = (_: string, i: number) => (things[i]?.length ?? 0) > 1;
  const isOther = (i: number) => things[i] === null && cells[i]!.length > 1;
  const others = cells.filter((of, i) => isOther(i) && of.some(names)).length;
  if (!isHabit(lines, isBeside, SHARE) || others > MOST_OTHERS * lines.length) return lines;
  const first = lines.findIndex(isBeside);
  // "SHED      HOUSE" over them says where each list lies.
  const isTitle = (i: number) => i < first && isOther(i) && !cells[i]!.some(names);
  return lines.map((line, i) => {
    if (isTitle(i)) return "";
    return (things[i] ?? (i > first ? sortsIn(cells[i]!) : null))?.join(RECORD_END) ?? line;
  });
}
