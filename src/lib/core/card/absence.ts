import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { quick } from "./quick.ts";

/** What a card says of things that are not there, somewhere else, or somebody else's. */

/** Not in the kit. */
export const ABSENT = quick(
  /\b(?:not\s+(?:supplied|included|provided|in\s+(?:it\b|(?:the\s+|this\s+)?(?:kit|box|bag|pack|sack|pouch|tin|case|drum|drawer|locker|cupboard|rucksack|set))|present|there|found|here|part|carried|taken|held|stocked|issued)|sold\s+separately|available\s+separately|still\s+to\s+(?:get|buy|come|order|arrive)|on\s+the\s+(?:shopping\s+)?list|lent\s+(?:to|out)|on\s+loan(?!\s+from)|not\s+(?:yet\s+)?(?:arrived|delivered|come|received)|(?:on\s+)?back[\s-]?order(?:ed)?|used\s+(?:the\s+last|all)|(?:don|doesn|didn)['’]?t\s+(?:carry|stock|keep)|took\s+(?:it|them|those)\s+out|stolen|lost(?!\s+(?:its|the|their|a|one|filling|tooth|crown)\b)|(?:is|are|was|were|now|gone)?\s*(?=missing)(?<!\b(?:valve|lid|cap|strap|handle|cover|seal|label|clip|leaflet|zip|tab|corner|tip|instruction|date|expiry|name|wrapper|sticker|packaging)s?\s+(?:is\s+|are\s+)?)missing(?!\s+(?:its|their|the|a)\b)|exclud(?:ed|ing|es)|(?=without)(?<!\d[^,;]*)without(?!\s+(?:(?:its?|the|an?|any)\s+)?(?:alcohol|latex|powder|pre|batter|lid|case|box|cover|instruction|needle|valve|wrapper|label|date))|doesn'?t\s+(?:include|have|contain)|does\s+not\s+(?:include|have|contain)|no\s+longer|isn'?t|aren'?t|hasn'?t|haven'?t|couldn'?t\s+find|could\s+not\s+find|can'?t\s+(?:find|see)|cannot\s+find|none\s+(?:left|here|found|at all)|out\s+of\s+stock|discontinued|removed|used\s+up|all\s+gone|gone\s+(?:walkabout|astray)|to\s+be\s+(?:added|bought|ordered)|not\s+any|not\s+counted|no\s+contar|we(?:'re|\s+are)\s+(?:all\s+)?out\b|ran\s+out|run\s+out|(?<=^\W*)out\s+of\s+(?!(?:date|reach|the|sight|order|use|hours|box|pocket)\b)|optional\s+extra|(?:add|buy|order)\s+(?:separately|your\s+own)|left\s+(?:out|(?:it\s+|them\s+)?(?:at\s+home|behind))|empty\s+slot|wanting|not\s+enclosed|not\s+taking|to\s+order|on\s+order|(?:not|never)\s+(?:been\s+)?(?:replaced|put\s+back|restocked))\b|,\s*gone\s*\.?\s*$|:\s*none\b|:\s*no\s*[.!]?\s*$|[-–:,(]\s*finished\s*\)?\s*$|\bn\/a\s*\)?\s*$|\s(?:--|[-–—:])\s*no\s*(?:[,;!]|[.]?\s*$|just\s)|[-–,]\s*none\b(?!\s+(?:opened|used|expired|missing|torn|damaged|broken|out|past|of)\b)|[-–(]\s*to\s+(?:buy|get|order|fetch)\b|\b(?:none|nil)\s*$|[-–(,:]\s*(?:all\s+used(?:\s+up)?|gone)\s*\)?\s*\.?\s*$|^\W*\p{L}{3,}(?:\s\p{L}{3,})?\sno(?:\s+(?:lol|sorry|yet|idea))?\s*[.!]?\s*$|^\W*\p{L}{3,}(?:\s\p{L}{3,})?,\s+(?:no|none|nope)\s*[.!]?\s*$|\b(?:went|thrown|put|is|are)\s+(?:straight\s+)?in(?:to)?\s+the\s+(?:bin|rubbish|trash)\b|\b(?:have|has)\s+(?:all\s+)?gone\b(?=\s*(?:$|[.,;!]))|^\s*none\b|\?\s*(?:no|nope|nothing)\b|\bbut\s+(?:we|i|they|it)\s+(?:do|does|have|has|did)(?:n'?t|\s+not)\b|\b(?:we|i|they)\s+(?:do\s+not|don['’]?t)\s+(?:have|carry)\b|\b(?:not\s+(?:needed|wanted)|don'?t\s+(?:need|want))\b|\bleave\b.*\b(?:at\s+home|behind)\b|\b(?:fehlt|fehlen|manque(?:nt)?|faltan?|mancan?o?|ontbre(?:ekt|ken)|a\s+(?:racheter|acheter|remplacer)|nach(?:zu)?kaufen|nachbestellen|por\s+comprar|reponer|da\s+comprare|te\s+kopen|bij\s?kopen|saknas|mangler|puuttuu|brak|chyb[ií]|falta)\b(?<=\p{L}{3}\P{L}.*)/iu,
);
/** What else says so of a thing, behind its name. */
export const ABSENT_BEHIND: readonly {
  readonly name: string;
  readonly example: string;
  readonly pattern: RegExp;
}[] = [
  {
    name: "that it is not in here",
    example: "scissors: not in here",
    pattern: /\bnot\s+in\s+(?:here|there|(?:that|our|my|any)\s+\w+)\b/i,
  },
  {
    name: "that it is not there yet",
    example: "scissors, not yet",
    pattern: /(?:^|[^\w])not\s+yet\s*\)?\s*[.!]*$/i,
  },
  {
    name: "that one does not have it",
    example: "scissors don't have",
    pattern:
      /\b(?:don['’]?t|do\s+not)\s+have(?:\s+(?:any|one|it|them|those|these))?\s*\)?\s*[.!]*$/i,
  },
  {
    name: "that it should be there",
    example: "scissors - should be here",
    pattern:
      /\b(?:should|ought\s+to)\s+be\s+(?:here|there|in\s+(?:it|here|there))\s*\)?\s*[.!?]*$/i,
  },
  {
    name: "that nobody knows where it is",
    example: "scissors, nobody has seen them",
    pattern: /\b(?:nobody|no\s+one)\s+(?:has\s+seen|saw|knows|can\s+find|could\s+find)\b/i,
  },
  {
    name: "that somebody took it",
    example: "scissors, I took them home",
    pattern:
      /\b(?:i|we|he|she|they|some(?:body|one))(?:['’]ve|\s+have|\s+has)?\s+(?:took|taken|borrowed)\s+(?:it|them|those|that)\b/i,
  },
  {
    name: "that nothing is in its pack",
    example: "eye pads empty",
    // "near empty" is not.
    pattern:
      /^\D*\p{L}{3,}(?<!\b(?:near|nearly|almost|half|part|partly|but|quite|practically|virtually|close\s+to|not|never|third|quarter|quarters))\s+empty\s*[.!]*$/iu,
  },
  {
    name: "that there is none again",
    example: "that's it no scissors again",
    pattern:
      /\bno\s+\p{L}{3,}(?:\s+\p{L}{3,})?\s+(?:again|this\s+time|yet|sorry|unfortunately|sadly)\s*[.!]*$/iu,
  },
  {
    name: "that there are none, in brackets",
    example: "scissors (0).",
    pattern: /\(\s*0\s*\)\s*[.!]*$/,
  },
  {
    name: "a cross behind it",
    example: "scissors (✗)",
    pattern: /\p{L}\W*[✗✘❌]\s*\)?\s*$/u,
  },
  {
    name: "that it fell out, or was forgotten",
    example: "scissors - fell out",
    pattern:
      /[-–,:(.]\s*(?:(?:it|they)\s+)?(?:fell\s+out|forgotten|left\s+behind|gone\s+again|away(?:\s+for\s+\w+)?|being\s+(?:washed|repaired|cleaned|charged)|in\s+the\s+wash|nowhere|awaited)\s*\)?\s*[.!]*$/i,
  },
];

/** How the words begin of which one stands in all that `ABSENT` says, in small letters: most lines hold none. */
const MAY_SAY_ABSENT =
  /[✗✘❌]|\b(?:no|nil|n\/a|sold|available|still|missing|exclud|without|does|did|isn|aren|hasn|haven|couldn|could|can|out|discontinued|removed|used|all\s|gone|to\s|we|i\s|they|ran|run|optional|add|buy|order|left|empty|wanting|finished|on\s|back|lent|lost|stolen|took|never|but|don|leave|fehl|manque|falta|manca|ontbre|a\s|nach|por\s|reponer|da\s|te\s|bij|saknas|mangler|puuttuu|brak|chyb|should|ought|he\s|she\s|some|fell|forgotten|away|being|in\s+the\s+wash|awaited)|\(\s*0\s*\)/;
/** Whether a text says that something is not in the kit; asked of each line again and again. */
const isAbsent = remembering(
  (text) =>
    MAY_SAY_ABSENT.test(text.toLowerCase()) &&
    (ABSENT.test(text) || ABSENT_BEHIND.some(({ pattern }) => pattern.test(text))),
  LINES_KEPT,
  LONGEST_KEPT,
);
/** It is somewhere else, or gone. */
const ELSEWHERE = quick(
  /\b(?:lives?\s+(?:on|in|at)\s+the|(?:moved|gone|went|goes)\s+to\s+the|(?:is|are|s|kept|stowed)\s+in\s+the\s+(?:vaccine\s+|staff\s+|glove\s+)?(?:hut|van|car|office|folder|fridge|freezer|drawer|vehicle|ute|truck|house|shed|safe|locker|glove\s*box)|(?:^|[-–,(]\s*)in\s+(?:the\s+)?(?:staff\s+)?(?:fridge|freezer|cooler)|(?<=:\s)see\s+(?:the\s+)?(?:other\s+)?(?:locker|cupboard|cabinet|bag|kit|office|van|car|bridge|list)|(?<=:\s)(?:(?:on|at)\s+(?:the\s+)?)?(?:ground|first|second|third|top)\s+floor\b|(?<=:\s)behind\s+(?:the\s+)?(?:reception|bar|counter|desk)|(?<=[:,(–-]\s?)in\s+(?:the\s+)?(?:office|staff\s?room|van|car|house|safe)|in\s+the\s+(?:staff\s+)?(?:fridge|freezer|cooler)|(?=in\s)(?<=\p{L}{3}.*)in\s+(?:my|his|her|their|our|the\s+other)\s+(?:own\s+)?(?:car|bag|kit|box|van|house|boat|rucksack|office|locker)(?!\s*:)|(?=at\s)(?<=\p{L}{3}.*)at\s+home|with\s+(?:the\s+)?(?:other|second|another)\s+(?:team|crew|group|kit|bag|boat|car|leader|party)|not\s+(?:ours|mine|yours|first\s+aid|for\s+(?:us|this|people|humans?))|(?:is\s+not|isn'?t|that\s+is\s+not)\s+(?:ours|mine|first\s+aid)|(?:he|she|they)\s+(?:keeps?|has|have|carr(?:y|ies))\s+(?:it|them|that)|never\s+came|(?:kept\s+)?in\s+(?:his|her|their)\s+own\s+(?:bag|pouch|pocket|case|rucksack)|still\s+to\s+come|(?:every(?:one|body)|they\s+all|we\s+all)\s+(?:brings?|has|have|carr(?:y|ies))\s+(?:their|our|his|her)\s+own|carried\s+(?:by|in|on)\s+(?:the\s+)?(?:other|second|another|leader|guide)|(?:some\s?(?:body|one)|who\s?ever)(?:'?s|\s+has)\s+(?:had|got|taken|borrowed|nicked)\s+(?:it|them|those)|chucked|thrown\s+(?:out|away)|binned|(?:that'?s|belongs\s+to)\s+the\s+dog'?s?|need\s+to\s+(?:get|buy|order)|(?:oh\s+)?delete\s+that)\b/iu,
);
/** Cold packs of the kit lie in the freezer, or the fridge. */
const COLD_THERE =
  /\b(?:ice|cold|cool|gel)\s*(?:packs?|compress(?:es)?|bags?)\b.*\bin\s+(?:the\s+)?(?:freezer|fridge)\b|\bin\s+(?:the\s+)?(?:freezer|fridge)\b.*\b(?:ice|cold|cool|gel)\s*(?:packs?|compress(?:es)?|bags?)\b/i;
/** "tweezers are with Sam", "the pen is kept by Ann": somebody has them. */
const WITH_SOMEBODY = quick(/\b(?:is|are)\s+(?:kept\s+)?(?:with|by)\s+\p{Lu}\p{Ll}+/u);
const isElsewhere = (text: string): boolean =>
  (ELSEWHERE.test(text) && !COLD_THERE.test(text)) || WITH_SOMEBODY.test(text);
/** "gloves, cut-resistant (PPE, not first aid)" */
const NOT_MEDICAL = /\bnot\s+(?:medical|first\s+aid|for\s+first\s+aid)\b/i;
const ABSENT_NO = quick(
  /(?:^|\b(?:but|and|there'?s|there\s+is|there\s+are|has|have|(?=with)(?<!\d[^,;]*)with|found|i\s+(?:see|saw|got)|(?:was|were)|still)\s+|,\s*)no\s+(?!(?:wait|sorry|make|actually|more\s+than|fewer|less|\d)\b|\.)(?!(?:brand|maker|vent|valve|lid|label|date|name|mark(?:ing)?s?|instructions?|leaflet|clips?|rod|points?|teeth|grip|tips?|blades?|strap|handle|cover|lens(?:es)?|expiry|wrapp(?:er|ing)|pack(?:et|aging)|box|case|holes?|idea|latex|powder|doubt|batter(?:y|ies))\b)(?=\p{L})/iu,
);

/** "whistles gone", "Eye pads taken out", "sling: delete": all that stands behind a name, which is not counted. */
const GONE_BEHIND = quick(
  /^\D*?\p{L}{3,}(?:\s*[-–:,(]\s*|\s+)(?<!\b(?:\p{L}+\s+of\s+\p{L}+(?:\s+(?:are|is|were))?|half|nearly|almost|mostly|partly|part|some|most|bit|them|these|those|one|two|three|four|five|six)\s)(?:(?:all\s+)?(?:gone|used|finished|out)(?:,\s*(?:need|get|order|buy|replace)\b[^\d]*)?|nothing(?:\s+(?:there|left))?|taken\s+out|thrown\s+(?:out|away)|(?:(?:borrowed\s+from\s+[^,]*,\s*)?(?:put|gone|went|given|sent)\s+back|returned)(?:\s+(?:to|in)\s+(?:the\s+)?\p{L}+)?|deleted?|not\s+applicable|n\.?\s?a\.?|no|(?:borrowed|taken|lent)\s+(?:by|to)\s+\p{L}+|see\s+(?:the\s+)?(?:\p{L}+\s+)?(?:office|van|car|locker|cupboard|cabinet|store|room|shelf))\s*\)?\s*[.!]?$/iu,
);
/** "Sam has the eye pads", "threw out whistles", "kein Pflaster": before a name, which is not counted. */
const GONE_BEFORE = quick(
  /^\W*(?:(?:(?:i(?:['’]m)?|we(?:['’]re)?)\s+)?(?:not|can['’]?t|don['’]?t)\s+(?:see(?:ing)?|find(?:ing)?)\s+any|(?:\p{L}+\s+)?(?:has|took|borrowed|lost|has\s+(?:got|borrowed|taken|lost))\s+the|(?:(?:i|we)\s+)?(?:threw|chucked|binned|took)\s+(?:out|away)?\s*(?:the)?|keine?n?|pas\s+de|sin|geen|ingen|inget)\s+(?!\d)\p{L}[^\d]*$/iu,
);
const isGone = (text: string): boolean => GONE_BEHIND.test(text) || GONE_BEFORE.test(text);

/** "2 (the blue ones, no horse's)": says which of them are there. */
const BEHIND_COUNT =
  /(?=\()(?<=\d\s?|^\W*\d{1,3}\s[^()]*)\((?![^()]*\b(?:left|gone|missing|used|there|here|found|of\s+them)\b)[^()]*,[^()]*\)/g;

/** Words in which a stretch may speak of absence. */
export const ABSENT_WORDS =
  /\b(?:no|not|none|missing|without|separately|isn't|aren't|excluding)\b/i;

/** "5; sixth missing", "3, missing 1": of several one is wanting; the others are there, and the count is asked about. */
const SOME_MISSING = quick(
  new RegExp(
    `^\\D*\\d.*(?:\\b(?:second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|last)\\s+(?:one\\s+)?(?:is\\s+)?missing|[,;(]\\s*(?:${NUMBER_SAID}|\\d{1,3})\\s+missing|missing\\s+(?:${NUMBER_SAID}|\\d{1,3})\\b|(?:faltan?|fehl(?:t|en)|manca(?:no)?|manque(?:nt)?|ontbre(?:ekt|ken)|saknas|mangler)\\s+\\d|missing\\s*:?\\s*only\\s+(?:${NUMBER_SAID}|\\d{1,3}))`,
    "iu",
  ),
);
/**
 * Whether a stretch says that its thing is not there.
 * @param own as it stands on the card
 * @param said the same without brackets that speak of another thing
 */
export function isSaidAbsent(own: string, said: string): boolean {
  const ofAll = said.replace(BEHIND_COUNT, " ");
  const saysSo =
    NOT_MEDICAL.test(own) ||
    isGone(own) ||
    isAbsent(ofAll) ||
    ABSENT_NO.test(ofAll) ||
    isElsewhere(own.replace(/\([^)]{0,200}\)?/g, " "));
  return saysSo && !SOME_MISSING.test(said);
}

/** Whether a remark says that a thing is not there, or is somebody else's. */
export const saysGone = (text: string): boolean =>
  isAbsent(text) || ABSENT_NO.test(text) || isElsewhere(text);

/** How a line begins that says what somebody is to get, and lists nothing that is there. */
const WANTED: readonly RegExp[] = [
  // "need to buy shears", "we still need wipes"
  /^\W*(?:(?:i|we)\s+)?(?:need|have|must|remember)\s+to\s+(?:get|buy|order|replace|restock)\b/i,
  /(?:^\W*|^\W*(?:thx|thanks|ta|cheers|great|ok(?:ay)?)[.!,]*\s+)(?:i\s+|we\s+)?(?:still\s+)?needs?\s+(?=[^\d]*\bthen\W*$)/i,
  /^\W*(?:i|we)(?:['’]d|\s+would)?\s+(?:still\s+|also\s+)?(?:need|want|lack|would\s+like|should\s+(?:get|buy|add|order))\b/i,
  // "need eye pads", "would like: wipes", "add a whistle", "short of plasters"
  quick(
    /^\W*(?:we\s+|i\s+)?(?:needs?|wanted|would\s+like|should\s+(?:add|get|have)|add|consider(?:\s+adding)?|(?:you\s+)?(?:may|might)\s+want(?:\s+to\s+add)?|could\s+do\s+with|short\s+of|optional)\b(?:\s*:)?\s+(?=\p{L}|\d)(?!be\b|to\s+be\b)/iu,
  ),
  // "To replace: wipes, tweezers"
  /^\W*to\s+(?:replace|restock|reorder|top\s+up)\s*:/i,
  // "ask Jo for the key"
  quick(/^\W*ask\s+\p{L}+\s+for\b/iu),
  // "Have asked Jo for gloves"
  /^\W*(?:(?:i|we)(?:['’]ve)?\s+)?(?:have\s+|already\s+)*(?:asked|emailed|messaged|told)\s+(?:\p{L}+\s+){0,3}(?:for|to\s+(?:get|buy|order|bring|send))\b/iu,
  // "a second whistle would be good"
  /\b(?:would\s+be\s+(?:good|nice|useful|handy|great)|recommended|desirable|advisable)\s*[.!]?\s*$/i,
  // "I have ordered a tick tool"
  /^\W*(?:i|we)(?:['’]ve|\s+have)?\s+(?:also\s+|already\s+)?ordered\b/i,
  // "what I'd add is a second tourniquet"
  /^\W*(?:and\s+)?what\s+(?:i|we)(?:['’]d|\s+would)\s+(?:add|want|like)\b/i,
  // "Thinking of adding a second tourniquet"
  /^\W*(?:(?:i['’]?m|we['’]?re|am|are)\s+)?(?:thinking\s+(?:of|about)|planning\s+to|hop(?:e|ing)\s+to|going\s+to)\s+(?:add|get|buy|order)/i,
  // "AGREED: Ken to buy tweezers"
  quick(
    /^\W*(?:(?:[Aa]greed|AGREED|[Aa]ctions?|ACTIONS?|TODO)\s*:\s*)?\p{Lu}\p{Ll}+\s+to\s+(?:get|buy|order|replace|restock|bring)\b/u,
  ),
  // "Might we buy a cold pack?"
  /^\W*(?:might|could|can|shall|may|would)\s+(?:we|i|you|someone|somebody)\s+(?:\w+\s+){0,2}(?:buy|get|order|replace|add|bring|top\s+up|send|have)\b/i,
  // "ok get eyewash on the way back"
  /^\W*(?:[a-z]{2,12}:\s+)?(?:(?:ok(?:ay)?|grand|great|right|cool|fine|thanks|cheers|perfect|yes|no\s+worries|will\s+do)[,\s]+)?(?:please\s+)?(?:(?:i|we)(?:['’]?ll|\s+will)?\s+|(?:can|could)\s+(?:you|we|someone)\s+|let\s+me\s+)?(?:get|buy|order|fetch|bring|pick\s+up)\b(?!\s+(?:no|code|number|ref))/i,
];
export const speaksOfWant = (text: string): boolean => WANTED.some((says) => says.test(text));

/** "Kept separately, locked: pens": what stands behind the colon is not in the kit. */
const LISTS_ELSEWHERE =
  /^\W*(?:kept|stored|held|carried|stowed)\s+(?:separately|elsewhere|apart)\b[^:]{0,30}:\s*\S/i;
export const listsElsewhere = (text: string): boolean => LISTS_ELSEWHERE.test(text);

/** "used today: 6 plasters": what stands behind the colon is not there any more. */
const LISTS_USED =
  /^\W*(?:(?:used|spent|consumed|handed\s+out|given\s+out|taken\s+out)\b(?!\s*:?\s*\d+\s*$)[^:,\d]{0,20}(?::|\s[-–—])\s*\S|(?:given|transferred|moved|sent|lent|passed(?:\s+on)?|issued)\s+to\b[^:]{0,24}:\s*\S)/i;
/** "Nothing left: sunscreen", "Gone after last week: freeze spray", "Fehlt noch: Brandgel". */
const LISTS_GONE =
  /^\W*(?:(?:nothing|none)\s+left|gone|returned|sent\s+back|short(?!-)|not(?:\s+(?:here|there|yet|yet\s+here|in\s+(?:here|there|it|(?:the|this)\s+\p{L}+)))?|(?:still\s+)?(?:coming|ordered|on\s+order|required|recommended|needed)(?:\s+(?:and|but)\s+not\s+(?:yet\s+)?(?:here|there|arrived|in))?|[àa]\s+(?:racheter|acheter|remplacer|commander)|to\s+(?:bin|throw(?:\s+(?:away|out))?)|binned|thrown\s+(?:away|out)|run\s+out|used\s+up|finished|(?:es\s+)?fehl(?:t|en)(?:\s+noch)?|il\s+manque(?:\s+encore)?|manquent?(?:\s+encore)?|faltan?(?:\s+todav[ií]a)?|mancano?(?:\s+ancora)?|ontbre(?:ekt|ken)(?:\s+nog)?)(?![\p{L}])[^:,\d]{0,24}:\s*\S/iu;
/** "used two slings on Kev's knee": says what went, and when, where or on whom. */
const USED_THEN = quick(
  new RegExp(
    `^\\W*(?:(?:i|we)(?:['’]ve|\\s+have)?\\s+)?(?:used|ate|drank|lost|binned|sold|(?:gave|threw|chucked|handed)\\s+(?:away|out))\\s+(?:${NUMBER_SAID}|\\d{1,3})\\s+\\p{L}(?!.*\\b(?:left|remain))[^:;]*\\s(?:on|for|at|in|by|during|when|after|to|last|this)\\s+\\S`,
    "iu",
  ),
);
export const listsUsed = (text: string): boolean =>
  LISTS_USED.test(text) || LISTS_GONE.test(text) || USED_THEN.test(text);

/** "FALTA", "Fehlt": it heads what is missing. */
const ABSENT_ABROAD =
  /^\W*(?:faltan?|fehl(?:t|en)|manque(?:nt)?|manca(?:no)?|ontbre(?:ekt|ken)|saknas|mangler|puuttuu|brak|chyb[ií])\W*$/i;
/** "Current contents for your records:", "What is left in it:": heads what is there. */
const HEADS_PRESENT =
  /^\W*(?:(?:the\s+)?(?:current|present|remaining|actual)\s+(?:contents?|stock|items)\b|(?:current|still|now)\s+(?:in|there|held)\b|in\s+stock\b|what(?:['’]s|\s+is)\s+(?:left|in\s+it|there)\b|(?:we|i)\s+(?:still\s+)?have\b|contents?\b)[^:\d]{0,40}:\s*$/i;
export const headsPresent = (text: string): boolean => HEADS_PRESENT.test(text);

/** Whether a whole line speaks of what is not there. */
export const speaksOfAbsence = (text: string): boolean =>
  isAbsent(text) ||
  ABSENT_ABROAD.test(text) ||
  /\b(?:you\s+may\s+also\s+like|also\s+available|optional\s+extras?|recommended\s+(?:additions?|extras?)|customers\s+also|not\s+included|frequently\s+bought|consider\s+adding|suggested\s+(?:additions?|extras?)|add\s+your\s+own|wish\s?list|people\s+also\s+buy|sold\s+separately|refills?\s+available|shopping|to\s+(?:buy|get|order|come)|indented\s+for|on\s+indent|requisitioned|not\s+in\s+there|absent)\b/i.test(
    text,
  );
