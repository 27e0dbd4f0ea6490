<script lang="ts">
  import Toggle from "$lib/ui/Toggle.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import Later from "$lib/ui/Later.svelte";
  import NextStep from "$lib/ui/NextStep.svelte";
  import { carryCheck } from "$lib/core/bag/carryCheck.ts";
  import { carryText } from "$lib/words/carryTexts.ts";
  import { page } from "$app/state";
  import { vitalMet } from "$lib/core/audit/audit.ts";
  import { SHARE_TOLERANCE } from "$lib/core/base/tolerance.ts";
  import type { Category } from "$lib/core/model/functionRecord.ts";
  import { optionsOf, RULE_IDS } from "$lib/core/model/houseRules.ts";
  import { TIERS } from "$lib/core/model/list.ts";
  import { MESHES } from "$lib/core/model/mesh.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { SieveState } from "$lib/state/pages/sieve.svelte.ts";
  import { useReady } from "$lib/state/ready.svelte.ts";
  import CategoryBars from "$lib/ui/CategoryBars.svelte";
  import Chart from "$lib/ui/Chart.svelte";
  import { savePng, saveSvg } from "$lib/ui/exportPicture.ts";
  import { fileName } from "$lib/ui/download.ts";
  import NeedReason from "$lib/ui/NeedReason.svelte";
  import SievePicture from "$lib/ui/SievePicture.svelte";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { ruleLabel, schoolLabel } from "$lib/words/houseRules.ts";
  import {
    CATEGORY_LABEL,
    MESH_ASKS,
    MESH_LABEL,
    TIER_LABEL,
    UNCHECKED_LABEL,
  } from "$lib/words/labels.ts";
  import { money, number, percent, percentRange } from "$lib/words/sentences.ts";
  import { decidedBy } from "$lib/words/reasons.ts";

  const kit = useKit();
  const ready = useReady();
  const sieve = new SieveState(kit);
  const a = $derived(sieve.audit);
  const v = $derived(a.value);
  const shown = $derived(sieve.shown);
  const narrowCategory = $derived(sieve.narrowCategory);
  const made = $derived(
    sieve.made.map((m) => ({ ...m, label: m.type?.label ?? "not in the catalogue" })),
  );
  const sumOf = (key: "weight" | "met") => sieve.byTier.reduce((s, t) => s + t[key], 0);
  const price = $derived(kit.record?.kit.price);
  const allowance = $derived(kit.container.allowance ?? 0);
  const pictureName = $derived(fileName(`${kit.record?.kit.name} sieve`, ""));
  let picture = $state<SVGSVGElement>();
  const publish = (run: (name: string, svg: SVGSVGElement, bw: boolean) => unknown, bw: boolean) =>
    picture && run(`${pictureName}${bw ? "-bw" : ""}`, picture, bw);
</script>

