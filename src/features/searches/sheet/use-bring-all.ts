import { App } from 'antd'
import { useCallback, useMemo, useRef, useState } from 'react'
import { plural, thousands } from '@/core/base'
import { toBring, type ToBring } from '@/core/doing'
import type { Review } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useStore } from '@/page/provider'
import { bringSearches } from '../outside/bring-records'

export interface BringAll {
  /** The searches whose records are not here yet. */
  searches: readonly ToBring[]
  /** Which source is being read; undefined while nothing is brought in. */
  at: string | undefined
  start: () => void
  stop: () => void
}

/** Brings in what the lines that count found, of all stand-ins of which nothing is here yet. */
export function useBringAll(review: Review, infos: readonly SourceInfo[]): BringAll {
  const store = useStore()
  const { deed } = store
  const { message } = App.useApp()
  const [at, setAt] = useState<string>()
  const running = useRef(false)
  const stopped = useRef(false)
  const searches = useMemo(
    () =>
      toBring(
        review,
        infos.flatMap((i) => (i.searched ? [i.source.id] : [])),
      ),
    [review, infos],
  )
  const start = useCallback((): void => {
    if (running.current || !searches.length) return
    running.current = true
    stopped.current = false
    const bring = async (): Promise<void> => {
      const found = await bringSearches(store, searches, (source, nth) => {
        setAt(`bringing records of ${source.name} in, ${nth} of ${searches.length}`)
        return !stopped.current
      })
      if (!found) return deed(message.info('Stopped: nothing was brought in.'))
      const lacks = found.hits - found.count
      deed(
        lacks
          ? message.warning(
              `${thousands(found.count)} records are in the review; ${plural(lacks, 'hit')} that the databases do not hand out ${lacks === 1 ? 'is' : 'are'} not. Their sheets say which: split these lines by years.`,
              8,
            )
          : message.success(
              `${plural(found.count, 'record')} of ${plural(searches.length, 'source')} are in the review.`,
            ),
      )
    }
    deed(
      bring().finally(() => {
        running.current = false
        setAt(undefined)
      }),
    )
  }, [searches, store, deed, message])
  const stop = useCallback(() => {
    stopped.current = true
  }, [])
  return { searches, at, start, stop }
}
