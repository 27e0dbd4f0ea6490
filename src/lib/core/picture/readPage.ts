import type { SeenPage } from "./seen.ts";

/** Reads the words of a picture that is turned by so many quarters clockwise first. */
export type SeePicture = (quarters: 0 | 1 | 2 | 3) => Promise<SeenPage>;

/** Pages read lying on their side have short, doubtful scraps: below this another side is tried. */
const UPRIGHT_FROM = 0.6;
/** Fewer words say nothing of how a picture lies. */
const WORDS_NEEDED = 3;

/** How well a page reads, 0–1: mean confidence of what looks like words or numbers. */
export function legibility({ words }: SeenPage): number {
  const real = words.filter((w) => /[\p{L}\d]{2}/u.test(w.text));
  if (real.length < WORDS_NEEDED) return 0;
  return real.reduce((s, w) => s + w.confidence, 0) / words.length;
}

/**
 * Reads a picture as it lies, and where that reads badly turned by a quarter, three quarters and half;
 * the best reading with the turn that gave it.
 */
export async function readUpright(
  see: SeePicture,
): Promise<{ page: SeenPage; quarters: 0 | 1 | 2 | 3 }> {
  let best = { page: await see(0), quarters: 0 as 0 | 1 | 2 | 3 };
  if (legibility(best.page) >= UPRIGHT_FROM) return best;
  for (const quarters of [1, 3, 2] as const) {
    const page = await see(quarters);
    if (legibility(page) > legibility(best.page)) best = { page, quarters };
    if (legibility(best.page) >= UPRIGHT_FROM) break;
  }
  return best;
}
