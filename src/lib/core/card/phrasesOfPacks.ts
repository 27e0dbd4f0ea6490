import { NUMBER_WORDS } from "./numberWords.ts";
import { half, PACK, PACKS, partOf, PARTS, SHARES, valueOf, type Phrase } from "./phrase.ts";

/** Ways of writing packs, and what one holds. */

const N = NUMBER_WORDS;

/** So many pieces lie in so many packs, as many in each. */
const isShared = (pieces: string, packs: string): boolean =>
  Number(pieces) > Number(packs) && Number(pieces) % Number(packs) === 0;

/** As things are packed. */
const USUAL_PACKS = new Set([
  4, 5, 6, 8, 10, 12, 16, 20, 24, 25, 30, 32, 40, 48, 50, 100, 150, 200,
]);
/** Told apart by a number: "bandage (10)" may be as wide. */
const MEASURED =
  /\b(?:bandages?|tapes?|dressings?|rolls?|splints?|shears|scissors|airways?|tubes?|gloves|needles?|collars?|gauze|pads?|sheets?|wraps?)\b/i;

/** An ordered table: an earlier phrase may make what a later one reads. */
export const PACK_PHRASES: readonly Phrase[] = [
  {
    name: "so many of so many still there",
    example: ["blue plasters: 37 of 40 left", "blue plasters: 37"],
    holds: " of ",
    pattern:
      /\b(\d{1,4})\s+(?:out\s+)?of\s+(?:the\s+)?\d{1,4}\s+(?:are\s+|still\s+)?(?:left|here|there|present|remaining|found)\b/gi,
    read: "$1",
  },
  {
    name: "so many, and so many begun",
    example: ["finger dressings: 2 + 1 opened", "finger dressings: 3"],
    holds: "+",
    pattern:
      /(?<!\b(?:of|x)\s*|×\s*)\b(\d{1,3})\s*\+\s*(\d{1,3})\s+(?:opened|open|loose|begun|started)\b/gi,
    read: (_, whole, begun) => String(Number(whole) + Number(begun)),
  },
  {
    name: "packs behind the name, with what is in each",
    example: ["2x big plasters boxes (50 each)", "2 boxes of 50 big plasters"],
    holds: ["each)", "in each", "per"],
    pattern: new RegExp(
      `^(\\W*)(\\d{1,3})\\s?(?:[x×]\\s*)?((?:[^\\d\\s,;:()]+\\s){1,3}?)(${PACKS})\\s*\\((\\d{1,4})\\s*(?:in\\s+each|each|per\\s+\\p{L}+)\\)`,
      "giu",
    ),
    read: (_, lead, packs, name, pack, held) =>
      `${lead}${packs} ${pack} of ${held} ${name!.trim()}`,
  },
  {
    name: "of packs of so many one is half empty",
    example: ["2 boxes of 50 plasters, one is half empty", "75 plasters"],
    holds: ["half empty", "half full", "half used", "half gone"],
    pattern: new RegExp(
      `\\b(\\d{1,2})\\s+(?:${PACKS})\\s+of\\s+(\\d{1,3})\\s+(\\p{L}[^\\d,;()–-]*?)[\\s,;(–-]+(?:but\\s+|of\\s+which\\s+)?(?:one|1)\\s+(?:of\\s+(?:them|these|which)\\s+)?(?:is\\s+|are\\s+)?(?:about\\s+|only\\s+)?half\\s+(?:empty|full|used|gone)\\)?`,
      "giu",
    ),
    read: (_, packs, held, name) => `${Math.round((Number(packs) - 0.5) * Number(held))} ${name}`,
  },
  {
    name: "packs with a sign before them",
    example: ["plasters, 1 x box (40)", "plasters, 1 box (40)"],
    holds: ["x", "×"],
    pattern: new RegExp(`\\b(\\d{1,3})\\s*[x×]\\s+(?=${PACKS}\\b)`, "giu"),
    read: "$1 ",
  },
  {
    name: "so many to a pack, and how many packs",
    example: ["plasters (20s) - 3", "plasters, 3 packs of 20"],
    holds: "s",
    pattern:
      /(?<=\p{L}),?\s+(?<!\b(?:size|by|x)\s*)\(?\b(\d{1,3})'?s\b\)?(?:\s*[:=–-]\s*|\s+)(?:[x×]\s*)?(\d{1,3})$/giu,
    read: ", $2 packs of $1",
  },
  {
    name: "so many, and how many times how many that is",
    example: ["plasters 20 (2 x 10)", "plasters 20"],
    holds: "x",
    pattern:
      /\b(\d{1,4})\s*(?:\(\s*=?|=)\s*(\d{1,3})\s*[x×]\s*(\d{1,3})(?:\s*\)|(?![\d.,]|\s*\p{L}))/giu,
    // "gauze 25 (5 x 5)" is a square.
    read: (said, pieces, packs, each) =>
      packs !== each && Number(packs) * Number(each) === Number(pieces) ? pieces! : said!,
  },
  {
    name: "so many to a pack, times packs",
    example: ["plasters 100 / box x 2", "plasters, 2 packs of 100"],
    holds: ["/", "per "],
    pattern: new RegExp(
      `,?\\s+(\\d{1,4})\\s*(?:pcs|tabs?|tablets?|caps?|capsules?|caplets?)?\\s*(?:\\/\\s*|per\\s+)(?:${PACKS})(?:\\s*[x×]\\s*(\\d{1,3})|\\s*\\((\\d{1,3})\\))$`,
      "giu",
    ),
    read: (_, pieces, packs, inBrackets) => `, ${packs ?? inBrackets} packs of ${pieces}`,
  },
  {
    name: "pieces with their word, times packs",
    example: ["plasters 20 pcs x 3", "plasters, 3 packs of 20"],
    holds: ["pc", "piece"],
    pattern: /(?<=\p{L}\)?),?\s+(\d{1,4})\s*(?:pcs|pieces)\s*[x×]\s*(\d{1,3})$/giu,
    read: ", $2 packs of $1",
  },
  {
    name: "a pack with what it holds, and how many set apart",
    example: ["plasters, pkt (30), qty 4", "plasters, 4 packs of 30"],
    holds: ["qty", "quantity", ",", ";", "x", "×"],
    pattern: new RegExp(
      `(?<=\\p{L}[\\d\\s.,x×cm]*\\)?)(?<!\\b(?:cold|ice|hot|heat|gel|dry))[,;]?\\s+${PACK}\\s*(?:\\((\\d{1,4})(?:\\s*pcs)?\\)|(?:of\\s+)?(\\d{1,4}))(?:\\s*[,;]\\s*(?:(?:qty|quantity)\\.?\\s*:?\\s*)?|\\s*[x×]\\s?)(\\d{1,3})$`,
      "giu",
    ),
    read: (_, inBrackets, each, packs) => `, ${packs} packs of ${inBrackets ?? each}`,
  },
  {
    name: "packs behind the name, and how many are in each",
    example: ["plasters: 6 bags, 5 per bag", "plasters, 6 packs of 5"],
    holds: ["per ", "each", "in a", "to a"],
    pattern: new RegExp(
      `(?<=\\p{L}[^,;:]*)[,:;]?(?:\\s+[–-])?\\s+(\\d{1,3})\\s+${PACKS}\\s*[,;(]\\s*(\\d{1,4})\\s*(?:per\\s+${PACK}|in\\s+(?:an?\\s+${PACK}|each)|to\\s+(?:an?|the)\\s+${PACK})\\)?$`,
      "giu",
    ),
    read: ", $1 packs of $2",
  },
  {
    name: "one pack, and how many are in it",
    example: ["1 box plasters, 50 in it", "1 box of 50 plasters"],
    holds: ["in it", "in there"],
    pattern: new RegExp(
      `^(\\W*(?:1|one|an?)\\s+${PACK})\\s+(?:of\\s+)?(\\p{L}[^,;]*?)\\s*[,;–-]\\s*(\\d{1,4})\\s+in\\s+(?:it|there)$`,
      "iu",
    ),
    read: "$1 of $3 $2",
  },
  {
    name: "a number in brackets, and times: most likely what one pack holds, and the reader asks",
    example: ["plasters (50) x2", "plasters 100 pcs (2)"],
    holds: "(",
    pattern:
      /^(\W*(?:(\d{1,2})\s?[x×]\s+)?)(\p{L}[^\d(),;]*)\((\d{1,3})\)(?:\s*[x×]\s?(\d{1,2}))?$/iu,
    read: (all, _, before, name, held, behind) => {
      const packs = before ?? behind;
      // "2 x plasters (10) x3" says two things.
      const isSaidOnce = before === undefined || behind === undefined || before === behind;
      return packs !== undefined &&
        isSaidOnce &&
        USUAL_PACKS.has(Number(held)) &&
        held !== packs &&
        !MEASURED.test(name!)
        ? `${name!.trim()} ${Number(packs) * Number(held)} pcs (${packs}?)`
        : all!;
    },
  },
  {
    name: "so many, and how many packs: most likely in each, and the reader asks",
    example: ["plasters x 12, 5 bags", "plasters 60 pcs (12)"],
    holds: ["x", "×"],
    pattern: new RegExp(
      `^(\\W*\\p{L}[^\\d,;]*?)\\s*[x×]\\s?(\\d{1,3}),\\s*(\\d{1,2})\\s+${PACKS}$`,
      "iu",
    ),
    read: (_, name, each, packs) =>
      `${name!.trim()} ${Number(each) * Number(packs)} pcs (${each}?)`,
  },
  {
    name: "by how many they are packed",
    example: ["compress, packed by 2", "compress, pack of 2"],
    holds: "packed",
    pattern: /\bpacked\s+(?:by|in)\s+(\d{1,3})s?\b/gi,
    read: "pack of $1",
  },
  {
    name: "what one pack holds, at the end",
    example: ["3 boxes gloves M 100s", "3 boxes of 100 gloves (M)"],
    holds: ["0s", "0'", "0’", "5s", "5'", "5’"],
    pattern: new RegExp(
      `^(\\W*(?:${N})\\s+${PACKS})\\s+(?:of\\s+)?(\\p{L}[^,;]*?)\\s+(?:of\\s+)?(\\d{1,2}[05])['’]?s\\s*$`,
      "iu",
    ),
    read: "$1 of $3 $2",
  },
  {
    name: "a case, and in brackets the boxes in it",
    example: ["1 case of nitrile gloves (10 boxes of 100)", "10 boxes of 100 nitrile gloves"],
    holds: ["case", "carton", "crate"],
    pattern: new RegExp(
      `^\\W*(?:1|one|an?)\\s+(?:case|carton|crate)\\s+(?:of\\s+)?(\\p{L}[^(),;]*?)\\s*\\((\\d{1,3}\\s+${PACKS}\\s+of\\s+\\d{1,4})\\)\\s*$`,
      "iu",
    ),
    read: "$2 $1",
  },
  {
    name: "what it comes in, said last without a number",
    example: ["vinyl gloves, box", "vinyl gloves"],
    holds: ["box", "pack", "tin", "tub", "carton"],
    pattern:
      /^([^\d,;]*\p{L}{3}[^\d,;]*),\s*(?:an?\s+)?(?:box|pack|packet|tin|tub|tube|carton)\s*$/iu,
    read: "$1",
  },
  {
    name: "so many times a thing, and last what one pack of it holds",
    example: ["2 x plasters, assorted 20 pcs", "2 packs of 20 plasters, assorted"],
    holds: ["pcs", "piece", "pack", "box", "count", " ct", " tab", " cap"],
    pattern: new RegExp(
      `^\\W*(\\d{1,3})\\s*[x×]\\s+(\\p{L}[^;]*?)\\s*,?\\s+(?:(?:pack|packet|box)(?:e?s)?\\.?\\s*(?:of\\s*)?(\\d{1,4})(?:\\s*pcs)?|(\\d{1,4})\\s*(?:pcs|pieces|count|ct|tabs?|tablets|caps?|capsules))\\.?\\s*$`,
      "iu",
    ),
    read: (all, packs, name, inPack, pieces) => {
      const each = inPack ?? pieces!;
      // The same said twice counts once.
      return each === packs || Number(each) < 2 ? all! : `${packs} packs of ${each} ${name}`;
    },
  },
  {
    name: "what one pack holds, said behind packs of it",
    example: ["2 boxes of plasters, 20 in each", "2 boxes of 20 plasters"],
    holds: ["per", "each", "to a"],
    pattern: new RegExp(
      `^(\\W*(?:${N})\\s+${PACKS})\\s+(?:of\\s+)?(\\p{L}[^,]*?),\\s*(\\d{1,3})\\s+(?:per\\s+${PACK}|in\\s+each|to\\s+an?\\s+${PACK}|each)\\s*$`,
      "iu",
    ),
    read: "$1 of $3 $2",
  },
  {
    name: "what one pack holds, before how many packs",
    example: ["plasters, 20 per box, 2 boxes", "plasters, 2 boxes of 20"],
    holds: ["per ", "/", "to a", "in a"],
    pattern: new RegExp(
      `,?\\s*\\b(\\d{1,3})\\s*(?:pcs|pieces|pc|ea)?\\s*(?:(?:per|(?:in|to)\\s+an?)\\s+|\\/\\s*)(?:${PACK})\\s*[,;:]?\\s+(?:[–-]\\s+)?(\\d{1,3})\\s+(${PACKS})\\b(?!\\s+of)`,
      "giu",
    ),
    read: ", $2 $3 of $1",
  },
  {
    name: "so many in so many packs",
    example: ["plasters, 40 in 2 boxes", "plasters, 40 pcs"],
    holds: " in ",
    pattern: new RegExp(`\\b(\\d{1,4})\\s+in\\s+(\\d{1,3})\\s+${PACKS}\\b`, "giu"),
    read: (all, pieces, packs) => (isShared(pieces!, packs!) ? `${pieces!} pcs` : all!),
  },
  {
    name: "so many of it, in so many packs",
    example: ["40 plasters in 2 boxes", "40 plasters"],
    holds: ["(", " in "],
    pattern: new RegExp(
      `^(\\W*)(\\d{1,4})\\s+(\\p{L}.*?)\\s+(?:\\(|in\\s+)(\\d{1,3})\\s+${PACKS}\\)?\\s*$`,
      "iu",
    ),
    read: (all, lead, pieces, name, packs) =>
      isShared(pieces!, packs!) ? `${lead!}${pieces!} ${name!}` : all!,
  },
  {
    name: "packs, and what all of them hold",
    example: ["plasters 2 packs, total 40", "plasters, 40 pcs"],
    holds: ["total", "in all"],
    pattern: new RegExp(
      `,?\\s*\\b(\\d{1,3})\\s+${PACKS}\\s*[,(–-]\\s*(?:total\\s*:?\\s*(\\d{1,4})|(\\d{1,4})\\s+(?:in\\s+)?(?:total|all))\\)?`,
      "giu",
    ),
    read: (all, packs, ...pieces) => {
      const inAll = pieces[0] ?? pieces[1]!;
      return isShared(inAll, packs!) ? `, ${inAll} pcs` : all!;
    },
  },
  {
    name: "packs of a thing, and in brackets how many of it in all",
    example: ["2 boxes of plasters (maybe 30 all in)", "30 plasters"],
    holds: ["all in", "in all", "in total", "altogether"],
    pattern: new RegExp(
      `^(\\W*)(?:an?\\s+)?(?:couple|few|\\d{1,2}|two|three|four)(?:\\s+of)?\\s+${PACKS}\\s+(?:of\\s+)?([A-Za-z][^()\\d]*?)\\s*[,(–-]\\s*(?:maybe|about|say|ca\\.?|roughly)?\\s*(\\d{1,4})\\s+(?:all\\s+in|in\\s+all|in\\s+total|altogether)\\)?\\s*$`,
      "iu",
    ),
    read: "$1$3 $2",
  },
  {
    name: "what all of them hold, and the packs",
    example: ["plasters 40 total (2 packs)", "plasters 40"],
    holds: ["total", "in all"],
    pattern: new RegExp(
      `\\b(\\d{1,4})\\s+(?:in\\s+)?(?:total|all)\\s*\\(\\s*\\d{1,3}\\s+${PACKS}\\)`,
      "giu",
    ),
    read: "$1",
  },
  {
    name: "so many in their pack and so many loose",
    example: ["plasters 20 in box, 5 loose", "plasters 25 pcs"],
    holds: "loose",
    pattern: new RegExp(
      `\\b(\\d{1,3})\\s+in\\s+(?:the\\s+|an?\\s+|its\\s+)?${PACK}\\s*(?:[,;+&]|and|plus)\\s*(\\d{1,3})\\s+loose\\b`,
      "giu",
    ),
    read: (_, packed, loose) => `${Number(packed) + Number(loose)} pcs`,
  },
  {
    name: "so many and so many",
    example: ["plasters 20 + 5", "plasters 25"],
    holds: "+",
    pattern: /(?<=\p{L}[^\d]*\s)(\d{1,3})\s*\+\s*(\d{1,3})\s*$/gu,
    read: (_, some, more) => `${Number(some) + Number(more)}`,
  },
  {
    name: "a pack of so many, some of them used",
    example: ["plasters, box of 20, 2 used", "plasters, 18 pcs"],
    holds: ["used", "gone", "taken", "missing"],
    pattern: new RegExp(
      `\\b(?:${PACK})\\s+of\\s+(\\d{1,3})\\s*[,(;–-]\\s*(\\d{1,3})\\s+(?:used|gone|taken|missing)\\)?`,
      "giu",
    ),
    read: (all, full, used) =>
      Number(used) < Number(full) ? `${Number(full) - Number(used)} pcs` : all!,
  },
  {
    name: "so many packs and a half, in words",
    example: ["one and a half strips of ten tablets", "15 pcs tablets"],
    holds: "and a half",
    pattern: new RegExp(`\\b(${N})\\s+and\\s+a\\s+half\\s+${PACKS}\\s+of\\s+(${N})\\b`, "giu"),
    read: (_, packs, each) => `${Math.ceil((valueOf(packs!) + 0.5) * valueOf(each!))} pcs`,
  },
  {
    name: "so many packs and a half",
    example: ["plasters 1 1/2 boxes of 20", "plasters 30 pcs"],
    holds: ["1/2", "½", ".5"],
    pattern: new RegExp(
      `\\b(\\d{1,2})(?:\\s*½|\\s+1/2|\\.5)\\s+${PACKS}\\s+of\\s+(\\d{1,3})\\b`,
      "giu",
    ),
    read: (_, packs, each) => `${Math.ceil((Number(packs) + 0.5) * Number(each))} pcs`,
  },
  {
    name: "a number glued to its pack",
    example: ["plasters PK20", "plasters pack of 20"],
    holds: "pk",
    pattern: /(?<=\p{L}\s+|\d\s+)(?:PK|PKT)(\d{1,3})(?=\s*$|\s*[x×]\s?\d{1,3}\s*$)/giu,
    read: "pack of $1",
  },
  {
    name: "how many a pack counts",
    example: ["ibuprofen 200 mg, 24 ct", "ibuprofen 200 mg, pack of 24"],
    holds: [" ct", " count"],
    pattern: /(?<=\p{L}{3}.*[\s,])(\d{1,3})[\s-]?(?:ct|count)\b\.?(?=\s*(?:$|[,;)(]))/giu,
    read: "pack of $1",
  },
  {
    name: "packs, what one holds in brackets, and how many",
    example: ["plasters packs (20) 2", "plasters 2 packs of 20"],
    holds: "(",
    pattern: new RegExp(`\\b(${PACKS})\\s*\\((\\d{1,3})\\)\\s*[x×:–-]?\\s*(\\d{1,3})\\s*$`, "giu"),
    read: "$3 $1 of $2",
  },
  {
    name: "pairs in a pack, said after",
    example: ["gloves, 50 pairs per box, 2 boxes", "gloves, 2 boxes of 50 pairs"],
    holds: ["pairs per", "pairs to", "prs per"],
    pattern: new RegExp(
      `\\b(\\d{1,3})\\s+(?:pairs?|prs?)\\s+(?:per|to an?|in an?)\\s+${PACK}\\s*[,;x×-]\\s*(\\d{1,3})\\s+(${PACKS})\\b`,
      "giu",
    ),
    read: "$2 $3 of $1 pairs",
  },
  {
    name: "packs of a thing, and what is in each",
    example: ["three packets of gauze, five in each packet", "three packets of five gauze"],
    holds: ["in each", "per ", "to a ", "to each"],
    pattern: new RegExp(
      `\\b(${N})\\s+(${PACKS})\\s+of\\s+(\\p{L}[^\\d,;()]{2,40}?),\\s+(${N})\\s+(?:\\p{L}+\\s+)?(?:per|in\\s+each|to\\s+(?:a|each))\\s+${PACK}\\b`,
      "giu",
    ),
    read: "$1 $2 of $4 $3",
  },
  {
    name: "what one pack holds, said after",
    example: ["12 packets, 2 tablets per packet", "12 packets, 2 per packet"],
    holds: ["per", "each", "to a"],
    pattern: new RegExp(
      `\\b(${N})\\s+(?:\\p{L}+\\s+)?(?:per|in each|to (?:a|each))\\s+(${PACK})\\b`,
      "giu",
    ),
    read: "$1 per $2",
  },
  {
    name: "packs and what one holds, glued",
    example: ["2 BX100 plasters", "2 box of 100 plasters"],
    holds: ["bx", "pk", "bg", "cs", "ct", "tb"],
    pattern: /\b(\d{1,3})\s+(BX|PK|PKT|BG|CS|CT|TB)\s?(\d{1,4})\b/gi,
    read: (_, n, pack, holds) => `${n} ${pack === "BX" ? "box" : "pack"} of ${holds}`,
  },
  {
    name: "half a dozen in figures",
    example: ["pins 1/2 doz", "pins 6"],
    holds: "doz",
    pattern: /(?:\b1\/2|½)\s*(?:a\s+)?doz(?:en|\b\.?)/gi,
    read: "6",
  },
  {
    name: "one word for twelve",
    example: ["plasters 1 doz", "plasters 12 pcs"],
    holds: ["doz", "dz"],
    pattern: /\b(?:(1|2|3|4|5)\s+)?doz\b\.?|\b(\d)\s?dz\b\.?/gi,
    read: (_, n, cut) => ((n ?? cut ?? "1") === "1" ? "12 pcs" : `${n ?? cut} dozen`),
  },
  {
    name: "pack over its content",
    example: ["wipes, PKT/10", "wipes, PKT of 10"],
    holds: ["/"],
    pattern: new RegExp(`\\b(${PACK})\\s*\\/\\s*(\\d+)\\b`, "giu"),
    read: "$1 of $2",
  },
  {
    name: "sides without their unit, and a pack behind them",
    example: ["gauze pads 3x3 PK of 2", "1 PK of 2 gauze pads 3x3"],
    holds: " of ",
    pattern: new RegExp(
      `^(\\W*|[^\\d,;:()]{2,28}:\\s+)(?:(\\d{1,3})\\s*[x×]\\s+)?([^\\d,;:()]*(?:pads?|gauzes?|swabs?|dressings?|compress(?:es)?|sponges?)\\s+\\d{1,2}(?:\\.\\d)?\\s?[x×]\\s?\\d{1,2}(?:\\.\\d)?)[\\s,(]+(${PACKS})\\s+(?:of\\s+)?(\\d{1,4})\\)?(?:(?:\\s*[x×,:–-]\\s*|\\s+qty\\.?\\s*|\\s{2,})(\\d{1,3})|\\s+\\((\\d{1,3})\\))?\\s*$`,
      "giu",
    ),
    read: (_, lead, before, sized, pack, held, behind, inside) =>
      `${lead}${before ?? behind ?? inside ?? "1"} ${pack} of ${held} ${sized}`,
  },
  {
    name: "a pack within a pack, both over their content",
    example: ["ibuprofen PKT of 2 BOX of 50", "ibuprofen BOX of 100"],
    holds: " of ",
    pattern: new RegExp(`\\b${PACK} of (\\d{1,3}),?\\s+(${PACK}) of (\\d{1,4})\\b`, "giu"),
    read: (_, inner, pack, outer) => `${pack} of ${Number(inner) * Number(outer)}`,
  },
  {
    name: "a pack of so many of each of two sizes",
    example: ["gloves, L + XL, 1 box (100) of each", "gloves, L, 2 box of 100"],
    holds: "of each",
    pattern: new RegExp(
      `\\b(x{0,3}[sl]|m)\\s*(?:\\+|&|and|\\/)\\s*(?:x{0,3}[sl]|m)\\b([^\\d]*?)(\\d)\\s*(${PACKS})\\s*\\((\\d{1,3})\\)\\s+of\\s+each\\b`,
      "giu",
    ),
    read: (_, size, between, n, pack, each) =>
      `${size}${between}${2 * Number(n)} ${pack} of ${each}`,
  },
  {
    name: "what a pack holds in brackets, and how many packs",
    example: ["swabs 10x10 (pk5) x12", "swabs 10x10, 12 packs of 5"],
    holds: "(",
    pattern: new RegExp(
      `\\s*\\(\\s*(?:${PACKS}\\s*(?:of\\s*)?(\\d{1,3})|(\\d{1,3})\\s*(?:\\/|per\\s+)?\\s*(?:pk|pack|box|bx))\\s*\\)\\s*[x×]\\s*(\\d{1,3})\\s*$`,
      "giu",
    ),
    read: (_, each, other, packs) => `, ${packs} packs of ${each ?? other}`,
  },
  {
    name: "packs of so many, the number behind in brackets",
    example: ["2 full boxes (40s)", "2 boxes of 40"],
    holds: "s)",
    pattern: new RegExp(
      `\\b(${N})\\s+(?:full\\s+|new\\s+|sealed\\s+)?(${PACKS})\\s*\\((?:of\\s+)?(\\d{1,3})'?s\\)`,
      "giu",
    ),
    read: "$1 $2 of $3",
  },
  {
    name: "packs of so many, times how many",
    example: ["swabs 10x10 5s x 14", "swabs 10x10, 14 packs of 5"],
    holds: ["x", "×"],
    pattern: /\s+(\d{1,3})'?s\s*[x×]\s*(\d{1,3})\b/gi,
    read: ", $2 packs of $1",
  },
  {
    name: "half a box of so many",
    example: ["gloves, 1/2 box (of 100)", "gloves, 50 pcs"],
    holds: ["/", "½", "¼", "¾", "⅓", "⅔", "half", "quarter", "third"],
    pattern: new RegExp(
      `(?:\\b(?:about|roughly|approx\\.?|nearly|around|some|maybe|only)\\s+)?((?<![\\d/.,])[1-3]\\/[234]|[½¼¾⅓⅔]|\\bhalf(?: an?)?|\\b(?:an? )?(?:quarter|third)(?: of)?(?: an?)?)\\s*${PACK}\\s*\\(?of\\s+(${N})\\)?`,
      "giu",
    ),
    read: (_, part, n) => {
      const share = SHARES[part!];
      if (share !== undefined) return `${Math.round(share * valueOf(n!))} pcs`;
      const less = /quarter|third/i.exec(part!)?.[0];
      return `${less === undefined ? half(n!) : partOf(String(valueOf(n!)), less)} pcs`;
    },
  },
  {
    name: "half a box, and in brackets what a full one holds",
    example: ["plasters: half a box (box = 100)", "plasters: 50 pcs"],
    holds: "half",
    pattern: new RegExp(
      `\\bhalf\\s+(?:an?\\s+)?${PACK}(\\s+of\\s+\\p{L}[\\p{L} ]{2,30}?)?\\s*\\(\\s*(?:(?:full\\s+)?${PACK}\\s*(?:=|of|holds?)\\s*(${N})|(${N})\\s+(?:in|to)\\s+an?\\s+(?:full\\s+)?${PACK})\\s*\\)`,
      "giu",
    ),
    read: (_, of, first, second) => `${half((first ?? second)!)} pcs${of ?? ""}`,
  },
  {
    name: "a box of so many, half of it left",
    example: ["swabs, box of 100, about half left", "swabs, 50 pcs"],
    holds: "half",
    pattern: new RegExp(
      `\\b(?:(?:an? |one |1 )?${PACK}\\s+of\\s+(${N})(?:\\s*[x×]\\s?1(?!\\d))?|1\\s?[x×]\\s?(\\d{2,3}))\\s*[,(–-]?\\s*(?:about|roughly|only|maybe)?\\s*half\\s+(?:left|gone|used|full|empty)\\)?`,
      "giu",
    ),
    read: (_, inPack, times) => `${half((inPack ?? times)!)} pcs`,
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
      /\b(\d{1,3}|une?|ein[er]?)\s+(bo[iî]tes?|paquets?|sachets?|cajas?|paquetes?|packungen|packung|schachteln?|dozen|rouleaux?|rollen?|rollos?|doos|pakjes?)\s+(?:de|d['’]|à|a|mit|zu|van)\s*(\d{1,3})\b/gi,
    read: (_, n, pack, holds) =>
      `${/\d/.test(n!) ? n : "1"} ${/^(?:bo|caj|schach|doo|doz)/i.test(pack!) ? "boxes" : "packs"} of ${holds}`,
  },
  {
    name: "what is left, in the language of the card",
    example: ["gloves: boîte de 100, ~ 60 restants", "gloves: boîte de 100, make that 60"],
    holds: "rest",
    pattern: /~?\s*\b(\d{1,3})\s+(?:restante?s?|restlich|übrig|rest)\b/gi,
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
    pattern: /\b(\d{1,2})\s+dozens?\b/gi,
    read: (_, n) => `${12 * Number(n)} pcs`,
  },
  {
    name: "how many each holds, said after",
    example: ["2 boxes plasters, 20 in each", "2 boxes of 20 plasters"],
    holds: "in each",
    pattern: new RegExp(
      `\\b(${N})\\s+(${PACKS})\\s+(?:of\\s+)?([^,;\\d]*?)(?<!\\bso),?\\s+(\\d{1,3})\\s+in\\s+each\\b`,
      "giu",
    ),
    read: "$1 $2 of $4 $3",
  },
  {
    name: "how many one of them holds, said after",
    example: ["tablets in a tube, 10 in it", "tablets in a tube, 10 per tube"],
    holds: " in ",
    pattern: new RegExp(
      `\\b(${PACKS})\\b([^;]*?),\\s*(\\d{1,3})\\s+in\\s+(?:it|each|them)\\b`,
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
      /(?<!\b(?:cold|ice|gel|heat|hot|warm|cool|cryo|hydration|sharps)),? (box|bx|pack|pkt|pk)(?<=\p{L}{3}.* \p{L}+) ?((?:[1-9]|[1-9]\d)[05]|[5-9])\s*$/giu,
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
      `\\b(?:1|one|an?)\\s+(?:full\\s+|unopened\\s+|new\\s+)?${PACK}\\s*(?:\\(\\s*|of\\s+)(\\d{1,3})\\s*\\)?\\s*(?:,\\s*)?(?:\\+|&|and|plus)?\\s*(\\d{1,3})\\s+loose\\b`,
      "giu",
    ),
    read: (_, pack, loose) => String(Number(pack) + Number(loose)),
  },
  {
    name: "not pairs",
    example: ["gloves, single (not pairs)", "gloves, single"],
    holds: "not pairs",
    pattern: /\s*\(not pairs\)/gi,
    read: "",
  },
  {
    name: "packed in pairs",
    example: ["compresses 10 x 10 cm, packed in pairs", "compresses 10 x 10 cm"],
    holds: "packed in pairs",
    pattern: /(?<!glove[^;]*),\s*packed in pairs\b/gi,
    read: "",
  },
  {
    name: "packs of pairs, which each holds said behind",
    example: ["2 units exam gloves (2 pr/unit)", "4 pairs exam gloves"],
    holds: ["pr", "pair"],
    pattern: new RegExp(
      `^(\\W*)(\\d{1,3})\\s+(?:units?|${PACKS})\\s+(?:of\\s+)?(\\p{L}[^()\\d]*?)\\s*\\((\\d{1,3})\\s*(?:pairs?|prs?)\\s*(?:\\/|per\\s+|in\\s+(?:an?|each)\\s+)\\s*(?:unit|${PACK})\\)`,
      "iu",
    ),
    read: (_, mark, packs, name, each) => `${mark}${Number(packs) * Number(each)} pairs ${name}`,
  },
];
