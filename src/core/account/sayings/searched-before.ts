import { searchedUnknown } from '../standing'
import { saying } from './saying'

/** Databases that were searched before the record was kept, with nobody here knowing what they were asked. */
export const searchedBefore = saying<{ sourceIds: string[] }>({
  family: 'searched before',
  place: { theme: 'where', phase: 'searched', stage: 'searches' },
  core: true,
  finds: {
    when: { unknown: ({ review }) => searchedUnknown(review).length > 0 },
    found: ({ review }) => ({ sourceIds: searchedUnknown(review).map((s) => s.id) }),
  },
})
