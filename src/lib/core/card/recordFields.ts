import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import { saysHeld, saysMeant } from "./headingCounts.ts";
import { roleOf } from "./headingRoles.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { COLOUR, PACKS } from "./phrase.ts";
import { PART_OF_ONE } from "./placeWords.ts";
import { saysPerPack } from "./packColumns.ts";
import { quick } from "./quick.ts";

/** Lines below or above a name that tell of it: how many there are, its size, its price, when it runs out, where it lies. */

export interface Fields {
  /** "20 x", "4 pairs": how many, as it stands before a name; null: the line tells other things. */
  readonly count: string | null;
  /** "a box of three", "3 (1 used)": how many in more words, as it stands behind a name; null: it does not say so. */
  readonly amount: string | null;
  /** It says what it counts: "Quantity: 4", "4 pcs", no number alone. */
  readonly isCalled: boolean;
  readonly size: string | null;
  readonly perPack: string | null;
}

const CALLED =
  "qty\\.?|quantity|count|amount|number|pcs|pieces|how\\s+many|menge|anzahl|quantit[éàá]|cantidad|aantal|antal";
const UNIT =
  "[x×]|pcs|pieces?|ea(?:ch)?|off|pairs?|prs?|stk|stück|st|uds?|units?|pce?s?|nos?|rolls?|items?|left|in\\s+stock|there";
