import { COUNT_WORD, PACK } from "./packWords.ts";
import { isMeasured, type Token } from "./lexer.ts";

/** Printed sizes among the numbers of an item. */

/** Sizes in whole mm, ascending; marks the tokens they take. null: none printed. */
export function readSizes(tokens: readonly Token[], used: Set<number>): number[] | null {
  const chains: { mm: number[]; from: number; to: number; inside: boolean }[] = [];
  let depth = 0;
  for (let i = 0; i < tokens.length; i++) {
    const t = tokens[i]!;
    if (t.kind === "open") depth++;
    if (t.kind === "close") depth = Math.max(0, depth - 1);
    if (t.kind !== "number" || isCountPrefix(tokens, i)) continue;
    const parts: { value: number; mm: number | null; at: number }[] = [];
    let k = i;
    let end = i;
    for (;;) {
      const n = tokens[k];
      if (n?.kind !== "number") break;
      const unit = tokens[k + 1];
      if (unit?.kind === "volume" || unit?.kind === "strength" || unit?.kind === "otherUnit") break;
      const hasUnit = unit?.kind === "length";
      if (!hasUnit && isCountAfterSize(tokens, k, parts)) break;
      parts.push({ value: n.value, mm: hasUnit ? unit.mm : null, at: k });
      end = hasUnit ? k + 1 : k;
      let sep = end + 1;
      // "3 in wide x 4 yd long", "90 (W) x 127 (L) cm"
      while (
        tokens[sep]?.kind === "word" &&
        /^(?:wide|long|w|l|h|d|length|width|high|deep|thick)$/i.test(tokens[sep]!.text) &&
        tokens[sep + 1]?.kind === "times"
      )
        sep++;
      if (tokens[sep]?.kind !== "times") break;
      k = sep + 1;
    }
    if (!parts.some((p) => p.mm !== null)) {
      i = Math.max(i, end);
      continue;
    }
    let from = 0;
    // "3 x 10 cm x 4 m", "2 x 5 cm roll": a whole number before a measured one is a count …
    if (
      parts.length > 1 &&
      parts[0]!.mm === null &&
      Number.isInteger(parts[0]!.value) &&
      leads(tokens, i)
    ) {
      const others = parts.slice(1);
      const otherNumber = hasOtherCount(tokens, i, end);
      const sameAsNext = others[0]!.value === parts[0]!.value && others.length === 1;
      const mixedUnits = others.length >= 2 && others.every((o) => o.mm !== null);
      if (
        mixedUnits ||
        (!otherNumber &&
          !sameAsNext &&
          others.length === 1 &&
          parts[0]!.value <= 20 &&
          oneDimensional(tokens))
      )
        from = 1;
    }
    const chain = parts.slice(from);
    const mm = chain.map((p, at) => p.mm ?? p.value * ratio(chain, at));
    for (let u = chain[0]!.at; u <= end; u++) used.add(u);
    chains.push({ mm, from: chain[0]!.at, to: end, inside: depth > 0 });
    i = end;
  }
  if (chains.length === 0) return null;
  const main = chains.find((c) => c.mm.length > 1) ?? chains[0]!;
  let mm = [...main.mm];
  if (main.mm.length === 1)
    for (const other of chains) {
      // The same size in other units, mostly in brackets, is not another one.
      const again = mm.some((v) => Math.abs(other.mm[0]! / v - 1) < 0.06);
      if (other !== main && other.mm.length === 1 && !again && !other.inside) mm.push(other.mm[0]!);
    }
  mm = mm.map((v) => Math.max(1, Math.round(v)));
  return mm.sort((a, b) => a - b);
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
  // "2.5 cm x 2 rolls"
  const next = tokens[k + 1];
  if (next?.kind === "word" && (COUNT_WORD.test(next.text) || PACK.test(next.text))) return true;
  const clings =
    times?.kind === "times" && times.end === number.start && times.start > tokens[k - 2]!.end;
  return clings || parts.length >= 2;
}

/** mm per unit of the number at `at` that has no unit of its own: the next one's in the chain, else the last one's. */
function ratio(chain: readonly { value: number; mm: number | null }[], at: number): number {
  const later = chain.slice(at + 1).find((p) => p.mm !== null);
  const earlier = chain
    .slice(0, at)
    .reverse()
    .find((p) => p.mm !== null);
  const from = later ?? earlier!;
  return from.mm! / from.value;
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
  tokens.slice(0, i).every((t) => t.kind === "dash" || t.kind === "open");

const hasOtherCount = (tokens: readonly Token[], from: number, to: number): boolean =>
  tokens.some((t, i) => (i < from || i > to) && t.kind === "number" && !isMeasured(tokens, i));

/** Things with one printed dimension: "2 x 5 cm tape" is two, "2 x 5 cm gauze pad" is a size. */
const oneDimensional = (tokens: readonly Token[]): boolean =>
  tokens.some(
    (t) =>
      t.kind === "word" &&
      /bandage|tape|roll|wrap|scissor|shear|tweezer|tourniquet|strap|cord/i.test(t.text),
  );
