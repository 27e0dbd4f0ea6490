<script lang="ts">
  import Progress from "$lib/ui/Progress.svelte";
  import StartStop from "$lib/ui/StartStop.svelte";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { onDestroy } from "svelte";
  import type { PlanRequest } from "$lib/core/plan/request.ts";
  import { kitLoad } from "$lib/core/bag/load.ts";
  import { NO_LIMITS } from "$lib/core/plan/limits.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { grams, money, percent } from "$lib/words/sentences.ts";
  import { questionOf } from "$lib/workers/planRun.svelte.ts";
  import { PlansRun } from "$lib/workers/plansRun.svelte.ts";

  /** This kit made ready, one built from an empty bag, and the other kits made ready. */
  interface Props {
    request: PlanRequest;
    ready: boolean;
    currency: string;
  }
  const { request, ready, currency }: Props = $props();
  const kit = useKit();

  interface Row {
    readonly id: string;
    readonly name: string;
    /** What it cost, or its bag; null: not known, or in another currency. */
    readonly paid: number | null;
    readonly request: PlanRequest;
  }
  const rows = $derived.by((): Row[] => {
    const base: PlanRequest = { ...request, question: "cheapest", limits: NO_LIMITS };
    const with_ = (id: string, name: string, paid: number | null, audit: PlanRequest["audit"]) => ({
      id,
      name,
      paid,
      request: { ...base, audit, keep: [] },
    });
    const own = kit.record;
    const price = (p: { amount: number; currency: string } | undefined) =>
      p && p.currency === currency ? p.amount : null;
    const allowance = own?.kit.container?.allowance ?? 0;
    return [
      with_("this", own?.kit.name ?? "this kit", price(own?.kit.price), request.audit),
      with_("nothing", "built from an empty bag", allowance, {
        ...request.audit,
        kit: { ...request.audit.kit, lines: [] },
      }),
      ...workspace.kits
        .filter((k) => k.id !== own?.id)
        .map((k) =>
          with_(k.id, k.kit.name, price(k.kit.price), {
            ...workspace.auditOf(k, kit.brief),
            // Judged alike: by this kit's list and rules.
            list: request.audit.list,
            ...(request.audit.houseRules ? { houseRules: request.audit.houseRules } : {}),
            ...(request.audit.byChance ? { byChance: request.audit.byChance } : {}),
          }),
        ),
    ];
  });
  const plans = new PlansRun();
  onDestroy(() => plans.stop());
  const answers = $derived(plans.answers);
  const start = () => plans.start(rows);
  // What is shown rests on the kit: a change makes it stale.
  let known = "";
  $effect(() => {
    const key = JSON.stringify(rows.map((r) => questionOf(r.request)));
    if (known !== "" && known !== key) {
      plans.clear();
    }
    known = key;
  });
</script>

<section
  class="border-t border-line px-5 py-4"
  aria-label="Other ways to the same end"
  data-testid="beside"
>
  <div class="flex flex-wrap items-center gap-2">
    <h2 class="mr-auto text-xl">
      Cheapest way to {request.target === "ready" ? "Ready" : `${percent(request.target)} %`}
    </h2>
    {#if plans.at !== null}<Progress
        label="Kits worked out"
        max={rows.length}
        value={plans.at}
      />{/if}
    <StartStop
      class="min-h-9 px-3 py-1"
      disabled={!ready}
      start={Object.keys(answers).length > 0 ? "Again" : "Work out"}
      running={plans.at !== null}
      onstart={start}
      onstop={() => plans.stop()}
    />
  </div>
  <p class="text-sm text-soft">
    This kit, one built from nothing, and the other kits on the shelf, all under this brief, list
    and house rules, without limits.
  </p>
  <div class="overflow-x-auto">
    <table class="mt-2 w-full text-sm">
      <thead
        ><tr class="text-left"
          ><th class="pr-3">way</th><th class="pr-3 text-right">paid or bag</th><th
            class="pr-3 text-right">to buy</th
          ><th class="pr-3 text-right">in all</th><th class="pr-3 text-right">weight then</th><th
            >coverage then</th
          ></tr
        ></thead
      >
      <tbody>
        {#each rows as r (r.id)}
          {@const a = answers[r.id]}
          <tr class="border-t border-line"
            ><th class="max-w-56 py-1 pr-3 text-left font-semibold break-words">{r.name}</th>
            <td class="pr-3 text-right whitespace-nowrap"
              >{r.paid === null ? "not known" : money(r.paid, currency)}</td
            >
            {#if a && a.status !== "infeasible"}
              <td class="pr-3 text-right whitespace-nowrap">{money(a.price, currency)}</td>
              <td class="pr-3 text-right font-semibold whitespace-nowrap"
                >{r.paid === null ? "–" : money(r.paid + a.price, currency)}</td
              >
              <td class="pr-3 text-right whitespace-nowrap">{grams(a.carriedMassG)}</td>
              <td>{percent(a.coverage)} %</td>
            {:else}
              <td class="pr-3 text-right" colspan="4"
                >{a
                  ? "no plan can do it"
                  : `now ${grams(kitLoad(r.request.audit, CATALOGUE).massG)}`}</td
              >
            {/if}</tr
          >
        {/each}
      </tbody>
    </table>
  </div>
</section>
