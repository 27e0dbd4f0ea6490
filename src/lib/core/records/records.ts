import { z } from "zod";
import { itemTypeSchema, SKILLS } from "../catalogue/itemType.ts";
import {
  briefSchema,
  houseRulesSchema,
  kitSchema,
  listSchema,
  zodProblems,
} from "../formats/auditFile.ts";
import { fail, type Outcome } from "../formats/problem.ts";
import { priceBookSchema } from "../plan/priceBook.ts";
import { MIGRATIONS, RECORD_VERSION } from "./migrations.ts";

/**
 * What a workspace is made of. Each record is saved, undone, exported and validated by itself.
 * Ids carry their kind: `kit:…`, `brief:…`.
 */

const recordId = z.string().min(3).max(160);
const version = z.number().int().min(1);

/** A verdict that a person gave, with the reason; the rules only propose. */
export const verdictSchema = z.looseObject({
  verdict: z.enum(["keep", "watch", "top-up", "replace", "move", "drop", "trained-hand"]),
  why: z.string().max(2000).optional(),
  /** What the rules proposed when it was given. */
  proposed: z.string().max(40).optional(),
  by: z.string().max(200).optional(),
  on: z.string().max(10).optional(),
});

export const kitRecordSchema = z.looseObject({
  kind: z.literal("kit"),
  id: recordId,
  version,
  briefId: recordId,
  kit: kitSchema,
  /** The list as it was when chosen; the shipped one may go on. */
  list: listSchema,
  houseRules: houseRulesSchema,
  /** The contents card as pasted; empty: none. */
  cardText: z.string().max(2_000_000),
  /** Verdicts by line id. */
  verdicts: z.record(z.string(), verdictSchema),
  /** Lines read from the card that nobody has confirmed yet, by line id: the confidence and next-best types. */
  doubts: z.record(
    z.string(),
    z.looseObject({ confidence: z.number(), alternatives: z.array(z.string()) }),
  ),
  /** Short notes of what happened when, newest last. */
  history: z.array(z.looseObject({ on: z.string(), what: z.string().max(2000) })),
  /** Photographs as notes, JPEG data URLs resized in the browser; of the kit or of one line. */
  photos: z
    .array(
      z.looseObject({
        id: z.string().min(1),
        name: z.string().max(300),
        line: z.string().optional(),
        dataUrl: z.string().startsWith("data:image/").max(3_000_000),
      }),
    )
    .max(200)
    .optional(),
  /** Who looked. */
  inspector: z.string().max(200).optional(),
  /** The kit this is a second look at, and its first inspector's name then. */
  secondOf: recordId.optional(),
  /** Differences of a second look that were settled: whose fact was taken, who decided, when. */
  mergedLooks: z
    .array(
      z.looseObject({
        line: z.string(),
        what: z.string(),
        took: z.string().max(200),
        by: z.string().max(200),
        on: z.string().max(10),
      }),
    )
    .max(5000)
    .optional(),
  plan: z.looseObject({
    question: z.enum(["cheapest", "best"]),
    budget: z.number().min(0).nullable(),
    /** Coverage to reach instead of the grade Ready, 0–1. */
    target: z.number().gt(0).max(1).optional(),
    /** Wishes: products not to buy and lines to keep, by id; the most sources. */
    exclude: z.array(z.string()).max(20_000).optional(),
    keep: z.array(z.string()).max(10_000).optional(),
    maxSources: z.number().int().min(1).max(100).optional(),
    /** Keep to the bag's measured compartments. */
    fitBag: z.boolean().optional(),
    /** What courses for the party would cost, by the skill they lead to. */
    courses: z.partialRecord(z.enum(SKILLS), z.number().min(0).max(1e9)).optional(),
  }),
});

export const briefRecordSchema = z.looseObject({
  kind: z.literal("brief"),
  id: recordId,
  version,
  brief: briefSchema,
});

export const priceBookRecordSchema = z.looseObject({
  kind: z.literal("priceBook"),
  id: recordId,
  version,
  book: priceBookSchema,
});

export const itemTypeRecordSchema = z.looseObject({
  kind: z.literal("itemType"),
  id: recordId,
  version,
  itemType: itemTypeSchema,
});

