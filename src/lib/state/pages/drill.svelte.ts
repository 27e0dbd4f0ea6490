import { audit } from "../../core/audit/audit.ts";
import { Random } from "../../core/chance/random.ts";
import { drillCards, drillQuestion, type DrillQuestion } from "../../core/drill/cards.ts";
import {
  dateQuestion,
  estimateQuestion,
  findQuestion,
  paddingQuestion,
  ROUND_S,
} from "../../core/drill/rounds.ts";
import { answered, nextCard, nextDue, weeksOf } from "../../core/drill/schedule.ts";
import { inUse } from "../../core/records/keptCopy.ts";
import {
  emptyDrillRecord,
  MOST_ANSWERS,
  type DrillRecord,
} from "../../core/records/drillRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import {
  dateAsked,
  estimateAsked,
  findAsked,
  paddingAsked,
  type Asked,
  type DrillId,
} from "../../words/drillTexts.ts";
import { SIGHT_WORDS } from "../../words/exerciseTexts.ts";
import { LOCATION_LABEL } from "../../words/labels.ts";
import { lineName } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** Practising alone: cards that come again where one errs, and rounds of half a minute. */
export class DrillState {
  drill = $state<DrillId>("faults");
  question = $state.raw<DrillQuestion | null>(null);
  /** Kind of fault that was named for the question; null: none yet. */
  said = $state<string | null>(null);
  round = $state.raw<Asked | null>(null);
  roundSaid = $state<string | null>(null);
  right = $state(0);
  asked = $state(0);
  /** Seconds left of the round; null: none runs. */
  left = $state<number | null>(null);
  kitId = $state("");
  readonly #clock: () => Date;
  readonly #random = new Random();
  #shownAt = 0;
  #timer: ReturnType<typeof setInterval> | undefined;

  /** @param clock the time, so that a test may pass its own */
  constructor(clock: () => Date = () => new Date()) {
    this.#clock = clock;
    this.#random.begin(clock().getTime() % 2_147_483_647, 0);
  }

  record = $derived.by(
    (): DrillRecord => inUse(workspace.records.values(), "drill")[0] ?? emptyDrillRecord(),
  );
  cards = $derived.by(() => drillCards(workspace.today, CATALOGUE));
  weeks = $derived.by(() => weeksOf(this.record.answers));
  /** Day on which something is due again. */
  due = $derived.by(() => nextDue(this.record.cards)?.slice(0, 10) ?? null);
  learned = $derived.by(() => Object.keys(this.record.cards).length);
  kit = $derived.by(() => workspace.kit(this.kitId) ?? workspace.kits[0]);
  #audit = $derived.by(() => {
    const brief = this.kit && workspace.brief(this.kit.briefId)?.brief;
    return this.kit && brief
      ? audit(workspace.auditOf(this.kit, brief), workspace.today, CATALOGUE)
      : null;
  });

  choose(drill: DrillId): void {
    this.stop();
    this.drill = drill;
    this.question = null;
    this.said = null;
  }

  /** Shows the next thing; nothing, where all is done for today. */
  next(): void {
    const card = nextCard(this.cards, this.record.cards, this.record.answers, this.#clock());
    this.said = null;
    this.question =
      card && drillQuestion(card, this.#random, workspace.today, SIGHT_WORDS, CATALOGUE);
    this.#shownAt = this.#clock().getTime();
  }

  /** @param kind of fault; empty: it is sound */
  name(kind: string): void {
    const { question } = this;
    if (!question || this.said !== null) return;
    this.said = kind;
    const now = this.#clock();
    const seconds = Math.round((now.getTime() - this.#shownAt) / 100) / 10;
    const right = kind === question.right;
    const { mesh } = this.cards.find((c) => c.id === question.card)!;
    const { record } = this;
    const before = record.cards[question.card];
    const answer = { at: now.toISOString(), card: question.card, mesh, right, seconds };
    workspace.edit("a drill", [
      {
        ...record,
        cards: { ...record.cards, [question.card]: answered(before, right, seconds, now) },
        answers: [...record.answers, answer].slice(-MOST_ANSWERS),
      },
    ]);
  }

  start(): void {
    this.stop();
    this.right = this.asked = 0;
    this.left = ROUND_S;
    this.#ask();
    // Nothing to ask about ends it at once.
    if (!this.round) return;
    const until = this.#clock().getTime() + 1000 * ROUND_S;
    this.#timer = setInterval(() => {
      this.left = Math.max(0, Math.ceil((until - this.#clock().getTime()) / 1000));
      if (this.left === 0) this.#end();
    }, 200);
  }
  #ask(): void {
    this.roundSaid = null;
    this.round = this.#asked();
    if (!this.round) this.#end();
  }
  #asked(): Asked | null {
    switch (this.drill) {
      case "date":
        return dateAsked(dateQuestion(workspace.today, this.#random));
      case "padding":
        return paddingAsked(paddingQuestion(this.#random, CATALOGUE));
      case "estimate":
        return estimateAsked(estimateQuestion(this.#random));
      case "find": {
        const q = this.#audit && findQuestion(this.#audit, this.#random);
        return q && findAsked(q, this.#nameOf, this.#whereOf);
      }
      case "faults":
        return null;
    }
  }
  #line = (id: string) => this.#audit?.context.lines.find((l) => l.line.id === id);
  #nameOf = (id: string): string => {
    const l = this.#line(id);
    return l ? lineName(l.line, l.type?.label) : id;
  };
  #whereOf = (id: string): string => {
    const line = this.#line(id)?.line;
    if (line?.reachS !== undefined) return `${line.reachS} s when it was timed`;
    return line?.location ? LOCATION_LABEL[line.location] : "its place is not noted";
  };

  /** Answers the question of a round; the next comes at once where it was right. */
  say(option: string): void {
    if (!this.round || this.left === null || this.roundSaid !== null) return;
    this.roundSaid = option;
    this.asked++;
    if (this.round.right.includes(option)) {
      this.right++;
      this.#ask();
    }
  }
  goOn(): void {
    if (this.left !== null) this.#ask();
  }
  #end(): void {
    clearInterval(this.#timer);
    this.left = null;
  }
  /** Gives a round up. */
  stop(): void {
    this.#end();
    this.round = null;
    this.roundSaid = null;
  }
}
