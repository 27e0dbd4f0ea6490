<script lang="ts">
  import type { Mesh } from "../core/model/mesh.ts";
  import { MESH_LABEL } from "../words/labels.ts";

  interface Props {
    /** Where it is held; `pan` is a full grain, `unchecked` an open one. */
    mesh: Mesh | "pan" | "unchecked";
    size?: number;
    title?: string;
  }
  const { mesh, size = 20, title }: Props = $props();
  const label = $derived(title ?? (mesh === "unchecked" ? "not checked yet" : MESH_LABEL[mesh]));
</script>

<svg width={size} height={size} viewBox="0 0 20 20" role="img" aria-label={label} class="shrink-0">
  {#if mesh === "pan"}
    <circle cx="10" cy="10" r="7" fill="var(--pass)" />
  {:else if mesh === "unchecked"}
    <circle
      cx="10"
      cy="10"
      r="7"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
      stroke-dasharray="3 2.6"
    />
  {:else}
    <rect x="1" y="1" width="18" height="18" fill="var(--sheet)" />
    <rect x="1" y="1" width="18" height="18" fill="url(#weave-{mesh})" stroke="currentColor" />
  {/if}
</svg>
