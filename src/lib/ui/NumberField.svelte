<script lang="ts">
  import { number, typedUnit, type TypedUnit } from "../words/display.ts";

  interface Props {
    value: number | undefined;
    label: string;
    min?: number;
    max?: number;
    whole?: boolean;
    /** Whether the field may be left empty. */
    optional?: boolean;
    unit?: string;
    /** Stands within the field, behind the number. */
    mark?: string;
    /** A measure that is typed in the unit of the user's choice and stored in g, ml or cm. */
    of?: "mass" | "volume" | "height";
    width?: string;
    id?: string;
    onvalue: (n: number | undefined) => void;
  }
  const {
    value,
    label,
    min = 0,
    max = 100_000,
    whole = false,
    optional = false,
    unit = "",
    mark = "",
    of,
    width = "w-20",
    id,
    onvalue,
  }: Props = $props();
  const typed = $derived<TypedUnit>(of ? typedUnit(of) : { label: unit, factor: 1 });
  let text = $state<string | null>(null);
  const problem = $derived(text === null ? null : check(text));
  const uid = $props.id();

  const numberIn = (t: string): number => Number(t.replace(",", ".").replace("−", "-"));
  function check(t: string): string | null {
    if (t.trim() === "") return optional ? null : "a number is wanted";
    const n = numberIn(t);
    if (!Number.isFinite(n)) return "is not a number";
    if (whole && !Number.isInteger(n)) return "must be a whole number";
    if (n * typed.factor < min) return `must be at least ${number(min / typed.factor)}`;
    if (n * typed.factor > max) return `must be at most ${number(max / typed.factor)}`;
    return null;
  }
  function input(t: string) {
    text = t;
    if (check(t) === null) onvalue(t.trim() === "" ? undefined : numberIn(t) * typed.factor);
  }
</script>

<span class="inline-flex flex-col">
  <span class="relative inline-flex items-center gap-1">
    <input
      id={id ?? uid}
      class="field {width} font-semibold"
      inputmode={whole ? "numeric" : "decimal"}
      aria-label={label}
      aria-invalid={problem !== null}
      aria-describedby={problem ? `${uid}-problem` : undefined}
      value={text ??
        (value === undefined ? "" : number(value / typed.factor, typed.factor === 1 ? 6 : 2))}
      oninput={(e) => input(e.currentTarget.value)}
      onblur={() => (text = problem === null ? null : text)}
    />
    {#if mark}<span
        class="pointer-events-none absolute right-1.5 text-xs text-soft"
        aria-hidden="true">{mark}</span
      >{/if}
    {#if typed.label}<span>{typed.label}</span>{/if}
  </span>
  {#if problem}<span id="{uid}-problem" class="bad text-sm font-semibold" role="alert"
      >{label} {problem}</span
    >{/if}
</span>
