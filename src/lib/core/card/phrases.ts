import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import type { Phrase } from "./phrase.ts";
import { COUNT_PHRASES } from "./phrasesOfCounts.ts";
import { NAME_PHRASES } from "./phrasesOfNames.ts";
import { PACK_PHRASES } from "./phrasesOfPacks.ts";
import { REMARK_PHRASES } from "./phrasesOfRemarks.ts";

/** All of them in their order: a later table reads what an earlier one made. */
export const PHRASES: readonly Phrase[] = [
  ...NAME_PHRASES,
  ...PACK_PHRASES,
  ...COUNT_PHRASES,
  ...REMARK_PHRASES,
];

/** Longer rows are prose or rubbish, and every pattern would walk through them. */
const LONGEST = 400;

const mayHold = (small: string, holds: string | readonly string[]): boolean =>
  typeof holds === "string" ? small.includes(holds) : holds.some((h) => small.includes(h));

/** A text with its odd ways of writing put into plain ones. */
export const rephrase = remembering(
  (text) => (text.length > LONGEST ? text : phrased(text)),
  LINES_KEPT,
  LONGEST_KEPT,
);

function phrased(text: string): string {
  let said = text;
  let small = text.toLowerCase();
  for (const { holds, pattern, read } of PHRASES) {
    if (holds !== undefined && !mayHold(small, holds)) continue;
    const now =
      typeof read === "string" ? said.replace(pattern, read) : said.replace(pattern, read);
    if (now === said) continue;
    said = now;
    small = now.toLowerCase();
  }
  return said;
}
