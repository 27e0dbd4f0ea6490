import { purposeText } from "../words/planTexts.ts";
import { SHARE_TOLERANCE } from "../core/base/tolerance.ts";
import type { Line } from "../core/model/kit.ts";
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
import { ruleLabel, schoolText } from "../words/houseRules.ts";
import { CATEGORY_LABEL, MESH_LABEL, SKILL_LABEL, UNCHECKED_LABEL } from "../words/labels.ts";
import {
  ACTION_LABEL,
  bringText,
  day,
  DROP_BECAUSE,
  grams,
  money,
  needLabel,
  number,
  percentRange,
  PHASE_LABEL,
  pieceCount,
  repackText,
  size,
} from "../words/sentences.ts";
import { carryCheck } from "../core/bag/carryCheck.ts";
import { carryText } from "../words/carryTexts.ts";
import { carryLine, verdictProse } from "../words/verdictProse.ts";
import { decidedBy, whyItRests } from "../words/reasons.ts";
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
  /** Needs that stay short of full after it. */
  readonly unmet: readonly { readonly need: string; readonly met: number }[];
}

/** What a report knows beyond the audit; all of it may be absent, as on the command line. */
export interface ReportExtras {
  readonly verdicts?: Readonly<Record<string, Verdict>>;
  readonly photos?: readonly {
    readonly dataUrl: string;
    readonly name: string;
    readonly line?: string | undefined;
    /** What happened when it was taken. */
    readonly said?: string | undefined;
  }[];
  readonly inspector?: string;
  /** The plan is still being worked out. */
  readonly pending?: boolean;
  /** The same list filled from an empty bag. */
  readonly buildOwn?: { readonly price: number; readonly massG: number } | null;
  /** Its life since its log began (logBlocks.ts). */
  readonly log?: readonly Block[];
  /** Whether it lasts (chanceBlocks.ts). */
  readonly chance?: readonly Block[];
  readonly history?: readonly { readonly on: string; readonly what: string }[];
}

/** Categories named on the first page: this many of the best, and of the worst. */
const NAMED = 3;
/** Lines named as most worth checking. */
const WORTH_CHECKING = 5;

type Facts = [string, string][];

/** A kit's report: one page that says it all, then everything that it rests on. */
export function kitReport(
  a: Audit,
  plan: ReportPlan | null,
  extras: ReportExtras,
  madeOn: string,
): Block[] {
  return [
    ...verdictBlocks(a, plan, extras),
    { kind: "facts", rows: [...categoryFacts(a), ...kitFacts(a, plan, extras)] },
    ...pictureBlocks(a),
    { kind: "new-page" },
    ...heldBackBlocks(a),
    ...categoryBlocks(a),
    ...itemBlocks(a, extras),
    ...photoBlocks(a, extras),
    ...worthCheckingBlocks(a),
    ...(plan ? planBlocks(plan, a) : []),
    ...(extras.chance ?? []),
    ...cautionBlocks(a, plan),
    ...methodBlocks(a, extras, madeOn),
    ...(extras.log ?? []),
    ...historyBlocks(extras),
  ];
}

const typeLabel = (a: Audit, id: string): string => a.context.catalogue.types.get(id)?.label ?? id;

function lineName(a: Audit, id: string): string {
  const found = a.context.lines.find((l) => l.line.id === id);
  return found?.line.text ?? found?.type?.label ?? id;
}

// The first page

/** The verdict's own sentences: the line, then the paragraph. */
export function publishedVerdict(
  a: Audit,
  plan: ReportPlan | null,
  extras: ReportExtras,
): [string, string] {
  const matter = { plan, buildOwn: extras.buildOwn ?? null, pending: extras.pending ?? false };
  return [carryLine(a, matter), verdictProse(a, matter).join(" ")];
}

