import type { ColumnRole } from "../core/card/columnRole.ts";
import { habitOfColumns, habitsFrom } from "../core/card/learned.ts";
import { buildVocabulary, vocabularyOf } from "../core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../data/namedCatalogue.ts";
import { workspace } from "./workspace.svelte.ts";

/**
 * What cards are read by here: the words of the catalogue and the user's own, and what corrections have taught.
 * Apart from the workspace, so that a page that reads no card does not load the reader.
 */
class Reading {
  habits = $derived.by(() => habitsFrom(workspace.habitRecords));
  vocabulary = $derived.by(() =>
    workspace.aliases.length > 0
      ? buildVocabulary(NAMED_CATALOGUE, workspace.aliases)
      : vocabularyOf(NAMED_CATALOGUE),
  );

  /** Remembers what the columns of a table with this heading hold. */
  learnColumns(heading: readonly string[], roles: readonly (ColumnRole | null)[]): void {
    if (heading.some((h) => h.trim() !== ""))
      workspace.edit("remember the columns", [habitOfColumns(heading, roles, workspace.today)]);
  }
}

export const reading = new Reading();
