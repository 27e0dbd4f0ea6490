import type { Audit } from "../core/audit/audit.ts";
import type { ItemType } from "../core/model/itemType.ts";
import type { Line } from "../core/model/kit.ts";
import type { Need } from "../core/model/list.ts";
import { ACCESS_LIMIT_S, isHidden, reachOf } from "../core/sieve/handy.ts";
import { clashesOf, latexOf } from "../core/sieve/usable.ts";
import { companionFactor } from "../core/sieve/real.ts";
import { lineCondition } from "../core/inspect/quality.ts";
import type { SiftedPair } from "../core/sieve/sift.ts";
import { CONDITION_LABEL, LOCATION_LABEL, SENSITIVITY_LABEL, SKILL_LABEL } from "./labels.ts";
import { day, milligrams, needLabel, number, size } from "./sentences.ts";

/** Why one factor is what it is, by which rule, and where it is changed. */
export interface FactorReason {
  readonly factor:
    | "credit"
    | "spec"
    | "dose"
    | "companions"
    | "sound"
    | "fresh"
    | "handy"
    | "usable";
  readonly value: number;
  readonly text: string;
  readonly change: "list" | "house-rules" | "bench" | "brief";
}

/** Where a reason is changed, in words. */
export const CHANGE_LABEL: Record<FactorReason["change"], string> = {
  list: "change the list",
  "house-rules": "change the house rule",
  bench: "to the bench",
  brief: "change the brief",
};

/** A line and a need it serves, with all that a reason may name. */
interface Facts {
  readonly a: Audit;
  readonly p: SiftedPair;
  readonly line: Line;
  readonly type: ItemType | null;
  readonly need: Need;
}

/** Every factor of a line for a need that is below 1, with its reason; also what is taken on trust. */
export function factorReasons(a: Audit, p: SiftedPair): FactorReason[] {
  const { line, type } = a.context.lines[p.pair.line]!;
  const { need } = a.context.needs[p.pair.need]!;
  const facts: Facts = { a, p, line, type, need };
  return [
    ...creditReason(facts),
    ...specReason(facts),
    ...doseReason(facts),
    ...companionReasons(facts),
    ...soundReason(facts),
    ...freshReason(facts),
    ...handyReason(facts),
    ...usableReason(facts),
  ];
}

const reason = (
  factor: FactorReason["factor"],
  value: number,
  change: FactorReason["change"],
  text: string,
): FactorReason[] => [{ factor, value, change, text }];

function creditReason({ p }: Facts): FactorReason[] {
  const { credit, source } = p.pair.credit;
  if (credit >= 1) return [];
  const share = `${number(credit * 100, 0)} %`;
  switch (source) {
    case "accept":
      return reason("credit", credit, "list", `the list takes it as a stand-in for ${share}`);
    case "devices":
      return reason(
        "credit",
        credit,
        "house-rules",
        "house rule Devices: protocol only gives it no credit",
      );
    case "improvised":
      return reason("credit", credit, "house-rules", "house rule Improvised: denied");
    case "children":
      return reason("credit", credit, "brief", "not for children, and children are there");
    case "none":
      return reason("credit", credit, "list", "it does not do this job");
    case "catalogue":
    case "cutting":
      return reason(
        "credit",
        credit,
        "list",
        credit === 0
          ? "in name only: the catalogue gives it nothing for this job"
          : `it does ${share} of the job by its kind`,
      );
  }
}

function specReason({ p, line, type, need }: Facts): FactorReason[] {
  if (p.spec >= 1) return [];
  const have = line.sizeMm ? size(line.sizeMm) : "its size";
  const sterile = need.spec?.sterile && type && !type.sterile ? ", not sterile," : "";
  const asked = need.spec?.minSizeMm ? `, ${size(need.spec.minSizeMm)}` : "";
  return reason("spec", p.spec, "list", `${have}${sterile} against what is asked${asked}`);
}

