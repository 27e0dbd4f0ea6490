<script lang="ts">
  import type { OpenName } from "../core/catalogue/openName.ts";
  import { useKit } from "../state/kit.svelte.ts";

  /** A name that leaves the kind open: its kinds to press, each with how one tells it in the hand. */
  interface Props {
    open: OpenName;
    /** Of the line. */
    name: string;
    onchoose: (itemType: string) => void;
  }
  const { open, name, onchoose }: Props = $props();
  const kit = useKit();
</script>

<div class="noted mt-2 py-2" role="group" aria-label="{open.ask} {name}">
  <p class="font-semibold">
    {open.ask}
    <span class="text-sm font-normal text-soft">Until you say, it counts as the least of them.</span
    >
  </p>
  <ul class="mt-1 grid gap-1 sm:grid-cols-[max-content_minmax(0,1fr)]">
    {#each open.kinds as [id, tell], i (id)}
      <li class="grid items-center gap-x-3 sm:col-span-2 sm:grid-cols-subgrid">
        <button
          class="btn min-h-11 justify-between px-3 py-1 text-left"
          onclick={() => onchoose(id)}
          >{kit.typeOf(id)?.label ?? id} <span class="kbd">{i + 1}</span></button
        >
        <span class="min-w-0 text-sm text-soft">{tell}</span>
      </li>
    {/each}
  </ul>
</div>
