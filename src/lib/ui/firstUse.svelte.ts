import { onMount, tick, type Component } from "svelte";

/** What a press opens, as its file has it: `() => import("./ChoiceList.svelte")`. */
export type Opened<Props extends object> = () => Promise<{ readonly default: Component<Props> }>;

/** The page stands by then, and nobody has yet found what to press. */
const FETCHED_AFTER_MS = 1000;
const fetched = new WeakSet<object>();

/**
 * A list, menu or explanation that is made when it is first used: a page may have a hundred of them. Until then
 * there stands what it is opened by. Its program comes once the page stands, or with the first press.
 */
export class FirstUse<Props extends object> {
  /** Made: what stands in the place of what it is opened by. */
  made = $state.raw<Component<Props> | null>(null);
  open = $state(false);
  /** What opens it, once it is made: the focus comes back to it. */
  trigger = $state<HTMLElement | null>(null);

  readonly #opened: Opened<Props>;
  constructor(opened: Opened<Props>) {
    this.#opened = opened;
    onMount(() => {
      if (fetched.has(opened)) return;
      fetched.add(opened);
      setTimeout(() => void opened().catch(() => fetched.delete(opened)), FETCHED_AFTER_MS);
    });
  }

  /** Makes it, with the focus where it is opened. */
  async use(): Promise<void> {
    this.made = (await this.#opened()).default;
    await tick();
    this.trigger?.focus();
  }
  async useAndOpen(): Promise<void> {
    await this.use();
    this.open = true;
  }
}
