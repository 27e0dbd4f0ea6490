import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { quick } from "./quick.ts";
import { SIZED } from "./sized.ts";
import { COUNT_SAID, recounted } from "./someWent.ts";

/**
 * A list that somebody answered thing by thing: below each line ("> 20 plasters" over "only 12 left"), or behind it
 * ("20 plasters <- all there"). Each thing stands with its answer on the line that it was asked on.
 */

const N = `(?:${NUMBER_WORDS})(?![\\p{L}\\d]|[.,/:]\\d)`;
const YES =
  "(?:(?:yes|yep|yup|ok(?:ay)?|fine|good|there|present|correct|tick(?:ed)?|checked|confirmed|same|unchanged|as\\s+(?:listed|stated)|all|both|still|here|it\\s+is|they\\s+are)[\\s,.!]*)+";
const NO =
  "(?:(?:no|nope|none|nil|gone|missing|lost|empty|finished|zero|0|sorry|(?:we\\s+)?have\\s+none|not\\s+(?:there|found|here)|can(?:['’]?t|not)\\s+find\\s+(?:it|them|any)|all|(?:used|run)(?:\\s+(?:up|out))?|left|any(?:\\s?more)?)[\\s,.!]*)+";
const SAYS_NO =
  /\b(?:no|nope|none|nil|gone|missing|lost|empty|finished|zero|0|find|not|used|run\s+out)\b/i;
const LEADS =
  "(?:(?:no|nope|sorry|now|only|just|actually|still|(?:we|i)(?:['’]ve)?\\s+(?:have|got|count(?:ed)?|found|make\\s+it)|there(?:['’]s|\\s+(?:are|is))|down\\s+to|make\\s+(?:that|it)|it['’]?s|count(?:ed)?|have|got|about|~)[\\s,]*)*";
const NOW = `${LEADS}(?<now>${COUNT_SAID})(?:\\s+(?:left|now|here|only|there|remain(?:s|ing)?|present|still|in\\s+(?:it|there)))*`;
const GONE = `(?:used|less|minus|lost|took)\\s+(?<less>${N})|(?<gone>${N})\\s+(?:(?:are|is|were|was|already)\\s+)?(?:used(?:\\s+up)?|gone|missing|lost|binned|taken)`;
const whole = (source: string): RegExp => quick(new RegExp(`^(?:${source})[.!]*$`, "iu"));
const IS_YES = whole(YES);
const IS_NO = whole(NO);
const IS_NOW = whole(NOW);
const IS_GONE = whole(GONE);

/** What an answer makes of the line it answers, nothing where it says that there is none; null: it is no answer. */
function answered(asked: string, answer: string): string | null {
  if (IS_YES.test(answer)) return asked;
  if (IS_NO.test(answer) && SAYS_NO.test(answer)) return "";
  const gone = IS_GONE.exec(answer)?.groups;
  if (gone) return `${asked} - ${(gone["less"] ?? gone["gone"])!} used`;
  const now = IS_NOW.exec(answer)?.groups!["now"];
  return now === undefined ? null : recounted(asked, now);
}

/** "  -> ", "[Sam] ", "A: ", "> ": before an answer on its line. */
const ANSWER_MARK = quick(
  /^\s*(?:>\s*)*(?:(?:->|=>|-{1,2}|—|–|\*+|\/\/|#|→|\+{2})\s*|\[\p{L}[\p{L} ]{0,15}\]\s*|(?:A|Ans|me)\s*[:.]\s*)?/u,
);
const isAnswer = (line: string): boolean =>
  line.length <= LONGEST_ANSWER && answered("", bare(line)) !== null;
const bare = (line: string): string =>
  line
    .replace(ANSWER_MARK, "")
    .replace(/\s*\*+$/, "")
    .trim();
/** No answer that says nothing else is longer. */
const LONGEST_ANSWER = 50;
/** A thing with its count may be answered. */
const QUOTE = /^\s*((?:>\s?)*)/;
const LIST_NUMBER = /^\W*\d{1,3}[.)]\s/;
const LISTS = /\p{L}{3}/u;
const isAsked = (line: string): boolean =>
  line.length <= LONGEST_LINE &&
  LISTS.test(line) &&
  !line.trimEnd().endsWith("?") &&
  SAYS_NUMBER.test(line.replace(SIZED, " ").replace(LIST_NUMBER, "")) &&
  !isAnswer(line);

/** Answers below a card's lines, by the line that each answers. */
function answersIn(lines: readonly string[]): ReadonlyMap<number, number> {
  const found = new Map<number, number>();
  let above = -1;
  lines.forEach((line, i) => {
    if (line.trim() === "") return;
    const answers = above >= 0 && isAnswer(line) && isAsked(lines[above]!);
    if (answers) found.set(above, i);
    above = answers ? -1 : i;
  });
  return found;
}

const UNITS = /\b(?:pcs|pieces|pairs?|prs?)\b/gi;
/** "Q: 20 plasters". */
const QUESTION = /^\s*Q\s*[:.]\s*/;
/** Fewer are a heading "Missing", or a remark. */
const FEWEST = 2;
/** Of so many lines one is answered. */
const ONE_OF = 3;
/** "- 3" below a name and a size may be its count: of the answers half say more than a number, or stand behind a sign. */
const SAYS_MORE = /\p{L}{2}|^\s*(?:->|=>|→|A\b)/u;

function answeredBelow(lines: readonly string[]): string[] {
  const answers = answersIn(lines);
  if (answers.size < FEWEST || ONE_OF * answers.size < lines.filter(isAsked).length)
    return [...lines];
  const said = [...answers.values()].map((at) => lines[at]!);
  const telling = said.filter((answer) => SAYS_MORE.test(answer.replace(UNITS, "")));
  if (2 * telling.length < said.length) return [...lines];
  const depth = QUOTE.exec(lines[[...answers.keys()][0]!]!)![1]!;
  const read = lines
    .map((line) => line.replace(QUESTION, ""))
    .map((line) =>
      depth !== "" && line.trimStart().startsWith(depth.trim())
        ? line.trimStart().slice(depth.trim().length).trimStart()
        : line,
    );
  for (const [at, answer] of answers) {
    read[at] = answered(read[at]!.trimEnd().replace(/[,;.:]$/, ""), bare(lines[answer]!))!;
    read[answer] = "";
  }
  return read;
}

/** "20 plasters <- only 12", "20 plasters   // all there", "20 plasters [gone]"; "[25]" is how many there should be. */
const BEHIND = quick(
  /^(.*[\p{L}\d)].*?)\s*(?:\s--+|<-+|<=|\s\/\/|\s\*\*|\s##|\s\[(?=[^[\]]*\p{L}[^[\]]*\]$))\s*([^<>[\]*]{1,50}?)\s*(?:\*\*|\])?$/u,
);
const MAY_STAND_BEHIND = /--|<[-=]|\/\/|\*\*|##|\[/;
const readBehind = remembering(
  (line): string | null => {
    const said =
      line.length <= LONGEST_LINE && MAY_STAND_BEHIND.test(line) ? BEHIND.exec(line) : null;
    return said && isAsked(said[1]!) ? answered(said[1]!, said[2]!) : null;
  },
  LINES_KEPT,
  LONGEST_KEPT,
);
function answeredBehind(lines: readonly string[]): string[] {
  const read = lines.map(readBehind);
  return read.filter((line) => line !== null).length < FEWEST
    ? [...lines]
    : lines.map((line, i) => read[i] ?? line);
}

/** The lines of such a card, each thing with its answer; as many as before. */
export const answersBelow = (lines: readonly string[]): string[] =>
  answeredBelow(answeredBehind(lines));
