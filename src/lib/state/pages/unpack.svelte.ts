import { cardLeftOut, cardTextProblem } from "../../core/card/cardText.ts";
import { lessonOfPieces, lessonOfSize, nameOnCard, type Lesson } from "../../core/card/habits.ts";
import { isTouched } from "../../core/card/isTouched.ts";
import { lex } from "../../core/card/lexer.ts";
import { LINE_END } from "../../core/card/plainSigns.ts";
import { readQuantity } from "../../core/card/quantity.ts";
import { mergeLines } from "../../core/count/scanned.ts";
import type { Line } from "../../core/model/kit.ts";
import { aliasRecord } from "../../core/records/aliasRecord.ts";
import { cardPieces, isUnread } from "../../core/shown/cardPieces.ts";
import { habitOfLesson } from "../../core/card/learned.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { isLong, reading } from "../reading.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** Unpacking: the card's text, the lines made of it, and what is doubtful about them. */
export class UnpackState {
  readonly kit: KitState;
  picked = $state<string | null>(null);

  constructor(kit: KitState) {
    this.kit = kit;
  }

  cardText = $derived.by(() => this.kit.record?.cardText ?? "");
  #cardLines = $derived.by(() => this.cardText.split(LINE_END));
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

  /** A card is about to come: what reads it gets ready. */
  warmUp(): void {
    reading.warmUp();
  }

  /** Takes the card's text in and reads it; a very long one only when that is asked. */
  read(text: string, asked = false): Promise<void> {
    const id = this.kit.record?.id;
    return id === undefined ? Promise.resolve() : reading.take(id, text, undefined, asked);
  }
  /** How far it is, 0–1, where reading takes a while; null: it is not under way, or will be done at once. */
  share = $derived.by(() => {
    const { running } = reading;
    return running && running.of === this.kit.record?.id ? running.share : null;
  });
  isUnderWay = $derived.by(
    () => this.kit.record !== undefined && reading.isUnderWay(this.kit.record.id),
  );
  /** Stops reading; the text stays, and the lines as they are. */
  stop(): void {
    if (this.kit.record) reading.stop(this.kit.record.id);
  }

  /** Says what a line is, and remembers it for the next card or scan. */
  chooseType(line: Line, itemType: string | null): void {
    const isOpen = this.doubts[line.id]?.open !== undefined;
    this.kit.retype(line, itemType, lineName(line, undefined));
    if (!itemType || line.gtin) return;
    const name = line.text ? nameOnCard(line.text) : "";
    // A name that leaves the kind open means another kind on the next card: that is asked again.
    if (!name || isOpen) return;
    const known = workspace.aliases.find((a) => a.text === name);
    workspace.edit("remember the name", [
      { ...(known ?? aliasRecord(name, itemType)), itemType, on: workspace.today },
    ]);
  }

  /** The pieces claimed, and what a correction of them teaches of the packs on this user's cards. */
  setClaimed(line: Line, label: string, claimed: number | undefined): void {
    this.kit.updateLine(line.id, `claimed ${label}`, { claimed }, "claimed");
    if (line.text && claimed !== undefined && line.claimed !== undefined)
      this.#learn(lessonOfPieces(line.text, line.claimed, claimed));
  }

  /** The size, and what a correction of it teaches of sizes without a unit. */
  setSize(line: Line, label: string, sizeMm: number[] | undefined): void {
    this.kit.updateLine(line.id, `size of ${label}`, { sizeMm }, "size");
    if (line.text && sizeMm) this.#learn(lessonOfSize(line.text, sizeMm));
  }

