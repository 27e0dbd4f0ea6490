import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import { audit, type Audit } from "../../src/lib/core/audit/audit.ts";
import { auditOf } from "../../src/lib/core/records/auditOf.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import type { Block } from "../../src/lib/report/blocks.ts";
import { comparisonReport } from "../../src/lib/report/comparisonReport.ts";
import { faced } from "../../src/lib/report/pdfFonts.ts";
import { reviewData } from "../../src/lib/report/reviewData.ts";
import { carryLine, verdictProse } from "../../src/lib/words/verdictProse.ts";
import { kitReport, type ReportPlan } from "../../src/lib/report/kitReport.ts";
import { sieveSvg } from "../../src/lib/report/sieveSvg.ts";
import { toHtml } from "../../src/lib/report/toHtml.ts";
import { toMarkdown } from "../../src/lib/report/toMarkdown.ts";
import { toPdf } from "../../src/lib/report/toPdf.ts";
import { compareTable } from "../../src/lib/core/formats/compareTable.ts";
import { compareKits } from "../../src/lib/core/compare/compareKits.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

const records = demoRecords();
const brief = records.find((r) => r.kind === "brief")!;
const crew = records.find((r) => r.id === "kit:demo-crew-box")!;
if (brief.kind !== "brief" || crew.kind !== "kit") throw new Error("the demo has changed");
const a = audit(auditOf(crew, brief.brief, [], TODAY, CATALOGUE), TODAY, CATALOGUE);
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
      "text",
      "text",
      "facts",
      "picture",
    ]);
    expect(first[6]).to.deep.include({
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
    expect(toMarkdown(own)).to.include("a\\|b &lt;img src=x onerror=1> c");
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
      [{ id: "c", file: auditOf(crew, brief.brief, [], TODAY, CATALOGUE) }],
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

describe("the published verdict", () => {
  const day = (lines: Parameters<typeof auditFile>[1], events: AuditFile["events"] = []) => {
    const needs = [
      need("t", "limb-tourniquet", { tier: "vital" }),
      need("s", "sling"),
      need("l", "light", { tier: "useful" }),
    ];
    return audit({ ...auditFile(needs, lines), events }, TODAY, CATALOGUE);
  };
  const whole = [
    good("tq", "windlass-tourniquet"),
    good("tri", "triangular-bandage"),
    good("lamp", "torch"),
  ];
  const plan = (over: Partial<ReportPlan>): ReportPlan => ({
    actions: [],
    price: 0,
    currency: "EUR",
    gradeAfter: "Ready",
    coverageAfter: 0.95,
    proven: true,
    unmet: [],
    ...over,
  });
  const buys = (n: number) =>
    Array.from({ length: n }, (_, i) => ({
      kind: "add",
      product: { id: `p${i}`, title: `Thing ${i}`, itemType: "torch" },
    })) as unknown as ReportPlan["actions"];
  const line = (
    a: Audit,
    p: ReportPlan | null,
    own: { price: number; massG: number } | null = null,
  ) => carryLine(a, { plan: p, buildOwn: own });

  it("carry it: ready, and looked at", () =>
    expect(line(day(whole), plan({}))).to.equal("Carry it, for this brief."));
  it("ready on trust is not yet looked at", () =>
    expect(
      line(
        day([{ id: "tq", itemType: "windlass-tourniquet", claimed: 1 }, ...whole.slice(1)]),
        plan({}),
      ),
    ).to.contain("on trust"));
  it("carry it after five purchases, with what they cost", () =>
    expect(
      line(day([]), plan({ actions: buys(5), price: 12 }), { price: 50, massG: 900 }),
    ).to.equal("Carry it, for this brief, after these five purchases (€12.00)."));
  it("leave it where more than half of one's own is still to be bought, or where nothing helps", () => {
    expect(
      line(day([]), plan({ actions: buys(5), price: 26 }), { price: 50, massG: 900 }),
    ).to.match(/^Leave it on the shelf, for this brief: .*five purchases for €26\.00.*€50\.00\.$/);
    expect(line(day([]), null)).to.equal("Leave it on the shelf, for this brief.");
  });
  it("a kit that somebody carries is on no shelf; one that was only counted still is", () => {
    const after = (kind: "carried" | "counted") =>
      line(day([], [{ id: "e", on: "2026-11-01", kind }]), null);
    expect(after("carried")).to.equal("Do not carry it as it is, for this brief.");
    expect(after("counted")).to.equal("Leave it on the shelf, for this brief.");
  });
  it("says what it is for, does well, lacks, is made of, and what stays short, with no slip", () => {
    const a = day([good("tq", "windlass-tourniquet"), good("junior", "adhesive-junior", 40)]);
    const prose = verdictProse(a, {
      plan: plan({ actions: buys(1), price: 3, unmet: [{ need: "l", met: 0.5 }] }),
      buildOwn: { price: 40, massG: 700 },
    });
    expect(prose).to.deep.equal([
      "“kit” was held against “test” for one person, a day, with care at hand.",
      "It covers severe bleeding well.",
      "What holds it back most: Nothing here slings an arm. Nothing here lights what you are doing.",
      "Of 41 pieces, 1 do a job on the list: 98 % are small plasters and the list does not ask for 98 %.",
      "To do: buy Thing 0, for €3.00; it is then ready at 95 %. Still short after it: see what you are doing. From an empty bag the same list costs €40.00 and weighs 700 g.",
    ]);
  });
  it("goes out as schema.org Review data that no name can break out of", () => {
    const a = audit(
      {
        ...auditFile([need("s", "sling")], []),
        kit: { name: "</script><b>", claims: {}, lines: [] },
      },
      TODAY,
      CATALOGUE,
    );
    const html = toHtml("x", [], reviewData(a, null, { inspector: "Ada" }, "2026-11-26"));
    const data = /<script type="application\/ld\+json">(.*?)<\/script>/.exec(html)![1]!;
    expect(data).to.not.include("<");
    expect(JSON.parse(data)).to.deep.include({ "@type": "Review", datePublished: "2026-11-26" });
    expect(JSON.parse(data).reviewRating.ratingValue).to.equal(0);
  });
  it("a PDF is set in the own face, or all of it in the wider one where a letter is missing", () => {
    const face = (text: string) =>
      faced({ content: [{ text }], info: { title: "x" } }).defaultStyle!.font;
    expect(face("Zürich, 12 × 20 cm, “pad”, €3 − 5 %")).to.equal("Atkinson");
    expect(face("Łódź")).to.equal("Roboto");
  });
});

describe("the comparison as a report", () => {
  const file = (lines: Parameters<typeof auditFile>[1]) => auditFile([need("s", "sling")], lines);
  const judge = { brief: file([]).brief, list: file([]).list, houseRules: {} };
  const rows = compareKits(
    [
      { id: "a", file: { ...file([]), kit: { name: "Bare", claims: {}, lines: [] } } },
      {
        id: "b",
        file: {
          ...file([good("t", "triangular-bandage")]),
          kit: { name: "Full", claims: {}, lines: [good("t", "triangular-bandage")] },
        },
      },
    ],
    judge,
    TODAY,
    { id: "b", title: "b", currency: "EUR", products: [] },
    CATALOGUE,
  );
  const report = (readyRows: typeof rows, ready = new Map()) =>
    comparisonReport({ rows: readyRows, judge, currency: "EUR", ready, own: null, madeOn: TODAY });
  it("names who is ready, best first, and what was not worked out", () => {
    const blocks = report(rows);
    expect(blocks[1]).to.deep.include({ text: "Ready for this brief: Full." });
    const table = blocks.find((b) => b.kind === "table")!;
    expect(table.rows.map((r) => [r[0], r[4]])).to.deep.equal([
      ["Full", "not worked out"],
      ["Bare", "not worked out"],
    ]);
  });
  it("where none is ready, names the one that least is missing from", () => {
    const bare = rows.slice(0, 1);
    const text = report(bare, new Map([["a", { price: 4, massG: 90 }]]))[1];
    expect(text).to.deep.include({
      text: "Bare is not ready for this brief; it covers 0 %. Least is missing from Bare: €4.00 make it ready.",
    });
  });
});
