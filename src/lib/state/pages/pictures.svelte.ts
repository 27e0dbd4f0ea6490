import { LINE_END } from "../../core/card/plainSigns.ts";
import {
  onWrappers,
  wrapperFacts,
  type WrapperFacts,
  type WrappersFacts,
} from "../../core/picture/wrapper.ts";
import { DOUBTFUL_WORD } from "../../core/picture/seen.ts";
import { PictureProblem } from "../../core/picture/opening.ts";
import { photoRecord, type PhotoRecord } from "../../core/records/photoRecord.ts";
import { readPicture, type ReadPage, type ReadProgress } from "../../devices/pictureReader.ts";
import type { KitState } from "../kit.svelte.ts";
import { newKey } from "../newKey.ts";
import { workspace } from "../workspace.svelte.ts";

/** A reading under way. */
interface Running extends ReadProgress {
  readonly name: string;
}

type Read = (
  file: File,
  options: { signal: AbortSignal; onProgress: (p: ReadProgress) => void },
) => Promise<ReadPage[]>;

/** Pictures and PDFs being read, one after another, with progress and a way to stop. */
class Reading {
  running = $state.raw<Running | null>(null);
  #stop: AbortController | null = null;
  readonly #read: Read;
  constructor(read: Read) {
    this.#read = read;
  }

  /** The pages of one file; null: it could not be read, or was cancelled, and that was said. */
  async pagesOf(file: File): Promise<ReadPage[] | null> {
    this.cancel();
    const stop = (this.#stop = new AbortController());
    this.running = { name: file.name, page: 1, pages: 1, share: 0 };
    try {
      return await this.#read(file, {
        signal: stop.signal,
        onProgress: (p) => {
          if (this.#stop === stop) this.running = { name: file.name, ...p };
        },
      });
    } catch (error) {
      if (stop.signal.aborted) return null;
      const why = error instanceof PictureProblem ? error.message : "could not be read here";
      workspace.say(`${file.name || "The picture"} ${why}. Nothing was taken from it.`, true);
      return null;
    } finally {
      if (this.#stop === stop) {
        this.running = null;
        this.#stop = null;
      }
    }
  }

  cancel(): void {
    this.#stop?.abort();
    this.#stop = null;
    this.running = null;
  }
}

/** Contents cards from pictures: their text joins the card, the picture stays beside it. */
export class CardPicturesState {
  readonly kit: KitState;
  readonly reading: Reading;
  readonly #takeText: (text: string) => void;

  constructor(kit: KitState, takeText: (text: string) => void, read: Read = readPicture) {
    this.kit = kit;
    this.#takeText = takeText;
    this.reading = new Reading(read);
  }

  /** In the order of the card, whatever order they lie in the store. */
  pictures = $derived.by(() =>
    this.kit.photos
      .filter((p) => p.seen !== undefined)
      .sort((a, b) => a.seen!.cardLine - b.seen!.cardLine),
  );

  /** Reads the files and puts what they say below what the card says already. */
  async take(files: Iterable<File>): Promise<void> {
    for (const file of files) {
      const kitId = this.kit.record?.id;
      const pages = await this.reading.pagesOf(file);
      // Another kit may be open by now: what was read for one is never put into another.
      if (pages === null || kitId === undefined || this.kit.record?.id !== kitId) return;
      if (pages.every((p) => p.text.lines.length === 0)) {
        workspace.say(`No words were found on ${file.name || "the picture"}.`, true);
        continue;
      }
      this.#add(file.name || "picture", kitId, pages);
    }
  }

  #add(name: string, kitId: string, pages: readonly ReadPage[]): void {
    const card = (this.kit.record?.cardText ?? "").trimEnd();
    const lines = card === "" ? [] : card.split(LINE_END);
    const photos = pages.map((page, i): PhotoRecord => {
      if (lines.length > 0) lines.push("");
      const cardLine = lines.length + 1;
      lines.push(...page.text.lines);
      return photoRecord(`${Date.now().toString(36)}-${newKey()}`, {
        kitId,
        name: (pages.length > 1 ? `${name}, page ${i + 1}` : name).slice(0, 300),
        dataUrl: page.picture,
        seen: {
          cardLine,
          width: page.width,
          height: page.height,
          words: page.text.words.map((w) => ({
            text: w.text.slice(0, 400),
            confidence: w.confidence,
            box: [w.box.x0, w.box.y0, w.box.x1, w.box.y1],
            line: w.line,
          })),
        },
      });
    });
    workspace.edit("add the picture of the card", photos);
    this.#takeText(lines.join("\n"));
  }

  remove(id: string): void {
    workspace.edit("remove the picture", [], [id]);
  }
}

/** Words of a picture that the recogniser was not sure of, with the line of the card each stands on. */
export const doubtfulWords = ({ seen }: PhotoRecord): { text: string; cardLine: number }[] =>
  (seen?.words ?? [])
    .filter((w) => w.confidence < DOUBTFUL_WORD && /[\p{L}\d]/u.test(w.text))
    .map((w) => ({ text: w.text, cardLine: seen!.cardLine + w.line }));

/** Wrappers photographed at the bench: what is printed on them is proposed, never set. */
export class WrapperState {
  readonly reading: Reading;
  /** What stands on them; null: none was read. */
  facts = $state.raw<WrappersFacts | null>(null);
  /** How many of them were read. */
  read = $state(0);
  constructor(read: Read = readPicture) {
    this.reading = new Reading(read);
  }
  /** One after another; what the first says stands there while the next is read. */
  async take(files: readonly File[]): Promise<void> {
    this.clear();
    const all: WrapperFacts[] = [];
    for (const file of files) {
      const pages = await this.reading.pagesOf(file);
      if (!pages) return;
      all.push(wrapperFacts(pages.flatMap((p) => p.text.lines)));
      this.facts = onWrappers(all);
      this.read = all.length;
    }
  }
  clear(): void {
    this.reading.cancel();
    this.facts = null;
    this.read = 0;
  }
}
