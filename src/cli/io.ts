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

/** What the command line reads and writes besides files. */
export interface Io {
  readonly stdin: () => string;
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
}
