import type { Audit } from "../core/audit/audit.ts";
import { isWhole, SHARE_TOLERANCE } from "../core/base/tolerance.ts";
import { MESHES, type Mesh } from "../core/model/mesh.ts";
import type { SiftedPair } from "../core/sieve/sift.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import { doing } from "./doing.ts";
import { factorReasons } from "./factors.ts";
import { needLabel, number, percent, quantity } from "./sentences.ts";

/** Why a need is held back, and what decided a grade, in the words of the trade: the fault first, then the figure. */

/** Beside the main fault, one that costs at least a tenth of the need is named too. */
const WORTH_NAMING = 0.1;

/**
 * What keeps the kit from the next better grade, the fault before the figure: "Nothing here stops a
 * limb bleed: “Rubber strap” does it in name only."
 */
export function decidedBy(a: Audit): string {
  const d = a.decidedBy;
  if (!d) return "The list asks for nothing under this brief, so there is nothing to judge.";
  const trust = onTrust(a);
  switch (d.gate) {
    case "none":
      return `It does what this brief asks of it: every vital need is met, and coverage is ${number(d.value * 100, 1)} %.${trust}`;
    case "coverage":
      return `Nothing vital is missing, but too much of the rest is: coverage is ${number(d.value * 100, 1)} %, and ${number(d.asked * 100, 1)} % would be the next grade.${trust}`;
    case "vital": {
      const n = a.context.needs.findIndex((x) => x.need.id === d.need);
      const met = number(d.value * 100, 1);
      return `${faultOf(a, n)} (A vital need, met to ${met} %; the next grade asks ${number(d.asked * 100, 1)} %.)`;
    }
  }
}

/** Said wherever a good figure rests on what nobody has looked at. */
function onTrust(a: Audit): string {
  const [low, high] = a.interval ?? [0, 0];
  if (high - low <= SHARE_TOLERANCE) return "";
  return ` That takes on trust what nobody has checked; checked to fail, it would be ${number(low * 100, 1)} %.`;
}

/** Why a need is held back, standing alone: what the need is, unless the sentence says it. */
export function faultOf(a: Audit, n: number): string {
  const why = whyItRests(a, n);
  if (why.startsWith("Nothing here")) return why;
  const own = why.startsWith("“") ? why : why.charAt(0).toLowerCase() + why.slice(1);
  return `${needLabel(functionOf(a, n))}: ${own}`;
}

/** Why a need rests where it rests: the fault that would change the result most, then any other of weight. */
export function whyItRests(a: Audit, n: number): string {
  const need = a.needs[n]!;
  const { tier } = a.context.needs[n]!;
  if (isWhole(need.met)) return "Met in full.";
  const caught = MESHES.map((mesh, k): [Mesh, number] => [
    mesh,
    (k === 0 ? 1 : need.values[k - 1]!) - need.values[k]!,
  ]);
  const [main, ...others] = [...caught].sort((x, y) => y[1] - x[1]);
  const also = others
    .filter(([, share]) => share >= WORTH_NAMING)
    .map(([mesh]) => ALSO[mesh](a, n))
    .filter(Boolean);
  const rest = also.length > 0 ? ` Also ${also.join(", and ")}.` : "";
  const text = FAULT[main![0]](a, n) + rest;
  if (need.restsOn === "pan")
    return `Met to ${percent(need.met)} %, which is enough for a ${tier} need. ${text}`;
  return text;
}

type Sentence = (a: Audit, n: number) => string;

const functionOf = (a: Audit, n: number): string => a.context.needs[n]!.need.function;

function nameOf(a: Audit, p: SiftedPair): string {
  const { line, type } = a.context.lines[p.pair.line]!;
  const said = line.text && line.text.length < 60 ? line.text : undefined;
  return `“${said ?? type?.label ?? line.id}”`;
}

/** Names of the lines in use that have a fault; of all lines of the need where none is in use. */
function named(a: Audit, n: number, faulty: (p: SiftedPair) => boolean): string {
  const pairs = a.needs[n]!.pairs.filter((p) => p.r > 0 && faulty(p));
  const used = pairs.filter((p) => p.units > 0);
  const names = [...new Set((used.length > 0 ? used : pairs).map((p) => nameOf(a, p)))];
  return names.length === 0 ? "what is there" : names.join(", ");
}

const best = (a: Audit, n: number): SiftedPair | undefined =>
  [...a.needs[n]!.pairs].sort((x, y) => y.r - x.r)[0];

