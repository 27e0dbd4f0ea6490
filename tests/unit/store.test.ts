import { problemText } from "../../src/lib/words/problems.ts";
import { expect } from "chai";
import { photoRecord } from "../../src/lib/core/records/photoRecord.ts";
import type { BriefRecord } from "../../src/lib/core/records/briefRecord.ts";
import type { WorkspaceRecord } from "../../src/lib/core/records/records.ts";
import { currentVersion, readRecord, RECORD_KINDS } from "../../src/lib/core/records/records.ts";
import { inUse, takenOffer } from "../../src/lib/core/records/keptCopy.ts";
import { DEFAULT_SETTINGS } from "../../src/lib/core/records/settingsRecord.ts";
import { newBrief, newKit } from "../../src/lib/state/newRecords.ts";
import { memoryStorage } from "../../src/lib/state/storage.ts";
import type { Notice } from "../../src/lib/core/records/notice.ts";
import { Store } from "../../src/lib/state/store.ts";

let keys = 0;
/** A tab over a storage, with a clock that stands still until it is moved. */
function tab(storage = memoryStorage()) {
  const notices: Notice[] = [];
  const announced: string[][] = [];
  const clock = { now: 0 };
  const store = new Store(storage, {
    onChange: () => undefined,
    onNotice: (n) => notices.push(n),
    announce: (ids) => announced.push([...ids]),
    now: () => clock.now,
    newKey: () => `key${++keys}`,
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

/** Two tabs, one loaded after the other has stored `first`; then each writes its own change. */
async function bothChange(
  first: readonly WorkspaceRecord[],
  theirs: WorkspaceRecord,
  mine: WorkspaceRecord,
) {
  const one = tab();
  one.store.edit("add", first);
  await one.store.flush();
  const two = tab(one.storage);
  await two.store.load();
  two.store.edit("change", [theirs]);
  await two.store.flush();
  one.store.edit("change", [mine]);
  await one.store.flush();
  return one;
}

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
    expect(store.pending().map((p) => p.id)).to.deep.equal(["brief:a"]);
    const saving = store.flush();
    // In the middle of the write, and with another edit behind it.
    await Promise.resolve();
    store.edit("add", [titled("b", "second")]);
    expect(
      store
        .pending()
        .map((p) => p.id)
        .sort(),
    ).to.deep.equal(["brief:a", "brief:b"]);
    await saving;
    await store.flush();
    expect(store.pending()).to.deep.equal([]);
    store.edit("remove", [], ["brief:a"]);
    expect(store.pending()).to.deep.include({
      ...store.pending()[0]!,
      id: "brief:a",
      record: null,
    });
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
    expect([...storage.data.keys()]).to.deep.equal(["meta"]);
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
    expect(problemText(store.setAside.find((s) => s.key === "brief:y")!.problems[0]!)).to.match(
      /newer/,
    );
    // Something new under the very same id does not take its place: both are kept.
    store.edit("add", [titled("x", "new")]);
    await store.flush();
    expect(storage.data.get("brief:x")).to.deep.equal(rubbish);
    const copy = [...store.records.values()][0]!;
    expect(titleOf(store, copy.id)).to.equal("new");
    expect(stored(storage, copy.id)).to.deep.include({ kind: "brief" });
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
    const one = await bothChange(
      [titled("a", "first")],
      titled("a", "theirs"),
      titled("a", "mine"),
    );
    expect(titleOf(one.store, "brief:a")).to.equal("theirs");
    const copy = one.notices[0]!.copy!;
    expect(titleOf(one.store, copy)).to.equal("mine");
    expect(one.notices).to.deep.equal([{ code: "kept-copy", id: "brief:a", copy }]);
    expect((stored(one.storage, "brief:a") as BriefRecord).brief.title).to.equal("theirs");
    // Undo must not bring an old version over theirs, and says so.
    while (one.store.undo());
    expect(one.notices.at(-1)).to.deep.equal({ code: "undo-blocked", id: "brief:a" });
    await one.store.flush();
    expect((stored(one.storage, "brief:a") as BriefRecord).brief.title).to.equal("theirs");
  });

  it("what two tabs changed in different places of one record is both in it, and nobody is bothered", async () => {
    const brief = newBrief("a");
    const one = await bothChange(
      [brief],
      { ...brief, brief: { ...brief.brief, people: 9 } },
      { ...brief, brief: { ...brief.brief, days: 4 } },
    );
    expect((stored(one.storage, "brief:a") as BriefRecord).brief).to.deep.include({
      people: 9,
      days: 4,
    });
    expect(one.notices).to.deep.equal([]);
    // Undo takes back the days only.
    one.store.undo();
    await one.store.flush();
    expect((stored(one.storage, "brief:a") as BriefRecord).brief).to.deep.include({
      people: 9,
      days: 1,
    });
  });

  it("a brief that is kept as a copy is followed by its kits", async () => {
    const one = await bothChange(
      [titled("a", "first"), newKit("k", "Box", "brief:a")],
      titled("a", "theirs"),
      titled("a", "mine"),
    );
    const briefCopy = one.notices[0]!.copy!;
    const kits = [...one.store.records.values()].filter((r) => r.kind === "kit");
    expect(kits.map((k) => [k.kit.name, k.briefId])).to.deep.equal([
      ["Box", "brief:a"],
      ["Box, your version", briefCopy],
    ]);
  });

  it("a kit that is kept as a copy is followed by its photos, by itself or with its brief", async () => {
    const kit = (name: string) => newKit("k", name, "brief:a");
    const photo = photoRecord("p", {
      kitId: "kit:k",
      name: "card.jpg",
      dataUrl: "data:image/jpeg;base64,AA",
    });
    const shownBy = (one: Awaited<ReturnType<typeof bothChange>>) =>
      [...one.store.records.values()].flatMap((r) => (r.kind === "photo" ? [r.kitId] : [])).sort();
    const named = await bothChange(
      [titled("a", "one"), kit("Box"), photo],
      kit("Crate"),
      kit("Chest"),
    );
    const { copy } = named.notices.find((n) => n.code === "kept-copy")!;
    expect(shownBy(named)).to.deep.equal(["kit:k", copy!].sort());
    const briefed = await bothChange(
      [titled("a", "one"), kit("Box"), photo],
      titled("a", "theirs"),
      titled("a", "mine"),
    );
    const kits = [...briefed.store.records.values()]
      .filter((r) => r.kind === "kit")
      .map((r) => r.id);
    expect(kits).to.have.length(2);
    expect(shownBy(briefed)).to.deep.equal(kits.sort());
  });

  it("of what there is only one, theirs stays in use and mine lies beside it", async () => {
    const settings = (currency: string) => ({ ...DEFAULT_SETTINGS, currency });
    const one = await bothChange([settings("EUR")], settings("USD"), settings("GBP"));
    expect(inUse(one.store.records.values(), "settings").map((s) => s.currency)).to.deep.equal([
      "USD",
    ]);
    const offer = one.store.records.get(one.notices[0]!.copy!)!;
    expect(offer).to.deep.include({ currency: "GBP" });
    expect(takenOffer(offer)).to.deep.include({ id: "settings:own", currency: "GBP" });
  });

  it("what one tab removed while another changed it is back, brief and all, and both are told", async () => {
    const one = tab();
    const kit = newKit("k", "Box", "brief:a");
    one.store.edit("add", [titled("a", "first"), kit]);
    await one.store.flush();
    const two = tab(one.storage);
    await two.store.load();
    two.store.edit("remove", [], ["kit:k", "brief:a"]);
    await two.store.flush();
    one.store.edit("name", [{ ...kit, kit: { ...kit.kit, name: "Crate" } }]);
    await one.store.flush();
    expect(one.notices.map((n) => n.code)).to.deep.equal(["came-back"]);
    expect([...one.storage.data.keys()].sort()).to.deep.equal(["brief:a", "kit:k", "meta"]);
    // The other way round: removed here after it was changed there.
    await two.store.changedElsewhere(["kit:k", "brief:a"]);
    one.store.edit("name", [{ ...kit, kit: { ...kit.kit, name: "Chest" } }]);
    await one.store.flush();
    two.store.edit("remove", [], ["kit:k"]);
    await two.store.flush();
    expect(two.notices.map((n) => n.code)).to.deep.equal(["stays"]);
    expect(two.store.records.has("kit:k")).to.equal(true);
  });

  it("storage that was emptied in use: all that is on screen is stored again, and it is said", async () => {
    const one = tab();
    one.store.edit("add", [titled("a", "first"), newKit("k", "Box", "brief:a")]);
    await one.store.flush();
    one.storage.data.clear();
    one.store.edit("rename", [titled("a", "second")]);
    await one.store.flush();
    expect([...one.storage.data.keys()].sort()).to.deep.equal(["brief:a", "kit:k", "meta"]);
    expect(one.notices.map((n) => n.code)).to.deep.equal(["storage-emptied"]);
  });

  it("what another tab wiped on purpose stays wiped, but for what is unsaved here", async () => {
    const one = tab();
    one.store.edit("add", [titled("a", "first"), titled("b", "other")]);
    await one.store.flush();
    const two = tab(one.storage);
    await two.store.load();
    await two.store.wipe();
    one.store.edit("rename", [titled("a", "second")]);
    await one.store.flush();
    expect([...one.storage.data.keys()].sort()).to.deep.equal(["brief:a", "meta"]);
    expect([...one.store.records.keys()]).to.deep.equal(["brief:a"]);
  });

  it("a journal that a dead tab left is finished before anything else is written", async () => {
    const one = tab();
    one.store.edit("add", [titled("a", "first"), titled("b", "other")]);
    await one.store.flush();
    const { set } = one.storage;
    let writes = 0;
    one.storage.set = async (key, value) => {
      if (++writes === 2) throw new Error("power");
      await set(key, value);
    };
    one.store.edit("both", [titled("a", "one"), titled("b", "two")]);
    await one.store.flush();
    one.storage.set = set;
    const two = tab(one.storage);
    const early = tab(one.storage);
    await two.store.load();
    two.store.edit("rename", [titled("b", "three")]);
    await two.store.flush();
    await early.store.load();
    expect([titleOf(early.store, "brief:a"), titleOf(early.store, "brief:b")]).to.deep.equal([
      "one",
      "three",
    ]);
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
    expect(store.saveState.is).to.equal("failed");
    const after = tab(storage);
    await after.store.load();
    expect([...after.store.records.keys()].sort()).to.deep.equal(["brief:a", "kit:k"]);
    expect(storage.data.has("journal")).to.equal(false);
  });

  it("a keystroke on a kit with twenty photos writes the kit and no photo", async () => {
    const { store, storage } = tab();
    const kit = newKit("k", "Box", "brief:a");
    const photos = Array.from({ length: 20 }, (_, i) =>
      photoRecord(`p${i}`, { kitId: kit.id, name: "x", dataUrl: `data:image/jpeg;base64,${i}` }),
    );
    store.edit("add", [newBrief("a"), kit, ...photos]);
    await store.flush();
    const written: string[] = [];
    const { set } = storage;
    storage.set = async (key, value) => {
      written.push(key);
      await set(key, value);
    };
    store.edit("name", [{ ...kit, kit: { ...kit.kit, name: "Boxe" } }], [], "name");
    await store.flush();
    expect(written).to.deep.equal(["kit:k"]);
  });

  it("wipes everything on request", async () => {
    const { store, storage } = tab();
    store.edit("add", [titled("a", "first")]);
    await store.flush();
    await store.wipe();
    expect([store.records.size, [...storage.data.keys()], store.undoLabel]).to.deep.equal([
      0,
      ["meta"],
      null,
    ]);
  });
});

