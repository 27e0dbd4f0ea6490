import Papa from "papaparse";
import { buildVocabulary, matchType, NO_TYPE } from "../../core/card/vocabulary.ts";
import {
  guessPriceColumns,
  mergeBooks,
  priceBookOfTable,
  type PriceColumn,
} from "../../core/formats/priceCsv.ts";
import { NAMED_CATALOGUE } from "../../data/namedCatalogue.ts";
import { told, type Told } from "../../words/problems.ts";
import { workspace } from "../workspace.svelte.ts";

/** Columns are counted over so many rows: a stray long row further down makes no table wider. */
const ROWS_MEASURED = 20;

/** A supplier's table: what its columns hold, and what becomes of the price book with it. */
export class ImportPricesState {
  open = $state(false);
  name = $state("");
  rows = $state.raw<readonly (readonly string[])[]>([]);
  roles = $state<(PriceColumn | null)[]>([]);
  heading = $state(true);
  source = $state("");
  currency = $state("");
  problems = $state.raw<readonly Told[]>([]);
  /** Enough is known of the columns to take it in. */
  ready = $derived.by(() => this.roles.includes("title") && this.roles.includes("price"));

  /** @throws Error where there is no row */
  begin(text: string, name: string): void {
    const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: "greedy" });
    if (data.length === 0) throw new Error("nothing stands in it");
    const width = Math.max(...data.slice(0, ROWS_MEASURED).map((r) => r.length));
    const guess = guessPriceColumns(data[0]!);
    this.rows = data;
    this.roles = Array.from({ length: width }, (_, i) => guess[i] ?? null);
    this.heading = guess.some((r) => r !== null);
    this.name = name;
    this.source = name.replace(/\.[^.]+$/, "");
    this.currency = workspace.priceBook.currency;
    this.problems = [];
    this.open = true;
  }

  /** Adds the products to the book, or puts them in its place; what is wrong is told and nothing taken. */
  take(replace: boolean): void {
    const outcome = priceBookOfTable(
      this.rows,
      {
        roles: this.roles,
        hasHeading: this.heading,
        currency: this.currency,
        source: this.source,
        today: workspace.today,
      },
      typeByWords(),
    );
    if (!outcome.ok) {
      this.problems = outcome.problems.map(told);
      return;
    }
    const book = workspace.priceBook;
    const fresh = outcome.value;
    if (!replace && fresh.currency !== book.currency) {
      this.problems = [
        {
          where: "currency",
          what: `is ${fresh.currency}, the book is in ${book.currency}: put it in place of the book, or convert the file first`,
        },
      ];
      return;
    }
    if (replace) {
      workspace.changePriceBook(`import ${this.name}`, { ...fresh, title: this.name });
      workspace.sayDone(
        `${fresh.products.length} products from ${this.name} are the price book now. Undo brings the former one back.`,
      );
    } else {
      const merged = mergeBooks(book, fresh, workspace.today);
      workspace.changePriceBook(`import ${this.name}`, merged.book);
      workspace.say(
        `From ${this.name}: ${merged.added} products added, ${merged.changed} brought up to date.`,
      );
    }
    this.open = false;
  }
}

/** An item type by its id, or by a name that says nothing else. */
function typeByWords(): (words: string) => string | null {
  const vocabulary = buildVocabulary(NAMED_CATALOGUE, workspace.aliases);
  return (words) => {
    if (workspace.typeOf(words)) return words;
    const match = matchType(words, vocabulary);
    return match.type !== null && match.type !== NO_TYPE && match.whole === 1 ? match.type : null;
  };
}
