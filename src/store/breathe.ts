/** The longest that a piece of work may hold the page before it draws again, in milliseconds. */
const BREATH = 12

/** Runs work in steps, and lets the page draw in between. */
export async function inSteps<T>(steps: Generator<unknown, T>): Promise<T> {
  let since = performance.now()
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
    if (performance.now() - since < BREATH) continue
    await new Promise((done) => setTimeout(done))
    since = performance.now()
  }
}
