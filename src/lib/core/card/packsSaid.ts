import { NUMBER_SAID } from "./numberWords.ts";
import { PACKS, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * What says how many packs there are and what each holds, as a grammar: clauses in any order around one name, put into the one
 * writing that the grammar of counts reads. "Alcohol pads - 50 pads per box - 5 boxes", "5 boxes of wipes, 10 wipes each".
 *
 *   line   = clause … name clause …, between them a comma, a dash, a colon, a bracket or a blank
 *   clause = packs | packs with what each holds | what each holds | all of them | a count
 */

const N = `(?:\\d{1,4}(?![.,]?\\d)|(?:${NUMBER_SAID})(?![\\p{L}]))`;
/** What is counted in a pack: "pcs", "tablets", "wipes". */
const UNIT = "(?:(?!(?:mm|cm|m|ml|l|mg|g|in|x)(?!\\p{L}))\\p{L}+)";
const PACK = `(?<pack>${PACKS})(?![\\p{L}])`;
const HOLDS = "(?:of|[x×à@/]|at|with|holds?|holding|contain(?:s|ing))";

const whole = (pattern: string) => quick(new RegExp(`^(?:${pattern})$`, "iu"));

/** What a clause says, by the names of its groups. */
interface Clause {
  readonly name: string;
  readonly example: string;
  readonly pattern: RegExp;
}
/** An ordered table; the first that takes a clause wins. */
export const PACK_CLAUSES: readonly Clause[] = [
  {
    name: "packs and what each holds",
    example: "3 boxes of 20 tablets",
    pattern: whole(
      `(?<packs>${N})\\s*(?:[x×]\\s*)?${PACK}\\.?\\s*(?:${HOLDS})\\s*(?<per>${N})(?:\\s*${UNIT})?`,
    ),
  },
  {
    name: "all of them",
    example: "60 tablets in all",
    pattern: whole(
      `(?<all>${N})(?:\\s+${UNIT})??\\s+(?:in\\s+(?:all|total)|altogether|all\\s+told|total|overall)|(?:total|altogether|in\\s+all|=)\\s*:?\\s*(?<allBehind>${N})(?:\\s+${UNIT})?`,
    ),
  },
  {
    name: "what each holds, by the pack",
    example: "20 tablets per box",
    pattern: whole(
      `(?<per>${N})(?:\\s+${UNIT})??\\s*(?:per|in\\s+(?:a|an|each|every|one)|to\\s+(?:a|the)|a|an|/)\\s*${PACK}`,
    ),
  },
  {
    name: "what each holds",
    example: "each with 20 tablets",
    pattern: whole(
      `(?:each|every\\s+one|all)\\s+(?:with|of|holds?|holding|contain(?:s|ing)|has)\\s+(?<per>${N})(?:\\s+${UNIT})?|(?<perBefore>${N})(?:\\s+${UNIT})??\\s+(?:each|in\\s+each|apiece|in\\s+every\\s+one|inside\\s+each)`,
    ),
  },
  {
    name: "one pack and what it holds",
    example: "1 box = 20 tablets",
    pattern: whole(
      `(?:(?:1|one|a|an|each|per)\\s+)?${PACK}\\s*(?:${HOLDS}|=|\\(|\\s)\\s*(?<per>${N})(?:\\s*${UNIT})?\\)?`,
    ),
  },
  {
    name: "packs",
    example: "three boxes",
    pattern: whole(`(?<packs>${N})\\s*(?:[x×]\\s*)?${PACK}`),
  },
  {
    name: "packs and their content as numbers",
    example: "3 x 20 tablets",
    pattern: whole(`(?<times>${N})\\s*[x×]\\s*(?<of>\\d{1,4})(?:\\s*(?<ofUnit>${UNIT}))?`),
  },
  {
    name: "a count",
    example: "x 3",
    pattern: whole(`(?:[x×]\\s*)?(?<count>${N})(?:\\s*(?:[x×]|off|nos?\\.?|pcs))?`),
  },
  {
    name: "so many of what is packed",
    example: "20 tablets",
    pattern: whole(`(?<items>${N})\\s+(?<unit>${UNIT})`),
  },
];

type Field =
  | "packs"
  | "per"
  | "all"
  | "count"
  | "pack"
  | "items"
  | "unit"
  | "times"
  | "of"
  | "ofUnit";
type Said = Partial<Record<Field, string>>;

/** What a clause says; null: it is none. */
function clauseOf(text: string): Said | null {
  for (const { pattern } of PACK_CLAUSES) {
    const found = pattern.exec(text.trim())?.groups as
      | Readonly<Record<string, string | undefined>>
      | undefined;
    if (!found) continue;
    const { allBehind, perBefore, ...said } = found;
    const all = said["all"] ?? allBehind;
    const per = said["per"] ?? perBefore;
    const told = { ...said, all, per };
    return Object.fromEntries(Object.entries(told).filter(([, v]) => v !== undefined));
  }
  return null;
}

/** Between clauses. */
const BETWEEN = /\s*[()]\s*(?:[-–—:,]\s+)?|\s*[,;:]\s+|\s+[-–—]\s+|\.\s*$|\.\s+(?=\d)/;
/** A line of more is prose. */
const MOST_CHUNKS = 6;
/** A size alone is part of the name. */
const SIZE = /^\d[\d.,]*(?:\s?(?:mm|cm|m|in|yd|ft|ml|g|mg|["″x×]|\d[\d.,]*))*$/i;
/** "ten by ten centimetres", "five by seven point five". */
const SIDE_SAID = `(?:\\d[\\d.,]*|${NUMBER_SAID})(?:\\s+(?:and\\s+a\\s+(?:half|quarter)|point\\s+\\p{L}+))?(?:\\s*(?:cm|mm|in|cent\\p{L}+|mill\\p{L}+|inch(?:es)?))?`;
const SIDES_SAID = whole(`${SIDE_SAID}\\s+by\\s+${SIDE_SAID}`);
const isSize = (text: string): boolean => SIZE.test(text) || SIDES_SAID.test(text.trim());

/** Says what is left of them, or tells of more than one thing; such a line is more than its clauses. */
const SAYS_MORE =
  /\b(?:left|used|missing|gone|open(?:ed)?|unopened|sealed|started|begun|plus|and|about|approx|half|third|quarter|remain\w*|short|only|but|except|loose|part(?:ly)?|full|out|has|have|are|is|was|were|or|should|min|max|from|in\s+(?:it|there)|inside)\b|[+&~]|\s\/\s/i;

interface Line {
  readonly name: readonly string[];
  readonly said: Said;
}

/** Puts two sayings together; null: they say the same thing twice. */
function together(one: Said, other: Said): Said | null {
  for (const key of Object.keys(other) as Field[])
    if (one[key] !== undefined && key !== "pack") return null;
  // The word beside the number of packs: "5 boxes" of "50 per box".
  return other.packs === undefined ? { ...other, ...one } : { ...one, ...other };
}

/** A chunk with a name in it: clauses before and behind that name are taken off. */
function nameIn(chunk: string): { name: string; said: readonly Said[] } {
  let name = chunk;
  const said: Said[] = [];
  const before = BEFORE_NAME.exec(name);
  const clause = before && clauseOf(before[1]!.replace(/\s+of\s*$/i, ""));
  if (clause && !clause.unit) {
    said.push(clause);
    name = before[2]!;
  }
  for (const { index } of name.matchAll(
    // "4 x 4 PK/12": within a size no pack begins.
    /(?<=\p{L}\.?|\d\s?(?:mm|cm|m|ml|mg|g))(?<!\d\s?[x×])\s+(?=[\p{L}\dx×/])/gu,
  )) {
    const behind = name.slice(index).trim();
    const told = /\d/.test(behind) ? clauseOf(behind) : null;
    if (!told || told.unit !== undefined || isCountAlone(told)) continue;
    return { name: name.slice(0, index), said: [...said, told] };
  }
  return { name, said };
}
const isCountAlone = (said: Said): boolean =>
  Object.keys(said).length === 1 && said.count !== undefined;
/** "3 boxes of ", "3 x box of 20 ", "3 x ": before a name. */
const BEFORE_NAME = quick(
  new RegExp(
    `^(${N}\\s*(?:[x×]\\s*)?(?:(?:${PACKS})(?![\\p{L}])\\.?\\s*(?:(?:of|[x×])\\s*(?:${N}\\s+)?)?|[x×]\\s+)|${N}\\s+(?![x×]\\s*\\d))(\\p{L}.*)$`,
    "iu",
  ),
);

function lineOf(text: string): Line | null {
  const chunks = text.split(BETWEEN).filter((c) => c.trim() !== "");
  if (chunks.length > MOST_CHUNKS) return null;
  const name: string[] = [];
  let said: Said | null = {};
  for (const chunk of chunks) {
    const clause = /\d|^(?:one|two|three|four|five|six|seven|eight|nine|ten|each)\b/i.test(chunk)
      ? clauseOf(chunk)
      : null;
    if (clause && !(clause.unit && name.length === 0)) said = said && together(said, clause);
    else if (isSize(chunk)) name.push(chunk);
    else {
      const within = nameIn(chunk);
      name.push(within.name);
      for (const s of within.said) said = said && together(said, s);
    }
  }
  return said && { name, said };
}

/** What is packed, by a word for any thing. */
const ANY_UNIT =
  /^(?:pcs?|pieces?|tabs?|tablets?|caps?|capsules?|sachets?|pods?|strips?|wipes?|pads?|swabs?|plasters?|gloves?|pins?|dressings?|bandages?|rolls?|pairs?|prs?|units?|items?|ampoules?|singles?)$/i;
/** A unit is such a word, or one of the name. */
const isUnitOf = (unit: string, name: string): boolean =>
  ANY_UNIT.test(unit) || name.toLowerCase().includes(unit.toLowerCase());

interface Packs {
  readonly packs: number;
  readonly per: number;
}
const numberIn = (said: Said, key: Field): number | null =>
  said[key] === undefined ? null : valueOf(said[key]);

/** "3 x 20 tablets", or "60 …, 3 x 20"; null: it may be a size. */
function timesOf(said: Said): Packs | null {
  const [packs, per] = [numberIn(said, "times")!, numberIn(said, "of")!];
  const all = numberIn(said, "count") ?? numberIn(said, "all");
  if (all === null) return said.ofUnit === undefined ? null : { packs, per };
  return all === packs * per ? { packs, per } : null;
}

/** How many packs, and how many are in each; null: the line does not say both, or not the same twice. */
function packsOf(said: Said, name: string): Packs | null {
  const units = [said.unit, said.ofUnit].filter((unit) => unit !== undefined);
  if (!units.every((unit) => isUnitOf(unit, name))) return null;
  const items = said.packs === undefined ? null : numberIn(said, "items");
  const per = numberIn(said, "per") ?? items;
  if (said.times !== undefined)
    return said.packs === undefined && per === null ? timesOf(said) : null;
  const packs = numberIn(said, "packs") ?? numberIn(said, "count");
  const all = numberIn(said, "all");
  if (packs === null) return null;
  if (all === null) return per === null ? null : { packs, per };
  return Number.isInteger(all / packs) && (per ?? all / packs) === all / packs
    ? { packs, per: all / packs }
    : null;
}

/** Longer lines are prose. */
const LONGEST = 120;
const SAYS_TWO = /\d.*\D\d|\b(?:one|two|three|four|five|six)\b.*\d/i;

/**
 * A line that says both how many packs of one thing there are and what each holds, as "…, 3 boxes of 20"; itself otherwise.
 * @param names whether a text surely names one thing
 */
export function packsSaid(text: string, names: (text: string) => boolean): string {
  if (text.length > LONGEST || !SAYS_TWO.test(text) || SAYS_MORE.test(text)) return text;
  const line = lineOf(text.trim());
  if (!line || line.name.filter(names).length !== 1) return text;
  const name = line.name.join(", ").trim();
  const packs = packsOf(line.said, name);
  // One pack is written plainly as it is.
  if (!packs || packs.packs === 1) return text;
  const inPairs = IN_PAIRS.test(text) ? " pairs" : "";
  return `${name} - ${packs.packs} ${line.said.pack ?? "packs"} of ${packs.per}${inPairs}`;
}
const IN_PAIRS = /\d\s*(?:pairs?|prs?)\b/i;
