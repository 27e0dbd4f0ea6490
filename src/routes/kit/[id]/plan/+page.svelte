<script lang="ts">
  import Progress from "$lib/ui/Progress.svelte";
  import OneOf from "$lib/ui/OneOf.svelte";
  import Later from "$lib/ui/Later.svelte";
  import NextStep from "$lib/ui/NextStep.svelte";
  import { onDestroy } from "svelte";
  import { page } from "$app/state";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { PlanState } from "$lib/state/pages/plan.svelte.ts";
  import { QUESTIONS } from "$lib/core/plan/request.ts";
  import { questionLabel, STAGE_LABEL } from "$lib/words/planTexts.ts";
  import {
    boundText,
    gapText,
    grams,
    litres,
    money,
    number,
    obstacle,
    percent,
  } from "$lib/words/sentences.ts";
  import ActionList from "./ActionList.svelte";
  import Constraints from "./Constraints.svelte";
  import Frontier from "./Frontier.svelte";
  import Market from "./Market.svelte";
  import OtherWays from "./OtherWays.svelte";
  import PlacesView from "./PlacesView.svelte";
  import Shopping from "./Shopping.svelte";

  const kit = useKit();
  const asked = new PlanState(kit);
  const { run, needName, lineLabel, titleOf } = asked;
  onDestroy(() => run.dispose());
  $effect(() => asked.start());
  const question = $derived(asked.question);
  const currency = $derived(kit.currency);
  const otherCurrency = $derived(asked.otherCurrency);
  const request = $derived(asked.request);
  const plan = $derived(asked.plan);
  const solved = $derived(asked.solved);
  /** A line of the kit, or a product that was bought. */
  const placedName = (id: string): string =>
    kit.lines.some((l) => l.id === id) ? lineLabel(id) : titleOf(id.replace(/^buy:/, ""));
</script>

