<script lang="ts">
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { page } from "$app/state";
  import { untrack } from "svelte";
  import { dndzone } from "svelte-dnd-action";
  import { audit } from "$lib/core/audit/audit.ts";
  import { typeLookup } from "$lib/core/catalogue/catalogue.ts";
  import type { Need, ReferenceList } from "$lib/core/model/list.ts";
  import { auditOf } from "$lib/core/records/auditOf.ts";
  import { freeId } from "$lib/core/base/freeId.ts";
  import { compareLists, sameList } from "$lib/core/reference/compareLists.ts";
  import { conditionHolds } from "$lib/core/reference/asked.ts";
  import { requiredQuantity } from "$lib/core/reference/quantity.ts";
  import { newBrief } from "$lib/state/newRecords.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import ListDifferenceView from "$lib/ui/ListDifference.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { needLabel, percent, quantity } from "$lib/words/sentences.ts";
  import NeedForm from "./NeedForm.svelte";

  const id = $derived(`list:${page.params["id"]}`);
  const record = $derived(workspace.ownList(id));
  const list = $derived(record?.list);
  const typeOf = $derived(typeLookup(workspace.ownTypes, CATALOGUE));
  /** The list as it was when this page was opened. */
  let opened = $state.raw<ReferenceList | null>(null);
  $effect(() => {
    void id;
    untrack(() => (opened = list ? structuredClone($state.snapshot(list) as ReferenceList) : null));
  });

  // Tried on a kit of the shelf: what it asks there, and what the change does.
  let triedId = $state<string | null>(null);
  const tried = $derived(
    workspace.kits.find((k) => k.id === triedId) ??
      workspace.kits.find((k) => k.list.id === list?.id) ??
      workspace.kits.find((k) => k.list.id === record?.from) ??
      workspace.kits[0],
  );
  const brief = $derived(
    (tried && workspace.brief(tried.briefId)?.brief) ?? newBrief("none").brief,
  );
  const file = $derived(tried ? auditOf(tried, brief, workspace.ownTypes) : null);
  const by = (l: ReferenceList) =>
    file && l.needs.every((n) => CATALOGUE.functions.get(n.function))
      ? audit({ ...file, list: l }, workspace.today, CATALOGUE)
      : null;
  const now = $derived(list ? by(list) : null);
  const before = $derived(opened ? by(opened) : null);
  const restsOf = (needId: string) => {
    const i = now?.bench.needs.findIndex((n) => n.need.id === needId) ?? -1;
    return i < 0 || !now ? null : now.needs[i]!;
  };
  const holders = $derived(
    list
      ? workspace.kits.filter(
          (k) => k.list.id === list.id && !sameList(compareLists(k.list, list, typeOf)),
        )
      : [],
  );
  const sinceOpened = $derived(opened && list ? compareLists(opened, list, typeOf) : null);
  const shipped = $derived(record?.from ? workspace.listNow(record.from) : undefined);
  const sinceShipped = $derived(shipped && list ? compareLists(shipped, list, typeOf) : null);

  let selectedId = $state<string | null>(null);
  const selected = $derived(list?.needs.find((n) => n.id === selectedId) ?? list?.needs[0] ?? null);

  function change(label: string, next: ReferenceList, mergeKey: string | null = null) {
    if (!record || !list) return;
    // A kit that holds this version keeps it under its number: what changes now is the next one.
    const given = workspace.kits.some(
      (k) => k.list.id === list.id && (k.list.version ?? 1) === (list.version ?? 1),
    );
    const version = (list.version ?? 1) + (given ? 1 : 0);
    workspace.edit(
      label,
      [{ ...record, list: { ...next, version } }],
      [],
      mergeKey && `${record.id} ${mergeKey}`,
    );
  }
  const about = (patch: Partial<ReferenceList>, key: string) =>
    list && change("words of the list", { ...list, ...patch }, key);
  function changeNeed(needId: string, label: string, next: Need, mergeKey: string | null) {
    if (!list) return;
    change(
      label,
      { ...list, needs: list.needs.map((n) => (n.id === needId ? next : n)) },
      mergeKey && `${needId} ${mergeKey}`,
    );
  }
  function add() {
    if (!list) return;
    const needId = freeId("need", new Set(list.needs.map((n) => n.id)));
    const at = selected ? list.needs.indexOf(selected) + 1 : list.needs.length;
    const fresh: Need = {
      id: needId,
      function: "small-wound-cover",
      tier: "core",
      quantity: { base: 1 },
    };
    change("add a need", { ...list, needs: list.needs.toSpliced(at, 0, fresh) });
    selectedId = needId;
  }
  function remove(need: Need) {
    if (!list) return;
    const at = list.needs.indexOf(need);
    change("take a need out", { ...list, needs: list.needs.filter((n) => n.id !== need.id) });
    selectedId = list.needs[at + 1]?.id ?? list.needs[at - 1]?.id ?? null;
  }
  function move(need: Need, by: -1 | 1) {
    if (!list) return;
    const at = list.needs.indexOf(need);
    const to = at + by;
    if (to < 0 || to >= list.needs.length) return;
    change("order the needs", {
      ...list,
      needs: list.needs.toSpliced(at, 1).toSpliced(to, 0, need),
    });
  }
  const updateKits = () =>
    workspace.edit(
      `judge ${holders.length} kits by the newer list`,
      holders.map((k) => ({ ...k, list: structuredClone($state.snapshot(list!)) })),
    );

  // While a row is dragged the order is only shown; it is kept when the row is let go.
  let dragged = $state.raw<Need[] | null>(null);
  const shown = $derived(dragged ?? list?.needs ?? []);
  let listBox = $state<HTMLElement>();
  function onKey(e: KeyboardEvent) {
    if (!selected || !list) return;
    const at = list.needs.indexOf(selected);
    if (e.key === "ArrowDown" || e.key === "ArrowUp") {
      e.preventDefault();
      const by = e.key === "ArrowDown" ? 1 : -1;
      if (e.altKey) move(selected, by);
      else selectedId = list.needs[Math.min(list.needs.length - 1, Math.max(0, at + by))]!.id;
      requestAnimationFrame(() =>
        listBox?.querySelector("[aria-selected=true]")?.scrollIntoView({ block: "nearest" }),
      );
    } else if (e.key === "Delete") {
      e.preventDefault();
      remove(selected);
    } else if (e.key === "Enter") {
      e.preventDefault();
      document.getElementById("need-function")?.focus();
    }
  }
