import type { Locks } from './environment'

const lockOf = (id: string): string => `luvren-open/${id}`

/**
 * Tells all tabs of this browser that a review is open in this one: a shared lock, held until the function that is given is
 * called. That one resolves when the lock is free. Waits while the review is being removed.
 */
export async function holdOpen(locks: Locks, id: string): Promise<() => Promise<void>> {
  let letGo: () => void = () => undefined
  const ended = new Promise<void>((done) => {
    letGo = done
  })
  let over: Promise<void> = Promise.resolve()
  await new Promise<void>((had, failed) => {
    over = locks.request(lockOf(id), { mode: 'shared' }, () => {
      had()
      return ended
    })
    over.catch(failed)
  })
  return async () => {
    letGo()
    await over
  }
}

/** Does something with a review that no tab has open; gives false, and does nothing, where one has. */
export const whileClosed = (locks: Locks, id: string, work: () => Promise<void>): Promise<boolean> =>
  locks.request(lockOf(id), { mode: 'exclusive', ifAvailable: true }, async (had) => {
    if (had) await work()
    return had
  })
