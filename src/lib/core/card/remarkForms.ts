import { NUMBER_WORDS } from "./numberWords.ts";
import { COLOUR, PACKS } from "./phrase.ts";
import { PLACE_WORDS } from "./placeWords.ts";
import { quick } from "./quick.ts";
import { WENT_WORDS } from "./wentWords.ts";

/** Remarks behind a name and its count, each as a form that the whole of it has. */

/** What a remark says of a thing: it is there as counted, some of it is not as it should be, or all of it is gone. */
export type Told = "there" | "some" | "gone";
interface RemarkForm {
  readonly name: string;
  readonly example: string;
  readonly says: Told;
  /** It says so only of what has its count before it: "order more" alone wants the thing itself. */
  readonly ofCounted?: true;
  /** It speaks of some, and there are no more of them than there are: "one box, 30 on the lid" is no remark. */
  readonly ofNoMore?: true;
  readonly pattern: RegExp;
}

const N = `(?:${NUMBER_WORDS})`;
/** Parts of a thing, and what it comes in. */
const ITS_PART =
  "(?:lids?|caps?|covers?|handles?|labels?|box(?:es)?|case|wrapp(?:er|ing)s?|packets?|packaging|seals?|instructions?|leaflets?|applicators?|clips?|straps?|valves?|batt(?:er(?:y|ie))?s?|bulb|string|blade|tip|tag|zip|expiry|date|name|adapt[oe]r|charger|bracket|hook|nozzle|pump|dropper|spoon|cup|needle|pins?|lanyard|pouch|holster|sheath|cord)";
/** "near empty", "all but done". */
const NEARLY =
  "(?:near(?:ly)?|almost|all\\s+but|not\\s+quite|practically|virtually|close\\s+to|more\\s+or\\s+less|part(?:ly)?|hardly|barely|scarcely)[\\s-]+(?:done|finished|empty|used(?:\\s+up)?|gone|out|through|full|dry|over|touched|opened|started)";
const STATE = `(?:${NEARLY}|new|old(?:\\s+stock)?|good|fine|ok(?:ay)?|alright|full|sealed|unopened|open|loose|wet|damp|dry|dried\\s+(?:out|up)|dirty|grubby|dusty|clean|rusty|bent|(?:torn|split|frayed|worn|dented|creased)\\s+(?:at|on|along)\\s+(?:an?|one|the)\\s+(?:corner|edge|side|end|seam|tip)|torn|split|burst|punctured|leaking|leaky|cracked|chipped|scratched|squashed|crushed|squeezed\\s+(?:flat|out)|scraped\\s+out|blunt|stained|soggy|sticky|mouldy|yellow(?:ed|ing)?|perished|brittle|melted|frozen|flat|tatty|grotty|scruffy|washed|ironed|stretched|shredded|started|begun|opened|charged|serviced|gone\\s+(?:hard|soft|off|sticky|brittle|yellow|stiff|dry|flat)|faded|creased|crumpled|dented|damaged|broken|worn|stiff|usable|tested|work(?:s|ing)?|checked|counted(?:\\s+(?:twice|again))?|complete|intact|in\\s+date|(?:out\\s+of\\s+date|expired)(?:\\s+(?:in\\s+)?20\\d\\d)?|past\\s+(?:its\\s+|their\\s+)?date|low|running\\s+low|half[- ](?:full|used|empty)|unused|untouched|(?:two|three|mixed|various|different|several|all)\\s+sizes|donated|a\\s+gift|personal|mine|ours)`;
const HOW =
  "(?:(?:all|still|just|only|a\\s+(?:bit|little)|slightly|quite|very|rather|nearly|almost|now|but|and|also|mostly|looks?|is|are|was|were|they\\s+are|they're|it's|has\\s+been|have\\s+been)\\s+)*";
const MONTH =
  "(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)(?:[a-z]*\\.?)(?:\\s+'?(?:\\d{4}|\\d{2}))?";
const DAY = "(?:on\\s+)?(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?s?";
const DATE = `(?:(?:\\d{1,2}[./-]){0,2}(?:20)?\\d\\d|20\\d\\d-\\d\\d(?:-\\d\\d)?|(?:\\d{1,2}(?:st|nd|rd|th)?\\s+)?${MONTH}|${DAY}|soon|(?:last|next|this)\\s+\\p{L}+|today|yesterday|(?:in\\s+)?(?:the\\s+)?(?:spring|summer|autumn|fall|winter))`;
const PLACE =
  "(?:in|on|by|at|under|behind|beside|near|inside|next\\s+to)\\s+(?:the|its|their|an?)\\s+(?:\\p{L}+\\s+){0,2}\\p{L}+";
