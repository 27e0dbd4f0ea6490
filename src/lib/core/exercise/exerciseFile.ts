import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { auditSchema } from "../model/auditFile.ts";
import { VERDICTS } from "../audit/verdict.ts";
import { lineSchema } from "../model/kit.ts";
import { MESHES } from "../model/mesh.ts";
import { productSchema } from "../model/priceBook.ts";
import { day, id } from "../model/scalars.ts";

/** The key, encrypted: nobody reads it without the instructor's passphrase. Base64. */
const sealedSchema = strictObject(() => ({
  /** PBKDF2 with SHA-256, then AES-GCM with 256 bits. */
  rounds: z.number().int().min(1).max(10_000_000),
  salt: z.string().max(200),
  iv: z.string().max(200),
  data: z.string().max(5_000_000),
}));
export type Sealed = z.infer<typeof sealedSchema>;

/** What a student sees of a line on looking at one point. */
const sightSchema = strictObject(() => ({
  point: id,
  by: z.enum(["look", "feel", "try"]),
  sees: z.string(),
}));

/** A short plan that the student makes: what she may buy of, and for how much. */
const planOfferSchema = strictObject(() => ({
  budget: z.number().min(0).max(1e9),
  currency: z.string().max(10),
  products: z.array(productSchema).max(2000),
}));
export type PlanOffer = z.infer<typeof planOfferSchema>;

/** How an exercise is held; all of it absent: on screen, without a clock, nothing shown. */
const heldSchema = strictObject(() => ({
  /** With the real kit in the hand: the file is the answer card. */
  withKit: z.boolean().optional(),
  /** For practice: what the student's own answers come to is shown as she gives them. */
  practice: z.boolean().optional(),
  /** Against a clock. */
  minutes: z.number().int().min(1).max(1000).optional(),
}));
export type Held = z.infer<typeof heldSchema>;

/** An exercise as it is handed out: the kit as it lies there, in words, and the sealed key. */
export const exerciseSchema = strictObject(() => ({
  format: z.literal("wide-sieve.exercise"),
  version: z.literal(1),
  /** Hash of all but the seal: results are tied to it. */
  id: z.string().length(64),
  title: z.string().max(300),
  /** The kit as its box says it is, nothing looked at; brief, list and rules to judge by. */
  audit: auditSchema,
  /** By line: how many lie there, what is printed, what is seen, felt and tried. */
  sights: z.record(
    z.string(),
    z.strictObject({
      counted: z.number(),
      printed: z.array(z.string()),
      points: z.array(sightSchema),
      /** What is printed as numbers, so that a tally for practice can reckon with it. */
      facts: lineSchema
        .pick({ sizeMm: true, volumeMl: true, dosesPerPiece: true, strengthMg: true })
        .optional(),
    }),
  ),
  /** Absent: no plan is asked for. */
  plan: planOfferSchema.optional(),
  held: heldSchema.optional(),
  sealed: sealedSchema,
}));
export type Exercise = z.infer<typeof exerciseSchema>;

const plantedSchema = strictObject(() => ({
  id,
  line: id,
  kind: id,
  mesh: z.enum(MESHES),
  verdict: z.enum(VERDICTS),
}));

export const keySchema = strictObject(() => ({
  format: z.literal("wide-sieve.key"),
  version: z.literal(1),
  exercise: z.string(),
  title: z.string().max(300),
  faults: z.array(plantedSchema),
  decoys: z.array(z.strictObject({ line: id, kind: id })),
  already: z.array(id),
  verdicts: z.array(
    z.strictObject({ line: id, verdict: z.enum(VERDICTS), weight: z.number().min(0) }),
  ),
  /** What the student's plan is held against. */
  plan: planOfferSchema
    .extend({
      /** The kit with its faults, by which a plan is judged, on this day. */
      truth: auditSchema,
      today: day,
      /** Coverage without any plan, and the most that the budget can buy. */
      before: z.number(),
      optimum: z.number(),
    })
    .optional(),
}));
export type KeyFile = z.infer<typeof keySchema>;

const answerSchema = strictObject(() => ({
  line: id,
  verdict: z.enum(VERDICTS),
  /** A kind of fault; empty: none is named. */
  fault: z.string().max(80),
}));
export type Answer = z.infer<typeof answerSchema>;

export const resultSchema = strictObject(() => ({
  format: z.literal("wide-sieve.result"),
  version: z.literal(1),
  exercise: z.string(),
  student: z.string().max(200),
  answers: z.array(answerSchema).max(10_000),
  timeS: z.number().min(0).optional(),
  /** What she would buy, in packs. */
  plan: z
    .array(z.strictObject({ product: id, packs: z.number().int().min(1).max(10_000) }))
    .max(2000)
    .optional(),
  /** Finds damage and careless edits; it is no proof against a programmer. */
  checksum: z.string(),
}));
export type Result = z.infer<typeof resultSchema>;
