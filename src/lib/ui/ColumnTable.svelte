<script lang="ts" generics="Role extends string">
  import Tick from "$lib/ui/Tick.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  /** The first rows of a table with a choice of what each column holds. */
  interface Props {
    rows: readonly (readonly string[])[];
    roles: (Role | null)[];
    /** What a column may hold; all else is left out. */
    options: readonly (readonly [Role, string])[];
    heading: boolean;
  }
  let { rows, roles = $bindable(), options, heading = $bindable() }: Props = $props();
  /** So many rows tell what the columns are. */
  const SHOWN = 6;
</script>

<div class="mt-4 overflow-x-auto">
  <table class="text-sm">
    <thead
      ><tr>
        {#each roles as role, i (i)}
          <th class="p-1 text-left"
            ><Choice
              label="Column {i + 1} is"
              value={role ?? ""}
              options={[
                { value: "", label: "leave out" },
                ...options.map(([value, label]) => ({ value, label })),
              ]}
              onchoose={(v) => (roles[i] = (v || null) as Role | null)}
            /></th
          >
        {/each}
      </tr></thead
    >
    <tbody>
      {#each rows.slice(0, SHOWN) as row, k (k)}
        <tr class="border-t border-line {k === 0 && heading ? 'text-soft' : ''}"
          >{#each roles.keys() as i (i)}<td class="p-1">{row[i] ?? ""}</td>{/each}</tr
        >
      {/each}
    </tbody>
  </table>
</div>
<Tick class="mt-3" checked={heading} onchange={(on) => (heading = on)}
  >the first row is a heading</Tick
>
