import { saysGone } from "./absence.ts";
import { VALUE_OF, NUMBER_WORDS } from "./numberWords.ts";

/**
 * Ways of writing that the grammar of counts does not take apart by itself, put into one that it
 * does. An ordered table: an earlier phrase may make what a later one reads.
 */
export interface Phrase {
  readonly name: string;
  /** As on a card, and as it is read on. */
  readonly example: readonly [written: string, read: string];
  /** In small letters; a text with none of them has no such phrase, and is not searched. */
  readonly holds?: string | readonly string[];
  readonly pattern: RegExp;
  readonly read: string | ((...groups: string[]) => string);
}

const N = NUMBER_WORDS;
const PACK =
  "(?:pack|pk|pkt|packet|bx|box|card|blister|strip|bag|tube|tub|tin|carton|set|sleeve|envelope|env|wallet|sheet|pouch)";

const half = (number: string) => String(Math.ceil(valueOf(number) / 2));

const SIZE_OF: Readonly<Record<string, string>> = {
  med: "medium",
  lge: "large",
  lrg: "large",
  sml: "small",
  sm: "small",
};

/** Parts of a pack, by their words. */
const PARTS: Readonly<Record<string, number>> = {
  "two thirds": 2 / 3,
  "a third": 1 / 3,
  third: 1 / 3,
  "three quarters": 3 / 4,
  quarter: 1 / 4,
  half: 1 / 2,
};

/** Colours and tastes: two sorts of one thing. */
const COLOUR =
  "(?:orange|lemon|lime|berry|cherry|blackcurrant|apple|mint|blue|red|green|black|white|plain|clear|purple|pink|yellow|grey|gray|tan)";
const valueOf = (number: string): number => VALUE_OF[number.toLowerCase()] ?? Number(number);

