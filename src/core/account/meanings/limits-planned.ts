import type { InSomeRead, LimitsRead } from '../reads/en'
import { counts, knownSearches, searchesOf, type SlowSearch } from './as-searched'
import type { Deeds } from './deeds'
import { sameNames, sameReason, thingsOf } from './plan'
import { limitHolds, type SlowLine } from './what-is-found'

type Limit = SlowLine['limits'][number]
interface Planned {
  limit: Limit
  reason: string
}
const plannedIn = (deeds: Deeds): Planned[] =>
  thingsOf(deeds, 'limit.set', 'limit.remove') as unknown as Planned[]

const LANGUAGES: Readonly<Record<string, string>> = { en: 'English', de: 'German', es: 'Spanish' }
/** A limit as it may read: what it lets through. */
function reads(limit: Limit, words: string): boolean {
  if (limit.kind === 'years')
    return words.includes(
      limit.to === undefined ? `from ${limit.from} on` : `from ${limit.from} to ${limit.to}`,
    )
  if (limit.kind === 'peer reviewed') return words.includes('peer-reviewed')
  return limit.kind === 'language' && limit.values!.every((v) => words.includes(LANGUAGES[v]!))
}

/** The planned limits that are told, each with its reason; undefined where what is told is none of the plan. */
function told(list: LimitsRead['limits'], deeds: Deeds): Planned[] | undefined {
  const found = list.map(({ words, reason }) => {
    const own = plannedIn(deeds).filter(
      (p) => reads(p.limit, words) && (reason === undefined || sameReason(reason, p.reason)),
    )
    // As many kinds as are named, and no other.
    const named = [/published/, /\bin [A-Z]/, /peer-reviewed/].filter((k) => k.test(words)).length
    return own.length === named && named > 0 ? own : undefined
  })
  return found.every((f) => f !== undefined) ? found.flat() : undefined
}

/** Of one search nobody here knows what it asked: what is said of searches has to say of which. */
const anyLost = (deeds: Deeds): boolean => searchesOf(deeds).some((s) => s.lost)
const holds = (s: SlowSearch, limit: Limit): boolean => counts(s) && limitHolds(s.lines, s.last, limit)
const lacks = (s: SlowSearch, { kind }: Limit, deeds: Deeds): boolean =>
  (deeds.world.noLimit[s.id] ?? []).includes(kind) &&
  !s.lines.some((l) => l.limits.some((x) => x.kind === kind))

/** Each held in every database that was searched and has such a limit, and in one at least. */
export function limitsKept({ limits, also, lost }: LimitsRead, deeds: Deeds): boolean {
  const all = knownSearches(deeds)
  return (
    (also || lost === anyLost(deeds)) &&
    (told(limits, deeds)?.every(
      ({ limit }) =>
        all.some((s) => holds(s, limit)) &&
        all.every((s) => counts(s) && (holds(s, limit) || lacks(s, limit, deeds))),
    ) ??
      false)
  )
}

/** Each is planned, and of some database that was searched it is not known yet whether it held, or none was. */
export function limitsPlanned({ limits }: LimitsRead, deeds: Deeds): boolean {
  const known = knownSearches(deeds)
  return told(limits, deeds) !== undefined && (!searchesOf(deeds).length || known.some((s) => !counts(s)))
}

/** Each was planned, and held in no search. */
export function limitsDropped({ limits, lost }: LimitsRead, deeds: Deeds): boolean {
  const all = knownSearches(deeds)
  return (
    lost === anyLost(deeds) &&
    all.length > 0 &&
    all.every(counts) &&
    (told(limits, deeds)?.every(({ limit }) => all.every((s) => !holds(s, limit))) ?? false)
  )
}

/** It held in just these databases, and in another it could have been set and was not. */
export function limitInSome({ names, words, reason, lost }: InSomeRead, deeds: Deeds): boolean {
  const all = knownSearches(deeds)
  const own = told([{ words, ...(reason === undefined ? {} : { reason }) }], deeds)
  const [planned] = own ?? []
  if (!planned || own!.length > 1 || lost !== anyLost(deeds)) return false
  const held = all.filter((s) => holds(s, planned.limit))
  return (
    all.every(counts) &&
    sameNames(
      names,
      held.map((s) => s.name),
    ) &&
    all.some((s) => !held.includes(s) && !lacks(s, planned.limit, deeds))
  )
}

const NOUN: Readonly<Record<string, string>> = { 'peer review': 'peer reviewed' }

/** Just these databases, of those in which a line was run, cannot set just these planned limits. */
export function noLimit(
  { lacking }: { lacking: { names: string; kinds: string[] }[] },
  deeds: Deeds,
): boolean {
  const kinds = [...new Set(plannedIn(deeds).map((p) => p.limit.kind))]
  const found = searchesOf(deeds).flatMap((s) => {
    const own = s.ran.size ? kinds.filter((kind) => lacks(s, { kind }, deeds)) : []
    return own.length ? [{ name: s.name, kinds: own.sort().join() }] : []
  })
  return (
    lacking.length > 0 &&
    lacking.reduce((n, l) => n + l.names.split(/, | and /).length, 0) === found.length &&
    lacking.every((l) =>
      sameNames(
        l.names,
        found
          .filter(
            (f) =>
              f.kinds ===
              l.kinds
                .map((k) => NOUN[k] ?? k)
                .sort()
                .join(),
          )
          .map((f) => f.name),
      ),
    )
  )
}

/** In just these databases something stood in for a limit of this kind that holds for what was found: what it is said to be. */
export function stoodIn(
  { kind, by }: { kind: string; by: { names: string; what: string }[] },
  deeds: Deeds,
): boolean {
  const own = NOUN[kind] ?? kind
  const found = searchesOf(deeds).flatMap((s) => {
    const what = deeds.world.standIn[s.id]?.[own]
    const set = s.lines.flatMap((l) => l.limits).filter((l) => l.kind === own)
    return what !== undefined && set.some((l) => holds(s, l)) ? [{ name: s.name, what }] : []
  })
  return (
    found.length > 0 &&
    by.reduce((n, b) => n + b.names.split(/, | and /).length, 0) === found.length &&
    by.every((b) =>
      sameNames(
        b.names,
        found.filter((f) => b.what.endsWith(f.what)).map((f) => f.name),
      ),
    )
  )
}
