<script lang="ts">
  import { ServiceState } from "$lib/state/pages/service.svelte.ts";
  import { kitPath } from "$lib/state/paths.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import TypePicker from "$lib/ui/TypePicker.svelte";
  import { day, many, number } from "$lib/words/sentences.ts";

  const service = new ServiceState();
  let itemType = $state<string | null>(null);
  let lot = $state("");
  let note = $state("");
  const found = $derived(itemType ? service.withLot(itemType, lot.trim()) : []);
  const nameOf = $derived(itemType ? (workspace.typeOf(itemType)?.label ?? itemType) : "");

  function recall(e: SubmitEvent) {
    e.preventDefault();
    if (!itemType || found.length === 0) return;
    const n = service.recall(itemType, lot.trim(), note.trim());
    workspace.say(`Recalled in ${many(n, "kit")}: fails until it is replaced. Undo takes it back.`);
    itemType = null;
    lot = note = "";
  }
</script>

<svelte:head><title>In service · Wide Sieve</title></svelte:head>
<ShelfHeader title="In service" about="All kits, those first that ask for a hand." />
<main class="mx-auto max-w-6xl p-4 sm:p-6">
  <div class="overflow-x-auto">
    <table class="w-full min-w-160" data-testid="service">
      <thead
        ><tr class="border-b border-ink text-left text-sm"
          ><th class="py-2 pr-3">kit</th><th class="pr-3">to put back</th><th class="pr-3">seal</th
          ><th class="pr-3">last check</th><th class="pr-3">next date</th><th>who has it</th></tr
        ></thead
      >
      <tbody>
        {#each service.rows as r (r.k.id)}
          <tr class="border-b border-line"
            ><td class="py-2 pr-3"
              ><a class="font-semibold underline underline-offset-4" href="{kitPath(r.k.id)}/log"
                >{r.k.kit.name}</a
              >{r.k.isStore ? " (store)" : ""}</td
            ><td class="pr-3 whitespace-nowrap"
              ><StateIcon state={r.toPutBack > 0 ? "bad" : "good"} />
              {r.toPutBack > 0 ? many(r.toPutBack, "thing") : "nothing"}</td
            ><td class="pr-3 whitespace-nowrap"
              >{#if r.seal === null}<span class="text-soft">none</span>{:else}<StateIcon
                  state={r.seal.brokenBy === null ? "good" : "open"}
                />
                {r.seal.number}
                {r.seal.brokenBy === null ? "whole" : "broken"}{/if}</td
            ><td class="pr-3 whitespace-nowrap">{r.checked ? day(r.checked) : "not noted"}</td><td
              class="pr-3 whitespace-nowrap">{r.due ? day(r.due) : "none"}</td
            ><td class="break-words">{r.holder || "–"}</td></tr
          >
        {:else}
          <tr><td colspan="6" class="py-4 text-soft">No kit is on the shelf yet.</td></tr>
        {/each}
      </tbody>
    </table>
  </div>

  <section class="sheet mt-6 max-w-2xl p-4" aria-label="Recall">
    <h2 class="text-xl">A recall</h2>
    <p class="text-sm text-soft">
      Every piece of the lot fails, in every kit, until it is replaced. Go by the maker's own
      notice.
    </p>
    <form class="mt-2 grid gap-3" onsubmit={recall}>
      <div class="flex flex-wrap items-end gap-3">
        <span class="min-w-56 flex-1"
          ><TypePicker
            value={itemType}
            name={nameOf}
            label="What is recalled"
            placeholder="what is recalled"
            onpick={(id) => (itemType = id)}
          /></span
        >
        <label class="flex flex-col text-sm"
          >lot, empty: all<input class="field w-36" maxlength="120" bind:value={lot} /></label
        >
      </div>
      <label class="flex flex-col text-sm"
        >why<input class="field" maxlength="2000" bind:value={note} /></label
      >
      {#if itemType}
        <p class="text-sm" aria-live="polite">
          {found.length === 0
            ? "No kit here holds it."
            : found.map((f) => `${f.k.kit.name}: ${number(f.pieces)}`).join("; ")}
        </p>
      {/if}
      <button class="btn btn-main justify-self-start" disabled={found.length === 0}
        >Recall it in {many(found.length, "kit")}</button
      >
    </form>
  </section>
</main>
