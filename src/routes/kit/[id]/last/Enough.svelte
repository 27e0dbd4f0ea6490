<script lang="ts">
  import { CHANCES, schools, type ChanceAt } from "$lib/core/model/houseRules.ts";
  import { functionLabel, type AskedBoth, type LastState } from "$lib/state/pages/last.svelte.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import OneOf from "$lib/ui/OneOf.svelte";
  import { listAgainstChance, needAmount, SAYS_TEXT } from "$lib/words/chanceTexts.ts";
  import { TIER_LABEL } from "$lib/words/labels.ts";

  /** The list's quantities beside those that suffice by chance, and which of them the audit asks for. */
  const { last, both }: { last: LastState; both: readonly AskedBoth[] } = $props();
  const kit = useKit();
  const rules = $derived(schools(kit.record?.houseRules));
  const compared = $derived(listAgainstChance(both, functionLabel));
</script>

<section class="sheet mt-4 overflow-x-auto p-4" aria-label="How much is enough">
  <h2 class="text-xl">How much is enough?</h2>
  <p class="text-sm text-soft">
    What suffices in so many of 100 outings, stand-ins left aside, beside what the list asks. Rare
    vital things come out as 0 here: that is why a list asks for them, and chance must not take them
    out.
  </p>
  {#if compared}<p class="mt-2" data-testid="over-under">{compared}</p>{/if}
  <div class="mt-2 flex flex-wrap items-center gap-3">
    <OneOf
      label="Ask for quantities"
      class="min-h-11 px-4 py-1"
      value={rules.quantities === "chance" ? String(rules.chanceAt) : "list"}
      options={[
        { value: "list", label: "ask by the list" },
        ...CHANCES.map((c) => ({
          value: String(c),
          label: `by chance, in ${Math.round(100 * c)} of 100`,
        })),
      ]}
      onchoose={(c) => last.quantitiesBy(c === "list" ? null : (Number(c) as ChanceAt))}
    />
    <p class="text-sm text-soft" role="status">
      {rules.quantities === "chance"
        ? "Audit, plan and report now ask for what suffices by chance; of vital needs never less than the list."
        : "Audit, plan and report ask for what the list asks."}
    </p>
  </div>
  <table class="mt-1 w-full text-sm" data-testid="enough">
    <thead
      ><tr class="text-left"
        ><th class="py-1 pr-2">need</th><th class="px-1 text-right sm:px-2">here</th><th
          class="px-1 text-right sm:px-2">the list</th
        ><th class="px-1 text-right sm:px-2">in 90</th><th class="px-1 text-right sm:px-2">in 95</th
        ><th class="pl-1 text-right sm:px-2">in 99</th><th class="hidden pl-2 sm:table-cell"
        ></th></tr
      ></thead
    >
    <tbody>
      {#each both as b (b.need.id)}
        {@const amount = (n: number) => needAmount(b.need.function, n)}
        <tr class="border-t border-line"
          ><td class="py-1 pr-2"
            >{b.label} <span class="text-soft">{TIER_LABEL[b.tier]}</span>{#if b.says}<span
                class="block text-soft sm:hidden">{SAYS_TEXT[b.says]}</span
              >{/if}</td
          ><td class="px-1 text-right sm:px-2">{amount(b.here)}</td><td
            class="px-1 text-right sm:px-2">{amount(b.byList)}</td
          ><td class="px-1 text-right sm:px-2">{amount(b.need.enough["90"])}</td><td
            class="px-1 text-right font-semibold sm:px-2">{amount(b.need.enough["95"])}</td
          ><td class="pl-1 text-right sm:px-2">{amount(b.need.enough["99"])}</td><td
            class="hidden pl-2 whitespace-nowrap sm:table-cell"
            >{b.says ? SAYS_TEXT[b.says] : ""}</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
</section>
