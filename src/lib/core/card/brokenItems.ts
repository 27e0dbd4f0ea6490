import { BEGINS_BELOW, SMALL } from "./brokenCells.ts";
import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { quick } from "./quick.ts";
import { SIZED } from "./sized.ts";

/**
 * Things too long for their column or page, which go on below: "Hydrogel burns dressing, sterile, in" over "foil pouch, 10 x 10 cm - 3".
 * Whole, such a thing has one count; and no line was broken whose next word would have had room on it.
 */

/** What tells of a line whether it begins a thing or goes on with one. */
interface Told {
  /** Blanks, list mark and number before the name. */
  readonly lead: string;
  readonly name: string;
  /** What stands apart behind the name: its count, its columns. */
  readonly tail: string;
  readonly isMarked: boolean;
  /** What stands apart before the name, and may count; null: nothing. */
  readonly number: number | null;
  /** Begins as what goes on does: with a small letter, a bracket, a size, a sign and a count. */
  readonly goesOn: boolean;
}

const PARTS = quick(
  /^(\s*(?:(?:\d{1,3}[.)]|[a-z][.)]|\((?:\d{1,3}|[a-z])\)|[-*•–+]|\[[ x✓]?\])\s+)?(?:\d{1,4}(?:\s{2,}|\t\s*)(?=\p{L}))?)(.*?)(\s*(?:\s{2,}|\t|\.{3,}|…).*)?$/iu,
);
const MARK = /^\s*(?:\d{1,3}[.)]|[a-z][.)]|\((?:\d{1,3}|[a-z])\)|[-*•–+]|\[[ x✓]?\])\s/i;
/** A number before a name, apart from it: its count, or that of the line. */
const NUMBER_BEFORE = /(\d+)\s*$/;
const COUNT_BEFORE = quick(
  /^\d{1,4}\s*(?:[x×]\s*|(?:pcs|off|no\.?|prs?|pairs?)\s+)?(?=\p{L}{2})/iu,
);
/** "- 3", ": 3", "x 3", "(3)", at the end of a name. */
const COUNT_BEHIND =
  /(?:^|\s)[-–—:=x×]?\s*\(?[x×]?\s?\d{1,4}\)?(?:\s*(?:pcs|off|nos?\.?|ea(?:ch)?|prs?|pairs?|[x×]))?\.?$|:\s*\d{1,4}$/i;
const GOES_ON = quick(new RegExp(`^(?:${BEGINS_BELOW}|[-–:]\\s?\\d{1,4}$)`, "u"));
/** A heading in capitals has none. */
const HAS_SMALL = quick(/\p{Ll}/u);
/** A heading, or a sentence of the letter around. */
const ENDS_LINE = /[:.!?]\s*$/;
/** No thing takes more lines. */
const MOST_LINES = 4;
/** Fewer things do not tell how a card is written. */
const FEWEST_THINGS = 4;
/** Of the things on such a card so many have one count. */
const WITH_ONE_COUNT = 0.75;

/** "… 10 x" over "10 cm", "15" over "cm": a size that the edge broke. */
const SIZE_OPEN =
  /(?:\d+(?:[.,]\d+)?\s?(?:mm|cm|in)?\s?[x×]\s?)?\d+(?:[.,]\d+)?(?:\s?(?:mm|cm|in)?\s?[x×])?$/i;
const SIZE_ON = /^(?:[x×]\s?)?(?:\d+(?:[.,]\d+)?\s?)?(?:mm|cm|m|in|yd|ml)(?![a-z])/i;
const opensSize = (name: string, line: Told): boolean =>
  SIZE_OPEN.test(name) && SIZE_ON.test(line.name);

function countsIn(name: string, { tail, number }: Pick<Told, "tail" | "number">): number {
  const words = name.replace(SIZED, " ").trim();
  const behind = /\d/.test(tail) || COUNT_BEHIND.test(words);
  return Number(behind) + Number(COUNT_BEFORE.test(words) || (number !== null && !behind));
}

