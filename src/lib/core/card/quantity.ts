import type { Token } from "./lexer.ts";
import { nounOf } from "./noun.ts";
import { FIRM_COUNT, Item, placeNumbers, type Counted, type Placed } from "./numbers.ts";
import { readSizes } from "./sizes.ts";

/** What a stretch of tokens says of number, size and content, with the words that name the thing. */
export interface Reading {
  /** Usable pieces before the rule for gloves; null: no number at all. */
  readonly pieces: number | null;
  /** Number of pairs that was said as such. */
  readonly pairs: number | null;
  /** The word 'pair' stands there. */
  readonly inPairs: boolean;
  /** The count was only 'a' or 'an'. */
  readonly article: boolean;
  readonly sizeMm: readonly number[] | null;
  /** Two bare numbers, `4 x 4`, that may be a size or a count of packs. */
  readonly bare: readonly [number, number] | null;
  readonly volumeMl: number | null;
  readonly volumeMaybeMass: boolean;
  readonly strengthMg: number | null;
  /** Packs that are counted where nothing says what one holds; null: none are. */
  readonly packsOfUnknown: number | null;
  /** Numbers on the line that no rule placed, besides the one taken. */
  readonly leftOver: number;
  /** The words left, as text. */
  readonly noun: string;
}

/** A list of tokens that remembers its reading: the same stretch is asked for again and again. */
type Remembering = readonly Token[] & { reading?: Reading };

/** Reads numbers, sizes and contents out of tokens of one item. The tokens must not change after. */
export const readQuantity = (tokens: readonly Token[]): Reading =>
  ((tokens as Remembering).reading ??= readTokens(tokens));

function readTokens(tokens: readonly Token[]): Reading {
  const used = new Set<number>();
  const sizeMm = readSizes(tokens, used);
  const measures = readMeasures(tokens, used);
  const item = new Item(tokens, used);
  const found = placeNumbers(item);
  return { sizeMm, ...measures, ...total(found), noun: nounOf(item) };
}

/** Volume and strength, and the other units that make a number no count; marks what they take. */
function readMeasures(
  tokens: readonly Token[],
  used: Set<number>,
): Pick<Reading, "volumeMl" | "volumeMaybeMass" | "strengthMg"> {
  let volumeMl: number | null = null;
  let volumeMaybeMass = false;
  let strengthMg: number | null = null;
  tokens.forEach((t, i) => {
    if (t.kind !== "volume" && t.kind !== "strength" && t.kind !== "otherUnit") return;
    used.add(i).add(i - 1);
    // "for 200 ml": what it makes, not what it holds.
    const makes = /^(?:for|makes?|per|with|into|in)$/i.test(tokens[i - 2]?.text ?? "");
    if (t.kind === "volume" && volumeMl === null && !makes) {
      volumeMl = t.ml;
      volumeMaybeMass = t.maybeMass;
    }
    if (t.kind === "strength") strengthMg ??= t.mg;
  });
  return { volumeMl, volumeMaybeMass, strengthMg };
}

type Total = Omit<Reading, "sizeMm" | "volumeMl" | "volumeMaybeMass" | "strengthMg" | "noun">;

/** What the placed numbers come to. */
function total(placed: Placed): Total {
  const { inner, outer, pairs, inPairs, bare, packs, plain } = placed;
  const first = firmest(placed);
  const pieces = piecesOf(placed, first);
  return {
    pieces,
    pairs,
    inPairs,
    article: first?.article === true && outer === null && inner === null,
    bare,
    packsOfUnknown: inner === null && packs !== null && pieces === packs ? packs : null,
    leftOver: plain.filter((c) => c !== first && c.value !== first?.value && !c.article).length,
  };
}

/** The count that the words say most firmly. */
function firmest({ inner, outer, plain }: Placed): Counted | undefined {
  const [first] = [...plain].sort((a, b) => b.strength - a.strength);
  const inFull = outer !== null && inner !== null;
  // "two strips of eight, five hundred": a number that trails what is counted in full counts nothing.
  return inFull && (first?.strength ?? 0) < FIRM_COUNT ? undefined : first;
}

/** A count times packs times what one holds; null: no number at all. */
function piecesOf({ inner, outer }: Placed, first: Counted | undefined): number | null {
  if (!first && outer === null && inner === null) return null;
  const inPacks = (outer ?? 1) * (inner ?? 1);
  // "2 boxes of 20 (40 in all)": the same said twice.
  if (first && outer !== null && inner !== null && first.value === inPacks) return inPacks;
  return (first?.value ?? 1) * inPacks;
}
