import { replay } from "../core/events/replay.ts";
import { inOrder } from "../core/events/order.ts";
import { daysBetween } from "../core/base/dates.ts";
import { sealOn } from "../core/events/seal.ts";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import { deficitsOf } from "../core/log/deficits.ts";
import { readinessOf } from "../core/log/readiness.ts";
import { spentOf } from "../core/log/spent.ts";
import type { KitEvent } from "../core/model/event.ts";
import type { AuditFile } from "../core/model/auditFile.ts";
import { DEFICIT_WHY, eventText } from "../words/eventTexts.ts";
import { day, many, money, needLabel, pieceCount } from "../words/sentences.ts";
import type { Block } from "./blocks.ts";
import { readinessSvg } from "./readinessSvg.ts";

/** So many of the last events are printed; the file has them all. */
const SHOWN = 40;

/** A kit's life since its log began, for the report: how ready it was, what is missing, what happened. */
export function logBlocks(file: AuditFile, today: string, catalogue: Catalogue): Block[] {
  const events = inOrder(file.events ?? []);
  if (events.length === 0) return [];
  const readiness = readinessOf(file, today, catalogue);
  const replayed = replay(file.kit.lines, file.events ?? []);
  const deficits = deficitsOf(replayed, today);
  const seal = sealOn(file.events ?? [], today);
  const typeOf = (id: string | null) =>
    id === null ? undefined : (catalogue.types.get(id) ?? file.itemTypes?.find((t) => t.id === id));
  const nameOf = (id: string): string => {
    const line = [...replayed.lines, ...file.kit.lines].find((l) => l.id === id);
    return line?.text ?? typeOf(line?.itemType ?? id)?.label ?? id;
  };
  const days = daysBetween(events[0]!.on, today) + 1;
  const worst = readiness.longestNotReady;
  const needOf = (id: string | null) => file.list.needs.find((n) => n.id === id)?.function ?? null;
  const wanted = worst && needOf(worst.need);
  const spent = spentOf(file.events ?? []);
  return [
    { kind: "heading", level: 2, text: "In service" },
    {
      kind: "text",
      text: `Since ${day(events[0]!.on)}: Ready on ${Math.round((readiness.readyShare ?? 0) * days)} of ${many(days, "day")}.${
        worst
          ? ` Longest not ready: ${day(worst.from)} to ${day(worst.to)}${wanted ? `, for want of: ${needLabel(wanted).toLowerCase()}` : ""}.`
          : ""
      } ${seal === null ? "Not sealed." : seal.brokenBy === null ? `Seal ${seal.number}, whole since ${day(seal.on)}.` : `Seal ${seal.number} was opened on ${day(seal.brokenBy.on)}.`}${spent
        .map((s) => ` Spent in ${s.year}: ${money(s.amount, s.currency)}.`)
        .join("")}`,
    },
    ...handedOver(events),
    {
      kind: "picture",
      ...readinessSvg(readiness, events, today),
      alt: `Coverage day by day since the log began, with what happened; Ready on ${Math.round(100 * (readiness.readyShare ?? 0))} % of the days.`,
    },
    ...(deficits.length === 0
      ? []
      : [
          { kind: "heading" as const, level: 3 as const, text: "To put back" },
          {
            kind: "list" as const,
            items: deficits.map(
              (d) =>
                `${pieceCount(d.pieces, typeOf(d.itemType))} × ${nameOf(d.line)} (${DEFICIT_WHY[d.why]}, since ${day(d.since)})`,
            ),
          },
        ]),
    { kind: "heading", level: 3, text: "What happened" },
    {
      kind: "list",
      items: events
        .slice(-SHOWN)
        .reverse()
        .map((e) => `${day(e.on)}: ${eventText(e, nameOf)}${e.by ? ` (${e.by})` : ""}`),
    },
  ];
}

/** Who answers for it since it was last handed over, with a line to sign on. */
function handedOver(events: readonly KitEvent[]): Block[] {
  const last = events.findLast((e) => e.kind === "handed-over");
  if (!last) return [];
  const text = `Handed over on ${day(last.on)}${last.from ? ` by ${last.from}` : ""} to ${last.to ?? "somebody not named"}${last.seal ? `, under seal ${last.seal}` : ""}. Signed: ______________________`;
  return [{ kind: "text", text }];
}
