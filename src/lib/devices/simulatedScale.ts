import { readScaleStream, type Scale, type ScaleEvent } from "./scale.ts";

/** A stand-in that behaves like the real thing; `load` is what lies on it, g. */
export function simulatedScale(load: () => number, tare: () => number): Scale {
  const stop = new AbortController();
  return {
    name: "simulated scale",
    async listen(onEvent: (e: ScaleEvent) => void) {
      const query = new URLSearchParams({
        load: String(load()),
        tare: String(tare()),
        seed: String(Math.floor(performance.now())),
      });
      const response = await fetch(`/api/sim/scale?${query.toString()}`, {
        signal: stop.signal,
      }).catch((e: unknown) => e as Error);
      if (!(response instanceof Response) || !response.ok || !response.body) {
        onEvent({ is: "gone", why: "the simulated scale does not answer" });
        return;
      }
      await readScaleStream(response.body, onEvent, stop.signal);
    },
    close() {
      stop.abort();
      return Promise.resolve();
    },
  };
}
