import {
  optionsOf,
  RULE_IDS,
  type RuleId,
  type School,
  type Schools,
} from "../core/model/houseRules.ts";

interface SchoolWords {
  readonly label: string;
  /** Its reason in a line. */
  readonly why: string;
}

/** Every rule and every school by name. One that is forgotten does not compile. */
const RULE_WORDS: {
  readonly [R in RuleId]: {
    readonly label: string;
    readonly schools: Readonly<Record<School<R>, SchoolWords>>;
  };
} = {
  emphasis: {
    label: "Emphasis",
    schools: {
      balanced: { label: "Balanced", why: "each category counts by its needs" },
      "severity-led": {
        label: "Severity-led",
        why: "what kills counts double: bleeding, airway, breathing",
      },
      "frequency-led": {
        label: "Frequency-led",
        why: "what happens daily counts double: cuts, feet, aches",
      },
    },
  },
  dates: {
    label: "Dates",
    schools: {
      strict: { label: "Strict", why: "nothing counts after its date" },
      tiered: { label: "Tiered", why: "comfort items count half for a year past it" },
    },
  },
  duplicates: {
    label: "Duplicates",
    schools: {
      "self-contained": { label: "Self-contained", why: "the bag may be all you have with you" },
      lean: { label: "Lean", why: "what others carry counts, a step slower" },
    },
  },
  devices: {
    label: "Devices",
    schools: {
      tolerant: { label: "Tolerant", why: "a weaker device beats none" },
      "protocol-only": { label: "Protocol only", why: "only what protocols name counts" },
    },
  },
  improvised: {
    label: "Improvised",
    schools: {
      allow: { label: "Allow", why: "a marked stand-in counts in part" },
      deny: { label: "Deny", why: "a kit should not need makeshifts" },
    },
  },
  advanced: {
    label: "Advanced",
    schools: {
      gate: { label: "Gate", why: "what nobody here is trained for counts nothing" },
      carry: { label: "Carry", why: "a trained hand may come by: counts half" },
    },
  },
  breathing: {
    label: "Breathing",
    schools: {
      barrier: { label: "Barrier", why: "breaths are given, through a barrier" },
      "hands-only": { label: "Hands only", why: "compressions are what matters most" },
    },
  },
  cutting: {
    label: "Cutting",
    schools: {
      shears: { label: "Shears", why: "blunt shears go under clothing safely" },
      scissors: { label: "Scissors", why: "strong scissors keep an edge and can be sharpened" },
    },
  },
  quantities: {
    label: "Quantities",
    schools: {
      list: { label: "By the list", why: "its authors knew what goes wrong" },
      chance: {
        label: "By chance",
        why: "what suffices in so many of 100 outings; of vital things never less than the list",
      },
    },
  },
};

const schoolWords = (rule: RuleId, school: string): SchoolWords =>
  (RULE_WORDS[rule].schools as Readonly<Record<string, SchoolWords>>)[school]!;

export const ruleLabel = (rule: RuleId): string => RULE_WORDS[rule].label;
export const schoolLabel = (rule: RuleId, school: string): string =>
  schoolWords(rule, school).label;

/** The school followed, with how often quantities by chance suffice. */
export const schoolText = (rule: RuleId, rules: Schools): string =>
  rule === "quantities" && rules.quantities === "chance"
    ? `${schoolLabel(rule, rules[rule])}, enough in ${Math.round(100 * rules.chanceAt)} of 100 outings`
    : schoolLabel(rule, rules[rule]);

/** The rules with their schools in words, the default first: for screens and reports. */
export const RULES_IN_WORDS = RULE_IDS.map((id) => ({
  id,
  label: ruleLabel(id),
  schools: optionsOf(id).map((school) => ({ id: school, ...schoolWords(id, school) })),
}));

export const THRESHOLD_LABEL = {
  ready: "Ready from a coverage of",
  nearly: "Nearly from",
  partial: "Partial from",
  partialVital: "Partial asks of each vital need",
} as const;

export const MARK_LABEL = {
  vital: "A vital need passes at",
  core: "A core need at",
  useful: "A useful need at",
} as const;
