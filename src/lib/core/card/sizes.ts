import { COUNT_WORD, isBookkeeping, PACK } from "./packWords.ts";
import { isMeasured, type Token } from "./lexer.ts";

/** Printed sizes among the numbers of an item. */

/** One number of a printed size; `mm`: with a unit of its own. */
interface Part {
  readonly value: number;
  readonly mm: number | null;
  /** Its token. */
  readonly at: number;
}

/** A size as printed: "7.5 x 10 cm", "3 in wide x 4 yd long". */
interface Chain {
  readonly mm: readonly number[];
  /** It stands in brackets. */
  readonly inside: boolean;
}

/** Sizes in whole mm, ascending; marks the tokens they take. null: none printed. */
export function readSizes(tokens: readonly Token[], used: Set<number>): number[] | null {
  const chains = chainsOf(tokens, used);
  const main = chains.find((c) => c.mm.length > 1) ?? chains[0];
  if (!main) return null;
  const mm = main.mm.length > 1 ? main.mm : withOthers(main, chains);
  return mm.map((v) => Math.max(1, Math.round(v))).sort((a, b) => a - b);
}

/** Two lengths within this share of each other are one, in other units: 4 in is sold as 10 cm. */
const SAME_LENGTH = 0.06;

/** One length and those printed apart from it; the same in other units, mostly in brackets, is not another one. */
function withOthers(main: Chain, chains: readonly Chain[]): number[] {
  const mm = [...main.mm];
  for (const other of chains) {
    if (other === main || other.mm.length > 1 || other.inside) continue;
    const length = other.mm[0]!;
    if (!mm.some((v) => Math.abs(length / v - 1) < SAME_LENGTH)) mm.push(length);
  }
  return mm;
}

function chainsOf(tokens: readonly Token[], used: Set<number>): Chain[] {
  const chains: Chain[] = [];
  let depth = 0;
  for (let i = 0; i < tokens.length; i++) {
    const { kind } = tokens[i]!;
    if (kind === "open") depth++;
    if (kind === "close") depth = Math.max(0, depth - 1);
    if (kind !== "number" || isCountPrefix(tokens, i)) continue;
    const { parts, end } = partsFrom(tokens, i);
    if (parts.some((p) => p.mm !== null)) {
      const size = leadCounts(tokens, parts, end) ? parts.slice(1) : parts;
      for (let u = size[0]!.at; u <= end; u++) used.add(u);
      chains.push({ mm: size.map((p, k) => p.mm ?? p.value * ratio(size, k)), inside: depth > 0 });
    }
    i = end;
  }
  return chains;
}

/** The numbers from token `i` on that are multiplied with each other, and the last token of them. */
function partsFrom(tokens: readonly Token[], i: number): { parts: Part[]; end: number } {
  const parts: Part[] = [];
  let end = i;
  for (let k: number | null = i; k !== null; k = afterTimes(tokens, end + 1)) {
    const part = partAt(tokens, k, parts);
    if (!part) break;
    parts.push(part);
    end = part.mm === null ? k : k + 1;
  }
  return { parts, end };
}

/** The number at `k` as a part of a size; null: it is none, or a count behind one. */
function partAt(tokens: readonly Token[], k: number, before: readonly Part[]): Part | null {
  const number = tokens[k];
  if (number?.kind !== "number") return null;
  const unit = tokens[k + 1];
  if (unit?.kind === "length") return { value: number.value, mm: unit.mm, at: k };
  if (isMeasured(tokens, k) || isCountAfterSize(tokens, k, before)) return null;
  return { value: number.value, mm: null, at: k };
}

/** "3 in wide x 4 yd long", "90 (W) x 127 (L) cm" */
const DIMENSION = /^(?:wide|long|w|l|h|d|length|width|high|deep|thick)$/i;

/** The token behind a sign that multiplies at `k`, the dimension's name left out; null: no such sign. */
function afterTimes(tokens: readonly Token[], k: number): number | null {
  let sign = k;
  while (
    tokens[sign]?.kind === "word" &&
    DIMENSION.test(tokens[sign]!.text) &&
    tokens[sign + 1]?.kind === "times"
  )
    sign++;
  return tokens[sign]?.kind === "times" ? sign + 1 : null;
}

/** More of one rolled thing on one line are a size. */
const MOST_LEADING = 20;

/** Bags and cloths with three sides are measured three times; of all else a third number counts. */
const hasThreeSides = (tokens: readonly Token[]): boolean =>
  tokens.some(
    (t) =>
      t.kind === "word" &&
      /^(?:triang|bag|case|box|pouch|container|kit|tin|rucksack|sling|splint)/i.test(t.text),
  );

