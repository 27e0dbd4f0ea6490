<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import { untrack } from "svelte";
  import { dndzone } from "svelte-dnd-action";
  import { page } from "$app/state";
  import type { Need } from "$lib/core/model/list.ts";
  import { conditionHolds } from "$lib/core/reference/asked.ts";
  import { sameList } from "$lib/core/reference/compareLists.ts";
  import { requiredQuantity } from "$lib/core/reference/quantity.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { ListState } from "$lib/state/pages/list.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { shortcuts } from "$lib/ui/keys.ts";
  import ListDifferenceView from "$lib/ui/ListDifference.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { needLabel, many, percent, quantity } from "$lib/words/sentences.ts";
  import NeedForm from "./NeedForm.svelte";

  const id = $derived(`list:${page.params["id"]}`);
  const editor = new ListState(() => id);
  const list = $derived(editor.list);
  const now = $derived(editor.now);
  const before = $derived(editor.before);
  const tried = $derived(editor.tried);
  const brief = $derived(editor.brief);
  const selected = $derived(editor.selected);
  const holders = $derived(editor.holders);
  const typeOf = $derived(workspace.typeOf);
  $effect(() => {
    // Another list was opened.
    void id;
    untrack(() => editor.open());
  });

  let listBox = $state<HTMLElement>();
  function step(by: -1 | 1, moving: boolean) {
    if (moving && selected) editor.move(selected, by);
    else editor.select(by);
    requestAnimationFrame(() =>
      listBox?.querySelector("[aria-selected=true]")?.scrollIntoView({ block: "nearest" }),
    );
  }
  const onKey = shortcuts({
    ArrowDown: () => step(1, false),
    ArrowUp: () => step(-1, false),
    "Alt+ArrowDown": () => step(1, true),
    "Alt+ArrowUp": () => step(-1, true),
    Delete: () => selected && editor.remove(selected),
    Enter: () => document.getElementById("need-function")?.focus(),
  });
</script>

<svelte:head><title>{list?.title ?? "No such list"} · Wide Sieve</title></svelte:head>
<ShelfHeader title={list?.title ?? "No such list"} about="" />
{#if !editor.record || !list}
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
          oninput={(e) => editor.about({ title: e.currentTarget.value }, "title")}
        /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Try it on</span><Choice
          label="Try it on"
          value={tried?.id ?? ""}
          hint="no kit on the shelf yet: two people for a day"
          options={workspace.kits.map((k) => ({
            value: k.id,
            label: `${k.kit.name}, ${workspace.brief(k.briefId)?.brief.title || "untitled brief"}`,
          }))}
          onchoose={(id) => (editor.triedId = id)}
        /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Whom it is for</span><textarea
          class="field min-h-16"
          maxlength="2000"
          value={list.for ?? ""}
          oninput={(e) => editor.about({ for: e.currentTarget.value || undefined }, "for")}
        ></textarea></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">What it is not</span><textarea
          class="field min-h-16"
          maxlength="2000"
          value={list.isNot ?? ""}
          placeholder="No code, no standard: where a local rule applies, load it."
          oninput={(e) => editor.about({ isNot: e.currentTarget.value || undefined }, "isNot")}
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
            >{/if}; {now.context.needs.length} of {many(list.needs.length, "need")} asked.
        </p>
      {/if}
      {#if holders.length > 0}
        <span class="flex items-center gap-3"
          >{holders.length}
          {holders.length === 1 ? "kit is" : "kits are"} judged by an older copy.
          <button class="btn min-h-10 px-3 py-1" onclick={() => editor.updateKits()}
            >Judge by this one</button
          ></span
        >
      {/if}
      <span class="ml-auto text-sm text-soft">version {list.version ?? 1}</span>
    </div>

    <div class="mt-4 grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1fr)_1.1fr]">
      <section aria-label="Needs in order" class="self-start lg:sticky lg:top-4">
        <div class="flex flex-wrap items-center justify-between gap-2">
          <h2 class="text-xl">Needs, in order</h2>
          <button class="btn" onclick={() => editor.add()}>Add a need</button>
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
            items: editor.shown,
            flipDurationMs: 0,
            dropTargetStyle: {},
            // The box itself is the one stop of the tab key, with keys of its own.
            autoAriaDisabled: true,
            zoneTabIndex: 0,
            zoneItemTabIndex: -1,
            delayTouchStart: true,
          }}
          onconsider={(e) => (editor.dragged = e.detail.items as Need[])}
          onfinalize={(e) => {
            editor.dragged = null;
            editor.change("order the needs", { ...list, needs: e.detail.items as Need[] });
          }}
        >
          {#each editor.shown as n (n.id)}
            {@const asked = conditionHolds(n.when, brief)}
            {@const rests = editor.restsOf(n.id)}
            <div
              id="need-{n.id}"
              role="option"
              tabindex="-1"
              aria-selected={n.id === selected?.id}
              class="flex min-h-12 cursor-pointer items-center gap-3 border-b border-line px-2 {n.id ===
              selected?.id
                ? 'bg-pick text-onpick'
                : ''}"
              onclick={() => (editor.selectedId = n.id)}
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
                if (next.id !== was) editor.selectedId = next.id;
                editor.changeNeed(was, label, next, key);
              }}
              onremove={() => editor.remove(selected!)}
            />
          {/key}
        {/if}
      </section>
    </div>
    {#if editor.sinceOpened && !sameList(editor.sinceOpened)}
      <details class="mt-6 border-t border-line pt-3">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold">Changed since opened</summary>
        <ListDifferenceView difference={editor.sinceOpened} {typeOf} />
      </details>
    {/if}
    {#if editor.shipped && editor.sinceShipped && !sameList(editor.sinceShipped)}
      <details class="border-t border-line pt-3">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold"
          >Against “{editor.shipped.title}”, from which it was made</summary
        >
        <ListDifferenceView difference={editor.sinceShipped} {typeOf} />
      </details>
    {/if}
  </main>
{/if}
