import type { Audit } from "../audit/audit.ts";
import type { SiftedPair } from "../sieve/sift.ts";
import type { Candidates } from "./candidates.ts";
import type { PlanModel } from "./programme.ts";

/** What an audit of a plan shared out: a pair with units, and the stock of the programme that its line is of. */
interface Shared {
  /** undefined: of none. */
  readonly stock: number | undefined;
  readonly need: number;
  readonly pair: SiftedPair;
}

export function sharedOut(m: PlanModel, c: Candidates, after: Audit): Shared[] {
  const stocks = new Map(
    c.context.lines.map(({ line }, l) => [line.id, m.stocks.stockOf.get(l)] as const),
  );
  return after.needs.flatMap((sifted, need) =>
    sifted.pairs
      .filter((pair) => pair.units > 0)
      .map((pair) => {
        const { id } = after.context.lines[pair.pair.line]!.line;
        return { stock: stocks.get(id), need, pair };
      }),
  );
}
