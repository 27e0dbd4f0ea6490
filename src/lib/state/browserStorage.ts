import localforage from "localforage";
import type { Storage } from "./storage.ts";

/** Of all windows that share the records. */
const LOCK = "wide-sieve.records";

/** A place beside the records, of its own database, so that opening it never waits for another window. */
export function besideStorage(): Pick<Storage, "keys" | "get" | "set" | "remove"> {
  return plain(localforage.createInstance({ name: "wide-sieve-undo", storeName: "steps" }));
}

const plain = (store: LocalForage): Pick<Storage, "keys" | "get" | "set" | "remove"> => ({
  keys: () => store.keys(),
  get: (key) => store.getItem(key),
  set: async (key, value) => {
    await store.setItem(key, value);
  },
  remove: (key) => store.removeItem(key),
});

const WINDOW = "wide-sieve.window";
/**
 * A key of this window that a reload does not change. A window that was opened as a copy of another has
 * the other's key too: then it takes a new one.
 */
export async function ownWindow(newKey: () => string): Promise<string> {
  let key: string | null = null;
  try {
    key = sessionStorage.getItem(WINDOW);
  } catch {
    // The browser forbids it: nothing is kept over a reload.
  }
  const claimed = key !== null && (await claim(key));
  if (key !== null && claimed) return key;
  const fresh = newKey();
  await claim(fresh);
  try {
    sessionStorage.setItem(WINDOW, fresh);
  } catch {
    // As above.
  }
  return fresh;
}

/** Holds a lock for as long as the window is open; false: another window holds it. */
const claim = (key: string): Promise<boolean> =>
  new Promise((resolve) => {
    const locks = globalThis.navigator?.locks as LockManager | undefined;
    if (!locks) {
      resolve(true);
      return;
    }
    void locks.request(`${WINDOW}.${key}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock === null ? undefined : new Promise<never>(() => undefined);
    });
  });

/**
 * IndexedDB through localForage; the browser's Web Locks keep windows apart. Where they are missing
 * (plain HTTP from another machine) work is done one after another within the window only: what two
 * windows write at one moment is then reconciled by its revision alone.
 */
export function browserStorage(): Storage {
  const store = localforage.createInstance({ name: "wide-sieve", storeName: "records" });
  let queue: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const next = queue.then(work, work);
    queue = next.catch(() => undefined);
    return next;
  };
  return {
    ...plain(store),
    exclusive: (work) => {
      const locks = globalThis.navigator?.locks as LockManager | undefined;
      return locks ? locks.request(LOCK, work) : inTurn(work);
    },
  };
}
