import { expect } from "chai";
import fc from "fast-check";
import { readdirSync, readFileSync } from "node:fs";
import { mayMatch } from "../../src/lib/core/card/needs.ts";
import { PHRASES } from "../../src/lib/core/card/phrases.ts";
import { quick } from "../../src/lib/core/card/quick.ts";

/** What a pattern needs: where a text has not got it, the pattern must not match; that is all it may rest on. */

const FOLDERS = ["cards", "kept-aside-1", "kept-aside-2", "aside-3", "aside-50", "aside-63"];
const LINES = FOLDERS.flatMap((folder) => {
  const at = `tests/fixtures/${folder}`;
  return readdirSync(at)
    .filter((name) => name.endsWith(".txt"))
    .flatMap((name) => readFileSync(`${at}/${name}`, "utf8").split("\n"));
});

describe("what a pattern needs", () => {
  for (const [pattern, text, may] of [
    [/\bpack of\b/i, "1 pack of 10", true],
    [/\bpack of\b/i, "1 PACK OF 10", true],
    [/\bpack of\b/i, "1 box of 10", false],
    [/\bpack of\b/i, "backpack of canvas", false],
    [/left|remaining/, "two remain, the rest left", true],
    [/left|remaining/, "two remain here", false],
    [/left\b/, "leftover", false],
    [/lef?t/, "let", true],
    [/colou?r/, "color", true],
    [/(?:ab)+c/, "ab c", true],
    [/a{2}b/, "a b", false],
    [/x(?!y)z/, "xz", true],
    [/(?<=no )gloves/, "gloves no", true],
    [/(?<=no )gloves/, "gloves", false],
    [/[;,]\s/, "a. b", false],
    [/[^\d]a/, "b", true],
    [/\d\s?mm/, "mm", false],
    [/^(?:|tape)$/, "", true],
    [/é/, "e", true],
    [/\bé\w/, "é", true],
    [/a\.b/, "a b", false],
    [/\//, "a b", false],
  ] as const)
    it(`${String(pattern)} ${may ? "may stand" : "does not stand"} in “${text}”`, () => {
      expect(mayMatch(pattern, text)).to.equal(may);
      if (!may) expect(pattern.test(text)).to.equal(false);
    });

  it("is in every line that a phrase is found in, and in few others", () => {
    let asked = 0;
    for (const { name, pattern } of PHRASES)
      for (const line of LINES) {
        const may = mayMatch(pattern, line);
        if (may) asked++;
        else expect(line.search(pattern), `${name}: ${line}`).to.equal(-1);
      }
    expect(asked / (PHRASES.length * LINES.length)).to.be.lessThan(0.2);
  });

  it("is in whatever a pattern of any shape matches", () => {
    const piece = fc.constantFrom(
      "a",
      "b",
      "ab",
      "\\b",
      "\\s",
      " ",
      "\\d",
      "[,;]",
      "[a-c]",
      "[^a]",
      ".",
      "é",
      "-",
    );
    const { pattern } = fc.letrec<{ pattern: string; part: string }>((tie) => ({
      pattern: fc
        .array(fc.array(tie("part"), { minLength: 1, maxLength: 4 }), {
          minLength: 1,
          maxLength: 3,
        })
        .map((branches) => branches.map((parts) => parts.join("")).join("|")),
      part: fc.oneof(
        { depthSize: "small", withCrossShrink: true },
        piece,
        piece.map((p) => (p === "\\b" ? p : `${p}?`)),
        piece.map((p) => (p === "\\b" ? p : `${p}{2}`)),
        piece.map((p) => (p === "\\b" ? p : `${p}*`)),
        tie("pattern").map((p) => `(?:${p})`),
        tie("pattern").map((p) => `(?:${p})?`),
        tie("pattern").map((p) => `(?=${p})`),
        tie("pattern").map((p) => `(?!${p})`),
        tie("pattern").map((p) => `(?<=${p})`),
      ),
    }));
    const text = fc
      .array(fc.constantFrom("a", "b", "A", "c", " ", "1", ",", "é", "-"), { maxLength: 6 })
      .map((signs) => signs.join(""));
    fc.assert(
      fc.property(pattern, text, (source, said) => {
        const written = new RegExp(source, "i");
        return !written.test(said) || mayMatch(written, said);
      }),
      { numRuns: 5000 },
    );
  });

  it("is nothing in Unicode mode, which takes more signs for a letter", () => {
    expect(mayMatch(/sling/iu, "ſling")).to.equal(true);
    expect(mayMatch(quick(/sling/iu), "tape")).to.equal(false);
  });
});
