/** Where records are kept. A Map serves in a test, localForage in the browser. */
export interface Storage {
  keys(): Promise<string[]>;
  get(key: string): Promise<unknown>;
  /** Rejects when the browser refuses (quota, private mode): nothing is changed then. */
  set(key: string, value: unknown): Promise<void>;
  remove(key: string): Promise<void>;
  /** Runs alone among all tabs. */
  exclusive<T>(work: () => Promise<T>): Promise<T>;
}

/** A storage in memory; `refuse` makes the next writes fail, as a full disk would. */
export function memoryStorage(
  data = new Map<string, unknown>(),
): Storage & { refuse: boolean; data: Map<string, unknown> } {
  let queue: Promise<unknown> = Promise.resolve();
  const storage = {
    data,
    refuse: false,
    keys: async () => [...data.keys()],
    get: async (key: string) => structuredClone(data.get(key) ?? null),
    set: async (key: string, value: unknown) => {
      if (storage.refuse) throw new Error("QuotaExceededError");
      data.set(key, structuredClone(value));
    },
    remove: async (key: string) => {
      if (storage.refuse) throw new Error("QuotaExceededError");
      data.delete(key);
    },
    exclusive: <T>(work: () => Promise<T>): Promise<T> => {
      const next = queue.then(work, work);
      queue = next.catch(() => {});
      return next;
    },
  };
  return storage;
}