export const PHRASES: readonly Phrase[] = [
  {
    name: "so many of so many still there",
    example: ["blue plasters: 37 of 40 left", "blue plasters: 37"],
    holds: " of ",
    pattern:
      /\b(\d{1,4})\s+(?:out\s+)?of\s+(?:the\s+)?\d{1,4}\s+(?:are\s+|still\s+)?(?:left|here|there|present|remaining|found)\b/giu,
    read: "$1",
  },
  {
    name: "so many, and so many begun",
    example: ["finger dressings: 2 + 1 opened", "finger dressings: 3"],
    holds: "+",
    pattern: /\b(\d{1,3})\s*\+\s*(\d{1,3})\s+(?:opened|open|loose|begun|started)\b/giu,
    read: (_, whole, begun) => String(Number(whole) + Number(begun)),
  },
  {
    name: "with, shortened",
    example: ["tweezers c/w magnifier", "tweezers with magnifier"],
    holds: ["w ", "w\t", "w."],
    pattern: /\b(?:c\/w|cw|w\.|w)\s+(?=\p{Ll}{3})/gu,
    read: "with ",
  },
  {
    name: "a dressing with its bandage",
    example: ["wound dressings with bandage 12 x 12 cm", "wound bandaged dressing 12 x 12 cm"],
    holds: "dressing",
    pattern: /(?<!eye\s+(?:\p{L}+\s+)?)\bdressings?\s+with\s+(?:an?\s+)?bandages?\b/giu,
    read: "bandaged dressing",
  },
  {
    name: "first aid, shortened",
    example: ["F/A dressing", "first aid dressing"],
    holds: "f/a",
    pattern: /\bF\/A\b/g,
    read: "first aid",
  },
  {
    name: "not sterile, shortened",
    example: ["gauze swabs n/s", "gauze swabs nonsterile"],
    holds: "n/s",
    pattern: /\bn\/s(?![a-z])/giu,
    read: "nonsterile",
  },
  {
    name: "a square's one side",
    example: ["swabs 7.5 cm sq", "swabs 7.5 x 7.5 cm"],
    holds: ["sq"],
    pattern: /(\d+(?:[.,]\d+)?)\s*(cm|mm|in|")\s*(?:sq\b\.?|square\b)/giu,
    read: "$1 x $1 $2",
  },
  {
    name: "bandage by its letter",
    example: ["elastic b. 8 cm", "elastic bandage 8 cm"],
    holds: "b.",
    pattern:
      /\b(elastic|conforming|crepe|pressure|triangular|roller|gauze|cohesive|tubular)\s+b\.(?=\s)/giu,
    read: "$1 bandage",
  },
  {
    name: "dressings by a size cut short",
    example: ["lge. dressing", "large dressing"],
    holds: ["dressing"],
    pattern:
      /\b(med|lge|lrg|sml|sm)\.?\s+(?=(?:wound\s+|sterile\s+|first\s+aid\s+)?dressings?\b)/giu,
    read: (_, size) => `${SIZE_OF[size!.toLowerCase()]!} `,
  },
  {
    name: "a square pad over a stroke",
    example: ["compresses 10/10, sterile", "compresses 10x10, sterile"],
    holds: "/",
    pattern: /\b(compr\p{L}*\.?|gauzes?|swabs?|pads?)\s+(\d{1,2})\/(\d{1,2})\b(?!\/)/giu,
    read: "$1 $2x$3",
  },
  {
    name: "packs with a sign before them",
    example: ["plasters, 1 x box (40)", "plasters, 1 box (40)"],
    holds: "x",
    pattern: new RegExp(`\\b(\\d{1,3})\\s*[x×]\\s+(?=${PACK}(?:es|s)?\\b)`, "giu"),
    read: "$1 ",
  },
  {
    name: "gauze named by its size",
    example: ["4x4s, sterile", "4x4 gauze pads, sterile"],
    pattern: /\b(\d{1,2})\s?[x×]\s?(\d{1,2})'?s\b/giu,
    read: "$1x$2 gauze pads",
  },
  {
    name: "area or least size",
    example: ["cold compress, min. 200 cm², instant", "cold compress, instant"],
    holds: ["cm²", "cm2", "mm²", "mm2", "in²", "in2"],
    pattern: /,?\s*\b(?:min|max)\.?\s*\d+\s*(?:cm|mm|in)[²2]/giu,
    read: "",
  },
  {
    name: "how long it lasts",
    example: ["glow stick, lasts 12 h", "glow stick"],
    holds: ["lasts", "burns", "glows", "good for", "up to"],
    pattern:
      /,?\s*\b(?:lasts|burns|glows|good for|up to)\s+\d+\s*(?:h|hrs?|hours?|min|minutes)\b/giu,
    read: "",
  },
  {
    name: "what one pack holds, said after",
    example: ["12 packets, 2 tablets per packet", "12 packets, 2 per packet"],
    holds: ["per", "each", "to a"],
    pattern: new RegExp(
      `\\b(${N})\\s+\\p{L}+\\s+(?:per|in each|to (?:a|each))\\s+(${PACK})\\b`,
      "giu",
    ),
    read: "$1 per $2",
  },
  {
    name: "packs and what one holds, glued",
    example: ["2 BX100 plasters", "2 box of 100 plasters"],
    holds: ["bx", "pk", "bg", "cs", "ct", "tb"],
    pattern: /\b(\d{1,3})\s+(BX|PK|PKT|BG|CS|CT|TB)\s?(\d{1,4})\b/gu,
    read: (_, n, pack, holds) => `${n} ${pack === "BX" ? "box" : "pack"} of ${holds}`,
  },
  {
    name: "one word for twelve",
    example: ["plasters 1 doz", "plasters 12 pcs"],
    holds: "doz",
    pattern: /\b(?:(1|2|3|4|5)\s+)?doz\b\.?/giu,
    read: (_, n) => (n === undefined || n === "1" ? "12 pcs" : `${n} dozen`),
  },
  {
    name: "pack over its content",
    example: ["wipes, PKT/10", "wipes, PKT of 10"],
    holds: ["/"],
    pattern: new RegExp(`\\b(${PACK})\\s*\\/\\s*(\\d+)\\b`, "giu"),
    read: "$1 of $2",
  },
  {
    name: "packs of so many, the number behind in brackets",
    example: ["2 full boxes (40s)", "2 boxes of 40"],
    holds: "s)",
    pattern: new RegExp(
      `\\b(${N})\\s+(?:full\\s+|new\\s+|sealed\\s+)?(${PACK}(?:es|s)?)\\s*\\((?:of\\s+)?(\\d{1,3})'?s\\)`,
      "giu",
    ),
    read: "$1 $2 of $3",
  },
  {
    name: "packs of so many, times how many",
    example: ["swabs 10x10 5s x 14", "swabs 10x10, 14 packs of 5"],
    holds: ["x", "×"],
    pattern: /\s+(\d{1,3})'?s\s*[x×]\s*(\d{1,3})\b/giu,
    read: ", $2 packs of $1",
  },
  {
    name: "half a box of so many",
    example: ["gloves, 1/2 box (of 100)", "gloves, 50 pcs"],
    holds: ["1/2", "½", "half"],
    pattern: new RegExp(
      `(?:\\b1\\/2|½|\\bhalf(?: an?)?)\\s*${PACK}\\s*\\(?of\\s+(${N})\\)?`,
      "giu",
    ),
    read: (_, n) => `${half(n!)} pcs`,
  },
  {
    name: "a box of so many, half of it left",
    example: ["swabs, box of 100, about half left", "swabs, 50 pcs"],
    holds: "half",
    pattern: new RegExp(
      `\\b(?:an? |one |1 )?${PACK}\\s+of\\s+(${N})\\s*[,(–-]?\\s*(?:about|roughly|only|maybe)?\\s*half\\s+(?:left|gone|used|full|empty)\\)?`,
      "giu",
    ),
    read: (_, n) => `${half(n!)} pcs`,
  },
  {
    name: "packs, in the language of the card",
    example: ["gauze: 2 boîtes de 10", "gauze: 2 boxes of 10"],
    holds: [
      "boit",
      "boît",
      "paquet",
      "sachet",
      "caja",
      "packung",
      "schachtel",
      "dozen",
      "rouleau",
      "rolle",
      "rollo",
      "doos",
      "pakje",
    ],
    pattern:
      /\b(\d{1,3}|une?|ein[er]?)\s+(bo[iî]tes?|paquets?|sachets?|cajas?|paquetes?|packungen|packung|schachteln?|dozen|rouleaux?|rollen?|rollos?|doos|pakjes?)\s+(?:de|d['’]|à|a|mit|zu|van)\s*(\d{1,3})\b/giu,
    read: (_, n, pack, holds) =>
      `${/\d/.test(n!) ? n : "1"} ${/^(?:bo|caj|schach|doo|doz)/i.test(pack!) ? "boxes" : "packs"} of ${holds}`,
  },
  {
    name: "what is left, in the language of the card",
    example: ["gloves: boîte de 100, ~ 60 restants", "gloves: boîte de 100, make that 60"],
    holds: "rest",
    pattern: /~?\s*\b(\d{1,3})\s+(?:restante?s?|restlich|übrig|rest)\b/giu,
    read: " $1 left",
  },
  {
    name: "a pack of so many, what part of it is left",
    example: ["plasters (100 box, about two thirds left)", "plasters, 67 pcs"],
    holds: "left",
    pattern: new RegExp(
      `\\s*\\(?\\b(?:an? |one |1 )?(?:${PACK}\\s+of\\s+(\\d{1,3})|(\\d{1,3})\\s+${PACK})\\s*[,(–-]?\\s*(?:about|roughly|only|maybe|some)?\\s*(?:an?\\s+|one\\s+)?(${Object.keys(PARTS).join("|")})\\s+left\\)?`,
      "giu",
    ),
    read: (_, of, before, part) =>
      `, ${Math.ceil(Number(of ?? before) * PARTS[part!.toLowerCase()]! - 0.5)} pcs`,
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
    name: "so many, in brackets how many of them used",
    example: ["plasters 100 (72 used)", "plasters 28"],
    holds: "(",
    pattern: /\b(\d{1,4})\s*\((\d{1,4})\s+(?:used|gone|opened|missing)\)/giu,
    read: (all, n, used) => (Number(used) < Number(n) ? String(Number(n) - Number(used)) : all!),
  },
  {
    name: "how full it is",
    example: ["tincture of iodine, 1 bottle, two thirds full", "tincture of iodine, 1 bottle"],
    holds: ["full", "empty", "used up"],
    pattern:
      /,?\s*\b(?:about\s+|nearly\s+|almost\s+)?(?:two thirds|a third|one third|three quarters|a quarter|half|nearly|almost)\s+(?:full|empty|used up)\b/giu,
    read: "",
  },
  {
    name: "in how many sizes it comes",
    example: ["plasters, set of 14 in 3 sizes", "plasters, set of 14"],
    holds: " in ",
    pattern:
      /\s+in\s+(?:\d|two|three|four|five)\s+(?:different\s+)?(?:sizes|types|colou?rs|shapes)\b/giu,
    read: "",
  },
  {
    name: "what state it is in",
    example: ["bandages, triangular, 6 in good order", "bandages, triangular, 6"],
    holds: " in ",
    pattern: /\s+in\s+(?:good|fair|poor|working|usable|perfect)\s+(?:order|condition|shape)\b/giu,
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
    name: "dozens",
    example: ["pins, safety, 2 dozen", "pins, safety, 24 pcs"],
    holds: "dozen",
    pattern: /\b(\d{1,2})\s+dozens?\b/giu,
    read: (_, n) => `${12 * Number(n)} pcs`,
  },
  {
    name: "a set of all sizes from one to another",
    example: ["OPA set 0-4", "OPA set of 5"],
    holds: "set",
    pattern: /\bset\s+(\d)\s*[-–]\s*(\d)\b/giu,
    read: (all, from, to) =>
      Number(to) > Number(from) ? `set of ${Number(to) - Number(from) + 1}` : all!,
  },
  {
    name: "so many and so many more",
    example: ["3+1 pairs of gloves", "4 pairs of gloves"],
    holds: "+",
    pattern: /\b(\d{1,3})\+(\d{1,3})\b/gu,
    read: (_, a, b) => `${Number(a) + Number(b)}`,
  },
  {
    name: "the size of an airway",
    example: ["npa 28 x1", "npa size 28 x1"],
    holds: ["npa", "opa", "airway", "guedel", "pharyngeal"],
    pattern:
      /\b(npas?|opas?|airways?|guedels?|nasopharyngeal|oropharyngeal)\s+(\d{1,2}(?:\.\d)?)\s+(?=x\s?\d)/giu,
    read: "$1 size $2 ",
  },
  {
    name: "a number that one is not sure of",
    example: ["safety pins (8?)", "safety pins (8)"],
    holds: "?)",
    pattern: /\((?:maybe|about|approx\.?|ca\.?|~)?\s*(\d{1,3})\s*\?\)/giu,
    read: "($1)",
  },
  {
    name: "a handful",
    example: ["a handful of safety pins (8)", "safety pins (8)"],
    holds: "hand",
    pattern:
      /\b(?:a\s+)?(?:handful|bunch|load|pile|stack|couple of handfuls)\s+(?:of\s+)?(?=[^;]*\d)/giu,
    read: "",
  },
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
    name: "how many each holds, said after",
    example: ["2 boxes plasters, 20 in each", "2 boxes of 20 plasters"],
    holds: "in each",
    pattern: new RegExp(
      `\\b(${N})\\s+(${PACK}(?:es|s)?)\\s+(?:of\\s+)?([^,;\\d]*?)(?<!\\bso),?\\s+(\\d{1,3})\\s+in\\s+each\\b`,
      "giu",
    ),
    read: "$1 $2 of $4 $3",
  },
  {
    name: "how many one of them holds, said after",
    example: ["1 tube of tablets, 10 in it", "1 tube of tablets, 10 per tube"],
    holds: " in ",
    pattern: new RegExp(
      `\\b(${PACK}(?:es|s)?)\\b([^;]*?),\\s*(\\d{1,3})\\s+in\\s+(?:it|each|them)\\b`,
      "giu",
    ),
    read: "$1$2, $3 per $1",
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
    name: "pairs, in the language of the card",
    example: ["2 par guantes", "2 pairs guantes"],
    holds: "pa",
    pattern: /\b(\d{1,3})\s+(?:par|paar|paires?|pares|paia|par\.)(?:\s+(?=\p{L})|\s*$)/giu,
    read: "$1 pairs ",
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
    name: "millilitres as one says them",
    example: ["saline, two fifty mil", "saline, 250 ml"],
    holds: " mil",
    pattern: /\b(one|two|three|four|five|seven)\s+(twenty[ -]?five|fifty)\s+mils?\b/giu,
    read: (_, hundreds, rest) =>
      `${100 * VALUE_OF[hundreds!.toLowerCase()]! + (/fifty/i.test(rest!) ? 50 : 25)} ml`,
  },
  {
    name: "only so many counted",
    example: ["says forty on it but i count thirty two", "says forty on it, make that thirty two"],
    holds: ["count", "call it", "make", "so", "say"],
    pattern: new RegExp(
      `(?:\\s*[,;]?\\s*\\bbut\\s+i\\s+(?:only\\s+)?(?:count|make\\s+it)|(?:\\s*[,;]?\\s*\\b(?:but\\s+)?it'?s\\s+\\p{L}+)?\\s+call\\s+it|(?<=[,)])\\s*so(?:\\s+(?:count|say))?|\\s+so\\s+count|\\s*(?:→|->|,)\\s*say)\\s+(?=(?:${N})\\b(?!\\s+\\p{L}+\\s+of\\b))`,
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
    name: "shared out, so many in each",
    example: ["wipes, box of 20 so 10 in each", "wipes, box of 20, make that 10"],
    holds: "each",
    pattern: new RegExp(`\\s+so\\s+(${N})\\s+(?:in|for)\\s+each\\b`, "giu"),
    read: ", make that $1",
  },
  {
    name: "packs of so many, and how many packs after it",
    example: ["box of 50, ran out so taking 2 boxes", "2 box of 50"],
    holds: " of ",
    pattern: new RegExp(
      `\\b(${PACK})\\s+of\\s+(${N})\\b[^;.]*\\b(?:so\\s+)?(?:taking|packed|brought)\\s+(${N})\\s+\\1(?:es|s)\\b`,
      "giu",
    ),
    read: "$3 $1 of $2",
  },
  {
    name: "a pack of so many, so many packs",
    example: ["blankets, sleeve of 10, two sleeves", "blankets, two sleeve of 10"],
    holds: " of ",
    pattern: new RegExp(`\\b(${PACK})\\s+of\\s+(${N})\\s*,\\s*(${N})\\s+\\1(?:es|s)?\\b`, "giu"),
    read: "$3 $1 of $2",
  },
  {
    name: "a pack and how many it holds, last",
    example: ["sterile pads 5x5 cm box 25", "sterile pads 5x5 cm, box of 25"],
    holds: ["box", "bx", "pack", "pkt"],
    pattern:
      /(?<=\p{L}{3}.*)(?<!\b(?:cold|ice|gel|heat|hot|cool|hydration)) (box|bx|pack|pkt|pk) ?((?:[1-9]|[1-9]\d)[05]|[5-9])\s*$/giu,
    read: ", $1 of $2",
  },
  {
    name: "at least so many",
    example: ["not less than twenty dressings", "twenty dressings"],
    holds: ["less than", "fewer than", "at least", "minimum of"],
    pattern: new RegExp(
      `\\b(?:not\\s+less\\s+than|no\\s+fewer\\s+than|at\\s+least|a\\s+minimum\\s+of)\\s+(?=(?:${N})\\b)`,
      "giu",
    ),
    read: "",
  },
  {
    name: "an airway's gauge",
    example: ["NPA 28F with lube", "NPA 28 Fr with lube"],
    holds: ["npa", "nasal", "nasopharyngeal"],
    pattern:
      /\b(npa|nasal airway|nasopharyngeal airway)s?\s+(2\d|3[0-6])\s?F(?=\s*(?:,|w\b|with\b|$))/giu,
    read: "$1 $2 Fr",
  },
  {
    name: "dressings by a size cut short, behind",
    example: ["dressing sterile f/a med 12 x 12 cm", "medium dressing sterile 12 x 12 cm"],
    holds: ["dressing", "drsg"],
    pattern:
      /\b(?:dressings?|drsgs?)((?:,?\s+(?:sterile|wound))?)(?:,?\s+(?:f\/a|first aid))?,?\s+(med|lge|lrg|sml)\b\.?/giu,
    read: (_, sterile, size) => `${SIZE_OF[size!.toLowerCase()]!} dressing${sterile!}`,
  },
  {
    name: "water in bottles",
    example: ["water 24 x 500ml", "drinking water 500ml x 24"],
    holds: "water",
    pattern:
      /^(\W*)(?:bottled\s+)?water,?\s+(\d{1,3})\s*[x×]\s*(\d+(?:[.,]\d+)?\s*(?:ml|l|lit(?:re|er)s?))\b/giu,
    read: "$1drinking water $3 x $2",
  },
  {
    name: "so many in all, and in brackets what a pack holds",
    example: ["ibuprofen 48 (16 per pack)", "ibuprofen 48"],
    holds: "(",
    pattern: new RegExp(
      `\\b(\\d{1,4})\\s*\\(\\s*(\\d{1,3})\\s*(?:per|in\\s+an?|to\\s+an?|\\/)\\s*${PACK}\\s*\\)`,
      "giu",
    ),
    read: (all, n, pack) =>
      Number(n) >= 2 * Number(pack) && Number(n) % Number(pack) === 0 ? n! : all!,
  },
  {
    name: "one and one, in a column",
    example: ["mask, child and adult       1 + 1", "mask, child and adult       2"],
    holds: "+",
    pattern: /(?<=\s{2})(\d{1,2})\s*\+\s*(\d{1,2})\s*$/gu,
    read: (_, one, other) => String(Number(one) + Number(other)),
  },
  {
    name: "a width with a half and no unit",
    example: ["crepe 7.5 x 3", "crepe 7.5 cm x 3"],
    holds: [".5", ",5", ".25", ",25", ".8", ",8"],
    pattern:
      /\b(crepe|conforming|elastic|cohesive|gauze|tape|bandages?)\s+\(?(1[.,]25|2[.,]5|3[.,]8|7[.,]5|12[.,]5)\)?(?!\s*(?:cm|mm|m|in|inch|["”″]|[x×]\s*\d+\s*(?:[.,]|cm|m\b))|\d)/giu,
    read: "$1 $2 cm",
  },
  {
    name: "about so many, by its ending",
    example: ["plasters, 30 ish", "plasters, 30"],
    holds: "ish",
    pattern: /\b(\d{1,4})\s?-?ish\b/giu,
    read: "$1",
  },
  {
    name: "in brackets, that another one is gone",
    example: ["haemostatic gauze (granules one chucked)", "haemostatic gauze"],
    holds: "one",
    pattern: /\s*\(([^()]*\bone\b[^()]*)\)/giu,
    read: (all, remark) => (saysGone(remark!) ? "" : all!),
  },
  {
    name: "a part of so many",
    example: ["plasters - about half of the 60", "plasters - 30 pcs"],
    holds: " of ",
    pattern: new RegExp(
      `\\b(?:(?:about|roughly|nearly|some)\\s+)?(?:an?\\s+|one\\s+)?(${Object.keys(PARTS).join("|")})\\s+of\\s+(?:the\\s+)?(\\d{1,4})\\b`,
      "giu",
    ),
    read: (_, part, of) => `${Math.ceil(Number(of) * PARTS[part!.toLowerCase()]! - 0.5)} pcs`,
  },
  {
    name: "that it is there",
    example: ["leaflet - there", "leaflet - 1"],
    holds: ["there", "present", "yes", "ok"],
    pattern: /(?<=\p{L}{3}\s+)([-–—])\s+(?:there|present|yes|ok(?:ay)?|in place)\s*\.?\s*$/giu,
    read: "$1 1",
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
    name: "how many there should be, said behind",
    example: ["plasters 7, min 10", "plasters 7"],
    holds: ["min", "max", "par ", "target", "should be"],
    pattern:
      /(?<=\d(?:\s+\p{L}[^\d]*)?)\s*[,;(/–-]?\s*\b(?:min(?:imum)?|max(?:imum)?|par|target|should\s+be)\.?:?\s*\d{1,4}\)?\s*$/giu,
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
    name: "a count, and packs in brackets: both may be meant, and the reader asks",
    example: ["plasters 40 (2 boxes)", "plasters 40 pcs (80?)"],
    holds: "(",
    pattern: new RegExp(
      `(?<=\\p{L}{3}.*)\\b(\\d{1,4})(?:\\s*(?:pcs|pieces))?\\s*\\(\\s*([2-9])\\s+${PACK}(?:es|s)\\s*\\)\\s*$`,
      "giu",
    ),
    read: (_, n, packs) => `${n} pcs (${Number(n) * Number(packs)}?)`,
  },
  {
    name: "so many, and how many of them are not there, last",
    example: ["plasters 7, 1 missing", "plasters 6"],
    holds: ["missing", "gone"],
    pattern: /(?<=\p{L}{3}.*)\b(\d{1,3})\s*[,;(–-]?\s*(\d{1,3})\s+(?:missing|gone)\)?\s*$/giu,
    read: (all, n, gone) => (Number(gone) < Number(n) ? String(Number(n) - Number(gone)) : all!),
  },
  {
    name: "so many pieces in packs",
    example: ["sterile gauze, 30 pieces in packs of two", "sterile gauze, 30 pieces"],
    holds: " in ",
    pattern: new RegExp(
      `\\b(\\d{1,4}\\s+(?:pieces|pcs))\\s+in\\s+(?:packs|pairs|strips|cards|envelopes|wallets)(?:\\s+of\\s+(?:${N}))?`,
      "giu",
    ),
    read: "$1",
  },
  {
    name: "the other kind of what was named",
    example: [
      "three wool blankets and four foil ones",
      "three wool blankets and four foil blankets",
    ],
    holds: " ones",
    pattern: new RegExp(
      `\\b((?:${N})\\s+\\p{L}+\\s+)(\\p{L}+s)(\\s+and\\s+(?:${N})\\s+\\p{L}+)\\s+ones\\b`,
      "giu",
    ),
    read: "$1$2$3 $2",
  },
  {
    name: "so many full, and so many begun",
    example: ["cold spray - 1 full, 1 half", "cold spray - 2"],
    holds: "full",
    pattern:
      /\b(\d{1,3})\s+full\s*(?:,|and|\+|&)+\s*(\d{1,3})\s+(?:half(?:\s+(?:full|empty))?|(?:nearly|almost)\s+(?:full|empty)|open(?:ed)?|part(?:ly)?\s+used|begun)\b/giu,
    read: (_, full, begun) => String(Number(full) + Number(begun)),
  },
  {
    name: "a strip of so many, and a few loose",
    example: ["plasters, a strip of ten and a few loose (6)", "plasters, 16"],
    holds: "loose",
    pattern: new RegExp(
      `\\b(?:1|one|an?)\\s+${PACK}\\s+of\\s+(${N})\\s*(?:,|\\+|&|and|plus)+\\s*(?:a\\s+few|some)\\s+loose\\s*\\((\\d{1,3})\\)`,
      "giu",
    ),
    read: (_, pack, loose) => String(valueOf(pack!) + Number(loose)),
  },
  {
    name: "a pump bottle",
    example: ["sunscreen pump bottle 1 L", "sunscreen 1 L"],
    holds: "pump",
    pattern:
      /(?<=\p{L}{3})\s+pump\s+(?:bottle|dispenser)(?=\s*,?\s*\d+(?:[.,]\d+)?\s*(?:ml|l|g)\b)/giu,
    read: "",
  },
  {
    name: "a strip of so many, and so many loose",
    example: ["ibuprofen – 1 strip (12) and 4 loose", "ibuprofen – 16"],
    holds: "loose",
    pattern: new RegExp(
      `\\b(?:1|one|an?)\\s+${PACK}\\s*(?:\\(\\s*|of\\s+)(\\d{1,3})\\s*\\)?\\s*(?:,|\\+|&|and|plus)+\\s*(\\d{1,3})\\s+loose\\b`,
      "giu",
    ),
    read: (_, pack, loose) => String(Number(pack) + Number(loose)),
  },
  {
    name: "so many, and in brackets how many of each colour",
    example: ["rehydration sachets 10 (5 orange, 5 lemon)", "rehydration sachets 10"],
    holds: "(",
    pattern: new RegExp(
      `\\b(\\d{1,3})\\s*\\(\\s*(${N})\\s+${COLOUR}\\s*(?:,|and|&|\\+)\\s*(${N})\\s+${COLOUR}\\s*\\)`,
      "giu",
    ),
    read: (all, n, one, other) => (valueOf(one!) + valueOf(other!) === Number(n) ? n! : all!),
  },
  {
    name: "a standard dressing by its number",
    example: ["standard dressing no. 8 or 13", "bandaged dressing"],
    holds: "dressing",
    pattern:
      /\bunmedicated\s+(?:wound\s+)?dressings?\b|\b(?:(?:standard|wound|sterile|unmedicated|first aid)\s+)*dressings?,?\s+(?:no|nr|number)s?\.?\s?(?:[789]|1[345])\b(?:\s*(?:or|\/)\s*(?:no\.?\s?)?(?:[789]|1[345])\b)?/giu,
    read: "bandaged dressing",
  },
  {
    name: "the proper one",
    example: ["a tourniquet the proper one with the windlass", "a tourniquet with the windlass"],
    holds: " one",
    pattern: /(?<=\p{L}{3}),?\s+the\s+(?:proper|good|real|right)\s+ones?\b(?=\s+with\b)/giu,
    read: "",
  },
  {
    name: "water by the litre",
    example: ["water, five litres", "drinking water, five litres"],
    holds: "water",
    pattern: new RegExp(`^(\\W*)water(?=,?\\s+(?:${N})\\s*(?:l|lit(?:re|er)s?)\\b)`, "giu"),
    read: "$1drinking water",
  },
  {
    name: "one each of several numbers",
    example: ["airways, one each of two three four", "airways 3"],
    holds: " each of ",
    pattern: new RegExp(
      `,?\\s*\\b(?:one|1)\\s+each\\s+of\\s+((?:${N})(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*|\\s+)(?:${N})){1,4})\\s*$`,
      "giu",
    ),
    read: (_, numbers) => ` ${numbers!.split(/[\s,&]+|\band\b/).filter(Boolean).length}`,
  },
  {
    name: "packs of so much by volume, each a piece",
    example: ["eyewash, 2 x 20ml pods", "eyewash 20ml x 2"],
    holds: "ml",
    pattern:
      /,\s*(\d{1,3})\s*[x×]\s*(\d{1,4})\s*ml\s+(pods?|bottles?|ampoules?|vials?|tubes?|sachets?)\b/giu,
    read: " $2ml x $1",
  },
  {
    name: "so many in a pack by a stroke, so many packs",
    example: ["gauze pads, 10/box, 2 boxes", "gauze pads, 2 box of 10"],
    holds: "/",
    pattern: new RegExp(
      `\\b(\\d{1,4})\\s*\\/\\s*(${PACK})\\s*,\\s*(\\d{1,3})\\s+\\2(?:es|s)?\\b`,
      "giu",
    ),
    read: "$3 $2 of $1",
  },
  {
    name: "one of them spoilt",
    example: ["sachets four scratch that three one's split", "sachets four scratch that three"],
    holds: ["split", "torn", "open", "broken", "damaged", "used", "dried"],
    pattern:
      /,?\s*\b(?:one|two)(?:'s|\s+is|\s+are)\s+(?:split|torn|open(?:ed)?|broken|damaged|used|dried\s+out)\b/giu,
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
  {
    name: "not pairs",
    example: ["gloves, single (not pairs)", "gloves, single"],
    holds: "not pairs",
    pattern: /\s*\(not pairs\)/giu,
    read: "",
  },
  {
    name: "packed in pairs",
    example: ["compresses 10 x 10 cm, packed in pairs", "compresses 10 x 10 cm"],
    holds: "packed in pairs",
    pattern: /(?<!glove[^;]*),\s*packed in pairs\b/giu,
    read: "",
  },
  {
    name: "one of each of the sizes listed",
    example: ["OPA 2, 3, 4    1 of each", "OPA 3 pcs"],
    holds: "ea",
    pattern:
      /((?:\s*,?\s*(?:nos?\.?|sizes?))?\s*\d{1,2}(?:\.\d)?(?:\s*,\s*\d{1,2}(?:\.\d)?)+)\s*[-–:,.]*\s*(?:1|one)\s+(?:of\s+)?(?:each|ea)\b/giu,
    read: (_, sizes) => ` ${sizes!.match(/\d+(?:\.\d)?/g)!.length} pcs`,
  },
];

/** Longer rows are prose or rubbish, and every pattern would walk through them. */
const LONGEST = 400;

const mayHold = (small: string, holds: string | readonly string[]): boolean =>
  typeof holds === "string" ? small.includes(holds) : holds.some((h) => small.includes(h));

/** A text with its odd ways of writing put into plain ones. */
export function rephrase(text: string): string {
  if (text.length > LONGEST) return text;
  let said = text;
  let small = text.toLowerCase();
  for (const { holds, pattern, read } of PHRASES) {
    if (holds !== undefined && !mayHold(small, holds)) continue;
    const now =
      typeof read === "string" ? said.replace(pattern, read) : said.replace(pattern, read);
    if (now === said) continue;
    said = now;
    small = now.toLowerCase();
  }
  return said;
}
