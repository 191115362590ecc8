import { saying } from './saying'

/** Where the record of the review was deposited last, and when. */
export const deposited = saying<Record<never, never>>({
  family: 'deposited',
  place: { theme: 'judged', phase: 'judged', stage: 'methods' },
  finds: {
    when: { deposited: ({ review }) => (review.deposits ?? []).length > 0 },
    found: () => ({}),
  },
})
