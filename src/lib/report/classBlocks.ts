import type { KeyFile } from "../core/exercise/exerciseFile.ts";
import type { RunsCompared } from "../core/exercise/compareRuns.ts";
import type { ClassSummary, Marked } from "../core/exercise/mark.ts";
import {
  DIFFICULTY_LABEL,
  FAULT_HOW,
  FAULT_LABEL,
  meshTaught,
  teachText,
} from "../words/exerciseTexts.ts";
import { money, number } from "../words/sentences.ts";
import type { Block } from "./blocks.ts";

/** What a line of the kit is called. */
type NameOf = (line: string) => string;

/** A share in per cent, a figure, an interval; "–" where there is none. */
export const percent = (share: number | null): string =>
  share === null ? "–" : `${number(100 * share, 0)} %`;
export const between = (i: readonly [number, number] | null): string =>
  i === null ? "–" : `${percent(i[0])} – ${percent(i[1])}`;
export const figure = (n: number | null): string => (n === null ? "–" : number(n, 2));
const fault = (kind: string): string => FAULT_LABEL[kind] ?? kind;

/** The class on one or two pages: what to teach, who found what, fault by fault. */
export function classBlocks(
  title: string,
  summary: ClassSummary,
  nameOf: NameOf,
  runs: RunsCompared | null,
): Block[] {
  const found = (m: Marked) => `${m.found.length} of ${m.found.length + m.missed.length}`;
  return [
    { kind: "heading", level: 1, text: `${title}: the class` },
    { kind: "heading", level: 2, text: "Teach tomorrow" },
    { kind: "list", items: summary.teachNext.map(teachText) },
    {
      kind: "text",
      text: `Agreement among students (Krippendorff's alpha) ${figure(summary.alpha)}, with the rules (Cohen's kappa, mean) ${figure(summary.kappaWithKey)}.`,
    },
    ...(runs ? runBlocks(runs) : []),
    { kind: "heading", level: 2, text: "Students" },
    {
      kind: "table",
      head: [
        "Student",
        "Found",
        "Right reason",
        "False alarms",
        "Verdicts",
        "Plan",
        "Minutes",
        "Next",
      ],
      rows: summary.students.map((m) => [
        m.id,
        found(m),
        String(m.rightReason.length),
        String(m.falseAlarms.length),
        percent(m.verdictScore),
        planText(m),
        m.timeS === null ? "–" : number(m.timeS / 60, 0),
        m.next ? meshTaught(m.next) : "–",
      ]),
    },
    { kind: "heading", level: 2, text: "By what is asked" },
    groupTable(summary.meshes.map((g) => [meshTaught(g.id), g])),
    { kind: "heading", level: 2, text: "By difficulty" },
    groupTable(summary.difficulties.map((g) => [DIFFICULTY_LABEL[g.id], g])),
    { kind: "heading", level: 2, text: "Fault by fault" },
    {
      kind: "table",
      head: ["Fault", "Item", "Found by", "95 % between", "Tells apart"],
      rows: [...summary.faults]
        .sort((a, b) => (a.foundRate ?? 0) - (b.foundRate ?? 0))
        .map((f) => [
          fault(f.kind),
          nameOf(f.line),
          percent(f.foundRate),
          between(f.interval),
          figure(f.discrimination),
        ]),
    },
  ];
}

/** What of the points that the budget could buy a student's plan gained. */
export const planText = (m: Marked): string =>
  m.plan === null ? "–" : m.plan.overBudget ? "over budget" : percent(m.plan.share);

const groupTable = (
  rows: readonly (readonly [
    string,
    ClassSummary["meshes"][number] | ClassSummary["difficulties"][number],
  ])[],
): Block => ({
  kind: "table",
  head: ["", "Found", "Share", "95 % between"],
  rows: rows.map(([label, g]) => [
    label,
    `${g.found} of ${g.of}`,
    percent(g.rate),
    between(g.interval),
  ]),
});

const points = (share: number): string =>
  `${share >= 0 ? "+" : "−"}${number(Math.abs(100 * share), 0)}`;

/** Whether they learned, in a sentence. */
export function gainText(runs: RunsCompared): string {
  if (!runs.gain) return "Too few took both runs to say.";
  const { mean, interval } = runs.gain;
  const sure =
    interval[0] > 0
      ? "They learned."
      : interval[1] < 0
        ? "They found fewer than before."
        : "That may be chance.";
  return `${points(mean)} points of what there was to find, on average over ${runs.students.length} who took both (95 % between ${points(interval[0])} and ${points(interval[1])}). ${sure}`;
}