/** How this user's cards call a thing; learned from corrections. itemType null: 'not in the catalogue'. */
export const aliasRecordSchema = z.looseObject({
  kind: z.literal("alias"),
  id: recordId,
  version,
  text: z.string().min(1).max(400),
  itemType: z.string().min(1),
});

/** What a barcode stands for; learned the first time it is named. */
export const barcodeRecordSchema = z.looseObject({
  kind: z.literal("barcode"),
  id: recordId,
  version,
  gtin: z.string().regex(/^\d{14}$/),
  itemType: z.string().min(1),
  text: z.string().max(400).optional(),
  sizeMm: z.array(z.number().positive()).max(6).optional(),
});

/** A list of the user's own: edited, combined or taken in. Kits keep a copy of what they were judged by. */
export const listRecordSchema = z.looseObject({
  kind: z.literal("list"),
  id: recordId,
  version,
  list: listSchema,
  /** Id of the list it was copied from, where it still exists. */
  from: z.string().max(160).optional(),
});

/** How numbers, dates and money are shown; stored values stay SI and ISO. One record. */
export const settingsRecordSchema = z.looseObject({
  kind: z.literal("settings"),
  id: recordId,
  version,
  units: z.enum(["metric", "us"]),
  /** BCP 47, as en-GB; empty: the browser's. */
  locale: z.string().max(35),
  currency: z.string().regex(/^[A-Z]{3}$/),
  /** What one unit of another currency is worth in `currency`, by the user's own rate. */
  rates: z.record(z.string().regex(/^[A-Z]{3}$/), z.number().positive().max(1e9)),
});

/** Kits that go out together, judged as one by the brief, list and rules of one of them. */
export const setRecordSchema = z.looseObject({
  kind: z.literal("set"),
  id: recordId,
  version,
  title: z.string().max(300),
  /** The kit whose brief, list and house rules hold for all. */
  judgedBy: recordId,
  members: z
    .array(
      z.looseObject({
        kit: recordId,
        count: z.number().int().min(1).max(1000),
        carriedBy: z.string().max(200).optional(),
      }),
    )
    .max(100),
});

export const recordSchema = z.discriminatedUnion("kind", [
  kitRecordSchema,
  briefRecordSchema,
  priceBookRecordSchema,
  itemTypeRecordSchema,
  aliasRecordSchema,
  barcodeRecordSchema,
  listRecordSchema,
  settingsRecordSchema,
  setRecordSchema,
]);

export type WorkspaceRecord = z.infer<typeof recordSchema>;
export type KitRecord = z.infer<typeof kitRecordSchema>;
export type BriefRecord = z.infer<typeof briefRecordSchema>;
export type PriceBookRecord = z.infer<typeof priceBookRecordSchema>;
export type ListRecord = z.infer<typeof listRecordSchema>;
export type SettingsRecord = z.infer<typeof settingsRecordSchema>;
export type SetRecord = z.infer<typeof setRecordSchema>;
export type RecordKind = WorkspaceRecord["kind"];
export type Verdict = z.infer<typeof verdictSchema>;

/** A record from stored or imported JSON: brought up to date, then checked. */
export function readRecord(json: unknown): Outcome<WorkspaceRecord> {
  if (typeof json !== "object" || json === null)
    return fail([{ where: "", what: "is not a record" }]);
  const raw = json as Record<string, unknown>;
  const kind = raw["kind"];
  if (typeof kind !== "string" || !(kind in RECORD_VERSION))
    return fail([{ where: "kind", what: `'${String(kind)}' is not a kind of record` }]);
  const current = RECORD_VERSION[kind as RecordKind];
  const from = raw["version"];
  if (typeof from !== "number" || !Number.isInteger(from) || from < 1)
    return fail([{ where: "version", what: `'${String(from)}' is not a version` }]);
  if (from > current)
    return fail([
      {
        where: "version",
        what: `is ${from}; this program reads '${kind}' up to ${current}: open it with a newer Wide Sieve`,
      },
    ]);
  let record = raw;
  for (const step of MIGRATIONS[kind as RecordKind].slice(from - 1)) record = step.up(record);
  const parsed = recordSchema.safeParse({ ...record, version: current });
  return parsed.success ? { ok: true, value: parsed.data } : fail(zodProblems(parsed.error));
}
