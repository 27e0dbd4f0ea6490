import type { ColumnGuess } from "../core/card/columns.ts";
import type { ItemType } from "../core/catalogue/itemType.ts";
import { parseAudit } from "../core/formats/auditFile.ts";
import type { Problem } from "../core/formats/problem.ts";
import type { PriceBook } from "../core/plan/priceBook.ts";
import { parseWorkspace, writeWorkspace } from "../core/formats/workspaceFile.ts";
import { listFile, parseListFile } from "../core/formats/listFile.ts";
import type { ReferenceList } from "../core/formats/auditFile.ts";
import type {
  BriefRecord,
  KitRecord,
  ListRecord,
  PriceBookRecord,
  SettingsRecord,
  WorkspaceRecord,
} from "../core/records/records.ts";
import { readRecord } from "../core/records/records.ts";
import { SHIPPED_LISTS } from "../data/lists/index.ts";
import { showBy } from "../words/display.ts";
import { demoRecords } from "../data/demo.ts";
import { PRICE_BOOK } from "../data/priceBook.ts";
import { browserStorage } from "./browserStorage.ts";
import { DEFAULT_SETTINGS, newBrief, newKit, newList } from "./newRecords.ts";
import { currentVersion, Store, type Notice, type SaveState, type SetAside } from "./store.ts";

/** Where a page that is left in the middle of a write leaves word of it. */
const UNSAVED = "wide-sieve.unsaved";
const CHANNEL = "wide-sieve.records";
/** Set once the demo was offered, so that it is never seeded over a user's own data, or again. */
const SEEN = "wide-sieve.seen";

