import { expect } from "chai";
import { cardPieces, isUnread } from "../../src/lib/core/shown/cardPieces.ts";
import { emptyBriefRecord } from "../../src/lib/core/records/briefRecord.ts";
import type { WorkspaceRecord } from "../../src/lib/core/records/records.ts";
import { memoryStorage } from "../../src/lib/state/storage.ts";
import { Store } from "../../src/lib/state/store.ts";
import { UndoKept } from "../../src/lib/state/undoKept.ts";
import { good } from "./build.ts";

const DAY_MS = 86_400_000;
let keys = 0;
const brief = (title: string): WorkspaceRecord => {
  const r = emptyBriefRecord("b");
  return { ...r, brief: { ...r.brief, title } };
};
const storeOn = (storage: ReturnType<typeof memoryStorage>, now = () => 1000) =>
  new Store(storage, {
    onChange: () => undefined,
    onNotice: () => undefined,
    announce: () => undefined,
    now,
    newKey: () => `k${++keys}`,
  });
const titleOf = (s: Store) => {
  const r = s.records.get("brief:b");
  return r?.kind === "brief" ? r.brief.title : null;
};

describe("undo over a reload", () => {
  async function worked() {
    const [records, beside] = [memoryStorage(), memoryStorage()];
    const store = storeOn(records);
    await store.load();
    for (const t of ["one", "two", "three"]) store.edit(`call it ${t}`, [brief(t)]);
    store.undo();
    await store.flush();
    await new UndoKept(beside, "w", () => 0).save(store.undoSteps);
    const again = storeOn(records);
    await again.load();
    return { records, beside, again };
  }

  it("takes back and does again what was done before it", async () => {
    const { beside, again } = await worked();
    expect(again.undoLabel).to.equal(null);
    again.takeUpUndo((await new UndoKept(beside, "w", () => 0).load())!);
    expect(again.history.map((h) => [h.label, h.undone])).to.deep.equal([
      ["call it three", true],
      ["call it two", false],
      ["call it one", false],
    ]);
    expect(titleOf(again)).to.equal("two");
    again.undo();
    expect(titleOf(again)).to.equal("one");
    again.redo();
    again.redo();
    expect(titleOf(again)).to.equal("three");
  });

  it("what is not written when the page is left is there again, with what was", async () => {
    const [records, beside] = [memoryStorage(), memoryStorage()];
    const left = new Map<string, string>();
    const here = {
      getItem: (k: string) => left.get(k) ?? null,
      setItem: (k: string, v: string) => void left.set(k, v),
      removeItem: (k: string) => void left.delete(k),
    };
    const store = storeOn(records);
    await store.load();
    store.edit("call it one", [brief("one")]);
    const kept = new UndoKept(beside, "w", () => 0, here);
    await kept.save(store.undoSteps);
    kept.leave(store.undoSteps);
    expect(left.size, "all of it was written").to.equal(0);
    store.edit("call it two", [brief("two")]);
    store.edit("call it three", [brief("three")]);
    store.undo();
    kept.leave(store.undoSteps);
    await store.flush();
    // A window opened as a copy of it has a copy of what it left, which is not its own.
    expect(await new UndoKept(beside, "copy", () => 0, here).load()).to.equal(null);
    const again = storeOn(records);
    await again.load();
    const next = new UndoKept(beside, "w", () => 0, here);
    again.takeUpUndo((await next.load())!);
    expect(again.history.map((h) => [h.label, h.undone])).to.deep.equal([
      ["call it three", true],
      ["call it two", false],
      ["call it one", false],
    ]);
    again.undo();
    again.undo();
    expect(titleOf(again)).to.equal(null);
    // Once it is written it is left no longer.
    await next.save(again.undoSteps);
    expect(left.size).to.equal(0);
    left.set("wide-sieve.undo w", "{torn");
    const last = new UndoKept(beside, "w", () => 0, here);
    const steps = (await last.load())!;
    expect(steps.redo).to.have.length(3);
    left.clear();
    last.leave(steps);
    expect(left.size, "nothing was done since").to.equal(0);
  });

  it("another window's steps are not taken up, and go after two days", async () => {
    const { beside } = await worked();
    expect(await new UndoKept(beside, "other", () => DAY_MS).load()).to.equal(null);
    expect(beside.data.size).to.be.greaterThan(0);
    expect(await new UndoKept(beside, "other", () => 3 * DAY_MS).load()).to.equal(null);
    expect(beside.data.size).to.equal(0);
  });

  it("a step of another version is left out, with what lies behind it", async () => {
    const { beside } = await worked();
    const key = [...beside.data.keys()].find(
      (k) => (beside.data.get(k) as { label?: string }).label === "call it two",
    )!;
    const step = structuredClone(beside.data.get(key)) as {
      changes: { after: { version: number } }[];
    };
    step.changes[0]!.after.version = 999;
    beside.data.set(key, step);
    const kept = (await new UndoKept(beside, "w", () => 0).load())!;
    expect(kept.undo).to.deep.equal([]);
    expect(kept.redo.map((e) => e.label)).to.deep.equal(["call it three"]);
  });

  it("an edit writes its own step only; what is gone is taken away; a disk that is full is no fault", async () => {
    const [records, beside] = [memoryStorage(), memoryStorage()];
    const store = storeOn(records);
    await store.load();
    const kept = new UndoKept(beside, "w", () => 0);
    store.edit("a", [brief("a")]);
    await kept.save(store.undoSteps);
    const before = [...beside.data.keys()];
    store.edit("b", [brief("b")]);
    await kept.save(store.undoSteps);
    expect([...beside.data.keys()].filter((k) => !before.includes(k))).to.have.length(1);
    for (let i = 0; i < 100; i++) store.edit(`n${i}`, [brief(`n${i}`)]);
    await kept.save(store.undoSteps);
    // Sixty steps and the list of them.
    expect(beside.data.size).to.equal(61);
    beside.refuse = true;
    store.edit("c", [brief("c")]);
    await kept.save(store.undoSteps);
    beside.refuse = false;
    await kept.wipe();
    expect(beside.data.size).to.equal(0);
  });
});

