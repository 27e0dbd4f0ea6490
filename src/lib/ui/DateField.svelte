<script lang="ts">
  import { problemText } from "../words/problems.ts";
  import { readDates, readDateText, type DatedPart } from "$lib/core/inspect/dateText.ts";
  import { day } from "$lib/words/display.ts";

  interface Props {
    id: string;
    value: string | undefined;
    /** Pieces that lie there: with it several dates may be typed, "3 2027-05, rest 2026-10". */
    pieces?: number;
    placeholder?: string;
    onvalue: (v: string | undefined) => void;
    onparts?: (parts: readonly DatedPart[]) => void;
  }
  const { id, value, pieces, placeholder = "0527 or none", onvalue, onparts }: Props = $props();
  let text = $state<string | null>(null);
  let field: HTMLInputElement;
  const read = $derived(text === null ? null : readDateText(text));
  const parts = $derived(
    onparts && text !== null && /[,;]|\brest\b|\band\b/i.test(text)
      ? readDates(text, pieces ?? 0)
      : null,
  );
  const choices = $derived(read && !read.ok && !parts ? (read.choices ?? []) : []);
  const problem = $derived(
    parts
      ? parts.ok
        ? null
        : problemText(parts.problem)
      : read && !read.ok
        ? problemText(read.problem)
        : null,
  );

  /** Whether the field holds nothing that waits. */
  function done(): boolean {
    if (text === null) return true;
    if (parts) {
      if (!parts.ok) return false;
      onparts!(parts.parts);
      text = null;
      return true;
    }
    const r = readDateText(text);
    if (!r.ok) return false;
    if (r.value !== value) onvalue(r.value);
    text = null;
    return true;
  }
  function choose(date: string) {
    onvalue(date);
    text = null;
    field.blur();
  }
</script>

<div>
  <input
    {id}
    bind:this={field}
    class="field w-full font-semibold"
    value={text ?? value ?? ""}
    {placeholder}
    autocomplete="off"
    aria-invalid={problem !== null}
    aria-describedby={problem ? `${id}-problem` : undefined}
    oninput={(e) => (text = e.currentTarget.value)}
    onblur={done}
    onkeydown={(e) => {
      if (e.key === "Enter" && done()) {
        // The bench listens too: this Enter was for the field alone.
        e.preventDefault();
        e.currentTarget.blur();
      }
    }}
  />
  {#if problem && (text ?? "").length >= 4}
    <span id="{id}-problem" class="bad block text-sm font-semibold" role="alert">{problem}</span>
    {#if choices.length > 0}
      <span class="mt-1 flex flex-wrap gap-2">
        {#each choices as c (c)}
          <button
            class="btn min-h-9 px-2 py-1 text-sm"
            onmousedown={(e) => e.preventDefault()}
            onclick={() => choose(c)}>{day(c)}</button
          >
        {/each}
      </span>
    {/if}
  {:else if parts?.ok}
    <span class="block text-sm"
      >{parts.parts.map((p) => `${p.pieces} good to ${day(p.expires)}`).join(", ")}: Enter parts the
      line</span
    >
  {/if}
</div>
