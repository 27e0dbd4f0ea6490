import { emptyBriefRecord } from "../core/records/briefRecord.ts";
import { CONFLICT_POLICY, isOffer, keptCopy } from "../core/records/keptCopy.ts";
import type { Notice } from "../core/records/notice.ts";
import { merge, same } from "../core/records/merge.ts";
import { readRecord, type WorkspaceRecord } from "../core/records/records.ts";
import { problem, type Problem } from "../core/model/problem.ts";
import { UndoStack, type HistoryStep, type KeptSteps } from "./undoStack.ts";
import type { Storage } from "./storage.ts";

/**
 * The records on screen, their undo, and their saving. No interface code: the screens hold a thin
 * reactive wrapper over it.
 *
 * Each record is stored under its own key as { rev, past, record }. Several windows share the
 * storage. A window remembers of each record the revision that what it shows was made from (the
 * base). Before it writes, and when another window says that it wrote, the stored version is read
 * under the lock and reconciled in one synchronous step: what only one side changed is taken over;
 * where both changed the same thing theirs stays and mine is kept as a copy (records/keptCopy.ts),
 * one copy a window and record. So no edit is overwritten unseen, whatever the order of events.
 *
 * Several records of one edit go through a journal first, so that a crash leaves all of them or none.
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

type Revision = string | number;

/** The stored version that what is on screen was made from. */
interface Base {
  readonly rev: Revision;
  /** Revisions before it, latest first. */
  readonly past: readonly Revision[];
  readonly record: WorkspaceRecord;
}
interface Stored {
  readonly rev: Revision;
  readonly past?: readonly Revision[];
  readonly record: unknown;
}
interface Write {
  readonly id: string;
  readonly rev: Revision;
  readonly past: readonly Revision[];
  /** null: removed. */
  readonly record: WorkspaceRecord | null;
}

/** What a page that is left in the middle of a write leaves for the next one, record by record. */
export interface Unsaved {
  readonly id: string;
  readonly base: { readonly rev: Revision; readonly record: WorkspaceRecord } | null;
  /** The write under way: it may have got through. */
  readonly writing: { readonly rev: Revision; readonly record: WorkspaceRecord | null } | null;
  readonly record: WorkspaceRecord | null;
}

export interface StoreHooks {
  /** Something on screen or in the save state changed. */
  readonly onChange: () => void;
  readonly onNotice: (notice: Notice) => void;
  /** Tells other windows which records were written. */
  readonly announce: (ids: readonly string[]) => void;
  readonly now: () => number;
  /** A short random text, different each time and in each window. */
  readonly newKey: () => string;
}

/** Keys of the storage that are no records. */
const JOURNAL = "journal";
const META = "meta";
/** A closed page's word is matched with the last so many writes; more have never gone by. */
const REMEMBERED_REVISIONS = 32;

export class Store {
  #records = new Map<string, WorkspaceRecord>();
  #base = new Map<string, Base>();
  #dirty = new Set<string>();
  /** Being written at this moment. */
  #inFlight: readonly Write[] = [];
  #journalLeft = false;
  /** Records whose migration has split others off: they are written again with them. */
  #splitOff = new Set<string>();
  /** Briefs that left the screen: a kit that comes back brings its brief. */
  #goneBriefs = new Map<string, WorkspaceRecord>();
  /** The conflict copy of each record that this window has made one of. */
  #copies = new Map<string, string>();
  #generation: string | null = null;
  #saving: Promise<void> | null = null;
  #save: SaveState = { is: "saved", at: null };
  #aside = new Map<string, SetAside>();
  readonly #undo: UndoStack;
  readonly #storage: Storage;
  readonly #hooks: StoreHooks;

  constructor(storage: Storage, hooks: StoreHooks) {
    this.#storage = storage;
    this.#hooks = hooks;
    this.#undo = new UndoStack(hooks.now);
  }

