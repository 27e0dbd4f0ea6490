import { expect } from "chai";
import fc from "fast-check";
import { emptyBriefRecord, type BriefRecord } from "../../src/lib/core/records/briefRecord.ts";
import type { WorkspaceRecord } from "../../src/lib/core/records/records.ts";
import { UndoStack, type Step } from "../../src/lib/state/undoStack.ts";

const empty = emptyBriefRecord("b");
const titled = (title: string, people = empty.brief.people): BriefRecord => ({
  ...empty,
  brief: { ...empty.brief, title, people },
});

/** Records, and a stack that every change of them goes through. */
function desk() {
  const records = new Map<string, WorkspaceRecord>();
  let now = 0;
  const stack = new UndoStack(() => now);
  const take = (step: Step | null): string | null => {
    for (const [id, record] of step?.puts ?? [])
      if (record) records.set(id, record);
      else records.delete(id);
    return step && step.blockedBy === null ? step.label : null;
  };
  return {
    ...{ records, stack },
    at: (ms: number) => (now = ms),
    edit(label: string, record: WorkspaceRecord | null, mergeKey: string | null = null) {
      const id = record?.id ?? "brief:b";
      const before = records.get(id) ?? null;
      if (record) records.set(id, record);
      else records.delete(id);
      stack.push(label, [{ id, before, after: record }], mergeKey);
    },
    /** What another window made of it: no step of this one. */
    elsewhere: (record: WorkspaceRecord) => records.set(record.id, record),
    undo: () => take(stack.undo(records)),
    redo: () => take(stack.redo(records)),
    get title() {
      const r = records.get("brief:b");
      return r?.kind === "brief" ? r.brief.title : null;
    },
    get people() {
      const r = records.get("brief:b");
      return r?.kind === "brief" ? r.brief.people : null;
    },
  };
}

