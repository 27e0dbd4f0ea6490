import type { Judge, KitRow } from "../core/compare/compareKits.ts";
import type { ReadyCost } from "../core/compare/readyCost.ts";
import { GENERAL_CAUTION } from "../words/cautions.ts";
import { CATEGORY_LABEL, MESH_LABEL } from "../words/labels.ts";
import { day, grams, many, money, number, percent, percentRange } from "../words/sentences.ts";
import type { Block } from "./blocks.ts";

export interface Comparison {
  readonly rows: readonly KitRow[];
  readonly judge: Judge;
  /** Of the price book, as all costs to make ready. */
  readonly currency: string;
  /** By kit; null: no plan does it; absent: not worked out. */
  readonly ready: ReadonlyMap<string, ReadyCost | null>;
  /** From an empty bag; null: not worked out. */
  readonly own: ReadyCost | null;
  readonly madeOn: string;
}

/** Several kits under one brief, list and rules, as a reviewer would publish them side by side. */
export function comparisonReport(c: Comparison): Block[] {
  const { brief, list } = c.judge;
  const best = [...c.rows].sort((x, y) => (y.coverage ?? 0) - (x.coverage ?? 0));
  return [
    { kind: "heading", level: 1, text: "Kits side by side" },
    { kind: "text", strong: true, text: firstLine(best, c) },
    {
      kind: "text",
      text: `All judged for ${brief.title || "one brief"}: ${many(brief.people, "person", "people")}, ${many(brief.days, "day")}, ${number(brief.hoursToCare, 1)} h from care, by “${list.title}” and the same house rules. The lower figure takes everything that was not checked as failing, the upper takes it on trust.`,
    },
    {
      kind: "table",
      head: [
        "Kit",
        "Grade",
        "Coverage",
        "Price",
        "To make ready",
        "Weight",
        "Carried",
        "Pieces that serve",
        "Quality",
      ],
      rows: best.map((r) => [
        r.name,
        r.grade ?? "–",
        percentRange(r.interval),
        r.price === null ? "not given" : money(r.price, r.currency ?? c.currency),
        readyText(c, r.id),
        grams(r.massG),
        r.carried,
        `${number(r.serving)} of ${number(r.pieces)}`,
        r.quality === null ? "not inspected" : number(r.quality, 0),
      ]),
    },
    ...(c.own
      ? [
          {
            kind: "text" as const,
            text: `Built from an empty bag by the same list: ${money(c.own.price, c.currency)}, ${grams(c.own.massG)}.`,
          },
        ]
      : []),
    { kind: "heading", level: 2, text: "By category" },
    { kind: "table", ...categories(best) },
    { kind: "heading", level: 2, text: "Cautions" },
    { kind: "list", items: [GENERAL_CAUTION] },
    {
      kind: "facts",
      rows: [
        ["The list is", list.isNot ?? list.title],
        ["Report made", `${day(c.madeOn)}, with Wide Sieve`],
      ],
    },
  ];
}

function firstLine(best: readonly KitRow[], c: Comparison): string {
  const [first, second] = best;
  if (!first) return "There is no kit to compare.";
  const ready = best.filter((r) => r.grade === "Ready");
  const names = (rows: readonly KitRow[]) => rows.map((r) => r.name).join(", ");
  if (ready.length > 0) return `Ready for this brief: ${names(ready)}.`;
  const costs = best.flatMap((r) => {
    const cost = c.ready.get(r.id);
    return cost ? [{ r, price: cost.price }] : [];
  });
  const cheapest = costs.sort((x, y) => x.price - y.price)[0];
  const lead = second
    ? `None is ready for this brief; ${first.name} covers most, ${percent(first.coverage)} %.`
    : `${first.name} is not ready for this brief; it covers ${percent(first.coverage)} %.`;
  return cheapest
    ? `${lead} Least is missing from ${cheapest.r.name}: ${money(cheapest.price, c.currency)} make it ready.`
    : lead;
}

function readyText(c: Comparison, id: string): string {
  const cost = c.ready.get(id);
  if (cost === undefined) return "not worked out";
  return cost === null ? "no purchase does it" : money(cost.price, c.currency);
}

function categories(rows: readonly KitRow[]): { head: string[]; rows: string[][] } {
  const ids = [...new Set(rows.flatMap((r) => r.categories.map((x) => x.id)))];
  return {
    head: ["Category", ...rows.map((r) => r.name)],
    rows: ids.map((id) => [
      CATEGORY_LABEL[id],
      ...rows.map((r) => {
        const own = r.categories.find((x) => x.id === id);
        if (!own) return "–";
        const worst = own.worst ? `, held at ${MESH_LABEL[own.worst]}` : "";
        return `${percent(own.coverage)} %${worst}`;
      }),
    ]),
  };
}
