import { linesWithoutNot } from '../not-sent'
import { searchedIn } from '../standing'
import { saying } from './saying'

/** Where something was to be left out with NOT, and NOT was not sent: told of each database, by its lines. */
export const notSent = saying<{ id: string; lines: number }>({
  family: 'left out in vain',
  groups: ({ review }) =>
    searchedIn(review).flatMap(({ id }) => (linesWithoutNot(review, id).length ? [id] : [])),
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  core: true,
  finds: {
    when: {},
    found: ({ review }, id) => ({ id, lines: linesWithoutNot(review, id).length }),
  },
})
