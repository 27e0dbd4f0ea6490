import { toMinor } from "../base/money.ts";
import { lineUpkeep, renewals, YEARS } from "../calendar/upkeep.ts";
import { usefulLines, type Candidates } from "./candidates.ts";
import { minorPrice } from "../model/priceBook.ts";
import type { PlanRequest } from "./request.ts";

/**
 * What a kit costs to own over five years: what is bought now, and what runs out until then. A line of the
 * kit is renewed as the calendar reckons it; what is bought, by the same product each time it runs out.
 */
export interface Owning {
  /** Minor units for one pack of each product over the years, its own price among them. */
  readonly pack: readonly number[];
  /** Minor units for each kit line that is kept; 0: of no use here, so nothing of the plan's. */
  readonly line: readonly number[];
}

export function owningOf(request: PlanRequest, c: Candidates): Owning {
  let known = byCandidates.get(c);
  if (!known) byCandidates.set(c, (known = reckoned(request, c)));
  return known;
}

/** Every choice that a search audits asks for it, and it hangs on what there is to choose from alone. */
const byCandidates = new WeakMap<Candidates, Owning>();

function reckoned(request: PlanRequest, c: Candidates): Owning {
  const { audit, book, today, catalogue } = request;
  const useful = usefulLines(c);
  return {
    pack: c.products.map(
      (p) => minorPrice(p) * (1 + (p.shelfMonths ? renewals(p.shelfMonths, YEARS) : 0)),
    ),
    line: audit.kit.lines.map((line, l) => {
      if (!useful.has(l)) return 0;
      const cost = lineUpkeep(line, audit.itemTypes, book, today, catalogue);
      return cost?.price ? toMinor(cost.price * cost.days.length, book.currency) : 0;
    }),
  };
}