describe("migrations", () => {
  interface Case {
    readonly before: Record<string, unknown>;
    readonly after: Record<string, unknown>;
    readonly splitOff?: readonly Record<string, unknown>[];
  }
  const photo = { id: "p1", name: "lid.jpg", line: "L2", dataUrl: "data:image/jpeg;base64,AA" };
  /** Each step with a literal before and after. */
  const CASES: Record<string, Case> = {
    "kit AddPlanQuestion": {
      before: { kind: "kit", id: "kit:a" },
      after: { kind: "kit", id: "kit:a", plan: { question: "cheapest", budget: null } },
    },
    "kit MovePhotosOut": {
      before: { kind: "kit", id: "kit:a", version: 2, photos: [photo] },
      after: { kind: "kit", id: "kit:a", version: 2 },
      splitOff: [
        {
          kind: "photo",
          id: "photo:a-p1",
          version: 1,
          kitId: "kit:a",
          name: "lid.jpg",
          line: "L2",
          dataUrl: "data:image/jpeg;base64,AA",
        },
      ],
    },
    "kit KeepWrongFactsApart": {
      before: {
        kit: {
          container: { massG: 40, volumeMl: "much" },
          lines: [{ id: "L1", gtin: 12, byHand: true }],
        },
      },
      after: {
        kit: { container: { massG: 40 }, lines: [{ id: "L1", byHand: true }] },
        kept: [
          { at: ["kit", "container", "volumeMl"], value: "much" },
          { at: ["kit", "lines", "#L1", "gtin"], value: 12 },
        ],
      },
    },
  };
  for (const [kind, { migrations }] of Object.entries(RECORD_KINDS))
    for (const step of migrations)
      it(`${kind} ${step.name} does what its case says, and changes nothing given to it`, () => {
        const known = CASES[`${kind} ${step.name}`];
        expect(known, "every step has a case").to.not.equal(undefined);
        const before = Object.freeze(structuredClone(known!.before));
        expect(step.up(before)).to.deep.equal(known!.after);
        expect(step.splitOff?.(before)).to.deep.equal(known!.splitOff);
      });
  it("the version of a kind is one more than its steps", () => {
    expect(currentVersion("kit")).to.equal(4);
    expect(currentVersion("brief")).to.equal(1);
  });
  it("new records are of the current version and right", () => {
    for (const r of [newBrief("a"), newKit("b", "Kit", "brief:a")])
      expect(readRecord(r)).to.deep.include({ ok: true });
  });
  it("a stored kit with photos is stored anew, photos beside it, at the first start", async () => {
    const storage = memoryStorage();
    const brief = newBrief("a");
    const old = { ...newKit("k", "Kit", brief.id), version: 2, photos: [photo] };
    storage.data.set("brief:a", { rev: 1, record: brief }).set("kit:k", { rev: 7, record: old });
    const { store } = tab(storage);
    await store.load();
    await store.flush();
    expect(stored(storage, "kit:k")).to.deep.include({ version: 4 });
    expect(stored(storage, "kit:k")).to.not.have.property("photos");
    expect(stored(storage, "photo:k-p1")).to.deep.include({ kitId: "kit:k", line: "L2" });
    // A second start has nothing left to do.
    const again = tab(storage);
    await again.store.load();
    expect(again.store.pending()).to.deep.equal([]);
    expect(again.store.records.size).to.equal(3);
  });
});
