'use client'
import { Button } from 'antd'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { listed } from '@/core/base'
import { useStore } from '@/page/provider'
import { newerBuild } from '@/ui/build'
import { goOnWithout, onWorkers, startAgain, workersMissing } from '@/workers'

let known = workersMissing()
/** The same object for as long as nothing is another. */
const missingNow = (): ReturnType<typeof workersMissing> => {
  const now = workersMissing()
  if (JSON.stringify(now) !== JSON.stringify(known)) known = now
  return known
}
const NONE = { late: [], gone: [] } as const

/** Says that a part of the program has not come, what that means, and what can be done. */
export function WorkersMissing() {
  const { deed, retrySave } = useStore()
  const { late, gone } = useSyncExternalStore(onWorkers, missingNow, () => NONE)
  const [newer, setNewer] = useState(false)
  const missing = gone.length > 0 || late.length > 0
  useEffect(() => {
    if (missing) deed(newerBuild().then(setNewer))
  }, [missing, deed])
  if (!missing) return null
  if (newer)
    return (
      <div className="trouble" role="alert">
        A newer Luvren is there: reload this page to go on with it. Everything that you did is kept.{' '}
        <Button size="small" onClick={() => window.location.reload()}>
          Reload
        </Button>
      </div>
    )
  if (gone.length)
    return (
      <div className="trouble" role="alert">
        The part of Luvren that {listed(gone)} could not be started. The review can be read and saved as a
        package without it; what needs it says so.{' '}
        <Button size="small" onClick={() => deed(startAgain().then(retrySave))}>
          Try again
        </Button>
      </div>
    )
  return (
    <div className="trouble" role="status">
      The part of Luvren that {listed(late)} has not started yet. On a slow line this takes a while.{' '}
      <Button size="small" onClick={goOnWithout}>
        Go on without it
      </Button>
    </div>
  )
}
