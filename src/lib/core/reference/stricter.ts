import { creditFor } from "../catalogue/catalogue.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Need, Tier } from "../model/list.ts";

/** The parts of a need that can be stricter or looser. */
export const NEED_FIELDS = [
  "tier",
  "quantity",
  "spec",
  "access",
  "companions",
  "accept",
  "when",
  "theirs",
] as const;
export type NeedField = (typeof NEED_FIELDS)[number];

const TIER_RANK: Record<Tier, number> = { useful: 0, core: 1, vital: 2 };
const ACCESS_RANK = { any: 0, minute: 1, seconds: 2 } as const;
type TypeOf = (id: string) => ItemType | undefined;

/**
 * A need at least as strict as both, in every brief: the higher tier, each quantity coefficient at
 * its larger, changes at the shorter interval, the larger minimum sizes, the faster access, all
 * companions, of each stand-in the smaller credit, and asked for wherever either is.
 * Ids and reasons are `a`'s; `b`'s reason follows where it differs.
 */
export function stricterNeed(a: Need, b: Need, typeOf: TypeOf): Need {
  const spec = stricterSpec(a.spec, b.spec);
  const accept = stricterAccept(a, b, typeOf);
  const when = eitherWhen(a.when, b.when);
  const access = faster(a.access, b.access);
  const companions = [...new Set([...(a.companions ?? []), ...(b.companions ?? [])])];
  const reason = [...new Set([a.reason, b.reason].filter(Boolean))].join(" ");
  return {
    id: a.id,
    function: a.function,
    tier: TIER_RANK[a.tier] >= TIER_RANK[b.tier] ? a.tier : b.tier,
    quantity: stricterQuantity(a.quantity, b.quantity),
    ...(spec ? { spec } : {}),
    ...(access ? { access } : {}),
    ...(companions.length > 0 ? { companions } : {}),
    ...(accept.length > 0 ? { accept } : {}),
    ...(when ? { when } : {}),
    // A thing of a person's own asks for no training: looser than one that does.
    ...(a.theirs && b.theirs ? { theirs: true } : {}),
    ...(reason ? { reason } : {}),
  };
}

function stricterQuantity(a: Need["quantity"], b: Need["quantity"]): Need["quantity"] {
  const larger = (k: "base" | "perPerson" | "perDay" | "perPersonDay" | "min") =>
    a[k] === undefined && b[k] === undefined ? {} : { [k]: Math.max(a[k] ?? 0, b[k] ?? 0) };
  // Only where something is asked per person does it matter whom the base is for.
  const baseFor = [a, b].filter((q) => q.perPerson).map((q) => q.baseFor ?? 0);
  const hours = [a.redressEveryH, b.redressEveryH].filter((h) => h !== undefined);
  // Without a ceiling more may be asked than with any. A floor above the other's ceiling lifts it.
  const ceiling =
    a.max === undefined || b.max === undefined
      ? undefined
      : Math.max(a.max, b.max, a.min ?? 0, b.min ?? 0);
  return {
    ...larger("base"),
    ...(Math.min(...baseFor) > 0 && baseFor.length > 0 ? { baseFor: Math.min(...baseFor) } : {}),
    ...larger("perPerson"),
    ...larger("perDay"),
    ...larger("perPersonDay"),
    ...(hours.length > 0 ? { redressEveryH: Math.min(...hours) } : {}),
    ...larger("min"),
    ...(ceiling === undefined ? {} : { max: ceiling }),
  };
}

