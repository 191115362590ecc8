import { searchedIn } from '../standing'
import { takenOut, type TakenOut } from '../taken-out'
import { saying } from './saying'

type Found = Pick<TakenOut, 'id' | 'records' | 'stayed' | 'another'> & {
  dated: boolean
  /** Nothing else was searched. */
  alone: boolean
}

/** What was searched stays told when it is taken out of the plan: that it was, when, and what left with it. */
export const sourceGone = saying<Found>({
  family: 'taken out of the plan',
  groups: (c) => takenOut(c).map((t) => t.id),
  place: { theme: 'where', phase: 'searched', stage: 'question' },
  core: true,
  finds: {
    when: {},
    found: (c, of) => {
      const { id, records, stayed, another, on } = takenOut(c).find((t) => t.id === of)!
      return { id, records, stayed, another, dated: on !== '', alone: !searchedIn(c.review).length }
    },
  },
})
