import type { Audit } from "./audit.ts";
import { lineCondition } from "../inspect/quality.ts";
import type { ItemType } from "../model/itemType.ts";
import { clashesOf } from "../sieve/usable.ts";

export const VERDICTS = [
  "keep",
  "watch",
  "top-up",
  "replace",
  "move",
  "spare",
  "drop",
  "trained-hand",
] as const;
export type VerdictId = (typeof VERDICTS)[number];

/** Why the rules propose a verdict. */
export type VerdictReason =
  | "sound"
  | "worn"
  | "failed"
  | "past-date"
  | "in-name-only"
  | "weak"
  | "too-few"
  | "not-handy"
  | "beyond-training"
  | "clashes"
  | "latex-not-read"
  | "trainer"
  | "kept-for-safety"
  | "owner-renews"
  | "not-asked";

export interface Proposed {
  readonly verdict: VerdictId;
  readonly because: VerdictReason;
}

/**
 * The verdict the rules propose for a line of the audit, with the reason; a person decides. `drop` is
 * only for what failed, is past, or harms; what the list does not ask for is `spare`: their choice.
 * The container, prescribed and life-saving things are kept though no list asks for them.
 * @param index of the line in `a.context.lines`
 */
export function proposeVerdict(a: Audit, index: number): Proposed {
  const { type } = a.context.lines[index]!;
  if (type?.trainer) return { verdict: "drop", because: "trainer" };
  const asked = a.pairing.pairs.some((p) => p.line === index && p.credit.credit > 0);
  return spoilt(a, index, asked) ?? (asked ? ofAsked(a, index) : ofNotAsked(a, index));
}

/** For a thing that failed, is past its date, or never did the job. */
function spoilt(a: Audit, index: number, asked: boolean): Proposed | null {
  const { line, type } = a.context.lines[index]!;
  const { standing } = a.pairing.facts[index]!;
  const failed = lineCondition(line, a.context.catalogue) === "failed";
  const past = type !== null && (standing === "past" || standing === "past-within-a-year");
  if (failed || past) {
    if (isOwners(type)) return { verdict: "replace", because: "owner-renews" };
    const because = failed ? "failed" : "past-date";
    return { verdict: asked || type?.keptFor ? "replace" : "drop", because };
  }
  // It claims a job of the list and the list gives it nothing for it.
  if (!asked && a.pairing.pairs.some((p) => p.line === index))
    return { verdict: "replace", because: "in-name-only" };
  return null;
}

/** Prescribed or for licensed use: only its owner can put another in its place. */
const isOwners = (type: ItemType | null): boolean =>
  type?.licensed === true || type?.keptFor === "prescribed";

function ofNotAsked(a: Audit, index: number): Proposed {
  return a.context.lines[index]!.type?.keptFor
    ? { verdict: "keep", because: "kept-for-safety" }
    : { verdict: "spare", because: "not-asked" };
}

function ofAsked(a: Audit, index: number): Proposed {
  const { line, type } = a.context.lines[index]!;
  const pairs = a.needs.flatMap((need, n) =>
    need.pairs
      .filter((p) => p.pair.line === index && p.pair.credit.credit > 0)
      .map((p) => ({ p, n })),
  );
  if (pairs.every(({ p }) => p.usable === 0)) {
    if (clashesOf(type!, a.context.brief).length > 0)
      return { verdict: "replace", because: "clashes" };
    if (latexHolds(a, index))
      return line.latexFree === false
        ? { verdict: "replace", because: "clashes" }
        : { verdict: "watch", because: "latex-not-read" };
  }
  if (pairs.every(({ p }) => p.usable < 1))
    return { verdict: "trained-hand", because: "beyond-training" };
  if (pairs.some(({ p }) => p.units > 0 && p.handy < 1))
    return { verdict: "move", because: "not-handy" };
  if (lineCondition(line, a.context.catalogue) === "worn")
    return { verdict: "watch", because: "worn" };
  // A stand-in that leaves its need held back at Real is not simply kept.
  const used = pairs.filter(({ p }) => p.units > 0);
  if (used.length > 0 && used.every(({ p, n }) => p.r < 1 && a.needs[n]!.restsOn === "real"))
    return { verdict: "watch", because: "weak" };
  if (pairs.some(({ p, n }) => p.units > 0 && p.r >= 1 && a.needs[n]!.restsOn === "enough"))
    return { verdict: "top-up", because: "too-few" };
  return { verdict: "keep", because: "sound" };
}

/** Nobody here is short of training for it: what rules it out is latex. */
function latexHolds(a: Audit, index: number): boolean {
  const { type, line } = a.context.lines[index]!;
  if (!a.context.brief.sensitivities.includes("latex") || line.latexFree) return false;
  return type!.latex === "often" || line.latexFree === false;
}
