import { randomFrom } from "../../bench/planCases.ts";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { kitLoad } from "../../src/lib/core/bag/load.ts";
import { fromMinor, roundMoney } from "../../src/lib/core/base/money.ts";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import type { Need } from "../../src/lib/core/model/list.ts";
import { SKILLS, type ItemType, type Skill } from "../../src/lib/core/model/itemType.ts";
import type { PriceBook, Product, SourceTerms } from "../../src/lib/core/model/priceBook.ts";
import {
  boughtLine,
  candidates,
  movedLine,
  usefulLines,
} from "../../src/lib/core/plan/candidates.ts";
import { isUntrustworthy, type Choice } from "../../src/lib/core/plan/choice.ts";
import { limitsLoad, NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { neverLeft } from "../../src/lib/core/plan/neverLeft.ts";
import { owningOf } from "../../src/lib/core/plan/owning.ts";
import { partOf, portionsOf, wholeOf } from "../../src/lib/core/plan/portions.ts";
import type { PlanOutcome } from "../../src/lib/core/plan/plan.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { score } from "../../src/lib/core/score/coverage.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { auditFile, good, need, ownType, TODAY } from "./build.ts";
import { product, request } from "./planBuild.ts";

/**
 * Small plans against trying everything: every number of packs, every part of every line left, every
 * course; each kit audited, and the best taken by the order of the question.
 */

/** What one way comes to, the first first; the more the better. */
type Levels = readonly number[];
const SAME = 1e-7;

export const isBetter = (a: Levels, b: Levels): boolean => {
  const at = a.findIndex((v, i) => Math.abs(v - b[i]!) > SAME);
  return at >= 0 && a[at]! > b[at]!;
};

const vitalOf = (a: ReturnType<typeof audit>): number =>
  score(a.context.needs, a.needs, (n) => n.tier === "vital")?.coverage ?? 1;

interface Way {
  readonly after: ReturnType<typeof audit>;
  readonly price: number;
  readonly boughtG: number;
  readonly products: number;
  readonly massG: number;
  readonly volumeMl: number;
  readonly owning: number;
}

const levelsOf = (w: Way, question: PlanRequest["question"]): Levels => {
  const coverage = w.after.coverage ?? 0;
  const rest = [-w.boughtG, -w.products];
  switch (question) {
    case "best":
      return [vitalOf(w.after), coverage, -w.price, ...rest];
    case "cheapest":
      return [-w.price, coverage, ...rest];
    case "lightest":
      return [-w.massG, -w.price, coverage, ...rest];
    case "smallest":
      return [-w.volumeMl, -w.price, coverage, ...rest];
    case "own":
      return [-w.owning, -w.price, coverage, ...rest];
  }
};

export const levelsOfChoice = (c: Choice, question: PlanRequest["question"]): Levels =>
  levelsOf(
    {
      after: c.after,
      price: c.price,
      boughtG: c.boughtMassG,
      products: c.purchases.length,
      massG: c.load.massG,
      volumeMl: c.load.volumeMl,
      owning: c.owning ?? 0,
    },
    question,
  );

/** The best levels of all ways; null: none does what is asked. Both where either rule of leaving may hold. */
function tryAll(r: PlanRequest): { best: Levels | null; ways: number } {
  const free = ["cheapest", "best"].includes(r.question);
  const limited = limitsLoad(r.limits);
  let ways = 0;
  const bestOf = (limits: PlanRequest["limits"], leave: "none" | "whole" | "parts") => {
    let best: { levels: Levels; way: Way } | null = null;
    for (const way of everyWay(r, limits, leave)) {
      ways++;
      if (!reaches(way, r)) continue;
      const levels = levelsOf(way, r.question);
      if (!best || isBetter(levels, best.levels)) best = { levels, way };
    }
    return best;
  };
  if (!free)
    return {
      best: bestOf(r.limits, r.question === "own" ? "whole" : "parts")?.levels ?? null,
      ways,
    };
  const open = bestOf({ ...NO_LIMITS, budget: r.limits.budget }, "none");
  const keeps = (w: Way) =>
    w.massG <= (r.limits.massG ?? Infinity) + 1e-6 &&
    w.volumeMl <= (r.limits.volumeMl ?? Infinity) + 1e-6;
  if (!limited || (open && keeps(open.way))) return { best: open?.levels ?? null, ways };
  return { best: bestOf(r.limits, "parts")?.levels ?? null, ways };
}

const reaches = (w: Way, r: PlanRequest): boolean =>
  r.question === "best" ||
  (r.target === "ready" ? w.after.grade === "Ready" : w.after.coverage! >= r.target - 1e-9);

/** More ways than these are not tried: the case is left out. */
const MOST_WAYS = 6000;

function* everyWay(
  request: PlanRequest,
  limits: PlanRequest["limits"],
  leave: "none" | "whole" | "parts",
): Generator<Way> {
  const courses: { to: Skill; price: number }[] = [
    { to: request.audit.brief.skill, price: 0 },
    ...(request.courses ?? []).filter(
      (c) => SKILLS.indexOf(c.to) > SKILLS.indexOf(request.audit.brief.skill),
    ),
  ];
  for (const course of courses) {
    const brief = { ...request.audit.brief, skill: course.to };
    const r = { ...request, audit: { ...request.audit, brief } };
    yield* waysOf(r, limits, leave, course.price);
  }
}

function* waysOf(
  r: PlanRequest,
  limits: PlanRequest["limits"],
  leave: "none" | "whole" | "parts",
  coursePrice: number,
): Generator<Way> {
  const c = candidates(r);
  const useful = usefulLines(c);
  const keep = neverLeft(r);
  const owning = owningOf(r, c);
  const dropsUseless = limitsLoad(limits) || r.question === "lightest" || r.question === "smallest";
  const lines = r.audit.kit.lines;
  const portions = lines.map((line, l) => {
    if (leave === "none" || keep.has(line.id) || !useful.has(l)) return null;
    const asked = c.uses.some((u) => {
      const spec = c.context.needs[u.need]!.need.spec;
      return u.line === l && (spec?.minLengthMm ?? spec?.minSizeMm) !== undefined;
    });
    return leave === "whole"
      ? wholeOf(c.supply[l]!)
      : portionsOf(line, c.context.lines[l]!.type!, !asked);
  });
  const most = [
    ...c.products.map((_, k) => mostPacks(r, c, k)),
    ...portions.map((p) => p?.steps ?? 0),
  ];
  if (most.reduce((n, m) => n * (m + 1), 1) > MOST_WAYS) throw new TooMany();
  const n = most.map(() => 0);
  for (;;) {
    const way = wayOf(n);
    if (way) yield way;
    let i = 0;
    while (i < n.length && n[i] === most[i]) n[i++] = 0;
    if (i === n.length) return;
    n[i]!++;
  }

  function wayOf(chosen: readonly number[]): Way | null {
    const bought = c.products.flatMap((product, k) =>
      chosen[k]! > 0 ? [{ product, packs: chosen[k]!, k }] : [],
    );
    const sources = new Map<string, number>();
    for (const b of bought)
      if (!b.product.id.startsWith("bring:"))
        sources.set(
          b.product.source ?? "",
          (sources.get(b.product.source ?? "") ?? 0) + b.product.price.amount * b.packs,
        );
    if (r.maxSources != null && sources.size > r.maxSources) return null;
    let sent = 0;
    for (const [source, goods] of sources) {
      const terms = r.book.sources?.find((t) => t.source === source);
      if (goods < (terms?.minimum ?? 0) - 1e-9) return null;
      if (!(terms?.freeFrom !== undefined && goods >= terms.freeFrom - 1e-9))
        sent += terms?.postage ?? 0;
    }
    const goods = bought.reduce((s, b) => s + b.product.price.amount * b.packs, 0);
    const price = roundMoney(goods + sent + coursePrice, r.book.currency);
    if (price > (limits.budget ?? Infinity) + 1e-9) return null;
    const carried: Line[] = [];
    let owned = 0;
    lines.forEach((line, l) => {
      const steps = chosen[c.products.length + l]!;
      const p = portions[l];
      // What cannot be trusted is taken out in any case; it would take what is good from where it does more.
      const goes = dropsUseless || isUntrustworthy(c, l);
      if (goes && !keep.has(line.id) && !useful.has(l)) return;
      if (p && steps === p.steps) return;
      owned += owning.line[l]!;
      const part =
        steps > 0 ? partOf(line, c.context.lines[l]!.type!, c.supply[l]! - steps * p!.step) : line;
      carried.push(c.movable.has(l) ? movedLine(part) : part);
    });
    const kept = { ...r.audit, kit: { ...r.audit.kit, lines: carried } };
    const load = kitLoad(kept, r.catalogue);
    const massG = bought.reduce((s, b) => s + (b.product.massG ?? 0) * b.packs, load.massG);
    const volumeMl = bought.reduce((s, b) => s + (b.product.bulkMl ?? 0) * b.packs, load.volumeMl);
    if (massG > (limits.massG ?? Infinity) + 1e-6) return null;
    if (volumeMl > (limits.volumeMl ?? Infinity) + 1e-6) return null;
    const all = [...carried, ...bought.map((b) => boughtLine(b.product, b.packs, r.today))];
    const file: AuditFile = { ...kept, kit: { ...kept.kit, lines: all } };
    const minor = bought.reduce((s, b) => s + owning.pack[b.k]! * b.packs, owned);
    return {
      after: audit(file, r.today, r.catalogue),
      price,
      boughtG: bought.reduce((s, b) => s + (b.product.massG ?? 0) * b.packs, 0),
      products: bought.filter((b) => !b.product.id.startsWith("bring:")).length,
      massG,
      volumeMl,
      owning: roundMoney(fromMinor(minor, r.book.currency) + sent + coursePrice, r.book.currency),
    };
  }
}

export class TooMany extends Error {}

/** So many packs fill all that a product can serve; as a companion one is enough. */
function mostPacks(r: PlanRequest, c: ReturnType<typeof candidates>, k: number): number {
  const line = c.firstProduct + k;
  const own = c.uses.filter((u) => u.line === line);
  const companion = [...c.companionLines.values()].some((ls) => ls.includes(line)) ? 1 : 0;
  const asked = own.map((u) => c.context.needs[u.need]!.required / u.yield);
  const units = own[0]?.tool ? Math.max(0, ...asked) : asked.reduce((a, b) => a + b, 0);
  const fills = Math.max(companion, Math.ceil(units / c.supply[line]! - 1e-9) || 0);
  const { budget } = r.limits;
  const { price, source } = c.products[k]!;
  // More than are of use may bring an order to its least, or to where it is sent for nothing.
  const terms = r.book.sources?.find((t) => t.source === source);
  const sum = Math.max(terms?.minimum ?? 0, terms?.freeFrom ?? 0);
  const order = fills > 0 && price.amount > 0 ? Math.ceil(sum / price.amount - 1e-9) : 0;
  const most = Math.max(fills, order);
  return budget === null || price.amount === 0
    ? most
    : Math.min(most, Math.floor(budget / price.amount + 1e-9));
}

/** Jobs that things share, so that needs compete for them; the last do companion work too. */
const CLUSTERS: readonly (readonly string[])[] = [
  ["medium-wound-pad", "bulk-absorbent", "small-wound-cover", "dressing-retention", "eye-cover"],
  ["sling", "dressing-retention", "joint-support", "splint-padding", "wound-packing"],
  ["wound-irrigation", "eye-irrigation", "skin-antiseptic", "surface-disinfectant"],
  ["splinter-removal", "tick-removal", "clamp", "fine-cutting", "cut-clothing", "sharp-blade"],
  ["pain-relief", "fever-relief", "cardiac-aspirin", "oral-glucose", "topical-antibiotic"],
  ["gloves", "rescue-breath-barrier", "small-wound-cover", "blister-care", "burn-cooling"],
];

/** A made-up small request; many limits bind, things serve several needs, and some are odd on purpose. */
function smallCase(seed: number): PlanRequest {
  const random = randomFrom(seed);
  // Seeds that lie next to one another begin alike.
  for (let i = 0; i < 8; i++) random();
  const int = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const chance = (p: number) => random() < p;
  const known = pick(CLUSTERS).filter((f) => CATALOGUE.functions.has(f));
  const functions = [...known];
  const types = [...CATALOGUE.types.values()].filter(
    (t) => !t.licensed && t.functions.some((f) => functions.includes(f.function)),
  );
  const needs: Need[] = Array.from({ length: int(1, 4) }, (_, i): Need => {
    const fn = pick(functions);
    const unit = CATALOGUE.functions.get(fn)!.unit;
    const base = unit === "millilitre" ? pick([20, 40, 100]) : int(1, 4);
    return {
      id: `n${i}`,
      function: fn,
      tier: pick(["vital", "vital", "core", "core", "useful"] as const),
      quantity: { base },
      ...(chance(0.2) ? { companions: [pick(functions)] } : {}),
      ...(chance(0.12) ? { spec: { sterile: true } } : {}),
      ...(chance(0.12) ? { spec: { minSizeMm: [75, 75] as [number, number] } } : {}),
      ...(chance(0.3) ? { access: pick(["seconds", "minute", "any"] as const) } : {}),
      ...(chance(0.5)
        ? {
            accept: Array.from({ length: int(1, 3) }, () => ({
              itemType: pick(types).id,
              credit: pick([0.25, 0.5, 0.6, 0.9, 1]),
              ...(chance(0.3) ? { yield: pick([0.5, 2, 3]) } : {}),
              ...(chance(0.2) ? { improvised: true } : {}),
            })).filter((a, k, all) => all.findIndex((b) => b.itemType === a.itemType) === k),
          }
        : {}),
    };
  });
  const shape = () => ({
    ...(chance(0.4)
      ? {
          sizeMm: pick([
            [50, 50],
            [75, 75],
            [100, 100],
            [75, 4000],
          ]),
        }
      : {}),
    ...(chance(0.4) ? { volumeMl: pick([5, 15, 20, 50]) } : {}),
    ...(chance(0.3) ? { dosesPerPiece: pick([1, 2, 5]) } : {}),
  });
  const lines: Line[] = Array.from({ length: int(0, 4) }, (_, i): Line => ({
    id: `L${i}`,
    itemType: pick(types).id,
    counted: pick([0, 1, 1, 2, 2, 3]),
    ...shape(),
    condition: pick(["sound", "sound", "sound", "worn", "failed"] as const),
    expires: pick(["2035-01", "2035-01", "2028-03", "2020-01", "none"]),
    location: pick(["outside", "outside", "bottom", "pocket"] as const),
  }));
  const products: Product[] = Array.from({ length: int(1, 3) }, (_, k) => ({
    id: `p${k}`,
    title: `P${k}`,
    itemType: pick(types).id,
    pack: pick([1, 1, 2, 3]),
    ...shape(),
    price: { amount: pick([0, 0.99, 1, 2, 2.5, 3.35, 4, 5]), currency: "EUR" },
    massG: pick([5, 10, 15, 20, 40]),
    ...(chance(0.8) ? { bulkMl: pick([5, 15, 20, 50, 100]) } : {}),
    source: pick(["Mill", "Ferry"]),
    leadDays: 2,
    shelfMonths: pick([null, 3, 12, 60]),
    ...(chance(0.05) ? { inStock: false } : {}),
  }));
  const file: AuditFile = {
    format: "wide-sieve.audit",
    version: 1,
    brief: {
      title: "",
      people: 1,
      days: 2,
      hoursToCare: 2,
      start: "2027-01-10",
      activities: [],
      carry: "pack",
      skill: pick(["anyone", "trained", "advanced"] as const),
      sensitivities: chance(0.2) ? [pick(["latex", "nsaid", "adhesive"] as const)] : [],
      limits: {},
    },
    ...(chance(0.5)
      ? {
          houseRules: {
            ...(chance(0.3) ? { improvised: "deny" as const } : {}),
            ...(chance(0.3) ? { cutting: "scissors" as const } : {}),
            ...(chance(0.3) ? { dates: "tiered" as const } : {}),
            ...(chance(0.3) ? { advanced: "carry" as const } : {}),
          },
        }
      : {}),
    list: { id: "l", title: "l", needs },
    kit: { name: "k", claims: {}, lines },
  };
  const load = kitLoad(file, CATALOGUE);
  const limits = {
    budget: chance(0.6) ? pick([0, 2, 3, 4, 8]) : null,
    massG: chance(0.5)
      ? Math.round((load.massG * pick([0.3, 0.6, 1, 1.2]) + pick([0, 10, 30])) * 10) / 10
      : null,
    volumeMl: chance(0.3)
      ? Math.round((load.volumeMl * pick([0.3, 0.6, 1, 1.2]) + pick([0, 20, 60])) * 10) / 10
      : null,
  };
  const terms: SourceTerms[] = ["Mill", "Ferry"].map((source) => ({
    source,
    ...(chance(0.7) ? { postage: pick([0.5, 1, 3]) } : {}),
    ...(chance(0.5) ? { freeFrom: pick([2, 4, 6]) } : {}),
    ...(chance(0.3) ? { minimum: pick([1, 3, 5]) } : {}),
  }));
  const book: PriceBook = {
    ...{ id: "b", title: "b", currency: "EUR", products },
    ...(chance(0.3) ? { sources: terms } : {}),
  };
  return {
    audit: file,
    catalogue: CATALOGUE,
    book,
    question: pick(["best", "best", "best", "cheapest", "cheapest", "lightest", "own"] as const),
    target: chance(0.5) ? "ready" : pick([0.2, 0.4, 0.6, 0.8]),
    limits,
    keep: chance(0.1) && lines[0] ? [lines[0].id] : [],
    ...(chance(0.1) ? { exclude: ["p0"] } : {}),
    ...(chance(0.1) ? { maxSources: 1 } : {}),
    ...(chance(0.15) ? { courses: [{ to: "advanced" as const, price: pick([0, 1, 3]) }] } : {}),
    today: TODAY,
  };
}

/** The same, with a thing or two to be had in larger packs as well: as heavy a piece, dearer or cheaper. */
function casePacks(seed: number): PlanRequest {
  const r = smallCase(seed);
  const random = randomFrom(seed * 31 + 7);
  for (let i = 0; i < 8; i++) random();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const { products } = r.book;
  const larger = products.slice(0, 2).flatMap((p, k) =>
    [pick([2, 3]), pick([2, 4])].slice(0, 2 - k).map((times, i): Product => ({
      ...p,
      id: `${p.id}-${i}`,
      pack: p.pack * times,
      price: {
        ...p.price,
        amount: roundMoney(p.price.amount * times * pick([0.6, 0.9, 1, 1.3]), "EUR"),
      },
      massG: p.massG! * times,
      ...(p.bulkMl === undefined ? {} : { bulkMl: p.bulkMl * times }),
      source: pick(["Mill", "Ferry"]),
    })),
  );
  const question = random() < 0.7 ? "best" : r.question;
  const { sources: _, ...plain } = r.book;
  const book = random() < 0.8 ? plain : r.book;
  return { ...r, question, book: { ...book, products: [...products, ...larger] } };
}

/**
 * The same, with what is less usual: owners' own things, things carried elsewhere, own item types in metres, doses
 * and millilitres, lines not yet counted or read, out of reach or not marked, other schools, a currency without cents.
 */
function caseOdd(seed: number): PlanRequest {
  const r = smallCase(seed);
  const random = randomFrom(seed * 17 + 3);
  for (let i = 0; i < 8; i++) random();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const chance = (p: number) => random() < p;
  const { audit, book } = r;
  const { needs } = audit.list;
  const own: ItemType = {
    ...{ id: "own-thing", label: "own thing", skill: "anyone", alsoCalled: [] },
    ...pick([
      { measure: "each", use: "tool" } as const,
      { measure: "each", use: "single" } as const,
      { measure: "metre", typical: 2, use: "single" } as const,
      { measure: "dose", typical: 4, use: "single" } as const,
      { measure: "millilitre", typical: 30, use: "single" } as const,
    ]),
    functions: [...new Set(needs.map((n) => n.function))]
      .slice(0, 2)
      .map((fn) => ({ function: fn, credit: pick([0.3, 0.8, 1]) })),
    ...{ sterile: chance(0.5), dated: chance(0.5), medicine: false, clash: [] },
    ...{ massG: 12, bulkMl: 30 },
  };
  const typed = <T extends { itemType: string | null }>(x: T): T =>
    chance(0.3) ? { ...x, itemType: own.id } : x;
  const lines = audit.kit.lines.map((line): Line => {
    const { counted, condition, expires, ...rest } = typed(line);
    return {
      ...rest,
      ...(chance(0.2) ? { claimed: counted ?? 0 } : { counted: counted ?? 0 }),
      ...(chance(0.2) || !condition ? {} : { condition }),
      ...(chance(0.2) || !expires ? {} : { expires }),
      ...(chance(0.1) ? { reachS: pick([20, 90]) } : {}),
      ...(chance(0.1) ? { labelled: false } : {}),
      ...(chance(0.1) ? { findable: false } : {}),
    };
  });
  const inYen = chance(0.3);
  const money = (amount: number) => (inYen ? Math.round(amount * 10) : amount);
  const currency = inYen ? "JPY" : "EUR";
  const asked = needs.map((n): Need => {
    const perPerson = chance(0.2);
    const quantity = perPerson ? { perPerson: 1 } : n.quantity;
    const spec = chance(0.1) ? { minLengthMm: pick([75, 1500]) } : n.spec;
    return { ...n, quantity, ...(spec ? { spec } : {}) };
  });
  const tier = pick(["vital", "core"] as const);
  const inhaler = { itemType: "reliever-inhaler", counted: 1, dosesPerPiece: 40 };
  const theirs = chance(0.3)
    ? {
        need: { id: "t", function: "reliever-inhaler", tier, quantity: { base: 1 }, theirs: true },
        lines: chance(0.5)
          ? [
              {
                id: "T",
                ...inhaler,
                expires: pick(["2035-01", "2020-01"]),
                condition: pick(["sound", "failed"] as const),
              },
            ]
          : [],
      }
    : null;
  const elsewhere = lines.flatMap((l) =>
    chance(0.2) && l.itemType !== null ? [{ itemType: l.itemType, pieces: pick([1, 2]) }] : [],
  );
  const houseRules = {
    ...audit.houseRules,
    ...(chance(0.2) ? { duplicates: "lean" as const } : {}),
    ...(chance(0.2) ? { devices: "protocol-only" as const } : {}),
    ...(chance(0.2) ? { thresholds: { ready: pick([0.5, 0.7]) } } : {}),
    ...(chance(0.1) ? { passMarks: { vital: 0.8, core: 0.5 } } : {}),
  };
  const { budget } = r.limits;
  return {
    ...r,
    audit: {
      ...audit,
      houseRules,
      itemTypes: [own],
      brief: { ...audit.brief, people: pick([1, 3]), carriedElsewhere: elsewhere },
      list: { ...audit.list, needs: theirs ? [...asked, theirs.need] : asked },
      kit: {
        ...audit.kit,
        lines: [...lines, ...(theirs?.lines ?? [])],
        ...(chance(0.3) ? { container: { massG: 15 } } : {}),
      },
    },
    book: {
      ...book,
      currency,
      products: book.products.map((p) => ({
        ...typed(p),
        price: { amount: money(p.price.amount), currency },
      })),
      ...(book.sources
        ? {
            sources: book.sources.map(({ source, postage, freeFrom, minimum }) => ({
              source,
              ...(postage === undefined ? {} : { postage: money(postage) }),
              ...(freeFrom === undefined ? {} : { freeFrom: money(freeFrom) }),
              ...(minimum === undefined ? {} : { minimum: money(minimum) }),
            })),
          }
        : {}),
    },
    limits: { ...r.limits, budget: budget === null ? null : money(budget) },
    ...(r.courses ? { courses: r.courses.map((c) => ({ ...c, price: money(c.price) })) } : {}),
  };
}

/** Kits and products that vital needs of many units want, and needs that count more by the unit. */
function caseRivals(seed: number): PlanRequest {
  const random = randomFrom(seed * 13 + 5);
  for (let i = 0; i < 8; i++) random();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const chance = (p: number) => random() < p;
  const jobs = ["medium-wound-pad", "bulk-absorbent", "small-wound-cover", "eye-cover"];
  const needs = jobs.slice(0, pick([2, 3, 3, 4])).map((fn, i) => {
    const companions = chance(0.2) ? { companions: [pick(jobs)] } : {};
    return i % 2 === 0
      ? need(`v${i}`, fn, { tier: "vital", quantity: { base: pick([2, 3, 5]) }, ...companions })
      : need(`c${i}`, fn, {
          ...{ tier: pick(["core", "useful"]), quantity: { base: pick([1, 2]) }, ...companions },
        });
  });
  const itemTypes = Array.from({ length: 4 }, (_, k) =>
    ownType(`t${k}`, `thing ${k}`, {
      use: k === 3 ? pick(["tool", "single"]) : "single",
      functions: needs.flatMap(({ function: fn }) =>
        chance(0.75)
          ? [
              {
                ...{ function: fn, credit: pick([0.3, 0.5, 0.8, 1]) },
                ...(chance(0.25) ? { yield: pick([0.5, 2]) } : {}),
              },
            ]
          : [],
      ),
      ...{ massG: 10, bulkMl: 10 },
    }),
  );
  const lines = itemTypes.flatMap(({ id }, k) =>
    chance(0.6) ? [good(`L${k}`, id, pick([1, 2, 3]))] : [],
  );
  const products = itemTypes.flatMap(({ id }, k) =>
    chance(0.7) ? [product(`p${k}`, id, pick([1, 2]), pick([1, 2, 3]))] : [],
  );
  return request(auditFile(needs, lines, { itemTypes }), products, {
    question: pick(["best", "best", "best", "cheapest"]),
    target: pick(["ready", 0.6, 0.8]),
    limits: {
      budget: pick([2, 4, 6]),
      massG: chance(0.3) ? pick([30, 50, 70]) : null,
      volumeMl: null,
    },
  });
}

/** Made-up requests by what is in them. */
export const MADE = {
  "small kits": smallCase,
  "packs of several sizes": casePacks,
  "what is less usual": caseOdd,
  "needs that want the same things": caseRivals,
} as const;

/** The limit that a plan does not keep, in words; null: it keeps all. */
export function brokenLimit(
  { price, load }: Choice,
  { budget, massG, volumeMl }: PlanRequest["limits"],
): string | null {
  if (price > (budget ?? Infinity) + 1e-9) return "over its budget";
  if (load.massG > (massG ?? Infinity) + 1e-6) return "over its weight";
  return load.volumeMl > (volumeMl ?? Infinity) + 1e-6 ? "over its space" : null;
}

/** What is wrong with a plan, in words; null: it is the best there is, keeps its limits and gives its reasons. */
export function wrongWith(r: PlanRequest, outcome: PlanOutcome): string | null {
  const { best } = tryAll(r);
  if (outcome.status === "infeasible")
    return best === null ? null : `no plan is said, and there is ${JSON.stringify(best)}`;
  if (best === null) return "a plan is said where there is none";
  const { choice } = outcome;
  const broken = brokenLimit(choice, r.limits);
  if (broken) return broken;
  const has = levelsOfChoice(choice, r.question);
  if (isBetter(has, best)) return `better than any: ${JSON.stringify({ has, best })}`;
  if (outcome.status === "optimal" && isBetter(best, has))
    return `said to be the best: ${JSON.stringify({ has, best })}`;
  return null;
}
