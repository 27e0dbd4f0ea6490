<script lang="ts">
  import { Dialog } from "bits-ui";
  import { workspace } from "../state/workspace.svelte.ts";
  import { clock } from "../words/display.ts";
  import { many } from "../words/sentences.ts";

  /** What was done in this window, the newest first; any step can be gone back to. */
  let { open = $bindable(false) }: { open: boolean } = $props();
  const undone = $derived(workspace.history.filter((h) => h.undone).length);
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(36rem,94vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-4"
    >
      <Dialog.Title class="font-head text-2xl font-bold">History</Dialog.Title>
      <Dialog.Description class="text-sm text-soft">
        {workspace.history.length === 0
          ? "Nothing was changed here yet."
          : "The newest first. It is kept over a reload; what another window changed since stays."}
      </Dialog.Description>
      <ol class="mt-3 divide-y divide-line" data-testid="history">
        {#each workspace.history as step, i (i)}
          <li class="flex items-center gap-3 py-1">
            <time class="w-16 shrink-0 text-sm text-soft">{clock(step.at)}</time>
            <span class="min-w-0 flex-1 break-words {step.undone ? 'text-soft line-through' : ''}"
              >{step.label}{step.undone ? " (taken back)" : ""}</span
            >
            <button
              class="btn min-h-11 px-3 py-1 text-sm"
              aria-label={step.undone
                ? `Do again up to: ${step.label}`
                : `To before this: ${step.label}; takes back ${many(i + 1 - undone, "step")}`}
              onclick={() => workspace.goTo(step.undone ? i : i + 1)}
              >{step.undone ? "Do again" : "To before this"}</button
            >
          </li>
        {/each}
      </ol>
      <Dialog.Close class="btn mt-3">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
