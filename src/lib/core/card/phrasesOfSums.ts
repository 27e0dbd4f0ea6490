import { NUMBER_WORDS } from "./numberWords.ts";
import { half, PACK, PACKS, valueOf, type Phrase } from "./phrase.ts";

/** Ways of writing sums: several packs, what lies loose beside them, what is there beside what should be; and of saying a number in passing. */

const N = `(?:${NUMBER_WORDS})`;
const AND = "\\s*(?:,\\s*)?(?:\\+|&|\\band|\\bplus|,)\\s*";
const PLUS = "\\s*,?\\s*(?:\\+|&|\\band|\\bplus)\\s*";
const FULL = "(?:(?:full|whole|unopened|sealed|new|complete)\\s+)?";
const LOOSE = "(?:singles?|(?:loose|odd)(?:\\s+singles?)?|single\\s+ones)(?:\\s+ones?)?";

/** What is said of one thing ends here. */
const ENDS = "(?=\\s*(?:[,;.)]|$))";

/** Things that lie in packs by the dozen and are smaller than a hand: two numbers behind their name are no size. */
const IN_PACKS =
  "(?:plasters|tablets?|tabs|capsules?|caps|lozenges|sachets|wipes|safety\\s+pins|paracetamol|ibuprofen|aspirin)";
/** Fewer may be the side of a large plaster, in cm. */
const FEWEST_IN_PACK = 15;

/** What is said before the number that there is, and before the one that there should be. */
const HAVE =
  "(?:have|held|holds?|got|act(?:ual(?:ly)?)?\\.?|are|is|in\\s+stock|on\\s+hand|found|counted|present|here|there(?:\\s+(?:is|are))?|now)";
const WANT =
  "(?:needs?|needed|min(?:imum)?|req(?:['’]?d|uired|uires)?|targets?|par|expect(?:s|ed)?|nominal|standard|std\\.?|want(?:s|ed)?|should\\s+(?:be|have))";

const one = (count: string): string => (/^an?$/i.test(count) ? "1" : count);
const inAll = (...packs: readonly (readonly [string, string])[]): number =>
  packs.reduce((sum, [count, each]) => sum + valueOf(count) * valueOf(each), 0);
/** What so many packs hold, with what lies beside them. */
const packsAndMore: Phrase["read"] = (_, packs, each, more) =>
  `${inAll([packs!, each!], ["1", more!])} pcs`;

/** What tells one of a kind from another. */
const KIND =
  "(?:small|medium|large|big|little|narrow|wide|long|short|adult|child|paper|cloth|cotton|calico|left|right|blunt|sharp|straight|curved|plain|blue|black|white|red|green|full|open|new|old)";

const COUNTED_OR_TWO = new RegExp(`\\b(?:and|plus|${NUMBER_WORDS})\\b`, "i");

/** Where things lie in a kit. */
const PLACES =
  "pouch pocket lid box bag tin drawer tray van cab car boat rucksack cupboard shelf kit top bottom front back".split(
    " ",
  );
const IN_PLACE = `(?:(?:in|on|at)\\s+)?(?:the\\s+)?(?:\\p{L}+\\s+)?(?:${PLACES.join("|")})`;

