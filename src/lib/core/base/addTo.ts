/** Files a thing under a key, behind those that are there. */
export function addTo<K, T>(filed: Map<K, T[]>, key: K, thing: T): void {
  const before = filed.get(key);
  if (before) before.push(thing);
  else filed.set(key, [thing]);
}
