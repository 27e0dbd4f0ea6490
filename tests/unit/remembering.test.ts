import { expect } from "chai";
import { remembering, rememberingFor } from "../../src/lib/core/base/remembering.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { buildVocabulary, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { Newest } from "../../src/lib/core/base/newest.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

describe("what is remembered", () => {
  const counted = () => {
    const asked: string[] = [];
    return { asked, work: (text: string) => (asked.push(text), { of: text }) };
  };
  it("the same text gives the same answer without new work", () => {
    const { asked, work } = counted();
    const f = remembering(work, 3);
    expect(f("a")).to.equal(f("a"));
    expect(asked).to.deep.equal(["a"]);
  });
  it("beyond so many texts all are forgotten, and a long text is never kept", () => {
    const { asked, work } = counted();
    const f = remembering(work, 2, 4);
    for (const text of ["a", "b", "c", "a", "longer", "longer"]) f(text);
    expect(asked).to.deep.equal(["a", "b", "c", "a", "longer", "longer"]);
  });
  it("of another thing it is another answer", () => {
    const f = rememberingFor((text: string, of: { readonly by: number }) => text + of.by, 10);
    const [one, two] = [{ by: 1 }, { by: 2 }];
    expect([f("a", one), f("a", two), f("a", one)]).to.deep.equal(["a1", "a2", "a1"]);
  });
  it("a name that the user has given is read so at once, though the line was read before", () => {
    const line = "3 wibble wraps";
    const before = readCard(line, vocabularyOf(NAMED_CATALOGUE)).entries[0];
    const own = buildVocabulary(NAMED_CATALOGUE, [{ text: "wibble wrap", itemType: "eye-pad" }]);
    const after = readCard(line, own).entries[0];
    expect(before?.itemType ?? null).to.not.equal("eye-pad");
    expect([after?.itemType, after?.pieces]).to.deep.equal(["eye-pad", 3]);
  });
  it("a card that was read before is read the same again", () => {
    const card =
      "Item | Qty\nPlasters | 12 + 3 loose\nGauze 10 x 10 cm | 2 x 5\nGauze 10 x 10 cm | 4";
    const first = readCard(card, vocabularyOf(NAMED_CATALOGUE));
    expect(readCard(card, vocabularyOf(NAMED_CATALOGUE))).to.deep.equal(first);
  });
});

describe("the newest of what was put in", () => {
  it("the one put in longest ago goes first; put in again it is the newest", () => {
    const kept = new Newest<number>(2);
    kept.set("a", 1);
    kept.set("b", 2);
    kept.set("a", 3);
    kept.set("c", 4);
    expect(["a", "b", "c"].map((key) => kept.get(key))).to.deep.equal([3, undefined, 4]);
  });
});
