import { neverLeft } from "./neverLeft.ts";
import { minorPrice } from "../model/priceBook.ts";
import { fromMinor, toMinor } from "../base/money.ts";
import { atLeast, isWhole, LOAD_TOLERANCE, SHARE_TOLERANCE } from "../base/tolerance.ts";
import { companionFactor } from "../sieve/real.ts";
import type { Candidates, Use } from "./candidates.ts";
import { candidates, usefulLines } from "./candidates.ts";
import { asksForTarget, type PlanRequest } from "./request.ts";
import { belowMinimum, postages, sourceOf } from "./orders.ts";
import { settle, type Choice } from "./choice.ts";
import { limitsLoad } from "./limits.ts";
import { kitLoad, lineLoad } from "../bag/load.ts";

/**
 * A quick answer while the exact one is sought: pack by pack, the one that gains most for its price
 * (vital needs first), then what has become needless is taken out again. No proof; seldom far off.
 */
export interface Quick {
  readonly choice: Choice;
  /** It does what was asked: reaches the target (cheapest), or keeps the limits (best). */
  readonly reaches: boolean;
}

/** A thing given away still counts as costing something, or it would always come first. */
const LEAST_PRICE = 0.01;

export function greedyPlan(request: PlanRequest, given?: Candidates): Quick {
  const whole = given ?? candidates(request);
  const out = leftAtOnce(request, whole);
  const c = out.size === 0 ? whole : candidates(without(request, out));
  const basket = new Basket(request, c, roomOf(request, c));
  const asked = askedOf(request, c);
  const enough = (slots: NeedSlots) =>
    asksForTarget(request.question) &&
    (!asked.ready || slots.vitalFull()) &&
    atLeast(slots.coverage(), asked.coverage);

  // A mere coverage is reached by whatever gains most; else vital needs come first.
  if (request.question === "best" || asked.ready)
    buyBest(basket, "vital", () => enough(basket.slots) || basket.slots.vitalFull());
  buyBest(basket, "all", () => enough(basket.slots));
  if (asksForTarget(request.question)) basket.takeOutNeedless(enough);

  const limited = limitsLoad(request.limits);
  const choice = settle(basket.purchases(), out, new Map(), whole, request, limited);
  return { choice, reaches: reaches(request, choice, asked) };
}

const without = (request: PlanRequest, out: ReadonlySet<number>): PlanRequest => {
  const { audit } = request;
  const lines = audit.kit.lines.filter((_, l) => !out.has(l));
  return { ...request, audit: { ...audit, kit: { ...audit.kit, lines } } };
};

/** Lines that stay at home, where the load is over its limit as it is: those that do least for their weight. */
function leftAtOnce(request: PlanRequest, c: Candidates): Set<number> {
  const out = new Set<number>();
  const { massG, volumeMl } = request.limits;
  const room = roomOf({ ...request, limits: { ...request.limits, budget: null } }, c);
  if (room.massG >= 0 && room.volumeMl >= 0) return out;
  const keep = neverLeft(request);
  const useful = usefulLines(c);
  const does = worthOfLines(c);
  const lines = c.context.lines.slice(0, c.firstProduct).flatMap(({ line, type }, l) => {
    if (!useful.has(l) || keep.has(line.id)) return [];
    const load = lineLoad(line, type);
    const share = load.massG / (massG ?? Infinity) + load.volumeMl / (volumeMl ?? Infinity);
    return share > 0 ? [{ l, load, does: (does[l] ?? 0) / share }] : [];
  });
  for (const { l, load } of lines.sort((a, b) => a.does - b.does)) {
    if (room.massG >= 0 && room.volumeMl >= 0) break;
    out.add(l);
    room.massG += load.massG;
    room.volumeMl += load.volumeMl;
  }
  return out;
}

/** What each line does in the kit as it is, as shares of all weight; vital needs twice. */
function worthOfLines(c: Candidates): number[] {
  const worth = c.context.lines.map(() => 0);
  c.shared.forEach((units, n) => {
    const need = c.context.needs[n]!;
    const point = (need.weight / need.required) * (need.tier === "vital" ? 2 : 1);
    for (const u of units) worth[u.line]! += u.units * u.f * point;
  });
  return worth;
}

interface Asked {
  readonly ready: boolean;
  /** 0–1; of no meaning for `best`. */
  readonly coverage: number;
}
const askedOf = (request: PlanRequest, c: Candidates): Asked => {
  const ready = asksForTarget(request.question) && request.target === "ready";
  return {
    ready,
    coverage: ready ? c.context.rules.thresholds.ready : (request.target as number),
  };
};

