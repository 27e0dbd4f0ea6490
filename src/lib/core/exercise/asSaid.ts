import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import type { Answer, Exercise } from "./exerciseFile.ts";

/** What a line is once it was looked at and found in order. */
const IN_ORDER = {
  ...({ condition: "sound", expires: "none", labelled: true, latexFree: true } as const),
  ...({ location: "open-top", findable: true } as const),
};

/** A line as the student says it is. */
function lineAsSaid(line: Line, there: number, { verdict }: Answer): Line {
  switch (verdict) {
    case "keep":
    case "spare":
    case "top-up":
      return { ...line, counted: there, ...IN_ORDER };
    case "move":
      return { ...line, counted: there, ...IN_ORDER, location: "bottom", findable: false };
    case "watch":
      return { ...line, counted: there };
    case "replace":
    case "drop":
    case "trained-hand":
      return { ...line, counted: there, condition: "failed" };
  }
}

/**
 * The kit as the student says it is, for practice: what she keeps is in order, what she would replace
 * counts for nothing, what she has not decided yet is as the box says and unchecked. It knows nothing of
 * the key: an answer that is wrong comes out as if it were right.
 */
export const asSaid = (
  exercise: Pick<Exercise, "audit" | "sights">,
  answers: Readonly<Record<string, Answer>>,
): AuditFile => ({
  ...exercise.audit,
  kit: {
    ...exercise.audit.kit,
    lines: exercise.audit.kit.lines.map((l) => {
      const answer = answers[l.id];
      const sight = exercise.sights[l.id];
      const there = sight?.counted ?? l.claimed ?? 0;
      return answer ? lineAsSaid({ ...l, ...sight?.facts }, there, answer) : l;
    }),
  },
});
