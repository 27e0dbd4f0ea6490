<script lang="ts">
  import { applyPriceList, type PriceChange } from "$lib/core/plan/priceList.ts";
  import { supplier } from "$lib/devices/priceList.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { money } from "$lib/words/sentences.ts";
  import type { PlanShown } from "$lib/workers/protocol.ts";

  /** Asks the supplier for today's prices and stock, and says what that does to the plan. */
  interface Props {
    plan: PlanShown | null;
    currency: string;
  }
  const { plan, currency }: Props = $props();
  type Solved = Extract<PlanShown, { price: number }>;
  let asking = $state(false);
  let changes = $state.raw<readonly PriceChange[] | null>(null);
  /** The plan as it was before the prices changed. */
  let before = $state.raw<Solved | null>(null);
  const solved = $derived(plan && plan.status !== "infeasible" ? plan : null);
  const buys = (p: Solved) =>
    new Map(p.actions.flatMap((a) => ("product" in a ? [[a.product.id, a] as const] : [])));
  const titleOf = (id: string) =>
    workspace.priceBook.products.find((p) => p.id === id)?.title ?? id;
  const effect = $derived.by(() => {
    if (!changes || !before || !solved || solved === before) return null;
    const [old, now] = [buys(before), buys(solved)];
    const touched = changes.filter((c) => old.has(c.id));
    return {
      price: solved.price - before.price,
      out: [...old.keys()].filter((id) => !now.has(id)),
      into: [...now.keys()].filter((id) => !old.has(id)),
      touched,
    };
  });
  async function ask() {
    asking = true;
    try {
      const list = await supplier.pricesOn(workspace.today);
      if (list.currency !== workspace.priceBook.currency)
        throw new Error(
          `its list is in ${list.currency}, the price book in ${workspace.priceBook.currency}`,
        );
      const applied = applyPriceList(workspace.priceBook, list);
      before = solved;
      changes = applied.changes;
      if (applied.changes.length > 0)
        workspace.changePriceBook("the supplier's prices", applied.book);
      const of = (code: PriceChange["code"]) =>
        applied.changes.filter((c) => c.code === code).length;
      workspace.say(
        applied.changes.length === 0
          ? "The supplier's list says nothing new."
          : `Taken over: ${of("price")} other prices, ${of("out")} out of stock, ${of("back")} back in stock. Undo takes it back.`,
      );
    } catch (error) {
      workspace.say(
        `The supplier did not answer (${(error as Error).message}). The price book is as it was.`,
        true,
      );
    } finally {
      asking = false;
    }
  }
</script>

<div class="sheet mt-4 p-4 text-sm" data-testid="market">
  <p>
    Prices from “{workspace.priceBook.title}”, {workspace.priceBook.products.length} products.
    <a class="underline" href="/prices">Price book</a>
  </p>
  <button class="btn mt-2 w-full" disabled={asking} onclick={ask}
    >{asking ? "Asking …" : "Ask the supplier for today's prices"}</button
  >
  {#if effect}
    <p class="mt-2 font-semibold" data-testid="market-effect">
      {Math.abs(effect.price) < 0.005
        ? "The plan costs the same."
        : `The plan costs ${money(Math.abs(effect.price), currency)} ${effect.price > 0 ? "more" : "less"}.`}
      {effect.out.length > 0 ? `No longer bought: ${effect.out.map(titleOf).join("; ")}.` : ""}
      {effect.into.length > 0 ? `Bought instead: ${effect.into.map(titleOf).join("; ")}.` : ""}
      {effect.out.length + effect.into.length === 0 ? "The same things are bought." : ""}
    </p>
    {#if effect.touched.length > 0}
      <details class="mt-1">
        <summary class="flex min-h-9 cursor-pointer items-center"
          >What changed for the things of the plan</summary
        >
        <ul class="list-disc pl-5">
          {#each effect.touched as c, i (i)}
            <li>
              {titleOf(c.id)}: {c.code === "price"
                ? `${money(c.from, currency)} → ${money(c.to, currency)}`
                : c.code === "out"
                  ? "out of stock"
                  : c.code === "lead"
                    ? `${c.from} → ${c.to} days`
                    : "back in stock"}
            </li>
          {/each}
        </ul>
      </details>
    {/if}
  {/if}
</div>
