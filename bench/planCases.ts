import type { AuditFile } from "../src/lib/core/model/auditFile.ts";
import type { Line } from "../src/lib/core/model/kit.ts";
import type { Need } from "../src/lib/core/model/list.ts";
import type { PriceBook, Product } from "../src/lib/core/model/priceBook.ts";
import { FUNCTIONS } from "../src/lib/data/functions.ts";
import { ITEM_TYPES } from "../src/lib/data/itemTypes.ts";
import { PRICE_BOOK } from "../src/lib/data/priceBook.ts";

/** xorshift32: the same numbers every time. */
export function randomFrom(seed: number): () => number {
  let x = (seed * 2654435761) >>> 0 || 1;
  return () => {
    x ^= x << 13;
    x ^= x >>> 17;
    x ^= x << 5;
    return (x >>> 0) / 2 ** 32;
  };
}

/** Lines, needs and products of the sizes that the targets speak of. */
export const SIZES = {
  small: [40, 30, 60],
  typical: [90, 60, 150],
  large: [300, 120, 400],
} as const;

/** An audit of eight people for three days with these needs and lines. */
export const auditOf = (needs: readonly Need[], lines: readonly Line[]): AuditFile => ({
  format: "wide-sieve.audit",
  version: 1,
  brief: {
    title: "",
    people: 8,
    days: 3,
    hoursToCare: 4,
    start: "2027-06-01",
    activities: [],
    carry: "pack",
    skill: "advanced",
    sensitivities: [],
    limits: {},
  },
  list: { id: "bench", title: "bench", needs: [...needs] },
  kit: { name: "bench", claims: {}, lines: [...lines] },
});

/** A made-up audit and price book: the shipped products, and variants of them in other packs and prices. */
export function planCase(
  size: keyof typeof SIZES,
  seed: number,
): { audit: AuditFile; book: PriceBook } {
  const [lines, needs, products] = SIZES[size];
  const random = randomFrom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const priced = new Set(PRICE_BOOK.products.map((p) => p.itemType));
  const served = FUNCTIONS.filter((f) =>
    ITEM_TYPES.some(
      (t) => priced.has(t.id) && t.functions.some((c) => c.function === f.id && c.credit >= 1),
    ),
  );
  const needList: Need[] = Array.from({ length: needs }, (_, i) => ({
    id: `n${i}`,
    function: served[i % served.length]!.id,
    tier: pick(["vital", "core", "core", "core", "useful"] as const),
    quantity: { base: 1 + Math.floor(random() * 20) },
    access: pick(["any", "any", "minute"] as const),
  }));
  const kinds = ITEM_TYPES.filter((t) => t.functions.length > 0);
  const lineList: Line[] = Array.from({ length: lines }, (_, i) => ({
    id: `l${i}`,
    itemType: pick(kinds).id,
    counted: Math.floor(random() * 8),
    condition: pick(["sound", "sound", "sound", "worn", "failed"] as const),
    expires: pick(["2030-01", "2030-01", "2020-01", "none"]),
    location: pick(["outside", "pocket", "bottom"] as const),
  }));
  const own: Product[] = [...PRICE_BOOK.products];
  while (own.length < products) {
    const p = pick(PRICE_BOOK.products);
    const more = 1 + Math.floor(random() * 6);
    own.push({
      ...p,
      id: `${p.id}-v${own.length}`,
      pack: p.pack * more,
      price: { ...p.price, amount: Math.round(p.price.amount * more * (70 + random() * 40)) / 100 },
      massG: (p.massG ?? 0) * more,
      bulkMl: (p.bulkMl ?? 0) * more,
      source: pick(["Mill", "Ferry", "Kiln"]),
    });
  }
  return {
    audit: auditOf(needList, lineList),
    book: { ...PRICE_BOOK, products: own.slice(0, products) },
  };
}
