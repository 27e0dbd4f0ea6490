<script lang="ts" module>
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  /** The reason without the sum of an earlier time. */
  const keptReason = (reason: string | undefined): string =>
    (reason ?? "").replace(/\s*Worked out: .*$/s, "").trim();
</script>

<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import type { Brief } from "$lib/core/model/brief.ts";
  import type { Need } from "$lib/core/model/list.ts";
  import { dressings } from "$lib/core/calculators/dressings.ts";
  import { irrigation, ML_PER_CM } from "$lib/core/calculators/irrigation.ts";
  import { calculatorFor } from "$lib/core/calculators/calculatorFor.ts";
  import type { CalculatorId } from "$lib/core/calculators/calculation.ts";
  import { tablets } from "$lib/core/calculators/tablets.ts";
  import { tape } from "$lib/core/calculators/tape.ts";
  import { wraps, type Limb } from "$lib/core/calculators/wraps.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { stepText, CALCULATOR_LABEL, calculationReason } from "$lib/words/calculations.ts";
  import { things } from "$lib/words/things.ts";

  interface Props {
    need: Need;
    brief: Brief;
    onuse: (quantity: Need["quantity"], reason: string) => void;
  }
  const { need, brief, onuse }: Props = $props();
  const kind = $derived<CalculatorId | null>(calculatorFor(need.function, CATALOGUE));
  const metres = $derived(CATALOGUE.functions.get(need.function)?.unit === "metre");

  let limb = $state<Limb>("leg");
  let input = $state({
    limbs: 1,
    widthCm: 10,
    lengthM: 4.5,
    overlap: 50,
    girthCm: undefined as number | undefined,
    wounds: 2,
    everyH: 12,
    padCm: 10,
    woundCm: 4,
    mlPerCm: 50,
    share: 25,
    perDay: 4,
    labelMost: 4,
  });
  type Key = keyof typeof input;
  const FIELDS: Record<CalculatorId, readonly (readonly [Key, string, string, number, number])[]> =
    {
      wraps: [
        ["limbs", "limbs", "", 1, 20],
        ["widthCm", "bandage width", "cm", 1, 50],
        ["lengthM", "bandage length", "m", 0.2, 50],
        ["overlap", "overlap", "%", 0, 90],
        ["girthCm", "girth, if measured", "cm", 5, 150],
      ],
      dressings: [
        ["wounds", "wounds expected", "", 0, 1000],
        ["everyH", "changed every", "h", 1, 72],
      ],
      tape: [
        ["wounds", "wounds expected", "", 0, 1000],
        ["everyH", "changed every", "h", 1, 72],
        ["padCm", "side of the pad", "cm", 1, 60],
      ],
      irrigation: [
        ["wounds", "dirty wounds", "", 0, 1000],
        ["woundCm", "length of each", "cm", 0.5, 100],
        ["mlPerCm", `ml a cm, taught ${ML_PER_CM.least} to ${ML_PER_CM.most}`, "ml", 1, 500],
      ],
      tablets: [
        ["share", "who need them on a day", "%", 0, 100],
        ["perDay", "doses a day", "", 0, 50],
        ["labelMost", "the label's most a day", "", 1, 50],
      ],
    };
  const sum = $derived.by(() => {
    switch (kind) {
      case "wraps":
        return wraps(
          {
            limb,
            limbs: input.limbs,
            widthMm: input.widthCm * 10,
            lengthMm: input.lengthM * 1000,
            overlap: input.overlap / 100,
            ...(input.girthCm ? { girthMm: input.girthCm * 10 } : {}),
          },
          brief,
          metres,
        );
      case "dressings":
        return dressings(input, brief);
      case "tape":
        return tape({ ...input, padSideMm: input.padCm * 10 }, brief);
      case "irrigation":
        return irrigation({ ...input, lengthMm: input.woundCm * 10 }, brief);
      case "tablets":
        return tablets({ ...input, share: input.share / 100 }, brief);
      default:
        return null;
    }
  });
</script>

{#if kind && sum}
  <details class="mt-3 border-y border-line py-1">
    <summary class="min-h-11 cursor-pointer py-2 font-semibold"
      >Work it out: {CALCULATOR_LABEL[kind]}</summary
    >
    <div class="mt-1 flex flex-wrap gap-x-4 gap-y-2">
      {#if kind === "wraps"}
        <label class="flex flex-col text-sm"
          >limb<Choice
            label="limb"
            value={limb}
            options={[
              { value: "leg", label: "a leg" },
              { value: "arm", label: "an arm" },
            ]}
            onchoose={(v) => (limb = v as typeof limb)}
          /></label
        >
      {/if}
      {#each FIELDS[kind] as [key, label, unit, min, max] (key)}
        <label class="flex flex-col text-sm"
          >{label}<NumberField
            {label}
            {unit}
            {min}
            {max}
            value={input[key]}
            optional={key === "girthCm"}
            onvalue={(n) => {
              if (key === "girthCm") input.girthCm = n;
              else if (n !== undefined) input[key] = n;
            }}
          /></label
        >
      {/each}
    </div>
    <p class="mt-2 text-sm" aria-live="polite" data-testid="sum">
      {sum.steps.map(stepText).join(", ")}:
      <strong>{things(need.function, sum.amount)}</strong>.
    </p>
    <ul class="mt-1 list-disc pl-5 text-sm text-soft" aria-label="Assumed">
      {#each sum.assumed as s (s.code)}<li>{stepText(s)}</li>{/each}
    </ul>
    <button
      class="btn mt-2 mb-2"
      onclick={() =>
        onuse(
          sum.quantity,
          [keptReason(need.reason), calculationReason(sum, need.function)]
            .filter(Boolean)
            .join(" "),
        )}>Use it as the quantity</button
    >
  </details>
{/if}
