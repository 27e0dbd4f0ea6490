/** Pixels made ready for a recogniser: upright, grey, its contrast stretched, in the size it reads best. */

/** Four bytes a pixel, row by row, as a canvas gives them. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** Long side, px, at which print of a card is 20 to 40 px high, as the recogniser was trained. */
const LONG_SIDE_FROM = 1800;
const LONG_SIDE_TO = 2600;

/** Factor that brings a picture to a size the recogniser reads well; 1: it has it. */
export function scaleFor(width: number, height: number): number {
  const long = Math.max(width, height);
  if (long <= 0) return 1;
  return long < LONG_SIDE_FROM
    ? Math.min(3, LONG_SIDE_FROM / long)
    : Math.min(1, LONG_SIDE_TO / long);
}

/** Shares of the darkest and lightest pixels that are taken for noise. */
const NOISE = 0.01;

/** Grey by luminance (Rec. 601), from the darkest to the lightest that matter stretched to 0–255. */
export function stretched({ width, height, data }: Pixels): Pixels {
  const grey = new Uint8ClampedArray(width * height);
  const counts = new Uint32Array(256);
  for (let i = 0; i < grey.length; i++) {
    const g = 0.299 * data[4 * i]! + 0.587 * data[4 * i + 1]! + 0.114 * data[4 * i + 2]!;
    grey[i] = g;
    counts[grey[i]!]!++;
  }
  const level = (share: number): number => {
    let left = share * grey.length;
    for (let v = 0; v < 256; v++) {
      left -= counts[v]!;
      if (left <= 0) return v;
    }
    return 255;
  };
  const [low, high] = [level(NOISE), level(1 - NOISE)];
  const out = new Uint8ClampedArray(4 * grey.length);
  for (let i = 0; i < grey.length; i++) {
    const v = high > low ? (255 * (grey[i]! - low)) / (high - low) : grey[i]!;
    out[4 * i] = out[4 * i + 1] = out[4 * i + 2] = v;
    out[4 * i + 3] = 255;
  }
  return { width, height, data: out };
}

/** Turned by quarter turns clockwise. */
export function turned({ width, height, data }: Pixels, quarters: 0 | 1 | 2 | 3): Pixels {
  const from = new Uint32Array(data.buffer, data.byteOffset, width * height);
  const [w, h] = quarters % 2 === 0 ? [width, height] : [height, width];
  const to = new Uint32Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const [sx, sy] =
        quarters === 0
          ? [x, y]
          : quarters === 1
            ? [y, height - 1 - x]
            : quarters === 2
              ? [width - 1 - x, height - 1 - y]
              : [width - 1 - y, x];
      to[y * w + x] = from[sy * width + sx]!;
    }
  return { width: w, height: h, data: new Uint8ClampedArray(to.buffer) };
}
