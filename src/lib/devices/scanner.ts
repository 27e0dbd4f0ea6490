/** A barcode scanner, real or simulated: the screens know only what was scanned. */
export interface Scanner {
  readonly name: string;
  close(): void;
}

/** A scanner types faster than any hand: this long between two keys at most, ms. */
const FASTEST_HAND_MS = 35;
/** Shorter strings are a person's keystrokes. */
const SHORTEST_SCAN = 6;

/**
 * A keyboard wedge: a scanner that types what it reads and presses Enter. Keys that come as fast as
 * only a machine types are gathered, by when they were pressed, however late a busy page hears of them; FNC1
 * arrives as Ctrl+] or F8, as wedges are set.
 */
export function wedge(onScan: (text: string) => void): {
  key: (e: Pick<KeyboardEvent, "key" | "ctrlKey" | "timeStamp">) => boolean;
  clear: () => void;
} {
  let text = "";
  let last = -Infinity;
  return {
    /** Forgets what was typed: a field has made sense of it. */
    clear() {
      text = "";
    },
    /** Takes a key; true when it ended a scan and must not reach the page. */
    key(e) {
      if (e.timeStamp - last > FASTEST_HAND_MS) text = "";
      last = e.timeStamp;
      if (e.key === "Enter") {
        const scanned = text;
        text = "";
        if (scanned.length < SHORTEST_SCAN) return false;
        onScan(scanned);
        return true;
      }
      if ((e.ctrlKey && e.key === "]") || e.key === "F8") text += "\u001d";
      else if (e.key.length === 1 && !e.ctrlKey) text += e.key;
      return false;
    },
  };
}

/** The same code again within this time is the same scan, ms. */
const SAME_SCAN_MS = 1500;

/** Drops a code that is read twice in one go. */
export function withoutDoubles(
  onScan: (text: string) => void,
  now: () => number,
): (text: string) => void {
  let last = "";
  let at = -Infinity;
  return (text) => {
    const again = text === last && now() - at < SAME_SCAN_MS;
    last = text;
    at = now();
    if (!again) onScan(text);
  };
}
