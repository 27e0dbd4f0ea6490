<script lang="ts">
  import type { Compartment } from "$lib/core/model/container.ts";
  import type { Places } from "$lib/core/plan/places.ts";
  import { NO_PLACE } from "$lib/words/planTexts.ts";
  import { litres, number } from "$lib/words/sentences.ts";

  /** Where everything goes once the plan is carried out: compartment by compartment. */
  interface Props {
    places: Places;
    compartments: readonly Compartment[];
    nameOf: (line: string) => string;
  }
  const { places, compartments, nameOf }: Props = $props();
  const moved = $derived(places.places.filter((p) => p.now !== null && p.now !== p.compartment));
</script>

<details class="border-t border-line px-5 py-3" data-testid="places">
  <summary class="flex min-h-11 cursor-pointer items-center font-head text-xl font-bold"
    >Where it all goes{moved.length > 0 ? `: ${moved.length} to move` : ""}{places.left.length > 0
      ? `, ${places.left.length} without a place`
      : ""}</summary
  >
  <p class="text-sm text-soft">
    What is wanted fast lies where the hand is first. All of it takes {litres(places.bulkMl)}; the
    compartments hold {litres(places.roomMl)}, three quarters of their room.
  </p>
  <div class="mt-2 grid gap-4 sm:grid-cols-2">
    {#each compartments as c (c.id)}
      {@const own = places.places.filter((p) => p.compartment === c.id)}
      <div>
        <h3 class="text-lg">{c.name || c.id}</h3>
        <ul class="text-sm">
          {#each own as p (p.line)}
            <li class="border-t border-line py-0.5">
              {nameOf(p.line)}{#if p.now !== null && p.now !== p.compartment}
                {" "}<strong>(moves here)</strong>{:else if p.now === null}
                {" "}<span class="text-soft">(new here)</span>{/if}{#if p.lateFor !== null}
                <span class="bad">
                  wanted in {number(p.lateFor)} s: no faster place has room</span
                >{/if}
            </li>
          {:else}
            <li class="text-soft">nothing</li>
          {/each}
        </ul>
      </div>
    {/each}
  </div>
  {#if places.left.length > 0}
    <ul class="noted mt-3 text-sm">
      {#each places.left as l (l.line)}<li>
          <strong>{nameOf(l.line)}</strong>: {NO_PLACE[l.why]}
        </li>{/each}
    </ul>
  {/if}
</details>
