<script lang="ts">
  import { AlertDialog } from "bits-ui";
  import { workspace } from "../state/workspace.svelte.ts";
  import { exportAll } from "./exportAll.ts";
  let { open = $bindable(false) }: { open: boolean } = $props();
</script>

<AlertDialog.Root bind:open>
  <AlertDialog.Portal>
    <AlertDialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <AlertDialog.Content
      class="sheet fixed top-[20vh] left-1/2 z-50 w-[min(32rem,94vw)] -translate-x-1/2 border-2 border-ink p-6"
    >
      <AlertDialog.Title class="font-head text-2xl font-bold"
        >Remove everything from this browser?</AlertDialog.Title
      >
      <AlertDialog.Description class="mt-2">
        All kits, briefs, prices and corrections go, and undo does not bring them back. Export
        first: the file restores all of it.
      </AlertDialog.Description>
      <div class="mt-5 flex flex-wrap gap-3">
        <button class="btn" onclick={exportAll}>Export everything</button>
        <AlertDialog.Action
          class="btn border-held text-held"
          onclick={() => {
            void workspace.wipe();
            open = false;
          }}>Remove everything</AlertDialog.Action
        >
        <AlertDialog.Cancel class="btn">Keep it</AlertDialog.Cancel>
      </div>
    </AlertDialog.Content>
  </AlertDialog.Portal>
</AlertDialog.Root>
