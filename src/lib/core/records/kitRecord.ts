import { said } from "../base/said.ts";
import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { QUESTIONS } from "../plan/request.ts";
import { houseRulesSchema } from "../model/houseRules.ts";
import { SKILLS } from "../model/itemType.ts";
import { containerSchema } from "../model/container.ts";
import type { Kept } from "../model/kept.ts";
import { byChanceSchema } from "../model/byChance.ts";
import { incidentsSchema } from "../model/incident.ts";
import { eventsSchema } from "../model/event.ts";
import { kitSchema, lineSchema } from "../model/kit.ts";
import { listSchema, type ReferenceList } from "../model/list.ts";
import { recordBase, recordId, versionAfter, type Migration, type OldRecord } from "./record.ts";

/** A verdict that a person gave, with the reason; the rules only propose. */
const verdictSchema = strictObject(() => ({
  verdict: z.enum(["keep", "watch", "top-up", "replace", "move", "spare", "drop", "trained-hand"]),
  why: z.string().max(2000).optional(),
  /** What the rules proposed when it was given. */
  proposed: z.string().max(40).optional(),
  by: z.string().max(200).optional(),
  on: z.string().max(10).optional(),
}));
export type Verdict = z.infer<typeof verdictSchema>;

/** The question last put to the planner, with its wishes. */
const planQuestionSchema = strictObject(() => ({
  question: z.enum(QUESTIONS),
  budget: z.number().min(0).nullable(),
  /** Coverage to reach instead of the grade Ready, 0–1. */
  target: z.number().gt(0).max(1).optional(),
  /** Products not to buy and lines to keep, by id; the most sources. */
  exclude: z.array(z.string()).max(20_000).optional(),
  keep: z.array(z.string()).max(10_000).optional(),
  maxSources: z.number().int().min(1).max(100).optional(),
  /** Keep to the bag's measured compartments. */
  fitBag: z.boolean().optional(),
  /** Keep to what the place of carry bears (bag/carryCheck.ts). */
  fitCarry: z.boolean().optional(),
  /** What courses for the party would cost, by the skill they lead to. */
  courses: z.partialRecord(z.enum(SKILLS), z.number().min(0).max(1e9)).optional(),
}));

/** A kit with all that was judged and decided about it. */
export const kitRecordSchema = strictObject(() => ({
  kind: z.literal("kit"),
  ...recordBase,
  briefId: recordId,
  kit: kitSchema,
  /** What happened to the kit since it was as `kit` says. */
  events: eventsSchema.optional(),
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
    z.strictObject({
      confidence: z.number(),
      alternatives: z.array(z.string()),
      /** Codes of what speaks against the reading. */
      reasons: z.array(z.string().max(40)).max(40).optional(),
      /** The name leaves the kind open: which one is asked; until then it counts as the least. */
      open: z.string().max(80).optional(),
    }),
  ),
  /** Short notes of what happened when, newest last. */
  history: z.array(z.strictObject({ on: z.string(), what: z.string().max(2000) })),
  /** Who looked. */
  inspector: z.string().max(200).optional(),
  /** The kit this is a second look at. */
  secondOf: recordId.optional(),
  /** Differences of a second look that were settled: whose fact was taken, who decided, when. */
  mergedLooks: z
    .array(
      z.strictObject({
        line: z.string(),
        what: z.string(),
        took: z.string().max(200),
        by: z.string().max(200),
        on: z.string().max(10),
      }),
    )
    .max(5000)
    .optional(),
  plan: planQuestionSchema,
  /** What is assumed to happen on its outings, where the user changed it. */
  incidents: incidentsSchema.optional(),
  /** What suffices by chance, where its house rules take quantities from it. */
  byChance: byChanceSchema.optional(),
  /** A store of spare stock: other kits are filled up from it. */
  isStore: z.boolean().optional(),
}));
export type KitRecord = z.infer<typeof kitRecordSchema>;

/** Facts that were taken as they came before they were declared: what is not right goes to `kept`. */
const declaredLate = () => ({
  container: containerSchema.shape,
  line: lineSchema.pick({ gtin: true, byHand: true, cardLine: true, compartment: true }).shape,
});

function setAsideWrong(old: OldRecord): OldRecord {
  const kept: Kept = Array.isArray(old["kept"]) ? [...(old["kept"] as Kept)] : [];
  const right = (value: unknown, shape: Record<string, z.ZodType>, at: string[]): unknown => {
    if (typeof value !== "object" || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).filter(([key, v]) => {
        const fits = !Object.hasOwn(shape, key) || shape[key]!.safeParse(v).success;
        if (!fits) kept.push({ at: [...at, key], value: v });
        return fits;
      }),
    );
  };
  const late = declaredLate();
  const kit = { ...(old["kit"] as Record<string, unknown>) };
  if (kit["container"])
    kit["container"] = right(kit["container"], late.container, ["kit", "container"]);
  if (Array.isArray(kit["lines"]))
    kit["lines"] = (kit["lines"] as { id?: unknown }[]).map((l) =>
      right(l, late.line, ["kit", "lines", `#${said(l.id)}`]),
    );
  return { ...old, kit, ...(kept.length > 0 ? { kept } : {}) };
}

const photosOf = (old: OldRecord): OldRecord[] =>
  Array.isArray(old["photos"]) ? (old["photos"] as OldRecord[]) : [];

export const KIT_MIGRATIONS: readonly Migration[] = [
  {
    // Kits of version 1 had no remembered question to the planner.
    name: "AddPlanQuestion",
    up: (old) => ({ ...old, plan: old["plan"] ?? { question: "cheapest", budget: null } }),
  },
  {
    // A photo in the kit was written again with every keystroke: now each is a record of its own.
    name: "MovePhotosOut",
    up: ({ photos: _, ...rest }) => rest,
    splitOff: (old) =>
      photosOf(old).map(({ id, ...photo }) => ({
        ...photo,
        kind: "photo",
        id: `photo:${String(old["id"]).replace(/^kit:/, "")}-${String(id)}`,
        version: 1,
        kitId: old["id"],
      })),
  },
  {
    // Container, barcode, compartment and card line were read leniently before they were declared.
    name: "KeepWrongFactsApart",
    up: setAsideWrong,
  },
];

/** An empty kit under a brief, against a list. */
export const emptyKitRecord = (
  key: string,
  name: string,
  briefId: string,
  list: ReferenceList,
): KitRecord => ({
  kind: "kit",
  id: `kit:${key}`,
  version: versionAfter(KIT_MIGRATIONS),
  briefId,
  kit: { name, claims: {}, lines: [] },
  list: structuredClone(list),
  houseRules: {},
  cardText: "",
  verdicts: {},
  doubts: {},
  history: [],
  plan: { question: "cheapest", budget: null },
});