function stricterSpec(a: Need["spec"], b: Need["spec"]): Need["spec"] {
  if (!a || !b) return a ?? b;
  const ascending = (p: readonly [number, number] | undefined) =>
    p ? [Math.min(...p), Math.max(...p)] : [0, 0];
  const [x, y] = [ascending(a.minSizeMm), ascending(b.minSizeMm)];
  const width = Math.max(a.minWidthMm ?? 0, b.minWidthMm ?? 0);
  const length = Math.max(a.minLengthMm ?? 0, b.minLengthMm ?? 0);
  return {
    ...(a.minSizeMm || b.minSizeMm
      ? { minSizeMm: [Math.max(x[0]!, y[0]!), Math.max(x[1]!, y[1]!)] as [number, number] }
      : {}),
    ...(width > 0 ? { minWidthMm: width } : {}),
    ...(length > 0 ? { minLengthMm: length } : {}),
    ...(a.sterile || b.sterile ? { sterile: true } : {}),
  };
}

const faster = (a: Need["access"], b: Need["access"]): Need["access"] =>
  ACCESS_RANK[a ?? "any"] >= ACCESS_RANK[b ?? "any"] ? (a ?? b) : b;

/** What a type is worth to a need: its stand-in entry, else the catalogue's own credit. */
function worthOf(need: Need, type: ItemType | undefined, id: string) {
  const entry = need.accept?.find((x) => x.itemType === id);
  const own = type ? creditFor(type, need.function) : undefined;
  return {
    credit: entry?.credit ?? own?.credit ?? 0,
    yield: entry?.yield ?? own?.yield ?? 1,
    improvised: entry?.improvised === true || own?.improvised === true,
  };
}

function stricterAccept(a: Need, b: Need, typeOf: TypeOf): NonNullable<Need["accept"]> {
  const ids = [...new Set([...(a.accept ?? []), ...(b.accept ?? [])].map((x) => x.itemType))];
  return ids.flatMap((id) => {
    const type = typeOf(id);
    const own = type ? creditFor(type, a.function) : undefined;
    const [x, y] = [worthOf(a, type, id), worthOf(b, type, id)];
    const credit = Math.min(x.credit, y.credit);
    const yields = Math.min(x.yield, y.yield);
    const improvised = x.improvised || y.improvised;
    // Nothing is said where the catalogue says the same; a stand-in that only one list takes drops out.
    if (credit === (own?.credit ?? 0) && yields === (own?.yield ?? 1) && !improvised) return [];
    return [
      {
        itemType: id,
        credit,
        ...(yields === 1 ? {} : { yield: yields }),
        ...(improvised ? { improvised: true } : {}),
      },
    ];
  });
}

/** Asked for wherever either is; a condition that cannot be said as one is dropped. */
function eitherWhen(a: Need["when"], b: Need["when"]): Need["when"] {
  const [x, y] = [parts(a), parts(b)];
  if (x.size === 0 || y.size === 0) return undefined;
  // A list that holds wherever the other does is the condition of both.
  if (implies(a!, b!)) return b;
  if (implies(b!, a!)) return a;
  // "saws" or "axes": one field that differs can be widened; two would ask in places neither does.
  const fields = [...new Set([...x.keys(), ...y.keys()])];
  const differing = fields.filter((f) => JSON.stringify(x.get(f)) !== JSON.stringify(y.get(f)));
  if (differing.length !== 1 || !x.has(differing[0]!) || !y.has(differing[0]!)) return undefined;
  const field = differing[0]!;
  const [p, q] = [x.get(field)!, y.get(field)!];
  const wider = Array.isArray(p)
    ? [...new Set([...p, ...(q as unknown[])])]
    : Math.min(p as number, q as number);
  return { ...a, [field]: wider };
}

type When = NonNullable<Need["when"]>;
const parts = (when: Need["when"]): Map<string, unknown> =>
  new Map(Object.entries(when ?? {}).filter(([, v]) => v !== undefined && v !== 0));

/** Whether every brief that meets `a` meets `b`. */
function implies(a: When, b: When): boolean {
  const x = parts(a);
  return [...parts(b)].every(([field, wanted]) => {
    const have = x.get(field);
    if (have === undefined) return false;
    return Array.isArray(wanted)
      ? (have as unknown[]).every((v) => wanted.includes(v))
      : (have as number) >= (wanted as number);
  });
}
