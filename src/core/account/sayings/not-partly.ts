import { linesWithoutNot } from '../not-sent'
import { searchedIn } from '../standing'
import { saying } from './saying'

/** Where some of what was to be left out with NOT was sent, and some was not: told of each database, by its lines. */
export const notPartly = saying<{ id: string }>({
  family: 'left out in part',
  groups: ({ review }) =>
    searchedIn(review).flatMap(({ id }) => (linesWithoutNot(review, id, 'partly').length ? [id] : [])),
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  core: true,
  finds: { when: {}, found: (_c, id) => ({ id }) },
})
