<script lang="ts">
  import { Progress } from "bits-ui";

  /** How far a piece of work is; beside it stands what it is, and a way to stop it. */
  interface Props {
    label: string;
    /** null: nobody knows how far. */
    value: number | null;
    max?: number;
    class?: string;
  }
  const { label, value, max = 1, class: look = "w-36" }: Props = $props();
</script>

<Progress.Root
  {value}
  {max}
  aria-label={label}
  class="inline-block h-3 overflow-hidden rounded-full border border-ink bg-sheet align-middle {look}"
>
  {#if value === null}
    <span class="block h-full w-1/3 animate-pulse bg-pass motion-reduce:animate-none"></span>
  {:else}
    <span class="block h-full bg-pass" style="width: {max > 0 ? (100 * value) / max : 0}%"></span>
  {/if}
</Progress.Root>
