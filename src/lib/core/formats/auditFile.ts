import { z } from "zod";
import { functionOf, shippedType, typeLookup } from "../catalogue/catalogue.ts";
import { itemTypeSchema, SENSITIVITIES, SKILLS } from "../catalogue/itemType.ts";
import { isDay, isMonth } from "../dates.ts";
import { isInspectionPoint } from "../inspect/points.ts";
import { fail, pathText, type Outcome, type Problem } from "./problem.ts";

/** More of anything than fits on a bench is a slip of the keys, not a count. */
const MOST_PIECES = 100_000;
const pieces = z.number().min(0).max(MOST_PIECES);
const id = z.string().min(1).max(120);
const day = z.string().refine(isDay, "is not a day that exists (write YYYY-MM-DD)");
const dateRead = z
  .string()
  .refine(
    (s) => s === "none" || isMonth(s) || isDay(s),
    "is not a date that exists (write YYYY-MM, YYYY-MM-DD or none)",
  );
const sizeMm = z.array(z.number().positive().max(1_000_000)).min(1).max(6);
const quantityNumber = z.number().min(0).max(1_000_000);

export const CARRIES = ["pocket", "belt", "pack", "vehicle", "boat", "wall"] as const;
export const CONDITIONS = ["sound", "worn", "failed"] as const;
export const LOCATIONS = ["outside", "open-top", "pocket", "bottom", "other-bag"] as const;
export const TIERS = ["vital", "core", "useful"] as const;
export const ACCESSES = ["seconds", "minute", "any"] as const;

export const elsewhereSchema = z.looseObject({
  itemType: id,
  pieces,
  sizeMm: sizeMm.optional(),
  volumeMl: z.number().positive().max(1_000_000).optional(),
  dosesPerPiece: z.number().positive().max(100_000).optional(),
  expires: dateRead.optional(),
  condition: z.enum(CONDITIONS).optional(),
  note: z.string().max(2000).optional(),
  /** Who carries it. */
  by: z.string().max(300).optional(),
  /** Seconds until it is in the hand, where someone knows; else as another bag. */
  reachS: z.number().min(0).max(100_000).optional(),
});

/** Who the kit is for. `people` and `days` are whole numbers from 1, `hoursToCare` from 0. */
export const briefSchema = z.looseObject({
  title: z.string().max(300),
  people: z.number().int().min(1).max(100_000),
  days: z.number().int().min(1).max(3660),
  hoursToCare: z.number().min(0).max(10_000),
  start: day.optional(),
  tallestCm: z.number().min(30).max(260).optional(),
  activities: z.array(id).max(100),
  carry: z.enum(CARRIES),
  skill: z.enum(SKILLS),
  sensitivities: z.array(z.enum(SENSITIVITIES)),
  limits: z
    .looseObject({
      budget: z.number().min(0).max(1e9).optional(),
      massG: z.number().min(0).max(1e9).optional(),
      volumeMl: z.number().min(0).max(1e9).optional(),
    })
    .default({}),
  carriedElsewhere: z.array(elsewhereSchema).max(500).optional(),
});

const share = z.number().min(0).max(1);
/** The schools. Absent: the first of each, the default. */
export const houseRulesSchema = z.looseObject({
  emphasis: z.enum(["balanced", "severity-led", "frequency-led"]).optional(),
  dates: z.enum(["strict", "tiered"]).optional(),
  duplicates: z.enum(["self-contained", "lean"]).optional(),
  devices: z.enum(["tolerant", "protocol-only"]).optional(),
  improvised: z.enum(["allow", "deny"]).optional(),
  advanced: z.enum(["gate", "carry"]).optional(),
  breathing: z.enum(["barrier", "hands-only"]).optional(),
  cutting: z.enum(["shears", "scissors"]).optional(),
  thresholds: z
    .looseObject({
      ready: share.optional(),
      nearly: share.optional(),
      partial: share.optional(),
      partialVital: share.optional(),
    })
    .optional(),
  passMarks: z
    .looseObject({ vital: share.optional(), core: share.optional(), useful: share.optional() })
    .optional(),
});

