import type {
  DateQuestion,
  EstimateQuestion,
  FindQuestion,
  PaddingQuestion,
} from "../core/drill/rounds.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import { stepText } from "./calculations.ts";
import { day, many, quantity } from "./sentences.ts";

/** A quick question of a round as it is asked: what one sees, what may be answered, and why. */
export interface Asked {
  readonly ask: string;
  readonly seen: readonly string[];
  readonly options: readonly { readonly id: string; readonly label: string }[];
  readonly right: readonly string[];
  readonly why: string;
}

export const DRILL_LABEL = {
  faults: "Name the fault",
  find: "Find it",
  date: "Read the date",
  padding: "Count the padding",
  estimate: "Estimate, then the sum",
} as const;
export type DrillId = keyof typeof DRILL_LABEL;

export const DRILL_ABOUT: Readonly<Record<DrillId, string>> = {
  faults:
    "One thing after another: name what is wrong, or that it is sound. What you miss comes again sooner.",
  find: "A job, now: which line of your own kit, and where? Thirty seconds.",
  date: "A date on a wrapper and the last day of the outing: still good? Thirty seconds.",
  padding: "A contents card: how many of the pieces are small plasters and wipes? Thirty seconds.",
  estimate: "How much does it take? Estimate first, then read the sum. Thirty seconds.",
};

const typeLabel = (id: string): string => CATALOGUE.types.get(id)?.label ?? id;

export function dateAsked(q: DateQuestion): Asked {
  return {
    ask: `Still good on the last day, ${day(q.lastDay)}?`,
    seen: [`printed: ${q.printed}`],
    options: [
      { id: "yes", label: "Yes, good" },
      { id: "no", label: "No, past" },
    ],
    right: [q.right],
    why:
      q.right === "yes"
        ? "A month alone is good to its last day."
        : "It runs out before the outing ends.",
  };
}

export const paddingAsked = (q: PaddingQuestion): Asked => ({
  ask: "How many pieces are small plasters and wipes?",
  seen: q.lines.map((l) => `${l.pieces} × ${typeLabel(l.itemType)}`),
  options: q.options.map((n) => ({ id: String(n), label: String(n) })),
  right: [String(q.right)],
  why: q.lines
    .filter((l) => CATALOGUE.types.get(l.itemType)?.padding)
    .map((l) => `${l.pieces} × ${typeLabel(l.itemType)}`)
    .join(" + "),
});

export function estimateAsked(q: EstimateQuestion): Asked {
  const unit = CATALOGUE.functions.get(q.sum.function)?.unit ?? "each";
  const { assumed } = q.sum;
  const what = {
    wraps: `How much bandage does one ${q.limb ?? "limb"} take, wrapped from end to end?`,
    dressings: "How many dressings is that?",
    tape: "How much tape is that?",
    irrigation: "How much water flushes it?",
    tablets: "How many doses is that?",
  } as const;
  // Of dressings the wounds and their changes are given, of water the wound; of a limb its assumptions say all.
  const given = q.sum.kind === "dressings" ? q.sum.steps.slice(0, 2) : [];
  return {
    ask: what[q.sum.kind],
    seen: [
      ...assumed.map(stepText),
      ...given.map(stepText),
      ...(q.sum.kind === "irrigation" ? [woundText(q.sum)] : []),
    ],
    options: q.options.map((n) => ({ id: String(n), label: quantity(n, unit) })),
    right: [String(q.right)],
    why: q.sum.steps.map(stepText).join(", "),
  };
}

/** The wound that a sum of water is for, from its own figures. */
function woundText(sum: EstimateQuestion["sum"]): string {
  const each = sum.steps.find((s) => s.code === "ml-a-wound")!.value;
  const perCm = sum.assumed.find((s) => s.code === "ml-a-cm")!.value;
  return `a wound of ${each / perCm} cm`;
}

export const findAsked = (
  q: FindQuestion,
  nameOf: (line: string) => string,
  whereOf: (line: string) => string,
): Asked => ({
  ask: `${CATALOGUE.functions.get(q.function)?.label ?? q.function}, now: what do you reach for?`,
  seen: [],
  options: q.options.map((id) => ({ id, label: nameOf(id) })),
  right: q.right,
  why: q.right.map((id) => `${nameOf(id)}: ${whereOf(id)}`).join("; "),
});

/** "7 of 9 in half a minute". */
export const roundText = (right: number, of: number): string =>
  of === 0 ? "None answered." : `${right} right of ${many(of, "answer")}.`;
