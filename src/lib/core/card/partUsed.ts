import { NUMBER_WORDS } from "./numberWords.ts";
import { partOfPack } from "./partOfPack.ts";
import { PACKS, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * Packs that were begun, whatever way they are written in, with their price or without: "Plasters PKT/100 £3.95 - about 60 left",
 * "Wipes, 2 x box of 50 (one opened, 20 used)". What is left of them is said as one count; one that is full says nothing more.
 */

const N = `(?:${NUMBER_WORDS})(?![\\p{L}\\d]|[.,/]\\d)`;
const UNIT = "(?:\\s+(?:pcs|pieces|of\\s+(?:them|these|which)))?";
const BE = "(?:\\s+(?:are|were|was|is|have|has|been|now|already|got))*";
const GONE =
  "(?:used(?:\\s+up)?|gone|missing|lost|binned|taken|borrowed|given\\s+(?:away|out)|thrown\\s+(?:away|out))";
/** "in May", "at the fete", "so far". */
const WHEN =
  "(?:\\s+(?:(?:on|at|in|from|by|last|this|since|during)\\b[^\\d,;()]{0,30}|so\\s+far|already|today|yesterday))?";
const OPENED =
  "(?:(?:(?:one|1|an?|the)\\s+)?(?:(?:box|pack|packet|pkt)\\s+)?(?:is\\s+)?(?:part(?:ly)?[\\s-])?(?:open(?:ed)?|started|begun|used)\\s*[,;:-]\\s*)?";
const ABOUT =
  "(?:(?:about|around|roughly|approx\\.?|maybe|ca?\\.|only|just|now|so|but|with)\\s+|~\\s?)*";
const STILL =
  "(?:left(?:\\s+over)?|remain(?:s|ing)?|still\\s+(?:there|here|left|good|in\\s+(?:it|there))|in\\s+(?:it|there)|inside|to\\s+go|only)";
const FOUND = "(?:down\\s+to|have|has|we\\s+have|i\\s+count(?:ed)?|counted|found|holds?)";
const FULL =
  "(?:unopened|un-?used|not\\s+(?:yet\\s+)?(?:opened|used|touched)|never\\s+(?:opened|used)|(?:still\\s+)?sealed|untouched|intact|complete|full(?:\\s+(?:box|pack|packet))?|all\\s+(?:there|here|present|in\\s+it)|none\\s+(?:used|gone|missing|opened)|nothing\\s+(?:used|gone|missing))";
/** What is said of a pack: how many of it are left, how many went, or that it is full. */
const SAID = `${OPENED}(?:${ABOUT}(?<left>${N})${UNIT}\\s+${STILL}|${ABOUT}${FOUND}\\s+${ABOUT}(?<found>${N})|${ABOUT}(?<went>${N})${UNIT}${BE}\\s+(?<missing>${GONE})${WHEN}|(?:used|lost|binned|took|minus|less|(?<lacks>missing))\\s+(?<gone>${N})${UNIT}${WHEN}|(?<full>${FULL}))`;
const REMARK = quick(
  new RegExp(
    `(?:\\s*[,;:]\\s+|\\s*\\(\\s*|\\s+[-–—]\\s*|\\s{2,}|\\t\\s*)${SAID}\\s*\\)?\\s*[.!]*$`,
    "iu",
  ),
);
/** The same as all of a remark, or its first part. */
const WHOLE_REMARK = quick(new RegExp(`^\\W*${SAID}\\s*(?:[,;(–-].*|[.!]*)$`, "iu"));
const MAY_TELL =
  /\b(?:left|remain|still|only|in\s+(?:it|there)|inside|to\s+go|down|have|has|count|found|hold|used|gone|missing|lost|binned|taken|borrowed|given|thrown|took|minus|less|opened|touched|sealed|intact|complete|full|all|none|nothing|un\w+)/i;

/** "£3.95", "@ 4,20 €", "$5.75 each": what a pack costs, behind what it holds. */
const PRICE =
  /\s*(?:[@,]\s*|\s[-–]\s*)?(?:[£€$¥]\s?\d{1,4}(?:[.,]\d{2})?|\d{1,4}[.,]\d{2}\s?(?:[£€]|kr|zł|EUR|USD|GBP))(?:\s*(?:each|ea|per\s+\p{L}+))?$/iu;

const CODE = "(?:PKT|PCK|PK|PACK|BOX|BX|BAG|BG|CTN|TUB)";
const PIECES = "(?:\\s*(?:pcs|pieces|ea|nos?|singles|off))?";
/** Ways of saying how many packs of how many; the first that holds is read. Their numbers are `packs` and `each`. */
const AMOUNTS: readonly RegExp[] = [
  // "2 x box of 50", "box of 20", "(3 pkts @ 10)"
  `[,:(]?\\s*(?:(?<packs>\\d{1,2})\\s*(?:[x×]\\s*)?)?(?<![\\p{L}\\d])${PACKS}\\s*(?:of|@|à)\\s*(?<each>\\d{1,3})${PIECES}\\)?$`,
  // "3 pkts x 10"; "cold packs x10" are ten
  `[,:(]?\\s*(?<packs>\\d{1,2})\\s*${PACKS}\\s*[x×]\\s*(?<each>\\d{1,3})${PIECES}\\)?$`,
  // "1 box (20)"
  `[,:(]?\\s*(?<packs>\\d{1,2})\\s*(?:[x×]\\s*)?${PACKS}\\s*\\((?<each>\\d{1,3})${PIECES}\\)$`,
  // "PKT/100", "2 BX/50"
  `[,:(]?\\s*(?:(?<packs>\\d{1,2})\\s*(?:[x×]\\s*)?)?(?<![\\p{L}\\d])${CODE}\\s?/\\s?(?<each>\\d{1,3})\\)?$`,
  // "(box/100) x 1", "PKT of 20 x 3", "(caja/100) x 1"
  `[,:]?\\s*\\(?(?<![\\p{L}\\d])(?:${PACKS}|${CODE}|(?<=\\()\\p{L}{3,12}(?=\\s?/))\\s?(?:/|of)\\s?(?<each>\\d{1,3})${PIECES}\\)?\\s*[x×]\\s*(?<packs>\\d{1,2})$`,
  // "50/box", "10 per pack"
  `[,:(]?\\s*(?:(?<packs>\\d{1,2})\\s*[x×]\\s*)?(?<![\\d.,/])(?<each>\\d{1,3})\\s*(?:/\\s?|per\\s+)(?:${PACKS}|${CODE})\\)?$`,
  // "2 x 10 pcs"
  `[,:(]?\\s*(?<![\\dx×]\\s?|\\d[.,])(?<packs>\\d{1,2})\\s*[x×]\\s*(?<each>\\d{1,3})\\s*(?:pcs|pieces|ea|singles)\\)?$`,
].map((source) => quick(new RegExp(source, "iu")));
/** "(24)", "x 12", "30 pcs", ": 15", a number last: the count of one thing. */
const PLAIN = quick(
  /(?<before>\p{L}[^\d]*?(?:\d+(?:[.,]\d+)?\s?(?:[x×]\s?\d+(?:[.,]\d+)?\s?)?(?:mm|cm|m|ml|mg|g|in|")\s*)?(?:\(\s*|[x×]\s?|[:=]\s*|\s[-–]\s*|,?\s))(?<each>\d{1,3})(?<after>\s?(?:pcs|pieces|ea|nos?)?\.?\s*\)?)$/iu,
);

/** Longer lines are read in parts. */
const LONGEST = 160;
const GAP = /(?<=\S)(?: {2,}|\s*\t\s*)(?=\S)/g;
const isInColumns = (line: string): boolean =>
  line.includes("|") || (line.trim().match(GAP)?.length ?? 0) > 1;

/** "2 x 7" may be a size, and "(62, used 18)" tells of two numbers. */
const isOfPacks = (head: string): boolean =>
  /\d\s*[x×]\s*\d+\D*$/i.test(head) || /\([^()]*$/.test(head);

interface Amount {
  readonly packs: number;
  readonly each: number;
  /** The line up to it. */
  readonly name: string;
  /** The same amount with another number of pieces. */
  readonly of: (pieces: number) => string;
}
function amountIn(head: string): Amount | null {
  for (const pattern of AMOUNTS) {
    const found = pattern.exec(head);
    if (!found?.groups) continue;
    const name = head.slice(0, found.index);
    if (!/\p{L}{3}/u.test(name)) continue;
    const { packs, each } = found.groups;
    return {
      packs: Number(packs ?? 1),
      each: Number(each),
      name,
      of: (pieces) => `${name}, pack of ${pieces}`,
    };
  }
  const plain = isOfPacks(head) ? undefined : PLAIN.exec(head)?.groups;
  return plain
    ? {
        packs: 1,
        each: Number(plain["each"]),
        name: head,
        of: (pieces) =>
          head.slice(0, head.length - (plain["each"]! + plain["after"]!).length) +
          `${pieces}${plain["after"]!}`,
      }
    : null;
}

/** What a remark says of a pack. */
interface Told {
  /** How many are left; null: how many went is said instead. */
  readonly left: number | null;
  readonly away: number;
  readonly isFull: boolean;
  /** Missing may be some of them, or others besides. */
  readonly areMissing: boolean;
}
function told({
  left,
  found,
  went,
  gone,
  full,
  missing,
  lacks,
}: Record<string, string | undefined>): Told {
  const said = left ?? found;
  return {
    left: said === undefined ? null : valueOf(said),
    away: valueOf(went ?? gone ?? "0"),
    isFull: full !== undefined,
    areMissing: /missing/i.test(lacks ?? missing ?? ""),
  };
}

/** How many are left, and whether a pack may have gone rather than a piece; null: none, or more than there were. */
function remaining(
  { packs, each }: Amount,
  { left, away, isFull }: Told,
): { pieces: number; isOfPack: boolean } | null {
  const total = packs * each;
  if (isFull) return { pieces: total, isOfPack: false };
  const isOfPack = left === null && packs > 1 && away <= packs;
  const pieces = left ?? (isOfPack ? (packs - away) * each : total - away);
  return pieces > 0 && pieces <= total ? { pieces, isOfPack } : null;
}

/** A line with what is left of its packs. */
export function partUsed(line: string): string {
  if (line.length > LONGEST || !MAY_TELL.test(line) || isInColumns(line)) return line;
  const remark = REMARK.exec(line);
  if (!remark?.groups) return line;
  const amount = amountIn(line.slice(0, remark.index).replace(PRICE, ""));
  const said = told(remark.groups);
  const left = amount && remaining(amount, said);
  if (!left) return line;
  const { packs, each, name, of } = amount;
  // The reader asks.
  if (left.isOfPack) return `${name}, ${packs} boxes of ${each} (${said.away} used)`;
  return said.areMissing ? `${of(packs * each)} (${said.away} missing)` : of(left.pieces);
}

/** How many are there. */
interface There {
  readonly pieces: number;
  /** They are in a pack, so that gloves are counted singly. */
  readonly arePacked: boolean;
  readonly isDoubted: boolean;
}
const PACKS_ALONE = /^(?:1\s+)?(\d+\s*[x×]\s*\d+)$/i;
/**
 * How many a row of a table says are there.
 * @param written what counts it, as "2 x box of 20"
 * @param note its remark
 * @param meant numbers of its other columns, of which one may be how many there should be
 * @returns null where its remark says nothing of that, or what cannot be
 */
export function thereByRemark(
  written: string,
  note: string,
  meant: readonly number[],
): There | null {
  // "2 x 20" in a column that counts is no size.
  const things = `things ${written.replace(PACKS_ALONE, "$1 pcs")}`;
  const part = partOfPack(`${things}, ${note.trim()}`);
  if (part) return { pieces: part.pieces, arePacked: true, isDoubted: part.isDoubted };
  const remark = MAY_TELL.test(note) ? WHOLE_REMARK.exec(note)?.groups : undefined;
  const amount = remark ? amountIn(things) : null;
  if (!amount) return null;
  const said = told(remark!);
  const arePacked = amount.name !== things;
  const total = amount.packs * amount.each;
  // Of twenty that there should be six were used, and fourteen are counted.
  if (said.left === null && meant.includes(total + said.away))
    return { pieces: total, arePacked, isDoubted: false };
  const left = remaining(amount, said);
  const isTakenOff = said.left === null && !said.isFull;
  return (
    left && {
      pieces: left.pieces,
      arePacked,
      isDoubted: isTakenOff && (left.isOfPack || !arePacked),
    }
  );
}
