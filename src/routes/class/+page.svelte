<script lang="ts">
  import { ClassState } from "$lib/state/pages/class.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Choice from "$lib/ui/Choice.svelte";
  import { download, fileName } from "$lib/ui/download.ts";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { saveCsv } from "$lib/ui/tables.ts";
  import { FAULT_HOW, FAULT_LABEL, meshTaught } from "$lib/words/exerciseTexts.ts";
  import { many, number } from "$lib/words/sentences.ts";

  const room = new ClassState();
  const { made, summary } = $derived(room);
  let picker: FilePicker;
  const percent = (share: number | null) => (share === null ? "–" : `${number(100 * share, 0)} %`);
  const figure = (n: number | null) => (n === null ? "–" : number(n, 2));
  const teachText = (t: { what: string; id: string; rate: number }) =>
    t.what === "fault"
      ? `${FAULT_LABEL[t.id]}: missed by ${percent(t.rate)}. ${FAULT_HOW[t.id]}`
      : t.what === "false-alarms"
        ? `What looks wrong and is sound: ${percent(t.rate)} named something that has nothing.`
        : `Saying why: ${percent(t.rate)} of what was found had another reason.`;
</script>

<svelte:head><title>Class · Wide Sieve</title></svelte:head>
<ShelfHeader title="Class" about="Plant faults in a kit, hand it round, see who missed what." />
<main class="mx-auto max-w-6xl p-4 sm:p-6">
  <p class="flex flex-wrap items-center gap-3">
    <span class="mr-auto text-soft">A student with a file begins elsewhere:</span>
    <a class="btn" href="/exercise">Open the exercise you were given</a>
  </p>
  <div class="mt-4 grid gap-6 lg:grid-cols-2">
    <section class="sheet p-4" aria-label="Make an exercise">
      <h2 class="text-2xl">Make an exercise</h2>
      <p class="text-sm text-soft">
        The kit is taken as it should be; then so many faults are planted, one a line, over all
        seven meshes. Each changes its audit; a decoy only looks wrong.
      </p>
      <div class="mt-3 flex flex-wrap items-end gap-3">
        <span class="flex min-w-52 flex-1 flex-col gap-1 text-sm"
          >from the kit<Choice
            label="From the kit"
            value={room.kit?.id ?? ""}
            options={workspace.kits.map((k) => ({ value: k.id, label: k.kit.name }))}
            onchoose={(id) => (room.kitId = id)}
          /></span
        >
        {@render count("faults", "Faults", room.faults, 1, 40, (n) => (room.faults = n))}
        {@render count("decoys", "Decoys", room.decoys, 0, 20, (n) => (room.decoys = n))}
        {@render count(
          "drawing",
          "Number of the drawing",
          room.seed,
          1,
          1000,
          (n) => (room.seed = n),
        )}
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
        It keeps curiosity out. A checksum finds damage and careless edits; neither stops a
        programmer.
      </p>
      <button
        class="btn btn-main mt-3"
        disabled={!room.kit || room.passphrase.trim().length < 4 || room.busy}
        onclick={() => room.make()}>{room.busy ? "Planting …" : "Plant the faults"}</button
      >
      {#if room.passphrase.trim().length < 4}<span class="ml-2 text-sm text-soft"
          >four characters at least</span
        >{/if}
      {#if made}
        <div class="mt-4 border-t border-line pt-3">
          <h3 class="text-lg">For your eyes: {made.title}</h3>
          <ol class="mt-1 list-decimal pl-6 text-sm" data-testid="slips">
            {#each made.slips as s (s.line)}
              <li class="py-0.5"><strong>{s.name}</strong> ({s.line}): {s.fault}</li>
            {/each}
          </ol>
          <div class="mt-3 flex flex-wrap gap-2">
            <button
              class="btn btn-main"
              onclick={() => download(fileName(made.title, ".exercise.json"), made.exercise)}
              >Exercise to hand out</button
            >
            <button
              class="btn"
              onclick={() => download(fileName(made.title, ".key.json"), made.keyText)}
              >Key to keep</button
            >
            <button
              class="btn"
              onclick={() =>
                download(fileName(`${made.title} slips`, ".md"), room.slipSheet(), "text/markdown")}
              >Slip sheet for a real kit</button
            >
          </div>
        </div>
      {/if}
    </section>

    <section class="sheet min-w-0 p-4" aria-label="Mark the results">
      <h2 class="text-2xl">Mark the results</h2>
      <p class="text-sm text-soft">
        The key (or the exercise and its passphrase), then the results, any number at once.
      </p>
      <button class="btn mt-3" onclick={() => picker.pick()}>Take in key and results</button>
      <p class="mt-2 text-sm" aria-live="polite">
        {room.key
          ? `Key of ${room.key.title}: ${many(room.key.faults.length, "fault")}.`
          : "No key yet."}
        {many(room.results.length, "result")} marked.
      </p>
      {#each room.refused as r (r.file)}
        <p class="noted mt-2 text-sm"><strong>{r.file}</strong> {r.why}.</p>
      {/each}
      {#if summary && room.results.length > 0}
        <h3 class="mt-4 text-lg">Teach tomorrow</h3>
        <ol class="list-decimal pl-6" data-testid="teach">
          {#each summary.teachNext as t (`${t.what} ${t.id}`)}
            <li class="py-0.5">{teachText(t)}</li>
          {/each}
        </ol>
        <p class="mt-2 text-sm text-soft">
          Agreement among students (alpha) {figure(summary.alpha)}, with the rules (kappa)
          {figure(summary.kappaWithKey)}.
        </p>
      {/if}
    </section>
  </div>

  {#if summary && room.results.length > 0}
    <section class="sheet mt-6 overflow-x-auto p-4" aria-label="The class">
      <div class="flex flex-wrap items-center gap-3">
        <h2 class="mr-auto text-2xl">The class, {many(room.results.length, "student")}</h2>
        <button
          class="btn min-h-10 px-3 py-1"
          onclick={() => saveCsv(`${room.key!.title} class`, room.table())}>CSV</button
        >
      </div>
      <table class="mt-2 w-full text-lg" data-testid="students">
        <thead
          ><tr class="text-left text-base"
            ><th class="py-1 pr-3">student</th><th class="px-2 text-right">found</th><th
              class="px-2 text-right">right reason</th
            ><th class="px-2 text-right">false alarms</th><th class="px-2 text-right">verdicts</th
            ><th class="px-2 text-right">time</th><th></th></tr
          ></thead
        >
        <tbody>
          {#each summary.students as s (s.id)}
            <tr class="border-t border-line"
              ><td class="py-1.5 pr-3 font-semibold break-words">{s.id}</td><td
                class="px-2 text-right">{s.found.length} of {room.key!.faults.length}</td
              ><td class="px-2 text-right">{s.rightReason.length}</td><td class="px-2 text-right"
                >{s.falseAlarms.length}</td
              ><td class="px-2 text-right">{percent(s.verdictScore)}</td><td class="px-2 text-right"
                >{s.timeS === null ? "–" : `${number(s.timeS / 60, 0)} min`}</td
              ><td class="pl-2 text-right"
                ><button
                  class="btn min-h-9 px-2 py-0.5 text-sm"
                  aria-label="Sheet of {s.id}"
                  onclick={() =>
                    download(fileName(`${s.id} sheet`, ".md"), room.sheetOf(s.id), "text/markdown")}
                  >Sheet</button
                ></td
              ></tr
            >
          {/each}
        </tbody>
      </table>
      <h3 class="mt-5 text-xl">Fault by fault</h3>
      <table class="mt-1 w-full" data-testid="faults">
        <thead
          ><tr class="text-left text-sm"
            ><th class="py-1 pr-3">fault</th><th class="px-2">asks</th><th class="px-2 text-right"
              >found by</th
            ><th class="px-2 text-right">95 % between</th><th class="pl-2 text-right"
              >tells apart</th
            ></tr
          ></thead
        >
        <tbody>
          {#each [...summary.faults].sort((a, b) => (a.foundRate ?? 0) - (b.foundRate ?? 0)) as f (f.id)}
            <tr class="border-t border-line"
              ><td class="py-1 pr-3">{FAULT_LABEL[f.kind] ?? f.kind} ({f.line})</td><td class="px-2"
                >{meshTaught(f.mesh)}</td
              ><td class="px-2 text-right font-semibold">{percent(f.foundRate)}</td><td
                class="px-2 text-right whitespace-nowrap"
                >{f.interval ? `${percent(f.interval[0])} – ${percent(f.interval[1])}` : "–"}</td
              ><td class="pl-2 text-right">{figure(f.discrimination)}</td></tr
            >
          {/each}
        </tbody>
      </table>
    </section>
  {/if}
  <FilePicker
    bind:this={picker}
    label="Key and results"
    accept=".json,application/json"
    multiple
    onfiles={(files) => void room.take(files)}
  />
</main>

{#snippet count(
  short: string,
  label: string,
  value: number,
  min: number,
  max: number,
  set: (n: number) => void,
)}
  <label class="flex flex-col gap-1 text-sm"
    >{short}<NumberField
      {label}
      {value}
      whole
      {min}
      {max}
      onvalue={(n) => n !== undefined && set(n)}
    /></label
  >
{/snippet}
