import { withNameHeading } from "./nameHeading.ts";
import { remarksAbroad } from "./remarksAbroad.ts";
import { strengthsPlainly } from "./strengths.ts";
import { sortsPaired } from "./sortsPaired.ts";
import { amountsSetApart } from "./amountsSetApart.ts";
import { withoutAsides } from "./asides.ts";
import { withoutBeginnings } from "./beginnings.ts";
import { blanksAsTabs } from "./tabsBesideBlanks.ts";
import { columnsApart } from "./columnsByRows.ts";
import { columnsRestored } from "./columnsLost.ts";
import { decodeHTML } from "entities";
import { NUMBER_SAID } from "./numberWords.ts";
import { valueOf } from "./phrase.ts";
import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { LINE_END } from "./plainSigns.ts";
import { cellsWhole } from "./brokenCells.ts";
import { withOuterBars } from "./cells.ts";
import { withDittos } from "./dittos.ts";
import { withoutEdgeData } from "./edgeData.ts";
import { itemsWhole } from "./brokenItems.ts";
import { edgesMended } from "./brokenLines.ts";
import { countsBySizes } from "./countsBySizes.ts";
import { countsBelowNames } from "./columnsBelow.ts";
import { corrections } from "./corrections.ts";
import { countsBesideNames } from "./countsApart.ts";
import { fieldsAsList, objectsAsList } from "./objects.ts";
import { answersAsCounts } from "./answers.ts";
import { numbersAsCounts } from "./listNumbers.ts";
import { receiptCounts } from "./receipt.ts";
import { withoutOldBalances } from "./runningBalances.ts";
import { roundsAsCounts } from "./rounds.ts";
import { withoutRules } from "./ruledBlanks.ts";
import { withoutPageBreaks } from "./pageBreaks.ts";
import { heldOfAsked, ofSoMany } from "./askedAndHeld.ts";
import { answersBeside } from "./thereOrNot.ts";
import { countsByDate, withoutDayGone } from "./countsByDate.ts";
import { countPlainly } from "./countsPlainly.ts";
import { writtenAsHeadings } from "./writtenHeadings.ts";
import { withoutWeights } from "./weighed.ts";
import { talliesAsCounts } from "./tally.ts";
import {
  withoutCountLetter,
  marksAsList,
  withoutBlanks,
  withoutEmphasis,
  withoutEndMarks,
  withoutInitials,
  withoutLineNumbers,
  withoutRowNumbers,
  withoutLotsAndDates,
  withoutPointNought,
} from "./lineEdges.ts";
import { barsAsColons, identifiersAsWords, withoutLeast } from "./tableSigns.ts";
import { datesPlainly } from "./datesPlainly.ts";
import { labelledCounts } from "./labelledCounts.ts";
import { withoutMoney } from "./moneyColumns.ts";
import { packsInCells } from "./packCells.ts";
import { partUsed } from "./partUsed.ts";
import { quick } from "./quick.ts";
import { wrappedItems } from "./wrappedItems.ts";

/** Takes off what a card's text carries besides its words: markup, quoting, what is struck out. */

/** A step over the lines of a card. Each line keeps its place, so that an entry can name it. */
type CardStep = (lines: readonly string[]) => string[];
/** One that looks at each line by itself. */
interface LineStep {
  readonly change: (line: string) => string;
}
type Step = CardStep | LineStep;

const each = (change: (line: string) => string): LineStep => ({ change });

