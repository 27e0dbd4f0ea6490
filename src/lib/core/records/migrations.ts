import type { RecordKind } from "./records.ts";

/** One step from version n to n + 1 of a kind of record. Pure; append only; never renumbered. */
export interface Migration {
  /** Verb and thing, as AddSealNumber. */
  readonly name: string;
  readonly up: (old: Record<string, unknown>) => Record<string, unknown>;
}

/** The ledger: the step at index i brings version i + 1 to i + 2. */
export const MIGRATIONS: Readonly<Record<RecordKind, readonly Migration[]>> = {
  kit: [
    {
      // Kits of version 1 had no remembered question to the planner.
      name: "AddPlanQuestion",
      up: (old) => ({ ...old, plan: old["plan"] ?? { question: "cheapest", budget: null } }),
    },
  ],
  brief: [],
  priceBook: [],
  itemType: [],
  alias: [],
  barcode: [],
  list: [],
  settings: [],
  set: [],
};

/** The version each kind is written in: one more than its steps. */
export const RECORD_VERSION: Readonly<Record<RecordKind, number>> = {
  kit: MIGRATIONS.kit.length + 1,
  brief: MIGRATIONS.brief.length + 1,
  priceBook: MIGRATIONS.priceBook.length + 1,
  itemType: MIGRATIONS.itemType.length + 1,
  alias: MIGRATIONS.alias.length + 1,
  barcode: MIGRATIONS.barcode.length + 1,
  list: MIGRATIONS.list.length + 1,
  settings: MIGRATIONS.settings.length + 1,
  set: MIGRATIONS.set.length + 1,
};
