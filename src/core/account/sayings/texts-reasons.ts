import type { FactContext } from '../facts'
import { passSums } from '../facts/selection'
import { saying } from './saying'

/** So many works were set aside on their full text for words that are none of the questions. */
export const reasonsOfTheirOwn = ({ figures }: FactContext): number =>
  passSums(figures).outReasons.reduce((n, r) => n + (r.reason.startsWith('words:') ? r.count : 0), 0)

/** How many full texts were set aside for a reason that is none of the questions asked. */
export const textsReasons = saying<{ own: number }>({
  family: 'reasons that are no question',
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  finds: {
    when: {
      given: (c) => reasonsOfTheirOwn(c) > 0,
      questions: ({ review }) => review.criteria.some((q) => q.text.trim()),
    },
    found: (c) => ({ own: reasonsOfTheirOwn(c) }),
  },
})
