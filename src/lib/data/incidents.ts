import type { ShippedKind } from "../core/chance/assumptions.ts";

const often = { spread: 0.6 } as const;
const seldom = { spread: 1 } as const;

/**
 * What may happen on an outing, per 1,000 person-days: low, middle, high. These are planning
 * assumptions, agreed at a table by people who lead outings, wide on purpose; they are no statistics and
 * no promise. `spread` is how much outings differ among themselves: everyday mishaps by about half their
 * rate, rare ones by all of it. Units of `asks` are those of the function.
 */
// prettier-ignore
export const INCIDENT_KINDS: readonly ShippedKind[] = [
  { id: "small-cut", label: "Small cut", category: "everyday-wounds", rate: [4, 10, 22], ...often, why: "Knives, tins, thorns: on most outings of a group one within a few days.", sure: "fairly sure", more: { cooking: 1.4, pruning: 1.6, workshop: 1.6, saws: 1.4, axes: 1.4, machinery: 1.3, children: 1.5, orchard: 1.2 }, asks: [
    { function: "small-wound-cover", units: [[1, 0.7], [2, 0.25], [3, 0.05]], againEveryH: 24, againUnits: [[1, 1]] },
    { function: "skin-antiseptic", units: [[1, 1]] },
    { function: "gloves", units: [[0, 0.7], [1, 0.3]] },
  ] },
  { id: "graze", label: "Graze", category: "everyday-wounds", rate: [3, 8, 18], ...often, why: "Falls on knees and hands, children most.", sure: "fairly sure", more: { children: 2, "team-sport": 2, climbing: 1.5, running: 1.5 }, asks: [
    { function: "medium-wound-pad", units: [[0, 0.35], [1, 0.5], [2, 0.15]], againEveryH: 24, againUnits: [[1, 1]] },
    { function: "small-wound-cover", units: [[0, 0.6], [1, 0.4]] },
    { function: "skin-antiseptic", units: [[1, 0.6], [2, 0.4]] },
    { function: "tape", units: [[0.3, 1]] },
  ] },
  { id: "deep-cut", label: "Dirty or gaping wound", category: "everyday-wounds", rate: [0.2, 0.8, 2], ...seldom, why: "One in ten cuts wants more than a plaster.", sure: "unsure", more: { pruning: 2, saws: 2, axes: 2, workshop: 2, machinery: 2 }, asks: [
    { function: "wound-irrigation", units: [[100, 0.6], [250, 0.4]] },
    { function: "wound-closure", units: [[0, 0.4], [3, 0.4], [5, 0.2]] },
    { function: "medium-wound-pad", units: [[1, 0.7], [2, 0.3]], againEveryH: 24, againUnits: [[1, 1]] },
    { function: "dressing-retention", units: [[1.5, 1]] },
    { function: "gloves", units: [[1, 1]] },
  ] },
  { id: "nosebleed", label: "Nosebleed", category: "everyday-wounds", rate: [0.5, 1.5, 3], ...often, why: "Dry air, knocks, children.", sure: "fairly sure", more: { children: 2, "team-sport": 2 }, asks: [
    { function: "nosebleed", units: [[1, 0.8], [2, 0.2]] },
    { function: "gloves", units: [[1, 1]] },
  ] },
  { id: "blister", label: "Blister", category: "feet-skin", rate: [4, 12, 30], ...often, why: "Feet of those who are not used to it; the commonest reason to stop walking.", sure: "fairly sure", more: { hiking: 2, walking: 1.5, running: 1.5 }, asks: [
    { function: "blister-care", units: [[1, 0.6], [2, 0.4]], againEveryH: 24, againUnits: [[1, 1]] },
  ] },
  { id: "chafing", label: "Chafing", category: "feet-skin", rate: [1, 3, 8], ...often, why: "Sweat and seams, long days.", sure: "unsure", more: { running: 2, hiking: 1.3 }, asks: [
    { function: "skin-lubricant", units: [[1, 0.5], [2, 0.5]] },
  ] },
  { id: "splinter", label: "Splinter or thorn", category: "feet-skin", rate: [2, 6, 14], ...often, why: "Wood, thorns, glass.", sure: "fairly sure", more: { pruning: 2, orchard: 1.5, workshop: 1.8, forestry: 1.8, fieldwork: 1.3 }, asks: [
    { function: "splinter-removal", units: [[1, 1]] },
    { function: "skin-antiseptic", units: [[1, 1]] },
    { function: "small-wound-cover", units: [[0, 0.6], [1, 0.4]] },
  ] },
  { id: "sunburn", label: "Sunburn", category: "feet-skin", rate: [0.5, 3, 8], ...seldom, why: "Mostly missing shade; comes to several at once.", sure: "unsure", more: { sun: 2, water: 1.5, boating: 1.5 }, asks: [
    { function: "sun-protection", units: [[2, 0.5], [4, 0.5]] },
  ] },
  { id: "sprain", label: "Sprain", category: "bones-joints", rate: [1, 3, 7], ...often, why: "Ankles on rough ground, knees and wrists in falls.", sure: "fairly sure", more: { hiking: 1.4, running: 1.6, "team-sport": 2.5, climbing: 1.3 }, asks: [
    { function: "joint-support", units: [[1, 1]] },
    { function: "cold-therapy", units: [[1, 0.8], [2, 0.2]] },
    { function: "pain-relief", units: [[0, 0.3], [1, 0.7]], againEveryH: 8, againUnits: [[1, 1]] },
  ] },
  { id: "fracture", label: "Broken bone", category: "bones-joints", rate: [0.05, 0.2, 0.6], ...seldom, why: "Falls from height and at speed.", sure: "unsure", more: { climbing: 3, "ladder-work": 2.5, "team-sport": 3, forestry: 1.5 }, leaves: 1, asks: [
    { function: "limb-splint", units: [[1, 1]] },
    { function: "sling", units: [[0, 0.4], [1, 0.5], [2, 0.1]] },
    { function: "pain-relief", units: [[1, 1]], againEveryH: 6, againUnits: [[1, 1]] },
    { function: "heat-retention", units: [[1, 1]] },
  ] },
  { id: "sting", label: "Insect sting", category: "bites-stings", rate: [2, 5, 12], ...seldom, why: "One nest gives several at once.", sure: "fairly sure", more: { wasps: 2.5, orchard: 1.5, fieldwork: 1.3, camping: 1.2 }, asks: [
    { function: "sting-relief", units: [[1, 0.8], [2, 0.2]] },
    { function: "antihistamine", units: [[0, 0.7], [1, 0.3]] },
  ] },
  { id: "tick", label: "Tick", category: "bites-stings", rate: [1, 3, 10], ...seldom, why: "By place and season: none in most, many in some.", sure: "unsure", more: { forestry: 2, fieldwork: 1.5, hiking: 1.3, children: 1.2 }, asks: [
    { function: "tick-removal", units: [[1, 1]] },
    { function: "skin-antiseptic", units: [[1, 1]] },
  ] },
  { id: "small-burn", label: "Small burn", category: "burns", rate: [0.5, 2, 5], ...often, why: "Stoves, pans, exhausts.", sure: "fairly sure", more: { cooking: 2, "hot-work": 4, camping: 1.2 }, asks: [
    { function: "burn-gel", units: [[1, 0.5], [2, 0.5]] },
    { function: "burn-dressing", units: [[0, 0.6], [1, 0.4]], againEveryH: 24, againUnits: [[1, 1]] },
    { function: "clean-water", units: [[1, 0.5], [2, 0.5]] },
  ] },
  { id: "eye", label: "Eye irritation", category: "eyes", rate: [0.5, 1.5, 4], ...often, why: "Dust, sap, chips, sun cream.", sure: "fairly sure", more: { saws: 2, workshop: 2.5, pruning: 2, "hot-work": 2, machinery: 1.5, orchard: 1.3 }, asks: [
    { function: "eye-irrigation", units: [[40, 0.6], [100, 0.3], [250, 0.1]] },
    { function: "eye-cover", units: [[0, 0.9], [1, 0.1]] },
  ] },
  { id: "headache", label: "Headache", category: "illness-pain", rate: [4, 9, 18], ...often, why: "Thirst, sun, little sleep.", sure: "fairly sure", more: { sun: 1.3 }, asks: [
    { function: "pain-relief", units: [[1, 0.8], [2, 0.2]] },
  ] },
  { id: "stomach", label: "Upset stomach", category: "illness-pain", rate: [1, 3, 7], ...often, why: "Change of food and water.", sure: "unsure", more: { camping: 1.2 }, asks: [
    { function: "stomach-relief", units: [[1, 0.6], [2, 0.4]] },
  ] },
  { id: "diarrhoea", label: "Diarrhoea", category: "illness-pain", rate: [0.5, 1.5, 5], ...seldom, why: "Spreads in a camp: several at once, or none.", sure: "unsure", more: { camping: 1.3 }, asks: [
    { function: "rehydration", units: [[2, 1]], againEveryH: 12, againUnits: [[2, 1]] },
    { function: "antidiarrhoeal", units: [[0, 0.5], [2, 0.5]] },
  ] },
  { id: "sea-sickness", label: "Motion sickness", category: "illness-pain", rate: [0.2, 0.8, 3], ...seldom, why: "Next to none on foot, most of a crew in a swell.", sure: "unsure", more: { boating: 12, driving: 4, vehicle: 3 }, asks: [
    { function: "motion-sickness", units: [[1, 0.7], [2, 0.3]] },
  ] },
  { id: "chest-pain", label: "Chest pain", category: "illness-pain", rate: [0.003, 0.01, 0.03], ...seldom, why: "Age and effort; rare on any one outing.", sure: "very unsure", leaves: 1, asks: [
    { function: "cardiac-aspirin", units: [[1, 1]] },
  ] },
  { id: "heat", label: "Heat exhaustion", category: "exposure", rate: [0.2, 0.7, 2], ...seldom, why: "Hot days, hard work, little water.", sure: "unsure", more: { sun: 2, running: 1.5 }, asks: [
    { function: "rehydration", units: [[2, 1]], againEveryH: 12, againUnits: [[1, 1]] },
  ] },
  { id: "chill", label: "Chilled through", category: "exposure", rate: [0.1, 0.4, 1.5], ...seldom, why: "Wet and wind, waiting for help.", sure: "unsure", more: { cold: 4, water: 2, boating: 2 }, asks: [
    { function: "heat-retention", units: [[1, 1]] },
    { function: "heat-source", units: [[0, 0.5], [2, 0.5]] },
  ] },
  { id: "allergy-mild", label: "Mild allergic reaction", category: "allergy", rate: [0.1, 0.4, 1], ...seldom, why: "Food, plants, stings.", sure: "unsure", more: { wasps: 1.5 }, asks: [
    { function: "antihistamine", units: [[1, 1]], againEveryH: 24, againUnits: [[1, 1]] },
  ] },
  { id: "allergy-severe", label: "Severe allergic reaction", category: "allergy", rate: [0.005, 0.02, 0.06], ...seldom, why: "Rare, and minutes count.", sure: "very unsure", more: { wasps: 2 }, leaves: 1, asks: [
    { function: "adrenaline-auto-injector", units: [[1, 0.8], [2, 0.2]] },
    { function: "antihistamine", units: [[1, 1]] },
  ] },
  { id: "heavy-bleed", label: "Heavy bleed", category: "severe-bleeding", rate: [0.01, 0.05, 0.2], ...seldom, why: "Blades and machines; rare elsewhere.", sure: "very unsure", more: { saws: 6, axes: 5, machinery: 5, pruning: 2, workshop: 2 }, leaves: 1, asks: [
    { function: "pressure-dressing", units: [[1, 0.8], [2, 0.2]] },
    { function: "bulk-absorbent", units: [[0, 0.4], [1, 0.6]] },
    { function: "limb-tourniquet", units: [[0, 0.75], [1, 0.22], [2, 0.03]] },
    { function: "wound-packing", units: [[0, 0.85], [1, 0.15]] },
    { function: "gloves", units: [[2, 1]] },
    { function: "heat-retention", units: [[1, 1]] },
  ] },
  { id: "collapse", label: "Not breathing", category: "resuscitation", rate: [0.001, 0.005, 0.02], ...seldom, why: "Very rare, and the kit is only a part of the answer.", sure: "very unsure", more: { water: 3 }, leaves: 1, asks: [
    { function: "rescue-breath-barrier", units: [[1, 1]] },
    { function: "gloves", units: [[1, 1]] },
    { function: "defibrillation", units: [[1, 1]] },
  ] },
];
