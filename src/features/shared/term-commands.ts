import { dropTerm as drop, putTerms as put, type FreshTerm } from '@/core/doing'
import type { Term } from '@/core/review'
import type { Store } from '@/store/store'

/** Puts terms into the grid, and says in the strip what goes wrong. */
export const putTerms = ({ deed, doIt }: Store, fresh: readonly FreshTerm[]): void => deed(doIt(put, fresh))

/** Drops a term, likewise. */
export const dropTerm = ({ deed, doIt }: Store, term: Term): void => deed(doIt(drop, term))
