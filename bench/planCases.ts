import type { AuditFile } from "../src/lib/core/model/auditFile.ts";
import type { ItemType } from "../src/lib/core/model/itemType.ts";
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

/**
 * Jobs that overlap: every line and product does about three, mostly of its own group, some in other units;
 * a fifth are tools. The audit and the plan want different things of them.
 */
export function denseCase(
  size: keyof typeof SIZES,
  seed: number,
): { audit: AuditFile; book: PriceBook } {
  const [lines, needs, products] = SIZES[size];
  const random = randomFrom(seed * 7919 + 13);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const pieces = FUNCTIONS.filter((f) => f.unit === "each");
  const groups = Math.max(4, Math.round(needs / 10));
  const needList = Array.from({ length: needs }, (_, i) => ({
    id: `n${i}`,
    function: pieces[i % pieces.length]!.id,
    tier: pick(["vital", "core", "core", "core", "useful"] as const),
    quantity: { base: 1 + Math.floor(random() * random() * 50) },
    access: "any" as const,
    accept: [] as NonNullable<Need["accept"]>,
  }));
  const itemTypes: ItemType[] = [];
  const doing = (id: string): string => {
    const group = Math.floor(random() * groups);
    const jobs = 1 + Math.floor(random() * 4.5);
    itemTypes.push({
      ...{ id, label: id, functions: [], measure: "each", skill: "anyone", sterile: false },
      ...{ dated: false, medicine: false, clash: [], alsoCalled: [] },
      use: random() < 0.2 ? "tool" : "single",
      massG: Math.round(2 + 60 * random()),
      bulkMl: Math.round(3 + 90 * random()),
    });
    const seen = new Set<number>();
    for (let k = 0; k < jobs; k++) {
      const own = group + groups * Math.floor(random() * Math.floor(needs / groups));
      const i = random() < 0.85 ? own : Math.floor(random() * needs);
      if (i >= needs || seen.has(i)) continue;
      seen.add(i);
      const full = k === 0 && random() < 0.7;
      needList[i]!.accept.push({
        itemType: id,
        credit: full ? 1 : Math.round((0.2 + 0.8 * random()) * 20) / 20,
        ...(random() < 0.15 ? { yield: pick([0.5, 2, 3]) } : {}),
      });
    }
    return id;
  };
  const lineList: Line[] = Array.from({ length: lines }, (_, i) => ({
    ...{ id: `l${i}`, itemType: doing(`own-l${i}`), counted: 1 + Math.floor(random() * 8) },
    condition: pick(["sound", "sound", "sound", "worn"] as const),
    ...{ expires: "none", location: "outside" },
  }));
  const list: Product[] = Array.from({ length: products }, (_, k) => {
    const pack = pick([1, 1, 2, 3, 5, 10]);
    const amount = Math.round(pack * (50 + 800 * random() * random())) / 100;
    return {
      ...{ id: `p${k}`, title: `p${k}`, itemType: doing(`own-p${k}`), pack },
      price: { amount, currency: "EUR" },
      massG: Math.round(pack * (2 + 60 * random())),
      bulkMl: Math.round(pack * (3 + 90 * random())),
      source: pick(["Mill", "Ferry", "Kiln"]),
      shelfMonths: null,
    };
  });
  return {
    audit: { ...auditOf(needList, lineList), itemTypes },
    book: { id: "dense", title: "dense", currency: "EUR", products: list },
  };
}
