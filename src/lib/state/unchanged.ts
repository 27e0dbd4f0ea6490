/**
 * Gives the same list as before where none of its things changed: what rests on a list is remembered by the list, and an
 * edit of anything makes all lists anew.
 */
export function unchanged<T>(): (now: readonly T[]) => readonly T[] {
  let before: readonly T[] = [];
  return (now) => {
    const isSame = now.length === before.length && now.every((x, i) => x === before[i]);
    return isSame ? before : (before = now);
  };
}