function verdictBlocks(a: Audit, plan: ReportPlan | null, extras: ReportExtras): Block[] {
  const [line, prose] = publishedVerdict(a, plan, extras);
  const { brief, kit, list } = a.context.audit;
  const counted = kit.lines.filter((l) => l.counted !== undefined).length;
  const inspected = kit.lines.filter((l) => lineCondition(l, a.context.catalogue) !== null).length;
  const people = `${brief.people} ${brief.people === 1 ? "person" : "people"}`;
  const days = `${brief.days} ${brief.days === 1 ? "day" : "days"}`;
  return [
    { kind: "heading", level: 1, text: kit.name },
    { kind: "text", strong: true, text: line },
    ...(prose ? [{ kind: "text" as const, text: prose }] : []),
    {
      kind: "text",
      strong: true,
      text: `${a.grade ?? "Nothing asked"}, coverage ${percentRange(a.interval)}`,
    },
    { kind: "text", text: decidedBy(a) },
    {
      kind: "text",
      text: `Judged for ${brief.title || "an untitled brief"}: ${people}, ${days}, ${number(brief.hoursToCare, 1)} h from care, to ${day(a.context.lastDay)}. Against: ${list.title}.`,
    },
    {
      kind: "text",
      text: `Checked: ${counted} of ${kit.lines.length} lines counted, ${inspected} inspected. The lower figure takes everything that was not checked as failing, the upper takes it on trust.`,
    },
  ];
}

function pictureBlocks(a: Audit): Block[] {
  if (a.needs.length === 0) return [];
  const restingOn = (m: (typeof a.needs)[number]["restsOn"]) =>
    a.needs.filter((n) => n.restsOn === m).length;
  const held = MESHES.map((m) => `${MESH_LABEL[m]} holds ${restingOn(m)}`).join(", ");
  const alt = `The sieve: ${held}; ${restingOn("pan")} of ${a.needs.length} needs can be relied on.`;
  return [{ kind: "picture", ...sieveSvg(a), alt }];
}

function categoryFacts(a: Audit): Facts {
  const ranked = [...a.categories].sort((x, y) => y.coverage - x.coverage);
  const half = Math.min(NAMED, Math.floor(ranked.length / 2));
  if (half === 0) return [];
  const named = (cs: typeof ranked) =>
    cs.map((c) => `${CATEGORY_LABEL[c.id]} ${percentRange(c.interval)}`).join(", ");
  return [
    ["Best covered, from checked to on trust", named(ranked.slice(0, half))],
    ["Worst covered", named(ranked.slice(-half).reverse())],
  ];
}

function kitFacts(a: Audit, plan: ReportPlan | null, { buildOwn, pending }: ReportExtras): Facts {
  const { serving, counted, claimed } = a.value;
  const { price, claims } = a.context.audit.kit;
  const printed = claims.massG === undefined ? "" : `; ${grams(claims.massG)} printed`;
  const own: Facts =
    buildOwn && plan
      ? [
          [
            "Built from an empty bag",
            `${money(buildOwn.price, plan.currency)}, ${grams(buildOwn.massG)}`,
          ],
        ]
      : [];
  return [
    ["Pieces", `${serving} of the ${counted} do a job on the list; ${claimed} claimed`],
    [
      "Quality of what was inspected",
      a.quality === null ? "nothing inspected" : `${number(a.quality, 0)} of 100`,
    ],
    [
      "Will it be carried",
      carryText(carryCheck(a.context.audit, kitLoad(a.context.audit, a.context.catalogue))),
    ],
    ["Price paid", price ? money(price.amount, price.currency) : "not given"],
    ["Weight", `${grams(kitLoad(a.context.audit, a.context.catalogue).massG)}, by type${printed}`],
    [
      "To make it ready",
      plan ? money(plan.price, plan.currency) : pending ? "being worked out" : "no plan",
    ],
    ...own,
  ];
}

// What it rests on

function heldBackBlocks(a: Audit): Block[] {
  const heading: Block = { kind: "heading", level: 2, text: "Held back" };
  const held = a.needs
    .map((n, i) => ({ n, i, loss: a.context.needs[i]!.weight * (1 - n.met) }))
    .filter((x) => x.n.restsOn !== "pan")
    .sort((x, y) => y.loss - x.loss || x.i - y.i);
  if (held.length === 0)
    return [heading, { kind: "text", text: "Nothing: every need can be relied on." }];
  return [
    heading,
    {
      kind: "table",
      head: ["Need", "Tier", "Held at", "Met", "Why"],
      widths: [24, 8, 10, 7, 51],
      rows: held.map(({ n, i }) => [
        needLabel(a.context.needs[i]!.need.function),
        a.context.needs[i]!.tier,
        MESH_LABEL[n.restsOn],
        `${number(n.met * 100, 0)} %`,
        whyItRests(a, i),
      ]),
    },
  ];
}

