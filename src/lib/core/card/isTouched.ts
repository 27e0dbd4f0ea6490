import type { Line } from "../model/kit.ts";

/** Whether someone has done work on a line that a new reading must not lose. */
export const isTouched = (line: Line): boolean =>
  line.counted !== undefined ||
  line.condition !== undefined ||
  line.failedPoints !== undefined ||
  line.expires !== undefined ||
  line.location !== undefined ||
  line.reachS !== undefined ||
  line.okPoints !== undefined ||
  line.lot !== undefined ||
  line.note !== undefined ||
  line.opened !== undefined ||
  line.firstUse !== undefined ||
  line.drills !== undefined ||
  line.byHand === true;
