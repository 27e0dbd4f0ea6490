<script lang="ts">
  import Tick from "$lib/ui/Tick.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { freeId } from "$lib/core/base/freeId.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { Dialog } from "bits-ui";
  import { FUNCTIONS } from "$lib/data/functions.ts";
  import { itemTypeRecord } from "$lib/core/records/itemTypeRecord.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { CATEGORY_LABEL } from "$lib/words/labels.ts";

  interface Props {
    open: boolean;
    /** What the card calls it. */
    name: string;
    onmade: (id: string) => void;
  }
  let { open = $bindable(false), name, onmade }: Props = $props();
  let label = $state("");
  let job = $state("");
  let credit = $state(1);
  let skill = $state<"anyone" | "trained" | "advanced" | "licensed">("anyone");
  let flags = $state({ tool: false, sterile: false, dated: false, medicine: false });
  $effect(() => {
    if (open) label = name;
  });
  const unit = $derived(FUNCTIONS.find((f) => f.id === job)?.unit ?? "each");
  let typical = $state(1);
  /** What is asked for in litres is kept in millilitres. */
  const LITRE_PER_ML = 0.001;
  const problem = $derived(label.trim() === "" ? "Give it a name." : "");

  function make(e: SubmitEvent) {
    e.preventDefault();
    if (problem) return;
    const base = `own-${
      label
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, "-")
        .replace(/^-|-$/g, "") || "thing"
    }`;
    const taken = [...CATALOGUE.types.keys(), ...workspace.ownTypes.map((t) => t.id)];
    const id = freeId(base, new Set(taken));
    const measured = unit === "metre" || unit === "millilitre" || unit === "litre";
    workspace.edit(`make the item type ${label.trim()}`, [
      itemTypeRecord({
        id,
        label: label.trim().slice(0, 120),
        functions: job
          ? [{ function: job, credit, ...(unit === "litre" ? { yield: LITRE_PER_ML } : {}) }]
          : [],
        measure: unit === "litre" ? "millilitre" : unit,
        ...(measured ? { typical } : {}),
        skill,
        use: flags.tool ? "tool" : "single",
        sterile: flags.sterile,
        dated: flags.dated,
        medicine: flags.medicine,
        clash: [],
        alsoCalled: [],
      }),
    ]);
    open = false;
    onmade(id);
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(34rem,94vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-6"
    >
      <Dialog.Title class="font-head text-2xl font-bold">An item type of your own</Dialog.Title>
      <Dialog.Description class="text-sm text-soft"
        >For a thing the catalogue does not have. It is kept, and goes with your exports.</Dialog.Description
      >
      <form class="mt-4 grid gap-3" onsubmit={make}>
        <label class="flex flex-col gap-1"
          >Name<input class="field" bind:value={label} maxlength="120" /></label
        >
        <label class="flex flex-col gap-1"
          >What job it does
          <Choice
            label="What job it does"
            value={job}
            options={[
              { value: "", label: "none on any list" },
              ...FUNCTIONS.map((f) => ({
                value: f.id,
                label: `${f.label} · ${CATEGORY_LABEL[f.category]}`,
              })),
            ]}
            onchoose={(v) => (job = v)}
          /></label
        >
        {#if job}<label class="flex items-center gap-3"
            >How well, 0 to 1 <NumberField
              label="Credit"
              value={credit}
              max={1}
              onvalue={(n) => (credit = n ?? credit)}
            /></label
          >{/if}
        {#if unit === "metre" || unit === "millilitre" || unit === "litre"}<label
            class="flex items-center gap-3"
            >A usual piece has <NumberField
              label="Typical"
              value={typical}
              min={0.01}
              unit={unit === "metre" ? "m" : "ml"}
              onvalue={(n) => (typical = n ?? typical)}
            /></label
          >{/if}
        <label class="flex flex-col gap-1"
          >Training it asks for
          <Choice
            label="Training it asks for"
            value={skill}
            options={[
              { value: "anyone", label: "none" },
              { value: "trained", label: "first aid course" },
              { value: "advanced", label: "medic" },
              { value: "licensed", label: "licensed" },
            ]}
            onchoose={(v) => (skill = v as typeof skill)}
          /></label
        >
        <fieldset class="flex flex-wrap gap-4">
          <legend class="sr-only">What it is</legend>
          {#each [["tool", "a tool, used again"], ["sterile", "sterile"], ["dated", "carries a date"], ["medicine", "a medicine"]] as const as [key, text] (key)}
            <Tick checked={flags[key]} onchange={(on) => (flags[key] = on)}>{text}</Tick>
          {/each}
        </fieldset>
        {#if problem}<p class="bad font-semibold" role="alert">{problem}</p>{/if}
        <div class="flex gap-3">
          <button class="btn btn-main" disabled={problem !== ""}>Make it</button><Dialog.Close
            class="btn">Not now</Dialog.Close
          >
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
