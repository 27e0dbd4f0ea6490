import { currentVersion, type WorkspaceRecord } from "../core/records/records.ts";
import type { Storage } from "./storage.ts";
import type { Edit, KeptSteps } from "./undoStack.ts";

type Kept = Pick<Storage, "keys" | "get" | "set" | "remove">;

/** So many steps back are kept over a reload; more nobody walks back on the next day. */
const MOST_KEPT = 60;
/** Steps of a window that was not opened again for so long are thrown away. */
const FORGOTTEN_AFTER_MS = 2 * 86_400_000;

interface Meta {
  readonly at: number;
  readonly undo: readonly string[];
  readonly redo: readonly string[];
}

/**
 * The undo of one window, kept over a reload: each step under a key of its own, so that an edit writes
 * itself and nothing else. It stands beside the records and is never needed for them: what cannot be
 * read, or is of another version, is left out.
 */
export class UndoKept {
  readonly #storage: Kept;
  readonly #window: string;
  readonly #now: () => number;
  #keys = new Map<Edit, string>();
  #next = 0;
  #busy: Promise<void> = Promise.resolve();

  /** @param window a key of this window that a reload does not change */
  constructor(storage: Kept, window: string, now: () => number) {
    this.#storage = storage;
    this.#window = window;
    this.#now = now;
  }

  /** The steps that this window left; null: none, or none that still fits. */
  async load(): Promise<KeptSteps | null> {
    await this.#forgetOld();
    const meta = (await this.#storage.get(this.#meta)) as Meta | null;
    if (!meta) return null;
    const read = async (keys: readonly string[]): Promise<Edit[]> => {
      const steps: Edit[] = [];
      for (const key of keys) {
        const step = (await this.#storage.get(key)) as Edit | null;
        if (!step || !fits(step)) return steps.splice(0);
        this.#keys.set(step, key);
        this.#next = Math.max(this.#next, Number(key.split(" ").at(-1)) + 1);
        steps.push(step);
      }
      return steps;
    };
    // From the newest back: behind a step that does not fit none can be walked to.
    const undo = (await read([...meta.undo].reverse())).reverse();
    return { undo, redo: await read(meta.redo) };
  }

  /** Writes what is new of the steps and takes away what is gone; one after another. */
  save(steps: KeptSteps): Promise<void> {
    const kept: KeptSteps = { undo: steps.undo.slice(-MOST_KEPT), redo: steps.redo };
    this.#busy = this.#busy.then(() => this.#write(kept)).catch(() => undefined);
    return this.#busy;
  }

  async #write({ undo, redo }: KeptSteps): Promise<void> {
    const now = new Map<Edit, string>();
    for (const step of [...undo, ...redo]) {
      const known = this.#keys.get(step);
      const key = known ?? `${this.#window} ${this.#next++}`;
      if (known === undefined)
        await this.#storage.set(key, JSON.parse(JSON.stringify({ ...step, mergeKey: null })));
      now.set(step, key);
    }
    const keyOf = (e: Edit) => now.get(e)!;
    const meta: Meta = { at: this.#now(), undo: undo.map(keyOf), redo: redo.map(keyOf) };
    await this.#storage.set(this.#meta, meta);
    for (const [step, key] of this.#keys) if (!now.has(step)) await this.#storage.remove(key);
    this.#keys = now;
  }

  get #meta(): string {
    return `${this.#window} meta`;
  }

  async #forgetOld(): Promise<void> {
    const keys = await this.#storage.keys();
    for (const key of keys.filter((k) => k.endsWith(" meta") && k !== this.#meta)) {
      const meta = (await this.#storage.get(key)) as Meta | null;
      if (meta && this.#now() - meta.at < FORGOTTEN_AFTER_MS) continue;
      const window = key.slice(0, -"meta".length);
      for (const k of keys.filter((x) => x.startsWith(window))) await this.#storage.remove(k);
    }
  }

  /** With everything else that is removed. */
  async wipe(): Promise<void> {
    await this.#busy;
    this.#keys.clear();
    for (const key of await this.#storage.keys()) await this.#storage.remove(key);
  }
}

/** Whether this program writes its records in the versions that a step holds. */
const fits = (step: Edit): boolean =>
  step.changes.every(({ before, after }) => [before, after].every(isCurrent));
const isCurrent = (r: WorkspaceRecord | null): boolean =>
  r === null || r.version === currentVersion(r.kind);
