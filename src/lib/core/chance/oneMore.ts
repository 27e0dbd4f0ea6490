import { defined } from "../base/defined.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Incidents } from "../model/incident.ts";
import type { Line } from "../model/kit.ts";
import type { PriceBook, Product } from "../model/priceBook.ts";
import { mayPropose } from "../catalogue/mayPropose.ts";
import { modelOf, type Model } from "./model.ts";
import { playerOf, shareError } from "./simulate.ts";

/** One more of a kind: by how much the chance that the kit lasts rises, on the same outings. */
export interface OneMore {
  readonly itemType: string;
  /** The product whose piece it is; absent: another piece like those there. */
  readonly product?: string;
  readonly gain: number;
  readonly se: number;
  readonly price?: number;
  readonly massG?: number;
}

export interface OneMoreAsk {
  readonly file: AuditFile;
  readonly incidents: Incidents;
  readonly today: string;
  readonly catalogue: Catalogue;
  readonly book: PriceBook;
  readonly model: Model;
  readonly seed: number;
  readonly trips: number;
  /** Outings that fell short: only there can more help. */
  readonly shortOutings: readonly number[];
}

/** A piece bought today, or one more like those of a line: counted, sound, in date. */
const another = (itemType: string, like: Partial<Line>): Line => ({
  id: "one-more",
  itemType,
  counted: 1,
  failedPoints: [],
  expires: "none",
  location: "outside",
  ...like,
});

/** A pack of a product as it comes: its print says what it holds. */
const bought = (p: Product): Partial<Line> =>
  defined({
    counted: p.pack,
    sizeMm: p.sizeMm,
    volumeMl: p.volumeMl,
    dosesPerPiece: p.dosesPerPiece,
    strengthMg: p.strengthMg,
    latexFree: p.latexFree ?? true,
  });
const sizesOf = (line: Line | undefined): Partial<Line> =>
  defined({ sizeMm: line?.sizeMm, volumeMl: line?.volumeMl, latexFree: true });

/** Candidates: the smallest pack of each kind in the price book, and one more of each line. */
function candidates({ file, book, model, catalogue }: OneMoreAsk): OneMore[] {
  const served = new Set(model.targets.map((t) => t.function));
  const own = new Map((file.itemTypes ?? []).map((t) => [t.id, t]));
  const typeOf = (id: string) => own.get(id) ?? catalogue.types.get(id);
  const useful = (id: string) =>
    typeOf(id)?.functions.some((c) => c.credit > 0 && served.has(c.function)) ?? false;
  const kinds = new Map<string, OneMore>();
  for (const p of [...book.products].sort((a, b) => a.price.amount - b.price.amount)) {
    if (!useful(p.itemType) || !mayPropose(p, typeOf) || p.inStock === false) continue;
    if (!kinds.has(p.itemType))
      kinds.set(p.itemType, {
        itemType: p.itemType,
        product: p.id,
        gain: 0,
        se: 0,
        price: p.price.amount,
        ...(p.massG === undefined ? {} : { massG: p.massG }),
      });
  }
  for (const l of file.kit.lines)
    if (l.itemType !== null && useful(l.itemType) && !kinds.has(l.itemType))
      kinds.set(l.itemType, { itemType: l.itemType, gain: 0, se: 0 });
  return [...kinds.values()];
}

/**
 * One more of what? Played again are only the outings that fell short, each on its own random numbers,
 * so that small differences are real. More of anything never makes an outing worse.
 */
export function* oneMore(ask: OneMoreAsk): Generator<OneMore> {
  const { file, incidents, today, catalogue, book, seed, trips, shortOutings } = ask;
  for (const c of candidates(ask)) {
    const p = book.products.find((x) => x.id === c.product);
    const like = file.kit.lines.find((l) => l.itemType === c.itemType);
    const piece = another(c.itemType, p ? bought(p) : sizesOf(like));
    const more = playerOf(
      modelOf(
        { ...file, kit: { ...file.kit, lines: [...file.kit.lines, piece] } },
        incidents,
        today,
        catalogue,
      ),
    );
    let saved = 0;
    for (const outing of shortOutings) if (more.lasts(seed, outing)) saved++;
    const gain = saved / trips;
    if (gain > 0) yield { ...c, gain, se: shareError(gain, trips) };
  }
}
