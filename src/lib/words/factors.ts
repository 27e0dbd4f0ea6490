import { CATALOGUE } from "../data/catalogue.ts";
import type { Audit } from "../core/audit/audit.ts";
import { ACCESS_LIMIT_S, reachOf } from "../core/sieve/handy.ts";
import { lineCondition } from "../core/inspect/quality.ts";
import type { SiftedPair } from "../core/sieve/sift.ts";
import { CONDITION_LABEL, LOCATION_LABEL, SENSITIVITY_LABEL, SKILL_LABEL } from "./labels.ts";
import { day, needLabel, number, size } from "./sentences.ts";

/** Why one factor is what it is, by which rule, and where it is changed. */
export interface FactorReason {
  readonly factor: "credit" | "spec" | "companions" | "sound" | "fresh" | "handy" | "usable";
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

/** Every factor of a line for a need that is below 1, with its reason; also what is taken on trust. */
export function factorReasons(a: Audit, p: SiftedPair): FactorReason[] {
  const { line, type } = a.bench.lines[p.pair.line]!;
  const asked = a.bench.needs[p.pair.need]!;
  const out: FactorReason[] = [];
  const add = (
    factor: FactorReason["factor"],
    value: number,
    change: FactorReason["change"],
    text: string,
  ) => out.push({ factor, value, change, text });

  const { credit, source } = p.pair.credit;
  if (credit < 1)
    switch (source) {
      case "accept":
        add(
          "credit",
          credit,
          "list",
          `the list takes it as a stand-in for ${number(credit * 100, 0)} %`,
        );
        break;
      case "devices":
        add(
          "credit",
          credit,
          "house-rules",
          "house rule Devices: protocol only gives it no credit",
        );
        break;
      case "improvised":
        add("credit", credit, "house-rules", "house rule Improvised: denied");
        break;
      case "none":
        add("credit", credit, "list", "it does not do this job");
        break;
      default:
        add(
          "credit",
          credit,
          "list",
          credit === 0
            ? "in name only: the catalogue gives it nothing for this job"
            : `it does ${number(credit * 100, 0)} % of the job by its kind`,
        );
    }
  if (p.spec < 1)
    add(
      "spec",
      p.spec,
      "list",
      `${line.sizeMm ? size(line.sizeMm) : "its size"}${asked.need.spec?.sterile && type && !type.sterile ? ", not sterile," : ""} against what is asked${asked.need.spec?.minSizeMm ? `, ${size(asked.need.spec.minSizeMm)}` : ""}`,
    );
  for (const c of p.companionsMissing)
    add("companions", 0.5, "list", `without “${needLabel(c)}” it counts half`);
  if (p.sound < 1) {
    const failed = (line.failedPoints ?? []).map((x) =>
      CATALOGUE.points.get(x)?.good.toLowerCase(),
    );
    const condition = lineCondition(line, CATALOGUE);
    add(
      "sound",
      p.sound,
      "bench",
      `${condition ? CONDITION_LABEL[condition] : "not inspected"}${failed.length > 0 ? `, not: ${failed.join("; ")}` : ""}`,
    );
  } else if (lineCondition(line, CATALOGUE) === null)
    add("sound", 1, "bench", "not inspected: taken as sound in the upper figure");
  if (p.fresh < 1)
    add(
      "fresh",
      p.fresh,
      p.fresh > 0 ? "house-rules" : "bench",
      `good to ${line.expires ? day(line.expires) : "?"}, needed to ${day(a.bench.lastDay)}${p.fresh > 0 ? "; house rule Dates: tiered, half for a year" : ""}`,
    );
  else if (type?.dated && line.expires === undefined)
    add("fresh", 1, "bench", "no date read: taken as good in the upper figure");
  if (p.handy < 1) {
    const reach = reachOf(line);
    const access = asked.need.access;
    const hidden = line.findable === false || (line.labelled === false && type?.medicine);
    add(
      "handy",
      p.handy,
      "bench",
      [
        access && access !== "any" && reach !== null && reach > ACCESS_LIMIT_S[access]
          ? `${number(reach, 1)} s${line.reachS === undefined && line.location ? ` ${LOCATION_LABEL[line.location]}` : ""}, asked within ${ACCESS_LIMIT_S[access]} s`
          : "",
        hidden ? "hard to find or not labelled" : "",
      ]
        .filter(Boolean)
        .join("; "),
    );
  }
  if (p.pair.usable < 1) {
    const clash = type?.clash.filter((c) => a.bench.brief.sensitivities.includes(c)) ?? [];
    add(
      "usable",
      p.pair.usable,
      "brief",
      clash.length > 0
        ? `someone reacts to ${clash.map((c) => SENSITIVITY_LABEL[c]).join(", ")}`
        : `asks for ${type ? SKILL_LABEL[type.skill] : "training"}, the party has ${SKILL_LABEL[a.bench.brief.skill]}`,
    );
  }
  return out;
}
