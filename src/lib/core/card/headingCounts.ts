import { saysHeldAbroad, saysMeantAbroad } from "./headingsAbroad.ts";

/** Headings over numbers: how many there are, and how many there should be, were, or are to come. */

const COUNT =
  "qty\\.?|quantity|no\\.?|nos\\.?|nr\\.?|number|count|total|amount|stock|units?|pcs|pieces";
const KEPT_IN =
  "kit|box|bag|tin|drum|van|vehicle|car|truck|boat|case|pouch|pack|sack|rucksack|cupboard|cabinet|drawer|locker|chest|store|barrel|crate|trunk|set";
/** Where kits are kept that a table counts side by side. */
const KEPT_AT =
  "ambulance|barn|base|bus|cab|cabin|camp|canteen|cellar|classroom|clubhouse|coach|cockpit|depot|field|galley|garage|gym|hall|hangar|home|house|hut|kitchen|lab|lodge|lorry|loft|minibus|office|reception|room|shed|shop|stable|station|studio|tent|tower|tractor|trailer|wagon|wheelhouse|workshop|yard";
/** "In hut", "at base", "in the van": a kit of its own beside others. */
const ONE_OF_KITS = new RegExp(`^(?:in|at|on)\\s+(?:the\\s+)?(?:${KEPT_IN}|${KEPT_AT})$`, "i");
export const saysOneOfKits = (heading: string): boolean => ONE_OF_KITS.test(heading.trim());
/** Said of what is there. */
const THERE = `(?:we\\s+)?have|held|got|actual|act\\.?|(?:as\\s+)?found|present|there|here|current|now|today|remaining|left|physical|(?:as\\s+)?counted|checked|real|seen|inside|existing|holding|available|aboard|on\\s*board|on\\s+(?:the\\s+)?(?:shelf|hand|site)|in\\s+(?:stock|hand|place|situ|(?:the\\s+|this\\s+)?(?:${KEPT_IN}|${KEPT_AT}))|at\\s+(?:the\\s+)?(?:${KEPT_AT})`;
const HELD = new RegExp(
  `^(?:(?:${COUNT})\\s+(?:of\\s+)?)?(?:${THERE})(?:\\s+(?:${COUNT}|level|now|today))?$|^(?:s\\.?o\\.?h|q\\.?o\\.?h)\\.?$|^(?:(?:closing|stock)\\s+)?(?:balance|bal\\.?)$|^(?:closing|stock\\s+level|how\\s+many)$`,
  "i",
);
export const saysHeld = (heading: string): boolean =>
  HELD.test(heading.trim()) || saysHeldAbroad(heading);

/** Said of what should be there. */
const SHOULD =
  "book|system|theoretical|computed|trigger|min(?:imum)?\\.?|max(?:imum)?\\.?|par|target|req(?:uired|'?d)?\\.?|should(?:\\s+(?:be|have))?|standard|std\\.?|auth(?:ori[sz]ed)?\\.?|scale|recommended|rec\\.?|need(?:ed)?|want|expected|establishment|(?:when\\s+)?full|norm|ideal|spec|supposed|list(?:ed)?|per\\s+(?:list|scale|standard)|entitle(?:d|ment)|allowed|allowance|quota|complement|nominal|(?:as\\s+)?packed|original(?:ly)?|desired|ought|plan(?:ned)?|set";
/** Said of what was there, went, or is to come. */
const THEN =
  "(?:to\\s+|re-?)?order(?:ed)?|short(?:age|fall)?|used|issued|initial(?:ly)?|start|opening|was|were|before|wanted|prev(?:ious)?\\.?|last(?:\\s+(?:time|check|count))?";
const said = (words: string) =>
  `^(?:(?:${COUNT})\\s+(?:as\\s+)?)?(?:${words})(?:\\s+(?:${COUNT}|level|kit))?$`;
const IS_SHOULD = new RegExp(
  `${said(SHOULD)}|^(?:level|\\p{L}{2,4}\\s+(?:list|scale|standard))$`,
  "iu",
);
const IS_THEN = new RegExp(said(THEN), "i");
export const saysShould = (heading: string): boolean =>
  IS_SHOULD.test(heading.trim()) || saysMeantAbroad(heading);
/** How many there should be, or were, or are to come: not how many there are. */
export const saysMeant = (heading: string): boolean =>
  saysShould(heading) || IS_THEN.test(heading.trim());

/** What was not checked may be there. */
const NOT_WHETHER = /checked|counted|seen/i;
/** "In drum?", "Present (Y/N)", "Y/N", "✓": whether it is there. */
export const saysWhether = (heading: string): boolean => {
  const name = heading.replace(/\(?\s*(?:y(?:es)?\s*\/\s*no?)\s*\)?\s*\??\s*$|\?\s*$/i, "").trim();
  return name === ""
    ? heading.trim() !== ""
    : /^[✓✔☑]$/.test(name) || (saysHeld(name) && !NOT_WHETHER.test(name));
};
const YES = /^(?:y|yes|yep|ja|oui|s[iíì]|[x✓✔☑]|ok|true)$/i;
const NO = /^(?:n|no|nope|nein|non|nee|nej|[✗✘❌]|false|missing|absent|none|nil)$/i;
/** Whether a cell says that a thing is not there. */
export const saysNo = (cell: string): boolean => NO.test(cell.trim());
/** Whether cells answer yes or no, two of them at least. */
export const areAnswers = (cells: readonly string[]): boolean => {
  const said = cells.map((c) => c.trim()).filter((c) => c !== "");
  return said.length >= 2 && said.every((c) => YES.test(c) || NO.test(c));
};
