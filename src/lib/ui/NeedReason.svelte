<script lang="ts">
  import { isWhole } from "../core/base/tolerance.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import type { Audit } from "../core/audit/audit.ts";
  import { lineCondition } from "../core/inspect/quality.ts";
  import { MESHES } from "../core/model/mesh.ts";
  import type { SiftedPair } from "../core/sieve/sift.ts";
  import type { Trial } from "../core/whatIf/trial.ts";
  import { ITEM_TYPES } from "../data/itemTypes.ts";
  import { CHANGE_LABEL, factorReasons } from "../words/factors.ts";
  import { cautionsFor, cautionsForFunction } from "../words/cautions.ts";
  import { CATEGORY_LABEL, MESH_LABEL } from "../words/labels.ts";
  import { askedText, specText } from "../words/needs.ts";
  import { number, quantity } from "../words/sentences.ts";
  import { whyItRests } from "../words/reasons.ts";
  import WeaveChip from "./WeaveChip.svelte";

  interface Props {
    a: Audit;
    index: number;
    /** The kit's address, for links to where a reason is changed. */
    base?: string;
    /** Tries a change before it is kept. */
    ontry?: (trial: Trial, label: string) => void;
  }
  const { a, index, base, ontry }: Props = $props();
  const asked = $derived(a.context.needs[index]!);
  const need = $derived(a.needs[index]!);
  const fn = $derived(CATALOGUE.functions.get(asked.need.function)!);
  const nameOf = (p: SiftedPair) => {
    const l = a.context.lines[p.pair.line]!;
    return l.line.text ?? l.type?.label ?? l.line.id;
  };
  /** What one may try on a line: only what is not so already. */
  const triesFor = (p: SiftedPair): { label: string; trial: Trial }[] => {
    const { line, elsewhere, type } = a.context.lines[p.pair.line]!;
    if (elsewhere) return [];
    const id = line.id;
    return [
      ...(lineCondition(line, CATALOGUE) === "sound"
        ? []
        : [{ label: "it is sound", trial: { kind: "sound" as const, line: id } }]),
      { label: "two more", trial: { kind: "more" as const, line: id, pieces: 2 } },
      ...(p.fresh < 1 || (type?.dated && line.expires === undefined)
        ? [{ label: "it is in date", trial: { kind: "fresh" as const, line: id } }]
        : []),
      ...(p.handy < 1
        ? [{ label: "it lies outside", trial: { kind: "within-reach" as const, line: id } }]
        : []),
    ];
  };
  /** The catalogue's best for the job, to try what having it would change. */
  const best = $derived(
    ITEM_TYPES.filter((t) => !t.licensed)
      .map((t) => ({ t, credit: t.functions.find((f) => f.function === fn.id)?.credit ?? 0 }))
      .sort((x, y) => y.credit - x.credit)[0],
  );
  const HREF = {
    list: "brief",
    "house-rules": "brief",
    brief: "brief",
    bench: "bench",
  } as const;
  const factors = ["credit", "spec", "dose", "sound", "fresh", "handy", "usable"] as const;
  const spec = $derived(specText(asked.need));
  const cautions = $derived([
    ...new Map(
      [
        ...cautionsForFunction(asked.need.function),
        ...need.pairs.flatMap((p) =>
          cautionsFor(a.context.lines[p.pair.line]!.type?.id ?? null, a.context.brief),
        ),
      ].map((c) => [c.id, c]),
    ).values(),
  ]);
</script>

<p class="text-sm text-soft">
  {CATEGORY_LABEL[asked.category]} · {asked.tier} · asked for: {quantity(asked.required, fn.unit)}
</p>
<h2 class="text-2xl">{fn.label}</h2>
<p class="mt-2 flex items-center gap-2 font-head text-lg font-bold">
  <WeaveChip mesh={need.restsOn} size={24} />
  {need.restsOn === "pan" ? "Relied on" : `Held at ${MESH_LABEL[need.restsOn]}`}
