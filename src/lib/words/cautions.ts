import { conditionHolds } from "../core/reference/asked.ts";
import type { Brief } from "../core/model/brief.ts";
import type { HouseRules } from "../core/model/houseRules.ts";
import type { Need } from "../core/model/list.ts";

/**
 * Cautions that stand at the item, at the need, at the brief and in the report. Equipment only: no
 * treatment is taught here; local codes, protocols, the maker's instructions and licensed practice
 * come first.
 */
export interface Caution {
  readonly id: string;
  /** The things it stands at. */
  readonly itemTypes?: readonly string[];
  /** The needs it stands at. */
  readonly functions?: readonly string[];
  /** Only under such a brief; alone, it stands at the brief itself. */
  readonly when?: NonNullable<Need["when"]>;
  /** Only under this house rule. */
  readonly houseRule?: readonly [rule: keyof HouseRules, option: string];
  readonly text: string;
}

export const GENERAL_CAUTION =
  "Wide Sieve audits equipment; it does not teach treatment. Follow the emergency number's advice, local codes and protocols and the maker's instructions, and get trained.";

const MEDICINES = [
  "paracetamol",
  "ibuprofen",
  "antihistamine-tablet",
  "loperamide",
  "bismuth-tablet",
  "antacid",
  "motion-tablet",
  "cold-tablet",
  "throat-lozenge",
  "hydrocortisone-cream",
  "antibiotic-ointment",
  "oral-gel",
  "temporary-filling",
  "eye-drops",
  "rehydration-salts",
  "glucose-gel",
  "burn-gel-sachet",
  "sting-swab",
  "sting-ampoule",
  "hydrogen-peroxide",
  "antiseptic-bottle",
  "antiseptic-cream",
  "iodine-pad",
  "iodine-solution",
  "child-medicine",
  "antihistamine-liquid",
];
const ADHESIVES = [
  "adhesive-strip",
  "adhesive-knuckle",
  "adhesive-junior",
  "adhesive-large",
  "butterfly-closure",
  "closure-strips",
  "medical-tape",
  "film-dressing",
  "friction-patch",
  "blister-cushion",
  "benzoin-swab",
  "duct-tape",
  "plaster-strip",
  "strapping-tape",
];
const OFTEN_LATEX = [
  "latex-gloves",
  "phlebotomy-strap",
  "elastic-loop-tourniquet",
  "stretch-wrap-tourniquet",
  "cohesive-wrap",
  "tubular-bandage",
  "elastic-bandage",
  "heavy-compression-bandage",
  "plaster-strip",
  "strapping-tape",
];

