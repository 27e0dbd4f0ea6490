<script lang="ts">
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { storePhoto } from "$lib/ui/photos.ts";
  import { onDestroy } from "svelte";
  import { wedge, withoutDoubles, type Scanner } from "$lib/devices/scanner.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { CountingState } from "$lib/state/pages/counting.svelte.ts";
  import { benchScale } from "$lib/state/scale.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { many, number } from "$lib/words/sentences.ts";

  const { picked, onpick }: { picked: string | null; onpick: (id: string) => void } = $props();
  const kit = useKit();
  const scale = benchScale;
  onDestroy(() => scale.close());
  const counting = new CountingState(kit, () => picked);
  const { padding, line, name, known, all, result, lastScan } = $derived(counting);
  $effect(() => counting.anew());

  // Scanner
  let code = $state("");
  const take = withoutDoubles(
    (text) => {
      const counted = counting.scanned(text);
      if (counted) onpick(counted);
    },
    () => performance.now(),
  );
  const keys = wedge(take);

  // Camera
  let video = $state<HTMLVideoElement>();
  let camera = $state.raw<Scanner | null>(null);
  async function toggleCamera() {
    if (camera) {
      camera.close();
      camera = null;
      return;
    }
    try {
      const { cameraScanner } = await import("$lib/devices/cameraScanner.ts");
      camera = await cameraScanner(video!, take);
    } catch (error) {
      counting.lastScan = `No camera: ${error instanceof Error ? error.message : String(error)}.`;
    }
  }
  onDestroy(() => camera?.close());

  let scans: string[] = [];
  async function simulateScan() {
    if (scans.length === 0) {
      const answer = await fetch("/api/sim/scanner?n=12&seed=3").catch(() => null);
      scans = answer?.ok ? ((await answer.json()) as { scans: string[] }).scans : [];
      if (scans.length === 0) counting.lastScan = "The simulated scanner does not answer.";
    }
    const next = scans.shift();
    if (next) take(next);
  }

  // Photos
  let picker: FilePicker;
  const photos = $derived(kit.photos.filter((p) => p.event === undefined));
  const addPhoto = (file: File) => storePhoto(kit, file, line ? { line: line.id } : {});
  const removePhoto = (id: string) => workspace.edit("remove a photo", [], [id]);
</script>

<svelte:window
  onkeydown={(e) => {
    if (keys.key(e)) {
      e.preventDefault();
      e.stopPropagation();
    }
  }}
/>

