import { held, messageOf } from '@/core/base'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { currentRuns } from '@/core/account'
import type { Line, Review } from '@/core/review'
import { chosenLine } from '@/core/strategy'
import { useSession, useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { callback, judgeDesk, planOf, recordsDesk, wordDesk, type Judged, type Judgement } from '@/workers'
import { askedOf } from '../../shared/known-item'

const SETTLE = 350

/** Long work in the worker, as a screen shows it: how far it is, and the ways to stop it and to begin again. */
export interface Work {
  progress: { done: number; of: number } | undefined
  stopped: boolean
  /** What went wrong, in words. */
  failed: string | undefined
  stop: () => void
  again: () => void
}

/** Records of a source that matter: the known items that it holds, and all that was ruled of what it holds, wherever it came from. */
export function useJudged(review: Review, info: SourceInfo): () => Promise<Judged> {
  const works = useSession((s) => s.told.ruled.works.works)
  const rulings = useSession((s) => s.told.ruled.byWork)
  const { knownItems } = review
  const id = info.standin?.id
  const sourceId = info.source.id
  const stands = id !== undefined
  const ruled = useMemo(() => {
    const of = (verdict: 'in' | 'out'): string[] =>
      works.flatMap(({ id, sources }) =>
        (stands || sources.includes(sourceId)) &&
        Object.values(held(rulings, id) ?? {}).some((r) => r.verdict === verdict)
          ? [id]
          : [],
      )
    return { in: of('in'), out: of('out') }
  }, [works, rulings, sourceId, stands])
  return useCallback(async () => {
    const held = id === undefined ? [] : await wordDesk().holds(id, knownItems.map(askedOf))
    const numbers = async (ids: string[]): Promise<string[]> => {
      if (!ids.length) return []
      if (id === undefined) return recordsDesk().numbersIn(sourceId, ids)
      // A work that another source brought is held here under a number of its own.
      const shown = await recordsDesk().shown(ids)
      const held = await wordDesk().holds(
        id,
        shown.map(({ id: work, record }) => askedOf({ ...record, id: work })),
      )
      return [...new Set(held.map((h) => h.recordId))]
    }
    return {
      known: held.map((h) => ({ id: h.itemId, recordId: h.recordId })),
      in: await numbers(ruled.in),
      out: await numbers(ruled.out),
    }
  }, [id, knownItems, ruled, sourceId])
}

/**
 * Work that is begun anew whenever `job` changes, and given up when it is overtaken or stopped. `job` is handed what
 * the worker asks whether it may go on; it gives undefined where it may not.
 */
export function useWork<T>(
  job: ((goOn: (done: number, of: number) => boolean) => Promise<T | undefined>) | undefined,
): { value: T | undefined; work: Work } {
  const { deed } = useStore()
  const [found, setFound] = useState<T>()
  const [progress, setProgress] = useState<Work['progress']>()
  // Which job was stopped, and how often it was begun again.
  const [halted, setHalted] = useState<unknown>()
  const [round, setRound] = useState(0)
  const [failed, setFailed] = useState<string>()
  const stopped = job !== undefined && halted === job
  useEffect(() => {
    let current = true
    if (!job || stopped) return
    const timer = setTimeout(
      () =>
        deed(
          job(
            callback((done: number, of: number) => {
              if (current) setProgress({ done, of })
              return current
            }),
          ).then(
            (value) => {
              if (!current) return
              setProgress(undefined)
              setFailed(undefined)
              if (value !== undefined) setFound(value)
            },
            (error: unknown) => {
              if (current) setFailed(messageOf(error))
            },
          ),
        ),
      SETTLE,
    )
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [job, stopped, round, deed])
  const stop = useCallback(() => setHalted(() => job), [job])
  const again = useCallback(() => {
    setHalted(undefined)
    setFailed(undefined)
    setRound((n) => n + 1)
  }, [])
  return { value: found, work: { progress: stopped ? undefined : progress, stopped, failed, stop, again } }
}

export interface JudgedStrategy {
  judgement: Judgement | undefined
  work: Work
}

/** What there is to say about the strategy of a source; asked again when the plan, the lines or the rulings change. */
export function useJudgement(review: Review, info: SourceInfo, lines: readonly Line[]): JudgedStrategy {
  const judged = useJudged(review, info)
  const rulings = useSession((s) => s.told.ruled.byWork)
  const ruledOf = useCallback(
    (workId: string): 'in' | 'out' | undefined => {
      const said = Object.values(held(rulings, workId) ?? {}).map((r) => r.verdict)
      return said.includes('in') ? 'in' : said.includes('out') ? 'out' : undefined
    },
    [rulings],
  )
  const { searched, profile, vocabulary, source } = info
  const { concepts, alternatives, terms, limits } = review
  const countingId = chosenLine(review, source.id)?.id
  const plan = useMemo(
    () => planOf({ concepts, alternatives, terms, limits }),
    [concepts, alternatives, terms, limits],
  )
  // Only hits that were logged of the lines as they stand say anything; elsewhere the worker counts itself.
  const runs = useMemo(
    () => (searched ? undefined : currentRuns(review, source.id)),
    [searched, review, source.id],
  )
  // Of headings that were only seen here and there, nothing can be said to be missing.
  const key = vocabulary?.noted ? undefined : vocabulary?.key
  const job = useMemo(() => {
    if (searched)
      return async (goOn: (done: number, of: number) => boolean) =>
        judgeDesk().judge(
          { key: searched, sourceId: source.id, lines: [...lines], countingId, plan, judged: await judged() },
          goOn,
        )
    if (!profile) return undefined
    return async (): Promise<Judgement> => {
      const counted = lines.map((l) => {
        const run = runs?.get(l.id)
        // Of a search that was made before the record nobody knows what it asked: it is judged as one without words.
        const lost = run?.how === 'before' && !l.text
        return { ...l, hits: run?.hits, ...(lost ? { described: l.note } : {}) }
      })
      const brought = await recordsDesk().broughtFrom(source.id)
      const remarks = await judgeDesk().remarks({
        profile,
        vocabulary: key,
        sourceId: source.id,
        lines: counted,
        countingId,
        plan,
        brought: brought.map(({ workId, record }) => ({ record, ruled: ruledOf(workId) })),
      })
      return { remarks, board: [], yields: [], nots: [] }
    }
  }, [searched, profile, key, source.id, lines, countingId, plan, judged, runs, ruledOf])
  const { value, work } = useWork(job)
  return { judgement: value, work }
}
