import type { Catalogue } from "../catalogue/catalogue.ts";
import { lineQuality } from "../inspect/quality.ts";
import type { Line } from "../model/kit.ts";

/** Ten bins of ten points each; 100 falls into the last. */
const BINS = 10;

/** How many inspected lines have a quality of 0–9, 10–19 … 90–100. */
export function qualityBins(lines: readonly Line[], catalogue: Catalogue): number[] {
  const bins = Array.from({ length: BINS }, () => 0);
  for (const line of lines) {
    const quality = lineQuality(line, catalogue);
    if (quality !== null) bins[Math.min(BINS - 1, Math.floor(quality / BINS))]!++;
  }
  return bins;
}

/** Inspected lines below 100, the worst first. */
export const worstLines = (lines: readonly Line[], catalogue: Catalogue, most: number) =>
  lines
    .flatMap((line) => {
      const quality = lineQuality(line, catalogue);
      return quality !== null && quality < 100 ? [{ line, quality }] : [];
    })
    .sort((x, y) => x.quality - y.quality)
    .slice(0, most);
