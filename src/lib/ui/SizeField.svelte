<script lang="ts">
  import { lex } from "$lib/core/card/lexer.ts";
  import { readQuantity } from "$lib/core/card/quantity.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { size } from "$lib/words/sentences.ts";

  interface Props {
    line: Line;
    width?: string;
    id?: string;
    onsize: (mm: number[] | undefined) => void;
  }
  const { line, width = "w-36", id, onsize }: Props = $props();
  let text = $state<string | null>(null);
  const read = (t: string) => readQuantity(lex(t)).sizeMm;
  const problem = $derived(text !== null && text.trim() !== "" && read(text) === null);
  const uid = $props.id();

  function done() {
    if (text === null) return;
    const mm = read(text);
    if (text.trim() === "") onsize(undefined);
    else if (mm) onsize([...mm]);
    if (text.trim() === "" || mm) text = null;
  }
</script>

<span class="flex flex-col">
  <input
    id={id ?? uid}
    class="field {width} text-base text-ink"
    aria-label="Size, as 7.5 x 7.5 cm"
    aria-invalid={problem}
    aria-describedby={problem ? `${uid}-p` : undefined}
    value={text ?? (line.sizeMm ? size(line.sizeMm) : "")}
    placeholder="not read"
    oninput={(e) => (text = e.currentTarget.value)}
    onblur={done}
    onkeydown={(e) => e.key === "Enter" && done()}
  />
  {#if problem}<span id="{uid}-p" class="bad text-sm font-semibold" role="alert"
      >write numbers with a unit, as 7.5 x 7.5 cm or 3 in x 5 yd</span
    >{/if}
</span>
