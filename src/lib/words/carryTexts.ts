import {
  isOver,
  type CarryCheck,
  type CarryFinding,
  type CarryQuestion,
} from "../core/bag/carryCheck.ts";
import type { CarryPlace } from "../core/model/container.ts";
import { grams, number } from "./display.ts";

/** Words of the carry check: whether a kit will be on its owner when it is wanted. */

export const PLACE_LABEL: Readonly<Record<CarryPlace, string>> = {
  pocket: "trouser or jacket pocket",
  belt: "belt",
  ankle: "ankle",
  "chest-rig": "chest rig",
  "day-pack": "in a day pack",
  "pack-outside": "outside on a pack",
  vehicle: "vehicle or boat",
  wall: "wall",
};

/** As in "too thick for the pocket". */
export const FOR_PLACE: Readonly<Record<CarryPlace, string>> = {
  pocket: "the pocket",
  belt: "the belt",
  ankle: "the ankle",
  "chest-rig": "the chest rig",
  "day-pack": "the day pack",
  "pack-outside": "the outside of a pack",
  vehicle: "the vehicle",
  wall: "the wall",
};

/** Good, and what failing means. */
export const QUESTION_TEXT: Readonly<
  Record<CarryQuestion, readonly [good: string, failing: string]>
> = {
  "either-hand-seated": [
    "What must come out in seconds is reached by either hand, seated",
    "One arm hurt, belt on in a car: it cannot be reached.",
  ],
  "either-hand-standing": ["The same, standing", "It sits where only one hand gets to it."],
  "one-hand-out": ["It comes out, or open, with one hand", "The other hand holds the wound."],
  "comes-off-whole": [
    "It is taken off whole and set down",
    "Whoever helps must unpack it on your body.",
  ],
  "seen-there": ["It is seen where it lies", "Nobody fetches what nobody sees."],
  "kept-dry": ["It keeps dry there", "Sweat and rain spoil paper wrappers."],
  "sits-well": [
    "It does not dig in or print through, seated for an hour",
    "What hurts is taken out and left at home.",
  ],
  silent: ["It does not rattle or snag", "What rattles or snags is left at home."],
};

const FINDING_LABEL = { thickness: "Thickness", width: "Width", mass: "Weight, packed" } as const;
export const findingLabel = (f: CarryFinding): string => FINDING_LABEL[f.of];

export const amountText = (f: Pick<CarryFinding, "of">, value: number): string =>
  f.of === "mass" ? grams(value) : `${number(value / 10, 1)} cm`;

/** "3 mm too thick for the pocket". */
function overText(f: CarryFinding, place: CarryPlace): string {
  const over = f.value! - f.limit;
  const much = f.of === "mass" ? grams(over) : `${number(over, 0)} mm`;
  const too = { thickness: "too thick", width: "too wide", mass: "too heavy" }[f.of];
  return `${much} ${too} for ${FOR_PLACE[place]}`;
}

/** Where it is tried. */
const WHERE: Readonly<Record<CarryPlace, string>> = {
  pocket: "on you for an hour, seated too",
  belt: "on you for an hour, seated too",
  ankle: "on you for an hour, seated too",
  "chest-rig": "on you for an hour, lying down too",
  "day-pack": "in the pack, on a walk",
  "pack-outside": "on the pack, on a walk",
  vehicle: "where it lies, from a crouch and in the dark",
  wall: "where it hangs, with the smallest person there",
};

/** Whether it will be carried, in one sentence. */
export function carryText(c: CarryCheck): string {
  const faults = [
    ...c.findings.filter(isOver).map((f) => overText(f, c.place)),
    ...c.questions
      .filter((q) => q.answer === false)
      .map((q) => `not so: ${QUESTION_TEXT[q.id][0].toLowerCase()}`),
    ...(c.daysAtHome ? [`left at home on ${c.daysAtHome} of the last 14 days`] : []),
  ];
  if (faults.length > 0) return `It may stay at home: ${faults.join("; ")}.`;
  if (c.carried === "yes")
    return `It will be carried: nothing speaks against ${FOR_PLACE[c.place]}.`;
  const open = c.findings.filter((f) => f.value === null).length > 0;
  return `Whether it will be carried is open: ${open ? "measure its outside, and " : ""}try it ${WHERE[c.place]}.`;
}

/** What a plan does to it; "" where it does nothing new. */
export function carryAfterText(before: CarryCheck, after: CarryCheck): string {
  const news = after.findings.filter(
    (f) => isOver(f) && !isOver(before.findings.find((b) => b.of === f.of) ?? f),
  );
  return news.length === 0
    ? ""
    : `The plan makes it ${news.map((f) => overText(f, after.place)).join(" and ")}.`;
}
