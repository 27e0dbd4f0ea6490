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
 * a key of its own. A word is taken away only once what it says is stored, or stands in the word of a
 * page that took it in: else what that page has changed or removed since would come back.
 * @param here where words are left; null: the browser has no place for them
 * @param page a key of this page's own
 */
export function unsavedWords(here: WordStorage | null, page: string) {
  const own = PREFIX + page;
  /** Words of other pages that this one goes on from, by their keys. */
  const taken = new Map<string, string>();
  const drop = (): void => {
    for (const key of taken.keys()) here?.removeItem(key);
    taken.clear();
  };
  return {
    /** Leaves word of what is not surely stored yet, the words taken in among it. */
    leave(store: Pick<Store, "pending">): void {
      if (!here) return;
      const pending = store.pending();
      const before = [...taken];
      drop();
      if (pending.length === 0) return;
      try {
        here.setItem(own, JSON.stringify(pending));
      } catch {
        // No room for it: the write under way is all there is, and what other pages left.
        for (const [key, word] of before) {
          here.setItem(key, word);
          taken.set(key, word);
        }
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
      for (const key of keys) {
        const text = here.getItem(key) ?? "";
        const word = readWord(text);
        if (!word) continue;
        store.resume(word, "what was not stored yet");
        taken.set(key, text);
      }
      if (taken.size === 0) return;
      void store.flush().then(() => {
        if (store.saveState.is === "saved") drop();
      });
    },
  };
}

/** null: it is no word, or of a version that this program cannot read. */
function readWord(text: string): Unsaved[] | null {
  let left: unknown;
  try {
    left = JSON.parse(text);
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