describe("the words of a card", () => {
  const line = (id: string, cardLine: number, text: string) =>
    good(id, "gauze-pad", 1, { cardLine, text });

  it("are cut where lines of the kit were read from them; two on one row, a table's row as a whole", () => {
    const card = "2 pads, 3 wipes\r\nTHE SMALL BOX\n\npads | 4";
    const rows = cardPieces(card, [
      line("p", 1, "2 pads"),
      line("w", 1, "3 wipes"),
      line("t", 4, "4 pads"),
    ]);
    expect(rows).to.deep.equal([
      [
        { text: "2 pads", id: "p" },
        { text: ", ", id: null },
        { text: "3 wipes", id: "w" },
      ],
      [{ text: "THE SMALL BOX", id: null }],
      [{ text: "", id: null }],
      [{ text: "pads | 4", id: "t" }],
    ]);
    expect(rows.map(isUnread)).to.deep.equal([false, true, false, false]);
  });
  it("shows the same words twice on a row as two lines", () => {
    const [row] = cardPieces("scissors     scissors, tape", [
      line("a", 1, "scissors"),
      line("b", 1, "scissors"),
      line("t", 1, "tape"),
    ]);
    expect(row!.map(({ id }) => id)).to.deep.equal(["a", null, "b", null, "t"]);
  });
  it("shows with an item the words of it that stand on the row below", () => {
    const card = [
      "1. Plasters, 20 fabric and 20",
      "   waterproof",
      "2. Eye pads, 2",
      "   Gloves",
      "Plasters",
    ].join("\n");
    const rows = cardPieces(card, [
      line("f", 1, "20 fabric Plasters"),
      line("w", 1, "20 waterproof Plasters"),
      line("e", 3, "2. Eye pads, 2"),
    ]);
    expect(rows[1]).to.deep.equal([{ text: "   waterproof", id: "w" }]);
    // Nothing was read from these.
    expect(rows.map(isUnread)).to.deep.equal([false, false, false, true, true]);
  });
});
