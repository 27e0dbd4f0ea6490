<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { audit } from "$lib/core/audit/audit.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { packingFindings } from "$lib/core/audit/packing.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { storePhoto } from "$lib/ui/photos.ts";
  import Wrapper from "./Wrapper.svelte";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { cautionsFor } from "$lib/words/cautions.ts";
  import { number, percent, quantity } from "$lib/words/sentences.ts";
  import { PACKING_LABEL, PACKING_STATE } from "$lib/words/verdicts.ts";

  interface Props {
    line: Line;
    /** In the audit's bench. */
    index: number;
  }
  const { line, index }: Props = $props();
  const kit = useKit();
  const type = $derived(line.itemType ? kit.typeOf(line.itemType) : undefined);
  let picker: FilePicker;
  let wrapper = $state<Wrapper>();
  export function pickPhoto() {
    picker.pick();
  }
  export function pickWrapper() {
    wrapper?.pick();
  }

  /** Coverage if this line is sound and if it fails, all else as it is. */
  const hangs = $derived.by(() => {
    const withLine = (condition: "sound" | "failed") => {
      const rest = { ...line };
      delete rest.failedPoints;
      const lines = kit.lines.map((l) => (l.id === line.id ? { ...rest, condition } : l));
      return audit({ ...kit.file, kit: { ...kit.file.kit, lines } }, workspace.today, CATALOGUE)
        .coverage;
    };
    return { sound: withLine("sound"), failed: withLine("failed") };
  });
  /** What is still open between the two ends of the interval, and how much of it this line closes. */
  const open = $derived.by(() => {
    const interval = kit.audit.interval;
    const worth = kit.worth.find((w) => w.line === line.id);
    if (!interval || !worth) return null;
    return { width: interval[1] - interval[0], closes: worth.gain };
  });
  const serves = $derived(
    index < 0
      ? []
      : kit.audit.needs.flatMap((n, i) => {
          const p = n.pairs.find((x) => x.pair.line === index);
          return p ? [{ asked: kit.audit.context.needs[i]!, p, need: n }] : [];
        }),
  );
  const packing = $derived(packingFindings(kit.audit).filter((f) => f.line === index));
  const photos = $derived(kit.photos.filter((p) => p.line === line.id));
</script>

<aside class="border-l border-line bg-sheet p-4 lg:col-span-2 xl:col-span-1 xl:overflow-y-auto">
  <h2 class="text-xl">What hangs on it</h2>
  {#if serves.length === 0}
    <p class="mt-1 text-sm text-soft">Nothing on the list asks for this.</p>
  {/if}
  <ul class="mt-1">
    {#each serves as s (s.asked.need.id)}
      <li class="py-1 text-sm">
        <span class="flex items-center gap-2"
          ><WeaveChip mesh={s.need.restsOn} size={16} /><strong class="font-semibold"
            >{CATALOGUE.functions.get(s.asked.need.function)?.label} · {s.asked.tier}</strong
          ></span
        >
        <span class="text-soft"
          >{s.p.units > 0
            ? `gives ${quantity(s.p.units, CATALOGUE.functions.get(s.asked.need.function)!.unit)} of ${quantity(s.asked.required, CATALOGUE.functions.get(s.asked.need.function)!.unit)}`
            : "gives nothing to it"}</span
        >
      </li>
    {/each}
  </ul>
  <dl class="mt-2 grid grid-cols-[1fr_auto] gap-y-1 text-sm">
    <dt>coverage if sound</dt>
    <dd class="font-semibold">{percent(hangs.sound)} %</dd>
    <dt>coverage if it fails</dt>
    <dd class="font-semibold">{percent(hangs.failed)} %</dd>
  </dl>
  {#if open}
    <p class="mt-1 text-sm" data-testid="closes">
      Checked and found good it closes {number(open.closes * 100, 1)} of the {number(
        open.width * 100,
        1,
      )} points still open.
    </p>
  {/if}

  {#if packing.length > 0}
    <h3 class="mt-4 text-lg">How it is packed</h3>
    <ul class="mt-1 text-sm">
      {#each packing as f (f.rule)}
        <li class="py-0.5">
          <strong class="font-semibold {f.state === 'broken' ? 'bad' : ''}"
            ><StateIcon
              state={f.state === "kept" ? "good" : f.state === "broken" ? "bad" : "open"}
            />
            {PACKING_STATE[f.state]}</strong
          >: {PACKING_LABEL[f.rule].toLowerCase()}
        </li>
      {/each}
    </ul>
  {/if}

  <label class="mt-4 flex flex-col gap-1"
    ><span class="text-sm font-semibold">Note <span class="kbd">N</span></span>
    <textarea
      id="bench-note"
      class="field min-h-16 text-sm"
      maxlength="2000"
      value={line.note ?? ""}
      oninput={(e) =>
        kit.updateLine(
          line.id,
          `note on ${lineName(line, type?.label)}`,
          { note: e.currentTarget.value || undefined },
          "note",
        )}></textarea></label
  >
  <button class="btn mt-2 min-h-10 px-3 py-1" onclick={pickPhoto}
    >Photo <span class="kbd">P</span></button
  >
  {#key line.id}<Wrapper bind:this={wrapper} {line} />{/key}
  <FilePicker
    bind:this={picker}
    accept="image/*"
    camera
    label="Photo of this item"
    onfiles={(files) => files.forEach((f) => void storePhoto(kit, f, { line: line.id }))}
  />
  {#each photos as p (p.id)}
    <img
      src={p.dataUrl}
      alt="Photo of {lineName(line, type?.label)}"
      class="mt-2 max-h-48 w-full border border-line object-contain"
    />
  {/each}
  {#each cautionsFor(line.itemType, kit.brief) as c (c.id)}
    <p class="noted mt-3 text-sm">{c.text}</p>
  {/each}
</aside>
