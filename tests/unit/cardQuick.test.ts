import { expect } from "chai";
import fc from "fast-check";
import { quick } from "../../src/lib/core/card/quick.ts";

/** Letters of the languages that cards come in, and the signs that stand between them. */
const LETTERS = "aZßéÉåÅñçÿŁłśŠžŻőĞğΩώДжя";
const SIGNS = " 09x×÷–—½″\".,;:()[]-'’|_!";
const text = fc.string({ unit: fc.constantFrom(...LETTERS, ...SIGNS), maxLength: 20 });

const PATTERNS = [
  /\p{L}/u,
  /^\p{L}+$/u,
  /^[\p{L}\d '-]+$/u,
  /[^\p{L}\d]{2}/u,
  /\P{L}+/u,
  /^\p{Lu}/u,
  /\p{Lu}{2}/u,
  /\p{Ll}{2}/u,
  /(?<=\p{L})\d/u,
  /(?<!\p{L})x\p{L}/iu,
  /\[\p{L}\]/u,
];

describe("A pattern out of Unicode mode", () => {
  it("finds in each text of a card what it finds in Unicode mode", () => {
    fc.assert(
      fc.property(text, fc.constantFrom(...PATTERNS), (said, pattern) => {
        expect(quick(pattern).unicode).to.equal(false);
        expect(quick(pattern).exec(said)?.slice()).to.deep.equal(pattern.exec(said)?.slice());
      }),
      { numRuns: 2000 },
    );
  });

  it("keeps its other flags", () => {
    expect(quick(/\p{L}/giu).flags).to.equal("gi");
  });

  it("takes no sign that multiplies or divides for a letter", () => {
    expect("2×3÷4".match(quick(/\p{L}/gu))).to.equal(null);
  });

  for (const pattern of [/[🔹◆]\p{L}/u, /\p{N}/u, /[^\P{L}l]/u, /[a-z]/])
    it(`leaves ${String(pattern)} as it is, which needs that mode or has it not`, () => {
      expect(quick(pattern)).to.equal(pattern);
    });
});
