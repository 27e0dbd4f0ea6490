import { CATALOGUE } from "../data/catalogue.ts";
import type { FunctionUnit } from "../core/model/functionRecord.ts";
import type { ItemType } from "../core/model/itemType.ts";
import type { Audit } from "../core/audit/audit.ts";
import type { Action } from "../core/plan/actions.ts";
import type { Obstacle } from "../core/plan/infeasible.ts";
import type { Measured } from "../core/plan/stages.ts";
import { display, grams, litres, metres, money, number } from "./display.ts";
import { SENSITIVITY_LABEL, SKILL_LABEL, UNIT_LABEL } from "./labels.ts";

/** Sentences that a person reads. Core gives codes and numbers; every wording is here. */

/** 0.4537 → "45". Whole per cents are enough for a verdict; the exact figure opens on demand. */
export const percent = (share: number | null): string =>
  share === null ? "–" : String(Math.round(share * 100));

export {
  day,
  grams,
  grouped,
  litres,
  many,
  metres,
  milligrams,
  money,
  number,
  size,
} from "./display.ts";

/** A range of shares, "61–78 %", or one figure when both round to the same. */
export function percentRange(interval: readonly [number, number] | null): string {
  if (!interval) return "–";
  const [low, high] = interval.map(percent);
  return low === high ? `${high} %` : `${low}–${high} %`;
}

/** "6 m", "2 pairs", "12". */
export function quantity(units: number, unit: FunctionUnit): string {
  if (unit === "metre") return metres(units);
  if (unit === "millilitre" && display().units === "us") return litres(units);
  const [one, many] = UNIT_LABEL[unit];
  const n = number(units, 2);
  return one === "" ? n : `${n} ${units === 1 ? one : many}`;
}

/** Whether a thing is counted in pairs, whatever its box says. */
export const inPairs = (type: Pick<ItemType, "measure"> | undefined): boolean =>
  type?.measure === "pair";
/** "50 pairs", "12": how many of a thing lie there. */
export const pieceCount = (n: number, type: Pick<ItemType, "measure"> | undefined): string =>
  inPairs(type) ? quantity(n, "pair") : number(n);

export const needLabel = (functionId: string): string =>
  CATALOGUE.functions.get(functionId)?.label ?? functionId;

const LIMIT_NAME = { budget: "budget", massG: "weight limit", volumeMl: "space" } as const;
const limitAmount = (limit: keyof typeof LIMIT_NAME, n: number, currency: string): string =>
  limit === "budget" ? money(n, currency) : limit === "massG" ? grams(n) : litres(n);

/** Why there is no plan, and what would help. */
export function obstacle(o: Obstacle, label: (needId: string) => string, currency: string): string {
  switch (o.code) {
    case "no-product":
      return o.best > 0
        ? `${label(o.need)}: nothing in the price book does this in full (the best does ${percent(o.best)} %). Add a product that does, or relax the need.`
        : `${label(o.need)}: nothing in the price book does this. Add a product that does.`;
    case "training":
      return `${label(o.need)}: what does the job asks for training (${SKILL_LABEL[o.asks as keyof typeof SKILL_LABEL]}), and the party has ${SKILL_LABEL[o.has as keyof typeof SKILL_LABEL]}. No purchase helps: train, or carry it for a trained hand.`;
    case "sensitivity":
      return `${label(o.need)}: all that does the job clashes with what someone reacts to (${o.clash.map((c) => SENSITIVITY_LABEL[c]).join(", ")}).`;
    case "licensed":
      return `${label(o.need)}: this is for licensed or prescribed use and is never proposed.`;
    case "coverage":
      return o.asked === 0
        ? "The list asks for nothing under this brief."
        : `Even with everything in the price book, coverage reaches ${number(o.most * 100, 1)} %; ${number(o.asked * 100, 1)} % is asked.`;
    case "limit":
      return `The ${LIMIT_NAME[o.limit]} of ${limitAmount(o.limit, o.allowed, currency)} alone forbids it: at least ${limitAmount(o.limit, o.needed, currency)} is needed.`;
    case "sources":
      return `Buying at ${o.allowed} ${o.allowed === 1 ? "source" : "sources"} only cannot do it; allow more.`;
    case "limits-together": {
      const ways = o.raised.map(
        (r) => `the ${LIMIT_NAME[r.limit]} to ${limitAmount(r.limit, r.needed, currency)}`,
      );
      return `No limit alone forbids it, but they do together${o.sources === null ? "" : `, with no more than ${o.sources} ${o.sources === 1 ? "source" : "sources"}`}. ${ways.length > 0 ? `Raise ${ways.join(", or ")}.` : "Relax two of them."}`;
    }
    case "not-proven":
      return "No plan was found, and that none exists could not be proven.";
  }
}

