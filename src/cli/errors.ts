import type { Problem } from "../lib/core/model/problem.ts";
import type { Told } from "../lib/words/problems.ts";

/** The command was called wrongly. */
export class Usage extends Error {}
/** A file or value that was given is not right. */
export class BadInput extends Error {
  constructor(readonly problems: readonly (Problem | Told)[]) {
    super("bad input");
  }
}