/** `<del>2 eye pads</del>` */
const STRUCK_TAGS = /<(del|s|strike)(?:\s[^<>]*)?>([^<>]*)<\/\1>/gi;
/** Another thing begins behind it on the line. */
const ENDS_WITHIN = /<br\s*\/?>(?=\s*[^\s<])|<\/(?:li|p|div)>(?=\s*<(?:li|p|div)\b[^<>]*>)/gi;
/** Cells of a row on one line, empty ones among them. */
const CELL_ENDS = /<\/t[dh]>\s*<t[dh](?:\s[^<>]*)?>/gi;
/** `<li>4 &times; wipes</li>` → `4 × wipes`; a page saved or copied with its markup. */
const withoutTags: LineStep = each((line) =>
  /<\/?[a-z][^<>]*>|&(?:#\d+|[a-z]+);/i.test(line)
    ? decodeHTML(
        line
          .replace(STRUCK_TAGS, "~~$2~~")
          .replace(CELL_ENDS, "\t")
          .replace(/<h[1-6](?:\s[^<>]*)?>/gi, "## ")
          .replace(ENDS_WITHIN, "; ")
          .replace(/<\/?[a-z][^<>]*>/gi, " "),
      ).replace(/\u00a0/g, " ")
    : line,
);

/** "Plasters [100]", "tweezers [pointed]": brackets of another shape; a box to tick, a link and a time are none. */
const squareAsRound: LineStep = each((line) =>
  line.includes("[")
    ? line.replace(
        /(?<=[\p{L}\d)"”:;,] ?)\[(?!\s*(?:[xX✓✔✗✘]|ok|yes|no|y|n|\d+)?\s*\])([^[\]_]{1,60})\](?!\()/giu,
        "($1)",
      )
    : line,
);

/** "10*10", "2 * 16": a sign that multiplies. */
const starsAsTimes: LineStep = each((line) => line.replace(/(?<=\d) ?\* ?(?=\d)/g, " x "));

/** `\\item 4 wipes`, `[*]4 wipes`: a list as typesetters and boards write it. */
const COMMAND_LINE =
  /^\s*(?:\\(?:begin|end|hline|toprule|midrule|bottomrule)\b.*|\[\/?(?:list|ul|ol|table|tr|code|quote)[^\]]*\])\s*$/i;
const withoutCommands: LineStep = each((line) =>
  COMMAND_LINE.test(line)
    ? ""
    : // "-----+-----": a line drawn under headings between bars.
      /^[\s|+=:-]*-\+-[\s|+=:-]*$/.test(line)
      ? line.replaceAll("+", "|")
      : line
          .replace(/^(\s*)(?:\\item\b(?:\[[^\]]*\])?|\[\*\])\s*/, "$1- ")
          .replace(/\s*\\\\\s*(?:\\hline)?\s*$/, "")
          // A cell on a line of its own.
          .replace(/^\s*\|\s*(?=[^|]+$)/, ""),
);

/** `~~iodine~~ teat dip`: what is struck out is gone, and so is a remark on it alone. */
const withoutStruckOut: LineStep = each((line) => {
  if (!/~~[^~]*~~/.test(line)) return line;
  const struckFirst = /^\s*(?:[-*•]|\d+[.)]|\[[ x]?\])?\s*~~/i.test(line);
  const instead = STRUCK_COUNT.exec(line);
  if (instead)
    return `${instead[1]!}${instead[2]!.replace(COUNT_BESIDE, "").trim()}  ${instead[3]!}`;
  // "lge ~~3~~ 2": blanks on both sides would set what follows apart.
  const left = line.replace(/(?<=\S) ~~[^~]*~~ (?=\S)/g, " ").replace(/~~[^~]*~~/g, " ");
  const goesOn =
    GOES_ON_COUNTED.test(left) || (!/~~[^~]*\d[^~]*~~/.test(line) && COUNTED_BEHIND.test(left));
  return struckFirst && !goesOn ? "" : left;
});

/** `~~cold packs 4~~ 1 left`, `~~4 cold packs~~ 1`: struck out with its count, and counted anew. */
const STRUCK_COUNT = quick(
  /^(\s*(?:[-*•]\s*|\d+[.)]\s*|\[[ x]?\]\s*)*)~~\s*([^~]*\p{L}{3}[^~]*)~~\W*(?:now\s+|only\s+|just\s+)*(\d{1,3})(?:\s+(?:left|now|there|here|remaining))*\s*$/iu,
);
const COUNT_BESIDE = /^\d{1,3}\s*(?:[x×]\s*)?|[\s:x×(-]*\d{1,3}\)?\s*$/g;

