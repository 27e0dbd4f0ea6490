import { NUMBER_SAID, NUMBER_WORDS } from "./numberWords.ts";
import { COLOUR, PACK, PACKS, partOf, PARTS, valueOf, type Phrase } from "./phrase.ts";

/** Ways of writing how many there are: what is left, used, put right or shared out. */

const N = NUMBER_WORDS;

/** An ordered table: an earlier phrase may make what a later one reads. */
export const COUNT_PHRASES: readonly Phrase[] = [
  {
    name: "so many, and where they all lie",
    example: ["eye wash 4 - two at the gate, two here", "eye wash 4"],
    holds: [" at ", " in ", " on ", " here", " by "],
    pattern: new RegExp(
      `(?<=(?<![\\d.,x×])(\\d{1,3})(?:\\s?(?:pcs|off))?)\\s*(?:[-–:(]|,)\\s*(${N})\\s+(?:at|in|on|by|here|for)(?:\\s+[\\p{L}'’]+){0,4}(?:,|\\s+and|,\\s+and|\\s*[+&])\\s+(${N})\\s+(?:at|in|on|by|here|for|there)(?:\\s+[\\p{L}'’]+){0,4}\\)?(?=\\s*[.!]?$)`,
      "giu",
    ),
    read: (all, total, some, others) =>
      valueOf(some!) + valueOf(others!) === Number(total) ? "" : all!,
  },
  {
    name: "both of them",
    example: ["5 wipes, both slings and a whistle", "5 wipes, 2 slings and a whistle"],
    holds: "both ",
    pattern:
      /(?<=(?:^|[,;:]|\b(?:and|have|has|had))\s*)both\s+(?:of\s+)?(?:the\s+)?(?=(?:\p{L}+\s){0,2}\p{L}+[^s\s]s\b)/giu,
    read: "2 ",
  },
  {
    name: "a pack as it came",
    example: ["a box of forty that nobody has touched", "a box of forty"],
    holds: ["nobody", "no one", "unopened"],
    pattern: new RegExp(
      `(?<=${PACKS}\\s+of\\s+(?:${N}))(?:\\s+(?:that|which)\\s+(?:nobody|no\\s+one)\\s+has\\s+(?:yet\\s+)?(?:touched|opened)|,?\\s+(?:that['’]s\\s+|which\\s+is\\s+|still\\s+)?unopened)(?=\\s*(?:[,.;]|$))`,
      "giu",
    ),
    read: "",
  },
  {
    name: "a pack, and how many one thinks it holds",
    example: ["a strip of plasters, six I think, and a whistle", "six plasters, and a whistle"],
    holds: ["i think", "i reckon", "i guess", "i’d say", "i'd say", "by the look"],
    pattern: new RegExp(
      `\\b(?:an?|one|the)\\s+${PACKS}\\s+of\\s+(\\p{L}[^,;:.\\d]*?),\\s+(?:about\\s+|maybe\\s+)?(${N})\\s+(?:i\\s+think|i\\s+reckon|i\\s+guess|i['’]d\\s+say|by\\s+the\\s+look(?:s)?\\s+of\\s+it)(?=\\s*(?:[,.;]|$))`,
      "giu",
    ),
    read: "$2 $1",
  },
  {
    name: "packs, what they come to, and those of another pack",
    example: [
      "a fresh pack of blue plasters, that's a hundred, and a dozen left in the old one",
      "a hundred blue plasters, and a dozen blue plasters",
    ],
    holds: ["that's", "that’s", "that is", "makes", "making"],
    pattern: new RegExp(
      `\\b(?:an?|one|the|(?:${N}))\\s+(?:(?:fresh|new|full|whole|unopened|sealed|big|large|small)\\s+)?${PACKS}\\s+of\\s+(\\p{L}[^,;:.\\d]*?),?\\s+(?:that['’]?s|that\\s+is|which\\s+makes|makes|making)\\s+(${N})(?![\\p{L}\\d])(?:\\s+(?:in\\s+all|in\\s+total|altogether|total))?(?:,?\\s+(?:and|plus)\\s+(?:(?:about|another|maybe|roughly|some)\\s+)*(${N})\\s+(?:(?:left|more|loose|over)(?:\\s+(?:in|from|of|out\\s+of)\\s+(?:the|an?)\\s+[\\p{L}]+(?:\\s+\\p{L}+)?)?))?(?=\\s*(?:[,.;]|$))`,
      "giu",
    ),
    read: (_, name, count, more) =>
      more === undefined ? `${count} ${name}` : `${count} ${name}, and ${more} ${name}`,
  },
  {
    name: "so many more of another thing",
    example: ["another eight cold packs", "eight cold packs"],
    holds: "another ",
    pattern: new RegExp(`\\banother\\s+(?!one\\b)(?=(?:${N})\\b)`, "giu"),
    read: "",
  },
  {
    name: "what remains, said before its number",
    example: ["plasters, box of 20 (remaining 12)", "plasters, box of 20 (, make that 12)"],
    holds: "remaining",
    pattern: /\bremaining:?\s+(\d{1,4})(?!\s*(?:mm|cm|ml|x|×))\b/gi,
    read: "$1 left",
  },
  {
    name: "a quantity told by its word, set apart",
    example: ["swabs, 5s — Qty: 4 — Loc: lid", "swabs, 5s x 4 — Loc: lid"],
    holds: ["qty", "quantity"],
    pattern: /(?<=\p{L}.*)\s+[—–·|]\s*(?:qty|quantity)\b\.?\s*[:=]?\s*(\d{1,4})\b/giu,
    read: " x $1",
  },
  {
    name: "so many in the kit, and no inches",
    example: ["plasters: 5 in kit", "plasters: 5"],
    holds: " in ",
    pattern:
      /(?<=\p{L}.*\s)(\d{1,3})\s+in\s+(?:kit|box|bag|tin|case|pouch|van|vehicle|store|stock|drawer|cupboard|cabinet|locker|total|all|hand|place)(?=\s*(?:[,.;)|"]|$))/giu,
    read: "$1",
  },
  {
    name: "a size by its letter, set apart before so many pairs",
    example: ["Gloves / nitrile / L 12 pr", "Gloves / nitrile / (L) 12 pr"],
    holds: " p",
    pattern:
      /(?<=\p{L}\s*[:/–-][^()]{0,30}?[\s,])(X{0,3}[SL]|M)\s+(?=\d{1,3}\s*(?:prs?|pairs?)\.?\s*$)/giu,
    read: "($1) ",
  },
  {
    name: "each, at the end of a stock list's line",
    example: ["EYE WASH 4OZ EA", "EYE WASH 4OZ, 1 pcs"],
    holds: " ea",
    pattern: /(?<=\p{L})\s+EA\.?\s*$/u,
    read: ", 1 pcs",
  },
  {
    name: "so many of it left",
    example: ["there are nine plasters left, two wipes", "nine plasters, two wipes"],
    holds: " left",
    pattern: new RegExp(
      `(?:^|(?<=[,;]\\s*))(?:there(?:'s|\\s+are|\\s+is)\\s+)?(${N})\\s+(\\p{L}{3,}(?:\\s\\p{L}{3,})?)\\s+left(?=\\s*[,.;]|\\s*$)`,
      "giu",
    ),
    read: "$1 $2",
  },
  {
    name: "so many of so many left",
    example: ["plasters 18/20 left", "plasters 18"],
    holds: "left",
    pattern: /\b(\d{1,3})\s?\/\s?\d{1,3}\s+left\b/gi,
    read: "$1",
  },
  {
    name: "about so many of it left, in a list",
    example: ["ice 3, plasters like 15 left, nose plugs 6", "ice 3, plasters 15, nose plugs 6"],
    holds: " left",
    pattern: new RegExp(
      `(?<=(?:^|[,;])\\s*\\p{L}[^,;\\d]{1,40}?)(?<!\\bbut)\\s+(?:like|about|only|maybe|just|roughly|around|approx\\.?)\\s+(${N})\\s+left(?=\\s*(?:[,;]|$))`,
      "giu",
    ),
    read: " $1",
  },
  {
    name: "what became of so many, behind an arrow in brackets",
    example: ["ice packs 5 (one split, binned -> 4)", "ice packs 4"],
    holds: ["->", "=>", "→"],
    pattern: /\b\d{1,3}\s*\([^()]*(?:->|=>|→)\s*(\d{1,3})\s*\)/g,
    read: "$1",
  },
  {
    name: "counting aloud",
    example: ["we've got one two three strips", "we've got three strips"],
    holds: "one two ",
    pattern: /\bone two (?:three four five six|three four five|three four|three)\b/gi,
    read: (counted) => counted!.split(" ").at(-1)!,
  },
  {
    name: "so many of each of two in brackets",
    example: ["spacers (adult + child) x1 each", "spacers (adult + child) x 2"],
    holds: " each",
    pattern:
      /(?<=\(\p{L}[^()+&,/\d]*(?:[+&,/]|\band\b)[^()+&,/\d]*\))\s*[x×:–-]?\s*(\d{1,2})\s+(?:of\s+)?each\b/giu,
    read: (_, n) => ` x ${2 * Number(n)}`,
  },
  {
    name: "what each holds, said behind the packs",
    example: ["three strips each of seven", "three strips of seven"],
    holds: " each of ",
    pattern: new RegExp(`\\b(${PACKS})\\s+each\\s+of\\s+(${N})\\b`, "giu"),
    read: "$1 of $2",
  },
  {
    name: "so many left from a pack",
    example: ["plasters – 17 left from a box of 40", "plasters x 17"],
    holds: "left",
    pattern: new RegExp(
      `\\s*[-–,:(]?\\s*\\b(${N})\\s+left\\s+(?:from|of|out\\s+of|in)\\s+(?:an?|the|one)\\s+(?:\\p{L}+\\s+)?of\\s+(?:${N})\\)?`,
      "giu",
    ),
    read: " x $1",
  },
  {
    name: "so many left, in brackets behind a name that has no number",
    example: ["eye pads (3 left), slings (6 left)", "eye pads (3), slings (6)"],
    holds: "left",
    pattern: new RegExp(
      `\\((?<=(?:^|[,;]\\s|\\sand\\s)(?:(?!\\b(?:${NUMBER_SAID})\\b)[^,;()\\d])*\\()(${N})\\s+left\\)`,
      "giu",
    ),
    read: "($1)",
  },
  {
    name: "so many left of a pack",
    example: [
      "paracetamol packet of twenty there's twelve left",
      "paracetamol packet of twenty, make that twelve",
    ],
    holds: "left",
    pattern: new RegExp(
      `(?<=\\p{L}{2}.*)(?:,|;|\\b(?:with|but|and))?\\s*(?:there(?:'?s| is| are))?\\s*(?:only|about)?\\s*\\b(${N})\\s+(?:\\p{L}+\\s+)?left(?:\\s+(?:in|of|over)\\s+(?:it|them|that|the \\p{L}+))?\\b`,
      "giu",
    ),
    read: ", make that $1",
  },
  {
    name: "so many, some of them used",
    example: ["2 cold packs, 1 used", "1 cold packs"],
    holds: ["used", "gone", "opened", "damaged", "torn", "missing", "spoilt"],
    pattern: new RegExp(
      `\\b(\\d{1,3})(\\s+\\p{L}[^,;()\\d]*?),\\s*(\\d{1,3})\\s+(?:used|gone|opened|damaged|torn|missing|spoilt)\\b`,
      "giu",
    ),
    read: (all, n, name, used) =>
      Number(used) < Number(n) ? `${Number(n) - Number(used)}${name!}` : all!,
  },
  {
    name: "how full it is",
    example: ["tincture of iodine, 1 bottle, two thirds full", "tincture of iodine, 1 bottle"],
    holds: ["full", "empty", "used up"],
    pattern:
      /,?\s*\b(?:about\s+|nearly\s+|almost\s+)?(?:two thirds|a third|one third|three quarters|a quarter|half|nearly|almost)\s+(?:full|empty|used up)\b/gi,
    read: "",
  },
  {
    name: "what state it is in",
    example: ["bandages, triangular, 6 in good order", "bandages, triangular, 6"],
    holds: " in ",
    pattern: /\s+in\s+(?:good|fair|poor|working|usable|perfect)\s+(?:order|condition|shape)\b/gi,
    read: "",
  },
  {
    name: "so many, less those that were used",
    example: ["aspirin, 100 tablets, less 22 issued", "aspirin, 78 tablets"],
    holds: ["less", "minus"],
    pattern: /\b(\d{1,4})((?:\s+\p{L}+)?),?\s+(?:less|minus)\s+(?:the\s+)?(\d{1,3})\b[^,;]*/giu,
    read: (all, n, name, used) =>
      Number(used) < Number(n) ? `${Number(n) - Number(used)}${name!}` : all!,
  },
  {
    name: "so many and so many more",
    example: ["3+1 pairs of gloves", "4 pairs of gloves"],
    holds: "+",
    pattern: /\b(\d{1,3})\+(\d{1,3})\b/g,
    read: (_, a, b) => `${Number(a) + Number(b)}`,
  },
  {
    name: "a number that one is not sure of",
    example: ["safety pins (8?)", "safety pins (8)"],
    holds: "?)",
    pattern: /\((?:maybe|about|approx\.?|ca\.?|~)?\s*(\d{1,3})\s*\?\)/gi,
    read: "($1)",
  },
  {
    name: "a handful",
    example: ["a handful of safety pins (8)", "safety pins (8)"],
    holds: ["hand", "bunch", "load", "pile", "stack"],
    pattern:
      /\b(?:a\s+)?(?:handful|bunch|load|pile|stack|couple of handfuls)\s+(?:of\s+)?(?=[^;]*\d)/gi,
    read: "",
  },
  {
    name: "so many, and how many are left behind an arrow",
    example: ["12 safety pins -> 0", "0 safety pins"],
    holds: ["->", "→", "=>"],
    pattern: /^(\W*)\d{1,3}\s*(?:[x×]\s*)?(\p{L}[^\d]*?)\s*(?:->|→|=>)\s*(\d{1,3})\s*$/giu,
    read: "$1$3 $2",
  },
  {
    name: "only so many counted",
    example: ["says forty on it but i count thirty two", "says forty on it, make that thirty two"],
    holds: ["count", "call it", "make", "so", "say", "but "],
    pattern: new RegExp(
      `(?:\\s*[,;]?\\s*\\bbut\\s+i\\s+(?:only\\s+)?(?:count|make\\s+it)|\\s*[,;]?\\s*\\bbut\\s+(?:(?:there(?:['’]?s|\\s+is|\\s+are)|it['’]?s)\\s+)?(?:only)?(?=\\s*\\b(?:${N})(?:\\s+(?:are\\s+)?(?:left|in\\s+it|in\\s+there|there|remain(?:ing)?)\\b|\\s*$))|(?:\\s*[,;]?\\s*\\b(?:but\\s+)?it'?s\\s+\\p{L}+)?\\s+call\\s+it|(?<=,[^,\\d]*)\\s+so\\s+say|(?<=[,)])\\s*so(?:\\s+(?:count|say))?|\\s+so\\s+count|\\s*(?:→|->|,)\\s*say)\\s+(?=(?:${N})\\b(?!\\s+\\p{L}+\\s+of\\b))`,
      "giu",
    ),
    read: ", make that ",
  },
  {
    name: "counted otherwise than it says",
    example: ["full box (it says 100 but I counted 82)", "full box, make that 82"],
    holds: "says",
    pattern: new RegExp(
      `\\s*\\(?\\s*(?:it\\s+)?says\\s+(?:${N})\\s*,?\\s*but\\s+(?:i|we|there)(?:\\s+(?:have|only|are))*\\s+(?:count(?:ed)?|found|make\\s+it)?\\s*(${N})\\s*\\)?`,
      "giu",
    ),
    read: ", make that $1",
  },
  {
    name: "what it comes to, said last",
    example: ["two strips of ten less four so sixteen", "two strips of ten, make that sixteen"],
    holds: " so ",
    pattern: new RegExp(
      `(?:,?\\s+(?:less|minus|but)\\s+[^,;]*?)?,?\\s+so\\s+(?:that'?s\\s+)?(${N})\\s*\\.?\\s*$`,
      "giu",
    ),
    read: ", make that $1",
  },
  {
    name: "one and one, in a column",
    example: ["mask, child and adult       1 + 1", "mask, child and adult       2"],
    holds: "+",
    pattern: /(?<=\s{2})(\d{1,2})\s*\+\s*(\d{1,2})\s*$/g,
    read: (_, one, other) => String(Number(one) + Number(other)),
  },
  {
    name: "about so many, by its ending",
    example: ["plasters, 30 ish", "plasters, 30"],
    holds: "ish",
    pattern: /\b(\d{1,4})\s?-?ish\b/gi,
    read: "$1",
  },
  {
    name: "a part of so many",
    example: ["plasters - about half of the 60", "plasters - 30 pcs"],
    holds: " of ",
    pattern: new RegExp(
      `\\b(?:(?:about|roughly|nearly|some)\\s+)?(?:an?\\s+|one\\s+)?(${Object.keys(PARTS).join("|")})\\s+of\\s+(?:the\\s+)?(\\d{1,4})\\b`,
      "giu",
    ),
    read: (_, part, of) => `${partOf(of!, part!)} pcs`,
  },
  {
    name: "that it is there",
    example: ["leaflet - there", "leaflet - 1"],
    holds: ["there", "present", "yes", "ok"],
    pattern: /(?<=\p{L}{3}\s+)([-–—])\s+(?:there|present|yes|ok(?:ay)?|in place)\s*\.?\s*$/giu,
    read: "$1 1",
  },
  {
    name: "what was used and put in, and how many there are now",
    example: ["plasters: used 6, added 10, now 24", "plasters: 24"],
    holds: ["now", "left", "remain", "leav"],
    pattern:
      /(?:\b(?:used|added|was|were|had|took(?:\s+out)?|taken|put\s+(?:in|back)|replaced|restocked|opened|start(?:ed)?)\s*(?::\s*)?\d{1,4}(?:\s*(?:[,;+]|->|→)\s*|\s+(?:and\s+)?)){1,4}(?:so\s+|are\s+|is\s+)?(?:now|left|remaining|remains?|leaves|leaving)\s*(?::\s*)?(\d{1,4})\b/gi,
    read: "$1",
  },
  {
    name: "how many there should be, said behind",
    example: ["plasters 7, min 10", "plasters 7"],
    holds: ["min", "max", "par ", "target", "should be"],
    pattern:
      /\s?[,;(/–-]?\s?\b(?:min(?:imum)?|max(?:imum)?|par|target|should\s+be)(?<=\d.*)\.?:?\s*\d{1,4}\)?\s*$/gi,
    read: "",
  },
  {
    name: "a count, and packs in brackets: both may be meant, and the reader asks",
    example: ["plasters 40 (2 boxes)", "plasters 40 pcs (80?)"],
    holds: "(",
    pattern: new RegExp(
      `\\b(\\d{1,4})(?<=\\p{L}{3}.*)(?:\\s*(?:pcs|pieces))?\\s*\\(\\s*([2-9])\\s+${PACK}(?:es|s)\\s*\\)\\s*$`,
      "giu",
    ),
    read: (_, n, packs) => `${n} pcs (${Number(n) * Number(packs)}?)`,
  },
  {
    name: "how wide a roll is, without its unit",
    example: ["conf bdg 7.5 - 3", "conf bdg 7.5 cm - 3"],
    holds: [".", ","],
    // Widths that are made in centimetres, and in no inches.
    pattern:
      /(?<=\b(?:bandages?|b(?:an?)?n?dg\w{0,2}|band|crepes?|conf(?:orm\w*)?|elast\w*|tapes?|gauze\s+rolls?|wraps?)\b[^\d,;]{0,20}\s)(?:1[.,]25|2[.,]5|3[.,](?:75|8)|7[.,]5|12[.,]5)(?=\s*(?:[x×]\d{1,2}(?![\d.,])|[-–:(=]|,\s|\s\d{1,3}\s*$|$))/gi,
    read: "$& cm",
  },
  {
    name: "used, and so not there",
    example: ["eye wash, one used and gone", "eye wash, one gone"],
    holds: "gone",
    pattern: /\b(?:used(?:\s+up)?|opened|broken|lost)\s*(?:,|and|&)\s*(?=gone\b)/gi,
    read: "",
  },
  {
    name: "so many full, and so many begun",
    example: ["cold spray - 1 full, 1 half", "cold spray - 2"],
    holds: "full",
    pattern:
      /\b(\d{1,3})\s+full\s*(?:,|and|\+|&)+\s*(\d{1,3})\s+(?:half(?:\s+(?:full|empty))?|(?:nearly|almost)\s+(?:full|empty)|open(?:ed)?|part(?:ly)?\s+used|begun)\b/gi,
    read: (_, full, begun) => String(Number(full) + Number(begun)),
  },
  {
    name: "so many, and in brackets how many of each colour",
    example: ["rehydration sachets 10 (5 orange, 5 lemon)", "rehydration sachets 10"],
    holds: "(",
    pattern: new RegExp(
      `\\b(\\d{1,3})((?:\\s+\\p{L}+)?)\\s*\\(\\s*(${N})\\s+${COLOUR}\\s*(?:,|and|&|\\+)?\\s*(${N})\\s+${COLOUR}\\s*\\)`,
      "giu",
    ),
    read: (all, n, unit, one, other) =>
      valueOf(one!) + valueOf(other!) === Number(n) ? `${n}${unit}` : all!,
  },
  {
    name: "one of them spoilt",
    example: ["sachets four scratch that three one's split", "sachets four scratch that three"],
    holds: ["split", "torn", "open", "broken", "damaged", "used", "dried"],
    pattern:
      /,?\s*\b(?:one|two)(?:'s|\s+is|\s+are)\s+(?:split|torn|open(?:ed)?|broken|damaged|used|dried\s+out)\b/gi,
    read: "",
  },
];
