import type { FactContext } from '../facts'
import { saying } from './saying'

/** The rounds behind the first in which something came in, by their place. */
const updates = ({ figures }: FactContext): string[] =>
  figures.flow.rounds.slice(1).map((_, n) => String(n + 1))

/** What an update brought, and what of it is included. */
export const updateBrought = saying<{ round: string; included: number }>({
  family: 'what an update brought',
  groups: updates,
  place: { theme: 'judged', phase: 'judged', stage: 'selection' },
  core: true,
  finds: {
    when: {},
    found: ({ figures }, of) => ({ round: of, included: figures.flow.rounds[Number(of)]?.included ?? 0 }),
  },
})
