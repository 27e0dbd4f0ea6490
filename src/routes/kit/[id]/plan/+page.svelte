<script lang="ts">
  import { page } from "$app/state";
  import { onDestroy } from "svelte";
  import Papa from "papaparse";
  import { functionOf } from "$lib/core/catalogue/catalogue.ts";
  import type { Action } from "$lib/core/plan/actions.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/files.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { cautionsFor } from "$lib/words/cautions.ts";
  import { MESH_LABEL } from "$lib/words/labels.ts";
  import {
    ACTION_LABEL,
    DROP_BECAUSE,
    grams,
    litres,
    money,
    number,
    obstacle,
    percent,
    PHASE_LABEL,
  } from "$lib/words/sentences.ts";
  import { PlanRun } from "$lib/workers/planRun.svelte.ts";

  const kit = useKit();
  const run = new PlanRun();
  /** The same need met from an empty bag. */
  const own = new PlanRun();
  onDestroy(() => {
    run.dispose();
    own.dispose();
  });
  const question = $derived(kit.record?.plan.question ?? "cheapest");
  const limits = $derived({
    budget: kit.record?.plan.budget ?? kit.brief.limits.budget ?? null,
    massG: kit.brief.limits.massG ?? null,
    volumeMl: kit.brief.limits.volumeMl ?? null,
  });
  const currency = $derived(kit.currency);
  const otherCurrency = $derived(kit.noRate ? kit.wantedCurrency : null);
  const start = () =>
    run.ask(
      {
        audit: kit.file,
        book: kit.book,
        question,
        target: "ready",
        limits,
        keep: [],
        today: workspace.today,
      },
      250,
    );
  // A worker run: started anew whenever what it rests on changes.
  $effect(() => {
    if (otherCurrency === null) start();
  });
  const NO_LIMITS = { budget: null, massG: null, volumeMl: null };
  // After the plan, so that the answer that was asked for comes first.
  $effect(() => {
    if (!run.result || otherCurrency !== null) return;
    const empty = { ...kit.file, kit: { ...kit.file.kit, lines: [] } };
    own.ask(
      {
        audit: empty,
        book: kit.book,
        question: "cheapest",
        target: "ready",
        limits: NO_LIMITS,
        keep: [],
        today: workspace.today,
      },
      100,
    );
  });
  const allowance = $derived(kit.record?.kit.container?.allowance ?? 0);
  const plan = $derived(run.result);
  const solved = $derived(plan && plan.status !== "infeasible" ? plan : null);
  const phases = ["before-carried", "next-order", "at-rotation", "to-check"] as const;
  const needName = (id: string) =>
    functionOf(kit.audit.bench.needs.find((n) => n.need.id === id)?.need.function ?? "")?.label ??
    id;
  const lineLabel = (id: string) => {
    const b = kit.audit.bench.lines.find((l) => l.line.id === id);
    return b ? lineName(b.line, b.type?.label) : id;
  };
  type Buy = Extract<Action, { kind: "add" | "top-up" | "replace" }>;
  const buys = $derived(solved ? solved.actions.filter((x): x is Buy => "product" in x) : []);
  const sources = $derived(
    [...new Set(buys.map((b) => b.product.source ?? "no source given"))].sort(),
  );
  let open = $state<string | null>(null);
  const keyOf = (x: Action) => ("product" in x ? x.product.id : `${x.kind}-${x.line}`);

  const shoppingCsv = () =>
    Papa.unparse(
      buys.map((b) => ({
        source: b.product.source ?? "",
        product: b.product.title,
        packs: b.packs,
        pieces: b.pieces,
        spare: b.spare,
        price: b.price.toFixed(2),
        currency,
        leadDays: b.product.leadDays ?? "",
      })),
      { escapeFormulae: true, newline: "\r\n" },
    ) + "\r\n";
  const stageWords: Record<string, string> = {
    waiting: "waiting for the bench",
    first: "laying out the price book",
    price: "seeking the least price",
    vital: "seeking the most vital coverage",
    coverage: "seeking the most coverage",
    mass: "seeking the least weight",
    reasons: "writing the reasons",
  };
</script>

