import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import ICAL from "ical.js";
import { calendarOf } from "../../src/lib/core/calendar/calendar.ts";
import { upkeep } from "../../src/lib/core/calendar/upkeep.ts";
import { icalendar } from "../../src/lib/core/formats/ical.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import type { PriceBook } from "../../src/lib/core/model/priceBook.ts";
import { auditFile, good } from "./build.ts";

const TODAY = "2026-11-25";
const file = auditFile(
  [],
  [
    good("g", "gauze-pad", 10, { expires: "2027-02" }),
    good("w", "antiseptic-wipe", 5, { expires: "none", checkedOn: "2026-08-31" }),
    good("t", "torch"),
    good("n", "whistle"),
    good("0", "gauze-pad", 0, { expires: "2027-01" }),
  ],
);
const book: PriceBook = {
  id: "b",
  title: "b",
  currency: "EUR",
  products: [
    {
      id: "p",
      title: "pads",
      itemType: "gauze-pad",
      pack: 4,
      price: { amount: 2, currency: "EUR" },
      leadDays: 10,
      shelfMonths: 24,
    },
  ],
};

describe("the calendar", () => {
  const due = calendarOf(file, "box", book, TODAY, CATALOGUE);
  it("has the last good day, the day to order by, the next look and the next full count", () => {
    expect(due.map((d) => [d.day, d.kind, d.line ?? ""])).to.deep.equal([
      ["2027-02-18", "order-by", "g"], // ten days before the end of February
      ["2027-02-28", "full-count", ""], // six months after the last look
      ["2027-02-28", "last-good", "g"],
      ["2027-02-28", "check", "w"], // 31 August and six months
      ["2027-11-25", "check", "t"], // batteries, a year from today
    ]);
  });
  it("keeps each uid from one export to the next, whatever the day", () => {
    const later = calendarOf(file, "box", book, "2026-12-24", CATALOGUE);
    expect(new Set(later.map((d) => d.uid))).to.deep.equal(new Set(due.map((d) => d.uid)));
    expect(new Set(due.map((d) => d.uid)).size).to.equal(due.length);
  });
  it("is read by another library as whole-day events, the later export the higher sequence", () => {
    const text = (today: string) =>
      icalendar(
        due.map((d) => ({
          uid: d.uid,
          day: d.day,
          title: `pads; 5, "x" \\ ü ${d.kind}`,
          description: "why\nso",
        })),
        "Box",
        today,
      );
    const read = (t: string) =>
      new ICAL.Component(ICAL.parse(t)).getAllSubcomponents("vevent").map((v) => new ICAL.Event(v));
    const events = read(text(TODAY));
    expect(events.map((e) => e.uid)).to.deep.equal(due.map((d) => d.uid));
    events.forEach((e, i) => {
      expect(e.startDate.isDate).to.equal(true);
      expect(e.startDate.toString()).to.equal(due[i]!.day);
      expect(e.duration.days + e.duration.weeks * 7).to.equal(1);
      expect(e.summary).to.equal(`pads; 5, "x" \\ ü ${due[i]!.kind}`);
    });
    expect(read(text("2026-11-26"))[0]!.sequence).to.be.greaterThan(events[0]!.sequence);
    for (const line of text(TODAY).split("\r\n")) expect(Buffer.byteLength(line)).to.be.at.most(75);
  });
});

describe("keeping it as it is", () => {
  it("replaces ten pads with three packs of four in 2027, 2029 and 2031: 6 each", () => {
    const cost = upkeep(file, book, TODAY, CATALOGUE);
    expect(cost.years.filter((y) => y.price > 0).map((y) => [y.year, y.price])).to.deep.equal([
      [2027, 6],
      [2029, 6],
      [2031, 6],
    ]);
    expect(cost.total).to.equal(18);
    expect(cost.unpriced).to.deep.equal([]);
  });
  it("replaces at once what is past, and names what no product is for", () => {
    const past = auditFile(
      [],
      [
        good("g", "gauze-pad", 4, { expires: "2020-01" }),
        good("x", "ammonia-inhalant", 1, { expires: "2027-01" }),
      ],
    );
    const cost = upkeep(past, book, TODAY, CATALOGUE);
    expect(cost.years[0]).to.deep.include({ year: 2026, price: 2 });
    expect(cost.unpriced).to.deep.equal(["x"]);
  });
  it("never buys what is for licensed use", () => {
    const pen = auditFile([], [good("a", "adrenaline-pen", 1, { expires: "2027-01" })]);
    expect(upkeep(pen, PRICE_BOOK, TODAY, CATALOGUE).unpriced).to.deep.equal(["a"]);
  });
});
