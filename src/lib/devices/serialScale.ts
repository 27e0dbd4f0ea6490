import { readScaleStream, type Scale, type ScaleEvent } from "./scale.ts";

/** The part of the Web Serial API that is used; TypeScript's DOM library does not have it. */
interface SerialPort {
  open(options: {
    baudRate: number;
    dataBits?: number;
    parity?: "none" | "even" | "odd";
  }): Promise<void>;
  close(): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
interface Serial {
  requestPort(): Promise<SerialPort>;
}

export const hasSerial = (): boolean => typeof navigator !== "undefined" && "serial" in navigator;

/** What most bench scales are set to when they leave the works. */
const BAUD_RATE = 9600;

/** A real scale over Web Serial; the browser asks the user which port. */
export function serialScale(): Scale {
  const stop = new AbortController();
  let port: SerialPort | null = null;
  return {
    name: "scale on a serial port",
    async listen(onEvent: (e: ScaleEvent) => void) {
      port = await (navigator as unknown as { serial: Serial }).serial.requestPort();
      await port.open({ baudRate: BAUD_RATE });
      if (!port.readable) throw new Error("the port cannot be read");
      await readScaleStream(port.readable, onEvent, stop.signal);
    },
    async close() {
      stop.abort();
      await port?.close().catch(() => undefined);
    },
  };
}