/** Local day, YYYY-MM-DD: the bench's own calendar. */
export const localToday = (): string => {
  const d = new Date();
  return new Date(d.getTime() - d.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
};

export const newKey = (): string => crypto.randomUUID().slice(0, 13);

/** The workspace as the screens see it: a thin reactive wrapper over the store. */
class Workspace {
  records = $state.raw<ReadonlyMap<string, WorkspaceRecord>>(new Map());
  save = $state.raw<SaveState>({ is: "saved", at: null });
  setAside = $state.raw<readonly SetAside[]>([]);
  undoLabel = $state<string | null>(null);
  redoLabel = $state<string | null>(null);
  loaded = $state(false);
  /** The last thing to tell, for the live region and the strip under the trail. */
  message = $state.raw<{ text: string; problem: boolean; problems?: readonly Problem[] } | null>(
    null,
  );
  today = $state(localToday());
  /** A dropped table that waits to be told what its columns are. */
  columns = $state.raw<{ name: string; guess: ColumnGuess } | null>(null);

  kits = $derived(sorted(this.records, "kit"));
  briefs = $derived(sorted(this.records, "brief"));
  ownTypes = $derived<ItemType[]>(sorted(this.records, "itemType").map((r) => r.itemType));
  aliases = $derived(sorted(this.records, "alias"));
  barcodes = $derived(sorted(this.records, "barcode"));
  priceBook = $derived(sorted(this.records, "priceBook")[0]?.book ?? PRICE_BOOK);
  /** The user's own lists, by title. */
  lists = $derived(
    sorted(this.records, "list").sort((a, b) => a.list.title.localeCompare(b.list.title)),
  );
  sets = $derived(sorted(this.records, "set"));
  settings = $derived(sorted(this.records, "settings")[0] ?? DEFAULT_SETTINGS);

  #store: Store | null = null;
  #channel: BroadcastChannel | null = null;

  async start(): Promise<void> {
    if (this.#store) return;
    showBy(() => ({
      units: this.settings.units,
      locale: this.settings.locale || navigator.language || "en-GB",
    }));
    const store = new Store(browserStorage(), {
      onChange: () => this.#refresh(),
      onNotice: (n) => this.#notice(n),
      announce: (ids) => this.#channel?.postMessage(ids),
      now: () => Date.now(),
      newKey,
    });
    this.#store = store;
    this.#channel = new BroadcastChannel(CHANNEL);
    this.#channel.onmessage = (e: MessageEvent<string[]>) => void store.changedElsewhere(e.data);
    try {
      await store.load();
    } catch (error) {
      this.say(
        `The browser does not let this page keep data (${(error as Error).message || "no storage"}). You can work, but export before you close.`,
        true,
      );
    }
    if (store.setAside.length > 0)
      this.say(
        `${store.setAside.length} stored ${store.setAside.length === 1 ? "record" : "records"} could not be read. ${store.setAside.length === 1 ? "It is" : "They are"} set aside untouched; export ${store.setAside.length === 1 ? "it" : "them"} from the shelf.`,
        true,
      );
    this.#takeUnsaved();
    // A page that is left in the middle of a write leaves word of it, which the next one carries out.
    addEventListener("pagehide", () => {
      const pending = store.pending();
      if (pending.length === 0) return;
      try {
        localStorage.setItem(UNSAVED, JSON.stringify(pending));
      } catch {
        // No room for it: the write under way is all there is.
      }
    });
    this.loaded = true;
  }

  /** What the last page was writing when it was left, where it did not get through. */
  #takeUnsaved(): void {
    let left: unknown;
    try {
      const text = localStorage.getItem(UNSAVED);
      if (!text) return;
      left = JSON.parse(text);
      localStorage.removeItem(UNSAVED);
    } catch {
      return;
    }
    if (!Array.isArray(left)) return;
    const puts: WorkspaceRecord[] = [];
    const removes: string[] = [];
    for (const entry of left as unknown[]) {
      if (!Array.isArray(entry) || typeof entry[0] !== "string") continue;
      const [id, record] = entry as [string, unknown];
      const here = this.records.get(id);
      if (record === null) {
        if (here) removes.push(id);
        continue;
      }
      const read = readRecord(record);
      if (read.ok && !(here && writeWorkspace([here]) === writeWorkspace([read.value])))
        puts.push(read.value);
    }
    if (puts.length + removes.length > 0) this.edit("what was not stored yet", puts, removes);
  }

  /** On the very first visit, when there is nothing yet: the demo. */
  seedDemoOnce(): boolean {
    if (this.records.size > 0 || this.setAside.length > 0) return false;
    try {
      if (localStorage.getItem(SEEN)) return false;
    } catch {
      return false;
    }
    this.addDemo();
    // Only once it is stored: a page that was left too early gets the demo next time.
    void this.flushed().then(() => {
      if (this.save.is === "saved") localStorage.setItem(SEEN, "1");
    });
    return true;
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
  }

  #notice(n: Notice): void {
    if (n.code === "kept-both")
      this.say(
        "Another window changed the same thing. Both are kept: theirs in place, yours as a copy on the shelf.",
        true,
      );
  }

  say(text: string, problem = false, problems?: readonly Problem[]): void {
    this.message = { text, problem, ...(problems ? { problems } : {}) };
  }

  edit(
    label: string,
    puts: readonly WorkspaceRecord[],
    removes: readonly string[] = [],
    mergeKey: string | null = null,
  ): void {
    this.#store?.edit(
      label,
      puts.map((p) => $state.snapshot(p) as WorkspaceRecord),
      removes,
      mergeKey,
    );
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

  ownList(id: string): ListRecord | undefined {
    const r = this.records.get(id);
    return r?.kind === "list" ? r : undefined;
  }

  /** The list as it stands now, by the list's own id: the user's, else a shipped one. */
  listNow(listId: string): ReferenceList | undefined {
    return (
      this.lists.find((r) => r.list.id === listId)?.list ??
      SHIPPED_LISTS.find((l) => l.id === listId)
    );
  }

  /** A list of the user's own from any list: a copy with an id of its own. Gives the record's id. */
  addList(list: ReferenceList, label = `make a list: ${list.title}`): string {
    const record = newList(newKey(), $state.snapshot(list) as ReferenceList);
    this.edit(label, [record]);
    return record.id;
  }

  /** A scanned code is learned: next time it names the thing by itself. */
  learnBarcode(gtin: string, itemType: string, text?: string, sizeMm?: readonly number[]): void {
    this.edit("remember the barcode", [
      {
        kind: "barcode",
        id: `barcode:${gtin}`,
        version: currentVersion("barcode"),
        gtin,
        itemType,
        ...(text ? { text: text.slice(0, 400) } : {}),
        ...(sizeMm ? { sizeMm: [...sizeMm] } : {}),
      },
    ]);
  }

  /** Puts another price book in place of the one in use; undo brings the former back. */
  changePriceBook(label: string, book: PriceBook, mergeKey: string | null = null): void {
    const now = sorted(this.records, "priceBook")[0];
    const record: PriceBookRecord = {
      ...(now ?? {
        kind: "priceBook",
        id: "priceBook:own",
        version: currentVersion("priceBook"),
      }),
      book,
    };
    this.edit(label, [record], [], mergeKey);
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
      ...($state.snapshot(kit) as KitRecord),
      id: `kit:${newKey()}`,
      kit: { ...($state.snapshot(kit.kit) as KitRecord["kit"]), name: `${kit.kit.name}, variant` },
    };
    this.edit(`copy ${kit.kit.name}`, [copy]);
    return copy.id;
  }

  removeKit(id: string): void {
    const kit = this.kit(id);
    if (!kit) return;
    const shared = this.kits.some((k) => k.id !== id && k.briefId === kit.briefId);
    this.edit(`remove ${kit.kit.name}`, [], shared ? [id] : [id, kit.briefId]);
    this.say(`${kit.kit.name} is off the shelf. Undo brings it back.`);
  }

  exportAll(): string {
    return writeWorkspace([...this.records.values()]);
  }

  /** Takes in a file: a workspace, or an audit. Nothing is imported on error, nothing here is replaced. */
  import(text: string, name: string): boolean {
    let json: unknown;
    try {
      json = JSON.parse(text.replace(/^\uFEFF/, ""));
    } catch (error) {
      this.say(
        `${name} is not whole JSON; it may be cut short. Nothing was imported, nothing here has changed.`,
        true,
        [{ where: name, what: (error as Error).message }],
      );
      return false;
    }
    const format = (json as { format?: unknown } | null)?.format;
    const read =
      format === "wide-sieve.audit"
        ? this.#readAudit(json)
        : format === "wide-sieve.list"
          ? this.#readList(json)
          : parseWorkspace(json);
    if (!read.ok) {
      this.say(`${name} was not imported; nothing here has changed.`, true, read.problems);
      return false;
    }
    const renamed = renameTaken(
      read.value,
      new Set([...this.records.keys(), ...this.setAside.map((a) => a.key)]),
      this.records,
    );
    this.edit(`import ${name}`, renamed);
    const kits = renamed.filter((r) => r.kind === "kit").length;
    const lists = renamed.filter((r) => r.kind === "list").length;
    this.say(
      renamed.length === 0
        ? `Everything in ${name} is here already.`
        : kits === 0 && lists > 0
          ? `Imported from ${name}: ${lists === 1 ? "a reference list" : `${lists} reference lists`}.`
          : `Imported from ${name}: ${kits} ${kits === 1 ? "kit" : "kits"}, ${renamed.length} records.`,
    );
    return true;
  }

  #readAudit(json: unknown): ReturnType<typeof parseWorkspace> {
    const parsed = parseAudit(json);
    if (!parsed.ok) return parsed;
    const a = parsed.value;
    const brief = { ...newBrief(newKey()), brief: a.brief };
    const kit = {
      ...newKit(newKey(), a.kit.name, brief.id),
      kit: a.kit,
      list: a.list,
      houseRules: a.houseRules ?? {},
    };
    const types = (a.itemTypes ?? []).map((t) => ({
      kind: "itemType" as const,
      id: `itemType:${t.id}`,
      version: 1,
      itemType: t,
    }));
    return { ok: true, value: [brief, kit, ...types] };
  }

  #readList(json: unknown): ReturnType<typeof parseWorkspace> {
    const parsed = parseListFile(json);
    if (!parsed.ok) return parsed;
    const types = (parsed.value.itemTypes ?? []).map((t) => ({
      kind: "itemType" as const,
      id: `itemType:${t.id}`,
      version: 1,
      itemType: t,
    }));
    return { ok: true, value: [newList(newKey(), parsed.value.list), ...types] };
  }

  async wipe(): Promise<void> {
    await this.#store?.wipe();
    this.say("Everything is removed from this browser.");
  }
}

function sorted<K extends WorkspaceRecord["kind"]>(
  records: ReadonlyMap<string, WorkspaceRecord>,
  kind: K,
): Extract<WorkspaceRecord, { kind: K }>[] {
  const own = [...records.values()].filter(
    (r): r is Extract<WorkspaceRecord, { kind: K }> => r.kind === kind,
  );
  return own.sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** Records whose id is taken by something else get a new id; the same content is not taken in twice. */
function renameTaken(
  incoming: readonly WorkspaceRecord[],
  taken: ReadonlySet<string>,
  here: ReadonlyMap<string, WorkspaceRecord>,
): WorkspaceRecord[] {
  const ids = new Map<string, string>();
  const fresh = incoming.filter((r) => {
    const mine = here.get(r.id);
    return !(mine && writeWorkspace([mine]) === writeWorkspace([r]));
  });
  for (const r of fresh) if (taken.has(r.id)) ids.set(r.id, `${r.kind}:${newKey()}`);
  return fresh.map((r) => {
    const id = ids.get(r.id) ?? r.id;
    return r.kind === "kit"
      ? { ...r, id, briefId: ids.get(r.briefId) ?? r.briefId }
      : ({ ...r, id } as WorkspaceRecord);
  });
}

export const workspace = new Workspace();
