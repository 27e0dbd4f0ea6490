<script lang="ts">
  /** One button that starts a piece of work and stops it: the focus stays on it throughout. */
  interface Props {
    running: boolean;
    start: string;
    onstart: () => void;
    onstop: () => void;
    main?: boolean;
    disabled?: boolean;
    class?: string;
  }
  const {
    running,
    start,
    onstart,
    onstop,
    main = false,
    disabled = false,
    class: look = "",
  }: Props = $props();
</script>

<button
  class="btn {main && !running ? 'btn-main' : ''} {look}"
  disabled={disabled && !running}
  onclick={() => (running ? onstop() : onstart())}>{running ? "Stop" : start}</button
>
