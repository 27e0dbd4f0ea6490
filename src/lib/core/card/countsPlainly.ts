import { NUMBER_SAID, VALUE_OF } from "./numberWords.ts";
import { PACKS, valueOf } from "./phrase.ts";
import {
  looseBehind,
  packsOfEach,
  packsOfPieces,
  packsThenOf,
  pairsEach,
  partOfPackAbroad,
  withoutPacking,
} from "./packsPlainly.ts";
import {
  letterInPairs,
  lettersInCell,
  packetLetters,
  sizesAlone,
  sizesWithCounts,
  sortsBehind,
  sortsInPieces,
  widthsWithUnit,
  withoutMissingSorts,
  withoutSortGone,
} from "./sortsPlainly.ts";

/** A count as it stands on a line, put plainly before the line is taken apart: what is done to a thing by itself is in the phrases. */

/** "eye pads  20 ✓", "wipes 4 ok": what was counted was looked at. */
const LOOKED_AT = /^([^✓✔✗✘]*\d\)?)\s+(?:[✓✔]|ok(?:ay)?[.!]?)\s*$/i;
/** Most lines do not end so. */
const ENDS_LOOKED_AT = /[✓✔ky.!]\s*$/i;
const withoutLookedAt = (line: string): string =>
  ENDS_LOOKED_AT.test(line) ? line.replace(LOOKED_AT, "$1") : line;

/** "plasters, 2 strips of 8 nos": pieces. */
const NOS_LAST = /(?<=\d)\s*nos\.?\s*$/i;
const nosAsPieces = (line: string): string => line.replace(NOS_LAST, " pcs");

/** "eye pads x two", "qty four". */
const SAID_LAST = new RegExp(
  `(\\b(?:qty|quantity)\\b[\\s:.]{0,3}|\\s[x×]\\s?)(${Object.keys(VALUE_OF).join("|")})(?= *$)`,
  "i",
);
const saidAsFigures = (line: string): string =>
  line.replace(
    SAID_LAST,
    (_, sign: string, word: string) => `${sign}${VALUE_OF[word.toLowerCase()]!}`,
  );

/** "blankets x 3, one each for the boats": of them all there are three. */
const ONE_EACH_FOR =
  /(?<=\d\)?)\s*(?:[,–-]\s*|\s)one\s+(?:each\s+(?:for|in|on|at|per)|(?:for|in|on|per)\s+each)\s+[^\d,;]{2,40}$/i;
const withoutWhose = (line: string): string =>
  line.includes("each") ? line.replace(ONE_EACH_FOR, "") : line;

/** "1 roll (there used to be 3)": how many there were. */
const WERE =
  /\s*[(,]\s*(?:there\s+)?(?:used\s+to\s+be|were|was|had\s+been)\s+\d{1,4}\)?(?=\s*(?:[,;.]|$))/gi;
const SAYS_WERE = /\b(?:used|were|was|had)\s/i;
const withoutWere = (line: string): string =>
  SAYS_WERE.test(line) ? line.replace(WERE, "") : line;

/** "6 (one each)": of them all there are six. */
const onesEach = (line: string): string =>
  line.includes("(")
    ? line.replace(
        /(?<=(?<![,&+]\s*)(?<!\d)\d{1,3}\s?)\((?:one|1)\s+(?:each|per\s+\p{L}+|for\s+each[^()]{0,20})\)/giu,
        "",
      )
    : line;

/** "two & a half", "two hundred & fifty": a number in words. */
const ampersandsInNumbers = (line: string): string =>
  line.includes("&")
    ? line.replace(
        /(?<=\p{L} ?)& ?(?=(?:a\s+(?:half|quarter|third)|three\s+quarters)\b)|(?<=\bhundred )& ?(?=\p{L})/giu,
        "and ",
      )
    : line;

/** "two (2) slings", "1 (one) pouch": the same number twice, as contracts have it. */
const SAID_TWICE = new RegExp(
  `\\b(${NUMBER_SAID})\\s*\\((\\d{1,3})\\)|\\b(\\d{1,3})\\s*\\((${NUMBER_SAID})\\)`,
  "gi",
);
const saidOnce = (line: string): string =>
  line.includes("(")
    ? line.replace(
        SAID_TWICE,
        (all, word?: string, figures?: string, first?: string, second?: string) =>
          valueOf((word ?? second)!) === Number(figures ?? first) ? (figures ?? first)! : all,
      )
    : line;

/** "face shields [6] (order more)": few, but there. */
const MORE_WANTED =
  /\s*\((?=re|order|get|buy|need|running|low|top|few)(?<=\d.*)(?:(?:re-?)?order(?:\s+more|\s+soon)?|(?:get|buy|need)\s+more|(?:running\s+)?low|low\s+stock|top(?:ping)?\s+up|few)!?\)/i;
const withoutMore = (line: string): string =>
  line.includes("(") ? line.replace(MORE_WANTED, "") : line;

/** "thirty-five": one number, no two with a dash between. */
const HYPHENED =
  /\b(twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)-(?=(?:one|two|three|four|five|six|seven|eight|nine)\b)/gi;
