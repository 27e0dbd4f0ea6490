import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { SENSITIVITIES, SKILLS } from "./itemType.ts";
import { CONDITIONS } from "./kit.ts";
import {
  dateRead,
  day,
  doses,
  grams,
  id,
  millilitres,
  pieces,
  sizeMm,
  volumeMl,
} from "./scalars.ts";

export const CARRIES = ["pocket", "belt", "pack", "vehicle", "boat", "wall"] as const;

/** A thing that the party has with it outside this kit. */
const elsewhereSchema = strictObject(() => ({
  itemType: id,
  pieces,
  sizeMm: sizeMm.optional(),
  volumeMl: volumeMl.optional(),
  dosesPerPiece: doses.optional(),
  expires: dateRead.optional(),
  condition: z.enum(CONDITIONS).optional(),
  note: z.string().max(2000).optional(),
  /** Who carries it. */
  by: z.string().max(300).optional(),
  /** Seconds until it is in the hand, where someone knows; else as another bag. */
  reachS: z.number().min(0).max(100_000).optional(),
}));
export type Elsewhere = z.infer<typeof elsewhereSchema>;

/** Who the kit is for. `people` and `days` are whole numbers from 1, `hoursToCare` from 0. */
export const briefSchema = strictObject(() => ({
  title: z.string().max(300),
  people: z.number().int().min(1).max(100_000),
  days: z.number().int().min(1).max(3660),
  hoursToCare: z.number().min(0).max(10_000),
  /** First day; absent: today. */
  start: day.optional(),
  tallestCm: z.number().min(30).max(260).optional(),
  activities: z.array(id).max(100),
  carry: z.enum(CARRIES),
  skill: z.enum(SKILLS),
  sensitivities: z.array(z.enum(SENSITIVITIES)),
  /** Budget in the audit's currency; absent: no limit. */
  limits: z
    .strictObject({
      budget: z.number().min(0).max(1e9).optional(),
      massG: grams.optional(),
      volumeMl: millilitres.optional(),
    })
    .default({}),
  carriedElsewhere: z.array(elsewhereSchema).max(500).optional(),
}));
export type Brief = z.infer<typeof briefSchema>;

/** A brief to start from: two people out for a day, two hours from care. */
export const EMPTY_BRIEF: Brief = {
  title: "",
  people: 2,
  days: 1,
  hoursToCare: 2,
  activities: [],
  carry: "pack",
  skill: "trained",
  sensitivities: [],
  limits: {},
};
