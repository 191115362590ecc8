import { keptFor } from '../../base'
import { planOf, type Entry, type ProtocolVersion, type Review } from '../../review'
import type { FactContext } from '../facts'
import { planDifferences, type Difference } from './differences'

/** A matter in which what was done differs from the protocol in force. */
export interface Departure extends Difference {
  /** When it last came to differ; absent: no entry tells. */
  at?: string
  /** Why, as a person gave it; empty: not given yet. */
  reason: string
}

/** The protocol in force: as it was frozen, or as the last amendment left it. */
export const protocolInForce = ({ protocol }: Pick<Review, 'protocol'>): ProtocolVersion | undefined =>
  protocol?.at(-1)

/**
 * The departures from the protocol in force: where plan and reading differ from it now. How many read is known when nothing
 * is left to read. Empty where no plan was frozen.
 */
export const departures = keptFor(({ review, figures, entries }: FactContext): Departure[] => {
  const inForce = protocolInForce(review)
  if (!inForce) return []
  const { broad } = figures
  const done = broad.total > 0 && broad.left === 0
  const readers = done ? figures.readers.broad.length : inForce.readers
  return planDifferences(inForce.plan, planOf(review, readers)).map((d): Departure => {
    const at = entries && lastTouch(entries, d.key, inForce.seq)
    return { ...d, reason: review.departures?.[d.key]?.trim() ?? '', ...(at ? { at } : {}) }
  })
})

const KINDS: Record<string, readonly string[]> = {
  question: ['question.set'],
  framework: ['framework.set'],
  concept: ['concept.set', 'concept.remove'],
  source: ['source.set', 'source.remove'],
  limit: ['limit.set', 'limit.remove'],
  criterion: ['criterion.set', 'criterion.remove'],
  alternatives: ['alternatives.set', 'alternatives.remove'],
  known: ['known.add', 'known.set', 'known.remove'],
  readers: ['ruling.set'],
}

/** When the last deed on a matter was done behind entry `seq`. */
function lastTouch(entries: readonly Entry[], key: string, seq: number): string | undefined {
  const [what = '', id] = key.split(/:(.*)/s)
  for (let n = entries.length - 1; n >= 0 && entries[n]!.seq > seq; n--) {
    const { kind, payload, at } = entries[n]!
    if (
      KINDS[what]?.includes(kind) &&
      (id === undefined || (payload as { id?: unknown } | undefined)?.id === id)
    )
      return at
  }
  return undefined
}
