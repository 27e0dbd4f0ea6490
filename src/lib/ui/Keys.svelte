<script lang="ts">
  import { Dialog } from "bits-ui";
  import { STAGES } from "./stages.ts";

  /** The sheet of keys, on `?`. */
  let { open = $bindable(false) }: { open: boolean } = $props();

  const SHEETS: readonly (readonly [
    where: string,
    keys: readonly (readonly [string, string])[],
  ])[] = [
    [
      "Everywhere",
      [
        ["Ctrl K", "find a place, a kit, a command"],
        ["Ctrl Z", "undo"],
        ["Ctrl Shift Z", "do again"],
        ["?", "this sheet"],
        ...STAGES.map((s, i) => [`Alt ${i + 1}`, s.label.toLowerCase()] as const),
      ],
    ],
    [
      "On the bench, with the focus in the item",
      [
        ["F  D", "the point asked is good; is not"],
        ["Enter", "all (the rest) is sound, next item"],
        ["J  K", "next item, item before"],
        ["C  E  S", "count, date, size"],
        ["0–9", "begins a date"],
        ["I", "which kind it is, or something else"],
        ["G", "same date as the item before"],
        ["L", "next place"],
        ["N  B", "note; why this verdict"],
        ["P  V", "photograph; read the wrapper"],
        ["Space", "stopwatch on, off"],
        ["O", "another order"],
        ["U", "undo"],
      ],
    ],
    [
      "Unpacking, on a line that is asked about",
      [
        ["Enter", "it was read right"],
        ["1–9", "it is that kind"],
      ],
    ],
  ];
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[6vh] left-1/2 z-50 max-h-[88vh] w-[min(52rem,94vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-6"
    >
      <Dialog.Title class="font-head text-2xl font-bold">Keys</Dialog.Title>
      <Dialog.Description class="text-sm text-soft"
        >Single letters can be switched off in the settings. What a word means here stands under
        <a class="underline underline-offset-4" href="/words" onclick={() => (open = false)}
          >Words</a
        >.</Dialog.Description
      >
      <div class="mt-3 grid gap-6 sm:grid-cols-2">
        {#each SHEETS as [where, keys] (where)}
          <section>
            <h3 class="text-lg">{where}</h3>
            <dl class="mt-1 grid grid-cols-[7.5rem_1fr] gap-y-1">
              {#each keys as [key, does] (key)}
                <dt class="font-semibold">{key}</dt>
                <dd>{does}</dd>
              {/each}
            </dl>
          </section>
        {/each}
      </div>
      <Dialog.Close class="btn mt-4">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
