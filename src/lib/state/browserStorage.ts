import localforage from "localforage";
import type { Storage } from "./storage.ts";

/** Of all windows that share the records. */
const LOCK = "wide-sieve.records";

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
    keys: () => store.keys(),
    get: (key) => store.getItem(key),
    set: async (key, value) => {
      await store.setItem(key, value);
    },
    remove: (key) => store.removeItem(key),
    exclusive: (work) => {
      const locks = globalThis.navigator?.locks as LockManager | undefined;
      return locks ? locks.request(LOCK, work) : inTurn(work);
    },
  };
}