const CROSSED = quick(
  /^\s*(?:[-*•]\s*)?[✗✘❌☒]|[\p{L}\d)]\s*[✗✘❌☒]\s*(?:(?:taken out|gone|missing|used|removed|out|none|nil)\b.*)?$/u,
);
/** `~~12~~ 9 plasters`, `~~eyewash~~ replaced: 2 x eyewash`: what is there instead. */
const GOES_ON_COUNTED = quick(
  new RegExp(
    `^\\W*(?:replaced(?:\\s+(?:by|with))?|now)?\\W*(?:\\d{1,4}\\s*(?:[x×]\\s*)?|(?:${NUMBER_SAID})\\s+)\\p{L}{3}`,
    "iu",
  ),
);

/** `~~small~~ heavy shears 1`: a word of the name is struck out. */
const COUNTED_BEHIND = quick(/^\W*(?:\[[ xX✓✔]?\]\s*)?\p{L}{3}[^\d]*\s[x×]?\d{1,3}\s*$/iu);

/** `✗ cold packs 2`: ticked off as not there. */
const withoutCrossed: LineStep = each((line) => (CROSSED.test(line) ? "" : line));

const TICKED_COUNT = quick(
  /^(.*\p{L}.*?)(\d?)(\s*)[✓✔☑]+\s*(\d{1,4})(?=\s*(?:$|[,(–-]|(?:pcs|pairs?|prs?)\b))/u,
);
/** `TRIANGULAR ✓✓ 2`: what stands behind the tick is how many there are. */
const withTicked: LineStep = each((line) =>
  // A cell of its own is read as one.
  !/[✓✔☑]/.test(line) || /[\t|;]/.test(line)
    ? line
    : line.replace(TICKED_COUNT, (_, name: string, digit: string, gap: string, count: string) =>
        digit ? `${name}${digit}, ${count} pcs` : `${name}${gap || " "}x ${count}`,
      ),
);

/** "【Package Includes】": what a listing sets off in such brackets is a heading. */
const withoutLenses: LineStep = each((line) =>
  line.includes("【") ? line.replace(/【([^【】]*)】\s*/g, "$1: ") : line,
);

const LETTERS_WITH_DOTS = quick(/\b(?:(?:\p{Lu}\.){2,}|(?:\p{L}\.){3,})/gu);
/** `O.R.S. sachets`: letters with their dots are one word. */
const withoutDots: LineStep = each((line) =>
  line.replace(LETTERS_WITH_DOTS, (letters) => letters.replaceAll(".", "")),
);

/** `insect spray x2 🔹 sick bags 5`: a mark within a line begins another thing. */
const MARK_WITHIN = /(?<=[\p{L}\d)])\s*[🔹🔸🔷🔶🔵🔴🟢🟡⚫⚪◆◇►▶➤➜✦]\s*(?=[\p{L}\d])/gu;
const withMarks: LineStep = each((line) => line.replace(MARK_WITHIN, "; "));

const CLAUSE_LETTER = quick(/^(\s*)\(\p{L}\)\s+(?=\S)/u);
/** `(a) twenty plasters`: a clause's letter, not "a" as in "a whistle". */
const withClausesAsList: LineStep = each((line) => line.replace(CLAUSE_LETTER, "$1- "));

const PACK_THEN_SIZE = quick(
  /^(\s*(?:[-*•]\s*)?\d{1,3})\s*(?:[x×]\s*)?(box|bag|tub|tin|carton)\s+(\d{2,4})\s+(?=\p{L}{3})/iu,
);
/** `2 x Box 100 plasters`: what a pack holds, right before the name. */
const withPackSizes: LineStep = each((line) => line.replace(PACK_THEN_SIZE, "$1 $2 of $3 "));