/** Whether a choice keeps every limit and does what is asked. */
function reaches(request: PlanRequest, choice: Choice, asked: Asked): boolean {
  const { budget, massG, volumeMl } = request.limits;
  const { price, load } = choice;
  const over = (n: number, limit: number | null) => limit !== null && n > limit + LOAD_TOLERANCE;
  if (over(price, budget) || over(load.massG, massG) || over(load.volumeMl, volumeMl)) return false;
  if (belowMinimum(choice.purchases, request.book).length > 0) return false;
  if (!asksForTarget(request.question)) return true;
  return asked.ready
    ? choice.after.grade === "Ready"
    : atLeast(choice.after.coverage ?? 0, asked.coverage);
}

/** What may still be spent and carried; Infinity: no limit. */
interface Room {
  minor: number;
  massG: number;
  volumeMl: number;
}

function roomOf(request: PlanRequest, c: Candidates): Room {
  // What serves nothing stays at home under a limit, and takes no room.
  const useful = usefulLines(c);
  const keep = neverLeft(request);
  const lines = request.audit.kit.lines.filter((l, i) => useful.has(i) || keep.has(l.id));
  const kit = { ...request.audit, kit: { ...request.audit.kit, lines } };
  const load = kitLoad(kit, request.catalogue);
  const { budget, massG, volumeMl } = request.limits;
  return {
    minor: budget === null ? Infinity : toMinor(budget, request.book.currency),
    massG: massG === null ? Infinity : massG - load.massG,
    volumeMl: volumeMl === null ? Infinity : volumeMl - load.volumeMl,
  };
}

/** Buys pack by pack what gains most for its price until `done`, or nothing gains any more. */
function buyBest(basket: Basket, of: keyof Gain, done: () => boolean): void {
  // Gains only fall as slots fill: an old gain is a bound, and is looked up anew only when it leads.
  const best = basket.products.map((_, k) => basket.gainForPrice(k, of));
  while (!done()) {
    const lead = nextLead(basket, best, of);
    if (lead < 0) return;
    basket.buy(lead);
  }
}

/** The product that gains most and may be bought; −1: none. Brings the bounds that led up to date. */
function nextLead(basket: Basket, best: number[], of: keyof Gain): number {
  for (;;) {
    let lead = -1;
    best.forEach((g, k) => {
      if (g > SHARE_TOLERANCE && (lead < 0 || g > best[lead]!) && basket.mayBuy(k)) lead = k;
    });
    if (lead < 0) return -1;
    const now = basket.gainForPrice(lead, of);
    const stays = atLeast(now, best[lead]!);
    best[lead] = now;
    if (stays) return lead;
  }
}

/** What a pack gains, as shares of all weight: of vital needs, and of all. */
interface Gain {
  vital: number;
  all: number;
}

/** Units of a need by how well they are filled, the worst first; what is empty has f 0. */
type Slots = { units: number; f: number }[];

/** How well each need is filled so far. */
class NeedSlots {
  readonly #slots: Slots[];
  /** Share of all weight that one unit of a need at f = 1 is worth. */
  readonly #point: readonly number[];
  readonly #vital: readonly boolean[];

  constructor(c: Candidates) {
    const { needs } = c.context;
    const total = needs.reduce((s, n) => s + n.weight, 0) || 1;
    this.#point = needs.map((n) => n.weight / n.required / total);
    this.#vital = needs.map((n) => n.tier === "vital");
    this.#slots = needs.map((n, i) => {
      const own = c.shared[i]!.map(({ units, f }) => ({ units, f }));
      const rest = n.required - own.reduce((s, x) => s + x.units, 0);
      return rest > SHARE_TOLERANCE ? [{ units: rest, f: 0 }, ...own] : own;
    });
  }

  coverage(): number {
    return this.#slots.reduce(
      (s, own, n) => s + own.reduce((t, x) => t + x.units * x.f, 0) * this.#point[n]!,
      0,
    );
  }

  vitalFull(): boolean {
    return this.#slots.every((own, n) => !this.#vital[n] || own.every((x) => isWhole(x.f)));
  }

  /** Puts a stock to its uses (or only looks, where `really` is false); gives what that gains. */
  put(uses: readonly Use[], stock: number, really: boolean): Gain {
    const gain: Gain = { vital: 0, all: 0 };
    if (uses.length === 0) return gain;
    if (uses[0]!.tool) {
      for (const u of uses) this.#take(u, stock, really, gain);
      return gain;
    }
    let left = stock;
    const worth = (u: Use) => u.f * u.yield * this.#point[u.need]! * (this.#vital[u.need] ? 2 : 1);
    for (const u of [...uses].sort((a, b) => worth(b) - worth(a))) {
      left -= this.#take(u, left, really, gain);
      if (left <= SHARE_TOLERANCE) break;
    }
    return gain;
  }

  /** Fills the worst slots first; gives the units of measure that were used of the stock. */
  #take(u: Use, stock: number, really: boolean, gain: Gain): number {
    const own = this.#slots[u.need]!;
    const f = u.f * companionFactor(u.lacking.length);
    let left = stock * u.yield;
    const changed: Slots = [];
    for (const slot of own) {
      if (left <= SHARE_TOLERANCE || f <= slot.f + SHARE_TOLERANCE) break;
      const units = Math.min(left, slot.units);
      const points = units * (f - slot.f) * this.#point[u.need]!;
      gain.all += points;
      if (this.#vital[u.need]) gain.vital += points;
      left -= units;
      if (!really) continue;
      changed.push({ units, f });
      slot.units -= units;
    }
    if (changed.length > 0)
      this.#slots[u.need] = [...own.filter((s) => s.units > SHARE_TOLERANCE), ...changed].sort(
        (a, b) => a.f - b.f,
      );
    return stock - left / u.yield;
  }
}

