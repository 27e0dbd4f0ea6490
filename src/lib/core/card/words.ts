import { remembering } from "../base/remembering.ts";

/** How words of a card are folded, so that spelling, number and accents do not matter. */

/** Words that belong together once the hyphen is gone: the second alone would mislead. */
const JOINED: readonly (readonly [RegExp, string])[] = [
  [/\bnon[\s-]+(?=[a-z])/g, "non"],
  [/\b(alcohol|latex|powder|fragrance|sting|dye|sugar|perfume|lint)[\s-]+free\b/g, "$1free"],
  [/\b(without|no) (alcohol|latex|powder)\b/g, "$2free"],
  [/\blow[\s-]+(?=adher)/g, "low"],
  [/\bz[\s-]+fold(ed)?\b/g, "zfold"],
  [/\bs[\s-]+roll(ed)?\b/g, "sroll"],
  [/\bself[\s-]+(?=[a-z])/g, "self"],
  [/\banti[\s-]+(?=[a-z])/g, "anti"],
  [/\bfirst[\s-]+aid\b|\bf\/a(?= )/g, "firstaid"],
  [/\bmouth[\s-]+to[\s-]+mouth\b/g, "mouthtomouth"],
  [/\bmulti[\s-]+(?=[a-z])/g, "multi"],
  [/\bauto[\s-]+inj/g, "autoinj"],
  [/\beye[\s-]+wash|\bwash[\s,-]+eyes?\b/g, "eyewash"],
  [/\bkey[\s-]+(?=(ring|chain)\b)/g, "key"],
  [/\bpen[\s-]+(?=(light|torch|knife)\b)/g, "pen"],
  [/\bhead[\s-]+(?=(lamp|torch)\b)/g, "head"],
  [/\bflash[\s-]+light/g, "flashlight"],
  [/\bnote[\s-]+(?=(pad|book)\b)/g, "note"],
  [/\bfinger[\s-]+tip/g, "fingertip"],
  [/\bmole[\s-]+skin/g, "moleskin"],
  [/\bsun[\s-]+(?=(screen|cream|block)\b)/g, "sun"],
  [/\bsuper[\s-]+glue/g, "superglue"],
  [/\bpara[\s-]+cord/g, "paracord"],
  [/\bsea[\s-]+sick/g, "seasick"],
  [/\btriple[\s-]+a\b/g, "aaa"],
  [/\bdouble[\s-]+a\b/g, "aa"],
  [/\bpocket[\s-]+knife/g, "pocketknife"],
  [/\bcold[\s&]+(and |n |'n' )?flu\b/g, "coldflu"],
  [/\bpvp[\s-]+[i1l|](?![a-z])/g, "pvp"],
  [/\btea[\s-]+light/g, "tealight"],
  [/\bcohesive[\s-]+/g, "cohesive "],
  [/\bde[\s-]+compression/g, "decompression"],
  [/\bhyper[\s-]+allergenic/g, "hypoallergenic"],
  [/\bcompact[\s-]+disc/g, "disc"],
];

