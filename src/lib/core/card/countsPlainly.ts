import { NUMBER_SAID, VALUE_OF } from "./numberWords.ts";
import { PACKS, SHARES, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

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

/** "2 boxes x 20 plasters": packs times what one holds; "2 rolls x 5 m" is a length. */
const PACKS_TIMES = quick(
  new RegExp(
    `\\b(\\d{1,3}\\s+${PACKS})\\s*[x×]\\s*(?=\\d{1,4}\\b(?!\\s*(?:mm|cm|m|ml|cl|l|g|mg|in|x|×)(?!\\p{L})|\\s*["”]|[.,]\\d))`,
    "giu",
  ),
);
const packsOfPieces = (line: string): string =>
  /[x×]/i.test(line) ? line.replace(PACKS_TIMES, "$1 of ") : line;

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

/** "2 bags each of 10 plasters": no bags by themselves. */
const EACH_OF = quick(
  new RegExp(
    `\\b(\\d{1,3}\\s+${PACKS})\\s+each\\s+(?:of|with|containing)\\s+(?=\\d{1,4}\\s)`,
    "giu",
  ),
);
const packsOfEach = (line: string): string =>
  line.includes("each ") ? line.replace(EACH_OF, "$1 of ") : line;

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

/** "bandages, there's two triangular and one elastic": its sorts, as behind a colon. */
const THERE_ARE = quick(
  new RegExp(
    `^(\\W*\\p{L}{3,}(?:\\s\\p{L}{3,})?),?\\s+there(?:['’]?s|\\s+(?:is|are))\\s+(?=(?:${NUMBER_SAID}|\\d{1,3})\\s.*\\band\\s+(?:${NUMBER_SAID}|\\d{1,3})\\s)`,
    "iu",
  ),
);
const sortsBehind = (line: string): string =>
  line.includes("there") ? line.replace(THERE_ARE, "$1: ") : line;

/** "tape 1/2" (2) / 1" (1)": a stroke within a number parts no sizes. */
const INCHES_IN_PARTS =
  /(?<![\d/.,])(?:(\d{1,2})[\s-])?([1-7])\/([248])(?=\s?(?:["”″]|in\b|inch))/g;
const inchesAsFigures = (line: string): string =>
  /\/\d\s?(?:["”″]|in\b|inch(?:es)?)\s*\(\d/.test(line)
    ? line.replace(INCHES_IN_PARTS, (_, whole: string | undefined, part: string, of: string) =>
        String(Number(whole ?? 0) + Number(part) / Number(of)),
      )
    : line;

/** "narrow 2 cards of 5; wide 1 card of 3": sorts by the packs they come in, two or more, are sorts by their pieces. */
const SORT_IN_PACKS = quick(
  new RegExp(
    `\\b(narrow|wide|small|medium|large|long|short|thin|thick|adult|child)\\s+(${NUMBER_SAID}|\\d{1,2})\\s+${PACKS}\\s+of\\s+(\\d{1,3})\\b`,
    "giu",
  ),
);
const sortsInPieces = (line: string): string =>
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
const withoutMissingSorts = (line: string): string =>
  /\b(?:missing|gone|none|nil|no)\b/i.test(line) ? line.replace(SORT_MISSING, "") : line;

/** "vendas 5 cm 3, de 10 cm 2": a further size of the same. */
const OF_A_SIZE =
  /(?<=\d\s?(?:mm|cm|in|["”″])\s.{0,40}(?:[,;]|\s(?:y|e|et|and|und))\s*)(?:de|di|da|of|in|von|van)\s+(?=\d+(?:[.,]\d+)?\s?(?:mm|cm|in|["”″])\s)/gi;
const sizesAlone = (line: string): string =>
  /[,;\s]\s?(?:de|di|da|of|in|von|van)\s\d/i.test(line) ? line.replace(OF_A_SIZE, "") : line;

/** "Splint    S  1 / L  2": no columns of letters, but sizes in one cell. */
const LETTER_SIZES =
  /(?<=\s{2}|\t)(?:(?:S|M|X{0,2}L|XS)\s{1,3}\d{1,3}\s*\/\s*)+(?:S|M|X{0,2}L|XS)\s{1,3}\d{1,3}(?=\s*$|\s{2}|\t)/g;
const lettersInCell = (line: string): string =>
  /[SML]\s{2,3}\d/.test(line)
    ? line.replace(LETTER_SIZES, (sizes) => sizes.replace(/\s{2,}/g, " "))
    : line;

/** "Dressing packs: K 2, M 3, G 1": small, medium and large as its makers write them. */
const PACKET = /\bdressing\s+pack(?:et)?s?\b|verbandp[aä]/i;
const KLEIN_GROSS = /(?<=[:,;\s])([KG])(?=\s*[:=x×]?\s*\d{1,3}\b)/g;
const packetLetters = (line: string): string =>
  PACKET.test(line) ? line.replace(KLEIN_GROSS, (letter) => (letter === "K" ? "S" : "L")) : line;

/** "M, pairs      4", set in below "Gloves". */
const LETTER_IN_PAIRS =
  /^(\s*(?:[-*•]\s+)?)((?:XS|S|M|X{0,2}L|small|medium|large))\s*[,(]?\s*(?:pairs?|prs?)\)?(\s*[:.–-]\s*|\s{2,}|\t)(\d{1,3})\s*$/i;
const letterInPairs = (line: string): string =>
  /p(?:ai)?r/i.test(line) ? line.replace(LETTER_IN_PAIRS, "$1$2$3$4 pairs") : line;

/** "… and a sling ✓. Nothing is missing." */
const NOTHING_MISSING =
  /(?<=[.;!✓]\s*)(?:nothing|none)\s+(?:(?:is|was|are|were|has\s+gone)\s+)?(?:missing|lost|gone|short)\s*[.!]?\s*$/i;
const withoutNothing = (line: string): string =>
  /nothing|none/i.test(line) ? line.replace(NOTHING_MISSING, "") : line;

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
const widthsWithUnit = (line: string): string =>
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
function withoutSortGone(line: string): string {
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

/** "plasters 1 x 100 + loose 14": fourteen besides. */
const LOOSE_FIRST = /(?<=\d\s*(?:[+&]|\band|\bplus)\s*)(loose|spare|odd)\s+(\d{1,3})(?=\s*$)/i;
const looseBehind = (line: string): string =>
  /loose|spare|odd/i.test(line) ? line.replace(LOOSE_FIRST, "$2 $1") : line;

/** "20 wipes in packs (5 per pack)": how they are packed; they are twenty. */
const PACKED_IN = quick(
  new RegExp(
    `^(\\W*\\d{1,3}\\s+(?!${PACKS}\\b)[^\\d()]*?)\\s+in\\s+(?:\\p{L}+\\s+)?${PACKS}\\s*\\(\\d{1,3}\\s(?:\\p{L}+\\s)?(?:per|in|to)\\s(?:an?\\s|each\\s)?${PACKS}\\)`,
    "iu",
  ),
);
const withoutPacking = (line: string): string =>
  line.includes("(") && line.includes(" in ") ? line.replace(PACKED_IN, "$1") : line;

/** "5 cm qty 2, 10 cm qty 3": so many of each size. */
const SIZE_THEN_QTY =
  /(?<=\d\s?(?:mm|cm|in|["”″])?)[\s,]+qty\.?:?\s*(\d{1,3})(?=\s*(?:[,;+&]|and\b|$))/gi;
const sizesWithCounts = (line: string): string =>
  (line.match(SIZE_THEN_QTY)?.length ?? 0) > 1 ? line.replace(SIZE_THEN_QTY, " ($1)") : line;

/** "packs of 10, 3 pkts": three packs of ten. */
const PACKS_OF_THEN_PACKS = quick(
  new RegExp(`\\b${PACKS}\\s+of\\s+(\\d{1,3}),\\s*(\\d{1,3})\\s+(${PACKS})\\.?(?=\\s*$)`, "iu"),
);
/** "conf. da 10, 3 conf.", "cajas de 20, 2 cajas". */
const PACK_ABROAD =
  "(?:conf(?:ezion[ei]|\\.)?|scatol[ae]|bust[ae]|cajas?|bolsas?|paquetes?|boîtes?|paquets?|caixas?|doosjes?|doz(?:en)?|pak(?:ken|jes?)?|packung(?:en)?|schachteln?|beutel)";
const ABROAD_OF_THEN_PACKS = quick(
  new RegExp(
    `(?<!\\p{L})${PACK_ABROAD}\\.?\\s+(?:da|di|de|à|a|van|von|zu|com)\\s+(\\d{1,3}),\\s*(\\d{1,3})\\s+${PACK_ABROAD}\\.?(?=\\s*$)`,
    "iu",
  ),
);
/** "reste 1/2 boîte de 100". */
const PART_ABROAD = quick(
  new RegExp(
    `(?:(?<!\\p{L})(?:(?:il\\s+)?reste|quedan?|resta|noch|nog)\\s+)?([1-3]/[234]|[½¼¾])\\s*${PACK_ABROAD}\\s+(?:da|di|de|à|a|van|von|zu|com)\\s+(\\d{1,3})(?!\\d)`,
    "iu",
  ),
);
const partOfPackAbroad = (line: string): string =>
  /[/½¼¾]/.test(line)
    ? line.replace(PART_ABROAD, (_, part: string, held: string) =>
        String(Math.round((SHARES[part] ?? 1) * Number(held))),
      )
    : line;
const packsThenOf = (line: string): string => {
  if (!/\s(?:of|da|di|de|à|a|van|von|zu|com)\s\d/i.test(line)) return line;
  return line
    .replace(PACKS_OF_THEN_PACKS, "$2 $3 of $1")
    .replace(ABROAD_OF_THEN_PACKS, "$2 packs of $1");
};

/** "antiseptic spray 100 ml empty": nothing of it is left; an empty box is one. */
const EMPTY_LAST =
  /(?<=\p{L}.*\d\s?(?:ml|cl|l|g)|[\p{L}\d] (?:bottle|tube|spray|can|tub|dispenser|jar)s?) (?:(?:is|are) )?(?=empty[\s.!]*$)/iu;
const emptyApart = (line: string): string =>
  /empty[\s.!]*$/i.test(line) ? line.replace(EMPTY_LAST, ", ") : line;

/** "Rettungsdecke gold/silber", "manta térmica oro/plata": its two sides, and no two languages. */
const GOLD_AND_SILVER =
  /(?<=\p{L})\s+\(?(?:gold|oro|or|goud|doré?e?|dorad[oa])\s?[/-]\s?(?:silver|silber|argent[oé]?e?|plata|platead[oa]|zilver)\)?(?!\p{L})/iu;
const withoutSides = (line: string): string =>
  /[/-]\s?(?:s|arg|pla|zil)/i.test(line) ? line.replace(GOLD_AND_SILVER, "") : line;

/** "AED (pads exp 3/28, battery ok)": what it is like, and no battery to spare. */
const AED_STATE =
  /\b((?:aed|defib(?:rillator)?)s?)\s*\((?=[^()]*\b(?:ok|exp(?:ir\w+)?|good|in\s+date|checked|fitted|full|new|flat|low)\b)[^()]*\)/i;
const withoutAedState = (line: string): string =>
  line.includes("(") ? line.replace(AED_STATE, "$1") : line;

/** "gaas 1/16": how often it is folded, and no size. */
const FOLDED =
  /(?<=\b(?:gaas|gaasjes|gazen|gauzes?|kompres(?:sen)?)\b[^\d]{0,20})\s1\/(?:2|4|8|16)(?!\s?(?:["”″]|in\b|m)|\d)/gi;
const withoutFolds = (line: string): string =>
  line.includes("1/") ? line.replace(FOLDED, "") : line;

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
