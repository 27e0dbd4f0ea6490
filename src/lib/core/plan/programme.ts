import type { PriceBook } from "../model/priceBook.ts";
import type { Leaving } from "./leaving.ts";
import type { Entries, LinearModel, Row } from "./linearModel.ts";
import type { Portions } from "./portions.ts";
import type { Stocks } from "./stocks.ts";

/** The plan's programme: what its columns stand for (planModel.ts builds it). */

/** Full is full but for the solver's own tolerance. */
export const FULL_SLACK = 1e-7;

/** Units of a stock that serve a need, with the companions that are there. */
export interface Arc {
  readonly column: number;
  /** First line of the stock. */
  readonly stock: number;
  readonly need: number;
  readonly f: number;
  readonly r: number;
  readonly yield: number;
  readonly tool: boolean;
  /** Columns of companions that must be there for it, and those that must not. */
  readonly there: readonly number[];
  readonly lacks: readonly number[];
}

export interface PlanModel {
  readonly model: LinearModel;
  /** Column of the packs of each product; −1: it serves nothing here. */
  readonly packs: readonly number[];
  /** Column of the steps of a kit line that stay at home (see portions.ts); null: all of it is carried. */
  readonly left: readonly (Leave | null)[];
  readonly stocks: Stocks;
  readonly arcs: readonly Arc[];
  /** Units a stock holds: what its lines hold and each column adds. */
  readonly supplyOf: ReadonlyMap<number, Supply>;
  /** Columns that follow from the rest, and how. */
  readonly follows: Follows[];
  /** Coverage of vital needs and of all, both on 0–100, as entries of a row. */
  readonly vitalCoverage: Entries;
  readonly coverage: Entries;
  /** Price in minor units, bought mass in g. */
  readonly price: Entries;
  readonly mass: Entries;
  /** The row that holds the price to the budget; null: no budget. */
  readonly budget: Row | null;
  /** What stays at home, g: as little as the limits allow. */
  readonly leftMass: Entries;
  /** What is carried in the end, g and ml. */
  readonly carriedMass: Carried;
  readonly carriedBulk: Carried;
}

/** A load: what is carried whatever is done, and what each column adds or takes away. */
export interface Carried {
  readonly held: number;
  readonly entries: Entries;
}

/** Steps of a line that stay at home. */
interface Leave {
  readonly column: number;
  readonly portions: Portions;
  /** 1 exactly where all of it stays, and with the last step what is less than one; null: nothing is. */
  readonly gone: number | null;
}

/** A column whose value is known once the others are. */
export interface Follows {
  readonly column: number;
  readonly value: (x: ArrayLike<number>) => number;
}

export interface Supply {
  readonly held: number;
  readonly changes: Entries;
  /** The most it can come to. */
  readonly most: number;
}

export interface ModelOptions {
  /** Every vital need in full; only what does its whole job counts for it. */
  readonly vitalInFull: boolean;
  /** Kit lines may stay at home: none, whole ones, or parts too. */
  readonly leave: Leaving;
  /** Lines always carried in full, by id. */
  readonly keep: ReadonlySet<string>;
  /** Buy at so many sources at most. null: at any number. */
  readonly maxSources: number | null;
  /** Prices, and what its sources ask beside them. */
  readonly book: PriceBook;
}
