/**
 * Numbers in words as cards in other languages write them, 11 to 99 and a hundred; smaller ones stand with what is counted in
 * namesAbroad.ts and namesFurtherAbroad.ts. Read only on cards from abroad.
 */

/** How a language puts its numbers together: words for 1 to 9, 10 to 19, and 20, 30 … 90. */
interface Numerals {
  readonly ones: string;
  readonly teens: string;
  readonly tens: string;
  /** The number of a ten and a one; none where the language bends it. */
  readonly joined: (ten: string, one: string) => string;
  /** Those that are put together in no such way. */
  readonly others?: Readonly<Record<number, readonly string[]>>;
}

const FUSED_TENS = /[aio]$/;
const NUMERALS: readonly Numerals[] = [
  {
    // German
    ones: "ein zwei drei vier fünf sechs sieben acht neun",
    teens: "zehn elf zwölf dreizehn vierzehn fünfzehn sechzehn siebzehn achtzehn neunzehn",
    tens: "zwanzig dreißig vierzig fünfzig sechzig siebzig achtzig neunzig",
    joined: (ten, one) => `${one}und${ten}`,
  },
  {
    // Dutch
    ones: "een twee drie vier vijf zes zeven acht negen",
    teens: "tien elf twaalf dertien veertien vijftien zestien zeventien achttien negentien",
    tens: "twintig dertig veertig vijftig zestig zeventig tachtig negentig",
    joined: (ten, one) => `${one}en${ten}`,
    others: { 100: ["honderd"] },
  },
  {
    // French; 70 and 90 count on from 60 and 80
    ones: "un deux trois quatre cinq six sept huit neuf",
    teens: "dix onze douze treize quatorze quinze seize dix-sept dix-huit dix-neuf",
    tens: "vingt trente quarante cinquante soixante septante quatre-vingt nonante",
    joined: (ten, one) =>
      one === "un" && ten !== "quatre-vingt" ? `${ten} et ${one}` : `${ten} ${one}`,
    others: {
      21: ["vingt et une"],
      31: ["trente et une"],
      70: ["soixante-dix"],
      75: ["soixante-quinze"],
      90: ["quatre-vingt-dix"],
      95: ["quatre-vingt-quinze"],
    },
  },
  {
    // Spanish
    ones: "uno dos tres cuatro cinco seis siete ocho nueve",
    teens: "diez once doce trece catorce quince dieciséis diecisiete dieciocho diecinueve",
    tens: "veinte treinta cuarenta cincuenta sesenta setenta ochenta noventa",
    joined: (ten, one) => (ten === "veinte" ? `veinti${one}` : `${ten} y ${one}`),
    others: { 21: ["veintiún", "veintiuna"], 31: ["treinta y una"], 100: ["cien", "ciento"] },
  },
  {
    // Italian; the ten loses its vowel before another
    ones: "uno due tre quattro cinque sei sette otto nove",
    teens:
      "dieci undici dodici tredici quattordici quindici sedici diciassette diciotto diciannove",
    tens: "venti trenta quaranta cinquanta sessanta settanta ottanta novanta",
    joined: (ten, one) => (/^[uo]/.test(one) ? ten.replace(FUSED_TENS, "") : ten) + one,
    others: { 100: ["cento"] },
  },
  {
    // Portuguese
    ones: "um dois três quatro cinco seis sete oito nove",
    teens: "dez onze doze treze catorze quinze dezasseis dezassete dezoito dezanove",
    tens: "vinte trinta quarenta cinquenta sessenta setenta oitenta noventa",
    joined: (ten, one) => `${ten} e ${one}`,
    others: {
      14: ["quatorze"],
      16: ["dezesseis"],
      17: ["dezessete"],
      19: ["dezenove"],
      22: ["vinte e duas"],
      100: ["cem"],
    },
  },
  {
    // Swedish
    ones: "ett två tre fyra fem sex sju åtta nio",
    teens: "tio elva tolv tretton fjorton femton sexton sjutton arton nitton",
    tens: "tjugo trettio fyrtio femtio sextio sjuttio åttio nittio",
    joined: (ten, one) => ten + one,
    others: { 100: ["hundra"] },
  },
  {
    // Norwegian
    ones: "en to tre fire fem seks sju åtte ni",
    teens: "ti elleve tolv tretten fjorten femten seksten sytten atten nitten",
    tens: "tjue tretti førti femti seksti sytti åtti nitti",
    joined: (ten, one) => ten + one,
    others: { 100: ["hundre", "hundrede"] },
  },
  {
    // Danish up to 49; its 60 is the Spanish three
    ones: "en to tre fire fem seks syv otte ni",
    teens: "ti elleve tolv tretten fjorten femten seksten sytten atten nitten",
    tens: "tyve tredive fyrre",
    joined: (ten, one) => `${one}og${ten}`,
  },
  {
    // Finnish
    ones: "yksi kaksi kolme neljä viisi kuusi seitsemän kahdeksan yhdeksän",
    teens:
      "kymmenen yksitoista kaksitoista kolmetoista neljätoista viisitoista kuusitoista seitsemäntoista kahdeksantoista yhdeksäntoista",
    tens: "kaksikymmentä kolmekymmentä neljäkymmentä viisikymmentä kuusikymmentä seitsemänkymmentä kahdeksankymmentä yhdeksänkymmentä",
    joined: (ten, one) => ten + one,
    others: { 100: ["sata"] },
  },
  {
    // Polish
    ones: "jeden dwa trzy cztery pięć sześć siedem osiem dziewięć",
    teens:
      "dziesięć jedenaście dwanaście trzynaście czternaście piętnaście szesnaście siedemnaście osiemnaście dziewiętnaście",
    tens: "dwadzieścia trzydzieści czterdzieści pięćdziesiąt sześćdziesiąt siedemdziesiąt osiemdziesiąt dziewięćdziesiąt",
    joined: (ten, one) => `${ten} ${one}`,
    others: { 100: ["sto"] },
  },
  {
    // Czech
    ones: "jeden dva tři čtyři pět šest sedm osm devět",
    teens: "deset jedenáct dvanáct třináct čtrnáct patnáct šestnáct sedmnáct osmnáct devatenáct",
    tens: "dvacet třicet čtyřicet padesát šedesát sedmdesát osmdesát devadesát",
    joined: (ten, one) => `${ten} ${one}`,
  },
];

const FIRST = 11;

function numbersOf({ ones, teens, tens, joined, others }: Numerals): [number, string][] {
  const small = ones.split(" ");
  return [
    ...teens.split(" ").map((word, i): [number, string] => [10 + i, word]),
    ...tens
      .split(" ")
      .flatMap((ten, t): [number, string][] => [
        [20 + 10 * t, ten],
        ...small.map((one, i): [number, string] => [21 + 10 * t + i, joined(ten, one)]),
      ]),
    ...Object.entries(others ?? {}).flatMap(([n, words]) =>
      words.map((word): [number, string] => [Number(n), word]),
    ),
  ];
}

/** "one at ten centimetres" is not eighteen in Danish. */
const TORN_ENGLISH: ReadonlySet<string> = new Set(["atten"]);

/** Each number, in figures, with its words in all these languages. */
export const NUMBERS_ABROAD: Readonly<Record<string, readonly string[]>> = NUMERALS.flatMap(
  numbersOf,
).reduce<Record<string, string[]>>((table, [n, word]) => {
  if (n >= FIRST && !TORN_ENGLISH.has(word)) (table[n] ??= []).push(word);
  return table;
}, {});
