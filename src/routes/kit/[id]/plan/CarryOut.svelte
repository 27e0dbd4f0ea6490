<script lang="ts">
  import { plain } from "$lib/state/plain.ts";
  import { Dialog } from "bits-ui";
  import type { Action } from "$lib/core/plan/actions.ts";
  import { planDone } from "$lib/core/log/planDone.ts";
  import { timeNow, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import Tick from "$lib/ui/Tick.svelte";
  import { many, money } from "$lib/words/sentences.ts";

  /** The plan was carried out: what was really bought, paid and taken out goes into the kit's log. */
  interface Props {
    open: boolean;
    actions: readonly Action[];
    total: number;
    currency: string;
    lineLabel: (id: string) => string;
  }
  let { open = $bindable(), actions, total, currency, lineLabel }: Props = $props();
  const kit = useKit();
  const purchases = $derived(actions.flatMap((a) => ("product" in a ? [a] : [])));
  const drops = $derived(actions.flatMap((a) => (a.kind === "drop" ? [a.line] : [])));
  let packs = $state<Record<string, number>>({});
  let kept = $state<Record<string, boolean>>({});
  let paid = $state<number | undefined>(undefined);
  const packsOf = (a: (typeof purchases)[number]) => packs[a.product.id] ?? a.packs;

  function write(e: SubmitEvent) {
    e.preventDefault();
    const taken = new Set<string>();
    const done = planDone(
      {
        bought: purchases.map((a) => ({ product: plain(a.product), packs: packsOf(a) })),
        dropped: drops.filter((id) => !kept[id]),
        paid: { amount: paid ?? total, currency },
      },
      () => {
        const id = kit.nextLineId(taken);
        taken.add(id);
        return id;
      },
    );
    open = false;
    if (!done) return;
    const by = kit.record?.inspector;
    kit.logEvents("the plan was carried out", [
      { on: workspace.today, time: timeNow(), ...(by ? { by } : {}), ...done },
    ]);
    packs = {};
    kept = {};
    paid = undefined;
    workspace.sayDone(
      `${many(done.lines?.length ?? 0, "line")} came in. Read their dates and look at them at the bench.`,
    );
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[6vh] left-1/2 z-50 max-h-[88vh] w-[min(38rem,96vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-5"
    >
      <Dialog.Title class="font-head text-2xl font-bold">Bought and packed</Dialog.Title>
      <Dialog.Description class="text-sm text-soft"
        >What really came in, and what was paid. It goes into the kit's log; dates and condition are
        for the bench.</Dialog.Description
      >
      <form class="mt-3 grid gap-3" onsubmit={write}>
        <ul class="divide-y divide-line border-y border-line">
          {#each purchases as a (a.product.id)}
            <li class="flex items-center gap-3 py-1">
              <span class="min-w-0 flex-1">{a.product.title}</span>
              <NumberField
                label="Packs of {a.product.title}"
                value={packsOf(a)}
                width="w-16"
                whole
                max={10_000}
                onvalue={(n) => (packs = { ...packs, [a.product.id]: n ?? 0 })}
              />
            </li>
          {/each}
          {#each drops as id (id)}
            <li class="py-1">
              <Tick checked={!kept[id]} onchange={(on) => (kept = { ...kept, [id]: !on })}
                >{lineLabel(id)} was taken out</Tick
              >
            </li>
          {/each}
        </ul>
        <label class="flex items-center gap-3 text-sm"
          >paid in all<NumberField
            label="Paid in all"
            unit={currency}
            value={paid ?? Math.round(total * 100) / 100}
            max={1e9}
            onvalue={(n) => (paid = n)}
          /></label
        >
        <p class="text-sm text-soft">
          Planned: {money(total, currency)}. Packs that did not come: put 0.
        </p>
        <div class="flex gap-3">
          <button class="btn btn-main">It is in the kit</button>
          <Dialog.Close class="btn">Not yet</Dialog.Close>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
