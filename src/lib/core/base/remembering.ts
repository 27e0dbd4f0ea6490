/**
 * A function of a text that remembers what it gave: the same answer, the same object, until `most` texts are
 * remembered and all are forgotten. Texts longer than `longest` are not remembered, to bound what is held.
 */
export function remembering<T>(
  work: (text: string) => T,
  most: number,
  longest = Infinity,
): (text: string) => T {
  const remembered = new Map<string, T>();
  return (text) => {
    const known = remembered.get(text);
    if (known !== undefined) return known;
    const result = work(text);
    if (text.length > longest) return result;
    if (remembered.size >= most) remembered.clear();
    remembered.set(text, result);
    return result;
  };
}

/** The same for a function that also rests on a thing that never changes: what it gave is forgotten with that. */
export function rememberingFor<K extends object, T>(
  work: (text: string, of: K) => T,
  most: number,
  longest = Infinity,
): (text: string, of: K) => T {
  const known = new WeakMap<K, (text: string) => T>();
  return (text, of) => {
    let remembered = known.get(of);
    if (!remembered) known.set(of, (remembered = remembering((t) => work(t, of), most, longest)));
    return remembered(text);
  };
}
