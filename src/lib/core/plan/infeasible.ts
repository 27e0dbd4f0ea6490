import { atLeast, isWhole } from "../base/tolerance.ts";
import { creditFor, typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import type { Brief } from "../model/brief.ts";
import { SKILLS, type ItemType, type Sensitivity } from "../model/itemType.ts";
import { clashesOf } from "../sieve/usable.ts";
import type { Limits } from "./limits.ts";
import type { Pair } from "../sieve/pairs.ts";
import type { Candidates } from "./candidates.ts";
import { isLicensedOnly } from "../catalogue/mayPropose.ts";
import type { PriceBook } from "../model/priceBook.ts";

/** Why no plan can do what was asked. */
export type Obstacle =
  /** No product and no line in the kit does the need's job in full. `best`: the most any does, 0–1. */
  | { readonly code: "no-product"; readonly need: string; readonly best: number }
  /** What does the job asks for more training than the party has. */
  | {
      readonly code: "training";
      readonly need: string;
      readonly asks: string;
      readonly has: string;
    }
  /** What does the job clashes with a sensitivity of the party. */
  | { readonly code: "sensitivity"; readonly need: string; readonly clash: readonly Sensitivity[] }
  /** What does the job is for licensed use only and is never proposed. */
  | { readonly code: "licensed"; readonly need: string }
  /** Even with everything bought, coverage stays below what was asked. */
  | { readonly code: "coverage"; readonly most: number; readonly asked: number }
  /** A limit forbids it by itself. `needed`: the least that any plan takes. */
  | {
      readonly code: "limit";
      readonly limit: keyof Limits;
      readonly allowed: number;
      readonly needed: number;
    }
  /** So few sources forbid it by themselves. */
  | { readonly code: "sources"; readonly allowed: number }
  /** No limit by itself, but they together; each of `raised` by itself would make it possible. */
  | {
      readonly code: "limits-together";
      readonly sources: number | null;
      readonly raised: readonly Raised[];
    }
  /** The search ended before an answer was proven. */
  | { readonly code: "not-proven" };

/** What a limit would have to be while the others stay as they are. */
export interface Raised {
  readonly limit: keyof Limits;
  readonly needed: number;
}

/** Vital needs that no purchase can bring to 1, each with the reason. */
export function unreachableNeeds(c: Candidates, book: PriceBook): Obstacle[] {
  const { catalogue, audit } = c.context;
  const typeOf = typeLookup(audit.itemTypes, catalogue);
  const { context, pairing } = c;
  const obstacles: Obstacle[] = [];
  context.needs.forEach((asked, n) => {
    if (asked.tier !== "vital") return;
    const inFull = c.uses.filter((u) => u.need === n && isWhole(u.f));
    const bought = inFull.some(
      (u) => u.line >= c.firstProduct && u.line < c.firstProduct + c.products.length,
    );
    const units = inFull.reduce((s, u) => s + c.supply[u.line]! * u.yield, 0);
    if (bought || atLeast(units, asked.required)) return;
    const id = asked.need.id;
    const [from, to] = pairing.ranges[n]!;
    const whole = pairing.pairs
      .slice(from, to)
      .filter((p) => isWhole(p.credit.credit * p.spec.factor));
    const beyond = (p: Pair) =>
      SKILLS.indexOf(context.lines[p.line]!.type!.skill) > SKILLS.indexOf(context.brief.skill);
    const clashing = whole.find((p) => p.usable.factor === 0 && !beyond(p));
    const trained = whole.find(beyond);
    const licensed = book.products.some((p) => isLicensedOnly(p, typeOf));
    if (trained)
      obstacles.push({
        code: "training",
        need: id,
        asks: context.lines[trained.line]!.type!.skill,
        has: context.brief.skill,
      });
    else if (clashing)
      obstacles.push({
        code: "sensitivity",
        need: id,
        clash: clashOf(context.lines[clashing.line]!.type!, context.brief),
      });
    else if (licensed && whole.length === 0 && onlyLicensedDo(asked.need.function, catalogue))
      obstacles.push({ code: "licensed", need: id });
    else
      obstacles.push({
        code: "no-product",
        need: id,
        best: Math.max(0, ...c.uses.filter((u) => u.need === n).map((u) => u.f)),
      });
  });
  return obstacles;
}

/** What the party reacts to in a kind of thing; what often holds latex names it in no clash. */
function clashOf(type: ItemType, brief: Brief): readonly Sensitivity[] {
  const named = clashesOf(type, brief);
  return named.length > 0 ? named : ["latex"];
}

/** Whether everything in the catalogue that does a job at all is for licensed or prescribed use. */
function onlyLicensedDo(functionId: string, catalogue: Catalogue): boolean {
  const does = [...catalogue.types.values()].filter(
    (t) => (creditFor(t, functionId)?.credit ?? 0) > 0,
  );
  return does.length > 0 && does.every((t) => t.licensed || t.notForSale);
}
