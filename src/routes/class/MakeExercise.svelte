<script lang="ts">
  import { MESHES } from "$lib/core/model/mesh.ts";
  import type { ClassState } from "$lib/state/pages/class.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Choice from "$lib/ui/Choice.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import Tick from "$lib/ui/Tick.svelte";
  import Toggle from "$lib/ui/Toggle.svelte";
  import { DIFFICULTY_LABEL, FAULT_LABEL, SEEN_LABEL } from "$lib/words/exerciseTexts.ts";
  import { MESH_LABEL } from "$lib/words/labels.ts";

  /** What an exercise is to hold: drawn by a number, or chosen by hand. */
  const { room }: { room: ClassState } = $props();
  let byHand = $state(false);
  const LEAST_PASSPHRASE = 4;
  const short = $derived(room.passphrase.trim().length < LEAST_PASSPHRASE);
</script>

<p class="text-sm text-soft">
  The kit is taken as it should be; then so many faults are planted, one a line. Each changes its
  audit; a decoy only looks wrong.
</p>
<div class="mt-3 flex flex-wrap items-end gap-3">
  <span class="flex min-w-52 flex-1 flex-col gap-1 text-sm"
    >from the kit<Choice
      label="From the kit"
      value={room.kit?.id ?? ""}
      options={workspace.kits.map((k) => ({ value: k.id, label: k.kit.name }))}
      onchoose={(id) => {
        room.kitId = id;
        room.picked = {};
      }}
    /></span
  >
  {@render count("faults", "Faults", room.faults, 1, 40, (n) => (room.faults = n))}
  {@render count("decoys", "Decoys", room.decoys, 0, 20, (n) => (room.decoys = n))}
  {@render count("drawing", "Number of the drawing", room.seed, 1, 1000, (n) => (room.seed = n))}
  {@render count(
    "papers",
    "Papers of equal difficulty",
    room.papers,
    1,
    6,
    (n) => (room.papers = n),
  )}
</div>
<div class="mt-3 flex flex-wrap items-center gap-3">
  <Choice
    label="Hardest fault"
    value={String(room.hardest)}
    options={([1, 2, 3] as const).map((d) => ({
      value: String(d),
      label: `up to: ${DIFFICULTY_LABEL[d]}`,
    }))}
    onchoose={(d) => (room.hardest = Number(d) as 1 | 2 | 3)}
  />
  <Tick checked={room.briefTrap} onchange={(on) => (room.briefTrap = on)}
    >the outing itself is a trap: it asks more than the kit was packed for</Tick
  >
</div>
<div class="mt-2 flex flex-wrap gap-2" role="group" aria-label="Meshes that faults are drawn from">
  {#each MESHES as m (m)}
    <Toggle
      class="min-h-11 px-3 py-1 font-normal"
      on={room.meshes.includes(m)}
      ontoggle={() => room.toggleMesh(m)}>{MESH_LABEL[m]}</Toggle
    >
  {/each}
</div>
<div
  class="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2"
  role="group"
  aria-label="How it is held"
>
  <Tick
    checked={room.held.withKit === true}
    onchange={(on) => (room.held = { ...room.held, withKit: on })}
    >with the real kit: the file is the answer card</Tick
  >
  <Tick
    checked={room.held.practice === true}
    onchange={(on) => (room.held = { ...room.held, practice: on })}
    >for practice: shows what the answers come to</Tick
  >
  <label class="flex items-center gap-2 text-sm"
    ><span>minutes; empty: no clock</span><NumberField
      label="Minutes given"
      value={room.held.minutes}
      whole
      optional
      min={1}
      max={1000}
      onvalue={(n) => room.minutes(n)}
    /></label
  >
</div>
<label class="mt-3 flex flex-wrap items-center gap-3 text-sm"
  ><span>budget for a plan that each student makes; empty: none is asked for</span><NumberField
    label="Budget of the students' plan"
    unit={workspace.priceBook.currency}
    value={room.budget}
    optional
    max={100_000}
    onvalue={(n) => (room.budget = n)}
  /></label
>
<div class="mt-3">
  <button class="btn min-h-11 px-3" aria-expanded={byHand} onclick={() => (byHand = !byHand)}
    >Choose faults by hand{room.pickedCount > 0 ? ` (${room.pickedCount})` : ""}</button
  >
  {#if byHand}
    <ul class="mt-2 grid max-h-96 gap-1 overflow-y-auto pr-1" data-testid="by-hand">
      {#each room.plantable as p (p.line)}
        <li class="flex flex-wrap items-center justify-between gap-2 border-b border-line py-1">
          <span class="min-w-40 flex-1 text-sm">{p.name}</span>
          <Choice
            label="Fault of {p.name}"
            class="min-h-11 max-w-64 py-1 text-sm"
            value={room.picked[p.line] ?? ""}
            options={[
              { value: "", label: "as drawn" },
              ...p.kinds.map((k) => ({
                value: k.id,
                label: `${FAULT_LABEL[k.id] ?? k.id} (${SEEN_LABEL[k.seen]})`,
              })),
            ]}
            onchoose={(kind) => (room.picked = { ...room.picked, [p.line]: kind })}
          />
        </li>
      {/each}
    </ul>
  {/if}
</div>
<label class="mt-3 flex flex-col gap-1 text-sm"
  >passphrase that seals the key<input
    class="field"
    maxlength="200"
    autocomplete="off"
    bind:value={room.passphrase}
  /></label
>
<p class="text-sm text-soft">
  It keeps curiosity out. A checksum finds damage and careless edits; neither stops a programmer.
</p>
<button
  class="btn btn-main mt-3"
  disabled={!room.kit || short || room.busy || room.meshes.length === 0}
  onclick={() => room.make()}>{room.busy ? "Planting …" : "Plant the faults"}</button
>
{#if short}<span class="ml-2 text-sm text-soft">four characters at least</span>{/if}

{#snippet count(
  name: string,
  label: string,
  value: number,
  min: number,
  max: number,
  set: (n: number) => void,
)}
  <label class="flex flex-col gap-1 text-sm"
    >{name}<NumberField
      {label}
      {value}
      whole
      {min}
      {max}
      onvalue={(n) => n !== undefined && set(n)}
    /></label
  >
{/snippet}
