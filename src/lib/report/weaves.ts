import { MESHES, type Mesh } from "../core/model/mesh.ts";

/** How a weave is drawn: the pattern's size, lines as a path, or holes punched in ink. */
interface Weave {
  readonly w: number;
  readonly h: number;
  readonly lines?: string;
  /** Stroke width that stays as it is, however heavy the others are drawn. */
  readonly fine?: number;
  readonly hole?: { readonly cx: number; readonly cy: number; readonly r: number };
}

/** The seven weaves, coarse to fine. One table for screen and paper; a forgotten mesh does not compile. */
const WEAVES: Readonly<Record<Mesh, Weave>> = {
  here: { w: 14, h: 14, lines: "M0 7H14M7 0V14" },
  real: { w: 12, h: 12, lines: "M0 0L12 12M12 0L0 12" },
  enough: { w: 12, h: 8, lines: "M0 .5H12M0 4.5H12M3 0V4M9 4V8" },
  sound: {
    w: 10,
    h: 10,
    lines: "M0 1H5M0 3H5M6 0V5M8 0V5M5 6H10M5 8H10M1 5V10M3 5V10",
    fine: 1,
  },
  fresh: { w: 6, h: 6, lines: "M-1 1L1 -1M0 6L6 0M5 7L7 5" },
  handy: { w: 5, h: 5, hole: { cx: 2.5, cy: 2.5, r: 1.35 } },
  usable: { w: 3.4, h: 3.4, lines: "M0 1.7H3.4M1.7 0V3.4", fine: 1 },
};

/** Stroke of the line weaves, px. */
const WEAVE_STROKE = 1.3;

function bodyOf({ w, h, lines, fine, hole }: Weave, ink: string, sheet: string): string {
  const drawn = lines
    ? `<path d="${lines}" stroke="${ink}" stroke-width="${fine ?? WEAVE_STROKE}" fill="none"/>`
    : `<rect width="${w}" height="${h}" fill="${ink}"/>`;
  return hole
    ? `${drawn}<circle cx="${hole.cx}" cy="${hole.cy}" r="${hole.r}" fill="${sheet}"/>`
    : drawn;
}

/**
 * Definitions to fill with; as they are for a picture that stands alone, ink on white.
 * @param ink colour, as SVG has it
 * @param sheet colour below it
 */
export const weaveDefs = (ink = "#000", sheet = "#fff"): string =>
  `<defs>${MESHES.map((mesh) => {
    const { w, h } = WEAVES[mesh];
    return `<pattern id="weave-${mesh}" width="${w}" height="${h}" patternUnits="userSpaceOnUse">${bodyOf(WEAVES[mesh], ink, sheet)}</pattern>`;
  }).join("")}</defs>`;
