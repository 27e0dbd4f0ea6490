import { expect } from "chai";
import { isExportDue } from "../../src/lib/ui/exportAll.ts";
import { ShelfState } from "../../src/lib/state/pages/shelf.svelte.ts";
import { PERSONAL_DAY } from "../../src/lib/data/lists/personalDay.ts";
import { CompareState } from "../../src/lib/state/pages/compare.svelte.ts";
import { ImportPricesState } from "../../src/lib/state/pages/importPrices.svelte.ts";
import { ListsState } from "../../src/lib/state/pages/lists.svelte.ts";
import { PricesState } from "../../src/lib/state/pages/prices.svelte.ts";
import { SetState } from "../../src/lib/state/pages/set.svelte.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { CREW_BOX, demoShelf } from "./open.ts";

const POUCH = "kit:demo-bleed-pouch";

describe("a set that goes out together", () => {
  let set: SetState;
  beforeEach(async () => {
    await demoShelf();
    const compare = new CompareState();
    compare.left = { "kit:demo-family-set": true };
    const key = compare.makeSet()!;
    set = new SetState(() => `set:${key}`);
  });

  it("is named after who carries it, else after its kit, in text and table", () => {
    set.changeMember(POUCH, { carriedBy: " the leader " }, "by");
    expect(set.carrier(POUCH)).to.equal("the leader");
    expect(set.carrier(CREW_BOX)).to.equal(workspace.kit(CREW_BOX)!.kit.name);
    const [heading, ...rows] = set.table();
    expect(heading!.slice(2)).to.have.members([
      "the leader",
      workspace.kit(CREW_BOX)!.kit.name,
      "carried twice",
    ]);
    expect(rows.length).to.equal(set.audit!.needs.length);
  });
  it("weighs a kit as often as it is carried", () => {
    const once = set.massG;
    set.changeMember(POUCH, { count: 3 }, "count");
    const thrice = set.massG;
    set.changeMember(POUCH, { count: 2 }, "count");
    expect(thrice - set.massG).to.be.closeTo(set.massG - once, 1e-6);
    expect(thrice).to.be.greaterThan(once);
  });
  it("takes kits in and out, and what is taken out may be added again", () => {
    set.takeOut(POUCH);
    expect(set.members.map((m) => m.kit)).to.deep.equal([CREW_BOX]);
    expect(set.others.map((k) => k.id)).to.include(POUCH);
    set.add(POUCH);
    expect(set.members.map((m) => m.kit)).to.deep.equal([CREW_BOX, POUCH]);
  });
  it("is gone when removed, its kits are not, and undo brings it back", () => {
    expect(set.remove()).to.equal(true);
    expect(set.record).to.equal(undefined);
    expect(set.remove()).to.equal(false);
    expect(workspace.kit(POUCH)).to.not.equal(undefined);
    workspace.undo();
    expect(set.members.length).to.equal(2);
  });
});

describe("the price book's page", () => {
  beforeEach(demoShelf);

  it("finds by every word, in name, kind or source", () => {
    const prices = new PricesState();
    const [first] = prices.book.products;
    prices.query = `${first!.title.split(" ")[0]!.toUpperCase()} ${first!.id}`;
    expect(prices.found.map((p) => p.id)).to.deep.equal([first!.id]);
    prices.query = `${first!.id} nosuchword`;
    expect(prices.found).to.deep.equal([]);
  });
  it("calls a price old after 366 days, and one without a day", () => {
    const prices = new PricesState();
    const [p] = prices.book.products;
    const old = (pricedOn: string | undefined) => prices.isOld({ ...p!, pricedOn });
    // Today is 2026-11-26; 366 days before is 2025-11-25.
    expect([old("2025-11-25"), old("2025-11-24"), old(undefined)]).to.deep.equal([
      false,
      true,
      true,
    ]);
  });
  it("shows a new product first and open, whatever was sought before", () => {
    const prices = new PricesState();
    prices.query = "nosuchword";
    prices.only = "out";
    prices.add();
    expect(prices.found[0]!.id).to.equal(prices.open);
    prices.remove(prices.found[0]!);
    expect(prices.open).to.equal(null);
    workspace.undo();
    expect(prices.book.products[0]!.title).to.equal("New product");
  });
  it("shows sixty and as many more as there are", () => {
    const prices = new PricesState();
    const all = prices.found.length;
    expect(all).to.be.greaterThan(60);
    expect(prices.shown + prices.nextCount).to.equal(Math.min(120, all));
    prices.showMore();
    prices.fromTheTop();
    expect(prices.shown).to.equal(60);
  });
});

describe("taking in a price list", () => {
  beforeEach(demoShelf);
  const LIST = "title,price,pack\nSterile gauze pads,2.50,10\nzonk wrap,3,1\n";

  it("guesses the columns, and says which row it cannot name and takes nothing", () => {
    const take = new ImportPricesState();
    take.begin(LIST, "barn.csv");
    expect([take.roles, take.heading, take.source]).to.deep.equal([
      ["title", "price", "pack"],
      true,
      "barn",
    ]);
    const before = workspace.priceBook;
    take.take(false);
    expect(take.problems.length).to.equal(1);
    expect(workspace.priceBook).to.equal(before);
    expect(take.open).to.equal(true);
  });
  it("adds to the book, or takes its place, and undo brings the former back", () => {
    const take = new ImportPricesState();
    const before = workspace.priceBook.products.length;
    take.begin("title,price,pack\nSterile gauze pads,2.50,10\n", "barn.csv");
    take.take(false);
    expect(workspace.priceBook.products.length).to.equal(before + 1);
    take.begin("title,price,pack\nSterile gauze pads,2.50,10\n", "barn.csv");
    take.take(true);
    expect(workspace.priceBook.products.map((p) => p.itemType)).to.deep.equal(["gauze-pad"]);
    workspace.undo();
    expect(workspace.priceBook.products.length).to.equal(before + 1);
  });
  it("does not mix two currencies", () => {
    const take = new ImportPricesState();
    take.begin("title,price,pack\nSterile gauze pads,2.50,10\n", "barn.csv");
    take.currency = "CHF";
    take.take(false);
    expect(take.problems.map((p) => p.where)).to.deep.equal(["currency"]);
  });
  it("refuses what has no row", () => {
    expect(() => new ImportPricesState().begin("\n \n", "empty.csv")).to.throw("nothing stands");
  });
});

