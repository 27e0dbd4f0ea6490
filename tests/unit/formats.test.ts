import { problemText } from "../../src/lib/words/problems.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import { readFileSync } from "node:fs";
import {
  isDay,
  isMonth,
  lastGoodDay,
  lastGoodDayAfterMonths,
} from "../../src/lib/core/base/dates.ts";
import { parseAudit } from "../../src/lib/core/formats/auditFile.ts";
import { parsePriceBook, parsePriceCsv, priceCsv } from "../../src/lib/core/formats/priceCsv.ts";
import { jsonSchemaOf } from "../../src/lib/core/formats/schemas.ts";
import { putBack } from "../../src/lib/core/model/kept.ts";
import { parseWorkspace, writeWorkspace } from "../../src/lib/core/formats/workspaceFile.ts";
import { readDateText } from "../../src/lib/core/inspect/dateText.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { auditFile, good, need, ownType } from "./build.ts";

const problems = (json: unknown): string => {
  const parsed = parseAudit(json, CATALOGUE);
  return parsed.ok ? "" : parsed.problems.map((p) => `${p.where}: ${problemText(p)}`).join("\n");
};
/** A right file with one thing changed. */
const spoilt = (change: (file: ReturnType<typeof raw>) => void) => {
  const file = raw();
  change(file);
  return problems(JSON.parse(JSON.stringify(file)));
};
// Loosely typed on purpose: the tests put wrong things in.
const raw = (): any => auditFile([need("n", "sling")], [good("a", "triangular-bandage")]); // oxlint-disable-line typescript/no-explicit-any

describe("an audit file with something wrong says what and where", () => {
  it("takes the right one", () => expect(spoilt(() => undefined)).to.equal(""));
  it("refuses another format, another version, and what is no object", () => {
    expect(problems([])).to.match(/JSON object/);
    expect(problems("x")).to.match(/JSON object/);
    expect(spoilt((f) => (f.format = "recipe"))).to.match(/format: is 'recipe'/);
    expect(spoilt((f) => (f.version = 2))).to.match(/version: is 2; .*newer/);
  });
  it("refuses counts that are negative, huge, or no number", () => {
    expect(spoilt((f) => (f.kit.lines[0].counted = -1))).to.match(/kit\.lines\[0\]\.counted/);
    expect(spoilt((f) => (f.kit.lines[0].counted = 1e9))).to.match(/kit\.lines\[0\]\.counted/);
    expect(spoilt((f) => (f.kit.lines[0].counted = NaN))).to.match(/kit\.lines\[0\]\.counted/); // JSON makes it null
    expect(spoilt((f) => (f.kit.lines[0].counted = "4"))).to.match(/kit\.lines\[0\]\.counted/);
    expect(spoilt((f) => delete f.kit.lines[0].counted)).to.match(/kit\.lines\[0\]: has neither/);
  });
  it("refuses dates that do not exist", () => {
    expect(spoilt((f) => (f.kit.lines[0].expires = "2027-02-30"))).to.match(
      /expires: is not a date that exists/,
    );
    expect(spoilt((f) => (f.kit.lines[0].expires = "2027-13"))).to.match(/expires/);
    expect(spoilt((f) => (f.brief.start = "2026-06-31"))).to.match(/brief\.start/);
  });
  it("refuses a brief of 0 people, half a day, or a negative way to care", () => {
    expect(spoilt((f) => (f.brief.people = 0))).to.match(/brief\.people/);
    expect(spoilt((f) => (f.brief.days = 0.5))).to.match(/brief\.days/);
    expect(spoilt((f) => (f.brief.hoursToCare = -1))).to.match(/brief\.hoursToCare/);
  });
  it("refuses unknown and doubled ids, each with its place", () => {
    expect(spoilt((f) => (f.kit.lines[0].itemType = "magic-wand"))).to.match(
      /kit\.lines\[0\]\.itemType: 'magic-wand'/,
    );
    expect(spoilt((f) => (f.list.needs[0].function = "magic"))).to.match(
      /list\.needs\[0\]\.function/,
    );
    expect(spoilt((f) => (f.list.needs[0].companions = ["magic"]))).to.match(/companions\[0\]/);
    expect(spoilt((f) => (f.list.needs[0].accept = [{ itemType: "magic", credit: 1 }]))).to.match(
      /accept\[0\]/,
    );
    expect(spoilt((f) => f.kit.lines.push({ ...f.kit.lines[0] }))).to.match(
      /kit\.lines: the id 'a' stands twice/,
    );
    expect(spoilt((f) => f.list.needs.push({ ...f.list.needs[0] }))).to.match(
      /list\.needs: the id 'n' stands twice/,
    );
    expect(spoilt((f) => (f.kit.lines[0].failedPoints = ["wobbles"]))).to.match(
      /'wobbles' is not an inspection point/,
    );
    expect(spoilt((f) => (f.brief.carriedElsewhere = [{ itemType: "magic", pieces: 1 }]))).to.match(
      /carriedElsewhere\[0\]/,
    );
  });
  it("refuses own types that take a catalogue id or lack what a measure needs", () => {
    const own = ownType("my-wrap", "My wrap", { measure: "metre", typical: 2 });
    expect(spoilt((f) => (f.itemTypes = [own]))).to.equal("");
    expect(spoilt((f) => (f.itemTypes = [{ ...own, id: "gauze-pad" }]))).to.match(
      /itemTypes\[0\]\.id/,
    );
    expect(spoilt((f) => (f.itemTypes = [{ ...own, typical: undefined }]))).to.match(/typical/);
  });
  it("takes a list with no needs: there is nothing to judge, which is no error", () =>
    expect(spoilt((f) => (f.list.needs = []))).to.equal(""));
  it("keeps keys it does not know in one place, and gives them out where they were", () => {
    const file = raw();
    file.note = "mine";
    file.kit.lines[0].colour = "red";
    file.brief.limits = { decibel: 3 };
    const before = structuredClone(file);
    const parsed = parseAudit(file, CATALOGUE);
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    expect(parsed.value.kept).to.deep.include.members([
      { at: ["note"], value: "mine" },
      { at: ["kit", "lines", `#${file.kit.lines[0].id}`, "colour"], value: "red" },
      { at: ["brief", "limits", "decibel"], value: 3 },
    ]);
    expect(JSON.stringify(parsed.value.kit)).to.not.contain("colour");
    expect(putBack(parsed.value)).to.deep.equal({
      ...before,
      kit: { claims: {}, ...before.kit },
    });
    // The line has moved to the end: the key follows it. A line that is gone leaves it where it is kept.
    const [first, ...rest] = parsed.value.kit.lines;
    const moved = { ...parsed.value, kit: { ...parsed.value.kit, lines: [...rest, first!] } };
    expect(putBack(moved).kit.lines.at(-1)).to.deep.include({ colour: "red" });
    const gone = putBack({ ...parsed.value, kit: { ...parsed.value.kit, lines: rest } });
    expect(gone.kept!.map((k) => k.value)).to.deep.equal(["red"]);
  });
});