/** The packs bought so far, what they fill, and what room is left. */
class Basket {
  slots: NeedSlots;
  readonly room: Room;
  readonly products: Candidates["products"];
  readonly #request: PlanRequest;
  readonly #c: Candidates;
  readonly #maxSources: number;
  readonly #usesOf: readonly (readonly Use[])[];
  readonly #minor: readonly number[];
  readonly #counts: number[];
  readonly #sources = new Set<string>();

  constructor(request: PlanRequest, c: Candidates, room: Room) {
    this.#request = request;
    this.#c = c;
    this.room = room;
    this.#maxSources = request.maxSources ?? Infinity;
    this.products = c.products;
    this.slots = new NeedSlots(c);
    this.#minor = c.products.map(minorPrice);
    this.#counts = c.products.map(() => 0);
    const usesOf: Use[][] = c.products.map(() => []);
    for (const u of c.uses) usesOf[u.line - c.firstProduct]?.push(u);
    this.#usesOf = usesOf;
  }

  #put(k: number, slots: NeedSlots, really: boolean): Gain {
    return slots.put(this.#usesOf[k]!, this.#c.supply[this.#c.firstProduct + k]!, really);
  }

  /** What one more pack gains, over its price. */
  gainForPrice(k: number, of: keyof Gain): number {
    if (this.#usesOf[k]!.length === 0) return 0;
    const price = fromMinor(this.#minor[k]!, this.#c.currency);
    return this.#put(k, this.slots, false)[of] / Math.max(LEAST_PRICE, price);
  }

  mayBuy(k: number): boolean {
    const p = this.products[k]!;
    return (
      this.#minor[k]! + this.#morePostage(k) <= this.room.minor &&
      (p.massG ?? 0) <= this.room.massG &&
      (p.bulkMl ?? 0) <= this.room.volumeMl &&
      (this.#sources.has(sourceOf(p)) || this.#sources.size < this.#maxSources)
    );
  }

  /** Postage that one more pack brings with it, minor units. */
  #morePostage(k: number): number {
    const { book } = this.#request;
    if (!book.sources) return 0;
    const sent = (
      purchases: readonly { product: Candidates["products"][number]; packs: number }[],
    ) => postages(purchases, book).reduce((s, p) => s + toMinor(p.price, book.currency), 0);
    const now = this.purchases();
    return sent([...now, { product: this.products[k]!, packs: 1 }]) - sent(now);
  }

  buy(k: number): void {
    const p = this.products[k]!;
    this.room.minor -= this.#minor[k]! + this.#morePostage(k);
    this.#put(k, this.slots, true);
    this.#counts[k]!++;
    this.room.massG -= p.massG ?? 0;
    this.room.volumeMl -= p.bulkMl ?? 0;
    this.#sources.add(sourceOf(p));
  }

  /** What later purchases have made needless goes out again, the dearest first. */
  takeOutNeedless(enough: (slots: NeedSlots) => boolean): void {
    const dearest = this.products
      .map((_, k) => k)
      .sort((a, b) => this.#minor[b]! - this.#minor[a]!);
    for (const k of dearest)
      while (this.#counts[k]! > 0) {
        this.#counts[k]!--;
        const without = this.#filledAnew();
        if (!enough(without)) {
          this.#counts[k]!++;
          break;
        }
        this.slots = without;
      }
  }

  #filledAnew(): NeedSlots {
    const slots = new NeedSlots(this.#c);
    this.#counts.forEach((packs, k) => {
      for (let i = 0; i < packs; i++) this.#put(k, slots, true);
    });
    return slots;
  }

  purchases(): { product: Candidates["products"][number]; packs: number }[] {
    return this.#counts.flatMap((packs, k) =>
      packs > 0 ? [{ product: this.products[k]!, packs }] : [],
    );
  }
}
