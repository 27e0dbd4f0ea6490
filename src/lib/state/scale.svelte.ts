import { hasSerial, serialScale } from "../devices/serialScale.ts";
import { simulatedScale } from "../devices/simulatedScale.ts";
import type { Scale, ScaleEvent, ScaleReading } from "../devices/scale.ts";

/** The scale on the bench as the screens see it. */
class BenchScale {
  reading = $state.raw<ScaleReading | null>(null);
  status = $state<"off" | "on" | "overload" | "gone">("off");
  why = $state("");
  rubbish = $state(0);
  simulated = $state(false);
  /** What lies on the simulated pan, g. */
  load = $state(0);
  tareG = $state(0);
  readonly canSerial = hasSerial();
  #scale: Scale | null = null;

  connect(simulated: boolean): void {
    void this.#scale?.close();
    this.simulated = simulated;
    this.rubbish = 0;
    this.reading = null;
    this.status = "on";
    this.why = "";
    const scale = simulated
      ? simulatedScale(
          () => this.load,
          () => 0,
        )
      : serialScale();
    this.#scale = scale;
    const hear = (e: ScaleEvent) => {
      if (this.#scale === scale) this.#hear(e);
    };
    scale
      .listen(hear)
      .catch((error: unknown) =>
        hear({ is: "gone", why: error instanceof Error ? error.message : String(error) }),
      );
  }

  #hear(e: ScaleEvent): void {
    if (e.is === "reading") {
      this.reading = { ...e.reading, grams: e.reading.grams - this.tareG };
      this.status = "on";
    } else if (e.is === "overload") {
      this.reading = null;
      this.status = "overload";
    } else if (e.is === "rubbish") this.rubbish++;
    else if (e.why !== "closed") {
      this.reading = null;
      this.status = "gone";
      this.why = e.why;
    }
  }

  /** What lies on the pan now counts as nothing. */
  tare(): void {
    if (this.reading) this.tareG += this.reading.grams;
  }

  close(): void {
    void this.#scale?.close();
    this.#scale = null;
    this.status = "off";
    this.reading = null;
  }
}

export const benchScale = new BenchScale();
