<script lang="ts">
  import OneOf from "$lib/ui/OneOf.svelte";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { problemText } from "$lib/words/problems.ts";
  import { goto } from "$app/navigation";
  import { wholeFileOf } from "$lib/core/records/auditOf.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import { kitPath } from "$lib/state/paths.ts";
  import { SHELF_ORDERS, ShelfState, type ShelfOrder } from "$lib/state/pages/shelf.svelte.ts";
  import { exportAll, isExportDue, lastExport } from "$lib/ui/exportAll.ts";
  import { takeFiles } from "$lib/ui/takeFiles.ts";
  import Later from "$lib/ui/Later.svelte";
  import Offers from "$lib/ui/Offers.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import StartHere from "$lib/ui/StartHere.svelte";
  import { rememberShelf, SHELF } from "$lib/ui/startShell.ts";
  import SieveMark from "$lib/ui/SieveMark.svelte";
  import { day, many, money, percentRange } from "$lib/words/sentences.ts";
  import { decidedBy } from "$lib/words/reasons.ts";

  const shelf = new ShelfState();
  const rows = $derived(shelf.rows);
  $effect(() => shelf.follow());
  const ownKits = $derived(workspace.kits.filter((k) => !k.id.startsWith("kit:demo-")));
  $effect(() => rememberShelf(ownKits.length));
  let last = $state(lastExport());
  const ORDER_LABEL: Record<ShelfOrder, string> = {
    name: "by name",
    readiness: "least ready first",
    due: "next due first",
    price: "dearest first",
  };
  /** An empty sieve, as large as the one to come. */
  const NOTHING_YET = { caught: null, coverage: null };
  /** Few kits are seen at a glance. */
  const SOUGHT_FROM = 5;
  let nameField: HTMLInputElement;
  let name = $state("");
  let picker: FilePicker;
  let wiping = $state(false);
  /** It stays to give the focus back to where it came from. */
  let wasWiping = $state(false);

  function addKit(e: SubmitEvent) {
    e.preventDefault();
    void goto(`${kitPath(workspace.addKit(name.trim() || "New kit"))}/brief`);
  }
  function exportAside() {
    download("set-aside.json", JSON.stringify(workspace.setAside, null, 1));
  }
</script>

<ShelfHeader {...SHELF} />
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

  {#if ownKits.length === 0}
    <StartHere
      demo={workspace.kit("kit:demo-crew-box") !== undefined}
      onown={() => nameField.focus()}
      onbring={() => workspace.addDemo()}
      onfile={() => picker.pick()}
    />
  {/if}
  {#if isExportDue(last, workspace.today, ownKits.length)}
    <p class="noted mb-5 flex flex-wrap items-center gap-3">
      {last === null
        ? "Your kits are stored in this browser only and were never exported."
        : `Last exported on ${day(last)}: what was done since is in this browser only.`}
      <button
        class="btn min-h-10 px-3 py-1"
        onclick={() => {
          exportAll();
          last = lastExport();
        }}>Export now</button
      >
    </p>
  {/if}

  <form class="flex flex-wrap items-end gap-3" onsubmit={addKit}>
    <label class="flex grow flex-col gap-1 sm:max-w-sm"
      ><span class="font-semibold">A kit comes on the bench</span>
      <input
        class="field"
        bind:this={nameField}
        bind:value={name}
        placeholder="What it is called"
        maxlength="300"
      /></label
    >
    <button class="btn btn-main">New kit</button>
    <button class="btn" type="button" onclick={() => picker.pick()}>Import a file</button>
    <FilePicker
      bind:this={picker}
      label="File to import"
      accept=".json,.txt,.csv,.md,.html,.htm,.xlsx,.png,.jpg,.jpeg,.webp,.pdf,.heic"
      onfiles={(files) => void takeFiles(files)}
    />
    <button
      class="btn"
      type="button"
      disabled={workspace.records.size === 0}
      onclick={() => {
        exportAll();
        last = lastExport();
      }}>Export everything</button
    >
  </form>

  <Later>
    {#if rows.length > 0}
      {#if rows.length >= SOUGHT_FROM}
        <div class="mt-6 flex flex-wrap items-end gap-3">
          <label class="flex grow flex-col gap-1 text-sm sm:max-w-xs"
            >Find a kit
            <input
              class="field"
              type="search"
              bind:value={shelf.seek}
              placeholder="name, outing, list"
            /></label
          >
          <OneOf
            label="Order of the shelf"
            class="font-normal"
            value={shelf.order}
            options={SHELF_ORDERS.map((value) => ({ value, label: ORDER_LABEL[value] }))}
            onchoose={(o) => (shelf.order = o)}
          />
          <p class="text-sm text-soft" aria-live="polite">
            {shelf.shown.length} of {many(rows.length, "kit")}
          </p>
        </div>
      {/if}
      <ul class="mt-6 grid gap-3">
        {#each shelf.shown as { k, brief, a, due, isWaiting } (k.id)}
          <li class="sheet flex flex-wrap items-center gap-x-5 gap-y-3 p-4">
            {#if a || isWaiting}<SieveMark a={a ?? NOTHING_YET} />{/if}
            <div class="min-w-0 flex-1 basis-64">
              <a
                class="text-xl font-bold break-words underline decoration-line underline-offset-4 hover:decoration-ink"
                href="{kitPath(k.id)}/{k.kit.lines.length === 0 ? 'brief' : 'sieve'}"
                >{k.kit.name}</a
              >
              <p class="text-sm text-soft">
                {brief?.brief.title || "untitled brief"} · {k.list.title} · {k.kit.lines.length} lines
                {#if k.kit.price}· {money(k.kit.price.amount, k.kit.price.currency)}{/if}
                {#if due}· next due {day(due)}{/if}
                {#if k.history.length > 0}· last note {day(k.history.at(-1)!.on)}{/if}
              </p>
            </div>
            {#if a}
              <div class="min-h-22 min-w-0 flex-1 basis-72">
                <p class="font-head text-lg font-bold">
                  {a.grade ?? "Nothing asked"}
                  <span class="ml-2 font-text text-base font-normal"
                    >{percentRange(a.interval)}</span
                  >
                </p>
                <p class="text-sm text-soft">{decidedBy(a)}</p>
              </div>
            {:else if isWaiting}
              <p class="min-h-22 flex-1 basis-72 text-sm text-soft">Sifting …</p>
            {/if}
            <span class="flex gap-2">
              <button
                class="btn min-h-10 px-3 py-1"
                onclick={() =>
                  brief &&
                  download(
                    fileName(k.kit.name, ".widesieve.json"),
                    JSON.stringify(wholeFileOf(k, brief.brief, workspace.ownTypes), null, 1),
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
        <button class="btn" onclick={() => (wiping = wasWiping = true)}
          >Remove everything from this browser</button
        >
      </div>
    {/if}
  </Later>
</main>
{#if wasWiping}
  {#await import("$lib/ui/ConfirmWipe.svelte") then { default: ConfirmWipe }}
    <ConfirmWipe bind:open={wiping} />
  {/await}
{/if}
