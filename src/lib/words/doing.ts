import { CATALOGUE } from "../data/catalogue.ts";

/** What is said of a job whose label is no plain verb: "Nothing here …". */
const DOES: Readonly<Record<string, string>> = {
  "rescue-breath-barrier": "guards you while giving breaths",
  "pressure-immobilisation": "is a wrap for pressure immobilisation",
  "adrenaline-auto-injector": "is the prescribed adrenaline",
  "reliever-inhaler": "is the prescribed reliever inhaler",
  "cardiac-aspirin": "is aspirin for chest pain",
  "defibrillation-pads": "is a pair of adult pads for the defibrillator",
  "defibrillation-pads-child": "is a pair of child pads for the defibrillator",
  "clean-water": "is clean water to rinse and cool with",
  "spare-power": "is a spare battery",
  "limb-tourniquet": "stops a limb bleed",
  "haemostatic-packing": "packs a wound and speeds clotting",
  "skin-primer": "helps tape and strips to stick",
  applicator: "applies or cleans precisely",
  "sharp-blade": "is a sterile blade",
  clamp: "grips and holds",
  "repair-tape": "is tape for repairs",
  cordage: "is cord to tie and lash with",
  magnify: "shows small things",
  light: "lights what you are doing",
  write: "writes and marks",
  instructions: "is a first aid guide",
  "contents-list": "is a list of contents",
  "mouth-look": "lets you see into a mouth",
  visibility: "makes you seen on the road",
  "burn-gel": "soothes a small burn once it is cooled",
};

/** A job as something does it: "stops limb bleeding". */
export function doing(functionId: string): string {
  const own = DOES[functionId];
  if (own) return own;
  const label = CATALOGUE.functions.get(functionId)?.label;
  if (!label) return `does “${functionId}”`;
  const [verb, ...rest] = label.split(" ");
  return [thirdPerson(verb!.toLowerCase()), ...rest].join(" ");
}

const thirdPerson = (verb: string): string => {
  if (verb === "be") return "is";
  if (/(?:s|sh|ch|x|z|o)$/.test(verb)) return `${verb}es`;
  if (/[^aeiou]y$/.test(verb)) return `${verb.slice(0, -1)}ies`;
  return `${verb}s`;
};
