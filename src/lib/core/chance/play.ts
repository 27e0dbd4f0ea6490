import { atOnce } from "../base/atOnce.ts";
import { countAt } from "./counts.ts";
import { HIGH, LOW, type Model } from "./model.ts";
import { Random } from "./random.ts";

/** What a run of outings came to; counts of two runs add up. */
export interface Tally {
  outings: number;
  /** Outings in which nothing was missing, by reading. */
  readonly lasts: Float64Array;
  readonly vitalLasts: Float64Array;
  /** Outings in which a need had something missing: reading × need. */
  readonly short: Float64Array;
  /** Outings in which a category had, high and low: reading × category index. */
  readonly categoryShort: Float64Array;
  /** Outings in which a need had run out by the end of a day, high reading: need × day. */
  readonly byDay: Float64Array;
  readonly categoryByDay: Float64Array;
  /** Outings that fell short of this need first, high reading. */
  readonly first: Float64Array;
  /** How often so much was asked, in bins of the target's grain: one list a target. */
  readonly asked: Int32Array[];
  /** Units asked, by target: added block by block, in order. */
  readonly askedSum: Float64Array;
  /** Person-days that the outings came to. */
  personDays: number;
  /** Numbers of the outings that fell short in the high reading. */
  readonly shortOutings: number[];
}

/** Outings are played in blocks: sums of fractions are added block by block, so they do not depend on who played them. */
export const BLOCK = 500;
/** Totals asked beyond this many bins share the last one. */
const BINS = 512;
/** Less than this is not missing: units are added up from fractions. */
const MISSING = 1e-9;
/** An outing of more demands than this is beyond any kit; the rest is not looked at. */
const MOST_DEMANDS = 1 << 16;

function emptyTally(model: Model, categories: number): Tally {
  const needs = model.needs.length;
  return {
    outings: 0,
    lasts: new Float64Array(2),
    vitalLasts: new Float64Array(2),
    short: new Float64Array(2 * needs),
    categoryShort: new Float64Array(2 * categories),
    byDay: new Float64Array(needs * model.days),
    categoryByDay: new Float64Array(categories * model.days),
    first: new Float64Array(needs),
    asked: model.targets.map(() => new Int32Array(BINS)),
    askedSum: new Float64Array(model.targets.length),
    personDays: 0,
    shortOutings: [],
  };
}

/** Plays outings of a model; what they need is laid out once. */
export class Player {
  readonly #model: Model;
  readonly #categoryOf: Int32Array;
  readonly #categories: number;
  readonly #vital: Uint8Array;
  readonly #random = new Random();
  // Demands of one outing.
  #time = new Float64Array(256);
  #target = new Int32Array(256);
  #units = new Float64Array(256);
  #incident = new Int32Array(256);
  #demands = 0;
  // Incidents of one outing.
  #when = new Float64Array(64);
  #who = new Float64Array(64);
  #leave = new Int32Array(64);
  #incidents = 0;
  readonly #sum: Float64Array;
  readonly #left: readonly [Float64Array, Float64Array];
  /** First time a need was short: reading × need; Infinity: never. */
  readonly #shortAt: Float64Array;
  /** Those of them that are not Infinity: most needs last on most outings. */
  readonly #shorts: Int32Array;
  #shortCount = 0;
  readonly #order: number[] = [];
  readonly #touched: Int32Array;
  readonly #hot: Uint8Array;
  #asked = 0;
  /** Whether anything was missing, by reading. */
  readonly #fell: [number, number] = [0, 0];

  /** @param categories index of the category of each need */
  constructor(model: Model, categoryOf: readonly number[]) {
    this.#model = model;
    this.#categoryOf = Int32Array.from(categoryOf);
    this.#categories = Math.max(0, ...categoryOf.map((c) => c + 1));
    this.#vital = Uint8Array.from(model.needs, (n) => (n.tier === "vital" ? 1 : 0));
    this.#sum = new Float64Array(model.targets.length);
    this.#left = [new Float64Array(model.tool.length), new Float64Array(model.tool.length)];
    this.#shortAt = new Float64Array(2 * model.needs.length).fill(Infinity);
    this.#shorts = new Int32Array(2 * model.needs.length);
    this.#counts = new Int32Array(model.kinds.length);
    this.#touched = new Int32Array(model.targets.length);
    this.#hot = new Uint8Array(model.targets.length);
  }

