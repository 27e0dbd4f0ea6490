<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import type { Line } from "$lib/core/model/kit.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { WrapperState } from "$lib/state/pages/pictures.svelte.ts";
  import Reading from "$lib/ui/Reading.svelte";
  import { day, size } from "$lib/words/display.ts";

  /** A photographed wrapper: its dates, lot and size are offered, and taken over only when pressed. */
  interface Props {
    line: Line;
  }
  const { line }: Props = $props();
  const kit = useKit();
  const wrapper = new WrapperState();
  let picker: FilePicker;
  export function pick() {
    picker.pick();
  }
  $effect(() => () => wrapper.clear());
  const name = $derived(
    lineName(line, line.itemType ? kit.typeOf(line.itemType)?.label : undefined),
  );
  const facts = $derived(wrapper.facts);
  const isEmpty = $derived(
    facts !== null && facts.dates.length === 0 && facts.lot === null && facts.sizeMm === null,
  );
  const take = (what: string, patch: Partial<Line>) =>
    kit.updateLine(line.id, `${what} of ${name}, off its wrapper`, patch);
</script>

<button class="btn mt-2 min-h-10 px-3 py-1" onclick={pick}
  >Read the wrapper <span class="kbd">W</span></button
>
<FilePicker
  bind:this={picker}
  accept="image/*"
  camera
  label="Photo of the wrapper to read"
  onfiles={([file]) => void wrapper.take(file!)}
/>
{#if wrapper.reading.running}<Reading
    {...wrapper.reading.running}
    oncancel={() => wrapper.reading.cancel()}
  />{/if}
{#if facts}
  <div class="noted mt-2" role="status">
    {#if isEmpty}
      <p class="text-sm">
        No date, lot or size was found on it. Come closer, or type what it says.
      </p>
    {:else}
      <p class="text-sm font-semibold">On the wrapper. Press what is right:</p>
      <div class="mt-1 flex flex-wrap gap-2">
        {#each facts.dates as d (d.printed)}
          {#each d.means as date (date)}
            <button class="btn min-h-11 px-3 py-1" onclick={() => take("date", { expires: date })}
              >good to {day(date)} <span class="text-sm font-normal">“{d.printed}”</span>
              {#if line.expires === date}<StateIcon state="good" />{/if}</button
            >
          {/each}
        {/each}
        {#if facts.lot}<button
            class="btn min-h-11 px-3 py-1"
            onclick={() => take("lot", { lot: facts.lot! })}
            >lot {facts.lot}
            {#if line.lot === facts.lot}<StateIcon state="good" />{/if}</button
          >{/if}
        {#if facts.sizeMm}<button
            class="btn min-h-11 px-3 py-1"
            onclick={() => take("size", { sizeMm: [...facts.sizeMm!] })}
            >{size(facts.sizeMm)}</button
          >{/if}
      </div>
    {/if}
  </div>
{/if}
