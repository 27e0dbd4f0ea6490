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
