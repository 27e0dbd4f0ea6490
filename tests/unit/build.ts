import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { audit, type Audit } from "../../src/lib/core/audit/audit.ts";
import { parseAudit } from "../../src/lib/core/formats/auditFile.ts";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import type { Brief } from "../../src/lib/core/model/brief.ts";
import type { HouseRules } from "../../src/lib/core/model/houseRules.ts";
import type { ItemType } from "../../src/lib/core/model/itemType.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import type { Need } from "../../src/lib/core/model/list.ts";

/** Small audits for tests: only what a rule looks at is given. */

export const TODAY = "2026-11-25";

export const need = (id: string, fn: string, more: Partial<Need> = {}): Need => ({
  id,
  function: fn,
  tier: "core",
  quantity: { base: 1 },
  ...more,
});

/** A line that is counted, sound and in date. */
export const good = (
  id: string,
  itemType: string,
  counted = 1,
  more: Partial<Line> = {},
): Line => ({
  id,
  itemType,
  counted,
  condition: "sound",
  expires: "none",
  location: "outside",
  ...more,
});

/** An item type of the user's own that does nothing and asks for nothing. */
export const ownType = (id: string, label: string, more: Partial<ItemType> = {}): ItemType => ({
  id,
  label,
  functions: [],
  measure: "each",
  skill: "anyone",
  use: "single",
  sterile: false,
  dated: false,
  medicine: false,
  clash: [],
  alsoCalled: [],
  ...more,
});

export function auditFile(
  needs: readonly Need[],
  lines: readonly Line[],
  more: {
    brief?: Partial<Brief>;
    houseRules?: HouseRules;
    itemTypes?: AuditFile["itemTypes"];
    price?: number;
  } = {},
): AuditFile {
  return {
    format: "wide-sieve.audit",
    version: 1,
    brief: {
      title: "test",
      people: 1,
      days: 1,
      hoursToCare: 0,
      start: "2026-06-01",
      activities: [],
      carry: "pack",
      skill: "trained",
      sensitivities: [],
      limits: {},
      ...more.brief,
    },
    houseRules: more.houseRules ?? {},
    list: { id: "list", title: "test", needs: [...needs] },
    ...(more.itemTypes ? { itemTypes: more.itemTypes } : {}),
    kit: {
      name: "kit",
      claims: {},
      ...(more.price === undefined ? {} : { price: { amount: more.price, currency: "EUR" } }),
      lines: [...lines],
    },
  };
}

/** Checks the file as an import would, then audits it. */
export function auditOf(...given: Parameters<typeof auditFile>): Audit {
  const parsed = parseAudit(JSON.parse(JSON.stringify(auditFile(...given))), CATALOGUE);
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return audit(parsed.value, TODAY, CATALOGUE);
}

/** v₁ … v₇ of the only need. */
export const valuesOf = (...given: Parameters<typeof auditFile>): readonly number[] =>
  auditOf(...given).needs[0]!.values;
