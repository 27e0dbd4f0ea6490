import type { EventKind, KitEvent } from "../core/model/event.ts";
import { many, number } from "./display.ts";

const KIND: Readonly<Record<EventKind, string>> = {
  used: "used",
  "put-back": "put back",
  counted: "counted",
  sealed: "sealed",
  "seal-broken": "seal broken",
  checked: "checked",
  carried: "carried",
  outside: "looked at from outside",
  maintained: "mended",
  recalled: "recalled",
  moved: "moved",
  "handed-over": "handed over",
  "plan-done": "plan carried out",
  undone: "taken back",
};

/** An event of a kit's log in a line: "used 4 of Gauze pads, for practice, by Ben". */
export function eventText(e: KitEvent, nameOf: (line: string) => string): string {
  const changes = (e.changes ?? []).map(
    (c) => `${c.pieces === undefined ? "" : `${number(c.pieces)} of `}${nameOf(c.line)}`,
  );
  return [
    `${KIND[e.kind]}${changes.length > 0 ? ` ${changes.join(", ")}` : ""}`,
    ...(e.what ? [`for ${e.what}`] : []),
    ...(e.seal ? [`seal ${e.seal}`] : []),
    ...(e.days === undefined ? [] : [`for ${many(e.days, "day")}`]),
    ...(e.to ? [`to ${e.to}`] : []),
    ...(e.by ? [`by ${e.by}`] : []),
    ...(e.note ? [e.note] : []),
  ].join(", ");
}
