import { CATALOGUE } from "../data/catalogue.ts";
import { worthChecking, type Audit } from "../core/audit/audit.ts";
import { lineCondition, lineQuality } from "../core/inspect/quality.ts";
import { proposeVerdict } from "../core/audit/verdict.ts";
import type { Action } from "../core/plan/actions.ts";
import { kitLoad } from "../core/bag/load.ts";
import type { Verdict } from "../core/records/kitRecord.ts";
import { piecesOf } from "../core/sieve/measure.ts";
import { MESHES } from "../core/model/mesh.ts";
import { cautionsOf, GENERAL_CAUTION } from "../words/cautions.ts";
import { RULE_IDS } from "../core/model/houseRules.ts";
import { ruleLabel, schoolLabel } from "../words/houseRules.ts";
import { CATEGORY_LABEL, MESH_LABEL, SKILL_LABEL, UNCHECKED_LABEL } from "../words/labels.ts";
import {
  ACTION_LABEL,
  day,
  decidedBy,
  DROP_BECAUSE,
  grams,
  money,
  needLabel,
  number,
  percent,
  percentRange,
  PHASE_LABEL,
  repackText,
  size,
  whyItRests,
} from "../words/sentences.ts";
import { VERDICT_LABEL } from "../words/verdicts.ts";
import type { Block } from "./blocks.ts";
import { sieveSvg } from "./sieveSvg.ts";

/** A plan as the report needs it. */
export interface ReportPlan {
  readonly actions: readonly Action[];
  readonly price: number;
  readonly currency: string;
  readonly gradeAfter: string;
  readonly coverageAfter: number;
  readonly proven: boolean;
}

/** What a report knows beyond the audit; all of it may be absent, as on the command line. */
export interface ReportExtras {
  readonly verdicts?: Readonly<Record<string, Verdict>>;
  readonly photos?: readonly {
    readonly dataUrl: string;
    readonly name: string;
    readonly line?: string | undefined;
  }[];
  readonly inspector?: string;
  readonly history?: readonly { readonly on: string; readonly what: string }[];
}

/** Categories named on the first page: this many of the best, and of the worst. */
const NAMED = 3;

