<script lang="ts">
  import { Dialog } from "bits-ui";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import type { BenchState } from "$lib/state/pages/bench.svelte.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";

  /** The items of the bench on a narrow screen, to go to one of them. */
  interface Props {
    open: boolean;
    bench: BenchState;
  }
  let { open = $bindable(), bench }: Props = $props();
  const kit = useKit();
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed inset-x-2 bottom-2 z-50 flex max-h-[80vh] flex-col border-2 border-ink p-4"
    >
      <Dialog.Title class="font-head text-xl font-bold">On the bench</Dialog.Title>
      <ol class="mt-2 min-h-0 overflow-y-auto">
        {#each bench.order as l (l.id)}
          <li>
            <button
              class="flex min-h-11 w-full items-center gap-3 border-b border-line px-2 text-left {l.id ===
              bench.line?.id
                ? 'bg-pick text-onpick'
                : ''}"
              aria-current={l.id === bench.line?.id}
              onclick={() => {
                bench.picked = l.id;
                open = false;
              }}
            >
              <WeaveChip mesh={bench.markOf(l.id)} size={18} />
              <span class="min-w-0 flex-1 truncate font-semibold"
                >{lineName(l, l.itemType ? kit.typeOf(l.itemType)?.label : undefined)}</span
              >
            </button>
          </li>
        {/each}
      </ol>
      <Dialog.Close class="btn mt-3">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
