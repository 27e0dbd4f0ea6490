import { isWhole, POINTS_TOLERANCE, wholeUp } from "../base/tolerance.ts";
import { priceOf } from "../model/priceBook.ts";
import { creditFor, typeLookup } from "../catalogue/catalogue.ts";
import { audit, type Audit } from "../audit/audit.ts";
import type { Skill } from "../model/itemType.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { proposeVerdict } from "../audit/verdict.ts";
import { broughtFor } from "./theirs.ts";
import { measureOf, piecesOf } from "../sieve/measure.ts";
import type { Mesh } from "../model/mesh.ts";
import { boughtLine, PRODUCT_PREFIX } from "./candidates.ts";
import { lineLoad } from "../bag/load.ts";
import type { PlanOutcome } from "./plan.ts";
import { mayPropose } from "../catalogue/mayPropose.ts";
import { bookOf, type PlanRequest } from "./request.ts";
import { orderFill, type OrderFill } from "./orderFill.ts";
import type { Purchase } from "./orders.ts";
import type { Product } from "../model/priceBook.ts";

/** `to-check`: nobody has looked yet, and the plan takes it as passing. */
type Phase = "before-carried" | "next-order" | "at-rotation" | "to-check";
/** What a need gains in coverage points (0–100) and where it was held before. */
interface Serves {
  readonly need: string;
  readonly mesh: Mesh | "pan";
  readonly units: number;
}
export type Action =
  | {
      /**
       * By what happens to lines: `replace`, a line of this job that does not do it goes; `swap`, a
       * good one goes because a limit asks for it; `top-up`, the same kind stays; else `add`.
       */
      readonly kind: "add" | "top-up" | "replace" | "swap";
      readonly phase: Phase;
      readonly product: Product;
      readonly packs: number;
      readonly pieces: number;
      /** Whole pieces left over when every need is met. */
      readonly spare: number;
      readonly price: number;
      readonly massG: number;
      /** Packs that are bought for the order's sake; null: none. */
      readonly fills: OrderFill | null;
      /** Lost coverage, in points, were this alone left out. */
      readonly gain: number;
      readonly gainPerPrice: number | null;
      readonly serves: readonly Serves[];
      /** Needs that other things serve better for its being there (mesh 2, companions). */
      readonly companionOf: readonly string[];
      /** The next cheapest way to fill the same need; null: none in the book. */
      readonly runnerUp: {
        readonly product: Product;
        readonly packs: number;
        readonly price: number;
      } | null;
      /** Kit lines it stands in for. */
      readonly instead: readonly string[];
    }
  | {
      /** A person's own thing, which only they can bring or renew: it has no price. */
      readonly kind: "bring";
      readonly phase: Phase;
      /** The need it is for; null: the list does not ask for it. */
      readonly need: string | null;
      /** The kit line that has failed or is past; null: there is none. */
      readonly line: string | null;
      readonly itemType: string;
      readonly pieces: number;
      readonly gain: number;
    }
  | {
      readonly kind: "move";
      readonly phase: Phase;
      readonly line: string;
      readonly gain: number;
      readonly label: boolean;
    }
  | {
      readonly kind: "drop";
      readonly phase: Phase;
      readonly line: string;
      readonly massG: number;
      readonly because: "failed" | "past-date" | "in-name-only" | "not-asked" | "limit";
    }
  | {
      readonly kind: "repack";
      readonly phase: Phase;
      readonly line: string;
      /** Units of measure carried of those there are. */
      readonly kept: number;
      readonly had: number;
      readonly massG: number;
    }
  | {
      readonly kind: "train";
      readonly phase: Phase;
      readonly to: Skill;
      readonly price: number;
      readonly gain: number;
    }
  | {
      readonly kind: "check";
      readonly phase: Phase;
      readonly line: string;
      readonly facts: readonly string[];
    };

type Solved = Extract<PlanOutcome, { choice: unknown }>;

