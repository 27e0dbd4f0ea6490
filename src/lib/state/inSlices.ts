/** Half of the sixteen milliseconds between two pictures: the page answers in between. */
export const SLICE_MS = 8;

/**
 * Works through what is worked out one by one, a slice at a time, and gives all of it at the end.
 * @returns what stops it
 */
export function inSlices<T>(work: Iterable<T>, done: (all: readonly T[]) => void): () => void {
  const each = work[Symbol.iterator]();
  const all: T[] = [];
  const slice = () => {
    for (const until = performance.now() + SLICE_MS; performance.now() < until;) {
      const next = each.next();
      if (next.done) return done(all);
      all.push(next.value);
    }
    timer = setTimeout(slice);
  };
  let timer = setTimeout(slice);
  return () => clearTimeout(timer);
}
