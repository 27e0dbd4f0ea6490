import { problemText } from "../../src/lib/words/problems.ts";
import type { Product } from "../../src/lib/core/model/priceBook.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { typeLookup } from "../../src/lib/core/catalogue/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import {
  guessPriceColumns,
  mergeBooks,
  parsePriceCsv,
  priceBookOfTable,
  priceCsv,
} from "../../src/lib/core/formats/priceCsv.ts";
import { actionsOf } from "../../src/lib/core/plan/actions.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { applyPriceList, priceListSchema, repriced } from "../../src/lib/core/plan/priceList.ts";
import { mayPropose } from "../../src/lib/core/catalogue/mayPropose.ts";
import { alternates, shoppingList, shoppingTable } from "../../src/lib/core/plan/shopping.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { supplier } from "../../src/lib/devices/priceList.ts";
import { simulatedPrices } from "../../src/lib/server/simulatedPrices.ts";
import { shoppingText } from "../../src/lib/words/shoppingText.ts";
import { auditFile, need } from "./build.ts";
import { bookOf, product, realSolver, request, solved } from "./planBuild.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

const typeOf = typeLookup([], CATALOGUE);
const isType = (id: string) => typeOf(id) !== undefined;

describe("a product's price", () => {
  it("keeps what it was before, with its day", () => {
    const first = product("a", "gauze-pad", 5, 2, { pricedOn: "2026-01-05" });
    const second = repriced(first, 2.4, "2026-06-01");
    expect(second).to.deep.include({ pricedOn: "2026-06-01" });
    expect(second.price.amount).to.equal(2.4);
    expect(second.history).to.deep.equal([{ on: "2026-01-05", amount: 2 }]);
    const third = repriced(second, 2.6, "2026-09-01");
    expect(third.history).to.deep.equal([
      { on: "2026-01-05", amount: 2 },
      { on: "2026-06-01", amount: 2.4 },
    ]);
  });
  it("asked again and the same: only the day is new", () => {
    const p = repriced(
      product("a", "gauze-pad", 5, 2, { pricedOn: "2026-01-05" }),
      2,
      "2026-06-01",
    );
    expect(p.history).to.equal(undefined);
    expect(p.pricedOn).to.equal("2026-06-01");
  });
});

describe("a supplier's list", () => {
  const book = bookOf([
    product("a", "gauze-pad", 5, 2, { leadDays: 2 }),
    product("b", "gauze-pad", 1, 1, { inStock: false }),
    product("c", "sling", 1, 1),
  ]);
  const list = {
    day: "2026-11-26",
    currency: "EUR",
    prices: [
      { id: "a", amount: 2.2, inStock: false, leadDays: 6 },
      { id: "b", amount: 1, inStock: true },
      { id: "unknown", amount: 1, inStock: true },
    ],
  };
  it("the last 60 earlier prices are kept", () => {
    let p: Product = product("a", "sling", 1, 1000);
    for (let n = 1; n <= 65; n++) p = repriced(p, 1000 + n, "2026-01-05");
    expect(p.history!.length).to.equal(60);
    expect([p.history![0]!.amount, p.history!.at(-1)!.amount]).to.deep.equal([1005, 1064]);
  });
  it("changes price, stock and lead time, says what changed, and leaves the rest", () => {
    const { book: after, changes } = applyPriceList(book, list);
    expect(changes).to.deep.equal([
      { code: "price", id: "a", from: 2, to: 2.2 },
      { code: "out", id: "a" },
      { code: "lead", id: "a", from: 2, to: 6 },
      { code: "back", id: "b" },
    ]);
    expect(after.products.map((p) => mayPropose(p, typeOf))).to.deep.equal([false, true, true]);
    expect(after.products[2]).to.equal(book.products[2]);
    expect(applyPriceList(after, list).changes).to.deep.equal([]);
  });
  it("in another currency changes nothing", () => {
    expect(applyPriceList(book, { ...list, currency: "SEK" }).changes).to.deep.equal([]);
  });
  it("of the stand-in is the same for a day, moves with the weeks, and stays near the book", () => {
    const day = (d: string) => simulatedPrices(PRICE_BOOK, d, 1);
    expect(day("2026-11-26")).to.deep.equal(day("2026-11-26"));
    expect(priceListSchema.safeParse(day("2026-11-26")).success).to.equal(true);
    const later = day("2026-12-20").prices;
    expect(day("2026-11-26").prices.some((p, i) => p.amount !== later[i]!.amount)).to.equal(true);
    day("2026-11-26").prices.forEach((p, i) => {
      const was = PRICE_BOOK.products[i]!.price.amount;
      // 12 % either way, to the next five cents
      expect(Math.abs(p.amount - was)).to.be.at.most(0.12 * was + 0.05);
    });
    const out = day("2026-11-26").prices.filter((p) => !p.inStock).length;
    expect(out).to.be.within(3, 30);
  });
});