function doseReason({ a, p, line, type, need }: Facts): FactorReason[] {
  const { factor, unchecked } = p.pair.dose;
  const planning =
    a.context.catalogue.functions.get(need.function)?.planningDoseMg ?? type?.planningDoseMg;
  if (planning === undefined || (factor === 1 && !unchecked)) return [];
  const dose = milligrams(planning);
  return reason(
    "dose",
    factor,
    "bench",
    unchecked
      ? `strength not read: taken as a planning dose of ${dose} in the upper figure`
      : `${milligrams(line.strengthMg!)} each, against a planning dose of ${dose}`,
  );
}

const companionReasons = ({ p }: Facts): FactorReason[] =>
  p.companionsMissing.flatMap((c) =>
    reason("companions", companionFactor(1), "list", `without “${needLabel(c)}” it counts half`),
  );

function soundReason({ a, p, line }: Facts): FactorReason[] {
  const { catalogue } = a.context;
  const condition = lineCondition(line, catalogue);
  if (p.sound >= 1)
    return condition === null
      ? reason("sound", 1, "bench", "not inspected: taken as sound in the upper figure")
      : [];
  const failed = (line.failedPoints ?? []).map((x) => catalogue.points.get(x)?.good.toLowerCase());
  const not = failed.length > 0 ? `, not: ${failed.join("; ")}` : "";
  const text = `${condition ? CONDITION_LABEL[condition] : "not inspected"}${not}`;
  return reason("sound", p.sound, "bench", text);
}

function freshReason({ a, p, line, type }: Facts): FactorReason[] {
  if (p.fresh >= 1)
    return type?.dated && line.expires === undefined
      ? reason("fresh", 1, "bench", "no date read: taken as good in the upper figure")
      : [];
  const tiered = p.fresh > 0;
  const dates = `good to ${line.expires ? day(line.expires) : "?"}, needed to ${day(a.context.lastDay)}`;
  return reason(
    "fresh",
    p.fresh,
    tiered ? "house-rules" : "bench",
    tiered ? `${dates}; house rule Dates: tiered, half for a year` : dates,
  );
}

function handyReason({ p, line, type, need }: Facts): FactorReason[] {
  if (p.handy >= 1) return [];
  const reach = reachOf(line);
  const { access } = need;
  const late: string[] = [];
  if (access && access !== "any" && reach !== null && reach > ACCESS_LIMIT_S[access]) {
    const place =
      line.reachS === undefined && line.location ? ` ${LOCATION_LABEL[line.location]}` : "";
    late.push(`${number(reach, 1)} s${place}, asked within ${ACCESS_LIMIT_S[access]} s`);
  }
  if (isHidden(line, type)) late.push("hard to find or not labelled");
  return reason("handy", p.handy, "bench", late.join("; "));
}

const LATEX_REASON = {
  said: "the pack does not say that it is free of latex, and someone reacts to it",
  often: "this kind often holds latex: it counts once its pack says that it is free of it",
  ask: "someone reacts to latex: read on the pack whether it is free of it",
} as const;

function usableReason({ a, p, line, type }: Facts): FactorReason[] {
  if (p.usable >= 1 && !p.pair.usable.unchecked) return [];
  const { brief } = a.context;
  const clash = type ? clashesOf(type, brief) : [];
  if (
    type &&
    clash.length === 0 &&
    brief.sensitivities.includes("latex") &&
    line.latexFree !== true
  ) {
    const latex = latexOf(type);
    if (latex === "often" || line.latexFree === false)
      return reason(
        "usable",
        p.usable,
        "bench",
        LATEX_REASON[line.latexFree === false ? "said" : "often"],
      );
    if (p.pair.usable.unchecked) return reason("usable", p.usable, "bench", LATEX_REASON.ask);
  }
  const asks = type ? SKILL_LABEL[type.skill] : "training";
  return reason(
    "usable",
    p.usable,
    "brief",
    clash.length > 0
      ? `someone reacts to ${clash.map((c) => SENSITIVITY_LABEL[c]).join(", ")}`
      : `asks for ${asks}, the party has ${SKILL_LABEL[brief.skill]}`,
  );
}
