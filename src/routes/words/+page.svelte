<script lang="ts">
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { GLOSSARY } from "$lib/words/glossary.ts";

  let sought = $state("");
  const found = $derived.by(() => {
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    return GLOSSARY.filter((t) =>
      words.every((w) => `${t.word} ${t.means}`.toLowerCase().includes(w)),
    );
  });
</script>

<svelte:head><title>Words · Wide Sieve</title></svelte:head>
<ShelfHeader title="Words" about="What the words of this application mean." />
<main class="mx-auto max-w-3xl p-4 sm:p-6">
  <label class="flex flex-col gap-1"
    ><span class="font-semibold">Find a word</span>
    <input class="field" type="search" bind:value={sought} /></label
  >
  <dl class="mt-4 divide-y divide-line border-y border-line" data-testid="glossary">
    {#each found as t (t.word)}
      <div class="grid gap-1 py-3 sm:grid-cols-[14rem_1fr]">
        <dt class="font-semibold">{t.word}</dt>
        <dd>{t.means}</dd>
      </div>
    {/each}
  </dl>
  {#if found.length === 0}<p class="mt-4 text-soft">No such word here.</p>{/if}
</main>
