import type { Audit } from "../core/audit/audit.ts";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import type { ShippedKind } from "../core/chance/assumptions.ts";
import { played } from "../core/chance/played.ts";
import type { Incidents } from "../core/model/incident.ts";
import { againstList } from "../core/chance/againstList.ts";
import type { Rare } from "../core/chance/rare.ts";
import type { Simulation } from "../core/chance/simulate.ts";
import {
  CHANCE_CAUTION,
  errorText,
  listAgainstChance,
  needAmount,
  outOf100,
  rareText,
  SAYS_TEXT,
} from "../words/chanceTexts.ts";
import { TIER_LABEL } from "../words/labels.ts";
import { day, grouped, many, needLabel, number } from "../words/sentences.ts";
import type { Block } from "./blocks.ts";

/** Outings played for a report: the chance is known to a third of a point. */
export const REPORT_TRIPS = 100_000;
export const REPORT_SEED = 1;

/** So many needs are printed, those that run out most; the page has them all. */
const SHOWN = 10;

/** Whose figures it rests on. */
const assumed = (incidents: Incidents | undefined): string =>
  incidents?.learnedOn
    ? `the shipped assumptions, corrected by this kit's own log to ${day(incidents.learnedOn)}`
    : incidents
      ? "this reviewer's own assumptions"
      : "the shipped assumptions";

/** Whether the kit lasts, for the report: the chance, what runs out, and the list's quantities beside it. */
export function chanceBlocks(
  a: Audit,
  run: Simulation,
  rare: readonly Rare[],
  incidents: Incidents | undefined,
): Block[] {
  const { brief } = a.context;
  const rows = againstList(a, run);
  if (rows.length === 0) return [];
  const worst = [...rows].sort((x, y) => y.need.short.high - x.need.short.high).slice(0, SHOWN);
  const [first] = run.firstShort;
  const labelOf = (id: string) =>
    needLabel(a.context.needs.find((n) => n.need.id === id)?.need.function ?? id);
  const over = listAgainstChance(rows, needLabel);
  return [
    { kind: "heading", level: 2, text: "Will it last?" },
    {
      kind: "text",
      text: `Of ${grouped(run.trips)} outings of ${many(brief.people, "person", "people")} and ${many(brief.days, "day")}, played by ${assumed(incidents)}, nothing that was asked for was missing in ${outOf100(run.lasts)} (${errorText(run.lasts.se, run.trips)}); of the vital needs nothing in ${outOf100(run.vitalLasts)}.${
        first
          ? ` What fell short first most often: ${labelOf(first.need).toLowerCase()}, on ${number(100 * first.share, 0)} % of the outings on which something was missing.`
          : ""
      }${rare.map((r) => ` ${labelOf(r.need)}: missing ${rareText(r.value, r.se)}.`).join("")}`,
    },
    { kind: "text", text: CHANCE_CAUTION },
    {
      kind: "table",
      head: ["Need", "Tier", "Here", "The list", "Suffices in 95", "Missing in", ""],
      widths: [30, 9, 8, 9, 12, 16, 16],
      rows: worst.map((r) => [
        needLabel(r.need.function),
        TIER_LABEL[r.tier],
        needAmount(r.need.function, r.here),
        needAmount(r.need.function, r.byList),
        needAmount(r.need.function, r.need.enough["95"]),
        outOf100(r.need.short),
        r.says ? SAYS_TEXT[r.says] : "",
      ]),
    },
    ...(over ? [{ kind: "text" as const, text: over }] : []),
  ];
}

/** The same played here and now, for what has no worker; nothing where more happens than can be played. */
export function chanceSection(
  a: Audit,
  today: string,
  catalogue: Catalogue,
  kinds: readonly ShippedKind[],
): Block[] {
  const file = a.context.audit;
  const outings = { trips: REPORT_TRIPS, seed: REPORT_SEED };
  const done = played(file, today, outings, catalogue, kinds);
  if (!done.ok) return [];
  return chanceBlocks(a, done.value.run, done.value.rare, file.incidents);
}
