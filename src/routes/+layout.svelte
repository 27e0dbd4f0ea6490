<script lang="ts">
  import "../app.css";
  import { onMount, type Snippet } from "svelte";
  import { shortcuts, typing } from "$lib/ui/keys.ts";
  import DropAnywhere from "$lib/ui/DropAnywhere.svelte";
  import History from "$lib/ui/History.svelte";
  import Keys from "$lib/ui/Keys.svelte";
  import Message from "$lib/ui/Message.svelte";
  import NewVersion from "$lib/ui/NewVersion.svelte";
  import Palette from "$lib/ui/Palette.svelte";
  import Weaves from "$lib/ui/Weaves.svelte";
  import { workspace } from "$lib/state/workspace.svelte.ts";

  const { children }: { children: Snippet } = $props();
  let palette = $state(false);
  let keys = $state(false);
  let history = $state(false);

  onMount(async () => {
    await workspace.start();
    // The start page offers it; a kit's page that was asked for by its address has it at hand.
    void workspace.seedDemoOnce();
  });

  const unlessTyping = (run: () => void) => (e: KeyboardEvent) => {
    // A field has an undo of its own.
    if (typing(e)) return false;
    run();
    return true;
  };
  const onKey = shortcuts({
    "$mod+k": () => (palette = !palette),
    "$mod+z": unlessTyping(() => workspace.undo()),
    "$mod+Shift+z": unlessTyping(() => workspace.redo()),
    "$mod+y": unlessTyping(() => workspace.redo()),
    "Shift+?": unlessTyping(() => (keys = !keys)),
  });
</script>

<svelte:window
  onkeydown={onKey}
  onbeforeunload={(e) => {
    // Only when something on screen is not saved does the browser ask.
    if (workspace.save.is === "failed") e.preventDefault();
  }}
/>
<svelte:head><title>Wide Sieve</title></svelte:head>
<Weaves />
{#if workspace.loaded}
  {@render children()}
{:else}
  <p class="p-6" role="status">Laying out the bench …</p>
{/if}
<Message />
<Palette bind:open={palette} onkeys={() => (keys = true)} onhistory={() => (history = true)} />
<History bind:open={history} />
<Keys bind:open={keys} />
<DropAnywhere />
{#if workspace.columns}
  {#await import("$lib/ui/ColumnMap.svelte") then { default: ColumnMap }}<ColumnMap />{/await}
{/if}
<NewVersion />