/** "1x12	wipes": the count in a cell of its own. */
const COUNT_CELL = /^\s*\d{1,4}(?:\s?[x×]\s?\d{1,4})?\t/;
const told = remembering(toldBy, LINES_KEPT, LONGEST_KEPT);
function toldBy(line: string): Told | null {
  if (line.trim() === "" || line.length > LONGEST_LINE || line.includes("|")) return null;
  const [, lead, name, tail = ""] = PARTS.exec(line.trimEnd()) ?? [];
  if (lead === undefined || !name) return null;
  // "- 3" alone counts what stands above.
  if (/^\d{1,4}$/.test(name) && /[-–]\s$/.test(lead))
    return {
      lead: /^\s*/.exec(lead)![0],
      name: `- ${name}`,
      tail,
      isMarked: false,
      number: null,
      goesOn: true,
    };
  const number = NUMBER_BEFORE.exec(lead)?.[1];
  return {
    lead,
    name,
    tail,
    isMarked: MARK.test(lead) || number !== undefined || COUNT_CELL.test(line),
    number: number === undefined ? null : Number(number),
    goesOn: GOES_ON.test(name),
  };
}

/** Fewer numbers one after another are no running ones. */
const FEWEST_RUNNING = 4;
/** Numbers before the names that run on from line to line count nothing. */
function withoutRunning(lines: readonly (Told | null)[]): (Told | null)[] {
  const numbers = lines.flatMap((line) => line?.number ?? []);
  const runs = numbers.filter((n, i) => i > 0 && n === numbers[i - 1]! + 1).length;
  const areRunning = numbers.length >= FEWEST_RUNNING && runs >= numbers.length - 2;
  return areRunning ? lines.map((line) => line && { ...line, number: null }) : [...lines];
}

/** The lines of one thing, from its first. */
interface Thing {
  readonly from: number;
  readonly to: number;
  readonly counts: number;
}

const endOf = ({ lead, name }: Told): number => lead.length + name.length;
const firstWord = ({ name }: Told): number => name.split(" ", 1)[0]!.length;

/** No page is narrower, and no column of names beside others; so short a line ends where its thing does. */
const NARROWEST = 26;
const NARROWEST_COLUMN = 14;
const isInColumns = ({ number, tail }: Told): boolean => number !== null || tail !== "";

/** How the lines of a card are written. */
interface Written {
  readonly lines: readonly (Told | null)[];
  /** No line was broken before this. */
  readonly width: number;
  /** Things begin with small letters too, so that one tells nothing. */
  readonly beginsSmall: boolean;
}

/** Fewer things with a small letter are a slip. */
const FEWEST_SMALL = 2;
/** Where so many of all lines begin small, things do: of lines that go on, one in three or more is a thing's first. */
const MOSTLY_SMALL = 0.8;
const isWhole = (line: Told | null | undefined): boolean =>
  !!line && countsIn(line.name, line) === 1;
function writtenAs(lines: readonly (Told | null)[]): Written {
  const small = lines.filter((line, i) => {
    const above = lines[i - 1];
    if (!line || !isWhole(line) || !SMALL.test(line.name.replace(COUNT_BEFORE, ""))) return false;
    return !above || (isWhole(above) && !opensSize(above.name, line));
  });
  // The first may be the title.
  const written = lines.filter((line) => line !== null).slice(1);
  const beginSmall = written.filter(({ name }) => SMALL.test(name.replace(COUNT_BEFORE, "")));
  return {
    lines,
    width: lines.reduce((most, line) => Math.max(most, line ? endOf(line) : 0), 0),
    beginsSmall: small.length >= FEWEST_SMALL || beginSmall.length >= MOSTLY_SMALL * written.length,
  };
}

const ONLY_COUNT = /^\d{1,4}(?:\s*(?:pcs|pieces|pairs?|prs?|rolls?|off))?$/i;
/** "… gold -" over "20". */
const COUNT_OPEN = /(?:\s[-–x×]|:)$/i;
const BLANKS = /^\s*/;
const isIndented = (line: Told, head: Told): boolean =>
  line.lead.length > BLANKS.exec(head.lead)![0].length;

