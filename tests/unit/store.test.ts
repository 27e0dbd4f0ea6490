import { expect } from "chai";
import type { BriefRecord, WorkspaceRecord } from "../../src/lib/core/records/records.ts";
import { MIGRATIONS, RECORD_VERSION } from "../../src/lib/core/records/migrations.ts";
import { readRecord } from "../../src/lib/core/records/records.ts";
import { newBrief, newKit } from "../../src/lib/state/newRecords.ts";
import { memoryStorage } from "../../src/lib/state/storage.ts";
import { Store, type Notice } from "../../src/lib/state/store.ts";

/** A tab over a storage, with a clock that stands still until it is moved. */
function tab(storage = memoryStorage()) {
  const notices: Notice[] = [];
  const announced: string[][] = [];
  const clock = { now: 0 };
  let keys = 0;
  const store = new Store(storage, {
    onChange: () => undefined,
    onNotice: (n) => notices.push(n),
    announce: (ids) => announced.push([...ids]),
    now: () => clock.now,
    newKey: () => `copy${++keys}`,
  });
  return { store, storage, notices, announced, clock };
}
const titled = (key: string, title: string): BriefRecord => {
  const r = newBrief(key);
  return { ...r, brief: { ...r.brief, title } };
};
const titleOf = (store: Store, id: string) =>
  (store.records.get(id) as BriefRecord | undefined)?.brief.title;
const stored = (s: ReturnType<typeof memoryStorage>, id: string) =>
  (s.data.get(id) as { record: WorkspaceRecord } | undefined)?.record;

