<script lang="ts">
  import ReadingBar from "./ReadingBar.svelte";

  /** A picture or PDF that is being read: how far it is, and a way to stop. */
  interface Props {
    name: string;
    page: number;
    pages: number;
    share: number;
    oncancel: () => void;
  }
  const { name, page, pages, share, oncancel }: Props = $props();
</script>

<div class="noted mt-3 flex flex-wrap items-center gap-3" role="status">
  <ReadingBar
    label={`Reading ${name}${pages > 1 ? `, page ${page} of ${pages}` : ""}`}
    done={(page - 1 + share) / pages}
  />
  <button class="btn" onclick={oncancel}>Stop</button>
</div>