/** An ordered table: an earlier phrase may make what a later one reads. */
export const SUM_PHRASES: readonly Phrase[] = [
  {
    name: "a measure in brackets with its decimal comma",
    example: ["burn gel 10 (3,5 g)", "burn gel 10 (3.5 g)"],
    holds: ",",
    pattern: /\((\d{1,3}),(\d{1,2}\s?(?:g|ml|cl|l|cm|mm|m|mg|kg))\)/gi,
    read: "($1.$2)",
  },
  {
    name: "how many of each kind, in brackets, and no sum",
    example: ["scissors (1 large, 1 small)", "scissors 2 (large, small)"],
    holds: "(",
    pattern: new RegExp(
      `^(\\W*[A-Za-z][^()\\d]*?)\\s*\\((\\d{1,2})\\s+(${KIND})\\s*(?:,|\\+|&|/|and)\\s*(\\d{1,2})\\s+(${KIND})\\)\\s*$`,
      "i",
    ),
    read: (_, name, one, kind, two, other) =>
      `${name!} ${Number(one) + Number(two)} (${kind!}, ${other!})`,
  },
  {
    name: "what each count comes to with the others, said last",
    example: ["wipes 6 + new box of 20 = 26", "wipes, 26 pcs"],
    holds: "=",
    pattern:
      /^(\W*\p{L}[^=\d]*?)\s*[:,–-]?\s+(?=[^=]*(?:[+&]|\band\b|\bplus\b))\d[^=£€$]*=\s*(\d{1,4})(?:\s*(?:pcs|pieces|in\s+all|total|altogether))?\s*$/iu,
    read: "$1, $2 pcs",
  },
  {
    name: "how many the kinds are in all, said last",
    example: ["dressings: 3 medium, 1 large (that's all 4)", "dressings: 3 medium, 1 large"],
    holds: ["=", "(", "total", "all"],
    pattern:
      /^([^:=]*\p{L}[^:=]*:\s*)(\d.*?)\s*(?:=\s*|[-–(]\s*(?:that['’]?s\s+)?(?:all\s+|total\s+)?)(\d{1,3})(?:\s+(?:in\s+all|altogether|total|pcs))?\s*\)?\s*$/iu,
    read: (all, name, kinds, total) => {
      const each = [...kinds!.matchAll(/\b(\d{1,3})\s+(?!(?:cm|mm|ml|mg|in|m|g|x)\b)[a-z]/gi)];
      const inAll = each.reduce((sum, m) => sum + Number(m[1]), 0);
      return each.length > 1 && inAll === Number(total) ? `${name!}${kinds!}` : all!;
    },
  },
  {
    name: "old ones and new ones",
    example: ["wipes - 6 left + 20 new", "wipes - 26 pcs"],
    holds: ["new", "box of", "pack of", "another", "more", "spare"],
    pattern: new RegExp(
      `(?<=\\p{L}[^\\d]*)(?<!\\b(?:of|with|@|x|×)\\s*)\\b(\\d{1,3})(?:\\s+(?:old|left|loose|opened|open))?\\s*(?:\\+|&|\\band\\b|\\bplus\\b)\\s*(?:(?:an?|one|1|another|new|full|unopened)\\s+)*(?:${PACK}\\s+of\\s+)?(\\d{1,3})(?:\\s+(?:new|more|unopened|sealed|spare)(?:\\s+ones)?)?\\s*$`,
      "iu",
    ),
    read: (all, old, more) =>
      /\b(?:new|of|another|more|spare|unopened|sealed)\b/i.test(all!)
        ? `${Number(old) + Number(more)} pcs`
        : all!,
  },
  {
    name: "counts of sizes, strokes between them",
    example: ["bandages: 2x 6 cm / 2x 8 cm", "bandages: 2x 6 cm, 2x 8 cm"],
    holds: "/",
    pattern:
      /(?<=[:\s]\d{1,2}\s?[x×]?\s?(?:small|medium|large|\d{1,3}(?:[.,]\d)?\s?(?:mm|cm|m)?)(?:\s?[x×]\s?\d{1,3}\s?(?:cm|m)?)?)\s*\/\s*(?=\d{1,2}\s?(?:[x×]\s?\d|small|medium|large))/gi,
    read: ", ",
  },
  {
    name: "so many in all, and then of each kind",
    example: ["3x dressings: 1 small, 2 large", "dressings: 1 small, 2 large"],
    holds: ":",
    pattern: /^(\W*)(\d{1,2})\s*[x×]?\s+([A-Za-z][^:\d]*):\s*(\d[^:]*)$/i,
    read: (all, before, sum, name, kinds) => {
      const each = kinds!
        .split(/,|\band\b/)
        .map((k) => /^\s*(\d{1,2})\s*[x×]?\s*[a-z]/i.exec(k)?.[1]);
      const inAll = each.reduce((n, of) => n + Number(of ?? NaN), 0);
      return inAll === Number(sum) ? `${before!}${name!}: ${kinds!}` : all!;
    },
  },
  {
    name: "so many, and how many are missing from how many",
    example: ["4 plasters, 2 missing from 6", "4 plasters"],
    holds: ["missing", "gone", "used"],
    pattern:
      /\b(\d{1,3})\b(?!\s*(?:mm|cm|ml|mg|x|×))([^\d]*?)\s*[,;(–-]?\s*(\d{1,3})\s+(?:missing|gone|used)\s+(?:from|of|out\s+of)\s+(\d{1,3})\)?\s*$/giu,
    read: (all, n, name, gone, of) =>
      Number(n) + Number(gone) === Number(of) ? `${n}${name}` : all!,
  },
  {
    name: "so many left, and how many were used",
    example: ["4 plasters left, 2 used", "4 plasters"],
    holds: "used",
    pattern: /(?<=\bleft)\s*[,;(]\s*\d{1,3}\s+(?:were\s+)?used\)?\s*$/gi,
    read: "",
  },
  {
    name: "so many of a sort, said behind the name",
    example: ["saline pods, four of the big ones", "saline pods, four"],
    holds: " of th",
    pattern: new RegExp(
      `^(\\W*\\p{L}[^,\\d]*),\\s*(${N})\\s+of\\s+(?:the|those|these)\\s+(?:\\p{L}+\\s+){0,2}(?:ones|things|tubes|packets|sort|kind|bottles)\\s*$`,
      "iu",
    ),
    // "twelve plasters and, let me see, four of the big ones": others.
    read: (all, name, count) => (COUNTED_OR_TWO.test(name!) ? all! : `${name}, ${count}`),
  },
  {
    name: "a pack of so many in words, and how many are left",
    example: ["plasters, box of forty, twenty five left", "plasters, 25 pcs"],
    holds: " left",
    pattern: new RegExp(
      `\\b(?:(?:1|one|an?)\\s+)?${PACK}\\s+of\\s+${N}\\s*,\\s*(?:but\\s+)?(?:only\\s+)?(${N})\\s+left\\b`,
      "giu",
    ),
    read: (_, left) => `${valueOf(left!)} pcs`,
  },
  {
    name: "what one pack holds when full, and how many are left",
    example: ["plasters, one box, fifty in it when full, I'd say thirty left", "plasters, 30 pcs"],
    holds: "when ",
    pattern: new RegExp(
      `\\b(?:1|one|an?)\\s+${PACK},\\s*${N}\\s+(?:in\\s+it\\s+|of\\s+them\\s+)?when\\s+(?:it['’]?s\\s+|it\\s+was\\s+)?(?:full|new),\\s*(?:i(?:['’]d|\\s+would)?\\s+(?:say|guess|think|reckon)\\s+)?(?:about\\s+)?(${N})\\s+left\\b`,
      "giu",
    ),
    read: (_, left) => `${valueOf(left!)} pcs`,
  },
  {
    name: "lots of so many",
    example: ["saline pods, two lots of five", "saline pods, 10 pcs"],
    holds: " lots of ",
    pattern: new RegExp(`\\b(${N})\\s+lots\\s+of\\s+(${N})\\b`, "giu"),
    read: (_, lots, each) => `${valueOf(lots!) * valueOf(each!)} pcs`,
  },
  {
    name: "so many and a few more",
    example: ["plasters, forty-odd", "plasters, forty"],
    holds: "odd",
    pattern: new RegExp(`\\b(${N})[\\s-]odd(?!\\s+(?:ones?|sizes?|bits?))\\b`, "giu"),
    read: "$1",
  },
  {
    name: "how many there are, and how many there should be",
    example: ["plasters have 5 need 10", "plasters 5"],
    holds: ["need", "min", "req", "target", "par", "want", "should", "expect", "nominal", "st"],
    pattern: new RegExp(
      `\\b${HAVE}\\s*:?\\s*(\\d{1,3})\\s*[,;/(]?\\s*${WANT}\\s*:?\\s*\\d{1,3}\\b\\)?`,
      "giu",
    ),
    read: "$1",
  },
  {
    name: "how many there should be, and how many there are",
    example: ["plasters should be 10, are 5", "plasters 5"],
    holds: ["need", "min", "req", "target", "par", "want", "should", "expect", "nominal", "st"],
    pattern: new RegExp(
      `(?:\\s*[–-])?\\s*\\b${WANT}\\s*:?\\s*\\d{1,3}(?:\\s*[,;/]?\\s*|\\s+[–-]\\s+)(?:but\\s+)?(?:${HAVE}\\s*:?\\s*(?:only\\s+)?(\\d{1,3})\\b|(?:only\\s+)?(\\d{1,3})\\s+(?:are\\s+)?${HAVE}(?=\\s*(?:[.)!]|$)))`,
      "giu",
    ),
    read: (_, behind, before) => ` ${behind ?? before}`,
  },
  {
    name: "how many there should be, said behind, and how many there are",
    example: ["plasters 10 reqd, 5 held", "plasters 5"],
    holds: ["req", "need", "want", "list", "expect"],
    pattern:
      /\b\d{1,3}\s*(?:req['’]?d|required|needed|wanted|listed|expected)\s*[,;/]\s*(?:only\s+)?(\d{1,3})\s*(?:held|here|there|found|present|in\s+stock|on\s+hand|got)?(?=\s*(?:[.)]|$))/gi,
    read: "$1",
  },
  {
    name: "what became of so many, behind an arrow",
    example: ["plasters 10 -> 5", "plasters 5"],
    holds: ["->", "=>", "→"],
    pattern:
      /(?<=\p{L}\s*[:–—-]?\s*)\b\d{1,3}\s*(?:->|=>|→)\s*(\d{1,3})\s*!*(?:\s*,?\s*(?:buy|order|re-?order|replace|restock|ok|top\s+up)(?:\s+(?:more|soon))?\s*!*)?\s*$/giu,
    read: "$1",
  },
  {
    name: "topped up",
    example: ["plasters 5, topped up to 10", "plasters 10"],
    holds: "up to",
    pattern: /\b\d{1,3}\s*[,;(–-]?\s*(?:topped|made|filled)\s+up\s+to\s+(\d{1,3})\b\)?/gi,
    read: "$1",
  },
  {
    name: "from so many to so many",
    example: ["plasters 15 to 20", "plasters 15"],
    holds: " to ",
    pattern: /(?<=\p{L}[^\d]*\s)(\d{1,3})\s+to\s+(\d{1,3})\s*$/gu,
    read: (all, least, most) => (Number(least) < Number(most) ? least! : all!),
  },
  {
    name: "what became of what was counted",
    example: ["4 wipes -> 2 wipes", "2 wipes"],
    holds: ["->", "=>", "→"],
    pattern: /^(\W*)\d{1,3}\s+(\p{L}[^>→=]*?)\s*(?:->|=>|→)\s*(\d{1,3}\s+)(?=\2)/giu,
    read: "$1$3",
  },
  {
    name: "a guess before the number",
    example: ["some wipes idk 15?", "some wipes 15?"],
    holds: ["idk", "dunno", "i guess", "i reckon", "i'd say", "probably"],
    pattern: /,?\s*\b(?:idk|dunno|i\s+guess|i\s+reckon|i'd\s+say|probably)\s+(?=\d)/gi,
    read: " ",
  },
  {
    name: "half of a pack is left",
    example: ["gloves box of 100 - about half", "gloves 50 pcs"],
    holds: "half",
    pattern: new RegExp(
      `\\b(?:(?:1|one|an?)\\s+)?${PACK}\\s+of\\s+(\\d{1,3})\\s*[,(–-]\\s*(?:about|roughly|approx\\.?|nearly|only)?\\s*half(?:\\s+(?:full|left|used|empty|gone))?\\)?\\s*$`,
      "giu",
    ),
    read: (_, full) => `${half(full!)} pcs`,
  },
  {
    name: "what became of it, and how many that is",
    example: ["elastic bandage 8 cm: had 3, gave 1 away = 2", "elastic bandage 8 cm: 2"],
    holds: "=",
    pattern:
      /^(\W*\p{L}[^=:]*?)\s*:\s*(?=[^=]*\d)[^=]*\p{L}{3}[^=]*=\s*(\d{1,4})(?:\s+left)?\s*$/iu,
    read: "$1: $2",
  },
  {
    name: "packs, and how many that is",
    example: ["plasters - 3 boxes, one open (20s) = 52", "plasters, 52 pcs"],
    holds: "=",
    pattern: new RegExp(
      `^([^=\\d]*\\p{L}[^=\\d]*?)\\s*[,:–-]?\\s+(?:\\d{1,3}|one|two|three|four|five|six)\\s+(?:\\p{L}+\\s+)?${PACKS}\\b[^=]*=\\s*(\\d{1,4})(?:\\s*(?:pcs|pieces|in\\s+all|total))?\\s*$`,
      "iu",
    ),
    read: "$1, $2 pcs",
  },
  {
    name: "both",
    example: ["we still have both ice packs", "we still have 2 ice packs"],
    holds: "both ",
    pattern:
      /(?<=^\W*|\b(?:have|has|got|are|is|still|left|with|and)\s+)both\s+(?:of\s+)?(?:(?:the|our|my)\s+)?(?=\p{L}{3})(?!(?:are|have|still|sterile|open(?:ed)?|new|old|used|expired|in|out|of|unopened|sealed)\b)/giu,
    read: "2 ",
  },
  {
    name: "another so many",
    example: ["another 2 eye pads", "2 eye pads"],
    holds: "another ",
    pattern: /\banother\s+(?=\d|(?:two|three|four|five|six)\b)/gi,
    read: "",
  },
  {
    name: "how many are short",
    example: ["eye pads 2 (one short)", "eye pads 2"],
    holds: ["short", "too few"],
    pattern: new RegExp(
      `(?<=\\d)\\s*[,(–-]\\s*(?:${NUMBER_WORDS})\\s+(?:short|too\\s+few)\\)?`,
      "giu",
    ),
    read: "",
  },
  {
    name: "a pack of so many, with what remains of it",
    example: ["plasters box of 20 (7 remaining)", "plasters 7"],
    holds: ["remain", "still there", "to go"],
    pattern: new RegExp(
      `\\(?\\b(?:(?:1|one|an?)\\s+)?${PACK}\\s+of\\s+${N}\\s*[,()–-]\\s*(\\d{1,3})\\s+(?:remain(?:ing|s)?|still\\s+there|to\\s+go)\\)?`,
      "giu",
    ),
    read: "$1",
  },
  {
    name: "full packs, and one with so many",
    example: ["plasters: 2 full boxes of 20, 1 part box (7)", "plasters: 47 pcs"],
    holds: ["one", "part", "open", "half", "start", "begun"],
    pattern: new RegExp(
      `\\b(${N})\\s+${FULL}${PACKS}\\s+of\\s+(${N})${AND}(?:(?:1|one|an?)\\s+)?(?:(?:part(?:ial|ly)?|open(?:ed)?|half(?:[- ]full)?|started|begun|other)\\b\\s*)?(?:used\\s+)?(?:${PACK}\\s*)?(?:with|of|holding|\\()\\s*(?:only\\s+)?(\\d{1,3})(?:\\s+left)?\\)?`,
      "giu",
    ),
    read: packsAndMore,
  },
  {
    name: "packs and so many besides",
    example: ["plasters 3 packs of 6 + 2", "plasters 20 pcs"],
    holds: ["+", "&", "and", "plus"],
    pattern: new RegExp(
      `\\b(?:(${N})\\s*(?:[x×]\\s*|${FULL}${PACKS}\\s+of\\s+))(${N})\\s*,?\\s*(?:\\+|&|and|plus)\\s*(${N})(?:\\s*(?:${LOOSE}|extra))?\\s*$`,
      "giu",
    ),
    read: packsAndMore,
  },
  {
    name: "a pack and so many loose",
    example: ["plasters box of 20 + 5 loose", "plasters 25 pcs"],
    holds: ["loose", "single", "odd"],
    pattern: new RegExp(
      `(?<!\\d\\s*(?:[x×]\\s*)?)(?:\\b(?:1|one|an?)\\s+)?\\b${FULL}${PACK}\\s+of\\s+(${N})${AND}(${N})\\s+${LOOSE}${ENDS}`,
      "giu",
    ),
    read: (_, each, more) => `${inAll(["1", each!], ["1", more!])} pcs`,
  },
  {
    name: "so many and so many of a thing",
    example: ["6 + 6 safety pins", "12 safety pins"],
    holds: "+",
    pattern: /^(\W*)(\d{1,3})\s*\+\s*(\d{1,3})\s+(?=\p{L}{3})(?!loose\b)/giu,
    read: (_, mark, some, more) => `${mark}${Number(some) + Number(more)} `,
  },
  {
    name: "packs of a thing that lies in packs",
    example: ["3 x 20 plasters", "3 packs of 20 plasters"],
    holds: ["x", "×"],
    pattern: new RegExp(
      `^(\\W*\\d{1,2})\\s*[x×]\\s*(?=(?:1[5-9]|[2-9]\\d|\\d{3})\\s+(?:\\p{L}+\\s+){0,2}${IN_PACKS}\\b)`,
      "giu",
    ),
    read: "$1 packs of ",
  },
  {
    name: "so many, and packs besides",
    example: ["foil blankets — 12 + 2 boxes of 10 unopened", "foil blankets — 32 pcs"],
    holds: "+",
    pattern: new RegExp(
      `(?<=\\p{L}[^\\d]*)\\b(\\d{1,3})\\s*\\+\\s*(?:(\\d{1,2}|an?|one)\\s+)?${FULL}${PACKS}\\s+of\\s+(\\d{1,3})(?:\\s+(?:unopened|sealed|new|full))?\\s*$`,
      "giu",
    ),
    read: (_, loose, packs, each) =>
      `${inAll(["1", loose!], [/\d/.test(packs ?? "") ? packs! : "1", each!])} pcs`,
  },
  {
    name: "packs and so many loose",
    example: ["plasters 2 boxes (40), 12 loose", "plasters 92 pcs"],
    holds: ["loose", "single", "odd"],
    pattern: new RegExp(
      `\\b(?!one\\b|1\\b)(${N})\\s+${FULL}${PACKS}\\s*(?:of\\s+|\\(\\s*)(${N})\\s*\\)?${AND}(${N})\\s+${LOOSE}${ENDS}`,
      "giu",
    ),
    read: packsAndMore,
  },
  {
    name: "packs of a thing and so many loose",
    example: ["2 x 20 plasters + 4 loose", "44 plasters"],
    holds: ["loose", "single", "odd"],
    pattern: new RegExp(
      `^(\\W*)(\\d{1,3})\\s*(?:[x×]\\s*|${FULL}${PACKS}\\s+of\\s+)(\\d{1,3})\\s+(\\p{L}[^+,;&\\d]*?)${AND}(\\d{1,3})\\s+${LOOSE}${ENDS}`,
      "giu",
    ),
    read: (_, mark, packs, each, name, more) =>
      `${mark}${inAll([packs!, each!], ["1", more!])} ${name}`,
  },
  {
    name: "packs of so many, and others of so many",
    example: ["plasters: 2 boxes of 20 and 1 box of 12", "plasters: 52 pcs"],
    holds: ["of", "with", "@"],
    pattern: new RegExp(
      `\\b(${N}|an?)\\s+${FULL}${PACKS}\\s+(?:of|with|@)\\s+(${N})(?:\\s+each)?${PLUS}(${N}|an?)\\s+(?:${FULL}${PACKS}\\s+)?(?:of|with|@)\\s+(${N})(?:\\s+each)?(?:\\s+(?:left|loose))?${ENDS}`,
      "giu",
    ),
    read: (_, packs, each, others, inOther) =>
      `${inAll([one(packs!), each!], [one(others!), inOther!])} pcs`,
  },
  {
    name: "full packs, and the open one",
    example: ["plasters 2 boxes (30 each) + the open one with 11", "plasters 71 pcs"],
    holds: "open",
    pattern: new RegExp(
      `\\b(${N})\\s+${FULL}${PACKS}\\s*(?:of\\s+|\\(\\s*)(${N})(?:\\s+(?:each|in\\s+each))?\\s*\\)?${PLUS}(?:an?|the|one)?\\s*open(?:ed)?\\s+(?:one|box|pack|packet)\\s+(?:w|with|has|of|\\()\\s*(${N})(?:\\s+(?:in\\s+it|left))?\\)?`,
      "giu",
    ),
    read: packsAndMore,
  },
  {
    name: "packs of two sizes",
    example: ["plasters 2 x 20, 1 x 7", "plasters 47 pcs"],
    holds: ["x", "×"],
    pattern: new RegExp(
      `(?<=(?:\\b${IN_PACKS}|\\d\\s?(?:cm|mm|mg|ml))\\b[^\\d]*)\\b(\\d{1,2})\\s*[x×]\\s*(\\d{1,3})${AND}(\\d{1,2})\\s*[x×]\\s*(\\d{1,3})\\s*$`,
      "giu",
    ),
    read: (_, packs, each, others, inOther) => `${inAll([packs!, each!], [others!, inOther!])} pcs`,
  },
  {
    name: "packs of what lies in packs",
    example: ["plasters 3x20", "plasters 60 pcs"],
    holds: ["x", "×"],
    pattern: new RegExp(
      `(?<=\\b${IN_PACKS}\\b[^\\d]*)\\b(\\d{1,2})\\s*[x×]\\s*(\\d{2,3})(?:['’]?s)?\\s*$`,
      "giu",
    ),
    read: (all, packs, each) =>
      Number(each) >= FEWEST_IN_PACK ? `${inAll([packs!, each!])} pcs` : all!,
  },
  {
    name: "packs, and what that comes to",
    example: ["eye pads 2 boxes i.e. 4", "eye pads 4 pcs"],
    holds: ["i.e", "ie", "that is", "makes"],
    pattern: new RegExp(
      `(?<=\\p{L}.*)\\b${N}\\s+${PACKS}\\s*[,;(–-]?\\s*(?:i\\.?e\\.?|that\\s+is|which\\s+is|makes)\\s*,?\\s*(${N})(?:\\s*(?:pcs|pieces|in\\s+all|total))?\\s*\\)?\\s*$`,
      "iu",
    ),
    read: (_, inAll) => `${valueOf(inAll!)} pcs`,
  },
  {
    name: "packs, and pieces that may be theirs in all or each one's: the fewer, and the reader asks",
    example: ["eye pads 2 boxes, 4 pcs", "eye pads 4 pcs (2)"],
    holds: ["pcs", "pieces"],
    pattern: new RegExp(
      `(?<=\\p{L}[^\\d]*)\\b([2-9])\\s+${PACKS}\\s*,\\s*(\\d{1,4})\\s*(?:pcs|pieces)\\s*$`,
      "iu",
    ),
    read: (all, packs, pieces) =>
      Number(pieces) % Number(packs) === 0 ? `${pieces} pcs (${packs})` : all!,
  },
  {
    name: "packs, and in brackets what may be in each or in all: most likely in each, and the reader asks",
    example: ["eye pads 2 boxes (4)", "eye pads 8 pcs (4)"],
    holds: "(",
    pattern: new RegExp(
      `(?<=\\p{L}[^\\d]*)\\b([2-9])\\s+${PACKS}\\s*\\(\\s*(\\d{1,4})\\s*\\)\\s*$`,
      "iu",
    ),
    read: (all, packs, pieces) =>
      Number(pieces) % Number(packs) === 0
        ? `${Number(packs) * Number(pieces)} pcs (${pieces})`
        : all!,
  },
  {
    name: "packs by their s",
    example: ["eye pads 2 x 5's", "eye pads 2 packs of 5"],
    holds: ["x", "×"],
    pattern: /(?<=\p{L}[^\d]*)\b(\d{1,2})\s*[x×]\s*(\d{1,3})['’]?s\b\s*$/giu,
    read: "$1 packs of $2",
  },
  {
    name: "so many in each place",
    example: ["eye pads: 2 in pouch, 3 in the lid", "eye pads: 5 pcs"],
    holds: PLACES,
    pattern: new RegExp(
      `(?<=\\p{L}.*)\\b(\\d{1,3})(?:\\s+${IN_PLACE})?${AND}(?:and\\s+)?(\\d{1,3})\\s+${IN_PLACE}\\s*$|(?<=\\p{L}.*)\\b(\\d{1,3})\\s*\\(${IN_PLACE}\\)\\s*[,;+&]?\\s*(\\d{1,3})\\s*\\(${IN_PLACE}\\)\\s*$`,
      "iu",
    ),
    read: (_, one, other, oneBefore, otherBefore) =>
      `${Number(one ?? oneBefore) + Number(other ?? otherBefore)} pcs`,
  },
  {
    name: "where each of so many is",
    example: ["tourniquets x2 (1 on the outside, 1 in the lid)", "tourniquets x2"],
    holds: "(",
    pattern:
      /(?<=\d\s*)\(\s*\d{1,2}\s+(?:on|in|at)\s[^(),;\d]*(?:[,;&+]|\band\b)\s*(?:and\s+)?\d{1,2}\s+(?:on|in|at)\s[^()\d]*\)/iu,
    read: "",
  },
  {
    name: "so many, so many and so many",
    example: ["plasters 20 + 20 + 7", "plasters 47"],
    holds: "+",
    pattern: /(?<=\p{L}[^\d]*\s)\d{1,3}(?:\s*\+\s*\d{1,3}){2,5}\s*$/gu,
    read: (all) => String(all!.split("+").reduce((sum, n) => sum + Number(n), 0)),
  },
  {
    name: "packs, and how many are in each",
    example: ["plasters, three boxes, 20 in each", "plasters, three boxes of 20"],
    holds: ["in each", "each with", "each of"],
    pattern: new RegExp(
      `\\b(${N}\\s+${PACKS})\\s*,\\s*(?:(${N})\\s+in\\s+each|each\\s+(?:with|of)\\s+(${N}))\\b`,
      "giu",
    ),
    read: (_, packs, each, with_) => `${packs} of ${each ?? with_}`,
  },
  {
    name: "a pack with its size, and how many",
    example: ["plasters, pack size 20, qty 3", "plasters, 3 packs of 20"],
    holds: "pack size",
    pattern: /\bpack\s+size:?\s*(?:of\s+)?(\d{1,3})\b/gi,
    read: "pack of $1",
  },
  {
    name: "a pack in brackets with what it holds, and how many",
    example: ["plasters (box 20) 3", "plasters 3 boxes of 20"],
    holds: "(",
    pattern: new RegExp(
      `\\(\\s*${PACK}\\s+(?:of\\s+)?(\\d{1,3})\\s*\\)\\s*(?:[-–:x×]\\s*)?(\\d{1,3})\\s*$`,
      "giu",
    ),
    read: "$2 boxes of $1",
  },
  {
    name: "so many to a pack, times packs",
    example: ["plasters 100ct x2", "plasters 2 packs of 100"],
    holds: ["ct", "count"],
    pattern: /\b(\d{2,3})\s?-?(?:ct|count)\s*[x×]\s?(\d{1,2})\s*$/gi,
    read: "$2 packs of $1",
  },
];
