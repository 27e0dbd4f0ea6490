import { VERDICTS, type VerdictId } from "$lib/core/audit/verdict.ts";
import { wedge, withoutDoubles } from "$lib/devices/scanner.ts";
import type { BenchState } from "$lib/state/pages/bench.svelte.ts";
import { workspace } from "$lib/state/workspace.svelte.ts";
import { inDialog, onControl, shortcuts, typing } from "$lib/ui/keys.ts";
import { VERDICT_KEY } from "$lib/words/verdicts.ts";

/** What keys move on the bench's page. */
export interface BenchParts {
  readonly bench: BenchState;
  readonly go: (step: 1 | -1) => void;
  /** @param first typed into the field that gets the focus */
  readonly focus: (id: string, first?: string) => void;
  /** All, or the rest, is sound. */
  readonly sound: () => void;
  /** Asks what the item is. */
  readonly ask: () => void;
  readonly decide: (verdict: VerdictId) => void;
  readonly pickPhoto: () => void;
  readonly pickWrapper: () => void;
  readonly pressStopwatch: () => void;
}

/** Letters act only with the focus in the item or its list, never from the trail (WCAG 2.1.4). */
function inItem(e: Event): boolean {
  // A key that came before the item was there had no target; by now its name has the focus.
  const at = e.target === document.body ? document.activeElement : e.target;
  return at instanceof Element && at.closest("[data-keys]") !== null;
}

/** What a key pressed does on the bench: a scanner's code, a shortcut, or leaving a field. */
export function benchKeys(parts: BenchParts): (e: KeyboardEvent) => void {
  const { bench, go, focus } = parts;
  const wedgeKeys = wedge(
    withoutDoubles(
      (code) => bench.scanned(code),
      () => performance.now(),
    ),
  );
  const answer = (good: boolean) => bench.nextPoint && bench.answer(bench.nextPoint.id, good);
  const bindings = shortcuts({
    f: () => answer(true),
    d: () => answer(false),
    j: () => go(1),
    k: () => go(-1),
    ArrowDown: () => go(1),
    ArrowUp: () => go(-1),
    ...Object.fromEntries(VERDICTS.map((v) => [VERDICT_KEY[v], () => parts.decide(v)])),
    i: () => parts.ask(),
    b: () => focus("bench-why"),
    c: () => focus("bench-count"),
    e: () => focus("bench-date"),
    g: () => bench.sameDate(),
    s: () => focus("bench-size"),
    l: () => bench.nextPlace(),
    n: () => focus("bench-note"),
    p: () => parts.pickPhoto(),
    v: () => parts.pickWrapper(),
    u: () => workspace.undo(),
    o: () => bench.nextOrder(),
    Enter: (e) => !onControl(e) && parts.sound(),
    Space: (e) => !onControl(e) && parts.pressStopwatch(),
    "(\\d)": (e) => !onControl(e) && focus("bench-date", e.key),
  });
  return (e) => {
    if (e.defaultPrevented) wedgeKeys.clear();
    else if (wedgeKeys.key(e)) e.preventDefault();
    else if (e.key === "Escape" && typing(e)) (e.target as HTMLElement).blur();
    else if (workspace.settings.singleKeys !== false && inItem(e) && !typing(e) && !inDialog(e))
      bindings(e);
  };
}
