import { expect } from "chai";
import fc from "fast-check";
import type { Notice } from "../../src/lib/core/records/notice.ts";
import type { WorkspaceRecord } from "../../src/lib/core/records/records.ts";
import { DEFAULT_SETTINGS } from "../../src/lib/core/records/settingsRecord.ts";
import { newBrief, newKit } from "../../src/lib/state/newRecords.ts";
import { memoryStorage, type Storage } from "../../src/lib/state/storage.ts";
import { Store } from "../../src/lib/state/store.ts";
import { unsavedWords } from "../../src/lib/state/unsavedWords.ts";

/**
 * Windows that share one storage, against a plain account of every edit: whatever the order of reads,
 * writes, closings and restarts, an edit is in a record, in a kept copy that its window was told of,
 * or it was undone or written over by somebody who had it on screen.
 */

/** Where an edit is made: a record and one of its fields. */
const PLACES = ["title", "name", "L1", "L2", "locale"] as const;
type Place = (typeof PLACES)[number];
const RECORD: Record<Place, string> = {
  title: "brief:a",
  name: "kit:k",
  L1: "kit:k",
  L2: "kit:k",
  locale: "settings:own",
};

function read(records: ReadonlyMap<string, WorkspaceRecord>, place: Place): string | undefined {
  const r = records.get(RECORD[place]);
  if (r?.kind === "brief") return r.brief.title;
  if (r?.kind === "settings") return r.locale;
  if (r?.kind !== "kit") return undefined;
  return place === "name" ? r.kit.name : r.kit.lines.find((l) => l.id === place)?.note;
}

function written(
  records: ReadonlyMap<string, WorkspaceRecord>,
  place: Place,
  value: string,
): WorkspaceRecord | null {
  const r = records.get(RECORD[place]);
  if (place === "locale") return { ...DEFAULT_SETTINGS, ...(r ?? {}), locale: value } as never;
  if (r?.kind === "brief") return { ...r, brief: { ...r.brief, title: value } };
  if (r?.kind !== "kit") return null;
  if (place === "name") return { ...r, kit: { ...r.kit, name: value } };
  const lines = r.kit.lines.map((l) => (l.id === place ? { ...l, note: value } : l));
  return { ...r, kit: { ...r.kit, lines } };
}

interface Made {
  readonly tab: number;
  readonly place: Place;
  readonly value: string;
  /** Written over, undone or removed by somebody who had it on screen; or by its own window later. */
  over: boolean;
}

let keys = 0;
const newKey = () => `k${++keys}`;

/** Words left by closed pages, as localStorage keeps them. */
function wordPlace() {
  const data = new Map<string, string>();
  return {
    get length() {
      return data.size;
    },
    key: (i: number) => [...data.keys()][i] ?? null,
    getItem: (k: string) => data.get(k) ?? null,
    setItem: (k: string, v: string) => void data.set(k, v),
    removeItem: (k: string) => void data.delete(k),
  };
}

interface Window {
  readonly store: Store;
  readonly notices: Notice[];
  readonly words: ReturnType<typeof unsavedWords>;
  alive: boolean;
}

/** Steps of storage and messages that wait for their turn, taken in an order that the seed decides. */
class Turns {
  #waiting: { readonly of: () => boolean; readonly go: () => void }[] = [];
  #state: number;
  constructor(seed: number) {
    this.#state = seed;
  }
  /** A turn of a window; it never comes once the window is closed. */
  wait(alive: () => boolean): Promise<void> {
    return new Promise((go) => this.#waiting.push({ of: alive, go }));
  }
  #random(below: number): number {
    // mulberry32
    this.#state = (this.#state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.#state ^ (this.#state >>> 15), 1 | this.#state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) % below;
  }
  /** Lets one step happen. Gives whether there was one. */
  async step(): Promise<boolean> {
    this.#waiting = this.#waiting.filter((w) => w.of());
    const next = this.#waiting.splice(this.#random(this.#waiting.length || 1), 1)[0];
    next?.go();
    await new Promise((done) => setImmediate(done));
    return next !== undefined;
  }
  async steps(n: number): Promise<void> {
    for (let i = 0; i < n && (await this.step()); i++);
  }
  /** Until nothing waits any more. */
  async all(): Promise<void> {
    while (await this.step());
  }
}

