<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import type { Line } from "$lib/core/model/kit.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { WrapperState } from "$lib/state/pages/pictures.svelte.ts";
  import Reading from "$lib/ui/Reading.svelte";
  import { day, size } from "$lib/words/display.ts";

  /** Photographed wrappers of a line: their dates, lots and sizes are offered, and taken over only when pressed. */
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
    facts !== null &&
      facts.dates.length === 0 &&
      facts.lots.length === 0 &&
      facts.sizes.length === 0,
  );
  /** On how many of several it stands. */
  const share = (wrappers: number) =>
    wrapper.read > 1 ? ` on ${wrappers} of ${wrapper.read}` : "";
  const take = (what: string, patch: Partial<Line>) =>
    kit.updateLine(line.id, `${what} of ${name}, off its wrapper`, patch);
</script>

<button class="btn mt-2 min-h-10 px-3 py-1" onclick={pick}
  >Read the wrapper <span class="kbd">V</span></button
>
<FilePicker
  bind:this={picker}
  accept="image/*"
  camera
  label="Photo of the wrapper to read"
  multiple
  onfiles={(files) => void wrapper.take(files)}
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
      <p class="text-sm font-semibold">
        {wrapper.read > 1
          ? `On ${wrapper.read} wrappers, the soonest date first. Press what is right:`
          : "On the wrapper. Press what is right:"}
      </p>
      <div class="mt-1 flex flex-wrap gap-2">
        {#each facts.dates as { value: d, wrappers } (d.printed)}
          {#each d.means as date (date)}
            <button class="btn min-h-11 px-3 py-1" onclick={() => take("date", { expires: date })}
              >good to {day(date)}
              <span class="text-sm font-normal">“{d.printed}”{share(wrappers)}</span>
              {#if line.expires === date}<StateIcon state="good" />{/if}</button
            >
          {/each}
        {/each}
        {#each facts.lots as { value: lot, wrappers } (lot)}<button
            class="btn min-h-11 px-3 py-1"
            onclick={() => take("lot", { lot })}
            >lot {lot}{share(wrappers)}
            {#if line.lot === lot}<StateIcon state="good" />{/if}</button
          >{/each}
        {#each facts.sizes as { value: sizeMm, wrappers } (sizeMm.join())}<button
            class="btn min-h-11 px-3 py-1"
            onclick={() => take("size", { sizeMm: [...sizeMm] })}
            >{size(sizeMm)}{share(wrappers)}</button
          >{/each}
      </div>
    {/if}
  </div>
{/if}
