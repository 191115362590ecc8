import type { Source } from '../../review'
import type { FactContext } from '../facts'
import { passSums } from '../facts/selection'
import { searchedIn } from '../standing'
import { saying } from './saying'

/** What a reader of such a review may expect, by PRISMA-S items 3 to 6; by item 2, that databases were searched at once. */
const EXPECTED = {
  registers: ['register'],
  websites: ['web'],
  references: ['reference lists'],
  citing: ['citing papers'],
  people: ['people'],
} as const satisfies Record<string, readonly Source['kind'][]>
export type NotGone = keyof typeof EXPECTED | 'at once'

const notGone = ({ review }: FactContext): NotGone[] => {
  const kinds = new Set(review.sources.map((s) => s.kind))
  const asked = (review.contacts ?? []).some((c) => c.asked)
  const ways = (Object.keys(EXPECTED) as (keyof typeof EXPECTED)[]).filter(
    (what) => !EXPECTED[what].some((k) => kinds.has(k)) && !(what === 'people' && asked),
  )
  // Of one database alone nobody asks whether it was searched with another.
  const searched = searchedIn(review)
  return searched.length > 1 && !searched.some((s) => s.together?.trim()) ? [...ways, 'at once'] : ways
}

/** Which ways were not gone, once reading has begun: what is planned still is told as planned. */
export const waysNotGone = saying<{ what: NotGone[] }>({
  family: 'not used',
  place: { theme: 'where', phase: 'again', stage: 'question' },
  finds: {
    when: {
      searched: ({ review }) => searchedIn(review).length > 0,
      read: ({ figures }) => passSums(figures).screened > 0,
      lacking: (c) => notGone(c).length > 0,
    },
    found: (c) => ({ what: notGone(c) }),
  },
})
