import { countedSorts, type Knows } from "./countedSorts.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * One name with several variants: a line each, the name repeated. Those with a count each are told by a grammar
 * (`countedSorts`); here are those that are told together: "two of each".
 * An ordered table; the first pattern that takes the whole line wins.
 */
interface VariantPattern {
  readonly name: string;
  readonly example: readonly [written: string, lines: readonly string[]];
  readonly split: (text: string) => string[] | null;
}

/** What a pattern found, by the names of its groups. */
type Groups = Readonly<
  Partial<
    Record<"name" | "sizes" | "list" | "count" | "counts" | "total" | "last" | "letters", string>
  >
>;
const groupsOf = (pattern: RegExp, text: string): Groups | undefined =>
  pattern.exec(text.trim())?.groups;

const N = NUMBER_WORDS;
const UNIT = `(?:mm|cm|m|in(?:ch(?:es)?)?|ft|yd|"|″|-inch)`;
const HAS_UNIT = quick(new RegExp(UNIT, "iu"));
const NUMBER = "\\d+(?:[.,]\\d+)?";
const WIDTH = quick(new RegExp(`^${NUMBER}\\s*${UNIT}?$`, "iu"));
const MEASURE = quick(
  new RegExp(`^${NUMBER}\\s*${UNIT}?(?:\\s*[x×]\\s*${NUMBER}\\s*${UNIT}?)?$`, "iu"),
);
/** Between sizes, where a comma alone may be a decimal one. */
const BETWEEN_SIZES = /\s*(?:,\s|[;+&/]|\band\b)\s*/i;
/** One is no list. */
const FEWEST = 2;

/** Sizes of which the last has its unit, each with that or its own; null: they are none. */
function sizesIn(list: string, size: RegExp): string[] | null {
  const sizes = list.trim().split(BETWEEN_SIZES);
  const unit = HAS_UNIT.exec(sizes.at(-1)!)?.[0];
  if (unit === undefined || sizes.length < FEWEST || !sizes.every((s) => size.test(s))) return null;
  return sizes.map((s) => (HAS_UNIT.test(s) ? s : `${s} ${unit}`));
}

const SIZES_EACH = quick(
  new RegExp(
    `^(?<name>\\p{L}[^\\d(:]*?)\\s*[:,–-]?\\s+(?<sizes>\\d[^(]*?${UNIT})\\s*(?:[,–-]\\s*|\\()?(?<count>${N})\\s+(?:of\\s+)?each\\)?$`,
    "iu",
  ),
);
const SIZES_THEN_COUNTS = quick(
  new RegExp(
    `^(?<name>\\p{L}[^\\d(:]*?)\\s*[:,–-]?\\s+(?<sizes>\\d[^(]*?${UNIT})\\s*(?:[,:–-]\\s*|\\s)(?<counts>\\d{1,2}(?:\\s*\\/\\s*\\d{1,2})+)$`,
    "iu",
  ),
);
const EACH_OF_MEASURES = quick(
  new RegExp(
    `^(?:(?<total>${N})\\s+)?(?<name>\\p{L}[^\\d(),;:]*?)\\s*(?:[(:,]|\\s[-–—])\\s*(?<count>${N})\\s+(?:of\\s+)?each(?:\\s+(?:of|in|size)|:)?\\s+(?<sizes>\\d[^()]*)\\)?$`,
    "iu",
  ),
);
const SIZE_WORD = "(?:extra[ -])?(?:small|medium|large|big|little)|[SML]|X+L";
const EACH_OF_WORDS = quick(
  new RegExp(
    `^(?<count>${N})\\s+(?:of\\s+)?each(?:\\s+of)?:?\\s+(?<sizes>(?:(?:${SIZE_WORD})\\s*(?:,|and|&|\\/)\\s*)+)(?<last>(?:${SIZE_WORD})\\s+)(?<name>.*)$`,
    "iu",
  ),
);
const EACH_OF_LETTERS = quick(
  /^(?<name>\p{L}[^\d(),;/]*?)\s+\(?(?<letters>(?:X*[SL]|M)(?:\s*[/,&+]\s*(?:X*[SL]|M))+)\)?\s*[-–:,]?\s*(?<count>\d{1,3}\s*(?:pairs?|prs?|boxes|pcs)?)\s*(?:each|ea\.?)$/iu,
);
const ONE_OF_EACH = quick(
  new RegExp(
    `^(?<total>${N})\\s+(?<name>\\p{L}[^\\d(),;:]*?)\\s*(?:[(:,]|\\s[-–—]\\s)\\s*(?<sizes>\\d[^()]*)\\)?$`,
    "iu",
  ),
);
/** What one thing comes in; two of them on a line are two things. */
const FORMS = quick(
  new RegExp(
    `^(?<name>\\p{L}[^:\\d,;()]*?)\\s*(?::|,|\\s[-–—])\\s+(?<list>(?:${N})\\s+\\p{L}+(?:\\s*(?:[,;+&]|\\band\\b)\\s*(?:${N})\\s+\\p{L}+)+)$`,
    "iu",
  ),
);
const COUNT_THEN_FORM = quick(
  new RegExp(`^(?:${N})\\s+(?:tubes?|sachets?|bottles?|pods?|ampoules?|jars?|sprays?)$`, "iu"),
);
const TUBULAR = quick(
  /^(?<name>tubular\s+(?:bandages?|support|gauze)?)\s*[:,]?\s*(?:sizes?\s+)?(?<list>[A-K]\s*[-–:=x×]\s*\d.*)$/iu,
);
const TUBULAR_LETTER = quick(
  /^(?<letters>[A-K])\s*[-–:=x×]\s*(?<count>\d{1,2}(?:\s*(?:rolls?|m|metres?|pcs))?)$/iu,
);

