<script lang="ts">
  import { workspace } from "../state/workspace.svelte.ts";
  const at = $derived(
    workspace.save.is === "saved" && workspace.save.at
      ? new Date(workspace.save.at).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" })
      : null,
  );
</script>

<span class="min-w-22 text-right text-sm text-soft" data-testid="save-state">
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
