import type { FactContext } from '../../facts'
import type { Say } from './speaker'

/** How a saying is told: ways that begin differently, the best first, facts in them by name; and the same in short. */
export interface Words<Found> {
  says: (found: Found, say: Say, context: FactContext) => string[]
  /** In the short form; absent: as in full. */
  short?: (found: Found, say: Say, context: FactContext) => string[]
}
