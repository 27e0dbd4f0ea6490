import { z } from "zod";
import { LOCATIONS } from "../formats/auditFile.ts";

/**
 * The outside of a kit, in the order practitioners look at it: size, mass, closure, one hand, mount,
 * colour, marking, water, zips, stitching, compartments, labels, seal. Kept in `kit.container`.
 */
const mm = z.number().positive().max(5000);

export const compartmentSchema = z.looseObject({
  id: z.string().min(1).max(120),
  name: z.string().max(200),
  /** How fast one gets at it: the place that the Handy mesh reckons with. */
  place: z.enum(LOCATIONS),
  /** Inner size, mm; absent: not measured. */
  innerMm: z.tuple([mm, mm, mm]).optional(),
  labelled: z.boolean().optional(),
});
export type Compartment = z.infer<typeof compartmentSchema>;

/** One look at the outside: a statement that is true or false. */
export interface BagPoint {
  readonly id: string;
  readonly good: string;
  readonly failing: string;
}

// prettier-ignore
export const BAG_POINTS: readonly BagPoint[] = [
  { id: "one-handed", good: "Opens with one hand, gloved", failing: "A casualty alone, or a hand held on a wound, cannot get in." },
  { id: "closure-holds", good: "Closure stays shut when shaken", failing: "Contents spill when it falls." },
  { id: "mount-comes-off", good: "Comes off its mount in one move", failing: "Seconds are lost, or it stays behind." },
  { id: "colour-seen", good: "Colour is seen in grass and dusk", failing: "Set down, it is gone." },
  { id: "marked", good: "Marked so that a stranger knows it", failing: "Nobody fetches it who does not know it." },
  { id: "keeps-water-out", good: "Keeps out rain for as long as it is carried", failing: "Wet paper wrappers are no longer sterile." },
  { id: "zips-run", good: "Zips run, with pulls for gloves", failing: "A zip that catches opens nothing." },
  { id: "stitching-holds", good: "Stitching whole at handle and mount", failing: "Look for loose threads where it bears weight." },
  { id: "compartments-labelled", good: "Compartments say what is in them", failing: "A stranger turns it out to find one thing." },
  { id: "seal-intact", good: "Seal unbroken, number noted", failing: "Something may have been taken: count it all." },
];

export const bagSchema = z.looseObject({
  massG: z.number().min(0).max(1e9).optional(),
  allowance: z.number().min(0).max(1e9).optional(),
  volumeMl: z.number().min(0).max(1e9).optional(),
  outerMm: z.tuple([mm, mm, mm]).optional(),
  sealNumber: z.string().max(100).optional(),
  /** Answers by point id; absent: not looked at. */
  points: z.record(z.string(), z.boolean()).optional(),
  compartments: z.array(compartmentSchema).max(50).optional(),
});
export type Bag = z.infer<typeof bagSchema>;

/** A container as it lies in a file, as far as it is right; what is not is left out. */
export function readBag(container: unknown): Bag {
  const parsed = bagSchema.safeParse(container ?? {});
  return parsed.success ? parsed.data : {};
}
