<script lang="ts">
  import type { LogState } from "$lib/state/pages/log.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Choice from "$lib/ui/Choice.svelte";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { storePhoto } from "$lib/ui/photos.ts";
  import { EVENT_KIND_LABEL, eventText } from "$lib/words/eventTexts.ts";
  import { logProblemText } from "$lib/words/logProblems.ts";
  import { day } from "$lib/words/sentences.ts";
  import EventIcon from "./EventIcon.svelte";

  /** What happened, the newest first; what does not add up above it. */
  const { log }: { log: LogState } = $props();
  /** As many as one reads at once; a long log opens on demand. */
  const SHOWN = 60;
  let most = $state(SHOWN);
  let picker: FilePicker;
  let photoOf = "";
  function pickPhoto(event: string) {
    photoOf = event;
    picker.pick();
  }
  const counts = (line: string, on: string) =>
    log.events.filter(
      (e) => e.kind === "counted" && e.on === on && e.changes?.some((c) => c.line === line),
    );
</script>

<FilePicker
  bind:this={picker}
  accept="image/*"
  camera
  label="Photo of what happened"
  onfiles={(files) => files.forEach((f) => void storePhoto(log.kit, f, { event: photoOf }))}
/>
<section class="sheet mt-4" aria-label="What happened">
  <div class="flex flex-wrap items-center justify-between gap-2 px-4 py-2">
    <h2 class="text-xl">What happened</h2>
    <Choice
      label="Shown"
      class="min-h-10 py-1 text-sm"
      value={log.only}
      options={[
        { value: "all", label: "all" },
        ...log.kinds.map((value) => ({ value, label: EVENT_KIND_LABEL[value].toLowerCase() })),
      ]}
      onchoose={(v) => (log.only = v as typeof log.only)}
    />
  </div>
  {#each log.problems as p, i (i)}
    {@const event = log.events.find((e) => e.id === p.event)}
    <div class="noted mx-4 mb-2 text-sm" role="note">
      <p>
        {#if p.line}<strong>{log.nameOf(p.line)}</strong>
        {/if}{logProblemText(p)}{#if event}
          ({day(event.on)}{event.by ? `, ${event.by}` : ""}){/if}.
      </p>
      {#if p.what === "two-counts" && p.line && event}
        <p class="mt-1 flex flex-wrap gap-2">
          {#each counts(p.line, event.on) as c (c.id)}
            {@const n = c.changes?.find((x) => x.line === p.line)?.pieces ?? 0}
            <button
              class="btn min-h-10 px-3 py-1"
              onclick={() =>
                counts(p.line!, event.on)
                  .filter((x) => x.id !== c.id)
                  .forEach((x) => log.takeBack(x))}>{n} holds{c.by ? ` (${c.by})` : ""}</button
            >
          {/each}
        </p>
      {:else if event && (p.what === "in-the-future" || p.what === "no-such-line")}
        <button class="btn mt-1 min-h-10 px-3 py-1" onclick={() => log.takeBack(event)}
          >Take it back</button
        >
      {/if}
    </div>
  {/each}
  <ol class="divide-y divide-line border-t border-line" data-testid="events">
    {#each log.shown.slice(0, most) as e (e.id)}
      <li class="group flex flex-wrap items-center gap-3 px-4 py-2">
        <time class="w-24 shrink-0 text-sm font-semibold">{day(e.on)}</time>
        <EventIcon kind={e.kind} />
        <span class="min-w-40 flex-1 break-words">{eventText(e, log.nameOf)}</span>
        <span class="max-w-24 truncate text-sm text-soft">{e.by ?? ""}</span>
        <button
          class="btn no-print min-h-9 px-2 py-0.5 text-sm font-normal"
          aria-label="Take back: {eventText(e, log.nameOf)}"
          onclick={() => log.takeBack(e)}>Take back</button
        >
        <button
          class="btn no-print min-h-9 px-2 py-0.5 text-sm font-normal"
          aria-label="Photo: {eventText(e, log.nameOf)}"
          onclick={() => pickPhoto(e.id)}>Photo</button
        >
        {#each log.photosOf(e.id) as p (p.id)}
          <figure class="flex basis-full items-end gap-2 pl-27">
            <img
              src={p.dataUrl}
              alt="Photo of: {eventText(e, log.nameOf)}"
              class="max-h-40 border border-line object-contain"
            />
            <button
              class="btn no-print min-h-9 px-2 py-0.5 text-sm font-normal"
              onclick={() => workspace.edit("remove a photo", [], [p.id])}>Remove</button
            >
          </figure>
        {/each}
      </li>
    {:else}
      <li class="px-4 py-3 text-soft">
        Nothing noted yet. What is used and never put back is the commonest gap.
      </li>
    {/each}
  </ol>
  {#if log.shown.length > most}
    <button class="btn m-3" onclick={() => (most += SHOWN)}
      >{log.shown.length - most} earlier ones</button
    >
  {/if}
</section>
