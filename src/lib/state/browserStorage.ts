import localforage from "localforage";
import type { Storage } from "./storage.ts";

/** IndexedDB through localForage; the Web Locks of the browser keep tabs apart. */
export function browserStorage(): Storage {
  const store = localforage.createInstance({ name: "wide-sieve", storeName: "records" });
  return {
    keys: () => store.keys(),
    get: (key) => store.getItem(key),
    set: async (key, value) => {
      await store.setItem(key, value);
    },
    remove: (key) => store.removeItem(key),
    exclusive: (work) =>
      navigator.locks ? navigator.locks.request("wide-sieve.records", work) : work(),
  };
}
