<script lang="ts">
  import { tick } from "svelte";
  import { afterNavigate } from "$app/navigation";
  import { page } from "$app/state";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { BenchState } from "$lib/state/pages/bench.svelte.ts";
  import { ORDER_LABEL } from "$lib/state/pages/benchOrder.ts";
  import { inTurn, isFirstPage } from "$lib/ui/firstPage.ts";
  import Later from "$lib/ui/Later.svelte";
  import NextStep from "$lib/ui/NextStep.svelte";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { number, pieceCount } from "$lib/words/sentences.ts";
  import { benchKeys } from "./benchKeys.ts";
  import ItemPicker from "./ItemPicker.svelte";
  import ItemContext from "./ItemContext.svelte";
  import Facts from "./Facts.svelte";
  import Points from "./Points.svelte";
  import Stopwatch from "./Stopwatch.svelte";
  import VerdictPicker from "./VerdictPicker.svelte";
  import WhatItIs from "./WhatItIs.svelte";

  const kit = useKit();
  const bench = new BenchState(kit, page.url.hash.slice(1) || null);
  const line = $derived(bench.line);
  const type = $derived(bench.type);
  let stopwatch = $state<Stopwatch>();
  let picker = $state<VerdictPicker>();
  let beside = $state<ItemContext>();
  let whatItIs = $state<WhatItIs>();

  let section = $state<HTMLElement>();
  let items = $state(false);
  // A new item begins at its top, and its name is read out; a list that has the focus keeps it.
  let isNew = isFirstPage();
  const inHand = $derived(bench.line?.id);
  $effect(() => {
    void inHand;
    // The first stands at its top, and its name has the focus.
    if (isNew) {
      isNew = false;
      return;
    }
    if (section) section.scrollTop = 0;
    const on = document.activeElement;
    if (on && on !== document.body && !section?.contains(on)) return;
    document.getElementById("stage")?.scrollTo({ top: 0 });
    toName();
  });
  const toName = () => document.getElementById("bench-name")?.focus({ preventScroll: true });
  const nameUnlessFocus = () => {
    if (document.activeElement === document.body) toName();
  };
  // Letters act from the item on: its name has the focus before the parts under it are there, and once it is laid out that costs nothing.
  if (isFirstPage()) inTurn(nameUnlessFocus);
  // The router takes the focus off a page that it starts with.
  afterNavigate(nameUnlessFocus);
  /** A field left, or a control that went, hands the focus back to the item: never to nothing. */
  function left(e: FocusEvent) {
    if (e.relatedTarget !== null) return;
    // At once: the next key may come before the next frame.
    queueMicrotask(() => {
      if (document.hasFocus()) nameUnlessFocus();
    });
  }

  function go(step: number) {
    bench.go(step);
    document.getElementById(`bench-${bench.picked}`)?.scrollIntoView({ block: "nearest" });
  }
  /** What nobody has said what it is cannot be sound: that is asked first. */
  const sound = () => (bench.openName ? void whatItIs?.ask() : bench.restIsSound());
  async function focus(id: string, first = "") {
    const before = bench.scans;
    await tick();
    // The digit was a scanner's, and its code has been taken meanwhile.
    if (bench.scans !== before) return;
    const el = document.getElementById(id);
    el?.focus();
    if (!(el instanceof HTMLInputElement)) return;
    if (first) {
      el.value = first;
      el.dispatchEvent(new Event("input", { bubbles: true }));
    } else el.select();
  }

  const onKey = benchKeys({
    bench,
    go,
    focus,
    sound,
    ask: () => void whatItIs?.ask(),
    decide: (verdict) => picker?.decide(verdict),
    pickPhoto: () => beside?.pickPhoto(),
    pickWrapper: () => beside?.pickWrapper(),
    pressStopwatch: () => stopwatch?.press(),
  });
</script>

<svelte:window onkeydown={onKey} />

