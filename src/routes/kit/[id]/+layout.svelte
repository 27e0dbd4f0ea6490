<script lang="ts">
  import type { Snippet } from "svelte";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { shortcuts } from "$lib/ui/keys.ts";
  import Tally from "$lib/ui/Tally.svelte";
  import Trail from "$lib/ui/Trail.svelte";
  import { STAGES } from "$lib/ui/stages.ts";
  import { provideKit } from "$lib/state/kit.svelte.ts";
  import { provideReady } from "$lib/state/ready.svelte.ts";

  const { children }: { children: Snippet } = $props();
  const kit = provideKit(() => `kit:${page.params["id"]}`);
  provideReady(kit);

  const onKey = shortcuts({
    "Alt+(\\d)": (e) => {
      const stage = STAGES[Number(e.key) - 1];
      if (!stage) return false;
      void goto(`/kit/${page.params["id"]}/${stage.id}`);
      return true;
    },
  });
</script>

<svelte:window onkeydown={onKey} />
<svelte:head><title>{kit.record?.kit.name ?? "No such kit"} · Wide Sieve</title></svelte:head>

{#if kit.record}
  <div class="flex h-dvh flex-col print:h-auto">
    <a
      href="#stage"
      class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:bg-sheet focus:p-3"
      >Skip to the bench</a
    >
    <Trail />
    <main
      id="stage"
      tabindex="-1"
      class="min-h-0 flex-1 overflow-y-auto outline-none print:overflow-visible"
    >
      {@render children()}
    </main>
    <Tally />
  </div>
{:else}
  <div class="mx-auto max-w-xl p-8">
    <h1 class="text-3xl">This kit is not on the shelf</h1>
    <p class="mt-3">
      It may have been removed, or be in another browser. Undo brings back what was just removed.
    </p>
    <a class="btn mt-5" href="/">To the shelf</a>
  </div>
{/if}
