import { COUNTED_FIRST, isCounted } from "./counted.ts";
import type { Knows } from "./countedSorts.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { quick } from "./quick.ts";
import { NO_TYPE } from "./vocabulary.ts";

/**
 * Things on one line that "with", a bar, a dash or a full stop joins, each with its count: "Eye pads 4 c/w safety pins 7".
 * They are parted by semicolons, as other lists are.
 */

const JOINERS: readonly {
  readonly by: RegExp;
  /** What it joins may be a part of the thing before. */
  readonly goesWith?: boolean;
  /** It stands in other texts too: each part must be a name and a count, and nothing else. */
  readonly isSign?: boolean;
}[] = [
  {
    by: /,?\s+(?:c\/w|w\/|(?:together\s+|along\s+)?with|incl(?:\.|uding|udes)?)\s+/i,
    goesWith: true,
  },
  { by: /\s+\|\s+/ },
  // "RESCUE TENDER 1 - FIRST AID STOWAGE": a dash stands in titles too.
  { by: /\s+[-–—•]\s+/, isSign: true },
  { by: /\.\s+/ },
];
/** What comes with a thing as part of it: "torch 1 with 2 batteries", "bandages 3 with 2 clips". */
const PARTS = new Set(["spare-batteries", "bandage-clip", "container"]);
/** "2 tourniquets - one windlass": says more of what was counted. */
const OF_THEM = /^(?:one|an?)\s/i;
/** "7 plasters in a tin", "label in Polish": what it comes in, or nothing that is known. */
export const isKind = (type: string | null): boolean =>
  type !== null && type !== NO_TYPE && type !== "container";
/** "(checked)": says nothing of how many. */
const REMARK_LAST = /\s*\([^()\d]*\)\W*$/;
/** What counts a thing, and the signs beside it. */
export const COUNTS = quick(new RegExp(`\\b(?:${NUMBER_WORDS})\\b|[x×:()=–-]`, "giu"));
const UNITS = /\b(?:pcs|pieces|prs?|pairs?|ea)\b\.?/gi;
/** Longer lines are prose, and more parts a list of its own. */
const LONGEST = 160;
const MOST_PARTS = 6;
const ANY_JOINER = /\s(?:c\/w|w\/|with|incl)|\s[|–—•-]\s|\.\s/i;

/** "Plasters - 9 - eye pads - 7": names and counts by turns belong together two by two. */
const AMOUNT = /^\d{1,4}(?:\s?(?:pcs|pieces|prs?|pairs?|ea))?\W*$/i;
function inPairs(parts: readonly string[]): readonly string[] {
  const areByTurns =
    parts.length >= 4 &&
    parts.length % 2 === 0 &&
    parts.every((part, i) => AMOUNT.test(part) === (i % 2 === 1));
  return areByTurns
    ? parts.flatMap((part, i) => (i % 2 === 0 ? [`${part} - ${parts[i + 1]!}`] : []))
    : parts;
}

/** The text with semicolons for what joins its things, where each of them is named, counted and another; else as it is. */
export function joinedApart(text: string, of: Knows): string {
  if (text.length > LONGEST || !ANY_JOINER.test(text)) return text;
  for (const joiner of JOINERS) {
    const split = text.split(joiner.by);
    if (split.length < 2 || split.length > 2 * MOST_PARTS) continue;
    const parts = inPairs(split);
    if (parts.length > 1 && areThings(parts, joiner, of)) return parts.join("; ");
  }
  return text;
}
function areThings(
  parts: readonly string[],
  { goesWith, isSign }: (typeof JOINERS)[number],
  of: Knows,
): boolean {
  const types = parts.map((part) => of.typeOf(part));
  return (
    types.every(isKind) &&
    new Set(types).size === parts.length &&
    !(goesWith && types.slice(1).some((type) => PARTS.has(type!))) &&
    parts.every(
      (part, i) =>
        isCounted(part.replace(REMARK_LAST, "")) &&
        of.names(part) &&
        (i === 0 || !OF_THEM.test(part)) &&
        (!isSign ||
          COUNTED_FIRST.test(part) ||
          of.isWhole(part.replace(REMARK_LAST, "").replace(UNITS, " ").replace(COUNTS, " "))),
    )
  );
}
