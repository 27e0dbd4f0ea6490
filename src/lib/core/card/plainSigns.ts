/** A card's text in the signs that the reader knows: what programs write for a blank, a digit or nothing at all. */

/** Said to a printer or a page: where a word may break, which way letters run, which encoding this is. */
const UNSEEN = /[\u00ad\u200b-\u200f\u202a-\u202e\u2060-\u2064\ufeff]/g;
/** Blanks of every width; a tab and the ends of lines stay. */
const BLANK = /[\u00a0\u1680\u2000-\u200a\u202f\u205f\u3000]/g;
/** Letters, digits and signs as wide as a Chinese one. */
const WIDE = /[\uff01-\uff5e]/g;
const WIDE_BY = 0xfee0;
/** "1️⃣", "🔟": a number of the list on a key. */
const KEYCAP = /[0-9#*]\ufe0f?\u20e3|\ud83d\udd1f/g;
/** Parts what a shorter one parts. */
const LONG_DASH = /[\u2014\u2015]/g;
/** A table drawn with the signs for it: a line with two bars or more, or nothing but such signs; a tree has its branches. */
const DRAWN = /^.*[│┃║].*[│┃║].*$|^[\s─-╬]+$/gm;
const drawnPlainly = (line: string): string =>
  line
    .replace(/[│┃║]/g, "|")
    .replace(/[─━═┄┅┈┉]/g, "-")
    .replace(/[┌-╬]/g, "+");
/** No Latin letter with its accent, and none of these signs: the text is as it should be. */
const PLAIN = /^[\u0020-\u007e\t\r\n]*$/;

/** Between two words: one blank, and two of them. */
const ONE_BLANK = /(?<=\S) (?=\S)/g;
const TWO_BLANKS = /(?<=\S) {2}(?=\S)/g;
/** Fewer may be the columns of a short table. */
const FEWEST_DOUBLED = 20;
/** Justified text has two blanks between its words; of a table with two between its columns many words have one. */
const SHARE_SINGLE = 0.05;
function withoutDoubledBlanks(text: string): string {
  const doubled = text.match(TWO_BLANKS)?.length ?? 0;
  if (doubled < FEWEST_DOUBLED) return text;
  const single = text.match(ONE_BLANK)?.length ?? 0;
  return single <= SHARE_SINGLE * doubled ? text.replace(TWO_BLANKS, " ") : text;
}

/** The same lines in the same places; a letter and its accent are one. */
export const plainSigns = (text: string): string => withoutDoubledBlanks(inKnownSigns(text));

const inKnownSigns = (text: string): string =>
  PLAIN.test(text)
    ? text
    : text
        .replace(UNSEEN, "")
        .replace(BLANK, " ")
        .replace(DRAWN, drawnPlainly)
        .replace(LONG_DASH, "–")
        .replace(KEYCAP, "-")
        .replace(WIDE, (sign) => String.fromCharCode(sign.charCodeAt(0) - WIDE_BY))
        .normalize("NFC");

/** Where a line of a card ends, whoever counts its lines: the reader, the screen and the pictures count alike. */
export const LINE_END = /\r\n|\n|\r/;

/** Fewer lines with a blank one between them are sections of one line each. */
const FEWEST_APART = 4;
/** So many of the gaps between lines must be there; a list set apart line by line leaves a few out. */
const SHARE_APART = 0.9;

/**
 * A card with a blank line between all its lines, as mail and word processors leave it, without them: blank lines
 * part tables. With it for each line its number on the card, both from 1; null: the card is as it was.
 */
export function closedUp(text: string): {
  readonly text: string;
  readonly lineOf: ((line: number) => number) | null;
} {
  const lines = text.split(LINE_END);
  const filled = lines.flatMap((l, i) => (l.trim() === "" ? [] : [i]));
  const apart = filled.filter((at, k) => k > 0 && at - filled[k - 1]! > 1).length;
  if (filled.length < FEWEST_APART || apart < SHARE_APART * (filled.length - 1))
    return { text, lineOf: null };
  // Of several blank lines all but one part what they parted before.
  const kept = lines.flatMap((l, i) => (l.trim() !== "" || lines[i - 1]?.trim() === "" ? [i] : []));
  return { text: kept.map((i) => lines[i]).join("\n"), lineOf: (line) => kept[line - 1]! + 1 };
}