/** The actions of a plan, those that matter most first, each with its reason. */
export function actionsOf(outcome: Solved, request: PlanRequest): Action[] {
  const { choice, before } = outcome;
  const auditOf = (kit: AuditFile) => audit(kit, request.today, request.catalogue);
  const without = (kit: AuditFile) => pointsLost(choice.after, auditOf(kit));
  const buys = choice.purchases.map((p) => buy(p, outcome, request, auditOf));
  const moves: Action[] = choice.moved.map((id) => {
    const original = request.audit.kit.lines.find((l) => l.id === id)!;
    const kit = withLines(choice.kit, (lines) => lines.map((l) => (l.id === id ? original : l)));
    return {
      kind: "move",
      phase: "before-carried",
      line: id,
      gain: without(kit),
      label: original.labelled === false || original.findable === false,
    };
  });
  const drops: Action[] = choice.dropped.map((id) => {
    const index = before.context.lines.findIndex((l) => l.line.id === id);
    const { line, type } = before.context.lines[index]!;
    const fact = before.pairing.facts[index]!;
    const nameOnly =
      type !== null && type.functions.length > 0 && type.functions.every((f) => f.credit === 0);
    const because =
      fact.sound === 0
        ? "failed"
        : fact.standing !== "good" && fact.standing !== "unread"
          ? "past-date"
          : nameOnly
            ? "in-name-only"
            : before.pairing.pairs.some((p) => p.line === index && p.credit.credit > 0)
              ? "limit"
              : "not-asked";
    return {
      kind: "drop",
      phase: because === "not-asked" || because === "limit" ? "next-order" : "before-carried",
      line: id,
      massG: lineLoad(line, type).massG,
      because,
    };
  });
  const checks: Action[] = choice.after.unchecked.flatMap((facts, l): Action[] => {
    const context = choice.after.context.lines[l]!;
    const relied = choice.after.needs.some((n) =>
      n.pairs.some((p) => p.pair.line === l && p.units > 0 && p.f > 0),
    );
    return facts.length > 0 && relied && !context.elsewhere
      ? [{ kind: "check", phase: "to-check", line: context.line.id, facts }]
      : [];
  });
  const repacks: Action[] = choice.repacked.map(({ line: id, kept, had }) => {
    const index = before.context.lines.findIndex((l) => l.line.id === id);
    const { line, type } = before.context.lines[index]!;
    const massG = lineLoad(line, type).massG * (1 - kept / had);
    return { kind: "repack", phase: "before-carried", line: id, kept, had, massG };
  });
  const training: Action[] = choice.course
    ? [
        {
          kind: "train",
          phase: "before-carried",
          to: choice.course.to,
          price: choice.course.price,
          gain: without({ ...choice.kit, brief: request.audit.brief }),
        },
      ]
    : [];
  const order = (a: Action) =>
    ["before-carried", "next-order", "at-rotation", "to-check"].indexOf(a.phase);
  const gain = (a: Action) => ("gain" in a ? a.gain : -1);
  return [...training, ...bringActions(outcome, without), ...buys, ...moves, ...repacks, ...drops]
    .sort((a, b) => order(a) - order(b) || gain(b) - gain(a))
    .concat(checks);
}

/** Points of coverage (0–100) that one audit has and the other lacks. */
const pointsLost = (has: Audit, lacks: Audit): number =>
  100 * Math.max(0, (has.coverage ?? 0) - (lacks.coverage ?? 0));