</script>

<svelte:head><title>{list?.title ?? "No such list"} · Wide Sieve</title></svelte:head>
<ShelfHeader title={list?.title ?? "No such list"} about="" />
{#if !record || !list}
  <main class="mx-auto max-w-xl p-8">
    <p>This list is not here. Undo brings back what was just removed.</p>
    <a class="btn mt-4" href="/lists">To the lists</a>
  </main>
{:else}
  <main class="mx-auto max-w-7xl p-4 sm:p-6">
    <div class="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Title</span><input
          class="field font-semibold"
          value={list.title}
          maxlength="300"
          oninput={(e) => about({ title: e.currentTarget.value }, "title")}
        /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Try it on</span><select
          class="field"
          value={tried?.id ?? ""}
          onchange={(e) => (triedId = e.currentTarget.value)}
        >
          {#each workspace.kits as k (k.id)}<option value={k.id}
              >{k.kit.name}, {workspace.brief(k.briefId)?.brief.title || "untitled brief"}</option
            >{:else}<option value="">no kit on the shelf yet: two people for a day</option>{/each}
        </select></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Whom it is for</span><textarea
          class="field min-h-16"
          maxlength="2000"
          value={list.for ?? ""}
          oninput={(e) => about({ for: e.currentTarget.value || undefined }, "for")}
        ></textarea></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">What it is not</span><textarea
          class="field min-h-16"
          maxlength="2000"
          value={list.isNot ?? ""}
          placeholder="No code, no standard: where a local rule applies, load it."
          oninput={(e) => about({ isNot: e.currentTarget.value || undefined }, "isNot")}
        ></textarea></label
      >
    </div>
    <div class="sheet mt-4 flex flex-wrap items-center gap-x-6 gap-y-2 p-3" aria-live="polite">
      {#if now && tried}
        <p data-testid="list-effect">
          <strong>{tried.kit.name}</strong> by this list:
          <strong class="font-head text-lg">{percent(now.coverage)} %</strong>, {now.grade ??
            "asked for nothing"}{#if before && before.coverage !== now.coverage}
            <span class="text-soft"
              >(when opened {percent(before.coverage)} %, {before.grade ?? "nothing asked"})</span
            >{/if}; {now.bench.needs.length} of {list.needs.length} needs asked.
        </p>
      {/if}
      {#if holders.length > 0}
        <span class="flex items-center gap-3"
          >{holders.length}
          {holders.length === 1 ? "kit is" : "kits are"} judged by an older copy.
          <button class="btn min-h-10 px-3 py-1" onclick={updateKits}>Judge by this one</button
          ></span
        >
      {/if}
      <span class="ml-auto text-sm text-soft">version {list.version ?? 1}</span>
    </div>

    <div class="mt-4 grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1fr)_1.1fr]">
      <section aria-label="Needs in order" class="self-start lg:sticky lg:top-4">
        <div class="flex flex-wrap items-center justify-between gap-2">
          <h2 class="text-xl">Needs, in order</h2>
          <button class="btn" onclick={add}>Add a need</button>
        </div>
        <p class="text-sm text-soft">
          Between equal needs the earlier is served first. Drag, or <span class="kbd">Alt ↑ ↓</span>
          moves, <span class="kbd">↑ ↓</span> picks, <span class="kbd">Enter</span> edits,
          <span class="kbd">Del</span> takes out.
        </p>
        <div
          bind:this={listBox}
          class="mt-2 max-h-[36rem] overflow-y-auto border-y border-line"
          role="listbox"
          tabindex="0"
          aria-label="Needs of the list"
          aria-activedescendant={selected ? `need-${selected.id}` : undefined}
          onkeydown={onKey}
          use:dndzone={{
            items: shown,
            flipDurationMs: 0,
            dropTargetStyle: {},
            // The box itself is the one stop of the tab key, with keys of its own.
            autoAriaDisabled: true,
            zoneTabIndex: 0,
            zoneItemTabIndex: -1,
            delayTouchStart: true,
          }}
          onconsider={(e) => (dragged = e.detail.items as Need[])}
          onfinalize={(e) => {
            dragged = null;
            change("order the needs", { ...list, needs: e.detail.items as Need[] });
          }}
        >
          {#each shown as n (n.id)}
            {@const asked = conditionHolds(n.when, brief)}
            {@const rests = restsOf(n.id)}
            <div
              id="need-{n.id}"
              role="option"
              tabindex="-1"
              aria-selected={n.id === selected?.id}
              class="flex min-h-12 cursor-pointer items-center gap-3 border-b border-line px-2 {n.id ===
              selected?.id
                ? 'bg-pick text-onpick'
                : ''}"
              onclick={() => (selectedId = n.id)}
              onkeydown={() => {}}
            >
              <span aria-hidden="true" class="px-1 text-lg">⠿</span>
              <span class="w-16 shrink-0 text-right font-semibold"
                >{asked
                  ? quantity(
                      requiredQuantity(n, brief),
                      CATALOGUE.functions.get(n.function)?.unit ?? "each",
                    )
                  : "–"}</span
              >
              <span class="min-w-0 grow">
                <span class="block truncate font-semibold">{needLabel(n.function)}</span>
                <span class="block truncate text-sm opacity-80"
                  >{n.tier}{asked ? "" : " · not asked here"}{n.reason
                    ? ` · ${n.reason}`
                    : " · no reason given yet"}</span
                >
              </span>
              {#if rests}<span class="shrink-0 text-sm">{percent(rests.met)} %</span>{/if}
            </div>
          {/each}
        </div>
        {#if list.needs.length === 0}
          <p class="noted mt-3">
            A list with no needs asks for nothing, and nothing can be judged by it. Add the first.
          </p>
        {/if}
      </section>
      <section class="min-w-0" aria-label="The need picked">
        {#if selected}
          {#key selected.id}
            <NeedForm
              need={selected}
              taken={new Set(list.needs.filter((n) => n !== selected).map((n) => n.id))}
              {brief}
              {typeOf}
              onchange={(label, next, key) => {
                const was = selected!.id;
                if (next.id !== was) selectedId = next.id;
                changeNeed(was, label, next, key);
              }}
              onremove={() => remove(selected!)}
            />
          {/key}
        {/if}
      </section>
    </div>
    {#if sinceOpened && !sameList(sinceOpened)}
      <details class="mt-6 border-t border-line pt-3">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold">Changed since opened</summary>
        <ListDifferenceView difference={sinceOpened} {typeOf} />
      </details>
    {/if}
    {#if shipped && sinceShipped && !sameList(sinceShipped)}
      <details class="border-t border-line pt-3">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold"
          >Against “{shipped.title}”, from which it was made</summary
        >
        <ListDifferenceView difference={sinceShipped} {typeOf} />
      </details>
    {/if}
  </main>
{/if}
