import { isCountedPlainly } from "./countedPlainly.ts";
import { isSure, PRAISE, type Draft } from "./draft.ts";
import { isWhole } from "./segments.ts";
import { NO_TYPE } from "./vocabulary.ts";
import { rulesOf, type OfText } from "./firstTold.ts";
import type { Style } from "./style.ts";
import { quick } from "./quick.ts";

/** Lines that tell something, and list nothing: an ordered table, any rule makes a note of a line. */

const NOTE_START = quick(
  /^\W*(?:(?:subject|betreff|objet|asunto|oggetto|fwd?|re|month|week|quarter|shift|(?:warm\s+)?tips?|after-?sales?(?:\s+service)?)(?=\s*:)|it\s+(?:weighs|fits|comes|has|is)|weighing|notes?|remarks?|observations?|nb|n\.b|(?:annex|appendix)\s+\w{1,4}|stored?(?!\s+[-–]\s)|keep|check(?:ed)?\s+(?:the|by|all|contents?|dates?|expiry|every|regularly|monthly|before|for)|checked|date|dated|delivery|delivered|dimensions?|weight|weighs|colou?r|made|manufactur|replace|warning|caution|important|suitable|fits|price|order|contact|www|http|tel\b|phone|email|returns?|warranty|guarantee|rating|reviews?|you may|location|appointed|next\b(?!\s+up\b)|see\s|do not|don't|please|always|never|use\s|in an? |if\s|call\s|super\s|best\s|ideal|perfect|great|be\s|our\s|this\s|these\s|with\s(?:over|more)|all\s|home\s*>|model|serial|lot|batch|expiry|expires?|signed?|signature|received|done\b|yours\b|(?:kind\s+|best\s+)?(?:regards|wishes)|cheers|nice\s+one|sincerely|name:|owner|prepared|packed\s+by|inspected|last\s|revision|rev\b|page|total\s|subtotal|vat|shipping|approved|meets|complies|conforms|designed|sent\s+from\s+my\b|let\s+me\s+know|(?:and\s+|so\s+)?that['’]?s|package\s(?:includes?|contents?)|what's\s+in|whats\s+in|contents?\s*$|(?:inhalt|inhoud|contenu|contenido|contenuto|conteúdo|innehåll|indhold|innhold|sisältö|zawartość|obsah)(?![\p{L}])[^,;:]*$|contents?\s+of\s|contents?\s*\(|every\s?thing\s+(?:in|fits|lives|is)\b|contents?\s*:?\s*$|includes?\s*:?\s*$|quantity|remember|refill|restock|report|for\s+(?:use|two|one|up|emergency|home|car|\d)|up\s+to|free\s|click|share|save|customers?|description|features?|size\s*:|material|packaging|sku|brand|category|availability|in\s+stock|add\s+to|buy|item\s+no|stock)\b/iu,
);

/** Page numbers, addresses of forms, terms of trade. */
const FOOTER =
  /^\W*page\s*\d|\btel\.?\s*(?:nr\.?|intern|int\.?|ext\.?|:)?\s*\+?\d|\b\d{1,2}:\d{2}\b|\b(?:tel\.?|phone|ext)\s*\.{3,}|\.{6,}\s*$|\b(?:ships?|shipping|freight|delivery|returns?|reviews?|ratings|rated|buyers|initials|families\s+of|next\s+due|inspected\s+by|rev\.)\b|\b\d{2}\/\d{2}\s*$/i;

