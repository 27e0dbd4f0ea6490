import { MESH_ASKS, MESH_LABEL } from "./labels.ts";
import { MESHES } from "../core/model/mesh.ts";

/** A word of the application, said plainly; the page of words and the search show it. */
export interface Term {
  readonly word: string;
  readonly means: string;
}

const OWN: readonly Term[] = [
  {
    word: "Brief",
    means:
      "Who the kit is for: how many people, how long, how far from care, what goes on there, what they may use.",
  },
  {
    word: "Need",
    means:
      "A job that the list asks for, with how much of it and how good. Needs are met, not item counts.",
  },
  {
    word: "Vital, core, useful",
    means:
      "How much a need weighs: five, three and one. A vital need that is not met in full keeps a kit from being Ready, whatever else is in it.",
  },
  {
    word: "Coverage",
    means:
      "The weighted share of all needs that the kit meets, all meshes passed. It is no chance of survival.",
  },
  {
    word: "On trust",
    means:
      "Nobody has looked. The upper figure takes it as good, the lower as failing; both are shown until somebody looks.",
  },
  {
    word: "Ready, Nearly, Partial, Not ready",
    means:
      "The grades. Ready: every vital need in full and coverage of 90 %. Nearly: every vital need in full and 70 %. Partial: vital needs by half at least, and half of the whole.",
  },
  {
    word: "Credit",
    means:
      "How much of a job a kind of thing does: a plain dressing 0.7 of a vented chest seal, a rubber strap nothing of a tourniquet.",
  },
  {
    word: "Stand-in",
    means:
      "A thing that the list takes for a job that it is not made for, at less than full credit.",
  },
  {
    word: "Planning dose",
    means:
      "What one dose of a medicine is counted as: 300 mg of aspirin for chest pain, 15 g of sugar, 1 g of paracetamol, 400 mg of ibuprofen. For counting what is carried; the label says what to take.",
  },
  {
    word: "Theirs",
    means:
      "A thing of a person's own, prescribed or brought: looked at and counted, never bought, never dropped.",
  },
  {
    word: "Spare",
    means:
      "This list does not ask for it. It costs weight and room; whether it stays is your choice.",
  },
  {
    word: "Drop",
    means:
      "It failed, is past its date, or harms: out with it. Nothing is dropped only because a list does not ask for it.",
  },
  {
    word: "House rules",
    means:
      "Where good practitioners disagree you follow one school; what each would make of the kit is shown beside it.",
  },
  {
    word: "Improvised",
    means:
      "A stand-in from the household. Under the house rule that denies them it counts nothing.",
  },
  {
    word: "Access",
    means: "How fast a thing must be in the hand: within 15 seconds, within a minute, or no hurry.",
  },
  {
    word: "Padding",
    means: "Pieces that do no job on the list: they make the number on the box larger.",
  },
  {
    word: "Cost to ready",
    means: "The least that makes the kit Ready with what the price book sells.",
  },
  {
    word: "Proven",
    means:
      "No plan from this price book is better: the search has shown it, not only failed to find one. Where it could not, how far the plan may be from the best is said.",
  },
  {
    word: "Knee",
    means: "A point of the curve beyond which the next coin, or gram, buys less than half as much.",
  },
  {
    word: "Lean, self-contained",
    means:
      "Two schools: a lean kit counts what the party carries elsewhere, a self-contained one does not.",
  },
  {
    word: "Open life",
    means:
      "How long a tube or bottle is good once it was opened, as commonly printed. The print on the thing wins.",
  },
  {
    word: "Carry check",
    means:
      "Whether the kit will be on its owner when it is wanted: thickness, width, weight, reach, and whether it stayed at home.",
  },
];

/** All words, the meshes first: they are asked for most. */
export const GLOSSARY: readonly Term[] = [
  ...MESHES.map((m, i) => ({
    word: `${MESH_LABEL[m]} (mesh ${i + 1})`,
    means: `${MESH_ASKS[m].charAt(0).toUpperCase()}${MESH_ASKS[m].slice(1)}`,
  })),
  ...OWN,
];
