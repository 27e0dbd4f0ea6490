import { worthChecking, type Audit } from "../core/audit.ts";
import { lineCondition, lineQuality } from "../core/inspect/quality.ts";
import { inspectionPoint } from "../core/inspect/points.ts";
import type { Action } from "../core/plan/actions.ts";
import { kitLoad } from "../core/plan/mass.ts";
import { piecesOf } from "../core/sieve/measure.ts";
import { MESHES } from "../core/sieve/sift.ts";
import { markdownTable } from "./markdownTable.ts";
import { cautionsOf, GENERAL_CAUTION } from "../words/cautions.ts";
import { CATEGORY_LABEL, MESH_LABEL } from "../words/labels.ts";
import {
  ACTION_LABEL,
  decidedBy,
  DROP_BECAUSE,
  grams,
  money,
  needLabel,
  number,
  percentRange,
  PHASE_LABEL,
  size,
  whyItRests,
} from "../words/sentences.ts";

/** A plan as the report needs it. */
export interface ReportPlan {
  readonly actions: readonly Action[];
  readonly price: number;
  readonly currency: string;
  readonly gradeAfter: string;
  readonly coverageAfter: number;
  readonly proven: boolean;
}

/** The report as Markdown: verdict first, then categories, needs, items, plan, cautions, method. */
export function markdownReport(a: Audit, plan: ReportPlan | null, madeOn: string): string {
  const { brief, kit, list } = a.bench.audit;
  const load = kitLoad(a.bench.audit);
  const counted = kit.lines.filter((l) => l.counted !== undefined).length;
  const inspected = kit.lines.filter((l) => lineCondition(l) !== null).length;
  const lineName = (id: string) => {
    const found = a.bench.lines.find((l) => l.line.id === id);
    return found?.line.text ?? found?.type?.label ?? id;
  };
  const held = a.needs
    .map((n, i) => ({ n, i, loss: a.bench.needs[i]!.weight * (1 - n.values[6]!) }))
    .filter((x) => x.n.restsOn !== "pan")
    .sort((x, y) => y.loss - x.loss || x.i - y.i);
  const parts: string[] = [
    `# ${kit.name}`,
    `**${a.grade ?? "Nothing asked"}** — coverage ${percentRange(a.interval)}. ${decidedBy(a)}`,
    `Judged for: ${brief.title || "an untitled brief"} — ${brief.people} ${brief.people === 1 ? "person" : "people"}, ${brief.days} ${brief.days === 1 ? "day" : "days"}, ${number(brief.hoursToCare, 1)} h from care, to ${a.bench.lastDay}. Against: ${list.title}.`,
    `Checked: ${counted} of ${kit.lines.length} lines counted, ${inspected} inspected. The lower figure takes everything unchecked as failing, the upper as passing.`,
    markdownTable(
      ["", ""],
      [
        [
          "Pieces",
          `${a.value.counted} there, ${a.value.claimed} claimed, ${a.value.serving} do a job on the list`,
        ],
        ["Padding", a.value.padding === null ? "–" : `${number(a.value.padding * 100, 0)} %`],
        [
          "Quality of what was inspected",
          a.quality === null ? "not inspected" : `${number(a.quality, 0)} of 100`,
        ],
        ["Price paid", kit.price ? money(kit.price.amount, kit.price.currency) : "not given"],
        ["Weight, estimated", grams(load.massG)],
        ...(plan ? [["Cost to make it ready", money(plan.price, plan.currency)]] : []),
      ],
    ),
    "## Held back",
    held.length === 0
      ? "Nothing: every need is in the pan."
      : markdownTable(
          ["Need", "Tier", "Held at", "Met", "Why"],
          held.map(({ n, i }) => [
            needLabel(a.bench.needs[i]!.need.function),
            a.bench.needs[i]!.tier,
            MESH_LABEL[n.restsOn],
            `${number(n.values[6]! * 100, 0)} %`,
            whyItRests(a, i),
          ]),
        ),
    "## By category",
    markdownTable(
      ["Category", "Coverage", "Low–high", ...MESHES.map((m) => MESH_LABEL[m])],
      a.categories.map((c) => [
        CATEGORY_LABEL[c.id],
        `${number(c.coverage * 100, 1)} %`,
        percentRange(c.interval),
        ...MESHES.map((m) => (c.caught[m] > 1e-9 ? `−${number(c.caught[m] * 100, 1)}` : "")),
      ]),
    ),
    "## Items",
    markdownTable(
      ["Item", "Kind", "Pieces", "Size", "Date", "Condition", "Quality"],
      a.bench.lines
        .filter((l) => !l.elsewhere)
        .map(({ line, type }) => [
          line.text ?? type?.label ?? line.id,
          type?.label ?? "not in the catalogue",
          `${piecesOf(line)}${line.counted === undefined ? " claimed, not counted" : ""}`,
          line.sizeMm ? size(line.sizeMm) : "",
          line.expires === undefined ? (type?.dated ? "not read" : "") : line.expires,
          conditionText(line),
          lineQuality(line) === null ? "" : String(lineQuality(line)),
        ]),
    ),
  ];
  const next = worthChecking(a)
    .filter((w) => w.gain > 1e-9)
    .slice(0, 5);
  if (next.length > 0)
    parts.push(
      "## Most worth checking",
      next
        .map(
          (w) =>
            `- ${lineName(w.line)}: ${w.facts.join(", ")} (+${number(w.gain * 100, 1)} points if it passes)`,
        )
        .join("\n"),
    );
  if (plan) parts.push("## Plan", planText(plan, a, lineName));
  const cautions = cautionsOf(
    a.bench.lines.map((l) => l.type?.id),
    a.bench.brief,
  );
  parts.push(
    "## Cautions",
    [GENERAL_CAUTION, ...cautions.map((c) => c.text)].map((c) => `- ${c}`).join("\n"),
    "## Method",
    `Each need of the list passes seven meshes: Here, Real, Enough, Sound, Fresh, Handy, Usable. Coverage is what reaches the pan, weighted by tier (vital 5, core 3, useful 1). House rules: ${rulesText(a)}. Made with Wide Sieve on ${madeOn}.`,
  );
  return parts.join("\n\n") + "\n";
}