describe("the workspace file", () => {
  const text = writeWorkspace(demoRecords());
  it("is the same, byte for byte, when written, read and written again", () => {
    const read = parseWorkspace(JSON.parse(text), CATALOGUE);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(writeWorkspace(read.value.records)).to.equal(text);
  });
  it("is the same whatever the order of records and keys", () => {
    const shuffled = [...demoRecords()]
      .reverse()
      .map((r) => Object.fromEntries(Object.entries(r).reverse()));
    expect(writeWorkspace(shuffled as never)).to.equal(text);
  });
  it("says which record is wrong, and gives none of them then", () => {
    const json = JSON.parse(text);
    const at = json.records.findIndex((r: { kind: string }) => r.kind === "kit");
    json.records[at].kit.lines[0].counted = -3;
    const read = parseWorkspace(json, CATALOGUE);
    expect(read.ok).to.equal(false);
    if (!read.ok) expect(read.problems[0]!.where).to.equal(`records[${at}].kit.lines[0].counted`);
  });
  it("refuses a file without records, of another version, or and gives a kit whose brief is missing an empty one, and says so", () => {
    // oxlint-disable-next-line typescript/no-explicit-any
    const without = (change: (j: any) => void) => {
      const json = JSON.parse(text);
      change(json);
      const read = parseWorkspace(json, CATALOGUE);
      return read.ok ? "" : problemText(read.problems[0]!);
    };
    expect(without((j) => delete j.records)).to.match(/cut short/);
    expect(without((j) => (j.version = 9))).to.match(/newer/);
    const json = JSON.parse(text);
    const at = json.records.findIndex((r: { kind: string }) => r.kind === "brief");
    const [{ id }] = json.records.splice(at, 1);
    const read = parseWorkspace(json, CATALOGUE);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(problemText(read.value.mended[0]!)).to.match(/brief/);
    expect(read.value.records.find((r) => r.id === id)).to.deep.include({ kind: "brief" });
  });
});

