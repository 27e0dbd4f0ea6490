import { CARD_DOUBTS, type CardDoubt } from "./cardDoubt.ts";
import { BASE, COST } from "./confidenceModel.ts";
import type { Segment } from "./segments.ts";

/**
 * How likely an entry is right in type, pieces and size: a logistic model over named doubts, each of
 * which only lowers it. Fitted by `npm run confidence` (scripts/fitConfidence.ts).
 */

/** Names are shorter; longer ones are sentences. */
const LONG_NAME = 6;

interface Circumstances {
  readonly named: boolean;
  readonly isRefined: boolean;
  readonly isOpen: boolean;
  readonly piecesSure: boolean;
  readonly counted: boolean;
  readonly cardCounts: boolean;
  readonly spoken: boolean;
  readonly numberLeft: boolean;
  readonly countUnusual: boolean;
  readonly sizeUnusual: boolean;
  readonly fractionLost: boolean;
  readonly holdsOthers: boolean;
  readonly unitAssumed: boolean;
  readonly columnGuessed: boolean;
  readonly isUnticked: boolean;
  readonly packUnknown: boolean;
}

/** The doubts about what was read in a segment. */
export function doubtsOf({ match, reading }: Segment, c: Circumstances): CardDoubt[] {
  const holds: Readonly<Record<CardDoubt, boolean>> = {
    "no-type": !c.named,
    "part-of-name": c.named && match.whole < 1,
    respelt: match.respelt,
    "cut-short": c.named && match.cutShort,
    "common-word": c.named && match.weight < 2,
    "close-second": c.named && match.margin < 0.1,
    second: c.named && match.margin >= 0.1 && match.margin < 0.25,
    "half-explained": match.explained < 0.6,
    "partly-explained": match.explained >= 0.6 && match.explained < 0.85,
    "unknown-word": c.named && match.unknown > 0,
    "unknown-mark": c.named && match.unknownShort > 0,
    "head-elsewhere": c.named && match.headElsewhere,
    "kind-by-size": c.isRefined,
    "kind-open": c.isOpen,
    "count-derived": !c.piecesSure && c.counted,
    "pack-unknown": c.packUnknown,
    "no-count": !c.piecesSure && !c.counted && c.cardCounts,
    "number-left": c.numberLeft,
    "count-unusual": c.countUnusual,
    "size-unusual": c.sizeUnusual,
    "fraction-lost": c.fractionLost,
    "holds-others": c.holdsOthers,
    "unit-assumed": c.unitAssumed,
    "column-guessed": c.columnGuessed,
    unticked: c.isUnticked,
    long: reading.noun.split(" ").length > LONG_NAME,
    spoken: c.spoken,
  };
  return CARD_DOUBTS.filter((d) => holds[d]);
}

/** Chance that an entry with these doubts is right, 0–1, two digits. */
export function confidenceOf(doubts: readonly CardDoubt[]): number {
  const logOdds = doubts.reduce((sum, d) => sum - COST[d], BASE);
  return Math.round(100 / (1 + Math.exp(-logOdds))) / 100;
}
