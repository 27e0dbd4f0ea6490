import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * Several sizes of one thing and how many of each: "Dressings S / M / L, 4 of each", "Burn dressing 10 x 10 / 20 x 20 cm, 2 + 1",
 * also where a column says what they come to. They are said as a cell of sizes and one of counts (pairedCells.ts).
 */

const MEASURE = '(?:mm|cm|m|in(?:ch(?:es)?)?|ml|["”″])';
const SIDE = `\\d{1,4}(?:[.,]\\d{1,2})?\\s*${MEASURE}?`;
const SORT = `(?:${SIDE}(?:\\s*[x×]\\s*${SIDE})+|\\d{1,4}(?:[.,]\\d{1,2})?\\s*${MEASURE}|x{0,3}[sml]|small|medium|large)(?![\\p{L}\\d])`;
const BETWEEN = "\\s*(?:[/+&,;]|\\band\\b|,\\s*and\\b)\\s*";
const N = `(?:${NUMBER_WORDS})`;
const NAME = "(?<name>(?:[^\\d,;:]|\\d+(?:[.)]\\s|\\s{2,}))*?\\p{L}{3}[^\\d,;:]*?)";
const SORTS = `(?:\\s+|\\s*[,:(]\\s*)(?:in\\s+)?(?<sorts>${SORT}(?:${BETWEEN}${SORT}){1,3})`;
const EACH = `${N}(?:\\s*[x×]|\\s+(?:box|pack|packet|pkt|roll|pair|pr|bag)(?:e?s)?)?`;
/** "4 of each", "(2 each)", "2 + 1". */
const HOW_MANY = `\\)?\\s*(?:[,:;(–-]\\s*)?(?:[x×]\\s?)?(?:(?<each>${EACH})\\s+(?:of\\s+)?each(?:\\s+sizes?)?|(?<counts>\\d{1,3}(?:\\s*[/+&]\\s*\\d{1,3}){1,3})(?<unit>\\s+(?:pairs|prs?|pcs|pieces))?)\\s*\\)?`;
/** What the sizes come to, and other cells. */
const CELLS = "(?<cells>\\s*(?:$|\\s{2}.*|[\\t|;].*))";
const LINE = quick(new RegExp(`^${NAME}${SORTS}${HOW_MANY}${CELLS}$`, "iu"));
const FIRST = quick(
  new RegExp(
    `^(?<mark>\\W*)(?<each>${EACH})\\s+(?:of\\s+)?each(?:\\s+of)?:?\\s+(?<sorts>${SORT}(?:${BETWEEN}${SORT}){1,3})\\s+(?<name>\\p{L}{3}[^\\d,;:/|\\t]*?)${CELLS}$`,
    "iu",
  ),
);
const MAY_SAY =
  /\beach\b|\d\s*[/+&]\s*\d{1,3}(?:\s+(?:pairs|prs?|pcs|pieces))?\)?\s*(?:$|\s{2}|[\t|;])/i;
const SPLIT = quick(new RegExp(BETWEEN, "iu"));
const COUNT_CELL = /^(?<before>[\s|;]*)(?<count>\d{1,4})(?=\s*(?:$|\s{2}|[\t|;]))/;
const WORD_BEHIND = /\s*(?:(?<=\d\s*)[x×]|\b(?:box|pack|packet|pkt|roll|pair|pr|bag)(?:e?s)?)$/i;

type Groups = Readonly<Record<string, string | undefined>>;

/** How many of one sort, with the word for what is counted. */
interface Counted {
  readonly count: number;
  readonly word: string;
}
/** The count of each sort; null: they are not as many as the sorts. */
function countsOf({ each, counts, unit = "" }: Groups, many: number): Counted[] | null {
  if (each !== undefined) {
    const word = WORD_BEHIND.exec(each)?.[0] ?? "";
    const count = valueOf(each.slice(0, each.length - word.length));
    return Array.from({ length: many }, () => ({ count, word }));
  }
  const found = counts!.split(/\s*[/+&]\s*/).map((n) => ({ count: Number(n), word: unit }));
  return found.length === many ? found : null;
}

const MARK = /^\s*(?:[-*•]\s+|\(?\d{1,2}[.)]\s+)?/;
const BY_LETTER = /^(?:x{0,3}[sml]|small|medium|large)$/i;
/** Below a table, blanks would make a cell of its columns; what goes by letter may be named only with its other sizes. */
function asList(found: Groups, sorts: readonly string[], counts: readonly Counted[]): string {
  const name = found["name"]!.trimEnd();
  const mark = found["mark"] ?? MARK.exec(name)![0];
  const thing = found["mark"] === undefined ? name.slice(mark.length) : name;
  return (
    mark +
    sorts
      .map((sort, i) => `${counts[i]!.count}${counts[i]!.word || " x"} ${thing} ${sort}`)
      .join("; ")
  );
}

/** A line with its sizes in one cell and their counts in the next; as it is where it does not say both. */
export function sortsPaired(line: string): string {
  if (line.length > LONGEST_LINE || !MAY_SAY.test(line)) return line;
  const found = (FIRST.exec(line) ?? LINE.exec(line))?.groups;
  if (!found) return line;
  const sorts = found["sorts"]!.split(SPLIT);
  const counts = countsOf(found, sorts.length);
  if (counts === null) return line;
  const cells = found["cells"]!;
  const told = COUNT_CELL.exec(cells)?.groups;
  const sum = counts.reduce((all, { count }) => all + count, 0);
  if (told ? Number(told["count"]) !== sum : cells.trim() !== "") return line;
  if (!told && !sorts.every((sort) => BY_LETTER.test(sort))) return asList(found, sorts, counts);
  const name = `${found["mark"] ?? ""}${found["name"]!.trimEnd()} ${sorts.join(" / ")}`;
  const each = counts.map(({ count, word }) => `${count}${word}`).join(" / ");
  if (!told) return `${name}   ${each}`;
  return `${name}${told["before"]!}${each}${cells.slice(told["before"]!.length + told["count"]!.length)}`;
}
