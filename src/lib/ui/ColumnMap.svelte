<script lang="ts">
  import { Dialog } from "bits-ui";
  import { goto } from "$app/navigation";
  import { mappedCard } from "../core/card/columns.ts";
  import type { ColumnRole } from "../core/card/layout.ts";
  import { workspace } from "../state/workspace.svelte.ts";
  import { addCard, kitPath } from "./files.ts";

  /** Asks what the columns of a dropped table are, where their heading does not tell. */
  const pending = $derived(workspace.columns);
  let roles = $state<(ColumnRole | null)[]>([]);
  let heading = $state(true);
  $effect(() => {
    if (pending) {
      roles = [...pending.guess.roles];
      heading = pending.guess.roles.some((r) => r !== null);
    }
  });
  const ROLES: readonly { id: ColumnRole | ""; label: string }[] = [
    { id: "", label: "leave out" },
    { id: "text", label: "the item" },
    { id: "quantity", label: "how many" },
    { id: "size", label: "size" },
    { id: "unit", label: "unit or pack" },
  ];
  const ready = $derived(roles.includes("text"));

  async function take() {
    if (!pending) return;
    const text = mappedCard(pending.guess.rows, roles, heading);
    const name = pending.name;
    workspace.columns = null;
    await goto(`${kitPath(addCard(name, text))}/unpack`);
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
        <div class="mt-4 overflow-x-auto">
          <table class="text-sm">
            <thead
              ><tr>
                {#each roles as role, i (i)}
                  <th class="p-1 text-left"
                    ><select
                      class="field"
                      aria-label="Column {i + 1} is"
                      value={role ?? ""}
                      onchange={(e) =>
                        (roles[i] = (e.currentTarget.value || null) as ColumnRole | null)}
                    >
                      {#each ROLES as r (r.id)}<option value={r.id}>{r.label}</option>{/each}
                    </select></th
                  >
                {/each}
              </tr></thead
            >
            <tbody>
              {#each pending.guess.rows.slice(0, 6) as row, k (k)}
                <tr class="border-t border-line {k === 0 && heading ? 'text-soft' : ''}"
                  >{#each roles.keys() as i (i)}<td class="p-1">{row[i] ?? ""}</td>{/each}</tr
                >
              {/each}
            </tbody>
          </table>
        </div>
        <label class="mt-3 flex min-h-9 items-center gap-2"
          ><input type="checkbox" class="size-5" bind:checked={heading} />the first row is a heading</label
        >
        <div class="mt-3 flex gap-3">
          <button class="btn btn-main" disabled={!ready} onclick={take}>Read it</button
          ><Dialog.Close class="btn">Not now</Dialog.Close>
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