describe("the lists' page", () => {
  beforeEach(demoShelf);
  it("has the user's own first, and counts who is judged by a list", () => {
    const lists = new ListsState();
    const shipped = lists.rows.length;
    const id = lists.copy(PERSONAL_DAY);
    expect(lists.rows[0]).to.deep.include({ id });
    expect(lists.rows.length).to.equal(shipped + 1);
    const used = workspace.kit(CREW_BOX)!.list.id;
    expect(lists.judgedBy(used)).to.be.greaterThan(0);
    expect(lists.judgedBy(lists.rows[0]!.list.id)).to.equal(0);
  });
  it("keeps two lists as one, with no need twice", () => {
    const lists = new ListsState();
    lists.doing = "combine";
    lists.secondId = lists.firstId;
    const id = lists.keepCombined()!;
    expect(workspace.ownList(id)!.list.needs.length).to.equal(lists.first!.needs.length);
  });
});

/** Works out every row, as the page does a slice at a time. */
async function workedOut(shelf: ShelfState): Promise<void> {
  while (shelf.rows.some((r) => r.isWaiting)) {
    shelf.follow();
    await new Promise((done) => setTimeout(done));
  }
}

describe("the shelf with many kits", () => {
  beforeEach(demoShelf);
  it("finds by every word, in name, outing or list", () => {
    const shelf = new ShelfState();
    const all = shelf.shown.map((r) => r.k.kit.name);
    expect(all).to.deep.equal([...all].sort((a, b) => a.localeCompare(b)));
    shelf.seek = "crew orchard";
    expect(shelf.shown.map((r) => r.k.id)).to.deep.equal([CREW_BOX]);
    shelf.seek = "no such kit";
    expect(shelf.shown).to.deep.equal([]);
  });
  it("works out the row of a kit anew when it, its brief, the price book or an own kind changes, and no other", async () => {
    const shelf = new ShelfState();
    await workedOut(shelf);
    const rowsBy = () => new Map(shelf.rows.map((r) => [r.k.id, r]));
    const before = rowsBy();
    workspace.edit("rename", [
      { ...workspace.kit(POUCH)!, kit: { ...workspace.kit(POUCH)!.kit, name: "Another" } },
    ]);
    const after = rowsBy();
    expect(after.get(POUCH)!.k.kit.name).to.equal("Another");
    expect(after.get(CREW_BOX), "another kit").to.equal(before.get(CREW_BOX));
    expect(after.get(POUCH)!.isWaiting, "its own").to.equal(true);
    await workedOut(shelf);
    expect(rowsBy().get(POUCH)!.a!.coverage).to.equal(before.get(POUCH)!.a!.coverage);
    const brief = workspace.brief(workspace.kit(CREW_BOX)!.briefId)!;
    workspace.edit("more people", [{ ...brief, brief: { ...brief.brief, people: 30 } }]);
    expect(rowsBy().get(CREW_BOX)!.a, "as it was, until the new is there").to.equal(
      before.get(CREW_BOX)!.a,
    );
    await workedOut(shelf);
    expect(rowsBy().get(CREW_BOX)!.a!.coverage, "its brief").to.not.equal(
      before.get(CREW_BOX)!.a!.coverage,
    );
  });
  it("brings first what is least ready, dearest, or due next; of equals by name", async () => {
    const shelf = new ShelfState();
    shelf.order = "readiness";
    expect(shelf.shown.every((r) => r.isWaiting && r.a === null)).to.equal(true);
    await workedOut(shelf);
    expect(shelf.shown.every((r) => r.a !== null)).to.equal(true);
    const low = () => shelf.shown.map((r) => r.a?.interval?.[0] ?? -1);
    shelf.order = "readiness";
    expect(low()).to.deep.equal([...low()].sort((a, b) => a - b));
    shelf.order = "price";
    const prices = shelf.shown.map((r) => r.k.kit.price?.amount ?? -1);
    expect(prices).to.deep.equal([...prices].sort((a, b) => b - a));
    shelf.order = "due";
    const due = shelf.shown.map((r) => r.due ?? "9999");
    expect(due).to.deep.equal([...due].sort());
    expect(due[0]! >= workspace.today).to.equal(true);
  });
});

describe("a reminder to export", () => {
  it("stands where kits of one's own were never exported, or not for more than thirty days", () => {
    expect(isExportDue(null, "2026-11-26", 0)).to.equal(false);
    expect(isExportDue(null, "2026-11-26", 1)).to.equal(true);
    expect(isExportDue("2026-10-27", "2026-11-26", 2)).to.equal(false);
    expect(isExportDue("2026-10-26", "2026-11-26", 2)).to.equal(true);
  });
});