{#if a.needs.length === 0}
  <div class="mx-auto max-w-xl p-8">
    <h1 class="text-3xl">Nothing to sift</h1>
    <p class="mt-2">
      The list asks for nothing under this brief. Choose a list, or change the brief.
    </p>
    <a class="btn btn-main mt-5" href="/kit/{page.params['id']}/brief">Brief</a>
  </div>
{:else}
  <div
    class="grid grid-cols-[minmax(0,1fr)] gap-5 p-4 sm:p-5 lg:grid-cols-[minmax(0,1fr)_21rem] xl:grid-cols-[minmax(0,1fr)_24rem]"
  >
    <section class="min-w-0">
      <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
        <h1 class="text-3xl">{a.grade}</h1>
        <p class="text-lg font-semibold">coverage {percentRange(a.interval)}</p>
        {#if a.gradeInterval && a.gradeInterval[0] !== a.gradeInterval[1]}<p class="text-soft">
            between {a.gradeInterval[0]} and {a.gradeInterval[1]} until all is checked
          </p>{/if}
        <p class="basis-full">{decidedBy(a)}</p>
        <p class="basis-full text-sm text-soft">{carryText(carryCheck(kit.file, kit.load))}</p>
        <details class="basis-full text-sm">
          <summary class="min-h-8 cursor-pointer">How these figures come about</summary>
          <Later>
            <table class="mt-1" data-testid="sum">
              <tbody>
                {#each sieve.byTier as t (t.tier)}
                  <tr
                    ><th class="pr-4 text-left font-semibold">{TIER_LABEL[t.tier]}</th><td
                      class="pr-4">{t.count} needs, weight {number(t.weight)}</td
                    ><td class="text-right">met {number(t.met, 2)}</td></tr
                  >
                {/each}
                <tr class="border-t border-ink"
                  ><th class="pr-4 text-left">coverage</th><td class="pr-4"
                    >{number(sumOf("met"), 2)} of {number(sumOf("weight"), 2)}</td
                  ><td class="text-right font-semibold">{number((a.coverage ?? 0) * 100, 2)} %</td
                  ></tr
                >
              </tbody>
            </table>
            <p class="mt-1">
              Each need counts by its tier (vital 5, core 3, useful 1; the emphasis doubles some),
              times the share of it that can be relied on. The lower figure, {number(
                (a.interval?.[0] ?? 0) * 100,
                2,
              )} %, is the same with everything unchecked failing. Ready asks {number(
                a.context.rules.thresholds.ready * 100,
                1,
              )} % and every vital need in full, Nearly {number(
                a.context.rules.thresholds.nearly * 100,
                1,
              )} %, Partial {number(a.context.rules.thresholds.partial * 100, 1)} %:
              <a class="underline" href="/kit/{page.params['id']}/brief">change the house rules</a>.
            </p>
          </Later>
        </details>
      </div>
      {#if sieve.trials.length > 0}
        <div class="noted mb-3" data-testid="trial" role="status">
          <p>
            <strong>What if</strong>
            {sieve.trials.map((t) => t.label).join("; ")}: coverage {percentRange(
              kit.audit.interval,
            )} →
            <strong>{percentRange(a.interval)}</strong>, {kit.audit.grade} →
            <strong>{a.grade}</strong>, vital needs met {vitalMet(kit.audit)} →
            <strong>{vitalMet(a)}</strong>.
          </p>
          <span class="mt-2 flex flex-wrap gap-2">
            <button class="btn btn-main" onclick={() => sieve.keepTrials()}>Keep it</button>
            <button class="btn" onclick={() => (sieve.trials = sieve.trials.slice(0, -1))}
              >Take the last back</button
            >
            <button class="btn" onclick={() => (sieve.trials = [])}>Discard</button>
          </span>
        </div>
      {/if}
      <Later>
        <div
          class="mb-2 flex flex-wrap items-center gap-2 text-sm"
          role="group"
          aria-label="What is shown"
        >
          <Choice
            class="min-h-9 py-1 text-sm max-md:hidden"
            label="Category shown"
            value={sieve.category}
            options={[
              { value: "all", label: "all categories" },
              ...a.categories.map((c) => ({
                value: c.id,
                label: `${CATEGORY_LABEL[c.id]}, ${percent(c.coverage)} %`,
              })),
            ]}
            onchoose={(v) => (sieve.category = v as typeof sieve.category)}
          />
          {#each TIERS as t (t)}
            <Toggle
              class="min-h-9 px-2.5 py-0.5 font-normal"
              on={sieve.tiers[t]}
              ontoggle={(on) => (sieve.tiers = { ...sieve.tiers, [t]: on })}>{TIER_LABEL[t]}</Toggle
            >
          {/each}
          <Choice
            class="min-h-9 py-1 text-sm"
            label="Held where"
            value={sieve.mesh}
            options={[
              { value: "all", label: "wherever they rest" },
              ...[...MESHES, "pan" as const].map((m) => ({
                value: m,
                label: `${MESH_LABEL[m]}, ${a.needs.filter((n) => n.restsOn === m).length}`,
              })),
            ]}
            onchoose={(v) => (sieve.mesh = v as typeof sieve.mesh)}
          />
          <Choice
            class="min-h-9 py-1 text-sm"
            label="What if another school"
            value=""
            hint="what if another school …"
            options={RULE_IDS.flatMap((rule) =>
              optionsOf(rule)
                .filter((o) => o !== a.context.rules[rule])
                .map((option) => ({
                  value: `${rule} ${option}`,
                  label: schoolLabel(rule, option),
                  group: ruleLabel(rule),
                })),
            )}
            onchoose={(v) => {
              const [rule, option] = v.split(" ");
              const known = RULE_IDS.find((r) => r === rule);
              if (known && option)
                sieve.try(
                  { kind: "school", rule: known, option },
                  `${ruleLabel(known)}: ${schoolLabel(known, option)}`,
                );
            }}
          />
        </div>
      </Later>
      <Later>
        <div class="hidden md:block print:block">
          <SievePicture
            {a}
            view={sieve.view}
            picked={shown}
            onpick={(i) => (sieve.picked = i)}
            bind:element={picture}
          />
        </div>
      </Later>
      <Later>
        <div class="md:hidden print:hidden">
          <label class="flex flex-col gap-1 text-sm"
            >one category at a time
            <Choice
              label="one category at a time"
              value={narrowCategory ?? ""}
              options={a.categories.map((c) => ({
                value: c.id,
                label: `${CATEGORY_LABEL[c.id]}, ${percent(c.coverage)} %`,
              }))}
              onchoose={(v) => (sieve.narrow = v as Category)}
            /></label
          >
          {#if narrowCategory}<SievePicture
              {a}
              width={380}
              view={{ categories: [narrowCategory], keep: sieve.view.keep }}
              picked={shown}
              onpick={(i) => (sieve.picked = i)}
            />{/if}
        </div>
      </Later>
      <Later>
        <ol class="md:hidden">
          {#each [...MESHES, "pan" as const] as mesh (mesh)}
            {@const here = a.needs.map((n, i) => ({ n, i })).filter((x) => x.n.restsOn === mesh)}
            {#if here.length > 0}
              <li class="mt-3">
                <h2 class="flex items-center gap-2 text-lg">
                  <WeaveChip {mesh} size={22} />{MESH_LABEL[mesh]}
                  <span class="font-text text-sm font-normal text-soft">{MESH_ASKS[mesh]}</span>
                </h2>
                <ul class="mt-1 flex flex-wrap gap-2">
                  {#each here as x (x.i)}
                    <li>
                      <button
                        class="btn min-h-11 px-3 py-1 text-left font-normal {shown === x.i
                          ? 'btn-on'
                          : ''}"
                        aria-pressed={shown === x.i}
                        onclick={() => (sieve.picked = x.i)}
                        >{CATALOGUE.functions.get(a.context.needs[x.i]!.need.function)?.label}{a
                          .context.needs[x.i]!.tier === "vital"
                          ? " ◎"
                          : ""} · {Math.round(x.n.met * 100)} %</button
                      >
                    </li>
                  {/each}
                </ul>
              </li>
            {/if}
          {/each}
        </ol>
        <p class="mt-2 hidden text-sm text-soft md:block">
          Grain with a double ring: vital; large: core; small: useful. Its fill is how much of the
          need is met.
          <span class="ml-2 inline-flex flex-wrap gap-3">
            <button class="underline" onclick={() => publish(saveSvg, false)}>SVG</button>
            <button class="underline" onclick={() => publish(saveSvg, true)}
              >SVG, black and white</button
            >
            <button class="underline" onclick={() => publish(savePng, false)}>PNG</button>
            <button class="underline" onclick={() => publish(savePng, true)}
              >PNG, black and white</button
            >
          </span>
        </p>
      </Later>
    </section>

    <aside class="sheet self-start p-5" aria-live="polite">
      <Later>
        {#if shown !== null}<NeedReason
            {a}
            index={shown}
            base="/kit/{page.params['id']}"
            ontry={(trial, label) => sieve.try(trial, label)}
          />{/if}<a class="btn btn-main mt-4" href="/kit/{page.params['id']}/plan">To the plan</a
        ></Later
      >
    </aside>

    <Later
      ><section class="sheet p-5 lg:col-span-2">
        <h2 class="text-2xl">By category</h2>
        <p class="text-sm text-soft">What costs most coverage first; a name opens its grains.</p>
        <div class="mt-1 mb-4 flex flex-wrap gap-x-5 gap-y-1 text-sm">
          <span class="flex items-center gap-2"
            ><svg width="18" height="18" aria-hidden="true"
              ><rect width="18" height="18" fill="var(--pass)" /></svg
            >relied on</span
          >
          {#each MESHES as m (m)}<span class="flex items-center gap-2"
              ><WeaveChip mesh={m} size={18} />{MESH_LABEL[m]}</span
            >{/each}
          <span class="flex items-center gap-2"
            ><svg width="6" height="18" aria-hidden="true"
              ><rect width="3" height="18" fill="var(--note)" /></svg
            >if all that is unchecked fails</span
          >
        </div>
        <CategoryBars
          {a}
          onpick={(id) => {
            sieve.category = id;
            sieve.narrow = id;
            document.getElementById("stage")?.scrollTo({ top: 0 });
          }}
        />
      </section></Later
    >

    <div class="grid grid-cols-[minmax(0,1fr)] gap-5 lg:col-span-2 lg:grid-cols-3">
      <Later
        ><section class="sheet p-5">
          <h2 class="text-xl">Quality</h2>
          <p class="mt-1">
            {#if a.quality === null}Nothing has been inspected yet.{:else}<strong
                class="font-head text-2xl">{number(a.quality, 0)}</strong
              >
              of 100 over {kit.lines.length - kit.open.toInspect} of {kit.lines.length} lines inspected.{/if}
          </p>
          {#if sieve.inspected > 0}
            <Chart
              height={170}
              label="Lines by quality: {sieve.bins
                .map((n, i) =>
                  n > 0 ? `${n} from ${i * 10} to ${i === 9 ? 100 : i * 10 + 9}` : '',
                )
                .filter(Boolean)
                .join(', ')}"
              options={{
                chart: { type: "bar" },
                series: [{ name: "lines", data: sieve.bins }],
                xaxis: {
                  categories: sieve.bins.map((_, i) => `${i * 10}`),
                },
                yaxis: { forceNiceScale: true, decimalsInFloat: 0 },
                colors: ["var(--pass)"],
                plotOptions: { bar: { columnWidth: "85%" } },
              }}
            />
          {/if}
          <ul class="mt-2 grid gap-2">
            {#each sieve.worst as x (x.line.id)}
              <li class="text-sm">
                <strong>{x.quality}</strong>
                {lineName(
                  x.line,
                  x.line.itemType ? kit.typeOf(x.line.itemType)?.label : undefined,
                )}<br /><span class="text-soft"
                  >not: {(x.line.failedPoints ?? [])
                    .map((p) => CATALOGUE.points.get(p)?.good.toLowerCase())
                    .join(", ") || x.line.condition}</span
                >
              </li>
            {/each}
          </ul>
        </section></Later
      >
      <Later
        ><section class="sheet p-5">
          <h2 class="text-xl">Value</h2>
          <p class="mt-1">
            <strong class="font-head text-2xl">{v.serving} of the {v.counted}</strong> pieces do a job
            on the list.
          </p>
          <Chart
            height={40 + made.length * 24}
            label="Pieces by kind, and how many of them serve: {made
              .map((m) => `${m.label} ${m.serving} of ${m.pieces}`)
              .join('; ')}"
            options={{
              chart: { type: "bar", stacked: true },
              series: [
                { name: "serve the list", data: made.map((m) => m.serving) },
                { name: "do not", data: made.map((m) => Math.max(0, m.pieces - m.serving)) },
              ],
              xaxis: { categories: made.map((m) => m.label) },
              yaxis: { labels: { maxWidth: 150 } },
              colors: ["var(--pass)", "var(--line)"],
              plotOptions: { bar: { horizontal: true, barHeight: "75%" } },
              legend: { position: "top", horizontalAlign: "left" },
            }}
          />
          <dl class="mt-2 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 text-sm">
            <dt>claimed</dt>
            <dd>{v.claimed}</dd>
            <dt>padding</dt>
            <dd>{v.padding === null ? "–" : `${number(v.padding * 100, 0)} %`}</dd>
            {#if v.largestType}<dt>
                largest part: {kit.typeOf(v.largestType.itemType ?? "")?.label ??
                  "not in the catalogue"}
              </dt>
              <dd>{number(v.largestType.share * 100, 0)} %</dd>{/if}
            {#if price}<dt>price paid</dt>
              <dd>{money(price.amount, price.currency)}</dd>{/if}
            {#if price && v.pricePerPoint !== null}<dt>a covered point costs</dt>
              <dd>{money(v.pricePerPoint, price.currency)}</dd>{/if}
            <dt>
              those pieces bought anew{sieve.replacement.unpriced.length > 0
                ? ` (${sieve.replacement.unpriced.length} not in the price book)`
                : ""}
            </dt>
            <dd>{money(sieve.replacement.price, kit.currency)}</dd>
            {#if allowance > 0}<dt>the bag itself, your figure</dt>
              <dd>{money(allowance, kit.currency)}</dd>{/if}
            {#if ready.run.result && ready.run.result.status !== "infeasible"}<dt>
                to make it ready
              </dt>
              <dd>{money(ready.run.result.price, kit.currency)}</dd>{/if}
          </dl>
        </section></Later
      >
      <Later
        ><section class="sheet p-5">
          <h2 class="text-xl">Most worth checking</h2>
          {#if sieve.next.length === 0}<p class="mt-1">Everything has been looked at.</p>{/if}
          <ol class="mt-2 grid gap-2">
            {#each sieve.next as w (w.line)}
              {@const l = a.context.lines[w.index]!}
              <li class="text-sm">
                <strong>{lineName(l.line, l.type?.label)}</strong><br /><span class="text-soft"
                  >{w.facts.map((f) => UNCHECKED_LABEL[f]).join(", ")}{w.gain > SHARE_TOLERANCE
                    ? ` · +${number(w.gain * 100, 1)} points if it passes`
                    : ""}</span
                >
              </li>
            {/each}
          </ol>
        </section></Later
      >
    </div>
    <Later><NextStep from="sieve" /></Later>
  </div>
{/if}