/** "one hundred each" */
const HUNDREDS = /\b(one|two|three|four|five)\s+hundred\b(?=\s+(?:each|pieces|pcs|per)\b|\s*\))/gi;
/** "two boxes (100 each)" */
const PACKS_OF_EACH = new RegExp(
  `\\b(${Object.keys(VALUE_OF).join("|")})(?=\\s+${PACKS}\\s*\\(\\d{1,4}\\s+each\\))`,
  "gi",
);
const numbersWhole = (line: string): string => {
  const said = line.includes("ty-") ? line.replace(HYPHENED, "$1 ") : line;
  const plain = /\bhundred\b/i.test(said)
    ? said.replace(HUNDREDS, (_, n: string) => String(100 * VALUE_OF[n.toLowerCase()]!))
    : said;
  return plain.includes("each)")
    ? plain.replace(PACKS_OF_EACH, (_, n: string) => String(VALUE_OF[n.toLowerCase()]!))
    : plain;
};

/** "tape 1/2" (2) / 1" (1)": a stroke within a number parts no sizes. */
const INCHES_IN_PARTS =
  /(?<![\d/.,])(?:(\d{1,2})[\s-])?([1-7])\/([248])(?=\s?(?:["”″]|in\b|inch))/g;
const inchesAsFigures = (line: string): string =>
  /\/\d\s?(?:["”″]|in\b|inch(?:es)?)\s*\(\d/.test(line)
    ? line.replace(INCHES_IN_PARTS, (_, whole: string | undefined, part: string, of: string) =>
        String(Number(whole ?? 0) + Number(part) / Number(of)),
      )
    : line;

/** "… and a sling ✓. Nothing is missing." */
const NOTHING_MISSING =
  /(?<=[.;!✓]\s*)(?:nothing|none)\s+(?:(?:is|was|are|were|has\s+gone)\s+)?(?:missing|lost|gone|short)\s*[.!]?\s*$/i;
const withoutNothing = (line: string): string =>
  /nothing|none/i.test(line) ? line.replace(NOTHING_MISSING, "") : line;

/** "antiseptic spray 100 ml empty": nothing of it is left; an empty box is one. */
const EMPTY_LAST =
  /(?<=\p{L}.*\d\s?(?:ml|cl|l|g)|[\p{L}\d] (?:bottle|tube|spray|can|tub|dispenser|jar)s?) (?:(?:is|are) )?(?=empty[\s.!]*$)/iu;
const emptyApart = (line: string): string =>
  /empty[\s.!]*$/i.test(line) ? line.replace(EMPTY_LAST, ", ") : line;

/** A line without what a pattern finds; columns behind it keep their places. */
const without = (line: string, pattern: RegExp): string =>
  line.replace(pattern, (found: string, ...groups) => {
    const at = groups.find((g) => typeof g === "number") as number;
    return /^\s{2}\S|^\s{3}/.test(line.slice(at + found.length)) ? " ".repeat(found.length) : "";
  });

/** "Rettungsdecke gold/silber", "manta térmica oro/plata": its two sides, and no two languages. */
const GOLD_AND_SILVER =
  /(?<=\p{L})\s+\(?(?:gold|oro|or|goud|doré?e?|dorad[oa])\s?[/-]\s?(?:silver|silber|argent[oé]?e?|plata|platead[oa]|zilver)\)?(?!\p{L})/iu;
const withoutSides = (line: string): string =>
  /[/-]\s?(?:s|arg|pla|zil)/i.test(line) ? without(line, GOLD_AND_SILVER) : line;

/** "AED (pads exp 3/28, battery ok)": what it is like, and no battery to spare. */
const AED_STATE =
  /\b((?:aed|defib(?:rillator)?)s?)\s*\((?=[^()]*\b(?:ok|exp(?:ir\w+)?|good|in\s+date|checked|fitted|full|new|flat|low)\b)[^()]*\)/i;
const withoutAedState = (line: string): string =>
  line.includes("(") ? line.replace(AED_STATE, "$1") : line;

/** "gaas 1/16": how often it is folded, and no size. */
const FOLDED =
  /(?<=\b(?:gaas|gaasjes|gazen|gauzes?|kompres(?:sen)?)\b[^\d]{0,20})\s1\/(?:2|4|8|16)(?!\s?(?:["”″]|in\b|m)|\d)/gi;
const withoutFolds = (line: string): string => (line.includes("1/") ? without(line, FOLDED) : line);

/** "läuft 03/27 ab": until then it is good. */
const RUNS_OUT =
  /\bläuft\s+(?:(?:am|im)\s+)?(\d{1,2}[./]\d{2,4}|\d{1,2}\.\d{1,2}\.\d{2,4})\s+ab\b/i;
const runsOut = (line: string): string =>
  line.includes("läuft") ? line.replace(RUNS_OUT, "exp $1") : line;

/** In the order in which one makes what a later one reads. */
const WAYS = [
  withoutNothing,
  letterInPairs,
  packetLetters,
  lettersInCell,
  sizesAlone,
  inchesAsFigures,
  numbersWhole,
  saidOnce,
  ampersandsInNumbers,
  withoutLookedAt,
  nosAsPieces,
  saidAsFigures,
  packsOfPieces,
  packsOfEach,
  sortsInPieces,
  onesEach,
  withoutWhose,
  withoutWere,
  withoutMore,
  withoutMissingSorts,
  sortsBehind,
  looseBehind,
  pairsEach,
  withoutPacking,
  sizesWithCounts,
  packsThenOf,
  partOfPackAbroad,
  emptyApart,
  withoutSides,
  withoutAedState,
  withoutFolds,
  runsOut,
  widthsWithUnit,
  withoutSortGone,
];
export const countPlainly = (line: string): string => WAYS.reduce((said, way) => way(said), line);