  get records(): ReadonlyMap<string, WorkspaceRecord> {
    return this.#records;
  }
  get saveState(): SaveState {
    return this.#save;
  }
  get setAside(): readonly SetAside[] {
    return [...this.#aside.values()];
  }
  get undoLabel(): string | null {
    return this.#undo.undoLabel;
  }
  get redoLabel(): string | null {
    return this.#undo.redoLabel;
  }

  /** The steps of undo as they stand; of equal steps the same objects. */
  get undoSteps(): KeptSteps {
    return this.#undo.steps;
  }
  get history(): HistoryStep[] {
    return this.#undo.history;
  }
  /** Takes up the steps that this window left when it was reloaded. */
  takeUpUndo(kept: KeptSteps): void {
    this.#undo.takeUp(kept);
    this.#hooks.onChange();
  }

  /** Reads everything stored. Unreadable values are set aside and left where they are. */
  async load(): Promise<void> {
    await this.#storage.exclusive(async () => {
      await this.#settleStorage();
      await this.#syncAll();
    });
    this.#giveBriefs();
    this.#hooks.onChange();
    if (this.#dirty.size > 0) void this.flush();
  }

  // Editing and undo

  /** Puts and removes records as one step of undo. `mergeKey` joins keystrokes in one field. */
  edit(
    label: string,
    puts: readonly WorkspaceRecord[],
    removes: readonly string[] = [],
    mergeKey: string | null = null,
  ): void {
    const before = (id: string) => this.#records.get(id) ?? null;
    const changes = [
      ...puts.map((after) => ({ id: after.id, before: before(after.id), after })),
      ...removes.map((id) => ({ id, before: before(id), after: null })),
    ].filter((c) => c.before !== null || c.after !== null);
    if (changes.length === 0) return;
    this.#undo.push(label, changes, mergeKey);
    this.#apply(changes.map((c) => [c.id, c.after]));
  }

  /** The label of what was undone; null: nothing was, or another window forbids it (a notice says so). */
  undo(): string | null {
    return this.#step(this.#undo.undo(this.#records));
  }
  redo(): string | null {
    return this.#step(this.#undo.redo(this.#records));
  }

