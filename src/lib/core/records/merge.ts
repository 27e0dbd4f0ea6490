/**
 * Three-way merge of JSON values: what two sides made of the same base. What only one side changed is
 * taken over; where both changed the same thing differently `prefer` decides, and the place is listed.
 *
 * Objects merge key by key. Lists whose elements all carry an id merge element by element, each
 * element as one thing: two observations of one line are never mixed. Lists that only grew at their
 * end on both sides keep both ends. Everything else is one thing.
 */
export interface Merged<T> {
  readonly value: T;
  /** Places that both sides changed differently, as `kit.lines.L3`; empty: nothing was lost. */
  readonly conflicts: readonly string[];
}

export function merge<T>(
  base: T,
  mine: T,
  theirs: T,
  prefer: "mine" | "theirs" = "theirs",
): Merged<T> {
  const conflicts: string[] = [];
  const value = mergeAt(base, mine, theirs, { prefer, conflicts, at: [] }) as T;
  return { value, conflicts };
}

interface Context {
  readonly prefer: "mine" | "theirs";
  readonly conflicts: string[];
  readonly at: readonly string[];
}
type Plain = Readonly<Record<string, unknown>>;
type WithId = Plain & { readonly id: string };

function mergeAt(base: unknown, mine: unknown, theirs: unknown, c: Context): unknown {
  if (same(mine, theirs) || same(mine, base)) return theirs;
  if (same(theirs, base)) return mine;
  if (isPlain(base) && isPlain(mine) && isPlain(theirs)) return mergeObjects(base, mine, theirs, c);
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    if (haveIds(base) && haveIds(mine) && haveIds(theirs)) return mergeById(base, mine, theirs, c);
    if (beginsWith(mine, base) && beginsWith(theirs, base))
      return [...theirs, ...mine.slice(base.length)];
  }
  c.conflicts.push(c.at.join("."));
  return c.prefer === "mine" ? mine : theirs;
}

function mergeObjects(base: Plain, mine: Plain, theirs: Plain, c: Context): Plain {
  const out: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = mergeAt(base[key], mine[key], theirs[key], { ...c, at: [...c.at, key] });
    if (value !== undefined) out[key] = value;
  }
  return out;
}

/** In the order of theirs, unless only mine moved things; what one side added comes last. */
function mergeById(
  base: readonly WithId[],
  mine: readonly WithId[],
  theirs: readonly WithId[],
  c: Context,
): WithId[] {
  const [b, m, t] = [byId(base), byId(mine), byId(theirs)];
  const moved = (side: readonly WithId[], of: ReadonlyMap<string, WithId>) =>
    !same(
      side.filter((e) => b.has(e.id)).map((e) => e.id),
      base.filter((e) => of.has(e.id)).map((e) => e.id),
    );
  const [first, second] = moved(mine, m) && !moved(theirs, t) ? [mine, theirs] : [theirs, mine];
  const ids = new Set([...first, ...second].map((e) => e.id));
  return [...ids].flatMap((id) => {
    const [x, y, z] = [b.get(id), m.get(id), t.get(id)];
    if (same(y, z) || same(y, x)) return z ? [z] : [];
    if (same(z, x)) return y ? [y] : [];
    c.conflicts.push([...c.at, id].join("."));
    const kept = c.prefer === "mine" ? y : z;
    return kept ? [kept] : [];
  });
}

const byId = (list: readonly WithId[]) => new Map(list.map((e) => [e.id, e]));

const isPlain = (v: unknown): v is Plain =>
  typeof v === "object" && v !== null && !Array.isArray(v);

const haveIds = (list: readonly unknown[]): list is readonly WithId[] =>
  list.every((e) => isPlain(e) && typeof e["id"] === "string") &&
  new Set(list.map((e) => (e as WithId).id)).size === list.length;

const beginsWith = (list: readonly unknown[], start: readonly unknown[]) =>
  start.length <= list.length && start.every((e, i) => same(e, list[i]));

/** Equal as JSON: a key whose value is undefined is as good as absent; the order of keys says nothing. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) || Array.isArray(b))
    return (
      Array.isArray(a) &&
      Array.isArray(b) &&
      a.length === b.length &&
      a.every((e, i) => same(e, b[i]))
    );
  if (!isPlain(a) || !isPlain(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((k) => same(a[k], b[k]));
}
