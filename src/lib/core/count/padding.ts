import type { Audit } from "../audit/audit.ts";
import { piecesOf } from "../sieve/measure.ts";

/** What a count on the box is made of, in shares of all pieces; 0 with nothing there. */
export interface Padding {
  readonly smallPlasters: number;
  readonly wipes: number;
  /** Pieces that nothing on the list asks for, whatever they are. */
  readonly serveNothing: number;
  readonly pieces: number;
}

/** How many of the pieces are small plasters is always asked; so are wipes and dead weight. */
export function paddingOf(a: Audit): Padding {
  const asked = new Set(a.pairing.pairs.filter((p) => p.credit.credit > 0).map((p) => p.line));
  let pieces = 0;
  const of = { smallPlasters: 0, wipes: 0, serveNothing: 0 };
  a.context.lines.forEach(({ line, type, elsewhere }, l) => {
    if (elsewhere) return;
    const n = piecesOf(line);
    pieces += n;
    if (type?.padding === "small-plaster") of.smallPlasters += n;
    if (type?.padding === "wipe") of.wipes += n;
    if (!asked.has(l)) of.serveNothing += n;
  });
  const share = (n: number) => (pieces === 0 ? 0 : n / pieces);
  return {
    smallPlasters: share(of.smallPlasters),
    wipes: share(of.wipes),
    serveNothing: share(of.serveNothing),
    pieces,
  };
}
