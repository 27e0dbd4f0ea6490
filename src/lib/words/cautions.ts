/** Cautions that stand at the item and in the report. Equipment only: no treatment is taught here. */
export interface Caution {
  readonly id: string;
  readonly itemTypes: readonly string[];
  readonly text: string;
}

export const GENERAL_CAUTION =
  "Wide Sieve audits equipment; it does not teach treatment. Follow the emergency number's advice, local codes and protocols and the maker's instructions, and get trained.";

// prettier-ignore
export const CAUTIONS: readonly Caution[] = [
  { id: "tourniquet", itemTypes: ["windlass-tourniquet", "ratchet-tourniquet", "elastic-loop-tourniquet", "stretch-wrap-tourniquet"], text: "Only purpose-made, from a known source, and only with training. Note the time it goes on. Copies of life-saving devices fail when they are needed." },
  { id: "strap", itemTypes: ["phlebotomy-strap"], text: "A vein strap is no tourniquet: it does not close an artery." },
  { id: "haemostatic", itemTypes: ["haemostatic-gauze", "haemostatic-pad", "haemostatic-granules"], text: "By the maker's instructions. Granules are for trained users and never near eyes." },
  { id: "licensed", itemTypes: ["nasal-airway", "oral-airway", "decompression-needle", "suture-pack", "skin-stapler", "tissue-adhesive", "scalpel", "opioid-tablet", "antibiotic-tablet"], text: "For licensed or specifically trained use. Never proposed by a plan." },
  { id: "medicine", itemTypes: ["paracetamol", "ibuprofen", "antihistamine-tablet", "loperamide", "bismuth-tablet", "antacid", "motion-tablet", "cold-tablet", "hydrocortisone-cream", "antibiotic-ointment", "oral-gel", "throat-lozenge"], text: "Only with name, strength and date on it. Ask about allergies and other medicines; children's doses by the label; local law says who may give medicines." },
  { id: "aspirin", itemTypes: ["aspirin"], text: "For chest pain only as emergency call handlers or local protocol direct. Not for children. Ask about allergies and other medicines." },
  { id: "prescription", itemTypes: ["adrenaline-pen", "opioid-tablet", "antibiotic-tablet"], text: "Only for the person it is prescribed to. Keep it at the temperature on its label; never in a hot car." },
  { id: "latex", itemTypes: ["latex-gloves", "phlebotomy-strap"], text: "Latex: some people react badly. Ask first, or carry nitrile." },
  { id: "iodine", itemTypes: ["iodine-pad"], text: "Iodine: ask about allergy, pregnancy and thyroid trouble." },
  { id: "wound-liquids", itemTypes: ["hydrogen-peroxide", "alcohol-pad"], text: "Peroxide and alcohol harm open wounds: intact skin only." },
  { id: "glue", itemTypes: ["household-glue"], text: "Household glue is no wound closure." },
  { id: "venom", itemTypes: ["heavy-compression-bandage", "venom-extractor"], text: "Pressure immobilisation only where local guidance calls for it; with some species it harms. Never cut, suck or tie a tourniquet for a bite." },
  { id: "glass", itemTypes: ["thermometer-glass"], text: "Glass breaks in the bag, and mercury is poison." },
  { id: "ammonia", itemTypes: ["ammonia-inhalant"], text: "Ammonia can harm and hides what is wrong. Leave it out." },
  { id: "shears", itemTypes: ["trauma-shears", "heavy-scissors"], text: "Try it before you trust it: on cloth, never on a person." },
];

/** The cautions of an item type, in order. */
export const cautionsFor = (itemType: string | null): readonly Caution[] =>
  itemType === null ? [] : CAUTIONS.filter((c) => c.itemTypes.includes(itemType));