/** A kit's report: one page that says it all, then everything that it rests on. */
export function kitReport(
  a: Audit,
  plan: ReportPlan | null,
  extras: ReportExtras,
  madeOn: string,
): Block[] {
  const { brief, kit, list } = a.bench.audit;
  const lineName = (id: string) => {
    const found = a.bench.lines.find((l) => l.line.id === id);
    return found?.line.text ?? found?.type?.label ?? id;
  };
  const counted = kit.lines.filter((l) => l.counted !== undefined).length;
  const inspected = kit.lines.filter((l) => lineCondition(l, CATALOGUE) !== null).length;
  const ranked = [...a.categories].sort((x, y) => y.coverage - x.coverage);
  const named = (cs: typeof ranked) =>
    cs.map((c) => `${CATEGORY_LABEL[c.id]} ${percent(c.coverage)} %`).join(", ");
  const half = Math.min(NAMED, Math.floor(ranked.length / 2));
  const held = a.needs
    .map((n, i) => ({ n, i, loss: a.bench.needs[i]!.weight * (1 - n.met) }))
    .filter((x) => x.n.restsOn !== "pan")
    .sort((x, y) => y.loss - x.loss || x.i - y.i);

  const blocks: Block[] = [
    { kind: "heading", level: 1, text: kit.name },
    {
      kind: "text",
      strong: true,
      text: `${a.grade ?? "Nothing asked"}, coverage ${percentRange(a.interval)}`,
    },
    { kind: "text", text: decidedBy(a) },
    {
      kind: "text",
      text: `Judged for ${brief.title || "an untitled brief"}: ${brief.people} ${brief.people === 1 ? "person" : "people"}, ${brief.days} ${brief.days === 1 ? "day" : "days"}, ${number(brief.hoursToCare, 1)} h from care, to ${day(a.bench.lastDay)}. Against: ${list.title}.`,
    },
    {
      kind: "text",
      text: `Checked: ${counted} of ${kit.lines.length} lines counted, ${inspected} inspected. The lower figure takes everything that was not checked as failing, the upper takes it on trust.`,
    },
  ];
  if (a.needs.length > 0) {
    const picture = sieveSvg(a);
    blocks.push({
      kind: "picture",
      ...picture,
      alt: `The sieve: ${MESHES.map((m) => `${MESH_LABEL[m]} holds ${a.needs.filter((n) => n.restsOn === m).length}`).join(", ")}; ${a.needs.filter((n) => n.restsOn === "pan").length} of ${a.needs.length} needs are in the pan.`,
    });
  }
  const facts: [string, string][] = [];
  if (half > 0)
    facts.push(
      ["Best covered", named(ranked.slice(0, half))],
      ["Worst covered", named(ranked.slice(-half).reverse())],
    );
  facts.push(
    [
      "Pieces",
      `${a.value.serving} of the ${a.value.counted} do a job on the list; ${a.value.claimed} claimed`,
    ],
    [
      "Quality of what was inspected",
      a.quality === null ? "nothing inspected" : `${number(a.quality, 0)} of 100`,
    ],
    ["Price paid", kit.price ? money(kit.price.amount, kit.price.currency) : "not given"],
    ["Weight", `${grams(kitLoad(a.bench.audit, CATALOGUE).massG)}, by type`],
    ["To make it ready", plan ? money(plan.price, plan.currency) : "no plan"],
  );
  blocks.push({ kind: "facts", rows: facts });

  blocks.push({ kind: "new-page" }, { kind: "heading", level: 2, text: "Held back" });
  if (held.length === 0) blocks.push({ kind: "text", text: "Nothing: every need is in the pan." });
  else
    blocks.push({
      kind: "table",
      head: ["Need", "Tier", "Held at", "Met", "Why"],
      widths: [24, 8, 10, 7, 51],
      rows: held.map(({ n, i }) => [
        needLabel(a.bench.needs[i]!.need.function),
        a.bench.needs[i]!.tier,
        MESH_LABEL[n.restsOn],
        `${number(n.met * 100, 0)} %`,
        whyItRests(a, i),
      ]),
    });
  blocks.push(
    { kind: "heading", level: 2, text: "By category" },
    {
      kind: "table",
      head: ["Category", "Coverage", "Low–high", ...MESHES.map((m) => MESH_LABEL[m])],
      rows: [...a.categories]
        .sort((x, y) => x.coverage - y.coverage)
        .map((c) => [
          CATEGORY_LABEL[c.id],
          `${number(c.coverage * 100, 1)} %`,
          percentRange(c.interval),
          ...MESHES.map((m) => (c.caught[m] > 1e-9 ? `-${number(c.caught[m] * 100, 1)}` : "")),
        ]),
    },
    { kind: "heading", level: 2, text: "Items" },
    {
      kind: "table",
      head: ["Item", "Pieces", "Size", "Good to", "Condition", "Verdict", "On trust"],
      widths: [24, 9, 13, 11, 20, 13, 10],
      rows: a.bench.lines.flatMap(({ line, type, elsewhere }, i) => {
        if (elsewhere) return [];
        const q = lineQuality(line, CATALOGUE);
        const failed = (line.failedPoints ?? []).map(
          (p) => CATALOGUE.points.get(p)?.good.toLowerCase() ?? p,
        );
        const condition = lineCondition(line, CATALOGUE);
        const given = extras.verdicts?.[line.id];
        return [
          [
            `${line.text ?? type?.label ?? line.id}${line.text && type && line.text !== type.label ? ` (${type.label})` : ""}${line.note ? `. ${line.note}` : ""}`,
            `${number(piecesOf(line))}${line.claimed !== undefined && line.claimed !== piecesOf(line) ? ` of ${number(line.claimed)}` : ""}`,
            line.sizeMm ? size(line.sizeMm) : "",
            line.expires === undefined
              ? type?.dated
                ? "not read"
                : ""
              : line.expires === "none"
                ? "no date"
                : day(line.expires),
            condition
              ? `${condition}${q !== null && q < 100 ? ` ${q}` : ""}${failed.length > 0 ? `; not: ${failed.join(", ")}` : ""}`
              : "not inspected",
            given
              ? `${VERDICT_LABEL[given.verdict as keyof typeof VERDICT_LABEL]}${given.why ? `: ${given.why}` : ""}`
              : `${VERDICT_LABEL[proposeVerdict(a, i).verdict]} (proposed)`,
            a.unchecked[i]!.map((f) => UNCHECKED_LABEL[f]).join(", ") || "checked",
          ],
        ];
      }),
    },
  );
  const photos = extras.photos ?? [];
  if (photos.length > 0)
    blocks.push(
      { kind: "heading", level: 2, text: "Photographs" },
      {
        kind: "photos",
        items: photos.map((p) => ({
          dataUrl: p.dataUrl,
          caption: p.line ? lineName(p.line) : p.name,
        })),
      },
    );
  const next = worthChecking(a)
    .filter((w) => w.gain > 1e-9)
    .slice(0, 5);
  if (next.length > 0)
    blocks.push(
      { kind: "heading", level: 2, text: "Most worth checking" },
      {
        kind: "list",
        items: next.map(
          (w) =>
            `${lineName(w.line)}: ${w.facts.map((f) => UNCHECKED_LABEL[f]).join(", ")} (+${number(w.gain * 100, 1)} points if it passes)`,
        ),
      },
    );
  if (plan) blocks.push(...planBlocks(plan, a, lineName));
  blocks.push(
    { kind: "heading", level: 2, text: "Cautions" },
    {
      kind: "list",
      items: [
        GENERAL_CAUTION,
        ...cautionsOf(
          a.bench.lines.map((l) => l.type?.id),
          a.bench.brief,
        ).map((c) => c.text),
      ],
    },
    { kind: "heading", level: 2, text: "Method" },
    {
      kind: "text",
      text: "Each need of the list passes seven meshes: Here, Real, Enough, Sound, Fresh, Handy, Usable. Coverage is what reaches the pan, weighted by tier (vital 5, core 3, useful 1) and by the emphasis of the house rules.",
    },
    {
      kind: "facts",
      rows: [
        ...RULE_IDS.map((rule): [string, string] => [
          ruleLabel(rule),
          schoolLabel(rule, a.bench.rules[rule]),
        ]),
        ["List", `${list.title}${list.version ? `, version ${list.version}` : ""}`],
        ...(list.isNot ? [["The list is", list.isNot] as [string, string]] : []),
        ["Looked at by", extras.inspector?.trim() || "not named"],
        ["Report made", `${day(madeOn)}, with Wide Sieve`],
      ],
    },
  );
  if (extras.history?.length)
    blocks.push(
      { kind: "heading", level: 3, text: "What happened before" },
      { kind: "list", items: extras.history.map((h) => `${day(h.on)}: ${h.what}`) },
    );
  return blocks;
}

