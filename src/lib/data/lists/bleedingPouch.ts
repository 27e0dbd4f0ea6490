import type { ShippedList } from "./shippedList.ts";

/** A pouch for one job, on a belt or at a machine. */
// prettier-ignore
export const BLEEDING_POUCH: ShippedList = {
  id: "bleeding-pouch",
  title: "Bleeding-control pouch",
  for: "One or two trained people where blades, machines or falls can cut deep; carried on the body or mounted in reach.",
  isNot: "Not a first aid kit: it has nothing for the small things. Not a code or a standard; follow local protocol on devices.",
  version: 2,
  needs: [
    { id: "tourniquet", function: "limb-tourniquet", tier: "vital", quantity: { base: 1, baseFor: 8, perPerson: 0.125, max: 4 }, access: "seconds", reason: "The one thing that closes a limb artery in time." },
    { id: "packing", function: "wound-packing", tier: "vital", quantity: { base: 1 }, spec: { minWidthMm: 70, sterile: true }, access: "seconds", reason: "Where no tourniquet can go; one length that feeds, in trained hands." },
    { id: "clotting", function: "haemostatic-packing", tier: "useful", quantity: { base: 1 }, spec: { sterile: true }, access: "minute", when: { hoursToCareMin: 1 }, reason: "Speeds clotting while help is far; by the maker's instructions." },
    { id: "pressure", function: "pressure-dressing", tier: "vital", quantity: { base: 1 }, spec: { minWidthMm: 100, sterile: true }, access: "seconds", reason: "Holds pressure and frees the hands." },
    { id: "absorb", function: "bulk-absorbent", tier: "core", quantity: { base: 1 }, spec: { minSizeMm: [120, 200], sterile: true }, access: "minute", accept: [{ itemType: "sanitary-pad", credit: 0.4, improvised: true }], reason: "A wider pad, for what the pressure bandage does not cover." },
    { id: "chest", function: "chest-seal", tier: "core", quantity: { base: 2 }, access: "minute", reason: "A wound that goes through has two sides; where local protocol has seals." },
    { id: "gloves", function: "gloves", tier: "vital", quantity: { base: 2 }, access: "seconds", reason: "On before anything else; two pairs, as one tears." },
    { id: "shears", function: "cut-clothing", tier: "core", quantity: { base: 1 }, access: "seconds", reason: "Clothing has to come off to see what there is." },
    { id: "hold", function: "dressing-retention", tier: "core", quantity: { base: 4 }, spec: { minWidthMm: 70 }, access: "minute", reason: "Keeps packing in place when the casualty is moved." },
    { id: "tape", function: "tape", tier: "useful", quantity: { base: 2 }, spec: { minWidthMm: 20 }, reason: "Fixes the end of a wrap and a seal that will not stick." },
    { id: "warm", function: "heat-retention", tier: "core", quantity: { base: 1 }, access: "any", accept: [{ itemType: "foil-blanket", credit: 1 }], reason: "A cold casualty's blood clots badly." },
    { id: "breaths", function: "rescue-breath-barrier", tier: "useful", quantity: { base: 1 }, access: "minute", accept: [{ itemType: "face-shield", credit: 1 }], reason: "Someone who bleeds may stop breathing." },
    { id: "write", function: "write", tier: "core", quantity: { base: 1 }, access: "minute", reason: "The time the tourniquet went on goes with the casualty." },
    { id: "record", function: "casualty-record", tier: "useful", quantity: { base: 1 }, reason: "What was done and when goes with the casualty." },
    { id: "instructions", function: "instructions", tier: "core", quantity: { base: 1 }, access: "minute", reason: "So that a bystander can use it on its owner." },
    { id: "light", function: "light", tier: "useful", quantity: { base: 1 }, access: "minute", reason: "Bleeding is hard to see in the dark." },
    { id: "waste", function: "waste-containment", tier: "useful", quantity: { base: 1 }, reason: "For what has blood on it." },
    { id: "own-adrenaline", function: "adrenaline-auto-injector", tier: "core", quantity: { base: 1 }, access: "seconds", when: { sensitivities: ["sting"] }, theirs: true, reason: "Someone who reacts to stings: their own prescribed auto-injector, on them and in date. Nobody can buy it for them." },
  ],
};
