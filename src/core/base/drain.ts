/** Runs work that goes in steps to its end, and gives what it came to. */
export function drain<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
