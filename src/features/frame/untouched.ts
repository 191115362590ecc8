/**
 * Asked at the end of something that takes a moment: has the person done nothing since? Who has gone on is not carried
 * away by what they did before. The press that began it is over when this listens, so it does not count.
 */
export function untouched(): () => boolean {
  const since = new AbortController()
  const touch = (): void => since.abort()
  for (const deed of ['pointerdown', 'keydown'])
    window.addEventListener(deed, touch, { capture: true, signal: since.signal })
  return () => !since.signal.aborted
}
