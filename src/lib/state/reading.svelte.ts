import type { ColumnRole } from "../core/card/columnRole.ts";
import { columnsOfCard } from "../core/card/columns.ts";
import { habitOfColumns, habitsFrom } from "../core/card/learned.ts";
import { readCard, type CardReading } from "../core/card/readCard.ts";
import { buildVocabulary, vocabularyOf } from "../core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../data/namedCatalogue.ts";
import { workspace } from "./workspace.svelte.ts";

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
    if (!this.#last || by.some((x, i) => x !== this.#last!.by[i]))
      this.#last = { by, reading: readCard(...by) };
    return this.#last.reading;
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
