import type { Lasting, LastingAsk } from "../core/chance/lasting.ts";
import type { Action, unmetAfter } from "../core/plan/actions.ts";
import type { Places } from "../core/plan/places.ts";
import type { Postage } from "../core/plan/orders.ts";
import type { Axis, FrontierPoint } from "../core/plan/frontier.ts";
import type { Obstacle } from "../core/plan/infeasible.ts";
import type { Measured, Stage } from "../core/plan/stages.ts";
import type { compareSchools, Contender, Judge, KitRow } from "../core/compare/compareKits.ts";
import type { PriceBook } from "../core/model/priceBook.ts";
import type { PlanQuestion } from "../core/plan/request.ts";
import type { Block } from "../report/blocks.ts";
import type { Without } from "../core/plan/without.ts";
import type { OneMore } from "../core/chance/oneMore.ts";
import type { Rare } from "../core/chance/rare.ts";
import type { Simulation } from "../core/chance/simulate.ts";
import type { Swing } from "../core/chance/tornado.ts";
import type { CardReading } from "../core/card/readCard.ts";
import type { AliasRecord } from "../core/records/aliasRecord.ts";
import type { HabitRecord } from "../core/records/habitRecord.ts";
import type { Incidents } from "../core/model/incident.ts";
import type { Readiness } from "../core/log/readiness.ts";
import type { ReadyToGo } from "../core/log/readyToGo.ts";
import type { AuditFile } from "../core/model/auditFile.ts";
import type { Grade } from "../core/score/grade.ts";
import type { SiftedNeed } from "../core/sieve/sift.ts";

/** What the page and its workers say to each other; client.ts numbers it. */

export type PlanAsk =
  | { readonly is: "plan"; readonly request: PlanQuestion }
  /** The limits of a frontier and a quick answer for each. */
  | { readonly is: "curve"; readonly request: PlanQuestion; readonly axis: Axis }
  /** Some points of a frontier, exactly, each as it is found. */
  | {
      readonly is: "points";
      readonly request: PlanQuestion;
      readonly axis: Axis;
      readonly limits: readonly number[];
    }
  /** The cheapest purchases with which the kit lasts with a chance. */
  | ({ readonly is: "lasting" } & Omit<LastingAsk, "catalogue" | "solver">)
  /** What would be done without one product of the plan made for the request. */
  | { readonly is: "without"; readonly request: PlanQuestion; readonly product: string };

export type PlanSays =
  | {
      readonly is: "progress";
      readonly stage: Stage;
      readonly share: number;
      readonly best?: number;
      readonly bound?: number;
    }
  | { readonly is: "quick"; readonly quick: QuickShown }
  /** The best there is; the lightest of equally good ones is sought yet. */
  | { readonly is: "proven"; readonly proven: ChoiceShown }
  | { readonly is: "done"; readonly plan: PlanShown }
  | { readonly is: "curve"; readonly points: readonly FrontierPoint[] }
  | { readonly is: "point"; readonly point: FrontierPoint }
  | { readonly is: "points-done" }
  | { readonly is: "lasting-share"; readonly share: number }
  | { readonly is: "lasting"; readonly lasting: Lasting }
  | { readonly is: "without"; readonly product: string; readonly without: Without };

export interface CompareAsk {
  readonly contenders: readonly Contender[];
  readonly judge: Judge;
  readonly today: string;
  readonly book: PriceBook;
  readonly schools: boolean;
}
export interface CompareSays {
  readonly is: "compared";
  readonly rows: readonly KitRow[];
  readonly schools: ReturnType<typeof compareSchools> | null;
}

/** How ready a kit was since its log began, and the fewest checks before it goes. */
export interface LogAsk {
  readonly file: AuditFile;
  readonly today: string;
}
export interface LogSays {
  readonly is: "log";
  readonly readiness: Readiness;
  readonly go: ReadyToGo | null;
}

/** Outings to be played; what is worked out beyond the run itself comes after it. */
export interface ChanceAsk {
  readonly file: AuditFile;
  readonly incidents: Incidents;
  readonly today: string;
  readonly book: PriceBook;
  readonly trips: number;
  readonly seed: number;
  /** Only the chance itself, as a report wants it: not what one more would do, nor what it hangs on. */
  readonly only?: boolean;
}
export type ChanceSays =
  | { readonly is: "run"; readonly run: Simulation }
  | { readonly is: "rare"; readonly rare: readonly Rare[] }
  | { readonly is: "more"; readonly more: readonly OneMore[]; readonly done: boolean }
  | { readonly is: "tornado"; readonly swings: readonly Swing[]; readonly done: boolean };

/** Of a card: what the user's corrections taught, what it lists, where its columns are unclear; or only to get ready. */
export type CardAsk =
  | {
      readonly is: "know";
      readonly aliases: readonly AliasRecord[];
      readonly habits: readonly HabitRecord[];
    }
  | { readonly is: "read"; readonly text: string }
  | { readonly is: "columns"; readonly text: string }
  | { readonly is: "warm" };
export type CardSays =
  /** 0–1. */
  | { readonly is: "progress"; readonly share: number }
  | { readonly is: "read"; readonly reading: CardReading }
  /** Line of the card where a table begins whose columns nobody has named; null: none. */
  | { readonly is: "columns"; readonly at: number | null };

/** What a spreadsheet says. */
export type SheetSays =
  | { readonly is: "text"; readonly text: string }
  | { readonly is: "problem"; readonly why: string };

/** A report to be made into a PDF, away from the page. */
export interface PdfAsk {
  readonly title: string;
  readonly blocks: readonly Block[];
}
export type PdfSays =
  | { readonly is: "progress"; readonly share: number }
  | { readonly is: "done"; readonly blob: Blob };

/** What a plan comes to. */
export interface ChoiceShown {
  readonly price: number;
  /** 0–1. */
  readonly coverage: number;
  readonly grade: Grade | null;
}

/** A first answer without proof, and what no plan can better. */
export interface QuickShown extends ChoiceShown {
  readonly reaches: boolean;
  readonly bound: { readonly of: Measured; readonly bound: number } | null;
}

/** A plan as the screens show it. */
export type PlanShown =
  | { readonly status: "infeasible"; readonly why: readonly Obstacle[] }
  | {
      readonly status: "optimal" | "feasible";
      readonly gap: number;
      readonly gapIn: Measured;
      /** Whether no equally good plan weighs less, or as much with fewer products. */
      readonly tiesProven: boolean;
      readonly actions: readonly Action[];
      /** Postage among it. */
      readonly price: number;
      readonly postage: readonly Postage[];
      /** What is bought now and what runs out over five years; only where that was asked. */
      readonly owning: number | null;
      readonly boughtMassG: number;
      readonly carriedMassG: number;
      readonly carriedVolumeMl: number;
      readonly packs: number;
      readonly before: number;
      readonly coverage: number;
      readonly grade: Grade;
      /** What stays short of full after it, the weightiest first. */
      readonly unmet: ReturnType<typeof unmetAfter>;
      /** Where everything goes in the bag; null: its compartments are not measured. */
      readonly places: Places | null;
      /** Need ids in order, with where they rest and what reaches the pan after the plan. */
      readonly needs: readonly {
        readonly id: string;
        readonly restsOn: SiftedNeed["restsOn"];
        readonly value: number;
      }[];
    };