/** Said in figures it is counted, in words it may be. */
const SOME = `(?:(?:about|only|maybe)\\s+)?(?:${N}|some|a\\s+few|most|half|both|all|the\\s+others?|the\\s+rest|the\\s+other\\s+${N})(?:\\s+of\\s+(?:them|these|those|which))?`;
const DIRECTIVE = "(?:replace|renew|restock|reorder|re-order|top\\s+up|check|refill)";
const PERSON =
  "(?:\\p{Lu}\\p{L}+|the\\s+(?:coach|leader|nurse|captain|trainer|driver|medic|guide|cook|chef|boss|skipper|teacher|physio|caretaker|manager|cubs|scouts|juniors|club|team))";

const form = (
  name: string,
  example: string,
  says: Told,
  pattern: string,
  more: Pick<RemarkForm, "ofCounted" | "ofNoMore"> & { readonly flags?: string } = {},
): RemarkForm => ({
  ...{ name, example, says },
  ...(more.ofCounted ? { ofCounted: true } : {}),
  ...(more.ofNoMore ? { ofNoMore: true } : {}),
  pattern: quick(new RegExp(`^(?:${pattern})\\s*[.!]*$`, more.flags ?? "iu")),
});
const COUNTED = { ofCounted: true } as const;
const SOME_COUNTED = { ofCounted: true, ofNoMore: true } as const;

