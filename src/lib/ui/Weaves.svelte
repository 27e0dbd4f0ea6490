<script lang="ts">
  /** Stroke of the line weaves, px. */
  const { stroke = 1.3 }: { stroke?: number } = $props();
</script>

<!-- The seven weaves, coarse to fine, as patterns that any picture on the page may fill with. -->
<svg width="0" height="0" class="absolute" aria-hidden="true" focusable="false">
  <defs>
    <pattern id="weave-here" width="14" height="14" patternUnits="userSpaceOnUse">
      <path d="M0 7H14M7 0V14" stroke="currentColor" stroke-width={stroke} fill="none" />
    </pattern>
    <pattern id="weave-real" width="12" height="12" patternUnits="userSpaceOnUse">
      <path d="M0 0L12 12M12 0L0 12" stroke="currentColor" stroke-width={stroke} fill="none" />
    </pattern>
    <pattern id="weave-enough" width="12" height="8" patternUnits="userSpaceOnUse">
      <path
        d="M0 .5H12M0 4.5H12M3 0V4M9 4V8"
        stroke="currentColor"
        stroke-width={stroke}
        fill="none"
      />
    </pattern>
    <pattern id="weave-sound" width="10" height="10" patternUnits="userSpaceOnUse">
      <path
        d="M0 1H5M0 3H5M6 0V5M8 0V5M5 6H10M5 8H10M1 5V10M3 5V10"
        stroke="currentColor"
        stroke-width="1"
        fill="none"
      />
    </pattern>
    <pattern id="weave-fresh" width="6" height="6" patternUnits="userSpaceOnUse">
      <path
        d="M-1 1L1 -1M0 6L6 0M5 7L7 5"
        stroke="currentColor"
        stroke-width={stroke}
        fill="none"
      />
    </pattern>
    <pattern id="weave-handy" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill="currentColor" />
      <circle cx="2.5" cy="2.5" r="1.35" fill="var(--sheet)" />
    </pattern>
    <pattern id="weave-usable" width="3.4" height="3.4" patternUnits="userSpaceOnUse">
      <path d="M0 1.7H3.4M1.7 0V3.4" stroke="currentColor" stroke-width="1" fill="none" />
    </pattern>
  </defs>
</svg>
