import { hasAnswered, otherWays, peopleAsked } from '../ways-gone'
import { saying } from './saying'

/** Who was asked, and who has answered. */
export const wayPeople = saying<{ sourceId: string; asked: number; answered: readonly string[] }>({
  family: 'people',
  groups: ({ review }) => otherWays(review),
  along: 'ways',
  place: { theme: 'where', phase: 'again', stage: 'selection' },
  finds: {
    when: { asked: ({ review }, of) => peopleAsked(review, of).length > 0 },
    found: ({ review }, sourceId) => {
      const people = peopleAsked(review, sourceId)
      return {
        sourceId,
        asked: people.length,
        answered: people.filter(hasAnswered).map((c) => c.id),
      }
    },
  },
})
