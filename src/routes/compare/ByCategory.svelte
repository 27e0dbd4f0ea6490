<script lang="ts">
  import { CATEGORIES } from "$lib/core/model/functionRecord.ts";
  import type { KitRow } from "$lib/core/compare/compareKits.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { CATEGORY_LABEL } from "$lib/words/labels.ts";
  import { percent } from "$lib/words/sentences.ts";

  const { rows }: { rows: readonly KitRow[] } = $props();
  const categories = $derived(
    CATEGORIES.filter((c) => rows.some((r) => r.categories.some((x) => x.id === c))),
  );
</script>

<section class="mt-8">
  <h2 class="text-2xl">By category</h2>
  <p class="text-sm text-soft">
    What is covered, and the weave of the mesh that holds most of the rest.
  </p>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="mt-2 overflow-x-auto" role="region" aria-label="Categories by kit" tabindex="0">
    <table class="text-sm">
      <thead
        ><tr
          ><th></th>{#each rows as r (r.id)}<th
              class="max-w-32 px-2 pb-1 text-left align-bottom font-semibold">{r.name}</th
            >{/each}</tr
        ></thead
      >
      <tbody>
        {#each categories as c (c)}
          <tr class="border-t border-line">
            <th class="py-1 pr-4 text-left font-semibold">{CATEGORY_LABEL[c]}</th>
            {#each rows as r (r.id)}
              {@const cell = r.categories.find((x) => x.id === c)}
              <td class="px-2 py-1">
                {#if cell}
                  <span class="flex items-center gap-2">
                    <svg width="72" height="18" aria-hidden="true">
                      <rect width="72" height="18" fill="var(--sheet)" />
                      <rect width={72 * cell.coverage} height="18" fill="var(--pass)" />
                      {#if cell.worst}<rect
                          x={72 * cell.coverage}
                          width={72 * (1 - cell.coverage)}
                          height="18"
                          fill="url(#weave-{cell.worst})"
                        />{/if}
                      <rect
                        x=".5"
                        y=".5"
                        width="71"
                        height="17"
                        fill="none"
                        stroke="currentColor"
                      />
                    </svg>
                    <span class="w-14 text-right font-semibold whitespace-nowrap"
                      >{percent(cell.coverage)} %</span
                    >
                    {#if cell.worst}<WeaveChip mesh={cell.worst} size={16} />{/if}
                  </span>
                {/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
