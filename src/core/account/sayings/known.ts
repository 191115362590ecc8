import { knownBefore, type FactContext } from '../facts'
import { saying } from './saying'

interface Found {
  found: number
  of: number
  /** From years that the limits of all searches leave out, of those that were not found. */
  outside: number
}

interface Named {
  when: 'before' | 'any' | 'while'
  count: number
  /** Told right behind them; absent: elsewhere, or nothing was brought in. */
  found?: Found
}

/** Nothing is told of known items before there is a question that they test. */
const itemsOf = ({ review }: FactContext): number => (review.question.trim() ? review.knownItems.length : 0)
const broughtIn = ({ figures }: FactContext): boolean => Object.keys(figures.brought).length > 0
const foundOf = (c: FactContext): Found => ({
  found: c.figures.knownFound,
  outside: c.figures.knownOutside,
  of: c.review.knownItems.length,
})
const byTime = ({ review }: FactContext): boolean => review.account.order === 'time'

/** Known items that were named when the first search had been run; without a journal nothing is known of that. */
const addedLater = (c: FactContext): number => {
  if (!c.entries || !c.review.runs.length || !itemsOf(c)) return 0
  const before = knownBefore(c).length
  return before ? itemsOf(c) - before : 0
}

/** How many known items were named to test the searches, before the first search or while searching. */
export const knownNamed = saying<Named>({
  family: 'known items',
  place: { theme: 'words', phase: 'planned', stage: 'question' },
  phaseOf: ({ when }) => (when === 'while' ? 'again' : 'planned'),
  finds: {
    when: { named: (c) => itemsOf(c) > 0 },
    found: (c) => {
      const searched = c.entries !== undefined && c.review.runs.length > 0
      const before = knownBefore(c).length
      return {
        when: !searched ? 'any' : before ? 'before' : 'while',
        count: searched && before ? before : itemsOf(c),
        ...(broughtIn(c) && !byTime(c) && !addedLater(c) ? { found: foundOf(c) } : {}),
      }
    },
  },
})

/** How many were added later. */
export const knownAdded = saying<{ count: number; found?: Found }>({
  family: 'known items added',
  place: { theme: 'words', phase: 'again', stage: 'question' },
  finds: {
    when: { added: (c) => addedLater(c) > 0 },
    found: (c) => ({
      count: addedLater(c),
      ...(broughtIn(c) && !byTime(c) ? { found: foundOf(c) } : {}),
    }),
  },
})

/** How many were found: in order of time that is told when records are here. */
export const knownFound = saying<Found>({
  family: 'known items found',
  groups: (c) => (byTime(c) && itemsOf(c) && broughtIn(c) ? [''] : []),
  place: { theme: 'words', phase: 'screened', stage: 'records' },
  finds: { when: {}, found: foundOf },
})
