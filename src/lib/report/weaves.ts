import type { Mesh } from "../core/model/mesh.ts";

/** The seven weaves as SVG patterns, coarse to fine: pattern size and what is drawn in it. */
const WEAVES: Record<Mesh, { w: number; h: number; body: string }> = {
  here: {
    w: 14,
    h: 14,
    body: '<path d="M0 7H14M7 0V14" stroke="#000" stroke-width="1.3" fill="none"/>',
  },
  real: {
    w: 12,
    h: 12,
    body: '<path d="M0 0L12 12M12 0L0 12" stroke="#000" stroke-width="1.3" fill="none"/>',
  },
  enough: {
    w: 12,
    h: 8,
    body: '<path d="M0 .5H12M0 4.5H12M3 0V4M9 4V8" stroke="#000" stroke-width="1.3" fill="none"/>',
  },
  sound: {
    w: 10,
    h: 10,
    body: '<path d="M0 1H5M0 3H5M6 0V5M8 0V5M5 6H10M5 8H10M1 5V10M3 5V10" stroke="#000" stroke-width="1" fill="none"/>',
  },
  fresh: {
    w: 6,
    h: 6,
    body: '<path d="M-1 1L1 -1M0 6L6 0M5 7L7 5" stroke="#000" stroke-width="1.3" fill="none"/>',
  },
  handy: {
    w: 5,
    h: 5,
    body: '<rect width="5" height="5" fill="#000"/><circle cx="2.5" cy="2.5" r="1.35" fill="#fff"/>',
  },
  usable: {
    w: 3.4,
    h: 3.4,
    body: '<path d="M0 1.7H3.4M1.7 0V3.4" stroke="#000" stroke-width="1" fill="none"/>',
  },
};

/** Definitions for a picture that stands alone, ink on white. */
export const weaveDefs = (): string =>
  `<defs>${Object.entries(WEAVES)
    .map(
      ([mesh, { w, h, body }]) =>
        `<pattern id="weave-${mesh}" width="${w}" height="${h}" patternUnits="userSpaceOnUse">${body}</pattern>`,
    )
    .join("")}</defs>`;