  #step(step: ReturnType<UndoStack["undo"]>): string | null {
    if (!step) return null;
    if (step.blockedBy !== null) {
      this.#hooks.onNotice({ code: "undo-blocked", id: step.blockedBy });
      this.#hooks.onChange();
      return null;
    }
    this.#apply(step.puts);
    return step.label;
  }

  #apply(changes: readonly (readonly [string, WorkspaceRecord | null])[]): void {
    for (const [id, record] of changes) this.#show(id, record);
    void this.flush();
    this.#hooks.onChange();
  }

  /** Puts a record on screen, or takes it off; unsaved until it is written. */
  #show(id: string, record: WorkspaceRecord | null): void {
    const was = this.#records.get(id);
    if (record) this.#records.set(id, record);
    else this.#records.delete(id);
    if (!record && was?.kind === "brief") this.#goneBriefs.set(id, was);
    this.#dirty.add(id);
  }

  // Saving

  /** Saves what is not saved. Settles when nothing is unsaved, or a write has failed. */
  flush(): Promise<void> {
    this.#saving ??= this.#saveAll().finally(() => (this.#saving = null));
    return this.#saving;
  }

  async #saveAll(): Promise<void> {
    // One turn later, so that all changes of one keystroke go together.
    await Promise.resolve();
    while (this.#dirty.size > 0 || this.#journalLeft) {
      this.#save = { is: "saving" };
      this.#hooks.onChange();
      try {
        const written = await this.#storage.exclusive(() => this.#writeDirty());
        this.#save = { is: "saved", at: this.#hooks.now() };
        this.#hooks.announce(written);
      } catch (error) {
        this.#save = {
          is: "failed",
          why: error instanceof Error ? error.message || error.name : String(error),
        };
      }
      this.#hooks.onChange();
      if (this.#save.is === "failed") return;
    }
  }

  /** Under the lock: reconciles all that is unsaved with what is stored, then writes it. */
  async #writeDirty(): Promise<string[]> {
    await this.#settleStorage();
    const synced = new Set<string>();
    for (;;) {
      const id = [...this.#dirty].find((d) => !synced.has(d));
      if (id === undefined) {
        this.#keepBriefs();
        if ([...this.#dirty].every((d) => synced.has(d))) break;
        continue;
      }
      await this.#syncStored(id);
      synced.add(id);
    }
    // No await from here to the first write: what is on screen now is what is written.
    const writes = [...this.#dirty].flatMap((id) => this.#writeOf(id));
    this.#dirty.clear();
    this.#inFlight = writes;
    try {
      await this.#commit(writes);
    } finally {
      this.#inFlight = [];
    }
    return writes.map((w) => w.id);
  }

  #writeOf(id: string): Write[] {
    const record = this.#records.get(id) ?? null;
    const base = this.#base.get(id);
    if (!record && !base) return [];
    const past = base ? [base.rev, ...base.past].slice(0, REMEMBERED_REVISIONS) : [];
    return [{ id, rev: this.#hooks.newKey(), past, record }];
  }

  /** Writes all or none. What could not be written is unsaved again. */
  async #commit(writes: readonly Write[]): Promise<void> {
    let committed = false;
    try {
      if (writes.length > 1) {
        await this.#storage.set(JOURNAL, json(writes));
        // From here on they are stored: whoever comes next finishes the journal.
        writes.forEach((w) => this.#setBase(w));
        committed = this.#journalLeft = true;
      }
      for (const write of writes) {
        await this.#carryOut(write);
        this.#setBase(write);
      }
      if (committed) {
        await this.#storage.remove(JOURNAL);
        this.#journalLeft = false;
      }
    } catch (error) {
      if (!committed) writes.forEach((w) => this.#dirty.add(w.id));
      throw error;
    }
  }

  #setBase({ id, rev, past, record }: Write): void {
    this.#splitOff.delete(id);
    if (record) this.#base.set(id, { rev, past, record });
    else this.#base.delete(id);
  }

  async #carryOut({ id, rev, past, record }: Write): Promise<void> {
    if (record) await this.#storage.set(id, json({ rev, past, record }));
    else await this.#storage.remove(id);
  }

  /** Under the lock, before anything else: finishes a journal, and sees whether the storage was emptied. */
  async #settleStorage(): Promise<void> {
    const meta = (await this.#storage.get(META)) as { generation: string } | null;
    if (meta === null) {
      const emptied = this.#generation !== null;
      this.#generation ??= this.#hooks.newKey();
      await this.#storage.set(META, { generation: this.#generation });
      if (emptied) this.#writeAllAgain();
    } else if (this.#generation === null) this.#generation = meta.generation;
    else if (meta.generation !== this.#generation) {
      // Another window has removed everything, on purpose.
      this.#generation = meta.generation;
      await this.#syncAll();
    }
    const journal = (await this.#storage.get(JOURNAL)) as Write[] | null;
    if (journal) {
      for (const write of journal) await this.#carryOut(write);
      await this.#storage.remove(JOURNAL);
    }
    this.#journalLeft = false;
  }

  #writeAllAgain(): void {
    this.#base.clear();
    for (const id of this.#records.keys()) this.#dirty.add(id);
    if (this.#records.size > 0) this.#hooks.onNotice({ code: "storage-emptied", id: META });
  }

  // Other windows

  /** Another window wrote these records. */
  changedElsewhere(ids: readonly string[]): Promise<void> {
    return this.#takeOver(async () => {
      for (const id of ids) await this.#syncStored(id);
    });
  }

  /** Looks at all that is stored: a window may have been closed before it could say what it wrote. */
  refresh(): Promise<void> {
    return this.#takeOver(() => this.#syncAll());
  }

  async #takeOver(read: () => Promise<void>): Promise<void> {
    try {
      await this.#storage.exclusive(read);
    } catch {
      // It cannot be read now; the next write reconciles before it writes.
      return;
    }
    this.#keepBriefs();
    this.#hooks.onChange();
    if (this.#dirty.size > 0) void this.flush();
  }

  async #syncAll(): Promise<void> {
    const stored = (await this.#storage.keys()).filter((k) => k !== JOURNAL && k !== META);
    for (const id of new Set([...stored, ...this.#base.keys()])) await this.#syncStored(id);
  }

  async #syncStored(id: string): Promise<void> {
    this.#sync(id, (await this.#storage.get(id)) as Stored | null);
  }

  /** Brings what is on screen and what is stored together, in one synchronous step. */
  #sync(id: string, stored: Stored | null): void {
    const base = this.#base.get(id);
    if (stored && base && stored.rev === base.rev) return;
    const theirs = stored === null ? null : this.#read(id, stored);
    const mine = this.#records.get(id) ?? null;
    if (theirs === undefined) {
      // What is stored cannot be read and must not be overwritten: mine goes beside it.
      if (mine && !same(mine, base?.record)) this.#keepMine(id, null, mine);
      this.#records.delete(id);
      this.#base.delete(id);
      this.#dirty.delete(id);
      return;
    }
    const next = this.#reconcile(id, base?.record ?? null, mine, theirs);
    if (theirs && stored)
      this.#base.set(id, { rev: stored.rev, past: stored.past ?? [], record: theirs });
    else this.#base.delete(id);
    if (next !== mine) this.#show(id, next);
    if (next === theirs && !this.#splitOff.has(id)) this.#dirty.delete(id);
    else this.#dirty.add(id);
  }

  /** A stored value as a record; undefined: it cannot be read and is set aside. */
  #read(id: string, stored: Stored): WorkspaceRecord | undefined {
    this.#aside.delete(id);
    const read = readRecord(stored.record);
    if (read.ok && read.value[0].id === id) {
      const [record, ...others] = read.value;
      this.#splitOff.delete(id);
      for (const other of others) {
        this.#splitOff.add(id);
        if (!this.#records.has(other.id)) this.#show(other.id, other);
      }
      return record;
    }
    const problems = read.ok
      ? [problem("id", "another-key", { id: read.value[0].id, key: id })]
      : read.problems;
    this.#aside.set(id, { key: id, raw: stored, problems });
    return undefined;
  }

  /** What is to be on screen, of what both sides made of the base. null: no record. */
  #reconcile(
    id: string,
    base: WorkspaceRecord | null,
    mine: WorkspaceRecord | null,
    theirs: WorkspaceRecord | null,
  ): WorkspaceRecord | null {
    if (same(mine, theirs) || same(mine, base)) return theirs;
    if (same(theirs, base)) return mine;
    if (mine === null) {
      this.#hooks.onNotice({ code: "stays", id });
      return theirs;
    }
    if (theirs === null) {
      if (mine.kind === "kit") this.#dirty.add(mine.briefId);
      this.#hooks.onNotice({ code: "came-back", id });
      return mine;
    }
    const merged = base ? merge(base, mine, theirs) : { value: theirs, conflicts: [id] };
    const valid = readRecord(json(merged.value)).ok;
    // Made anew after it was removed: what both have alike was no edit of mine.
    if (merged.conflicts.length > 0 || !valid) this.#keepMine(id, base ?? theirs, mine);
    return valid ? merged.value : theirs;
  }

  /** Keeps my version beside theirs: one copy a window and record, brought up to date where there is one. */
  #keepMine(id: string, base: WorkspaceRecord | null, mine: WorkspaceRecord): void {
    const known = this.#copies.get(id);
    const before = known === undefined ? undefined : this.#records.get(known);
    if (before && base) {
      const asCopy = (r: WorkspaceRecord) => ({ ...r, id: before.id }) as WorkspaceRecord;
      const { value } = merge(asCopy(base), asCopy(mine), before, "mine");
      this.#show(before.id, value);
      this.#hooks.onNotice({ code: "kept-copy", id, copy: before.id });
      return;
    }
    const copy = keptCopy(mine, this.#hooks.newKey());
    this.#copies.set(id, copy.id);
    this.#show(copy.id, copy);
    if (CONFLICT_POLICY[mine.kind] === "copy" && copy.kind === "brief")
      this.#kitsFollow(id, copy.id);
    if (copy.kind === "kit") this.#photosFollow(id, copy.id);
    this.#hooks.onNotice({ code: "kept-copy", id, copy: copy.id });
  }

  /** A kit is followed by its photos: its copy shows the same. */
  #photosFollow(kitId: string, copyId: string): void {
    for (const photo of [...this.#records.values()]) {
      if (photo.kind !== "photo" || photo.kitId !== kitId || isOffer(photo.id)) continue;
      const id = `photo:${this.#hooks.newKey()}`;
      this.#show(id, { ...photo, id, kitId: copyId });
    }
  }

  /** A brief is followed by its kits: each has a copy under the brief's copy. */
  #kitsFollow(briefId: string, copyId: string): void {
    for (const kit of [...this.#records.values()]) {
      if (kit.kind !== "kit" || kit.briefId !== briefId) continue;
      if ([...this.#copies.values()].includes(kit.id)) continue;
      const known = this.#records.get(this.#copies.get(kit.id) ?? "");
      const copy = known?.kind === "kit" ? known : keptCopy(kit, this.#hooks.newKey());
      if (known?.kind !== "kit") this.#photosFollow(kit.id, copy.id);
      this.#copies.set(kit.id, copy.id);
      this.#show(copy.id, { ...copy, briefId: copyId } as WorkspaceRecord);
    }
  }

  /** A kit never loses its brief: where one left and a kit under it stayed, it comes back. */
  #keepBriefs(): void {
    for (const kit of [...this.#records.values()]) {
      if (kit.kind !== "kit" || this.#records.has(kit.briefId)) continue;
      const brief = this.#goneBriefs.get(kit.briefId);
      if (brief) this.#show(brief.id, brief);
    }
  }

  /** On loading: a kit that was stored without its brief gets an empty one. */
  #giveBriefs(): void {
    this.#keepBriefs();
    for (const kit of [...this.#records.values()]) {
      if (kit.kind !== "kit" || this.#records.has(kit.briefId) || this.#aside.has(kit.briefId))
        continue;
      this.#show(kit.briefId, { ...emptyBriefRecord("gone"), id: kit.briefId });
      this.#hooks.onNotice({ code: "brief-missing", id: kit.id });
    }
  }

  // Pages that are left and come back

  /** What is not surely stored yet: for the moment in which a page is left. */
  pending(): Unsaved[] {
    const writing = new Map(this.#inFlight.map((w) => [w.id, w]));
    return [...new Set([...writing.keys(), ...this.#dirty])].map((id) => {
      const base = this.#base.get(id);
      const write = writing.get(id);
      return {
        id,
        base: base ? { rev: base.rev, record: base.record } : null,
        writing: write ? { rev: write.rev, record: write.record } : null,
        record: this.#records.get(id) ?? null,
      };
    });
  }

  /**
   * Takes in what a page left unsaved, as if it had gone on: onto what is stored now where nobody
   * has changed the same since, else beside it.
   * @param label of the step of undo that it becomes
   */
  resume(left: readonly Unsaved[], label: string): void {
    const puts: WorkspaceRecord[] = [];
    const removes: string[] = [];
    for (const { id, base, writing, record } of left) {
      const now = this.#base.get(id);
      const gotThrough =
        writing !== null &&
        (writing.record === null
          ? !now
          : now !== undefined && [now.rev, ...now.past].includes(writing.rev));
      const from = gotThrough ? writing.record : (base?.record ?? null);
      const here = this.#records.get(id) ?? null;
      const next = this.#reconcile(id, from, record, here);
      if (same(next, here)) continue;
      if (next) puts.push(next);
      else removes.push(id);
    }
    this.edit(label, puts, removes);
    this.#keepBriefs();
    if (this.#dirty.size > 0) void this.flush();
  }

  /** Removes everything stored and on screen, what was set aside too. Not undoable: export first. */
  async wipe(): Promise<void> {
    await this.#saving;
    const ids = [...this.#records.keys()];
    await this.#storage.exclusive(async () => {
      this.#generation = this.#hooks.newKey();
      for (const key of await this.#storage.keys()) await this.#storage.remove(key);
      await this.#storage.set(META, { generation: this.#generation });
      for (const map of [this.#records, this.#base, this.#aside, this.#goneBriefs, this.#copies])
        map.clear();
      this.#dirty.clear();
      this.#undo.clear();
    });
    this.#hooks.announce(ids);
    this.#hooks.onChange();
  }
}

/** As it is stored: without what is undefined, and nobody else's object. */
const json = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