<div class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[27rem_minmax(0,1fr)]">
  <section class="no-print border-line p-4 sm:p-5 lg:border-r">
    <div class="flex items-center justify-between gap-3">
      <h1 class="text-3xl">Plan</h1>
      <a class="btn min-h-10 px-3 py-1" href="/kit/{page.params['id']}/last">Will it last?</a>
    </div>
    <div class="mt-3">
      <OneOf
        label="The question"
        class="px-3"
        value={question}
        options={QUESTIONS.map((q) => ({ value: q, label: questionLabel(q, asked.target) }))}
        onchoose={(q) => asked.ask(q)}
      />
    </div>

    <div class="mt-4 min-h-64" aria-live="polite">
      {#if otherCurrency}
        <p class="noted">
          This audit is in {otherCurrency}, the price book is in {currency}. One audit has one
          currency: say in the <a class="underline" href="/settings">settings</a> what one {otherCurrency}
          is worth, or load prices in {otherCurrency}.
        </p>
      {:else if run.running}
        <div class="sheet p-4" data-testid="plan-running">
          <p class="font-semibold">Working: {STAGE_LABEL[run.running.stage]}</p>
          <Progress
            label="The plan being worked out"
            class="mt-2 w-full"
            value={run.running.share}
          />
          <p class="min-h-6 text-sm">
            {#if run.running.best !== undefined && run.running.bound !== undefined && Math.abs(run.running.best) < 1e9}
              found {asked.stageValue(run.running.stage, run.running.best)}, none betters {asked.stageValue(
                run.running.stage,
                run.running.bound,
              )}
            {/if}
          </p>
          {#if run.proven}
            <p class="text-sm" data-testid="plan-proven">
              Proven: <strong>{money(run.proven.price, currency)}</strong>, coverage {number(
                run.proven.coverage * 100,
                1,
              )} %, {run.proven.grade}. Of plans as good the lightest is sought.
            </p>
          {:else if run.quick}
            <p class="text-sm" data-testid="plan-quick">
              {#if run.quick.reaches}A first answer: <strong
                  >{money(run.quick.price, currency)}</strong
                >, coverage {number(run.quick.coverage * 100, 1)} %, {run.quick.grade}.{:else}No
                first answer does what was asked yet.{/if}
              {#if run.quick.bound}
                {boundText(run.quick.bound.of, run.quick.bound.bound, currency)}
              {/if}
            </p>
          {/if}
          <button class="btn mt-2" onclick={() => run.stop()}>Stop</button>
        </div>
      {:else if run.failure}
        <p class="noted">
          The planner stopped: {run.failure}. Your kit is as it was.
          <button class="btn mt-2" onclick={() => asked.start()}>Try again</button>
        </p>
      {:else if !plan}
        <div class="sheet p-4">
          <p class="min-h-6">
            {run.quick?.reaches
              ? `Stopped. A first answer costs ${money(run.quick.price, currency)} and covers ${number(run.quick.coverage * 100, 1)} %; it is not proven the best.`
              : "Stopped before there was an answer."}
          </p>
          <button class="btn mt-2" onclick={() => asked.start()}>Work out the plan</button>
        </div>
      {:else if plan.status === "infeasible"}
        <div class="noted" data-testid="plan-infeasible">
          <p class="font-head text-lg font-bold">
            {plan.why.some((o) => o.code === "not-proven")
              ? "No plan was found in time"
              : "No plan can do this"}
          </p>
          <ul class="mt-1 list-disc pl-5">
            {#each plan.why as o, i (i)}<li>{obstacle(o, needName, currency)}</li>{/each}
          </ul>
        </div>
      {:else}
        <div class="sheet p-4" data-testid="plan-result">
          <p class="flex items-center justify-between gap-3">
            <span class="font-head text-2xl font-bold">{money(plan.price, currency)}</span><span
              class="rounded-xs border border-pass px-2 py-1 text-sm font-semibold text-pass"
              >{plan.status === "optimal"
                ? "proven optimal"
                : gapText(plan.gap, plan.gapIn, currency)}</span
            >
          </p>
          {#if plan.status === "optimal" && !plan.tiesProven}<p class="text-sm text-soft">
              That no equally good plan weighs less, or has fewer products, was not proven in time.
            </p>{/if}
          {#each plan.postage as p (p.source)}<p class="text-sm text-soft">
              postage to {p.source || "the source not named"} among it: {money(p.price, currency)}
            </p>{/each}
          {#if plan.owning !== null}<p class="text-sm">
              Over five years, with what runs out: <strong>{money(plan.owning, currency)}</strong>
            </p>{/if}
          <dl class="mt-3 grid grid-cols-[1fr_auto_auto] gap-x-4 gap-y-1 text-sm">
            <dt></dt>
            <dd class="text-soft">now</dd>
            <dd class="text-soft">after</dd>
            <dt>grade</dt>
            <dd>{kit.audit.grade}</dd>
            <dd class="font-semibold">{plan.grade}</dd>
            <dt>coverage</dt>
            <dd>{percent(plan.before)} %</dd>
            <dd class="font-semibold">{percent(plan.coverage)} %</dd>
            <dt>weight</dt>
            <dd>{grams(kit.load.massG)}</dd>
            <dd class="font-semibold">{grams(plan.carriedMassG)}</dd>
            <dt>space</dt>
            <dd>{litres(kit.load.volumeMl)}</dd>
            <dd class="font-semibold">{litres(plan.carriedVolumeMl)}</dd>
            {#if kit.record?.kit.price}<dt>paid in all</dt>
              <dd>{money(kit.record.kit.price.amount, currency)}</dd>
              <dd class="font-semibold">
                {money(kit.record.kit.price.amount + plan.price, currency)}
              </dd>{/if}
          </dl>
          {#if asked.carryAfter}<p class="noted mt-2 text-sm" data-testid="carry-after">
              {asked.carryAfter}
            </p>{/if}
          {#if plan.unmet.length > 0}<details class="mt-2 text-sm" data-testid="unmet">
              <summary class="flex min-h-9 cursor-pointer items-center"
                >Still short after it: {plan.unmet.length}
                {plan.unmet.length === 1 ? "need" : "needs"}</summary
              >
              <ul class="list-disc pl-5">
                {#each plan.unmet as u (u.need)}<li>
                    {needName(u.need)}: {percent(u.met)} % met
                  </li>{/each}
              </ul>
            </details>{/if}
          <p class="mt-2 text-sm text-soft">
            Takes what is unchecked as passing; the checks it leans on are listed last.
          </p>
        </div>
      {/if}
    </div>
    <Later><Constraints /></Later>
    <Later>
      <Market {plan} {currency} />
      <div class="mt-4 flex flex-wrap gap-2">
        <a class="btn" href="/kit/{page.params['id']}/calendar">Calendar and five-year cost</a>
        <a class="btn" href="/kit/{page.params['id']}/report">Report</a>
      </div>
    </Later>
  </section>

  <section class="min-w-0 bg-sheet">
    {#if otherCurrency === null}
      <Later>
        <div class="no-print">
          <Frontier
            {request}
            ready={plan !== null}
            {currency}
            chosen={(axis) => asked.chosenOn(axis)}
            {titleOf}
            onpick={(axis, limit) => asked.pick(axis, limit)}
          />
        </div>
      </Later>
    {/if}
    <Later>
      {#if solved}
        <ActionList
          actions={solved.actions}
          {run}
          {currency}
          {needName}
          {lineLabel}
          onexclude={(id, title) => asked.exclude(id, title)}
          onkeep={(id) => asked.keep(id)}
        />
        {#if solved.places}
          <PlacesView
            places={solved.places}
            compartments={kit.container.compartments ?? []}
            nameOf={(id) => placedName(id)}
          />
        {/if}
        <Later>
          <Shopping
            actions={solved.actions}
            book={kit.book}
            {currency}
            kitName={kit.record?.kit.name ?? "kit"}
            {lineLabel}
          />
        </Later>
      {:else}
        <p class="min-h-40 p-6 text-soft">
          What to add, replace, move and drop stands here when it is worked out.
        </p>
      {/if}
    </Later>
    <Later>
      {#if otherCurrency === null}
        <div class="no-print"><OtherWays {request} ready={plan !== null} {currency} /></div>
      {/if}
      <NextStep from="plan" />
    </Later>
  </section>
</div>
