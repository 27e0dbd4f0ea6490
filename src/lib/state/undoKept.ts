import { currentVersion, type WorkspaceRecord } from "../core/records/records.ts";
import type { Storage } from "./storage.ts";
import type { Edit, KeptSteps } from "./undoStack.ts";
import type { WordStorage } from "./unsavedWords.ts";

type Kept = Pick<Storage, "keys" | "get" | "set" | "remove">;

/** So many steps back are kept over a reload; more nobody walks back on the next day. */
const MOST_KEPT = 60;
/** Steps of a window that was not opened again for so long are thrown away. */
const FORGOTTEN_AFTER_MS = 2 * 86_400_000;
const LEFT = "wide-sieve.undo";

/** What a page that is left before its steps are written leaves for the next: a step, or the key of a written one. */
interface Left {
  readonly undo: readonly (string | Edit)[];
  readonly redo: readonly (string | Edit)[];
}

interface Meta {
  readonly at: number;
  readonly undo: readonly string[];
  readonly redo: readonly string[];
}

/**
 * The undo of one window, kept over a reload: each step under a key of its own, so that an edit writes
 * itself and nothing else. It stands beside the records and is never needed for them: what cannot be
 * read, or is of another version, is left out. What is not written when the page is left goes, at once and
 * in one piece, into the window's own storage.
 */
export class UndoKept {
  readonly #storage: Kept;
  readonly #window: string;
  readonly #now: () => number;
  readonly #here: Pick<WordStorage, "getItem" | "setItem" | "removeItem"> | null;
  #keys = new Map<Edit, string>();
  #next = 0;
  /** The steps as they were last written. */
  #written: KeptSteps = { undo: [], redo: [] };
  #busy: Promise<void> = Promise.resolve();

  /**
   * @param window a key of this window that a reload does not change
   * @param here the window's own storage, which is written at once; null: the browser has none
   */
  constructor(
    storage: Kept,
    window: string,
    now: () => number,
    here: Pick<WordStorage, "getItem" | "setItem" | "removeItem"> | null = null,
  ) {
    this.#storage = storage;
    this.#window = window;
    this.#now = now;
    this.#here = here;
  }

  /** The steps that this window left; null: none, or none that still fits. */
  async load(): Promise<KeptSteps | null> {
    await this.#forgetOld();
    const left = leftIn(this.#here?.getItem(this.#left) ?? null);
    const meta = left ?? ((await this.#storage.get(this.#meta)) as Meta | null);
    if (!meta) return null;
    const read = async (those: Left["undo"]): Promise<Edit[]> => {
      const steps: Edit[] = [];
      for (const one of those) {
        const step =
          typeof one === "string" ? ((await this.#storage.get(one)) as Edit | null) : one;
        if (!step || !fits(step)) return steps.splice(0);
        if (typeof one === "string") {
          this.#keys.set(step, one);
          this.#next = Math.max(this.#next, Number(one.split(" ").at(-1)) + 1);
        }
        steps.push(step);
      }
      return steps;
    };
    // From the newest back: behind a step that does not fit none can be walked to.
    const undo = (await read([...meta.undo].reverse())).reverse();
    const steps: KeptSteps = { undo, redo: await read(meta.redo) };
    if (!left) this.#written = steps;
    return steps;
  }

  /** Leaves for the next page what is not written yet: this cannot wait for anything. */
  leave(steps: KeptSteps): void {
    const { undo, redo } = newest(steps);
    if (isSame(undo, this.#written.undo) && isSame(redo, this.#written.redo)) return;
    const left = (those: readonly Edit[]): Left["undo"] =>
      those.map((step) => this.#keys.get(step) ?? { ...step, mergeKey: null });
    try {
      this.#here?.setItem(this.#left, JSON.stringify({ undo: left(undo), redo: left(redo) }));
    } catch {
      // No room for it: what is written is all there is.
    }
  }

  /** Writes what is new of the steps and takes away what is gone; one after another. */
  save(steps: KeptSteps): Promise<void> {
    const kept = newest(steps);
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
    this.#written = { undo, redo };
    this.#here?.removeItem(this.#left);
  }

  /** With the window's key: a window that is opened as a copy of another gets a copy of its storage too. */
  get #left(): string {
    return `${LEFT} ${this.#window}`;
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
    this.#here?.removeItem(this.#left);
    this.#keys.clear();
    for (const key of await this.#storage.keys()) await this.#storage.remove(key);
  }
}

const newest = ({ undo, redo }: KeptSteps): KeptSteps => ({ undo: undo.slice(-MOST_KEPT), redo });
const isSame = (a: readonly Edit[], b: readonly Edit[]): boolean =>
  a.length === b.length && a.every((step, i) => step === b[i]);

/** null: nothing was left, or nothing that can be read. */
function leftIn(text: string | null): Left | null {
  if (text === null) return null;
  try {
    const { undo, redo } = JSON.parse(text) as Partial<Left>;
    return Array.isArray(undo) && Array.isArray(redo) ? { undo, redo } : null;
  } catch {
    return null;
  }
}

/** Whether this program writes its records in the versions that a step holds. */
const fits = (step: Edit): boolean =>
  step.changes.every(({ before, after }) => [before, after].every(isCurrent));
const isCurrent = (r: WorkspaceRecord | null): boolean =>
  r === null || r.version === currentVersion(r.kind);
