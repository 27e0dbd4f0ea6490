import type { ColumnRole } from "../core/card/columnRole.ts";
import { columnsOfCard } from "../core/card/columns.ts";
import { habitOfColumns, habitsFrom } from "../core/card/learned.ts";
import { columnsUnclearAt, readCard, type CardReading } from "../core/card/readCard.ts";
import { buildVocabulary, vocabularyOf } from "../core/card/vocabulary.ts";
import { foldedWords } from "../core/card/words.ts";
import { NAMED_CATALOGUE } from "../data/namedCatalogue.ts";
import { nextTask } from "./nextTask.ts";
import { workspace } from "./workspace.svelte.ts";

/** Some fifty milliseconds on a phone. */
const NAMES_A_TASK = 400;

/** Lines in the ways of most cards. */
const WAYS: readonly string[] = [
  "2 foil blankets",
  "Eye pads x 4",
  "Plasters, assorted (20)",
  "- Gauze pads 10 x 10 cm: 5",
  "Nitrile gloves, 2 pairs",
  "1 box of 20 alcohol wipes and a torch",
  "Crepe bandage 7.5 cm – 2",
  "Item\tQty\nSafety pins\t6\nWhistle\t1",
  "• Paracetamol 500 mg, 16 tablets",
  "Trauma shears ........ 1",
];

/**
 * What cards are read by here: the words of the catalogue and the user's own, and what corrections have taught.
 * Apart from the workspace and from the stages, so that where no card is read the reader is not loaded.
 */
class Reading {
  habits = $derived.by(() => habitsFrom(workspace.habitRecords));
  vocabulary = $derived.by(() =>
    workspace.aliases.length > 0
      ? buildVocabulary(NAMED_CATALOGUE, workspace.aliases)
      : vocabularyOf(NAMED_CATALOGUE),
  );

  #last: { by: readonly unknown[]; reading: CardReading } | null = null;
  /** A text as read by what is known now; the last one is remembered, since several ask for it. */
  of(text: string): CardReading {
    const by = [text, this.vocabulary, this.habits] as const;
    if (!this.#isLast(by)) this.#last = { by, reading: readCard(...by) };
    return this.#last!.reading;
  }
  #isLast(by: readonly unknown[]): boolean {
    return this.#last?.by.every((x, i) => x === by[i]) ?? false;
  }

  /** Line of a card where a table begins whose columns nobody has named; null: none. */
  columnsUnclearAt(text: string): number | null {
    const by = [text, this.vocabulary, this.habits] as const;
    return this.#isLast(by) ? this.#last!.reading.columnsUnclearAt : columnsUnclearAt(...by);
  }

  /** Makes the vocabulary, which the first reading would wait for. */
  async prepare(): Promise<void> {
    await (this.#folded ??= this.#fold());
    void this.vocabulary;
  }
  /** Most of it is the names' words, which are remembered once folded: a few hundred names a task. */
  #folded: Promise<void> | null = null;
  async #fold(): Promise<void> {
    const names = [...NAMED_CATALOGUE.words.values()].flat();
    for (let i = 0; i < names.length; i += NAMES_A_TASK) {
      names.slice(i, i + NAMES_A_TASK).forEach(foldedWords);
      await nextTask();
    }
  }

  /**
   * Reads lines in the ways of most cards, a task each: the browser prepares a pattern when it first runs, and a first card
   * would wait a second for all of them. Ends where a card comes in between.
   */
  async warmUp(): Promise<void> {
    for (const line of WAYS)
      for (const read of [columnsUnclearAt, readCard]) {
        await nextTask();
        if (this.#last) return;
        read(line, this.vocabulary, this.habits);
      }
  }

  /** What the columns of a table in a card seem to hold, and what stands around it. */
  columnsAt(text: string, line: number): ReturnType<typeof columnsOfCard> {
    return columnsOfCard(text, line);
  }

  /** Remembers what the columns of a table with this heading hold. */
  learnColumns(heading: readonly string[], roles: readonly (ColumnRole | null)[]): void {
    if (heading.some((h) => h.trim() !== ""))
      workspace.edit("remember the columns", [habitOfColumns(heading, roles, workspace.today)]);
  }
}

export const reading = new Reading();
