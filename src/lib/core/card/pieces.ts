import type { CardRow } from "./cardRow.ts";
import { lex } from "./lexer.ts";
import { PACKS } from "./phrase.ts";
import { leftIn } from "./someWent.ts";
import { rephrase } from "./phrases.ts";
import { readQuantity, type Reading } from "./quantity.ts";

/** Things named as a pair that are one. */
const ONE_TOOL = /tweezers|shears|scissors|haemostat|glasses|goggles|forceps/;

/** A number of pieces; `sure`: a number said so. */
interface Count {
  readonly value: number;
  readonly sure: boolean;
}

/** What one tablet may hold, in mg, printed without its unit: "aspirin 300 × 10". */
const STRENGTHS = new Set([75, 81, 100, 200, 250, 300, 325, 400, 500, 600, 650, 1000]);
/** What comes in bottles: so many of 100 ml and more, "eyewash 2 x 500", are none of that number each. */
const BOTTLED =
  /^(?:eyewash|saline-(?:spray|ampoule)|hand-sanitiser|antiseptic-bottle|alcohol-bottle|hydrogen-peroxide|iodine-solution|drinking-water|sunscreen|insect-repellent|cold-spray)$/;
const BOTTLE_ML = 100;
/** The pieces of two bare numbers: packs of so many each, but for what has a strength or is in bottles; what has decimals counts nothing. */
export function packedPieces([a, b]: readonly [number, number], type: string | null): number {
  if (BOTTLED.test(type ?? "") && b >= BOTTLE_ML) return a;
  return STRENGTHS.has(a) || !Number.isInteger(a) ? b : a * b;
}

/** What text and quantity column say together. */
interface Counts {
  readonly pieces: number | null;
  readonly pairs: number | null;
  readonly inPairs: boolean;
}

/** Usable pieces of an entry, from its own words and the quantity column. */
export function countOf(
  reading: Reading,
  row: CardRow,
  type: string | null,
  bareCount: number | null,
): Count {
  const { value, sure } = counted(reading, row, type, bareCount);
  // A part of a piece is a size that was taken for a count.
  return Number.isInteger(value) ? { value, sure } : { value: Math.ceil(value), sure: false };
}
function counted(
  reading: Reading,
  row: CardRow,
  type: string | null,
  bareCount: number | null,
): Count {
  const said =
    row.quantity === null
      ? inText(reading, bareCount)
      : inColumn(reading, row.text, row.quantity, type);
  if (type !== null && /gloves$/.test(type))
    return reading.pairs !== null && row.quantity === null
      ? { value: multiplied(reading), sure: true }
      : glovesOf(said);
  return (
    (type === null ? null : toolsOf(said, type)) ?? {
      value: said.pieces ?? 1,
      sure: said.pieces !== null && !isOneOfTwo(row),
    }
  );
}
/** "lozenges (6) - 3": three packs of six, or three of the six that there should be. */
const isOneOfTwo = ({ quantity, inTable, text }: CardRow): boolean =>
  quantity !== null && !inTable && /\(\d{1,4}\)\s*$/.test(text);

const inText = ({ pieces, pairs, inPairs }: Reading, bareCount: number | null): Counts => ({
  pieces: pieces ?? bareCount,
  pairs,
  inPairs,
});

function inColumn(reading: Reading, text: string, written: string, type: string | null): Counts {
  const quantity = gluedPack(written) === null ? asCounted(written) : written;
  const column = readQuantity(lex(quantity));
  return {
    pieces: column.bare
      ? packedPieces(column.bare, type)
      : columnPieces(reading, column, text, quantity),
    pairs: reading.pairs ?? column.pairs,
    inPairs: reading.inPairs || column.inPairs,
  };
}

/** "12 + 3 loose", "half box of 20", "4.0": what a column counts as it is said of a thing on a line. */
const asCounted = (written: string): string =>
  rephrase(leftIn(`things ${written}`)?.text ?? `things ${written}`)
    .replace(/^things:?\s*/, "")
    .replace(/^(\d{1,4})[.,]0{1,3}(?=\s|$)/, "$1");

const IN_PACKS = new RegExp(`\\((\\d{1,3})\\s+${PACKS}\\s+of\\s+(\\d{1,3})\\)`, "i");
function columnPieces(reading: Reading, column: Reading, text: string, quantity: string): number {
  const amount = column.pieces ?? 1;
  // "4 | gloves (2 pairs)": the text says again in pairs what the column counts singly.
  if (reading.pairs !== null && amount === 2 * reading.pairs) return reading.pairs;
  // "10 | tablets (5 packs of 2)": the text says again in packs what the column counts singly.
  const packs = IN_PACKS.exec(text);
  if (packs && amount === Number(packs[1]) * Number(packs[2])) return amount;
  // A pack size in the text multiplies what the column counts; a bare number there says the same twice.
  const inner = innerOf(text);
  // "Gauze, 5s" beside "PK of 5": said twice.
  if (inner !== null && new RegExp(`\\bof ${inner}\\b`).test(quantity)) return amount;
  return (
    amount *
    (inner ?? gluedPack(quantity) ?? inNamedPack(text, quantity) ?? otherCount(text, amount) ?? 1)
  );
}

/** Gloves count in pairs: an even number of single ones is half as many. */
function glovesOf({ pieces, inPairs }: Counts): Count {
  if (inPairs || pieces === null) return { value: pieces ?? 1, sure: true };
  return { value: pieces % 2 === 0 ? pieces / 2 : pieces, sure: false };
}

/** Pairs of what is no glove: a pair of scissors is one, of other things it is two. null: no pairs. */
function toolsOf({ pieces, pairs, inPairs }: Counts, type: string): Count | null {
  if (pairs === null && !inPairs) return null;
  if (ONE_TOOL.test(type)) return { value: Math.max(1, pieces ?? 1), sure: true };
  if (pieces === null && pairs !== null) return null;
  return { value: (pieces ?? 1) * 2, sure: false };
}

