import { NUMBER_WORDS } from "./numberWords.ts";
import { PACK, PACKS, SHARES, valueOf, type Phrase } from "./phrase.ts";

/** What is left of a pack that was begun, what was used of it, and what was counted where the pack says something else. */

const N = `(?:${NUMBER_WORDS})`;
const FULL = `(?:(?:1|one|an?|the)\\s+)?(?:${PACK}\\s+of\\s+(${N})|(${N})[\\s-]?(?:pack|pk|ct|count)\\b)`;
/** Parts what the pack is from what is said of it. */
const PARTED = "(?:\\s*[,;:(–—-]\\s*(?:but\\s+|with\\s+)?|\\s+(?:but|with)\\s+)";
/** Said before what was found in it. */
const FOUND =
  "(?:(?:but|only|now|just|about|around|roughly|approx\\.?|maybe|actual(?:ly)?|down\\s+to|has|holds|contains|there(?:['’]?s|\\s+(?:is|are))|(?:i\\s+|we\\s+)?(?:count(?:ed)?|found|make\\s+it|see|have|got))\\s*:?\\s+)";
/** Said behind what is still in it. */
const STILL_IN =
  "(?:\\s+(?:of\\s+them\\s+)?(?:are\\s+)?(?:still\\s+)?(?:left|remain(?:ing|s)?|inside|to\\s+go|there|here|in\\s+(?:it|there|(?:the|this)\\s+\\p{L}+)|in)(?:\\s+now)?(?![\\p{L}]))";
const LEFT = `(?:${FOUND}{1,3}(${N})${STILL_IN}?|(${N})${STILL_IN})`;
const USED = "(?:used(?:\\s+up)?|gone|missing|taken|opened\\s+and\\s+used|binned|lost|out)";
const LESS = `(?:(?:less|minus|used|missing)\\s+(${N})|(${N})\\s+(?:of\\s+(?:them|these)\\s+)?(?:are\\s+|were\\s+|already\\s+|now\\s+)*${USED})`;
const ENDS = "\\s*\\)?\\s*[.!]?\\s*$";
/** "says 100 on it": what the pack promises. */
const SAYS = `(?<=\\p{L}.*)(?<!\\bit\\s+)(?:(?:the\\s+)?(?:${PACK}|label|lid)\\s+)?(?:says|said|reads|marked|labell?ed|supposed\\s+to\\s+(?:be|hold|have)|meant\\s+to\\s+(?:be|hold|have))\\s+(?:as\\s+)?(${N})(?:\\s+on\\s+(?:it|the\\s+\\p{L}+))?`;

const ABOUT = "(?:(?:about|around|roughly|approx\\.?|maybe|nearly|just\\s+over)\\s+)?";
const PART =
  "(?:an?\\s+|one\\s+)?(?:third|quarter|half)|two\\s+thirds|three\\s+quarters|[123]/[234]";
/** So much of so many; of gloves whole pairs. @param line what is said of */
const guessed = (part: string, of: string, line: string | undefined): number => {
  const told = part
    .toLowerCase()
    .replace(/^(?:an?|one)\s+/, "")
    .replace(/\s+/g, " ");
  const left = Math.max(1, Math.ceil((SHARES[told] ?? 1 / 2) * valueOf(of) - 0.5));
  return /gloves?\b/i.test(line ?? "") ? left - (left % 2) : left;
};

/** How many there are, as said beside how many there were or should be. */
const NOW = `(?:(?:(?:is|are|there(?:['’]?s|\\s+(?:is|are)))\\s+)?(?:now|only|just|down\\s+to)\\s+(?:only\\s+|down\\s+to\\s+)?(${N})(?:\\s+(?:now|left|found|there|here|remaining|present))?|(${N})\\s+(?:now|left|found|there|here|remaining|present))`;
const FOUND_WORDS = [
  "now",
  "only",
  "just",
  "down to",
  "left",
  "found",
  "there",
  "here",
  "remaining",
  "present",
];
/** What is left or found is less than there was; "now 4 pairs" may be more. */
const isFound = (all: string, now: string, was: string): boolean =>
  valueOf(now) < valueOf(was) || /\bnow\b/i.test(all);
const isPart = (part: string, of: string): boolean => valueOf(part) < valueOf(of);