export const needSchema = z.looseObject({
  id,
  function: id,
  tier: z.enum(TIERS),
  quantity: z.looseObject({
    base: quantityNumber.optional(),
    perPerson: quantityNumber.optional(),
    perDay: quantityNumber.optional(),
    perPersonDay: quantityNumber.optional(),
    redressEveryH: z.number().positive().max(10_000).optional(),
    min: quantityNumber.optional(),
    max: quantityNumber.optional(),
  }),
  spec: z
    .looseObject({
      minSizeMm: z.tuple([z.number().positive(), z.number().positive()]).optional(),
      minWidthMm: z.number().positive().optional(),
      minLengthMm: z.number().positive().optional(),
      sterile: z.boolean().optional(),
    })
    .optional(),
  access: z.enum(ACCESSES).optional(),
  companions: z.array(id).max(20).optional(),
  accept: z
    .array(
      z.looseObject({
        itemType: id,
        credit: share,
        yield: z.number().positive().max(100_000).optional(),
        improvised: z.boolean().optional(),
      }),
    )
    .max(100)
    .optional(),
  when: z
    .looseObject({
      activities: z.array(id).optional(),
      peopleMin: z.number().min(0).optional(),
      daysMin: z.number().min(0).optional(),
      hoursToCareMin: z.number().min(0).optional(),
      carry: z.array(z.enum(CARRIES)).optional(),
      sensitivities: z.array(z.enum(SENSITIVITIES)).optional(),
    })
    .optional(),
  reason: z.string().max(2000).optional(),
});

export const listSchema = z.looseObject({
  id,
  title: z.string().max(300),
  /** Whom it is for, and what it is not, each in a sentence or two. */
  for: z.string().max(2000).optional(),
  isNot: z.string().max(2000).optional(),
  /** Raised with each change that is given out. */
  version: z.number().int().min(1).optional(),
  needs: z.array(needSchema).max(2000),
});

export const lineSchema = z.looseObject({
  id,
  itemType: id.nullable(),
  text: z.string().max(4000).optional(),
  claimed: pieces.optional(),
  counted: pieces.optional(),
  sizeMm: sizeMm.optional(),
  volumeMl: z.number().positive().max(1_000_000).optional(),
  dosesPerPiece: z.number().positive().max(100_000).optional(),
  strengthMg: z.number().positive().max(1_000_000).optional(),
  expires: dateRead.optional(),
  condition: z.enum(CONDITIONS).optional(),
  failedPoints: z.array(id).max(50).optional(),
  location: z.enum(LOCATIONS).optional(),
  reachS: z.number().min(0).max(100_000).optional(),
  findable: z.boolean().optional(),
  labelled: z.boolean().optional(),
  /** Inspection points answered yes while the inspection is not finished. */
  okPoints: z.array(id).max(50).optional(),
  /** Day of the last whole inspection. */
  checkedOn: day.optional(),
  /** As printed; followed in a recall. */
  lot: z.string().max(120).optional(),
  note: z.string().max(2000).optional(),
  /** When a tube or bottle was opened; `expires` is then the earlier of print and open life. */
  opened: dateRead.optional(),
  printedExpires: dateRead.optional(),
  /** When a tool was first used. */
  firstUse: dateRead.optional(),
  /** Access drills: seconds from the word to the thing in the hand. */
  drills: z
    .array(
      z.looseObject({
        seconds: z.number().min(0).max(3600),
        oneHanded: z.boolean().optional(),
        gloved: z.boolean().optional(),
      }),
    )
    .max(50)
    .optional(),
});

export const moneySchema = z.looseObject({
  amount: z.number().min(0).max(1e9),
  currency: z.string().regex(/^[A-Z]{3}$/, "is not a currency code of three capitals, as EUR"),
});

export const kitSchema = z.looseObject({
  name: z.string().max(300),
  claims: z
    .looseObject({
      pieces: pieces.optional(),
      massG: z.number().min(0).max(1e9).optional(),
    })
    .default({}),
  price: moneySchema.optional(),
  container: z
    .looseObject({
      massG: z.number().min(0).max(1e9).optional(),
      allowance: z.number().min(0).max(1e9).optional(),
      volumeMl: z.number().min(0).max(1e9).optional(),
    })
    .optional(),
  lines: z.array(lineSchema).max(10_000),
});

export const auditSchema = z.looseObject({
  format: z.literal("wide-sieve.audit"),
  version: z.literal(1),
  brief: briefSchema,
  houseRules: houseRulesSchema.optional(),
  list: listSchema,
  itemTypes: z.array(itemTypeSchema).max(1000).optional(),
  kit: kitSchema,
});

export type Brief = z.infer<typeof briefSchema>;
export type Elsewhere = z.infer<typeof elsewhereSchema>;
export type HouseRules = z.infer<typeof houseRulesSchema>;
export type Need = z.infer<typeof needSchema>;
export type ReferenceList = z.infer<typeof listSchema>;
export type Line = z.infer<typeof lineSchema>;
export type Kit = z.infer<typeof kitSchema>;
export type AuditFile = z.infer<typeof auditSchema>;
export type Tier = Need["tier"];

