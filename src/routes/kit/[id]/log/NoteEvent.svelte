<script lang="ts">
  import { Dialog } from "bits-ui";
  import { isDay } from "$lib/core/base/dates.ts";
  import { CONDITIONS_CARRIED, type CarriedThrough } from "$lib/core/events/spoils.ts";
  import type { EventKind, KitEvent } from "$lib/core/model/event.ts";
  import { piecesOf } from "$lib/core/sieve/measure.ts";
  import { pointsFor } from "$lib/core/inspect/points.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import type { LogState } from "$lib/state/pages/log.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Choice from "$lib/ui/Choice.svelte";
  import DayPicker from "$lib/ui/DayPicker.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import OneOf from "$lib/ui/OneOf.svelte";
  import Toggle from "$lib/ui/Toggle.svelte";
  import { EVENT_KIND_LABEL, THROUGH_LABEL } from "$lib/words/eventTexts.ts";

  /** Writes one event into the log, whatever its kind. */
  interface Props {
    open: boolean;
    kind: EventKind;
    log: LogState;
  }
  let { open = $bindable(), kind = $bindable(), log }: Props = $props();
  const KINDS = [
    "carried",
    "sealed",
    "seal-broken",
    "checked",
    "maintained",
    "recalled",
    "moved",
    "handed-over",
  ] as const satisfies readonly EventKind[];
  type Kind = (typeof KINDS)[number];

  let on = $state<string | undefined>(undefined);
  let by = $state("");
  let note = $state("");
  let seal = $state("");
  let full = $state<"quick" | "full">("quick");
  let days = $state<number | undefined>(1);
  let people = $state<number | undefined>(undefined);
  let km = $state<number | undefined>(undefined);
  let through = $state<CarriedThrough[]>([]);
  let line = $state("");
  let pieces = $state<number | undefined>(1);
  let lot = $state("");
  let from = $state("");
  let to = $state("");
  /** Id of the kit that the pieces went into; empty: elsewhere. */
  let into = $state("");
  const other = $derived(log.others.find((k) => k.id === into));
  const when = $derived(on ?? workspace.today);
  const { kit } = $derived(log);
  const isWhen = $derived(isDay(when));
  const lines = $derived(kit.lines.map((l) => ({ value: l.id, label: log.nameOf(l.id) })));
  const failing = $derived(
    kit.lines
      .filter((l) => (l.failedPoints ?? []).length > 0)
      .map((l) => ({ value: l.id, label: log.nameOf(l.id) })),
  );
  const picked = $derived(kit.lines.find((l) => l.id === line));
  /** What is still wanted; empty: it can be written down. */
  const wanted = $derived.by((): string => {
    if (!isWhen) return "a day that exists";
    if (when > workspace.today) return "a day that has been: the clock or the date is wrong";
    switch (kind as Kind) {
      case "sealed":
        return seal.trim() ? "" : "the number on the seal";
      case "carried":
        return days ? "" : "how many days";
      case "maintained":
        return picked ? "" : "what was mended";
      case "recalled":
        return picked?.itemType ? "" : "what is recalled";
      case "moved":
        if (!picked || !pieces || !(other || to.trim())) return "what, how many and where to";
        return pieces > piecesOf(picked) ? `no more than the ${piecesOf(picked)} there are` : "";
      case "handed-over":
        return to.trim() ? "" : "to whom";
      default:
        return "";
    }
  });

  function fields(): Partial<KitEvent> {
    switch (kind as Kind) {
      case "sealed":
      case "seal-broken":
        return seal.trim() ? { seal: seal.trim() } : {};
      case "checked":
        return { what: full };
      case "carried":
        return {
          days: days ?? 1,
          ...(people ? { people } : {}),
          ...(km ? { km } : {}),
          conditions: through,
        };
      case "maintained":
        return { changes: [{ line }] };
      case "recalled":
        return { itemType: picked!.itemType!, ...(lot.trim() ? { lot: lot.trim() } : {}) };
      case "moved":
        return { to: to.trim(), changes: [{ line, pieces: pieces ?? 1 }] };
      case "handed-over":
        return {
          to: to.trim(),
          ...(from.trim() ? { from: from.trim() } : {}),
          ...(log.seal ? { seal: log.seal.number } : {}),
        };
    }
  }
  function write(e: SubmitEvent) {
    e.preventDefault();
    if (wanted !== "") return;
    const said = {
      ...(by.trim() ? { by: by.trim() } : {}),
      ...(note.trim() ? { note: note.trim() } : {}),
    };
    if (kind === "moved" && other) log.moveTo(other, line, pieces ?? 1, { ...said, on: when });
    else log.note(kind, { ...fields(), ...said }, when);
    open = false;
    reset();
  }
  function reset() {
    on = undefined;
    note = seal = line = lot = from = to = into = "";
    through = [];
    days = pieces = 1;
    people = km = undefined;
  }
</script>

