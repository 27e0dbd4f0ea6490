import { quick } from "./quick.ts";

/** "exp. 2028", "best before end 2027": no month. */
const EXPIRES_IN_YEAR =
  /[,;]?\s*\b(?:exp(?:iry|ires?|\.)?|use by|best before|bbe?)\s*(?:date)?\s*[:.]?\s*(?:end\s+(?:of\s+)?)?20[2-4]\d\b(?![-/.]?\d)/gi;

/** "eye pads 5, 6 last month", "last count 9": what was there then, where another number says what is. */
const WAS_THERE =
  /(?:[,;(.]\s*|\s[-–—→|]\s+|\s)\b(?:(?:was\s+)?\d{1,4}\s+(?:at\s+(?:the\s+)?)?last\s+(?:time|week|month|year|check|count)|(?:at\s+(?:the\s+)?)?last\s+(?:time|week|month|year|check|count)\s*:?\s*\d{1,4})\b\)?/gi;
/** "KSh 280 each", "Rs. 1,250/-": whole numbers, that would count. */
const BEHIND_CURRENCY = quick(
  /(?<![\p{L}\d])(?:KSh|Ksh|KES|Rs\.?|INR|NGN|₦|₹|PHP|Php|ZAR|SGD|TSh|USh|GH₵|kr\.?|zł)\s?\d+(?:[.,]\d+)*(?:\s?\/[-=–])?(?:\s*(?:each|ea\.?|per\s+\p{L}+)(?!\p{L}))?/gu,
);
/** "(45 kr each)", "89 kr" */
const BEFORE_CURRENCY = quick(
  /(?<![\p{L}\d.,])\d+(?:[.,]\d{1,2})?\s?(?:kr\.?|zł|kč|Kč|Ft|pesos?|rand|shillings?|naira|rupees)(?![\p{L}])(?:\s*(?:each|ea\.?|per\s+\p{L}+)(?!\p{L}))?/gu,
);
/** "(P85)", "(P45 per roll)", "(R25 ea)" */
const IN_PESOS = quick(
  /\((?:P|R|N|₱)\s?\d+(?:[.,]\d{1,2})?(?:\s*(?:each|ea\.?|per\s+\p{L}+|\/\s*\p{L}+))?\)/gu,
);

/** "6 rolls - P 96.00", "1 bar, R 38.00": with cents, behind a sign that parts it. */
const PESOS_BEHIND = quick(
  /(?:\s[-–—]\s*|,\s*|\s{2,}|\s@\s*)(?:P|R|N|₱)\s?\d{1,3}(?:,?\d{3})*\.\d{2}(?:\s*(?:each|ea\.?|per\s+\p{L}+|\/\s*\p{L}+))?(?=\s*(?:$|[,;)]))/gu,
);

/** "(50) P5 each", "(1) P250": whole pesos, behind a count in brackets or with what they pay for. */
const PESOS_EACH = quick(
  /(?:(?<=\))\s+[P₱]\s?\d{1,3}(?:,?\d{3})*(?:\.\d{2})?(?=\s*$)|\s[P₱]\s?\d{1,5}(?:\.\d{1,2})?\s*(?:each|ea\.?|per\s+\p{L}+|\/\s*\p{L}+)(?=\s*(?:$|[,;)])))/gu,
);

/** Most texts name no price so. */
const MAY_SAY_PESOS = /[PRN₱]\s?\d/;
const withoutPesos = (text: string): string =>
  MAY_SAY_PESOS.test(text)
    ? text.replace(IN_PESOS, " ").replace(PESOS_BEHIND, " ").replace(PESOS_EACH, " ")
    : text;

