/** What was put in last under each key, at most so many keys: the one put in longest ago goes. */
export class Newest<T> {
  readonly #most: number;
  readonly #kept = new Map<string, T>();
  constructor(most: number) {
    this.#most = most;
  }
  get(key: string): T | undefined {
    return this.#kept.get(key);
  }
  set(key: string, value: T): void {
    this.#kept.delete(key);
    this.#kept.set(key, value);
    if (this.#kept.size > this.#most) this.#kept.delete(this.#kept.keys().next().value!);
  }
}
