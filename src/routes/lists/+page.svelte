<script lang="ts">
  import OneOf from "$lib/ui/OneOf.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { goto } from "$app/navigation";
  import { listCsv } from "$lib/core/formats/listTable.ts";
  import type { ReferenceList } from "$lib/core/model/list.ts";
  import { ListsState } from "$lib/state/pages/lists.svelte.ts";
  import { listPath } from "$lib/state/paths.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import ListDifferenceView from "$lib/ui/ListDifference.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { takeFiles } from "$lib/ui/takeFiles.ts";
  import { DIRECTION_LABEL, FIELD_LABEL, fieldText } from "$lib/words/needs.ts";
  import { needLabel } from "$lib/words/sentences.ts";

  const lists = new ListsState();
  const { rows, first, second, difference, combined } = $derived(lists);
  const typeOf = $derived(workspace.typeOf);
  let picker: FilePicker;

  const open = (id: string | null) => id && goto(listPath(id));
  async function xlsx(list: ReferenceList) {
    const { listXlsx } = await import("$lib/ui/listSheet.ts");
    download(
      fileName(list.title, ".xlsx"),
      await listXlsx(list),
      "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    );
  }
</script>

<svelte:head><title>Reference lists · Wide Sieve</title></svelte:head>
<ShelfHeader title="Reference lists" about="What a kit is judged against, and why." />
<main class="mx-auto max-w-6xl p-4 sm:p-6">
  <div class="flex flex-wrap gap-3">
    <button class="btn btn-main" onclick={() => open(lists.make())}>New list</button>
    <button class="btn" onclick={() => picker.pick()}>Import a list</button>
    <FilePicker
      bind:this={picker}
      label="List to import"
      accept=".json,.csv,.xlsx"
      onfiles={(files) => void takeFiles(files)}
    />
    <p class="self-center text-sm text-soft">
      JSON, CSV or XLSX; export any list to see the columns, or type your local code into it.
    </p>
  </div>
  <ul class="mt-5 grid gap-3">
    {#each rows as { list, id } (list.id)}
      {@const kits = lists.judgedBy(list.id)}
      <li class="sheet flex flex-wrap items-center gap-x-5 gap-y-2 p-4">
        <div class="min-w-0 flex-1 basis-72">
          {#if id}<a
              class="text-xl font-bold break-words underline decoration-line underline-offset-4 hover:decoration-ink"
              href={listPath(id)}>{list.title}</a
            >{:else}<h2 class="text-xl">{list.title}</h2>{/if}
          <p class="text-sm text-soft">
            {id ? `yours, version ${list.version ?? 1}` : `shipped, version ${list.version ?? 1}`} ·
            {list.needs.length} needs, {list.needs.filter((n) => n.tier === "vital").length} vital{kits >
            0
              ? ` · ${kits} ${kits === 1 ? "kit" : "kits"} judged by it`
              : ""}
          </p>
          {#if list.for}<p class="mt-1 text-sm">{list.for}</p>{/if}
          {#if list.isNot}<p class="mt-1 text-sm text-soft">{list.isNot}</p>{/if}
        </div>
        <span class="flex flex-wrap gap-2">
          {#if id}<a class="btn min-h-10 px-3 py-1" href={listPath(id)}>Edit</a>{/if}
          <button
            class="btn min-h-10 px-3 py-1"
            onclick={() => open(lists.copy(list))}
            aria-label="Copy to edit: {list.title}">Copy to edit</button
          >
          {#each [["JSON", () => download(fileName(list.title, ".widesieve-list.json"), workspace.exportList(list))], ["CSV", () => download(fileName(list.title, ".csv"), listCsv(list), "text/csv")], ["XLSX", () => xlsx(list)]] as const as [kind, run] (kind)}
            <button
              class="btn min-h-10 px-3 py-1"
              onclick={run}
              aria-label="Export {list.title} as {kind}">{kind}</button
            >
          {/each}
          {#if id}<button
              class="btn min-h-10 px-3 py-1"
              onclick={() => lists.remove(id, list.title)}
              aria-label="Remove {list.title}">Remove</button
            >{/if}
        </span>
      </li>
    {/each}
  </ul>

  <section class="mt-8 border-t border-line pt-5">
    <h2 class="text-2xl">Two lists side by side</h2>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      {#snippet choice(label: string, value: string, set: (id: string) => void)}
        <label class="flex grow basis-60 flex-col gap-1"
          ><span class="text-sm font-semibold">{label}</span>
          <Choice
            {label}
            {value}
            options={rows.map((r) => ({ value: r.list.id, label: r.list.title }))}
            onchoose={set}
          /></label
        >
      {/snippet}
      {@render choice("This list", lists.firstId, (id) => (lists.firstId = id))}
      {@render choice("and this one", lists.secondId, (id) => (lists.secondId = id))}
      <OneOf
        label="What is done with them"
        class=""
        value={lists.doing}
        options={[
          { value: "compare", label: "Compare" },
          { value: "combine", label: "Combine" },
        ]}
        onchoose={(doing) => (lists.doing = doing)}
      />
    </div>
    {#if lists.doing === "compare" && difference}
      <p class="mt-3 text-sm text-soft">What the second asks, against the first.</p>
      <ListDifferenceView {difference} {typeOf} />
    {:else if lists.doing === "combine"}
      <p class="mt-3 text-sm text-soft">
        The union; where both ask for the same job the stricter rule wins, part by part, so a kit
        that holds by the combined list holds by both.
      </p>
      <ul class="mt-2 divide-y divide-line border-y border-line text-sm" data-testid="combined">
        {#each combined as o (o.need.id)}
          <li class="flex flex-wrap gap-x-4 py-1.5">
            <strong class="basis-64">{needLabel(o.need.function)}</strong>
            <span class="basis-40 text-soft"
              >{o.from === "both"
                ? "in both"
                : o.from === "first"
                  ? first?.title
                  : second?.title}</span
            >
            <span class="grow"
              >{o.need.tier}, {fieldText(o.need, "quantity", typeOf)}{#if o.changes.length > 0}
                · made {o.changes
                  .map(
                    (c) =>
                      `${DIRECTION_LABEL[c.direction]} by the second: ${FIELD_LABEL[c.field]} ${fieldText(o.need, c.field, typeOf)}`,
                  )
                  .join("; ")}{/if}</span
            >
          </li>
        {/each}
      </ul>
      <button class="btn btn-main mt-3" onclick={() => open(lists.keepCombined())}
        >Keep the combined list of {combined.length} needs</button
      >
    {/if}
  </section>
</main>
