<script lang="ts">
  import { readDateText } from "$lib/core/inspect/dateText.ts";

  interface Props {
    id: string;
    value: string | undefined;
    onvalue: (v: string | undefined) => void;
  }
  const { id, value, onvalue }: Props = $props();
  let text = $state<string | null>(null);
  const read = $derived(text === null ? null : readDateText(text));

  function done() {
    if (text === null) return;
    const r = readDateText(text);
    if (!r.ok) return;
    if (r.value !== value) onvalue(r.value);
    text = null;
  }
</script>

<div>
  <input
    {id}
    class="field w-full font-semibold"
    value={text ?? value ?? ""}
    placeholder="2027-05 or none"
    aria-invalid={read !== null && !read.ok}
    aria-describedby={read && !read.ok ? `${id}-problem` : undefined}
    oninput={(e) => (text = e.currentTarget.value)}
    onblur={done}
    onkeydown={(e) => {
      if (e.key !== "Enter") return;
      done();
      e.currentTarget.blur();
    }}
  />
  {#if read && !read.ok && (text ?? "").length >= 4}
    <span id="{id}-problem" class="bad text-sm font-semibold" role="alert">{read.what}</span>
  {/if}
</div>
