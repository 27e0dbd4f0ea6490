import { plain } from "./plain.ts";
import { quantitiesByChance, quantitiesInSteps, withQuantities } from "../core/chance/byChance.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import { demoRecords } from "../data/demo.ts";
import { INCIDENT_KINDS } from "../data/incidents.ts";
import type { ColumnGuess } from "../core/card/columns.ts";
import { typeLookup } from "../core/catalogue/catalogue.ts";
import { readImport } from "../core/formats/importFile.ts";
import { listFile } from "../core/formats/listFile.ts";
import { writeWorkspace } from "../core/formats/workspaceFile.ts";
import type { AuditFile } from "../core/model/auditFile.ts";
import type { Brief } from "../core/model/brief.ts";
import type { ByChance } from "../core/model/byChance.ts";
import type { ItemType } from "../core/model/itemType.ts";
import { auditOf, wholeFileOf } from "../core/records/auditOf.ts";
import type { ReferenceList } from "../core/model/list.ts";
import type { PriceBook } from "../core/model/priceBook.ts";
import type { Problem } from "../core/model/problem.ts";
import type { AliasRecord } from "../core/records/aliasRecord.ts";
import { barcodeRecord } from "../core/records/barcodeRecord.ts";
import type { BriefRecord } from "../core/records/briefRecord.ts";
import { inUse, isOffer, offeredFor, offerId, takenOffer } from "../core/records/keptCopy.ts";
import type { HabitRecord } from "../core/records/habitRecord.ts";
import type { KitRecord } from "../core/records/kitRecord.ts";
import { listRecord, type ListRecord } from "../core/records/listRecord.ts";
import type { PhotoRecord } from "../core/records/photoRecord.ts";
import { priceBookRecord } from "../core/records/priceBookRecord.ts";
import type { WorkspaceRecord } from "../core/records/records.ts";
import { DEFAULT_SETTINGS, type SettingsRecord } from "../core/records/settingsRecord.ts";
import { takeIn } from "../core/records/takeIn.ts";
import { PRICE_BOOK } from "../data/priceBook.ts";
import { showBy } from "../words/display.ts";
import { problemText, told, type Told } from "../words/problems.ts";
import { importedText, noStorageText, noticeText, setAsideText } from "../words/storeTexts.ts";
import { besideStorage, browserStorage, ownWindow } from "./browserStorage.ts";
import { isFirstVisit, visited } from "./firstVisit.ts";
import { newBrief, newKit } from "./newRecords.ts";
import { unchanged } from "./unchanged.ts";
import { newKey } from "./newKey.ts";
import type { Notice } from "../core/records/notice.ts";
import type { Storage } from "./storage.ts";
import { Store, type SaveState, type SetAside } from "./store.ts";
import { UndoKept } from "./undoKept.ts";
import type { HistoryStep } from "./undoStack.ts";
import { unsavedWords } from "./unsavedWords.ts";

/** Longer than between two letters. */
const KEEP_AFTER_MS = 400;
const CHANNEL = "wide-sieve.records";