/** Takes out what looks like a count and is none (prices, dates, codes, phone numbers), and the sign that led to one at the end. */
export function stripPrices(text: string): string {
  const said = withoutPrices(text);
  return /[:=]\s*$/.test(said) && !/[:=]\s*$/.test(text) ? said.replace(/\s*[:=]\s*$/, "") : said;
}
function withoutPrices(text: string): string {
  const now = text.replace(WAS_THERE, (said, at: number) =>
    /\d/.test(text.slice(0, at)) ? " " : said,
  );
  return (
    withoutPesos(now)
      // Struck through: no longer there.
      .replace(/~~[^~]*~~/g, " ")
      // Set apart in columns: unit price and total.
      .replace(/(?:\s{2,}|\t)\d+[.,]\d{2}(?=\s{2,}|\t|\s*$)/g, " ")
      // "13,11 €  6 wipes"
      .replace(/\b\d+[.,]\d{2}\s?[£€](?!\d)/g, " ")
      .replace(/(?:[£€$¥]|\b(?:EUR|USD|GBP|CHF|SEK|AUD|CAD|NZD)\b)\s?\d+(?:[.,]\d+)*/g, " ")
      .replace(/\b\d+(?:[.,]\d{1,2})?\s*(?:[£€]|\b(?:EUR|USD|GBP|CHF|SEK|AUD|CAD|NZD)\b)/g, " ")
      .replace(BEHIND_CURRENCY, " ")
      // "exp -": nobody knows when.
      .replace(/\s\bexp(?:iry|ires?)?\.?\s*:?\s*[-–—](?=\s|$)/gi, " ")
      .replace(BEFORE_CURRENCY, " ")
      .replace(/\$\s*(?=\s|$)/g, " ")
      // "(DIN 13169 extended)": the number of a standard.
      .replace(
        /\((?:acc\.?\s+(?:to\s+)?|nach\s+)?(?:DIN|EN|ISO|BS|NF|UNI|ÖNORM)(?:\s+(?:EN|ISO))*\s*\d{3,}[^()]*\)/g,
        " ",
      )
      .replace(
        /(?:\s[-–—]\s+)?\b(?:lot|batch|serial)\s*(?:no\.?|number|#)?\s*:?\s*(?=[A-Z]*-?\d)[\w-]+/gi,
        " ",
      )
      // "@ 0.45": what one costs.
      .replace(/\s@\s*\d+[.,]\d{2}(?![\d.,]|\s?(?:[cm]?m|in)\b)/g, " ")
      .replace(
        /\b(?:exp(?:iry|ires?|\.)?|use by|best before|bbe?|dated?|tested|checked|charged|serviced|opened|replaced|renewed|changed|restocked|refilled|lot|batch)\s*(?:date|(?:at|in|by)?\s*[a-z]+)?\s*[:.]?\s*(?:end\s+)?(?:\d{1,4}[-/.]\d{1,4}(?:[-/.]\d{1,4})?|(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?\s*\d{2,4})/gi,
        " ",
      )
      .replace(EXPIRES_IN_YEAR, " ")
      .replace(
        /(?<=\s|^)(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?\s+20\d\d(?!\d)/gi,
        " ",
      )
      // "Dec-28", "Aug '28": when it runs out.
      .replace(
        /(?<=\s|^)(?:jan|feb|mar|apr|may|june?|july?|aug|sept?|oct|nov|dec)\.?\s?[-'’/]\s?(?:20)?[23]\d(?=\s|$|[,;)])/gi,
        " ",
      )
      .replace(
        /\b\d{1,2}(?:st|nd|rd|th)?\s+(?:of\s+)?(?:january|february|march|april|may|june|july|august|september|october|november|december)\b(?:\s+\d{4})?/gi,
        " ",
      )
      // "(26 Oct)", "12 Nov 2026".
      .replace(
        /\b\d{1,2}(?:st|nd|rd|th)?\s+(?:jan|feb|apr|jun|jul|aug|sept?|oct|nov|dec)\b\.?(?:\s+(?:20)?\d\d\b)?/gi,
        " ",
      )
      .replace(
        /(?<=[.,;)]\s*)\bseal(?:ed)?\s*(?:no\.?|number|nr\.?)?\s*[:#]?\s*[a-z]?\d{3,}\b/gi,
        " ",
      )
      .replace(
        /\b(?:bought|since|from|of|made|packed|dated|in)\s+(?:19|20)\d\d\b(?![-/.\d])/gi,
        " ",
      )
      .replace(
        /(?:\b(?:ref|sku|item|part|art|cat|code|stock)\.?\s*(?:no\.?|number|#|code)?\s*[:#]\s*)[\w-]*\d[\w-]*/gi,
        " ",
      )
      // "[ref 123-456]"
      .replace(/[[(]?\bref\.?\s+(?=[A-Z]{0,4}-?\d)[A-Z\d-]{4,}[\])]?/gi, " ")
      // A bar code's number.
      .replace(/(?<![\d.,])\d{12,14}(?![\d.,])/g, " ")
      // "12/05/26": a year of this century's twenties or thirties ends it.
      .replace(
        /(?<![\d/.-])(?:0?[1-9]|[12]\d|3[01])[/.](?:0?[1-9]|1[0-2])[/.](?:20)?[23]\d(?![\d/.-])/g,
        " ",
      )
      .replace(/\b\d{1,2}(?:st|nd|rd|th)\b/gi, " ")
      .replace(/\b20\d\d-(?:0[1-9]|1[0-2])(?:-\d\d)?\b/g, " ")
      .replace(/\b(?:0[1-9]|1[0-2])\/20\d\d\b/g, " ")
      // "05/27", last: nobody counts with a nought before.
      .replace(/(?<=\s)0[1-9]\/[23]\d\s*$/, " ")
      .replace(
        /\b(?!X\d|(?:BX|PK|PKT|BG|CS|CT)\d{1,4}\b)[A-Z]{1,5}-?\d{3,}[A-Z]?\b|\b[A-Z]{2,4}-\d{2,}\b/g,
        " ",
      )
      .replace(/#\s?\d{3,}\b/g, " ")
      // "eyewash - (date), replace": of what stood behind the dash nothing is left, and it is no "none".
      .replace(/\s[-–—]\s+(?=[,;])/g, "")
  );
}
