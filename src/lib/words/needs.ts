import { CATALOGUE } from "../data/catalogue.ts";
import type { ItemType } from "../core/model/itemType.ts";
import type { FunctionUnit } from "../core/model/functionRecord.ts";
import type { Brief } from "../core/model/brief.ts";
import type { Need } from "../core/model/list.ts";
import type { AskedNeed } from "../core/reference/asked.ts";
import type { AuditContext } from "../core/sieve/context.ts";
import { redressings, requiredQuantity } from "../core/reference/quantity.ts";
import type { Direction } from "../core/reference/compareLists.ts";
import type { NeedField } from "../core/reference/stricter.ts";
import { ACTIVITIES } from "../data/activities.ts";
import { CARRY_LABEL, SENSITIVITY_LABEL } from "./labels.ts";
import { many, number, quantity, size } from "./sentences.ts";

/** A need's rules in words. */

export const FIELD_LABEL: Record<NeedField, string> = {
  tier: "tier",
  quantity: "how many",
  spec: "at least of size",
  access: "how fast",
  companions: "goes with",
  accept: "stand-ins",
  when: "asked when",
  theirs: "whose it is",
};

export const DIRECTION_LABEL: Record<Direction, string> = {
  stricter: "stricter",
  looser: "looser",
  other: "other",
};

export const ACCESS_LABEL = {
  seconds: "in the hand within 15 seconds",
  minute: "in the hand within a minute",
  any: "no hurry",
} as const;

type TypeOf = (id: string) => ItemType | undefined;

/** "2 + 1 a person + 1 a person and day, changed every 12 h, at most 40". */
export function quantityText(need: Pick<Need, "quantity" | "function">): string {
  const q = need.quantity;
  const unit = CATALOGUE.functions.get(need.function)?.unit ?? "each";
  const amount = (n: number) => quantity(n, unit);
  const parts = [
    q.base ? `${amount(q.base)}${q.baseFor ? ` for up to ${q.baseFor} people` : ""}` : "",
    q.perPerson ? perPersonText(q.perPerson, q.baseFor, unit) : "",
    q.perDay ? `${amount(q.perDay)} a day` : "",
    q.perPersonDay ? `${amount(q.perPersonDay)} a person and day` : "",
  ].filter(Boolean);
  return [
    parts.join(" + ") || amount(1),
    q.redressEveryH ? `again every ${number(q.redressEveryH, 1)} h to care` : "",
    q.min ? `at least ${amount(q.min)}` : "",
    q.max !== undefined ? `at most ${amount(q.max)}` : "",
  ]
    .filter(Boolean)
    .join(", ");
}

type Party = Pick<Brief, "people" | "days" | "hoursToCare">;

/** How much is asked and why: by the list's own sum, or by chance. */
export function askedText(
  asked: AskedNeed,
  { brief, rules }: Pick<AuditContext, "brief" | "rules">,
): string {
  const sum = askedSumText(asked.need, brief);
  if (asked.byList === undefined) return sum;
  const unit = CATALOGUE.functions.get(asked.need.function)?.unit ?? "each";
  const why =
    asked.tier === "vital" && asked.required === asked.byList
      ? "as the list asks: chance takes nothing from a vital need"
      : `which suffices in ${Math.round(100 * rules.chanceAt)} of 100 outings`;
  return `${quantity(asked.required, unit)}, ${why}; by the list ${sum}`;
}

