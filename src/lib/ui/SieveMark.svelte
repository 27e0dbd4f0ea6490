<script lang="ts">
  import type { Audit } from "../core/audit/audit.ts";
  import { MESHES } from "../core/model/mesh.ts";
  import { MESH_LABEL } from "../words/labels.ts";

  /** A small sieve: seven meshes, each as dark as it holds back, the pan as full as coverage. */
  const { a }: { a: Pick<Audit, "caught" | "coverage"> } = $props();
  const rows = $derived(MESHES.map((m) => ({ m, held: a.caught?.[m] ?? 0 })));
  const told = $derived(
    `${Math.round((a.coverage ?? 0) * 100)} % can be relied on; held back: ${
      rows
        .filter((r) => r.held > 0.005)
        .map((r) => `${MESH_LABEL[r.m]} ${Math.round(r.held * 100)}`)
        .join(", ") || "nothing"
    }`,
  );
</script>

<svg width="72" height="66" viewBox="0 0 72 66" role="img" aria-label={told} class="shrink-0">
  {#each rows as { m, held }, i (m)}
    <rect x="1" y={1 + i * 7} width="70" height="5" fill="var(--sheet)" stroke="var(--line)" />
    {#if held > 0.001}
      <rect x="1" y={1 + i * 7} width={Math.max(3, held * 70)} height="5" fill="url(#weave-{m})" />
      <rect
        x="1"
        y={1 + i * 7}
        width={Math.max(3, held * 70)}
        height="5"
        fill="none"
        stroke="currentColor"
        stroke-width=".8"
      />
    {/if}
  {/each}
  <rect x="1" y="53" width="70" height="12" fill="var(--passbg)" stroke="var(--pass)" />
  <rect x="1" y="53" width={70 * (a.coverage ?? 0)} height="12" fill="var(--pass)" />
</svg>