/** Zod's issues as problems with a path a person can find. */
export const zodProblems = (error: z.ZodError): Problem[] =>
  error.issues.slice(0, 50).map((i) => ({ where: pathText(i.path), what: i.message }));

/** An audit from parsed JSON. Says what is wrong and where; gives nothing on error. */
export function parseAudit(json: unknown): Outcome<AuditFile> {
  const wrongFile = notAnAuditFile(json);
  if (wrongFile) return fail([wrongFile]);
  const parsed = auditSchema.safeParse(json);
  if (!parsed.success) return fail(zodProblems(parsed.error));
  const problems = integrity(parsed.data);
  return problems.length > 0 ? fail(problems) : { ok: true, value: parsed.data };
}

function notAnAuditFile(json: unknown): Problem | null {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    return { where: "", what: "is not an audit file: a JSON object is expected" };
  const { format, version } = json as Record<string, unknown>;
  if (format !== "wide-sieve.audit")
    return {
      where: "format",
      what: `is '${String(format)}', not 'wide-sieve.audit': this is another kind of file`,
    };
  if (typeof version === "number" && version > 1)
    return {
      where: "version",
      what: `is ${version}; this program reads up to 1: open the file with a newer Wide Sieve`,
    };
  return null;
}

/** Whole-file checks that no single field shows: unknown and doubled ids, counts that are missing. */
export function integrity(audit: AuditFile): Problem[] {
  const own = audit.itemTypes ?? [];
  const typeOf = typeLookup(own);
  const problems: Problem[] = [];
  const bad = (where: string, what: string) => problems.push({ where, what });
  const checkType = (where: string, typeId: string) => {
    if (!typeOf(typeId)) bad(where, `'${typeId}' is not an item type of the catalogue or the file`);
  };
  const checkFunction = (where: string, functionId: string) => {
    if (!functionOf(functionId)) bad(where, `'${functionId}' is not a function of the catalogue`);
  };
  const checkUnique = (where: string, ids: readonly string[]) => {
    for (const doubled of doubles(ids)) bad(where, `the id '${doubled}' stands twice`);
  };

  checkUnique(
    "itemTypes",
    own.map((t) => t.id),
  );
  own.forEach((t, i) => {
    const at = `itemTypes[${i}]`;
    if (shippedType(t.id)) bad(`${at}.id`, `'${t.id}' is an id of the catalogue: choose another`);
    if ((t.measure === "metre" || t.measure === "millilitre") && t.typical === undefined)
      bad(`${at}.typical`, `a type measured in ${t.measure} needs a typical value`);
    t.functions.forEach((c, k) => checkFunction(`${at}.functions[${k}]`, c.function));
    checkUnique(
      `${at}.functions`,
      t.functions.map((c) => c.function),
    );
  });

  checkUnique(
    "list.needs",
    audit.list.needs.map((n) => n.id),
  );
  audit.list.needs.forEach((n, i) => {
    const at = `list.needs[${i}]`;
    checkFunction(`${at}.function`, n.function);
    n.companions?.forEach((c, k) => checkFunction(`${at}.companions[${k}]`, c));
    n.accept?.forEach((a, k) => checkType(`${at}.accept[${k}].itemType`, a.itemType));
    checkUnique(`${at}.accept`, n.accept?.map((a) => a.itemType) ?? []);
    const { min, max } = n.quantity;
    if (min !== undefined && max !== undefined && min > max)
      bad(`${at}.quantity`, `min ${min} is above max ${max}`);
  });

  const elsewhere = audit.brief.carriedElsewhere ?? [];
  elsewhere.forEach((e, i) => checkType(`brief.carriedElsewhere[${i}].itemType`, e.itemType));
  checkUnique("kit.lines", [
    ...audit.kit.lines.map((l) => l.id),
    ...elsewhere.map((_, i) => `elsewhere-${i + 1}`),
  ]);
  audit.kit.lines.forEach((l, i) => {
    const at = `kit.lines[${i}]`;
    if (l.itemType !== null) checkType(`${at}.itemType`, l.itemType);
    if (l.claimed === undefined && l.counted === undefined)
      bad(at, "has neither a claimed nor a counted number of pieces");
    for (const p of l.failedPoints ?? [])
      if (!isInspectionPoint(p)) bad(`${at}.failedPoints`, `'${p}' is not an inspection point`);
  });
  return problems;
}

function doubles(ids: readonly string[]): Set<string> {
  const seen = new Set<string>();
  const doubled = new Set<string>();
  for (const each of ids) (seen.has(each) ? doubled : seen).add(each);
  return doubled;
}