/** One storage for all windows with a lock that a closed window lets go of. */
class Shared {
  readonly inner = memoryStorage();
  #queue: { readonly alive: () => boolean; readonly start: () => Promise<unknown> }[] = [];
  #holder: { readonly alive: () => boolean } | null = null;
  readonly #turns: Turns;
  constructor(turns: Turns) {
    this.#turns = turns;
  }
  storageOf(alive: () => boolean): Storage {
    const { inner } = this;
    const turn = () => this.#turns.wait(alive);
    return {
      keys: async () => (await turn(), inner.keys()),
      get: async (k) => (await turn(), inner.get(k)),
      set: async (k, v) => (await turn(), inner.set(k, v)),
      remove: async (k) => (await turn(), inner.remove(k)),
      exclusive: (work) =>
        new Promise((resolve, reject) => {
          this.#queue.push({ alive, start: () => work().then(resolve, reject) });
          this.next();
        }),
    };
  }
  next(): void {
    if (this.#holder?.alive()) return;
    this.#queue = this.#queue.filter((w) => w.alive());
    const holder = this.#queue.shift();
    this.#holder = holder ?? null;
    void holder?.start().finally(() => {
      if (this.#holder === holder) this.#holder = null;
      this.next();
    });
  }
}

type Step =
  | { readonly do: "edit"; readonly at: Place }
  | { readonly do: "undo" | "remove" }
  | { readonly do: "restart" | "wait"; readonly turns: number };
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 8,
    arbitrary: fc.record({ do: fc.constant("edit" as const), at: fc.constantFrom(...PLACES) }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant("undo" as const) }) },
  { weight: 1, arbitrary: fc.record({ do: fc.constant("remove" as const) }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constant("restart" as const), turns: fc.nat(6) }) },
  { weight: 5, arbitrary: fc.record({ do: fc.constant("wait" as const), turns: fc.nat(12) }) },
);
const steps = (windows: number) =>
  fc.array(fc.tuple(fc.nat(windows - 1), step), { minLength: 1, maxLength: 40 });

/** Once two copies: removed by undo while the other window edits it, and made anew. */
const REMOVED_AND_MADE_ANEW: [number, [number, Step][]] = [
  0,
  [
    [1, { do: "edit", at: "locale" }],
    [0, { do: "edit", at: "locale" }],
    [0, { do: "wait", turns: 8 }],
    [1, { do: "undo" }],
    [0, { do: "wait", turns: 9 }],
    [1, { do: "edit", at: "locale" }],
    [0, { do: "edit", at: "locale" }],
    [0, { do: "edit", at: "title" }],
  ],
];

class Simulation {
  readonly turns: Turns;
  readonly shared: Shared;
  readonly words = wordPlace();
  readonly windows: Window[] = [];
  readonly made: Made[] = [];
  /** Conflict copies by the window that made them and the record they are of. */
  readonly copies = new Map<string, Set<string>>();
  constructor(seed: number) {
    this.turns = new Turns(seed);
    this.shared = new Shared(this.turns);
  }

  async start(windows: number): Promise<void> {
    const first = this.open();
    const kit = newKit("k", "n0", "brief:a");
    const lines = ["L1", "L2"].map((id) => ({ id, itemType: null, counted: 1, note: `${id}-0` }));
    first.store.edit("first", [newBrief("a"), { ...kit, kit: { ...kit.kit, lines } }]);
    await this.turns.all();
    first.alive = false;
    for (let i = 0; i < windows; i++) this.windows.push(this.open());
    this.windows.forEach((w) => void w.store.load());
    await this.turns.all();
  }

  open(): Window {
    const notices: Notice[] = [];
    const page = newKey();
    const store: Store = new Store(
      this.shared.storageOf(() => w.alive),
      {
        onChange: () => undefined,
        onNotice: (n) => {
          notices.push(n);
          if (!n.copy) return;
          const of = `${page} ${n.id}`;
          this.copies.set(of, (this.copies.get(of) ?? new Set()).add(n.copy));
        },
        announce: (ids) => {
          for (const other of this.windows)
            if (other !== w)
              void this.turns.wait(() => other.alive).then(() => other.store.changedElsewhere(ids));
        },
        now: () => 0,
        newKey,
      },
    );
    const w: Window = { store, notices, words: unsavedWords(this.words, page), alive: true };
    return w;
  }

