import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import { mayMatch } from "./needs.ts";
import type { Phrase } from "./phrase.ts";
import { quick } from "./quick.ts";
import { COUNT_PHRASES } from "./phrasesOfCounts.ts";
import { NAME_PHRASES } from "./phrasesOfNames.ts";
import { PACK_PHRASES } from "./phrasesOfPacks.ts";
import { REMARK_PHRASES } from "./phrasesOfRemarks.ts";
import { SUM_PHRASES } from "./phrasesOfSums.ts";
import { USE_PHRASES } from "./phrasesOfUse.ts";

/** All of them in their order: a later table reads what an earlier one made. */
export const PHRASES: readonly Phrase[] = [
  ...NAME_PHRASES,
  ...SUM_PHRASES,
  ...USE_PHRASES,
  ...PACK_PHRASES,
  ...COUNT_PHRASES,
  ...REMARK_PHRASES,
].map((phrase) => ({ ...phrase, pattern: quick(phrase.pattern) }));

/** Longer rows are prose or rubbish, and every pattern would walk through them. */
const LONGEST = 400;

/** A piece of text that phrases must hold, with their places in the table. */
interface Held {
  readonly text: string;
  /** Code of its second letter; NaN: it has one. */
  readonly second: number;
  readonly phrases: readonly number[];
}
/** What phrases must hold, by the code of its first letter: each text is gone through once, and not once for every phrase. */
const HELD: readonly (readonly Held[] | undefined)[] = heldByLetter();
function heldByLetter(): readonly (readonly Held[] | undefined)[] {
  const phrasesOf = new Map<string, number[]>();
  PHRASES.forEach(({ holds = [] }, i) => {
    for (const text of [holds].flat()) phrasesOf.set(text, [...(phrasesOf.get(text) ?? []), i]);
  });
  const byLetter: Held[][] = [];
  for (const [text, phrases] of phrasesOf)
    (byLetter[text.charCodeAt(0)] ??= []).push({ text, second: text.charCodeAt(1), phrases });
  return byLetter;
}
const IN_ANY = PHRASES.flatMap(({ holds }, i) => (holds === undefined ? [i] : []));

/** Which phrases a text in small letters may have: a 1 at the place of each. */
function mayHave(small: string): Uint8Array {
  const may = new Uint8Array(PHRASES.length);
  for (const i of IN_ANY) may[i] = 1;
  for (let at = 0; at < small.length; at++) {
    const held = HELD[small.charCodeAt(at)];
    if (held === undefined) continue;
    const next = small.charCodeAt(at + 1);
    for (const { text, second, phrases } of held)
      if ((second === next || text.length === 1) && small.startsWith(text, at))
        for (const i of phrases) may[i] = 1;
  }
  return may;
}

/** A text with its odd ways of writing put into plain ones. Which phrases it may have is seen at one go; of those, what their patterns need leaves fewer. */
export const rephrase = remembering(
  (text) => (text.length > LONGEST ? text : phrased(text)),
  LINES_KEPT,
  LONGEST_KEPT,
);

function phrased(text: string): string {
  let said = text;
  let may = mayHave(text.toLowerCase());
  PHRASES.forEach(({ pattern, read }, i) => {
    if (may[i] === 0 || !mayMatch(pattern, said) || said.search(pattern) < 0) return;
    const now =
      typeof read === "string" ? said.replace(pattern, read) : said.replace(pattern, read);
    if (now === said) return;
    said = now;
    may = mayHave(now.toLowerCase());
  });
  return said;
}
