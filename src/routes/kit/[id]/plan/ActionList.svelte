<script lang="ts">
  import { purposeText } from "$lib/words/planTexts.ts";
  import type { Action } from "$lib/core/plan/actions.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { cautionsFor } from "$lib/words/cautions.ts";
  import { MESH_LABEL, SKILL_LABEL } from "$lib/words/labels.ts";
  import {
    ACTION_LABEL,
    bringText,
    DROP_BECAUSE,
    grams,
    many,
    money,
    number,
    PHASE_LABEL,
    repackText,
  } from "$lib/words/sentences.ts";
  import type { PlanRun } from "$lib/workers/planRun.svelte.ts";

  interface Props {
    actions: readonly Action[];
    run: PlanRun;
    currency: string;
    needName: (id: string) => string;
    lineLabel: (id: string) => string;
    onexclude: (productId: string, title: string) => void;
    onkeep: (lineId: string) => void;
  }
  const { actions, run, currency, needName, lineLabel, onexclude, onkeep }: Props = $props();
  const kit = useKit();
  const PHASES = ["before-carried", "next-order", "at-rotation", "to-check"] as const;
  let open = $state<string | null>(null);
  const keyOf = (x: Action) =>
    "product" in x
      ? x.product.id
      : x.kind === "train"
        ? `train-${x.to}`
        : x.kind === "bring"
          ? `bring-${x.need}-${x.line}`
          : `${x.kind}-${x.line}`;
  const meshOf = (x: Action) => {
    if ("serves" in x) return x.serves[0]?.mesh ?? "enough";
    switch (x.kind) {
      case "move":
        return "handy";
      case "check":
        return "unchecked";
      case "train":
        return "usable";
      case "bring":
        return x.line === null ? "here" : "fresh";
      case "drop":
        return x.because === "past-date"
          ? "fresh"
          : x.because === "in-name-only"
            ? "real"
            : "sound";
      default:
        return "enough";
    }
  };
  const what = (x: Action) =>
    "product" in x
      ? `${x.product.title}${x.packs > 1 ? ` × ${x.packs}` : ""}`
      : x.kind === "train"
        ? `the party to ${SKILL_LABEL[x.to]}`
        : x.kind === "bring"
          ? x.line === null
            ? `${x.pieces > 1 ? `${x.pieces} × ` : ""}${kit.typeOf(x.itemType)?.label ?? x.itemType}`
            : lineLabel(x.line)
          : lineLabel(x.line);
  const why = (x: Action) => {
    if ("serves" in x)
      return `${purposeText(x, needName, currency)}${x.spare > 0 ? `; ${number(x.spare)} left over` : ""}`;
    switch (x.kind) {
      case "move":
        return `within reach${x.label ? ", and marked" : ""}`;
      case "bring":
        return `${x.need === null ? "" : `${needName(x.need)}: `}${bringText(x)}`;
      case "drop":
        return DROP_BECAUSE[x.because];
      case "repack":
        return repackText(x);
      case "train":
        return "raises what the party may use";
      case "check":
        return `unchecked: ${x.facts.join(", ")}`;
    }
  };
  const mass = (x: Action) =>
    "product" in x
      ? `+${grams(x.massG)}`
      : x.kind === "drop" || x.kind === "repack"
        ? `−${grams(x.massG)}`
        : "";
  function toggle(x: Action) {
    const key = keyOf(x);
    open = open === key ? null : key;
  }
</script>

