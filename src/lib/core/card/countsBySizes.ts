import { quick } from "./quick.ts";

/** A count that stands beside a size with the sign that sizes have: "crepe bandage 7.5 cm x 37", "35 x 7.5 cm x 4 m conforming bandages". */

const UNIT = "mm|cm|m|in|yd|ft";
/** "eye pads x 17", on so many lines: that is how the card counts. */
const COUNTED_LAST = quick(
  /\p{L}{2}\)?\s*(?:[x×*]\s?\d{1,4}|, \d{1,4} pcs)(?=\s*(?:$|\(|[-–]\s|\/\/))/u,
);
const FEWEST_COUNTED = 3;
/** A size with its unit, and a number without. */
const SIZE_THEN_COUNT = new RegExp(
  `(\\d(?:[.,]\\d+)?\\s?(?:${UNIT}|["”″]))\\s?[x×*]\\s?(\\d{1,4})(?=\\s*(?:$|\\(|[-–]\\s|\\/\\/))`,
  "i",
);
/** "bandage 7.5 cm x 3" where "x 3" is known to count. */
export const countBesideSize = (text: string): string =>
  text.replace(SIZE_THEN_COUNT, "$1, $2 pcs");
/** "7.5 cm x 37" among lines that end in "x 17" counts 37. */
const countsLast = (lines: readonly string[]): string[] =>
  lines.filter((line) => COUNTED_LAST.test(line)).length < FEWEST_COUNTED
    ? [...lines]
    : lines.map((line) =>
        // "7.5 cm x 2, 10 cm x 1": sizes with a count each are the sorts of one thing; several things are parted first.
        /[,;/&+]\s*\d|[x×]\s?\d{1,4}\s*[,;/&+·]/.test(line) ? line : countBesideSize(line),
      );

const NUMBER = "\\d+(?:[.,]\\d+)?";
/** A number without a unit before two with one of their own. */
const COUNT_THEN_SIZES = quick(
  new RegExp(
    `^(\\W*)(\\d{1,3})\\s?[x×]\\s?(${NUMBER}\\s?(?:${UNIT}|["”″])\\s?[x×]\\s?${NUMBER}\\s?(?:${UNIT}|["”″]))\\s+(\\p{L}{3}.*)$`,
    "iu",
  ),
);
/** "20 x 10 x 10 cm burn dressings": three numbers and one unit. */
const THREE_NUMBERS = quick(
  new RegExp(
    `^(\\W*)(\\d{1,3})\\s?[x×]\\s?(${NUMBER})\\s?[x×]\\s?(${NUMBER})\\s?(mm|cm|in|["”″])\\s+(\\p{L}{3}.*)$`,
    "iu",
  ),
);
/** What has three sizes itself. */
const HAS_DEPTH = /\b(?:bag|box|case|pouch|kit|tin|cabinet|pack|splint|triang\w*|sling)\b/i;
const sizeBehind = (line: string): string => {
  const two = COUNT_THEN_SIZES.exec(line);
  if (two) return `${two[1]!}${two[2]!} x ${two[4]!} ${two[3]!}`;
  const [, mark, count, a, b, unit, name] = THREE_NUMBERS.exec(line) ?? [];
  if (name === undefined || HAS_DEPTH.test(name)) return line;
  const [first, second] = [a!, b!].map((n) => Number(n.replace(",", ".")));
  // Squares, or fewer than either side measures.
  return first === second || Number(count) < Math.min(first!, second!)
    ? `${mark!}${count!} x ${name} ${a!} x ${b!} ${unit!}`
    : line;
};

/** "4 x whistles", on so many lines and most of those that begin with a number. */
const COUNTED_FIRST = quick(
  /^(?:\W*\d{1,2}\s*[-.):]\s+)?\W*\d{1,3}\s?[x×]\s+(?:\d+(?:[.,]\d+)?\s?[x×]\s?\d\S*\s?\S*\s+)?\p{L}{3}/u,
);
/** "45 x 5 cm cohesive bandages": else it is a size. */
const COUNT_THEN_SIZE = quick(
  new RegExp(
    `^((?:\\W*\\d{1,2}\\s*[-.):]\\s+)?\\W*)(\\d{1,3})\\s?[x×]\\s?(${NUMBER}\\s?(?:${UNIT}|["”″]))\\s+(\\p{L}{3}.*)$`,
    "iu",
  ),
);
const countsFirst = (lines: readonly string[]): string[] => {
  const found = lines.filter((line) => COUNTED_FIRST.test(line)).length;
  const others = lines.filter((line) => COUNT_THEN_SIZE.test(line)).length;
  return found < FEWEST_COUNTED || found < 2 * others
    ? [...lines]
    : lines.map((line) => line.replace(COUNT_THEN_SIZE, "$1$2 x $4 $3"));
};

/** The lines with such counts told apart from their sizes; as many lines as before. */
export const countsBySizes = (lines: readonly string[]): string[] =>
  countsFirst(countsLast(lines.map((line) => (/\d\s?[x×]/.test(line) ? sizeBehind(line) : line))));
