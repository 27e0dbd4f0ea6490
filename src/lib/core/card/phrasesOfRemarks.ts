import { saysGone } from "./absence.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { PLACE_WORDS } from "./placeWords.ts";
import type { Phrase } from "./phrase.ts";

/** What is said of a thing besides: its state, its date, where it lies; it goes, for it names and counts nothing. */

const N = NUMBER_WORDS;

/** Stands right before what is said behind a count. */
const BEHIND_COUNT =
  "(?<=[\\s(x×,:=-]\\d{1,4}(?:\\s?(?:pcs|pieces|pairs?|prs?|off|ea|left|in total))?)";
/** Of what is there. */
const FOUND_WORDS = [
  ...["checked", "ok", "okay", "yes", "present", "seen", "replaced", "renewed", "topped up"],
  ...["sealed", "intact", "in date", "complete", "correct", "counted", "fine", "all there"],
];

/** What is said of some of them goes, unless it says that they are not there or in what state: used, opened, or one of these words. */
function unlessItSays(states: string): (all?: string, remark?: string) => string {
  const says = new RegExp(`\\b(?:used|open(?:ed)?|${states})\\b`, "i");
  return (all, remark) => (saysGone(remark!) || says.test(remark!) ? all! : "");
}

/** An ordered table: an earlier phrase may make what a later one reads. */
export const REMARK_PHRASES: readonly Phrase[] = [
  {
    name: "for how many people it is",
    example: ["a group shelter for four", "a group shelter"],
    holds: " for ",
    pattern: new RegExp(
      `(?<=^\\W*(?:an?|one|1)\\s[^\\d,;]*)\\s+for\\s+(?:${NUMBER_WORDS})(?:\\s+(?:people|persons?|men|adults|heads))?\\s*$`,
      "iu",
    ),
    read: "",
  },
  {
    name: "with a part of its own, before the count",
    example: ["tourniquet, with time label      qty 4", "tourniquet      qty 4"],
    holds: "with ",
    pattern:
      /(?<=\p{L}{3}),?\s+with\s+(?:an?\s+|its\s+)?(?:\p{L}+\s+)?(?:labels?|instructions?|leaflets?|straps?|lids?|caps?|covers?|tags?|handles?|lanyards?)(?=\s{2,}(?:(?:qty|quantity|no)\.?\s*:?\s*)?\d{1,4}\s*$)/iu,
    read: "",
  },
  {
    name: "its lot, said aloud",
    example: ["ten plasters lot number two two four seven something", "ten plasters"],
    holds: ["lot ", "batch "],
    pattern:
      /,?\s*\b(?:lot|batch)(?:\s+(?:number|no\.?))?(?:\s+(?:zero|oh|one|two|three|four|five|six|seven|eight|nine|(?:ten|eleven|twelve)|\p{L}+teen|twenty|[a-z])(?!\p{L})){2,}(?:\s+something)?(?!\p{L})/giu,
    read: "",
  },
  {
    name: "that it is not in the box",
    example: ["eye pads, not in this box", "eye pads, not in here"],
    holds: "not in ",
    pattern:
      /(?<=,\s*)not\s+in\s+(?:this|the|that|our|my)\s+(?:box|bag|kit|pack|pouch|case|tin|rucksack|drawer|cabinet)\b(?=\W*$)/i,
    read: "not in here",
  },
  {
    name: "how one goes on speaking",
    example: ["along with two eye pads", "two eye pads"],
    holds: ["with", "followed", "that", "those", "them", "this", "it", "hang on", "hold on"],
    pattern: new RegExp(
      `^\\s*(?:(?:starting|along|together)\\s+with|followed\\s+by|(?:behind|beside|beneath|next\\s+to|on\\s+top\\s+of)\\s+(?:that|those|them|it|this)|(?:hang|hold)\\s+on)\\s+(?=(?:${NUMBER_WORDS}|an?)\\s)`,
      "giu",
    ),
    read: "",
  },
  {
    name: "what it is wrapped in",
    example: [
      "burn dressing, sterile, in foil pouch, 10 x 10 cm",
      "burn dressing, sterile, 10 x 10 cm",
    ],
    holds: " in ",
    pattern:
      /(?<=\p{L}),?\s+(?:packed\s+|sealed\s+)?in\s+(?:an?\s+)?(?:(?:sterile|sealed|individual|resealable|clear)\s+)?(?:foil|paper|plastic|vacuum|peel|airtight|waterproof|zip)\s?(?:pouch(?:es)?|wrap(?:p(?:er|ing)s?)?|bags?|envelopes?|sachets?|packag(?:e|ing)|packs?|sleeves?)(?!\p{L})/giu,
    read: "",
  },
  {
    name: "where one begins",
    example: ["Starting from the top tray: two eye pads", "two eye pads"],
    holds: ["starting", "beginning"],
    pattern:
      /^\W*(?:starting|beginning)\s+(?:from|at|with|in)\s+(?:the\s+)?[^:,;\d]{3,30}[:,]\s+(?=\S)/i,
    read: "",
  },
  {
    name: "which of several it lies in",
    example: ["tray 1 = 20 strips, tray 2 = 12 pads", "20 strips, 12 pads"],
    holds: "=",
    pattern: new RegExp(
      `\\b(?:${PLACE_WORDS})\\s+(?:no\\.?\\s*)?(?:\\d{1,2}|[A-F])\\s*=\\s*(?=\\d)`,
      "gi",
    ),
    read: "",
  },
  {
    name: "what was found of it, behind its count",
    example: ["plasters, 24 checked", "plasters, 24"],
    holds: FOUND_WORDS,
    pattern: new RegExp(
      `${BEHIND_COUNT}\\s*[,;(–-]*\\s*(?:all\\s+)?(?:${FOUND_WORDS.join("|")})(?:\\s+\\d{1,2}[/.]\\d{2,4})?\\)?\\s*$`,
      "giu",
    ),
    read: "",
  },
  {
    name: "and what is with them",
    example: ["12 plasters (2), along with 2 wipes", "12 plasters (2), 2 wipes"],
    holds: ["along with", "together with"],
    pattern: /,?\s+(?:along|together)\s+with\s+(?=[^,;]*\d)/gi,
    read: ", ",
  },
  {
    name: "what it had in it",
    example: ["The bag had 12 plasters and 2 wipes in it.", "12 plasters and 2 wipes"],
    holds: " had ",
    pattern:
      /^\W*(?:the|this|that|my|our)\s+(?:\p{L}+\s+)?\p{L}+\s+(?:had|has)\s+(?=\S.*\d)(.+?)(?:\s+in\s+(?:it|there))?\.?\s*$/iu,
    read: "$1",
  },
  {
    name: "how many of them are past their date",
    example: ["burn gel - 6, two past date", "burn gel - 6"],
    holds: ["past", "out of date", "expired"],
    pattern: new RegExp(
      `${BEHIND_COUNT}\\s*[,;(–-]\\s*(?:${N})\\s+(?:of\\s+them\\s+)?(?:past|out\\s+of|over)\\s+(?:its\\s+|their\\s+|the\\s+)?dates?\\)?`,
      "giu",
    ),
    read: "",
  },
  {
    name: "without what it is fastened or worked with",
    example: ["a triangular bandage with no pins", "a triangular bandage"],
    holds: " with",
    pattern:
      /(?<=\p{L}{3}),?\s+with(?:\s+no|out(?:\s+(?:any|its|their|the))?)\s+(?:safety\s+)?(?:pins?|clips?|hooks?|fasteners?|caps?|covers?|tags?|bulbs?|handles?|straps?|batter(?:y|ies))\b/giu,
    read: "",
  },
  {
    name: "what it needs",
    example: ["thermometer needs a battery", "thermometer"],
    holds: " need",
    pattern:
      /\s*[,;–-]?\s+needs?\s+(?:an?\s+|new\s+)*(?:batter(?:y|ies)|charging|cleaning|washing|sharpening|a\s+wash)\b/gi,
    read: "",
  },
  {
    name: "that it is there",
    example: ["There is also a whistle.", "a whistle."],
    holds: "there",
    pattern: new RegExp(
      `^\\W*there(?:['’]?s|\\s+(?:is|are))\\s+(?:also\\s+)?(?=(?:${N}|an?)\\s)`,
      "iu",
    ),
    read: "",
  },
  {
    name: "that they come with it",
    example: ["supplied with 12 plasters, 2 wipes", "12 plasters, 2 wipes"],
    holds: " with ",
    pattern: new RegExp(
      `^\\W*(?:it\\s+)?(?:comes?|supplied|delivered|sold|shipped|packed|filled)\\s+with\\s*:?\\s+(?=(?:${N}|an?)\\s|[^,;.]{3,40}\\d)`,
      "iu",
    ),
    read: "",
  },
  {
    name: "a kit and in brackets what is in it",
    example: ["Small kit (12 plasters, 2 wipes)", "12 plasters, 2 wipes"],
    holds: ["kit", "box", "bag", "set", "pouch", "tin"],
    pattern: new RegExp(
      `^[^():,;\\d]{0,40}\\b(?:kit|box|bag|set|pouch|tin)\\s*\\((?=\\s*(?:(?:${N})\\s*(?:[x×]\\s*)?\\p{L}{3}|an?\\s))([^()]*[,;+&][^()]*)\\)\\s*$`,
      "iu",
    ),
    read: "$1",
  },
  {
    name: "that it is wrapped still",
    example: ["two rolled bandages still in their paper, tape", "two rolled bandages, tape"],
    holds: "still",
    pattern:
      /,?\s*\bstill\s+(?:in\s+(?:its|their|the)\s+(?:\p{L}+\s+)?(?:paper|wrapp(?:er|ing)|packet|packaging|box|plastic|foil|sleeve)s?|sealed|wrapped)/giu,
    read: "",
  },
  {
    name: "where they lie, behind their count",
    example: ["gauze pads, 6 – top pocket", "gauze pads, 6"],
    holds: ["- ", "– ", "— "],
    pattern: new RegExp(
      `${BEHIND_COUNT}\\s+[-–—]\\s+(?:in\\s+)?(?:the\\s+)?(?:(?:top|bottom|front|back|side|left|right|inner|outer|main|lid|mesh|zip|first|lower|upper|red|blue|green|yellow)\\s+){1,2}(?:pocket|pouch|tray|shelf|flap|bag|box|drawer|compartment|lid)s?\\s*$`,
      "giu",
    ),
    read: "",
  },
  {
    name: "where some of them came from, in brackets",
    example: ["ice packs: 14 (10 from sponsor)", "ice packs: 14"],
    holds: "(",
    pattern: new RegExp(
      `${BEHIND_COUNT}\\s*\\((?:${N})\\s+(?:from|donated|given|bought|new|old|older|spare|borrowed)\\b[^()\\d]*\\)`,
      "giu",
    ),
    read: "",
  },
  {
    name: "which of them is past its date, in brackets",
    example: ["dressings: M 5, L 3 (1 L is out of date)", "dressings: M 5, L 3"],
    holds: ["out of date", "expired", "past"],
    pattern: new RegExp(
      `\\s*\\((?:${N})\\s+(?:[SML]\\s|small\\s|medium\\s|large\\s|of\\s+(?:them|these)\\s)?(?:(?:is|are)\\s+)?(?:out\\s+of\\s+date|expired|past\\s+(?:its\\s+|their\\s+)?date)\\)`,
      "giu",
    ),
    read: "",
  },
  {
    name: "and so many more",
    example: ["eyewash: 2 x 500 ml, + 8 pods", "eyewash: 2 x 500 ml + 8 pods"],
    holds: ", +",
    pattern: /,\s*(?=\+\s)/g,
    read: " ",
  },
  {
    name: "what one of them is like, in brackets",
    example: ["plasters - 24 (one open)", "plasters - 24"],
    holds: "(",
    pattern: new RegExp(
      `${BEHIND_COUNT}\\s*\\((?:one|1)\\s+(?:of\\s+them\\s+)?(?:is\\s+)?(?:open(?:ed)?|unwrapped|faded|creased|dusty|new|damp|bent)\\)`,
      "giu",
    ),
    read: "",
  },
  {
    name: "how many are wanted, in brackets",
    example: ["plasters 24 (need 20)", "plasters 24"],
    holds: ["need", "want", "should", "target"],
    pattern: new RegExp(
      `${BEHIND_COUNT}\\s*\\((?:needs?|needed|want(?:ed)?|should be|target)\\s*:?\\s*\\d{1,3}\\)`,
      "giu",
    ),
    read: "",
  },
  {
    name: "where on the wall it hangs",
    example: ["eyewash, 2 bottles on the wall by the sink", "eyewash, 2 bottles"],
    holds: " the ",
    pattern:
      /(?:\s+(?:on|by|at|under|behind|beside|near|above|next to)\s+the\s+(?:wall|sink|door|shelf|window|desk|oven|bar|till|counter|basin|table|stairs|gate|entrance|bench|wheel|mast|helm|hatch|lid|seat))+(?=\s*(?:[,;(.]|$))/gi,
    read: "",
  },
  {
    name: "a remark on one of them",
    example: ["triangular cloth - two, one is a scarf", "triangular cloth - two"],
    holds: "one ",
    pattern:
      /,\s*(?:one|the other)\s+(?:of\s+(?:them|which|those|these)\s+)?(?:is|was)\s+(?:an?\s+)?\p{L}[^,;\d]*$/giu,
    read: (remark) =>
      saysGone(remark!) || /\b(?:used|expired|torn|empty|gone)\b/i.test(remark!) ? remark! : "",
  },
  {
    name: "what is wanting on one of them",
    example: ["large dressing: 3 (1 date gone)", "large dressing: 3"],
    holds: ["date", "label", "name", "wrapper", "lid"],
    pattern: new RegExp(
      `${BEHIND_COUNT}\\s*\\((?:one|two|\\d{1,2})\\s+(?:dates?|labels?|names?|wrappers?|lids?)\\s+(?:gone|missing|faded|unreadable|torn|lost)\\)`,
      "giu",
    ),
    read: "",
  },
  {
    name: "what some of them are",
    example: ["triangulars: 4, two still in wrappers", "triangulars: 4"],
    holds: [" still", " are ", " have ", " were ", " look"],
    pattern: new RegExp(
      `(?<=\\d[^,;]*),\\s*(?:${N})\\s+(?:still|are|have|were|looks?)\\s+([^,;\\d]*)$`,
      "giu",
    ),
    read: unlessItSays(
      String.raw`expired|out|past|torn|empty|gone|left|here|there|short|broken|damaged`,
    ),
  },
  {
    name: "of which some are of another kind",
    example: ["20 plasters, 3 of them blue", "20 plasters"],
    holds: ["of them", "of these", "of those", "of which"],
    pattern: new RegExp(
      `(?<=\\b(?:${N})\\b[^,;()]*)\\s*[,(]\\s*(?:(?:${N})\\s+of\\s+(?:them|these|those|which)|of\\s+(?:them|these|those|which)\\s+(?:${N}))\\s+((?:\\p{L}[\\p{L}'’-]*\\s*){1,3})\\)?\\s*$`,
      "giu",
    ),
    read: unlessItSays(
      String.raw`expired|out\s+of\s+date|past|torn|empty|gone|left|missing|short|broken|damaged`,
    ),
  },
  {
    name: "of which some are of another kind, said without a stop",
    example: ["two bandages one of them wide", "two bandages"],
    holds: ["of them", "of which"],
    pattern: new RegExp(
      `(?<=^\\W*(?:${N})\\s[^,;()\\d]*)\\s+(?:${N})\\s+of\\s+(?:them|which)\\s+((?:\\p{L}[\\p{L}'’-]*\\s*){1,3})$`,
      "giu",
    ),
    read: unlessItSays(
      String.raw`expired|out|past|torn|empty|gone|left|missing|short|broken|damaged|has|have|with`,
    ),
  },
  {
    name: "what some of them are, in brackets",
    example: ["40 plasters (20 of them blue), 8 wipes", "40 plasters, 8 wipes"],
    holds: ["of them", "of these", "of those", "of which"],
    pattern: new RegExp(
      `(?<=\\d[^()\\d]*)\\s*\\((?:${N})\\s+of\\s+(?:them|these|those|which)\\s+([^()\\d]*)\\)`,
      "giu",
    ),
    read: unlessItSays("empty|gone|left|missing|short"),
  },
  {
    name: "what one of them is, among others",
    example: [
      "four dressings, one of them past its date, and a whistle",
      "four dressings, and a whistle",
    ],
    holds: "one of the",
    pattern:
      /,\s*one\s+of\s+(?:them|these|those)\s+(?:(?:already|just|slightly|a\s+bit)\s+)?(?:past|out\s+of|in)\s+(?:its\s+|it|date)[^,;\d]*(?=[,;]|$)/gi,
    read: "",
  },
  {
    name: "the date of one of them, in brackets",
    example: ["eyewash 2 (one is July 26)", "eyewash 2"],
    holds: "(",
    pattern:
      /\s*\((?:one|1|the other)\s+(?:of\s+(?:them|these)\s+)?(?:is|was|exp(?:ires|iry|\.)?|dated|good\s+to)\s+(?=[^)]*\d)[^)]*\)/gi,
    read: "",
  },
  {
    name: "where it hangs",
    example: ["scissors: on hook", "scissors"],
    holds: ": ",
    pattern:
      /(?<=\p{L}):\s+(?:on|in)\s+(?:the\s+|its\s+|a\s+)?(?:hook|lid|door|wall|side|rail|string|sheath|clip|lanyard|cord|strap|belt)s?\s*$/giu,
    read: "",
  },
  {
    name: "in brackets, that another one is gone",
    example: ["haemostatic gauze (granules one chucked)", "haemostatic gauze"],
    holds: "one",
    pattern: /\s*\(([^()]*\bone\b[^()]*)\)/gi,
    read: (all, remark) => (saysGone(remark!) ? "" : all!),
  },
  {
    name: "what one of them is like",
    example: ["triangulars - 4, one unwrapped", "triangulars - 4"],
    holds: "one ",
    pattern:
      /(?<=\d),\s*one\s+(?:of\s+them\s+)?(?:unwrapped|faded|creased|stained|without\s+\p{L}+|(?:bent|nearly|almost|slightly|past|already|split)\b[^,;\d]*)\s*$/giu,
    read: "",
  },
  {
    name: "where it came from",
    example: ["plasters, 7 from the old box", "plasters, 7"],
    holds: "from ",
    pattern:
      /(?<=[\p{L}\d])\s+from\s+(?:the|my|our|an?|last)\s+(?:\p{L}+\s+){0,2}(?:box|kit|bag|pouch|case|pack|car|van|shop|store|cupboard|drawer|order|delivery)\s*$/giu,
    read: "",
  },
  {
    name: "for how many people",
    example: ["group shelter 4-6 man", "group shelter"],
    holds: ["man", "men", "person", "people", "user"],
    pattern: /\s*\b\d+\s*[-–]\s*\d+\s*(?:-?\s*)?(?:man|men|person|people|users?)\b/gi,
    read: "",
  },
  {
    name: "what lies elsewhere",
    example: ["tourniquet 1, another one lives on the quad", "tourniquet 1"],
    holds: "another",
    pattern:
      /[,;(–-]\s*(?:and\s+)?another(?:\s+one)?\s+(?:lives|is|one's|kept|in|on)\b[^,;)]*\)?/gi,
    read: "",
  },
  {
    name: "what is said before the list begins",
    example: ["okay club box from the top so there's three slings", "three slings"],
    holds: ["there", "have", "got"],
    pattern: new RegExp(
      `^\\s*(?:okay|ok|right|well|so)\\b(?:(?!\\b(?:${N})\\b)[^,;.\\d]){3,60}?\\b(?:there'?s|there\\s+are|(?:we|i)(?:\\s+have|'ve)(?:\\s+got)?)\\s+(?=(?:${N})\\b)`,
      "iu",
    ),
    read: "",
  },
  {
    name: "whose contents they are, said before the list",
    example: ["Ranger 3, contents: two slings", "two slings"],
    holds: ["content", "check", "count", "inventory", "stock"],
    pattern:
      /^[^;:.]{1,30}?\b(?:contents?\s*(?:are|is)?|(?:check|count|inventory|stock)(?=\s*:[^,]*\p{L}[^,]*,))\s*:\s*(?=\S)/iu,
    read: "",
  },
  {
    name: "the clips of a bandage",
    example: ["bandage, elastic, 8 cm, w. 2 clips", "bandage, elastic, 8 cm"],
    holds: ["clip", "strap", "fastener"],
    pattern:
      /(?<=\b(?:bandages?|wraps?)\b[^;]*?)\s*,?\s*(?:\bwith|\bw[./]|\+|\bincl\.?)\s*(?:\d{1,2}\s*|two\s+|its\s+)?(?:\p{L}+\s+)?(?:clips?|fasteners?|straps?)\b/giu,
    read: "",
  },
  {
    name: "what it is kept in, in brackets",
    example: ["plasters x 10 (in film can)", "plasters x 10"],
    holds: "(in ",
    pattern:
      /\s*\(in\s+(?:an?\s+|the\s+|its\s+(?:own\s+)?)?(?:\p{L}+\s+){0,2}(?:can|tin|box|bag|pouch|case|tub|jar|lid|pocket|envelope|wallet|tube|dispenser|sleeve|folder|drawer)\)/giu,
    read: "",
  },
  {
    name: "what it hangs on or lies in",
    example: ["pen on string", "pen"],
    holds: ["string", "cord", "lanyard", "chain", "key", "clip", "strap", "hook"],
    pattern:
      /,?\s*\b(?:on|tied to|attached to|clipped to)\s+(?:an?\s+|the\s+|its\s+)?(?:\p{L}+\s+)?(?:string|cord|lanyard|chain|key\s?ring|clip|strap|hook)\b/giu,
    read: "",
  },
  {
    name: "in a case of its own",
    example: ["CPR mask, hard case", "CPR mask"],
    holds: ["case", "pouch", "box", "bag"],
    pattern: /,\s*(?:in\s+)?(?:an?\s+)?(?:hard|soft|zip|plastic|own)\s+(?:case|pouch|box|bag)\b/gi,
    read: "",
  },
  {
    name: "a remark after a dash",
    example: ["sunscreen 110 ml - kids have their own", "sunscreen 110 ml"],
    holds: ["- ", "– ", "— ", "-\t"],
    pattern:
      /\s+[-–—]\s+(?:kids|they|it|it'?s|this|these|we|he|she|people|only|because|as|since|check|keep|ask|see|not|also|everyone|nobody)\s+[^\d]*$/i,
    read: (remark) => (saysGone(remark!) ? remark! : ""),
  },
];
