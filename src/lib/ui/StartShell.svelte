<script lang="ts">
  import { SunMoon, Undo2 } from "lucide";
  import Icon from "./Icon.svelte";
  import ShelfBar from "./ShelfBar.svelte";
  import StartHere from "./StartHere.svelte";
  import { SHELF } from "./startShell.ts";

  /** The first page of a newcomer before the program: where it has the same things, they stand in the same place. */
</script>

<ShelfBar {...SHELF} at="/">
  {#snippet actions()}
    <!-- As wide as what comes there, so that nothing moves. -->
    <span class="min-w-28"></span>
    <span class="btn invisible min-h-9 px-3 py-1"><Icon of={Undo2} size={18} />Undo</span>
    <span class="btn invisible hidden min-h-9 px-3 py-1 sm:inline-flex"
      ><Icon of={SunMoon} size={18} />Light / dark</span
    >
  {/snippet}
</ShelfBar>
<main class="mx-auto max-w-6xl p-4 sm:p-6"><StartHere /></main>
