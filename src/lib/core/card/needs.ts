/**
 * What a pattern cannot match without, found from its source: letters beside each other, letters that begin or end a word,
 * digits, signs. A browser prepares a pattern when it first runs, a long one in ten to twenty milliseconds, which no card
 * should wait for that cannot have it.
 */

/** Number of something that a text has: two letters beside each other, a word's first or last letter, a digit, a sign. */
type Feature = number;
/** All of them must be there. */
type Option = readonly Feature[];
/** One of the options must be there. */
type Clause = readonly Option[];
/** All clauses must hold; none: nothing can be told beforehand. */
type Needs = readonly Clause[];

const LETTERS = 26;
const STARTS = LETTERS * LETTERS;
const ENDS = STARTS + LETTERS;
const DIGIT = ENDS + LETTERS;
/** Signs of ASCII by their code; other signs and accented letters are told from letters, but not from each other. */
const SIGNS = DIGIT + 1;
const ASCII = 128;
/** Features are bits, so many of them a number. */
const BITS = 32;
const NUMBERS = Math.ceil((SIGNS + ASCII) / BITS);

/** 0 to 25; -1: none of the 26. */
function letterOf(code: number): number {
  const small = code | 32;
  return small >= 97 && small <= 122 && code < ASCII ? small - 97 : -1;
}
const isDigit = (code: number): boolean => code >= 48 && code <= 57;

/** Features of one text as bits, all of its letters small. */
function featuresOf(text: string): Int32Array {
  const has = new Int32Array(NUMBERS);
  const add = (feature: Feature) => {
    has[Math.floor(feature / BITS)]! |= 1 << (feature % BITS);
  };
  let before = -1;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    const letter = letterOf(code);
    if (letter >= 0) add(before >= 0 ? before * LETTERS + letter : STARTS + letter);
    else {
      if (before >= 0) add(ENDS + before);
      if (isDigit(code)) add(DIGIT);
      else if (code < ASCII) add(SIGNS + code);
    }
    before = letter;
  }
  if (before >= 0) add(ENDS + before);
  return has;
}

/** A text is held against many patterns one after the other. */
let lastText = "";
let lastHas = featuresOf("");

/** Whether a text has what a pattern needs; without that it has no match. */
function hasNeeded(needs: Needs, text: string): boolean {
  if (text !== lastText) {
    lastText = text;
    lastHas = featuresOf(text);
  }
  for (const clause of needs) if (!hasOne(clause, lastHas)) return false;
  return true;
}

function hasOne(clause: Clause, has: Int32Array): boolean {
  for (const option of clause) {
    let k = option.length - 1;
    while (k >= 0 && (has[option[k]! >> 5]! & (1 << (option[k]! & 31))) !== 0) k--;
    if (k < 0) return true;
  }
  return false;
}

/** What stands at a place of a pattern, as far as it tells what its neighbours are: a letter, or something that is none. */
type Edge = number | "no letter" | "anything";

/** A part of a pattern. */
interface Part {
  readonly needs: Needs;
  /** Its first sign to the one before it; null: it has none of its own, or it has told by itself. */
  readonly first: Edge | null;
  readonly last: Edge;
}
const ANYTHING: Part = { needs: [], first: null, last: "anything" };
const NO_LETTER: Part = { needs: [], first: "no letter", last: "no letter" };
const A_DIGIT: Part = { ...NO_LETTER, needs: [[[DIGIT]]] };

function ofSign(code: number): Part {
  const letter = letterOf(code);
  if (letter >= 0) return { needs: [], first: letter, last: letter };
  if (isDigit(code)) return A_DIGIT;
  return code < ASCII ? { ...NO_LETTER, needs: [[[SIGNS + code]]] } : NO_LETTER;
}

/** What a text has where these two stand beside each other. */
function beside(left: Edge, right: Edge): Feature | null {
  if (typeof left === "number")
    return typeof right === "number"
      ? left * LETTERS + right
      : right === "no letter"
        ? ENDS + left
        : null;
  return left === "no letter" && typeof right === "number" ? STARTS + right : null;
}

/** To try more would take as long as the pattern itself. */
const MOST_OPTIONS = 80;

/** What one of several branches needs: all that is certain of each of them, or else the fewest of its own options. */
function either(branches: readonly Needs[]): Needs {
  const options: Option[] = [];
  for (const needs of branches) {
    const certain = needs.flatMap((clause) => (clause.length === 1 ? clause[0]! : []));
    if (certain.length > 0) options.push(certain);
    else if (needs.length === 0) return [];
    else options.push(...needs.reduce((a, b) => (b.length < a.length ? b : a)));
  }
  return options.length > MOST_OPTIONS ? [] : [options];
}

