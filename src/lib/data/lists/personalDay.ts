import type { ShippedList } from "./shippedList.ts";

/** One or two people, a day out, a few hours from care. */
// prettier-ignore
export const PERSONAL_DAY: ShippedList = {
  id: "personal-day",
  title: "Personal day kit",
  for: "One or two people on a day out, within a few hours of care, in a pocket or a day pack.",
  isNot: "Not a code or a standard, and not enough for a group: where a local rule applies, load it.",
  version: 1,
  needs: [
    { id: "direct-pressure", function: "bulk-absorbent", tier: "vital", quantity: { base: 1 }, spec: { minSizeMm: [120, 200], sterile: true }, access: "minute", accept: [{ itemType: "pressure-bandage", credit: 1 }, { itemType: "sanitary-pad", credit: 0.4, improvised: true }], reason: "Firm pressure on a thick pad stops most heavy bleeding, and it must be there at once." },
    { id: "hold-pressure", function: "dressing-retention", tier: "vital", quantity: { base: 4 }, access: "minute", accept: [{ itemType: "pressure-bandage", credit: 1, yield: 4 }], reason: "A pad that is not bound on falls off as soon as you let go." },
    { id: "gloves", function: "gloves", tier: "vital", quantity: { base: 1 }, access: "seconds", reason: "You will not help well if you fear the blood; gloves go on first." },
    { id: "small-cuts", function: "small-wound-cover", tier: "core", quantity: { base: 2, perPerson: 3 }, spec: { minLengthMm: 60 }, reason: "The wound you will really have; big enough to cover a knuckle." },
    { id: "medium-wounds", function: "medium-wound-pad", tier: "core", quantity: { base: 2, redressEveryH: 12 }, spec: { minSizeMm: [75, 75], sterile: true }, reason: "A grazed knee or forearm is larger than any plaster." },
    { id: "non-stick", function: "non-adherent-layer", tier: "core", quantity: { base: 1, redressEveryH: 12 }, spec: { minSizeMm: [50, 50] }, reason: "A dressing that sticks tears the clot when it is changed." },
    { id: "tape", function: "tape", tier: "core", quantity: { base: 1 }, spec: { minWidthMm: 12 }, reason: "Holds a pad where a bandage will not go; about a metre for two dressings." },
    { id: "closure", function: "wound-closure", tier: "useful", quantity: { base: 3 }, reason: "Draws the edges of a clean cut together until it is seen to." },
    { id: "clean-skin", function: "skin-antiseptic", tier: "core", quantity: { base: 2, perPerson: 1 }, reason: "Clean the skin round a wound before you cover it." },
    { id: "flush", function: "wound-irrigation", tier: "useful", quantity: { base: 40 }, accept: [{ itemType: "eyewash", credit: 1 }], reason: "Grit that stays in a graze scars and festers; two ampoules flush a small one." },
    { id: "clean-hands", function: "hand-hygiene", tier: "useful", quantity: { perPerson: 1 }, reason: "Your hands are dirtier than the wound." },
    { id: "blisters", function: "blister-care", tier: "core", quantity: { base: 1, perPerson: 1 }, when: { activities: ["walking", "running", "hiking", "ladder-work", "climbing", "camping"] }, reason: "A hot spot padded in time lets you walk home." },
    { id: "splinters", function: "splinter-removal", tier: "core", quantity: { base: 1 }, reason: "Fingernails push a splinter further in." },
    { id: "sprain", function: "joint-support", tier: "core", quantity: { base: 1 }, spec: { minWidthMm: 70 }, reason: "A turned ankle on the way back needs support to walk on." },
    { id: "sling", function: "sling", tier: "useful", quantity: { base: 1 }, reason: "A hurt arm hurts less when it is carried." },
    { id: "ticks", function: "tick-removal", tier: "useful", quantity: { base: 1 }, when: { activities: ["walking", "hiking", "camping", "orchard", "fieldwork"] }, reason: "Ticks come off whole with the right tool, the sooner the better." },
    { id: "stings", function: "sting-relief", tier: "useful", quantity: { base: 1, perPerson: 1 }, reason: "Stings are common and sore; relief is light to carry." },
    { id: "allergy", function: "antihistamine", tier: "core", quantity: { base: 2 }, reason: "Eases a mild reaction while you watch for a worse one; ask about allergies and other medicines." },
    { id: "pain", function: "pain-relief", tier: "core", quantity: { perPerson: 2 }, reason: "A dose each, by the label, lets people get themselves home." },
    { id: "burns", function: "burn-dressing", tier: "useful", quantity: { base: 1 }, spec: { sterile: true }, when: { activities: ["cooking", "camping", "workshop"] }, reason: "After cooling with water, a burn wants a clean cover that does not stick." },
    { id: "breaths", function: "rescue-breath-barrier", tier: "core", quantity: { base: 1 }, access: "minute", reason: "For those trained to give breaths and unwilling to without a barrier." },
    { id: "warm", function: "heat-retention", tier: "core", quantity: { base: 1 }, reason: "Anyone hurt and lying still gets cold, in summer too." },
    { id: "cutting", function: "fine-cutting", tier: "core", quantity: { base: 1 }, reason: "Tape and bandage have to be cut to length." },
    { id: "whistle", function: "signal", tier: "useful", quantity: { base: 1 }, when: { activities: ["walking", "hiking", "climbing", "boating", "camping"] }, reason: "A whistle carries further than a voice and does not tire." },
    { id: "contents", function: "contents-list", tier: "useful", quantity: { base: 1 }, reason: "A list shows what has been used and never put back." },
  ],
};
