import { quick } from "./quick.ts";

/** Letters and digits that a recogniser takes for each other, put right where the words allow one reading. */

/** What is read as a digit in a numeric place; a bar is not, it rules columns. */
const AS_DIGIT: Readonly<Record<string, string>> = {
  O: "0",
  o: "0",
  l: "1",
  L: "1",
  I: "1",
  S: "5",
  B: "8",
};
/** What a digit or sign inside a word may be, the likeliest first. */
const AS_LETTER: Readonly<Record<string, readonly string[]>> = {
  "0": ["o"],
  "1": ["l", "i"],
  "|": ["l", "i"],
  "5": ["s"],
  "8": ["b"],
  I: ["l"],
};
/** More doubtful letters than this in one word are noise. */
const MOST_DOUBTFUL = 4;

const digits = (text: string) => text.replace(/[OolLISB]/g, (c) => AS_DIGIT[c]!);

/** "I7", "lO", "|" where only a count can stand. */
const SPOILT_COUNT = /^(?!I{2,}$|\|{2,}$)(?=.*[\dlI|])[\dOolI|SB]{1,3}$/;
export const countMended = (cell: string): string =>
  SPOILT_COUNT.test(cell) ? digits(cell.replaceAll("|", "1")) : cell;

/** "20m1", "fifty mi1": the l of a millilitre. */
const MILLILITRE = quick(/(?<=\d\s?)(?:m|rn)[1I|](?![\p{L}\d])/gu);
/** "7S mm", "S cm", "S x 5 m", "x S m": a five with a unit behind; "gloves S x 3" are small ones. */
const FIVE_WITH_UNIT = quick(
  /(?<![\p{L}\d|.,])(?:\d{1,2}S(?=\s?(?:cm|mm|mg|ml|m)(?![\p{L}\d]))|S(?=\s?(?:cm|mm)(?![\p{L}\d])|[x×]\d|\s?[x×]\s?\d{1,2}(?:[.,]\d)?\s?(?:cm|mm|m)(?![\p{L}\d]))|(?<=\d\s?(?:cm|mm)?\s?[x×]\s?)S(?=\s?(?:m|cm|mm)(?![\p{L}\d])))/gu,
);
/** "l glucose gel", "l in", "	l	": a one by itself; "5 l" is five litres. */
const ONE_ALONE = quick(/(?<=(?<!\d)[\s(\t;]|^)l(?=\s+\p{L}|\s*"|\t|[.,]\d)/gu);

/** "7.S cm", "2,Sx10": behind a point, with a unit or the sign of a size behind it. */
const BEHIND_POINT = quick(
  /(?<=(?<![\p{L}\d.,])[\dOlI]{1,3}[.,])[\dOolIS]{1,2}(?=\s?(?:[xX×]\s?\d|cm|mm|m|in|CM|MM|M|IN|"|”)(?!\p{L}))/gu,
);
/** "box/l00", "x l0", "S0 pcs": digits behind a letter that was one. */
const DIGIT_FIRST = quick(
  /(?<![\p{L}\d|.,-])(?:[lI][Oo]?(?=\d|[OolI]\d)|[lI](?=O(?![\p{L}\d]))|S(?=[0O]\s(?:pcs|pieces|units|tabs|tablets|wipes|plasters)))[\dOolI]{1,3}(?![\p{L}\d|])/gu,
);

/** "l2cm", "1Ocm", "2Oml", "5crn": a number that has a digit or a unit, spoilt letters in it. */
const NUMBER_WITH_UNIT = quick(
  /(?<![\p{L}\d|])([\dOolI]{1,4}(?:[.,][\dOolI]{1,2})?)\s?(mm|mrn|rnm|rnrn|cm|crn|CRN|CM|MM|ML|ml|rnl|mg|rng|rn|RN|m|g)(?:(?![\p{L}\d|])|(?=[x×][\dOl]))/gu,
);
const UNIT: Readonly<Record<string, string>> = {
  mrn: "mm",
  rnm: "mm",
  rnrn: "mm",
  crn: "cm",
  CRN: "cm",
  rn: "m",
  RN: "m",
  rnl: "ml",
  rng: "mg",
};

/** "l0 x 10 cm", "l2x12cm", "l6 x whistle": a number before the sign that multiplies it. */
const NUMBER_TIMES = quick(
  /(?<![\p{L}\d|])(?:[lLIO][\dOolLI]*\d[\dOolLI]*|[lI]O|\d{1,2}O)(?=\s*[x×](?:\s|\d))/giu,
);

/** "1Ox1Ocm": both sides of a size. */
const SPOILT_SIZE = quick(
  /(?<![\p{L}\d|])(?:\d|[lI](?=\d))[\dOolI]*\s?[x×]\s?\d?[\dOolI]+(?=\s?(?:cm|mm|in\b|"|m\b))/gu,
);

/** "1O", "2O29": a digit first, then digits and their look-alikes. */
const NUMBER = quick(/(?<![\p{L}\d|])\d[\dOolI]*[OolI][\dOolI]*(?![\p{L}\d|])/gu);

/** "1OX1O", "10xl0", "7,5x7,S": both sides of a size without its unit. */
const SIDE = "(?:\\d(?:[\\dOo]|[.,][\\dS])?|[lI][\\dOo])";
const SIDES = quick(
  new RegExp(`(?<![\\p{L}\\d.,])${SIDE}\\s?[xX×]\\s?${SIDE}(?![\\p{L}\\d]|[.,]\\d)`, "gu"),
);

/** "wipes    lO": a count set apart at the end of a line, all look-alikes. */
const COUNT_APART = /(\s{2,}|\.{3,}\s*)([OlI\d]{1,3})(?=\s{3,}\S|\s*$|(?<=\.\s*\S+)\s)/g;

/** Counted with strokes. */
const STROKES = /^I{3}$/;

/** A word with a digit or bar in it, or a capital I amid small letters: "p1asters", "|abel", "aIcohol". */
const SPOILT_WORD = quick(
  /(?<![\p{L}\d|])(?=[\p{L}\d|]*\p{Ll})[\p{L}\d|]*[\d|I][\p{L}\d|]*(?![\d|])/gu,
);

/** Small words in which `rn` may have been an `m`, or a first `l` a capital I: "cornpress", "lnstruction". */
const RUN_TOGETHER = quick(
  /(?<![\p{L}\d])(?:\p{L}*rn\p{Ll}*|l\p{Ll}{3,}|lndiv|lce)(?![\p{L}\d])/gu,
);
/** "Iarge": a capital I that was a small l. */
const CAPITAL_FIRST = quick(/(?<![\p{L}\d])I\p{Ll}{3,}(?![\p{L}\d])/gu);
/** "p!ns", "ster!le": an i that was taken for a sign. */
const SIGN_FOR_I = quick(/(?<![\p{L}\d!])\p{L}+!\p{L}+(?![\p{L}\d!])/gu);
/** "First aid guidance leafl et": words in a row. */
const WORDS_IN_A_ROW = quick(/(?<![\p{L}\d])\p{L}{2,}(?: \p{L}{2,})+(?![\p{L}\d])/gu);
/** Words that fell apart put together again, where neither part is one by itself. */
function together(row: string, isWord: (word: string) => boolean): string {
  const words = row.split(" ");
  for (let i = 0; i + 1 < words.length; i++) {
    const both = words[i]! + words[i + 1]!;
    if (!isWord(words[i]!) && !isWord(words[i + 1]!) && isWord(both)) words.splice(i, 2, both);
  }
  return words.join(" ");
}
/** "TIN X 10 YD": an inch whose 1 was taken for a letter. */
const ONE_INCH = quick(/(?<![\p{L}\d])[TIl]\s?(IN)(?=\s*x\s*\d[\d.]*\s*[\p{L}"”″])/giu);
/** `%2" x 10 yd`, `3%2"`: half an inch, of which the 2 was read. */
const HALF_INCH = /(?<![\d.,%])(?:(\d{1,2})\s?)?[¥V]?%2(?=\s?(?:["”″]|in(?:ch)?\b))/gi;
/** "xX 6", "XxX 6": one sign that multiplies, seen twice. */
const TIMES_TWICE = /(?<=\s)[xX×]{2,3}(?=\s?\d)/g;
/** "gty": how many, its first letter mistaken. */
const QUANTITY_HEAD = quick(/(?<![\p{L}\d])[gaoG](ty)(?![\p{L}\d])/gu);
/** "tape lin": an inch alone behind a name. */
const INCH_ALONE = /(?<=\s)[lI]in(?=[\s,.]|$)/g;
/** "AEA", "IRL": a count that clings to its unit, in capitals as a till writes them. */
const COUNT_CLINGING = quick(
  /(?<=\s)(?:A(?=EA)|[Il](?=EA|RL|PK|BX|PR|PCS?))(?=\p{Lu}{2,3}(?![\p{L}\d]))/gu,
);
/** A long word nobody knows, that known ones make: "Contentslist". */
const JOINED_WORDS = quick(/(?<![\p{L}\d])\p{L}{7,24}(?![\p{L}\d])/gu);
const SHORTEST_PART = 4;
/** Shorter ones that name things. */
const SHORT_PARTS = new Set(["gel", "pad", "eye", "set", "bvm", "cpr", "aed"]);

/** What may stand between two of them: "Adhesivetapeonreel". */
const BETWEEN = /^(?:on|of|in|with|for|and|to)/i;

/** No one has a body too many. */
const SOMEBODY = /^(?:some|any|every|no)body$/i;
function apart(word: string, isWord: (word: string) => boolean): string {
  if (isWord(word) || SOMEBODY.test(word)) return word;
  const isPart = (part: string) =>
    (part.length >= SHORTEST_PART || SHORT_PARTS.has(part.toLowerCase())) && isWord(part);
  /** The words that it is made of, the longest first; null: it is none. */
  const parts = (rest: string): readonly string[] | null => {
    if (isPart(rest)) return [rest];
    for (let at = rest.length - 3; at >= 3; at--) {
      if (!isPart(rest.slice(0, at))) continue;
      const after = rest.slice(at);
      const more = parts(after);
      if (more) return [rest.slice(0, at), ...more];
      const joint = BETWEEN.exec(after)?.[0];
      const beyond = joint === undefined ? null : parts(after.slice(joint.length));
      if (beyond) return [rest.slice(0, at), joint!, ...beyond];
    }
    return null;
  };
  return parts(word)?.join(" ") ?? word;
}

/** Words in capitals with a digit, a bar or a small l in them: "P0UCH", "F|RST", "FlRST". */
const SPOILT_CAPITALS = quick(
  /(?<![\p{L}\d|])(?=[\p{Lu}\d|l]*\p{Lu})[\p{Lu}\d|l]*[\d|l][\p{Lu}\d|l]*(?![\p{L}\d|])/gu,
);
/** "X5": five of it, and no size XS; "50S": fifty in a pack, and no SOS. */
const TIMES_COUNT = /^(?:x\d+|\d+s)$/i;
const AS_CAPITAL: Readonly<Record<string, string>> = {
  "0": "O",
  "1": "I",
  "|": "I",
  l: "I",
  "5": "S",
  "8": "B",
};

/** The readings of a spoilt word, likeliest first. */
function* readings(word: string): Generator<string> {
  const places = [...word].flatMap((c, i) => (AS_LETTER[c] && (i > 0 || c !== "I") ? [i] : []));
  if (places.length === 0 || places.length > MOST_DOUBTFUL) return;
  let open = [word];
  for (const at of places)
    open = open.flatMap((w) =>
      AS_LETTER[word[at]!]!.map((letter) => w.slice(0, at) + letter + w.slice(at + 1)),
    );
  yield* open;
}

/** "wlpes", "sclssors": an i that was taken for an l. */
const L_FOR_I = quick(/(?<![\p{L}\d])\p{L}+l\p{Ll}+(?![\p{L}\d])/gu);
const SHORTEST_WORD = 4;
function withI(word: string, isWord: (word: string) => boolean): string {
  if (word.length < SHORTEST_WORD || isWord(word)) return word;
  const at = [...word].flatMap((c, i) => (c === "l" && i > 0 ? [i] : []));
  const each = at.map((i) => `${word.slice(0, i)}i${word.slice(i + 1)}`);
  return [...each, word[0]! + word.slice(1).replaceAll("l", "i")].find(isWord) ?? word;
}
/** "l pair 0f scissors": a count of one, and the commonest small word. */
const ONE_FIRST =
  /^(\s*)(?:[lI]|\|(?!.*\|))(?=\s+(?:pairs?|rolls?|box|pack|packet|bottle|tube|x)\s)/i;

const SIGN_WITHIN = quick(/\p{L}!\p{L}/u);
const BAR_AT_WORD = quick(/(?<=\p{L})\|/gu);
/** A letter that a digit was taken for, where it could be one. */
const HAS_FIVE = /[\dSx×.,][SOolI]|S\s?[cmx×]/;

/** A number with its unit; in capitals only where a letter stands for a digit: "18 CM" is printed so. */
const isSpoilt = (number: string, unit: string): boolean =>
  /\d|^[lI][Oo]+$/.test(number) &&
  (!/^\p{Lu}/u.test(unit) || /[OolI]/.test(number) || UNIT[unit] !== undefined);

/** "O3   Elastic bandage": the number of a line, apart from what it numbers. */
const RUNNING_BEFORE = quick(/^\s*(?:[O0oIl|]\d|\d[OolI|])(?=[.)]?\s{2,}\p{L})/u);

/** "CO01;Compresses": a code in the first of several cells, and no "COOL". */
const CODE_CELL = /^\s*"?[A-Z]{1,4}-?\d{2,5}"?(?=\s*[;,\t|])/;

/** A line as it was most likely printed; a word changes only into one that `isWord` knows. */
export function repairText(line: string, isWord: (word: string) => boolean): string {
  const code = CODE_CELL.exec(line)?.[0] ?? "";
  return code + repairBehind(line.slice(code.length), isWord);
}
/** @param line without the code in its first cell */
function repairBehind(line: string, isWord: (word: string) => boolean): string {
  // Three bars or more rule columns, and stand for no letter.
  const ruled = (line.match(/\|/g) ?? []).length >= 3;
  const unruled = ruled ? line.replace(BAR_AT_WORD, " |") : line;
  const fives = HAS_FIVE.test(unruled)
    ? unruled.replace(FIVE_WITH_UNIT, digits).replace(BEHIND_POINT, digits)
    : unruled;
  const counted = fives
    .replace(ONE_INCH, "1 $1")
    .replace(HALF_INCH, (_, inches?: string) => (inches ? `${inches} 1/2` : "1/2"))
    .replace(ONE_FIRST, "$11")
    .replace(TIMES_TWICE, "x")
    .replace(COUNT_CLINGING, (letter) => (letter === "A" ? "4" : "1"))
    .replace(QUANTITY_HEAD, "q$1")
    .replace(INCH_ALONE, "1 in")
    .replace(/(?<=\s)0f(?=\s)/g, "of")
    .replace(/(?<=\s|^)ln(?=\s)/g, "In")
    .replace(
      COUNT_APART,
      (_, gap: string, count: string) => gap + (STROKES.test(count) ? count : digits(count)),
    )
    .replace(RUNNING_BEFORE, digits)
    .replace(MILLILITRE, "ml")
    .replace(ONE_ALONE, "1")
    .replace(DIGIT_FIRST, digits)
    .replace(NUMBER_WITH_UNIT, (whole, number: string, unit: string) =>
      isSpoilt(number, unit) ? `${digits(number)}${UNIT[unit] ?? unit}` : whole,
    )
    .replace(/(?<=\d(?:mm|cm|m))x(?=\d)/g, " x ")
    .replace(NUMBER_TIMES, digits)
    .replace(SPOILT_SIZE, digits)
    .replace(SIDES, digits)
    .replace(NUMBER, digits);
  return !SIGN_WITHIN.test(counted) &&
    (counted.match(WORDS) ?? []).every((word) => isPrinted(word, isWord))
    ? counted
    : repairWords(counted, isWord);
}

/** Words, numbers, and what is both. */
const WORDS = quick(/[\p{L}\d|]+/gu);
/** Nothing of it is taken for something else: a number, a short word without a doubtful letter. */
const NOT_SPOILT =
  /^(?:\d+(?:mm|cm|m|ml|mg|g|in|ft|yd|x|s)?|mm|cm|ml|(?!\p{L}*rn)[^\P{L}lI]{1,4})$/u;
const ONE_WORD = quick(/^\p{L}+$/u);
const isPrinted = (word: string, isWord: (word: string) => boolean): boolean =>
  NOT_SPOILT.test(word) || (ONE_WORD.test(word) && isWord(word));

const NUMBER_WITH_LETTERS = quick(/^\d+\p{L}{1,2}$/u);
function repairWords(line: string, isWord: (word: string) => boolean): string {
  return line
    .replace(RUN_TOGETHER, (word) => {
      if (isWord(word)) return word;
      const read = word.startsWith("l") ? `I${word.slice(1)}` : word.replace("rn", "m");
      return isWord(read) ? read : word;
    })
    .replace(CAPITAL_FIRST, (word) => {
      const read = `l${word.slice(1)}`;
      return !isWord(word) && isWord(read) ? read : word;
    })
    .replace(SPOILT_CAPITALS, (word) => {
      if (TIMES_COUNT.test(word)) return word;
      const read = word.replace(/[01|l58]/g, (c) => AS_CAPITAL[c]!);
      const withL = word.replace(/[01|l58]/g, (c) => (/[1|l]/.test(c) ? "L" : AS_CAPITAL[c]!));
      return isWord(word) ? word : ([read, withL].find(isWord) ?? word);
    })
    .replace(L_FOR_I, (word) => withI(word, isWord))
    .replace(SIGN_FOR_I, (word) => {
      const read = word.replaceAll("!", "i");
      return isWord(read) ? read : word;
    })
    .replace(WORDS_IN_A_ROW, (row) => together(row, isWord))
    .replace(JOINED_WORDS, (word) => apart(word, isWord))
    .replace(SPOILT_WORD, (word) => {
      if (NUMBER_WITH_LETTERS.test(word) || TIMES_COUNT.test(word) || isWord(word)) return word;
      for (const reading of readings(word)) if (isWord(reading)) return reading;
      return word;
    });
}
