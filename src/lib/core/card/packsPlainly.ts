import { PACKS, SHARES } from "./phrase.ts";
import { quick } from "./quick.ts";

/** Packs and what each holds, said as the grammar of counts reads them: "packs of 10, 3 pkts" is three packs of ten. */

/** "2 boxes x 20 plasters": packs times what one holds; "2 rolls x 5 m" is a length. */
const PACKS_TIMES = quick(
  new RegExp(
    `\\b(\\d{1,3}\\s+${PACKS})\\s*[x×]\\s*(?=\\d{1,4}\\b(?!\\s*(?:mm|cm|m|ml|cl|l|g|mg|in|x|×)(?!\\p{L})|\\s*["”]|[.,]\\d))`,
    "giu",
  ),
);
export const packsOfPieces = (line: string): string =>
  /[x×]/i.test(line) ? line.replace(PACKS_TIMES, "$1 of ") : line;

/** "2 bags each of 10 plasters": no bags by themselves. */
const EACH_OF = quick(
  new RegExp(
    `\\b(\\d{1,3}\\s+${PACKS})\\s+each\\s+(?:of|with|containing)\\s+(?=\\d{1,4}\\s)`,
    "giu",
  ),
);
export const packsOfEach = (line: string): string =>
  line.includes("each ") ? line.replace(EACH_OF, "$1 of ") : line;

/** "plasters 1 x 100 + loose 14": fourteen besides. */
const LOOSE_FIRST = /(?<=\d\s*(?:[+&]|\band|\bplus)\s*)(loose|spare|odd)\s+(\d{1,3})(?=\s*$)/i;
export const looseBehind = (line: string): string =>
  /loose|spare|odd/i.test(line) ? line.replace(LOOSE_FIRST, "$2 $1") : line;

/** "gloves (1 pair) x 5": a pair each. */
const PAIR_EACH =
  /(?<=^(?!\W*\d)[^()]*)\((?:1|one|a)?\s?(?:pair|pr)\.?\) ?[x×]? ?(\d{1,3})(?=\s*$)/i;
export const pairsEach = (line: string): string =>
  /\(.*p(?:ai)?r\b/i.test(line) ? line.replace(PAIR_EACH, "x $1 pairs") : line;

/** "20 wipes in packs (5 per pack)": how they are packed; they are twenty. */
const PACKED_IN = quick(
  new RegExp(
    `^(\\W*\\d{1,3}\\s+(?!${PACKS}\\b)[^\\d()]*?)\\s+in\\s+(?:\\p{L}+\\s+)?${PACKS}\\s*\\(\\d{1,3}\\s(?:\\p{L}+\\s)?(?:per|in|to)\\s(?:an?\\s|each\\s)?${PACKS}\\)`,
    "iu",
  ),
);
export const withoutPacking = (line: string): string =>
  line.includes("(") && line.includes(" in ") ? line.replace(PACKED_IN, "$1") : line;

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
export const partOfPackAbroad = (line: string): string =>
  /[/½¼¾]/.test(line)
    ? line.replace(PART_ABROAD, (_, part: string, held: string) =>
        String(Math.round((SHARES[part] ?? 1) * Number(held))),
      )
    : line;
export const packsThenOf = (line: string): string => {
  if (!/\s(?:of|da|di|de|à|a|van|von|zu|com)\s\d/i.test(line)) return line;
  return line
    .replace(PACKS_OF_THEN_PACKS, "$2 $3 of $1")
    .replace(ABROAD_OF_THEN_PACKS, "$2 packs of $1");
};
