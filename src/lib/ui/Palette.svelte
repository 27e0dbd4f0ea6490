<script lang="ts">
  import { Command, Dialog } from "bits-ui";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { workspace } from "../state/workspace.svelte.ts";
  import { exportAll } from "./exportAll.ts";
  import { kitPath, listPath } from "../state/paths.ts";
  import { STAGES } from "./stages.ts";
  import { toggleTheme } from "./theme.ts";

  interface Props {
    open: boolean;
    /** The sheet of keys is wanted. */
    onkeys?: () => void;
    /** The history of changes is wanted. */
    onhistory?: () => void;
  }
  let { open = $bindable(false), onkeys, onhistory }: Props = $props();
  const kitId = $derived(page.params["id"]);
  interface Entry {
    label: string;
    hint?: string;
    run: () => unknown;
  }
  const entries = $derived<Entry[]>([
    ...(kitId
      ? STAGES.map((s, i) => ({
          label: `Go to ${s.label}`,
          hint: `Alt ${i + 1}`,
          run: () => goto(`/kit/${kitId}/${s.id}`),
        }))
      : []),
    ...(kitId
      ? [
          { label: "Will it last?", run: () => goto(`/kit/${kitId}/last`) },
          { label: "Calendar of this kit", run: () => goto(`/kit/${kitId}/calendar`) },
          { label: "Packing, wear and labels", run: () => goto(`/kit/${kitId}/labels`) },
          { label: "Second opinion on this kit", run: () => goto(`/kit/${kitId}/second`) },
        ]
      : []),
    { label: "Shelf of kits", run: () => goto("/") },
    { label: "In service: all kits with a log", run: () => goto("/service") },
    { label: "Class: make and mark an exercise", run: () => goto("/class") },
    { label: "Practise alone", run: () => goto("/drill") },
    { label: "Compare kits side by side", run: () => goto("/compare") },
    { label: "Reference lists", run: () => goto("/lists") },
    ...workspace.lists.map((r) => ({
      label: `Edit the list ${r.list.title}`,
      run: () => goto(listPath(r.id)),
    })),
    { label: "Price book", run: () => goto("/prices") },
    { label: "Words: what they mean here", run: () => goto("/words") },
    { label: "Settings: units, dates, money", run: () => goto("/settings") },
    ...workspace.kits.map((k) => ({
      label: `Open ${k.kit.name}`,
      run: () => goto(`${kitPath(k.id)}/sieve`),
    })),
    {
      label: "New kit",
      run: () => goto(`${kitPath(workspace.addKit("New kit"))}/brief`),
    },
    ...(workspace.undoLabel
      ? [{ label: `Undo: ${workspace.undoLabel}`, hint: "Ctrl Z", run: () => workspace.undo() }]
      : []),
    ...(workspace.redoLabel
      ? [
          {
            label: `Do again: ${workspace.redoLabel}`,
            hint: "Ctrl Shift Z",
            run: () => workspace.redo(),
          },
        ]
      : []),
    { label: "History: what was done, and back to before it", run: () => onhistory?.() },
    {
      label: "Export everything",
      run: exportAll,
    },
    { label: "Light or dark", run: toggleTheme },
    { label: "Keys: what each one does", hint: "?", run: () => onkeys?.() },
    { label: "Add the demo", run: () => workspace.addDemo() },
  ]);
  function pick(e: Entry) {
    open = false;
    void e.run();
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[12vh] left-1/2 z-50 w-[min(36rem,94vw)] -translate-x-1/2 border-2 border-ink p-2"
    >
      <Dialog.Title class="sr-only">Find a place or a command</Dialog.Title>
      <Command.Root>
        <Command.Input class="field w-full" placeholder="Find a place, a kit or a command" />
        <Command.List class="mt-2 max-h-[50vh] overflow-auto" tabindex={0}>
          <Command.Viewport>
            <Command.Empty class="p-3 text-soft">Nothing by that name.</Command.Empty>
            {#each entries as entry (entry.label)}
              <Command.Item
                class="flex min-h-11 items-center justify-between rounded-sm px-3 data-[selected]:bg-passbg"
                value={entry.label}
                onSelect={() => pick(entry)}
              >
                <span>{entry.label}</span>
                {#if entry.hint}<span class="kbd">{entry.hint}</span>{/if}
              </Command.Item>
            {/each}
          </Command.Viewport>
        </Command.List>
      </Command.Root>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