function planBlocks(plan: ReportPlan, a: Audit, lineName: (id: string) => string): Block[] {
  const need = (id: string) =>
    needLabel(a.bench.needs.find((n) => n.need.id === id)?.need.function ?? id);
  const rows = plan.actions.map((x): string[] => {
    switch (x.kind) {
      case "add":
      case "top-up":
      case "replace":
      case "swap":
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
      case "repack":
        return [
          ACTION_LABEL.repack,
          lineName(x.line),
          repackText(x),
          "",
          "free",
          PHASE_LABEL[x.phase],
        ];
      case "train":
        return [
          ACTION_LABEL.train,
          SKILL_LABEL[x.to],
          "raises what the party may use",
          `+${number(x.gain, 1)}`,
          money(x.price, plan.currency),
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
    { kind: "heading", level: 2, text: "Plan" },
    {
      kind: "text",
      text: `After it: ${plan.gradeAfter}, coverage ${number(plan.coverageAfter * 100, 1)} %. Cost ${money(plan.price, plan.currency)}${plan.proven ? ", proven the least" : ""}.`,
    },
    {
      kind: "table",
      head: ["Action", "What", "For", "Points", "Cost", "When"],
      widths: [10, 28, 28, 8, 10, 16],
      rows,
    },
  ];
}
