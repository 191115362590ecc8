import type { Source } from '../../review'
import { otherWays, stepsGone, sumOf } from '../ways-gone'
import { saying } from './saying'

/** Whose references were read, or by whom they are cited: when, and what that named. */
export const wayFollowed = saying<{
  sourceId: string
  kind: Source['kind']
  steps: number
  /** Of how many works; none: it was said in words alone. */
  works: number
  through: boolean
  /** How many steps were counted, and whether of all of these it is known what was known already. */
  counted: number
  known: boolean
  lastGaveNothing: boolean
}>({
  family: 'followed',
  groups: ({ review }) => otherWays(review),
  along: 'ways',
  place: { theme: 'where', phase: 'again', stage: 'selection' },
  finds: {
    when: {
      followed: ({ review }, of) => stepsGone(review, of).length > 0,
    },
    found: ({ review }, sourceId) => {
      const steps = stepsGone(review, sourceId)
      const counted = steps.filter((s) => s.named !== undefined)
      return {
        sourceId,
        kind: review.sources.find((s) => s.id === sourceId)!.kind,
        steps: steps.length,
        works: new Set(steps.flatMap((s) => s.of)).size,
        through: steps.some((s) => s.through),
        counted: counted.length,
        known: counted.length > 0 && sumOf(counted, (s) => s.known) !== undefined,
        lastGaveNothing: steps.length > 1 && steps.at(-1)!.nothingNew,
      }
    },
  },
})