/** `(?=`, `(?<!`; `(`, `(?:`, `(?<name>` */
const LOOK = /\(\?<?[=!]/y;
const GROUP = /\((?:\?(?::|<\w+>))?/y;
const NO_TIMES = /[?*]\??|\{0(?:,\d*)?\}\??/y;
const TIMES = /\+\??|\{\d+(?:,\d*)?\}\??/y;
/** `\p{L}`, `\k<name>`, `\u00e9`, `\x41`. */
const LONG_ESCAPE = /\{[^}]*\}|<\w+>|[\da-f]{4}|[\da-f]{2}|\w/iy;
/** Signs, blanks and digits one by one; a hyphen stands first or last. */
const SIGNS_ONLY = /^-?(?:[^\\A-Za-z-]|\\(?:[sdWnrt]|\W))*-?$/;

/** Reads a pattern's source from left to right. What it does not know asks for nothing. */
class Source {
  at = 0;
  constructor(readonly text: string) {}

  /** Goes past what stands here, where it is of this kind. */
  private take(kind: RegExp): boolean {
    kind.lastIndex = this.at;
    if (!kind.test(this.text)) return false;
    this.at = kind.lastIndex;
    return true;
  }

  /** Up to the end, or to the bracket that closes this group. */
  branches(before: Edge): Needs {
    const all = [this.branch(before)];
    for (; this.text[this.at] === "|"; all.push(this.branch(before))) this.at++;
    return all.length === 1 ? all[0]! : either(all);
  }

  private branch(before: Edge): Needs {
    const clauses: Clause[] = [];
    let edge = before;
    for (let sign = this.text[this.at]; sign !== undefined && sign !== "|" && sign !== ")";) {
      const { needs, first, last } = this.part(sign, edge);
      sign = this.text[this.at];
      if ((sign === "?" || sign === "*" || sign === "{") && this.take(NO_TIMES)) edge = "anything";
      else {
        if (sign === "+" || sign === "{") this.take(TIMES);
        clauses.push(...needs);
        const both = first === null ? null : beside(edge, first);
        if (both !== null) clauses.push([[both]]);
        edge = last;
      }
      sign = this.text[this.at];
    }
    return clauses;
  }

  private part(sign: string, before: Edge): Part {
    if (sign === "(") return this.group(before);
    if (sign === "[") return this.set();
    if (sign === "\\") return this.escaped(before);
    this.at++;
    if (sign === ".") return ANYTHING;
    return sign === "^" || sign === "$" ? NO_LETTER : ofSign(sign.charCodeAt(0));
  }

  private group(before: Edge): Part {
    const from = this.at;
    if (!this.take(LOOK)) {
      this.take(GROUP);
      const needs = this.branches(before);
      this.at++;
      return { needs, first: null, last: "anything" };
    }
    const isBehind = this.text[from + 2] === "<";
    const isDenied = this.text[this.at - 1] === "!";
    const needs = this.branches(isBehind ? "anything" : before);
    this.at++;
    // It takes no room: what stands before it still touches what comes behind.
    return { needs: isDenied ? [] : needs, first: null, last: before };
  }

  /** `[,;]`, `[\s:-]`: only sets without letters tell something. */
  private set(): Part {
    const from = this.at + 1;
    do this.at += this.text[this.at] === "\\" ? 2 : 1;
    while (this.text[this.at] !== "]");
    const inside = this.text.slice(from, this.at++);
    if (inside.startsWith("^")) return /\\p\{L\}|\\w/.test(inside) ? NO_LETTER : ANYTHING;
    if (!SIGNS_ONLY.test(inside)) return ANYTHING;
    const codes = [...inside.replace(/\\(?=\W)/g, "")].map((s) => s.charCodeAt(0));
    if (inside === "\\d") return A_DIGIT;
    if (/\\\w/.test(inside) || codes.some((code) => code >= ASCII || isDigit(code)))
      return NO_LETTER;
    return { ...NO_LETTER, needs: [codes.map((code) => [SIGNS + code])] };
  }

  private escaped(before: Edge): Part {
    const sign = this.text[this.at + 1]!;
    this.at += 2;
    if (sign === "b")
      return { ...NO_LETTER, last: typeof before === "number" ? "anything" : "no letter" };
    if (sign === "d") return A_DIGIT;
    if (sign === "t") return ofSign(9);
    if (sign === "n") return ofSign(10);
    if ("sWrfv".includes(sign)) return NO_LETTER;
    if ("pPukxc".includes(sign)) this.take(LONG_ESCAPE);
    return /\w/.test(sign) ? ANYTHING : ofSign(sign.charCodeAt(0));
  }
}

const needsOf = ({ source, unicode }: RegExp): Needs =>
  // In Unicode mode "ſ" is an s.
  unicode ? [] : [...new Source(source).branches("anything")].sort((a, b) => a.length - b.length);

const found = new WeakMap<RegExp, Needs>();
/** Whether a pattern may match a text: false only where it does not. Worth asking of patterns that are long and that few texts have. */
export function mayMatch(pattern: RegExp, text: string): boolean {
  let needs = found.get(pattern);
  if (needs === undefined) {
    needs = needsOf(pattern);
    found.set(pattern, needs);
  }
  return hasNeeded(needs, text);
}
