<script lang="ts">
  import { plain } from "$lib/state/plain.ts";
  import { onDestroy } from "svelte";
  import type { Block } from "$lib/report/blocks.ts";
  import { figure } from "$lib/report/classBlocks.ts";
  import { toMarkdown } from "$lib/report/toMarkdown.ts";
  import { ClassState } from "$lib/state/pages/class.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { teachText } from "$lib/words/exerciseTexts.ts";
  import { many } from "$lib/words/sentences.ts";
  import { PdfRun } from "$lib/workers/pdfRun.svelte.ts";
  import MakeExercise from "./MakeExercise.svelte";
  import TheClass from "./TheClass.svelte";

  const room = new ClassState();
  const { made, summary } = $derived(room);
  let picker: FilePicker;
  let again: FilePicker;
  const pdf = new PdfRun();
  onDestroy(() => pdf.stop());
  const savePdf = (title: string, blocks: readonly Block[]) =>
    pdf.make(
      { title, blocks: plain(blocks) },
      (blob) => download(fileName(title, ".pdf"), blob, "application/pdf"),
      (why) => workspace.say(`The PDF could not be made: ${why}.`, true),
    );
  const ofPaper = (i: number) => (made.length > 1 ? ` ${i + 1}` : "");
</script>

<svelte:head><title>Class · Wide Sieve</title></svelte:head>
<ShelfHeader title="Class" about="Plant faults in a kit, hand it round, see who missed what." />
<main class="mx-auto max-w-6xl p-4 sm:p-6">
  <p class="flex flex-wrap items-center gap-3">
    <span class="mr-auto text-soft">A student with a file begins elsewhere:</span>
    <a class="btn" href="/exercise">Open the exercise you were given</a>
    <a class="btn" href="/drill">Practise alone</a>
  </p>
  <div class="mt-4 grid gap-6 lg:grid-cols-2">
    <section class="sheet p-4" aria-label="Make an exercise">
      <h2 class="text-2xl">Make an exercise</h2>
      <MakeExercise {room} />
      {#if made.length > 0}
        <div class="mt-4 border-t border-line pt-3" data-testid="made">
          <h3 class="text-lg">For your eyes: {room.title}</h3>
          {#each made as paper, i (paper.key.exercise)}
            {#if made.length > 1}<h4 class="mt-3 font-semibold">Paper {i + 1}</h4>{/if}
            <ol class="mt-1 list-decimal pl-6 text-sm" data-testid="slips">
              {#each paper.slips as s (s.line)}
                <li class="py-0.5"><strong>{s.name}</strong> ({s.line}): {s.fault}</li>
              {/each}
            </ol>
            <div class="mt-2 flex flex-wrap gap-2">
              <button
                class="btn btn-main"
                onclick={() =>
                  download(
                    fileName(`${room.title}${ofPaper(i)}`, ".exercise.json"),
                    paper.exercise,
                  )}>Exercise to hand out{ofPaper(i)}</button
              >
              <button
                class="btn"
                onclick={() =>
                  download(fileName(`${room.title}${ofPaper(i)}`, ".key.json"), paper.keyText)}
                >Key to keep{ofPaper(i)}</button
              >
              <button
                class="btn"
                onclick={() =>
                  savePdf(`${room.title}${ofPaper(i)}, for the real kit`, room.realKit(paper))}
                >Slips, labels, answer card{ofPaper(i)}</button
              >
            </div>
          {/each}
        </div>
      {/if}
    </section>

    <section class="sheet min-w-0 p-4" aria-label="Mark the results">
      <h2 class="text-2xl">Mark the results</h2>
      <p class="text-sm text-soft">
        The keys (or the exercises and their passphrase), then the results, any number at once.
      </p>
      <div class="mt-3 flex flex-wrap gap-2">
        <button class="btn" onclick={() => picker.pick()}>Take in key and results</button>
        <button class="btn" disabled={room.results.length === 0} onclick={() => again.pick()}
          >Results of a second run</button
        >
        <button class="btn" onclick={() => void room.showDemo()}>Show a made-up class of 24</button>
      </div>
      <p class="mt-2 text-sm" aria-live="polite">
        {room.keys.length > 0
          ? `${room.keys.length === 1 ? "Key" : `${room.keys.length} keys`} of ${room.keys[0]!.title}: ${many(room.keys[0]!.faults.length, "fault")}.`
          : "No key yet."}
        {many(room.results.length, "result")} marked{room.again.length > 0
          ? `, ${room.again.length} of a second run`
          : ""}.
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
    <TheClass
      {room}
      {summary}
      onpdf={savePdf}
      onmarkdown={(title, blocks) =>
        download(fileName(title, ".md"), toMarkdown(blocks), "text/markdown")}
    />
  {/if}
  <FilePicker
    bind:this={picker}
    label="Key and results"
    accept=".json,application/json"
    multiple
    onfiles={(files) => void room.take(files)}
  />
  <FilePicker
    bind:this={again}
    label="Second run"
    accept=".json,application/json"
    multiple
    onfiles={(files) => void room.take(files, "again")}
  />
</main>
