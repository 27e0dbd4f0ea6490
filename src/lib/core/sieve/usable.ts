import { SKILLS, type ItemType, type Sensitivity } from "../model/itemType.ts";
import type { Brief } from "../model/brief.ts";
import type { Line } from "../model/kit.ts";
import type { Schools } from "../model/houseRules.ts";

/** Mesh 7, Usable. */

/** Carried 'for a trained hand' who may come by. */
const FOR_A_TRAINED_HAND = 0.5;

export interface UsableFactor {
  /** 0, 0.5 or 1, as known; a pack that should say whether it is free of latex is taken to say so. */
  readonly factor: number;
  /** The same with what the pack does not say taken as latex. */
  readonly worst: number;
  /** Whether the pack is still to be read for latex. */
  readonly unchecked: boolean;
}

/**
 * Training asked against the party's, and sensitivities.
 * @param theirs the need asks for a thing of a person's own, who is trained to it
 */
export function usableFactor(
  line: Pick<Line, "latexFree">,
  type: ItemType,
  brief: Pick<Brief, "skill" | "sensitivities">,
  advanced: Schools["advanced"],
  theirs = false,
): UsableFactor {
  const skilled = theirs || SKILLS.indexOf(type.skill) <= SKILLS.indexOf(brief.skill);
  const skill = skilled ? 1 : advanced === "carry" ? FOR_A_TRAINED_HAND : 0;
  // Latex is a question of its own.
  const clashes = clashesOf(type, brief).some((c) => c !== "latex");
  const rest = clashes ? 0 : skill;
  const latex = latexFactor(line, type, brief);
  return {
    factor: rest * latex.factor,
    worst: rest * latex.worst,
    unchecked: latex.factor !== latex.worst,
  };
}

/** What the party reacts to in a kind of thing; who reacts to stings needs what is for them. */
export const clashesOf = (
  type: Pick<ItemType, "clash">,
  brief: Pick<Brief, "sensitivities">,
): readonly Sensitivity[] =>
  type.clash.filter((c) => c !== "sting" && brief.sensitivities.includes(c));

const NEITHER = { factor: 0, worst: 0 };
const BOTH = { factor: 1, worst: 1 };

/** The answer at the bench decides; latex gloves stay latex. Without an answer what often holds latex counts as such. */
function latexFactor(
  line: Pick<Line, "latexFree">,
  type: Pick<ItemType, "latex" | "clash">,
  brief: Pick<Brief, "sensitivities">,
): { readonly factor: number; readonly worst: number } {
  if (!brief.sensitivities.includes("latex")) return BOTH;
  const latex = latexOf(type);
  if (latex === "yes") return NEITHER;
  if (line.latexFree !== undefined) return line.latexFree ? BOTH : NEITHER;
  if (latex === "often") return NEITHER;
  return latex === "ask" ? { factor: 1, worst: 0 } : BOTH;
}

/** Whether a kind of thing holds latex; of the user's own kinds by their clash where it is not said. */
export const latexOf = (type: Pick<ItemType, "latex" | "clash">): NonNullable<ItemType["latex"]> =>
  type.latex ?? (type.clash.includes("latex") ? "yes" : "no");
