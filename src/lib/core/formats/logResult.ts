import type { Catalogue } from "../catalogue/catalogue.ts";
import { replay, type LogProblem } from "../events/replay.ts";
import { deficitsOf, putBackOf } from "../log/deficits.ts";
import { readinessOf } from "../log/readiness.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { PriceBook } from "../model/priceBook.ts";

/** What a kit's log comes to on a day, as the command line gives it. */
export function logResult(
  file: AuditFile,
  today: string,
  book: PriceBook,
  catalogue: Catalogue,
  textOf: (p: LogProblem) => string,
) {
  const events = file.events ?? [];
  const replayed = replay(file.kit.lines, events);
  const deficits = deficitsOf(replayed, today);
  const problems = [
    ...replayed.problems,
    ...events
      .filter((e) => e.on > today)
      .map((e): LogProblem => ({ event: e.id, what: "in-the-future" })),
  ];
  return {
    ...readinessOf(file, today, catalogue),
    deficits,
    putBack: putBackOf(deficits, book),
    problems: problems.map((p) => ({
      event: p.event,
      ...(p.line === undefined ? {} : { line: p.line }),
      what: textOf(p),
    })),
  };
}
