import { keptFor } from '../../base'
import type { TakenOver } from '../../review'
import type { FactContext } from '../facts'
import { currentRuns } from '../runs'
import { runWith } from '../standing'
import { ranIn } from './asked-with'
import { saying } from './saying'

const PLACE = { theme: 'words', phase: 'searched', stage: 'searches' } as const

/** Databases that know no nearness, where it was asked for: AND stood in its place. */
export const noNearness = saying<{ sourceIds: string[] }>({
  family: 'nearness',
  groups: (c) => (withoutNearness(c).length ? [''] : []),
  place: PLACE,
  finds: { when: {}, found: (c) => ({ sourceIds: withoutNearness(c) }) },
})
const withoutNearness = keptFor((c: FactContext): string[] =>
  ranIn(c).filter((id) => runWith(c, id).nearnessLost),
)

/** What was left out with NOT, in which databases. */
export const leftOut = saying<{ sourceIds: string[] }>({
  family: 'left out',
  groups: (c) => (leavingOutIn(c).length ? [''] : []),
  place: PLACE,
  finds: { when: {}, found: (c) => ({ sourceIds: leavingOutIn(c) }) },
})
const leavingOutIn = keptFor((c: FactContext): string[] =>
  ranIn(c).filter((id) => runWith(c, id).leftOut.length),
)

/** What was done without a query, by source and line. */
export const doneWithoutQuery = (c: FactContext): string[] =>
  ranIn(c).flatMap((id) => {
    const runs = currentRuns(c.review, id)
    return (c.review.strategies[id] ?? []).flatMap((l) =>
      l.described && runs.has(l.id) ? [`${id}/${l.id}`] : [],
    )
  })

/** A search without text: what was done stands as it was noted, beginning with a verb. By source and line. */
export const withoutQuery = saying<{ sourceId: string; lineId: string; deed: string }>({
  family: 'without a query',
  groups: doneWithoutQuery,
  place: PLACE,
  finds: {
    when: {},
    found: ({ review }, of) => {
      const [sourceId = '', lineId = ''] = of.split('/')
      const line = review.strategies[sourceId]?.find((l) => l.id === lineId)
      return { sourceId, lineId, deed: line?.described ?? '' }
    },
  },
})

interface Took {
  what: TakenOver['what']
  name: string
  changed: string
  sourceIds: string[]
}

/** What lines that were run as they stand took over, by name: once for all databases in which it was changed alike. */
const tookOver = keptFor((c: FactContext): ReadonlyMap<string, Took> => {
  const found = new Map<string, Took>()
  for (const id of ranIn(c)) {
    const runs = currentRuns(c.review, id)
    for (const line of c.review.strategies[id] ?? []) {
      if (!line.takenOver || !runs.has(line.id)) continue
      const { what } = line.takenOver
      const [name, changed] = [line.takenOver.name.trim(), line.takenOver.changed.trim().replace(/\.$/, '')]
      const key = JSON.stringify([what, name, changed])
      const { sourceIds = [] } = found.get(key) ?? {}
      found.set(key, { what, name, changed, sourceIds: [...new Set([...sourceIds, id])] })
    }
  }
  return found
})

/** Filters and strategies of others that were run, and what was changed in them. */
export const takenOver = saying<Took>({
  family: 'taken over',
  groups: (c) => [...tookOver(c).keys()],
  place: PLACE,
  core: true,
  finds: { when: {}, found: (c, of) => tookOver(c).get(of)! },
})

/** What was taken over and run: for reporting. */
export const takenOverIn = (c: FactContext): Took[] => [...tookOver(c).values()]
