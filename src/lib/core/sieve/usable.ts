import { SKILLS, type ItemType } from "../model/itemType.ts";
import type { Brief } from "../model/brief.ts";
import type { Schools } from "../model/houseRules.ts";

/** Mesh 7, Usable. */

/** Carried 'for a trained hand' who may come by. */
const FOR_A_TRAINED_HAND = 0.5;

/** 0, 0.5 or 1: training asked against the party's, and sensitivities. */
export function usableFactor(
  type: ItemType,
  brief: Pick<Brief, "skill" | "sensitivities">,
  advanced: Schools["advanced"],
): number {
  if (type.clash.some((c) => c !== "sting" && brief.sensitivities.includes(c))) return 0;
  if (SKILLS.indexOf(type.skill) <= SKILLS.indexOf(brief.skill)) return 1;
  return advanced === "carry" ? FOR_A_TRAINED_HAND : 0;
}
