import type { Source } from '../../review'
import { otherWays, sumOf, timesLogged } from '../ways-gone'
import { saying } from './saying'

/** What was looked through elsewhere, or how often people were asked, as it was logged by hand. */
export const wayLooked = saying<{
  sourceId: string
  kind: Source['kind']
  times: number
  /** Of how many times it was noted how many were looked through; of people, how many they named. */
  counted: number
  /** How many were taken on was noted each time. */
  taken: number | undefined
  /** Where one stopped; of several times only how often. */
  stopped: readonly string[]
}>({
  family: 'looked through',
  groups: ({ review }) => otherWays(review),
  along: 'ways',
  place: { theme: 'where', phase: 'again', stage: 'selection' },
  finds: {
    when: { logged: ({ review }, of) => timesLogged(review, of).length > 0 },
    found: ({ review }, sourceId) => {
      const times = timesLogged(review, sourceId)
      const kind = review.sources.find((s) => s.id === sourceId)!.kind
      return {
        sourceId,
        kind,
        times: times.length,
        counted: times.filter((w) => (kind === 'people' ? w.named : w.lookedThrough) !== undefined).length,
        taken: sumOf(times, (w) => w.taken),
        stopped: times.flatMap((w) => w.stopped?.trim() || []),
      }
    },
  },
})