</p>
<p class="mt-2">{whyItRests(a, index)}</p>
{#if asked.need.reason}<p class="mt-1 text-sm text-soft">
    Why it is asked: {asked.need.reason}
  </p>{/if}
<dl class="mt-3 grid gap-1">
  {#each MESHES as m, k (m)}
    {@const v = need.values[k]!}
    <div class="grid grid-cols-[4.5rem_1fr_3.5rem] items-center gap-2 text-sm">
      <dt>{MESH_LABEL[m]}</dt>
      <dd class="h-3.5 border border-ink bg-sheet" aria-hidden="true">
        <div class="h-full bg-pass" style="width: {v * 100}%"></div>
      </dd>
      <dd class="text-right">{number(v * 100, 1)} %</dd>
    </div>
  {/each}
</dl>
<h3 class="mt-4 text-lg">How the number comes about</h3>
<p class="text-sm">
  Asked: {askedText(asked, a.context)}{spec && `; ${spec}`}.
</p>
{#if need.pairs.length === 0}
  <p class="mt-1 text-sm">No line claims to do this.</p>
{:else}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="mt-2 overflow-x-auto" role="region" aria-label="Lines and factors" tabindex="0">
    <table class="w-full text-sm">
      <thead
        ><tr class="text-left text-soft"
          ><th class="pr-2 font-normal">line</th><th class="pr-2 text-right font-normal">gives</th
          >{#each factors as f (f)}<th class="pr-1 text-right font-normal">{f}</th>{/each}</tr
        ></thead
      >
      <tbody>
        {#each need.pairs as p (p.pair.line)}
          {@const l = a.context.lines[p.pair.line]!}
          <tr class="border-t border-line align-top">
            <td class="py-1 pr-2"
              >{l.line.text ?? l.type?.label}{l.elsewhere ? " (elsewhere)" : ""}</td
            >
            <td class="py-1 pr-2 text-right font-semibold">{number(p.units, 2)}</td>
            {#each [p.pair.credit.credit, p.spec, p.pair.dose.factor, p.sound, p.fresh, p.handy, p.usable] as v, i (i)}
              <td class="py-1 pr-1 text-right {v < 1 ? 'bad font-semibold' : ''}">{number(v, 2)}</td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <ul class="mt-2 grid gap-2 text-sm" data-testid="reasons">
    {#each need.pairs as p (p.pair.line)}
      {@const reasons = factorReasons(a, p)}
      {@const tries = ontry ? triesFor(p) : []}
      {#if reasons.length > 0 || tries.length > 0}
        <li class="border-l-2 border-line pl-2">
          <strong class="font-semibold">{nameOf(p)}</strong>
          {#each reasons as r (r.factor + r.text)}
            <br />{r.factor}
            {number(r.value, 2)}: {r.text}{#if base}{" "}·
              <a
                class="underline"
                href="{base}/{HREF[r.change]}{r.change === 'bench'
                  ? `#${a.context.lines[p.pair.line]!.line.id}`
                  : ''}">{CHANGE_LABEL[r.change]}</a
              >{/if}
          {/each}
          {#if ontry && tries.length > 0}
            <span class="mt-1 flex flex-wrap gap-1.5">
              <span class="self-center text-soft">what if</span>
              {#each tries as t (t.label)}
                <button
                  class="btn min-h-8 px-2 py-0.5 text-sm font-normal"
                  onclick={() => ontry(t.trial, `${nameOf(p)}: ${t.label}`)}>{t.label}</button
                >
              {/each}
            </span>
          {/if}
        </li>
      {/if}
    {/each}
  </ul>
{/if}
{#if ontry && best && best.credit > 0 && !isWhole(need.met)}
  <p class="mt-2 text-sm">
    <span class="text-soft">what if</span>
    <button
      class="btn min-h-8 px-2 py-0.5 text-sm font-normal"
      onclick={() =>
        ontry(
          { kind: "add", itemType: best.t.id, pieces: 2, id: `trial-${best.t.id}-${Date.now()}` },
          `two of ${best.t.label} added`,
        )}>two of {best.t.label.toLowerCase()} were added</button
    >
  </p>
{/if}
{#each cautions as c (c.id)}<p class="noted mt-3 text-sm">{c.text}</p>{/each}
