/** The longest that a piece of work may hold the page before it draws again, in milliseconds. */
const BREATH = 16

/**
 * Lets the page do what waits. By a message, not a timer: a browser holds back timers that follow each other, which would
 * make long work a third longer.
 */
function pause(): Promise<void> {
  return new Promise((done) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      done()
    }
    port2.postMessage(undefined)
  })
}

/** What nobody waits for holds the page still less, and lets it go for longer. */
const BREATH_BEHIND = 4
const pauseBehind = (): Promise<void> => new Promise((done) => setTimeout(done, 8))

/** Runs work in steps, and lets the page draw in between. `behind`: nobody waits for it. */
export async function inSteps<T>(steps: Generator<unknown, T>, behind = false): Promise<T> {
  const breath = behind ? BREATH_BEHIND : BREATH
  let since = performance.now()
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
    if (performance.now() - since < breath) continue
    await (behind ? pauseBehind() : pause())
    since = performance.now()
  }
}
