import { conditionNamed, type CarriedThrough } from "../core/events/spoils.ts";
import { lastGoodDay } from "../core/base/dates.ts";
import { CATEGORIES, type Category } from "../core/model/functionRecord.ts";
import type { Change, EventKind, KitEvent } from "../core/model/event.ts";
import type { Deficit } from "../core/log/deficits.ts";
import { day, many, money, number } from "./display.ts";
import { CATEGORY_LABEL } from "./labels.ts";

export const EVENT_KIND_LABEL: Readonly<Record<EventKind, string>> = {
  used: "Used",
  "put-back": "Put back",
  counted: "Counted",
  sealed: "Sealed",
  "seal-broken": "Seal broken",
  checked: "Looked at",
  carried: "Carried",
  outside: "Outside looked at",
  maintained: "Mended",
  recalled: "Recalled",
  moved: "Moved",
  "handed-over": "Handed over",
  "plan-done": "Plan carried out",
  undone: "Taken back",
};

export const THROUGH_LABEL: Readonly<Record<CarriedThrough, string>> = {
  dry: "dry",
  wet: "wet",
  dust: "dust",
  salt: "salt",
  frost: "below 0 °C",
  heat: "above 30 °C",
  cabin: "in a parked vehicle",
};

export const DEFICIT_WHY: Readonly<Record<Deficit["why"], string>> = {
  used: "used",
  lent: "lent",
  moved: "moved out",
  unexplained: "missing at the count, nobody wrote why",
  recalled: "recalled",
  "past-date": "past its date",
};

const isCategory = (what: string): what is Category =>
  (CATEGORIES as readonly string[]).includes(what);

/** What pieces were used for: a category of injury, practice; or that they were lent. */
const whatFor = (what: string): string =>
  what === "lent" ? what : `for ${isCategory(what) ? CATEGORY_LABEL[what].toLowerCase() : what}`;

type NameOf = (line: string) => string;

/** "2 × burn gel, lot 41B, good to Jun 2029". */
function changeText(c: Change, nameOf: NameOf): string {
  return [
    c.pieces === undefined ? nameOf(c.line) : `${number(c.pieces)} × ${nameOf(c.line)}`,
    ...(c.lot ? [`lot ${c.lot}`] : []),
    ...(c.expires && c.expires !== "none" ? [`good to ${day(lastGoodDay(c.expires))}`] : []),
  ].join(", ");
}

const throughText = (conditions: readonly string[]): string =>
  conditions.map((c) => THROUGH_LABEL[conditionNamed(c) ?? "dry"]).join(", ");

const carriedText = (e: KitEvent): string =>
  [
    ...(e.days === undefined ? [] : [many(e.days, "day")]),
    ...(e.people === undefined ? [] : [`by ${many(e.people, "person", "people")}`]),
    ...(e.km === undefined ? [] : [`${number(e.km)} km`]),
    ...(e.conditions?.length ? [throughText(e.conditions)] : []),
  ].join(", ");

const planDoneText = (e: KitEvent, listed: string, nameOf: NameOf): string =>
  [
    ...(listed === "" ? [] : [`in came ${listed}`]),
    ...(e.dropped?.length ? [`out went ${e.dropped.map(nameOf).join(", ")}`] : []),
    ...(e.paid ? [money(e.paid.amount, e.paid.currency)] : []),
  ].join("; ");

/** What each kind says after its name. */
function rest(e: KitEvent, nameOf: NameOf): string {
  const changes = [...(e.changes ?? []), ...(e.lines ?? [])].map((c) => changeText(c, nameOf));
  const listed = changes.join("; ");
  switch (e.kind) {
    case "sealed":
    case "seal-broken":
      return e.seal ?? "";
    case "checked":
      return listed === "" ? (e.what === "full" ? "all of it, in full" : "quickly") : listed;
    case "carried":
      return carriedText(e);
    case "recalled":
      return [nameOf(e.itemType ?? ""), ...(e.lot ? [`lot ${e.lot}`] : [])].join(", ");
    case "moved":
      return `${listed}${e.from ? `, from ${e.from}` : ""}${e.to ? `, to ${e.to}` : ""}`;
    case "handed-over":
      return `${e.from ? `from ${e.from} to ` : "to "}${e.to ?? ""}${e.seal ? `, seal ${e.seal}` : ""}`;
    case "plan-done":
      return planDoneText(e, listed, nameOf);
    default:
      return listed;
  }
}

/** An event of a kit's log in a line: "Used 4 × gauze pads, for everyday wounds. Ladder slipped." */
export function eventText(e: KitEvent, nameOf: NameOf): string {
  const more = rest(e, nameOf);
  const apart = e.kind === "plan-done" ? ": " : " ";
  const first = [EVENT_KIND_LABEL[e.kind] + (more === "" ? "" : apart + more)]
    .concat(e.kind === "used" && e.what ? [whatFor(e.what)] : [])
    .concat(e.kind === "put-back" && e.from ? [`from ${e.from}`] : [])
    .concat(e.price ? [money(e.price.amount, e.price.currency)] : [])
    .join(", ");
  return e.note ? `${first}. ${e.note}` : first;
}
