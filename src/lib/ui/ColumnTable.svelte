<script lang="ts" generics="Role extends string">
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
            ><select
              class="field"
              aria-label="Column {i + 1} is"
              value={role ?? ""}
              onchange={(e) => (roles[i] = (e.currentTarget.value || null) as Role | null)}
            >
              <option value="">leave out</option>
              {#each options as [id, label] (id)}<option value={id}>{label}</option>{/each}
            </select></th
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
<label class="mt-3 flex min-h-11 items-center gap-2"
  ><input type="checkbox" class="size-5" bind:checked={heading} />the first row is a heading</label
>
