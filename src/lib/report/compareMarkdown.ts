import type { Judge, KitRow } from "../core/compare/compareKits.ts";
import { CATEGORIES } from "../core/model/functionRecord.ts";
import type { ReadyCost } from "../core/compare/readyCost.ts";
import { GENERAL_CAUTION } from "../words/cautions.ts";
import { CATEGORY_LABEL, MESH_LABEL } from "../words/labels.ts";
import { day, grams, money, number, percent, percentRange } from "../words/sentences.ts";
import { markdownTable } from "./markdownTable.ts";

/** Kits side by side as Markdown: the table, the categories, and how they were judged. */
export function compareMarkdown(
  rows: readonly KitRow[],
  judge: Judge,
  ready: ReadonlyMap<string, ReadyCost | null>,
  own: ReadyCost | null,
  currency: string,
  madeOn: string,
): string {
  const categories = CATEGORIES.filter((c) =>
    rows.some((r) => r.categories.some((x) => x.id === c)),
  );
  const { brief, list } = judge;
  const parts = [
    "# Kits side by side",
    `Judged for ${brief.title || "an untitled brief"} (${brief.people} people, ${brief.days} days, ${number(brief.hoursToCare, 1)} h from care), against ${list.title}.`,
    markdownTable(
      ["Kit", "Grade", "Coverage", "Price", "Weight", "Quality", "Serving", "To make ready"],
      rows.map((r) => {
        const cost = ready.get(r.id);
        return [
          r.name,
          r.grade ?? "–",
          percentRange(r.interval),
          r.price === null || !r.currency ? "–" : money(r.price, r.currency),
          grams(r.massG),
          r.quality === null ? "–" : number(r.quality, 0),
          `${r.serving} of ${r.pieces}`,
          cost ? money(cost.price, currency) : cost === null ? "no plan" : "not worked out",
        ];
      }),
    ),
  ];
  if (own)
    parts.push(
      `Built from an empty bag: ${money(own.price, currency)} without the bag, ${grams(own.massG)}.`,
    );
  parts.push(
    "## By category",
    markdownTable(
      ["Category", ...rows.map((r) => r.name)],
      categories.map((c) => [
        CATEGORY_LABEL[c],
        ...rows.map((r) => {
          const cell = r.categories.find((x) => x.id === c);
          return cell
            ? `${percent(cell.coverage)} %${cell.worst ? `, held at ${MESH_LABEL[cell.worst]}` : ""}`
            : "";
        }),
      ]),
    ),
    "## Cautions",
    GENERAL_CAUTION,
    `Made with Wide Sieve on ${day(madeOn)}.`,
  );
  return parts.join("\n\n") + "\n";
}
