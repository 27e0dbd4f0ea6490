import { tick } from "svelte";

/**
 * A list or menu that is made when it is first used: a page may have a hundred of them. Until then there stands
 * what it is opened by.
 */
export class FirstUse {
  isUsed = $state(false);
  open = $state(false);
  /** What opens it, once it is made: the focus comes back to it. */
  trigger = $state<HTMLElement | null>(null);

  /** Makes it, with the focus where it is opened. */
  async use(): Promise<void> {
    this.isUsed = true;
    await tick();
    this.trigger?.focus();
  }
  async useAndOpen(): Promise<void> {
    await this.use();
    this.open = true;
  }
}
