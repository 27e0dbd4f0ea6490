<script lang="ts">
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { useKit } from "../state/kit.svelte.ts";
  import { useReady } from "../state/ready.svelte.ts";
  import Term from "./Term.svelte";
  import { grams, money, number, percentRange } from "../words/sentences.ts";

  const kit = useKit();
  const ready = useReady();
  const a = $derived(kit.audit);
  const low = $derived((a.interval?.[0] ?? 0) * 100);
  const high = $derived((a.interval?.[1] ?? 0) * 100);
  const decided = $derived.by(() => {
    const d = a.decidedBy;
    if (!d || d.gate === "none") return "";
    if (d.gate === "coverage") return "coverage";
    const need = a.context.needs.find((n) => n.need.id === d.need);
    return need ? (CATALOGUE.functions.get(need.need.function)?.label ?? "").toLowerCase() : "";
  });
  const price = $derived(kit.record?.kit.price);
  /** What stands right above it on a phone needs to know how high it is. Told by the browser when it has laid it out: to ask would lay it out at once. */
  function tellHeight(foot: HTMLElement) {
    const root = document.documentElement.style;
    const observer = new ResizeObserver(() =>
      root.setProperty("--tally", `${foot.clientHeight}px`),
    );
    observer.observe(foot);
    return () => {
      observer.disconnect();
      root.removeProperty("--tally");
    };
  }
</script>

<footer
  {@attach tellHeight}
  class="no-print flex min-h-13 flex-wrap items-center gap-x-4 gap-y-1 bg-foot px-4 py-2 text-onfoot sm:px-5 2xl:gap-x-6"
  aria-label="Tally"
>
  <span class="flex items-center gap-3">
    <strong class="min-w-20 font-head text-lg" data-testid="tally-coverage"
      >{percentRange(a.interval)}</strong
    >
    <svg width="96" height="10" aria-hidden="true" class="hidden sm:block">
      <rect width="96" height="10" fill="currentColor" opacity=".18" />
      <rect width={(low * 96) / 100} height="10" fill="#9cc5ab" />
      <rect
        x={(low * 96) / 100}
        width={((high - low) * 96) / 100}
        height="10"
        fill="#9cc5ab"
        opacity=".5"
      />
    </svg>
    <span class="text-sm opacity-90"><Term word="Coverage">coverage</Term></span>
  </span>
  <span
    ><strong class="font-head text-lg">{kit.open.vitalMet} of {kit.open.vital}</strong>
    <span class="text-sm opacity-90"><Term word="Vital, core, useful">vital needs met</Term></span
    ></span
  >
  <span class="hidden md:inline"
    ><strong class="font-head text-lg"
      >{number(kit.open.pieces, 0)} of {number(kit.open.claimed, 0)}</strong
    >
    <span class="text-sm opacity-90">pieces counted</span></span
  >
  <span class="hidden md:inline"
    ><strong class="font-head text-lg">{grams(kit.load.massG)}</strong>
    <span class="text-sm opacity-90"
      >{kit.brief.limits.massG ? `of ${grams(kit.brief.limits.massG)}` : "by type"}</span
    ></span
  >
  <span class="hidden lg:inline" data-testid="tally-cost">
    <strong class="font-head text-lg"
      >{#if price}{money(price.amount, price.currency)} +{" "}{/if}{#if ready.run.running}…{:else if ready.run.result?.status === "infeasible"}no
        plan{:else if ready.run.result}{money(
          ready.run.result.price,
          kit.currency,
        )}{:else}–{/if}</strong
    >
    <span class="text-sm opacity-90">cost to ready</span></span
  >
  <span class="flex min-w-0 flex-1 basis-40 items-center justify-end gap-1.5" title={decided}
    ><Term word="Ready, Nearly, Partial, Not ready"
      ><strong data-testid="tally-grade">{a.grade ?? "Nothing asked"}</strong></Term
    >
    <span class="hidden truncate text-sm opacity-90 sm:block">{decided}</span></span
  >
</footer>
