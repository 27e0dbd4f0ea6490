<script lang="ts">
  import { workspace } from "../state/workspace.svelte.ts";
  import { offerDetail, recordName } from "../words/storeTexts.ts";
</script>

{#if workspace.offers.length > 0}
  <section class="noted mb-5" aria-labelledby="offers">
    <h2 id="offers" class="font-head text-lg font-bold">Kept beside what is in use</h2>
    <p>
      From another window or from an imported file. Nothing here is in use until you say so; undo
      brings back what it replaces.
    </p>
    <ul class="mt-2 divide-y divide-line">
      {#each workspace.offers as offer (offer.id)}
        <li class="flex flex-wrap items-center gap-3 py-2">
          <span class="inline-block grow first-letter:uppercase"
            >{recordName(offer)}<span class="block text-sm text-soft">{offerDetail(offer)}</span
            ></span
          >
          <button
            class="btn px-3"
            onclick={() => workspace.takeOffer(offer.id)}
            aria-label="Use {recordName(offer)} as kept here"
            >{workspace.inPlaceOf(offer) ? "Use this instead" : "Use this"}</button
          >
          <button
            class="btn px-3"
            onclick={() => workspace.dropOffer(offer.id)}
            aria-label="Throw away the kept version of {recordName(offer)}">Throw away</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
