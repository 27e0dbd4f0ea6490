import { expect } from "chai";
import { inEnglish } from "../../src/lib/core/card/abroad.ts";
import { knowsAny, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { entriesOf } from "./cardReading.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const tongues = {
  abroad: vocabulary.abroad,
  knows: (words: string) => knowsAny(words, vocabulary),
};
const english = (text: string, amongForeign = true) => inEnglish({ text, amongForeign }, tongues);

describe("names abroad with words cut short", () => {
  for (const [cut, whole] of [
    ["couv. survie", "foil blanket"],
    ["bde extens. 10 cm", "conforming bandage 10 cm"],
    ["vda. elást. 7 cm", "elastic bandage 7 cm"],
    ["écharpe triang.", "triangular bandage"],
    ["b. elastica", "elastic bandage"],
    ["garze ster.", "sterile gauze pads"],
    // A compound of which the first part is cut short.
    ["Rett.decke", "foil blanket"],
    ["Verb.schere", "scissors"],
    // Consonants alone.
    ["sprdrp", "medical tape"],
  ] as const)
    it(`are those that nothing else fits: ${cut}`, () => expect(english(cut)).to.equal(whole));

  it("are the longer ones: not sparadrap, which is tape", () =>
    expect(english("sparadraps assort.")).to.equal("plasters"));

  for (const [text, why] of [
    ["Verbandkasten", "a word of its own, though scissors for one begin so"],
    ["pista 2", "a word of its own"],
    ["Aant.", "it heads a column"],
    ["ki. su.", "so few letters fit too many"],
  ] as const)
    it(`are none: ${text}, ${why}`, () => expect(english(text)).to.equal(text));

  it("are told only on a card of their language", () =>
    expect(english("couv. survie", false)).to.equal("couv. survie"));

  it("are read as the whole ones on a card, with the card's words beside", () =>
    expect(
      entriesOf(
        "pans. adhesifs : 20\nbde extens. 10 cm : 3\ncouv. survie : 2\nciseaux : 1\nécharpe triangulaire : 1",
      ),
    ).to.deep.equal([
      "1 adhesive-strip 20 null",
      "2 roller-bandage 3 [100]",
      "3 foil-blanket 2 null",
      "4 small-scissors 1 null",
      "5 triangular-bandage 1 null",
    ]));

  it("one of it and another are two things in Italian", () =>
    expect(
      entriesOf(
        "5. Un triangolo di tela e quattro spille da balia.\n6. Tre paia di guanti.\n7. Due bende.\n8. Un fischietto.",
      ).slice(0, 2),
    ).to.deep.equal(["1 triangular-bandage 1 null", "1 safety-pin 4 null"]));
});
