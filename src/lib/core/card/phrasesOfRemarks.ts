import { saysGone } from "./absence.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import type { Phrase } from "./phrase.ts";

/** What is said of a thing besides: its state, its date, where it lies; it goes, for it names and counts nothing. */

const N = NUMBER_WORDS;

/** An ordered table: an earlier phrase may make what a later one reads. */
export const REMARK_PHRASES: readonly Phrase[] = [
  {
    name: "which of several it lies in",
    example: ["tray 1 = 20 strips, tray 2 = 12 pads", "20 strips, 12 pads"],
    holds: "=",
    pattern:
      /\b(?:tray|box|drawer|shelf|pocket|pouch|bag|side|row|layer|tin|bin|section|compartment|bay)\s+(?:no\.?\s*)?(?:\d{1,2}|[A-F])\s*=\s*(?=\d)/giu,
    read: "",
  },
  {
    name: "where on the wall it hangs",
    example: ["eyewash, 2 bottles on the wall by the sink", "eyewash, 2 bottles"],
    holds: " the ",
    pattern:
      /(?:\s+(?:on|by|at|under|behind|beside|near|above|next to)\s+the\s+(?:wall|sink|door|shelf|window|desk|oven|bar|till|counter|basin|table|stairs|gate|entrance|bench|wheel|mast|helm|hatch|lid|seat))+(?=\s*(?:[,;(.]|$))/giu,
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
    name: "the date of one of them, in brackets",
    example: ["eyewash 2 (one is July 26)", "eyewash 2"],
    holds: "(",
    pattern:
      /\s*\((?:one|1|the other)\s+(?:of\s+(?:them|these)\s+)?(?:is|was|exp(?:ires|iry|\.)?|dated|good\s+to)\s+(?=[^)]*\d)[^)]*\)/giu,
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
    pattern: /\s*\(([^()]*\bone\b[^()]*)\)/giu,
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
    pattern: /\s*\b\d+\s*[-–]\s*\d+\s*(?:-?\s*)?(?:man|men|person|people|users?)\b/giu,
    read: "",
  },
  {
    name: "what lies elsewhere",
    example: ["tourniquet 1, another one lives on the quad", "tourniquet 1"],
    holds: "another",
    pattern:
      /[,;(–-]\s*(?:and\s+)?another(?:\s+one)?\s+(?:lives|is|one's|kept|in|on)\b[^,;)]*\)?/giu,
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
    pattern: /,\s*(?:in\s+)?(?:an?\s+)?(?:hard|soft|zip|plastic|own)\s+(?:case|pouch|box|bag)\b/giu,
    read: "",
  },
  {
    name: "a remark after a dash",
    example: ["sunscreen 110 ml - kids have their own", "sunscreen 110 ml"],
    holds: ["- ", "– ", "— ", "-\t"],
    pattern:
      /\s+[-–—]\s+(?:kids|they|it|it'?s|this|these|we|he|she|people|only|because|as|since|check|keep|ask|see|not|also|everyone|nobody)\s+[^\d]*$/iu,
    read: (remark) => (saysGone(remark!) ? remark! : ""),
  },
];
