import { RECORD_VERSION } from "../core/records/migrations.ts";
import { readRecord, type WorkspaceRecord } from "../core/records/records.ts";
import type { Problem } from "../core/formats/problem.ts";
import type { Storage } from "./storage.ts";

/**
 * The records on screen, their undo, and their saving. No interface code: the screens hold a thin
 * reactive wrapper over it.
 *
 * Saving: each record under its own key as { rev, record }. `rev` counts writes, so that a tab sees
 * when another wrote in between; then both versions are kept. Several records of one edit go
 * through a journal first, so that a crash leaves all of them or none.
 */

export type SaveState =
  | { readonly is: "saved"; readonly at: number | null }
  | { readonly is: "saving" }
  | { readonly is: "failed"; readonly why: string };

/** A stored value that could not be read: kept aside untouched. */
export interface SetAside {
  readonly key: string;
  readonly raw: unknown;
  readonly problems: readonly Problem[];
}

export interface Notice {
  readonly code: "kept-both" | "changed-elsewhere";
  readonly id: string;
}

interface Change {
  readonly id: string;
  readonly before: WorkspaceRecord | null;
  readonly after: WorkspaceRecord | null;
}
interface Edit {
  readonly label: string;
  readonly changes: readonly Change[];
  readonly mergeKey: string | null;
  readonly at: number;
}
interface Stored {
  readonly rev: number;
  readonly record: unknown;
}

export interface StoreHooks {
  /** Something on screen or in the save state changed. */
  readonly onChange: () => void;
  readonly onNotice: (notice: Notice) => void;
  /** Tells other tabs which records were written. */
  readonly announce: (ids: readonly string[]) => void;
  readonly now: () => number;
  /** A short random text for a new id. */
  readonly newKey: () => string;
}

const JOURNAL = "journal";
/** Keystrokes in one field within this time are one step of undo. */
const MERGE_WITHIN_MS = 1500;
/** As many steps as anyone walks back. */
const MOST_UNDO = 300;

export class Store {
  #records = new Map<string, WorkspaceRecord>();
  #revs = new Map<string, number>();
  #undo: Edit[] = [];
  #redo: Edit[] = [];
  #dirty = new Set<string>();
  /** Being written at this moment. */
  #inFlight: readonly string[] = [];
  #saving: Promise<void> | null = null;
  #save: SaveState = { is: "saved", at: null };
  #aside: SetAside[] = [];
  readonly #storage: Storage;
  readonly #hooks: StoreHooks;

  constructor(storage: Storage, hooks: StoreHooks) {
    this.#storage = storage;
    this.#hooks = hooks;
  }

  get records(): ReadonlyMap<string, WorkspaceRecord> {
    return this.#records;
  }
  get saveState(): SaveState {
    return this.#save;
  }
  get setAside(): readonly SetAside[] {
    return this.#aside;
  }
  get undoLabel(): string | null {
    return this.#undo.at(-1)?.label ?? null;
  }
  get redoLabel(): string | null {
    return this.#redo.at(-1)?.label ?? null;
  }

