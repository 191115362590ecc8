import { inWords, keptFor, listed, plural, thousands } from '../../base'
import { planOf, type Entry, type ProtocolVersion, type Review } from '../../review'
import type { FactContext } from '../facts'
import { readAlike } from '../sayings/who-read'
import { planDifferences, type Difference } from './differences'

/** A matter in which what was done differs from the protocol in force. */
export interface Departure extends Difference {
  /** When it last came to differ; absent: no entry tells. */
  at?: string
  /** Why, as a person gave it; empty: not given yet. */
  reason: string
  /** When the protocol was amended so that it agrees since: by then it had been acted on. */
  amended?: string
}

/** The protocol in force: as it was frozen, or as the last amendment left it. */
export const protocolInForce = ({ protocol }: Pick<Review, 'protocol'>): ProtocolVersion | undefined =>
  protocol?.at(-1)

/**
 * The departures from the protocol: those that it was amended for after something was done on them, each with its day and
 * the reason that was first given, and where plan and reading differ from it now. Empty where no plan was frozen.
 */
export const departures = keptFor((c: FactContext): Departure[] => {
  const { review, entries } = c
  const inForce = protocolInForce(review)
  if (!inForce) return []
  const now = planDifferences(inForce.plan, planOf(review, inForce.readers))
  return [
    ...amendedLate(review, entries ?? []),
    ...[...now, ...fewerReaders(c, inForce.readers)].map((d): Departure => {
      const at = entries && lastTouch(entries, d.key, inForce.seq)?.at
      return { ...d, reason: review.departures?.[d.key]?.trim() ?? '', ...(at ? { at } : {}) }
    }),
  ]
})

/** Deeds by which a plan is acted on. */
const ACTS = /^(?:run\.|ruling\.|side\.take$)/

/** What the protocol was amended for after it had been acted on already: amending it does not undo the departure. */
const amendedLate = ({ protocol = [], departures: why }: Review, entries: readonly Entry[]): Departure[] =>
  protocol.slice(1).flatMap((version, n) => {
    const before = protocol[n]!
    return planDifferences(before.plan, version.plan).flatMap((d): Departure[] => {
      const touched = lastTouch(entries, d.key, before.seq, version.seq)
      const acted =
        touched && entries.some((e) => e.seq > touched.seq && e.seq < version.seq && ACTS.test(e.kind))
      return acted
        ? [
            {
              ...d,
              at: touched.at,
              reason: why?.[d.key]?.trim() || (version.why?.trim() ?? ''),
              amended: version.at,
            },
          ]
        : []
    })
  })

/**
 * Titles and abstracts that fewer people read than was planned, counted by works. A second reading may still come: it counts
 * when all are read once, or when full texts are read of what was kept.
 */
function fewerReaders(c: FactContext, planned: number): Difference[] {
  const { broad, flow } = c.figures
  const over = broad.total > 0 && broad.left === 0
  const acted = flow.rounds.some((r) => r.columns.some((column) => column.assessed > 0))
  if (!over && !acted) return []
  const groups = readAlike(c, 'broad')
  const all = groups.reduce((n, g) => n + g.works, 0)
  const fewer = groups.filter((g) => g.each < planned)
  if (!fewer.length) return []
  const told = fewer.map((g) => `${thousands(g.works)} by ${g.each ? inWords(g.each) : 'nobody'}`)
  return [
    {
      key: 'readers',
      about: 'readers of each work',
      from: inWords(planned),
      to: `fewer: of ${plural(all, 'work')}, ${listed(told)}`,
    },
  ]
}

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

/** When the last deed on a matter was done behind entry `seq`, and before `until`. */
function lastTouch(
  entries: readonly Entry[],
  key: string,
  seq: number,
  until = Infinity,
): Pick<Entry, 'seq' | 'at'> | undefined {
  const [what = '', id] = key.split(/:(.*)/s)
  for (let n = entries.length - 1; n >= 0 && entries[n]!.seq > seq; n--) {
    if (entries[n]!.seq >= until) continue
    const { kind, payload, at } = entries[n]!
    if (
      KINDS[what]?.includes(kind) &&
      (id === undefined || (payload as { id?: unknown } | undefined)?.id === id)
    )
      return { seq: entries[n]!.seq, at }
  }
  return undefined
}
