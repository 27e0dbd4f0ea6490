<script lang="ts">
  import { Progress } from "bits-ui";

  /** How far a piece of work is; beside it stands what it is, and a way to stop it. */
  interface Props {
    label: string;
    value: number;
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
  <span class="block h-full bg-pass" style="width: {max > 0 ? (100 * value) / max : 0}%"></span>
</Progress.Root>
