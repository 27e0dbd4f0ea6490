<script lang="ts">
  import { parseDate } from "@internationalized/date";
  import { DatePicker } from "bits-ui";
  import { CalendarDays, ChevronLeft, ChevronRight } from "lucide";
  import Icon from "./Icon.svelte";
  import { isDay } from "../core/base/dates.ts";
  import { workspace } from "../state/workspace.svelte.ts";

  /** A day, typed part by part in the order of the reader's own place, or picked from a month. */
  interface Props {
    label: string;
    /** YYYY-MM-DD; undefined: none. */
    value: string | undefined;
    onday: (day: string | undefined) => void;
    id?: string;
  }
  const { label, value, onday, id }: Props = $props();
  // What the browser says where nobody chose, as everywhere else.
  const locale = $derived(workspace.settings.locale || navigator.language);
  const day = $derived(value && isDay(value) ? parseDate(value) : undefined);
</script>

<DatePicker.Root
  bind:value={() => day, (d) => d?.toString() !== value && onday(d?.toString())}
  {locale}
  weekStartsOn={1}
  fixedWeeks
>
  <span class="inline-flex items-center gap-1 align-middle">
    <DatePicker.Input
      {id}
      class="field inline-flex items-center gap-0.5 font-semibold"
      aria-label={label}
    >
      {#snippet children({ segments })}
        {#each segments as { part, value: text }, i (i)}
          {#if part === "literal"}
            <DatePicker.Segment {part} class="text-soft">{text}</DatePicker.Segment>
          {:else}
            <DatePicker.Segment
              {part}
              class="min-h-7 rounded-xs px-1 py-1 focus:bg-pick focus:text-onpick"
              >{text}</DatePicker.Segment
            >
          {/if}
        {/each}
      {/snippet}
    </DatePicker.Input>
    <DatePicker.Trigger class="btn min-h-11 w-11 px-0" aria-label="{label}: choose from a month">
      <Icon of={CalendarDays} size={18} />
    </DatePicker.Trigger>
  </span>
  <DatePicker.Content class="sheet z-50 border-2 border-ink p-3" sideOffset={4}>
    <DatePicker.Calendar>
      {#snippet children({ months, weekdays })}
        <DatePicker.Header class="flex items-center justify-between gap-2">
          <DatePicker.PrevButton class="btn min-h-11 w-11 px-0" aria-label="The month before"
            ><Icon of={ChevronLeft} size={18} /></DatePicker.PrevButton
          >
          <DatePicker.Heading class="font-semibold" />
          <DatePicker.NextButton class="btn min-h-11 w-11 px-0" aria-label="The month after"
            ><Icon of={ChevronRight} size={18} /></DatePicker.NextButton
          >
        </DatePicker.Header>
        {#each months as month (month.value.toString())}
          <DatePicker.Grid class="mt-2">
            <DatePicker.GridHead>
              <DatePicker.GridRow class="flex">
                {#each weekdays as name, i (i)}
                  <DatePicker.HeadCell class="w-11 text-center text-sm font-normal text-soft"
                    >{name}</DatePicker.HeadCell
                  >
                {/each}
              </DatePicker.GridRow>
            </DatePicker.GridHead>
            <DatePicker.GridBody>
              {#each month.weeks as week, i (i)}
                <DatePicker.GridRow class="flex">
                  {#each week as date (date.toString())}
                    <DatePicker.Cell {date} month={month.value}>
                      <DatePicker.Day
                        class="flex size-11 items-center justify-center rounded-sm hover:bg-passbg data-outside-month:text-soft data-selected:bg-pick data-selected:text-onpick data-today:underline"
                      />
                    </DatePicker.Cell>
                  {/each}
                </DatePicker.GridRow>
              {/each}
            </DatePicker.GridBody>
          </DatePicker.Grid>
        {/each}
      {/snippet}
    </DatePicker.Calendar>
  </DatePicker.Content>
</DatePicker.Root>
