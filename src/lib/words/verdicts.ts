import type { PackingRule } from "../core/audit/packing.ts";
import type { LookedAt } from "../core/audit/secondOpinion.ts";
import type { VerdictId, VerdictReason } from "../core/audit/verdict.ts";

export const VERDICT_LABEL: Record<VerdictId, string> = {
  keep: "Keep",
  watch: "Keep and watch",
  "top-up": "Top up",
  replace: "Replace",
  move: "Move or label",
  spare: "Spare",
  drop: "Drop",
  "trained-hand": "Keep for a trained hand",
};

export const VERDICT_BECAUSE: Record<VerdictReason, string> = {
  sound: "it does its job",
  worn: "it is worn and still works",
  failed: "it failed its inspection",
  "past-date": "it is past its date on the last day",
  "in-name-only": "it does its job in name only",
  weak: "it does only part of the job, and nothing here does the rest",
  "too-few": "there are too few of it",
  "not-handy": "it is not in the hand in time, or hard to find",
  "beyond-training": "nobody here is trained for it",
  clashes: "someone here reacts to it",
  "latex-not-read": "it often holds latex: read its pack before anything else",
  trainer: "it is for practice only: keep it out of the kit",
  "kept-for-safety": "no list has to ask for it: it may be wanted, or it belongs to someone",
  "owner-renews": "it failed or is past, and only its owner can put another in its place",
  "not-asked": "this list does not ask for it: your choice, it costs weight and room",
};

/** One key for each verdict at the bench. */
export const VERDICT_KEY: Record<VerdictId, string> = {
  keep: "q",
  watch: "w",
  "top-up": "t",
  replace: "r",
  move: "m",
  spare: "a",
  drop: "x",
  "trained-hand": "h",
};

export const POINT_BY = { look: "look", feel: "feel", try: "try" } as const;

/** The rules by which a bag is packed. */
export const PACKING_LABEL: Record<PackingRule, string> = {
  "leaks-have-own-bag": "What can leak has a bag of its own",
  "seconds-lie-outside": "What must be found in seconds lies within reach",
  "instructions-with-device": "Instructions lie with the device",
  "tools-carry-first-use": "Tools carry the day of their first use",
  "lights-locked-off": "Lights are locked off",
  "medicines-labelled": "Medicines carry name and strength",
};

export const PACKING_STATE = { kept: "kept", broken: "not kept", open: "not looked at" } as const;

/** What two people who look at the same kit can see differently. */
export const LOOK_LABEL: Record<LookedAt, string> = {
  count: "how many",
  condition: "condition",
  date: "date",
  size: "size",
  place: "where it lies",
  reach: "reach",
  findable: "whether a stranger finds it",
  labelled: "whether it is labelled",
  kind: "what it is",
};
