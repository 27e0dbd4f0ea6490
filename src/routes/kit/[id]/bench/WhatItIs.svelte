<script lang="ts" module>
  const typePicker = () => import("$lib/ui/TypePicker.svelte");
</script>

<script lang="ts">
  import { tick } from "svelte";
  import type { BenchState } from "$lib/state/pages/bench.svelte.ts";
  import { FirstUse } from "$lib/ui/firstUse.svelte.ts";
  import WhichKind from "$lib/ui/WhichKind.svelte";

  /** What the thing in the hand is: which of its kinds, where the card left it open; or something else altogether. */
  interface Props {
    bench: BenchState;
    /** It has been said: the keys are the item's again. */
    ondone: () => void;
  }
  const { bench, ondone }: Props = $props();
  const picker = new FirstUse(typePicker);
  let changing = $state(false);
  let box = $state<HTMLElement>();
  /** The question as it stands there. */
  const asked = $derived(changing ? undefined : bench.openName);

  /** The question that is open, or the field that says what it is. */
  export async function ask(): Promise<void> {
    if (!bench.openName) await change();
    else await focusFirst();
  }
  /** It is none of these, or not what was read. */
  async function change(): Promise<void> {
    changing = true;
    // Once it is there the next key is already its own.
    if (!picker.made) await picker.use();
    await focusFirst();
  }
  async function focusFirst(): Promise<void> {
    await tick();
    box?.querySelector<HTMLElement>("button, input")?.focus();
  }

  function choose(itemType: string | null) {
    changing = false;
    bench.choose(itemType);
    ondone();
  }

  /** Among the kinds: a number chooses one, arrows go up and down. */
  function kindKey(e: KeyboardEvent) {
    const kind = asked?.kinds[Number(e.key) - 1];
    const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
    if (kind) choose(kind[0]);
    else if (step !== undefined && asked) {
      const buttons = [...(box?.querySelectorAll("button") ?? [])];
      buttons[buttons.indexOf(e.target as HTMLButtonElement) + step]?.focus();
    } else if (e.key === "Escape") {
      changing = false;
      ondone();
    } else return;
    e.preventDefault();
    e.stopPropagation();
  }
</script>

{#if bench.line}
  <!-- svelte-ignore a11y_no_static_element_interactions -->
  <div bind:this={box} onkeydown={kindKey}>
    {#if asked}
      <WhichKind open={asked} name={bench.name} onchoose={choose} />
      <button class="btn mt-1" onclick={change}>None of these</button>
    {:else if changing && picker.made}
      <div class="mt-2 max-w-md">
        <picker.made
          value={bench.line.itemType}
          name={bench.type?.label ?? "Not in the catalogue"}
          label="What {bench.name} is"
          onpick={choose}
        />
      </div>
    {/if}
  </div>
{/if}
