<script lang="ts">
  import { Dialog } from "bits-ui";
  import { goto } from "$app/navigation";
  import { mappedCard } from "../core/card/columns.ts";
  import type { ColumnRole } from "../core/card/columnRole.ts";
  import { reading } from "../state/reading.svelte.ts";
  import { workspace } from "../state/workspace.svelte.ts";
  import ColumnTable from "./ColumnTable.svelte";
  import { addCard, readAnew } from "../state/import/takeFile.ts";
  import { kitPath } from "../state/paths.ts";

  /** Asks what the columns of a dropped table are, where their heading does not tell. */
  const pending = $derived(workspace.columns);
  let roles = $state<(ColumnRole | null)[]>([]);
  let heading = $state(true);
  $effect(() => {
    if (pending) {
      roles = [...pending.guess.roles];
      heading = pending.kit === undefined && pending.guess.roles.some((r) => r !== null);
      if (pending.kit !== undefined) heading = pending.guess.hasHeading === true;
    }
  });
  const ROLES: readonly (readonly [ColumnRole, string])[] = [
    ["text", "the item"],
    ["quantity", "how many"],
    ["packs", "how many packs"],
    ["loose", "loose ones beside packs"],
    ["there", "whether it is there"],
    ["size", "size"],
    ["unit", "unit or pack"],
  ];
  const ready = $derived(roles.includes("text"));

  async function take() {
    if (!pending) return;
    const { guess, name, kit, around } = pending;
    const text = mappedCard(guess.rows, roles, heading);
    workspace.columns = null;
    if (heading) reading.learnColumns(guess.rows[0]!, roles);
    if (kit === undefined) await goto(`${kitPath(addCard(name, text))}/unpack`);
    else readAnew(kit, [around?.[0], text, around?.[1]].filter((t) => t).join("\n"));
  }
</script>

<Dialog.Root open={pending !== null} onOpenChange={(o) => !o && (workspace.columns = null)}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(56rem,94vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-6"
    >
      <Dialog.Title class="font-head text-2xl font-bold">What are these columns?</Dialog.Title>
      <Dialog.Description class="text-sm text-soft"
        >{pending?.name}: the heading does not say which column names the item and which counts it.</Dialog.Description
      >
      {#if pending}
        <ColumnTable rows={pending.guess.rows} bind:roles bind:heading options={ROLES} />
        <div class="mt-3 flex gap-3">
          <button class="btn btn-main" disabled={!ready} onclick={take}>Read it</button
          ><Dialog.Close class="btn">Not now</Dialog.Close>
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
