import { LONGEST_LINE } from "./cardLimits.ts";
import { IN_BRACKETS } from "./inBrackets.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { PACKS } from "./phrase.ts";
import type { Knowledge } from "./plainly.ts";
import { LINE_END } from "./plainSigns.ts";
import { quick, TWO_LETTERS } from "./quick.ts";

/**
 * Things that are asked after and answered: "How many plasters?" over "There are 35 left", "Eye pads? none". The answer is the count,
 * and a question nobody answered lists nothing.
 */

/** "> ", "Q: ", "- ", "3. ". */
const LEAD = /^\s*(?:>\s?)*\s*(?:[QA]\s*[:.)]\s*)?(?:[-*•]\s+|\d{1,2}[.)]\s+)?/i;
const IS_QUESTION = /^\s*(?:>\s?)*\s*Q\s*[:.)]/i;
/** What a question says round the thing. */
const ASKS =
  "how\\s+many|number\\s+of|(?:what|how)\\s+about|any|(?:are|is)\\s+there(?:\\s+(?:still|any|an?))*|(?:do|have)\\s+(?:we|you|they)(?:\\s+(?:still|have|got|any))*|what\\s+of";
const BEFORE = new RegExp(
  `^(?:(?:and|so|ok|then|also)[\\s,]+)?(?:(?:${ASKS})\\s+)?(?:the\\s+)?`,
  "i",
);
const SURELY_ASKS = new RegExp(`^(?:(?:and|so|ok|then|also)[\\s,]+)?(?:${ASKS})\\s`, "i");
const BEHIND =
  /(?:\s+(?:(?:do|have|are|is)\s+(?:we|you|they|there)(?:\s+(?:still|have|got|left|there))*|(?:is|are)?\s*(?:left|there|still\s+there)|(?:are\s+)?in\s+(?:it|there|the\s+\p{L}+)))?\s*[?:]?\s*$/iu;
/** "Eye pads? 3", "How many plasters? - 12", "Foil blankets -> none"; "Eye pads 5 -> 4" is put right. */
const ON_ONE_LINE =
  /^([^?]{2,60}\?)\s*(?:->|=>|[-–—:|]|\.{2,})?\s*(\S.*)$|^([^?>]{2,60}?(?<![A-WYZa-wyz):]\s?(?:[x×]\s?)?\d{1,3}\s*))\s*(?:->|=>|→)\s*(\S.*)$/;
/** Longer lines are talk. */
const LONGEST = 80;

