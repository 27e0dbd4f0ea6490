/** Lets the browser answer before what follows, which becomes a task of its own. @param afterMs at the soonest, in milliseconds */
export const nextTask = (afterMs = 0): Promise<void> =>
  new Promise((later) => setTimeout(later, afterMs));