<div class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[27rem_minmax(0,1fr)]">
  <section class="border-line p-4 sm:p-5 lg:border-r">
    <h1 class="text-3xl">Plan</h1>
    <div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="The question">
      <button
        class="btn px-3 {question === 'cheapest' ? 'btn-on' : ''}"
        aria-pressed={question === "cheapest"}
        onclick={() =>
          kit.update("cheapest that is Ready", (r) => ({
            ...r,
            plan: { ...r.plan, question: "cheapest" },
          }))}>Cheapest that is Ready</button
      >
      <button
        class="btn px-3 {question === 'best' ? 'btn-on' : ''}"
        aria-pressed={question === "best"}
        onclick={() =>
          kit.update("best for what I have", (r) => ({
            ...r,
            plan: { ...r.plan, question: "best" },
          }))}>Best for what I have</button
      >
    </div>
    <div class="sheet mt-4 p-4">
      <h2 class="text-xl">Limits</h2>
      <label class="mt-2 flex items-center justify-between gap-3"
        >Budget
        <NumberField
          label="Budget"
          value={limits.budget ?? undefined}
          optional
          max={1_000_000}
          width="w-28"
          unit={currency}
          onvalue={(n) =>
            kit.update(
              "budget of the plan",
              (r) => ({ ...r, plan: { ...r.plan, budget: n ?? null } }),
              "budget",
            )}
        /></label
      >
      <label class="mt-2 flex items-center justify-between gap-3"
        >Weight at most
        <NumberField
          label="Weight at most"
          value={limits.massG ?? undefined}
          optional
          max={1_000_000}
          width="w-28"
          unit="g"
          onvalue={(n) =>
            kit.updateBrief("weight limit", { limits: { ...kit.brief.limits, massG: n } }, "mass")}
        /></label
      >
      <label class="mt-2 flex items-center justify-between gap-3"
        >Space at most
        <NumberField
          label="Space at most"
          value={limits.volumeMl ?? undefined}
          optional
          max={10_000_000}
          width="w-28"
          unit="ml"
          onvalue={(n) =>
            kit.updateBrief(
              "space limit",
              { limits: { ...kit.brief.limits, volumeMl: n } },
              "volume",
            )}
        /></label
      >
      <p class="mt-2 text-sm text-soft">
        <a class="underline" href="/kit/{page.params['id']}/calendar">Calendar and five-year cost</a
        >. Prices from “{workspace.priceBook.title}”, {workspace.priceBook.products.length} products.
        Drop a CSV anywhere to use your own.
      </p>
    </div>

    <div class="mt-4 min-h-40" aria-live="polite">
      {#if otherCurrency}
        <p class="noted">
          This audit is in {otherCurrency}, the price book is in {currency}. One audit has one
          currency: say in the <a class="underline" href="/settings">settings</a> what one {otherCurrency}
          is worth, or load prices in {otherCurrency}.
        </p>
      {:else if run.running}
        <div class="sheet p-4" data-testid="plan-running">
          <p class="font-semibold">Working: {stageWords[run.running.stage] ?? run.running.stage}</p>
          <progress class="mt-2 w-full" max="1" value={run.running.share}></progress>
          <button class="btn mt-2" onclick={() => run.stop()}>Stop</button>
        </div>
      {:else if run.failure}
        <p class="noted">
          The planner stopped: {run.failure}. Your kit is as it was.
          <button class="btn mt-2" onclick={start}>Try again</button>
        </p>
      {:else if !plan}
        <button class="btn" onclick={start}>Work out the plan</button>
      {:else if plan.status === "infeasible"}
        <div class="noted" data-testid="plan-infeasible">
          <p class="font-head text-lg font-bold">No plan can do this</p>
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
                : `within ${number(plan.gap, 2)} of the best`}</span
            >
          </p>
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
          <p class="mt-2 text-sm text-soft">
            Takes what is unchecked as passing; the checks it leans on are listed last.
          </p>
        </div>
      {/if}
    </div>
    <div class="sheet mt-4 min-h-20 p-4" data-testid="build-your-own">
      <h2 class="text-lg">Built from nothing</h2>
      {#if own.running}
        <p class="text-sm text-soft">being worked out …</p>
      {:else if own.result?.status === "infeasible"}
        <p class="text-sm">There is no such plan.</p>
      {:else if own.result}
        <p>
          <strong class="font-head text-xl">{money(own.result.price + allowance, currency)}</strong>
          <span class="text-sm text-soft"
            >{money(own.result.price, currency)} of things + a bag at {money(allowance, currency)} · {grams(
              own.result.boughtMassG,
            )}</span
          >
        </p>
      {:else}
        <p class="text-sm text-soft">–</p>
      {/if}
    </div>
    <div class="mt-4 flex flex-wrap gap-2">
      <a class="btn" href="/kit/{page.params['id']}/report">Report</a>
      <button
        class="btn"
        disabled={buys.length === 0}
        onclick={() =>
          download(
            fileName(kit.record?.kit.name ?? "kit", "-shopping.csv"),
            shoppingCsv(),
            "text/csv",
          )}>Shopping list CSV</button
      >
    </div>
  </section>

  <section class="min-w-0 bg-sheet">
    {#if solved}
      {#if solved.actions.length === 0}<p class="p-6 text-lg">
          Nothing to do: it is {solved.grade} as it is.
        </p>{/if}
      {#each phases as phase (phase)}
        {@const here = solved.actions.filter((x) => x.phase === phase)}
        {#if here.length > 0}
          <h2 class="flex items-baseline gap-3 border-b border-line px-5 pt-4 pb-2 text-xl">
            {PHASE_LABEL[phase]}<span class="font-text text-sm font-normal text-soft"
              >{here.length} {here.length === 1 ? "action" : "actions"}</span
            >
          </h2>
          <ul>
            {#each here as x (keyOf(x))}
              {@const key = keyOf(x)}
              <li class="border-b border-line">
                <button
                  class="grid w-full grid-cols-[1.5rem_4.8rem_1fr_auto] items-center gap-x-3 px-5 py-2.5 text-left hover:bg-passbg sm:grid-cols-[1.5rem_5.5rem_1fr_4rem_5.5rem_4.5rem]"
                  aria-expanded={open === key}
                  onclick={() => (open = open === key ? null : key)}
                >
                  <WeaveChip
                    mesh={"serves" in x
                      ? (x.serves[0]?.mesh ?? "enough")
                      : x.kind === "move"
                        ? "handy"
                        : x.kind === "check"
                          ? "unchecked"
                          : x.kind === "drop" && x.because === "past-date"
                            ? "fresh"
                            : x.kind === "drop" && x.because === "in-name-only"
                              ? "real"
                              : "sound"}
                  />
                  <span class="font-bold"
                    >{x.kind === "move" && x.label ? "Label" : ACTION_LABEL[x.kind]}</span
                  >
                  <span class="min-w-0"
                    ><strong class="font-semibold break-words"
                      >{"product" in x
                        ? `${x.product.title}${x.packs > 1 ? ` × ${x.packs}` : ""}`
                        : lineLabel(x.line)}</strong
                    ><br /><span class="text-sm text-soft"
                      >{#if "serves" in x}{x.serves
                          .map((s) => needName(s.need))
                          .join(", ")}{x.spare > 0
                          ? `; ${number(x.spare)} left over`
                          : ""}{:else if x.kind === "move"}within reach{x.label
                          ? ", and marked"
                          : ""}{:else if x.kind === "drop"}{DROP_BECAUSE[
                          x.because
                        ]}{:else}unchecked: {x.facts.join(", ")}{/if}</span
                    ></span
                  >
                  <span class="text-right font-semibold text-pass"
                    >{"gain" in x ? `+${number(x.gain, 1)}` : "—"}</span
                  >
                  <span class="hidden text-right sm:block"
                    >{"price" in x ? x.price.toFixed(2) : x.kind === "check" ? "" : "free"}</span
                  >
                  <span class="hidden text-right text-sm text-soft sm:block"
                    >{"product" in x
                      ? `+${grams(x.massG)}`
                      : x.kind === "drop"
                        ? `−${grams(x.massG)}`
                        : ""}</span
                  >
                </button>
                {#if open === key && "product" in x}
                  <div class="bg-ground px-5 py-3 text-sm">
                    <p>
                      Bought for {#each x.serves as s, i (s.need)}{i > 0 ? "; " : ""}<strong
                          >{needName(s.need)}</strong
                        >
                        ({s.mesh === "pan"
                          ? "was met in part"
                          : `held at ${MESH_LABEL[s.mesh]}`}){/each}.
                    </p>
                    <p>
                      Left out, the plan would lose {number(x.gain, 2)} points of coverage{x.gainPerPrice !==
                      null
                        ? `: ${number(x.gainPerPrice, 2)} points per ${currency}`
                        : ""}.
                    </p>
                    <p>
                      {x.runnerUp
                        ? `The next choice for it: ${x.runnerUp.packs} × ${x.runnerUp.product.title}, ${money(x.runnerUp.price, currency)}.`
                        : "Nothing else in the price book does this in full."}
                    </p>
                    <p>
                      {x.packs}
                      {x.packs === 1 ? "pack" : "packs"} of {x.product.pack} at {money(
                        x.product.price.amount,
                        currency,
                      )}, from {x.product.source ?? "no source given"}{x.product.leadDays !==
                      undefined
                        ? `, ${x.product.leadDays} days`
                        : ""}.
                    </p>
                    {#if x.instead.length > 0}<p>
                        In place of: {x.instead.map(lineLabel).join(", ")}.
                      </p>{/if}
                    {#each cautionsFor(x.product.itemType, kit.brief) as c (c.id)}
                      <p class="noted mt-2">{c.text}</p>
                    {/each}
                  </div>
                {/if}
              </li>
            {/each}
          </ul>
        {/if}
      {/each}
      {#if buys.length > 0}
        <h2 class="border-b border-line px-5 pt-6 pb-2 text-xl">Shopping list</h2>
        {#each sources as source (source)}
          {@const own = buys.filter((b) => (b.product.source ?? "no source given") === source)}
          <h3 class="flex justify-between px-5 pt-3 text-lg">
            <span>{source}</span><span
              >{money(
                own.reduce((s, b) => s + b.price, 0),
                currency,
              )}</span
            >
          </h3>
          <ul class="px-5 pb-3">
            {#each own as b (b.product.id)}
              <li class="flex justify-between gap-4 border-b border-line py-1 text-sm">
                <span
                  >{b.packs} × {b.product.title}{b.spare > 0
                    ? ` (${number(b.spare)} of ${b.pieces} left over)`
                    : ""}</span
                ><span>{money(b.price, currency)}</span>
              </li>
            {/each}
          </ul>
        {/each}
      {/if}
    {:else}
      <p class="p-6 text-soft">
        What to add, replace, move and drop stands here when it is worked out.
      </p>
    {/if}
  </section>
</div>
