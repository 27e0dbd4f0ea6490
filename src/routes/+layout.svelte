<script lang="ts">
  import "../app.css";
  import { onMount, type Snippet } from "svelte";
  import { beforeNavigate } from "$app/navigation";
  import { allNow, firstPageDone } from "$lib/ui/firstPage.ts";
  import { shortcuts, typing } from "$lib/ui/keys.ts";
  import Later from "$lib/ui/Later.svelte";
  import DropAnywhere from "$lib/ui/DropAnywhere.svelte";
  import Message from "$lib/ui/Message.svelte";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NewVersion from "$lib/ui/NewVersion.svelte";
  import Weaves from "$lib/ui/Weaves.svelte";
  import { leaveShell } from "$lib/ui/startShell.ts";
  import { NOT_FETCHED } from "$lib/words/storeTexts.ts";

  const { children }: { children: Snippet } = $props();
  let palette = $state(false);
  let keys = $state(false);
  let history = $state(false);
  /** What opens by a key comes when one of it is first opened; where it cannot, the next press asks again. */
  let opened = $state.raw<typeof import("$lib/ui/openedByKey.ts") | null>(null);
  $effect(() => {
    if (opened || !(palette || keys || history)) return;
    import("$lib/ui/openedByKey.ts").then(
      (parts) => (opened = parts),
      () => (palette = keys = history = false),
    );
  });

  beforeNavigate(firstPageDone);

  // Vite's own event, of whatever part is asked for later.
  onMount(() => addEventListener("vite:preloadError", () => workspace.say(NOT_FETCHED, true)));

  /** The page stands: what app.html has there until then goes. */
  const arrived = () => leaveShell(document.getElementById("laying-out"));

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
  onkeydowncapture={allNow}
  onkeydown={onKey}
  onbeforeunload={(e) => {
    // Only when something on screen is not saved does the browser ask.
    if (workspace.save.is === "failed") e.preventDefault();
  }}
/>
<svelte:head><title>Wide Sieve</title></svelte:head>
<Weaves />
<Later onshown={arrived}>{@render children()}</Later>
<Message />
{#if opened}
  <opened.Palette
    bind:open={palette}
    onkeys={() => (keys = true)}
    onhistory={() => (history = true)}
  />
  <opened.History bind:open={history} />
  <opened.Keys bind:open={keys} />
{/if}
<Later><DropAnywhere /><NewVersion /></Later>
{#if workspace.columns}
  {#await import("$lib/ui/ColumnMap.svelte") then { default: ColumnMap }}<ColumnMap />{/await}
{/if}