/** What owners bring, and what of theirs has failed or is past and only they can renew. */
function bringActions({ choice, before }: Solved, without: (kit: AuditFile) => number): Action[] {
  const renewed = new Set<string>();
  const brought = choice.brought.map(({ product, packs }): Action => {
    const need = broughtFor(product);
    const n = before.context.needs.findIndex((x) => x.need.id === need);
    const old = before.needs[n]!.pairs.find((p) => p.f === 0);
    const line = old ? before.context.lines[old.pair.line]!.line.id : null;
    if (line !== null) renewed.add(line);
    const id = PRODUCT_PREFIX + product.id;
    return {
      kind: "bring",
      phase: "before-carried",
      need,
      line,
      itemType: product.itemType,
      pieces: packs * product.pack,
      gain: without(withLines(choice.kit, (lines) => lines.filter((l) => l.id !== id))),
    };
  });
  const owners = before.context.lines.flatMap((l, i): Action[] => {
    if (l.elsewhere || renewed.has(l.line.id)) return [];
    if (proposeVerdict(before, i).because !== "owner-renews") return [];
    return [
      {
        kind: "bring",
        phase: "before-carried",
        need: null,
        line: l.line.id,
        itemType: l.type!.id,
        pieces: Math.max(1, piecesOf(l.line)),
        gain: 0,
      },
    ];
  });
  return [...brought, ...owners];
}

/** Needs that the plan leaves short of full, the weightiest loss first. Values 0–1. */
export function unmetAfter({ choice }: Solved): readonly {
  readonly need: string;
  readonly met: number;
  readonly restsOn: Mesh | "pan";
}[] {
  const { needs, context } = choice.after;
  return needs
    .map((n, i) => ({
      need: context.needs[i]!.need.id,
      met: n.met,
      restsOn: n.restsOn,
      loss: context.needs[i]!.weight * (1 - n.met),
    }))
    .filter((n) => !isWhole(n.met))
    .sort((a, b) => b.loss - a.loss)
    .map(({ need, met, restsOn }) => ({ need, met, restsOn }));
}

const withLines = (
  file: AuditFile,
  change: (lines: AuditFile["kit"]["lines"]) => AuditFile["kit"]["lines"],
): AuditFile => ({
  ...file,
  kit: { ...file.kit, lines: change(file.kit.lines) },
});

function buy(
  p: Purchase,
  outcome: Solved,
  request: PlanRequest,
  auditOf: (kit: AuditFile) => Audit,
): Action {
  const { before, choice } = outcome;
  const { context, needs } = choice.after;
  const id = PRODUCT_PREFIX + p.product.id;
  const index = context.lines.findIndex((l) => l.line.id === id);
  const { line, type } = context.lines[index]!;
  const serves: Serves[] = [];
  let used = 0;
  let main = { need: -1, weight: -1 };
  needs.forEach((need, n) => {
    for (const s of need.pairs) {
      if (s.pair.line !== index || s.units <= 0 || s.f <= 0) continue;
      const asked = context.needs[n]!;
      serves.push({ need: asked.need.id, mesh: before.needs[n]!.restsOn, units: s.units });
      const pieces = s.units / s.yield / measureOf(line, type!).perPiece;
      // A tool serves every need at once; anything else is used up.
      used = type!.use === "tool" ? Math.max(used, pieces) : used + pieces;
      const weight = (asked.weight * s.units * s.f) / asked.required;
      if (weight > main.weight) main = { need: n, weight };
    }
  });
  const missing = auditOf(withLines(choice.kit, (lines) => lines.filter((l) => l.id !== id)));
  const companionOf = needs.flatMap((need, n): string[] => {
    const { need: asked } = context.needs[n]!;
    const lacks = (x: typeof need | undefined) =>
      new Set(x?.pairs.flatMap((s) => (s.units > 0 ? s.companionsMissing : [])));
    return lacks(missing.needs[n]).size > lacks(need).size ? [asked.id] : [];
  });
  const tierOf = (id: string) => context.needs.find((n) => n.need.id === id)!.tier;
  const tiers = [...serves.map((s) => s.need), ...companionOf].map(tierOf);
  const vital = tiers.includes("vital");
  const onlyUseful = tiers.length > 0 && tiers.every((t) => t === "useful");
  // What stands in for a thing that failed comes before the kit is carried again.
  const failed = serves.some((s) => s.mesh === "sound" && tierOf(s.need) !== "useful");
  // Lines that claimed the job and go.
  const going =
    main.need < 0
      ? []
      : before.needs[main.need]!.pairs.map((s) => ({
          line: before.context.lines[s.pair.line]!.line.id,
          good: s.units > 0 && s.f > 0,
        })).filter((l) => choice.dropped.includes(l.line));
  const stays = context.lines.some(
    (l, i) => i !== index && !l.elsewhere && l.type?.id === type!.id && piecesOf(l.line) > 0,
  );
  const kind = stays
    ? "top-up"
    : going.some((l) => l.good)
      ? "swap"
      : going.length > 0
        ? "replace"
        : "add";
  const pieces = p.packs * p.product.pack;
  const price = priceOf(p.product, p.packs);
  const gain = pointsLost(choice.after, missing);
  return {
    kind,
    phase: vital || failed ? "before-carried" : onlyUseful ? "at-rotation" : "next-order",
    product: p.product,
    packs: p.packs,
    pieces,
    spare: Math.max(0, pieces - wholeUp(used)),
    fills: orderFill(p, () => idlePacks(p, outcome, auditOf), choice.purchases, request.book),
    price,
    massG: (p.product.massG ?? 0) * p.packs,
    gain,
    gainPerPrice: price > 0 ? gain / price : null,
    serves,
    companionOf,
    runnerUp:
      main.need < 0
        ? null
        : runnerUp(
            p.product,
            main.need,
            serves.find((s) => s.need === context.needs[main.need]!.need.id)!.units,
            outcome,
            request,
          ),
    instead: kind === "swap" || kind === "replace" ? going.map((l) => l.line) : [],
  };
}

