<script lang="ts">
  import { SunMoon, Undo2 } from "lucide";
  import { page } from "$app/state";
  import { workspace } from "../state/workspace.svelte.ts";
  import Icon from "./Icon.svelte";
  import SaveMark from "./SaveMark.svelte";
  import ShelfBar from "./ShelfBar.svelte";
  import { toggleTheme } from "./theme.ts";

  interface Props {
    title: string;
    about: string;
  }
  const { title, about }: Props = $props();
</script>

<ShelfBar {title} {about} at={page.url.pathname}>
  {#snippet actions()}
    <SaveMark /><button
      class="btn min-h-9 px-3 py-1"
      disabled={!workspace.undoLabel}
      onclick={() => workspace.undo()}
      title={workspace.undoLabel ? `Undo: ${workspace.undoLabel} (Ctrl Z)` : "Nothing to undo"}
      ><Icon of={Undo2} size={18} />Undo</button
    ><button class="btn hidden min-h-9 px-3 py-1 sm:inline-flex" onclick={toggleTheme}
      ><Icon of={SunMoon} size={18} />Light / dark</button
    >
  {/snippet}
</ShelfBar>