export const VARIANTS: readonly VariantPattern[] = [
  {
    name: "so many in each form",
    example: ["burn gel, 2 tubes + 5 sachets", ["burn gel, 2 tubes", "burn gel, 5 sachets"]],
    split: (text) => {
      const found = groupsOf(FORMS, text);
      const forms = found?.list!.split(/\s*(?:[,;+&]|\band\b)\s*/i);
      return forms?.every((form) => COUNT_THEN_FORM.test(form))
        ? forms.map((form) => `${found!.name!}, ${form}`)
        : null;
    },
  },
  {
    name: "so many each of several letters",
    example: ["gloves M/L 6 pr each", ["6 pr gloves M", "6 pr gloves L"]],
    split: (text) => {
      const found = groupsOf(EACH_OF_LETTERS, text);
      const letters = found?.letters!.split(/\s*[/,&+]\s*/);
      return letters?.map((letter) => `${found!.count!} ${found!.name!} ${letter}`) ?? null;
    },
  },
  {
    name: "as many sizes as there are things: one of each",
    example: [
      "2 conforming bandages (5 cm & 7.5 cm)",
      ["1 conforming bandages 5 cm", "1 conforming bandages 7.5 cm"],
    ],
    split: (text) => {
      const found = groupsOf(ONE_OF_EACH, text);
      const sizes = found && sizesIn(found.sizes!, WIDTH);
      return sizes?.length === valueOf(found?.total ?? "")
        ? sizes.map((size) => `1 ${found!.name!} ${size}`)
        : null;
    },
  },
  {
    name: "tubular bandages by the letter of their width",
    example: [
      "tubular bandage E - 1 roll, F - 2 rolls",
      ["1 roll tubular bandage E", "2 rolls tubular bandage F"],
    ],
    split: (text) => {
      const found = groupsOf(TUBULAR, text);
      const parts = found
        ?.list!.split(/\s*(?:[,;+&]|\band\b)\s*/i)
        .map((part) => groupsOf(TUBULAR_LETTER, part));
      return parts && parts.length >= FEWEST && parts.every((p) => p !== undefined)
        ? parts.map((p) => `${p.count!} ${found!.name!} ${p.letters!}`)
        : null;
    },
  },
  {
    name: "so many each of several measures, behind the name",
    example: [
      "4 gauze pads (2 each of 5 x 5 and 10 x 10 cm)",
      ["2 gauze pads 5 x 5 cm", "2 gauze pads 10 x 10 cm"],
    ],
    split: (text) => {
      const found = groupsOf(EACH_OF_MEASURES, text);
      const sizes = found && sizesIn(found.sizes!, MEASURE);
      if (!sizes) return null;
      const { total, count, name } = found;
      if (total !== undefined && valueOf(total) !== sizes.length * valueOf(count!)) return null;
      return sizes.map((size) => `${count!} ${name!} ${size}`);
    },
  },
  {
    name: "so many each of several sizes",
    example: [
      "1 each of small, medium and large wound dressings",
      ["1 small wound dressings", "1 medium wound dressings", "1 large wound dressings"],
    ],
    split: (text) => {
      const found = groupsOf(EACH_OF_WORDS, text);
      if (!found) return null;
      const sizes = found.sizes!.split(/\s*(?:,|\band\b|&|\/)\s*/i).filter(Boolean);
      return [...sizes, found.last!.trim()].map(
        (size) => `${found.count!} ${size} ${found.name!.replace(/,\s*$/, "")}`,
      );
    },
  },
  {
    name: "as many of each of several widths",
    example: [
      "gauze roll 7.5 and 10 cm, two of each",
      ["gauze roll 7.5 cm x 2 pcs", "gauze roll 10 cm x 2 pcs"],
    ],
    split: (text) => {
      const found = groupsOf(SIZES_EACH, text);
      const sizes = found && sizesIn(found.sizes!, WIDTH);
      return (
        sizes?.map((size) => `${found!.name!} ${size} x ${valueOf(found!.count!)} pcs`) ?? null
      );
    },
  },
  {
    name: "widths and counts, strokes between them",
    example: [
      "gauze roll 7.5cm/10cm - 2/1",
      ["gauze roll 7.5cm x 2 pcs", "gauze roll 10cm x 1 pcs"],
    ],
    split: (text) => {
      const found = groupsOf(SIZES_THEN_COUNTS, text);
      const sizes = found && sizesIn(found.sizes!, WIDTH);
      const counts = found?.counts!.split(/\s*\/\s*/);
      return sizes && sizes.length === counts!.length
        ? sizes.map((size, i) => `${found.name!} ${size} x ${counts![i]!} pcs`)
        : null;
    },
  },
];

