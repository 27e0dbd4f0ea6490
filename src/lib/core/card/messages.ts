import { rememberingFor } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import { MONTH } from "./columnsByContent.ts";
import { roleOfWhole } from "./headingRoles.ts";
import type { Knowledge } from "./plainly.ts";
import { questionsAnswered } from "./questions.ts";
import { quick } from "./quick.ts";
import { SAYS_NUMBER } from "./numberWords.ts";

/**
 * A chat copied out: "[08:33, 3/10] Tam: 5 eye pads". Who wrote when is no part of what is said, and what names nothing and counts
 * nothing is talk.
 */

/** What the messages rest on. */
type Words = Pick<Knowledge, "knows" | "names">;

const TIME = "\\d{1,2}[:.h]\\d{2}(?::\\d{2})?(?:\\s?[ap]\\.?m\\.?)?";
const WEEKDAY = "(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?\\.?";
const DAY = `(?:\\d{4}-\\d\\d-\\d\\d|\\d{1,2}[./-]\\d{1,2}(?:[./-](?:\\d{4}|\\d{2}))?|\\d{1,2}(?:st|nd|rd|th)?\\s+${MONTH}|${MONTH}\\s+\\d{1,2})(?:,?\\s+\\d{4})?`;
const DATE = `(?:${WEEKDAY},?\\s+${DAY}|${DAY}|${WEEKDAY}|today|yesterday)`;
const STAMP = `(?:${TIME}(?:,?\\s+${DATE})?|${DATE},?\\s+(?:at\\s+)?${TIME})`;
const WHO = "([~+\\p{L}][\\p{L}\\d .'’+~()-]{0,24}?)";

interface Head {
  readonly name: string;
  readonly example: string;
  /** One line tells; other forms, where most lines have them. */
  readonly isSure?: true;
  /** Who wrote is all that it says, as a label before a name does. */
  readonly isLabel?: true;
  /** What each has: the pattern itself takes long to prepare, and most cards are no chat. */
  readonly holds: RegExp;
  readonly pattern: RegExp;
}
const HOLDS_TIME = /\d[:.h]\d{2}/i;
const HOLDS_TIME_OR_BRACKET = /\d[:.h]\d{2}|[[(].*[\])].*:/i;
const head = (name: string, example: string, pattern: string, holds = HOLDS_TIME): Head => ({
  ...{ name, example, holds },
  pattern: quick(new RegExp(`^\\s*${pattern}`, "iu")),
});
/** How a message begins, an ordered table; or a line that says only who wrote when. */
export const HEADS: readonly Head[] = [
  {
    ...head(
      "when in brackets or with its day, then who",
      "[08:33, 3/10] Tam: ",
      `(?:[[(](?:${STAMP}|${DATE})[\\])]\\s*[-–]?|(?:${TIME},?\\s+${DAY}|${DAY},?\\s+${TIME})\\s*[-–]?)\\s*(?:<${WHO}>|${WHO}\\s*:(?=\\s))\\s*`,
      HOLDS_TIME_OR_BRACKET,
    ),
    isSure: true,
  },
  head("who and when in brackets", "[Tam, 08:33] ", `\\[${WHO},?\\s+${STAMP}\\]\\s*:?\\s*`),
  head(
    "when, then who",
    "03/10/26, 08:33 - Tam: ",
    `${STAMP}\\s*[-–|]?\\s*(?:<${WHO}>|${WHO}\\s*(?::(?=\\s)|\\||\\t))\\s*`,
  ),
  head(
    "who, then when",
    "Tam (08:33): ",
    `${WHO}\\s*,?\\s*[[(]?${STAMP}[\\])]?(?:\\s*:\\s+|\\s+[-–]\\s+|\\s{2,}(?=\\S))`,
  ),
  head(
    "who and when on a line of their own",
    "Tam - 08:33",
    `${WHO}\\s*[-–,|]?\\s+[[(]?${STAMP}[\\])]?\\s*$`,
  ),
  head(
    "when and who on a line of their own",
    "08:33 - Tam",
    `[[(]?${STAMP}[\\])]?\\s*[-–,|]?\\s+${WHO}\\s*$`,
  ),
  head(
    "when alone",
    "[08:33] ",
    `(?:\\[${STAMP}\\]|${STAMP}\\s+[-–]|\\d{1,2}:\\d{2}(?:\\s?[ap]m)?(?=\\s+\\S))\\s*`,
  ),
  head("who between angles", "<Tam> ", `<${WHO}>\\s*`, /</),
  { ...head("who alone", "Tam: ", `${WHO}\\s*:\\s+`, /:/), isLabel: true },
];
/** Marks of a page or of a file, and no one's name. */
const TAG =
  /^(?:li|[uo]l|p|b|i|u|s|a|t[rdh]|br|hr|div|span|h\d|table|tbody|thead|strong|em|del|ins|html|body|d[ltd]|pre|code|item|name|qty|row|cell|entry)$/i;

/** A chat is a few lines long, most of them messages. */
const FEWEST = 4;
const SHARE = 0.5;
/** Where nothing says when, more of them; and two people or more, a few at the most. */
const SHARE_OF_WHO = 0.7;
const MOST_PEOPLE = 5;
/** Each writes so often; of names of things each stands once or twice. */
const MESSAGES_EACH = 2;
const LONGEST = 500;

