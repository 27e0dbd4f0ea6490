import { expect } from "chai";
import { existsSync, readdirSync, readFileSync } from "node:fs";

const DOCS = [
  "README.md",
  ...readdirSync("docs").flatMap((f) => (f.endsWith(".md") ? [`docs/${f}`] : [])),
];
/** Where a path in the docs may begin. */
const ROOTS = ["", "src/lib/", "src/lib/core/"];
const exists = (path: string) => ROOTS.some((root) => existsSync(root + path));

describe("the docs", () => {
  for (const doc of DOCS) {
    const text = readFileSync(doc, "utf8");
    it(`${doc}: every file and folder it names is there`, () => {
      const named = [
        ...text.matchAll(
          /`((?:src|core|docs|tests|state|records|words|report|data|model)\/[\w./[\]-]+)`/g,
        ),
      ];
      for (const [, path] of named)
        if (!/NAME/.test(path!)) expect(exists(path!), path).to.equal(true);
    });
    it(`${doc}: every page and picture it links to is there`, () => {
      for (const [, to] of text.matchAll(/\]\((?!https?:|#)([^)#]+)/g))
        expect(existsSync(doc.startsWith("docs/") ? `docs/${to}` : to!), to).to.equal(true);
    });
  }
  it("every picture that is kept is linked from the README", () => {
    const readme = readFileSync("README.md", "utf8");
    for (const picture of readdirSync("docs/screenshots"))
      expect(readme, picture).to.contain(`docs/screenshots/${picture}`);
  });
});
