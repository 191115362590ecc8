import { questionsOf } from '../../review'
import type { FactContext } from '../facts'
import { saying } from './saying'

const asked = ({ figures }: FactContext, how: 'these' | 'others' | 'not noted'): number =>
  figures.read.broad.reduce((n, r) => n + (r.asked === how ? r.count : 0), 0)

/** By which questions titles and abstracts were ruled, and of how many works other ones were asked. */
export const titlesAsked = saying<{
  criterionIds: string[]
  these: number
  others: number
  notNoted: number
}>({
  family: 'questions of titles',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  finds: {
    when: {
      read: ({ figures }) => figures.read.broad.length > 0,
      questions: ({ review }) => questionsOf(review, 'broad').length > 0,
    },
    found: (c) => ({
      criterionIds: questionsOf(c.review, 'broad').map((q) => q.id),
      these: asked(c, 'these'),
      others: asked(c, 'others'),
      notNoted: asked(c, 'not noted'),
    }),
  },
})
