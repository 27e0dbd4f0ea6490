import { expect } from "chai";
import { matchType, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { openNameOf } from "../../src/lib/core/card/openName.ts";
import { COMPOUNDS, COMPOUNDS_ABROAD } from "../../src/lib/data/compoundsAbroad.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { entriesOf } from "./cardReading.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);

describe("compounds of other languages", () => {
  for (const { english } of COMPOUNDS)
    it(`stand for a name that is read: ${english}`, () => {
      const isOpen = openNameOf(english, NAMED_CATALOGUE, () => true) !== null;
      expect(isOpen || matchType(english, vocabulary).type !== null).to.equal(true);
    });

  it("stand for one name each", () => {
    const all = Object.entries(COMPOUNDS_ABROAD).flatMap(([name, of]) => of.map((w) => [w, name]));
    const names = new Map<string, string>(all as [string, string][]);
    const others = all.filter(([word, name]) => names.get(word!) !== name);
    expect(others).to.deep.equal([]);
  });

  /** None of them is listed as a name of its own. */
  for (const [word, type] of [
    ["Isolierdecke", "foil-blanket"],
    ["Kältebeutel", "cold-pack"],
    ["Augenpflaster", "eye-pad"],
    ["vernehansker", "disposable-gloves"],
    ["brandwondzalf", "burn-gel-sachet"],
    ["Notfallschere", "trauma-shears"],
    ["Werkzeugbeutel", null],
    ["Augentropfen", null],
  ] as const)
    it(`are read whatever the maker chose: ${word}`, () =>
      expect(
        entriesOf(`Dreiecktuch: 2\nRettungsdecke: 1\nKompressen: 4\n${word}: 7`).at(-1),
      ).to.equal(`4 ${type} 7 null`));
});