  /** Reads everything stored. Unreadable values are set aside and left where they are. */
  async load(): Promise<void> {
    await this.#storage.exclusive(async () => {
      await this.#finishJournal();
      for (const key of await this.#storage.keys()) if (key !== JOURNAL) await this.#read(key);
    });
    this.#hooks.onChange();
  }

  async #read(key: string): Promise<void> {
    const raw = (await this.#storage.get(key)) as Stored | null;
    this.#aside = this.#aside.filter((a) => a.key !== key);
    if (raw === null) {
      this.#records.delete(key);
      this.#revs.delete(key);
      return;
    }
    const read = readRecord(raw.record);
    const rev = typeof raw.rev === "number" ? raw.rev : 0;
    if (read.ok && read.value.id === key) {
      this.#records.set(key, read.value);
      this.#revs.set(key, rev);
    } else {
      const problems = read.ok
        ? [{ where: "id", what: `is '${read.value.id}' under the key '${key}'` }]
        : read.problems;
      this.#aside.push({ key, raw, problems });
    }
  }

  /** Puts and removes records as one step of undo. `mergeKey` joins keystrokes in one field. */
  edit(
    label: string,
    puts: readonly WorkspaceRecord[],
    removes: readonly string[] = [],
    mergeKey: string | null = null,
  ): void {
    const changes: Change[] = [
      ...puts.map((after) => ({
        id: after.id,
        before: this.#records.get(after.id) ?? null,
        after,
      })),
      ...removes.map((id) => ({ id, before: this.#records.get(id) ?? null, after: null })),
    ].filter((c) => c.before !== null || c.after !== null);
    if (changes.length === 0) return;
    const now = this.#hooks.now();
    const last = this.#undo.at(-1);
    const joins =
      mergeKey !== null &&
      last?.mergeKey === mergeKey &&
      now - last.at < MERGE_WITHIN_MS &&
      last.changes.length === 1 &&
      changes.length === 1 &&
      last.changes[0]!.id === changes[0]!.id;
    if (joins)
      this.#undo[this.#undo.length - 1] = {
        label,
        mergeKey,
        at: now,
        changes: [{ ...changes[0]!, before: last.changes[0]!.before }],
      };
    else this.#undo.push({ label, mergeKey, at: now, changes });
    if (this.#undo.length > MOST_UNDO) this.#undo.shift();
    this.#redo = [];
    this.#apply(changes.map((c) => [c.id, c.after]));
  }

  undo(): string | null {
    const edit = this.#undo.pop();
    if (!edit) return null;
    this.#redo.push(edit);
    this.#apply(edit.changes.map((c) => [c.id, c.before]));
    return edit.label;
  }

  redo(): string | null {
    const edit = this.#redo.pop();
    if (!edit) return null;
    this.#undo.push({ ...edit, mergeKey: null });
    this.#apply(edit.changes.map((c) => [c.id, c.after]));
    return edit.label;
  }

  #apply(changes: readonly (readonly [string, WorkspaceRecord | null])[]): void {
    for (const [id, record] of changes) {
      if (record) this.#records.set(id, record);
      else this.#records.delete(id);
      this.#dirty.add(id);
    }
    void this.flush();
    this.#hooks.onChange();
  }

  /** Saves what is not saved. Settles when all that was dirty is written, or the write has failed. */
  flush(): Promise<void> {
    this.#saving ??= this.#saveAll().finally(() => {
      this.#saving = null;
      if (this.#dirty.size > 0 && this.#save.is !== "failed") void this.flush();
    });
    return this.#saving;
  }

  /** What is not surely stored yet, as it should be: for the moment in which a page is left. */
  pending(): [string, WorkspaceRecord | null][] {
    return [...new Set([...this.#inFlight, ...this.#dirty])].map((id) => [
      id,
      this.#records.get(id) ?? null,
    ]);
  }

  async #saveAll(): Promise<void> {
    // One turn later, so that all changes of one keystroke go together.
    await Promise.resolve();
    if (this.#dirty.size === 0) return;
    const ids = [...this.#dirty];
    this.#dirty.clear();
    this.#inFlight = ids;
    this.#save = { is: "saving" };
    this.#hooks.onChange();
    try {
      await this.#storage.exclusive(() => this.#write(ids));
      this.#save = { is: "saved", at: this.#hooks.now() };
      this.#inFlight = [];
      this.#hooks.announce(ids);
    } catch (error) {
      ids.forEach((id) => this.#dirty.add(id));
      this.#inFlight = [];
      this.#save = {
        is: "failed",
        why: error instanceof Error ? error.message || error.name : String(error),
      };
    }
    this.#hooks.onChange();
  }

  async #write(ids: readonly string[]): Promise<void> {
    const writes: [string, Stored | null][] = [];
    const kept: Notice[] = [];
    for (const id of ids) {
      const stored = (await this.#storage.get(id)) as Stored | null;
      const mine = this.#records.get(id) ?? null;
      const known = this.#revs.get(id) ?? null;
      if ((stored?.rev ?? null) === known) {
        writes.push([id, mine && { rev: (known ?? 0) + 1, record: mine }]);
        continue;
      }
      // Another tab wrote in between. Theirs stays; mine is kept beside it.
      kept.push({ code: "kept-both", id });
      await this.#read(id);
      if (mine) {
        const copy = { ...mine, id: `${mine.kind}:${this.#hooks.newKey()}` } as WorkspaceRecord;
        this.#records.set(copy.id, copy);
        writes.push([copy.id, { rev: 1, record: copy }]);
      }
      this.#forget(id);
    }
    if (writes.length > 1) await this.#storage.set(JOURNAL, writes);
    await this.#carryOut(writes);
    if (writes.length > 1) await this.#storage.remove(JOURNAL);
    kept.forEach((n) => this.#hooks.onNotice(n));
  }

  async #carryOut(writes: readonly (readonly [string, Stored | null])[]): Promise<void> {
    for (const [id, stored] of writes) {
      if (stored) {
        await this.#storage.set(id, JSON.parse(JSON.stringify(stored)));
        this.#revs.set(id, stored.rev);
      } else {
        await this.#storage.remove(id);
        this.#revs.delete(id);
      }
    }
  }

  async #finishJournal(): Promise<void> {
    const journal = (await this.#storage.get(JOURNAL)) as [string, Stored | null][] | null;
    if (!journal) return;
    await this.#carryOut(journal);
    await this.#storage.remove(JOURNAL);
  }

  /** Steps of undo that touch a record somebody else changed would overwrite it: they go. */
  #forget(id: string): void {
    const untouched = (e: Edit) => e.changes.every((c) => c.id !== id);
    this.#undo = this.#undo.filter(untouched);
    this.#redo = this.#redo.filter(untouched);
  }

  /** Another tab wrote these records. What is unsaved here is left for `flush` to settle. */
  async changedElsewhere(ids: readonly string[]): Promise<void> {
    for (const id of ids) {
      if (this.#dirty.has(id)) continue;
      await this.#read(id);
      this.#forget(id);
    }
    this.#hooks.onChange();
  }

  /** Removes everything stored and on screen, what was set aside too. Not undoable: export first. */
  async wipe(): Promise<void> {
    await this.#saving;
    await this.#storage.exclusive(async () => {
      for (const key of await this.#storage.keys()) await this.#storage.remove(key);
    });
    const ids = [...this.#records.keys()];
    this.#records.clear();
    this.#revs.clear();
    this.#undo = [];
    this.#redo = [];
    this.#aside = [];
    this.#dirty.clear();
    this.#hooks.announce(ids);
    this.#hooks.onChange();
  }
}

/** The version a new record of a kind is written in. */
export const currentVersion = (kind: WorkspaceRecord["kind"]): number => RECORD_VERSION[kind];
