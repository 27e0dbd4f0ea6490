import { NUMBER_WORDS, VALUE_OF } from "./numberWords.ts";
import { SIZE_OF, valueOf, type Phrase } from "./phrase.ts";

/** Ways of writing what a thing is called and how large it is, put into one that the grammar reads. */

const N = NUMBER_WORDS;

/** The longest side of a triangular cloth lies between 1 and 1.8 m, so that its unit is plain. */
const unitOfCloth = (longest: number): string =>
  longest >= 1000 ? " mm" : longest >= 100 ? " cm" : longest >= 36 && longest <= 72 ? " in" : "";

/** "L", "XXL", "S/M". */
const LETTER_SIZE = "(?:x{0,3}[sl]|m)(?:\\s?[/–-]\\s?(?:x{0,3}[sl]|m))?";

/** Standard dressings by their numbers. */
const DRESSING_OF: Readonly<Record<string, string>> = { 7: "small", 8: "medium", 9: "large" };

/** What one tablet of it holds, in mg, as it is sold over the counter: a number behind the name that is one of these counts nothing. */
const STRENGTHS_MG: Readonly<Record<string, readonly number[]>> = {
  cetirizine: [10],
  loratadine: [10],
  desloratadine: [5],
  fexofenadine: [120, 180],
  diphenhydramine: [25, 50],
  dimenhydrinate: [50],
  meclizine: [25],
  meclozine: [25],
  cinnarizine: [15, 25],
  naproxen: [220, 250],
  aspirin: [75, 81, 300, 325],
};

