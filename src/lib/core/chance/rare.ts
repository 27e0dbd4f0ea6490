import { cumulativeCounts } from "./counts.ts";
import { HIGH, type Model, type ModelKind } from "./model.ts";
import { BLOCK, blocksOf } from "./play.ts";
import { playerOf, type Simulation } from "./simulate.ts";

/** A rare chance, from outings in which it was made likelier and weighed back. */
export interface Rare {
  readonly need: string;
  readonly value: number;
  readonly se: number;
}

/** Below this a plain run counts too few outings to say much. */
const RARE = 0.01;
/** Incidents of the kinds that ask for it are made to come about once on an outing. */
const MEAN_WHEN_TILTED = 1;
/** Outings of the weighted run: its error is that of a hundred times as many plain ones. */
const OUTINGS = 20_000;

/**
 * Importance sampling (Kahn and Harris, 1951): the kinds that ask for a need are drawn from a rate of
 * about one an outing, and each outing weighs what its counts are as likely in truth as in the drawing.
 * Sums are added per block, in block order, so that they are the same wherever they are made.
 */
export function rareChances(model: Model, plain: Simulation, seed: number): Rare[] {
  return model.needs.flatMap((asked, n): Rare[] => {
    const seen = plain.needs[n]!;
    if (asked.tier !== "vital" || seen.short.high >= RARE) return [];
    const target = model.targets.findIndex((t) => t.need === n);
    if (target < 0) return [];
    const asks = (k: ModelKind) => k.asks.some((a) => a.target === target);
    if (!model.kinds.some((k) => asks(k) && k.mean > 0)) return [];
    const sum = model.kinds.filter(asks).reduce((s, k) => s + k.mean, 0);
    const by = Math.max(1, MEAN_WHEN_TILTED / sum);
    const kinds = model.kinds.map((k) =>
      asks(k) ? { ...k, counts: cumulativeCounts(k.mean * by, 0) } : k,
    );
    return [{ need: asked.need.id, ...weighted(model, kinds, asks, n, seed) }];
  });
}

function weighted(
  model: Model,
  kinds: readonly ModelKind[],
  isTilted: (k: ModelKind) => boolean,
  need: number,
  seed: number,
): { value: number; se: number } {
  const player = playerOf({ ...model, kinds });
  // How likely each count is in truth, over how likely it was drawn.
  const ratios = model.kinds.map((k, i) =>
    isTilted(k) ? ratioOf(k.counts, kinds[i]!.counts) : null,
  );
  let sum = 0;
  let squares = 0;
  for (const from of blocksOf(OUTINGS)) {
    let inBlock = 0;
    let squaresInBlock = 0;
    for (let i = from; i < Math.min(OUTINGS, from + BLOCK); i++) {
      player.lasts(seed, i);
      if (player.last.shortAt[HIGH * model.needs.length + need]! === Infinity) continue;
      let weight = 1;
      player.counts().forEach((n, k) => {
        const ratio = ratios[k];
        if (ratio) weight *= ratio[n] ?? 0;
      });
      inBlock += weight;
      squaresInBlock += weight * weight;
    }
    sum += inBlock;
    squares += squaresInBlock;
  }
  const value = sum / OUTINGS;
  return { value, se: Math.sqrt(Math.max(0, squares / OUTINGS - value ** 2) / OUTINGS) };
}

function ratioOf(truth: Float64Array, drawn: Float64Array): Float64Array {
  const at = (c: Float64Array, n: number): number =>
    n >= c.length ? 0 : c[n]! - (n === 0 ? 0 : c[n - 1]!);
  return Float64Array.from({ length: drawn.length }, (_, n) =>
    at(drawn, n) > 0 ? at(truth, n) / at(drawn, n) : 0,
  );
}
