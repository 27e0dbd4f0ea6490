import { tooOften } from "../core/chance/assumptions.ts";
import { modelOf } from "../core/chance/model.ts";
import { oneMore, type OneMore } from "../core/chance/oneMore.ts";
import { addTally, BLOCK, blocksOf } from "../core/chance/play.ts";
import { rareChances } from "../core/chance/rare.ts";
import { playerOf, simulationOf } from "../core/chance/simulate.ts";
import { tornado, type Swing } from "../core/chance/tornado.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import type { ChanceAsk, ChanceSays } from "./protocol.ts";
import { serve } from "./serve.ts";

/** Outings of each end of a swing: the widest are told apart with fewer than the run itself has. */
const TORNADO_TRIPS = 4000;
/** Milliseconds worked before the next question is listened for. */
const SLICE_MS = 40;

/** Number of the newest question: what answers an older one stops. */
let newest = 0;

serve<ChanceAsk, ChanceSays>(async (ask, say) => {
  const mine = ++newest;
  let begun = performance.now();
  /** Lets a newer question in; false: there is one, and this is no longer wanted. */
  const goOn = async (): Promise<boolean> => {
    if (performance.now() - begun > SLICE_MS) {
      await new Promise((resolve) => setTimeout(resolve));
      begun = performance.now();
    }
    return mine === newest;
  };
  const { file, incidents, today, book, trips, seed } = ask;
  const often = tooOften(incidents, file.brief);
  if (often.length > 0)
    throw new Error(`more than 500 incidents of a kind on one outing (${often.join(", ")})`);
  const model = modelOf(file, incidents, today, CATALOGUE);
  const player = playerOf(model);
  const tally = player.tally();
  for (const from of blocksOf(trips)) {
    addTally(tally, player.play(seed, from, Math.min(trips, from + BLOCK)));
    if (!(await goOn())) return;
  }
  const run = simulationOf(model, tally, seed);
  say({ is: "run", run });
  say({ is: "rare", rare: rareChances(model, run, seed) });
  if (ask.only) return;
  const more: OneMore[] = [];
  const { shortOutings } = tally;
  for (const m of oneMore({
    file,
    incidents,
    today,
    catalogue: CATALOGUE,
    book,
    model,
    seed,
    trips,
    shortOutings,
  })) {
    more.push(m);
    if (!(await goOn())) return;
  }
  say({ is: "more", more, done: true });
  const swings: Swing[] = [];
  for (const s of tornado(
    file,
    incidents,
    today,
    CATALOGUE,
    Math.min(trips, TORNADO_TRIPS),
    seed,
  )) {
    swings.push(s);
    if (!(await goOn())) return;
  }
  say({ is: "tornado", swings, done: true });
});
