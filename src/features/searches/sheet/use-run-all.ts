import { App } from 'antd'
import { useCallback, useRef, useState } from 'react'
import { plural } from '@/core/base'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { runLines } from './run'

export interface RunAll {
  /** Which source is being run, and how far; undefined while nothing runs. */
  at: { name: string; source: number; of: number; done: number; lines: number } | undefined
  /** Runs what is stale everywhere; of the sources that are named, every line again. */
  start: (again?: readonly string[]) => void
  stop: () => void
}

/** Runs stand-ins one after the other; what was run before it was stopped is kept. */
export function useRunAll(infos: readonly SourceInfo[]): RunAll {
  const store = useStore()
  const { deed } = store
  const { message } = App.useApp()
  const [at, setAt] = useState<RunAll['at']>()
  const stopped = useRef(false)
  const running = useRef(false)
  const start = useCallback(
    (again?: readonly string[]): void => {
      if (running.current) return
      const own = infos.filter((i) => i.searched && (again?.includes(i.source.id) ?? true))
      const run = async (): Promise<void> => {
        running.current = true
        stopped.current = false
        let logged = 0
        let broken = 0
        try {
          for (const [i, info] of own.entries()) {
            const outcome = await runLines(store, info.source, again ? 'all' : 'stale', (done, lines) => {
              setAt({ name: info.short, source: i + 1, of: own.length, done, lines })
              return !stopped.current
            })
            logged += outcome.logged
            broken += outcome.problems.size
            if (stopped.current) break
          }
        } finally {
          running.current = false
          setAt(undefined)
        }
        const left = broken ? `; ${plural(broken, 'line')} could not be run: their sheets say why` : ''
        deed(message.info(`${stopped.current ? 'Stopped: ' : ''}${plural(logged, 'run')} logged${left}.`, 5))
      }
      deed(run())
    },
    [infos, store, deed, message],
  )
  const stop = useCallback(() => {
    stopped.current = true
  }, [])
  return { at, start, stop }
}