  #learn(lesson: Lesson | null): void {
    if (lesson)
      workspace.edit("learn from the correction", [habitOfLesson(lesson, workspace.today)]);
  }

  /** Lines with a claim that nobody has counted yet. */
  uncounted = $derived.by(() =>
    this.kit.lines.filter((l) => l.counted === undefined && l.claimed !== undefined),
  );
  /** All not counted yet are as claimed, in one step. */
  countAll(): void {
    this.#setLines("count all as claimed", (lines) =>
      lines.map((l) =>
        l.counted === undefined && l.claimed !== undefined ? { ...l, counted: l.claimed } : l,
      ),
    );
  }

  /** Days of the corrections that made this line what it is. */
  learned(line: Line): { what: "name" | "pack" | "unit"; on: string | undefined }[] {
    if (!line.text || line.byHand) return [];
    const name = nameOnCard(line.text);
    const { bare, packsOfUnknown, sizeMm } = readQuantity(lex(line.text));
    const alias = workspace.aliases.find((a) => a.text === name && a.itemType === line.itemType);
    const found: { what: "name" | "pack" | "unit"; on: string | undefined }[] = [];
    if (alias) found.push({ what: "name", on: alias.on });
    for (const { habit, on } of workspace.habitRecords) {
      const packed = habit.what === "pack" && habit.name === name.toLowerCase();
      if (packed && packsOfUnknown !== null && line.claimed === packsOfUnknown * habit.pieces)
        found.push({ what: "pack", on });
      if (habit.what === "unit" && bare !== null && sizeMm === null && line.sizeMm)
        found.push({ what: "unit", on });
    }
    return found;
  }

  /** The card line by line, in the pieces that lines of the kit were made of. */
  cardRows = $derived.by(() => cardPieces(this.cardText, this.kit.lines));
  /** Lines of the card, from 1, that made no line of the kit. */
  unread = $derived.by(() => this.cardRows.flatMap((row, i) => (isUnread(row) ? [i + 1] : [])));
  /** How many lines of the kit came from the card and need nobody's look, and how many do. */
  states = $derived.by(() => {
    const fromCard = this.kit.lines.filter((l) => l.cardLine !== undefined);
    const look = fromCard.filter((l) => l.id in this.doubts && !isTouched(l)).length;
    return { sure: fromCard.length - look, look, unread: this.unread.length };
  });

  /** A line of the card that was taken for no item becomes one. */
  addFromCard(cardLine: number): void {
    const text = this.#cardLines[cardLine - 1]?.trim() ?? "";
    const id = this.kit.nextLineId();
    const { pieces, sizeMm } = readQuantity(lex(text));
    this.#setLines("read a line as an item", (lines) => [
      ...lines,
      {
        id,
        itemType: null,
        text,
        cardLine,
        claimed: pieces ?? 1,
        ...(sizeMm ? { sizeMm: [...sizeMm] } : {}),
        byHand: true,
      },
    ]);
    this.picked = id;
  }

  /** A card that is read at once, if it is one. */
  #isLive = $derived.by(() => this.cardText !== "" && !this.long && this.problem === null);
  /** Looks for such columns in what was read before; to be called whenever the card changes. */
  async seekColumns(): Promise<void> {
    if (this.#isLive && this.kit.record)
      await reading.seekColumns(this.kit.record.id, this.cardText);
  }
  /** Line of the card where a table begins whose columns nobody has named; null: none. */
  columnsUnclearAt = $derived.by(() =>
    this.#isLive && this.kit.record ? reading.columnsUnclearAt(this.kit.record.id) : null,
  );
  async askColumns(): Promise<void> {
    const at = this.columnsUnclearAt;
    if (at === null) return;
    // With it comes most of what reads cards, which is seldom wanted on the page itself.
    const { columnsOfCard } = await import("../../core/card/columns.ts");
    const found = columnsOfCard(this.cardText, at);
    if (found && this.kit.record)
      workspace.columns = {
        name: this.kit.record.kit.name,
        guess: found.guess,
        kit: this.kit.record.id,
        around: found.around,
      };
  }

  accept(id: string): void {
    this.kit.update("accept the reading", (r) => {
      const { [id]: _, ...doubts } = r.doubts;
      return { ...r, doubts };
    });
  }

  #setLines(label: string, change: (lines: readonly Line[]) => Line[]): void {
    this.kit.updateLines(label, change);
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
