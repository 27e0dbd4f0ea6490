import { NAMES_ABROAD } from "./namesAbroad.ts";
import { NAMES_FURTHER_ABROAD } from "./namesFurtherAbroad.ts";

/**
 * Names that German, Dutch, Norwegian, Danish and Swedish make of two words at once, by the English name that is read in their
 * place. Which of them a shop or a maker uses nobody can list; each of these first parts goes with each of the last. A last part may
 * have its plural's end.
 */
interface Compound {
  readonly english: string;
  readonly first: string;
  readonly last: string;
}
const DRESSING = "verband verbände forbinding bandasje bandage förband";
const BANDAGE = "binde binden bind binda bindor linda lindor zwachtel zwachtels windsel";
const PAD = "kompresse kompressen kompress kompresser kompres auflage auflagen";
const PLASTER = "pflaster pleister pleisters plaster plåster plastre";
const BLANKET = "decke decken folie teppe tepper tæppe tæpper filt filtar deken dekens";
const GLOVES =
  "handschuh handschuhe handschoen handschoenen hanske hansker handske handsker handskar";
const COLD = "kälte kühl eis sofortkälte koel koude ijs kulde kjøle køle kyl is engangskulde";
const COLD_LAST =
  "beutel pack packs pad pads kissen akku pose poser påse påsar zak zakken pakning pakninger pakke kompresse kompress kompres";
const WIPES =
  "tuch tücher doekje doekjes doek doeken serviett servietter serviet servett servetter lapp";
const LAMP = "lampe lampen lykt lykter lygte lygter lampa lamp";