const ABOUT = "(?:about|around|approx(?:\\.|imately)?|roughly|nearly|some|ca?\\.)\\s+";
/** "Yes, ", "we still have ", "I counted ", "only ". */
const SAYS = quick(
  /^(?:(?:yes|yep|yeah|ok|so|well|still|just|only|exactly|now|got|have|found|counted|we(?:['’]ve)?(?:\s+(?:still|only|have|got))*|i(?:['’]ve)?\s+(?:counted|see|found|have|got|make\s+it)|there(?:['’]s|\s+(?:is|are))(?:\s+(?:still|only))?|here(?:\s+are)?|it['’]?s)(?![\p{L}’'])[\s,.:;–-]*)+/iu,
);
const NUMBER = `(?:\\d{1,4}|${NUMBER_SAID}|an?(?=\\s)|half\\s+a\\s+dozen)`;
const AMOUNT = quick(
  new RegExp(
    `^((?:${ABOUT})?${NUMBER}(?![\\p{L}\\d/-]|\\.\\d)(?:\\s*(?:[x×]|pcs|pieces|pairs?|prs?|rolls?|${PACKS})(?!\\p{L})(?:\\s*(?:of\\s+|[x×(]\\s*)\\d{1,4}\\)?)?)?(?:\\s*(?:plus|\\+)\\s*\\d{1,3}\\s+(?:spares?|extras?))?)(.*)$`,
    "iu",
  ),
);
/** What an answer may say besides. */
const BESIDES =
  /^(?:\s*(?:left|now|there|here|remaining|still|spare|in\s+(?:it|there|total|all|stock|the\s+\p{L}+)|of\s+(?:the\s+)?\d{1,4}|of\s+them|i\s+(?:think|believe|guess|reckon)|ok|okay|fine|good|new|sealed|unopened|in\s+date|all|exp(?:iry|ires?)?\.?\s*[\d/.-]+|\([^()\d]{0,60}\)|\((?:[£€$]|eur|gbp|usd)\s?\d[^()]{0,60}\)|[,.!;:–-]))*\s*$/iu;
const NONE =
  /^(?:no(?:ne|pe)?|nil|zero|0|nothing|missing|gone|finished|empty|all\s+gone|not\s+(?:any|one|there))(?![\p{L}\d])[^\d]*$/iu;

/** The thing that is asked after; null: the text asks nothing, or says how many itself. */
function askedAfter(text: string, { names }: Pick<Knowledge, "names">): string | null {
  if (text.length > LONGEST) return null;
  const name = text.replace(BEFORE, "").replace(BEHIND, "").trim();
  // "Blister plasters - 40": it says how many itself.
  const isCounted = /^\d|(?:^|\s)\d+$/.test(name);
  return name !== "" && !isCounted && !/[?:;]/.test(name) && names(name) ? name : null;
}
/** What an answer says of how many there are. */
interface Reply {
  /** "12", "2 packs of 10", "none": in the words of a list. */
  readonly amount: string;
  /** It says more than how many, as people do. */
  readonly isTalk: boolean;
}
/** null: it says other things. */
function replied(
  text: string,
  question: string,
  { names }: Pick<Knowledge, "names">,
): Reply | null {
  if (text.length > LONGEST) return null;
  const said = text.replace(SAYS, "").trim();
  if (NONE.test(text.trim()) || NONE.test(said)) return { amount: "none", isTalk: true };
  const [, amount, besides] = AMOUNT.exec(said) ?? [];
  if (amount === undefined) return null;
  if (BESIDES.test(besides!))
    return {
      amount,
      isTalk: said !== text.trim() || TWO_LETTERS.test(besides!.replace(IN_BRACKETS, "")),
    };
  // "2, vented": which kind, where it was asked, and no other thing.
  return question.endsWith("?") && !names(said) ? { amount: said, isTalk: true } : null;
}

/** So many answers without a mark of question tell that names alone are questions. */
const FEWEST_ANSWERS = 3;
/** A count that stands in from the edge, as the end of a long name does. */
const SET_IN_COUNT = /^\s+\d/;
/** Where so many of a card's lines are names with their answers, none is the end of a long one. */
const NEARLY_ALL = 0.8;
/** The end of a name that goes on from the line above. */
const SET_IN = quick(/^\s+\p{L}/u);
/** An answer stands right below, or with a blank line between. */
const FARTHEST = 2;

interface Answer extends Reply {
  readonly name: string;
  /** The question's line, and the answer's; the same where it stands behind. */
  readonly asked: number;
  readonly answered: number;
  /** It has its mark of question, or its Q. */
  readonly isAsked: boolean;
  /** It is asked, or a sign or a colon leads to the answer. */
  readonly isMarked: boolean;
}

/** The answer on the line of its question; null: there is none. */
function onOneLine(line: string, at: number, of: Pick<Knowledge, "names">): Answer | null {
  const text = line.replace(LEAD, "");
  const [, question, answer, before, behind] = ON_ONE_LINE.exec(text) ?? [];
  const asks = question ?? before;
  const reply = asks === undefined ? null : replied(answer ?? behind!, asks, of);
  const name = reply === null ? null : askedAfter(asks!, of);
  return reply === null || name === null
    ? null
    : { ...reply, name, asked: at, answered: at, isAsked: true, isMarked: true };
}
/** The answer below its question; null: there is none. */
function below(lines: readonly string[], at: number, of: Pick<Knowledge, "names">): Answer | null {
  const next = [at + 1, at + FARTHEST].find((i) => (lines[i] ?? "").trim() !== "");
  if (next === undefined) return null;
  const text = lines[at]!.replace(LEAD, "").trim();
  const reply = replied(lines[next]!.replace(LEAD, "").trim(), text, of);
  const name = reply === null ? null : askedAfter(text, of);
  if (reply === null || name === null) return null;
  const isAsked = text.endsWith("?") || IS_QUESTION.test(lines[at]!);
  // "Gloves:" over "4 pairs" and "2 pairs": more than one.
  const isList = () => replied((lines[next + 1] ?? "").replace(LEAD, "").trim(), text, of) !== null;
  const isLed = text.endsWith(":") && !SET_IN.test(lines[at]!) && !isList();
  return { ...reply, name, asked: at, answered: next, isAsked, isMarked: isAsked || isLed };
}

/** A card with its questions and answers as a list; as many lines as before. */
export function questionsAnswered(text: string, of: Pick<Knowledge, "names">): string {
  const lines = text.split(LINE_END);
  const answers = lines.flatMap((line, at) => {
    if (line.length > LONGEST_LINE || line.trim() === "") return [];
    return onOneLine(line, at, of) ?? below(lines, at, of) ?? [];
  });
  // Amounts alone below names, or above them, are a column.
  const talk = answers.filter((a) => !a.isMarked && a.isTalk);
  // "… single use, large:" over "3", among names that go on below: the end of its line.
  const written = lines.filter((line) => line.trim() !== "").length;
  const areWrapped = 2 * answers.length < NEARLY_ALL * written;
  for (const { asked, answered, name, amount, isMarked, isAsked } of answers) {
    if (!isMarked && talk.length < FEWEST_ANSWERS) continue;
    if (!isAsked && asked !== answered && areWrapped && SET_IN_COUNT.test(lines[answered]!))
      continue;
    // What is asked is told by its answer, what is named where it is named.
    const [told, empty] = isAsked ? [answered, asked] : [asked, answered];
    lines[empty] = "";
    lines[told] = `- ${name}: ${amount}`;
  }
  return lines
    .map((line) => {
      const asks = line.replace(LEAD, "").trim();
      const isOpen = asks.endsWith("?") && SURELY_ASKS.test(asks) && asks.length <= LONGEST;
      return isOpen ? "" : line;
    })
    .join("\n");
}
