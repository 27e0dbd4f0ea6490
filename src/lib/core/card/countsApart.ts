import { isRunning } from "./columnsByContent.ts";
import { quick } from "./quick.ts";

/** "Plasters" on one line and "20" on the next or the one before, as a page that is copied cell by cell gives them. */

const CALLED =
  "qty|quantity|count|amount|number|pcs|pieces|how\\s+many|menge|anzahl|quantit[éàá]|cantidad|aantal|antal";
const UNIT = "[x×]|pcs|pieces|ea(?:ch)?|off|pairs?|prs?|stk|stück|st|uds?|units?";
const COUNT = quick(
  new RegExp(
    `^[-*•>#\\s]*(?:(?:${CALLED})\\s*[:.=]?\\s*)?(?:[x×]\\s*)?(\\d{1,4})\\s*(${UNIT})?\\.?\\s*$`,
    "iu",
  ),
);
const LABELLED = quick(new RegExp(`^[-*•>#\\s]*(?:${CALLED})`, "iu"));
const NAME = quick(/\p{L}{3}/u);
/** Longer lines are sentences. */
const LONGEST_NAME = 80;
/** "2 x plasters", "plasters x 2", "plasters (2)": the line has its own. */
const OWN_COUNT = quick(
  /^\W*\d{1,4}\s*(?:[x×]\s|\p{L}{3})|[x×]\s?\d{1,4}\s*$|\(\d{1,4}\)\s*$|\s{2,}\d{1,4}\s*$|:\s*\d/iu,
);
/** Over a list: no thing in it. */
const TITLE =
  /:\s*$|\b(?:kit|box|bag|list|contents?|first[\s-]?aid|inventory|items?|qty|quantity)\b/i;
const HEADING_MARK = /^[-*•>#\s]*/;

/** Of fewer nothing can be told. */
const FEWEST = 3;
/** So many of the counts stand beside a name. */
const MOST_OF_THEM = 0.8;

type Kind = "count" | "name" | "other";
function kindOf(line: string): Kind {
  if (COUNT.test(line)) return "count";
  return NAME.test(line) && line.length <= LONGEST_NAME && !OWN_COUNT.test(line) ? "name" : "other";
}

interface Written {
  readonly at: number;
  readonly kind: Kind;
}
/** For each count beside which a name stands, one step away, the lines of both. */
const beside = (written: readonly Written[], step: 1 | -1): (readonly [number, number])[] =>
  written.flatMap(({ at, kind }, i) => {
    const next = written[i + step];
    return kind === "count" && next?.kind === "name" ? [[next.at, at] as const] : [];
  });

/** Names with their counts, as lines; the counts stand all before their names, or all behind. */
function pairsIn(
  lines: readonly string[],
  written: readonly Written[],
): (readonly [number, number])[] {
  const behind = beside(written, -1);
  const before = beside(written, 1);
  if (behind.length !== before.length) return behind.length > before.length ? behind : before;
  // "Quantity: 4" stands below what it is of.
  if (before.every(([, at]) => LABELLED.test(lines[at]!))) return behind;
  const first = written.findIndex((w) => w.kind === "count");
  const above = written[first - 1];
  // Blank lines may tell which two belong together.
  const isGap = (a: number, b: number) =>
    lines.slice(Math.min(a, b) + 1, Math.max(a, b)).some((l) => l.trim() === "");
  const parted = (pairs: readonly (readonly [number, number])[]) =>
    pairs.filter(([a, b]) => isGap(a, b)).length;
  if (parted(behind) !== parted(before)) return parted(behind) < parted(before) ? behind : before;
  return above && TITLE.test(lines[above.at]!) ? before : behind;
}

/** The card with each count beside its name, on the name's line; as many lines as before. */
export function countsBesideNames(lines: readonly string[]): string[] {
  const written = lines.flatMap((line, at): Written[] =>
    line.trim() === "" ? [] : [{ at, kind: kindOf(line) }],
  );
  const counts = written.filter((w) => w.kind === "count");
  if (counts.length < FEWEST) return [...lines];
  const pairs = pairsIn(lines, written);
  if (pairs.length < MOST_OF_THEM * counts.length) return [...lines];
  // "1", "2", "3" before the names number them.
  const numbers = counts.map((c) => Number(COUNT.exec(lines[c.at]!)![1]));
  const areBefore = pairs.every(([name, at]) => at < name);
  if (areBefore && numbers[0] === 1 && isRunning(numbers)) return [...lines];
  const read = [...lines];
  for (const [name, at] of pairs) {
    const [, count, unit = ""] = COUNT.exec(lines[at]!)!;
    const pairsSaid = /^p/i.test(unit) && !/^p(?:cs|ie)/i.test(unit);
    const said = lines[name]!.replace(HEADING_MARK, "").trimEnd();
    read[name] = `- ${count} ${pairsSaid ? "pairs" : "x"} ${said}`;
    read[at] = "";
  }
  return read;
}
