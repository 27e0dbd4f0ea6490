import { z } from "zod";
import { keptSchema } from "../model/kept.ts";

/**
 * What every kind of record has. A kind is a file: schema, type, migrations, default, in that order;
 * records.ts lists the kinds. Each record is saved, undone, exported and validated by itself.
 * Ids carry their kind: `kit:…`, `brief:…`.
 */
export const recordId = z.string().min(3).max(200);

export const recordBase = {
  id: recordId,
  /** Of the kind's shape; one more than the migrations that were there when it was written. */
  version: z.number().int().min(1),
  kept: keptSchema.optional(),
};

/** A record as JSON of an older version. */
export type OldRecord = Record<string, unknown>;

/** One step from version n to n + 1 of a kind of record. Pure; append only; never renumbered. */
export interface Migration {
  /** Verb and thing, as AddSealNumber. */
  readonly name: string;
  readonly up: (old: OldRecord) => OldRecord;
  /** Records that the step takes out of the old one, in the version current then. */
  readonly splitOff?: (old: OldRecord) => OldRecord[];
}

export const versionAfter = (migrations: readonly Migration[]): number => migrations.length + 1;
