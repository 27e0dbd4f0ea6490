import { daysInMonth, isDay } from "../base/dates.ts";
import { fail, type Outcome, problem } from "../model/problem.ts";

/**
 * GS1 element strings off an item's wrapper (GS1 General Specifications, ch. 3): bracket form as
 * printed, or as scanned with FNC1 (ASCII 29) behind fields of variable length.
 */
export interface Gs1 {
  /** (01) 14 digits, check digit verified. */
  readonly gtin?: string;
  /** (17) `YYYY-MM-DD`; day 00 is the last of the month. */
  readonly expires?: string;
  /** (10) */
  readonly lot?: string;
  /** (30) pieces in the pack. */
  readonly count?: number;
}

const FNC1 = "\u001d";
/** Fixed lengths of the identifiers that need no FNC1; all others end at FNC1. */
const FIXED: Readonly<Record<string, number>> = {
  "00": 18,
  "01": 14,
  "02": 14,
  "11": 6,
  "12": 6,
  "13": 6,
  "15": 6,
  "16": 6,
  "17": 6,
  "20": 2,
};
const VARIABLE: Readonly<Record<string, number>> = {
  "10": 20,
  "21": 20,
  "30": 8,
  "37": 8,
  "240": 30,
  "241": 30,
  "710": 20,
};

/** Reads an element string; says what is wrong with it. A bare GTIN of 8, 12, 13 or 14 digits counts as (01). */
export function parseGs1(scanned: string): Outcome<Gs1> {
  const text = scanned
    .trim()
    .replace(/^\](?:C1|d2|Q3|e0)/, "")
    .replace(/^\u001d/, "");
  if (/^\d{8}$|^\d{12,14}$/.test(text)) return fieldsToGs1([["01", text.padStart(14, "0")]]);
  const fields = text.startsWith("(") ? bracketed(text) : concatenated(text);
  return fields.ok ? fieldsToGs1(fields.value) : fields;
}

type Field = readonly [ai: string, value: string];

function bracketed(text: string): Outcome<Field[]> {
  const fields: Field[] = [];
  const pattern = /\((\d{2,4})\)([^(]*)/g;
  let at = 0;
  for (const m of text.matchAll(pattern)) {
    if (m.index !== at) break;
    fields.push([m[1]!, m[2]!.replaceAll(FNC1, "").trim()]);
    at += m[0].length;
  }
  return at === text.length && fields.length > 0
    ? { ok: true, value: fields }
    : fail([problem(`character ${at + 1}`, "gs1-no-element")]);
}

function concatenated(text: string): Outcome<Field[]> {
  const fields: Field[] = [];
  let at = 0;
  while (at < text.length) {
    const ai = [2, 3].map((n) => text.slice(at, at + n)).find((x) => x in FIXED || x in VARIABLE);
    if (ai === undefined)
      return fail([
        problem(`character ${at + 1}`, "gs1-unknown-ai", { ai: text.slice(at, at + 4) }),
      ]);
    at += ai.length;
    const length = FIXED[ai];
    const end = text.indexOf(FNC1, at);
    const to = length !== undefined ? at + length : end < 0 ? text.length : end;
    const value = text.slice(at, to);
    if (length !== undefined ? value.length < length : value === "" || value.length > VARIABLE[ai]!)
      return fail([
        length !== undefined
          ? problem(`(${ai})`, "gs1-short", { has: value.length, length })
          : problem(`(${ai})`, "gs1-length", { has: value.length, most: VARIABLE[ai]! }),
      ]);
    fields.push([ai, value]);
    at = text[to] === FNC1 ? to + 1 : to;
  }
  return fields.length > 0 ? { ok: true, value: fields } : fail([problem("", "empty")]);
}

function fieldsToGs1(fields: readonly Field[]): Outcome<Gs1> {
  const out: { -readonly [K in keyof Gs1]: Gs1[K] } = {};
  for (const [ai, value] of fields) {
    if (ai === "01" || ai === "02") {
      if (!/^\d{14}$/.test(value)) return fail([problem(`(${ai})`, "gs1-gtin", { value })]);
      const right = checkDigit(value.slice(0, 13));
      if (Number(value[13]) !== right)
        return fail([problem(`(${ai})`, "gs1-check-digit", { has: value[13]!, right })]);
      out.gtin = value;
    } else if (ai === "17") {
      const date = /^\d{6}$/.test(value) ? dateOf(value) : null;
      if (date === null) return fail([problem("(17)", "no-such-date", { text: value })]);
      out.expires = date;
    } else if (ai === "10") out.lot = value;
    else if (ai === "30" || ai === "37") {
      if (!/^\d{1,8}$/.test(value)) return fail([problem(`(${ai})`, "gs1-count", { value })]);
      out.count = Number(value);
    }
  }
  return { ok: true, value: out };
}

/** Modulo 10, weights 3 and 1 from the right. */
export function checkDigit(digits: string): number {
  let sum = 0;
  [...digits].reverse().forEach((d, i) => (sum += Number(d) * (i % 2 === 0 ? 3 : 1)));
  return (10 - (sum % 10)) % 10;
}

function dateOf(yymmdd: string): string | null {
  const [year, month, day] = [
    2000 + Number(yymmdd.slice(0, 2)),
    Number(yymmdd.slice(2, 4)),
    Number(yymmdd.slice(4)),
  ];
  if (month < 1 || month > 12) return null;
  const date = `${year}-${yymmdd.slice(2, 4)}-${String(day === 0 ? daysInMonth(year, month) : day).padStart(2, "0")}`;
  return isDay(date) ? date : null;
}

/** The element string of some facts, in bracket form or as a scanner sends it. */
export function writeGs1(facts: Gs1, form: "brackets" | "fnc1"): string {
  const fields: Field[] = [];
  if (facts.gtin) fields.push(["01", facts.gtin]);
  if (facts.expires) fields.push(["17", facts.expires.slice(2).replaceAll("-", "")]);
  if (facts.lot) fields.push(["10", facts.lot]);
  if (facts.count !== undefined) fields.push(["30", String(facts.count)]);
  if (form === "brackets") return fields.map(([ai, v]) => `(${ai})${v}`).join("");
  return fields
    .map(([ai, v], i) => ai + v + (ai in FIXED || i === fields.length - 1 ? "" : FNC1))
    .join("");
}
