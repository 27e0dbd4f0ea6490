<script lang="ts">
  import { Progress } from "bits-ui";
  import { number } from "../words/display.ts";

  /** A picture or PDF that is being read: how far it is, and a way to stop. */
  interface Props {
    name: string;
    page: number;
    pages: number;
    share: number;
    oncancel: () => void;
  }
  const { name, page, pages, share, oncancel }: Props = $props();
  const done = $derived((page - 1 + share) / pages);
  const uid = $props.id();
</script>

<div class="noted mt-3 flex flex-wrap items-center gap-3" role="status">
  <span class="min-w-0 flex-1 basis-56">
    <span id={uid} class="block truncate text-sm font-semibold"
      >Reading {name}{pages > 1 ? `, page ${page} of ${pages}` : ""}</span
    >
    <Progress.Root
      value={Math.round(done * 100)}
      max={100}
      aria-labelledby={uid}
      class="mt-1 h-3 w-full border border-ink bg-sheet"
    >
      <span class="block h-full bg-pass" style="width: {number(done * 100, 0)}%"></span>
    </Progress.Root>
  </span>
  <button class="btn" onclick={oncancel}>Stop</button>
</div>