describe("the store", () => {
  it("saves each edit, and a second start finds it", async () => {
    const one = tab();
    one.store.edit("add", [titled("a", "first")]);
    await one.store.flush();
    expect(one.store.saveState.is).to.equal("saved");
    const two = tab(one.storage);
    await two.store.load();
    expect(titleOf(two.store, "brief:a")).to.equal("first");
  });

  it("knows at every moment what is not surely stored yet", async () => {
    const { store } = tab();
    expect(store.pending()).to.deep.equal([]);
    store.edit("add", [titled("a", "first")]);
    expect(store.pending().map(([id]) => id)).to.deep.equal(["brief:a"]);
    const saving = store.flush();
    // In the middle of the write, and with another edit behind it.
    await Promise.resolve();
    store.edit("add", [titled("b", "second")]);
    expect(
      store
        .pending()
        .map(([id]) => id)
        .sort(),
    ).to.deep.equal(["brief:a", "brief:b"]);
    await saving;
    await store.flush();
    expect(store.pending()).to.deep.equal([]);
    store.edit("remove", [], ["brief:a"]);
    expect(store.pending()).to.deep.equal([["brief:a", null]]);
  });

  it("undoes and redoes every edit, saved each time", async () => {
    const { store, storage } = tab();
    store.edit("add", [titled("a", "first")]);
    store.edit("rename", [titled("a", "second")]);
    expect(store.undo()).to.equal("rename");
    expect(titleOf(store, "brief:a")).to.equal("first");
    expect(store.redo()).to.equal("rename");
    store.undo();
    expect(store.undo()).to.equal("add");
    await store.flush();
    await store.flush();
    expect(store.records.size).to.equal(0);
    expect(storage.data.size).to.equal(0);
    expect(store.undo()).to.equal(null);
  });

  it("joins keystrokes in one field to one step, but not after a pause", () => {
    const { store, clock } = tab();
    store.edit("add", [titled("a", "")]);
    store.edit("name", [titled("a", "F")], [], "a title");
    store.edit("name", [titled("a", "Fe")], [], "a title");
    clock.now += 2000;
    store.edit("name", [titled("a", "Fen")], [], "a title");
    store.undo();
    expect(titleOf(store, "brief:a")).to.equal("Fe");
    store.undo();
    expect(titleOf(store, "brief:a")).to.equal("");
  });

  it("sets an unreadable record aside, says so, and never overwrites it", async () => {
    const storage = memoryStorage();
    const rubbish = {
      rev: 4,
      record: { kind: "brief", id: "brief:x", version: 1, brief: { people: "many" } },
    };
    const future = { rev: 1, record: { kind: "brief", id: "brief:y", version: 99 } };
    storage.data.set("brief:x", rubbish).set("brief:y", future).set("odd", "not even an object");
    const { store } = tab(storage);
    await store.load();
    expect(store.records.size).to.equal(0);
    expect(store.setAside.map((s) => s.key)).to.have.members(["brief:x", "brief:y", "odd"]);
    expect(store.setAside.find((s) => s.key === "brief:y")!.problems[0]!.what).to.match(/newer/);
    // Something new under the very same id does not take its place: both are kept.
    store.edit("add", [titled("x", "new")]);
    await store.flush();
    expect(storage.data.get("brief:x")).to.deep.equal(rubbish);
    expect(stored(storage, "brief:copy1")).to.deep.include({ kind: "brief" });
  });

  it("says a failed write at once, keeps everything on screen, and saves it when it can again", async () => {
    const { store, storage } = tab();
    storage.refuse = true;
    store.edit("add", [titled("a", "first")]);
    await store.flush();
    expect(store.saveState).to.deep.equal({ is: "failed", why: "QuotaExceededError" });
    expect(titleOf(store, "brief:a")).to.equal("first");
    storage.refuse = false;
    await store.flush();
    expect(store.saveState.is).to.equal("saved");
    expect(stored(storage, "brief:a")).to.deep.include({ id: "brief:a" });
  });

  it("two tabs do not overwrite each other: theirs stays, mine is kept beside it", async () => {
    const one = tab();
    one.store.edit("add", [titled("a", "first")]);
    await one.store.flush();
    const two = tab(one.storage);
    await two.store.load();
    two.store.edit("rename", [titled("a", "theirs")]);
    await two.store.flush();
    one.store.edit("rename", [titled("a", "mine")]);
    await one.store.flush();
    expect(titleOf(one.store, "brief:a")).to.equal("theirs");
    expect(titleOf(one.store, "brief:copy1")).to.equal("mine");
    expect(one.notices).to.deep.equal([{ code: "kept-both", id: "brief:a" }]);
    expect((stored(one.storage, "brief:a") as BriefRecord).brief.title).to.equal("theirs");
    // Undo must not bring an old version over theirs.
    while (one.store.undo());
    await one.store.flush();
    expect((stored(one.storage, "brief:a") as BriefRecord).brief.title).to.equal("theirs");
  });

  it("takes over what another tab changed when nothing is unsaved here", async () => {
    const one = tab();
    one.store.edit("add", [titled("a", "first")]);
    await one.store.flush();
    const two = tab(one.storage);
    await two.store.load();
    two.store.edit("rename", [titled("a", "theirs")]);
    await two.store.flush();
    expect(two.announced).to.deep.equal([["brief:a"]]);
    await one.store.changedElsewhere(["brief:a"]);
    one.store.edit("rename", [titled("a", "then mine")]);
    await one.store.flush();
    expect(one.notices).to.deep.equal([]);
    expect((stored(one.storage, "brief:a") as BriefRecord).brief.title).to.equal("then mine");
  });

  it("an edit of several records is stored whole or not at all, also when the machine stops in between", async () => {
    const { store, storage } = tab();
    const set = storage.set;
    let writes = 0;
    // The third write (journal, brief, kit) never happens: as if the power went.
    storage.set = async (key, value) => {
      if (++writes === 3) throw new Error("power");
      await set(key, value);
    };
    const brief = newBrief("a");
    store.edit("add", [brief, newKit("k", "Kit", brief.id)]);
    await store.flush();
    expect(storage.data.has("kit:k")).to.equal(false);
    storage.set = set;
    const after = tab(storage);
    await after.store.load();
    expect([...after.store.records.keys()].sort()).to.deep.equal(["brief:a", "kit:k"]);
    expect(storage.data.has("journal")).to.equal(false);
  });

  it("wipes everything on request", async () => {
    const { store, storage } = tab();
    store.edit("add", [titled("a", "first")]);
    await store.flush();
    await store.wipe();
    expect([store.records.size, storage.data.size, store.undoLabel]).to.deep.equal([0, 0, null]);
  });
});

describe("migrations", () => {
  /** Each step with a literal before and after. */
  const CASES: Record<string, { before: Record<string, unknown>; after: Record<string, unknown> }> =
    {
      "kit AddPlanQuestion": {
        before: { kind: "kit", id: "kit:a" },
        after: { kind: "kit", id: "kit:a", plan: { question: "cheapest", budget: null } },
      },
    };
  for (const [kind, steps] of Object.entries(MIGRATIONS))
    for (const step of steps)
      it(`${kind} ${step.name} does what its case says, and changes nothing given to it`, () => {
        const known = CASES[`${kind} ${step.name}`];
        expect(known, "every step has a case").to.not.equal(undefined);
        const before = Object.freeze(structuredClone(known!.before));
        expect(step.up(before)).to.deep.equal(known!.after);
      });
  it("the version of a kind is one more than its steps", () => {
    for (const [kind, steps] of Object.entries(MIGRATIONS))
      expect(RECORD_VERSION[kind as keyof typeof RECORD_VERSION]).to.equal(steps.length + 1);
  });
  it("new records are of the current version and right", () => {
    for (const r of [newBrief("a"), newKit("b", "Kit", "brief:a")])
      expect(readRecord(r)).to.deep.include({ ok: true });
  });
});