describe("steps of undo", () => {
  it("back and forth, each by its name; a record that was new is gone again", () => {
    const d = desk();
    d.edit("new brief", titled("one"));
    d.edit("name it", titled("two"));
    expect([d.stack.undoLabel, d.stack.redoLabel]).to.deep.equal(["name it", null]);
    expect([d.undo(), d.title]).to.deep.equal(["name it", "one"]);
    expect([d.undo(), d.title]).to.deep.equal(["new brief", null]);
    expect(d.undo()).to.equal(null);
    expect([d.redo(), d.title]).to.deep.equal(["new brief", "one"]);
    expect([d.redo(), d.title]).to.deep.equal(["name it", "two"]);
    expect(d.redo()).to.equal(null);
  });

  it("what was removed comes back as it was", () => {
    const d = desk();
    d.edit("new brief", titled("kept"));
    d.edit("remove it", null);
    expect(d.title).to.equal(null);
    d.undo();
    expect(d.records.get("brief:b")).to.deep.equal(titled("kept"));
  });

  it("letters in one field within a second and a half are one step, and the first state is kept", () => {
    const d = desk();
    d.edit("new brief", titled(""));
    for (const [ms, title] of [
      [1000, "v"],
      [2400, "va"],
      [3800, "van"],
    ] as const) {
      d.at(ms);
      d.edit("title", titled(title), "b title");
    }
    expect(d.stack.history.map((h) => h.label)).to.deep.equal(["title", "new brief"]);
    d.undo();
    expect(d.title).to.equal("");
    d.redo();
    expect(d.title).to.equal("van");
  });

  it("a pause of a second and a half, another field, or no field at all begins a step of its own", () => {
    for (const [ms, key] of [
      [1500, "b title"],
      [1499, "b place"],
      [1499, null],
    ] as const) {
      const d = desk();
      d.edit("title", titled("v"), "b title");
      d.at(ms);
      d.edit("title", titled("va"), key);
      expect(d.stack.history.length, `${ms} ${key}`).to.equal(2);
    }
  });

  it("a step done again is not joined by the next letter", () => {
    const d = desk();
    d.edit("new brief", titled(""));
    d.edit("title", titled("v"), "b title");
    d.undo();
    d.redo();
    d.edit("title", titled("va"), "b title");
    d.undo();
    expect(d.title).to.equal("v");
  });

  it("a new step forgets what was taken back", () => {
    const d = desk();
    d.edit("new brief", titled("one"));
    d.edit("name it", titled("two"));
    d.undo();
    d.edit("name it", titled("three"));
    expect(d.redo()).to.equal(null);
    expect(d.title).to.equal("three");
  });

  it("what another window changed elsewhere in the record stays; only the step's own change goes", () => {
    const d = desk();
    d.edit("new brief", titled("one", 4));
    d.edit("name it", titled("two", 4));
    d.elsewhere(titled("two", 9));
    expect(d.undo()).to.equal("name it");
    expect([d.title, d.people]).to.deep.equal(["one", 9]);
    expect(d.redo()).to.equal("name it");
    expect([d.title, d.people]).to.deep.equal(["two", 9]);
  });

  it("where another window changed the very same thing the step is blocked, and nothing is done", () => {
    const d = desk();
    d.edit("new brief", titled("one"));
    d.edit("name it", titled("two"));
    d.elsewhere(titled("theirs"));
    expect(d.stack.undo(d.records)).to.deep.equal({
      label: "name it",
      puts: [],
      blockedBy: "brief:b",
    });
    expect(d.title).to.equal("theirs");
    expect(d.stack.redoLabel, "nothing to do again").to.equal(null);
  });

  it("a record that another window removed is not brought back by taking back an edit of it", () => {
    const d = desk();
    d.edit("new brief", titled("one"));
    d.edit("name it", titled("two"));
    d.records.delete("brief:b");
    expect(d.stack.undo(d.records)?.blockedBy).to.equal("brief:b");
    expect(d.records.size).to.equal(0);
  });

  it("three hundred steps are kept, the newest", () => {
    const d = desk();
    for (let i = 0; i <= 300; i++) d.edit(`step ${i}`, titled(`t${i}`));
    let back = 0;
    while (d.undo() !== null) back++;
    expect(back).to.equal(300);
    expect(d.title).to.equal("t0");
  });

  it("steps that were kept come before those of now; what was taken back stays to be done again", () => {
    const before = desk();
    before.edit("new brief", titled("one"));
    before.edit("name it", titled("two"));
    before.undo();
    const d = desk();
    d.elsewhere(titled("one"));
    d.stack.takeUp(before.stack.steps);
    expect(d.stack.history).to.deep.equal([
      { label: "name it", at: 0, undone: true },
      { label: "new brief", at: 0, undone: false },
    ]);
    expect([d.redo(), d.title]).to.deep.equal(["name it", "two"]);

    const later = desk();
    later.elsewhere(titled("one"));
    later.edit("name it anew", titled("three"));
    later.undo();
    later.stack.takeUp(before.stack.steps);
    expect(later.stack.redoLabel, "of now, not of then").to.equal("name it anew");
  });

  it("after any edits, as many steps back lead to the start and as many forth to the end (property)", () => {
    const title = fc.constantFrom("a", "b", "c");
    const action = fc.oneof(
      { weight: 3, arbitrary: title.map((t) => ({ is: "edit" as const, t })) },
      { weight: 2, arbitrary: fc.constant({ is: "undo" as const }) },
      { weight: 1, arbitrary: fc.constant({ is: "redo" as const }) },
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 40 }), (actions) => {
        const d = desk();
        // The plain reference: all states, and where in them one is.
        let states: (string | null)[] = [null];
        let at = 0;
        for (const a of actions) {
          if (a.is === "edit") {
            d.edit("edit", titled(a.t));
            states = [...states.slice(0, at + 1), a.t];
            at++;
          } else if (a.is === "undo") {
            d.undo();
            at = Math.max(0, at - 1);
          } else {
            d.redo();
            at = Math.min(states.length - 1, at + 1);
          }
          expect(d.title).to.equal(states[at]);
        }
        while (d.undo() !== null);
        expect(d.title).to.equal(null);
        while (d.redo() !== null);
        expect(d.title).to.equal(states.at(-1));
      }),
      { numRuns: 200 },
    );
  });
});
