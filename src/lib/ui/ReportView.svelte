<script lang="ts">
  import type { Block } from "../report/blocks.ts";

  const { blocks }: { blocks: readonly Block[] } = $props();
  const pictureUrl = (svg: string) => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
</script>

<article class="mx-auto max-w-4xl p-5 sm:p-8 print:max-w-none print:p-0">
  {#each blocks as b, i (i)}
    {#if b.kind === "heading"}
      {#if b.level === 1}<h1 class="text-4xl break-words">{b.text}</h1>
      {:else if b.level === 2}<h2 class="mt-7 mb-2 text-2xl break-after-avoid">{b.text}</h2>
      {:else}<h3 class="mt-4 text-lg break-after-avoid">{b.text}</h3>{/if}
    {:else if b.kind === "text"}
      <p class={b.strong ? "mt-2 font-head text-2xl font-bold" : "mt-1.5"}>{b.text}</p>
    {:else if b.kind === "list"}
      <ul class="list-disc pl-5 text-sm">
        {#each b.items as item, k (k)}<li class="py-0.5">{item}</li>{/each}
      </ul>
    {:else if b.kind === "facts"}
      <dl class="mt-3 text-sm">
        {#each b.rows as [k, v], n (n)}
          <div class="grid gap-x-4 border-b border-line py-1 sm:grid-cols-[12rem_1fr]">
            <dt class="text-soft">{k}</dt>
            <dd class="font-semibold">{v}</dd>
          </div>
        {/each}
      </dl>
    {:else if b.kind === "table"}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="overflow-x-auto" role="region" aria-label="Table {i}" tabindex="0">
        <table class="w-full text-sm">
          <thead
            ><tr class="border-b border-ink text-left"
              >{#each b.head as h, k (k)}<th class="py-1 pr-3">{h}</th>{/each}</tr
            ></thead
          >
          <tbody>
            {#each b.rows as row, n (n)}
              <tr class="break-inside-avoid border-b border-line align-top"
                >{#each row as cell, k (k)}<td class="py-1 pr-3">{cell}</td>{/each}</tr
              >
            {/each}
          </tbody>
        </table>
      </div>
    {:else if b.kind === "picture"}
      <img src={pictureUrl(b.svg)} alt={b.alt} class="mt-4 w-full rounded-sm bg-white p-2" />
    {:else if b.kind === "photos"}
      <ul class="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {#each b.items as p, k (k)}
          <li class="break-inside-avoid text-sm">
            <img src={p.dataUrl} alt="" class="max-h-56 w-full border border-line object-contain" />
            {p.caption}
          </li>
        {/each}
      </ul>
    {:else}
      <div class="break-before-page"></div>
    {/if}
  {/each}
</article>