  tally(): Tally {
    return emptyTally(this.#model, this.#categories);
  }

  /** Plays the outings from one number up to another, each on its own stream. */
  play(seed: number, from: number, to: number): Tally {
    const tally = this.tally();
    for (let i = from; i < to; i++) {
      this.#draw(seed, i);
      this.#run();
      this.#count(tally, i);
    }
    return tally;
  }

  /** Whether an outing lasts in the high reading; nothing is counted. */
  lasts(seed: number, outing: number): boolean {
    this.#draw(seed, outing);
    this.#run();
    return this.#fell[HIGH] === 0;
  }

  /** Units asked of each target in the outing last played, and when each need was short first. */
  get last(): { readonly sum: Float64Array; readonly shortAt: Float64Array } {
    return { sum: this.#sum, shortAt: this.#shortAt };
  }

  /** Incidents of each kind in the outing last played. */
  counts(): Int32Array {
    return this.#counts;
  }
  readonly #counts: Int32Array;

  /** Draws what happens: always in the same order, whatever the kit holds. */
  #draw(seed: number, outing: number): void {
    const random = this.#random.begin(seed, outing);
    const { kinds, hours, anyoneLeaves } = this.#model;
    this.#demands = 0;
    this.#incidents = 0;
    for (let k = 0; k < kinds.length; k++) {
      const kind = kinds[k]!;
      const n = countAt(kind.counts, random.next());
      this.#counts[k] = n;
      for (let i = 0; i < n; i++) {
        const t = random.next() * hours;
        const incident = this.#incidents++;
        if (incident >= this.#when.length) this.#moreIncidents();
        this.#when[incident] = t;
        this.#leave[incident] = kind.leave;
        if (anyoneLeaves) this.#who[incident] = random.next();
        for (const ask of kind.asks) {
          const { first, again } = ask;
          this.#demand(
            t,
            ask.target,
            first.units[countAt(first.cumulative, random.next())]!,
            incident,
          );
          for (let nth = 1; nth <= ask.most; nth++) {
            const at = t + nth * ask.everyH;
            if (at >= hours) break;
            this.#demand(
              at,
              ask.target,
              again.units[countAt(again.cumulative, random.next())]!,
              incident,
            );
          }
        }
      }
    }
  }