/** Pairs as said, times the packs they lie in. */
const multiplied = (reading: Reading): number =>
  reading.pieces !== null &&
  reading.pieces % reading.pairs! === 0 &&
  reading.pieces !== reading.pairs
    ? reading.pieces / reading.pairs! > 1 && reading.pieces / reading.pairs! !== 2
      ? reading.pieces
      : reading.pairs!
    : reading.pairs!;

/** Ways to say beside a column that counts what one pack holds; the first that stands there. */
export const PACK_SIZES: readonly {
  readonly name: string;
  readonly example: readonly [text: string, size: number];
  readonly pattern: RegExp;
}[] = [
  {
    name: "a pack of so many",
    example: ["wipes, box of 20", 20],
    pattern:
      /\b(?:pack|pac|pk|packet|bx|btl|box|card|blister|strip|bag|carton|set|tin|tub|sleeve|wallet|sachet|bundle|tube|bottle|roll|sheet|envelope|case|tray|foil|refill|pkg|pkt|package)s?\s*(?:of|\/|with|x|containing)\s*(\d{1,4})\b(?!\s*(?:mm|cm|m\b|ml|mg|g\b|in\b|"|x))/i,
  },
  {
    name: "so many per pack",
    example: ["wipes, 5 per pack", 5],
    pattern:
      /\b(\d{1,4})\s*(?:-|\s)?\s*(?:per|in\s+(?:an?|the|each)|to\s+(?:an?|the|each)|\/)\s*(?:unit|pack|pk|packet|bx|btl|box|card|blister|strip|sht|sheet|bag|carton|set|tin|tub|sleeve|wallet|sachet|bundle|envelope|pg|pkg|pkt|package)\b/i,
  },
  {
    name: "by an s",
    example: ["wipes 10's", 10],
    pattern: /\b(\d{1,3})(?:['’]?s|['’]S|S(?=\)))\b/,
  },
  {
    name: "by a large S, behind a comma",
    example: ["WIPES, 10S STERILE", 10],
    pattern: /,\s*(\d{1,3})S\b/,
  },
  { name: "by a large S, last", example: ["WIPES 10S", 10], pattern: /\s(\d{2,3})S\s*$/ },
  {
    name: "a pack with its size behind it, last",
    example: ["wipes, pk 5", 5],
    pattern: /,\s*(?:pk|pkt|pack|bx|box)\s+(\d{1,3})\s*$/i,
  },
  {
    name: "a pack by what it holds",
    example: ["wipes, 10-count", 10],
    pattern: /\b(\d{1,4})\s*-\s*(?:packs?|pk|piece|pcs|pc|count|ct)\b/i,
  },
  {
    name: "a pack in brackets",
    example: ["wipes (box 10)", 10],
    pattern: /\((?:box|bx|pack|pk|pkt)\s+(?:of\s+)?(\d{1,4})\)/i,
  },
  {
    name: "a pack by what it holds, last",
    example: ["WIPES 10PK", 10],
    pattern: /\b(\d{1,4})\s?(?:pk|pkt|pack|box|bx)\s*$/i,
  },
  {
    name: "a pack glued to its size",
    example: ["GLOVE M BX100", 100],
    pattern: /\b(?:bx|box|pk|pkt|pack|ct)(\d{1,4})\b/i,
  },
  {
    name: "times so many, last",
    example: ["POD 20ML X5", 5],
    pattern: /\s[x×](\d{1,3})\s*$/i,
  },
  {
    name: "pieces in brackets",
    example: ["wipes (10 pieces)", 10],
    pattern: /\((\d{1,4})\s*(?:pack|pk|pcs|pieces|pc|tablets|tabs|per pack|count|ct)\)/i,
  },
];

/** The pack size that a table row's text states; null: none. */
export function innerOf(text: string, sizes = PACK_SIZES): number | null {
  for (const { pattern } of sizes) {
    const m = pattern.exec(text);
    if (m) return Number(m[1]);
  }
  return /\btwin(?:[\s-]?pack\b|\s*(?:$|[,)]))/i.test(text) ? 2 : null;
}

/** "(10)", ", 5 strips" at the end of the text: a pack size, unless it says the column's count again. */
function otherCount(text: string, amount: number): number | null {
  const m =
    /\((\d{1,4})\)\s*$/.exec(text) ??
    /,\s*(\d{1,4})\s+(?:strips|tablets|tabs|caps|capsules|caplets|sachets|pieces|pcs|pads|wipes|swabs)\s*$/i.exec(
      text,
    );
  return m && Number(m[1]) !== amount ? Number(m[1]) : null;
}

/** "Plasters, 100 | 1 box", "Eyewash, 2 × 500 ml | 1 set": what a pack of the column holds stands last in the text. */
function inNamedPack(text: string, quantity: string): number | null {
  if (!/\b(?:box|bx|pack|pk|pkt|packet|set|kit|bag|tub|carton)(?:e?s)?\b/i.test(quantity))
    return null;
  const m =
    /,\s*(\d{2,4})\s*$/.exec(text) ??
    /,\s*(\d{1,2})\s*[x×]\s*\d+(?:[.,]\d+)?\s*(?:ml|l)\s*$/i.exec(text);
  return m && Number(m[1]);
}

/** "PK5", "BX100" in the unit column; "PK/5" the reading of the column knows itself. */
const gluedPack = (quantity: string): number | null => {
  const m = /\b(?:pk|pkt|pack|bx|box|bg|bag|cs|st|set)-?(\d{1,4})\b/i.exec(quantity);
  return m ? Number(m[1]) : null;
};