export const ACTION_LABEL: Record<Action["kind"], string> = {
  add: "Add",
  "top-up": "Top up",
  replace: "Replace",
  swap: "Swap in",
  repack: "Repack",
  train: "Train",
  move: "Move",
  drop: "Drop",
  check: "Check",
  bring: "Theirs",
};

/** Of a person's own thing: what they do about it. */
export const bringText = (x: {
  readonly need: string | null;
  readonly line: string | null;
}): string =>
  x.line === null
    ? "not bought: whoever it belongs to brings it, or says where it is"
    : "its owner puts another in its place: it failed or is past";

/** How much of a line is carried. */
export const repackText = (x: { readonly kept: number; readonly had: number }): string =>
  `carry ${number(x.kept, 1)} of ${number(x.had, 1)}; the rest stays at home`;

/** How far a plan may be from the best, in what it is measured in. */
export function gapText(gap: number, gapIn: Measured, currency: string): string {
  switch (gapIn) {
    case "price":
      return `at most ${money(gap, currency)} dearer than the cheapest that does as much`;
    case "vital":
      return `at most ${number(gap, 2)} points of vital coverage below the best`;
    case "coverage":
      return `at most ${number(gap, 2)} points of coverage below the best`;
    case "mass":
      return `at most ${grams(gap)} heavier than the lightest`;
    case "volume":
      return `at most ${litres(gap)} larger than the smallest`;
    case "owning":
      return `at most ${money(gap, currency)} dearer over five years than the cheapest`;
  }
}

/** What no plan can better. */
export function boundText(of: Measured, bound: number, currency: string): string {
  switch (of) {
    case "price":
      return `No plan is cheaper than ${money(bound, currency)}.`;
    case "owning":
      return `None costs less over five years than ${money(bound, currency)}.`;
    case "mass":
      return `None is lighter than ${grams(bound)}.`;
    case "volume":
      return `None takes less space than ${litres(bound)}.`;
    case "vital":
    case "coverage":
      return `No plan covers more than ${number(bound, 1)} %.`;
  }
}

export const DROP_BECAUSE: Record<Extract<Action, { kind: "drop" }>["because"], string> = {
  failed: "failed its inspection",
  "past-date": "past its date",
  "in-name-only": "does its job in name only",
  "not-asked": "the list does not ask for it, and a limit wants the room",
  limit: "makes room under the limits",
};

export const PHASE_LABEL = {
  "before-carried": "Before it is carried",
  "next-order": "Next order",
  "at-rotation": "When there is money over",
  "to-check": "To check: the plan leans on these",
} as const;

/** What another school would make of the kit: "+3.2 points, Nearly", "the same". */
export function gainText(
  v: {
    readonly gain: number | null;
    readonly grade: string | null;
    readonly coverage: number | null;
  },
  now: Pick<Audit, "grade">,
): string {
  if (v.gain === null) return "nothing is asked";
  const grade = v.grade === now.grade ? "" : `, ${v.grade}`;
  const points = number(Math.abs(v.gain) * 100, 1);
  if (points === "0") return grade ? `same coverage${grade}` : "no difference here";
  return `${v.gain > 0 ? "+" : "−"}${points} points of coverage${grade}`;
}