const FAULT: Readonly<Record<Mesh, Sentence>> = {
  here: (a, n) => `Nothing here ${doing(functionOf(a, n))}.`,
  real: (a, n) => {
    const p = best(a, n);
    if (!p) return FAULT.here(a, n);
    const credit = p.pair.credit;
    if (credit.credit === 0)
      return credit.source === "catalogue" || credit.source === "none"
        ? `Nothing here ${doing(functionOf(a, n))}: ${nameOf(a, p)} is there in name only.`
        : `Nothing here ${doing(functionOf(a, n))}: ${nameOf(a, p)} gets no credit, ${creditWhy(a, p)}.`;
    return `${nameOf(a, p)} is the best there is and ${realFaults(a, p)}.`;
  },
  enough: (a, n) => {
    const asked = a.context.needs[n]!;
    const unit = CATALOGUE.functions.get(asked.need.function)!.unit;
    const given = a.needs[n]!.pairs.reduce((s, p) => s + p.units, 0);
    const of =
      given === 0
        ? `None of the ${quantity(asked.required, unit)}`
        : `Only ${quantity(given, unit)} of the ${quantity(asked.required, unit)}`;
    const elsewhere = usedElsewhere(a, n);
    if (given >= asked.required - 1e-9)
      return `There are enough, but a weak stand-in fills part: ${named(a, n, (p) => p.units > 0 && p.r < 1)}.`;
    const unread = a.needs[n]!.pairs.some((p) => p.pair.dose.factor < 1 && p.units > 0);
    return `${of} asked for${unread ? ", counted in planning doses" : ""}.${elsewhere}`;
  },
  sound: (a, n) => `Worn or failed: ${named(a, n, (p) => p.sound < 1)}.`,
  fresh: (a, n) => `Past its date before the last day: ${named(a, n, (p) => p.fresh < 1)}.`,
  handy: (a, n) => `Not in the hand in time, or hard to find: ${named(a, n, (p) => p.handy < 1)}.`,
  usable: (a, n) => {
    const p = a.needs[n]!.pairs.find((x) => x.r > 0 && x.usable < 1);
    const why = p ? factorReasons(a, p).find((f) => f.factor === "usable")?.text : undefined;
    return `These people cannot rely on ${named(a, n, (x) => x.usable < 1)}: ${why ?? "it asks for more training"}.`;
  },
};

/** The same faults as an afterthought. */
const ALSO: Readonly<Record<Mesh, Sentence>> = {
  here: () => "",
  real: (a, n) => {
    const p = best(a, n);
    return p ? `${nameOf(a, p)} ${realFaults(a, p)}` : "";
  },
  enough: (a, n) => {
    const asked = a.context.needs[n]!;
    const unit = CATALOGUE.functions.get(asked.need.function)!.unit;
    const given = a.needs[n]!.pairs.reduce((s, p) => s + p.units, 0);
    return given >= asked.required - 1e-9
      ? ""
      : `there is too little, ${quantity(given, unit)} of ${quantity(asked.required, unit)}`;
  },
  sound: (a, n) => `${named(a, n, (p) => p.sound < 1)} is worn or failed`,
  fresh: (a, n) => `${named(a, n, (p) => p.fresh < 1)} is past its date before the last day`,
  handy: (a, n) =>
    `${named(a, n, (p) => p.handy < 1)} is not labelled, hard to find or not in the hand in time`,
  usable: (a, n) => `these people cannot rely on ${named(a, n, (p) => p.usable < 1)}`,
};

/** What is wrong with the best there is: its kind, its size, what goes with it. */
function realFaults(a: Audit, p: SiftedPair): string {
  const { line, type } = a.context.lines[p.pair.line]!;
  const { need } = a.context.needs[p.pair.need]!;
  const faults = [
    p.pair.credit.credit < 1
      ? `does ${percent(p.pair.credit.credit)} % of the job by its kind`
      : "",
    p.spec < 1 && need.spec?.sterile && type && !type.sterile ? "is not sterile" : "",
    p.spec < 1 && line.sizeMm && hasSize(need.spec) ? "is too small" : "",
    ...p.companionsMissing.map((c) => `lacks what goes with it (${needLabel(c).toLowerCase()})`),
  ].filter(Boolean);
  return faults.join(", and ") || "does only part of the job";
}

const hasSize = (spec: Audit["context"]["needs"][number]["need"]["spec"]): boolean =>
  spec?.minSizeMm !== undefined ||
  spec?.minWidthMm !== undefined ||
  spec?.minLengthMm !== undefined;

const creditWhy = (a: Audit, p: SiftedPair): string =>
  factorReasons(a, p).find((f) => f.factor === "credit")?.text ?? "by the list";

/** " 80 ml more are there, used for “Flush a wound”.": pieces that could serve and serve another need. */
function usedElsewhere(a: Audit, n: number): string {
  const own = a.needs[n]!.pairs.filter((p) => p.r > 0 && p.yield > 0);
  const unit = CATALOGUE.functions.get(functionOf(a, n))!.unit;
  const used = new Map<number, number>();
  for (const p of own) {
    if (a.context.lines[p.pair.line]!.type?.use === "tool") continue;
    a.needs.forEach((other, m) => {
      if (m === n) return;
      for (const q of other.pairs)
        if (q.pair.line === p.pair.line && q.units > 0 && q.yield > 0)
          used.set(m, (used.get(m) ?? 0) + (q.units / q.yield) * p.yield);
    });
  }
  if (used.size === 0) return "";
  const parts = [...used].map(
    ([m, units]) => `${quantity(units, unit)} used for “${needLabel(functionOf(a, m))}”`,
  );
  return ` More is there: ${parts.join(", ")}.`;
}
