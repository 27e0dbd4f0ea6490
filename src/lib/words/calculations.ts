import { CATALOGUE } from "../data/catalogue.ts";
import type {
  Calculation,
  CalculatorId,
  CalculationStep,
} from "../core/calculators/calculation.ts";
import { litres, many, metres, number, size } from "./display.ts";
import { things } from "./things.ts";

export const CALCULATOR_LABEL: Record<CalculatorId, string> = {
  wraps: "Bandage to wrap a limb",
  dressings: "Dressings until care is reached",
  tape: "Tape for the dressings",
  irrigation: "Water to flush a wound",
  tablets: "Doses by the label",
};

const round = (mm: number) => size([Math.round(mm)]);

/** Each step and assumption of a sum in words. A code without words does not compile. */
const STEP_WORDS: Record<CalculationStep["code"], (value: number) => string> = {
  "limb-length": (value) => `${round(value)} to wrap`,
  turns: (value) => `${number(value, 1)} turns`,
  used: (value) => `${metres(value / 1000)} of bandage a limb`,
  "bandages-a-limb": (value) => `${many(value, "bandage")} a limb`,
  limbs: (value) => many(value, "limb"),
  wounds: (value) => many(value, "wound"),
  changes: (value) => `changed ${many(value, "time")} before care`,
  dressings: (value) => `${number(value)} dressings in all`,
  "tape-a-dressing": (value) => `${size([value])} of tape a dressing`,
  "tape-used": (value) => `${metres(value / 1000)} of tape`,
  "ml-a-wound": (value) => `${litres(value)} a wound`,
  ml: (value) => `${litres(value)} in all`,
  "person-days": (value) => `${number(value)} person-days`,
  "doses-a-day": (value) => `${number(value)} doses a day`,
  doses: (value) => `${number(value, 1)} doses`,
  height: (value) => `the tallest is ${size([value])}`,
  "height-assumed": (value) => `a tall grown-up of ${size([value])}, as the brief does not say`,
  girth: (value) => `a mean girth of ${round(value)}, measured`,
  "girth-assumed": (value) => `a mean girth of ${round(value)}, from the height`,
  overlap: (value) => `each turn lies over ${number(value * 100, 0)} % of the last`,
  "no-stretch": (value) => `bandages of ${size([value])}, their stretch not counted on`,
  every: (value) => `changed every ${number(value, 1)} hours`,
  strips: (value) => `${number(value)} strips a dressing`,
  overhang: (value) => `each ${size([value])} longer than the pad`,
  "ml-a-cm": (value) => `${number(value)} ml for each cm of wound, as taught locally`,
  share: (value) => `${number(value * 100, 0)} % of the party need them on a day`,
  "label-most": (value) => `the label allows ${number(value)} a day`,
};

export const stepText = ({ code, value }: CalculationStep): string => STEP_WORDS[code](value);

/** A sum as one sentence: what it comes to and on what it rests. */
export const calculationReason = (sum: Calculation, functionId: string): string =>
  `Worked out: ${sum.steps.map(stepText).join(", ")}, so ${
    CATALOGUE.functions.get(functionId) ? things(functionId, sum.amount) : number(sum.amount)
  }; taking that ${sum.assumed.map(stepText).join(", ")}.`;
