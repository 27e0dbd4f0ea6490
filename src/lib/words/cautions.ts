import { conditionHolds } from "../core/reference/asked.ts";
import type { Brief } from "../core/model/brief.ts";
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
  "iodine-pad",
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
];

// prettier-ignore
export const CAUTIONS: readonly Caution[] = [
  { id: "tourniquet", itemTypes: ["windlass-tourniquet", "ratchet-tourniquet", "elastic-loop-tourniquet", "stretch-wrap-tourniquet"], functions: ["limb-tourniquet"], text: "Tourniquets: only purpose-made, from a known source, and only with training. Note the time it goes on. Copies of life-saving devices fail when they are needed." },
  { id: "strap", itemTypes: ["phlebotomy-strap"], text: "A vein strap is no tourniquet: it does not close an artery." },
  { id: "haemostatic", itemTypes: ["haemostatic-gauze", "haemostatic-pad"], functions: ["haemostatic-packing"], text: "Haemostatics: by the maker's instructions, with training." },
  { id: "granules", itemTypes: ["haemostatic-granules"], text: "Granules are for trained users only: they blow into eyes and can travel where they should not." },
  { id: "airway", itemTypes: ["nasal-airway", "oral-airway"], functions: ["airway-adjunct"], text: "Airways: only for those trained to size and place them. Never proposed by a plan to others." },
  { id: "licensed", itemTypes: ["decompression-needle", "suture-pack", "skin-stapler", "tissue-adhesive", "scalpel", "opioid-tablet", "antibiotic-tablet"], functions: ["chest-decompression", "wound-suture", "sharp-blade"], text: "Needles, sutures, staplers, tissue glue, scalpels, opioids, antibiotic tablets: licensed or specifically trained use. Never a default recommendation." },
  { id: "medicine", itemTypes: MEDICINES, functions: ["pain-relief", "antihistamine", "antidiarrhoeal", "stomach-relief", "motion-sickness", "cold-relief", "oral-pain-gel", "itch-relief", "topical-antibiotic"], text: "Medicines: only with name, strength and date on them. Ask about allergies and other medicines; children's doses by the label; local law says who may give medicines." },
  { id: "aspirin", itemTypes: ["aspirin"], functions: ["cardiac-aspirin"], text: "Aspirin for chest pain only as emergency call handlers or local protocol direct. Not for children. Ask about allergies and other medicines." },
  { id: "prescription", itemTypes: ["adrenaline-pen", "opioid-tablet", "antibiotic-tablet"], functions: ["adrenaline-auto-injector"], text: "Prescription medicines: only for the person they are prescribed to." },
  { id: "pen-temperature", itemTypes: ["adrenaline-pen"], functions: ["adrenaline-auto-injector"], text: "Auto-injectors: at the temperature on the label, never frozen, never in a hot car; look at the window and the date." },
  { id: "latex", itemTypes: ["latex-gloves", "phlebotomy-strap"], text: "Latex: some people react badly. Ask first, or carry nitrile." },
  { id: "iodine", itemTypes: ["iodine-pad"], text: "Iodine: ask about allergy, pregnancy and thyroid trouble." },
  { id: "adhesive", itemTypes: ADHESIVES, when: { sensitivities: ["adhesive"] }, text: "Someone of the party reacts to adhesives: bind dressings on, or carry a kind they know." },
  { id: "nsaid", itemTypes: ["aspirin", "ibuprofen", "bismuth-tablet"], when: { sensitivities: ["nsaid"] }, text: "Someone of the party reacts to aspirin and ibuprofen: not for them, nor bismuth that holds the same." },
  { id: "wound-liquids", itemTypes: ["hydrogen-peroxide", "alcohol-pad"], text: "Peroxide and alcohol harm open wounds: intact skin only." },
  { id: "glue", itemTypes: ["household-glue"], text: "Household glue is no wound closure." },
  { id: "venom", itemTypes: ["heavy-compression-bandage"], functions: ["pressure-immobilisation"], text: "Pressure immobilisation only where local guidance calls for it: with some species it harms. Never cut, suck or tie a tourniquet for a bite." },
  { id: "suction", itemTypes: ["venom-extractor"], text: "Suction removes no venom worth the name and harms the wound. Never cut, suck or tie a tourniquet for a bite." },
  { id: "glass", itemTypes: ["thermometer-glass"], text: "Glass breaks in the bag, and mercury is poison." },
  { id: "ammonia", itemTypes: ["ammonia-inhalant"], text: "Ammonia can harm and hides what is wrong. Leave it out." },
  { id: "shears", itemTypes: ["trauma-shears", "heavy-scissors"], text: "Try it before you trust it: on cloth, never on a person." },
  { id: "eye-drops", itemTypes: ["eye-drops"], text: "Drops for red eyes rinse nothing out: they are no eyewash." },
  { id: "cold", itemTypes: ["cold-pack"], functions: ["cold-therapy"], text: "Cold packs: never straight on the skin; a split one leaks salts." },
  { id: "warmer", itemTypes: ["hand-warmer"], functions: ["heat-source"], text: "Chemical warmers burn skin that feels little: not straight on it, not on a cold limb." },
  { id: "sanitiser", itemTypes: ["hand-sanitiser"], text: "Alcohol gel burns: keep it from the stove." },
  { id: "emblem", itemTypes: ["container"], text: "The red cross, crescent and crystal are protected emblems and no decoration: mark a kit with the sign your country uses for first aid." },
  // At the brief itself.
  { id: "sting-brief", when: { sensitivities: ["sting"] }, text: "Someone reacts to stings: ask whether they are prescribed an auto-injector and where it is. No plan can put one in the kit, and it works only when it is at hand." },
  { id: "latex-brief", when: { sensitivities: ["latex"] }, text: "Someone reacts to latex: nothing of latex counts in this audit. Look at straps and bandage clips too." },
  { id: "children", when: { activities: ["children"] }, text: "Children along: medicines in children's kinds and doses, by the label; no aspirin; the kit out of their reach." },
  { id: "snakes", when: { activities: ["snakes"] }, text: "Snake country: local guidance decides between pressure immobilisation and leaving the limb alone. Load the local list before you rely on this one." },
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
export const briefCautions = (brief: Brief): readonly Caution[] =>
  CAUTIONS.filter((c) => !c.itemTypes && !c.functions && c.when && conditionHolds(c.when, brief));

/** Every caution that an audit touches, once: of the brief, then of the things on the bench. */
export function cautionsOf(
  itemTypes: readonly (string | null | undefined)[],
  brief: Brief,
): readonly Caution[] {
  const all = [...briefCautions(brief), ...itemTypes.flatMap((t) => cautionsFor(t ?? null, brief))];
  return [...new Map(all.map((c) => [c.id, c])).values()];
}