function categoryBlocks(a: Audit): Block[] {
  const caught = (share: number) => (share > SHARE_TOLERANCE ? `-${number(share * 100, 1)}` : "");
  return [
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
          ...MESHES.map((m) => caught(c.caught[m])),
        ]),
    },
  ];
}

function itemBlocks(a: Audit, extras: ReportExtras): Block[] {
  return [
    { kind: "heading", level: 2, text: "Items" },
    {
      kind: "table",
      head: ["Item", "Pieces", "Size", "Good to", "Condition", "Verdict", "On trust"],
      widths: [24, 9, 13, 11, 20, 13, 10],
      rows: a.context.lines.flatMap((l, i) =>
        l.elsewhere
          ? []
          : [
              [
                itemName(l),
                pieces(l),
                l.line.sizeMm ? size(l.line.sizeMm) : "",
                goodTo(l),
                conditionText(a, l.line),
                verdictText(a, i, extras.verdicts?.[l.line.id]),
                a.unchecked[i]!.map((f) => UNCHECKED_LABEL[f]).join(", ") || "checked",
              ],
            ],
      ),
    },
  ];
}

type BenchLine = Audit["context"]["lines"][number];

function itemName({ line, type }: BenchLine): string {
  const name = line.text ?? type?.label ?? line.id;
  const kind = line.text && type && line.text !== type.label ? ` (${type.label})` : "";
  return `${name}${kind}${line.note ? `. ${line.note}` : ""}`;
}

function pieces({ line, type }: BenchLine): string {
  const there = piecesOf(line);
  return line.claimed === undefined || line.claimed === there
    ? pieceCount(there, type ?? undefined)
    : `${number(there)} of ${pieceCount(line.claimed, type ?? undefined)}`;
}

function goodTo({ line, type }: BenchLine): string {
  if (line.expires === undefined) return type?.dated ? "not read" : "";
  return line.expires === "none" ? "no date" : day(line.expires);
}

function conditionText(a: Audit, line: Line): string {
  const { catalogue } = a.context;
  const condition = lineCondition(line, catalogue);
  if (!condition) return "not inspected";
  const quality = lineQuality(line, catalogue);
  const failed = (line.failedPoints ?? []).map(
    (p) => catalogue.points.get(p)?.good.toLowerCase() ?? p,
  );
  const points = quality !== null && quality < 100 ? ` ${quality}` : "";
  return `${condition}${points}${failed.length > 0 ? `; not: ${failed.join(", ")}` : ""}`;
}

const verdictText = (a: Audit, i: number, given: Verdict | undefined): string =>
  given
    ? `${VERDICT_LABEL[given.verdict]}${given.why ? `: ${given.why}` : ""}`
    : `${VERDICT_LABEL[proposeVerdict(a, i).verdict]} (proposed)`;

function photoBlocks(a: Audit, { photos = [] }: ReportExtras): Block[] {
  if (photos.length === 0) return [];
  const items = photos.map((p) => ({
    dataUrl: p.dataUrl,
    caption: p.said ?? (p.line ? lineName(a, p.line) : p.name),
  }));
  return [
    { kind: "heading", level: 2, text: "Photographs" },
    { kind: "photos", items },
  ];
}

function worthCheckingBlocks(a: Audit): Block[] {
  const next = worthChecking(a)
    .filter((w) => w.gain > SHARE_TOLERANCE)
    .slice(0, WORTH_CHECKING);
  if (next.length === 0) return [];
  const items = next.map((w) => {
    const facts = w.facts.map((f) => UNCHECKED_LABEL[f]).join(", ");
    const gain = number(w.gain * 100, 1);
    return `${lineName(a, w.line)}: ${facts} (+${gain} points if it passes)`;
  });
  return [
    { kind: "heading", level: 2, text: "Most worth checking" },
    { kind: "list", items },
  ];
}

/** What lies there, what is asked for and what the plan buys, each caution once. */
export const cautionsOfReport = (a: Audit, plan: ReportPlan | null) =>
  cautionsOf({
    brief: a.context.brief,
    houseRules: a.context.rules,
    lines: a.context.lines.map((l) => ({ id: l.line.id, itemType: l.type?.id ?? null })),
    needs: a.context.needs.map((n) => ({ id: n.need.id, function: n.need.function })),
    products: (plan?.actions ?? []).flatMap((x) => ("product" in x ? [x.product] : [])),
  });

