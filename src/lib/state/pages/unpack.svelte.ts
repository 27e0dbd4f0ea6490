import { cardLeftOut, cardTextProblem, tooManyEntries } from "../../core/card/cardText.ts";
import { mergeCard, nameOnCard } from "../../core/card/mergeCard.ts";
import { readCard } from "../../core/card/readCard.ts";
import { buildVocabulary, vocabularyOf } from "../../core/card/vocabulary.ts";
import { mergeLines } from "../../core/count/scanned.ts";
import type { Line } from "../../core/model/kit.ts";
import { aliasRecord } from "../../core/records/aliasRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { tooManyOnCard } from "../../words/benchTexts.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** Above this many lines a card is read when asked, not at every keystroke. */
const LIVE_LINES = 800;
/** Shorter cards are never long: their lines are not even counted. */
const LIVE_CHARACTERS = 20_000;
const isLong = (text: string): boolean =>
  text.length > LIVE_CHARACTERS && text.split("\n").length > LIVE_LINES;

/** Unpacking: the card's text, the lines made of it, and what is doubtful about them. */
export class UnpackState {
  readonly kit: KitState;
  picked = $state<string | null>(null);

  constructor(kit: KitState) {
    this.kit = kit;
  }

  #vocabulary = $derived.by(() =>
    workspace.aliases.length > 0
      ? buildVocabulary(CATALOGUE, workspace.aliases)
      : vocabularyOf(CATALOGUE),
  );
  cardText = $derived.by(() => this.kit.record?.cardText ?? "");
  problem = $derived.by(() => (this.cardText === "" ? null : cardTextProblem(this.cardText)));
  leftOut = $derived.by(() => (this.cardText === "" ? [] : cardLeftOut(this.cardText)));
  long = $derived.by(() => isLong(this.cardText));
  doubts = $derived.by(() => this.kit.record?.doubts ?? {});
  /** What is doubtful stands first. */
  lines = $derived.by(() =>
    [...this.kit.lines].sort((a, b) => Number(b.id in this.doubts) - Number(a.id in this.doubts)),
  );
  compartments = $derived.by(() => this.kit.container.compartments ?? []);

  /** Lays a line into a compartment of the bag, and takes over how fast one gets at it there. */
  lay(line: Line, id: string): void {
    const c = this.compartments.find((x) => x.id === id);
    this.kit.updateLine(line.id, `place of ${lineName(line, undefined)}`, {
      compartment: c?.id,
      location: c?.place ?? line.location,
    });
  }

  /** Takes the card's text in and reads it; a very long one only when that is asked. */
  read(text: string, asked = false): void {
    if (!asked && isLong(text)) {
      this.kit.update("paste the card", (r) => ({ ...r, cardText: text }), "card");
      return;
    }
    const readable = text.trim() === "" || cardTextProblem(text) === null;
    const reading = readable ? readCard(text, this.#vocabulary) : null;
    const many = reading && tooManyEntries(reading);
    if (many) workspace.say(tooManyOnCard(many), true);
    this.kit.update(
      "read the card",
      (r) => (reading && !many ? mergeCard(r, text, reading) : { ...r, cardText: text }),
      "card",
    );
  }

  /** Says what a line is, and remembers it for the next card or scan. */
  chooseType(line: Line, itemType: string | null): void {
    this.kit.updateLine(line.id, `${lineName(line, undefined)} is something else`, { itemType });
    if (!itemType) return;
    if (line.gtin) {
      workspace.learnBarcode(line.gtin, itemType, this.kit.typeOf(itemType)?.label, line.sizeMm);
      return;
    }
    const name = line.text ? nameOnCard(line.text) : "";
    if (!name) return;
    const known = workspace.aliases.find((a) => a.text === name);
    workspace.edit("remember the name", [
      known ? { ...known, itemType } : aliasRecord(name, itemType),
    ]);
  }

  accept(id: string): void {
    this.kit.update("accept the reading", (r) => {
      const { [id]: _, ...doubts } = r.doubts;
      return { ...r, doubts };
    });
  }

  #setLines(label: string, change: (lines: readonly Line[]) => Line[]): void {
    this.kit.update(label, (r) => ({ ...r, kit: { ...r.kit, lines: change(r.kit.lines) } }));
  }

  addLine(): void {
    const id = this.kit.nextLineId();
    this.#setLines("add a line", (lines) => [
      ...lines,
      { id, itemType: null, claimed: 1, byHand: true },
    ]);
    this.picked = id;
  }

  remove(line: Line): void {
    this.#setLines(`remove ${lineName(line, undefined)}`, (lines) =>
      lines.filter((l) => l.id !== line.id),
    );
  }

  /** The line before it of the same kind, date and size, which it could be one with. */
  twin(line: Line): Line | undefined {
    const { lines } = this.kit;
    const size = JSON.stringify(line.sizeMm);
    return lines
      .slice(0, lines.indexOf(line))
      .find(
        (l) =>
          l.itemType !== null &&
          l.itemType === line.itemType &&
          l.expires === line.expires &&
          JSON.stringify(l.sizeMm) === size,
      );
  }

  merge(line: Line, into: Line): void {
    this.#setLines("merge two lines", (lines) =>
      lines.flatMap((l) =>
        l.id === into.id ? [mergeLines(into, line)] : l.id === line.id ? [] : [l],
      ),
    );
  }

  split(line: Line): void {
    const id = this.kit.nextLineId();
    this.#setLines("split the line", (lines) =>
      lines.flatMap((l) =>
        l.id === line.id ? [l, { ...l, id, claimed: 0, counted: 0, byHand: true }] : [l],
      ),
    );
  }
}
