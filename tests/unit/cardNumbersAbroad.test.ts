import { expect } from "chai";
import { openNumbers } from "../../src/lib/core/card/openNumbers.ts";
import { NUMBERS_ABROAD } from "../../src/lib/data/numbersAbroad.ts";
import { entriesOf } from "./cardReading.ts";

describe("numbers in words of other languages", () => {
  for (const [number, words] of [
    [
      "13",
      ["dreizehn", "treize", "trece", "tredici", "dertien", "treze", "tretton", "kolmetoista"],
    ],
    ["18", ["achtzehn", "dix-huit", "dieciocho", "diciotto", "achttien", "dezoito", "osiemnaście"]],
    ["21", ["einundzwanzig", "vingt et un", "veintiuno", "ventuno", "tjugoett", "enogtyve"]],
    ["28", ["achtundzwanzig", "vingt huit", "veintiocho", "ventotto", "achtentwintig"]],
    ["34", ["vierunddreißig", "treinta y cuatro", "trentaquattro", "trinta e quatro"]],
    ["50", ["fünfzig", "cincuenta", "vijftig", "pięćdziesiąt", "femtio"]],
    ["70", ["siebzig", "soixante-dix", "septante", "settanta"]],
    ["100", ["honderd", "cien", "cento", "hundra"]],
  ] as const)
    it(`${words.join(", ")}: ${number}`, () =>
      expect(NUMBERS_ABROAD[number]).to.include.members([...words]));
  it("mean one number each", () => {
    const words = Object.entries(NUMBERS_ABROAD).flatMap(([n, of]) =>
      [...new Set(of)].map((word) => [word, n] as const),
    );
    const several = words.filter(([word, n]) => words.some(([w, m]) => w === word && m !== n));
    expect(several).to.deep.equal([]);
  });
});

describe("a card that counts in words of another language", () => {
  it("beside how many there should be", () =>
    expect(
      entriesOf(
        [
          "Désignation        Mini     Présent    Péremption",
          "compresses 10x10   vingt    dix-huit   04/2028",
          "sparadrap          trente   vingt-cinq 09/2027",
          "sifflet            deux     une        -",
        ].join("\n"),
      ),
    ).to.deep.equal(["2 gauze-pad 18 [100,100]", "3 medical-tape 25 null", "4 whistle 1 null"]));
  it("in the row of a name that nothing is known of", () =>
    expect(
      entriesOf(
        "| Pleisters | veertien |\n| Fluitje | twee |\n| Wondspul | dertien |\n| Reddingsdeken | elf |",
      ),
    ).to.deep.equal([
      "1 adhesive-strip 14 null",
      "2 whistle 2 null",
      "3 null 13 null",
      "4 foil-blanket 11 null",
    ]));
  it("is told by such counts, where few of its names are known", () =>
    expect(
      entriesOf(
        "| Boîte | Qté |\n| Sifflet | deux |\n| Antihist. cp | quatorze |\n| Compr. stériles 10x10 | dix |\n| Chose du rucher | trois |",
      ).map((e) => e.split(" ")[2]),
    ).to.deep.equal(["2", "14", "10", "3"]));
  it("is not one that says in English where a bandage is ten centimetres", () =>
    expect(entriesOf("2 foil blankets\nconforming bandage, one at ten centimetres")).to.deep.equal([
      "1 foil-blanket 2 null",
      "2 roller-bandage 1 [100]",
    ]));
});

describe("what was used, in other languages", () => {
  const CARDS: readonly (readonly [string, readonly string[]])[] = [
    [
      "French",
      ["Sparadrap : 3", "Compresses 10 x 10 cm : boîte de 20, 3 utilisées", "Sifflet : 1"],
    ],
    ["Spanish", ["Esparadrapo: 3", "Gasas estériles 10 x 10 cm: 20, 3 usadas", "Silbato: 1"]],
    ["German", ["Heftpflaster: 3", "Kompressen 10 x 10 cm: 20 Stück, 3 gebraucht", "Pfeife: 1"]],
    [
      "Italian",
      ["Cerotto su rocchetto: 3", "Garze sterili 10 x 10 cm: 20, 3 usate", "Fischietto: 1"],
    ],
    ["Dutch", ["Hechtpleister: 3", "Steriele gaasjes 10 x 10 cm: 20, 3 gebruikt", "Fluitje: 1"]],
  ];
  for (const [language, lines] of CARDS)
    it(`goes off the count: ${language}`, () =>
      expect(entriesOf(lines.join("\n"))[1]).to.equal("2 gauze-pad 17 [100,100]"));
});

describe("words that are a number, or something else", () => {
  it("count where their column does: seven and nine in French", () =>
    expect(openNumbers(["Quoi\tNombre\tÉtat", "a\tneuf\tok", "b\tsept\tneuf", "c\t4\tusé"]))
      .to.deep // as figures as wide as the words, so that columns stand
      .equal(["Quoi\tNombre\tÉtat", "a\t9   \tok", "b\t7   \tneuf", "c\t4\tusé"]));
  it("stay where they are in a sentence", () =>
    expect(openNumbers(["un sifflet neuf", "deux garrots"])).to.deep.equal([
      "un sifflet neuf",
      "deux garrots",
    ]));
});