interface Message {
  readonly who: string | null;
  readonly said: string;
}
/** The messages of a card by their lines. */
type Messages = readonly (Message | null)[];
const messageOf = rememberingFor(
  (line: string, { holds, pattern }: Head): Message | null => {
    const m = line.length <= LONGEST && holds.test(line) ? pattern.exec(line) : null;
    return m && { who: m.slice(1).find(Boolean)?.trim() ?? null, said: line.slice(m[0].length) };
  },
  LINES_KEPT,
  LONGEST_KEPT,
);

/** Whether those who write are people: a few, who write again and again, and no things of a kit. */
function arePeople(people: readonly string[], form: Head, { knows }: Words): boolean {
  const each = new Set(people);
  if (each.size > MOST_PEOPLE || MESSAGES_EACH * each.size > people.length) return false;
  if (form.isLabel && each.size < 2) return false;
  // "Åsa" is no tablet where the time stands beside her.
  // Nor are "Title", "Min" and "Count" people.
  const isThing = (who: string) =>
    form.isLabel === true && (knows(who) || roleOfWhole(who) !== null);
  return [...each].every((who) => !TAG.test(who) && /^[~+]|\p{Lu}/u.test(who) && !isThing(who));
}

/** "12/05/2026, 08:10 - Eye pads: 4", line after line: no one writes once each, and things are named so. */
function withThings(found: Messages, { names }: Words): Messages {
  const people = found.flatMap((m) => m?.who ?? []);
  const areThings =
    MESSAGES_EACH * new Set(people).size > people.length && people.every((who) => names(who));
  return found.map((m) =>
    areThings && m !== null ? { who: null, said: `${m.who}: ${m.said}` } : m,
  );
}

/** Who and when on one line, what is said on the next. */
const standAlone = (messages: Messages): boolean =>
  messages.every((m) => m === null || m.said === "");

/** The messages of a card, where it is a chat. */
function messagesIn(lines: readonly string[], words: Words): Messages | null {
  const written = lines.filter((line) => line.trim() !== "").length;
  for (const form of HEADS) {
    const found = lines.map((line) => messageOf(line, form));
    const messages = found.filter((m) => m !== null);
    if (form.isSure && messages.length > 0) return withThings(found, words);
    const share = form.isLabel ? SHARE_OF_WHO : SHARE;
    const linesEach = standAlone(messages) ? 2 : 1;
    if (messages.length < FEWEST || linesEach * messages.length < share * written) continue;
    const people = messages.flatMap((m) => m.who ?? []);
    if (people.length === 0 || arePeople(people, form, words)) return found;
  }
  return null;
}

/** "<Media omitted>", "(edited)", "✓✓": what the program says. */
const OF_PROGRAM =
  /\s*(?:<[^<>]*(?:omitted|attached|edited)[^<>]*>|\((?:edited|forwarded)\)|[✓✔]{2}|\b(?:image|video|audio|photo|sticker|gif)\s+omitted|(?:this|you)\s+(?:message\s+was\s+)?deleted(?:\s+this\s+message)?|missed\s+(?:voice|video)\s+call)\s*\.?$/i;
/** "eye drops" – "nope": asked without a sign. */
const NO =
  /^(?:nope|no|nah|none|nil|negative|not\s+(?:there|here|in\s+(?:it|there))|all\s+gone|gone)\b[\s.!,:(]*(?:sorry|left|there|here)?[\s.!)]*$/i;

/** What a message says that may list something; one that only talks says nothing. */
function saidIn(text: string, { knows }: Words): string {
  const said = text.replace(OF_PROGRAM, "").trimEnd();
  return SAYS_NUMBER.test(said) || knows(said) || NO.test(said) ? said : "";
}

/** What is read of each message, but for things that the next message says are not there. */
function withoutDenied(read: readonly string[], messages: Messages, { names }: Words): string[] {
  const kept = [...read];
  let answer = "";
  for (let i = messages.length - 1; i >= 0; i--) {
    const message = messages[i];
    if (!message) continue;
    const said = read[i]!;
    if (NO.test(answer) && !SAYS_NUMBER.test(said) && names(said)) kept[i] = "";
    if (message.said.trim() !== "") answer = message.said;
  }
  return kept;
}

/**
 * The text of a card without who wrote when, where it is a chat, and with its questions answered; as many lines as before. What is
 * asked and not answered is talk.
 */
export function withoutWriters(text: string, words: Words): string {
  const lines = text.split("\n");
  const messages = messagesIn(lines, words);
  if (messages === null) return text;
  const isAlone = standAlone(messages);
  const read = lines.map((line, i) => {
    const message = messages[i];
    const isTalk = message ? message.said !== "" : isAlone;
    return isTalk ? saidIn(message?.said ?? line, words) : (message?.said ?? line);
  });
  const answered = questionsAnswered(withoutDenied(read, messages, words).join("\n"), words);
  return answered.replace(ASKED_LAST, "");
}
const ASKED_LAST = /^.*\?[^\S\n]*$/gm;
