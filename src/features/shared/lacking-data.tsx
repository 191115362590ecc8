'use client'
import { Button } from 'antd'
import { useSyncExternalStore } from 'react'
import { listed } from '@/core/base'
import { useStore } from '@/page/provider'
import { askForDataAgain, lackingData, onWorkers } from '@/workers'

let known = lackingData()
/** The same array for as long as nothing is another. */
const lackingNow = (): typeof known => {
  const now = lackingData()
  if (JSON.stringify(now) !== JSON.stringify(known)) known = now
  return known
}
const NONE: typeof known = []
const mega = (bytes: number): string => `${(bytes / 1_000_000).toFixed(1)} MB`

/** Says that a file which comes with Luvren is slow or cannot be had, and lets it be asked for anew. */
export function LackingData() {
  const { askAgain } = useStore()
  const lacking = useSyncExternalStore(onWorkers, lackingNow, () => NONE)
  if (!lacking.length) return null
  const gone = [...new Set(lacking.flatMap((l) => l.why ?? []))]
  const loaded = lacking.reduce((n, l) => n + l.loaded, 0)
  const what = listed([...new Set(lacking.map((l) => l.what))])
  const again = (): void => {
    askForDataAgain()
    askAgain()
  }
  return (
    <div className="trouble" role={gone.length ? 'alert' : 'status'}>
      {gone.length
        ? gone.join(' ')
        : `${what[0]!.toUpperCase()}${what.slice(1)} have not come yet${loaded > 0 ? `: ${mega(loaded)} so far` : ''}. On a slow line this takes a while; what waits for them goes on when they are here.`}{' '}
      <Button size="small" onClick={again}>
        {gone.length ? 'Try again' : 'Ask anew'}
      </Button>
    </div>
  )
}
