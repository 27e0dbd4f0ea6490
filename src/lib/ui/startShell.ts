import { inTurn } from "./firstPage.ts";

/**
 * What app.html shows of the start page while the program is on its way (StartShell.svelte). Its script there tells by these names
 * whether a newcomer looks, and notes what was pressed.
 */
const OWN_KITS = "wide-sieve.own-kits";

/** Heads the first page, before the program as with it. */
export const SHELF = {
  title: "Wide Sieve",
  about: "The shelf: every kit, and where its needs rest.",
} as const;

/** Next time a shelf with kits of one's own begins with them, and not with where to begin. */
export function rememberShelf(ownKits: number): void {
  try {
    if (ownKits > 0) localStorage.setItem(OWN_KITS, `${ownKits}`);
    else localStorage.removeItem(OWN_KITS);
  } catch {
    // Private mode: the next page begins as for a newcomer.
  }
}

const inPage = (start: string | undefined): HTMLElement | null =>
  start === undefined
    ? null
    : document.querySelector<HTMLElement>(`[data-start="${CSS.escape(start)}"]`);

/** Takes away what stood there before the program; what was pressed is done now, and the focus stays where it was. */
export function leaveShell(shell: HTMLElement | null): void {
  if (!shell) return;
  const { pressed, focused } = shell.dataset;
  shell.remove();
  // The router takes the focus away once its page stands: after that.
  if (focused !== undefined)
    inTurn(() => {
      if (document.activeElement === document.body) inPage(focused)?.focus();
    });
  if (pressed !== undefined) inPage(pressed)?.click();
}