function runBlocks(runs: RunsCompared): Block[] {
  return [
    { kind: "heading", level: 2, text: "Before and after" },
    { kind: "text", text: gainText(runs) },
    {
      kind: "table",
      head: ["Asks", "Before", "After"],
      rows: runs.meshes.map((m) => [meshTaught(m.id), percent(m.before), percent(m.after)]),
    },
  ];
}

/** A student's own sheet: what was seen, what was missed and how one sees it. */
export function studentBlocks(key: KeyFile, m: Marked, nameOf: NameOf): Block[] {
  const of = (id: string) => key.faults.find((f) => f.id === id)!;
  const named = (id: string) => `${nameOf(of(id).line)}: ${fault(of(id).kind).toLowerCase()}`;
  return [
    { kind: "heading", level: 1, text: `${key.title}: ${m.id}` },
    {
      kind: "text",
      text: `Found ${m.found.length} of ${key.faults.length}; ${m.falseAlarms.length === 1 ? "one false alarm" : `${m.falseAlarms.length} false alarms`}${m.timeS === null ? "" : `; ${number(m.timeS / 60, 0)} minutes`}.${
        m.plan
          ? m.plan.overBudget
            ? ` The plan costs ${money(m.plan.cost, key.plan?.currency ?? "EUR")}, more than the budget.`
            : ` The plan brings coverage from ${percent(m.plan.before)} to ${percent(m.plan.coverage)}; the best for that money ${percent(m.plan.optimum)}.`
          : ""
      }`,
    },
    { kind: "heading", level: 2, text: "What you saw" },
    m.found.length > 0
      ? {
          kind: "list",
          items: m.found.map(
            (id) => `${named(id)}${m.rightReason.includes(id) ? "" : " (you gave another reason)"}`,
          ),
        }
      : { kind: "text", text: "Nothing yet." },
    ...(m.missed.length === 0
      ? []
      : [
          {
            kind: "heading" as const,
            level: 2 as const,
            text: "What you missed, and how one sees it",
          },
          {
            kind: "list" as const,
            items: m.missed.map((id) => `${named(id)}. ${FAULT_HOW[of(id).kind] ?? ""}`),
          },
        ]),
    ...(m.falseAlarms.length === 0
      ? []
      : [
          {
            kind: "heading" as const,
            level: 2 as const,
            text: "What is sound, though you named it",
          },
          { kind: "list" as const, items: m.falseAlarms.map(nameOf) },
        ]),
    ...(m.next ? [{ kind: "text" as const, text: `Look at next: ${meshTaught(m.next)}?` }] : []),
  ];
}

/** For a real kit: what to plant where, for the instructor's eyes; then labels to cut out, and the answer card. */
export function realKitBlocks(
  title: string,
  slips: readonly { readonly line: string; readonly name: string; readonly fault: string }[],
  lines: readonly { readonly id: string; readonly name: string }[],
): Block[] {
  const numberOf = (id: string) => String(lines.findIndex((l) => l.id === id) + 1);
  const rows = (cells: readonly string[], across: number) =>
    Array.from({ length: Math.ceil(cells.length / across) }, (_, r) =>
      Array.from({ length: across }, (_, c) => cells[r * across + c] ?? ""),
    );
  return [
    { kind: "heading", level: 1, text: `${title}: slip sheet` },
    {
      kind: "text",
      text: "For the instructor's eyes. Put each back after the class; nothing planted goes into a kit in service.",
    },
    {
      kind: "table",
      head: ["No.", "Item", "To plant"],
      widths: [8, 42, 50],
      rows: slips.map((s) => [s.line === "brief" ? "–" : numberOf(s.line), s.name, s.fault]),
    },
    { kind: "new-page" },
    { kind: "heading", level: 1, text: `${title}: labels` },
    { kind: "text", text: "Cut out, one to each item." },
    {
      kind: "table",
      head: ["", "", "", ""],
      rows: rows(
        lines.map((l, i) => `${i + 1}  ${l.name}`),
        4,
      ),
    },
    { kind: "new-page" },
    { kind: "heading", level: 1, text: `${title}: answer card` },
    { kind: "text", text: "Your number: __________    Begun: __________    Done: __________" },
    {
      kind: "table",
      head: ["No.", "Item", "What do you do with it", "What is wrong with it"],
      widths: [7, 33, 27, 33],
      rows: lines.map((l, i) => [String(i + 1), l.name, "", ""]),
    },
  ];
}
