<script lang="ts">
  import { problemText } from "$lib/words/problems.ts";
  import { page } from "$app/state";
  import type { Line } from "$lib/core/model/kit.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { UnpackState } from "$lib/state/pages/unpack.svelte.ts";
  import { many, number } from "$lib/words/sentences.ts";
  import { CardPicturesState } from "$lib/state/pages/pictures.svelte.ts";
  import CardPictures from "./CardPictures.svelte";
  import CardEditor from "./CardEditor.svelte";
  import CardText from "./CardText.svelte";
  import LineRow from "./LineRow.svelte";
  import CountTools from "./CountTools.svelte";
  import PictureIn from "./PictureIn.svelte";
  import Outside from "./Outside.svelte";
  import OwnType from "./OwnType.svelte";
  import Later from "$lib/ui/Later.svelte";
  import ReadingBar from "$lib/ui/ReadingBar.svelte";
  import { inTurn, isFirstPage } from "$lib/ui/firstPage.ts";
  import { onMount } from "svelte";

  const kit = useKit();
  const unpack = new UnpackState(kit);
  const cards = new CardPicturesState(kit, (text) => void unpack.read(text, true));
  const cardText = $derived(unpack.cardText);
  const lines = $derived(unpack.lines);
  const doubts = $derived(unpack.doubts);
  const value = $derived(kit.audit.value);
  const noLines = $derived.by(() => {
    const byHand = "add things by hand as they come out of the bag.";
    if (cardText === "")
      return `Paste the contents card on the left and its lines appear here, or ${byHand}`;
    if (unpack.isUnderWay) return "The card is being read.";
    if (unpack.long) return `The card is long, and is read when you say so there; or ${byHand}`;
    return `Nothing on the card was read as an item. Say there which of its lines are, or ${byHand}`;
  });
  let writing = $state(false);
  let making = $state(false);
  let makingFor = $state<Line | null>(null);
  /** Rows shown at once; a longer kit is shown in parts, so that the page stays quick. */
  const SHOWN = 150;
  /** Rows of the first page that come at once: a third of what may keep a slow phone from answering. The first comes alone: it takes as long. */
  const IN_TURN = 3;
  let shown = $state(isFirstPage() ? 0 : SHOWN);
  const more = () => {
    const next = shown === 0 ? 1 : shown + IN_TURN;
    shown = next < Math.min(SHOWN, lines.length) ? next : SHOWN;
    if (shown < SHOWN) inTurn(more);
  };
  // Before the other parts: the rows are what one comes for.
  if (isFirstPage()) inTurn(more);
  onMount(() => inTurn(() => unpack.warmUp()));
  $effect(() => void unpack.seekColumns());

  function pick(id: string, bring = true) {
    unpack.picked = id;
    if (!bring) return;
    document.getElementById(`line-${id}`)?.scrollIntoView({ block: "nearest" });
  }
</script>

<div
  class="mx-auto grid max-w-[100rem] grid-cols-[minmax(0,1fr)] gap-6 p-4 sm:p-6 xl:grid-cols-[minmax(20rem,2fr)_3fr]"
