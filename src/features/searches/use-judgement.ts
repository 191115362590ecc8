import { useEffect, useMemo, useState } from 'react'
import type { Line, Review } from '@/core/review'
import { useSession } from '@/store/session'
import type { SourceInfo } from '@/store/source-info'
import { judgeDesk, wordDesk, type Judged, type Judgement } from '@/workers'
import { askedOf } from '../shared/known-item'

const SETTLE = 350

/** What there is to say about the strategy of a source; asked again when the plan, the lines or the rulings change. */
export function useJudgement(
  review: Review,
  info: SourceInfo,
  lines: readonly Line[],
): Judgement | undefined {
  const works = useSession((s) => s.works)
  const [found, setFound] = useState<{ lines: unknown; judgement: Judgement }>()
  const id = info.searched
  const { concepts, terms, limits, knownItems, rulings } = review
  const ruled = useMemo((): Pick<Judged, 'in' | 'out'> => {
    const of = (verdict: 'in' | 'out'): string[] =>
      works
        .filter((w) => Object.values(rulings[w.id] ?? {}).some((r) => r.verdict === verdict))
        .flatMap((w) => w.from.flatMap((f) => (f.sourceId === info.source.id ? [f.recordId] : [])))
    return { in: of('in'), out: of('out') }
  }, [works, rulings, info.source.id])
  useEffect(() => {
    let current = true
    if (!id) return
    const timer = setTimeout(
      () =>
        void (async () => {
          const held = await wordDesk().holds(id, knownItems.map(askedOf))
          const known = held.map((h) => ({ id: h.itemId, recordId: h.recordId }))
          const plan = { concepts, terms, limits: limits.map((l) => l.limit) }
          const judgement = await judgeDesk().judge(id, info.source.id, [...lines], plan, { known, ...ruled })
          if (current) setFound({ lines, judgement })
        })(),
      SETTLE,
    )
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [id, info.source.id, lines, concepts, terms, limits, knownItems, ruled])
  return found?.judgement
}
