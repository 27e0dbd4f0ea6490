import { audit, type Audit } from "../core/audit/audit.ts";
import type { AuditFile } from "../core/model/auditFile.ts";
import { same } from "../core/records/merge.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import { untrack } from "svelte";
import type { KitState } from "./kit.svelte.ts";
import { workspace } from "./workspace.svelte.ts";

/** Somebody who types presses again within it; nobody waits longer for what another answer would change. */
const PAUSE_MS = 150;

/**
 * What other answers are tried on: the kit without its names, which no number hangs on, as it was when
 * typing paused. Where `follow` is not called it is the kit of this moment.
 */
export class Tried {
  readonly #kit: KitState;
  #former: AuditFile | null = null;
  constructor(kit: KitState) {
    this.#kit = kit;
  }
  /** The same object as before where nothing changed but a name. */
  #now = $derived.by(() => {
    const { file } = this.#kit;
    const next = {
      ...file,
      brief: { ...file.brief, title: "" },
      kit: { ...file.kit, name: "" },
    };
    return (this.#former = same(this.#former, next) ? this.#former! : next);
  });
  #held = $state.raw<AuditFile | null>(null);
  file = $derived(this.#held ?? this.#now);
  audit = $derived<Audit>(audit(this.file, workspace.today, CATALOGUE));

  /** For an effect of the page: from now on a pause in typing is waited for. Gives what stops the wait. */
  follow(): () => void {
    const now = this.#now;
    if (untrack(() => this.#held) === null) {
      this.#held = now;
      return () => undefined;
    }
    const timer = setTimeout(() => (this.#held = now), PAUSE_MS);
    return () => clearTimeout(timer);
  }
}
