/** What a bench scale sends: it swings in, trembles, drifts, and says OL above its range. */
export interface SimulatedLoad {
  /** g on the pan, and g of tare. */
  readonly load: number;
  readonly tare: number;
  readonly seed: number;
}

/** Range of the scale, g; its step, g; lines a second. */
const RANGE_G = 3000;
const STEP_G = 0.1;
export const LINES_A_SECOND = 10;
/** The pan swings in with this time constant, s; it says ST once what is left of the swing is below half a step. */
const SETTLING_S = 0.15;
/** Slow creep, g a second, and tremble, g. */
const DRIFT = 0.002;
const TREMBLE = 0.05;

/** The line at `second` after the load was put on. */
export function scaleLineAt({ load, tare, seed }: SimulatedLoad, second: number): string {
  if (load > RANGE_G) return "OL";
  const noise = (random(seed + Math.round(second * LINES_A_SECOND)) - 0.5) * 2 * TREMBLE;
  const swing = load * Math.exp(-second / SETTLING_S);
  const grams = load - swing + DRIFT * second + noise - tare;
  const shown = Math.round(grams / STEP_G) * STEP_G;
  const steady = swing < STEP_G / 2;
  return `${steady ? "ST" : "US"},NT,${shown < 0 ? "-" : "+"}${Math.abs(shown).toFixed(1).padStart(7)} g`;
}

/** A number in [0, 1) from a whole number: mulberry32. */
function random(seed: number): number {
  let t = (seed + 0x6d2b79f5) | 0;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
}
