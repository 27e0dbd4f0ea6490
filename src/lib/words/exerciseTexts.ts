import type { SightWords } from "../core/exercise/write.ts";
import type { Mesh } from "../core/model/mesh.ts";
import type { FaultKind } from "../core/exercise/faultKinds.ts";
import type { ClassSummary } from "../core/exercise/mark.ts";
import { day, many, number, size } from "./display.ts";
import { LOCATION_LABEL } from "./labels.ts";

export const FAULT_LABEL: Readonly<Record<string, string>> = {
  "f-missing": "It is not there",
  "f-in-name-only": "Something else that only looks like it",
  "f-wrong-size": "Too small for the job",
  "f-short-count": "Fewer than the box says",
  "f-padded": "Counted with what is empty",
  "f-opened": "Opened, or the seal is not whole",
  "f-torn": "Torn, pin-holed or burst",
  "f-wet": "Has been wet",
  "f-dried-out": "Dried out",
  "f-weak-tool": "The tool fails when tried",
  "f-counterfeit": "Not the real thing on a close look",
  "f-past": "Past its date",
  "f-past-last-day": "Runs out before the outing ends",
  "f-date-unreadable": "The date cannot be read",
  "f-buried": "Lies where nobody finds it in time",
  "f-unlabelled": "Name or strength is missing",
  "f-trained": "Asks for a hand that is better trained",
  "f-latex": "Holds latex, and somebody reacts to it",
  "f-brief": "Packed for less than this outing asks",
};

/** How one sees it, for the student's sheet. */
export const FAULT_HOW: Readonly<Record<string, string>> = {
  "f-missing":
    "Lay the card beside the kit and tick off what is in your hand, not what you expect.",
  "f-in-name-only":
    "Ask what it does, not what it is called: a strap without a windlass stops no artery.",
  "f-wrong-size": "Read the size off the wrapper and hold it against what the list asks.",
  "f-short-count": "Count every piece, out of the bag.",
  "f-padded": "Feel each: a wrapper without a thing in it is no piece.",
  "f-opened": "Run the seam against the light and press: nothing may hiss.",
  "f-torn": "Trap air in it, bend it, hold it to the light: a hole shows where it is under strain.",
  "f-wet": "Look for tide marks; feel for stiff paper.",
  "f-dried-out": "Press it: a wipe gives, a dry one rustles.",
  "f-weak-tool": "Try it once on what it is for.",
  "f-counterfeit": "Look for what the real one has: stitching, print, weight.",
  "f-past": "Read the date of each piece, not of the first.",
  "f-past-last-day": "Hold the date against the last day of the outing, not against today.",
  "f-date-unreadable": "Slant the light; what stays unreadable counts as past.",
  "f-buried": "Time it from the word to the hand, with gloves on.",
  "f-unlabelled": "A tablet without name and strength is nobody's.",
  "f-trained":
    "Ask who will use it: what these people were not taught is weight, and it can do harm.",
  "f-latex": "Read who is coming, then read the wrapper.",
  "f-brief":
    "Before the first item: for how many people and days was it packed, and for how many is it now?",
};

const MESH_TAUGHT: Readonly<Record<Mesh, string>> = {
  here: "is it there",
  real: "is it the real thing",
  enough: "is there enough",
  sound: "is it sound",
  fresh: "is it in date",
  handy: "is it in the hand in time",
  usable: "can these people use it",
};
export const meshTaught = (mesh: Mesh): string => MESH_TAUGHT[mesh];

/** What is seen on a thing, without a word of whether that is right. */
export const SIGHT_WORDS: SightWords = {
  date: (d) => `printed: good to ${day(d)}`,
  noDate: "no date is printed",
  unreadable: "where the date should be there is a smear",
  size: (mm) => `printed: ${size([...mm])}`,
  place: (location, findable) =>
    `lies ${LOCATION_LABEL[location as keyof typeof LOCATION_LABEL] ?? location}${findable ? "" : ", under everything else"}`,
  unlabelled: "loose in a bag, nothing is written on it",
  latex: (free) => (free ? "printed: free of latex" : "printed: contains natural rubber latex"),
  decoy: {
    "d-near-date": "the print of the date is small and crooked",
    "d-crumpled": "the wrapper is crumpled, the seam whole all round",
    "d-faded": "the colours have faded, every word can be read",
  },
  each: {
    whole: "one in each wrapper",
    padded: "every other wrapper is empty",
  },
  packedFor: (b) =>
    `on the box: packed for ${many(b.people, "person", "people")} and ${many(b.days, "day")}`,
};

/** How a fault is seen, for the instructor's choice. */
export const SEEN_LABEL: Readonly<Record<FaultKind["seen"], string>> = {
  read: "read",
  count: "count",
  feel: "feel",
  try: "try",
  "work-out": "work it out",
};
export const DIFFICULTY_LABEL: Readonly<Record<1 | 2 | 3, string>> = {
  1: "a beginner sees it",
  2: "seen on a careful look",
  3: "seen by who looks for it",
};

/** What to teach next, with the figure it is read from. */
export function teachText(t: ClassSummary["teachNext"][number]): string {
  const rate = `${number(100 * t.rate, 0)} %`;
  switch (t.what) {
    case "fault":
      return `${FAULT_LABEL[t.id]}: missed by ${rate}. ${FAULT_HOW[t.id]}`;
    case "mesh":
      return `${meshTaught(t.id as Mesh)}: ${rate} missed.`;
    case "false-alarms":
      return `What looks wrong and is sound: ${rate} named something that has nothing.`;
    case "reasons":
      return `Saying why: ${rate} of what was found had another reason.`;
  }
}