{#if actions.length === 0}<p class="p-6 text-lg">
    Nothing to do: it is what was asked as it is.
  </p>{/if}
{#each PHASES as phase (phase)}
  {@const here = actions.filter((x) => x.phase === phase)}
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
            onclick={() => toggle(x)}
          >
            <WeaveChip mesh={meshOf(x)} />
            <span class="font-bold"
              >{x.kind === "move" && x.label ? "Label" : ACTION_LABEL[x.kind]}</span
            >
            <span class="min-w-0"
              ><strong class="font-semibold break-words">{what(x)}</strong><br /><span
                class="text-sm text-soft">{why(x)}</span
              ></span
            >
            <span class="text-right font-semibold text-pass"
              >{"gain" in x ? `+${number(x.gain, 1)}` : "—"}</span
            >
            <span class="hidden text-right sm:block"
              >{"price" in x ? x.price.toFixed(2) : x.kind === "check" ? "" : "free"}</span
            >
            <span class="hidden text-right text-sm text-soft sm:block">{mass(x)}</span>
          </button>
          {#if open === key}
            <div class="bg-ground px-5 py-3 text-sm">
              {#if "product" in x}
                {@const other = run.without[x.product.id]}
                {#if x.companionOf.length > 0}<p>
                    Bought to go with what does <strong
                      >{x.companionOf.map(needName).join(", ")}</strong
                    >: without it that counts half.
                  </p>{/if}
                {#if x.serves.length > 0}<p>
                    Bought for {#each x.serves as s, i (s.need)}{i > 0 ? "; " : ""}<strong
                        >{needName(s.need)}</strong
                      >
                      ({s.mesh === "pan"
                        ? "was met in part"
                        : `held at ${MESH_LABEL[s.mesh]}`}){/each}.
                  </p>{/if}
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
                  )}, from {x.product.source ?? "no source given"}{x.product.leadDays !== undefined
                    ? `, ${many(x.product.leadDays, "day")}`
                    : ""}{x.spare > 0
                    ? `. ${number(x.pieces - x.spare)} needed, sold in packs of ${x.product.pack}`
                    : ""}.
                </p>
                {#if x.instead.length > 0}<p>
                    {x.kind === "swap" ? "Lets" : "In place of:"}
                    {x.instead.map(lineLabel).join(", ")}{x.kind === "swap" ? " stay at home" : ""}.
                  </p>{/if}
                <div class="mt-1 min-h-11" aria-live="polite">
                  {#if other === undefined}
                    <button
                      class="btn"
                      disabled={run.running !== null}
                      onclick={() => run.askWithout(x.product.id)}>When would this change?</button
                    >
                  {:else if other === null}
                    <span class="text-soft">The plan without it is being worked out …</span>
                  {:else if other.none}
                    <p class="font-semibold">
                      {other.proven
                        ? "Without it no plan does what was asked."
                        : "Without it no plan was found in time."}
                    </p>
                  {:else}
                    <p data-testid="without">
                      Without it: {other.priceMore >= 0 ? "" : "−"}{money(
                        Math.abs(other.priceMore),
                        currency,
                      )}
                      {other.priceMore >= 0 ? "more" : ""}{other.coverageLess > 0.005
                        ? `, ${number(other.coverageLess, 2)} points of coverage less`
                        : ""}{other.proven ? "" : " (not proven)"}.
                      {#if other.changesAtPrice !== null}
                        The choice changes, at the latest, when a pack costs <strong
                          >{money(other.changesAtPrice, currency)}</strong
                        >
                        (now {money(x.product.price.amount, currency)}).
                      {:else}No price changes the choice while there is no budget.{/if}
                      {#if other.changesAtMassG !== null}
                        It no longer fits when a pack weighs {grams(other.changesAtMassG)} (now {grams(
                          x.product.massG ?? 0,
                        )}).
                      {/if}
                    </p>
                  {/if}
                  <button class="btn mt-1" onclick={() => onexclude(x.product.id, x.product.title)}
                    >Not this product</button
                  >
                </div>
                {#each cautionsFor(x.product.itemType, kit.brief) as c (c.id)}
                  <p class="noted mt-2">{c.text}</p>
                {/each}
              {:else if x.kind === "train"}
                <p>
                  With {SKILL_LABEL[x.to]} people it is worth {number(x.gain, 2)} points of coverage for
                  {money(x.price, currency)}. A course is no licence: local rules and protocols
                  decide who may do what.
                </p>
              {:else}
                <p>
                  {#if x.kind === "drop" && x.because === "limit"}It is good, and stays at home only
                    because of a limit.{:else if x.kind === "repack"}The same needs are met; the
                    rest is spare for the next restock.{:else if x.kind === "move"}Lay it where it
                    can be reached in the time the need allows.{:else if x.kind === "check"}Nobody
                    has looked yet; the plan takes it as passing.{:else}It does nothing for this
                    list, or cannot be trusted.{/if}
                </p>
                {#if x.kind === "drop" || x.kind === "repack"}
                  <button class="btn mt-1" onclick={() => onkeep(x.line)}>Keep this item</button>
                {/if}
              {/if}
            </div>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
{/each}