describe("dates", () => {
  it("know which days and months exist", () => {
    expect([
      isDay("2028-02-29"),
      isDay("2027-02-29"),
      isDay("2027-2-01"),
      isMonth("2027-12"),
      isMonth("2027-00"),
    ]).to.deep.equal([true, false, false, true, false]);
  });
  it("a month is good to its last day", () => {
    expect(lastGoodDay("2028-02")).to.equal("2028-02-29");
    expect(lastGoodDay("2027-04-15")).to.equal("2027-04-15");
    expect(lastGoodDayAfterMonths("2026-11", 14)).to.equal("2028-01-31");
    expect(lastGoodDayAfterMonths("2026-12-31", 2)).to.equal("2027-02-28");
  });
  const typed = (t: string) => {
    const r = readDateText(t);
    return r.ok ? r.value : `! ${problemText(r.problem)}`;
  };
  it("are read as they are typed off a wrapper", () => {
    expect(
      [
        "2027-05",
        "05/2027",
        "5.2027",
        "05/27",
        "May 2027",
        "may27",
        "202705",
        "2027-05-31",
        "31.05.2027",
        "05/31/2027",
        "none",
        "",
      ].map(typed),
    ).to.deep.equal([
      "2027-05",
      "2027-05",
      "2027-05",
      "2027-05",
      "2027-05",
      "2027-05",
      "2027-05",
      "2027-05-31",
      "2027-05-31",
      "2027-05-31",
      "none",
      undefined,
    ]);
  });
  it("are refused where they can be read two ways, or do not exist", () => {
    expect(typed("05/06")).to.match(/! .*two ways/);
    expect(typed("05/06/2027")).to.match(/! .*2027-06-05 or 2027-05-06/);
    expect(typed("2027-02-30")).to.match(/! .*not a date that exists/);
    expect(typed("soon")).to.match(/! 'soon' is not a date/);
  });
});

describe("the price book as CSV", () => {
  it("comes back as it was", () => {
    const read = parsePriceCsv(priceCsv(PRICE_BOOK), (id) => CATALOGUE.types.has(id));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.products).to.deep.equal(PRICE_BOOK.products);
  });
  it("comes back whatever the titles, and never as a formula", () => {
    const title = fc
      .string({ minLength: 1, maxLength: 40, unit: "binary" })
      .filter((t) => t.trim() === t && t !== "" && !/[\u0000\r\n\u2028\u2029]/.test(t));
    fc.assert(
      fc.property(fc.array(title, { minLength: 1, maxLength: 5 }), (titles) => {
        const products = titles.map((t, i) => ({
          id: `p${i}`,
          title: t,
          itemType: "triangular-bandage",
          pack: i + 1,
          price: { amount: i + 0.5, currency: "EUR" },
          shelfMonths: null,
        }));
        const csv = priceCsv({ id: "x", title: "x", currency: "EUR", products });
        for (const line of csv.split("\r\n").slice(1))
          for (const cell of line.split(",")) expect(cell).to.not.match(/^"?[=+@\t]/);
        const read = parsePriceCsv(csv, (id) => CATALOGUE.types.has(id));
        if (!read.ok) throw new Error(JSON.stringify(read.problems));
        expect(
          read.value.products.map((p) => p.title.replace(/^'(?=[=+\-@\t])/, "")),
        ).to.deep.equal(titles.map((t) => t.replace(/^'(?=[=+\-@\t])/, "")));
      }),
      { numRuns: 100, seed: 5 },
    );
  });
  it("says which row is wrong, and takes none then", () => {
    const bad = parsePriceCsv(
      "title,itemType,price\nGood,no-such-thing,1\nPads,gauze-pad,abc\n",
      (id) => CATALOGUE.types.has(id),
    );
    expect(bad.ok).to.equal(false);
    if (!bad.ok)
      expect(bad.problems.map((p) => p.where)).to.deep.equal(["row 2, itemType", "row 3, price"]);
    const headless = parsePriceCsv("a,b\n1,2\n", (id) => CATALOGUE.types.has(id));
    expect(!headless.ok && problemText(headless.problems[0]!)).to.match(
      /lacks the column 'title', 'itemType', 'price'/,
    );
  });
  it("refuses two currencies in one book", () => {
    const mixed = parsePriceBook({
      ...PRICE_BOOK,
      products: [
        PRICE_BOOK.products[0],
        { ...PRICE_BOOK.products[1], price: { amount: 1, currency: "CHF" } },
      ],
    });
    expect(!mixed.ok && problemText(mixed.problems[0]!)).to.match(/is CHF in a book of EUR/);
  });
});

describe("JSON Schemas", () => {
  it("are generated from what the program itself checks", () => {
    const schema = jsonSchemaOf("audit") as {
      properties: Record<string, unknown>;
      required: string[];
    };
    expect(Object.keys(schema.properties)).to.include.members([
      "format",
      "version",
      "brief",
      "list",
      "kit",
    ]);
    expect(schema.required).to.include.members(["brief", "list", "kit"]);
    expect(JSON.stringify(jsonSchemaOf("workspace"))).to.contain("wide-sieve.workspace");
  });
});

describe("a file of an earlier version", () => {
  it("still loads: the first workspace that was ever written", () => {
    const read = parseWorkspace(
      JSON.parse(readFileSync(new URL("../fixtures/workspace-v1.json", import.meta.url), "utf8")),
      CATALOGUE,
    );
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const kit = read.value.records.find((r) => r.kind === "kit")!;
    expect(kit).to.deep.include({ version: 4, plan: { question: "cheapest", budget: null } });
  });
});
