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
