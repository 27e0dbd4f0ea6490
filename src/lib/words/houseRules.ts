/** The eight house rules, both schools with their reason in a line. Default first. */
export const HOUSE_RULES = [
  {
    id: "emphasis",
    label: "Emphasis",
    options: [
      { id: "balanced", label: "Balanced", why: "each category counts by its needs" },
      {
        id: "severity-led",
        label: "Severity-led",
        why: "what kills counts double: bleeding, airway, breathing",
      },
      {
        id: "frequency-led",
        label: "Frequency-led",
        why: "what happens daily counts double: cuts, feet, aches",
      },
    ],
  },
  {
    id: "dates",
    label: "Dates",
    options: [
      { id: "strict", label: "Strict", why: "nothing counts after its date" },
      { id: "tiered", label: "Tiered", why: "comfort items count half for a year past it" },
    ],
  },
  {
    id: "duplicates",
    label: "Duplicates",
    options: [
      {
        id: "self-contained",
        label: "Self-contained",
        why: "the bag may be all you have with you",
      },
      { id: "lean", label: "Lean", why: "what others carry counts, a step slower" },
    ],
  },
  {
    id: "devices",
    label: "Devices",
    options: [
      { id: "tolerant", label: "Tolerant", why: "a weaker device beats none" },
      { id: "protocol-only", label: "Protocol only", why: "only what protocols name counts" },
    ],
  },
  {
    id: "improvised",
    label: "Improvised",
    options: [
      { id: "allow", label: "Allow", why: "a marked stand-in counts in part" },
      { id: "deny", label: "Deny", why: "a kit should not need makeshifts" },
    ],
  },
  {
    id: "advanced",
    label: "Advanced",
    options: [
      { id: "gate", label: "Gate", why: "what nobody here is trained for counts nothing" },
      { id: "carry", label: "Carry", why: "a trained hand may come by: counts half" },
    ],
  },
  {
    id: "breathing",
    label: "Breathing",
    options: [
      { id: "barrier", label: "Barrier", why: "breaths are given, through a barrier" },
      { id: "hands-only", label: "Hands only", why: "compressions are what matters most" },
    ],
  },
  {
    id: "cutting",
    label: "Cutting",
    options: [
      { id: "shears", label: "Shears", why: "blunt shears go under clothing safely" },
      {
        id: "scissors",
        label: "Scissors",
        why: "strong scissors keep an edge and can be sharpened",
      },
    ],
  },
] as const;

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
