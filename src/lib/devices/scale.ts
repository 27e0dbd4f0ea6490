/** A bench scale, real or simulated: the screens know only this. */
export interface ScaleReading {
  readonly grams: number;
  /** The scale says that it has settled. */
  readonly steady: boolean;
}
export type ScaleEvent =
  | { readonly is: "reading"; readonly reading: ScaleReading }
  | { readonly is: "overload" }
  /** A line that is no reading: counted and shown, never taken for a weight. */
  | { readonly is: "rubbish"; readonly text: string }
  | { readonly is: "gone"; readonly why: string };

export interface Scale {
  readonly name: string;
  /** Starts readings; settles when the connection ends. */
  listen(onEvent: (e: ScaleEvent) => void): Promise<void>;
  close(): Promise<void>;
}

const GRAMS: Readonly<Record<string, number>> = {
  g: 1,
  kg: 1000,
  mg: 0.001,
  oz: 28.349523125,
  lb: 453.59237,
};
/** Longer than any line a scale sends: beyond it the stream is rubbish. */
const LONGEST_LINE = 80;

/**
 * One line of a continuous ASCII protocol, as most bench scales send: `ST,GS,+  84.2 g`,
 * `US,NT,-0012.50 kg`, `S S      84.20 g`, `S D  84.1 g`, `+84.2g`, `OL`, `ST,OL`.
 */
export function parseScaleLine(line: string): ScaleEvent | null {
  const text = line.replace(/[\u0000-\u001f\u007f]/g, " ").trim();
  if (text === "") return null;
  if (text.length > LONGEST_LINE) return { is: "rubbish", text: `${text.slice(0, LONGEST_LINE)}…` };
  if (!/\d/.test(text) && /(?:^|[,\s-])OL(?:$|[,\s-])|^S\s*[+-]$/i.test(text))
    return { is: "overload" };
  const m =
    /^(?:(ST|US|S\s+S|S\s+D|QT)[,\s]+)?(?:(?:GS|NT|TR|G|N)[,\s]+)?([+-]?)\s*(\d{1,7}(?:[.,]\d{1,4})?)\s*(mg|kg|g|oz|lb)\s*([?*]?)$/i.exec(
      text,
    );
  if (!m) return { is: "rubbish", text };
  const grams =
    Number(m[3]!.replace(",", ".")) * GRAMS[m[4]!.toLowerCase()]! * (m[2] === "-" ? -1 : 1);
  const head = (m[1] ?? "").toUpperCase().replace(/\s+/g, " ");
  return {
    is: "reading",
    reading: { grams, steady: head === "ST" || head === "S S" || (head === "" && m[5] === "") },
  };
}

/** Turns a stream of bytes into scale events, line by line. */
export async function readScaleStream(
  stream: ReadableStream<Uint8Array>,
  onEvent: (e: ScaleEvent) => void,
  signal: AbortSignal,
): Promise<void> {
  const reader = stream.getReader();
  const decoder = new TextDecoder("latin1");
  let rest = "";
  signal.addEventListener("abort", () => void reader.cancel().catch(() => undefined));
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done || signal.aborted) break;
      rest += decoder.decode(value, { stream: true });
      const lines = rest.split(/\r\n|\n|\r/);
      rest = lines.pop()!;
      if (rest.length > 10 * LONGEST_LINE) {
        onEvent({ is: "rubbish", text: `${rest.slice(0, LONGEST_LINE)}…` });
        rest = "";
      }
      for (const line of lines) {
        const event = parseScaleLine(line);
        if (event) onEvent(event);
      }
    }
    onEvent({ is: "gone", why: signal.aborted ? "closed" : "the scale was unplugged" });
  } catch (error) {
    onEvent({ is: "gone", why: error instanceof Error ? error.message : String(error) });
  }
}
