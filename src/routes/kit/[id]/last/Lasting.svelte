<script lang="ts">
  import { plain } from "$lib/state/plain.ts";
  import { onDestroy } from "svelte";
  import { NO_LIMITS } from "$lib/core/plan/limits.ts";
  import { useReady } from "$lib/state/ready.svelte.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import type { LastState } from "$lib/state/pages/last.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import OneOf from "$lib/ui/OneOf.svelte";
  import StartStop from "$lib/ui/StartStop.svelte";
  import Tick from "$lib/ui/Tick.svelte";
  import Progress from "$lib/ui/Progress.svelte";
  import { errorText, outOf100 } from "$lib/words/chanceTexts.ts";
  import { money, number } from "$lib/words/sentences.ts";
  import { LastingRun } from "$lib/workers/lastingRun.svelte.ts";

  const { last, labelOf }: { last: LastState; labelOf: (need: string) => string } = $props();
  const kit = useKit();
  const run = new LastingRun();
  const ready = useReady();
  onDestroy(() => run.stop());
  let chance = $state<"0.9" | "0.95" | "0.99">("0.95");
  // What it rests on has changed: the answer is no longer one.
  $effect(() => {
    void kit.file;
    void last.incidents;
    void chance;
    void budget;
    run.clear();
  });
  const allowed = $derived(kit.record?.plan.budget ?? kit.brief.limits.budget ?? null);
  let within = $state(true);
  const budget = $derived(within ? allowed : null);
  const missing = (needs: readonly { need: string; short: number }[]) =>
    needs
      .slice(0, 4)
      .map((n) => `${labelOf(n.need).toLowerCase()} (in ${number(100 * n.short, 1)} of 100)`)
      .join(", ");
  function work() {
    run.ask({
      file: plain(kit.file),
      incidents: plain(last.incidents),
      today: workspace.today,
      book: plain(kit.book),
      chance: Number(chance),
      limits: { ...NO_LIMITS, budget },
    });
  }
  const answer = $derived(run.answer);
  const { result } = $derived(ready.run);
  const listPlan = $derived(result && result.status !== "infeasible" ? result : null);
</script>

<section class="sheet mt-4 p-4" aria-label="The cheapest kit that lasts">
  <h2 class="text-xl">The cheapest kit that lasts</h2>
  <p class="text-sm text-soft">
    Buys what suffices in so many of 100 outings, the cheapest way, and tries it on outings that
    chose nothing. Rare vital things stay the list's business.
  </p>
  <div class="mt-2 flex flex-wrap items-center gap-3">
    <OneOf
      label="Lasts in so many of 100 outings"
      class="min-h-11 px-4 py-1"
      value={chance}
      options={[
        { value: "0.9", label: "90 of 100" },
        { value: "0.95", label: "95" },
        { value: "0.99", label: "99" },
      ]}
      onchoose={(c) => (chance = c)}
    />
    {#if allowed !== null}
      <Tick checked={within} onchange={(on) => (within = on)}
        >within the budget of {money(allowed, kit.currency)}</Tick
      >
    {/if}
    <StartStop
      main
      start="Work it out"
      running={run.share !== null}
      onstart={work}
      onstop={() => run.stop()}
    />
    {#if run.share !== null}
      <Progress label="Seeking the cheapest kit that lasts" class="w-48" value={run.share} />
    {/if}
  </div>
  <div aria-live="polite" data-testid="lasting">
    {#if run.failure}<p class="noted mt-3">It could not be worked out: {run.failure}.</p>{/if}
    {#if answer?.status === "lasts"}
      <p class="mt-3">
        <strong class="font-head text-2xl">{money(answer.price, kit.currency)}</strong> more, and it
        lasts in
        <strong>{outOf100(answer.reached)}</strong> outings ({errorText(
          answer.reached.se,
          50_000,
        )}), instead of in {outOf100(answer.before)}.
        {#if answer.reached.low !== answer.reached.high}The lower figure takes what was not checked
          as failing; the purchase takes it as passing, so look at it before you buy.{/if}
        {#if listPlan}The list's plan costs {money(listPlan.price, kit.currency)}.{/if}
      </p>
      {#if answer.purchases.length > 0}<ul class="mt-1 list-disc pl-5">
          {#each answer.purchases as p (p.product.id)}<li>
              {p.packs} × {p.product.title}, {money(p.packs * p.product.price.amount, kit.currency)}
            </li>{/each}
        </ul>{:else}<p class="mt-1">Nothing need be bought for it.</p>{/if}
      <details class="mt-1 text-sm">
        <summary class="flex min-h-9 cursor-pointer items-center">What it gives each need</summary>
        <ul class="list-disc pl-5">
          {#each answer.quantities as q (q.need)}<li>
              {labelOf(q.need)}: {number(q.units)} units, enough in {number(100 * answer.share, 1)} of
              100
            </li>{/each}
        </ul>
      </details>
    {:else if answer?.status === "cannot"}
      <p class="noted mt-3">
        No purchase can: with plenty of everything on sale it lasts in {outOf100(answer.best)} outings.
        What stays missing: {missing(answer.needs)}.
      </p>
    {:else if answer?.status === "not-found"}
      <p class="noted mt-3">
        No plan {budget === null ? "from this price book" : `within ${money(budget, kit.currency)}`} was
        found that does; the nearest lasts in {outOf100(answer.best)} outings. Still missing then: {missing(
          answer.needs,
        )}.
      </p>
    {/if}
  </div>
</section>
