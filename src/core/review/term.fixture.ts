import type { Term } from './values'

/** A text word of concept b in every source, or as said otherwise. */
export const textTerm = (id: string, more: Partial<Term> = {}): Term => ({
  id,
  conceptId: 'b',
  sourceId: 'all',
  kind: 'text',
  expression: 'noise',
  withNarrower: false,
  mainFocus: false,
  origin: 'typed',
  status: 'in use',
  ...more,
})
