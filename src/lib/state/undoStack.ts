import { merge, same } from "../core/records/merge.ts";
import type { WorkspaceRecord } from "../core/records/records.ts";

export interface Change {
  readonly id: string;
  /** null: there was none, or there is none any more. */
  readonly before: WorkspaceRecord | null;
  readonly after: WorkspaceRecord | null;
}
export interface Edit {
  readonly label: string;
  readonly changes: readonly Change[];
  readonly mergeKey: string | null;
  readonly at: number;
}

/** Steps as they are kept over a reload, the oldest first. */
export interface KeptSteps {
  readonly undo: readonly Edit[];
  readonly redo: readonly Edit[];
}

/** A step as a history lists it. */
export interface HistoryStep {
  readonly label: string;
  readonly at: number;
  /** Taken back: it may be done again. */
  readonly undone: boolean;
}

/** What a step back or forth does; `blockedBy`: the record that forbids it, and nothing is done. */
export interface Step {
  readonly label: string;
  readonly puts: readonly (readonly [string, WorkspaceRecord | null])[];
  readonly blockedBy: string | null;
}

/** Keystrokes in one field within this time are one step of undo. */
const MERGE_WITHIN_MS = 1500;
/** As many steps as anyone walks back. */
const MOST_UNDO = 300;

/**
 * Steps of undo. A record that another window changed since is not put back over its changes: the
 * step's own change is taken out of it, and where that is not possible the step is blocked.
 */
export class UndoStack {
  #undo: Edit[] = [];
  #redo: Edit[] = [];
  readonly #now: () => number;

  constructor(now: () => number) {
    this.#now = now;
  }

  get undoLabel(): string | null {
    return this.#undo.at(-1)?.label ?? null;
  }
  get redoLabel(): string | null {
    return this.#redo.at(-1)?.label ?? null;
  }

  push(label: string, changes: readonly Change[], mergeKey: string | null): void {
    const at = this.#now();
    const last = this.#undo.at(-1);
    this.#redo = [];
    if (last && continues(last, changes, mergeKey, at)) {
      const joined = { ...changes[0]!, before: last.changes[0]!.before };
      this.#undo[this.#undo.length - 1] = { label, mergeKey, at, changes: [joined] };
      return;
    }
    this.#undo.push({ label, mergeKey, at, changes });
    if (this.#undo.length > MOST_UNDO) this.#undo.shift();
  }

  undo(records: ReadonlyMap<string, WorkspaceRecord>): Step | null {
    const edit = this.#undo.pop();
    if (!edit) return null;
    const back = edit.changes.map((c) => ({ id: c.id, before: c.after, after: c.before }));
    const step = stepOf(edit.label, back, records);
    if (step.blockedBy === null) this.#redo.push(edit);
    return step;
  }

  redo(records: ReadonlyMap<string, WorkspaceRecord>): Step | null {
    const edit = this.#redo.pop();
    if (!edit) return null;
    const step = stepOf(edit.label, edit.changes, records);
    if (step.blockedBy === null) this.#undo.push({ ...edit, mergeKey: null });
    return step;
  }

  /** The steps as they stand. */
  get steps(): KeptSteps {
    return { undo: [...this.#undo], redo: [...this.#redo] };
  }
  /** Takes up steps that were kept, before those of now. */
  takeUp(kept: KeptSteps): void {
    this.#undo = [...kept.undo, ...this.#undo].slice(-MOST_UNDO);
    if (this.#redo.length === 0) this.#redo = [...kept.redo];
  }
  /** All steps, the newest first; what was taken back stands above. */
  get history(): HistoryStep[] {
    const listed = (e: Edit, undone: boolean) => ({ label: e.label, at: e.at, undone });
    return [
      ...this.#redo.map((e) => listed(e, true)),
      ...this.#undo.map((e) => listed(e, false)).reverse(),
    ];
  }

  clear(): void {
    this.#undo = [];
    this.#redo = [];
  }
}

const continues = (
  last: Edit,
  changes: readonly Change[],
  mergeKey: string | null,
  at: number,
): boolean =>
  mergeKey !== null &&
  last.mergeKey === mergeKey &&
  at - last.at < MERGE_WITHIN_MS &&
  last.changes.length === 1 &&
  changes.length === 1 &&
  last.changes[0]!.id === changes[0]!.id;

function stepOf(
  label: string,
  changes: readonly Change[],
  records: ReadonlyMap<string, WorkspaceRecord>,
): Step {
  const puts: [string, WorkspaceRecord | null][] = [];
  for (const { id, before, after } of changes) {
    const now = records.get(id) ?? null;
    if (same(now, before)) puts.push([id, after]);
    else if (before && after && now) {
      const merged = merge(before, after, now);
      if (merged.conflicts.length > 0) return { label, puts: [], blockedBy: id };
      puts.push([id, merged.value]);
    } else return { label, puts: [], blockedBy: id };
  }
  return { label, puts, blockedBy: null };
}
