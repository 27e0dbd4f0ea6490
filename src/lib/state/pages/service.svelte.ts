import { inOrder } from "../../core/events/order.ts";
import { replay } from "../../core/events/replay.ts";
import { sealOn, type Seal } from "../../core/events/seal.ts";
import { calendarOf } from "../../core/calendar/calendar.ts";
import { deficitsOf } from "../../core/log/deficits.ts";
import type { KitEvent } from "../../core/model/event.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { ownEvents, timeNow } from "../kit.svelte.ts";
import { newEventId } from "../newKey.ts";
import { workspace } from "../workspace.svelte.ts";

/** One kit of those in service, with what asks for a hand. */
export interface ServiceRow {
  readonly k: KitRecord;
  readonly seal: Seal | null;
  /** Last full count, seal or look; null: none is in its log. */
  readonly checked: string | null;
  readonly toPutBack: number;
  /** Next day on which something of it falls due. */
  readonly due: string | null;
  /** Who it was handed to last. */
  readonly holder: string;
}

/** All kits on one screen, those first that ask for a hand. */
export class ServiceState {
  rows = $derived.by((): ServiceRow[] =>
    workspace.kits
      .map((k): ServiceRow => {
        const events = k.events ?? [];
        const held = inOrder(events);
        const brief = workspace.brief(k.briefId)?.brief;
        const file = brief ? workspace.auditOf(k, brief) : null;
        const due = file
          ? calendarOf(file, k.id, workspace.priceBook, workspace.today, CATALOGUE)
          : [];
        return {
          k,
          seal: sealOn(events, workspace.today),
          checked:
            held.findLast((e) => e.kind === "sealed" || (e.kind === "checked" && !e.changes))?.on ??
            k.kit.lines
              .flatMap((l) => l.checkedOn ?? [])
              .sort()
              .at(-1) ??
            null,
          toPutBack:
            events.length > 0 ? deficitsOf(replay(k.kit.lines, events), workspace.today).length : 0,
          due: due.find((d) => d.day >= workspace.today)?.day ?? null,
          holder: held.findLast((e) => e.kind === "handed-over")?.to ?? "",
        };
      })
      .sort(
        (a, b) =>
          b.toPutBack - a.toPutBack ||
          ((a.due ?? "9") < (b.due ?? "9") ? -1 : (a.due ?? "9") > (b.due ?? "9") ? 1 : 0) ||
          a.k.kit.name.localeCompare(b.k.kit.name),
      ),
  );

  /** Kits that hold a kind of thing of a lot (empty: any), with the pieces. */
  withLot(itemType: string, lot: string): { k: KitRecord; pieces: number }[] {
    return workspace.kits.flatMap((k) => {
      const { lines } = replay(k.kit.lines, k.events ?? []);
      const hit = lines.filter((l) => l.itemType === itemType && (lot === "" || l.lot === lot));
      const pieces = hit.reduce((s, l) => s + (l.counted ?? l.claimed ?? 0), 0);
      return pieces > 0 ? [{ k, pieces }] : [];
    });
  }

  /** Fails every piece of the lot in every kit, until it is replaced. */
  recall(itemType: string, lot: string, note: string): number {
    const hit = this.withLot(itemType, lot);
    workspace.edit(
      "recall a lot",
      hit.map(({ k }) => {
        const event: KitEvent = {
          id: newEventId(),
          on: workspace.today,
          time: timeNow(),
          kind: "recalled",
          itemType,
          ...(lot ? { lot } : {}),
          ...(note ? { note } : {}),
        };
        ownEvents.add(event.id);
        return { ...k, events: [...(k.events ?? []), event] };
      }),
    );
    return hit.length;
  }
}
