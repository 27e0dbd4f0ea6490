/** "L4": the first number from `from` on that is not taken behind the letter. */
export function numberedId(letter: string, from: number, taken: ReadonlySet<string>): string {
  let n = from;
  while (taken.has(`${letter}${n}`)) n++;
  return `${letter}${n}`;
}

/** The id, or with the first number behind it that is not taken. */
export function freeId(id: string, taken: ReadonlySet<string>): string {
  if (!taken.has(id)) return id;
  let n = 2;
  while (taken.has(`${id}-${n}`)) n++;
  return `${id}-${n}`;
}
