<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { audit } from "$lib/core/audit/audit.ts";
  import { compareLists, sameList } from "$lib/core/reference/compareLists.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import type { Tried } from "$lib/state/tried.svelte.ts";
  import { listNow, listsOffered } from "$lib/state/lists.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import ListDifferenceView from "$lib/ui/ListDifference.svelte";
  import { CATEGORY_LABEL } from "$lib/words/labels.ts";
  import { many, percent, quantity } from "$lib/words/sentences.ts";

  interface Props {
    /** What other lists are tried on. */
    readonly tried: Tried;
    /** What the kit would be by each other list, by its id. */
    readonly verdicts: ReadonlyMap<string, string>;
  }
  const { tried, verdicts }: Props = $props();
  const kit = useKit();
  const list = $derived(kit.record?.list);
  const offered = $derived(listsOffered());
  const known = $derived(offered.some((l) => l.id === list?.id));
  /** The list as it stands now, where this kit holds an older copy, with what separates them. */
  const newer = $derived.by(() => {
    const now = list && listNow(list.id);
    if (!list || !now) return null;
    const difference = compareLists(list, now, kit.typeOf);
    if (sameList(difference)) return null;
    const then = audit(workspace.settled({ ...tried.file, list: now }), workspace.today, CATALOGUE);
    return { list: now, difference, coverage: then.coverage, grade: then.grade };
  });

  function choose(id: string) {
    const chosen = listNow(id);
    if (chosen) kit.update(`judge against ${chosen.title}`, (r) => ({ ...r, list: chosen }));
  }
</script>

<section class="lg:border-l lg:border-line lg:pl-6">
  <div class="flex flex-wrap items-baseline justify-between gap-2">
    <h2 class="text-2xl">Judged against</h2>
    <a class="underline underline-offset-4" href="/lists">Edit, combine and compare lists</a>
  </div>
  <label class="mt-3 flex flex-col gap-1"
    ><span class="sr-only">Reference list</span>
    <Choice
      label="Reference list"
      class="text-lg font-semibold"
      value={list?.id ?? ""}
      options={[...(list && !known ? [list] : []), ...offered].map((l) => ({
        value: l.id,
        label: `${l.title}${verdicts.get(l.id) ?? ""}`,
      }))}
      onchoose={choose}
    /></label
  >
  {#if list?.for}<p class="mt-2 text-sm">{list.for}</p>{/if}
  {#if list?.isNot}<p class="mt-1 text-sm text-soft">{list.isNot}</p>{/if}

  {#if newer}
    <div class="noted mt-4" data-testid="newer-list">
      <p>
        This kit is judged by the list as it was. The list has changed since; by the newer one it
        would be {newer.grade ?? "asked for nothing"}, {percent(newer.coverage)} %.
      </p>
      <ListDifferenceView difference={newer.difference} typeOf={kit.typeOf} />
      <button class="btn mt-3" onclick={() => choose(newer.list.id)}>Judge by the newer list</button
      >
    </div>
  {/if}

  <h3 class="mt-4 text-lg">
    It asks for {kit.audit.context.needs.length} of its {many(list?.needs.length ?? 0, "need")} under
    this brief
  </h3>
  {#if kit.audit.context.needs.length === 0}
    <p class="noted mt-2">
      This list asks for nothing under this brief, so nothing can be judged. Choose another list or
      change the brief.
    </p>
  {/if}
  <ul class="mt-2 divide-y divide-line">
    {#each kit.audit.context.needs as n (n.need.id)}
      <li class="flex gap-3 py-2">
        <span class="w-20 shrink-0 text-right font-semibold"
          >{quantity(n.required, CATALOGUE.functions.get(n.need.function)!.unit)}</span
        >
        <span
          ><strong class="font-semibold">{CATALOGUE.functions.get(n.need.function)?.label}</strong>
          <span class="text-sm text-soft">{n.tier} · {CATEGORY_LABEL[n.category]}</span><br />
          <span class="text-sm">{n.need.reason ?? ""}</span></span
        >
      </li>
    {/each}
  </ul>
</section>
