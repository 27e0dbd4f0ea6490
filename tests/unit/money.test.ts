import { afterEach, describe, it } from "mocha";
import { expect } from "chai";
import { roundMoney, roundMoneyUp } from "../../src/lib/core/base/money.ts";
import { convertBook, rateBetween } from "../../src/lib/core/plan/convertBook.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import {
  day,
  grams,
  litres,
  metres,
  money,
  number,
  PLAIN,
  showBy,
  size,
  typedUnit,
} from "../../src/lib/words/display.ts";

describe("amounts that can be paid", () => {
  it("are whole cents, yen, fils; up takes the next one, but not for the last bit of a sum", () => {
    expect(roundMoney(1.234, "EUR")).to.equal(1.23);
    expect(roundMoneyUp(1.231, "EUR")).to.equal(1.24);
    expect(roundMoneyUp(0.1 + 0.2, "EUR")).to.equal(0.3);
    expect(roundMoneyUp(1.2, "JPY")).to.equal(2);
    expect(roundMoneyUp(1.2341, "KWD")).to.equal(1.235);
  });
});

describe("money by the user's own rate", () => {
  // base EUR: 1 GBP = 1.25 EUR, 1 USD = 0.8 EUR
  const rates = { GBP: 1.25, USD: 0.8 };
  it("goes through the base currency: 1 GBP = 1.25 / 0.8 = 1.5625 USD", () => {
    expect(rateBetween("GBP", "USD", "EUR", rates)).to.equal(1.5625);
    expect(rateBetween("EUR", "GBP", "EUR", rates)).to.equal(0.8);
    expect(rateBetween("SEK", "SEK", "EUR", rates)).to.equal(1);
  });
  it("says nothing where a rate is not known", () => {
    expect(rateBetween("SEK", "EUR", "EUR", rates)).to.equal(null);
  });
  it("converts every price to hundredths, and nothing else", () => {
    const book = convertBook(PRICE_BOOK, "GBP", 0.8);
    expect(book.currency).to.equal("GBP");
    book.products.forEach((p, i) => {
      const was = PRICE_BOOK.products[i]!;
      expect(p.price.amount).to.be.closeTo(was.price.amount * 0.8, 0.005 + 1e-9);
      expect(p.price.currency).to.equal("GBP");
      expect({ ...p, price: was.price }).to.deep.equal(was);
    });
    expect(convertBook(PRICE_BOOK, "EUR", 1)).to.equal(PRICE_BOOK);
  });
});

describe("sizes and dates as the reader writes them", () => {
  afterEach(() => showBy(() => PLAIN));
  it("metric: cm below a metre, metres above, one unit where all share it", () => {
    expect(size([75, 100])).to.equal("7.5 × 10 cm");
    expect(size([75, 4500])).to.equal("7.5 cm × 4.5 m");
    expect(size([960, 960, 1360])).to.equal("96 × 96 × 136 cm");
    expect([grams(999.4), grams(1234), litres(250), litres(1200), metres(4)]).to.deep.equal([
      "999 g",
      "1.23 kg",
      "250 ml",
      "1.2 l",
      "4 m",
    ]);
    expect(day("2027-05")).to.equal("May 2027");
    expect(day("2027-05-31")).to.equal("31 May 2027");
  });
  it("US customary: 76.2 mm are 3 in, 4572 mm 5 yd, 453.6 g a pound, 29.57 ml a fluid ounce", () => {
    showBy(() => ({ units: "us", locale: "en-US" }));
    expect(size([76.2, 101.6])).to.equal("3 × 4 in");
    expect(size([76.2, 4572])).to.equal("3 in × 5 yd");
    expect([grams(453.59237), grams(28.349523125), litres(118.294), metres(4.572)]).to.deep.equal([
      "1 lb",
      "1 oz",
      "4 fl oz",
      "5 yd",
    ]);
    expect(day("2027-05-31")).to.equal("May 31, 2027");
    expect(typedUnit("height").factor * 74).to.be.closeTo(187.96, 1e-9);
  });
  it("writes a decimal comma where the reader does, and leaves what is no date alone", () => {
    showBy(() => ({ units: "metric", locale: "de-DE" }));
    expect(number(1234.5)).to.equal("1234,5");
    expect(day("none")).to.equal("none");
    expect(number(-0)).to.equal("0");
    // One minus sign everywhere, before money too.
    expect(number(-62.5)).to.equal("−62,5");
    expect(money(-4.5, "EUR")).to.match(/^−.*4,50/);
  });
});