<section class="mt-5">
  <h2 class="text-xl">What the pieces are</h2>
  {#if padding.pieces === 0}<p class="text-sm text-soft">Nothing read yet.</p>{:else}
    <dl class="mt-1 grid grid-cols-[1fr_6rem_3rem] items-center gap-x-3 gap-y-1 text-sm">
      {#each [["small plasters", padding.smallPlasters], ["wipes and swabs", padding.wipes], ["nothing on the list asks for", padding.serveNothing]] as const as [label, share] (label)}
        <dt>{label}</dt>
        <dd aria-hidden="true" class="h-3.5 border border-ink bg-sheet">
          <div class="h-full bg-ink" style="width: {share * 100}%"></div>
        </dd>
        <dd class="text-right font-semibold">{number(share * 100, 0)} %</dd>
      {/each}
    </dl>
  {/if}
</section>

<details class="sheet mt-4 p-4">
  <summary class="min-h-8 cursor-pointer font-head text-lg font-bold">Scale and weigh-count</summary
  >
  <div class="mt-2 flex flex-wrap items-center gap-3">
    <strong class="min-w-32 font-head text-3xl" data-testid="scale"
      >{scale.status === "overload"
        ? "too heavy"
        : scale.reading
          ? `${number(scale.reading.grams, 1)} g`
          : "– g"}</strong
    >
    <span class="text-sm text-soft" aria-live="polite"
      >{scale.status === "off"
        ? "no scale"
        : scale.status === "gone"
          ? `gone: ${scale.why}`
          : scale.reading
            ? scale.reading.steady
              ? "● steady"
              : "○ settling"
            : ""}{scale.rubbish > 0 ? ` · ${many(scale.rubbish, "line")} not understood` : ""}</span
    >
  </div>
  <div class="mt-2 flex flex-wrap gap-2">
    {#if scale.canSerial}<button class="btn min-h-10 px-3 py-1" onclick={() => scale.connect(false)}
        >Connect a scale</button
      >{/if}
    <button class="btn min-h-10 px-3 py-1" onclick={() => scale.connect(true)}
      >Simulated scale</button
    >
    <button class="btn min-h-10 px-3 py-1" disabled={!scale.reading} onclick={() => scale.tare()}
      >Tare</button
    >
  </div>
  {#if scale.simulated && scale.status !== "off"}
    <label class="mt-2 flex items-center gap-2 text-sm"
      >lies on it <NumberField
        label="Lies on the simulated scale"
        value={scale.load}
        unit="g"
        width="w-24"
        onvalue={(n) => {
          scale.load = n ?? 0;
          scale.connect(true);
        }}
      /></label
    >
  {/if}
  <h3 class="mt-4 text-base font-bold">
    {line ? `Count ${name}` : "Pick a line to count it by weight"}
  </h3>
  <div class="mt-1 flex flex-wrap items-end gap-2">
    <label class="flex flex-col text-sm"
      >a known few<NumberField
        label="Known pieces"
        value={counting.few}
        min={1}
        whole
        width="w-20"
        onvalue={(n) => (counting.few = n ?? counting.few)}
      /></label
    >
    <button
      class="btn px-3"
      disabled={!line || !scale.reading?.steady}
      onclick={() => counting.weighKnown(scale.reading!.grams)}>They weigh this</button
    >
    <button
      class="btn px-3"
      disabled={known.length === 0 || !scale.reading?.steady}
      onclick={() => (counting.all = scale.reading!.grams)}>All weigh this</button
    >
  </div>
  {#if known.length > 0}<p class="mt-1 text-sm text-soft">
      {known.map((k) => `${k.pieces} weigh ${number(k.grams, 1)} g`).join(" · ")}{all === undefined
        ? ""
        : ` · all ${number(all, 1)} g`}
    </p>{/if}
  {#if result}
    <p class="mt-2" data-testid="weigh-count">
      {#if result.ok}<strong>{result.count}</strong> pieces of {number(result.pieceG, 2)} g.
        <button class="btn btn-main ml-2 min-h-10 px-3 py-1" onclick={() => counting.takeCount()}
          >Take {result.count}</button
        >
      {:else if result.why === "too-wide"}Between {result.low} and {result.high}: the spread is too
        wide to tell. Weigh more known pieces, or count by hand.
      {:else if result.why === "too-light"}A piece is too light for this scale. Count by hand.
      {:else}Weigh a known few first.{/if}
    </p>
  {/if}
</details>

<details class="sheet mt-3 p-4">
  <summary class="min-h-8 cursor-pointer font-head text-lg font-bold">Scanner</summary>
  <p class="mt-1 text-sm text-soft">
    Scan anywhere on this page: a keyboard scanner is heard by itself. Date, lot and count on the
    label are taken too.
  </p>
  <form
    class="mt-2 flex flex-wrap gap-2"
    onsubmit={(e) => {
      e.preventDefault();
      if (code.trim()) take(code.trim());
      code = "";
    }}
  >
    <label class="grow"
      ><span class="sr-only">Code as printed</span><input
        class="field w-full"
        bind:value={code}
        placeholder="(01)…(17)… as printed"
      /></label
    >
    <button class="btn px-3">Take it</button>
    <button class="btn px-3" type="button" onclick={simulateScan}>Simulate a scan</button>
    <button class="btn px-3" type="button" aria-pressed={camera !== null} onclick={toggleCamera}
      >{camera ? "Camera off" : "Camera"}</button
    >
  </form>
  <video bind:this={video} class="mt-2 max-h-60 w-full {camera ? '' : 'hidden'}" playsinline muted
  ></video>
  {#if lastScan}<p class="mt-2 text-sm font-semibold" aria-live="polite" data-testid="last-scan">
      {lastScan}
    </p>{/if}
</details>

<details class="sheet mt-3 p-4" open={photos.length > 0}>
  <summary class="min-h-8 cursor-pointer font-head text-lg font-bold"
    >Photos {photos.length > 0 ? photos.length : ""}</summary
  >
  <button class="btn mt-2 px-3" onclick={() => picker.pick()}
    >{line ? `Add a photo of ${name}` : "Add a photo of the kit"}</button
  >
  <FilePicker
    bind:this={picker}
    accept="image/*"
    label="Photo to add"
    onfiles={(files) => files.forEach((f) => void addPhoto(f))}
  />
  <ul class="mt-2 grid grid-cols-2 gap-2">
    {#each photos as p (p.id)}
      {@const of = kit.lines.find((l) => l.id === p.line)}
      <li>
        <img
          src={p.dataUrl}
          alt={of ? `Photo of ${lineName(of, undefined)}` : `Photo ${p.name}`}
          class="h-32 w-full border border-line object-cover"
        />
        <span class="flex justify-between gap-2 text-sm"
          ><span class="truncate">{of ? lineName(of, undefined) : p.name}</span><button
            class="underline"
            onclick={() => removePhoto(p.id)}
            aria-label="Remove photo {p.name}">remove</button
          ></span
        >
      </li>
    {/each}
  </ul>
</details>
