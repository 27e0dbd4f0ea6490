<script lang="ts">
  import { problemText } from "$lib/words/problems.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { goto } from "$app/navigation";
  import { audit } from "$lib/core/audit/audit.ts";
  import { auditOf } from "$lib/core/records/auditOf.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import ConfirmWipe from "$lib/ui/ConfirmWipe.svelte";
  import { download, fileName } from "$lib/ui/download.ts";
  import { kitPath } from "$lib/state/paths.ts";
  import { takeFiles } from "$lib/ui/takeFiles.ts";
  import Offers from "$lib/ui/Offers.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import SieveMark from "$lib/ui/SieveMark.svelte";
  import { day, money, percentRange } from "$lib/words/sentences.ts";
  import { decidedBy } from "$lib/words/reasons.ts";

  const rows = $derived(
    workspace.kits.map((k) => {
      const brief = workspace.brief(k.briefId);
      const file = brief ? auditOf(k, brief.brief, workspace.ownTypes) : null;
      return { k, brief, a: file ? audit(file, workspace.today, CATALOGUE) : null };
    }),
  );
  let name = $state("");
  let picker: HTMLInputElement;
  let wiping = $state(false);

  function addKit(e: SubmitEvent) {
    e.preventDefault();
    void goto(`${kitPath(workspace.addKit(name.trim() || "New kit"))}/brief`);
  }
  function exportAside() {
    download("set-aside.json", JSON.stringify(workspace.setAside, null, 1));
  }
</script>

<ShelfHeader title="Wide Sieve" about="The shelf: every kit, and where its needs rest." />
<main class="mx-auto max-w-6xl p-4 sm:p-6">
  {#if workspace.setAside.length > 0}
    <div class="noted mb-5">
      <p>
        <strong
          >{workspace.setAside.length} stored {workspace.setAside.length === 1
            ? "record"
            : "records"}</strong
        >
        could not be read and lie aside, untouched: {workspace.setAside
          .map(
            (s) =>
              `${s.key} (${s.problems[0]?.where ?? ""} ${s.problems[0] ? problemText(s.problems[0]) : ""})`,
          )
          .join("; ")}.
      </p>
      <button class="btn mt-3" onclick={exportAside}>Export what lies aside</button>
    </div>
  {/if}

  <Offers />

  <form class="flex flex-wrap items-end gap-3" onsubmit={addKit}>
    <label class="flex grow flex-col gap-1 sm:max-w-sm"
      ><span class="font-semibold">A kit comes on the bench</span>
      <input
        class="field"
        bind:value={name}
        placeholder="What it is called"
        maxlength="300"
      /></label
    >
    <button class="btn btn-main">New kit</button>
    <button class="btn" type="button" onclick={() => picker.click()}>Import a file</button>
    <input
      bind:this={picker}
      type="file"
      class="hidden"
      aria-label="File to import"
      accept=".json,.txt,.csv,.md,.html,.htm,.xlsx"
      onchange={(e) => {
        void takeFiles([...(e.currentTarget.files ?? [])]);
        e.currentTarget.value = "";
      }}
    />
    <button
      class="btn"
      type="button"
      disabled={workspace.records.size === 0}
      onclick={() => download("workspace.widesieve.json", workspace.exportAll())}
      >Export everything</button
    >
  </form>

  {#if rows.length === 0}
    <section class="sheet mt-8 p-8 text-center">
      <h2 class="text-2xl">The shelf is empty</h2>
      <p class="mx-auto mt-2 max-w-lg text-soft">
        Put a kit on the bench, drop a file anywhere, or look round first with three invented kits
        of an orchard crew.
      </p>
      <button class="btn btn-main mt-5" onclick={() => workspace.addDemo()}>Show me the demo</button
      >
    </section>
  {:else}
    <ul class="mt-6 grid gap-3">
      {#each rows as { k, brief, a } (k.id)}
        <li class="sheet flex flex-wrap items-center gap-x-5 gap-y-3 p-4">
          {#if a}<SieveMark {a} />{/if}
          <div class="min-w-0 flex-1 basis-64">
            <a
              class="text-xl font-bold break-words underline decoration-line underline-offset-4 hover:decoration-ink"
              href="{kitPath(k.id)}/{k.kit.lines.length === 0 ? 'brief' : 'sieve'}">{k.kit.name}</a
            >
            <p class="text-sm text-soft">
              {brief?.brief.title || "untitled brief"} · {k.list.title} · {k.kit.lines.length} lines
              {#if k.kit.price}· {money(k.kit.price.amount, k.kit.price.currency)}{/if}
              {#if k.history.length > 0}· last note {day(k.history.at(-1)!.on)}{/if}
            </p>
          </div>
          {#if a}
            <div class="basis-56">
              <p class="font-head text-lg font-bold">
                {a.grade ?? "Nothing asked"}
                <span class="ml-2 font-text text-base font-normal">{percentRange(a.interval)}</span>
              </p>
              <p class="text-sm text-soft">{decidedBy(a)}</p>
            </div>
          {/if}
          <span class="flex gap-2">
            <button
              class="btn min-h-10 px-3 py-1"
              onclick={() =>
                brief &&
                download(
                  fileName(k.kit.name, ".widesieve.json"),
                  JSON.stringify(auditOf(k, brief.brief, workspace.ownTypes), null, 1),
                )}>Export</button
            >
            <button
              class="btn min-h-10 px-3 py-1"
              onclick={() => workspace.copyKit(k.id)}
              aria-label="Copy {k.kit.name} as a variant">Variant</button
            >
            <button
              class="btn min-h-10 px-3 py-1"
              onclick={() => workspace.removeKit(k.id)}
              aria-label="Remove {k.kit.name} from the shelf">Remove</button
            >
          </span>
        </li>
      {/each}
    </ul>
    <div class="mt-8 flex flex-wrap gap-3 border-t border-line pt-4">
      <button class="btn" onclick={() => workspace.undo()} disabled={!workspace.undoLabel}
        >Undo{workspace.undoLabel ? `: ${workspace.undoLabel}` : ""}</button
      >
      <button class="btn" onclick={() => workspace.addDemo()}>Add the demo</button>
      <button class="btn" onclick={() => (wiping = true)}
        >Remove everything from this browser</button
      >
    </div>
  {/if}
</main>
<ConfirmWipe bind:open={wiping} />
