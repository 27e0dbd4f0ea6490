import { isRunning } from "./columnsByContent.ts";
import { quick } from "./quick.ts";
import { fieldsOn, LIST_MARK, type Fields } from "./recordFields.ts";

/**
 * "Plasters" on one line and "20" on the next or the one before, as a page that is copied cell by cell gives them; between them, or
 * beside the count, what else is told of the thing: "£1.20", "Exp 05/2028".
 */

const NAME = quick(/\p{L}{3}/u);
/** Longer lines are sentences. */
const LONGEST_NAME = 80;
/** "2 x plasters", "plasters x 2", "plasters (2)": the line has its own. */
const OWN_COUNT = quick(
  /^\W*\d{1,4}\s*(?:[x×]\s|\p{L}{3})|[x×]\s?\d{1,4}\s*$|\(\d{1,4}\)\s*$|\s{2,}\d{1,4}\s*$|:\s*\d/iu,
);
/** Over a list: no thing in it. "Hi Jo,", "Here is what I found." */
const TITLE =
  /[:,.!]\s*$|\b(?:kit|box|bag|list|contents?|first[\s-]?aid|inventory|items?|qty|quantity)\b/i;

/** Of fewer nothing can be told. */
const FEWEST = 3;
/** So many of the counts stand beside a name. */
const MOST_OF_THEM = 0.8;

interface Written {
  readonly at: number;
  readonly kind: "count" | "name" | "detail" | "other";
  readonly fields: Fields | null;
}
function writtenAt(line: string, at: number): Written {
  const fields = fieldsOn(line);
  if (fields !== "none") {
    const counts = fields.count !== null || fields.amount !== null;
    return { at, kind: counts ? "count" : "detail", fields };
  }
  const isName = NAME.test(line) && line.length <= LONGEST_NAME && !OWN_COUNT.test(line);
  return { at, kind: isName ? "name" : "other", fields: null };
}

type Pair = readonly [name: number, count: number];
/** For each count beside which a name stands, one step away, the lines of both. */
const beside = (written: readonly Written[], step: 1 | -1): Pair[] =>
  written.flatMap(({ at, kind }, i) => {
    const next = written[i + step];
    return kind === "count" && next?.kind === "name" ? [[next.at, at] as const] : [];
  });

/** Names with their counts, as lines; the counts stand all before their names, or all behind. */
function pairsIn(lines: readonly string[], written: readonly Written[]): Pair[] {
  const behind = beside(written, -1);
  const before = beside(written, 1);
  if (behind.length !== before.length) return behind.length > before.length ? behind : before;
  // "Quantity: 4" stands below what it is of.
  const isCalled = new Set(written.flatMap((w) => (w.fields?.isCalled ? [w.at] : [])));
  if (before.every(([, at]) => isCalled.has(at))) return behind;
  const first = written.findIndex((w) => w.kind === "count");
  const above = written[first - 1];
  // Blank lines may tell which two belong together.
  const isGap = (a: number, b: number) =>
    lines.slice(Math.min(a, b) + 1, Math.max(a, b)).some((l) => l.trim() === "");
  const parted = (pairs: readonly Pair[]) => pairs.filter(([a, b]) => isGap(a, b)).length;
  if (parted(behind) !== parted(before)) return parted(behind) < parted(before) ? behind : before;
  return above && TITLE.test(lines[above.at]!) ? before : behind;
}

/** The details that stand with a name and its count: between them, and below both up to the next thing. */
function detailsOf([name, count]: Pair, all: readonly Written[]): readonly Written[] {
  const from = all.findIndex((w) => w.at === Math.min(name, count));
  const rest = all.slice(from).filter((w) => w.at !== name && w.at !== count);
  const end = rest.findIndex((w) => w.kind !== "detail");
  return end < 0 ? rest : rest.slice(0, end);
}

/** The card with each count beside its name, on the name's line; as many lines as before. */
export function countsBesideNames(lines: readonly string[]): string[] {
  const all = lines.flatMap((line, at) => (line.trim() === "" ? [] : [writtenAt(line, at)]));
  const counts = all.filter((w) => w.kind === "count");
  if (counts.length < FEWEST) return [...lines];
  const pairs = pairsIn(
    lines,
    all.filter((w) => w.kind !== "detail"),
  );
  if (pairs.length < MOST_OF_THEM * counts.length) return [...lines];
  // "1", "2", "3" before the names number them.
  const numbers = counts.map((c) => parseInt(c.fields!.count ?? "", 10));
  const areBefore = pairs.every(([name, at]) => at < name);
  if (areBefore && numbers[0] === 1 && isRunning(numbers)) return [...lines];
  const read = [...lines];
  for (const pair of pairs) {
    const [name, at] = pair;
    const own = all.find((w) => w.at === at)!.fields!;
    const details = detailsOf(pair, all);
    const told = [own, ...details.map((d) => d.fields!)];
    const size = told.find((f) => f.size)?.size;
    const perPack = told.find((f) => f.perPack)?.perPack;
    const said = lines[name]!.replace(LIST_MARK, "").trimEnd();
    const packed = perPack ? `, pack of ${perPack}` : "";
    const before = own.count === null ? "" : `${own.count} `;
    const behind = own.count === null ? `: ${own.amount!}` : "";
    read[name] = `- ${before}${said}${packed}${size ? ` (${size})` : ""}${behind}`;
    for (const line of [at, ...details.map((d) => d.at)]) read[line] = "";
  }
  return read;
}