/** The sum behind a required quantity: "⌈1 + 0.125 × 1 person beyond 8⌉ = 2, but at most 1". */
export function askedSumText(need: Pick<Need, "quantity" | "function">, party: Party): string {
  const q = need.quantity;
  const unit = CATALOGUE.functions.get(need.function)?.unit ?? "each";
  const { people, days } = party;
  const beyond = q.baseFor ?? 0;
  const persons = (n: number) => many(n, "person", "people");
  const counted = `${persons(Math.max(0, people - beyond))}${beyond > 0 ? ` beyond ${number(beyond)}` : ""}`;
  const parts = [
    q.base ? number(q.base, 4) : "",
    q.perPerson ? `${number(q.perPerson, 4)} × ${counted}` : "",
    q.perDay ? `${number(q.perDay, 4)} × ${many(days, "day")}` : "",
    q.perPersonDay
      ? `${number(q.perPersonDay, 4)} × ${persons(people)} × ${many(days, "day")}`
      : "",
  ].filter(Boolean);
  const once = parts.join(" + ") || "1";
  const times = 1 + redressings(party.hoursToCare, q.redressEveryH);
  const sum = times === 1 ? once : `${parts.length > 1 ? `(${once})` : once} × ${times}`;
  const dressings =
    times === 1
      ? ""
      : `, as it is put on and changed every ${number(q.redressEveryH!, 1)} h until care`;
  const free = requiredQuantity({ quantity: { ...q, min: 0, max: Infinity } }, party);
  const required = requiredQuantity(need, party);
  const limit =
    required === free
      ? ""
      : `, but ${required > free ? "at least" : "at most"} ${quantity(required, unit)}`;
  return `⌈${sum}⌉ = ${quantity(free, unit)}${dressings}${limit}`;
}

/** What else a need asks of the things that meet it. */
export function specText({ spec, access }: Pick<Need, "spec" | "access">): string {
  return [
    access && access !== "any" ? ACCESS_LABEL[access] : "",
    spec?.minSizeMm ? `at least ${size(spec.minSizeMm)}` : "",
    spec?.minWidthMm ? `at least ${size([spec.minWidthMm])} wide` : "",
    spec?.minLengthMm ? `at least ${size([spec.minLengthMm])} long` : "",
    spec?.sterile ? "sterile" : "",
  ]
    .filter(Boolean)
    .join("; ");
}

/** "1 a person"; of a fraction how many people one is for: "1 for each 8 people beyond". */
function perPersonText(share: number, baseFor: number | undefined, unit: FunctionUnit): string {
  const beyond = baseFor ? " beyond" : "";
  const people = 1 / share;
  if (share < 1 && Math.abs(people - Math.round(people)) < 1e-9)
    return `${quantity(1, unit)} for each ${Math.round(people)} people${beyond}`;
  return `${quantity(share, unit)} a person${beyond}`;
}

export function whenText(when: Need["when"]): string {
  if (!when) return "always";
  const parts = [
    when.activities?.length
      ? when.activities.map((a) => ACTIVITIES.find((x) => x.id === a)?.label ?? a).join(" or ")
      : "",
    when.carry?.length ? when.carry.map((c) => CARRY_LABEL[c]).join(" or ") : "",
    when.sensitivities?.length
      ? `someone reacts to ${when.sensitivities.map((s) => SENSITIVITY_LABEL[s]).join(" or ")}`
      : "",
    when.peopleMin ? `from ${when.peopleMin} people` : "",
    when.daysMin ? `from ${many(when.daysMin, "day")}` : "",
    when.hoursToCareMin ? `from ${number(when.hoursToCareMin, 1)} h to care` : "",
  ].filter(Boolean);
  return parts.join(", ") || "always";
}

/** One part of a need in words. */
export function fieldText(need: Need, field: NeedField, typeOf: TypeOf): string {
  switch (field) {
    case "tier":
      return need.tier;
    case "quantity":
      return quantityText(need);
    case "spec": {
      const s = need.spec;
      return (
        [
          s?.minSizeMm ? size(s.minSizeMm) : "",
          s?.minWidthMm ? `${size([s.minWidthMm])} wide` : "",
          s?.minLengthMm ? `${size([s.minLengthMm])} long` : "",
          s?.sterile ? "sterile" : "",
        ]
          .filter(Boolean)
          .join(", ") || "any"
      );
    }
    case "access":
      return ACCESS_LABEL[need.access ?? "any"];
    case "companions":
      return (
        need.companions?.map((c) => CATALOGUE.functions.get(c)?.label ?? c).join(", ") || "nothing"
      );
    case "accept":
      return (
        need.accept
          ?.map(
            (a) =>
              `${typeOf(a.itemType)?.label ?? a.itemType} for ${number(a.credit * 100, 0)} %${a.improvised ? ", improvised" : ""}`,
          )
          .join("; ") || "none"
      );
    case "when":
      return whenText(need.when);
    case "theirs":
      return need.theirs ? "their own: checked, never bought" : "the kit's";
  }
}