const COUNT = quick(new RegExp(`^(?:[x×]\\s*)?(\\d{1,4})\\s*(${UNIT})?\\.?$`, "iu"));
const CALLED_COUNT = quick(new RegExp(`^(?:${CALLED})\\s*[:.=]?\\s*(\\d.*|[x×]\\s?\\d.*)$`, "iu"));
/** "Quantity: 4", "- exp = 05/2028". */
const KEYED = quick(/^(\p{L}[\p{L} ./'’-]{0,24}?)\s*[:=]\s*(\S.*)$/u);
/** "Exp 05/2028", "Lot 4471", "Price £1.20", without a colon. */
const SHORT_KEY =
  /^(?:exp(?:iry|ires)?\.?(?:\s+date)?|use\s+by|best\s+before|bb|lot|batch|ref\.?|sku|code|art\.?(?:\s*no\.?)?|item\s+(?:no\.?|#)|price|size|rrp)\s+(?=[£€$#\d]|\p{L}*-?\d)/iu;
const MONEY =
  "[£€$]\\s?\\d{1,4}(?:[.,]\\d{2})?|\\d{1,4}[.,]\\d{2}\\s?(?:€|£|\\$|eur|gbp|usd|kr|pln|kč)?";
const PRICE = new RegExp(`^(?:${MONEY})(?:\\s+(?:each|ea\\.?|per\\s+\\w+))?$`, "i");
/** "9 × £1.20 = £10.80". */
const TIMES_PRICE = new RegExp(
  `^(\\d{1,3})\\s*(?:[x×@]|at)\\s*(?:${MONEY})(?:\\s*(?:ea\\.?|each))?(?:\\s*=?\\s*(?:${MONEY}))?$`,
  "i",
);
const DATE =
  /^(?:\d{1,2}[./-]\d{2}(?:\d{2})?|\d{4}-\d{2}(?:-\d{2})?|\d{1,2}[./-]\d{1,2}[./-]\d{2,4})$/;
const CODE = /^(?=[^\d]*\d)(?=[A-Z\d-]*-|[A-Z]+\d)[A-Z\d-]{3,12}$/;
const SIZE =
  /^\d+(?:[.,]\d+)?\s?(?:mm|cm|m|in|"|ft|yd)?(?:\s?[x×]\s?\d+(?:[.,]\d+)?\s?(?:mm|cm|m|in|"|ft|yd)){1,2}$|^\d+(?:[.,]\d+)?\s?(?:mm|cm)$/i;

const PARTS = /\s*[|·•]\s*|;\s+|,\s+|\s{2,}|\t/;
export const LIST_MARK = /^(?:[-*•◦▪‣>#+·\s]|\d{1,3}[.)]\s)*/;
/** Longer lines are sentences. */
const LONGEST = 80;

const N = `(?:${NUMBER_WORDS})(?![\\p{L}\\d])`;
const IN_PACKS = `(?:${PACKS}|rolls?|bottles?|pairs?|sachets?|tins?)`;
/** All of it says how many: "two packs of three", "half a dozen", "3 + 2", "3 (1 used)", "four". */
const AMOUNT = quick(
  new RegExp(
    `^(?:about\\s+|approx\\.?\\s+|only\\s+)?(?:half\\s+a\\s+dozen|(?:${N}|an?)\\s+${IN_PACKS}(?:\\s*(?:of|x|×|@|\\()\\s*${N}\\)?(?:\\s*(?:pcs|pieces))?)?|${N}\\s*[+x×]\\s*${N}|${N}\\s*\\([^()]{2,30}\\)|${N}\\s+of\\s+${N}|${N})$`,
    "iu",
  ),
);
/** A number first, and behind it only what is said of numbers: "3 in total", "2 boxes, 3 each", "3 sealed, exp 05/28". */
const NUMBER_FIRST = quick(
  new RegExp(`^(?:about|approx\\.?|ca?\\.?|only|qty|x)?\\s*${N}(?![.,]?\\d)([^:]{0,40})$`, "iu"),
);
const OF_NUMBERS = quick(
  new RegExp(
    `^(?:${PACKS}|${PART_OF_ONE}s?|new|sealed|ok|okay|good|fine|full|half|unopened|intact|loose|clean|dirty|bent|${COLOUR}|pieces?|pcs|pairs?|rolls?|bottles?|tubes?|units?|nos?|off|each|ea|total|all|in|on|of|out|or|so|ish|incl(?:uding|udes)?|spares?|plus|and|with|the|per|exp(?:iry|ires?)?|bb|use|by|best|before|lot|batch|left|here|there|lost|gone|missing|used|expired|torn|open(?:ed)?|dozen|lids?|flap|door|x|s)$`,
    "iu",
  ),
);
/** "3 in (16)", "2 of 4 x 4 in", "10 cm": sizes, which count nothing; "3 in the lid" counts. */
const HAS_SIZE =
  /\d\s*(?:mm|cm|"|″)|\d\s*in(?=\s*(?:[(x×:=;/&+|.–-]|\d|$))|\d\s?[x×]\s?\d+\s?in(?![a-z])/i;
function ofNumbers(text: string): boolean {
  if (HAS_SIZE.test(text)) return false;
  const [, behind] = NUMBER_FIRST.exec(text) ?? [];
  const words = behind?.match(/\p{L}+/gu) ?? [];
  return behind !== undefined && words.every((w) => OF_NUMBERS.test(w) || /^[A-Z]$/.test(w));
}
/** Whether all of a text says how many. */
export const saysAmount = (text: string): boolean =>
  COUNT.test(text) || AMOUNT.test(text) || ofNumbers(text);
const NOTHING: Fields = { count: null, amount: null, isCalled: false, size: null, perPack: null };
const counted = (written: string, isCalled: boolean): Fields | null => {
  const [, count, unit = ""] = COUNT.exec(written) ?? [];
  if (count === undefined)
    return saysAmount(written) ? { ...NOTHING, amount: written, isCalled } : null;
  const inPairs = /^p(?:ai)?rs?$/i.test(unit);
  return {
    ...NOTHING,
    count: `${count} ${inPairs ? "pairs" : "x"}`,
    isCalled: isCalled || /^[a-z]{2}/i.test(unit),
  };
};

/** What the value under a key tells; null: no such key, or no such value. */
function keyed(key: string, value: string): Fields | null {
  if (saysPerPack(key) && /^\d{1,4}$/.test(value)) return { ...NOTHING, perPack: value };
  const role = roleOf(key);
  if (role === "quantity" || saysHeld(key)) return counted(value, true);
  if (role === "size") return { ...NOTHING, size: value };
  if (role === "unit") return /^\d+$/.test(value) ? { ...NOTHING, perPack: value } : NOTHING;
  return role === "skip" || role === "note" || saysMeant(key) ? NOTHING : null;
}

function fieldOf(part: string): Fields | null {
  const called = CALLED_COUNT.exec(part)?.[1];
  if (called !== undefined) return counted(called, true);
  const [, key, value] = KEYED.exec(part) ?? [];
  if (key !== undefined) return keyed(key, value!);
  const times = TIMES_PRICE.exec(part)?.[1];
  if (times !== undefined) return { ...NOTHING, count: `${times} x`, isCalled: true };
  if (PRICE.test(part) || DATE.test(part) || CODE.test(part) || SHORT_KEY.test(part))
    return NOTHING;
  return SIZE.test(part) ? { ...NOTHING, size: part } : counted(part, false);
}

/** What a line tells of the thing beside it, in fields only; null: it says more, or something else. */
export const fieldsOn = remembering(
  (line: string): Fields | "none" => {
    const text = line.replace(LIST_MARK, "").trim();
    if (
      text === "" ||
      text.length > LONGEST ||
      (!/[:=]/.test(text) && !SAYS_NUMBER.test(text) && !AMOUNT.test(text))
    )
      return "none";
    // A remark has commas of its own.
    const [, key] = KEYED.exec(text) ?? [];
    if (key !== undefined && roleOf(key) === "note") return NOTHING;
    const written = text.split(PARTS);
    // "2 boxes, 3 each": one amount, with a comma of its own.
    if (written.length > 1 && written.every(saysAmount)) return { ...NOTHING, amount: text };
    const parts = written.map(fieldOf);
    if (parts.some((p) => p === null)) return "none";
    // "10 x 10 cm, 4; 5 x 5 cm, 12": of several sizes each has its count.
    if (parts.filter((p) => p!.size !== null).length > 1) return "none";
    const first = <K extends keyof Fields>(k: K) => parts.find((p) => p![k])?.[k] ?? null;
    return {
      count: first("count"),
      amount: first("amount"),
      isCalled: parts.some((p) => p!.isCalled),
      size: first("size"),
      perPack: first("perPack"),
    };
  },
  LINES_KEPT,
  LONGEST_KEPT,
);
