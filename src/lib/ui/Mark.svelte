<script lang="ts">
  const { width = 26 }: { width?: number } = $props();
</script>

<svg {width} height={(width * 22) / 26} viewBox="0 0 26 22" aria-hidden="true" class="shrink-0">
  <path
    d="M2 2h22l-3.4 18H5.4z"
    fill="none"
    stroke="currentColor"
    stroke-width="2.2"
    stroke-linejoin="round"
  />
  <path
    d="M9.5 2l1 18M16.5 2l-1 18M3.2 8h19.6M4.3 14h17.4"
    stroke="currentColor"
    stroke-width="1.4"
    fill="none"
  />
</svg>