/** An ordered table: the first that matches the whole of a remark tells. */
export const REMARK_FORMS: readonly RemarkForm[] = [
  form("a mark", "**", "there", "[*†‡?!\\s]+|\\(!\\)"),
  form(
    "some of them are not as they should be",
    "1 expired",
    "some",
    `${SOME}\\s+(?:already\\s+)?${HOW}(?:${STATE}|borrowed(?:\\s+and\\s+returned)?|to\\s+(?:${DIRECTIVE}|bin)|missing\\s+(?:its|their|the|a)\\s+${ITS_PART}|for\\s+(?:\\p{L}+\\s+)?\\p{L}+|${ITS_PART}\\s+(?:torn|missing|gone|lost|broken|faded|unreadable))`,
    SOME_COUNTED,
  ),
  form(
    "what some of them are for",
    "for training: 2 of these",
    "some",
    `for\\s+[^:\\d]+:\\s*${N}\\s+of\\s+(?:them|these|those)`,
    COUNTED,
  ),
  form(
    "what one of them is like",
    "one fairly narrow",
    "some",
    `(?:one|two|the\\s+others?)\\s+(?:is\\s+|are\\s+)?(?:fairly|quite|rather|very|a\\s+bit|slightly|pretty|really)\\s+\\p{L}+(?:\\s+\\p{L}+)?`,
    COUNTED,
  ),
  form(
    "what colour some of them are",
    "one pink",
    "some",
    `${SOME}\\s+(?:is\\s+|are\\s+|in\\s+)?${COLOUR}(?:\\s+ones?)?`,
    SOME_COUNTED,
  ),
  form(
    "how much of it is left",
    "about a quarter left",
    "there",
    "(?:(?:about|around|roughly|only|just|maybe|still|now|barely|with)\\s+)*(?:(?:(?:an?|one|the)\\s+)?(?:last\\s+)?(?:third|quarter|half|bit|little|dribble|drops?|dregs|scraps?|smear|squeeze|inch|lot|few(?:\\s+(?:drops|bits|scraps))?)|two\\s+thirds|three\\s+quarters)(?:\\s+of\\s+(?:it|them))?\\s+(?:left|full|remaining|to\\s+go|there)|(?:the\\s+)?(?:dregs|last\\s+(?:bit|drops?|few))",
  ),
  form(
    "anything that is told of so many of them",
    "two of them with the short date",
    "some",
    `(?!.*\\b(?:so|say|call|makes?|leaves|left|${WENT_WORDS.DONE})\\b)${N}\\s+of\\s+(?:them|these|those|which)\\s+[^\\d,;]{3,40}`,
    SOME_COUNTED,
  ),
  form(
    "where some of them are",
    "1 in the lid",
    "some",
    `${SOME}\\s+(?:${PLACE}|(?:in|on|at|under|behind|inside)\\s+(?:\\p{L}+\\s+)?(?:lids?|trays?|drawers?|shelf|cupboard|cabinet|cars?|vans?|trucks?|boats?|bus|office|store(?:room)?|kitchen|shed|garage|workshop|hall|bags?|box(?:es)?|kits?|pouch(?:es)?|pockets?|case|bin|fridge|freezer|locker|reserve|stock|use))`,
    SOME_COUNTED,
  ),
  form(
    "how many are wanted, or to come",
    "2 more needed",
    "some",
    `(?:${N}\\s+)?(?:more\\s+)?(?:short|too\\s+few|wanted|needed|required|on\\s+order|ordered|to\\s+(?:buy|order|come)|coming)|more\\s+(?:on\\s+order|ordered|coming|to\\s+come)`,
    COUNTED,
  ),
  form(
    "how many there should be",
    "should be more",
    "some",
    `(?:(?:there\\s+)?should\\s+be|supposed\\s+to\\s+be|min(?:imum)?\\.?|max(?:imum)?\\.?|needs?|we\\s+need|wants?|reorder(?:\\s+at)?|order|buy|get|target|par|ideally|aim\\s+for|short\\s+(?:by|of)|top\\s+up(?:\\s+to)?)\\s*:?\\s*(?:at\\s+least\\s+)?(?:${N})?\\s*(?:(?:some\\s+)?more|another|soon|again|next\\s+time)?`,
    COUNTED,
  ),
  form(
    "how it is",
    "old but fine",
    "there",
    `${HOW}${STATE}(?:\\s*(?:,|and|but)?\\s*${HOW}${STATE}){0,2}`,
  ),
  form(
    "when it was bought or seen, and when it runs out",
    "exp. 03/28",
    "there",
    `(?:exp(?:ir(?:y|es?|ing|ed))?\\.?|made|sell[\\s-]by|use\\s+by|use\\s+before|best\\s+before|bbe?|until|till|valid(?:\\s+until)?|good\\s+(?:to|until|till)|dated?|bought|purchased|opened|since|renewed|checked|tested|packed|replaced?|next\\s+check)\\s*:?\\s*(?:by\\s+|in\\s+|(?:the\\s+)?end\\s+(?:of\\s+)?)*${DATE}|20[2-4]\\d`,
  ),
  form(
    "what to do with it",
    "replace soon",
    "there",
    `${DIRECTIVE}(?:\\s+(?:in\\s+)?${DATE})?|(?:to\\s+|for\\s+the\\s+)?bin(?:\\s+(?:it|them|these))?`,
  ),
  form(
    "without what it comes in, or a part of it",
    "no box",
    "there",
    `(?:no|with(?:out)?|w\\/|plus|incl(?:\\.|uding|uded|udes)?)\\s*(?:(?:an?|the|its|their)\\s+)?(?:\\p{L}+\\s+)?${ITS_PART}|${ITS_PART}\\s+(?:is\\s+|are\\s+)?(?:missing|gone|lost|torn|damaged|broken|intact|open|faded|worn(?:\\s+off)?|cracked|frayed|unreadable|new|flat|dead|ok|empty|separate|apart|fitted|attached|included|inside)(?:\\s+on\\s+(?:one|two|some|both|all)(?:\\s+of\\s+them)?)?(?<!(?:box|case|packet|packaging)(?:es|s)?\\s+(?:is\\s+|are\\s+)?empty)`,
  ),
  form(
    "what it lies in",
    "in a zip bag",
    "there",
    "in\\s+an?\\s+(?:\\p{L}+[\\s-]){0,2}(?:bag|box|tin|pouch|case|tub|jar|wallet|sleeve|packet|envelope|bundle|drawer)",
    COUNTED,
  ),
  form(
    "what it needs",
    "needs a new label",
    "there",
    "needs\\s+(?:an?\\s+)?(?:new\\s+)?\\p{L}+(?:\\s\\p{L}+)?|(?:low|flat|new|fresh|dead)\\s+batter(?:y|ies)|batter(?:y|ies)\\s+(?:good|fine|low|charged)",
    COUNTED,
  ),
  form(
    "that the count is right, and with whom it is shared",
    "qty ok",
    "there",
    "(?:quantity|qty|number|count)\\s+(?:is\\s+)?(?:ok|right|correct|checked)|(?:shared|kept\\s+together)\\s+with\\s+[^\\d,;]{2,25}\\d?|not\\s+for\\s+(?:training|practice|sale)",
    COUNTED,
  ),
  form(
    "what the next of them would be",
    "the sixth is missing",
    "some",
    "(?:the\\s+)?(?:second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|last)\\s+(?:one\\s+)?(?:is\\s+|was\\s+|has\\s+)?(?:missing|gone|lost|used|binned|borrowed|torn|opened|broken)",
    COUNTED,
  ),
  form("what is asked of others", "n/a", "there", "n\\/a\\.?|not\\s+applicable", COUNTED),
  form(
    "what it has lost but is there",
    "no longer sterile",
    "there",
    `missing\\s+(?:its|their|the|an?)\\s+\\p{L}+(?:\\s\\p{L}+)?|no\\s+longer\\s+(?:sterile|sticky|sealed|usable|new|white|in\\s+date)|no\\s+more\\s+(?:needed|wanted|required)|not\\s+(?:counted|checked|tested|weighed)(?:\\s*,?\\s*(?:about|guess(?:ed)?|roughly|estimate[d]?|yet))?`,
    COUNTED,
  ),
  form(
    "what its label says, and where",
    "label in Polish",
    "there",
    `(?:${ITS_PART})\\s+(?:in|on|from|by)\\s+(?:\\p{L}+\\s*){1,3}|no\\s+(?:\\p{L}+\\s+){1,2}(?:needed|required)`,
    COUNTED,
  ),
  form(
    "how each is wrapped",
    "individually wrapped",
    "there",
    "(?:(?:all|each|both)\\s+)?(?:individually|separately|singly)\\s+(?:wrapped|packed|sealed|packaged)|(?:all|each|both)\\s+(?:single[\\s-]use|sterile|wrapped)",
    COUNTED,
  ),
  form(
    "that a list asks for it",
    "recommended",
    "there",
    "(?:strongly\\s+)?recommended|mandatory|compulsory|(?:as\\s+)?required|optional|nice\\s+to\\s+have|just\\s+in\\s+case|(?:as\\s+)?per\\s+(?:the\\s+)?(?:list|standard|plan|law|regulations?|rules?|protocol|assessment)",
    COUNTED,
  ),
  form(
    "who may use it, and how often",
    "trained staff only",
    "there",
    "(?:(?:for\\s+)?(?:use\\s+)?by\\s+)?(?:\\p{L}+\\s+){1,3}only(?<!(?:box|case|packet|wrapper|label|lid|pouch)\\s+only)|not\\s+for\\s+(?:(?:children|kids|ages?|anyone|those)\\s+)?(?:under|over|below)\\b.{1,14}",
    COUNTED,
  ),
  form(
    "what to do with it first",
    "check the seal",
    "there",
    "(?:check|mind|watch|test|read)\\s+(?:the|its|their|for)\\s+[^\\d]{3,30}|cut\\s+to\\s+(?:size|length)|(?:shake|wash|rinse|clean|charge|bin|dry|sterilise|disinfect)\\s+(?:well\\s+)?(?:before|after)\\s+(?:each\\s+)?use|handle\\s+with\\s+care|(?:tape|plaster|string|sticker|label)\\s+(?:over|around|on|across)\\s+(?:the|its|one|an?)\\s+(?:\\p{L}+\\s*){1,3}",
    COUNTED,
  ),
  form(
    "what one of them has, or is",
    "one has a tear in the wrapper",
    "some",
    "(?!.*\\b(?:say|so|call)\\b)(?:one|1)(?:['’]s|\\s+is|\\s+has(?:\\s+got)?)\\s+(?:an?\\s+(?:bit|little|tear|hole|crack|stain|dent|loose|bent|torn|broken|cracked|split|missing)|(?:bent|torn|broken|cracked|split|stained|rusty|rusted|frayed|faded|sticky|stuck|wet|damp|squashed|dusty|grubby|washed|been\\s+\\p{L}+))\\b[^\\d]{0,30}|(?:one|1)\\s+missing\\s+(?:its|the|an?)\\s+\\p{L}+",
    COUNTED,
  ),
  form(
    "some of them lack a part",
    "one without wrapper",
    "some",
    `${SOME}\\s+(?:with)?(?:out|no)\\s+(?:(?:an?|the|its|their)\\s+)?${ITS_PART}`,
    SOME_COUNTED,
  ),
  form(
    "a note to see",
    "see note 2",
    "there",
    "(?:see\\s+)?(?:lot|batch|ref|art(?:icle)?|item|serial|s\\/n|photo|picture|page|tag|fig(?:ure)?|shelf|bin)\\.?(?:\\s+no\\.?)?\\s*[:#]?\\s*[\\p{L}-]{0,4}\\d[\\w-]{0,9}(?:\\s+(?:on|of|in)\\s+the\\s+\\p{L}+)?|(?:see\\s+)?(?:foot)?note(?:\\s+\\d{1,2})?|see\\s+(?:below|above|overleaf|over|back|list|sheet)",
  ),
  form(
    "whether they are enough",
    "just enough",
    "there",
    "(?:just\\s+)?enough|plenty|(?:one|two|a\\s+few)\\s+(?:too\\s+many|over|spare)|too\\s+(?:many|few)|more\\s+than\\s+enough|not\\s+enough|(?:getting|a\\s+bit)\\s+low|nearly\\s+(?:out|gone|empty)|lots|loads",
  ),
  form(
    "for whom or what",
    "for practice",
    "there",
    "for\\s+(?:the\\s+|our\\s+)?(?:practice|training|demo(?:nstration)?s?|kids|children|adults|staff|visitors|guests|customers|trips?|outings?|emergenc(?:y|ies)|the\\s+\\p{L}+)(?:\\s+(?:too|only|use))?|(?:adults?|kids|children|staff)\\s+only|for\\s+(?:adults|children|kids|staff|grown-ups)\\s*,?\\s+not\\s+(?:for\\s+)?(?:adults|children|kids|babies|toddlers|staff)|used\\s+(?:for|in)\\s+(?:demos?|training|practice)|not\\s+for\\s+(?:children|kids|sale|eyes)|kids\\s+love\\s+(?:them|it|these)|(?:do\\s+not|don['’]t|never)\\s+(?:use|put|give|open|touch|wash|bend)\\b[^\\d]*|keep\\s+(?:dry|sealed|closed|clean|cool|flat|together|away)\\b[^\\d]*",
  ),
  form(
    "which of the sort",
    "the good ones",
    "there",
    "the\\s+(?:good|cheap|new|old|nice|better|expensive|usual|proper|decent)\\s+(?:ones?|kind|sort|type|stuff)",
  ),
  form(
    "where it came from",
    "from the old kit",
    "there",
    "(?:left(?:\\s+over)?\\s+)?from\\s+(?:the|our|my|last|this|an?)\\s+(?:\\p{L}+\\s+){0,2}\\p{L}+|left\\s?over",
  ),
  form(
    "in how many packs they lie",
    "in 2 boxes",
    "there",
    `in\\s+(?:${N}|several|a\\s+couple\\s+of)\\s+(?:${PACKS}|places)`,
    COUNTED,
  ),
  form(
    "that there are more",
    "more in the store",
    "there",
    `(?:more|spares?|extras?|refills?|(?:a\\s+)?(?:spare|second|another)\\s+(?:set|one|box|pack))\\s+${PLACE}`,
    COUNTED,
  ),
  form(
    "who gave it, or knows more",
    "ask Sam",
    "there",
    `(?:from|ask|see|thanks|thank\\s+you|bought\\s+by|donated\\s+by|given\\s+by)\\s+${PERSON}|${PERSON}['’]s(?:\\s+own)?|${PERSON}\\s+(?:bought|got|gave|found)\\s+(?:it|them|these|this|those)|${PERSON}\\s+has\\s+(?:more|spares?|others|another)`,
    { flags: "u" },
  ),
  form(
    "who has it",
    "Tom has them",
    "gone",
    `${PERSON}\\s+(?:has|have|had|took|takes|carries|carry|keeps?|borrowed|brings?|will\\s+bring)\\s+(?:(?:borrowed|taken|got|had)\\s+)?(?:it|them|this|these|those)|(?:at|with)\\s+${PERSON}(?:['’]s)?|borrowed(?:\\s+by\\s+${PERSON})?|(?:[Bb]orrowed|BORROWED)(?:\\s+(?:by|BY)\\s+\\p{L}+)?`,
    { flags: "u" },
  ),
  form(
    "that it is to be brought",
    "bring your own",
    "gone",
    "(?:(?:i|we|he|she|they)(?:['’]ll|\\s+will)\\s+|will\\s+|to\\s+)bring(?:\\s+(?:it|them|some|one|more))?|bring\\s+your\\s+own",
  ),
  form(
    "that it went",
    "taken out",
    "gone",
    "(?:(?:all|now|both|since|sadly|already|is|are|was|were|been|has|have)\\s+)*(?:gone|missing|lost|stolen|nicked|used\\s+up|(?:all|both)\\s+used(?:\\s+(?:on\\s+|in\\s+|last\\s+)?\\p{L}+){0,2}|binned|finished|deleted|withdrawn|discontinued|unavailable|temporarily\\s+out|removed|ordered|sold\\s+out|taken\\s+(?:out|away)|thrown\\s+(?:away|out)|chucked(?:\\s+(?:out|away))?|crossed\\s+out|none|nil)",
  ),
  form(
    "that it is in the bin, or to be got back",
    "in the bin",
    "gone",
    "(?:is|are|now|all|\\s)*in\\s+the\\s+bin|get\\s+(?:it|them)\\s+back",
  ),
  form(
    "that its pack is empty",
    "box empty",
    "gone",
    "(?:(?:the\\s+)?(?:box|packet|pack|tin|bottle|tube|slot|space|holder|hook|dispenser)\\s+(?:is\\s+)?)?empty|empty\\s+(?:box|packet|pack|tin|bottle|tube|slot|space|holder|hook|dispenser)",
  ),
  form(
    "that nobody knows where it is",
    "where?",
    "gone",
    "where(?:\\s+(?:is|are)\\s+(?:it|they))?\\s*\\?+",
  ),
  form(
    "that it is to come",
    "awaiting delivery",
    "gone",
    `(?:still\\s+)?to\\s+come|awaiting(?:\\s+\\p{L}+)?|(?:coming|due|expected|arriving)\\s+(?:${DAY}|soon|tomorrow|next\\s+\\p{L}+)|never\\s+(?:came|arrived|returned|replaced|restocked)`,
  ),
  form(
    "that it is wanted",
    "to buy",
    "gone",
    "need(?:ed|s)?|(?:(?:we\\s+)?need\\s+to\\s+|to\\s+)?(?:buy|get|order)(?:\\s+(?:more|new|one|some))?|not\\s+required",
  ),
  form(
    "that it is somewhere else",
    "moved to the van",
    "gone",
    "(?:moved|gone|went|goes)\\s+to\\s+the\\s+\\p{L}+|in\\s+(?:the|my|her|his|our|their)\\s+other\\s+\\p{L}+|(?:left\\s+)?at\\s+home",
  ),
  form(
    "whose it is",
    "belongs to the club",
    "gone",
    "not\\s+for\\s+(?:people|humans?|us)|(?:do\\s+not|don['’]t)\\s+count(?:\\s+(?:it|them|this|these))?|belongs?\\s+to\\s+.+|property\\s+of\\s+.+|not\\s+(?:ours|mine)",
  ),
  form(
    "the part of the bag that it lies in",
    "lid pocket",
    "there",
    "(?:in\\s+)?(?:the\\s+)?(?:(?:top|bottom|front|back|side|left|right|inner|outer|main|lid|mesh|zip|first|second|lower|upper|red|blue|green|yellow|black|orange|white|small|big|large)\\s+){1,2}(?:pocket|pouch|tray|shelf|flap|compartment|drawer|section|layer|side|lid)s?",
  ),
  form(
    "where it lies",
    "in the red pouch",
    "there",
    `(?:(?:kept|stored|lives?|is|are)\\s+)?(?:in|on|by|at|under|behind|inside)\\s+(?:the|its|their|an?)\\s+(?:\\p{L}+\\s+){0,2}(?:${PLACE_WORDS}|lid|door|hook|wall|flap|jar|tub|wallet|holder|sleeve|rail|strap|top|bottom|front|back)s?`,
  ),
  form(
    "with what it lies, or in whose place",
    "with the vests",
    "there",
    "replaces?\\s+(?:the|an?)\\s+(?:old|lost|broken|used|missing|last)\\s+ones?|(?:together\\s+)?with\\s+the\\s+(?:other\\s+)?\\p{L}+(?:\\s+\\p{L}+)?",
    COUNTED,
  ),
];