/** Longer lines are prose. */
const LONGEST = 300;
/** What parts the variants, or leads to them: each pattern has one of these. */
const MAY_VARY = /[,;:+&/–—-]|\b(?:and|one|two|three|four|five|six)\b|\d\D+\s\d/i;

/** The lines that a line with variants stands for; itself where it has none. */
export function eachVariant(text: string, of: Knows): string[] {
  if (text.length > LONGEST || !MAY_VARY.test(text)) return [text];
  const sorts = countedSorts(text, of);
  if (sorts) return sorts;
  for (const { split } of VARIANTS) {
    const lines = split(text);
    if (lines) return lines;
  }
  return [text];
}

const COUNT_NAME_KINDS = quick(
  /(?<=[,;:]\s+)\S+\s+\p{L}[^(),;:\d]*?\s*\([^()]*\)(?=\s*(?:[,;.]|$))/giu,
);
/** "4 slings, 2 x 5 cm and 1 x 7.5 cm crepe bandages, plasters (14), 2 bandages (1 crepe, 1 cohesive)": amid other things too. */
export function sortsApart(text: string, of: Knows): string {
  const apart = (part: string) => countedSorts(part, of)?.join(", ") ?? part;
  const parts = text.split(", ");
  const said = parts.length < FEWEST ? text : parts.map(apart).join(", ");
  return said.includes("(") ? said.replace(COUNT_NAME_KINDS, apart) : said;
}