// prettier-ignore
export const CAUTIONS: readonly Caution[] = [
  { id: "tourniquet", itemTypes: ["windlass-tourniquet", "ratchet-tourniquet", "elastic-loop-tourniquet", "stretch-wrap-tourniquet"], functions: ["limb-tourniquet"], text: "Tourniquets: only purpose-made, from a known source, and only with training. Write down when it went on. Copies of life-saving devices fail when they are needed." },
  { id: "strap", itemTypes: ["phlebotomy-strap"], text: "A vein strap is no tourniquet: it does not close an artery." },
  { id: "haemostatic", itemTypes: ["haemostatic-gauze", "haemostatic-pad"], functions: ["haemostatic-packing"], text: "Haemostatics: by the maker's instructions, with training." },
  { id: "granules", itemTypes: ["haemostatic-granules"], text: "Granules are for trained users only: they blow into eyes and can travel where they should not." },
  { id: "chest-seal", itemTypes: ["vented-chest-seal", "plain-chest-seal"], functions: ["chest-seal"], text: "Chest seals: only with training and where local protocol has them. A seal that blocks can kill." },
  { id: "airway", itemTypes: ["nasal-airway", "oral-airway", "bag-valve-mask", "hand-suction"], functions: ["airway-adjunct", "ventilation", "suction"], text: "Airways, bag and mask, suction: only for those trained to size and use them. Never proposed by a plan to others." },
  { id: "trained-bones", itemTypes: ["pelvic-binder", "cervical-collar"], functions: ["pelvis-binding", "neck-support"], text: "Pelvic binders and collars: for those trained to them, where protocol has them." },
  { id: "licensed", itemTypes: ["decompression-needle", "suture-pack", "skin-stapler", "tissue-adhesive", "scalpel", "opioid-tablet", "antibiotic-tablet"], functions: ["chest-decompression", "wound-suture", "sharp-blade"], text: "Needles, sutures, staplers, tissue glue, scalpels, opioids, antibiotic tablets: licensed or specifically trained use. Never a default recommendation." },
  { id: "trainer", itemTypes: ["trainer-device"], text: "A training device does nothing in earnest. Keep it out of the kit: in a hurry it is taken for the real thing." },
  { id: "defibrillator", itemTypes: ["aed", "aed-pads", "aed-pads-child", "aed-battery"], functions: ["defibrillation", "defibrillation-pads", "defibrillation-pads-child"], text: "A defibrillator is only as good as its light, its pads and its battery: look at all three every month, and know how many minutes away it is." },
  { id: "medicine", itemTypes: MEDICINES, functions: ["pain-relief", "child-pain-relief", "antihistamine", "antidiarrhoeal", "stomach-relief", "motion-sickness", "cold-relief", "oral-pain-gel", "itch-relief", "topical-antibiotic"], text: "Medicines: only with name, strength and date on them. Ask about allergies and other medicines; children's doses by the label; local law says who may give medicines." },
  { id: "planning-dose", itemTypes: ["paracetamol", "ibuprofen", "aspirin", "glucose-gel"], functions: ["sugar", "cardiac-aspirin"], text: "A planning dose counts what is carried. It is no advice on what to take: the label and licensed practice say that." },
  { id: "anti-inflammatory", itemTypes: ["ibuprofen", "aspirin"], text: "Anti-inflammatories: ask about asthma, stomach ulcers, kidneys, blood thinners and late pregnancy; not for someone who is dried out." },
  { id: "double-paracetamol", itemTypes: ["paracetamol", "cold-tablet", "child-medicine"], text: "Paracetamol hides in many tablets and sachets: read what else was taken, the gap between a full dose and harm is small." },
  { id: "drowsy", itemTypes: ["antihistamine-tablet", "antihistamine-liquid", "motion-tablet"], functions: ["antihistamine", "motion-sickness"], text: "Older allergy and travel tablets make drowsy: no ladder, saw or wheel afterwards. Never instead of adrenaline." },
  { id: "diarrhoea", itemTypes: ["loperamide"], functions: ["antidiarrhoeal"], text: "Loperamide: not for young children, and not where there is fever or blood." },
  { id: "not-for-children", itemTypes: ["aspirin", "bismuth-tablet"], text: "Aspirin and bismuth are not for children and teenagers." },
  { id: "benzocaine", itemTypes: ["oral-gel", "sting-ampoule", "sting-swab"], text: "Some numbing gels and swabs hold benzocaine: never for infants." },
  { id: "aspirin", itemTypes: ["aspirin"], functions: ["cardiac-aspirin"], text: "Aspirin for chest pain only as emergency call handlers or local protocol direct. Ask about allergies and other medicines." },
  { id: "prescription", itemTypes: ["adrenaline-pen", "opioid-tablet", "antibiotic-tablet", "reliever-inhaler"], functions: ["adrenaline-auto-injector", "reliever-inhaler"], text: "Prescription medicines: only for the person they are prescribed to." },
  { id: "naloxone", itemTypes: ["naloxone-spray"], functions: ["opioid-reversal"], text: "Naloxone: where local rules let you hold it, with the instruction that comes with it." },
  { id: "pen-temperature", itemTypes: ["adrenaline-pen"], functions: ["adrenaline-auto-injector"], text: "Auto-injectors: at the temperature on the label, never frozen, never in a hot car; look at the window and the date." },
  { id: "latex", itemTypes: OFTEN_LATEX, text: "Holds latex, or often does: some people react badly. Ask, read the pack, or carry a kind that says it is free of it." },
  { id: "iodine", itemTypes: ["iodine-pad", "iodine-solution"], text: "Iodine: ask about allergy, pregnancy and thyroid trouble." },
  { id: "adhesive", itemTypes: ADHESIVES, when: { sensitivities: ["adhesive"] }, text: "Someone of the party reacts to adhesives: bind dressings on, or carry a kind they know." },
  { id: "nsaid", itemTypes: ["aspirin", "ibuprofen", "bismuth-tablet"], when: { sensitivities: ["nsaid"] }, text: "Someone of the party reacts to aspirin and ibuprofen: not for them, nor bismuth that holds the same." },
  { id: "wound-liquids", itemTypes: ["hydrogen-peroxide", "alcohol-pad", "alcohol-bottle"], text: "Peroxide and alcohol harm open wounds: intact skin only, and away from flames." },
  { id: "glue", itemTypes: ["household-glue"], text: "Household glue is no wound closure." },
  { id: "venom", itemTypes: ["heavy-compression-bandage"], functions: ["pressure-immobilisation"], text: "Pressure immobilisation only where local guidance calls for it: with some species it harms, and elsewhere leaving it out does. Never cut, suck or tie a tourniquet for a bite." },
  { id: "suction", itemTypes: ["venom-extractor"], text: "Suction removes no venom worth the name and harms the wound. Never cut, suck or tie a tourniquet for a bite." },
  { id: "burn-gel", itemTypes: ["burn-gel-sachet", "burn-gel-dressing", "aloe-gel"], functions: ["burn-gel", "burn-dressing"], text: "Gel does not take the place of clean running water. Large wet dressings chill a casualty, children first." },
  { id: "glass", itemTypes: ["thermometer-glass"], text: "Glass breaks in the bag, and mercury is poison." },
  { id: "ammonia", itemTypes: ["ammonia-inhalant"], text: "Ammonia inhalants are outdated: they can harm and hide what is wrong. Leave them out." },
  { id: "shears", itemTypes: ["trauma-shears", "heavy-scissors", "belt-cutter"], text: "Try it before you trust it: on cloth, never on a person." },
  { id: "eye-drops", itemTypes: ["eye-drops"], text: "Drops for red eyes rinse nothing out: they are no eyewash." },
  { id: "eye-shield", itemTypes: ["eye-pad", "eye-shield"], functions: ["eye-cover", "eye-shielding"], text: "A pad presses on the eye, a shield stands clear of it: they are not for the same injury." },
  { id: "cold", itemTypes: ["cold-pack", "cold-spray"], functions: ["cold-therapy"], text: "Cold packs and sprays: never straight on the skin for long; a split pack leaks salts." },
  { id: "warmer", itemTypes: ["hand-warmer"], functions: ["heat-source"], text: "Chemical warmers burn skin that feels little: not straight on it, not on a cold limb." },
  { id: "repellent", itemTypes: ["insect-repellent"], functions: ["insect-protection"], text: "Repellent by its label: not on broken skin, and mind the age it is for." },
  { id: "water", itemTypes: ["water-purifier", "water-filter"], functions: ["water-treatment"], text: "Tablets need their time and clear water; neither tablets nor a plain filter take chemicals out." },
  { id: "sanitiser", itemTypes: ["hand-sanitiser"], text: "Alcohol gel burns: keep it from the stove." },
  { id: "oximeter", itemTypes: ["pulse-oximeter"], functions: ["oxygen-reading"], text: "A finger reading misleads on cold hands, nail varnish and dark skin: never calm down because of a number." },
  { id: "emblem", itemTypes: ["container"], text: "The red cross, crescent and crystal are protected emblems and no decoration: mark a kit with the sign your country uses for first aid." },
  // At the brief itself.
  { id: "sting-brief", when: { sensitivities: ["sting"] }, text: "Someone reacts to stings: ask whether they are prescribed an auto-injector and where it is. No plan can put one in the kit, and it works only when it is at hand." },
  { id: "latex-brief", when: { sensitivities: ["latex"] }, text: "Someone reacts to latex: gloves of latex count for nothing here; wraps, elastic bandages and bands that often hold it count only once their pack says that they are free of it; plasters and the like stay a question until you have looked." },
  { id: "children", when: { activities: ["children"] }, text: "Children along: medicines in children's kinds and doses, by the label; no aspirin; the kit out of their reach." },
  { id: "breaths", when: { activities: ["children", "water"] }, houseRule: ["breathing", "hands-only"], text: "You follow hands only. Children, and anyone taken from the water, need breaths too: carry a barrier and someone trained to use it." },
  { id: "snakes", when: { activities: ["snakes"] }, text: "Snake country: which method is taught differs by region and species, and the wrong one harms. Ask there, say so below, and load the local list before you rely on this one." },
  { id: "vehicle-heat", when: { carry: ["vehicle", "boat"] }, text: "In a vehicle or on a boat heat and salt spoil medicines, dry out wipes and rot tape: look through it twice as often, and keep auto-injectors elsewhere." },
  { id: "work-rule", when: { activities: ["workshop", "machinery", "forestry", "hot-work"] }, text: "Workplaces have local rules on first aid and on corrosives: load them and combine the two." },
  { id: "sport-rule", when: { activities: ["team-sport"] }, text: "Head injuries and return to play follow the sport's own rules, not a kit." },
];