/** What an office writes on a card: numbers of seals, forms and rooms, who is answerable, how one is greeted. */
const OFFICE = quick(
  /^\W*(?:kit\s+(?:list|#|contents)|(?:circular|memo(?:randum)?|bulletin)\s+(?:no\.?\s*)?\d|(?:table|fig(?:ure)?)\.?\s+\p{Lu}?\d|list\s+of\s+contents|packing\s+list\b|check-?list\s*$|aed\s+location|site\s*:|invoice\b|(?:\p{L}+\s+){0,3}[-–]?\s*order\s+(?:no\.?\s*|nr\.?\s*|#\s*)?\d+\b|nearest\s+(?:hospital|aed|defib\w*|clinic|phone|telephone)|(?:photo|picture)s?\s+(?:taken|of|shows?|attached|\d)|attached\s*:|sent\s+from\s|hope\s+(?:that|this)\s|size\s+of\s+(?:the\s+)?(?:case|bag|box|kit|pouch)\b|\d+\s+(?:items?|lines?|articles)\s+(?:checked|counted|listed|short|present|missing|in\s+all)\b|\p{L}+\s+(?:training|course|session|practice)\s+(?:next|on|this|every)\s|first\s+aiders?\s+on\b|company\s*:|department\s+of|(?:from|to|attachments?|sent)\s*:|scan\s+of|transcribed|version\s+\d|home\s*[>›»]|product\s+details|about\s+this|tick\s+(?:when|if|each)|legend\s*:|(?:end|last\s+item)(?:\s+of\s+(?:list|card|page))?\W*$|continued\b|cont['’]?d\b|source\s*:|confidential|draft\s*$|p\.?t\.?o\.?\s*$|(?:meeting|assembly|muster)\s+point|inventory\s*$|(?:daily|weekly|monthly|quarterly|annual)\s+check\b|seal(?:ed)?(?:\s+(?:no\.?|number|nr\.?))?\s*[:#]?\s*\d|(?:art(?:icle)?|item|stock|product|part|order|quote)\.?\s*(?:no\.?|nr\.?|number|code)\b|ean\b|gtin\b|upc\b|kit\s+(?:(?:no|nr|id|number)\b|\p{Lu}$|weight|volume)|(?:box|copy|sheet|bag|kit)\s+\d+\s*(?:of|\/)\s*\d|this\s+kit\b|©|printed\b|issued\b|valid\b|emergenc(?:y|ies)\s*:|in\s+an?\s+emergency|opening\s+hours|first\s+aiders?\s*:|ersthelfer(?:in)?\s*:|secouristes?\s*:|socorristas?\s*:|responsible|room\s+\d|(?:ground|first|second|third)\s+floor|vehicle\s*:|form\s+\p{Lu}|lasts\b|contents\s+may|comments?\s*[:(]|volume\b|capacity\b|to\s+re-?order|refills?\s*:|(?:hi|hello|dear)\s+(?:all|team|both|everyone|\p{Lu}\p{L}+)\s*[,!]\s*$|(?:best|thanks|thank\s+you|many\s+thanks|love|greetings)\s*[,!]|used\s+on\s+(?:trip|the)|ask\s+at|item\s+qty|size\s*:\s*\d+\s*[x×]\s*\d+\s*[x×]|\d+\s+kits?\s+in\b|\d+-year\s|for\s+(?:up\s+to\s+)?\d+\s+(?:persons?|people))/iu,
);

interface Told extends Draft {
  readonly text: string;
  readonly words: number;
  readonly style: Style;
  /** Some part of it surely names an item. */
  readonly names: boolean;
  /** Neither marked as one of a list nor counted. */
  readonly bare: boolean;
}
interface NoteRule extends OfText {
  readonly name: string;
  /** A line among items that is a note by it. */
  readonly example: string;
  readonly says: (line: Told) => boolean;
}

/** Titles, totals and prices among the rows of a table. */
const TABLE_NOTE =
  /^(?:sub-?\s?total|total|grand total|sum|carriage|postage|shipping|vat|tax|delivery|(?:signed|signature|checked\s+by|counted\s+by|printed)\b(?!\s*(?:pads?|cards?)))\b/i;
const VERB = /\b(?:is|are|be|will|can|should|must|have|has|need|keep|use|check|replace|may)\b/i;

/** "two boxes of plasters": said aloud with a count. */
const isDictated = ({ style, segments }: Told): boolean =>
  style.spoken &&
  segments.some((s) => s.match.whole === 1 && s.match.weight >= 2.5 && s.reading.pieces !== null);
/** "WARNING TRIANGLE ×1, HI-VIS ×2": each a thing with its count. */
const isListed = ({ segments, names }: Told): boolean =>
  segments.length > 1 &&
  names &&
  segments.every((s) => s.reading.pieces !== null && !s.reading.article);
/** "Note pad", "Replacement pads for the defibrillator": a name that begins as a note does. */
const isFullName = ({ match, text, words }: Told): boolean =>
  match.whole === 1 &&
  match.weight > 4 &&
  match.explained > 0.7 &&
  words <= 7 &&
  !/^(?:(?:subject|re|fwd?)\s*:|notes?:|note|nb|remark|observation|you may|report|check|total|store|keep|every\s?thing)\b/i.test(
    text,
  );
/** "observation chart: 4", "note paper x4": all words are one name, or the count is written as of a thing. */
const isCountedName = ({ match, whole, text, words }: Told): boolean =>
  whole.pieces !== null &&
  !whole.article &&
  words <= 5 &&
  ((isWhole(match) && isSure(match) && match.type !== NO_TYPE) || isCountedPlainly(text));
/** "4 nos." is cut short, and no sentence. */
const SENTENCE_ENDS = /(?<!\b(?:nos?|ea|pcs?|pkts?|pks?|prs?|btls?|rl|st))\.$|[!?]$/i;
/** "4 gauze pads, 10 x 10 cm": beside marked lines one without a mark that counts a thing. */
const isCountedThing = ({ match, whole, row, text, words }: Told): boolean =>
  isSure(match) &&
  (row.quantity !== null || (whole.pieces !== null && !whole.article)) &&
  !SENTENCE_ENDS.test(text) &&
  words <= 9;

const SAYS_TOTAL = quick(
  /^(?:sub-?\s?)?total\b|\btotal\s+(?:lines|packages|weight|value|cost)\b|^(?:sum|totalt|til\s+sammen|totale|totaal|summe|gesamt(?:betrag)?|zwischensumme|somme|suma|razem|i\s+alt|sammanlagt|summa|celkem|yhteensä)(?![\p{L}])/iu,
);
/** "CARD      24.95": how it was paid. */
const PAID = quick(
  /^(?:card|cash|change|visa|debit|credit|contactless|balance\s+due|amount\s+(?:due|paid)|(?:order\s+)?discount|voucher|carriage|postage|paid(?:\s+(?:by|with)\s+\p{L}+)?)(?![\p{L}])[\s.:£€$\d,*x%-]*$/iu,
);
/** "Apologies: …", "AOB". */
const MINUTES =
  /^\W*(?:apologies|attendees|in\s+attendance|a\.?o\.?b\b|any\s+other\s+business|matters\s+arising|minutes\s+(?:of|taken)|(?:date\s+of\s+)?next\s+meeting|chair(?:ed|person|man|woman)?\s*(?::|by\b)|agenda\b|circulation\s*:|distribution\s*:|proposed\s+by|seconded\s+by|action\s+points?\b|quorum\b|(?:the\s+)?meeting\s+(?:closed|opened|ended|began|adjourned)|call\s+to\s+order)|\bmeeting\s+(?:closed|adjourned|ended)\b/i;
/** "Sister Ada reported that the box was opened". */
const RESOLVED =
  /\b(?:reported|resolved|agreed|noted|decided|confirmed|stated|informed|asked|proposed|recommended|reminded|explained|suggested|said)\b.{0,60}\bthat\b/i;
/** "Managers report shortages by the 5th", "Every branch must keep its box in reception". */
const TOLD_TO =
  /^\W*(?:\d{1,2}[.)]\s*)?(?:(?:every|each|all|any|the|no)\s+)?(?:branch|manager|supervisor|staff|teacher|driver|coach|warden|first[\s-]?aider|employee|member|volunteer|caretaker|department|team|committee|leader|skipper|crew|foreman|person)(?:s|es)?\s+(?:must|shall|should|will|may|is\s+to|are\s+to|reports?|keeps?|checks?|signs?|sends?)\b/i;
/** "Ms Lim to buy replacement batteries" */
const IS_TO_BUY = quick(
  /^\W*(?:\d{1,2}[.)]\s*)?(?:\p{Lu}\p{L}*\.?\s+){1,3}to\s+(?:buy|order|get|replace|restock|bring|collect)\s/u,
);
const always = (): boolean => true;
const namesNothing = ({ names }: Told): boolean => !names;
const isUnmarked = ({ row }: Told): boolean => !row.bullet;
/** In a table and outside one. */
const ANYWHERE: readonly NoteRule[] = [
  { name: "nothing", example: "", reads: (text) => text === "", says: always },
  {
    name: "a total",
    example: "Total value 12.40",
    reads: (text) => SAYS_TOTAL.test(text),
    says: always,
  },
  {
    name: "how it was paid",
    example: "CARD 24.95",
    reads: (text) => PAID.test(text),
    says: always,
  },
  {
    name: "a footer",
    example: "Page 2 of 7",
    reads: (text) => FOOTER.test(text),
    says: namesNothing,
  },
  {
    name: "what the minutes of a meeting say besides",
    example: "Apologies: the gaffer",
    reads: (text) => MINUTES.test(text),
    says: namesNothing,
  },
  {
    name: "what was reported or resolved, and who is to do what",
    example: "4.7 The committee resolved that salts be bought",
    reads: (text) => RESOLVED.test(text) || TOLD_TO.test(text) || IS_TO_BUY.test(text),
    says: ({ text, names, whole }) =>
      (whole.pieces === null || whole.article) && (!names || IS_TO_BUY.test(text)),
  },
  {
    name: "a line to write on",
    example: "Checked by ______",
    reads: (text) => /_{3,}/.test(text),
    says: namesNothing,
  },
];

