<script lang="ts">
  import { takeFiles } from "./takeFiles.ts";
  let over = $state(0);
  const hasFiles = (e: DragEvent) => e.dataTransfer?.types.includes("Files") ?? false;
</script>

<svelte:window
  ondragenter={(e) => {
    if (hasFiles(e)) over++;
  }}
  ondragleave={(e) => {
    if (hasFiles(e)) over = Math.max(0, over - 1);
  }}
  ondragover={(e) => {
    if (hasFiles(e)) e.preventDefault();
  }}
  ondrop={(e) => {
    if (!hasFiles(e)) return;
    e.preventDefault();
    over = 0;
    void takeFiles([...(e.dataTransfer?.files ?? [])]);
  }}
/>
{#if over > 0}
  <div
    class="pointer-events-none fixed inset-4 z-50 grid place-items-center rounded-sm border-4 border-dashed border-pass bg-passbg/80"
  >
    <p class="font-head text-2xl font-bold">
      Drop an audit, a workspace, a contents card or a price list
    </p>
  </div>
{/if}
