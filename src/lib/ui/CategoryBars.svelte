<script lang="ts">
  import type { Audit } from "../core/audit/audit.ts";
  import type { Category } from "../core/model/functionRecord.ts";
  import { MESHES } from "../core/model/mesh.ts";
  import { CATEGORY_LABEL, MESH_LABEL } from "../words/labels.ts";
  import { number, percentRange } from "../words/sentences.ts";

  interface Props {
    a: Audit;
    /** Opens a category. */
    onpick?: (id: Category) => void;
  }
  const { a, onpick }: Props = $props();
  /** Points of the whole coverage that a category loses: the most first. */
  const lossOf = (id: Category) =>
    a.needs.reduce((s, n, i) => {
      const asked = a.context.needs[i]!;
      return s + (asked.category === id ? asked.weight * (1 - n.met) : 0);
    }, 0);
  const rows = $derived([...a.categories].sort((x, y) => lossOf(y.id) - lossOf(x.id)));
</script>

<ul class="grid gap-2">
  {#each rows as c (c.id)}
    <li class="grid grid-cols-[8.5rem_1fr_4.5rem] items-center gap-3">
      {#if onpick}<button
          class="truncate text-left font-semibold underline decoration-line underline-offset-4"
          onclick={() => onpick(c.id)}>{CATEGORY_LABEL[c.id]}</button
        >{:else}<span class="truncate font-semibold">{CATEGORY_LABEL[c.id]}</span>{/if}
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
