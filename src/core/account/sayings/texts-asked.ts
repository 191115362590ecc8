import { questionsOf } from '../../review'
import { askedOfPass, type AskedOf } from './asked-of'
import { saying } from './saying'

/** By which questions full texts were ruled, and of how many works other ones were asked. */
export const textsAsked = saying<AskedOf>({
  family: 'questions of texts',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  finds: {
    when: {
      read: ({ figures }) => figures.read.close.length > 0,
      questions: ({ review }) => questionsOf(review, 'close').length > 0,
    },
    found: (c) => askedOfPass(c, 'close'),
  },
})
