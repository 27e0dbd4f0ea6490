import type { VerdictId, VerdictReason } from "../core/inspect/verdict.ts";

export const VERDICT_LABEL: Record<VerdictId, string> = {
  keep: "Keep",
  watch: "Keep and watch",
  "top-up": "Top up",
  replace: "Replace",
  move: "Move or label",
  drop: "Drop",
  "trained-hand": "Keep for a trained hand",
};

export const VERDICT_BECAUSE: Record<VerdictReason, string> = {
  sound: "it does its job",
  worn: "it is worn and still works",
  failed: "it failed its inspection",
  "past-date": "it is past its date on the last day",
  "in-name-only": "it does its job in name only",
  "too-few": "there are too few of it",
  "not-handy": "it is not in the hand in time, or hard to find",
  "beyond-training": "nobody here is trained for it, or it clashes with a sensitivity",
  "serves-nothing": "nothing on the list asks for it",
};
