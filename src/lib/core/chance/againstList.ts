import type { Audit } from "../audit/audit.ts";
import type { Tier } from "../model/list.ts";
import type { NeedChance, Simulation } from "./simulate.ts";

/** A need that incidents ask for: what the list asks, what lies here and what suffices by chance. */
export interface AgainstList {
  readonly need: NeedChance;
  readonly tier: Tier;
  /** Units that the list asks for. */
  readonly byList: number;
  /** Units that the kit has that may serve it, whoever else may take of them. */
  readonly here: number;
  readonly says: Says;
}

/**
 * What chance says of the list's quantity at 95 of 100 outings; null: they agree well enough. Of vital and
 * rare things it says nothing against the list: what suffices 95 times is not what they are asked for.
 */
type Says = "too-little" | "more-than-it-takes" | "rare" | null;

/** Lists round up and keep a reserve: up to twice what suffices is no waste. */
const WASTE = 2;

function saidOf(tier: Tier, byList: number, enough: number): Says {
  if (enough > byList * 1.001) return "too-little";
  if (enough === 0 || (tier === "vital" && enough < byList * 0.999)) return "rare";
  return enough * WASTE < byList ? "more-than-it-takes" : null;
}

/** Every need that incidents ask anything of, in the order of the list. */
export const againstList = (a: Audit, run: Simulation): AgainstList[] =>
  run.needs.flatMap((need, i): AgainstList[] => {
    const asked = a.context.needs[i];
    if (!asked || need.meanAsked === 0) return [];
    const byList = asked.byList ?? asked.required;
    const here = a.needs[i]!.pairs.reduce((s, p) => {
      const { pieces, measure } = a.pairing.facts[p.pair.line]!;
      return s + (p.f > 0 ? pieces * measure.perPiece * p.yield : 0);
    }, 0);
    const { tier } = asked;
    return [{ need, tier, byList, here, says: saidOf(tier, byList, need.enough["95"]) }];
  });
