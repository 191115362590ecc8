import { termsInUse, type Gap } from '../../review'
import type { FactContext } from '../facts'
import { searchedIn, triedAndDropped } from '../standing'
import { termsAsked } from '../terms-asked'
import { saying } from './saying'

interface Terms {
  /** Terms in use, and how many of them stand in a line that was run. */
  count: number
  asked: number
  /** It is known how many works hold each. */
  byYield: boolean
  searched: boolean
}

/** The terms that were searched with, those that most works hold first, and which of the plan were not; or those planned. */
export const terms = saying<Terms>({
  family: 'terms',
  place: { theme: 'words', phase: 'searched', stage: 'terms' },
  phaseOf: ({ searched }) => (searched ? 'searched' : 'planned'),
  core: true,
  finds: {
    when: { some: ({ review }) => termsInUse(review).length > 0 },
    found: (c) => ({
      count: termsInUse(c.review).length,
      asked: termsAsked(c).length,
      byYield: (c.yields?.size ?? 0) > 0,
      searched: c.review.runs.length > 0,
    }),
  },
})

interface NoHeading {
  gaps: Pick<Gap, 'id' | 'sourceId'>[]
  sourceIds: string[]
  /** All these databases were searched; else it is a plan. */
  searched: boolean
}

const gapsOf = ({ review }: FactContext) =>
  termsInUse(review).length ? review.gaps.filter((g) => review.sources.some((s) => s.id === g.sourceId)) : []

/** For what a thesaurus has no heading. */
export const noHeading = saying<NoHeading>({
  family: 'no heading',
  groups: (c) => (gapsOf(c).length ? [''] : []),
  place: { theme: 'words', phase: 'planned', stage: 'terms' },
  finds: {
    when: {},
    found: (c) => {
      const gaps = gapsOf(c).map(({ id, sourceId }) => ({ id, sourceId }))
      const searched = new Set(searchedIn(c.review).map((s) => s.id))
      return {
        gaps,
        sourceIds: [...new Set(gaps.map((g) => g.sourceId))],
        searched: gaps.every((g) => searched.has(g.sourceId)),
      }
    },
  },
})

/** How many terms were run in a line and dropped. */
export const dropped = saying<{ count: number; reasoned: boolean }>({
  family: 'terms dropped',
  place: { theme: 'words', phase: 'again', stage: 'terms' },
  finds: {
    when: { some: ({ review }) => triedAndDropped(review).length > 0 },
    found: ({ review }) => {
      const tried = triedAndDropped(review)
      return { count: tried.length, reasoned: tried.every((t) => t.reason?.trim()) }
    },
  },
})
