<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import { priceOfDifference, whyAhead, type KitRow } from "$lib/core/compare/compareKits.ts";
  import { CATEGORY_LABEL } from "$lib/words/labels.ts";
  import { money, number } from "$lib/words/sentences.ts";

  /** Why one of two kits is ahead, and what that costs. */
  const { rows }: { rows: readonly KitRow[] } = $props();
  let firstId = $state<string | null>(null);
  let secondId = $state<string | null>(null);
  const one = $derived(rows.find((r) => r.id === firstId) ?? rows[0]);
  const two = $derived(
    rows.find((r) => r.id === secondId && r.id !== one?.id) ?? rows.find((r) => r.id !== one?.id),
  );
  const why = $derived(one && two ? whyAhead(one, two) : []);
  const difference = $derived(one && two ? priceOfDifference(two, one) : null);
</script>

{#if one && two}
  <section class="mt-8">
    <h2 class="text-2xl">Two of them</h2>
    <div class="mt-2 flex flex-wrap gap-3">
      {#each [["This one", one.id, (id: string) => (firstId = id)], ["against", two.id, (id: string) => (secondId = id)]] as const as [label, value, set] (label)}
        <label class="flex grow basis-60 flex-col gap-1"
          ><span class="text-sm font-semibold">{label}</span><Choice
            {label}
            {value}
            options={rows.map((r) => ({ value: r.id, label: r.name }))}
            onchoose={set}
          /></label
        >
      {/each}
    </div>
    <p class="mt-3" data-testid="difference">
      <strong>{one.name}</strong> covers {number(
        Math.abs((one.coverage ?? 0) - (two.coverage ?? 0)) * 100,
        1,
      )} points {(one.coverage ?? 0) >= (two.coverage ?? 0) ? "more" : "less"} than
      <strong>{two.name}</strong>{#if difference && one.currency}{" "}and costs {money(
          Math.abs(difference.more),
          one.currency,
        )}
        {difference.more >= 0 ? "more" : "less"}{difference.perPoint !== null
          ? `: ${money(difference.perPoint, one.currency)} for each point it is ahead`
          : ""}{/if}.
    </p>
    <ul class="mt-2 max-w-xl text-sm">
      {#each why as c (c.id)}
        <li class="flex justify-between border-b border-line py-1">
          <span>{CATEGORY_LABEL[c.id]}</span>
          <strong class={c.points > 0 ? "text-pass" : "bad"}
            >{c.points > 0 ? "+" : "−"}{number(Math.abs(c.points) * 100, 1)}</strong
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
