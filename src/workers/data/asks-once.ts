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
