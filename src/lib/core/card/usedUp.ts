import { NUMBER_WORDS } from "./numberWords.ts";
import { PACKS, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";
import { SPOKEN_LEAD } from "./saidAloud.ts";
import { MAY_SAY_WENT, WENT_WORDS } from "./wentWords.ts";

/**
 * How many there were, and how many went: "had ten ice packs, two used", "plasters: started with 50, used 18". What is left is counted.
 * An ordered table, read before a line is parted.
 */

interface UsePhrase {
  readonly name: string;
  readonly example: readonly [string, string];
  readonly pattern: RegExp;
}

const N = `(?:${NUMBER_WORDS})(?![\\p{L}\\d]|[.,]\\d)`;
const HAD =
  "(?:(?:we|i)\\s+)?(?:had|started(?:\\s+(?:off|out))?\\s+(?:with|w\\/)|began\\s+with|there\\s+(?:was|were)|used\\s+to\\s+be|was|were)";
const NAME = "(?<name>\\p{L}[^\\d,;:()]*?)";
const PARTED = "\\s*(?:[,;(]|\\s[-–—]|\\bbut|\\band)\\s*(?:have\\s+|we\\s+|i\\s+)?";
const { DID, DONE, WHO, BUT } = WENT_WORDS;
const BE = "(?:(?:are|were|was|is|have|has|been|now|already|got|of\\s+(?:them|those|these))\\s+)*";
const ON = "(?:\\s+(?:on|at|in|into|with|last|this|for|to|since|during|over|through)\\b[^\\d,;]*)?";
/** "used two", "two given away", "minus two". */
const WENT = `(?:(?:${WHO}(?:${DID}|opened)|${BUT})\\s+(?<gone>${N})|(?<went>${N})\\s+${BE}(?:${DONE}|${DID}|opened))${ON}`;
const ENDS = "\\s*\\)?\\s*[.!]*$";
const phrase = (name: string, example: readonly [string, string], source: string): UsePhrase => ({
  ...{ name, example },
  pattern: quick(new RegExp(source, "iu")),
});

export const USED_UP: readonly UsePhrase[] = [
  phrase(
    "how many there were of a thing, and how many went",
    ["had ten ice packs, two used", "8 ice packs"],
    `^(?<lead>${SPOKEN_LEAD})${HAD}\\s+(?<full>${N})\\s+${NAME}${PARTED}${WENT}${ENDS}`,
  ),
  phrase(
    "how many there were, behind the name, and how many went",
    ["plasters: started w/ 50, used 18", "plasters: 32"],
    `^(?<head>\\W*\\p{L}[^\\d,;:()]*?[:,]?\\s+)(?:${HAD})\\s+(?<full>${N})${PARTED}${WENT}${ENDS}`,
  ),
  phrase(
    "so many of a thing, and how many were given away",
    ["11 ice packs minus three", "8 ice packs"],
    `^(?<lead>${SPOKEN_LEAD})(?<full>${N})\\s+${NAME}(?:${PARTED}(?:${DID}|opened)|,?\\s+(?:minus|less))\\s+(?<gone>${N})${ON}${ENDS}`,
  ),
  phrase(
    "a pack of a thing, with so many gone",
    ["one strip of ten paracetamol with three gone", "7 paracetamol"],
    `^(?<lead>${SPOKEN_LEAD})(?:(?:one|an?|1)\\s+)?(?:${PACKS})\\s+of\\s+(?<full>${N})\\s+${NAME},?\\s+with\\s+(?<gone>${N})\\s+${BE}(?:${DONE}|${DID}|opened|out)${ENDS}`,
  ),
  phrase(
    "so many of a thing, and how many that leaves",
    ["twelve plasters, three are soggy so nine", "nine plasters"],
    `^(?<lead>${SPOKEN_LEAD})(?<full>${N})\\s+${NAME},\\s+[^;]{3,50}?\\b(?:so|leaves|leaving)\\s+(?:say\\s+|call\\s+it\\s+|that['’]?s\\s+|only\\s+|make\\s+(?:it|that)\\s+)?(?<left>${N})(?:\\s+(?:left|good(?:\\s+ones)?))?${ENDS}`,
  ),
];

/** Each of them has one of these. */
const MAY_BE_LEFT = /\b(?:opened|out|so|leaves|leaving)\b/i;
/** Longer lines are read in parts. */
const LONGEST = 160;

/** A text with how many are left, where it says how many there were and how many went; as it is where more went than there were. */
export function usedUp(text: string): string {
  if (text.length > LONGEST || !(MAY_SAY_WENT.test(text) || MAY_BE_LEFT.test(text))) return text;
  for (const { pattern } of USED_UP) {
    const said = pattern.exec(text)?.groups;
    if (!said) continue;
    const full = valueOf(said["full"]!);
    const went = said["gone"] ?? said["went"];
    const left = went === undefined ? valueOf(said["left"]!) : full - valueOf(went);
    if (left <= 0 || left >= full) return text;
    const count = said["left"] ?? String(left);
    return said["head"] === undefined
      ? `${said["lead"]!}${count} ${said["name"]!}`
      : `${said["head"]}${count}`;
  }
  return text;
}
