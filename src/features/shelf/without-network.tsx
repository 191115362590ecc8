'use client'
import { useState, useSyncExternalStore } from 'react'
import { plural } from '@/core/base'
import { keepData, keepingNow, onKeeping, takeOver } from '@/offline/page'

/** What of Luvren this browser keeps, so that it opens without a network; and whether a newer one is here. */
export function WithoutNetwork() {
  const { app, data, newer } = useSyncExternalStore(onKeeping, keepingNow, keepingNow)
  const [tabs, setTabs] = useState(0)
  if (app === 'none') return null
  const all = data !== undefined && data.of > 0 && data.kept === data.of
  return (
    <p className="sub shelf-foot" role="status">
      {newer && (
        <>
          A newer Luvren is here. It is used once all its tabs are closed, or{' '}
          <button className="plain link" onClick={() => takeOver(setTabs)}>
            now
          </button>
          {tabs > 0 && ` when ${plural(tabs, 'other tab')} of it ${tabs === 1 ? 'is' : 'are'} closed`}.{' '}
        </>
      )}
      {app === 'coming'
        ? 'Luvren is being kept in this browser, so that it opens without a network.'
        : all
          ? 'Luvren opens and searches in this browser without a network.'
          : 'Luvren opens in this browser without a network. '}
      {app === 'kept' && !all && (
        <>
          {data && `Of ${plural(data.of, 'file')} of the invented databases ${data.kept} are here. `}
          <button className="plain link" onClick={keepData}>
            Keep the invented databases too
          </button>
        </>
      )}
    </p>
  )
}