  #demand(t: number, target: number, units: number, incident: number): void {
    if (target < 0 || units <= 0 || this.#demands >= MOST_DEMANDS) return;
    const d = this.#demands++;
    if (d >= this.#time.length) this.#moreDemands();
    this.#time[d] = t;
    this.#target[d] = target;
    this.#units[d] = units;
    this.#incident[d] = incident;
  }

  #moreDemands(): void {
    const grown = <T extends Float64Array | Int32Array>(old: T, next: T): T => (
      next.set(old),
      next
    );
    const size = 2 * this.#time.length;
    this.#time = grown(this.#time, new Float64Array(size));
    this.#target = grown(this.#target, new Int32Array(size));
    this.#units = grown(this.#units, new Float64Array(size));
    this.#incident = grown(this.#incident, new Int32Array(size));
  }
  #moreIncidents(): void {
    const size = 2 * this.#when.length;
    const [when, who, leave] = [this.#when, this.#who, this.#leave];
    (this.#when = new Float64Array(size)).set(when);
    (this.#who = new Float64Array(size)).set(who);
    (this.#leave = new Int32Array(size)).set(leave);
  }

  /** People still out at each incident: one that would hurt somebody who is gone does not happen. */
  #sendHome(): void {
    const { people } = this.#model;
    const order = Array.from({ length: this.#incidents }, (_, i) => i).sort(
      (a, b) => this.#when[a]! - this.#when[b]! || a - b,
    );
    let out = people;
    this.#personHours = 0;
    let since = 0;
    for (const i of order) {
      this.#personHours += out * (this.#when[i]! - since);
      since = this.#when[i]!;
      if (this.#who[i]! * people >= out) {
        this.#leave[i] = -1;
        continue;
      }
      out = Math.max(0, out - this.#leave[i]!);
    }
    this.#personHours += out * (this.#model.hours - since);
  }
  #personHours = 0;

  #run(): void {
    const { targets, hours, people } = this.#model;
    const sum = this.#sum.fill(0);
    for (let i = 0; i < this.#shortCount; i++) this.#shortAt[this.#shorts[i]!] = Infinity;
    this.#shortCount = 0;
    this.#fell.fill(0);
    const needs = this.#model.needs.length;
    let leaves = false;
    for (let i = 0; i < this.#incidents; i++) if (this.#leave[i]! > 0) leaves = true;
    this.#personHours = people * hours;
    if (leaves) this.#sendHome();
    const touched = this.#touched;
    let asked = 0;
    for (let d = 0; d < this.#demands; d++) {
      if (leaves && this.#leave[this.#incident[d]!]! < 0) continue;
      const t = this.#target[d]!;
      if (sum[t] === 0) touched[asked++] = t;
      sum[t]! += this.#units[d]!;
      const { dead, need } = targets[t]!;
      const time = this.#time[d]!;
      if (dead[LOW]) this.#fallsShort(LOW, need, time);
      if (dead[HIGH]) this.#fallsShort(HIGH, needs + need, time);
    }
    this.#asked = asked;
    for (const reading of [LOW, HIGH] as const) {
      let hot = 0;
      for (let i = 0; i < asked; i++) {
        const target = targets[touched[i]!]!;
        if (target.dead[reading]) continue;
        // Even if the others took all of theirs from its lines, is there enough?
        let left = target.capacity[reading];
        for (const r of target.rivals) left -= r.costs * sum[r.target]!;
        if (sum[touched[i]!]! <= left + MISSING) continue;
        if (this.#hot[target.component] === 0) hot++;
        this.#hot[target.component] = 1;
      }
      if (hot > 0) {
        this.#inOrder(leaves, reading);
        this.#hot.fill(0);
      }
    }
  }

  /** Takes every demand of the parts where something may be missing, in the order of time. */
  #inOrder(leaves: boolean, reading: 0 | 1): void {
    const { targets, supply } = this.#model;
    const order = this.#order;
    let n = 0;
    for (let d = 0; d < this.#demands; d++) {
      if (leaves && this.#leave[this.#incident[d]!]! < 0) continue;
      const target = targets[this.#target[d]!]!;
      if (target.dead[reading] || this.#hot[target.component] === 0) continue;
      // Few stand here: each is put in its place. At one instant they keep the order of kinds and asks.
      let at = n++;
      const time = this.#time[d]!;
      while (at > 0 && this.#time[order[at - 1]!]! > time) {
        order[at] = order[at - 1]!;
        at--;
      }
      order[at] = d;
    }
    this.#left[reading].set(supply[reading]);
    for (let i = 0; i < n; i++) this.#take(order[i]!, reading);
  }

  #take(d: number, reading: 0 | 1): void {
    const { targets, tool, needs } = this.#model;
    const target = targets[this.#target[d]!]!;
    const left = this.#left[reading];
    const day = Math.floor(this.#time[d]! / 24);
    let wanted = this.#units[d]!;
    for (const s of target.servers) {
      if (s.until[reading] <= day) continue;
      const units = left[s.line]! * s.yield[reading];
      const taken = units < wanted ? units : wanted;
      if (!tool[s.line]) left[s.line]! -= taken / s.yield[reading];
      wanted -= taken;
      if (wanted <= MISSING) return;
    }
    this.#fallsShort(reading, reading * needs.length + target.need, this.#time[d]!);
  }

  /** Something of a need is missing. @param at reading × need */
  #fallsShort(reading: 0 | 1, at: number, time: number): void {
    this.#fell[reading] = 1;
    const before = this.#shortAt[at]!;
    if (before === Infinity) this.#shorts[this.#shortCount++] = at;
    if (time < before) this.#shortAt[at] = time;
  }

  #count(tally: Tally, outing: number): void {
    const { needs, grain, days } = this.#model;
    const n = needs.length;
    tally.outings++;
    tally.personDays += this.#personHours / 24;
    for (let i = 0; i < this.#asked; i++) {
      const t = this.#touched[i]!;
      const total = this.#sum[t]!;
      const bin = Math.round(total / grain[t]!);
      tally.asked[t]![bin < BINS ? bin : BINS - 1]!++;
      tally.askedSum[t]! += total;
    }
    for (const reading of [LOW, HIGH] as const) {
      if (this.#fell[reading] === 0) {
        tally.lasts[reading]!++;
        tally.vitalLasts[reading]!++;
        continue;
      }
      let vital = false;
      let firstAt = Infinity;
      let first = -1;
      const categoryAt = this.#categoryTimes.fill(Infinity);
      for (let s = 0; s < this.#shortCount; s++) {
        const i = this.#shorts[s]! - reading * n;
        if (i < 0 || i >= n) continue;
        const at = this.#shortAt[reading * n + i]!;
        if (this.#vital[i]) vital = true;
        tally.short[reading * n + i]!++;
        const c = this.#categoryOf[i]!;
        if (at < categoryAt[c]!) categoryAt[c] = at;
        if (reading === LOW) continue;
        // Of two at one instant the earlier need.
        if (at < firstAt || (at === firstAt && i < first)) {
          firstAt = at;
          first = i;
        }
        for (let day = Math.floor(at / 24); day < days; day++) tally.byDay[i * days + day]!++;
      }
      for (let c = 0; c < this.#categories; c++) {
        if (categoryAt[c] === Infinity) continue;
        tally.categoryShort[reading * this.#categories + c]!++;
        if (reading === HIGH)
          for (let day = Math.floor(categoryAt[c]! / 24); day < days; day++)
            tally.categoryByDay[c * days + day]!++;
      }
      if (!vital) tally.vitalLasts[reading]!++;
      if (first >= 0) {
        tally.first[first]!++;
        tally.shortOutings.push(outing);
      }
    }
  }
  readonly #categoryTimes = new Float64Array(32);
}

/** Adds the tally of later blocks to that of the earlier ones. */
export function addTally(to: Tally, more: Tally): void {
  to.outings += more.outings;
  to.personDays += more.personDays;
  const add = (a: Float64Array, b: Float64Array) => {
    for (let i = 0; i < a.length; i++) a[i]! += b[i]!;
  };
  for (const key of [
    "lasts",
    "vitalLasts",
    "short",
    "categoryShort",
    "byDay",
    "categoryByDay",
    "first",
    "askedSum",
  ] as const)
    add(to[key], more[key]);
  to.asked.forEach((bins, t) => {
    const others = more.asked[t]!;
    for (let i = 0; i < bins.length; i++) bins[i]! += others[i]!;
  });
  for (const i of more.shortOutings) to.shortOutings.push(i);
}

/** The blocks of a run, each by its own first outing. */
export const blocksOf = (outings: number): number[] =>
  Array.from({ length: Math.ceil(outings / BLOCK) }, (_, i) => i * BLOCK);

/** Plays a run block by block, so that a part of it played elsewhere comes out the same. A step a block. */
export function* playing(player: Player, seed: number, outings: number): Generator<null, Tally> {
  const tally = player.tally();
  for (const from of blocksOf(outings)) {
    addTally(tally, player.play(seed, from, Math.min(outings, from + BLOCK)));
    yield null;
  }
  return tally;
}
export const playAll = (player: Player, seed: number, outings: number): Tally =>
  atOnce(playing(player, seed, outings));
