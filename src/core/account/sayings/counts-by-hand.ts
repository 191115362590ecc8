import type { Review, Run } from '../../review'
import { finalRun, searchedIn } from '../standing'
import { saying } from './saying'

/** Databases whose counting run was logged in one of these ways. */
const loggedAs = (review: Review, how: Run['how']): string[] =>
  searchedIn(review).flatMap(({ id }) => (finalRun(review, id)?.how === how ? [id] : []))

/** Whose counts no program took over from the database: they were typed, or read from a history that was pasted. */
export const countsByHand = saying<{ typed: string[]; pasted: string[] }>({
  family: 'counts by hand',
  place: { theme: 'where', phase: 'searched', stage: 'searches' },
  finds: {
    when: {
      logged: ({ review }) =>
        loggedAs(review, 'by hand').length + loggedAs(review, 'pasted history').length > 0,
    },
    found: ({ review }) => ({
      typed: loggedAs(review, 'by hand'),
      pasted: loggedAs(review, 'pasted history'),
    }),
  },
})