/** Local day, YYYY-MM-DD: the bench's own calendar. */
const localToday = (): string => {
  const d = new Date();
  return new Date(d.getTime() - d.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
};

/** The workspace as the screens see it: a thin reactive wrapper over the store. */
class Workspace {
  records = $state.raw<ReadonlyMap<string, WorkspaceRecord>>(new Map());
  save = $state.raw<SaveState>({ is: "saved", at: null });
  setAside = $state.raw<readonly SetAside[]>([]);
  undoLabel = $state<string | null>(null);
  redoLabel = $state<string | null>(null);
  /** Steps of undo, the newest first. */
  history = $state.raw<readonly HistoryStep[]>([]);
  /** The last thing to tell, for the live region and the strip under the trail. */
  message = $state.raw<{
    text: string;
    problem: boolean;
    problems?: readonly Told[];
    /** The step that an Undo beside it takes back. */
    undo?: string;
  } | null>(null);
  today = $state(localToday());
  /** A dropped table that waits to be told what its columns are. */
  columns = $state.raw<{
    name: string;
    guess: ColumnGuess;
    /** The kit whose card it is; absent: it becomes a new one. */
    kit?: string;
    /** Lines of the card above and below the table. */
    around?: readonly [above: string, below: string];
  } | null>(null);

  /** Pictures and PDFs dropped, until the page that reads them is open. */
  waitingPictures = $state.raw<readonly File[]>([]);

  #values = $derived([...this.records.values()]);
  kits = $derived(inUse(this.#values, "kit"));
  briefs = $derived(inUse(this.#values, "brief"));
  #sameTypes = unchanged<ItemType>();
  #sameAliases = unchanged<AliasRecord>();
  #sameHabits = unchanged<HabitRecord>();
  /** Audits are remembered by it. */
  ownTypes = $derived(this.#sameTypes(inUse(this.#values, "itemType").map((r) => r.itemType)));
  typeOf = $derived(typeLookup(this.ownTypes, CATALOGUE));
  aliases = $derived(this.#sameAliases(inUse(this.#values, "alias")));
  /** What corrections have taught of how this user's cards are written. */
  habitRecords = $derived(this.#sameHabits(inUse(this.#values, "habit")));
  barcodes = $derived(inUse(this.#values, "barcode"));
  #photos = $derived(inUse(this.#values, "photo"));
  priceBook = $derived(inUse(this.#values, "priceBook")[0]?.book ?? PRICE_BOOK);
  /** The user's own lists, by title. */
  lists = $derived(
    inUse(this.#values, "list").sort((a, b) => a.list.title.localeCompare(b.list.title)),
  );
  sets = $derived(inUse(this.#values, "set"));
  settings = $derived(inUse(this.#values, "settings")[0] ?? DEFAULT_SETTINGS);
  /** What lies beside a record in use, to be taken or thrown away. */
  offers = $derived(this.#values.filter((r) => isOffer(r.id)));

  #store: Store | null = null;
  #channel: BroadcastChannel | null = null;

  /** Opens the records kept in a storage; a test passes one in memory. */
  async begin(storage: Storage): Promise<Store> {
    const store = new Store(storage, {
      onChange: () => this.#refresh(),
      onNotice: (n) => this.#notice(n),
      announce: (ids) => this.#channel?.postMessage(ids),
      now: () => Date.now(),
      newKey,
    });
    this.#store = store;
    try {
      await store.load();
    } catch (error) {
      this.say(noStorageText((error as Error).message), true);
    }
    if (store.setAside.length > 0) this.say(setAsideText(store.setAside.length), true);
    return store;
  }

  #started: Promise<void> | null = null;
  /** Opens the browser's own storage, once, and keeps in step with its other windows. */
  start(): Promise<void> {
    return (this.#started ??= this.#open());
  }
  async #open(): Promise<void> {
    showBy(() => ({
      units: this.settings.units,
      locale: this.settings.locale || navigator.language || "en-GB",
    }));
    const store = await this.begin(browserStorage());
    this.#channel = new BroadcastChannel(CHANNEL);
    this.#channel.onmessage = (e: MessageEvent<string[]>) => void store.changedElsewhere(e.data);
    const kept = new UndoKept(
      besideStorage(),
      await ownWindow(newKey),
      () => Date.now(),
      placeOrNone("sessionStorage"),
    );
    // Undo is no reason to wait: it comes when it comes.
    void kept
      .load()
      .then((steps) => steps && store.takeUpUndo(steps))
      .catch(() => undefined)
      .finally(() => (this.#kept = kept));
    const words = unsavedWords(placeOrNone("localStorage"), newKey());
    words.resumeInto(store);
    addEventListener("pagehide", () => {
      words.leave(store);
      this.#kept?.leave(store.undoSteps);
    });
    // A page that comes back from the browser's cache goes on saving itself.
    addEventListener("pageshow", (e) => {
      if (e.persisted) words.takeBack();
    });
    document.addEventListener("visibilitychange", () => {
      if (document.visibilityState === "visible") void store.refresh();
    });
    if (isFirstVisit() && this.records.size === 0 && this.setAside.length === 0)
      void this.#seedDemo();
  }

  /** On the very first visit, when there is nothing yet: the demo is there with the first page. */
  async #seedDemo(): Promise<void> {
    this.edit("add the demo", demoRecords());
    // Only once it is stored: a page that was left too early gets the demo next time.
    await this.flushed();
    if (this.save.is === "saved") visited();
  }

  addDemo(): void {
    const fresh = demoRecords().filter((r) => !this.records.has(r.id));
    this.edit("add the demo", fresh);
    this.say(
      fresh.length > 0
        ? "The demo is on the shelf: Fennel Lane Orchard."
        : "The demo is already on the shelf.",
    );
  }

  #refresh(): void {
    const s = this.#store!;
    this.records = new Map(s.records);
    if (s.saveState.is === "failed" && this.save.is !== "failed")
      this.say(
        `Not saved: ${s.saveState.why}. Everything on screen is still here; free some space or export now, then try again.`,
        true,
      );
    this.save = s.saveState;
    this.setAside = s.setAside;
    this.undoLabel = s.undoLabel;
    this.redoLabel = s.redoLabel;
    this.history = s.history;
    this.#keepUndo();
  }

  #kept: UndoKept | null = null;
  #keeping: ReturnType<typeof setTimeout> | undefined;
  /** A little later, so that a word is kept once and not at every letter. */
  #keepUndo(): void {
    if (!this.#kept) return;
    clearTimeout(this.#keeping);
    this.#keeping = setTimeout(() => void this.#kept?.save(this.#store!.undoSteps), KEEP_AFTER_MS);
  }

  /** Takes back every step down to one of the history, or does them again up to it. */
  goTo(step: number): void {
    const undone = this.history.filter((h) => h.undone).length;
    if (step < undone) for (let i = undone; i > step; i--) this.#store?.redo();
    else for (let i = undone; i < step; i++) this.#store?.undo();
    this.say("Taken back to there. Redo goes forward again.");
  }

  #notice(n: Notice): void {
    this.say(noticeText(n, this.records.get(n.id)), n.code !== "stays");
  }

  say(text: string, problem = false, problems?: readonly (Problem | Told)[]): void {
    this.message = { text, problem, ...(problems ? { problems: problems.map(told) } : {}) };
  }

  /** Says what was just done, with its undo beside it. */
  sayDone(text: string): void {
    const undo = this.#store?.undoLabel;
    this.message = { text, problem: false, ...(undo ? { undo } : {}) };
  }

  edit(
    label: string,
    puts: readonly WorkspaceRecord[],
    removes: readonly string[] = [],
    mergeKey: string | null = null,
  ): void {
    this.#store?.edit(label, this.#withQuantities(puts.map(plain)), removes, mergeKey);
  }
  undo(): void {
    const label = this.#store?.undo();
    if (label) this.say(`Undone: ${label}.`);
  }
  redo(): void {
    const label = this.#store?.redo();
    if (label) this.say(`Done again: ${label}.`);
  }
  retrySave(): void {
    void this.#store?.flush();
  }
  async flushed(): Promise<void> {
    await this.#store?.flush();
  }

  kit(id: string): KitRecord | undefined {
    const r = this.records.get(id);
    return r?.kind === "kit" ? r : undefined;
  }
  brief(id: string): BriefRecord | undefined {
    const r = this.records.get(id);
    return r?.kind === "brief" ? r : undefined;
  }

  /** The audit file of a kit as it is today, judged for a brief. */
  auditOf(record: KitRecord, brief: Brief): AuditFile {
    return this.settled(auditOf(record, brief, this.ownTypes, this.today, CATALOGUE));
  }
  /** A file with the quantities that its house rules take from chance. */
  settled(file: AuditFile): AuditFile {
    return withQuantities(file, CATALOGUE, INCIDENT_KINDS);
  }

  /** What suffices by chance on a kit's outings. */
  byChanceOf(file: AuditFile): ByChance {
    return quantitiesByChance(file, CATALOGUE, INCIDENT_KINDS);
  }
  byChanceInSteps(file: AuditFile): Generator<null, ByChance> {
    return quantitiesInSteps(file, CATALOGUE, INCIDENT_KINDS);
  }

  /** The records with the quantities by chance of every kit that they change anything of. */
  #withQuantities(puts: readonly WorkspaceRecord[]): WorkspaceRecord[] {
    const byId = new Map(puts.map((p) => [p.id, p]));
    const briefOf = (id: string) => {
      const b = byId.get(id) ?? this.records.get(id);
      return b?.kind === "brief" ? b.brief : null;
    };
    for (const kit of [...this.kits, ...inUse(puts, "kit")]) {
      const k = (byId.get(kit.id) as KitRecord | undefined) ?? kit;
      if (k.houseRules.quantities !== "chance" || !(byId.has(k.id) || byId.has(k.briefId)))
        continue;
      const brief = briefOf(k.briefId);
      if (!brief) continue;
      const file = wholeFileOf(k, brief, this.ownTypes);
      const byChance = this.byChanceOf(file);
      if (byChance.inputs !== k.byChance?.inputs) byId.set(k.id, { ...k, byChance });
    }
    return [...byId.values()];
  }

  /** Photos of a kit, in the order they were taken in. */
  photosOf(kitId: string): PhotoRecord[] {
    return this.#photos.filter((p) => p.kitId === kitId);
  }

  ownList(id: string): ListRecord | undefined {
    const r = this.records.get(id);
    return r?.kind === "list" ? r : undefined;
  }

  /** A list of the user's own from any list: a copy with an id of its own. Gives the record's id. */
  addList(list: ReferenceList, label = `make a list: ${list.title}`): string {
    const record = listRecord(newKey(), plain(list));
    this.edit(label, [record]);
    return record.id;
  }

  /** A scanned code is learned: next time it names the thing by itself. */
  learnBarcode(gtin: string, itemType: string, text?: string, sizeMm?: readonly number[]): void {
    this.edit("remember the barcode", [
      barcodeRecord({
        gtin,
        itemType,
        ...(text ? { text: text.slice(0, 400) } : {}),
        ...(sizeMm ? { sizeMm: [...sizeMm] } : {}),
      }),
    ]);
  }

  /** Puts another price book in place of the one in use; undo brings the former back. */
  changePriceBook(label: string, book: PriceBook, mergeKey: string | null = null): void {
    const now = inUse(this.#values, "priceBook")[0];
    this.edit(label, [now ? { ...now, book } : priceBookRecord(book)], [], mergeKey);
  }

  /** Lays a price book beside the one in use, to be taken or thrown away on the shelf. */
  offerPriceBook(book: PriceBook): void {
    const record = priceBookRecord(book);
    this.edit(`offer prices: ${book.title}`, [{ ...record, id: offerId(record.id, newKey()) }]);
  }

  changeSettings(label: string, patch: Partial<SettingsRecord>): void {
    this.edit(label, [{ ...this.settings, ...patch }], [], "settings");
  }

  exportList(list: ReferenceList): string {
    return JSON.stringify(listFile(list, this.ownTypes), null, 1);
  }

  /** A new kit with a brief of its own, or under an existing one. Gives its id. */
  addKit(name: string, briefId?: string): string {
    const brief = briefId ? undefined : newBrief(newKey());
    const kit = newKit(newKey(), name, briefId ?? brief!.id);
    this.edit(`add ${name}`, brief ? [brief, kit] : [kit]);
    return kit.id;
  }

  /** A variant of a kit: all of it under an id of its own, same brief. Gives its id. */
  copyKit(id: string): string | null {
    const kit = this.kit(id);
    if (!kit) return null;
    const copy: KitRecord = {
      ...kit,
      id: `kit:${newKey()}`,
      kit: { ...kit.kit, name: `${kit.kit.name}, variant` },
    };
    const photos = this.photosOf(id).map((p) => ({
      ...p,
      id: `photo:${newKey()}`,
      kitId: copy.id,
    }));
    this.edit(`copy ${kit.kit.name}`, [copy, ...photos]);
    return copy.id;
  }

  removeKit(id: string): void {
    const kit = this.kit(id);
    if (!kit) return;
    const shared = this.kits.some((k) => k.id !== id && k.briefId === kit.briefId);
    const photos = this.photosOf(id).map((p) => p.id);
    this.edit(
      `remove ${kit.kit.name}`,
      [],
      shared ? [id, ...photos] : [id, ...photos, kit.briefId],
    );
    this.sayDone(`${kit.kit.name} is off the shelf. Undo brings it back.`);
  }

  exportAll(): string {
    return writeWorkspace([...this.records.values()]);
  }

  /**
   * Takes in a file: a workspace, an audit or a list. Nothing is imported on error, nothing here is
   * replaced; what would take over from something in use is offered.
   */
  import(text: string, name: string): boolean {
    const read = readImport(text, newKey, CATALOGUE);
    if (!read.ok) {
      const [first, ...more] = read.problems;
      // What is wrong with the file as a whole is said at once.
      if (first?.where === "" && more.length === 0)
        this.say(
          `${name} ${problemText(first)}. Nothing was imported, nothing here has changed.`,
          true,
        );
      else this.say(`${name} was not imported; nothing here has changed.`, true, read.problems);
      return false;
    }
    const here = new Map(this.records);
    // What was set aside keeps its place too.
    for (const { key } of this.setAside)
      if (!here.has(key)) here.set(key, { ...DEFAULT_SETTINGS, id: key });
    const taken = takeIn(read.value.records, here, newKey);
    this.edit(`import ${name}`, taken);
    const { mended } = read.value;
    this.say(importedText(name, taken), mended.length > 0, mended.length > 0 ? mended : undefined);
    return true;
  }

  /** Puts an offer in use; undo brings back what it replaced. */
  takeOffer(id: string): void {
    const offer = this.records.get(id);
    if (offer) this.edit("use the kept version", [takenOffer(offer)], [id]);
  }
  dropOffer(id: string): void {
    if (this.records.has(id)) this.edit("throw the kept version away", [], [id]);
  }
  /** What is in use where the offer would go. */
  inPlaceOf(offer: WorkspaceRecord): WorkspaceRecord | undefined {
    return this.records.get(offeredFor(offer.id));
  }

  async wipe(): Promise<void> {
    await this.#store?.wipe();
    await this.#kept?.wipe();
    this.say("Everything is removed from this browser.");
  }
}

/** A browser may forbid it (private windows): then nothing is left for the next page. */
function placeOrNone(place: "localStorage" | "sessionStorage"): globalThis.Storage | null {
  try {
    return globalThis[place];
  } catch {
    return null;
  }
}

export const workspace = new Workspace();