/** Two things that are surely named are a list's line, its full stop notwithstanding. */
const FEWEST_LISTED = 2;

const QUESTION =
  /^\W*(?:(?:did|do|does|is|are|have|has|had|can|could|should|shall|will|would)(?:n['’]?t)?\s+(?:you|we|i|it|they|there|he|she|anyone|somebody|someone|the|any)|where|who|what|when|why|how\s+come|which)\b.*\?\s*$/i;

/** Of the state of things; "is there a whistle? yes" lists one. */
const ANSWERED =
  /^\W*(?:\d{1,2}[.)]\s*)?(?:is|are)\s+(?:the|it|they|all|everything|contents?)\b[^?]*\b(?:clean|labell?ed|accessible|sealed|locked|full|complete|date|signed?|visible|stocked|mounted|fixed|dry)\b[^?]*\?\s*(?:yes|no|y|n)?\s*$/i;

const IN_TEXT: readonly NoteRule[] = [
  {
    name: "praise",
    example: "54 ESSENTIALS: everything for the family",
    reads: (text) => PRAISE.test(text),
    says: ({ match, headNamesItem, style }) => !style.capitals && !(isSure(match) && headNamesItem),
  },
  {
    name: "a whole line in brackets",
    example: "(keep dry and cool)",
    reads: (text) => /^\([^()]*\)\.?$/.test(text),
    says: isUnmarked,
  },
  {
    name: "an office's line",
    example: "Seal no. 00417",
    reads: (text) => OFFICE.test(text),
    says: isUnmarked,
  },
  {
    name: "a question",
    example: "didn't we have 2 tourniquets?",
    reads: (text) => QUESTION.test(text),
    says: always,
  },
  {
    name: "a question that is answered",
    example: "Is the box clean and labelled?   Yes",
    reads: (text) => ANSWERED.test(text),
    says: always,
  },
  {
    name: "an address",
    example: "www.example.org/kits",
    reads: (text) => /\b(?:https?:|www\.|@\w+\.)/i.test(text),
    says: always,
  },
  {
    name: "the beginning of a note",
    example: "Store below 25 °C",
    reads: (text) => NOTE_START.test(text),
    says: (line) =>
      !isDictated(line) &&
      !isListed(line) &&
      !isCountedName(line) &&
      !(line.row.bullet && isSure(line.match)) &&
      !isFullName(line),
  },
  {
    name: "a sentence with nothing counted",
    example: "Everything a family wants on the road.",
    reads: (text) => /[.!?]\s*$/.test(text),
    says: ({ style, text, words, bare, match, segments, whole }) =>
      !style.spoken &&
      words >= 4 &&
      bare &&
      !(whole.volumeMl !== null && isSure(match) && !VERB.test(text)) &&
      segments.filter((s) => isSure(s.match)).length < FEWEST_LISTED &&
      !(isSure(match) && match.explained > 0.75 && !VERB.test(text)),
  },
  {
    name: "advice",
    example: "All of it should be looked at in spring",
    reads: (text) => /\b(?:is|are|will|should|must|please|ensure|recommend(?:ed)?)\b/i.test(text),
    says: ({ style, words, bare }) => !style.spoken && bare && words >= 5,
  },
  {
    name: "a line without a mark beside marked ones",
    example: "- 4 gauze pads\n- 2 eye pads\nThe lid\n- 8 plasters\n- 1 whistle",
    says: (line) =>
      line.style.bullets &&
      !line.row.bullet &&
      !line.row.inTable &&
      !isCountedThing(line) &&
      !isListed(line),
  },
];

export const NOTE_RULES: readonly NoteRule[] = [...ANYWHERE, ...IN_TEXT];
const rulesAnywhere = rulesOf(ANYWHERE);
const rulesInText = rulesOf(IN_TEXT);

/** Whether a line tells something, and lists nothing. */
export function isNote(draft: Draft, style: Style): boolean {
  const { row, segments, whole } = draft;
  const text = row.text.trim();
  const line: Told = {
    ...draft,
    ...{ text, style },
    words: text.split(/\s+/).length,
    names: segments.some((s) => isSure(s.match)),
    bare: !row.bullet && (whole.pieces === null || whole.article),
  };
  if (rulesAnywhere(text).some((rule) => rule.says(line))) return true;
  return row.inTable ? TABLE_NOTE.test(text) : rulesInText(text).some((rule) => rule.says(line));
}
