import type { Problem, ProblemCode } from "../core/model/problem.ts";

/** The sentence of every problem, with the places of its values. A code without one does not compile. */
const PROBLEM_TEXT: Readonly<Record<ProblemCode, string>> = {
  schema: "{message}",
  "no-such-day": "is not a day that exists (write YYYY-MM-DD)",
  "outing-too-large":
    "expects more than 500 incidents of a kind on one outing ({kinds}): fewer people or days, or a lower rate",
  damaged: "is damaged or was changed by hand",
  "another-exercise": "belongs to another exercise",
  "wrong-passphrase": "does not open with this passphrase",
  "sum-not-one": "has probabilities that do not add up to 1",
  "no-such-date-read": "is not a date that exists (write YYYY-MM, YYYY-MM-DD or none)",
  "no-currency": "is not a currency code of three capitals, as EUR",
  "too-deep": "is nested too deeply",
  "no-record": "is not a record",
  "no-kind": "'{kind}' is not a kind of record",
  "no-version": "'{version}' is not a version",
  "newer-record":
    "is {from}; this program reads '{kind}' up to {current}: open it with a newer Wide Sieve",
  "gs1-no-element": "is no element of the form (01)…",
  "gs1-unknown-ai": "'{ai}' is no application identifier that is known here",
  "gs1-short": "is cut short: {has} of {length} characters",
  "gs1-length": "has {has} characters; 1 to {most} are allowed",
  empty: "is empty",
  "gs1-gtin": "'{value}' is not 14 digits",
  "gs1-check-digit": "check digit is {has}, should be {right}: scan again",
  "no-such-date": "{text} is not a date that exists: write month and year, as 05/27, or none",
  "gs1-count": "'{value}' is not a count",
  "card-empty": "is empty: paste or type what the card says",
  "card-no-text": "is not text (a picture or another binary file): type or paste what it says",
  "card-too-many":
    "was read into {lines} lines; a kit has at most {most}: paste the contents of one kit only",
  "card-lines-left-out": "and beyond were not read: a card has at most {most} lines",
  "card-line-too-long": "was not read: it has {has} characters, a line has at most {most}",
  "prices-lack-column": "lacks the column {missing}; expected {expected}",
  "no-type": "'{type}' is not an item type of the catalogue",
  "prices-no-column": "none holds the {missing}",
  "prices-no-type": "'{words}' names no item type surely; add a column with the type",
  "prices-two-currencies":
    "is {has} in a book of {book}: one price book has one currency; convert by your own rate first",
  "prices-terms-differ":
    "says other than an earlier row of '{source}': postage and the like are a source's, once for all its rows",
  twice: "'{id}' stands twice",
  "list-lacks-heading": "lacks the heading {missing}; the headings are {headings}",
  "list-unknown-heading": "'{heading}' is not a heading that is read; take it out or rename it",
  "list-no-need": "there is no need below the heading",
  "no-number": "'{text}' is not a number",
  "no-job": "'{name}' is none of the {jobs} jobs",
  "no-yes": "'{text}' is neither yes nor empty",
  "list-min-above-max": "{min} is above 'at most' {max}",
  "no-two-sides": "'{text}' is not two sides, as 75 x 75",
  "no-stand-in": "'{text}' is not an item type with a credit, as 'sanitary-pad 0.4 improvised'",
  "no-stand-in-type": "'{type}' is not an item type",
  "open-quote": "has a quote that is never closed: the rows after it cannot be told apart",
  "newer-file":
    "is {version}; this program reads up to {reads}: open the file with a newer Wide Sieve",
  "no-audit": "is not an audit file: a JSON object is expected",
  "another-format": "is '{format}', not '{wanted}': this is another kind of file",
  "no-workspace": "is not a workspace file: a JSON object is expected",
  "no-records": "is missing: the file may be cut short",
  "type-told-apart": "'{was}' was defined twice: this one is '{is}'",
  "brief-given": "its brief was not in the file: look at the brief",
  "no-brief": "'{id}' is not a brief",
  "no-type-here": "'{type}' is not an item type of the catalogue or the file",
  "no-function": "'{function}' is not a function of the catalogue",
  "id-twice": "the id '{id}' stands twice",
  "id-of-catalogue": "'{id}' is an id of the catalogue: choose another",
  "no-typical": "a type measured in {measure} needs a typical value",
  "min-above-max": "min {min} is above max {max}",
  "no-pieces": "has neither a claimed nor a counted number of pieces",
  "no-point": "'{point}' is not an inspection point",
  "no-json": "is not whole JSON; it may be cut short ({why})",
  "no-dated-part": "'{text}' is not a number of pieces and a date",
  "part-without-date": "'{text}' lacks its date",
  "two-dates-wanted": "two dates or more are wanted",
  "parts-do-not-add-up": "the parts are {named} pieces, {pieces} lie there",
  "part-without-pieces": "a part has no pieces",
  "two-dates": "{text} can be read two ways: {dates}",
  "several-dates": "{text} can be read several ways: {dates}",
  "no-date": "'{text}' is not a date: write 2027-05, 2027-05-31 or none",
  "too-large": "is over {megabytes} MB",
  "too-many-for-a-request":
    "{lines} lines for {needs} needs are too many for one request: at most {mostLines} lines, and {mostPairs} lines × needs; use the command line",
  "column-twice": "has the column '{column}' twice: take one of them out",
  "amount-unclear":
    "'{text}' is not one plain number: write it like 1234.50, without words or signs",
  "too-slow": "did not come in within {seconds} s: send it at once",
  "broken-off": "broke off: send it again",
  "another-key": "is '{id}' under the key '{key}'",
};

const said = (value: string | number | readonly string[] | undefined): string =>
  typeof value === "object" ? value.join(" or ") : String(value ?? "?");

/** What is wrong and what to do: "is not a number", to be read behind where it is. */
export const problemText = ({ code, values }: Problem): string =>
  PROBLEM_TEXT[code].replace(/\{(\w+)\}/g, (_, name: string) => said(values[name]));

/** A problem in words. */
export interface Told {
  readonly where: string;
  readonly what: string;
}
/** A problem of the core as it is told; what an edge says in its own words stays. */
export const told = (p: Problem | Told): Told =>
  "what" in p ? p : { where: p.where, what: problemText(p) };
