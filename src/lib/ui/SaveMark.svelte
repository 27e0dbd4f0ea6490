<script lang="ts">
  import { clock } from "../words/display.ts";
  import { workspace } from "../state/workspace.svelte.ts";
  const at = $derived(
    workspace.save.is === "saved" && workspace.save.at ? clock(workspace.save.at) : null,
  );
</script>

<span class="min-w-28 text-right text-sm text-soft" data-testid="save-state">
  {#if workspace.save.is === "failed"}
    <button
      class="btn min-h-9 border-held px-2 py-1 text-held"
      onclick={() => workspace.retrySave()}>Not saved · try again</button
    >
  {:else if workspace.save.is === "saving"}
    Saving …
  {:else}
    {at ? `Saved ${at}` : "Saved"}
  {/if}
</span>
