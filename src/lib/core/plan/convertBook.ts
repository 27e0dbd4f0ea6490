import { defined } from "../base/defined.ts";
import { roundMoney } from "../base/money.ts";
import type { PriceBook } from "../model/priceBook.ts";

/** What one unit of each other currency is worth in the base currency, by the user's own rate. */
export type Rates = Readonly<Record<string, number>>;

/** Units of `to` for one unit of `from`; null where a rate is not known. */
export function rateBetween(from: string, to: string, base: string, rates: Rates): number | null {
  if (from === to) return 1;
  const worth = (currency: string) => (currency === base ? 1 : rates[currency]);
  const [a, b] = [worth(from), worth(to)];
  return a === undefined || b === undefined ? null : a / b;
}

/** The book with its prices in another currency, rounded to what can be paid. */
export function convertBook(book: PriceBook, currency: string, rate: number): PriceBook {
  if (currency === book.currency) return book;
  const written = (amount: number) => roundMoney(amount * rate, currency);
  return {
    ...book,
    currency,
    products: book.products.map((p) => ({
      ...p,
      price: { ...p.price, amount: written(p.price.amount), currency },
    })),
    ...defined({
      sources: book.sources?.map(({ source, ...terms }) => ({
        source,
        ...defined({
          postage: terms.postage && written(terms.postage),
          freeFrom: terms.freeFrom && written(terms.freeFrom),
          minimum: terms.minimum && written(terms.minimum),
        }),
      })),
    }),
  };
}
