import { readRecord, type WorkspaceRecord } from "../core/records/records.ts";
import type { Store, Unsaved } from "./store.ts";

/** The part of the browser's localStorage that is used here. */
export interface WordStorage {
  readonly length: number;
  key(index: number): string | null;
  getItem(key: string): string | null;
  setItem(key: string, value: string): void;
  removeItem(key: string): void;
}

const PREFIX = "wide-sieve.unsaved.";

/**
 * Words: what a page that is left in the middle of a write leaves for the next one, each page under
 * a key of its own. A word is taken away only once what it says is stored.
 * @param here where words are left; null: the browser has no place for them
 * @param page a key of this page's own
 */
export function unsavedWords(here: WordStorage | null, page: string) {
  const own = PREFIX + page;
  return {
    /** Leaves word of what is not surely stored yet. */
    leave(store: Pick<Store, "pending">): void {
      const pending = store.pending();
      if (!here || pending.length === 0) return;
      try {
        here.setItem(own, JSON.stringify(pending));
      } catch {
        // No room for it: the write under way is all there is.
      }
    },
    /** The page goes on after all. */
    takeBack(): void {
      here?.removeItem(own);
    },
    /** Takes in what other pages left; what cannot be read stays where it is. */
    resumeInto(store: Pick<Store, "resume" | "flush" | "saveState">): void {
      if (!here) return;
      const keys = Array.from({ length: here.length }, (_, i) => here.key(i)!).filter(
        (k) => k.startsWith(PREFIX) && k !== own,
      );
      const read: string[] = [];
      for (const key of keys) {
        const word = readWord(here.getItem(key));
        if (!word) continue;
        store.resume(word, "what was not stored yet");
        read.push(key);
      }
      if (read.length === 0) return;
      void store.flush().then(() => {
        if (store.saveState.is === "saved") read.forEach((key) => here.removeItem(key));
      });
    },
  };
}

/** null: it is no word, or of a version that this program cannot read. */
function readWord(text: string | null): Unsaved[] | null {
  let left: unknown;
  try {
    left = JSON.parse(text ?? "");
  } catch {
    return null;
  }
  if (!Array.isArray(left)) return null;
  const word: Unsaved[] = [];
  for (const entry of left as unknown[]) {
    const read = readEntry(entry);
    if (!read) return null;
    word.push(read);
  }
  return word;
}

function readEntry(entry: unknown): Unsaved | null {
  if (typeof entry !== "object" || entry === null) return null;
  const { id, base, writing, record } = entry as Record<string, unknown>;
  if (typeof id !== "string") return null;
  const mine = recordOrNull(record);
  const from = base === null ? null : revised(base);
  const under = writing === null ? null : revised(writing);
  if (mine === undefined || from === undefined || under === undefined) return null;
  return { id, base: from as Unsaved["base"], writing: under, record: mine };
}

/** undefined: it is there and cannot be read. */
function recordOrNull(json: unknown): WorkspaceRecord | null | undefined {
  if (json === null) return null;
  const read = readRecord(json);
  return read.ok ? read.value[0] : undefined;
}

function revised(json: unknown): Unsaved["writing"] | undefined {
  if (typeof json !== "object" || json === null) return undefined;
  const { rev, record } = json as Record<string, unknown>;
  const read = recordOrNull(record);
  if ((typeof rev !== "string" && typeof rev !== "number") || read === undefined) return undefined;
  return { rev, record: read };
}
