import { createKeybindingsHandler } from "tinykeys";

const closest = (e: Event, selector: string): boolean =>
  e.target instanceof Element && e.target.closest(selector) !== null;

/** Whether a key is typed into something that takes text; what has closed keeps the focus until it is gone, and takes none. */
export const typing = (e: Event): boolean =>
  closest(e, "input, textarea, select, [contenteditable]") &&
  !closest(e, "[role=dialog][data-state=closed]");
export const inDialog = (e: Event): boolean => closest(e, "[role=dialog]");
export const onControl = (e: Event): boolean => closest(e, "button, a, summary");

/** A handler for shortcuts; a key that does something does nothing else. Runs only where `when` holds. */
export function shortcuts(
  bindings: Readonly<Record<string, (e: KeyboardEvent) => unknown>>,
  when: (e: KeyboardEvent) => boolean = () => true,
): (e: KeyboardEvent) => void {
  const handler = createKeybindingsHandler(
    Object.fromEntries(
      Object.entries(bindings).map(([keys, run]) => [
        keys,
        (e: KeyboardEvent) => {
          // false: the key was not meant for it after all.
          if (run(e) !== false) e.preventDefault();
        },
      ]),
    ),
  );
  return (e) => {
    if (when(e)) handler(e);
  };
}
