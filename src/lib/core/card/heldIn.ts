import { listsUsed } from "./absence.ts";
import { LONGEST_LINE } from "./cardLimits.ts";
import { SAYS_NUMBER } from "./numberWords.ts";
import type { Knowledge } from "./plainly.ts";
import { quick } from "./quick.ts";

/**
 * What a thing lies in, before or behind it, is none of the things: "Wall box / plasters 4", "6 eye pads @ red tin". Where a line
 * names nothing else it is one: "First aid box, red, 1".
 */

const HOLDER =
  "(?!\\d)(?:\\p{L}[\\p{L}'’-]*\\s+){0,3}(?:box|bag|tin|kit|case|pouch|lid|rucksack|backpack|tub|crate|holdall|locker|cupboard|cabinet|drawer|shelf|pocket|trailer|hut|trunk|chest|bin|basket|first\\s+aid\\s+room)(?:\\s+(?:no\\.?\\s*)?(?:\\d{1,2}|[A-F]))?";
const BEFORE = quick(
  new RegExp(
    `^(?<mark>\\s*(?:[-*•]\\s+|\\d{1,2}[.)]\\s+)?(?:\\[[ xX✓✔]?\\]\\s*|[☐☑✓✔]\\s*)?)(?:[[(](?<inside>${HOLDER})[\\])]\\s*[:-]?|(?<holder>${HOLDER})(?:\\s*[:/>=]|\\s+[-–]|\\s*->|,))\\s+(?<rest>\\S.*)$`,
    "iu",
  ),
);
const BEHIND = quick(
  new RegExp(
    `^(?<rest>.*[^\\s,–-])(?:\\s+@\\s+|(?<!\\b(?:them|those|which|kept|stored|lives?|is|are|has|one|left|spare|rest|others?|[-–,]))\\s+in\\s+(?:the\\s+|an?\\s+)?|\\s+[-–/]\\s+|,\\s+)(?<holder>${HOLDER})\\s*$`,
    "iu",
  ),
);
const MAY_HOLD =
  /box|bag|tin|kit|case|pouch|lid|rucksack|backpack|tub|crate|holdall|locker|cupboard|cabinet|drawer|shelf|pocket|trailer|hut|trunk|chest|bin|basket|room/i;
/** In columns each cell stays where it is. */
const IN_COLUMNS = /\S(?:\s{3,}|\t|\s\|\s)\S/;
/** "a box of", "2 bags with": packs of what follows. */
const IS_PACK = /\bof$|\b(?:with|for|each|per)\b|^(?:an?|one|the)$/i;

type Of = Pick<Knowledge, "names" | "typeOf">;
/** Whether what is left is a thing with its count, and no holder itself. */
function isThing(rest: string, { names, typeOf }: Of): boolean {
  const type = typeOf(rest);
  return SAYS_NUMBER.test(rest) && type !== null && type !== "container" && names(rest);
}
/** A line without what its thing lies in. */
export function heldIn(line: string, of: Of): string {
  if (line.length > LONGEST_LINE || !MAY_HOLD.test(line) || IN_COLUMNS.test(line)) return line;
  // "To bin: eye pads"
  if (listsUsed(line)) return line;
  const before = BEFORE.exec(line)?.groups;
  if (before) {
    const holder = (before["inside"] ?? before["holder"])!;
    if (!IS_PACK.test(holder) && isHolder(holder, of) && isThing(before["rest"]!, of))
      return `${before["mark"]!}${before["rest"]!}`;
  }
  const behind = BEHIND.exec(line)?.groups;
  return behind && isHolder(behind["holder"]!, of) && isThing(behind["rest"]!, of)
    ? behind["rest"]!
    : line;
}
/** "Eye pouch", "burns kit": a thing of its own that is called so is no holder. */
const isHolder = (holder: string, { typeOf }: Of): boolean => {
  const type = typeOf(holder);
  return type === null || type === "container";
};