/** "…, aspirin 1 btl (36)" over "antihistamine 24 ct, cream 12 pkts": several things, each with its count, below one that has its own. */
const COUNTED_LAST = /(?:^|[\s(x×])\d{1,4}\)?(?:\s*[a-z]{1,6}\.?)?$/i;
const listsOn = (line: Told, above: Told): boolean => {
  const things = line.name.split(/[,;]\s+/);
  return (
    things.length > 1 &&
    [above.name, ...things].every((thing) => COUNTED_LAST.test(thing.replace(SIZED, " ").trim()))
  );
};
/** Whether a line goes on with the thing that begins at another. */
function isBelow(line: Told, above: Told, head: Told, card: Written): boolean {
  if (line.isMarked || listsOn(line, above)) return false;
  if (COUNT_OPEN.test(above.name) && above.tail === "" && !opensSize(above.name, line))
    return ONLY_COUNT.test(line.name);
  if (card.width < (isInColumns(head) ? NARROWEST_COLUMN : NARROWEST)) return false;
  if (endOf(above) + 1 + firstWord(line) <= card.width) return false;
  if ((ENDS_LINE.test(above.name) || !HAS_SMALL.test(above.name)) && above.tail === "")
    return false;
  return (line.goesOn && !(card.beginsSmall && SMALL.test(line.name))) || isIndented(line, head);
}

/** "Sprains" over several things that are set in: a heading. */
const headsSeveral = (
  head: Told,
  below: Told,
  next: Told | null | undefined,
  { beginsSmall }: Written,
): boolean =>
  (!below.goesOn || (beginsSmall && SMALL.test(below.name))) &&
  isIndented(below, head) &&
  !!next &&
  !next.isMarked &&
  next.lead.length >= below.lead.length &&
  isWhole(next);

/** A line's words without a size that goes on below. */
const closed = (name: string, below: Told | null | undefined): string =>
  below && opensSize(name, below) ? name.replace(SIZE_OPEN, "") : name;

/** The thing that begins at a line. */
function thingAt(card: Written, from: number): Thing {
  const { lines } = card;
  const head = lines[from]!;
  let { name, tail } = head;
  let counts = countsIn(closed(name, lines[from + 1]), head);
  let to = from + 1;
  for (; to - from < MOST_LINES; to++) {
    const line = lines[to];
    if (!line || !isBelow(line, lines[to - 1]!, head, card)) break;
    if (headsSeveral(head, line, lines[to + 1], card)) break;
    const own = closed(
      opensSize(name, line) ? line.name.replace(SIZE_ON, "") : line.name,
      lines[to + 1],
    );
    const added = countsIn(own, { tail: line.tail, number: null });
    const areColumns = tail !== "" && line.tail !== "";
    if ((counts > 0 && added > 0) || areColumns) break;
    name = `${name} ${line.name}`;
    tail += line.tail;
    counts = Math.max(
      counts,
      added,
      countsIn(closed(name, lines[to + 1]), { tail, number: head.number }),
    );
  }
  return { from, to, counts };
}

/** A thing on one line: its names one behind the other, and behind them what stood apart. */
function wholeThing(lines: readonly Told[]): string {
  const name = lines.map((line) => line.name.trim()).join(" ");
  const tail = lines.map((line) => line.tail).join("");
  const { lead } = lines[0]!;
  // So long a name reaches over its column: a tab parts them wherever they stand, and its mark is no cell.
  const mark = MARK.test(lead) && !NUMBER_BEFORE.test(lead) ? lead.replace(/\s+$/, " ") : lead;
  return mark + name + tail.replace(/^\s{2,}/, "\t");
}

/** The lines with such things whole, on the line where they begin; as many lines as before. */
export function itemsWhole(written: readonly string[]): string[] {
  const read = [...written];
  const lines = withoutRunning(written.map(told));
  const card = writtenAs(lines);
  const things: Thing[] = [];
  for (let at = 0; at < lines.length; at = Math.max(at + 1, things.at(-1)?.to ?? 0))
    if (lines[at]) things.push(thingAt(card, at));
  const counted = things.filter((thing) => thing.counts === 1).length;
  if (counted < FEWEST_THINGS || counted < WITH_ONE_COUNT * things.length) return read;
  for (const { from, to, counts } of things) {
    if (to - from < 2 || counts !== 1) continue;
    read[from] = wholeThing(lines.slice(from, to) as Told[]);
    for (let i = from + 1; i < to; i++) read[i] = "";
  }
  return read;
}
