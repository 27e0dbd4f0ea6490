<script lang="ts">
  import { weaveDefs } from "../report/weaves.ts";
</script>

<!-- The seven weaves, coarse to fine, as patterns that any picture on the page may fill with. -->
<svg width="0" height="0" class="absolute" aria-hidden="true" focusable="false">
  <!-- eslint-disable-next-line svelte/no-at-html-tags -- drawings of our own, no text of anybody's -->
  {@html weaveDefs("currentColor", "var(--sheet)")}
</svg>
