<script lang="ts">
  import { MESHES } from "../core/model/mesh.ts";
  import { WEAVE_STROKE, WEAVES } from "../report/weaves.ts";

  /** Stroke of the line weaves, px. */
  const { stroke = WEAVE_STROKE }: { stroke?: number } = $props();
</script>

<!-- The seven weaves, coarse to fine, as patterns that any picture on the page may fill with. -->
<svg width="0" height="0" class="absolute" aria-hidden="true" focusable="false">
  <defs>
    {#each MESHES as mesh (mesh)}
      {@const { w, h, lines, fine, hole } = WEAVES[mesh]}
      <pattern id="weave-{mesh}" width={w} height={h} patternUnits="userSpaceOnUse">
        {#if lines}<path
            d={lines}
            stroke="currentColor"
            stroke-width={fine ?? stroke}
            fill="none"
          />{:else}<rect width={w} height={h} fill="currentColor" />{/if}
        {#if hole}<circle {...hole} fill="var(--sheet)" />{/if}
      </pattern>
    {/each}
  </defs>
</svg>
