import { flushSync } from "svelte";

/**
 * The page that the program starts with is put together in parts, so that its top stands early on a slow
 * device and no part keeps it from answering. Later pages come whole: the program runs by then.
 */

let isFirst = true;
const waiting: (() => void)[] = [];
/** Whether the next part comes after the next painting. */
let isComing = false;

/** Whether parts wait for their turn at all. */
export const isFirstPage = (): boolean => isFirst;
/** From the first change of page on. */
export const firstPageDone = (): void => {
  isFirst = false;
};

/** Shows a part of the page once what was asked before it has been painted. */
export function inTurn(show: () => void): void {
  waiting.push(show);
  comeNext();
}

/** All that still waits, with what waits in it: a key that is pressed meets the whole page. */
export function allNow(): void {
  while (waiting.length > 0) {
    waiting.shift()!();
    flushSync();
  }
}

function comeNext(): void {
  if (isComing || waiting.length === 0) return;
  isComing = true;
  afterPaint(next);
}

function next(): void {
  isComing = false;
  try {
    waiting.shift()?.();
  } finally {
    // A part that fails keeps no other from coming.
    comeNext();
  }
}

/** A window in the background paints nothing and need not wait for it. */
function afterPaint(run: () => void): void {
  if (document.hidden) setTimeout(run);
  else requestAnimationFrame(() => setTimeout(run));
}
