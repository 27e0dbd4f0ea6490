import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { MESHES } from "../model/mesh.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

const moment = z.iso.datetime();

/** When a card of the drill comes again, as the scheduler keeps it. */
const scheduledSchema = strictObject(() => ({
  due: moment,
  stability: z.number(),
  difficulty: z.number(),
  scheduled_days: z.number(),
  learning_steps: z.number(),
  reps: z.number().int(),
  lapses: z.number().int(),
  state: z.number().int().min(0).max(3),
  last_review: moment.optional(),
}));
export type Scheduled = z.infer<typeof scheduledSchema>;

const answerSchema = strictObject(() => ({
  at: moment,
  card: z.string().max(200),
  mesh: z.enum(MESHES),
  right: z.boolean(),
  seconds: z.number().min(0).max(100_000),
}));
export type DrillAnswer = z.infer<typeof answerSchema>;

/** So many answers are kept; the schedule rests on the cards, not on them. */
export const MOST_ANSWERS = 5000;

/** What practising alone has come to: one record for the workspace. */
export const drillRecordSchema = strictObject(() => ({
  kind: z.literal("drill"),
  ...recordBase,
  cards: z.record(z.string().max(200), scheduledSchema),
  answers: z.array(answerSchema).max(MOST_ANSWERS),
}));
export type DrillRecord = z.infer<typeof drillRecordSchema>;

export const DRILL_MIGRATIONS: readonly Migration[] = [];

const DRILL_ID = "drill:own";

export const emptyDrillRecord = (): DrillRecord => ({
  kind: "drill",
  id: DRILL_ID,
  version: versionAfter(DRILL_MIGRATIONS),
  cards: {},
  answers: [],
});