  async take(i: number, s: Step): Promise<void> {
    const w = this.windows[i]!;
    switch (s.do) {
      case "edit":
        return this.edit(i, w, s.at);
      case "undo": {
        // What the undo takes off the screen goes by the user's own hand.
        const seen = PLACES.map((place) => read(w.store.records, place));
        w.store.undo();
        PLACES.forEach((place, k) => {
          if (read(w.store.records, place) !== seen[k]) this.supersede(-1, place, seen[k]);
        });
        return;
      }
      case "remove": {
        if (!w.store.records.has("kit:k")) return;
        for (const place of PLACES)
          if (place !== "locale") this.supersede(-1, place, read(w.store.records, place));
        return w.store.edit("remove", [], ["kit:k", "brief:a"]);
      }
      case "restart": {
        w.words.leave(w.store);
        await this.turns.steps(s.turns);
        w.alive = false;
        const fresh = this.open();
        this.windows[i] = fresh;
        this.shared.next();
        void fresh.store.load().then(() => fresh.words.resumeInto(fresh.store));
        // Nobody can edit before the page has loaded; by then its word is taken in.
        return this.turns.all();
      }
      case "wait":
        return this.turns.steps(s.turns);
    }
  }

  edit(i: number, w: Window, place: Place): void {
    const value = `v${this.made.length + 1}`;
    const record = written(w.store.records, place, value);
    if (!record) return;
    this.supersede(i, place, read(w.store.records, place));
    this.made.push({ tab: i, place, value, over: false });
    w.store.edit(value, [record]);
  }

  supersede(tab: number, place: Place, seen: string | undefined): void {
    for (const m of this.made)
      if (m.place === place && (m.value === seen || m.tab === tab)) m.over = true;
  }
}

const recordsIn = (data: ReadonlyMap<string, unknown>) =>
  new Map(
    [...data].flatMap(([id, v]) => {
      const { record } = v as { record?: WorkspaceRecord };
      return record ? [[id, record] as const] : [];
    }),
  );

describe("windows that share one storage", () => {
  for (const windows of [2, 3])
    it(`${windows} windows in any order lose no edit unseen, and end up showing what is stored`, async () => {
      await fc.assert(
        fc.asyncProperty(fc.integer(), steps(windows), async (seed, plan) => {
          const sim = new Simulation(seed);
          await sim.start(windows);
          for (const [i, s] of plan) await sim.take(i, s);
          await sim.turns.all();
          // A window that was closed in the middle could not tell the others: they look again.
          sim.windows.forEach((w) => void w.store.refresh());
          await sim.turns.all();
          const stored = recordsIn(sim.shared.inner.data);
          const text = JSON.stringify([...stored.values()]);
          for (const m of sim.made)
            if (!m.over)
              expect(text, `${m.value} at ${m.place} of window ${m.tab}`).to.contain(
                `"${m.value}"`,
              );
          for (const w of sim.windows) {
            expect(w.store.pending()).to.deep.equal([]);
            expect(Object.fromEntries(w.store.records)).to.deep.equal(
              JSON.parse(JSON.stringify(Object.fromEntries(stored))),
            );
          }
          for (const r of stored.values())
            if (r.kind === "kit") expect(stored.has(r.briefId), r.id).to.equal(true);
          for (const r of stored.values())
            if (r.id.includes("~offered~") || JSON.stringify(r).includes(", your version"))
              expect(
                [...sim.copies.values()].some((c) => c.has(r.id)),
                `told of ${r.id}`,
              ).to.equal(true);
          for (const [of, copies] of sim.copies) expect(copies.size, of).to.equal(1);
        }),
        { numRuns: 600, examples: [REMOVED_AND_MADE_ANEW] },
      );
    });

  it("2 × 200 edits of one field leave one copy a window at most, and every field the last word of one of them", async () => {
    for (const seed of [1, 2, 3]) {
      const sim = new Simulation(seed);
      await sim.start(2);
      for (let n = 0; n < 200; n++)
        for (const i of [0, 1]) {
          await sim.take(i, { do: "edit", at: n % 3 === 0 ? "L1" : "title" });
          await sim.take(i, { do: "wait", turns: n % 5 });
        }
      await sim.turns.all();
      for (const copies of sim.copies.values()) expect(copies.size).to.equal(1);
      const stored = recordsIn(sim.shared.inner.data);
      const kits = [...stored.values()].filter((r) => r.kind === "kit");
      expect(kits.length).to.be.at.most(3);
      const text = JSON.stringify([...stored.values()]);
      for (const m of sim.made) if (!m.over) expect(text).to.contain(`"${m.value}"`);
    }
  });
});
