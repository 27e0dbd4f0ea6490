import { NUMBER_SAID } from "./numberWords.ts";
import { PACKS, type Phrase } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * What is left of a pack: "six plasters left from a box of twenty". The pack's own number counts what was, and must not multiply.
 * An ordered table, read before a line is parted, as a sentence may tell of several things.
 */

const N = `\\d{1,4}|${NUMBER_SAID}`;
const COUNT = `(?<![\\p{L}\\d.,/-])(?<count>${N})(?![\\p{L}\\d])`;
const NAME = "(?<name>\\p{L}[^\\d,;:()]*?)";
/** "a box of 40", "the open packet of ten". */
const OF_PACK = `(?:an?|the|its|one|that|this|their)\\s+(?:(?:open(?:ed)?|new|full|big|small|old)\\s+)?(?:${PACKS}|tins?|jars?)\\s+(?:of|with|for)\\s+(?:${N})(?![\\p{L}\\d-])`;
const PACK_OF = `(?:an?\\s+|one\\s+|1\\s+)?(?:open(?:ed)?\\s+)?(?<![\\p{L}])(?:${PACKS}|tins?|jars?)\\s+of\\s+(?:${N})(?![\\p{L}\\d-])`;
const LEFT = "(?:left(?:\\s+over)?|remain(?:s|ing)?|still\\s+(?:there|in\\s+(?:it|there)))";
const BEGUN =
  "(?:but\\s+)?(?:(?:it['’]?s|is|was|already|part(?:ly)?|half)\\s+)*(?:started|opened|open|begun|used)";
const INSIDE = `(?:in\\s+(?:it|there)|inside|${LEFT})`;

const pattern = (source: string) => quick(new RegExp(source, "giu"));

export const LEFT_PHRASES: readonly Phrase[] = [
  {
    name: "so many left from a pack",
    example: ["six plasters left out of a box of twenty", "six plasters"],
    pattern: pattern(
      `${COUNT}\\s+${NAME}\\s+${LEFT}\\s+(?:from|out\\s+of|in|of|inside)\\s+${OF_PACK}`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "so many left from a pack of them",
    example: ["six left from a box of twenty plasters", "six plasters"],
    pattern: pattern(
      `${COUNT}\\s+${LEFT}\\s+(?:from|out\\s+of|in|of|inside)\\s+${OF_PACK}\\s+${NAME}(?=\\s*(?:[,;.)]|$|\\band\\b))`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "so many left from a pack, behind the name",
    example: ["plasters, six left from a box of twenty", "six plasters"],
    pattern: pattern(
      `(?<=^\\W*|[,;]\\s+|\\b(?:find|are|is|have|got)\\s+)${NAME}[,:]?\\s+${COUNT}\\s+${LEFT}\\s+(?:from|out\\s+of|in|of|inside)\\s+${OF_PACK}`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "a pack, with so many left",
    example: ["a box of twenty plasters, six left", "six plasters"],
    pattern: pattern(
      `${PACK_OF}\\s+${NAME},\\s+(?:with\\s+|only\\s+|about\\s+)?(?<count>${N})\\s+${LEFT}(?![\\p{L}])`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "so many of so many, behind the name",
    example: ["plasters - six of twenty left", "plasters - six"],
    pattern: pattern(
      `(?<!(?:[+&]|\\band|\\bplus)\\s*)${COUNT}\\s+(?:out\\s+)?of\\s+(?:the\\s+)?(?:${N})\\s+${LEFT}(?![\\p{L}])`,
    ),
    read: "$<count>",
  },
  {
    name: "so many of so many, before the name",
    example: ["six of the twenty plasters left", "six plasters"],
    pattern: pattern(
      `${COUNT}\\s+(?:out\\s+)?of\\s+(?:the\\s+)?(?:${N})\\s+${NAME}\\s+${LEFT}(?![\\p{L}])`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "so many left of the things named",
    example: ["of the plasters there are six left", "six plasters"],
    pattern: pattern(
      `(?<=^\\W*|[.;]\\s+)of\\s+the\\s+${NAME}\\s+(?:there\\s+(?:are|is)\\s+)?(?:only\\s+)?${COUNT}\\s+${LEFT}(?![\\p{L}])`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "a pack, down to so many",
    example: ["box of twenty plasters, down to six", "six plasters"],
    pattern: pattern(
      `${PACK_OF}\\s+${NAME},?\\s+(?:but\\s+|now\\s+)?down\\s+to\\s+(?:about\\s+)?(?<count>${N})(?![\\p{L}\\d])`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "a pack, begun, with so many in it",
    example: ["box of twenty plasters, started, six in it", "six plasters"],
    pattern: pattern(
      `${PACK_OF}\\s+${NAME},?\\s+${BEGUN},?\\s+(?:with\\s+|about\\s+|there\\s+are\\s+)?(?<count>${N})\\s+${INSIDE}(?![\\p{L}])`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "the pack of a thing is begun, and how many are left",
    example: ["the box of plasters is open, I'd say six left", "six plasters"],
    pattern: pattern(
      `(?:the|an?|one)\\s+(?:${PACKS}|tin|jar)\\s+of\\s+${NAME}\\s+is\\s+(?:already\\s+)?(?:open(?:ed)?|started|begun),?\\s+(?:(?:i['’]?d\\s+say|i\\s+make\\s+it|call\\s+it|say|about|maybe|with|there(?:['’]?s|\\s+are))\\s+)*(?<count>${N})\\s+${INSIDE}(?![\\p{L}])`,
    ),
    read: "$<count> $<name>",
  },
  {
    name: "a begun pack behind the name",
    example: ["plasters, opened box of twenty, six remain", "six plasters"],
    pattern: pattern(
      `(?<=^\\W*|[,;]\\s+)${NAME},\\s+(?:open(?:ed)?|started|begun)\\s+(?:${PACKS}|tin|jar)\\s+of\\s+(?:${N}),\\s+(?:about\\s+)?(?<count>${N})\\s+${INSIDE}(?![\\p{L}])`,
    ),
    read: "$<count> $<name>",
  },
];

/** "eye pads 20/50": of fifty; fewer are packs of so many ("2/50"). */
const OF_SO_MANY = quick(
  /(?<=\p{L}\s)(?<count>\d{1,3})\/(?<all>10|20|25|30|40|50|60|80|100|200)(?=\.?\s*(?:[,;)]|$))/giu,
);
const FEWEST_LEFT = 5;
const withoutAll = (text: string): string =>
  text.replace(OF_SO_MANY, (said, count: string, all: string) =>
    Number(count) >= FEWEST_LEFT && Number(count) < Number(all) ? count : said,
  );

/** Each of them has one of these. */
const MAY_BE_LEFT = /\b(?:left|remain|down\s+to|in\s+it|inside|still)|\d\/\d/i;
/** Longer lines are read in parts. */
const LONGEST = 300;

/** A text with what is left of its packs, and not what they held. */
export const leftOfPacks = (text: string): string =>
  text.length > LONGEST || !MAY_BE_LEFT.test(text)
    ? text
    : LEFT_PHRASES.reduce(
        (said, { pattern: p, read }) => said.replace(p, read as string),
        withoutAll(text),
      );
