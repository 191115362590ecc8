import { questionsOf } from '../../review'
import { askedOfPass, type AskedOf } from './asked-of'
import { saying } from './saying'

/** By which questions titles and abstracts were ruled, and of how many works other ones were asked. */
export const titlesAsked = saying<AskedOf>({
  family: 'questions of titles',
  place: { theme: 'screened', phase: 'screened', stage: 'selection' },
  finds: {
    when: {
      read: ({ figures }) => figures.read.broad.length > 0,
      questions: ({ review }) => questionsOf(review, 'broad').length > 0,
    },
    found: (c) => askedOfPass(c, 'broad'),
  },
})
