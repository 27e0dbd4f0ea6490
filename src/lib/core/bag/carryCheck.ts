import type { AuditFile } from "../model/auditFile.ts";
import type { Brief } from "../model/brief.ts";
import type { CarryPlace } from "../model/container.ts";
import type { Load } from "./load.ts";

/**
 * Will it be carried? A kit that is too thick, digs in, rattles or cannot be reached stays at home, and
 * a kit left at home covers nothing. It does not change coverage; it stands beside it.
 */

export interface CarryFigures {
  /** The smallest, and the middle, of the outer sides; null: of no matter there. */
  readonly thicknessMm: number | null;
  readonly widthMm: number | null;
  /** Packed, bag and all. */
  readonly massG: number | null;
}

/** Planning figures of each place, for want of one's own trial; a kit's own figures win. */
const CARRY_FIGURES: Readonly<Record<CarryPlace, CarryFigures>> = {
  // A fat wallet: thicker digs in when one sits, and heavier drags the trousers.
  pocket: { thicknessMm: 25, widthMm: 110, massG: 250 },
  // Stands out no further than a hand; the belt seat tilts above that.
  belt: { thicknessMm: 60, widthMm: 160, massG: 700 },
  // Round the ankle: more knocks against the other leg, and tires it.
  ankle: { thicknessMm: 45, widthMm: 140, massG: 450 },
  // Lying down on it must still be possible.
  "chest-rig": { thicknessMm: 60, widthMm: 200, massG: 900 },
  // The top pocket or the upper third of a 25 l pack.
  "day-pack": { thicknessMm: 100, widthMm: 250, massG: 1500 },
  // Outside it swings; above a litre bottle's weight it pulls the pack over.
  "pack-outside": { thicknessMm: 90, widthMm: 250, massG: 1200 },
  // Lifted out with one arm, from a crouch.
  vehicle: { thicknessMm: null, widthMm: null, massG: 8000 },
  // Taken off its hook by the smallest person there.
  wall: { thicknessMm: null, widthMm: null, massG: 6000 },
};

/** Tried by wearing it, place by place. */
const CARRY_QUESTIONS = [
  { id: "either-hand-seated", places: ["pocket", "belt", "ankle", "chest-rig"] },
  { id: "either-hand-standing", places: ["pocket", "belt", "ankle", "chest-rig", "pack-outside"] },
  {
    id: "one-hand-out",
    places: ["pocket", "belt", "ankle", "chest-rig", "day-pack", "pack-outside", "vehicle"],
  },
  { id: "comes-off-whole", places: ["belt", "ankle", "chest-rig", "day-pack", "pack-outside"] },
  { id: "seen-there", places: ["day-pack", "pack-outside", "vehicle", "wall"] },
  { id: "kept-dry", places: ["pocket", "belt", "ankle", "chest-rig", "day-pack", "pack-outside"] },
  { id: "sits-well", places: ["pocket", "belt", "ankle", "chest-rig"] },
  { id: "silent", places: ["pocket", "belt", "ankle", "chest-rig", "day-pack", "pack-outside"] },
] as const satisfies readonly { readonly id: string; readonly places: readonly CarryPlace[] }[];
export type CarryQuestion = (typeof CARRY_QUESTIONS)[number]["id"];

export interface CarryFinding {
  readonly of: "thickness" | "width" | "mass";
  /** mm or g; null: not measured. */
  readonly value: number | null;
  readonly limit: number;
}

export interface CarryCheck {
  readonly place: CarryPlace;
  readonly findings: readonly CarryFinding[];
  readonly questions: readonly { readonly id: CarryQuestion; readonly answer: boolean | null }[];
  /** Days of the last two weeks' wearing that it stayed at home; null: nobody has told. */
  readonly daysAtHome: number | null;
  /** `no`: something forbids it; `open`: something is not measured or tried. */
  readonly carried: "yes" | "no" | "open";
}

const BY_BRIEF: Readonly<Record<Brief["carry"], CarryPlace>> = {
  pocket: "pocket",
  belt: "belt",
  pack: "day-pack",
  vehicle: "vehicle",
  boat: "vehicle",
  wall: "wall",
};

export const carryPlaceOf = ({ kit, brief }: AuditFile): CarryPlace =>
  kit.container?.carried?.place ?? BY_BRIEF[brief.carry];

/** The place's planning figures, the kit's own in front. */
export function carryFiguresOf(file: AuditFile): CarryFigures {
  return { ...CARRY_FIGURES[carryPlaceOf(file)], ...file.kit.container?.carried?.figures };
}

/** Outer sides, rising; null: not measured. */
const sidesOf = ({ kit }: AuditFile): readonly [number, number, number] | null => {
  const outer = kit.container?.outerMm;
  return outer ? ([...outer].sort((a, b) => a - b) as [number, number, number]) : null;
};

/**
 * @param load what is carried, bag and all
 * @param addedMl bulk that is put in beyond what lies there: the bag grows in its thickness
 */
export function carryCheck(file: AuditFile, load: Load, addedMl = 0): CarryCheck {
  const place = carryPlaceOf(file);
  const figures = carryFiguresOf(file);
  const sides = sidesOf(file);
  const carried = file.kit.container?.carried;
  const findings: CarryFinding[] = [];
  const look = (of: CarryFinding["of"], value: number | null, limit: number | null) => {
    if (limit !== null) findings.push({ of, value, limit });
  };
  look("thickness", sides && thicknessWith(sides, addedMl), figures.thicknessMm);
  look("width", sides && sides[1], figures.widthMm);
  look("mass", load.massG, figures.massG);
  const questions = CARRY_QUESTIONS.filter((q) =>
    (q.places as readonly CarryPlace[]).includes(place),
  ).map(({ id }) => ({ id, answer: carried?.answers?.[id] ?? null }));
  const daysAtHome = carried?.worn?.at(-1)?.daysAtHome ?? null;
  const no =
    findings.some(isOver) || questions.some((q) => q.answer === false) || (daysAtHome ?? 0) > 0;
  const open = findings.some((f) => f.value === null) || questions.some((q) => q.answer === null);
  return { place, findings, questions, daysAtHome, carried: no ? "no" : open ? "open" : "yes" };
}

/** Measured by hand, to the millimetre and the gram. */
const BY_HAND = 0.5;
export const isOver = (f: CarryFinding): boolean => f.value !== null && f.value > f.limit + BY_HAND;

/** mm³ in a millilitre. */
const MM3 = 1000;
const thicknessWith = (sides: readonly [number, number, number], addedMl: number): number =>
  sides[0] + (addedMl * MM3) / (sides[1] * sides[2]);

/** Bulk that may still go in until it is too thick for its place, ml; null: no figure, or not measured. */
export function roomToThickness(file: AuditFile): number | null {
  const sides = sidesOf(file);
  const { thicknessMm } = carryFiguresOf(file);
  if (!sides || thicknessMm === null) return null;
  return Math.max(0, ((thicknessMm - sides[0]) * sides[1] * sides[2]) / MM3);
}
