import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";
import { SIZED } from "./sized.ts";

/**
 * Stock lines on which each number has its word: "Plasters   in 50   05.03.26   out 12   left 38", "Eye pads: par 6, held 4". What is
 * left is counted, or what came in less what went out.
 */

const IN =
  "in|received|rec['’]?d|recvd|start(?:ed|ing)?(?:\\s+(?:with|at))?|had|opening|opened\\s+with|bought|was|were|delivered|began\\s+with|before|previous(?:ly)?|prev";
const OUT = "out|used(?:\\s+up)?|issued|taken|gone|spent|consumed|(?:gave|given)\\s+out|withdrawn";
const LEFT =
  "left|balance|bal\\.?|remain(?:s|ing)?|rem\\.?|now|have|has|got|in\\s+stock|in\\s+hand|stock|on\\s+hand|held|hold|present|actual|found|counted|there|here|in\\s+kit|in\\s+box";
const PAR =
  "par|min(?:imum|\\.)?|max(?:imum|\\.)?|should(?:\\s+(?:be|have))?|need(?:s|ed)?|req(?:uired|['’]?d|\\.)?|target|standard|nominal|wanted";
const LABEL = `(?:${IN}|${OUT}|${LEFT}|${PAR})`;
const N = `(?:\\d{1,4}|${NUMBER_SAID})(?![\\p{L}\\d]|[.,/:]\\d)`;
const PIECES = "(?:\\s*(?:pcs|pieces|pairs?|prs?))?";
const DATE =
  "(?:\\d{1,2}[./-]\\d{1,2}(?:[./-]\\d{2,4})?|\\d{4}-\\d{2}(?:-\\d{2})?|\\d{1,2}/\\d{4}|\\d{1,2}\\s+(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*(?:\\s+\\d{2,4})?)";
const PAIR = `(?:${LABEL}\\s*[:=]?\\s*${N}${PIECES}|${N}${PIECES}\\s+${LABEL})(?![\\p{L}\\d])`;
const BETWEEN = "(?:\\s*[,;/|()]\\s*|\\s+[-–]\\s+|\\s+|\\t)";
/** A name, and behind it nothing but such pairs and dates. */
const STOCK_LINE = quick(
  new RegExp(
    `^(?<name>.*?\\p{L}{3}.*?)(?:\\s*[:,;|(]\\s*|\\s+[-–/]\\s+|\\s{2,}|\\t\\s*|\\s+)(?<pairs>${PAIR}(?:${BETWEEN}+(?:${PAIR}|${DATE}))*)[\\s).;]*$`,
    "iu",
  ),
);
const EACH_PAIR = quick(
  new RegExp(
    `(?<before>${LABEL})\\s*[:=]?\\s*(?<behind>${N})(?<unit>${PIECES})|(?<first>${N})(?<pieces>${PIECES})\\s+(?<last>${LABEL})(?![\\p{L}\\d])`,
    "giu",
  ),
);
const DATES = quick(new RegExp(`(?<![\\d.,/-])${DATE}(?![\\d])`, "giu"));
const whole = (source: string): RegExp => quick(new RegExp(`^(?:${source})$`, "iu"));
const KINDS = [
  ["in", whole(IN)],
  ["out", whole(OUT)],
  ["left", whole(LEFT)],
  ["par", whole(PAR)],
] as const;
const kindOf = (label: string) => KINDS.find(([, is]) => is.test(label))![0];

/** What a stock line says. */
interface Stock {
  readonly name: string;
  /** How many are there, with its unit: "38", "4 pairs". */
  readonly there: string;
  readonly pairs: number;
}
/** A number and its word. */
interface Labelled {
  readonly count: number;
  readonly unit: string;
  /** "4 in" is a size, but beside what went out. */
  readonly isSize: boolean;
}
type Kind = (typeof KINDS)[number][0];
/** The numbers of a line by what their words say. */
function saidIn(pairs: string): ReadonlyMap<Kind, Labelled> {
  const said = new Map<Kind, Labelled>();
  for (const { groups } of pairs.replace(DATES, ";").matchAll(EACH_PAIR)) {
    const { before, behind, unit = "", first, pieces = "", last = "" } = groups!;
    said.set(kindOf(before ?? last), {
      count: valueOf((behind ?? first)!),
      unit: (unit || pieces).trim(),
      isSize: /^in$/i.test(last),
    });
  }
  return said;
}
/** How many are left, said or worked out; null: neither, or it cannot be. */
function leftOf(said: ReadonlyMap<Kind, Labelled>): Labelled | null {
  const [came, went, left] = [said.get("in"), said.get("out"), said.get("left")];
  if (came?.isSize && !went) return null;
  if (left || !came || !went) return left ?? null;
  return came.count < went.count ? null : { ...came, count: came.count - went.count };
}
const stockOf = remembering(stockOn, LINES_KEPT, LONGEST_KEPT);
function stockOn(line: string): Stock | null {
  if (line.length > LONGEST || !MAY_BE.test(line)) return null;
  const found = STOCK_LINE.exec(line)?.groups;
  if (!found) return null;
  const said = saidIn(found["pairs"]!);
  const left = leftOf(said);
  const name = found["name"]!.replace(/[\s:,;|(/–-]+$/, "");
  return left && { name, there: `${left.count} ${left.unit}`.trim(), pairs: said.size };
}
const MAY_BE = quick(new RegExp(`(?<![\\p{L}])(?:${LEFT}|${OUT})(?![\\p{L}])`, "iu"));
/** Longer lines are prose. */
const LONGEST = 160;
/** So many lines with several pairs tell that those with one are of the same list. */
const FEWEST = 2;

/** "Plasters PKT/100 - about 60 left": a pack that was begun. */
const isCounted = (name: string): boolean =>
  /\d|\babout$/i.test(name.replace(SIZED, " ").replace(LIST_NUMBER, "").replace(BARE_SIDES, " "));
const LIST_NUMBER = /^\W*\d{1,3}[.)]\s/;
/** "compress 10x10" */
const BARE_SIDES = /\d+\s?[x×]\s?\d+/gi;

/** The lines with how many are there; as many as before. */
export function labelledCounts(lines: readonly string[]): string[] {
  const stocks = lines.map(stockOf);
  const several = stocks.filter((stock) => stock !== null && stock.pairs > 1).length;
  return lines.map((line, i) => {
    const stock = stocks[i];
    const isStock = stock && !isCounted(stock.name) && (stock.pairs > 1 || several >= FEWEST);
    return isStock ? `${stock.name}: ${stock.there}` : line;
  });
}
