import { useEffect, useMemo, useState } from 'react'
import { BACKUP_RHYTHMS, backupDue, type BackupRhythm, type LastBackup } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import type { Store } from '@/store/store'

const RHYTHM = 'backup rhythm'
const lastOf = (reviewId: string): string => `backup of ${reviewId}`
const isRhythm = (value: unknown): value is BackupRhythm =>
  typeof value === 'string' && Object.hasOwn(BACKUP_RHYTHMS, value)

/** Told when a backup was kept, or the rhythm changed. */
const kept = new EventTarget()

/** Notes that a backup of the open review was saved. */
export async function keepBackup(store: Store, entries: number): Promise<void> {
  const { reviewId } = store.session.getState()
  if (!reviewId) return
  await store.setSetting(lastOf(reviewId), { at: store.now(), entries } satisfies LastBackup)
  kept.dispatchEvent(new Event('kept'))
}

export async function setRhythm(store: Store, rhythm: BackupRhythm): Promise<void> {
  await store.setSetting(RHYTHM, rhythm)
  kept.dispatchEvent(new Event('kept'))
}

/** When the open review was saved last, how often a person wants to be reminded, and for how long one has been due. */
export function useBackup(): { rhythm: BackupRhythm; last: LastBackup | undefined; due: number | undefined } {
  const store = useStore()
  const reviewId = useSession((s) => s.reviewId)
  const entries = useSession((s) => s.entries)
  const person = useSession((s) => s.person)
  const [known, setKnown] = useState<{ rhythm: BackupRhythm; last: LastBackup | undefined }>()
  useEffect(() => {
    let gone = false
    const read = (): void => {
      if (!reviewId) return
      store.deed(
        Promise.all([store.setting(RHYTHM), store.setting(lastOf(reviewId))]).then(([rhythm, last]) => {
          if (!gone)
            setKnown({
              rhythm: isRhythm(rhythm) ? rhythm : 'every week',
              last: last as LastBackup | undefined,
            })
        }),
      )
    }
    read()
    kept.addEventListener('kept', read)
    return () => {
      gone = true
      kept.removeEventListener('kept', read)
    }
  }, [store, reviewId])
  const due = useMemo(() => {
    // What others did, or the demo holds, can be had again: own work is what a backup is for.
    const from = known?.last?.entries ?? 0
    const first = known && entries.find((e, n) => n >= from && e.by === person)
    return first && backupDue([first], known.rhythm, store.now())
  }, [known, entries, person, store])
  return { rhythm: known?.rhythm ?? 'every week', last: known?.last, due }
}
