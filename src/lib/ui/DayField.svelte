<script lang="ts">
  import { onMount, type ComponentProps } from "svelte";
  import { CalendarDays } from "lucide";
  import type DayPicker from "./DayPicker.svelte";
  import { inTurn, isFirstPage } from "./firstPage.ts";
  import Icon from "./Icon.svelte";
  import { workspace } from "../state/workspace.svelte.ts";

  /** A day to pick, where it is wanted at once: the picker comes once the page stands, and the day stands there before. */
  const props: ComponentProps<typeof DayPicker> = $props();
  let Picker = $state.raw<typeof DayPicker | null>(null);
  async function come(): Promise<void> {
    Picker = (await import("./DayPicker.svelte")).default;
  }
  onMount(() => (isFirstPage() ? inTurn(() => void come()) : void come()));

  const NONE: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = {
    day: "dd",
    month: "mm",
    year: "yyyy",
  };
  const parts = $derived.by(() => {
    const locale = workspace.settings.locale || navigator.language;
    const form = new Intl.DateTimeFormat(locale, {
      ...{ day: "2-digit", month: "2-digit", year: "numeric", timeZone: "UTC" },
    });
    const all = form.formatToParts(props.value ? Date.parse(props.value) : 0);
    return props.value ? all : all.map((p) => ({ ...p, value: NONE[p.type] ?? p.value }));
  });
</script>

{#if Picker}
  <span class="inline-flex align-middle"><Picker {...props} /></span>
{:else}
  <span class="inline-flex items-center gap-1 align-middle">
    <span class="field inline-flex items-center gap-0.5 font-semibold">
      {#each parts as { type, value }, i (i)}
        <span class={type === "literal" ? "text-soft" : "min-h-7 px-1 py-1"}>{value}</span>
      {/each}
    </span>
    <span class="btn min-h-11 w-11 px-0"><Icon of={CalendarDays} /></span>
  </span>
{/if}
