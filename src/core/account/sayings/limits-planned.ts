import { keptFor } from '../../base'
import { limitState } from '../../profile'
import type { LimitKind, LimitValue } from '../../query'
import type { PlannedLimit } from '../../review'
import { limitsThatCount } from '../../strategy'
import type { FactContext } from '../facts'
import { standsInside } from '../reasons-given'
import { ranIn } from './asked-with'
import { finalRun, limitApplied, searchedIn, searchedUnknown, type Applied } from '../standing'
import { saying } from './saying'

/** A limit with the reason that was given for it. */
export interface ReasonedLimit {
  limitId: string
  limit: LimitValue
  reason: string
}

interface Held extends ReasonedLimit {
  /** How it held in each database that was searched; nothing was searched, or what counts was not run: `open`. */
  state: 'kept' | 'in some' | 'dropped' | 'open'
  heldIn: string[]
}

/** Planned limits of a kind that a database does not have by its description, and that none of its lines sets all the same. */
function lacking({ review, source }: FactContext, sourceId: string): LimitKind[] {
  const profile = source(sourceId)?.profile
  const set = new Set((review.strategies[sourceId] ?? []).flatMap((l) => l.limits.map((x) => x.kind)))
  return [...new Set(review.limits.map((l) => l.limit.kind))].filter(
    (k) => profile && limitState(k, profile) === 'not available' && !set.has(k),
  )
}

function heldOf(c: FactContext, planned: PlannedLimit): Held {
  const { id: limitId, limit, reason } = planned
  const searched = searchedIn(c.review)
  const states = searched
    .map((s): [string, Applied] => [s.id, limitApplied(c, planned, s.id)])
    .filter(([, state]) => state !== 'unknown')
  const heldIn = states.flatMap(([id, state]) => (state === 'applied' || state === 'stood in' ? [id] : []))
  const named = (id: string): boolean => ranIn(c).includes(id) && lacking(c, id).includes(limit.kind)
  const own = { limitId, limit, reason, heldIn }
  if (!states.length || states.some(([, state]) => state === 'open')) return { ...own, state: 'open' }
  // It held in every database that has such a limit at all.
  if (
    heldIn.length &&
    states.every(([id, state]) => heldIn.includes(id) || (state === 'not available' && named(id)))
  )
    return { ...own, state: 'kept' }
  return { ...own, state: heldIn.length ? 'in some' : 'dropped' }
}

/** Nothing is told of limits before there is a question. */
const all = keptFor((c: FactContext): Held[] =>
  c.review.question.trim() && !nothingKnown(c) ? c.review.limits.map((l) => heldOf(c, l)) : [],
)
/** Of no search that was made is it known here what it asked. */
function nothingKnown({ review }: FactContext): boolean {
  const searched = searchedIn(review).length
  return searched > 0 && searchedUnknown(review).length === searched
}
const inState = (c: FactContext, state: Held['state']): Held[] => all(c).filter((h) => h.state === state)
const reasoned = ({ limitId, limit, reason }: Held): ReasonedLimit => ({ limitId, limit, reason })
const inShort = ({ review }: FactContext): boolean => review.account.length === 'short'

interface Limits {
  limits: ReasonedLimit[]
  /** A sentence before says already what is limited. */
  also: boolean
  /** Some databases lack one of them, or have something that stands in for it. */
  partly: boolean
  /** Of one search nobody here knows what it asked: this is told of the others. */
  lost: boolean
}

const lostIn = ({ review }: FactContext): boolean => searchedUnknown(review).length > 0

/** In one sentence: those without a reason that stands in it, else two with theirs; all others in a second one. */
function sentencesOf(c: FactContext, state: Held['state']): ReasonedLimit[][] {
  const held = inState(c, state).map(reasoned)
  if (inShort(c) || state === 'dropped') return held.length ? [held] : []
  const bare = held.filter((l) => !standsInside(l.reason))
  const withReason = held.filter((l) => standsInside(l.reason))
  const head = bare.length ? bare : withReason.slice(0, 2)
  const tail = bare.length ? withReason : withReason.slice(2)
  return [head, tail].filter((list) => list.length > 0)
}

