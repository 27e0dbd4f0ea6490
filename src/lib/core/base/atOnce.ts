/** What work that is done in steps comes to, done without a pause. */
export function atOnce<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