function conditionText(line: Parameters<typeof lineCondition>[0]): string {
  const condition = lineCondition(line);
  if (condition === null) return "not inspected";
  const failed = (line.failedPoints ?? []).map((p) => inspectionPoint(p)?.good.toLowerCase() ?? p);
  return failed.length === 0 ? condition : `${condition}; not: ${failed.join(", ")}`;
}

function planText(plan: ReportPlan, a: Audit, lineName: (id: string) => string): string {
  const need = (id: string) =>
    needLabel(a.bench.needs.find((n) => n.need.id === id)?.need.function ?? id);
  const rows = plan.actions.map((x): string[] => {
    switch (x.kind) {
      case "add":
      case "top-up":
      case "replace":
        return [
          ACTION_LABEL[x.kind],
          `${x.packs} × ${x.product.title}`,
          x.serves.map((s) => need(s.need)).join(", "),
          `+${number(x.gain, 1)}`,
          money(x.price, plan.currency),
          PHASE_LABEL[x.phase],
        ];
      case "move":
        return [
          x.label ? "Label or move" : ACTION_LABEL.move,
          lineName(x.line),
          "brought within reach and marked",
          `+${number(x.gain, 1)}`,
          "free",
          PHASE_LABEL[x.phase],
        ];
      case "drop":
        return [
          ACTION_LABEL.drop,
          lineName(x.line),
          DROP_BECAUSE[x.because],
          "",
          "free",
          PHASE_LABEL[x.phase],
        ];
      case "check":
        return [
          ACTION_LABEL.check,
          lineName(x.line),
          `the plan relies on it; unchecked: ${x.facts.join(", ")}`,
          "",
          "free",
          PHASE_LABEL[x.phase],
        ];
    }
  });
  return [
    `After it: **${plan.gradeAfter}**, coverage ${number(plan.coverageAfter * 100, 1)} %. Cost ${money(plan.price, plan.currency)}${plan.proven ? ", proven the least" : ""}.`,
    markdownTable(["Action", "What", "For", "Points", "Cost", "When"], rows),
  ].join("\n\n");
}

function rulesText(a: Audit): string {
  const r = a.bench.rules;
  return [
    r.emphasis,
    `dates ${r.dates}`,
    r.duplicates,
    `devices ${r.devices}`,
    `improvised ${r.improvised}`,
    `advanced ${r.advanced}`,
    `breathing ${r.breathing}`,
    `cutting ${r.cutting}`,
  ].join(", ");
}