/** An ordered table: an earlier phrase may make what a later one reads. */
export const NAME_PHRASES: readonly Phrase[] = [
  {
    name: "elastic of a width",
    example: ["1 elastic 4 in", "1 elastic bandage 4 in"],
    holds: ["elastic ", "Elastic ", "ELASTIC "],
    pattern: /\belastic(?=\s+\d{1,2}(?:[.,]\d)?\s?(?:cm|in(?:ch)?\b|["”″]))/giu,
    read: "elastic bandage",
  },
  {
    name: "cotton by its weight",
    example: ["Cotton 100 g, 1 roll", "cotton wool 100 g, 1 roll"],
    holds: ["otton", "OTTON"],
    pattern: /\bcotton(?=[\s,]+\d{1,3}\s?g(?:ms?|rams?)?\b)/giu,
    read: "cotton wool",
  },
  {
    name: "strength of alcohol",
    example: ["Alcohol 70 250 ml", "Alcohol 70 % 250 ml"],
    holds: ["lcohol", "lcool"],
    pattern:
      /(?<=\b(?:alcohol|alcool)\s+(?:de\s+|à\s+|a\s+)?)(70|80|90|95|96|99)(?:\s?[°º])?(?=[\s,;:-]|$)(?!\s?%|\s?(?:pads?|pcs|wipes?|swabs?|x)\b)/giu,
    read: "$1 %",
  },
  {
    name: "with, shortened",
    example: ["tweezers c/w magnifier", "tweezers with magnifier"],
    holds: ["w ", "w\t", "w."],
    pattern: /\b(?:[Cc]\/[Ww]\s+(?=\p{L}{3})|(?:cw|w\.|w)\s+(?=\p{Ll}{3}))/gu,
    read: "with ",
  },
  {
    name: "what one tablet holds, before how many there are",
    example: ["diphenhydramine 25 x12", "diphenhydramine 25 mg x12"],
    holds: Object.keys(STRENGTHS_MG),
    pattern: new RegExp(
      `\\b(${Object.keys(STRENGTHS_MG).join("|")})\\s+(\\d{1,3})(?=\\s*[x×]\\s*\\d)`,
      "gi",
    ),
    read: (said, name, number) =>
      STRENGTHS_MG[name!.toLowerCase()]!.includes(Number(number)) ? `${said} mg` : said!,
  },
  {
    name: "non-, shortened",
    example: ["swabs n/woven", "swabs non-woven"],
    holds: "n/",
    pattern: /\bn\/(?=wov|adh|stick|ster|lat|irrit)/gi,
    read: "non-",
  },
  {
    name: "waterproof, shortened",
    example: ["w/proof plasters", "waterproof plasters"],
    holds: "w/pr",
    pattern: /\bw\/pro?o?f\b/gi,
    read: "waterproof",
  },
  {
    name: "what holds an eye pad in place",
    example: ["2 eye pads w/ 4 adhesive strips", "2 eye pads"],
    holds: "eye pad",
    pattern: /(?<=\beye\s+pads?)\s+(?:w\/|with)\s?\d{1,2}\s+adhesive\s+strips\b/gi,
    read: "",
  },
  {
    name: "the size of a sling behind its pins",
    example: ["sling w/ 2 safety pins, 40 x 40 x 56", "sling 40 x 40 x 56 in w/ 2 safety pins"],
    holds: "pin",
    pattern:
      /\s((?:w\/|with)\s?\d{1,2}\s(?:safety\s)?pins),\s(\d[\d.,"”x×\s]*[x×][\d.,"”x×\s]*(?:cm|mm|in)?)\s*$/gi,
    read: " $2 $1",
  },
  {
    name: "a dressing with its bandage",
    example: ["wound dressings with bandage 12 x 12 cm", "wound bandaged dressing 12 x 12 cm"],
    holds: "dressing",
    pattern:
      /(?<!eye\s+(?:\p{L}+\s+)?)\bdressings?\s+with\s+(?:an?\s+|the\s+|its\s+)?bandages?\b(?:\s+(?:on|attached)\b)?/giu,
    read: "bandaged dressing",
  },
  {
    name: "a pack that is a thing of its own, shortened",
    example: ["cold pk 3", "cold pack 3"],
    holds: "pk",
    pattern: /\b(cold|ice|hot|heat|warm|cool|chill)\s+pk(s?)\b/gi,
    read: "$1 pack$2",
  },
  {
    name: "first aid, shortened",
    example: ["F/A dressing", "first aid dressing"],
    holds: "f/a",
    pattern: /\bF\/A\b/gi,
    read: "first aid",
  },
  {
    name: "not sterile, shortened",
    example: ["gauze swabs n/s", "gauze swabs nonsterile"],
    holds: "n/s",
    pattern: /\bn\/s(?![a-z])/gi,
    read: "nonsterile",
  },
  {
    name: "three sides without a unit",
    example: ["triangular bandages 96x96x136", "triangular bandages 96x96x136 cm"],
    holds: ["triang", "sling"],
    pattern:
      /(?<=\b(?:triang|sling).*)\b(\d{2,4})\s*[x×]\s*(\d{2,4})\s*[x×]\s*(\d{2,4})\b(?!\s*(?:[x×]\s*\d+\s*)?(?:mm|cm|m|in(?:ch)?|["”″])(?![a-z]))/gi,
    read: (sides, ...lengths) =>
      `${sides}${unitOfCloth(Math.max(...lengths.slice(0, 3).map(Number)))}`,
  },
  {
    name: "foil, counted: the blanket",
    example: ["gloves 4 pr, foil 3", "gloves 4 pr, foil blanket 3"],
    holds: "foil",
    pattern:
      /(?<=^\W*|(?<!^\W*(?:\p{L}+\s+){0,2}(?:wipes?|swabs?))[,;]\s*)foils?(?=\s*(?:[x×:=–-]\s*)?(?:\d{1,3}\s*(?:pcs\b[^,;]*)?(?:[,;(]|$)|$))/giu,
    read: "foil blanket",
  },
  {
    name: "a dressing by its number",
    example: ["No.8 dressing x 2", "No.8 ambulance dressing x 2"],
    holds: "dressing",
    pattern:
      /(?<!\d\s+|sterile\s+)\b(no\.?\s?(?:7|8|9|13|14|15)\s+(?:sterile\s+)?)(?=dressings?\b)/gi,
    read: "$1ambulance ",
  },
  {
    name: "what it is not, by its kind",
    example: ["gloves 3 pairs not the latex ones", "gloves 3 pairs"],
    holds: "not ",
    pattern:
      /,?\s*\bnot\s+(?:the\s+)?\p{L}+\s+(?:ones?|types?|kinds?|sorts?)\b(?=\s*(?:[,;).]|$))/giu,
    read: "",
  },
  {
    name: "a size cut short, behind its count",
    example: ["dressings - 3 sml, 3 med, 1 lge", "dressings - 3 small, 3 medium, 1 large"],
    holds: ["med", "lge", "lrg", "sml", "sm"],
    pattern: /(?<=\b\d{1,3}\s+)(med|lge|lrg|sml|sm)\b\.?(?=\s*(?:[,;+&)]|and\b|$))/gi,
    read: (_, size) => SIZE_OF[size!.toLowerCase()]!,
  },
  {
    name: "a size cut short, before its count",
    example: ["dressings: med 4, lge 2", "dressings: medium 4, large 2"],
    holds: ["med", "lge", "lrg", "sml"],
    pattern: /(?<=[:,;–-]\s*)(med|lge|lrg|sml)\b\.?(?=\s*(?:[x×:]\s*)?\d)/gi,
    read: (_, size) => SIZE_OF[size!.toLowerCase()]!,
  },
  {
    name: "sides by their letter",
    example: ["crepe bandage W7.5cm L4m", "crepe bandage 7.5cm x 4m"],
    holds: "w",
    pattern:
      /\bW\s?(\d+(?:[.,]\d+)?\s?(?:mm|cm|in))\s*[x×,/]?\s*[LH]\s?(\d+(?:[.,]\d+)?\s?(?:mm|cm|m|in|ft|yd)s?)\b/gi,
    read: "$1 x $2",
  },
  {
    name: "a size, said to be one",
    example: ["gauze pads size 10x10 qty 5", "gauze pads 10x10 qty 5"],
    holds: "size",
    pattern: /\bsize:?\s+(?=\d+(?:[.,]\d+)?\s*(?:cm|mm|in)?\s*[x×]\s*\d)/gi,
    read: "",
  },
  {
    name: "so many times the width of what comes on a roll",
    example: ["roller bandage 6 x 10cm", "roller bandage 10cm x 6 pcs"],
    holds: ["bandage", "wrap", "tape"],
    pattern:
      /\b((?:roller|crepe|conforming|elastic|cohesive)\s+(?:bandages?|wraps?)|(?<!measuring\s)tapes?)\s+\(?(\d{1,2})\s*[x×]\s*((?:(?:1[.,]25|2[.,]5|5|6|7[.,]5|8|10|12|15)\s?cm|(?:25|50|60|75|80|100|150)\s?mm|(?:1|2|3|4|6)(?:["”″]|[\s-]?in(?:ch)?\b))(?:\s+wide)?)\)?\s*$/gi,
    read: "$1 $3 x $2 pcs",
  },
  {
    name: "so many times both sides of what has no third",
    example: ["gauze pads 4 x 10 x 10 cm", "gauze pads 10 x 10 cm x 4 pcs"],
    holds: ["bandage", "wrap", "tape", "pad", "dressing", "gauze", "plaster", "strip", "blanket"],
    pattern:
      /(?<!\b(?:box|bag|case|pouch|kit|tin|pack|triang\p{L}*)\b[^\d]*)((?:bandages?|wraps?|tapes?|pads?|dressings?|gauzes?|plasters?|strips|blankets?)\s+)(\d{1,3})\s*[x×]\s*(\d{1,3}(?:[.,]\d{1,2})?\s?(?:mm|cm|m|in(?:ch)?|["”″])?\s?[x×]\s?\d{1,3}(?:[.,]\d{1,2})?\s?(?:mm|cm|m|yds?|in(?:ch)?\b|["”″]))\s*$/giu,
    read: "$1$3 x $2 pcs",
  },
  {
    name: "gel by the gram is in no dressing",
    example: ["burn hydrogel 25g", "burn gel 25g"],
    holds: "hydrogel",
    pattern: /\b(burns?\s+)hydro(gel)(?=\s*,?\s*\(?\d{1,3}(?:[.,]\d)?\s?(?:g|ml)\b)/gi,
    read: "$1$2",
  },
  {
    name: "a square with a dash or a stroke between its sides",
    example: ["gauze pads 10-10 cm", "gauze pads 10 x 10 cm"],
    holds: ["-", "/"],
    pattern: /(?<![\d.,/-])((?:[4-9]|\d{2})(?:[.,]\d)?)[-/]\1(?=\s?cm)/gi,
    read: "$1 x $1",
  },
  {
    name: "the width of what comes on a roll, and how many: none is so short",
    example: ["crepe bandage 10 cm x 22", "crepe bandage 10 cm x 22 pcs"],
    holds: ["bandage", "wrap", "tape"],
    pattern:
      /\b((?:roller|crepe|conforming|elastic(?:ated)?|cohesive|stretch)\s+(?:bandages?|wraps?)|(?<!measuring\s)tapes?)\s+((?:1[.,]25|2[.,]5|5|6|7[.,]5|8|10|12|15)\s?cm)\s*[x×]\s*(1[3-9]|[2-9]\d|1\d\d)\s*$/gi,
    read: "$1 $2 x $3 pcs",
  },
  {
    name: "so many of a width: no bandage is as short as that",
    example: ["conforming bandage: 2 x 5 cm", "conforming bandage: 2 pcs 5 cm"],
    holds: ["bandage", "wrap", "tape", "crepe", "conforming", "elastic", "cohesive"],
    pattern:
      /\b((?:(?:crepe|conforming|cohesive)(?:\s+(?:bandages?|wraps?))?|(?:roller|elastic(?:ated)?|stretch)\s+(?:bandages?|wraps?)|gauze\s+(?:bandages?|rolls?)|(?<!measuring\s)tapes?)\s*[:,–-]?\s)([1-9]|1[0-2])\s?[x×]\s?((?:1[.,]25|2[.,]5|5|6|7[.,]5|8|10|12|15)\s?cm)(?=\s*(?:$|[,;)]))/gi,
    read: "$1$2 pcs $3",
  },
  {
    name: "a square's one side",
    example: ["swabs 7.5 cm sq", "swabs 7.5 x 7.5 cm"],
    holds: ["sq"],
    pattern: /(\d+(?:[.,]\d+)?)\s*(cm|mm|in(?:ch)?|")\s*(?:sq\b\.?|square\b)/gi,
    read: "$1 x $1 $2",
  },
  {
    name: "a pack by its number, as Germans write it",
    example: ["Pflaster, 20er-Packung", "Pflaster, pack of 20"],
    holds: "er",
    pattern: /\b(\d{1,3})er[-\s]?(?:pack(?:ung)?(?:en)?|pack|schachteln?|box|set)\b/gi,
    read: "pack of $1",
  },
  {
    name: "width and length either side of a stroke",
    example: ["bandage 7.5cm/4m", "bandage 7.5cm x 4m"],
    holds: "cm",
    pattern: /\b(\d{1,2}(?:[.,]\d)?\s?cm)\s*[/–-]\s*(\d{1,2}(?:[.,]\d{1,2})?\s?m)\b/gi,
    read: "$1 x $2",
  },
  {
    name: "whole sides with a nought behind the point",
    example: ["gauze pad 10.0 x 10.0", "gauze pad 10x10"],
    holds: [".0", ",0"],
    pattern: /\b(\d{1,2})[.,]0\s?[x×]\s?(\d{1,2})[.,]0\b/g,
    read: "$1x$2",
  },
  {
    name: "bandage by its letter",
    example: ["elastic b. 8 cm", "elastic bandage 8 cm"],
    holds: "b.",
    pattern:
      /\b(elastic|conforming|crepe|pressure|triangular|roller|gauze|cohesive|tubular)\s+b\.(?=\s)/gi,
    read: "$1 bandage",
  },
  {
    name: "the width of a nasal airway, in French",
    example: ["NPA 28, clean", "NPA size 28, clean"],
    holds: ["npa", "nasopharyngeal"],
    pattern:
      /\b(npas?|nasopharyngeal(?:\s+airways?)?)\s+(?=(?:2\d|3[0-6])\b(?!\s*(?:pcs|x\s?\d)))/gi,
    read: "$1 size ",
  },
  {
    name: "compressed gauze, shortened",
    example: ["comp gauze x2", "compressed gauze x2"],
    holds: "comp",
    pattern: /\bcomp\.?\s+(?=gauze\b)/gi,
    read: "compressed ",
  },
  {
    name: "butterflies, and no word for what they do",
    example: ["5 butterflies, tape", "5 butterfly closures, tape"],
    holds: "butterfl",
    pattern: /\bbutterfl(?:y|ies)(?=\s*(?:$|[,;(]|[x×]\s?\d))/gi,
    read: "butterfly closures",
  },
  {
    name: "bottles of eyewash by their content, without its unit",
    example: ["eye wash: 2 x 500 + 8 pods", "eye wash: 2 x 500 ml + 8 pods"],
    holds: ["eyewash", "eye wash", "saline"],
    pattern:
      /(?<=\b(?:eye\s?wash|saline)\b[^\d]{0,12}\d{1,2}\s?[x×]\s?)(250|500|1000)(?!\s*(?:ml|\d|[x×]))/gi,
    read: "$1 ml",
  },
  {
    name: "a dressing by the letter of its size",
    example: ["wound drsg M 3", "medium wound drsg 3"],
    holds: ["dressing", "drsg", "dsg"],
    pattern:
      /\b((?:(?:[Ww]ound|[Ss]terile|[Ff]irst aid|[Bb]urns?|[Hh]ydrogel|[Gg]el|[Ff]ilm|[Tt]rauma|[Aa]mbulance) )*)([Dd]ressings?|[Dd]rsgs?|[Dd]sgs?|DRESSINGS?|DRSGS?)\s+\(?(S|M|L|XL)\)?(?=\s*(?:$|[\d/]|[x×]\s?\d))(?!\s*[x×]?\s?\d{1,3}[,\s]+(?:X*[SL]|M)\b)/g,
    read: (_, which, name, size) =>
      `${{ S: "small", M: "medium", L: "large", XL: "extra large" }[size!]!} ${which}${name}`,
  },
  {
    name: "sizes by their letter, each with its count, and nothing between",
    example: ["dressings M×6 L×4, tape", "dressings M×6, L×4, tape"],
    holds: ["x", "×"],
    pattern: /(?<=\b(?:X*[SL]|M)\s?[x×]\s?\d{1,3})\s+(?=(?:X*[SL]|M)\s?[x×]\s?\d)/g,
    read: ", ",
  },
  {
    name: "low-adherent, cut short",
    example: ["low-adh pads 5x5", "low-adherent pads 5x5"],
    holds: ["low adh", "low-adh", "non adh", "non-adh"],
    pattern: /\b(low|non)[\s-]adh\b\.?(?=\s+(?:pads?|dressings?|drsgs?|dsgs?|\d))/gi,
    read: "$1-adherent",
  },
  {
    name: "a chest seal, cut short",
    example: ["ch. seal vented x1", "chest seal vented x1"],
    holds: "seal",
    pattern: /\bch\.?\s+(?=seals?\b)/gi,
    read: "chest ",
  },
  {
    name: "two chest seals in a pack",
    example: ["chest seal vented twin x1", "chest seal vented twin pack x1"],
    holds: "twin",
    pattern: /(?<=\bseals?\b[^,;]*)\btwin\b(?!\s*-?\s*(?:packs?|pks?)|\))/gi,
    read: "twin pack",
  },
  {
    name: "a mouthpiece, which is no piece of a mouth",
    example: ["2 CPR mouth pieces", "2 CPR mouthpieces"],
    holds: ["mouth piece", "mouth-piece"],
    pattern: /\bmouth[- ](pieces?)\b/gi,
    read: "mouth$1",
  },
  {
    name: "a mask by its class",
    example: ["N95 x4", "FFP mask x4"],
    holds: "n95",
    pattern: /\bk?n95s?(?:\s+(?:face\s+)?(?:masks?|respirators?))?(?![\w-])/gi,
    read: "FFP mask",
  },
  {
    name: "a defibrillator and its pads",
    example: ["AED with spare pads", "AED and AED pads"],
    holds: "pads",
    pattern:
      /\b(aed|defib(?:rillator)?)\s+(?:with|\+|and|incl\.?|including)\s+(?:(?:spare|extra|adult|its|one|1)\s+){1,2}(?:pads|electrodes)\b/gi,
    read: "$1 and AED pads",
  },
  {
    name: "how a tool ends",
    example: ["tweezers, needle ends", "tweezers (needle ends)"],
    holds: ["end", "tip", "point", "nose"],
    pattern:
      /,\s+((?:needle|fine|flat|slant(?:ed)?|blunt|pointed|angled|round(?:ed)?|sharp|straight|curved)[- ](?:ends?|tips?|points?|nosed?))(?=\s*(?:$|[,;]))/gi,
    read: " ($1)",
  },
  {
    name: "closure strips by their width, and how many",
    example: ['closure strips 1/4" x 10', 'closure strips 1/4" x 10 pcs'],
    holds: "strip",
    pattern:
      /\b((?:closure|closing|skin|wound|suture)\s+strips?\s+\d\/\d\s?(?:"|in))\s*[x×]\s*(\d{1,2})\s*$/gi,
    read: "$1 x $2 pcs",
  },
  {
    name: "eyewash, cut short",
    example: ["eye wsh 500 ml", "eyewash 500 ml"],
    holds: "wsh",
    pattern: /\beye\s?wsh\b/gi,
    read: "eyewash",
  },
  {
    name: "a square by its side, and how many",
    example: ["gauze swabs 7.5cm x 4", "gauze swabs 7.5cm x 4 pcs"],
    holds: ["swab", "pad", "square"],
    pattern: /\b((?:swabs?|pads?|squares?)\s+)(\d{1,2}(?:\.\d)?)(\s?cm)\s*[x×]\s*(\d{1,2})\s*$/gi,
    // "10 cm x 10", "10 cm x 20": its other side.
    read: (all, name, side, unit, n) =>
      Number(n) % Number(side) === 0 ? all! : `${name}${side}${unit} x ${n} pcs`,
  },
  {
    name: "a chest seal by its letters",
    example: ["CS vented (twin) x1", "chest seal vented (twin) x1"],
    holds: "cs ",
    pattern: /\bCS\s+(?=(?:vented|plain|non-vented|twin|\(twin)\b)/g,
    read: "chest seal ",
  },
  {
    name: "large and small in other words",
    example: ["one big dressing", "one large dressing"],
    holds: ["big", "little", "tiny", "wee "],
    pattern: /\b(big(?:ger)?|little|tiny|wee)\s+(?=dressings?\b)/gi,
    read: (_, size) => (/^big/i.test(size!) ? "large " : "small "),
  },
  {
    name: "dressings by a size cut short",
    example: ["lge. dressing", "large dressing"],
    holds: ["dressing"],
    pattern:
      /\b(med|lge|lrg|sml|sm)\.?\s+(?=(?:wound\s+|sterile\s+|first\s+aid\s+)?dressings?\b)/gi,
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
    name: "gauze named by its size",
    example: ["4x4s, sterile", "4x4 gauze pads, sterile"],
    pattern: /\b(\d{1,2})\s?[x×]\s?\1'?s\b/gi,
    read: "$1x$1 gauze pads",
  },
  {
    name: "a bulky pad named by its size in inches",
    example: ["6 wipes, 1 5x9", "6 wipes, 1 5x9 in ABD pads"],
    holds: ["5x9", "8x10", "5 x 9", "8 x 10"],
    pattern:
      /(?<=(?:^|[,;+&])\s*\d{1,2}\s(?:ea\.?\s|x\s)?)(5\s?x\s?9|8\s?x\s?10)s?(?=\s*(?:$|[,;+&]))/gi,
    read: "$1 in ABD pads",
  },
  {
    name: "area or least size",
    example: ["cold compress, min. 200 cm², instant", "cold compress, instant"],
    holds: ["cm²", "cm2", "mm²", "mm2", "in²", "in2"],
    pattern: /,?\s*\b(?:min|max)\.?\s*\d+\s*(?:cm|mm|in)[²2]/gi,
    read: "",
  },
  {
    name: "area in words",
    example: ["eye covering 2.9 sq in", "eye covering"],
    holds: "sq",
    pattern: /,?\s*\b\d+(?:[.,]\d+)?\s*sq\.?\s*(?:cm|mm|in(?:ch(?:es)?)?)\b\.?/gi,
    read: "",
  },
  {
    name: "how long it lasts",
    example: ["glow stick, lasts 12 h", "glow stick"],
    holds: ["lasts", "burns", "glows", "good for", "up to"],
    pattern:
      /,?\s*\b(?:lasts|burns|glows|good for|up to)\s+\d+\s*(?:h|hrs?|hours?|min|minutes)\b/gi,
    read: "",
  },
  {
    name: "so many sizes, and so many of each",
    example: ["tick hooks, 2 sizes, 3 of each", "tick hooks, 6 pcs"],
    holds: ["sizes", "colours", "colors", "kinds", "sorts"],
    pattern: new RegExp(
      `\\b(?:in\\s+)?(${NUMBER_WORDS})\\s+(?:sizes|colou?rs|kinds|sorts)\\s*[,:;(–-]?\\s*(${NUMBER_WORDS})\\s+(?:of\\s+)?each(?:\\s+size)?\\)?(?=\\s*$)`,
      "iu",
    ),
    read: (_, sizes, each) => `${valueOf(sizes!) * valueOf(each!)} pcs`,
  },
  {
    name: "in how many sizes it comes",
    example: ["plasters, set of 14 in 3 sizes", "plasters, set of 14"],
    holds: ["sizes", "types", "colo", "shapes"],
    pattern:
      /(?:\s+in\s+(?:\d|two|three|four|five)\s+(?:different\s+)?(?:sizes|types|colou?rs|shapes)\b|,\s+\d\s+(?:different\s+)?(?:sizes|types|colou?rs|shapes)\b(?=\s*[,;(]))/gi,
    read: "",
  },
  {
    name: "a set of all sizes from one to another",
    example: ["OPA set 0-4", "OPA set of 5"],
    holds: "set",
    pattern: /\bset\s+(\d)\s*[-–]\s*(\d)\b/gi,
    read: (all, from, to) =>
      Number(to) > Number(from) ? `set of ${Number(to) - Number(from) + 1}` : all!,
  },
  {
    name: "the size of an airway",
    example: ["npa 28 x1", "npa size 28 x1"],
    holds: ["npa", "opa", "airway", "guedel", "pharyngeal"],
    pattern:
      /\b(npas?|opas?|airways?|guedels?|nasopharyngeal|oropharyngeal)\s+(\d{1,2}(?:\.\d)?)\s+(?=x\s?\d)/gi,
    read: "$1 size $2 ",
  },
  {
    name: "a size by its letter, said to be one",
    example: ["nitrile gloves size L 5 pairs", "nitrile gloves (L) 5 pairs"],
    holds: ["size", "sz", "gr", "taille", "talla", "taglia", "maat"],
    pattern: new RegExp(
      `,?\\s*\\(?\\b(?:size|sz\\.?|gr\\.|größe|grösse|taille|talla|taglia|maat)(?:\\s*:\\s*|\\s+)(${LETTER_SIZE}|[A-J])\\b\\)?(?![-'’.]?\\p{L})`,
      "giu",
    ),
    read: " ($1)",
  },
  {
    name: "a size by its letter, of what is worn",
    example: ["nitrile gloves L 5 pairs", "nitrile gloves (L) 5 pairs"],
    holds: [
      "glove",
      "glv",
      "vest",
      "collar",
      "splint",
      "support",
      "brace",
      "apron",
      "gown",
      "coverall",
    ],
    pattern: new RegExp(
      `\\b((?:gloves?|glvs?|vests?|collars?|splints?|supports?|braces?|aprons?|gowns?|coveralls?)(?:,?\\s+(?:nitr?(?:ile)?|ntrl|latex|vinyl|powder[- ]free|blue|black|disposable|sterile|non[- ]sterile))*),?\\s+(${LETTER_SIZE})\\b(?=\\s*(?:$|[-–:,(×]|x?\\s?\\d))`,
      "giu",
    ),
    read: "$1 ($2)",
  },
  {
    name: "a size by its letter, behind the pairs",
    example: ["gloves: 5 pairs L, 3 pairs M", "gloves: 5 pairs (L), 3 pairs (M)"],
    holds: ["pair", "pr"],
    pattern: new RegExp(
      `\\b(\\d+\\s+(?:pairs?|prs?))\\s+(${LETTER_SIZE})\\b(?=\\s*(?:$|[,;&]|and\\b))`,
      "giu",
    ),
    read: "$1 ($2)",
  },
  {
    name: "millilitres as one says them",
    example: ["saline, two fifty mil", "saline, 250 ml"],
    holds: " mil",
    pattern: /\b(one|two|three|four|five|seven)\s+(twenty[ -]?five|fifty)\s+mils?\b/gi,
    read: (_, hundreds, rest) =>
      `${100 * VALUE_OF[hundreds!.toLowerCase()]! + (/fifty/i.test(rest!) ? 50 : 25)} ml`,
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
    name: "microporous, and no word for tape",
    example: ["2 rolls of microporous", "2 rolls of microporous tape"],
    holds: "microporous",
    pattern:
      /(?<=^\W*(?:(?:\d{1,2}|an?|one|two)\s*[x×]?\s*)?(?:rolls?\s+(?:of\s+)?)?)microporous(?!\s+(?:tape|roll|surgical|plaster))\b/gi,
    read: "microporous tape",
  },
  {
    name: "a set of airways from one size to another, one of each",
    example: ["OPA set (sizes 00-4)", "OPA 6"],
    holds: ["opa", "npa", "airway", "guedel"],
    pattern:
      /\b(npas?|opas?|(?:(?:naso|oro)pharyngeal\s+|guedel\s+|oral\s+)?airways?|guedels?)(?:,?\s+sets?)?,?\s*\(?\s*(?:sizes?\s+)?(00|[0-4])\s*(?:-|–|to)\s*([1-6])\)?(?=\s*(?:$|[,;]))/gi,
    // "00" is a size smaller than nought.
    read: (_, name: string, from: string, to: string) =>
      `${name} ${Number(to) - Number(from) + 1 + (from === "00" ? 1 : 0)}`,
  },
  {
    name: "sizes of an airway one after another, one of each",
    example: ["nasal airways 6.0, 7.0", "nasal airways 2 pcs"],
    holds: ["opa", "npa", "airway", "guedel"],
    pattern:
      /\b(opas?|npas?|airways?|guedels?):?\s+(?:sizes?\s+)?(\d{1,2}(?:\.\d)?(?:\s*(?:,|and|&|\/)\s*\d{1,2}(?:\.\d)?){1,4})(?:[,:]?\s+(?:1|one)(?:\s+of)?\s+(?:each|ea\.?))?(?=\s*$|\s+(?:with|c\/w|and|\+)\s+\p{L})/giu,
    read: (_, name, sizes) => `${name} ${sizes!.match(/\d+(?:\.\d)?/g)!.length} pcs`,
  },
  {
    name: "a square's sides over a stroke",
    example: ["dressings 10/10 cm", "dressings 10 x 10 cm"],
    holds: "/",
    pattern: /\b(\d{1,3})\s?\/\s?\1\s?(cm|mm)\b/gi,
    read: "$1 x $1 $2",
  },
  {
    name: "one of each of a run of sizes",
    example: ["OPAs 1 of each 0-4", "OPAs 5"],
    holds: "each",
    pattern: /\b(?:1|one)\s+(?:of\s+)?each,?\s+(?:sizes?\s+)?(\d)\s*(?:[-–]|to)\s*(\d)\s*$/gi,
    read: (all, from, to) => (to! > from! ? `${Number(to) - Number(from) + 1}` : all!),
  },
  {
    name: "two sizes of one thing, each counted",
    example: ["five medium and two large dressings", "five medium dressings, two large dressings"],
    holds: ["small", "medium", "large", "big"],
    pattern: new RegExp(
      `\\b(${N})\\s+(small|medium|large|big)\\s+and\\s+(${N})\\s+(small|medium|large|big)\\s+((?:\\p{L}+\\s+){0,2}\\p{L}{3,})(?=\\s*(?:[,.;]|$|and\\b))`,
      "giu",
    ),
    read: "$1 $2 $5, $3 $4 $5",
  },
  {
    name: "so many, and in brackets one of each size",
    example: [
      "wipes, two crepe bandages (one 5 cm, one 7.5 cm) and tape",
      "wipes, one 5 cm crepe bandages, one 7.5 cm crepe bandages and tape",
    ],
    holds: "(",
    pattern: new RegExp(
      `\\b(?:${N})\\s+((?:\\p{L}+[\\s-]){0,2}\\p{L}{3,})\\s*\\((\\s*(?:${N})\\s+\\d+(?:[.,]\\d+)?\\s*(?:cm|mm|in|")(?:\\s*(?:,|;|&|and)\\s*(?:${N})\\s+\\d+(?:[.,]\\d+)?\\s*(?:cm|mm|in|"))+)\\s*\\)`,
      "giu",
    ),
    read: (_, name, sizes) =>
      sizes!
        .trim()
        .split(/\s*(?:,|;|&|\band\b)\s*/)
        .map((size) => `${size} ${name}`)
        .join(", "),
  },
  {
    name: "waterproof, cut short",
    example: ["W/P dressings x 6", "waterproof dressings x 6"],
    holds: "w/p",
    pattern: /\bw\/p\b/gi,
    read: "waterproof",
  },
  {
    name: "more than anybody counted, and how many",
    example: ["gloves, loads, about 12 pairs", "gloves, about 12 pairs"],
    holds: ["loads", "lots", "plenty", "heaps", "tons"],
    pattern:
      /(?<=\p{L}{3})\s*[,:–-]?\s*\b(?:loads|lots|plenty|heaps|tons)\b\s*[,:–(-]?\s*(?=(?:about|approx|maybe|around|at\s+least|c\.)?\s*\d)/giu,
    read: ", ",
  },
  {
    name: "sorts told by the ones",
    example: [
      "plasters the fabric ones about eighteen and the clear ones six",
      "plasters: about eighteen fabric, six clear",
    ],
    holds: " ones",
    pattern: new RegExp(
      `^(\\W*\\p{L}[^,:\\d]*?)[,:]?\\s+(?:the\\s+)?(\\p{L}+)\\s+ones\\s*:?\\s+((?:about\\s+)?(?:${N}))\\s*(?:,|and|,\\s*and)\\s+(?:the\\s+)?(\\p{L}+)\\s+ones\\s*:?\\s+((?:about\\s+)?(?:${N}))\\s*$`,
      "iu",
    ),
    read: "$1: $3 $2, $5 $4",
  },
  {
    name: "nitrile, cut short",
    example: ["GLOVE EXAM NIT", "GLOVE EXAM nitrile"],
    holds: "nit",
    pattern: /(?<=\bgloves?\b.*)\bnit\b\.?|\bnit\b\.?(?=\s+gloves?\b)/gi,
    read: "nitrile",
  },
  {
    name: "the bag that so many lie in",
    example: ["gloves – a zip bag of 8 pairs", "gloves – a bag of 8 pairs"],
    holds: "bag of ",
    pattern:
      /(?<=\p{L}{3}.*)\b(?:zip(?:[\s-]?lock)?|plastic|poly|freezer|sealed)\s+(?=bags?\s+of\s+\d)/giu,
    read: "",
  },
  {
    name: "complete with",
    example: ["burn gel, tube c/w 2 pads", "burn gel, tube w/ 2 pads"],
    holds: "c/w",
    pattern: /\bc\/w\b/gi,
    read: "w/",
  },
  {
    name: "the sizes of masks that go with it",
    example: ["BVM w/ masks size 4 & 5", "BVM w/ masks"],
    holds: "mask",
    pattern:
      /(?<=\b(?:with|w\/|\+|and)\s*(?:face\s*)?masks?)\s*,?\s*\(?(?:sizes?\s+)?\d(?:\s*(?:,|&|\+|and)\s*\d)+\)?/gi,
    read: "",
  },
  {
    name: "a box of so many, and how many are still in it, abroad",
    example: ["pleisters, doos van 50, nog 32", "pleisters, 32 pcs"],
    holds: ["nog ", "noch ", "rest", "queda"],
    // Said in English by now where the card is from abroad.
    pattern:
      /\b(?:box|doos|schachtel|packung|dose|bo[iî]te|caja|scatola)\s+(?:of|van|mit|von|à|de|da)\s+\d{1,3}\s*[,;(]\s*(?:nog|noch|(?:il\s+(?:en\s+)?)?reste(?:nt)?|quedan?|(?:ne\s+)?restano)\s+(\d{1,3})\)?/giu,
    read: "$1 pcs",
  },
  {
    name: "what it is tied to",
    example: ["1 pencil tied to record book", "1 pencil"],
    holds: [" to "],
    pattern:
      /(?<=\p{L}{3})\s+(?:tied|attached|clipped|taped|chained)\s+to\s+(?:the\s+|its\s+)?(?:\p{L}+\s+)?(?:book|pad|log|clipboard|card)\b/giu,
    read: "",
  },
  {
    name: "batteries by their size alone",
    example: ["headlamp (w/ 3 spare AAA)", "headlamp + 3 spare batteries"],
    holds: "aa",
    pattern:
      /\s*[,(]?\s*(?:\bw\/|\bwith\b|\bplus\b|\+)\s*(\d{1,2})\s*[x×]?\s*(?:spare\s+)?AA{1,2}(?:['’]?s)?\b(?!\s+batter)\s*\)?/gi,
    read: " + $1 spare batteries",
  },
  {
    name: "the batteries that a thing runs on",
    example: ["torch with batteries", "torch"],
    holds: "batter",
    pattern:
      /(?<=\p{L}{3})\s*,?\s*\(?(?:\bwith|\bw\/|\bincl(?:\.|uding|udes)?|\binc\.?)\s*(?:its\s+|the\s+)?batter(?:y|ies)(?:\s+(?:in(?:\s+it)?|fitted|included))?\)?(?=\s*(?:[,;.)]|$))/giu,
    read: "",
  },
  {
    name: "what comes with it, counted in brackets behind",
    example: ["torch w/ spare batteries (3 AAA)", "torch, 3 spare batteries"],
    holds: "batter",
    pattern:
      /\s*,?\s*(?:\bw\/|\bwith\b|\band\b|\bplus\b|[+&])\s*(spare\s+batter(?:y|ies))\s*\(\s*(\d{1,2})\s*(?:[x×]\s*)?(?:A{2,3}|C|D|CR\d+)?\s*\)/gi,
    read: ", $2 $1",
  },
  {
    name: "two sizes in brackets counted, with 'and'",
    example: [
      "pressure bandages, 10 cm (4) and 15 cm (2)",
      "pressure bandages, 10 cm (4), 15 cm (2)",
    ],
    holds: " and ",
    pattern:
      /(\d\s*(?:cm|mm|in|")\s*\(\d{1,3}\))\s+and\s+(?=\d+(?:\.\d+)?\s*(?:cm|mm|in|")\s*\(\d{1,3}\))/gi,
    read: "$1, ",
  },
  {
    name: "a size alone on its row, and how many",
    example: ["7.5 cm   x 6", "7.5 cm, 6 pcs"],
    holds: "x",
    pattern: /^\s*(\d+(?:[.,]\d+)?\s*(?:cm|mm|in|"))\s+x\s*(\d{1,2})\s*$/i,
    read: "$1, $2 pcs",
  },
  {
    name: "one each of several sizes with one unit",
    example: [
      "bandages, one each of 5, 7.5 and 10 cm",
      "bandages, one 5 cm, one 7.5 cm, one 10 cm",
    ],
    holds: " each of ",
    pattern:
      /[,:–-]?\s*(?:one|1)\s+each\s+of\s+((?:\d+(?:\.\d+)?(?:\s*,\s*|\s+and\s+|\s*&\s*))+\d+(?:\.\d+)?)\s*(cm|mm|in|inch)\b/gi,
    read: (_, sizes, unit) =>
      sizes!
        .match(/\d+(?:\.\d+)?/g)!
        .map((n) => `, one ${n} ${unit!}`)
        .join(""),
  },
  {
    name: "the unit said with the last of two sizes",
    example: ["gauze pads: (10) 2 x 2, (6) 4 x 4 in", "gauze pads: (10) 2 x 2 in, (6) 4 x 4 in"],
    holds: ["x", "×"],
    pattern:
      /(\d+(?:\.\d+)?\s*[x×]\s*\d+(?:\.\d+)?)(?=\s*(?:,|;|and|&)\s*\(?\d+\)\s*\d+(?:\.\d+)?\s*[x×]\s*\d+(?:\.\d+)?\s*(in|inch|cm|mm)\b)/gi,
    read: "$1 $2",
  },
  {
    name: "an airway's gauge",
    example: ["NPA 28F with lube", "NPA 28 Fr with lube"],
    holds: ["npa", "nasal", "nasopharyngeal"],
    pattern:
      /\b(npa|nasal airway|nasopharyngeal airway)s?\s+(2\d|3[0-6])\s?F(?=\s*(?:[,+&]|w\b|with\b|and\b|$))/gi,
    read: "$1 $2 Fr",
  },
  {
    name: "dressings by a size cut short, behind",
    example: ["dressing sterile f/a med 12 x 12 cm", "medium dressing sterile 12 x 12 cm"],
    holds: ["dressing", "drsg"],
    pattern:
      /\b(?:dressings?|drsgs?)((?:,?\s+(?:sterile|wound))?)(?:,?\s+(?:f\/a|first aid|hse))?(?:,?\s+|\s*\()(med|lge|lrg|sml)\b\.?\)?/gi,
    read: (_, sterile, size) => `${SIZE_OF[size!.toLowerCase()]!} dressing${sterile!}`,
  },
  {
    name: "water in bottles",
    example: ["water 24 x 500ml", "drinking water 500ml x 24"],
    holds: "water",
    pattern:
      /^(\W*)(?:bottled\s+)?water,?\s+(\d{1,3})\s*[x×]\s*(\d+(?:[.,]\d+)?\s*(?:ml|l|lit(?:re|er)s?))\b/gi,
    read: "$1drinking water $3 x $2",
  },
  {
    name: "a width with a half and no unit",
    example: ["crepe 7.5 x 3", "crepe 7.5 cm x 3"],
    holds: [".5", ",5", ".25", ",25", ".8", ",8"],
    pattern:
      /\b(crepe|conforming|elastic|cohesive|gauze|tape|bandages?)\s+\(?(1[.,]25|2[.,]5|3[.,]8|7[.,]5|12[.,]5)\)?(?!\s*(?:cm|mm|m|in|inch|ft|feet|yd|yard|["”″]|[x×]\s*\d+\s*(?:[.,]|cm|m\b))|\d)/gi,
    read: "$1 $2 cm",
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
    name: "a pump bottle",
    example: ["sunscreen pump bottle 1 L", "sunscreen 1 L"],
    holds: "pump",
    pattern:
      /(?<=\p{L}{3})\s+pump\s+(?:bottle|dispenser)(?=\s*,?\s*\d+(?:[.,]\d+)?\s*(?:ml|l|g)\b)/giu,
    read: "",
  },
  {
    name: "standard dressings by their numbers, each counted",
    example: [
      "4 No 8 dressings and 1 No 9",
      "4 medium bandaged dressings, 1 large bandaged dressings",
    ],
    holds: "dressing",
    pattern:
      /\b(\d{1,2})\s*(?:[x×]\s*)?(?:no|nr)\.?\s?([789])\s+(?:(?:wound|sterile)\s+)?dressings?(?:\s*(?:,|and|&|\+)\s*(\d{1,2})\s*(?:[x×]\s*)?(?:no|nr)\.?\s?([789])\b)?/gi,
    read: (_, n, number, more, other) =>
      `${n} ${DRESSING_OF[number!]} bandaged dressings${more ? `, ${more} ${DRESSING_OF[other!]} bandaged dressings` : ""}`,
  },
  {
    name: "antiseptic in a tube, which is a cream",
    example: ["1 tube antiseptic (open)", "1 tube antiseptic cream (open)"],
    holds: "tube",
    pattern:
      /\b(tubes?\s+(?:of\s+)?antiseptic)\b(?!\s+(?:cream|gel|ointment|salve|wipe|swab|lotion))/gi,
    read: "$1 cream",
  },
  {
    name: "a standard dressing by its number",
    example: ["standard dressing no. 8 or 13", "bandaged dressing"],
    holds: "dressing",
    pattern:
      /\b(?:(?:standard|wound|sterile|unmedicated|first aid)\s+)*dressings?,?\s+(?:no|nr|number)s?\.?\s?(?:[1-5789]|1[345])\b(?:\s*(?:or|\/)\s*(?:no\.?\s?)?(?:[1-5789]|1[345])\b)?(?!.*\b(?:no|nr)\.?\s?\d)/gi,
    read: "bandaged dressing",
  },
  {
    name: "a big dressing, which is a large one",
    example: ["1 big wound dressing", "1 large wound dressing"],
    holds: "big ",
    pattern: /\bbig\s+(?=(?:(?:wound|sterile|field|ambulance)\s+)?dressings?\b)/gi,
    read: "large ",
  },
  {
    name: "a wound dressing with its bandage",
    example: ["wound dressing no. 16 w/ bandage", "bandaged dressing"],
    holds: "bandage",
    pattern:
      /\bwound\s+dressings?(?:,?\s+no\.?\s?\d{1,2})?,?\s+(?:with|w[/.])\s+(?:an?\s+)?bandages?\b/gi,
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
      /,\s*(\d{1,3})\s*[x×]\s*(\d{1,4})\s*ml\s+(pods?|bottles?|ampoules?|vials?|tubes?|sachets?)\b/gi,
    read: " $2ml x $1",
  },
  {
    name: "one of each of the sizes listed",
    example: ["OPA 2, 3, 4    1 of each", "OPA 3 pcs"],
    holds: "ea",
    pattern:
      // What they are sizes of stands before them; alone they would count the whole card.
      /(?<=\p{L}[^\d]*)((?:\s*,?\s*(?:nos?\.?|sizes?))?\s*\d{1,2}(?:\.\d)?(?:\s*,\s*\d{1,2}(?:\.\d)?)+)\s*[-–:,.(]*\s*(?:1|one)\s+(?:of\s+)?(?:each|ea)\b\)?/giu,
    read: (_, sizes) => ` ${sizes!.match(/\d+(?:\.\d)?/g)!.length} pcs`,
  },
];