/** `BG/12`, `PK-20`, `BX100`, `100U`: a pack by its code, over what it holds; "lot BG2" is none. */
const PACK_CODE =
  /(?<![\p{L}\d/-])(?<!\b(?:lot|batch|ref|charge|lote|lotto)\W{1,3})(?:(?:BG|BAG|CS|CTN|TB|TUB|SL|EN)\/|(?:PK|PKT|PCK|PAC|BX|BOX)-|(?:PKT?|BX|BG)(?=\d))(?<held>\d{1,4})(?![\p{L}\d/.-])(?<blank> (?=  ))?|(?<=\p{L}.*\s)(?<units>\d{1,4}) ?U(?![\p{L}\d])(?<blanks> {0,2}(?=  ))?/gu;
/** `pk (6) qty 3`, `10 ct x 2`, `pack 12, 4`: behind it stands how many packs. */
const PACK_THEN_COUNT =
  /(?<=\p{L}.*\s)(?:(?:pk|pkt|pack) ?\(?(?<held>\d{1,4})\)?|(?<counted>\d{1,4}) ?ct)(?=(?:\s*[x×,:–-]\s*|\s*\(|\s+qty\.?\s*|\s{2,}|\t)\d{1,3}\)?\s*$)/giu;
/** Most lines have none, and no line of a list is longer. */
const HAS_CODE =
  /\d ?(?:U|ct)(?![a-z])|(?:pk|pkt|pack|pac|box|bx|bg|bag|cs|ctn|tb|tub|sl|en)[ (/-]{0,2}\d/i;
const LONGEST_CODED = 200;
/** "2 PLASTER ASS 24 STK": on a till receipt, all in capitals, so many of a pack of 24. */
const TILL_PACK = quick(
  /^(\s*\d{1,3}\s+(?:[Xx×]\s+)?\p{Lu}[^\p{Ll}]*?\s)(\d{1,4})\s?(?:STK|ST|PZ|UDS?|PCS|TBL)\b(?=[^\p{L}]*$)/u,
);
/** "1 ANTISEP WIPES 100    4.99", "2 IBUPROFEN 200MG 24   1.98": before its price stands what such a pack holds. */
const TILL_CONTENT = quick(
  /^(\s*\d{1,3}\s+(?:[Xx×]\s+)?\p{Lu}[^\p{Ll}]*?(?:\b(?:WIPES|PLASTERS|TABS|TABLETS|CAPS|CAPSULES|SWABS|SACHETS)\b(?:\s\p{Lu}+)?|\d\s?MG)\s)(\d{1,3})(?=\s+[£$€]?\d{1,3}[.,]\d{2}\s*\p{Lu}?\s*$)/u,
);
const withTillPacks: LineStep = each((line) =>
  line.length > LONGEST_CODED || !/[KTZDSL]\b|\d[.,]\d\d\s*[A-Z]?\s*$/.test(line)
    ? line
    : line.replace(TILL_PACK, "$1PK/$2").replace(TILL_CONTENT, "$1PK/$2"),
);
/** Columns set by blanks keep their places. */
const withPackCodes: LineStep = each((line) =>
  line.length > LONGEST_CODED || !HAS_CODE.test(line)
    ? line
    : line
        .replace(PACK_THEN_COUNT, (_, held?: string, counted?: string) => `PK/${held ?? counted!}`)
        .replace(PACK_CODE, (code, held?: string, _?: string, units?: string) => {
          const said = `PK/${held ?? units!}`;
          return code.endsWith(" ") ? said.padEnd(code.length) : said;
        }),
);

const SECTION_CODE = quick(/^(\s*)\p{Lu}\d{1,2}(?:\.\d{1,2})?\s{2,}(?=\p{Lu}\p{L}{2,}[^\d]*$)/u);
/** Of fewer it may be a shelf, a size, or chance. */
const FEWEST_ALIKE = 3;
/** A way of writing that fewer lines do not tell is put right where so many have it. */
const whereSeveral =
  (pattern: RegExp, by: (...found: string[]) => string, fewest = FEWEST_ALIKE): CardStep =>
  (lines) => {
    const isWritten = (line: string) => line.length <= LONGEST_LINE && line.search(pattern) >= 0;
    return lines.filter(isWritten).length < fewest
      ? [...lines]
      : lines.map((line) => (isWritten(line) ? line.replace(pattern, by) : line));
  };
/** `F2  Bandages`: the number of a section. */
const withoutSectionCodes = whereSeveral(SECTION_CODE, (_, indent) => indent!);

const THINGS_ACROSS = quick(
  /^(\s*\d{1,3}\s*[x×]?\s+\p{L}{2}.*?)\s*\.{2,}\s+(?=\d{1,3}\s*[x×]?\s+\p{L}{2})/u,
);
/** `30 plasters ......  5 blister plasters`: dots between two things, each with its count before it, set them apart. */
const withoutLeadersAcross = whereSeveral(THINGS_ACROSS, (_, thing) => `${thing!}      `);

/**
 * A cell with nothing in it but a count in a writing of its own: `Gauze 10 x 10 | six | four`, `x12`, `~12`, `(12)`, `12 ea`. Sought
 * from its letters and signs, as cells may be wide.
 */
const COUNT_IN_CELL = quick(
  new RegExp(
    `(?=[a-z\\d(~×])(?<=^\\s*|[\\t|;]\\s*|,(?=\\S)|\\S\\s{2,}|\\.{3}\\s*)(?:(?<said>${NUMBER_SAID})|[x×~] ?(?<signed>\\d{1,4})|\\((?<inside>\\d{1,4})\\)|(?:(?<!^\\s*)|(?=[^|;\\t]*[|;\\t]))(?<units>\\d{1,4}) ?(?:pcs\\.?|ea\\.?|each|off|nos?\\.?))(?=(?<blanks> {2,})?)(?=\\s*(?:[\\t|;]|,(?=\\S)|$)|\\s{2,})`,
    "giu",
  ),
);
/** One row may have a word of its own there. */
const FEWEST_IN_CELLS = 2;
const countsInCells = whereSeveral(
  COUNT_IN_CELL,
  (cell, said, signed, inside, units, blanks) => {
    const count = said === undefined ? (signed ?? inside ?? units)! : String(valueOf(said));
    // Columns keep their places.
    return blanks === undefined ? count : count.padEnd(cell!.length);
  },
  FEWEST_IN_CELLS,
);

/** `A: 40 plasters`: an answer to `Q: What is in it?`. */
const withoutAnswers: CardStep = (lines) =>
  lines.some((l) => /^\s*Q[:.]\s/.test(l))
    ? lines.map((l) => (/^\s*Q[:.]\s/.test(l) ? "" : l.replace(/^(\s*)A[:.]\s+/, "$1")))
    : [...lines];

/** `"eye pads": 4,`, `("eye pads", 4),`, `item="eye pads"`: quotes of a data format, no inches. */
const QUOTED_VALUE: readonly (readonly [RegExp, string])[] = [
  [/^(\s*)["'](.+)["']\s*:\s*(\d+)\s*,?\s*$/, "$1$2: $3"],
  [/^(\s*)[([{]\s*["'](.+)["']\s*,\s*(\d+)\s*[)\]}]\s*,?\s*$/, "$1$2: $3"],
  [/(?<=\w=)"([^"]*)"/g, "$1"],
];
const withoutDataQuotes: LineStep = each((line) =>
  /["']/.test(line)
    ? QUOTED_VALUE.reduce((said, [pattern, read]) => said.replace(pattern, read), line)
    : line,
);

/** `pink: "20 plasters"`: quotes round what is said, no inches. */
const IN_QUOTES = quick(/(^|[\s:])["“](?=[\p{L}\d])([^"“”]*)["”]\s*$/u);
/** `a “tourniquet” that is a rubber tube`, `the "big" box`: a word or a few in quotes; a comma behind them parts cells. */
const WORDS_IN_QUOTES = quick(
  /(?<=\p{L}\s|\s\()["“„](\p{L}(?:[^\d"“”„]{0,40}\p{L})?)["“”](?=[\s.;:)]|$)/gu,
);
/** "a bandage, 'calico, 1952'": no feet. */
const IN_SINGLE_QUOTES = quick(/(?<=\s)['‘](\p{L}[^'’]{2,40})['’](?=[\s.,;]|$)/gu);
const withoutQuotes: LineStep = each((line) =>
  /["“]/.test(line)
    ? line.replace(IN_QUOTES, "$1$2").replace(WORDS_IN_QUOTES, "$1")
    : line.replace(IN_SINGLE_QUOTES, "$1"),
);

const QUOTED = /^\s*(?:>\s?)+/;
/** So many lines of one's own below what is quoted make it an answer between the lines; a name and a greeting do not. */
const FEWEST_BELOW = 3;
/** "On 3 May Sam wrote:" */
const WROTE = /\b(?:wrote|writes|schrieb|a\s+écrit|escribi[oó]|ha\s+scritto|schreef)\b[^:]*:\s*$/i;
/** So many times the counts of one's own are in the letter that one sends on. */
const SHARE_OF_OWN = 4;
const DEPTH = /^\s*((?:>\s?)*)/;
const depthOf = (line: string): number => DEPTH.exec(line)![1]!.match(/>/g)?.length ?? 0;
/** Numbers beside words, of which a list has many. */
const COUNTS = quick(/\p{L}[\p{L} ]*[\s:x×-]\s*\d{1,3}(?![\d:./])|\d{1,3}\s*[x×]?\s?\p{L}{3}/giu);
/** Letters quoted within a letter: the newest that lists half of what any of them does; what is older was asked, or was there before. */
function depthRead(lines: readonly string[]): number {
  const counts: number[] = [];
  for (const line of lines) {
    const depth = depthOf(line);
    if (depth > 0) counts[depth] = (counts[depth] ?? 0) + (line.match(COUNTS)?.length ?? 0);
  }
  const most = Math.max(0, ...counts.filter((n) => n !== undefined));
  return counts.findIndex((n) => n !== undefined && n > 0 && 2 * n >= most);
}
/** Mail: the older letter quoted below an answer is not the list; one that is all quoted, or answered below, is. */
const withoutQuoted: CardStep = (lines) => {
  const written = lines.filter((l) => l.trim() !== "");
  const quoted = written.filter((l) => QUOTED.test(l)).length;
  if (quoted === 0) return [...lines];
  const isAll = quoted > written.length / 2;
  const below = written.length - 1 - written.findLastIndex((l) => QUOTED.test(l));
  const countsIn = (of: readonly string[]) => of.join("\n").match(COUNTS)?.length ?? 0;
  const ofOwn = countsIn(written.filter((l) => !QUOTED.test(l) && !WROTE.test(l)));
  // A letter that lists nothing itself sends the quoted one on.
  const isSentOn = SHARE_OF_OWN * ofOwn <= countsIn(written.filter((l) => QUOTED.test(l)));
  const isRead = isAll || isSentOn || below >= FEWEST_BELOW;
  const depth = depthRead(lines);
  const own = (line: string) =>
    isRead && (depth < 0 || depthOf(line) <= depth) ? line.replace(QUOTED, "") : "";
  return lines.map((l) => (QUOTED.test(l) ? own(l) : l));
};

/** A card that is quoted from its first line to its last. */
const unquoted: CardStep = (lines) =>
  lines.every((l) => l.trim() === "" || QUOTED.test(l))
    ? lines.map((l) => l.replace(QUOTED, ""))
    : [...lines];

const TIMES_LAST = quick(/(?<=[\p{L}\d)])\s?\*\s?(\d{1,4})(?=\s*(?:$|\(|[-–]\s|\/\/))/u);
/** "plastersx8", "gauze 10 cmx4": a plural or a size ends so. */
const GLUED_BEHIND = quick(/(?<=\p{L}{3}s|\d\s?(?:cm|mm))[x×](\d{1,3})(?=\s*(?:$|[,;(]))/giu);
/** One of several on its line. */
const STAR_COUNT =
  /(?<=\p{L})\s?\*\s?(?=\d{1,3}\s\p{L}[^*]*\*\s?\d)|(?<=\*\s?\d{1,3}\s[^*]*\p{L}|x\d{1,3}\s[^*]*\p{L})\s?\*\s?(?=\d{1,3}(?:\s|$))/gu;
const GLUED_TIMES = quick(/^(\W*)(\d{1,3})x(?=\p{L}{3})/u);
/** `2INX4.1YD` → `2IN x 4.1YD`, `40 X40 X56 IN`, `8 Xx`: a sign glued to its numbers, or seen twice. */
const withoutGlue: LineStep = each((line) =>
  line
    .replace(/(\d\s?(?:in|mm|cm|m|ft|yd|"))x\s*(?=\d)/gi, "$1 x ")
    .replace(
      /(\d(?:\s?(?:in|mm|cm|m|ft|yd|"))?\s+)x(?=\d+(?:[.,]\d+)?\s*(?:in|mm|cm|m|ft|yd|"|x\b|x\d))/gi,
      "$1x ",
    )
    .replace(/(\d\s*)xx(?=\s)/gi, "$1x")
    // "DIN 13151-M": no metres.
    .replace(/\b(DIN|EN|ISO|BS)\s?(\d{4,6})-[A-Z]\b/g, "$1 $2")
    // "25xbandages": no word begins so.
    .replace(GLUED_TIMES, "$1$2 x ")
    .replace(GLUED_BEHIND, " x $1")
    // "Scissors*1 Tweezers*1", as shops list them.
    .replace(STAR_COUNT, " x")
    // "SHEARS*2", last on a label.
    .replace(TIMES_LAST, ", $1 pcs")
    // "10*10": a computer's sign for times.
    .replace(/(?<=\d(?:\s?(?:in|mm|cm|m|ft|yd|"))?)\s?\*\s?(?=\d)/gi, " x ")
    // "7,5 x 7,5": no two lists of numbers.
    .replace(/(\d),(\d{1,2}\s?[xX×]\s?\d+),(\d{1,2})(?!\d)/g, "$1.$2.$3"),
);

/** "1. Sterile plasters, individually wrapped," over "   assorted sizes      24": what goes on below, set in, with the count. */
const NUMBERED_WORDS = quick(
  /^\s*(?:(?:\d{1,2}[.)]|[-*•])\s+\p{L}\D*,|\p{L}\D*\b(?:approx\.?|about|min\.?|ca\.)|\d{1,2}\.\d{1,2}\s{2,}\p{L}.*\b(?:individually|in|with|and|of|for|per|each|sterile))\s*$/u,
);
const SET_IN_WITH_COUNT = quick(
  /^\s{2,}(?![-*•]|\d{1,2}[.)])[\p{L}\d].*?(?:\s{2,}|\.{3,}\s*|\s[-–:]\s*)\d{1,4}\s*$/iu,
);
/** No page is wider. */
const LONGEST_WRAPPED = 160;
const withoutWraps: CardStep = (lines) => {
  const read = [...lines];
  for (let i = 0; i + 1 < read.length; i++)
    if (
      read[i]!.length <= LONGEST_WRAPPED &&
      read[i + 1]!.length <= LONGEST_WRAPPED &&
      NUMBERED_WORDS.test(read[i]!) &&
      SET_IN_WITH_COUNT.test(read[i + 1]!)
    ) {
      read[i] = `${read[i]!.trimEnd()} ${read[i + 1]!.trimStart()}`;
      read[i + 1] = "";
    }
  return read;
};

/** `~~EY-01,Eye wash,2~~`: a row that is struck out whole, before its last column is taken out. */
const withoutStruckLines: LineStep = each((line) =>
  /^\s*~~[^~]*~~[\s,;|]*$/.test(line) && !STRUCK_COUNT.test(line) ? "" : line,
);

const STEPS: readonly Step[] = [
  withoutStruckLines,
  withNameHeading,
  withoutOldBalances,
  each(remarksAbroad),
  each(withoutDayGone),
  each(countsByDate),
  each(datesPlainly),
  withoutMoney,
  packsInCells,
  each(strengthsPlainly),
  each(sortsPaired),
  wrappedItems,
  identifiersAsWords,
  barsAsColons,
  withoutLeast,
  withDittos,
  ofSoMany,
  unquoted,
  withTillPacks,
  withPackCodes,
  withoutPointNought,
  withoutEdgeData,
  objectsAsList,
  fieldsAsList,
  withoutTags,
  starsAsTimes,
  each(countPlainly),
  squareAsRound,
  withoutLineNumbers,
  withoutRowNumbers,
  withoutPageBreaks,
  withoutRules,
  withoutEmphasis,
  withOuterBars,
  withoutCountLetter,
  labelledCounts,
  corrections,
  each(partUsed),
  amountsSetApart,
  countsInCells,
  cellsWhole,
  itemsWhole,
  writtenAsHeadings,
  marksAsList,
  withoutBlanks,
  withoutInitials,
  withoutLotsAndDates,
  withoutEndMarks,
  withoutWeights,
  withoutLenses,
  withoutDots,
  withMarks,
  blanksAsTabs,
  columnsApart,
  columnsRestored,
  heldOfAsked,
  withClausesAsList,
  withoutAnswers,
  receiptCounts,
  talliesAsCounts,
  numbersAsCounts,
  answersAsCounts,
  withoutDataQuotes,
  withoutQuotes,
  countsBySizes,
  withoutGlue,
  withoutCommands,
  countsBesideNames,
  countsBelowNames,
  withoutLeadersAcross,
  withoutSectionCodes,
  withPackSizes,
  withoutQuoted,
  withoutStruckOut,
  roundsAsCounts,
  answersBeside,
  withoutCrossed,
  withTicked,
  withoutWraps,
  withoutAsides,
  edgesMended,
  each(withoutBeginnings),
];

const TICKED = /^\s*(?:[-*•]\s*)?(?:\[[xX✓✔]\]|[☑☒✅])/;
/** A box that is left open. */
export const OPEN_BOX = /^\s*(?:[-*•]\s*)?(?:\[\s?\]|☐)/;
const FEWEST_TICKED = 2;
/** `[ ] cold packs (2)` among `[x] tape`: left open where others are ticked, it may not be there. Line numbers from 1. */
export function untickedLines(text: string): ReadonlySet<number> {
  const lines = text.split(LINE_END);
  if (lines.filter((l) => TICKED.test(l)).length < FEWEST_TICKED) return new Set();
  return new Set(lines.flatMap((l, i) => (OPEN_BOX.test(l) ? [i + 1] : [])));
}

/** "[ ] = missing": the card says what a box that is left open means. */
export const saysOpenIsMissing = (text: string): boolean =>
  /(?:\[\s?\]|☐)\s*(?:=|:|means|-)\s*(?:missing|absent|gone|empty|none|no\b|not\s|to\s+(?:buy|replace|order))/i.test(
    text,
  );

/** Steps by line that follow one another are one; what it makes of a line is remembered, as a card is read at every key. */
function joined(steps: readonly Step[]): CardStep[] {
  const runs: CardStep[] = [];
  let changes: LineStep["change"][] = [];
  const endRun = () => {
    const run = changes;
    if (run.length === 0) return;
    const changed = remembering(
      (line) => run.reduce((l, change) => (l.length > LONGEST_LINE ? l : change(l)), line),
      LINES_KEPT,
      LONGEST_KEPT,
    );
    runs.push((lines) => lines.map(changed));
    changes = [];
  };
  for (const step of steps) {
    if ("change" in step) changes.push(step.change);
    else {
      endRun();
      runs.push(step);
    }
  }
  endRun();
  return runs;
}
const CARD_STEPS = joined(STEPS);

/** The lines of a card without markup. Same number of lines, in the same places. */
export const cleanLines = (text: string): string[] =>
  CARD_STEPS.reduce(
    (lines, step) => step(lines),
    // Thousands of blanks say no more than none.
    text.split(LINE_END).map((line) => (line.trim() === "" ? "" : line)),
  );
