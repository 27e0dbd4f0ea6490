/**
 * The page that the program starts with is put together in parts, so that its top stands early on a slow
 * device and no part keeps it from answering. Later pages come whole: the program runs by then.
 */

let isFirst = true;
const waiting: (() => void)[] = [];

/** Whether parts wait for their turn at all. */
export const isFirstPage = (): boolean => isFirst;
/** From the first change of page on. */
export const firstPageDone = (): void => {
  isFirst = false;
};

/** Shows a part of the page once what was asked before it has been painted. */
export function inTurn(show: () => void): void {
  waiting.push(show);
  if (waiting.length === 1) afterPaint(next);
}

function next(): void {
  try {
    waiting[0]!();
  } finally {
    // A part that fails keeps no other from coming.
    waiting.shift();
    if (waiting.length > 0) afterPaint(next);
  }
}

/** A window in the background paints nothing and need not wait for it. */
function afterPaint(run: () => void): void {
  if (document.hidden) setTimeout(run);
  else requestAnimationFrame(() => setTimeout(run));
}
