/**
 * Values without the reactive proxies that a page may hold them in, fit for the store, for a worker, for storage.
 *
 * What was copied once is known to be plain, is never changed, and is shared from then on: an edit of one line of
 * 300 copies that line and the way to it. (`$state.snapshot` copies all of it, and each text by `structuredClone`.)
 */
const known = new WeakSet<object>();

/** @returns the same value where it is known to be plain; files, dates and bytes stay what they are */
export function plain<T>(value: T): T {
  if (typeof value !== "object" || value === null || known.has(value)) return value;
  const copy = Array.isArray(value)
    ? value.map(plain)
    : Object.getPrototypeOf(value) === Object.prototype
      ? Object.fromEntries(Object.entries(value).map(([k, v]) => [k, plain(v)]))
      : value;
  known.add(copy);
  return copy as T;
}
