import type { OrderFill } from "../core/plan/orderFill.ts";
import type { Places } from "../core/plan/places.ts";
import type { Question } from "../core/plan/request.ts";
import type { Stage } from "../core/plan/stages.ts";
import { many, money } from "./display.ts";

/** What the planner is at. */
export const STAGE_LABEL: Readonly<Record<Stage, string>> = {
  waiting: "waiting for the bench",
  first: "laying out the price book",
  price: "seeking the least price",
  vital: "seeking the most vital coverage",
  coverage: "seeking the most coverage",
  mass: "seeking the least weight",
  volume: "seeking the least space",
  owning: "seeking the least cost over five years",
  reasons: "writing the reasons",
};

/** The questions a planner answers, as the choice names them. */
export const questionLabel = (question: Question, target: string): string =>
  ({
    cheapest: `Cheapest that is ${target}`,
    best: "Best for what I have",
    lightest: `Lightest that is ${target}`,
    own: `Cheapest to own five years`,
  })[question];

/** What a purchase is for: the needs it serves, those that others serve better beside it, and the order itself. */
export function purposeText(
  x: {
    readonly serves: readonly { readonly need: string }[];
    readonly companionOf: readonly string[];
    readonly fills: OrderFill | null;
  },
  needName: (id: string) => string,
  currency: string,
): string {
  const served = x.serves.map((s) => needName(s.need)).join(", ");
  const beside = x.companionOf.map(needName).join(", ");
  return [
    served,
    beside && `goes with what does ${beside}`,
    x.fills && orderFillText(x.fills, currency),
  ]
    .filter(Boolean)
    .join("; ");
}

function orderFillText({ packs, because, source, sum }: OrderFill, currency: string): string {
  const from = source || "the source";
  const why =
    because === "least-order"
      ? `${from} takes no order under ${money(sum, currency)}`
      : `from ${money(sum, currency)} ${from} charges no postage`;
  return `${many(packs, "pack")} to fill the order: ${why}`;
}

/** Why a thing goes into no compartment. */
export const NO_PLACE: Readonly<Record<Places["left"][number]["why"], string>> = {
  "too-long": "too long for every compartment",
  folded: "it would have to be folded, and must not be",
  "no-room": "no compartment has room left for it",
};