<Dialog.Root bind:open onOpenChange={(o) => !o && reset()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[6vh] left-1/2 z-50 max-h-[88vh] w-[min(38rem,96vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-5"
    >
      <Dialog.Title class="font-head text-2xl font-bold">What happened to the kit?</Dialog.Title>
      <Dialog.Description class="sr-only">One event for the log.</Dialog.Description>
      <form class="mt-3 grid gap-3" onsubmit={write}>
        <OneOf
          label="Kind of event"
          class="min-h-11 px-3 py-1 font-normal"
          value={kind as Kind}
          options={KINDS.map((value) => ({ value, label: EVENT_KIND_LABEL[value] }))}
          onchoose={(k) => (kind = k)}
        />
        <div class="flex flex-wrap items-end gap-3">
          <span class="flex flex-col gap-1 text-sm"
            >on<DayPicker label="Day it happened" value={when} onday={(d) => (on = d)} /></span
          >
          <label class="flex flex-col gap-1 text-sm"
            >by<input
              class="field w-40"
              maxlength="200"
              placeholder={kit.record?.inspector || "who"}
              bind:value={by}
            /></label
          >
        </div>
        {#if kind === "sealed" || kind === "seal-broken"}
          <label class="flex flex-col gap-1 text-sm"
            >number on the seal<input class="field w-40" maxlength="120" bind:value={seal} /></label
          >
          {#if kind === "sealed"}<p class="text-sm text-soft">
              Under a whole seal what was counted is trusted until a date passes.
            </p>{/if}
        {:else if kind === "checked"}
          <OneOf
            label="How much was looked at"
            value={full}
            options={[
              { value: "quick", label: "A quick look" },
              { value: "full", label: "A full count" },
            ]}
            onchoose={(v) => (full = v)}
          />
        {:else if kind === "carried"}
          <div class="flex flex-wrap items-end gap-3">
            <label class="flex flex-col gap-1 text-sm"
              >days out<NumberField
                label="Days out"
                value={days}
                max={10_000}
                onvalue={(n) => (days = n)}
              /></label
            >
            <label class="flex flex-col gap-1 text-sm"
              >people, if not {kit.brief.people}<NumberField
                label="People along"
                value={people}
                whole
                optional
                onvalue={(n) => (people = n)}
              /></label
            >
            <label class="flex flex-col gap-1 text-sm"
              >distance<NumberField
                label="Distance"
                unit="km"
                value={km}
                optional
                onvalue={(n) => (km = n)}
              /></label
            >
          </div>
          <div class="flex flex-wrap gap-2" role="group" aria-label="Carried through">
            {#each CONDITIONS_CARRIED as c (c)}
              <Toggle
                class="min-h-11 px-3 py-1 font-normal"
                on={through.includes(c)}
                ontoggle={(is) => (through = is ? [...through, c] : through.filter((x) => x !== c))}
                >{THROUGH_LABEL[c]}</Toggle
              >
            {/each}
          </div>
          <p class="text-sm text-soft">
            What suffers from it comes up for a look again; until then it counts as unchecked.
          </p>
        {:else if kind === "maintained"}
          <span class="flex flex-col gap-1 text-sm"
            >what was sharpened, washed, repaired, given new batteries<Choice
              label="What was mended"
              value={line}
              hint="choose a line"
              options={failing.length > 0 ? failing : lines}
              onchoose={(v) => (line = v)}
            /></span
          >
          {#if picked?.failedPoints?.length}<p class="text-sm">
              Clears: {picked.failedPoints
                .map(
                  (p) =>
                    pointsFor(picked.itemType, CATALOGUE).find((x) => x.id === p)?.failing ?? p,
                )
                .join("; ")}.
            </p>{/if}
        {:else if kind === "recalled"}
          <span class="flex flex-col gap-1 text-sm"
            >what is recalled<Choice
              label="What is recalled"
              value={line}
              hint="choose a line"
              options={lines}
              onchoose={(v) => {
                line = v;
                lot = kit.lines.find((l) => l.id === v)?.lot ?? "";
              }}
            /></span
          >
          <label class="flex flex-col gap-1 text-sm"
            >lot; left empty: all of that kind<input
              class="field w-40"
              maxlength="120"
              bind:value={lot}
            /></label
          >
          <p class="text-sm text-soft">
            For all kits at once: <a class="underline underline-offset-4" href="/service"
              >In service</a
            >.
          </p>
        {:else if kind === "moved"}
          <div class="flex flex-wrap items-end gap-3">
            <span class="flex flex-col gap-1 text-sm"
              >what<Choice
                label="What was moved"
                value={line}
                hint="choose a line"
                options={lines}
                onchoose={(v) => (line = v)}
              /></span
            >
            <label class="flex flex-col gap-1 text-sm"
              >pieces<NumberField
                label="Pieces moved"
                value={pieces}
                onvalue={(n) => (pieces = n)}
              /></label
            >
            {#if log.others.length > 0}
              <span class="flex flex-col gap-1 text-sm"
                >to<Choice
                  label="Moved into"
                  value={into}
                  options={[
                    { value: "", label: "somewhere that is no kit here" },
                    ...log.others.map((k) => ({ value: k.id, label: k.kit.name })),
                  ]}
                  onchoose={(v) => (into = v)}
                /></span
              >
            {/if}
            {#if !other}
              <label class="flex flex-col gap-1 text-sm"
                >where to<input
                  class="field"
                  maxlength="300"
                  placeholder="home, training"
                  bind:value={to}
                /></label
              >
            {/if}
          </div>
          {#if other}<p class="text-sm text-soft">
              {other.kit.name} has them from then on, with lot, date and what was found on them.
            </p>{/if}
        {:else}
          <div class="flex flex-wrap items-end gap-3">
            <label class="flex flex-col gap-1 text-sm"
              >from<input class="field" maxlength="300" bind:value={from} /></label
            >
            <label class="flex flex-col gap-1 text-sm"
              >to<input class="field" maxlength="300" bind:value={to} /></label
            >
          </div>
          <p class="text-sm text-soft">
            Who it is handed to answers for it. The report has a line to sign on.
          </p>
        {/if}
        <label class="flex flex-col gap-1 text-sm"
          >note<input
            class="field"
            maxlength="2000"
            placeholder="without anyone's name or health"
            bind:value={note}
          /></label
        >
        {#if wanted}<p class="text-sm text-soft">Still wanted: {wanted}.</p>{/if}
        <div class="flex gap-3">
          <button class="btn btn-main" disabled={wanted !== ""}>Write it down</button>
          <Dialog.Close class="btn">Not now</Dialog.Close>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