describe("the supplier", () => {
  const real = globalThis.fetch;
  afterEach(() => {
    globalThis.fetch = real;
  });
  const answering = (status: number, body: unknown) => {
    globalThis.fetch = (() =>
      Promise.resolve(new Response(JSON.stringify(body), { status }))) as typeof fetch;
  };
  const why = async (): Promise<string> =>
    supplier.pricesOn("2026-11-26").then(
      () => "",
      (e: Error) => e.message,
    );
  it("gives its list of the day", async () => {
    answering(200, simulatedPrices(PRICE_BOOK, "2026-11-26", 1));
    expect((await supplier.pricesOn("2026-11-26")).prices).to.have.length(
      PRICE_BOOK.products.length,
    );
  });
  it("says so when it fails, or sends what is no list", async () => {
    answering(503, {});
    expect(await why()).to.contain("503");
    answering(200, { day: "2026-02-30", currency: "EUR", prices: [] });
    expect(await why()).to.contain("cannot be read");
    answering(200, { day: "2026-11-26", currency: "EUR", prices: [{ id: "a", amount: -1 }] });
    expect(await why()).to.contain("cannot be read");
  });
});

describe("a price list in any table", () => {
  const asked = {
    hasHeading: true,
    currency: "EUR",
    source: "Mill",
    today: "2026-11-26",
  };
  const typeOf = (words: string) =>
    /gauze/i.test(words) ? "gauze-pad" : /sling/i.test(words) ? "triangular-bandage" : null;
  it("is read by its headings, kinds by their names, prices with or without a sign", () => {
    const rows = [
      ["Art. no.", "Description", "Per pack", "Net price", "Delivery", "Colour"],
      ["77", "Gauze swabs 5s", "5", "€ 2,40", "3", "white"],
      ["78", "Sling", "1", "1.10", "", ""],
    ];
    const roles = guessPriceColumns(rows[0]!);
    expect(roles).to.deep.equal(["id", "title", "pack", "price", "leadDays", null]);
    const read = priceBookOfTable(rows, { ...asked, roles }, typeOf);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(
      read.value.products.map((p) => [p.id, p.itemType, p.pack, p.price.amount]),
    ).to.deep.equal([
      ["77", "gauze-pad", 5, 2.4],
      ["78", "triangular-bandage", 1, 1.1],
    ]);
    expect(read.value.products[0]).to.deep.include({
      source: "Mill",
      leadDays: 3,
      pricedOn: "2026-11-26",
    });
  });
  it("says which row names nothing, and takes nothing in", () => {
    const read = priceBookOfTable(
      [
        ["Name", "Price"],
        ["Gauze", "1"],
        ["Mystery", "2"],
      ],
      { ...asked, roles: ["title", "price"] },
      typeOf,
    );
    expect(read.ok).to.equal(false);
    expect(!read.ok && read.problems.map((p) => p.where)).to.deep.equal(["row 3"]);
  });
  it("says what is missing, and what is no price", () => {
    const none = priceBookOfTable([["x"]], { ...asked, roles: [null] }, typeOf);
    expect(!none.ok && problemText(none.problems[0]!)).to.contain("title");
    const wrong = priceBookOfTable(
      [
        ["Name", "Price"],
        ["Gauze", "on request"],
      ],
      { ...asked, roles: ["title", "price"] },
      typeOf,
    );
    expect(!wrong.ok && wrong.problems[0]!.where).to.contain("row 2");
  });
  it("added to a book: known products get their new price and keep the old, new ones come behind", () => {
    const book = bookOf([product("77", "gauze-pad", 5, 2, { pricedOn: "2026-01-01", massG: 33 })]);
    const more = bookOf([
      product("77", "gauze-pad", 5, 2.4, { pricedOn: "2026-11-26", massG: 33 }),
      product("new", "gauze-pad", 1, 1),
    ]);
    const merged = mergeBooks(book, more, "2026-11-26");
    expect([merged.added, merged.changed]).to.deep.equal([1, 1]);
    expect(merged.book.products.map((p) => p.id)).to.deep.equal(["77", "new"]);
    expect(merged.book.products[0]!.history).to.deep.equal([{ on: "2026-01-01", amount: 2 }]);
  });
  it("what a source asks besides goes out on its first row and comes back, and is taken in with the prices", () => {
    const from = (id: string, source?: string) =>
      product(id, "gauze-pad", 5, 2, source === undefined ? {} : { source });
    const book = {
      ...bookOf([from("a", "North"), from("b", "North"), from("c", "South"), from("d")]),
      sources: [
        { source: "North", postage: 4.5, freeFrom: 40 },
        { source: "South", minimum: 15 },
        { source: "", postage: 2 },
      ],
    };
    const rows = priceCsv(book).trim().split("\r\n");
    expect(rows.map((r) => r.split(",").slice(-3).join())).to.deep.equal([
      "postage,freeFrom,minimum",
      "4.5,40,",
      ",,",
      ",,15",
      "2,,",
    ]);
    const back = parsePriceCsv(priceCsv(book), isType);
    if (!back.ok) throw new Error(JSON.stringify(back.problems));
    expect(back.value.sources).to.deep.equal(book.sources);
    const older = {
      ...book,
      sources: [
        { source: "North", postage: 9 },
        { source: "West", postage: 1 },
      ],
    };
    expect(mergeBooks(older, back.value, "2026-11-26").book.sources).to.deep.equal([
      book.sources[0],
      { source: "West", postage: 1 },
      book.sources[1],
      book.sources[2],
    ]);
    // Without such terms the file has the columns it always had.
    expect(priceCsv(bookOf([from("a")])).split("\r\n")[0]).to.match(/pricedOn$/);
  });
  it("two rows of one source with other terms are refused by name", () => {
    const csv =
      "title,itemType,price,source,postage\nA,gauze-pad,1,North,3\nB,gauze-pad,1,North,4\n";
    const read = parsePriceCsv(csv, isType);
    expect(read.ok).to.equal(false);
    if (!read.ok)
      expect(read.problems[0]).to.deep.include({
        where: "row 3, postage",
        code: "prices-terms-differ",
        values: { source: "North" },
      });
  });
  it("a book survives CSV and being taken in again, whatever its names", () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            id: fc.stringMatching(/^[a-z0-9-]{1,12}$/),
            title: fc
              .string({ minLength: 1, maxLength: 30 })
              .filter((t) => t.trim() === t && t !== ""),
            pack: fc.integer({ min: 1, max: 200 }),
            cents: fc.integer({ min: 0, max: 100_000 }),
          }),
          { minLength: 1, maxLength: 8, selector: (p) => p.id },
        ),
        (products) => {
          const book = bookOf(
            products.map((p) =>
              product(p.id, "gauze-pad", p.pack, p.cents / 100, { title: p.title }),
            ),
          );
          const back = parsePriceCsv(priceCsv(book), isType);
          if (!back.ok) throw new Error(JSON.stringify(back.problems));
          const merged = mergeBooks(book, back.value, "2026-11-26");
          expect(merged.added).to.equal(0);
          expect(merged.book.products.map((p) => [p.id, p.pack, p.price.amount])).to.deep.equal(
            book.products.map((p) => [p.id, p.pack, p.price.amount]),
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("a shopping list", () => {
  const file = auditFile(
    [need("p", "medium-wound-pad", { quantity: { base: 7 } }), need("s", "sling")],
    [],
  );
  const products = [
    product("five", "gauze-pad", 5, 2, { source: "Mill", leadDays: 2, sizeMm: [100, 100] }),
    product("small", "gauze-pad", 5, 9, { source: "Mill", sizeMm: [50, 50] }),
    product("ten", "gauze-pad", 10, 9, { source: "Kiln", sizeMm: [100, 100] }),
    product("sling", "triangular-bandage", 1, 1.5, { source: "Ferry", leadDays: 9 }),
  ];
  it("stands by source, the slowest first, with what is left over and what may stand in", () => {
    const r = request(file, products, { target: 1 });
    const sources = shoppingList(actionsOf(solved(r, solver), r), r.book, typeOf);
    expect(sources.map((s) => [s.source, s.price, s.leadDays])).to.deep.equal([
      ["Ferry", 1.5, 9],
      ["Mill", 4, 2],
    ]);
    const pads = sources[1]!.lines[0]!;
    // Seven asked, sold in fives: two packs, three over.
    expect([pads.packs, pads.pieces, pads.spare]).to.deep.equal([2, 10, 3]);
    expect(pads.alternates.map((p) => p.id)).to.deep.equal(["ten"]);
    expect(shoppingTable(sources, "EUR")[2]!.slice(0, 8)).to.deep.equal([
      "Mill",
      "five",
      2,
      5,
      10,
      3,
      4,
      "EUR",
    ]);
    expect(shoppingText(sources, "EUR", "Box")).to.match(
      /^Shopping list: Box[\s\S]*In all .*5\.50/,
    );
  });
  it("names two stand-ins, the cheapest a piece first: 0.50, then 0.90, and not 1.20", () => {
    const five = products[0]!;
    const large = { source: "Kiln", sizeMm: [100, 100] as [number, number] };
    const three = product("three", "gauze-pad", 3, 3.6, large);
    const hundred = product("hundred", "gauze-pad", 100, 50, large);
    const book = bookOf([five, three, products[2]!, hundred]);
    expect(alternates(five, book, typeOf).map((p) => p.id)).to.deep.equal(["hundred", "ten"]);
  });
  it("names no stand-in that is smaller, out of stock or for licensed use", () => {
    const five = products[0]!;
    const ten = { ...products[2]!, inStock: false };
    expect(alternates(five, bookOf([five, products[1]!, ten]), typeOf)).to.deep.equal([]);
  });
});
