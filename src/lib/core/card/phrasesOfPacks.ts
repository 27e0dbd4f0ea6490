import { NUMBER_WORDS } from "./numberWords.ts";
import { half, PACK, partOf, PARTS, valueOf, type Phrase } from "./phrase.ts";

/** Ways of writing packs, and what one holds. */

const N = NUMBER_WORDS;

/** An ordered table: an earlier phrase may make what a later one reads. */
export const PACK_PHRASES: readonly Phrase[] = [
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
    name: "packs with a sign before them",
    example: ["plasters, 1 x box (40)", "plasters, 1 box (40)"],
    holds: "x",
    pattern: new RegExp(`\\b(\\d{1,3})\\s*[x×]\\s+(?=${PACK}(?:es|s)?\\b)`, "giu"),
    read: "$1 ",
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
    read: (_, of, before, part) => `, ${partOf((of ?? before)!, part!)} pcs`,
  },
  {
    name: "dozens",
    example: ["pins, safety, 2 dozen", "pins, safety, 24 pcs"],
    holds: "dozen",
    pattern: /\b(\d{1,2})\s+dozens?\b/giu,
    read: (_, n) => `${12 * Number(n)} pcs`,
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
    name: "pairs, in the language of the card",
    example: ["2 par guantes", "2 pairs guantes"],
    holds: "pa",
    pattern: /\b(\d{1,3})\s+(?:par|paar|paires?|pares|paia|par\.)(?:\s+(?=\p{L})|\s*$)/giu,
    read: "$1 pairs ",
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
      /(?<!\b(?:cold|ice|gel|heat|hot|cool|hydration)) (box|bx|pack|pkt|pk)(?<=\p{L}{3}.* \p{L}+) ?((?:[1-9]|[1-9]\d)[05]|[5-9])\s*$/giu,
    read: ", $1 of $2",
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
];
