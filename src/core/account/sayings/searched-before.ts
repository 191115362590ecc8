import { searchedIn, strategyUnknown } from '../standing'
import { saying } from './saying'

/** Databases that were searched before the record was kept, with nobody here knowing what they were asked. */
export const searchedBefore = saying<{ sourceIds: string[] }>({
  family: 'searched before',
  place: { theme: 'where', phase: 'searched', stage: 'searches' },
  core: true,
  finds: {
    when: { unknown: ({ review }) => searchedIn(review).some((s) => strategyUnknown(review, s.id)) },
    found: ({ review }) => ({
      sourceIds: searchedIn(review).flatMap(({ id }) => (strategyUnknown(review, id) ? [id] : [])),
    }),
  },
})
