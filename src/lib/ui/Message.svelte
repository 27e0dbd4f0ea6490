<script lang="ts">
  import { workspace } from "../state/workspace.svelte.ts";
  const message = $derived(workspace.message);
  let timer: ReturnType<typeof setTimeout> | undefined;
  // Good news goes by itself; a problem stays until it is read.
  $effect(() => {
    clearTimeout(timer);
    if (message && !message.problem) timer = setTimeout(() => (workspace.message = null), 6000);
  });
</script>

<div
  class="no-print pointer-events-none fixed inset-x-0 bottom-16 z-40 flex justify-center px-3"
  aria-live="polite"
>
  {#if message}
    <div
      class="pointer-events-auto flex max-h-[60vh] max-w-2xl items-start gap-4 overflow-auto rounded-sm border-2 bg-sheet px-4 py-3 {message.problem
        ? 'border-held'
        : 'border-ink'}"
      role={message.problem ? "alert" : "status"}
    >
      <div>
        <p class="font-semibold">{message.text}</p>
        {#if message.problems}
          <ul class="mt-2 list-disc pl-5 text-sm">
            {#each message.problems.slice(0, 12) as p, i (i)}
              <li>
                {#if p.where}<strong>{p.where}</strong>{" "}{/if}{p.what}
              </li>
            {/each}
          </ul>
          {#if message.problems.length > 12}<p class="text-sm">
              and {message.problems.length - 12} more
            </p>{/if}
        {/if}
      </div>
      {#if message.undo && message.undo === workspace.undoLabel}
        <button class="btn min-h-11 px-3 py-1" onclick={() => workspace.undo()}>Undo</button>
      {/if}
      <button
        class="btn min-h-11 px-3 py-1"
        onclick={() => (workspace.message = null)}
        aria-label="Close this message">Close</button
      >
    </div>
  {/if}
</div>
