import { typeLookup } from "../catalogue/catalogue.ts";
import type { ItemType } from "../model/itemType.ts";
import { lastGoodDayAfterMonths } from "../base/dates.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import { contextOf, type AuditContext } from "../sieve/context.ts";
import { pairUp, type Pairing } from "../sieve/pairs.ts";
import { sift } from "../sieve/sift.ts";
import { lineLoad } from "../bag/load.ts";
import { mayPropose } from "../catalogue/mayPropose.ts";
import { broughtFor, broughtProducts, isBrought } from "./theirs.ts";
import { bookOf, type PlanRequest } from "./request.ts";
import { companionFactor } from "../sieve/real.ts";
import type { Product } from "../model/priceBook.ts";

/**
 * Everything the planner may use for a need: the kit's own lines, moved and labelled where that is
 * free, and the products of the price book as if they lay there.
 */
export interface Candidates {
  readonly context: AuditContext;
  readonly pairing: Pairing;
  /** Lines of `context` from here on are products, in the order of `products`. */
  readonly firstProduct: number;
  readonly products: readonly Product[];
  /** Of all prices. */
  readonly currency: string;
  /** Kit lines that had to be moved or labelled to count in full, by index. */
  readonly movable: ReadonlySet<number>;
  readonly uses: readonly Use[];
  /** Units of measure a line gives (kit), or one pack gives (product). */
  readonly supply: readonly number[];
  /** What the kit alone gives each need: units of a line and how well they do it, the worst first. */
  readonly shared: readonly (readonly {
    readonly line: number;
    readonly units: number;
    readonly f: number;
  }[])[];
  /** For each companion that a use asks for, what is one: lines of `context`, sound and in date. */
  readonly companionLines: ReadonlyMap<string, readonly number[]>;
}

/** A line or product that can serve a need with f > 0, its companions taken as present. */
export interface Use {
  readonly line: number;
  readonly need: number;
  /** All meshes, and mesh 2 alone. */
  readonly f: number;
  readonly r: number;
  readonly yield: number;
  readonly tool: boolean;
  /** Companions that the need asks for. */
  readonly companions: readonly string[];
  /** Those that the whole kit lacks. */
  readonly lacking: readonly string[];
}

/** Whether a line of `context` is a product of the price book. */
export const isProductLine = (
  c: Pick<Candidates, "firstProduct" | "products">,
  l: number,
): boolean => l >= c.firstProduct && l < c.firstProduct + c.products.length;

/** Lines that a kit is carried for: they serve a need, or are the companion of what does. */
export const usefulLines = (c: Candidates): Set<number> =>
  new Set([...c.uses.map((u) => u.line), ...[...c.companionLines.values()].flat()]);

export const PRODUCT_PREFIX = "buy:";

/** The line a purchase becomes: counted, sound, dated by its shelf life, laid where it is needed. */
export function boughtLine(product: Product, packs: number, today: string): Line {
  return {
    id: PRODUCT_PREFIX + product.id,
    itemType: product.itemType,
    text: product.title,
    counted: product.pack * packs,
    ...(product.sizeMm ? { sizeMm: product.sizeMm } : {}),
    ...(product.volumeMl === undefined ? {} : { volumeMl: product.volumeMl }),
    ...(product.dosesPerPiece === undefined ? {} : { dosesPerPiece: product.dosesPerPiece }),
    ...(product.strengthMg === undefined ? {} : { strengthMg: product.strengthMg }),
    ...(product.latexFree === undefined ? {} : { latexFree: product.latexFree }),
    expires: product.shelfMonths ? lastGoodDayAfterMonths(today, product.shelfMonths) : "none",
    condition: "sound",
    location: "outside",
  };
}

/** A kit line brought within reach, marked and findable. */
export const movedLine = (line: Line): Line => {
  const { reachS, findable, labelled, ...rest } = line;
  void reachS;
  void findable;
  void labelled;
  return { ...rest, location: "outside" };
};

