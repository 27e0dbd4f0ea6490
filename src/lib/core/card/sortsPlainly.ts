import { NUMBER_SAID } from "./numberWords.ts";
import { PACKS, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/** Sorts and sizes of one thing on a line, each with its count, said as the grammars of sorts read them. */

/** "bandages, there's two triangular and one elastic": its sorts, as behind a colon. */
const THERE_ARE = quick(
  new RegExp(
    `^(\\W*\\p{L}{3,}(?:\\s\\p{L}{3,})?),?\\s+there(?:['’]?s|\\s+(?:is|are))\\s+(?=(?:${NUMBER_SAID}|\\d{1,3})\\s.*\\band\\s+(?:${NUMBER_SAID}|\\d{1,3})\\s)`,
    "iu",
  ),
);
export const sortsBehind = (line: string): string =>
  line.includes("there") ? line.replace(THERE_ARE, "$1: ") : line;

/** "narrow 2 cards of 5; wide 1 card of 3": sorts by the packs they come in, two or more, are sorts by their pieces. */
const SORT_IN_PACKS = quick(
  new RegExp(
    `\\b(narrow|wide|small|medium|large|long|short|thin|thick|adult|child)\\s+(${NUMBER_SAID}|\\d{1,2})\\s+${PACKS}\\s+of\\s+(\\d{1,3})\\b`,
    "giu",
  ),
);
export const sortsInPieces = (line: string): string =>
  /\sof\s/i.test(line) && (line.match(SORT_IN_PACKS)?.length ?? 0) > 1
    ? line.replace(
        SORT_IN_PACKS,
        (_, sort: string, packs: string, each: string) =>
          `${sort} (${valueOf(packs) * Number(each)})`,
      )
    : line;

/** "6 cm 2, 8 cm missing", "M 4, no S": a sort of which there is none, beside one that is counted. */
const SORT = `(?:x{0,2}[sml]|small|medium|large|\\d+(?:[.,]\\d+)?\\s?(?:mm|cm|in|["”″]))`;
const SORT_MISSING = quick(
  new RegExp(
    `(?<=\\d.{0,60})[,;]\\s*(?:${SORT}\\s*[:=–-]?\\s*(?:missing|gone|none|nil)|no\\s+${SORT})(?=\\s*(?:$|[,;|])|\\s{3})`,
    "giu",
  ),
);
export const withoutMissingSorts = (line: string): string =>
  /\b(?:missing|gone|none|nil|no)\b/i.test(line) ? line.replace(SORT_MISSING, "") : line;

/** "vendas 5 cm 3, de 10 cm 2": a further size of the same. */
const OF_A_SIZE =
  /(?<=\d\s?(?:mm|cm|in|["”″])\s.{0,40}(?:[,;]|\s(?:y|e|et|and|und))\s*)(?:de|di|da|of|in|von|van)\s+(?=\d+(?:[.,]\d+)?\s?(?:mm|cm|in|["”″])\s)/gi;
export const sizesAlone = (line: string): string =>
  /[,;\s]\s?(?:de|di|da|of|in|von|van)\s\d/i.test(line) ? line.replace(OF_A_SIZE, "") : line;

/** "Splint    S  1 / L  2": no columns of letters, but sizes in one cell. */
const LETTER_SIZES =
  /(?<=\s{2}|\t)(?:(?:S|M|X{0,2}L|XS)\s{1,3}\d{1,3}\s*\/\s*)+(?:S|M|X{0,2}L|XS)\s{1,3}\d{1,3}(?=\s*$|\s{2}|\t)/g;
export const lettersInCell = (line: string): string =>
  /[SML]\s{2,3}\d/.test(line)
    ? line.replace(LETTER_SIZES, (sizes) => sizes.replace(/\s{2,}/g, " "))
    : line;

/** "Dressing packs: K 2, M 3, G 1": small, medium and large as its makers write them. */
const PACKET = /\bdressing\s+pack(?:et)?s?\b|verbandp[aä]/i;
const KLEIN_GROSS = /(?<=[:,;\s])([KG])(?=\s*[:=x×]?\s*\d{1,3}\b)/g;
export const packetLetters = (line: string): string =>
  PACKET.test(line) ? line.replace(KLEIN_GROSS, (letter) => (letter === "K" ? "S" : "L")) : line;

/** "M, pairs      4", set in below "Gloves". */
const LETTER_IN_PAIRS =
  /^(\s*(?:[-*•]\s+)?)((?:XS|S|M|X{0,2}L|small|medium|large))\s*[,(]?\s*(?:pairs?|prs?)\)?(\s*[:.–-]\s*|\s{2,}|\t)(\d{1,3})\s*$/i;
export const letterInPairs = (line: string): string =>
  /p(?:ai)?r/i.test(line) ? line.replace(LETTER_IN_PAIRS, "$1$2$3$4 pairs") : line;

/** "crepe 5 x2, 7.5 x1": widths of rolls without their unit; no roll is so short, and none is made 6 in and 8 in wide alone. */
const ROLL_WIDTH = "(?:1[.,]25|2[.,]5|7[.,]5|[5-8]|10|12|15)";
const WIDTH_TIMES = `${ROLL_WIDTH}\\s?(?:[x×]\\d{1,2}|[x×]\\s?[12])(?![\\d.,]*\\d)`;
const WIDTHS_LISTED = quick(
  new RegExp(
    `^(\\W*\\p{L}[^\\d,;:]*\\b(?:bandages?|b(?:an?)?n?dgs?|crepes?|conf(?:orm\\w*)?|elastic|tapes?|wraps?)[:,]?\\s+)(${WIDTH_TIMES}(?:\\s*(?:[,;&+/]|and)\\s*${WIDTH_TIMES})+)\\s*$`,
    "iu",
  ),
);
const WIDTH_ALONE = new RegExp(`(?<![\\d.,x×])${ROLL_WIDTH}(?=\\s?[x×])`, "g");
export const widthsWithUnit = (line: string): string =>
  /\d\s?[x×]\s?\d.*\d\s?[x×]\s?\d/.test(line)
    ? line.replace(
        WIDTHS_LISTED,
        (_, name: string, widths: string) => name + widths.replace(WIDTH_ALONE, "$& cm"),
      )
    : line;

/** "2 medium, 3 large (1 med used 8/11)": of which sort some went; what is opened is there. */
const SORT_WENT = quick(
  /^(.*\d.*?)\s*\((\d{1,2}|one|two|three)\s+(s|m|l|sml|small|med|medium|lge?|large|adult|child)\s+(?:was\s+|were\s+)?(?:used|gone|missing|lost|binned|thrown\s+(?:away|out)|(opened|expired|torn|damaged))[^()]*\)\s*$/iu,
);
const SORT_OF_LETTER: Readonly<Record<string, string>> = {
  s: "s(?:mall|ml)?",
  m: "m(?:ed(?:ium)?)?",
  l: "l(?:arge|ge?)?",
  a: "adult",
  c: "child",
};
export function withoutSortGone(line: string): string {
  const [, list, went, sort, isThere] = (line.includes("(") && SORT_WENT.exec(line)) || [];
  if (sort === undefined) return line;
  const letter = sort[0]!.toLowerCase();
  const word = SORT_OF_LETTER[letter]!;
  const counted = new RegExp(
    `(?<![\\d.,])(?:(?<!\\p{L}\\s*[x×]?\\s?)\\d{1,3}(?=\\s+${word}\\b)|(?<=\\b${word}\\s*[x×]?\\s?)\\d{1,3})`,
    "iu",
  );
  const had = Number(counted.exec(list!)?.[0] ?? 0);
  const left = isThere === undefined ? had - valueOf(went!) : had;
  if (left > 0) return list!.replace(counted, String(left));
  const whole = new RegExp(
    `(?:\\d{1,3}\\s+${word}\\b|\\b${word}\\s*[x×]?\\s?\\d{1,3})\\s*(?:[,;+&]|and\\b)?\\s*`,
    "iu",
  );
  const others = list!.replace(whole, "").replace(/\s*[,;+&]\s*$/, "");
  return left === 0 && /\d/.test(others) ? others : line;
}

/** "5 cm qty 2, 10 cm qty 3": so many of each size. */
const SIZE_THEN_QTY =
  /(?<=\d\s?(?:mm|cm|in|["”″])?)[\s,]+qty\.?:?\s*(\d{1,3})(?=\s*(?:[,;+&]|and\b|$))/gi;
export const sizesWithCounts = (line: string): string =>
  (line.match(SIZE_THEN_QTY)?.length ?? 0) > 1 ? line.replace(SIZE_THEN_QTY, " ($1)") : line;
