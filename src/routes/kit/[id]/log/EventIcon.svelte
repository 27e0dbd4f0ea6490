<script lang="ts">
  import {
    ArrowLeftRight,
    Backpack,
    ClipboardCheck,
    Eye,
    Handshake,
    Hash,
    Lock,
    LockOpen,
    OctagonX,
    ScanLine,
    TrendingDown,
    TrendingUp,
    Undo2,
    Wrench,
  } from "lucide";
  import Icon from "$lib/ui/Icon.svelte";
  import type { EventKind } from "$lib/core/model/event.ts";

  const { kind }: { kind: EventKind } = $props();
  const SHAPES = {
    used: TrendingDown,
    "put-back": TrendingUp,
    counted: Hash,
    sealed: Lock,
    "seal-broken": LockOpen,
    checked: Eye,
    carried: Backpack,
    outside: ScanLine,
    maintained: Wrench,
    recalled: OctagonX,
    moved: ArrowLeftRight,
    "handed-over": Handshake,
    "plan-done": ClipboardCheck,
    undone: Undo2,
  } as const;
  const Shape = $derived(SHAPES[kind]);
  const colour = $derived(
    kind === "used" || kind === "recalled" || kind === "seal-broken"
      ? "text-held"
      : kind === "carried"
        ? "text-note"
        : "text-pass",
  );
</script>

<Icon of={Shape} size={18} class="shrink-0 {colour}" />
