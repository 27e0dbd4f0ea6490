import type { RequestHandler } from "@sveltejs/kit";
import { refuse } from "$lib/server/api.ts";
import { LINES_A_SECOND, scaleLineAt } from "$lib/server/simulatedScale.ts";

/** A connection lasts this long at most, s: then it is as if the scale were unplugged. */
const LONGEST_S = 60;

/** `?load=84.2&tare=0&seed=1&seconds=60&unplugAfter=3`: lines of ASCII as a bench scale sends them. */
export const GET: RequestHandler = ({ url, request }) => {
  const number = (name: string, otherwise: number) => {
    const given = url.searchParams.get(name);
    return given === null ? otherwise : Number(given);
  };
  const load = number("load", 0);
  const tare = number("tare", 0);
  const seed = number("seed", 1);
  const seconds = Math.min(
    number("seconds", LONGEST_S),
    number("unplugAfter", LONGEST_S),
    LONGEST_S,
  );
  if (![load, tare, seed, seconds].every(Number.isFinite) || load < 0 || seconds < 0)
    return refuse(422, "the load on the simulated scale is not right", [
      { where: "query", what: "load, tare, seed and seconds are numbers; load and seconds from 0" },
    ]);
  let tick = 0;
  let timer: ReturnType<typeof setInterval> | undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const encoder = new TextEncoder();
      timer = setInterval(() => {
        const second = tick++ / LINES_A_SECOND;
        if (second > seconds || request.signal.aborted) {
          clearInterval(timer);
          controller.close();
          return;
        }
        controller.enqueue(encoder.encode(`${scaleLineAt({ load, tare, seed }, second)}\r\n`));
      }, 1000 / LINES_A_SECOND);
    },
    cancel() {
      clearInterval(timer);
    },
  });
  return new Response(stream, {
    headers: { "content-type": "text/plain; charset=us-ascii", "cache-control": "no-store" },
  });
};
