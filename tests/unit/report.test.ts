import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { auditOf } from "../../src/lib/core/records/auditOf.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import type { Block } from "../../src/lib/report/blocks.ts";
import { kitReport } from "../../src/lib/report/kitReport.ts";
import { sieveSvg } from "../../src/lib/report/sieveSvg.ts";
import { toHtml } from "../../src/lib/report/toHtml.ts";
import { toMarkdown } from "../../src/lib/report/toMarkdown.ts";
import { toPdf } from "../../src/lib/report/toPdf.ts";
import { compareTable } from "../../src/lib/core/formats/compareTable.ts";
import { compareKits } from "../../src/lib/core/compare/compareKits.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

const records = demoRecords();
const brief = records.find((r) => r.kind === "brief")!;
const crew = records.find((r) => r.id === "kit:demo-crew-box")!;
if (brief.kind !== "brief" || crew.kind !== "kit") throw new Error("the demo has changed");
const a = audit(auditOf(crew, brief.brief, []), TODAY, CATALOGUE);
const blocks = kitReport(
  a,
  null,
  {
    verdicts: { L1: { verdict: "keep", why: "fresh last week" } },
    photos: [{ dataUrl: "data:image/jpeg;base64,AAAA", name: "box.jpg" }],
    inspector: "Ada",
  },
  TODAY,
);
const of = <K extends Block["kind"]>(kind: K) =>
  blocks.filter((b): b is Extract<Block, { kind: K }> => b.kind === kind);

describe("the report", () => {
  it("has the verdict, the picture, the best and worst and what was checked on its first page", () => {
    const first = blocks.slice(
      0,
      blocks.findIndex((b) => b.kind === "new-page"),
    );
    expect(first.map((b) => b.kind)).to.deep.equal([
      "heading",
      "text",
      "text",
      "text",
      "text",
      "picture",
      "facts",
    ]);
    expect(first[4]).to.deep.include({
      text: "Checked: 14 of 25 lines counted, 13 inspected. The lower figure takes everything that was not checked as failing, the upper takes it on trust.",
    });
  });
  it("tells line by line what was checked and what is on trust, and whose verdict it is", () => {
    const items = of("table").find((t) => t.head.includes("On trust"))!;
    expect(items.rows).to.have.length(25);
    const trust = items.rows.map((r) => r.at(-1));
    expect(trust.filter((t) => t === "checked").length).to.be.within(1, 24);
    expect(items.rows.some((r) => r[5]!.endsWith("(proposed)"))).to.equal(true);
  });
  it("names who looked, the list with its version, and every house rule", () => {
    const facts = Object.fromEntries(of("facts").at(-1)!.rows);
    expect(facts["Looked at by"]).to.equal("Ada");
    expect(facts["List"]).to.equal("Group leader, version 2");
    expect(Object.keys(facts)).to.include.members(["Emphasis", "Dates", "Cutting"]);
  });
  it("is the same in Markdown, as one HTML file and as a PDF with a bookmark a section", () => {
    const headings = of("heading").map((h) => h.text);
    const md = toMarkdown(blocks);
    const html = toHtml("Crew <box>", blocks);
    for (const h of headings) {
      expect(md).to.include(`# ${h}`);
      expect(html).to.include(`>${h}</h`);
    }
    expect(html).to.include("<title>Crew &lt;box&gt;</title>");
    // nothing is fetched: no link, script or picture from elsewhere
    expect(html).to.not.match(/<script|<link|src="(?!data:)|url\(http/);
    const pdf = toPdf("Crew", blocks);
    const marks = (pdf.content as { outline?: boolean; text?: string }[])
      .filter((c) => c.outline)
      .map((c) => c.text);
    expect(marks).to.deep.equal(
      of("heading")
        .filter((h) => h.level < 3)
        .map((h) => h.text),
    );
    expect(pdf).to.deep.include({ tagged: true });
  });
  it("no text of a kit breaks out of the page or the table", () => {
    const nasty = audit(
      {
        ...auditFile(
          [need("n", "sling")],
          [good("1", "triangular-bandage", 1, { text: "a|b <img src=x onerror=1>\nc" })],
        ),
      },
      TODAY,
      CATALOGUE,
    );
    const own = kitReport(nasty, null, {}, TODAY);
    expect(toHtml("x", own)).to.not.include("<img src=x");
    expect(toMarkdown(own)).to.include("a\\|b <img src=x onerror=1> c");
  });
  it("the picture stands alone: every pattern it fills with is in it", () => {
    const { svg } = sieveSvg(a);
    const used = [...svg.matchAll(/url\(#([\w-]+)\)/g)].map((m) => m[1]);
    expect(new Set(used).size).to.equal(7);
    for (const id of used) expect(svg).to.include(`id="${id}"`);
    expect(svg.match(/<circle[^>]*stroke-width="2"/g)).to.have.length(a.needs.length);
  });
  it("an empty list still gives a report that says so", () => {
    const none = audit(auditFile([], []), TODAY, CATALOGUE);
    expect(toMarkdown(kitReport(none, null, {}, TODAY))).to.include("asks for nothing");
  });
});

describe("the comparison as a table", () => {
  it("has a row a kit, numbers as numbers, and what was not worked out empty", () => {
    const judge = { brief: brief.brief, list: crew.list, houseRules: {} };
    const rows = compareKits(
      [{ id: "c", file: auditOf(crew, brief.brief, []) }],
      judge,
      TODAY,
      PRICE_BOOK,
      CATALOGUE,
    );
    const [head, row] = compareTable(rows, new Map([["c", { price: 60, massG: 1800 }]]));
    const at = (name: string) => row![head!.indexOf(name)];
    expect(at("kit")).to.equal("Tallowmere Crew Box");
    expect(at("price")).to.equal(38);
    expect(at("ready, in all")).to.equal(98);
    const bare = compareTable(rows, new Map())[1]!;
    expect(bare[head!.indexOf("to make ready")]).to.equal(null);
  });
});
