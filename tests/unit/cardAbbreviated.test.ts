import { expect } from "chai";
import { abbreviatedName } from "../../src/lib/core/card/abbreviatedName.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { matchType, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Names of which several words are cut short at once: what they are by each other, and that nobody is sure of it. */

const words = vocabularyOf(NAMED_CATALOGUE);
/** Each name in full, and its kind. */
const NAMES: Readonly<Record<string, string>> = {
  "eye pad": "eye-pad",
  "safety pins": "safety-pin",
  "foil blanket": "foil-blanket",
  "vented chest seal": "vented-chest-seal",
  "triangular bandage": "triangular-bandage",
  "crepe bandage": "elastic-bandage",
  "conforming bandage": "roller-bandage",
  "face shield": "face-shield",
  "pocket mask": "pocket-mask",
  "trauma shears": "trauma-shears",
  "wound closure strips": "closure-strips",
  "finger splint": "finger-splint",
  "gauze swabs": "gauze-pad",
  "windlass tourniquet": "windlass-tourniquet",
  "nasal airway": "nasal-airway",
  "light sticks": "light-stick",
  "hand warmer": "hand-warmer",
  "cervical collar": "cervical-collar",
};
const HABITS: Readonly<Record<string, (word: string) => string>> = {
  "consonants alone": (word) =>
    word[0]! +
    word
      .slice(1)
      .replace(/[aeiou]/g, "")
      .replace(/(.)\1/g, "$1"),
  "four letters": (word) => word.slice(0, 4),
  "three letters": (word) => (word.length <= 4 ? word : word.slice(0, 3)),
};

describe("names cut short in several words", () => {
  for (const [habit, cut] of Object.entries(HABITS))
    for (const [name, type] of Object.entries(NAMES))
      it(`${habit}: ${name}`, () => {
        const short = name.split(" ").map(cut);
        for (const said of [short, short.toReversed()])
          expect(matchType(said.join(" "), words).type, said.join(" ")).to.equal(type);
      });

  it("are the longer of two names, with what is said beside it", () =>
    expect(abbreviatedName("2 eye pds strl", words)?.type).to.equal("eye-pad"));
  it("are none where two kinds are called so", () =>
    // blister plasters, blue plasters
    expect(abbreviatedName("bli pla", words)).to.equal(null));
  it("are none where a word is left over", () =>
    expect(abbreviatedName("sfty pns ladder", words)).to.equal(null));
  it("are no words of a sentence", () =>
    expect(abbreviatedName("sfty pns in the tin by the door over there", words)).to.equal(null));
  it("are not one word", () => expect(abbreviatedName("pns", words)).to.equal(null));
  it("are never sure", () => {
    for (const line of ["sfty pns", "tri ban", "hemostatic band"]) {
      const [entry] = readCard(`20 plasters\n2 ${line}\n1 whistle`, words).entries.slice(1);
      expect(entry!.confidence, line).to.be.below(0.9);
    }
  });
  it("do not take the place of what its own words name whole", () =>
    // "tin" begins "tiny"
    expect(matchType("plasters tin", words).type).to.equal("adhesive-strip"));
});
