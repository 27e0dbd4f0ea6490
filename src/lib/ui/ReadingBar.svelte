<script lang="ts">
  import { Progress } from "bits-ui";
  import { number } from "../words/display.ts";

  /** How far reading is. */
  interface Props {
    /** What is being read. */
    label: string;
    /** 0–1. */
    done: number;
  }
  const { label, done }: Props = $props();
  const uid = $props.id();
</script>

<span class="min-w-0 flex-1 basis-56">
  <span id={uid} class="block truncate text-sm font-semibold">{label}</span>
  <Progress.Root
    value={Math.round(done * 100)}
    max={100}
    aria-labelledby={uid}
    class="mt-1 h-3 w-full border border-ink bg-sheet"
  >
    <span class="block h-full bg-pass" style="width: {number(done * 100, 0)}%"></span>
  </Progress.Root>
</span>
