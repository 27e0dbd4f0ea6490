import type { LogProblem } from "../core/events/replay.ts";

const SAID: Readonly<Record<LogProblem["what"], string>> = {
  "no-such-line": "names a line that is not in the kit",
  "more-taken-than-there": "takes more than was there: nothing is left, the rest is not counted",
  "two-counts": "a second count of this line on the same day: the lower holds until you say which",
  "in-the-future": "lies in the future",
  "other-content": "two events have this id: one holds, the other is kept beside it",
  "another-first-state": "the line began otherwise in the other file: the first file's holds",
};
export const logProblemText = (p: LogProblem): string => SAID[p.what];

export const notOfThisKit = "has no line in common with this kit: it is the log of another one";

/** What a merge came to, said before anything else is done with it. */
export const mergedText = (came: number, known: number, problems: number): string =>
  [
    came === 0 ? "Nothing new came in" : `${came} ${came === 1 ? "event" : "events"} came in`,
    known > 0 ? `${known} were here already, none twice` : "",
    problems > 0 ? `${problems} to look at below` : "",
  ]
    .filter((t) => t !== "")
    .join("; ") + ". Undo takes it out again.";
