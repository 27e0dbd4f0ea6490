<script lang="ts">
  import { DropdownMenu } from "bits-ui";
  import { Ellipsis } from "lucide";
  import Icon from "$lib/ui/Icon.svelte";

  /** What else can be done with a line, and the button that opens it. */
  interface Props {
    name: string;
    does: readonly { readonly label: string; readonly run: () => void }[];
    open: boolean;
    trigger: HTMLElement | null;
  }
  let { name, does, open = $bindable(), trigger = $bindable() }: Props = $props();
</script>

<DropdownMenu.Root bind:open>
  <DropdownMenu.Trigger
    bind:ref={trigger}
    class="btn min-h-11 w-11 px-0"
    aria-label="More for {name}"><Icon of={Ellipsis} /></DropdownMenu.Trigger
  >
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      class="sheet z-50 min-w-52 border-ink shadow-lg"
      align="end"
      collisionPadding={8}
    >
      {#each does as { label, run } (label)}
        <DropdownMenu.Item
          class="flex min-h-11 cursor-pointer items-center px-3 data-highlighted:bg-passbg"
          onSelect={run}>{label}</DropdownMenu.Item
        >
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