export const COMPOUNDS: readonly Compound[] = [
  {
    english: "eye pad",
    first: "augen oog oog øye øjen ögon",
    last: `${DRESSING} ${PAD} ${PLASTER} klappe klapper lapp afdekking polster`,
  },
  {
    english: "eyewash bottle",
    first: "augen oog øye øjen ögon",
    last: "spülung dusche bad skyll skyllevann skyllevæske skylleflaske skyllestasjon skyl skyllevand skylleflaske skölj dusch dusj bruser spoeling spoelfles spoelwater wasfles douche spolning spülstation",
  },
  {
    english: "burn gel dressing",
    first: "brandwunden brandwonden brandwond brannsår brannskade brandsårs brännsårs brännskade",
    last: `${DRESSING} ${PAD}`,
  },
  {
    english: "burn gel",
    first:
      "brand brandwunden brandwonden brandwond brann brannsår brannskade brandsårs brändsårs brännsårs brännskade",
    last: "gel salbe zalf salve salva",
  },
  {
    english: "burn sheet",
    first: "brandwunden brandwonden brannskade brandsårs brännskade",
    last: "tuch tücher laken duk duker lakan",
  },
  {
    english: "plasters",
    first: "wund wond sår textil tekstil kinder barne børne barn",
    last: PLASTER,
  },
  {
    english: "blister plasters",
    first: "blasen blaren blaar gnagsår skavsår vabel",
    last: PLASTER,
  },
  {
    english: "fingertip plasters",
    first: "finger fingerkuppen fingergelenk vinger fingertopp",
    last: `${PLASTER} verband verbände bandasje`,
  },
  {
    english: "antiseptic spray",
    first: "wund wond sår desinfektions desinfeksjons desinfectie wunddesinfektions",
    last: "spray sprays",
  },
  {
    english: "antiseptic bottle",
    first:
      "wunddesinfektions desinfektions desinfeksjons desinfectie ontsmettings wondontsmettings",
    last: "mittel lösung middel væske vloeistof vätska",
  },
  {
    english: "antiseptic wipes",
    first:
      "desinfektions desinfeksjons desinfectie ontsmettings reinigungs wundreinigungs wunddesinfektions reinigings wondreinigings rense sårrense tvätt sårtvätt",
    last: WIPES,
  },
  {
    english: "pressure bandage",
    first: "druck wonddruk druk trykk tryk tryck kompressions",
    last: DRESSING,
  },
  {
    english: "bandaged dressing",
    first: "schnell snel hurtig snabb nood nød erst",
    last: "verband verbanden forbinding forbindinger bandasje bandasjer förband",
  },
  {
    english: "conforming bandage",
    first: "mull fixier gaas gas gaze fixatie fikserings fixerings",
    last: BANDAGE,
  },
  {
    english: "elastic bandage",
    first: "elastik elasto ideal ideaal stütz steun støtte stöd",
    last: BANDAGE,
  },
  {
    english: "triangular bandage",
    first: "dreieck dreiecks driehoeks trekant triangel",
    last: "tuch tücher doek doeken tørkle tørklær tørklæde tørklæder duk dukar bandasje bandage verband",
  },
  { english: "sterile gauze pads", first: "mull gaas gas gaze steril", last: PAD },
  { english: "instant cold pack", first: COLD, last: COLD_LAST },
  {
    english: "foil blanket",
    first:
      "rettungs notfall not isolier wärme alu aluminium reddings nood isolatie rednings redning nød varme räddnings nöd värme folie",
    last: BLANKET,
  },
  {
    english: "disposable gloves",
    first:
      "einmal einweg untersuchungs schutz wegwerp onderzoeks bescherm engangs undersøkelses undersøgelses verne beskyttelses skydds engångs undersöknings",
    last: GLOVES,
  },
  { english: "nitrile gloves", first: "nitril", last: GLOVES },
  {
    english: "tick remover",
    first: "zecken teken flått flåt tæge fästing",
    last: "zange pinzette karte haken entferner tang pincet pen lepel verwijderaar pinsett kort fjerner plockare borttagare pincett krok",
  },
  {
    english: "safety pins",
    first: "sicherheits veiligheids sikkerhets sikkerheds säkerhets",
    last: "nadel nadeln speld spelden nål nåler nåle nålar",
  },
  {
    english: "scissors",
    first: "verband verbands forbindings bandasje bandage förbands",
    last: "schere scheren schaar saks sax",
  },
  {
    english: "trauma shears",
    first: "rettungs notfall kleider reddings rednings räddnings kleding trauma",
    last: "schere scheren schaar saks sax",
  },
  {
    english: "splinter tweezers",
    first: "splitter splinter splint flis stick",
    last: "pinzette pinzetten pincet pincetten pinsett pincett",
  },
  {
    english: "face mask",
    first: "mund mond munn mun operations kirurg",
    last: "maske masken masker mask kapje kapjes mondmasker schutz bind skydd",
  },
  { english: "pocket mask", first: "taschen beatmungs lomme fick", last: "maske masken mask" },
  {
    english: "torch",
    first: "stirn taschen hand hoofd zak hode lomme pande pann fick",
    last: LAMP,
  },
  {
    english: "whistle",
    first: "triller signal not nød nöd nood vissel",
    last: "pfeife pfeifen fløyte fløjte pipa fluit fluitje",
  },
  { english: "digital thermometer", first: "fieber koorts feber", last: "thermometer termometer" },
  {
    english: "waste bag",
    first: "abfall müll afval avfalls affalds",
    last: "beutel sack säcke zak zakken zakje zakjes pose poser påse påsar",
  },
];

const words = (said: string): string[] => said.split(" ");
/** A plural with an s is read as the same name. */
const one = (name: string): string => name.replace(/s$/, "");
const listed = new Set(
  [NAMES_ABROAD, NAMES_FURTHER_ABROAD].flatMap((n) => Object.values(n).flat().map(one)),
);
/** Each compound by the English name; one that is listed as a name of its own is what it is listed as. */
export const COMPOUNDS_ABROAD: Readonly<Record<string, readonly string[]>> = Object.fromEntries(
  COMPOUNDS.map(({ english, first, last }) => [
    english,
    words(first)
      .flatMap((before) => words(last).map((behind) => before + behind))
      .filter((word) => !listed.has(one(word))),
  ]),
);
