/** Where one page of a card ends and the next begins, as a PDF leaves it among the lines. */

const PAGE =
  /^\s*(?:[-–—]\s*\d{1,3}\s*[-–—]|(?:page|pg\.?|p\.|sheet|seite|página|pagina|side|sida)\s*\d{1,3}(?:\s*(?:of|\/|von|de|di|av)\s*\d{1,3})?|\(?(?:continued|cont['’]?d\.?|p\.?t\.?o\.?)(?:\s+(?:overleaf|on\s+(?:the\s+)?next\s+page|from\s+(?:the\s+)?(?:previous|last)\s+page))?\)?)\W*$/i;
/** Lines at the top of a card that the next page may say again. */
const TOP = 3;

/** The lines of a card with what stands between two pages left out. Same number of lines. */
export function withoutPageBreaks(lines: readonly string[]): string[] {
  const top = new Set(lines.slice(0, TOP).map((line) => line.trim()));
  const breaks = lines.map(
    (line) => line.trim() !== "" && (PAGE.test(line) || line.includes("\f")),
  );
  /** Blank, or of a break. */
  const isEmpty = (i: number) => lines[i] !== undefined && (breaks[i]! || lines[i].trim() === "");
  return lines.map((line, i) => {
    if (i < TOP) return line;
    if (PAGE.test(line)) return "";
    // The title of the card, said again below a break.
    const before = [i - 1, i - 2, i - 3].filter((k) => isEmpty(k));
    const isAgain = top.has(line.trim()) && before.some((k) => breaks[k]);
    return isAgain && line.trim() !== "" ? "" : line.replaceAll("\f", "");
  });
}
