<script lang="ts">
  import { Check, CircleHelp, Minus, X } from "lucide";
  import Icon from "./Icon.svelte";

  /** How something stands; the words beside it say it too. */
  interface Props {
    state: "good" | "bad" | "open" | "none";
    size?: number;
  }
  const { state, size = 18 }: Props = $props();
  const SHAPES = { good: Check, bad: X, open: CircleHelp, none: Minus } as const;
  const Shape = $derived(SHAPES[state]);
</script>

<Icon of={Shape} {size} weight={2.5} class="inline-block shrink-0 align-[-0.15em]" />