function cautionBlocks(a: Audit, plan: ReportPlan | null): Block[] {
  const items = [GENERAL_CAUTION, ...cautionsOfReport(a, plan).map((c) => c.caution.text)];
  return [
    { kind: "heading", level: 2, text: "Cautions" },
    { kind: "list", items },
  ];
}

function methodBlocks(a: Audit, extras: ReportExtras, madeOn: string): Block[] {
  const { list } = a.context.audit;
  const rules = RULE_IDS.map((rule): [string, string] => [
    ruleLabel(rule),
    schoolText(rule, a.context.rules),
  ]);
  const isNot: Facts = list.isNot ? [["The list is", list.isNot]] : [];
  return [
    { kind: "heading", level: 2, text: "Method" },
    {
      kind: "text",
      text: "Each need of the list passes seven meshes: Here, Real, Enough, Sound, Fresh, Handy, Usable. Coverage is what passes all of them, weighted by tier (vital 5, core 3, useful 1) and by the emphasis of the house rules.",
    },
    {
      kind: "facts",
      rows: [
        ...rules,
        ["List", `${list.title}${list.version ? `, version ${list.version}` : ""}`],
        ...isNot,
        ["Looked at by", extras.inspector?.trim() || "not named"],
        ["Report made", `${day(madeOn)}, with Wide Sieve`],
      ],
    },
  ];
}

const historyBlocks = ({ history = [] }: ReportExtras): Block[] =>
  history.length === 0
    ? []
    : [
        { kind: "heading", level: 3, text: "What happened before" },
        { kind: "list", items: history.map((h) => `${day(h.on)}: ${h.what}`) },
      ];

function planBlocks(plan: ReportPlan, a: Audit): Block[] {
  const need = (id: string) =>
    needLabel(a.context.needs.find((n) => n.need.id === id)?.need.function ?? id);
  const rows = plan.actions.map((x): string[] => {
    switch (x.kind) {
      case "add":
      case "top-up":
      case "replace":
      case "swap":
        return [
          ACTION_LABEL[x.kind],
          `${x.packs} × ${x.product.title}`,
          purposeText(x, need, plan.currency),
          `+${number(x.gain, 1)}`,
          money(x.price, plan.currency),
          PHASE_LABEL[x.phase],
        ];
      case "move":
        return [
          x.label ? "Label or move" : ACTION_LABEL.move,
          lineName(a, x.line),
          "brought within reach and marked",
          `+${number(x.gain, 1)}`,
          "free",
          PHASE_LABEL[x.phase],
        ];
      case "bring":
        return [
          ACTION_LABEL.bring,
          x.line === null ? `${x.pieces} × ${typeLabel(a, x.itemType)}` : lineName(a, x.line),
          bringText(x),
          x.gain > 0 ? `+${number(x.gain, 1)}` : "",
          "not bought",
          PHASE_LABEL[x.phase],
        ];
      case "drop":
        return [
          ACTION_LABEL.drop,
          lineName(a, x.line),
          DROP_BECAUSE[x.because],
          "",
          "free",
          PHASE_LABEL[x.phase],
        ];
      case "repack":
        return [
          ACTION_LABEL.repack,
          lineName(a, x.line),
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
          lineName(a, x.line),
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
      text: `After it: ${plan.gradeAfter}, coverage ${number(plan.coverageAfter * 100, 1)} %. Cost ${money(plan.price, plan.currency)}${plan.proven ? "; no plan from this price book is cheaper" : ""}.`,
    },
    ...unmetBlocks(plan, need),
    {
      kind: "table",
      head: ["Action", "What", "For", "Points", "Cost", "When"],
      widths: [10, 28, 28, 8, 10, 16],
      rows,
    },
  ];
}

/** What a plan that ends well still leaves short. */
function unmetBlocks(plan: ReportPlan, need: (id: string) => string): Block[] {
  if (plan.unmet.length === 0) return [{ kind: "text", text: "Every need is then met in full." }];
  const items = plan.unmet.map((u) => `${need(u.need)}: met to ${number(u.met * 100, 0)} %`);
  return [
    { kind: "text", text: "Still short after it:" },
    { kind: "list", items },
  ];
}