/** So many packs could be missing, and no coverage with them. */
function idlePacks(
  { product, packs }: Purchase,
  { choice }: Solved,
  auditOf: (kit: AuditFile) => Audit,
): number {
  const id = PRODUCT_PREFIX + product.id;
  const kept = (n: number) =>
    withLines(choice.kit, (lines) =>
      lines.map((l) => (l.id === id ? { ...l, counted: n * product.pack } : l)),
    );
  let idle = 0;
  while (
    idle < packs &&
    pointsLost(choice.after, auditOf(kept(packs - idle - 1))) < POINTS_TOLERANCE
  )
    idle++;
  return idle;
}

/** The next cheapest product of another kind or pack for the same units of the need. */
function runnerUp(
  chosen: Product,
  n: number,
  units: number,
  outcome: Solved,
  request: PlanRequest,
) {
  const { context } = outcome.choice.after;
  const need = context.needs[n]!.need;
  let best: { product: Product; packs: number; price: number } | null = null;
  const probe: AuditFile = {
    ...request.audit,
    list: {
      ...request.audit.list,
      needs: [{ ...need, quantity: { base: Math.max(1, wholeUp(units)) } }],
    },
  };
  const typeOf = typeLookup(request.audit.itemTypes, request.catalogue);
  for (const product of bookOf(request).products) {
    if (product.id === chosen.id || !mayPropose(product, typeOf)) continue;
    const serves =
      context.needs[n]!.need.accept?.some((a) => a.itemType === product.itemType) ||
      doesTheJob(product, need.function, request);
    if (!serves) continue;
    const one = audit(
      withLines(probe, () => [boughtLine(product, 1, request.today)]),
      request.today,
      request.catalogue,
    );
    const share = one.needs[0]?.met ?? 0;
    const whole = one.needs[0]?.pairs[0]?.f ?? 0;
    if (share <= 0 || !isWhole(whole)) continue;
    const packs = Math.max(1, wholeUp(1 / share));
    const price = priceOf(product, packs);
    if (best === null || price < best.price) best = { product, packs, price };
  }
  return best;
}

const doesTheJob = (product: Product, functionId: string, request: PlanRequest): boolean => {
  const type = typeLookup(request.audit.itemTypes, request.catalogue)(product.itemType);
  return type !== undefined && (creditFor(type, functionId)?.credit ?? 0) > 0;
};
