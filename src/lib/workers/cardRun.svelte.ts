import { WorkerClient, type Failed } from "./client.ts";
import type { CardAsk, CardSays } from "./protocol.ts";

const cardWorker = (): Worker =>
  new Worker(new URL("./card.worker.ts", import.meta.url), { type: "module" });

type Question = Extract<CardAsk, { is: "read" | "columns" }>;
type Answer = Exclude<CardSays, { is: "progress" }> | Failed;
interface Waiting {
  readonly of: string;
  readonly question: Question;
  readonly done: (answer: Answer | null) => void;
}

/** What takes longer is shown, with a way to stop it. Shorter, and it would flicker at every keystroke. */
const SHOWN_AFTER_MS = 400;
/** Shorter texts are read in a second, some 800 lines; a longer one is not waited for when a newer of the same kit comes. */
export const SHORT_CHARACTERS = 20_000;

/** Cards read in a worker, one after another; of a kit only its newest text. */
export class CardRun {
  /** Kits whose card is yet to be read. */
  waiting = $state.raw<ReadonlySet<string>>(new Set());
  /** What has been under way for a while: of which kit, and how far, 0–1. */
  running = $state.raw<{ readonly of: string; readonly share: number } | null>(null);

  readonly #knowledge: () => Extract<CardAsk, { is: "know" }>;
  #told: object | null = null;
  #now: Waiting | null = null;
  #next: Waiting[] = [];
  #shown: ReturnType<typeof setTimeout> | undefined;
  #share = 0;
  #client = new WorkerClient<CardAsk, CardSays>(cardWorker, (said) => this.#hear(said));

  /** @param knowledge what cards are read by now: the same object as long as nothing of it changes */
  constructor(knowledge: () => Extract<CardAsk, { is: "know" }>) {
    this.#knowledge = knowledge;
  }

  /** Starts the worker before anything is asked, and lets it get ready. */
  warmUp(): void {
    if (this.#client.started) return;
    this.#tell();
    this.#client.ask({ is: "warm" });
  }

  /**
   * Asks of a kit's card.
   * @returns null: a newer question of the same kit came, or it was stopped
   */
  ask(of: string, question: Question): Promise<Answer | null> {
    this.drop(of, SHORT_CHARACTERS);
    return new Promise((done) => {
      this.#next.push({ of, question, done });
      this.#goOn();
    });
  }

  /** Whether the kit's card is being read from this text. */
  asks(of: string, text: string): boolean {
    return [this.#now, ...this.#next].some((w) => w?.of === of && w.question.text === text);
  }

  /** Gives up what is asked of a kit. @param longerThan what is under way is stopped only if its text is longer, in characters */
  drop(of: string, longerThan = 0): void {
    const dropped = this.#next.filter((w) => w.of === of);
    this.#next = this.#next.filter((w) => w.of !== of);
    if (this.#now?.of === of && this.#now.question.text.length > longerThan) {
      dropped.push(this.#now);
      this.#client.stop();
      this.#end();
    }
    for (const w of dropped) w.done(null);
    this.#goOn();
  }

  #goOn(): void {
    const next = this.#now === null ? this.#next.shift() : undefined;
    if (next) {
      this.#now = next;
      if (next.question.is === "read")
        this.#shown = setTimeout(() => {
          this.running = { of: next.of, share: this.#share };
        }, SHOWN_AFTER_MS);
      this.#client.newRun();
      this.#tell();
      this.#client.ask(next.question);
    }
    const unread = [this.#now, ...this.#next].filter((w) => w?.question.is === "read");
    this.waiting = new Set(unread.map((w) => w!.of));
  }

  #tell(): void {
    const known = this.#knowledge();
    if (this.#client.started && this.#told === known) return;
    this.#told = known;
    this.#client.ask(known);
  }

  #hear(said: CardSays | Failed): void {
    if (said.is === "progress") {
      this.#share = said.share;
      if (this.running) this.running = { ...this.running, share: said.share };
      return;
    }
    const { done } = this.#end() ?? {};
    done?.(said);
    this.#goOn();
  }

  #end(): Waiting | null {
    clearTimeout(this.#shown);
    const ended = this.#now;
    this.#now = null;
    this.#share = 0;
    this.running = null;
    return ended;
  }
}