>
  <section class="min-w-0">
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h1 class="text-3xl">Unpack</h1>
      {#if cardText !== ""}<button
          class="btn min-h-9 px-3 py-1"
          onclick={() => (writing = !writing)}
          >{writing ? "Show what was read" : "Edit the card"}</button
        >{/if}
    </div>
    <p class="text-soft">Lay it all out. What the card says is a claim until it is counted.</p>
    <Later>
      <PictureIn {cards} />
      {#if writing || cardText === ""}
        <CardEditor
          value={cardText}
          rows={unpack.cardRows}
          {doubts}
          onchange={(text) => void unpack.read(text)}
          onpick={pick}
          onfocus={() => (writing = true)}
        />
      {:else}
        <CardText
          rows={unpack.cardRows}
          {doubts}
          picked={unpack.picked}
          onpick={pick}
          onadd={(n) => unpack.addFromCard(n)}
        />
        {@const { sure, look, unread } = unpack.states}
        <p
          class="mt-2 flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1 text-sm"
          aria-live="polite"
        >
          {#if sure + look === 0 && unpack.isUnderWay}
            <span>It is being read.</span>
          {:else}
            <span class="underline decoration-pass decoration-2 underline-offset-4"
              >{sure} sure</span
            >
            <span class="underline decoration-note decoration-wavy decoration-2 underline-offset-4"
              >{look} to look at</span
            >
            <span class="text-soft"
              >{many(unread, "line")} not read as {unread === 1 ? "an item" : "items"}</span
            >
            {#if sure + look === 0 && unread > 0 && !unpack.long}
              <button class="btn min-h-9 px-3 py-1" onclick={() => void unpack.read(cardText, true)}
                >Read it now</button
              >
            {/if}
          {/if}
        </p>
      {/if}
      {#if unpack.problem}<p class="noted mt-3" role="alert">
          This {unpack.problem.where}
          {problemText(unpack.problem)}. The lines on the right are as they were.
        </p>{/if}
      {#each unpack.leftOut as l (l.where)}<p class="noted mt-3">
          <strong>{l.where}</strong>
          {problemText(l)}.
        </p>{/each}
      <!-- One button for both, so that the focus stays where it is. -->
      {#if unpack.long || unpack.share !== null}<div
          class="noted mt-3 flex flex-wrap items-center gap-3"
          role="status"
        >
          {#if unpack.share !== null}
            <ReadingBar label="Reading the card" done={unpack.share} />
          {:else}
            <span class="flex-1 basis-56">This card has {cardText.split("\n").length} lines.</span>
          {/if}
          <button
            class="btn"
            onclick={() => (unpack.isUnderWay ? unpack.stop() : void unpack.read(cardText, true))}
            >{unpack.isUnderWay ? "Stop" : "Read it now"}</button
          >
        </div>{/if}
      {#if unpack.columnsUnclearAt !== null}
        <p class="noted mt-3 flex flex-wrap items-center gap-3">
          This looks like a table, and more than one column holds numbers: which one says how many
          there are?
          <button class="btn" onclick={() => void unpack.askColumns()}
            >Say what the columns are</button
          >
        </p>
      {/if}
    </Later>
    <Later>
      <CardPictures {cards} lines={kit.lines} picked={unpack.picked} onpick={pick} />
      <CountTools picked={unpack.picked} onpick={pick} />
    </Later>
    <Later><Outside /></Later>
  </section>

  <section class="min-w-0">
    <div class="flex flex-wrap items-baseline justify-between gap-3">
      <h2 class="text-2xl">{kit.lines.length} {kit.lines.length === 1 ? "line" : "lines"}</h2>
      <p class="text-soft">
        {many(value.claimed, "piece")} claimed{#if kit.record?.kit.claims.pieces !== undefined && kit.lines.length > 0},
          the lines add up to {kit.lines.reduce((s, l) => s + (l.claimed ?? 0), 0)}{/if};
        {kit.open.pieces} counted.
      </p>
    </div>
    {#if value.largestType && value.largestType.share > 0.3}
      <p class="mt-1 text-sm">
        {number(value.largestType.share * 100, 0)} % of all pieces are one thing: {kit.typeOf(
          value.largestType.itemType ?? "",
        )?.label ?? "not in the catalogue"}.
      </p>
    {/if}
    {#if kit.lines.length === 0}
      <p class="sheet mt-4 p-6 text-soft">
        {noLines}
      </p>
    {/if}
    {#if kit.lines.length > 0}
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <button
          class="btn min-h-10 px-3 py-1"
          disabled={unpack.uncounted.length === 0}
          onclick={() => unpack.countAll()}
          >Count all as claimed{unpack.uncounted.length > 0
            ? ` (${unpack.uncounted.length})`
            : ""}</button
        >
        <span class="text-sm text-soft">only where you have seen that it is so</span>
      </div>
      <div class="mt-2 hidden items-end gap-2 px-2 text-xs text-soft sm:flex" aria-hidden="true">
        <span class="flex-1 pl-2">what it is</span>
        <span class="w-28">size</span>
        <span class="w-16">claimed</span>
        <span class="w-16">counted</span>
        <span class="w-14"></span>
        {#if unpack.compartments.length > 0}<span class="w-28">lies in</span>{/if}
        <span class="w-11"></span>
      </div>
    {/if}
    <ul class="mt-1 grid gap-1">
      {#each lines.slice(0, shown) as line (line.id)}
        <LineRow
          {line}
          {unpack}
          onown={(l) => {
            makingFor = l;
            making = true;
          }}
        />
      {/each}
    </ul>
    {#if lines.length > shown && shown >= SHOWN}<button
        class="btn mt-3 w-full"
        onclick={() => (shown += SHOWN)}
        >Show {Math.min(SHOWN, lines.length - shown)} more of {lines.length - shown}</button
      >{/if}
    {#if shown >= SHOWN}
      <div class="mt-4 flex flex-wrap justify-between gap-3">
        <button class="btn" onclick={() => unpack.addLine()}>Add a thing by hand</button>
        <a class="btn btn-main" href="/kit/{page.params['id']}/bench">Next: the bench</a>
      </div>
    {/if}
  </section>
</div>
<Later
  ><OwnType
    bind:open={making}
    name={makingFor ? lineName(makingFor, "") : ""}
    onmade={(id) => makingFor && unpack.chooseType(makingFor, id)}
  /></Later
>
