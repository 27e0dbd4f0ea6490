import { isSure, PRAISE, type Draft } from "./draft.ts";
import { isCapitals, type Style } from "./style.ts";

const NOTE_START =
  /^\W*(?:it\s+(?:weighs|fits|comes|has|is)|weighing|note|nb|n\.b|store|keep|stored?|check(?:ed)?\s+(?:the|by|all|contents?|dates?|expiry|every|regularly|monthly|before|for)|checked|date|dated|delivery|delivered|dimensions?|weight|weighs|colou?r|made|manufactur|replace|warning|caution|important|suitable|fits|price|order|contact|www|http|tel\b|phone|email|returns?|warranty|guarantee|rating|reviews?|you may|location|appointed|next\s|see\s|do not|don't|please|always|never|use\s|in an? |if\s|call\s|super\s|best\s|ideal|perfect|great|be\s|our\s|this\s|these\s|with\s(?:over|more)|all\s|home\s*>|model|serial|lot|batch|expiry|expires?|signed?|signature|received|name:|owner|prepared|packed\s+by|inspected|last\s|revision|rev\b|page|total\s|subtotal|vat|shipping|approved|meets|complies|conforms|designed|that's|thats|package\s(?:includes?|contents?)|what's\s+in|whats\s+in|contents?\s*$|contents?\s*:?\s*$|includes?\s*:?\s*$|quantity|remember|refill|restock|report|for\s+(?:use|two|one|up|emergency|home|car|\d)|up\s+to|free\s|click|share|save|customers?|description|features?|size\s*:|material|packaging|sku|brand|category|availability|in\s+stock|add\s+to|buy|item\s+no|stock)\b/i;

/** Page numbers, addresses of forms, terms of trade. */
const FOOTER =
  /^\W*page\s*\d|\b(?:tel\.?|phone|ext)\s*\.{3,}|\.{6,}\s*$|\b(?:ships?|shipping|freight|delivery|returns?|reviews?|rated|buyers|initials|families\s+of|next\s+due|inspected\s+by|rev\.)\b|\b\d{2}\/\d{2}\s*$/i;

/** Sentences that tell something, and list nothing. */
export function isNote(
  { row, match, segments, whole, headNamesItem }: Draft,
  style: Style,
): boolean {
  const text = row.text.trim();
  if (text === "") return true;
  if (/^(?:sub-?\s?)?total\b/i.test(text)) return true;
  if (FOOTER.test(text) && !segments.some((s) => isSure(s.match))) return true;
  if (row.inTable)
    return /^(?:sub-?\s?total|total|grand total|sum|carriage|postage|shipping|vat|tax|delivery)\b/i.test(
      text,
    );
  // "54 ESSENTIALS: everything for …" praises.
  if (PRAISE.test(text) && !(isSure(match) && headNamesItem)) return true;
  // A whole line in brackets says something of the one above.
  if (/^\([^()]*\)\.?$/.test(text) && !row.bullet) return true;
  if (/_{3,}/.test(text) && !segments.some((s) => isSure(s.match))) return true;
  if (/\b(?:https?:|www\.|@\w+\.)/i.test(text)) return true;
  const bare = !row.bullet && (whole.pieces === null || whole.article);
  const dictated =
    style.spoken &&
    segments.some((s) => s.match.whole === 1 && s.match.weight >= 2.5 && s.reading.pieces !== null);
  // "WARNING TRIANGLE ×1, HI-VIS ×2": each a thing with its count.
  const listed =
    segments.length > 1 &&
    segments.some((s) => isSure(s.match)) &&
    segments.every((s) => s.reading.pieces !== null && !s.reading.article);
  if (
    !dictated &&
    !listed &&
    NOTE_START.test(text) &&
    !(row.bullet && isSure(match)) &&
    !(
      match.whole === 1 &&
      match.weight > 4 &&
      match.explained > 0.7 &&
      text.split(/\s+/).length <= 7 &&
      !/^(?:note|nb|you may|report|check|total|store|keep)\b/i.test(text)
    )
  )
    return true;
  // Blurb outside the list: a sentence with a verb of its own and nothing counted.
  if (
    !style.spoken &&
    /[.!?]\s*$/.test(text) &&
    text.split(/\s+/).length >= 4 &&
    bare &&
    !(
      isSure(match) &&
      match.explained > 0.75 &&
      !/\b(?:is|are|be|will|can|should|must|have|has|need|keep|use|check|replace|may)\b/i.test(text)
    )
  )
    return true;
  if (
    !style.spoken &&
    /\b(?:is|are|will|should|must|please|ensure|recommend(?:ed)?)\b/i.test(text) &&
    bare &&
    text.split(/\s+/).length >= 5
  )
    return true;
  if (
    style.bullets &&
    !row.bullet &&
    !row.inTable &&
    !(
      isSure(match) &&
      whole.pieces !== null &&
      !whole.article &&
      !/[.!?]$/.test(text) &&
      text.split(/\s+/).length <= 9
    )
  )
    return true;
  return false;
}

const HEADINGS = new Set(
  "wound care|wounds|wound|bandages|bandages and dressings|dressings|dressings and bandages|plasters|plasters and dressings|tools|tools and protection|instruments|medicines|medicine|medication|medications|meds|drugs|burns|burn care|burn|bleeding|bleeding control|cleaning|hygiene|protection|ppe|personal protection|misc|miscellaneous|other|others|other items|extras|general|trauma|airway|breathing|circulation|eyes|eye care|fractures|sprains|sprains and strains|fractures and sprains|survival|tapes|tape|gloves and masks|antiseptics|cleansing|blisters|blister care|feet|foot care|bites and stings|insect bites|equipment|hardware|paperwork|documents|stationery|documentation|contents|medicine cabinet|diagnostics|splints|supports|immobilisation|cold therapy|hot and cold|resuscitation|cpr|first aid|emergency|pockets|front pocket|main compartment|back pocket|inner pocket|outer pocket|lid|top|bottom|left|right|wipes|wipes and creams|creams|ointments|creams and ointments|tablets|gauze|gauze and pads|pads|bandaging|wound dressings|closures|signalling|lighting|warmth|exposure|skin|allergy|stings|bag|box".split(
    "|",
  ),
);

/** "A. Dressings", with a list mark: a heading where what is listed carries counts. */
const SECTIONS =
  /^(?:wounds?|wound care|bandages?|dressings?|bandages and dressings|dressings and bandages|tools|instruments|equipment|medicines?|medications?|meds|burns?|burn care|bleeding|cleaning|hygiene|protection|ppe|misc|miscellaneous|others?|extras|eyes?|eye care|airway|resuscitation|sprains|fractures)$/;

/** A line that names a group of items. */
export function isHeading(
  { row, match, whole, segments }: Draft,
  next: Draft | undefined,
  style: Style,
  isFirst: boolean,
): boolean {
  if (row.inTable)
    return (
      row.quantity === null &&
      !isSure(match) &&
      row.text.split(/\s+/).length <= 3 &&
      HEADINGS.has(normalHeading(row.text))
    );
  const text = row.text.trim();
  if (/:\s*(?:\([^)]*\))?\s*$/.test(text)) return true;
  const counted = (whole.pieces !== null && !whole.article) || whole.bare !== null;
  // "* Cold" over a list that is set further in.
  if (row.bullet && !counted && !isSure(match) && next?.row.bullet && next.row.indent > row.indent)
    return true;
  const names = segments.some((s) => isSure(s.match) && s.match.type !== "container");
  // "Camp nurse list (2 weeks, 24 kids)"
  if (
    isFirst &&
    !row.bullet &&
    !names &&
    /\b(?:list|kit|bag|box|set|pouch|contents|cabinet|refill)\b/i.test(text)
  )
    return true;
  if (counted || whole.sizeMm !== null) return false;
  if (row.bullet && style.counts && SECTIONS.test(normalHeading(text))) return true;
  if (row.bullet && style.bullets) return false;
  // "tape" amid items in small letters is a thing; headings are plural or have a capital.
  const isThing = names && text === text.toLowerCase() && !text.endsWith("s");
  if (!isThing && HEADINGS.has(normalHeading(text)) && (style.counts || style.bullets)) return true;
  if (style.counts && next && !style.capitals && isCapitals(text) && !isCapitals(next.row.text))
    return true;
  if (style.counts && style.indent > row.indent && !row.bullet) return true;
  if (style.counts && !style.spoken && !row.bullet && row.source < style.first) return true;
  if (/^[=*#~—–-]{2,}|[=*#~-]{3,}\s*$/.test(text) || /^#+\s/.test(text)) return true;
  return !names && !row.bullet && !style.spoken && row.source < style.first;
}

const normalHeading = (text: string) =>
  text
    .toLowerCase()
    .replace(/\([^)]*\)/g, "")
    .replace(/&/g, "and")
    .replace(/[^a-z ]/g, "")
    .replace(/\s+/g, " ")
    .trim();