/** An ordered table: an earlier phrase may make what a later one reads. */
export const USE_PHRASES: readonly Phrase[] = [
  {
    name: "a pack of so many of a thing, and how many are left in it",
    example: ["box of 40 plasters, 12 inside", "12 plasters"],
    holds: [" of ", "pack", "pk", "ct", "count"],
    pattern: new RegExp(`^(\\W*)${FULL}\\s+(\\p{L}[^,;:()\\d]*?)${PARTED}${LEFT}${ENDS}`, "iu"),
    read: (all, mark, of, ofPack, name, found, left) =>
      isPart(found ?? left!, of ?? ofPack!)
        ? `${mark}${valueOf(found ?? left!)} ${name!.replace(/\s+(?:but|with)$/i, "")}`
        : all!,
  },
  {
    name: "a pack behind its name, and how many are left in it",
    example: ["plasters - box of 50, about 23 in it", "plasters - 23 pcs"],
    holds: [" of ", "pack", "pk", "ct", "count"],
    pattern: new RegExp(`(?<=\\p{L}.*)\\(?\\b${FULL}\\)?${PARTED}${LEFT}${ENDS}`, "iu"),
    read: (all, of, ofPack, found, left) =>
      isPart(found ?? left!, of ?? ofPack!) ? `${valueOf(found ?? left!)} pcs` : all!,
  },
  {
    name: "a pack of so many of a thing, less what was used",
    example: ["box of 40 plasters, twelve used", "28 plasters"],
    holds: ["less", "minus", "used", "missing", "gone", "taken", "binned", "lost", "out"],
    pattern: new RegExp(
      `^(\\W*)${FULL}\\s+(\\p{L}[^,;:()\\d]*?)(?:${PARTED}|\\s+)${LESS}${ENDS}`,
      "iu",
    ),
    read: (all, mark, of, ofPack, name, less, used) => {
      const [full, gone] = [of ?? ofPack!, less ?? used!];
      return isPart(gone, full) ? `${mark}${valueOf(full) - valueOf(gone)} ${name!}` : all!;
    },
  },
  {
    name: "a pack behind its name, less what was used",
    example: ["travel tablets 1 pkt of 12, seven used", "travel tablets 5 pcs"],
    holds: ["less", "minus", "used", "missing", "gone", "taken", "binned", "lost", "out"],
    pattern: new RegExp(`(?<=\\p{L}.*)\\(?\\b${FULL}\\)?(?:${PARTED}|\\s+)${LESS}${ENDS}`, "iu"),
    read: (all, of, ofPack, less, used) => {
      const [full, gone] = [of ?? ofPack!, less ?? used!];
      return isPart(gone, full) ? `${valueOf(full) - valueOf(gone)} pcs` : all!;
    },
  },
  {
    name: "what the pack says, and what was counted",
    example: ["plasters, box says 100 but I counted 41", "plasters, 41 pcs"],
    holds: ["says", "said", "reads", "marked", "label", "to be", "to h"],
    pattern: new RegExp(`${SAYS}${PARTED}(?:${LEFT}|(${N}))${ENDS}`, "iu"),
    read: (all, says, found, left, bare) =>
      isPart(found ?? left ?? bare!, says!) ? `${valueOf(found ?? left ?? bare!)} pcs` : all!,
  },
  {
    name: "packs of so many, one of them begun",
    example: ["tablets – 2 strips of 10, one has 3 missing", "tablets – 17 pcs"],
    holds: ["one ", "1 "],
    pattern: new RegExp(
      `\\b(${N})\\s+${PACKS}\\s+of\\s+(${N})\\s*[,;(–-]\\s*(?:but\\s+)?(?:one|1)(?:\\s+of\\s+(?:them|which))?\\s+(?:has|with|is)\\s+(?:only\\s+)?(?:missing\\s+(${N})|(${N})\\s+(?:missing|gone|used|out)|(${N})\\s+(?:left|in\\s+it))${ENDS}`,
      "iu",
    ),
    read: (all, packs, each, missing, gone, left) => {
      const of = valueOf(each!);
      const inOne = left === undefined ? of - valueOf(missing ?? gone!) : valueOf(left);
      return inOne >= 0 && inOne < of ? `${(valueOf(packs!) - 1) * of + inOne} pcs` : all!;
    },
  },
  {
    name: "a part of a pack of so many",
    example: ["gloves, about a third of a box of 100", "gloves, 32 pcs"],
    holds: [" of "],
    pattern: new RegExp(
      `${ABOUT}(${PART})\\s+(?:of\\s+)?(?:an?|one|the|1)\\s+(?:full\\s+)?${PACK}\\s+of\\s+(${N})\\b`,
      "iu",
    ),
    read: (_, part, of, ...rest) => `${guessed(part!, of!, rest.at(-1))} pcs`,
  },
  {
    name: "a pack of so many, and the part that is left",
    example: ["gloves box of 100, a third left", "gloves 32 pcs"],
    holds: ["left", "remain", "full"],
    pattern: new RegExp(
      `(?<=\\p{L}.*)\\(?\\b${FULL}\\)?${PARTED}${ABOUT}(${PART})\\s+(?:of\\s+it\\s+)?(?:left|remain(?:ing|s)?|full)${ENDS}`,
      "iu",
    ),
    read: (_, of, ofPack, part, ...rest) => `${guessed(part!, of ?? ofPack!, rest.at(-1))} pcs`,
  },
  {
    name: "a few of a pack",
    example: ["plasters, a few left in a box of 40", "plasters, 3 pcs"],
    holds: "few",
    pattern: new RegExp(
      `\\ba\\s+few\\s+(?:left\\s+)?(?:in|of|from)\\s+(?:an?|the)\\s+${PACK}\\s+of\\s+${N}\\b`,
      "iu",
    ),
    read: "3 pcs",
  },
  {
    name: "nothing but what it came in",
    example: ["antiseptic liquid - no, just the empty bottle", "antiseptic liquid - none"],
    holds: ["just", "only"],
    pattern: new RegExp(
      `(?<=\\p{L})\\s*[,:–—-]\\s*(?:no\\b,?\\s+)?(?:just|only)\\s+(?:the\\s+|an?\\s+)?(?:empty\\s+)?(?:box|bottle|packet|pack|tube|tin|wrapper|case|bag|tub|pot)(?:\\s+(?:left|there))?\\s*[.!]?\\s*$`,
      "iu",
    ),
    read: (all) => (/\bno\b|\bempty\b/i.test(all!) ? " - none" : all!),
  },
  {
    name: "no fewer than so many, said behind",
    example: ["gloves, 12 pairs at least", "gloves, 12 pairs"],
    holds: "at least",
    pattern: /(?<=\d\s*\p{L}*)\s*,?\s+at\s+least\s*$/iu,
    read: "",
  },
  {
    name: "so many of a thing, and how many are found",
    example: ["40 plasters in the box (now 12)", "12 plasters"],
    holds: FOUND_WORDS,
    pattern: new RegExp(
      `^(\\W*)(${N})\\s+(\\p{L}[^,;:()/\\d]*?)(?:\\s*[,;(/–-]\\s*(?:but\\s+)?|\\s+but\\s+)${NOW}${ENDS}`,
      "iu",
    ),
    read: (all, mark, was, name, now, behind) =>
      isFound(all!, now ?? behind!, was!)
        ? `${mark}${valueOf(now ?? behind!)} ${name!.replace(/\s+in\s+(?:the|a)\s+\p{L}+$/iu, "")}`
        : all!,
  },
  {
    name: "so many behind the name, and how many are found",
    example: ["plasters 20 (now 14)", "plasters 14"],
    holds: FOUND_WORDS,
    pattern: new RegExp(
      `(?<=^[^\\d]*\\p{L}[^\\d]*[\\s:])(${N})(?:\\s*[,;(/–-]\\s*(?:but\\s+)?|\\s+but\\s+)${NOW}${ENDS}`,
      "iu",
    ),
    read: (all, was, now, behind) =>
      isFound(all!, now ?? behind!, was!) ? `${valueOf(now ?? behind!)}` : all!,
  },
  {
    name: "what is somewhere else",
    example: ["nitrile gloves, see glove store", "nitrile gloves - none"],
    holds: "see ",
    pattern:
      /(?<=\p{L}{3})\s*[,–-]\s*see\s+(?:the\s+)?(?:\p{L}+\s+)?(?:store(?:\s*room)?|cupboard|cabinet|office|van|shelf|drawer|fridge)\s*\.?\s*$/iu,
    read: " - none",
  },
];
