<script lang="ts">
  import type { Audit } from "../core/audit.ts";
  import { MESHES } from "../core/sieve/sift.ts";
  import { CATEGORY_LABEL, MESH_LABEL } from "../words/labels.ts";
  import { number, percentRange } from "../words/sentences.ts";

  const { a }: { a: Audit } = $props();
  const rows = $derived([...a.categories].sort((x, y) => x.coverage - y.coverage));
</script>

<ul class="grid gap-2">
  {#each rows as c (c.id)}
    <li class="grid grid-cols-[8.5rem_1fr_4.5rem] items-center gap-3">
      <span class="truncate font-semibold">{CATEGORY_LABEL[c.id]}</span>
      <svg
        viewBox="0 0 400 18"
        preserveAspectRatio="none"
        class="h-5 w-full"
        role="img"
        aria-label="{CATEGORY_LABEL[c.id]}: {number(c.coverage * 100, 1)} % covered{MESHES.filter(
          (m) => c.caught[m] > 0.0005,
        )
          .map((m) => `, ${MESH_LABEL[m]} holds ${number(c.caught[m] * 100, 1)}`)
          .join('')}"
      >
        <rect x="0" y="0" width={400 * c.coverage} height="18" fill="var(--pass)" />
        {#each MESHES as m, k (m)}
          {@const from = c.coverage + MESHES.slice(k + 1).reduce((s, x) => s + c.caught[x], 0)}
          {#if c.caught[m] > 0.0005}
            <rect x={400 * from} y="0" width={400 * c.caught[m]} height="18" fill="var(--sheet)" />
            <rect
              x={400 * from}
              y="0"
              width={400 * c.caught[m]}
              height="18"
              fill="url(#weave-{m})"
            />
          {/if}
        {/each}
        <rect x="0.5" y="0.5" width="399" height="17" fill="none" stroke="currentColor" />
        {#if c.interval[0] < c.interval[1] - 0.0005}
          <rect x={400 * c.interval[0]} y="0" width="2.5" height="18" fill="var(--note)" />
        {/if}
      </svg>
      <span class="text-right text-sm font-semibold">{percentRange(c.interval)}</span>
    </li>
  {/each}
</ul>
