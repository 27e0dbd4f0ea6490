import type { ShippedList } from "./shippedList.ts";

/** For regions where pressure immobilisation is taught. */
// prettier-ignore
export const BITE_WRAP: ShippedList = {
  id: "bite-wrap",
  title: "Venomous-bite wrap kit",
  for: "One to six people on foot or at work where snakes are found whose bites are treated by pressure immobilisation, as local guidance says.",
  isNot: "Not a code, not a treatment, and not for everywhere: with some species and in many countries a pressure wrap harms. Carry it only where local guidance calls for it. Never cut, suck, wash or tie off a bite.",
  version: 2,
  needs: [
    { id: "wrap", function: "pressure-immobilisation", tier: "vital", quantity: { base: 3 }, spec: { minWidthMm: 100, minLengthMm: 4000 }, access: "seconds", companions: ["limb-splint"], reason: "For a whole limb, hand or foot included: a tall person’s leg takes three bandages of four and a half metres." },
    { id: "splint", function: "limb-splint", tier: "vital", quantity: { base: 1 }, spec: { minLengthMm: 450 }, access: "minute", reason: "The limb is kept still together with the wrap." },
    { id: "write", function: "write", tier: "vital", quantity: { base: 1 }, access: "minute", reason: "Time and place of the bite are written on the wrap." },
    { id: "bind-splint", function: "dressing-retention", tier: "core", quantity: { base: 8 }, spec: { minWidthMm: 70 }, access: "minute", accept: [{ itemType: "elastic-bandage", credit: 1, yield: 4.5 }], reason: "Binds the splint on over the wrap." },
    { id: "fasten", function: "fasten", tier: "core", quantity: { base: 4 }, accept: [{ itemType: "medical-tape", credit: 0.8, yield: 4 }], reason: "A wrap that slips no longer presses." },
    { id: "sling", function: "sling", tier: "core", quantity: { base: 2 }, spec: { minSizeMm: [900, 900] }, reason: "Carries a bitten arm, or helps to keep a leg still." },
    { id: "tape", function: "tape", tier: "useful", quantity: { base: 2 }, spec: { minWidthMm: 20 }, reason: "Fixes ends and holds a pad over the bite." },
    { id: "cover", function: "medium-wound-pad", tier: "useful", quantity: { base: 1 }, spec: { minSizeMm: [50, 50], sterile: true }, reason: "A pad over the bite, where that is taught; the bite is not washed." },
    { id: "gloves", function: "gloves", tier: "core", quantity: { base: 1 }, access: "minute", reason: "Venom and blood on the skin of the helper." },
    { id: "shears", function: "cut-clothing", tier: "useful", quantity: { base: 1 }, reason: "Where clothing must be opened without moving the limb." },
    { id: "breaths", function: "rescue-breath-barrier", tier: "vital", quantity: { base: 1 }, access: "minute", accept: [{ itemType: "face-shield", credit: 1 }], reason: "Some venoms stop the breathing before help is there." },
    { id: "record", function: "casualty-record", tier: "core", quantity: { base: 1 }, reason: "Time, place, signs and when: the hospital needs them." },
    { id: "guide", function: "instructions", tier: "vital", quantity: { base: 1 }, access: "minute", reason: "The local guidance, with the number to call; it lies with the wraps." },
    { id: "signal", function: "signal", tier: "core", quantity: { base: 1 }, reason: "The casualty lies still and help comes to them, so they must be found." },
    { id: "light", function: "light", tier: "useful", quantity: { base: 1 }, reason: "Many snakes are about at night." },
    { id: "warm", function: "heat-retention", tier: "useful", quantity: { base: 1 }, accept: [{ itemType: "foil-blanket", credit: 1 }], reason: "Lying still for hours, in the shade by day and the cold by night." },
    { id: "pain", function: "pain-relief", tier: "useful", quantity: { base: 2 }, accept: [{ itemType: "ibuprofen", credit: 0 }, { itemType: "aspirin", credit: 0 }], reason: "Paracetamol by the label; nothing that thins the blood, so neither ibuprofen nor aspirin counts." },
    { id: "allergy", function: "antihistamine", tier: "useful", quantity: { base: 2 }, reason: "For what is a sting after all; watch breathing and swelling." },
    { id: "own-adrenaline", function: "adrenaline-auto-injector", tier: "core", quantity: { base: 1 }, access: "seconds", when: { sensitivities: ["sting"] }, theirs: true, reason: "Someone who reacts to stings: their own prescribed auto-injector, on them and in date. Nobody can buy it for them." },
    { id: "ticks", function: "tick-removal", tier: "useful", quantity: { base: 1 }, reason: "The same walk has ticks." },
  ],
};