/** American to British, and other spellings of the same word, word by word. */
const SAME: ReadonlyMap<string, string> = new Map(
  Object.entries({
    hemostatic: "haemostatic",
    hemostat: "haemostat",
    hemorrhage: "haemorrhage",
    sanitizer: "sanitiser",
    sanitizing: "sanitising",
    moldable: "mouldable",
    molded: "mouldable",
    aluminum: "aluminium",
    diarrhea: "diarrhoea",
    diarrheal: "diarrhoeal",
    antidiarrheal: "antidiarrhoeal",
    antidiarrhea: "antidiarrhoeal",
    antidiarrhoea: "antidiarrhoeal",
    immobilization: "immobilisation",
    nonadhering: "nonadherent",
    nonadhesive: "nonadherent",
    nonadhesion: "nonadherent",
    nonsticking: "nonstick",
    lowadherence: "lowadherent",
    epinephrine: "adrenaline",
    capsule: "tablet",
    caplet: "tablet",
    pill: "tablet",
    tab: "tablet",
    packet: "sachet",
    pkt: "sachet",
    ampule: "ampoule",
    ampul: "ampoule",
    vial: "ampoule",
    bandaging: "bandage",
    bandg: "bandage",
    elasticated: "elastic",
    elasticised: "elastic",
    compressed: "compressed",
    color: "colour",
    gray: "grey",
    tweezer: "tweezer",
    headtorch: "headtorch",
    waterproofed: "waterproof",
    towlette: "towelette",
    swabstick: "swabstick",
    anaesthetic: "anaesthetic",
    anesthetic: "anaesthetic",
    steriles: "sterile",
    sterilised: "sterile",
    sterilized: "sterile",
    jel: "gel",
    povidon: "povidone",
    jelly: "jelly",
    resus: "resuscitation",
    foils: "foil",
    dressings: "dressing",
    unsterile: "nonsterile",
    odour: "odour",
    crape: "crepe",
    paed: "child",
    paediatric: "child",
    pediatric: "child",
    gz: "gauze",
    "f'tip": "fingertip",
    pak: "pack",
    tq: "tourniquet",
    emerg: "emergency",
    tqs: "tourniquet",
    opas: "opa",
    npas: "npa",
    cleaning: "cleaning",
  }),
);

/** Words in -as of so few letters are none of several. */
const SHORTEST_IN_AS = 4;
const plural = (word: string): string => {
  if (word.length <= 3 || !word.endsWith("s")) return word;
  if (word.endsWith("ies") && word.length > 4) return word.slice(0, -3) + "y";
  if (word.length > 4 && /(ss|sh|ch|x|zz)es$/.test(word)) return word.slice(0, -2);
  // "elas" is cut short; "sofas" are several.
  if (word.length <= SHORTEST_IN_AS && word.endsWith("as")) return word;
  if (/[^suiy]s$/.test(word) || /[aeo]ys$/.test(word)) return word.slice(0, -1);
  return word;
};

/** One word, folded: lower case, no accents, singular, one spelling. */
function foldWord(word: string): string {
  const one = plural(word);
  return SAME.get(one) ?? SAME.get(word) ?? one;
}

/** Text with accents gone and joined words joined; same meaning, other length. */
function foldText(text: string): string {
  const plain = ASCII.test(text) ? text : withoutAccents(text).replace(/[‐‑‒]/g, "-");
  let folded = plain.toLowerCase().replace(/[’`´]/g, "'");
  if (MAY_JOIN.test(folded))
    for (const [pattern, by] of JOINED) folded = folded.replace(pattern, by);
  return folded;
}

/** Most texts, and without accents. */
const ASCII = /^[\0-\x7f]*$/;
export const withoutAccents = (text: string): string =>
  ASCII.test(text) ? text : text.normalize("NFKD").replace(/\p{M}/gu, "");

/** Whether any joining could apply: most texts hold none of these beginnings. */
const MAY_JOIN =
  /\b(?:non|alcohol|latex|powder|fragrance|sting|dye|sugar|perfume|lint|without|no|low|z|s|self|anti|first|f|mouth|multi|auto|eye|key|pen|head|flash|note|finger|mole|sun|super|para|triple|double|sea|pocket|cold|pvp|tea|cohesive|de|hyper|compact)\b|eyewash|moleskin/;

/** Texts of a line are folded again and again, and words of a card come again: two megabytes at most. */
const MOST_REMEMBERED = 10_000;
const LONGEST_REMEMBERED = 100;

/** Words of a text, folded; digits that belong to a name (0.9, 4x4) are kept as words. */
export const foldedWords: (text: string) => readonly string[] = remembering(
  (text) =>
    (foldText(text).match(/[a-z]+(?:'[a-z]+)?|\d+x\d+/g) ?? []).map((w) =>
      foldWord(w.includes("'") ? w.replace(/'s?$|'(?=s$)/, "") : w),
    ),
  MOST_REMEMBERED,
  LONGEST_REMEMBERED,
);
