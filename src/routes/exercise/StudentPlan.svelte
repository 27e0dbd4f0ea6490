<script lang="ts">
  import { Minus, Plus } from "lucide";
  import Icon from "$lib/ui/Icon.svelte";
  import type { PlanOffer } from "$lib/core/exercise/exerciseFile.ts";
  import type { TakingState } from "$lib/state/pages/taking.svelte.ts";
  import { money } from "$lib/words/sentences.ts";

  /** What the student would buy for the budget; chosen products first, the rest by name. */
  const { taking, offer }: { taking: TakingState; offer: PlanOffer } = $props();
  let sought = $state("");
  const over = $derived(taking.cost > offer.budget + 1e-3);
  const found = $derived.by(() => {
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    const mine = offer.products.filter((p) => (taking.packs[p.id] ?? 0) > 0);
    const others =
      words.length === 0
        ? []
        : offer.products.filter(
            (p) => !mine.includes(p) && words.every((w) => p.title.toLowerCase().includes(w)),
          );
    return [...mine, ...others.slice(0, 12)];
  });
</script>

<section class="sheet mt-6 p-4" aria-label="Your plan">
  <h2 class="text-xl">What would you buy for it?</h2>
  <p class={over ? "bad font-semibold" : "text-soft"} aria-live="polite" data-testid="plan-cost">
    {money(taking.cost, offer.currency)} of {money(offer.budget, offer.currency)}{over
      ? ": over the budget"
      : ""}
  </p>
  <label class="mt-2 flex flex-col gap-1 text-sm"
    >seek a product by its name<input class="field" maxlength="100" bind:value={sought} /></label
  >
  <ul class="mt-2">
    {#each found as p (p.id)}
      {@const n = taking.packs[p.id] ?? 0}
      <li class="flex items-center gap-2 border-t border-line py-1">
        <span class="min-w-0 flex-1"
          >{p.title}<br /><span class="text-sm text-soft"
            >{money(p.price.amount, offer.currency)} a pack</span
          ></span
        >
        <button
          class="btn min-h-11 w-11 px-0"
          disabled={n === 0}
          aria-label="One pack of {p.title} less"
          onclick={() => taking.plan(p.id, n - 1)}><Icon of={Minus} size={18} /></button
        >
        <strong class="w-8 text-center">{n}</strong>
        <button
          class="btn min-h-11 w-11 px-0"
          aria-label="One pack of {p.title} more"
          onclick={() => taking.plan(p.id, n + 1)}><Icon of={Plus} size={18} /></button
        >
      </li>
    {/each}
  </ul>
</section>
