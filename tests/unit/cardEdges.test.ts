import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const facts = (card: string): string[] =>
  readCard(card, vocabulary).entries.map(
    (e) => `${e.source} ${e.itemType} ${e.pieces} ${JSON.stringify(e.sizeMm)}`,
  );

/** Two lists as people write them, the count behind and in front. */
const LISTS = [
  [
    "Plasters, assorted: 40",
    "Eye pads 4",
    "Gauze pads 10 x 10 cm, 6",
    "Tweezers",
    "Crepe bandage 7.5 cm – 2",
    "Nitrile gloves, 4 pairs",
    "Paracetamol 500 mg, 2 strips of 8",
    "Foil blanket",
  ],
  [
    "40 assorted plasters",
    "4 x eye pads",
    "6 gauze pads (10 x 10 cm)",
    "tweezers",
    "2 crepe bandages, 7.5 cm",
    "4 pairs nitrile gloves",
    "2 strips of 8 paracetamol 500 mg",
    "a foil blanket",
  ],
];
const READ = [
  "1 adhesive-strip 40 null",
  "2 eye-pad 4 null",
  "3 gauze-pad 6 [100,100]",
  "4 tweezers-fine 1 null",
  "5 elastic-bandage 2 [75]",
  "6 nitrile-gloves 4 null",
  "7 paracetamol 16 null",
  "8 foil-blanket 1 null",
];

const two = (n: number) => String(n).padStart(2, "0");
/** What stands before each line of a list; `n` counts them from 1. */
const BEFORE: readonly ((n: number) => string)[] = [
  ...["- ", "• ", "* ", "o ", "# ", "+ ", "~ ", "> ", "→ ", "-> ", "➤ ", "// ", "🔹 ", "    "],
  ...["☐ ", "[ ] ", "[x] ", "✓ ", "✅ "],
].map((mark) => () => mark);
const NUMBERS: readonly ((n: number) => string)[] = [
  (n) => `${n}. `,
  (n) => `${n}) `,
  (n) => `(${n}) `,
  (n) => `${two(n)}. `,
  (n) => `${n} - `,
  (n) => `${n}: `,
  (n) => `#${n} `,
  (n) => `No. ${n} `,
  (n) => `Item ${n}: `,
  (n) => `1.${n} `,
  (n) => `FA-0${two(n)} `,
  (n) => `${String.fromCharCode(96 + n)}) `,
  (n) => `${String.fromCharCode(64 + n)}. `,
  (n) => `${["i", "ii", "iii", "iv", "v", "vi", "vii", "viii"][n - 1]}. `,
];
const BEHIND = [
  ...["  ✓", " ✔️", " ok", "  [ ]", "  [ ] [ ]", " ______", " *", ".", ";", "<br>", "  KO", " NEW"],
  ...["  £1.20", "  £1.20  £2.40", " - $3.50", " (3,50 €)", "  12 g"],
  ...[" exp 05/27", " (exp 05/27)", " exp. 2027-05", " – exp May 2027", ", best before 03/2028"],
  ...["  12/05/26", " LOT 23A117", " [ref 123-456]", " ref: AB-1234", "  4006501234567"],
  ...[", checked", " (new)", " — lid pocket", " (lid pocket)", "  // bought in spring"],
];

describe("what stands at the edges of a list's lines", () => {
  for (const mark of [...BEFORE, ...NUMBERS])
    it(`"${mark(1)}" before each changes nothing`, () => {
      for (const list of LISTS)
        expect(facts(list.map((line, i) => mark(i + 1) + line).join("\n"))).to.deep.equal(READ);
    });
  for (const mark of BEHIND)
    it(`"${mark}" behind each changes nothing`, () => {
      for (const list of LISTS)
        expect(facts(list.map((line) => line + mark).join("\n"))).to.deep.equal(READ);
    });
  it("nor do both together", () => {
    for (const before of [BEFORE[0]!, BEFORE[14]!, NUMBERS[0]!, NUMBERS[2]!])
      for (const behind of BEHIND)
        for (const list of LISTS)
          expect(
            facts(list.map((line, i) => before(i + 1) + line + behind).join("\n")),
            before(1) + behind,
          ).to.deep.equal(READ);
  });
  it("numbers go on over a heading between", () => {
    const [first, ...others] = LISTS[0]!.map((line, i) => `(${i + 1}) ${line}`);
    expect(facts([first, "EYES", ...others].join("\n"))).to.deep.equal(
      READ.map((fact, i) => fact.replace(/^\d+/, String(i === 0 ? 1 : i + 2))),
    );
  });
});

describe("counts as a spreadsheet writes them", () => {
  const things = ["Foil blankets", "Gauze pads 10 x 10 cm", "Whistle", "Eye pads"];
  const counts = ["11.00", "7.00", "2.00", "14.00"];
  const right = [11, 7, 2, 14];
  const pieces = (card: string) => readCard(card, vocabulary).entries.map((e) => e.pieces);
  for (const sign of ["\t", " = ", ": ", " ...... ", ", "])
    it(`two noughts behind each point are no prices, behind ${JSON.stringify(sign)}`, () =>
      expect(pieces(things.map((t, i) => `${t}${sign}${counts[i]!}`).join("\n"))).to.deep.equal(
        right,
      ));
  it("one price among them makes all of them prices; so does a count of its own, or a currency", () => {
    const priced = things.map((t, i) => `${t}: ${i === 2 ? "2.50" : counts[i]!}`);
    expect(pieces(priced.join("\n"))).to.deep.equal([1, 1, 1, 1]);
    const counted = things.map((t, i) => `${i + 2} x ${t}   ${counts[i]!}`);
    expect(pieces(counted.join("\n"))).to.deep.equal([2, 3, 4, 5]);
    const inPounds = things.map((t, i) => `${t}: £${counts[i]!}`);
    expect(pieces(inPounds.join("\n"))).to.deep.equal([1, 1, 1, 1]);
  });
  it("a letter before each count says nothing", () =>
    expect(pieces(things.map((t, i) => `${t} Q${right[i]!}`).join("\n"))).to.deep.equal(right));
});

describe("a list that says of each thing its price or its date, and not how many", () => {
  for (const said of ["£2.50", "exp 05/2028", "EUR 3.10", "lot 4471"])
    it(`lists one of each: ": ${said}"`, () =>
      expect(
        readCard(`Plasters: ${said}\nEye pads: ${said}\nWhistle: ${said}`, vocabulary).entries.map(
          (e) => [e.itemType, e.pieces],
        ),
      ).to.deep.equal([
        ["adhesive-strip", 1],
        ["eye-pad", 1],
        ["whistle", 1],
      ]));
});