const groups = (state: Held['state']) => (c: FactContext) => sentencesOf(c, state).map((_, n) => `${n}`)
const found =
  (state: Held['state']) =>
  (c: FactContext, of: string): Limits => ({
    limits: sentencesOf(c, state)[Number(of)] ?? [],
    also: of !== '0',
    partly: lackingIn(c).length > 0 || stoodInFor(c).size > 0,
    lost: lostIn(c),
  })

/** Limits that held in every database that was searched and has such a limit. */
export const limitsKept = saying<Limits>({
  family: 'limits kept',
  groups: groups('kept'),
  place: { theme: 'words', phase: 'searched', stage: 'question' },
  core: true,
  finds: { when: {}, found: found('kept') },
})

/** Limits that are planned: nothing was searched, or not everything that counts was run. */
export const limitsPlanned = saying<Limits>({
  family: 'limits planned',
  groups: groups('open'),
  place: { theme: 'words', phase: 'planned', stage: 'question' },
  core: true,
  finds: { when: {}, found: found('open') },
})

/** Limits that were planned and set in no search. */
export const limitsDropped = saying<Limits>({
  family: 'limits dropped',
  groups: groups('dropped'),
  place: { theme: 'words', phase: 'searched', stage: 'question' },
  core: true,
  finds: { when: {}, found: found('dropped') },
})

/** A limit that held in some databases, and could have been set in others. */
export const limitInSome = saying<{ limit: ReasonedLimit; sourceIds: string[]; lost: boolean }>({
  family: 'limits in some',
  groups: (c) => inState(c, 'in some').map((h) => h.limitId),
  place: { theme: 'words', phase: 'searched', stage: 'question' },
  core: true,
  finds: {
    when: {},
    found: (c, of) => {
      const held = all(c).find((h) => h.limitId === of)!
      return { limit: reasoned(held), sourceIds: held.heldIn, lost: lostIn(c) }
    },
  },
})

interface Lacking {
  kinds: LimitKind[]
  sourceIds: string[]
}

const lackingIn = keptFor((c: FactContext): Lacking[] => {
  const groups = new Map<string, Lacking>()
  for (const id of ranIn(c)) {
    const kinds = lacking(c, id)
    const key = kinds.join('+')
    const { sourceIds = [] } = groups.get(key) ?? {}
    if (kinds.length) groups.set(key, { kinds, sourceIds: [...sourceIds, id] })
  }
  return [...groups.values()].sort((a, b) => b.sourceIds.length - a.sourceIds.length)
})

/** Planned limits that a database that was searched does not have, by its description. */
export const noLimit = saying<{ lacking: Lacking[]; sourceIds: string[] }>({
  family: 'limits that are not there',
  groups: (c) => (lackingIn(c).length ? [''] : []),
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  finds: {
    when: {},
    found: (c) => ({ lacking: lackingIn(c), sourceIds: lackingIn(c).flatMap((l) => l.sourceIds) }),
  },
})

interface Stood {
  by: string
  sourceIds: string[]
}

/** What stood in for limits that a database does not have, of those that hold for what was found; by the kind of limit. */
const stoodInFor = keptFor((c: FactContext): ReadonlyMap<LimitKind, Stood[]> => {
  const found = new Map<LimitKind, Stood[]>()
  for (const id of ranIn(c)) {
    if (!finalRun(c.review, id)) continue
    const profile = c.source(id)?.profile
    for (const kind of new Set(limitsThatCount(c.review.strategies[id] ?? []).map((l) => l.kind))) {
      const by = profile?.limits[kind]?.standIn
      if (!by) continue
      const own = found.get(kind) ?? []
      const same = own.find((s) => s.by === by)
      found.set(
        kind,
        same
          ? own.map((s) => (s === same ? { by, sourceIds: [...s.sourceIds, id] } : s))
          : [...own, { by, sourceIds: [id] }],
      )
    }
  }
  for (const own of found.values()) own.sort((a, b) => b.sourceIds.length - a.sourceIds.length)
  return found
})

/** What stood in for a limit, where something did. */
export const stoodIn = saying<{ kind: LimitKind; by: Stood[]; sourceIds: string[] }>({
  family: 'what stood in',
  groups: (c) => [...stoodInFor(c).keys()],
  place: { theme: 'words', phase: 'searched', stage: 'searches' },
  finds: {
    when: {},
    found: (c, of) => {
      const by = stoodInFor(c).get(of as LimitKind)!
      return { kind: of as LimitKind, by, sourceIds: by.flatMap((b) => b.sourceIds) }
    },
  },
})
