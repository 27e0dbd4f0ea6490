import { CATALOGUE } from "../data/catalogue.ts";
import type { AskedChange } from "../core/brief/briefEffect.ts";
import { quantity } from "./sentences.ts";

/** What a need asks for, as people at the bench call it: one, several; or what it is a length or volume of. */
// prettier-ignore
const THINGS: Readonly<Record<string, readonly [one: string, many: string]>> = {
  "limb-tourniquet": ["tourniquet", "tourniquets"],
  "wound-packing": ["packing gauze", "packing gauzes"],
  "haemostatic-packing": ["clotting dressing", "clotting dressings"],
  "pressure-dressing": ["pressure bandage", "pressure bandages"],
  "bulk-absorbent": ["large absorbent pad", "large absorbent pads"],
  "airway-adjunct": ["airway", "airways"],
  "airway-lubricant": ["lubricant", "lubricants"],
  "chest-seal": ["chest seal", "chest seals"],
  "chest-decompression": ["decompression needle", "decompression needles"],
  "rescue-breath-barrier": ["breath barrier", "breath barriers"],
  "small-wound-cover": ["plaster", "plasters"],
  "medium-wound-pad": ["wound pad", "wound pads"],
  "non-adherent-layer": ["non-stick dressing", "non-stick dressings"],
  "dressing-retention": ["bandage", "bandage"],
  "tape": ["tape", "tape"],
  "wound-closure": ["closure strip", "closure strips"],
  "wound-suture": ["suture", "sutures"],
  "film-dressing": ["film dressing", "film dressings"],
  "skin-primer": ["skin primer", "skin primers"],
  "skin-antiseptic": ["antiseptic wipe", "antiseptic wipes"],
  "wound-irrigation": ["wound rinse", "wound rinse"],
  "topical-antibiotic": ["antibiotic ointment", "antibiotic ointment"],
  "hand-hygiene": ["hand cleaner", "hand cleaner"],
  "applicator": ["cotton tip", "cotton tips"],
  "burn-dressing": ["burn dressing", "burn dressings"],
  "burn-gel": ["burn gel", "burn gel"],
  "limb-splint": ["splint", "splints"],
  "finger-splint": ["finger splint", "finger splints"],
  "sling": ["sling", "slings"],
  "joint-support": ["elastic wrap", "elastic wraps"],
  "cold-therapy": ["cold pack", "cold packs"],
  "blister-care": ["blister dressing", "blister dressings"],
  "skin-lubricant": ["balm", "balm"],
  "splinter-removal": ["fine tweezers", "fine tweezers"],
  "itch-relief": ["itch relief", "itch relief"],
  "sun-protection": ["sunscreen", "sunscreen"],
  "pressure-immobilisation": ["compression bandage", "compression bandages"],
  "sting-relief": ["sting relief", "sting relief"],
  "tick-removal": ["tick tool", "tick tools"],
  "antihistamine": ["antihistamine", "antihistamine"],
  "adrenaline-auto-injector": ["auto-injector", "auto-injectors"],
  "eye-irrigation": ["eyewash", "eyewash"],
  "eye-cover": ["eye pad", "eye pads"],
  "heat-retention": ["rescue blanket", "rescue blankets"],
  "heat-source": ["warmer", "warmers"],
  "rehydration": ["rehydration salts", "rehydration salts"],
  "sugar": ["glucose", "glucose"],
  "pain-relief": ["pain relief", "pain relief"],
  "cardiac-aspirin": ["aspirin", "aspirin"],
  "antidiarrhoeal": ["loperamide", "loperamide"],
  "stomach-relief": ["antacid", "antacid"],
  "motion-sickness": ["motion sickness tablets", "motion sickness tablets"],
  "cold-relief": ["cold relief", "cold relief"],
  "oral-pain-gel": ["mouth gel", "mouth gel"],
  "temperature-check": ["thermometer", "thermometers"],
  "gloves": ["gloves", "gloves"],
  "face-protection": ["mask or eye shield", "masks or eye shields"],
  "waste-containment": ["waste bag", "waste bags"],
  "cut-clothing": ["shears", "shears"],
  "fine-cutting": ["small scissors", "small scissors"],
  "sharp-blade": ["sterile blade", "sterile blades"],
  "clamp": ["clamp", "clamps"],
  "fasten": ["pin or clip", "pins or clips"],
  "repair-tape": ["repair tape", "repair tape"],
  "cordage": ["cord", "cord"],
  "magnify": ["magnifier", "magnifiers"],
  "light": ["light", "lights"],
  "signal": ["whistle or mirror", "whistles or mirrors"],
  "write": ["marker", "markers"],
  "casualty-record": ["casualty card", "casualty cards"],
  "instructions": ["first aid guide", "first aid guides"],
  "contents-list": ["contents card", "contents cards"],
  "defibrillation": ["defibrillator", "defibrillators"],
  "defibrillation-pads": ["pair of adult pads", "pairs of adult pads"],
  "defibrillation-pads-child": ["pair of child pads", "pairs of child pads"],
  "ventilation": ["bag and mask", "bags and masks"],
  "suction": ["suction pump", "suction pumps"],
  "nosebleed": ["nosebleed plug", "nosebleed plugs"],
  "clean-water": ["clean water", "clean water"],
  "pelvis-binding": ["pelvic binder", "pelvic binders"],
  "neck-support": ["collar", "collars"],
  "rigid-strapping": ["rigid tape", "rigid tape"],
  "lip-protection": ["lip balm", "lip balm"],
  "insect-protection": ["repellent", "repellent"],
  "eye-shielding": ["eye shield", "eye shields"],
  "rain-cover": ["poncho", "ponchos"],
  "water-treatment": ["treated water", "treated water"],
  "child-pain-relief": ["children's pain relief", "children's pain relief"],
  "medicine-measure": ["medicine measure", "medicine measures"],
  "reliever-inhaler": ["reliever inhaler", "reliever inhalers"],
  "opioid-reversal": ["naloxone", "naloxone"],
  "tooth-keeping": ["tooth box", "tooth boxes"],
  "mouth-look": ["tongue spatula", "tongue spatulas"],
  "oxygen-reading": ["oximeter", "oximeters"],
  "sharps-containment": ["sharps box", "sharps boxes"],
  "spill-cleanup": ["spill kit", "spill kits"],
  "strap-cutting": ["belt cutter", "belt cutters"],
  "ring-cutting": ["ring cutter", "ring cutters"],
  "spare-power": ["spare battery", "spare batteries"],
  "visibility": ["hi-vis vest", "hi-vis vests"],
  "scene-warning": ["warning triangle", "warning triangles"],
};

/** "14 wound pads", "6 m of bandage", "2 pairs of gloves". */
export function things(functionId: string, units: number): string {
  const [one, many] = THINGS[functionId] ?? [functionId, functionId];
  const unit = CATALOGUE.functions.get(functionId)?.unit ?? "each";
  const amount = quantity(units, unit);
  return unit === "each" ? `${amount} ${units === 1 ? one : many}` : `${amount} of ${many}`;
}

/** "+14 wound pads", "−2 m of tape", "no longer: tourniquet". */
export function changeText({ need, from, to }: AskedChange): string {
  if (to === 0) return `no ${THINGS[need.function]?.[1] ?? need.function}`;
  return `${to > from ? "+" : "−"}${things(need.function, Math.abs(to - from))}`;
}

/** The weightiest changes, and how many more: "+14 wound pads, +8 plasters and 3 more". */
export function changesText(changes: readonly AskedChange[], most: number): string {
  if (changes.length === 0) return "asks for the same";
  const shown = changes.slice(0, most).map(changeText).join(", ");
  const left = changes.length - most;
  return left > 0 ? `${shown} and ${left} more` : shown;
}

export const hasThing = (functionId: string): boolean => functionId in THINGS;
