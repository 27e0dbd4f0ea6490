<script lang="ts">
  import { useKit } from "../state/kit.svelte.ts";
  import { workspace } from "../state/workspace.svelte.ts";
  import { percent } from "../words/sentences.ts";

  /** Says what moved to who does not see it: coverage and grade, a little after the last change; and saving that fails. */
  const kit = useKit();
  /** Longer than between two keys, so that only where it comes to rest is read out. */
  const AFTER_MS = 1200;
  let said = $state("");
  let last: string | null = null;
  const now = $derived.by((): string => {
    const { interval, grade } = kit.audit;
    return interval
      ? `Coverage ${percent(interval[0])} to ${percent(interval[1])} per cent, ${grade ?? ""}.`
      : "";
  });
  $effect(() => {
    const next = now;
    // What a page opens with is not news.
    if (last === null) {
      last = next;
      return;
    }
    if (next === last) return;
    const timer = setTimeout(() => {
      last = next;
      said = next;
    }, AFTER_MS);
    return () => clearTimeout(timer);
  });
</script>

<p class="sr-only" role="status" data-testid="announced">{said}</p>
{#if workspace.save.is === "failed"}<p class="sr-only" role="alert">
    Not saved: {workspace.save.why}.
  </p>{/if}
