import {
  compareKits,
  compareSchools,
  type Contender,
  type Judge,
  type KitRow,
} from "../core/compare/compareKits.ts";
import type { PriceBook } from "../core/model/priceBook.ts";

/** What the page asks, numbered; the page drops old answers. */
export interface CompareAsked {
  readonly run: number;
  readonly contenders: readonly Contender[];
  readonly judge: Judge;
  readonly today: string;
  readonly book: PriceBook;
  readonly schools: boolean;
}
export interface CompareAnswer {
  readonly run: number;
  readonly rows: readonly KitRow[];
  readonly schools: ReturnType<typeof compareSchools> | null;
}

onmessage = (event: MessageEvent<CompareAsked>) => {
  const { run, contenders, judge, today, book, schools } = event.data;
  const answer: CompareAnswer = {
    run,
    rows: compareKits(contenders, judge, today, book),
    schools: schools ? compareSchools(contenders, judge, today) : null,
  };
  postMessage(answer);
};