/** A product whose mass or bulk the book does not give gets its type's. */
function weighed(product: Product, type: ItemType | undefined, today: string): Product {
  if (!type) return product;
  const load = lineLoad(boughtLine(product, 1, today), type);
  return {
    ...product,
    massG: product.massG ?? load.massG,
    bulkMl: product.bulkMl ?? load.volumeMl,
  };
}

/** What the kit and the products a request may buy can do for each need. */
export function candidates(request: PlanRequest): Candidates {
  const { audit, today, catalogue } = request;
  const book = bookOf(request);
  const typeOf = typeLookup(audit.itemTypes, catalogue);
  const products = [
    ...book.products.filter((p) => mayPropose(p, typeOf)),
    ...broughtProducts(audit, book.currency, catalogue),
  ].map((p) => weighed(p, typeOf(p.itemType), today));
  const kitLines = audit.kit.lines;
  // Before moving, to know which lines a move would help.
  const before = pairUp(contextOf(audit, today, catalogue));
  const movable = new Set<number>();
  for (const p of before.pairs)
    if (p.handy.factor < 1 && p.line < kitLines.length) movable.add(p.line);
  const laid: AuditFile = {
    ...audit,
    brief: { ...audit.brief, carriedElsewhere: audit.brief.carriedElsewhere ?? [] },
    kit: {
      ...audit.kit,
      lines: [
        ...kitLines.map((l, i) => (movable.has(i) ? movedLine(l) : l)),
        ...products.map((p) => boughtLine(p, 0, today)),
      ],
    },
  };
  // contextOf puts things carried elsewhere behind all kit lines; products come between.
  const context = contextOf(laid, today, catalogue);
  const pairing = pairUp(context);
  const sifted = sift(
    context,
    pairing,
    context.lines.map(() => true),
  );
  const firstProduct = kitLines.length;
  const isProduct = (l: number) => isProductLine({ firstProduct, products }, l);
  const asked = new Set<string>();
  const uses: Use[] = [];
  sifted.forEach((need, n) => {
    const companions = context.needs[n]!.need.companions ?? [];
    for (const p of need.pairs) {
      const alone = companionFactor(p.companionsMissing.length);
      const f = p.f / alone;
      if (f <= 0 || p.yield <= 0) continue;
      // What an owner brings is for its need alone.
      const product = isProduct(p.pair.line) ? products[p.pair.line - firstProduct] : undefined;
      if (product && isBrought(product) && broughtFor(product) !== context.needs[n]!.need.id)
        continue;
      // And a person's own is never bought.
      if (product && !isBrought(product) && context.needs[n]!.need.theirs) continue;
      uses.push({
        line: p.pair.line,
        need: n,
        f,
        r: p.r / alone,
        yield: p.yield,
        tool: context.lines[p.pair.line]!.type!.use === "tool",
        companions: [...new Set(companions)],
        lacking: p.companionsMissing,
      });
      companions.forEach((x) => asked.add(x));
    }
  });
  const shared = sifted.map((need) =>
    need.pairs
      .filter((p) => p.units > 0)
      .map((p) => ({ line: p.pair.line, units: p.units, f: p.f }))
      .sort((a, b) => a.f - b.f),
  );
  const supply = context.lines.map((_, l) => {
    const fact = pairing.facts[l]!;
    const pieces = isProduct(l) ? products[l - firstProduct]!.pack : fact.pieces;
    return pieces * fact.measure.perPiece;
  });
  return {
    context,
    pairing,
    firstProduct,
    products,
    currency: book.currency,
    movable,
    uses,
    supply,
    shared,
    companionLines: companionLines(asked, pairing, isProduct),
  };
}

/** What is one of these companions: of the kit what is there, sound and in date; of products what will be. */
function companionLines(
  asked: ReadonlySet<string>,
  { companions, facts }: Pairing,
  isProduct: (l: number) => boolean,
): Candidates["companionLines"] {
  const serves = (l: number) => {
    const { pieces, sound, standing } = facts[l]!;
    const there = isProduct(l) || (pieces > 0 && sound !== 0);
    return there && (standing === "good" || standing === "unread");
  };
  return new Map([...asked].map((x) => [x, (companions.get(x) ?? []).filter(serves)]));
}
