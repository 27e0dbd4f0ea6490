/** Lets the browser answer before what follows, which becomes a task of its own. */
export const nextTask = (): Promise<void> => new Promise((later) => setTimeout(later));
