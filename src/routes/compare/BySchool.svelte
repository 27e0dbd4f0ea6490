<script lang="ts">
  import type { KitRow } from "$lib/core/compare/compareKits.ts";
  import { RULES_IN_WORDS } from "$lib/words/houseRules.ts";
  import { percent } from "$lib/words/sentences.ts";
  import type { CompareSays } from "$lib/workers/protocol.ts";

  /** Each school tried on each kit, when that is asked. */
  interface Props {
    rows: readonly KitRow[];
    schools: CompareSays["schools"];
    trying: boolean;
    ontry: () => void;
  }
  const { rows, schools, trying, ontry }: Props = $props();
</script>

<section class="mt-8">
  <h2 class="text-2xl">By school</h2>
  {#if !schools}
    <button class="btn mt-2" disabled={trying} onclick={ontry}
      >{trying ? "Trying …" : "Try each school on each kit"}</button
    >
  {:else}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="mt-2 overflow-x-auto" role="region" aria-label="Kits by school" tabindex="0">
      <table class="text-sm" data-testid="by-school">
        <thead
          ><tr class="border-b border-ink"
            ><th></th>{#each rows as r (r.id)}<th class="max-w-32 px-2 text-left">{r.name}</th
              >{/each}</tr
          ></thead
        >
        <tbody>
          {#each RULES_IN_WORDS as rule (rule.id)}
            {#each rule.schools as school (school.id)}
              <tr class="border-b border-line">
                <th class="py-1 pr-4 text-left font-normal"
                  >{rule.label}: <strong>{school.label}</strong></th
                >
                {#each rows as r (r.id)}
                  {@const v = schools
                    .find((s) => s.id === r.id)
                    ?.verdicts.find((x) => x.option === school.id && x.rule === rule.id)}
                  <td class="px-2"
                    >{percent(v?.coverage ?? null)} % · {v?.grade ?? "–"}{v?.followed
                      ? " ✓"
                      : ""}</td
                  >
                {/each}
              </tr>
            {/each}
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</section>
