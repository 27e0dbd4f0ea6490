import { CATALOGUE } from "../data/catalogue.ts";
import type { Sum, SumKind, SumStep } from "../core/sums/sum.ts";
import { litres, metres, number, size } from "./display.ts";
import { things } from "./things.ts";

export const SUM_LABEL: Record<SumKind, string> = {
  wraps: "Bandage to wrap a limb",
  dressings: "Dressings until care is reached",
  tape: "Tape for the dressings",
  irrigation: "Water to flush a wound",
  tablets: "Doses by the label",
};

/** One line of a sum in words. */
export function stepText({ code, value }: SumStep): string {
  switch (code) {
    case "limb-length":
      return `${size([Math.round(value)])} to wrap`;
    case "turns":
      return `${number(value, 1)} turns`;
    case "used":
      return `${metres(value / 1000)} of bandage a limb`;
    case "bandages-a-limb":
      return `${number(value)} ${value === 1 ? "bandage" : "bandages"} a limb`;
    case "limbs":
      return `${number(value)} ${value === 1 ? "limb" : "limbs"}`;
    case "wounds":
      return `${number(value)} ${value === 1 ? "wound" : "wounds"}`;
    case "changes":
      return `changed ${number(value)} ${value === 1 ? "time" : "times"} before care`;
    case "dressings":
      return `${number(value)} dressings in all`;
    case "tape-a-dressing":
      return `${size([value])} of tape a dressing`;
    case "tape-used":
      return `${metres(value / 1000)} of tape`;
    case "ml-a-wound":
      return `${litres(value)} a wound`;
    case "ml":
      return `${litres(value)} in all`;
    case "person-days":
      return `${number(value)} person-days`;
    case "doses-a-day":
      return `${number(value)} doses a day`;
    case "doses":
      return `${number(value, 1)} doses`;
    case "height":
      return `the tallest is ${size([value])}`;
    case "height-assumed":
      return `a tall grown-up of ${size([value])}, as the brief does not say`;
    case "girth":
      return `a mean girth of ${size([Math.round(value)])}, measured`;
    case "girth-assumed":
      return `a mean girth of ${size([Math.round(value)])}, from the height`;
    case "overlap":
      return `each turn lies over ${number(value * 100, 0)} % of the last`;
    case "no-stretch":
      return `bandages of ${size([value])}, their stretch not counted on`;
    case "every":
      return `changed every ${number(value, 1)} hours`;
    case "strips":
      return `${number(value)} strips a dressing`;
    case "overhang":
      return `each ${size([value])} longer than the pad`;
    case "ml-a-cm":
      return `${number(value)} ml for each cm of wound, as taught locally`;
    case "share":
      return `${number(value * 100, 0)} % of the party need them on a day`;
    case "label-most":
      return `the label allows ${number(value)} a day`;
    default:
      return `${code} ${number(value)}`;
  }
}

/** A sum as one sentence: what it comes to and on what it rests. */
export const sumReason = (sum: Sum, functionId: string): string =>
  `Worked out: ${sum.steps.map(stepText).join(", ")}, so ${
    CATALOGUE.functions.get(functionId) ? things(functionId, sum.amount) : number(sum.amount)
  }; taking that ${sum.assumed.map(stepText).join(", ")}.`;
