import { cardTextProblem, tooManyEntries } from "../core/card/cardText.ts";
import type { ColumnRole } from "../core/card/columnRole.ts";
import { habitOfColumns } from "../core/card/learned.ts";
import { mergeCard } from "../core/card/mergeCard.ts";
import type { CardReading } from "../core/card/readCard.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import { tooManyOnCard } from "../words/benchTexts.ts";
import { CardRun, SHORT_CHARACTERS } from "../workers/cardRun.svelte.ts";
import { workspace } from "./workspace.svelte.ts";

/** Above this many lines a card is read when asked, not at every keystroke. */
const LIVE_LINES = 800;
/** Short ones are never long: their lines are not even counted. */
export const isLong = (text: string): boolean =>
  text.length > SHORT_CHARACTERS && text.split("\n").length > LIVE_LINES;

const NOTHING: CardReading = { claimedPieces: null, entries: [], columnsUnclearAt: null };

/** Where the columns of a kit's card are unclear, and of which text and knowledge that was found. */
interface Columns {
  readonly of: string;
  readonly text: string;
  readonly known: object;
  readonly at: number | null;
}

/**
 * Cards being read, whatever page is open: the text is the kit's at once, its lines when they are read. By the words of the
 * catalogue and the user's own, and by what corrections have taught.
 */
class Reading {
  #known = $derived.by(
    () => ({ is: "know", aliases: workspace.aliases, habits: workspace.habitRecords }) as const,
  );
  #run = new CardRun(() => this.#known);
  #columns = $state.raw<Columns | null>(null);

  /** What has been read for a while: of which kit, and how far, 0–1. */
  running = $derived(this.#run.running);
  isUnderWay(kit: string): boolean {
    return this.#run.waiting.has(kit);
  }
  /** A card is about to come. */
  warmUp(): void {
    this.#run.warmUp();
  }
  /** Its lines stay as they are. */
  stop(kit: string): void {
    this.#run.drop(kit);
  }

  /**
   * Makes a text the card of a kit, and reads it.
   * @param asked reads it however long it is
   */
  async take(kit: string, text: string, label = "read the card", asked = false): Promise<void> {
    const isBlank = text.trim() === "";
    this.#change(kit, label, text, isBlank ? NOTHING : null);
    const waits = isLong(text) && !asked;
    if (isBlank || waits || cardTextProblem(text) !== null) return this.#run.drop(kit);
    const known = this.#known;
    const answer = await this.#run.ask(kit, { is: "read", text });
    if (answer === null || workspace.kit(kit)?.cardText !== text) return;
    if (answer.is === "failed")
      workspace.say(
        `The card could not be read: ${answer.why}. Its text is kept; its lines are as they were.`,
        true,
      );
    if (answer.is !== "read") return;
    this.#columns = { of: kit, text, known, at: answer.reading.columnsUnclearAt };
    const many = tooManyEntries(answer.reading);
    if (many) workspace.say(tooManyOnCard(many), true);
    else this.#change(kit, label, text, answer.reading);
  }

  /** The text and what was read of it in one step of undo, as keystrokes that follow one another are. */
  #change(kit: string, label: string, text: string, reading: CardReading | null): void {
    const record = workspace.kit(kit);
    if (!record || (reading === null && record.cardText === text)) return;
    const changed = reading
      ? mergeCard(record, text, reading, CATALOGUE)
      : { ...record, cardText: text };
    workspace.edit(label, [changed], [], `${kit} card`);
  }

  /** Line of a kit's card where a table begins whose columns nobody has named; null: none is known. */
  columnsUnclearAt(kit: string): number | null {
    return this.#columns?.of === kit ? this.#columns.at : null;
  }
  /** Looks where the columns of a card that was read before are unclear. */
  async seekColumns(kit: string, text: string): Promise<void> {
    const known = this.#known;
    const found = this.#columns;
    if (found?.of === kit && found.text === text && found.known === known) return;
    if (this.#run.asks(kit, text)) return;
    const answer = await this.#run.ask(kit, { is: "columns", text });
    if (answer?.is === "columns") this.#columns = { of: kit, text, known, at: answer.at };
  }

  /** Remembers what the columns of a table with this heading hold. */
  learnColumns(heading: readonly string[], roles: readonly (ColumnRole | null)[]): void {
    if (heading.some((h) => h.trim() !== ""))
      workspace.edit("remember the columns", [habitOfColumns(heading, roles, workspace.today)]);
  }
}

export const reading = new Reading();
