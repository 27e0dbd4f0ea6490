<script lang="ts">
  import type { ItemType } from "../core/model/itemType.ts";
  import type { ListDifference } from "../core/reference/compareLists.ts";
  import { DIRECTION_LABEL, FIELD_LABEL, fieldText, quantityText } from "../words/needs.ts";
  import { needLabel } from "../words/sentences.ts";

  interface Props {
    difference: ListDifference;
    typeOf: (id: string) => ItemType | undefined;
  }
  const { difference: d, typeOf }: Props = $props();
</script>

<p class="mt-2 text-sm font-semibold">
  {d.added.length} added, {d.dropped.length} dropped, {d.changed.filter(
    (c) => c.direction === "stricter",
  ).length} stricter, {d.changed.filter((c) => c.direction === "looser").length} looser, {d.changed.filter(
    (c) => c.direction === "other",
  ).length} changed both ways, {d.same} the same{d.reordered ? ", in another order" : ""}.
</p>
<ul class="mt-1 divide-y divide-line text-sm" data-testid="list-difference">
  {#each d.added as n (n.id)}
    <li class="py-1.5">
      <strong>＋ added</strong>
      {needLabel(n.function)}: {n.tier}, {quantityText(n)}
    </li>
  {/each}
  {#each d.dropped as n (n.id)}
    <li class="py-1.5">
      <strong>− dropped</strong>
      {needLabel(n.function)}: {n.tier}, {quantityText(n)}
    </li>
  {/each}
  {#each d.changed as c (c.a.id)}
    <li class="py-1.5">
      <strong
        >{c.direction === "stricter" ? "▲" : c.direction === "looser" ? "▽" : "◇"}
        {DIRECTION_LABEL[c.direction]}</strong
      >
      {needLabel(c.a.function)}:
      {#each c.changes as f, i (f.field)}
        {i > 0 ? "; " : ""}{FIELD_LABEL[f.field]}
        <s class="text-soft">{fieldText(c.a, f.field, typeOf)}</s> → {fieldText(
          c.b,
          f.field,
          typeOf,
        )}{c.changes.length > 1 ? ` (${DIRECTION_LABEL[f.direction]})` : ""}{/each}
    </li>
  {/each}
</ul>