/** "3 x 10 cm x 4 m", "2 x 5 cm roll": a whole number that leads before a measured one is a count. */
function leadCounts(tokens: readonly Token[], parts: readonly Part[], end: number): boolean {
  const [lead, ...others] = parts as [Part, ...Part[]];
  if (others.length === 0 || lead.mm !== null || !Number.isInteger(lead.value)) return false;
  if (others.length > 1)
    return (
      others.length >= (hasThreeSides(tokens) ? 3 : 2) &&
      others[0]!.value !== lead.value &&
      lead.value <= MOST_LEADING
    );
  if (!leads(tokens, lead.at)) return false;
  return (
    others[0]!.value !== lead.value &&
    lead.value <= MOST_LEADING &&
    oneDimensional(tokens) &&
    !hasOtherCount(tokens, lead.at, end)
  );
}

/**
 * `6" x1`, `5 cm x 4.5 m x 2`: a bare whole number behind measured ones is a count when its sign
 * clings to it, or when both dimensions are there already.
 */
function isCountAfterSize(
  tokens: readonly Token[],
  k: number,
  parts: readonly { mm: number | null }[],
): boolean {
  const number = tokens[k]!;
  const times = tokens[k - 1];
  if (parts.length === 0 || number.kind !== "number" || !Number.isInteger(number.value))
    return false;
  if (parts.at(-1)!.mm === null || tokens[k + 1]?.kind === "times") return false;
  if (isCountWord(tokens[k + 1])) return true;
  if (countsRolls(tokens, k, number.value)) return true;
  const clings =
    times?.kind === "times" && times.end === number.start && times.start > tokens[k - 2]!.end;
  return clings || parts.length >= 2;
}

/** "2.5 cm x 2 rolls". */
const isCountWord = (next: Token | undefined): boolean =>
  next?.kind === "word" && (COUNT_WORD.test(next.text) || PACK.test(next.text));

/** "elastic bandage 8 cm x 2": of what has one width, where nothing else counts. */
const countsRolls = (tokens: readonly Token[], k: number, n: number): boolean =>
  n <= MOST_LEADING && oneDimensional(tokens) && !hasOtherCount(tokens, k, k);

const METRE = 1000;
/** Sheets and blankets are up to two or so, and no longer than three. */
const WIDEST_IN_METRES = 2.5;
const SHORTEST_ROLL_M = 4;
const WIDEST_ROLL_CM = 20;
/** mm per unit of the number at `at` that has no unit of its own: the next one's in the chain, else the last one's. */
function ratio(chain: readonly { value: number; mm: number | null }[], at: number): number {
  const later = chain.slice(at + 1).find((p) => p.mm !== null);
  const earlier = chain
    .slice(0, at)
    .reverse()
    .find((p) => p.mm !== null);
  const from = later ?? earlier!;
  const mm = from.mm! / from.value;
  // "bandage 7.5 x 4.5 m": no roll is so many metres wide.
  const { value } = chain[at]!;
  const isRoll = value >= WIDEST_IN_METRES || from.value >= SHORTEST_ROLL_M;
  const isWidth = isRoll && value <= WIDEST_ROLL_CM;
  return mm === METRE && later !== undefined && isWidth ? 10 : mm;
}

/** `1x 6 in bandage`: a whole number at the front whose sign clings to it, with a gap behind, counts. */
function isCountPrefix(tokens: readonly Token[], i: number): boolean {
  const number = tokens[i]!;
  const times = tokens[i + 1];
  const next = tokens[i + 2];
  return (
    number.kind === "number" &&
    Number.isInteger(number.value) &&
    times?.kind === "times" &&
    times.start === number.end &&
    next !== undefined &&
    next.start > times.end &&
    leads(tokens, i)
  );
}

const leads = (tokens: readonly Token[], i: number) =>
  tokens
    .slice(0, i)
    .every(
      (t) => t.kind === "dash" || t.kind === "open" || (t.kind === "word" && isBookkeeping(t.text)),
    );

const hasOtherCount = (tokens: readonly Token[], from: number, to: number): boolean =>
  tokens.some((t, i) => (i < from || i > to) && t.kind === "number" && !isMeasured(tokens, i));

/** Things with one printed dimension: "2 x 5 cm tape" is two, "2 x 5 cm gauze pad" is a size. */
const oneDimensional = (tokens: readonly Token[]): boolean =>
  tokens.some(
    (t) =>
      t.kind === "word" &&
      /bandage|cr[eê]pe|conforming|cohesive|elastic|tape|roll|wrap|scissor|shear|tweezer|tourniquet|strap|cord|pressure/i.test(
        t.text,
      ),
  );