{#if !line}
  <div class="mx-auto max-w-xl p-8">
    <h1 class="text-3xl">Nothing on the bench yet</h1>
    <p class="mt-2">Read the contents card or add things by hand first.</p>
    <a class="btn btn-main mt-5" href="/kit/{page.params['id']}/unpack">Unpack</a>
  </div>
{:else}
  <div
    data-keys
    class="grid grid-cols-[minmax(0,1fr)] lg:h-full lg:min-h-0 lg:grid-cols-[19rem_minmax(0,1fr)] xl:grid-cols-[19rem_minmax(0,1fr)_16.5rem]"
  >
    <aside class="hidden min-h-0 flex-col border-r border-line bg-sheet lg:flex">
      <Later>
        <div class="flex items-center justify-between gap-2 p-3">
          <h2 class="text-xl">On the bench</h2>
          <button class="btn min-h-9 px-2 py-1 text-sm" onclick={() => bench.nextOrder()}
            >{ORDER_LABEL[bench.orderBy]} <span class="kbd">O</span></button
          >
        </div>
        <ol class="min-h-0 flex-1 overflow-y-auto">
          {#each bench.order as l (l.id)}
            {@const t = l.itemType ? kit.typeOf(l.itemType) : undefined}
            <li>
              <button
                id="bench-{l.id}"
                class="flex min-h-10 w-full items-center gap-3 border-b border-line px-3 py-2 text-left {l.id ===
                line.id
                  ? 'bg-pick text-onpick'
                  : 'hover:bg-passbg'}"
                aria-current={l.id === line.id}
                onclick={() => (bench.picked = l.id)}
              >
                <WeaveChip mesh={bench.markOf(l.id)} size={18} />
                <span class="min-w-0 flex-1 truncate font-semibold">{lineName(l, t?.label)}</span>
                <span class="shrink-0 text-sm"
                  >{l.counted === undefined
                    ? l.claimed === undefined
                      ? ""
                      : pieceCount(l.claimed, t)
                    : `${number(l.counted)} of ${pieceCount(l.claimed ?? l.counted, t)}`}</span
                >
              </button>
            </li>
          {/each}
        </ol>
        <div class="flex flex-wrap gap-2 border-t border-line p-3 text-sm">
          <a class="underline underline-offset-4" href="/kit/{page.params['id']}/labels"
            >Packing, wear, labels</a
          >
          <a class="underline underline-offset-4" href="/kit/{page.params['id']}/second"
            >Second opinion</a
          >
        </div>
      </Later>
    </aside>

    <section
      bind:this={section}
      onfocusout={left}
      class="min-w-0 p-4 pb-24 sm:p-5 sm:pb-24 lg:min-h-0 lg:overflow-y-auto lg:pb-5"
    >
      <div class="flex items-baseline justify-between gap-2">
        <p class="min-w-0 text-sm break-words text-soft">
          Item {bench.at + 1} of {bench.order
            .length}{#if line.text && line.text !== type?.label && !bench.openName}{" "}· listed as
            “{line.text}”{/if}
          {#if !bench.openName}<button
              class="min-h-6 underline underline-offset-4 pointer-coarse:min-h-11"
              onclick={() => whatItIs?.ask()}
              >not that?<span class="kbd ml-1 pointer-coarse:hidden">I</span></button
            >{/if}
        </p>
        <label class="hidden shrink-0 items-center gap-2 text-sm text-soft sm:flex"
          >looked at by
          <input
            class="field min-h-8 w-36 py-0.5 text-sm"
            maxlength="200"
            value={kit.record?.inspector ?? ""}
            placeholder="your name"
            oninput={(e) => {
              const inspector = e.currentTarget.value;
              kit.update("who looks", (r) => ({ ...r, inspector }), "inspector");
            }}
          /></label
        >
      </div>
      <div class="flex flex-wrap items-end justify-between gap-2">
        <h1 id="bench-name" tabindex="-1" class="text-3xl break-words outline-none sm:text-4xl">
          {bench.openName
            ? lineName(line, type?.label)
            : (type?.label ?? lineName(line, undefined))}
        </h1>
        <span class="flex flex-wrap gap-2">
          {#each type?.functions.slice(0, 3) ?? [] as f (f.function)}
            <span class="rounded-xs border border-ink px-2 py-0.5 text-sm font-semibold"
              >{CATALOGUE.functions.get(f.function)?.label.toLowerCase()}{f.credit < 1
                ? ` ·${f.credit}`
                : ""}</span
            >
          {/each}
        </span>
      </div>

      <Later>
        {#key `${line.id} ${bench.scans}`}
          <WhatItIs bind:this={whatItIs} {bench} ondone={toName} />
          <Facts {line} {type} />
          <Points
            points={bench.points}
            failed={bench.failed}
            answered={bench.answered}
            complete={bench.complete}
            next={bench.nextPoint?.id}
            onanswer={(id, good) => bench.answer(id, good)}
          />
        {/key}
      </Later>
      <Later>
        <div class="mt-3 flex flex-wrap gap-2">
          <button class="btn btn-main" onclick={sound}
            >{bench.failed.length > 0 ? "The rest is sound" : "All sound"}
            <span class="kbd pointer-coarse:hidden">Enter</span></button
          >
          <label class="btn font-normal"
            ><input
              type="checkbox"
              class="size-5"
              checked={line.findable !== false}
              onchange={(e) =>
                kit.updateLine(line.id, "easy to find", {
                  findable: e.currentTarget.checked ? undefined : false,
                })}
            />a stranger finds it</label
          >
          {#if type?.medicine}<label class="btn font-normal"
              ><input
                type="checkbox"
                class="size-5"
                checked={line.labelled !== false}
                onchange={(e) =>
                  kit.updateLine(line.id, "labelled", {
                    labelled: e.currentTarget.checked ? undefined : false,
                  })}
              />name and strength on it</label
            >{/if}
          <span class="self-center text-sm text-soft pointer-coarse:hidden"
            >next <span class="kbd">J</span> · back <span class="kbd">K</span> · undo
            <span class="kbd">U</span> · same date as before <span class="kbd">G</span></span
          >
        </div>
        <Stopwatch bind:this={stopwatch} {line} name={bench.name} />
        <VerdictPicker bind:this={picker} {line} proposed={bench.proposed} given={bench.given} />
        <NextStep from="bench" />
      </Later>
      <!-- At the thumb: the usual answer without scrolling. -->
      <div
        class="fixed inset-x-0 bottom-[var(--tally,0px)] z-30 flex gap-2 border-t border-ink bg-sheet p-2 lg:hidden"
      >
        <button class="btn flex-1 px-2" onclick={() => go(-1)} disabled={bench.at <= 0}>Back</button
        >
        <button class="btn flex-1 px-2" onclick={() => (items = true)}>Items</button>
        <button class="btn btn-main flex-[1.6] px-2" onclick={sound}
          >{bench.failed.length > 0 ? "Rest is sound" : "All sound"}</button
        >
        <button
          class="btn flex-1 px-2"
          onclick={() => go(1)}
          disabled={bench.at >= bench.order.length - 1}>Next</button
        >
      </div>
    </section>
    <Later><ItemPicker bind:open={items} {bench} /></Later>
    <Later><ItemContext bind:this={beside} {line} index={bench.index} /></Later>
  </div>
{/if}
