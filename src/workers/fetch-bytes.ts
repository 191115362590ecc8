const START = 'Start Luvren again with "npm run demo"'

/**
 * The bytes of a file that comes with Luvren. Throws with words for a reader: nothing answers at all, or what answers does
 * not have the file.
 */
export async function fetchBytes(url: string): Promise<Uint8Array> {
  let answer: Response
  try {
    answer = await fetch(url)
    if (answer.ok) return new Uint8Array(await answer.arrayBuffer())
  } catch {
    // The browser's own words ("Failed to fetch") differ from one to the next and name no remedy.
    throw new Error(
      `Luvren did not answer when ${url} was needed. ${START} where it was started, then do this once more; what you did is kept in this browser.`,
    )
  }
  throw new Error(`${url} could not be read (${answer.status}). ${START}, which builds it.`)
}

/** A file that comes with Luvren packed by gzip, unpacked by the browser itself. */
export async function fetchUnzipped(url: string): Promise<Uint8Array> {
  const packed = new Blob([(await fetchBytes(url)) as Uint8Array<ArrayBuffer>]).stream()
  return new Uint8Array(await new Response(packed.pipeThrough(new DecompressionStream('gzip'))).arrayBuffer())
}

/** Asks once and keeps the answer; a question that failed is asked anew the next time. */
export function asksOnce<T>(ask: () => Promise<T>): () => Promise<T> {
  let kept: Promise<T> | undefined
  return () => {
    if (kept) return kept
    const asked = ask()
    kept = asked
    asked.catch(() => (kept = undefined))
    return asked
  }
}
