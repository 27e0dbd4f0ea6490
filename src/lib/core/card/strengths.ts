import { LONGEST_LINE } from "./cardLimits.ts";
import { quick } from "./quick.ts";

/** How strong a medicine is and how much is in it, written so that neither counts: "Paracetamol 500, 3 x 10", "3,5 g", "6x10%30ml". */

const MEDICINE =
  "paracetamol|acetaminophen|paracet|ibuprofen|aspirin|naproxen|diclofenac|mefenamic(?:\\s+acid)?|loratadine|cetirizine|chlorphenamine|diphenhydramine";
/** Milligrams that a tablet of them has; other numbers may count them. */
const MILLIGRAMS = "100|200|250|300|325|400|500|600|650";
const FORM = "(?:tab(?:let)?s?|caplets?|cap(?:sule)?s?)";
const BARE = quick(
  new RegExp(
    `(?<=\\b(?:${MEDICINE})\\.?\\s+(?:${FORM}\\.?\\s+)?)(${MILLIGRAMS})(?=\\s*(?:[,:;(–-]|\\s\\d|\\s${FORM}\\b))(?!\\s*[–-]\\d)`,
    "giu",
  ),
);
const IS_MEDICINE = quick(new RegExp(`\\b(?:${MEDICINE})\\b`, "iu"));
/** Another number counts them. */
const ANOTHER = /\d+\D+\d/;
/** "3,5 g": with a comma between whole and tenth. */
const COMMA = /(?<![\d,.])(\d{1,3}),(\d{1,2})(?=\s?(?:g|gr|ml|cl|l)\b)/gi;
/** "6x10%30ml" */
const GLUED_TIMES = /(?<=\d)\s?[x×]\s?(?=\d{1,2}(?:[.,]\d{1,2})?\s?%)/gi;
const GLUED_SHARE = /%(?=\d)/g;

/** A line whose strengths and contents say what they are. */
export function strengthsPlainly(line: string): string {
  if (line.length > LONGEST_LINE) return line;
  const apart = line.includes("%")
    ? line.replace(GLUED_TIMES, " x ").replace(GLUED_SHARE, "% ")
    : line;
  const whole = apart.includes(",") ? apart.replace(COMMA, "$1.$2") : apart;
  return IS_MEDICINE.test(whole) && ANOTHER.test(whole) ? whole.replace(BARE, "$1 mg") : whole;
}