/** The cautions of an item type, in order; of those tied to a brief only where it holds. */
export const cautionsFor = (itemType: string | null, brief?: Brief): readonly Caution[] =>
  itemType === null
    ? []
    : CAUTIONS.filter(
        (c) =>
          c.itemTypes?.includes(itemType) && (!c.when || (brief && conditionHolds(c.when, brief))),
      );

/** The cautions of a job, for a need that nothing may serve yet. */
export const cautionsForFunction = (functionId: string): readonly Caution[] =>
  CAUTIONS.filter((c) => c.functions?.includes(functionId) && !c.when);

/** What stands at a brief itself. */
export const briefCautions = (brief: Brief, rules: HouseRules = {}): readonly Caution[] =>
  CAUTIONS.filter(
    (c) =>
      !c.itemTypes &&
      !c.functions &&
      c.when &&
      conditionHolds(c.when, brief) &&
      (!c.houseRule || rules[c.houseRule[0]] === c.houseRule[1]),
  );

/** What a caution stands for: the brief, a line of the kit, a need asked for, a product bought. */
export type CautionFor =
  | { readonly is: "brief" }
  | { readonly is: "line" | "need" | "product"; readonly id: string };

/** What an audit, and the plan that goes with it, must be cautious about. */
export interface CautionMatter {
  readonly brief: Brief;
  readonly houseRules: HouseRules;
  readonly lines: readonly { readonly id: string; readonly itemType: string | null }[];
  readonly needs: readonly { readonly id: string; readonly function: string }[];
  readonly products?: readonly { readonly id: string; readonly itemType: string }[];
}

/** Every caution once, with all it stands for: of the brief, then of things, then of what is asked for. */
export function cautionsOf(m: CautionMatter): { caution: Caution; for: CautionFor[] }[] {
  const found = new Map<string, { caution: Caution; for: CautionFor[] }>();
  const add = (cautions: readonly Caution[], at: CautionFor) => {
    for (const caution of cautions) {
      const entry = found.get(caution.id);
      if (entry) entry.for.push(at);
      else found.set(caution.id, { caution, for: [at] });
    }
  };
  add(briefCautions(m.brief, m.houseRules), { is: "brief" });
  for (const l of m.lines) add(cautionsFor(l.itemType, m.brief), { is: "line", id: l.id });
  for (const p of m.products ?? [])
    add(cautionsFor(p.itemType, m.brief), { is: "product", id: p.id });
  for (const n of m.needs) add(cautionsForFunction(n.function), { is: "need", id: n.id });
  return [...found.values()];
}
