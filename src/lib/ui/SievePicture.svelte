<script lang="ts">
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import type { Audit } from "../core/audit/audit.ts";
  import { MESHES } from "../core/model/mesh.ts";
  import { CATEGORY_LABEL, MESH_ASKS, MESH_LABEL } from "../words/labels.ts";
  import { number } from "../words/sentences.ts";
  import { sieveLayout, type SieveView } from "../report/sieveLayout.ts";

  interface Props {
    a: Audit;
    picked?: number | null;
    onpick?: (index: number) => void;
    width?: number;
    view?: SieveView;
    element?: SVGSVGElement | undefined;
  }
  let { a, picked = null, onpick, width = 900, view = {}, element = $bindable() }: Props = $props();
  const l = $derived(sieveLayout(a, width, view));
  /** Of the one category drawn, else of all. */
  const caught = $derived(l.categories.length === 1 ? l.categories[0]!.caught : a.caught);
  const uid = $props.id();
  const name = (i: number) => {
    const n = a.context.needs[i]!;
    return `${CATALOGUE.functions.get(n.need.function)?.label}, ${n.tier}, ${CATEGORY_LABEL[n.category]}: ${a.needs[i]!.restsOn === "pan" ? "relied on" : `held at ${MESH_LABEL[a.needs[i]!.restsOn]}`}, ${Math.round(a.needs[i]!.met * 100)} % met`;
  };
  const current = $derived(
    picked !== null && l.grains.some((g) => g.index === picked) ? picked : l.grains[0]?.index,
  );

  /** Arrow keys: left and right to the next column, up and down within it. */
  function onkey(e: KeyboardEvent, at: number) {
    const grain = l.grains[at]!;
    const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
    const across = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
    let next: number;
    if (step) next = at + step;
    else if (across) {
      for (
        next = at + across;
        l.grains[next] && l.grains[next]!.column === grain.column;
        next += across
      );
      if (across < 0)
        while (l.grains[next - 1] && l.grains[next - 1]!.column === l.grains[next]?.column) next--;
    } else if (e.key === "Enter" || e.key === " ") {
      e.preventDefault();
      onpick?.(grain.index);
      return;
    } else return;
    e.preventDefault();
    const target = l.grains[next];
    if (!target) return;
    onpick?.(target.index);
    document.getElementById(`${uid}-g${target.index}`)?.focus();
  }
</script>

<svg
  bind:this={element}
  viewBox="0 0 {l.width} {l.height}"
  class="h-auto w-full overflow-visible select-none"
  role="group"
  aria-label="The sieve: each need is a grain that rests on the mesh that holds it"
>
  {#each l.categories as c, i (c.id)}
    {@const x = l.left + (i + 0.5) * l.columnWidth}
    <text
      transform="translate({x - 4} 108) rotate(-34)"
      font-size="14"
      font-weight="600"
      fill="currentColor">{CATEGORY_LABEL[c.id]}</text
    >
    <text
      {x}
      y={l.panBottom + 24}
      text-anchor="middle"
      font-size="16"
      font-weight="700"
      fill={c.coverage < 0.6 ? "var(--held)" : "currentColor"}>{Math.round(c.coverage * 100)}</text
    >
  {/each}
  {#each MESHES as mesh, k (mesh)}
    {@const y = l.meshY[k]!}
    <text
      x="0"
      y={y - 2}
      font-size="17"
      font-weight="700"
      font-family="var(--font-head)"
      fill="currentColor">{MESH_LABEL[mesh]}</text
    >
    <text x="0" y={y + 14} font-size="12.5" fill="var(--soft)">{MESH_ASKS[mesh]}</text>
    <rect x={l.left} {y} width={l.width - l.left - l.right} height="13" fill="var(--sheet)" />
    <rect
      x={l.left}
      {y}
      width={l.width - l.left - l.right}
      height="13"
      fill="url(#weave-{mesh})"
      stroke="currentColor"
      stroke-width="1.4"
    />
    <text
      x={l.width}
      y={y + 11}
      text-anchor="end"
      font-size="15"
      font-weight="600"
      fill={(caught?.[mesh] ?? 0) > 0.0005 ? "var(--held)" : "var(--soft)"}
      >{(caught?.[mesh] ?? 0) > 0.0005 ? `−${number(caught![mesh] * 100, 1)}` : "0"}</text
    >
  {/each}
  <path
    d="M{l.left} {l.panTop}V{l.panBottom - 8}q0 8 8 8H{l.width - l.right - 8}q8 0 8 -8V{l.panTop}"
    fill="var(--passbg)"
    stroke="var(--pass)"
    stroke-width="2"
  />
  <text
    x="0"
    y={l.panTop + 16}
    font-size="17"
    font-weight="700"
    font-family="var(--font-head)"
    fill="var(--pass)">Relied on</text
  >
  <text x="0" y={l.panTop + 32} font-size="12.5" fill="var(--soft)">{MESH_ASKS.pan}</text>
  <text x="0" y={l.panBottom + 24} font-size="13" fill="var(--soft)">coverage, %</text>
  {#each l.grains as g, at (g.index)}
    <g
      id="{uid}-g{g.index}"
      role="button"
      tabindex={g.index === current ? 0 : -1}
      aria-label={name(g.index)}
      aria-pressed={picked === g.index}
      class="grain cursor-pointer outline-none"
      style="transform: translate({g.x}px, {g.y}px)"
      onclick={() => onpick?.(g.index)}
      onkeydown={(e) => onkey(e, at)}
    >
      <title>{name(g.index)}</title>
      <circle r={Math.max(12, g.r + 3)} fill="transparent" />
      {#if g.rests === "pan"}
        <circle r={g.r} fill="var(--pass)" />
        {#if a.context.needs[g.index]!.tier === "vital"}<circle
            r={g.r - 3}
            fill="none"
            stroke="var(--passbg)"
            stroke-width="1.6"
          />{/if}
      {:else}
        <clipPath id="{uid}-c{g.index}"
          ><rect
            x={-g.r}
            y={g.r - 2 * g.r * g.fill}
            width={2 * g.r}
            height={2 * g.r * g.fill}
          /></clipPath
        >
        <circle r={g.r} fill="var(--sheet)" stroke="currentColor" stroke-width="2" />
        <circle r={g.r} fill="currentColor" opacity=".55" clip-path="url(#{uid}-c{g.index})" />
        {#if a.context.needs[g.index]!.tier === "vital"}<circle
            r={g.r - 3.4}
            fill="none"
            stroke="currentColor"
            stroke-width="1.6"
          />{/if}
      {/if}
      <circle
        class="ring"
        r={g.r + 5}
        fill="none"
        stroke="var(--note)"
        stroke-width="3"
        opacity={picked === g.index ? 1 : 0}
      />
    </g>
  {/each}
</svg>

<style>
  .grain {
    transition: transform 350ms cubic-bezier(0.4, 0, 0.7, 1);
  }
  .grain:focus-visible .ring {
    opacity: 1;
  }
</style>
