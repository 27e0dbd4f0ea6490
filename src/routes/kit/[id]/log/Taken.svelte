<script lang="ts">
  import { Dialog } from "bits-ui";
  import { Minus } from "lucide";
  import Icon from "$lib/ui/Icon.svelte";
  import type { LogState } from "$lib/state/pages/log.svelte.ts";
  import Choice from "$lib/ui/Choice.svelte";
  import OneOf from "$lib/ui/OneOf.svelte";
  import type { Takable } from "$lib/core/log/takenOften.ts";
  import { CATEGORIES, type Category } from "$lib/core/model/functionRecord.ts";
  import { CATEGORY_LABEL } from "$lib/words/labels.ts";
  import { many, number, pieceCount } from "$lib/words/sentences.ts";

  /** What was taken: one tap a piece, with gloves, in the hand. */
  interface Props {
    open: boolean;
    log: LogState;
    /** What the kit can do no more, or less of. */
    ontaken: (lost: readonly string[]) => void;
  }
  let { open = $bindable(), log, ontaken }: Props = $props();
  let taken = $state<Record<string, number>>({});
  let why = $state<"incident" | "practice" | "lent">("incident");
  let chosen = $state<Category | null>(null);
  let note = $state("");
  const sum = $derived(Object.values(taken).reduce((s, n) => s + n, 0));
  /** What was taken first says most of what it was for. */
  let firstId = $state<string | null>(null);
  const firstLine = $derived(log.takable.find((t) => t.line.id === firstId)?.line);
  /** What it most likely was, by what was taken first. */
  const category = $derived(
    chosen ?? (firstLine ? log.categoryOfLine(firstLine) : null) ?? "everyday-wounds",
  );

  function tap({ line, pieces }: Takable, by: number) {
    if (sum === 0) firstId = line.id;
    const next = Math.min(pieces, Math.max(0, (taken[line.id] ?? 0) + by));
    taken = { ...taken, [line.id]: next };
  }
  function done() {
    const lost = log.take(
      new Map(Object.entries(taken).filter(([, n]) => n > 0)),
      why === "incident" ? category : why,
      note.trim(),
    );
    open = false;
    reset();
    ontaken(lost);
  }
  function reset() {
    taken = {};
    firstId = null;
    why = "incident";
    chosen = null;
    note = "";
  }
</script>

<Dialog.Root bind:open onOpenChange={(o) => !o && reset()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed inset-0 z-50 flex flex-col border-2 border-ink sm:inset-x-auto sm:top-[5vh] sm:bottom-[5vh] sm:left-1/2 sm:w-[min(54rem,94vw)] sm:-translate-x-1/2"
    >
      <div class="flex items-start justify-between gap-3 p-4 pb-2">
        <div>
          <Dialog.Title class="font-head text-2xl font-bold">What was taken?</Dialog.Title>
          <Dialog.Description class="text-sm text-soft"
            >One tap a piece. What is taken most stands first.</Dialog.Description
          >
        </div>
        <Dialog.Close class="btn">Nothing</Dialog.Close>
      </div>
      <ul
        class="grid min-h-0 flex-1 auto-rows-min grid-cols-2 gap-2 overflow-y-auto p-4 pt-1 sm:grid-cols-3"
      >
        {#each log.takable as t (t.line.id)}
          {@const { line, pieces } = t}
          {@const n = taken[line.id] ?? 0}
          <li class="relative">
            <button
              class="btn min-h-19 w-full flex-col items-start gap-0 px-3 py-2 text-left {n > 0
                ? 'btn-on'
                : ''}"
              onclick={() => tap(t, 1)}
              disabled={n >= pieces}
            >
              <span class="line-clamp-2 pr-9 text-[0.95rem] leading-tight"
                >{log.nameOf(line.id)}</span
              >
              <span class="text-sm font-normal"
                >{n > 0 ? `${number(n)} taken, ` : ""}{pieceCount(pieces - n, log.typeOf(line))} left</span
              >
            </button>
            {#if n > 0}<button
                class="btn absolute top-1 right-1 min-h-11 w-11 px-0"
                aria-label="{n % 1 > 0 ? 'Half a' : 'One'} {log.nameOf(line.id)} less"
                onclick={() => tap(t, n % 1 > 0 ? -0.5 : -1)}><Icon of={Minus} size={18} /></button
              >{/if}
            {#if log.isDivisible(line) && n + 0.5 <= pieces}<button
                class="btn absolute right-1 bottom-1 min-h-11 w-11 px-0"
                aria-label="+½ of {log.nameOf(line.id)}"
                onclick={() => tap(t, 0.5)}>+½</button
              >{/if}
          </li>
        {/each}
      </ul>
      <div class="grid gap-2 border-t border-ink p-3 sm:px-4">
        <div class="flex flex-wrap items-center gap-2">
          <OneOf
            label="What for"
            class="px-3"
            value={why}
            options={[
              { value: "incident", label: "Incident" },
              { value: "practice", label: "Practice" },
              { value: "lent", label: "Lent" },
            ]}
            onchoose={(w) => (why = w)}
          />
          {#if why === "incident"}
            <Choice
              label="What happened"
              class="min-w-0 flex-1"
              value={category}
              options={CATEGORIES.map((value) => ({ value, label: CATEGORY_LABEL[value] }))}
              onchoose={(v) => (chosen = v as Category)}
            />
          {/if}
        </div>
        <div class="flex gap-2">
          <label class="min-w-0 flex-1"
            ><span class="sr-only">Note, no person's name or health</span><input
              class="field w-full"
              maxlength="2000"
              placeholder="a note, without anyone's name"
              bind:value={note}
            /></label
          >
          <button class="btn btn-main px-6" disabled={sum === 0} onclick={done}
            >Done{sum > 0 ? `, ${many(sum, "piece")}` : ""}</button
          >
        </div>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
