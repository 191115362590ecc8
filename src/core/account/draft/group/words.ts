import { fieldsInWords } from '../../searched-with'
import { runWith } from '../../standing'
import type { Claim, ClaimOf } from '../../claims'
import type { FactContext } from '../../facts'
import type { Grouped, ReasonedLimit, Way } from '../grouped'
import type { ToldSaying } from '../../sayings'
import { alike, evidence, ofKind } from './alike'
import { toldAs } from './told-as'
import { reviewed } from './search-review'

/** The concepts, how lines were built, the terms, the known items and the limits. */
export function words(
  claims: readonly Claim[],
  sayings: readonly ToldSaying[],
  context: FactContext,
  byTime: boolean,
): Grouped[] {
  return [
    ...concepts(claims),
    ...ways(claims, context),
    ...toldAs(
      sayings.filter((s) => ['truncation', 'phrases-apart', 'not-sent', 'not-partly'].includes(s.saying)),
      ['runs'],
    ),
    ...takenOver(claims),
    ...terms(claims, context),
    ...toldAs(
      sayings.filter((s) => s.saying === 'headings-seen'),
      ['plan'],
    ),
    ...known(claims, byTime),
    ...limits(claims),
    ...toldAs(
      sayings.filter((s) => s.saying === 'limits-beyond'),
      ['limits'],
    ),
    ...reviewed(claims),
    ...toldAs(
      sayings.filter((s) => s.saying === 'searches-without'),
      ['plan'],
    ),
  ]
}

const planned = { theme: 'words', phase: 'planned', stage: 'question' } as const
const searched = { theme: 'words', phase: 'searched', stage: 'searches' } as const

function concepts(claims: readonly Claim[]): Grouped[] {
  const alternatives = ofKind(claims, 'OneIsEnough').map((c) => c.conceptIds)
  return [
    ...ofKind(claims, 'QuestionBroken').map(({ on }): Grouped => ({
      ...planned,
      tells: 'broken',
      on,
      core: true,
      alternatives,
    })),
    ...ofKind(claims, 'NotRequired').map(({ on, conceptIds, reason }): Grouped => ({
      ...planned,
      tells: 'not required',
      on,
      conceptIds,
      reason,
    })),
  ]
}

/** What was taken over from others: once for all databases in which it was changed alike. */
function takenOver(claims: readonly Claim[]): Grouped[] {
  const found = new Map<string, Grouped & { tells: 'taken over' }>()
  for (const { on, sourceId, what, name, changed } of ofKind(claims, 'TookOver')) {
    const key = JSON.stringify([what, name.trim(), changed.trim()])
    const known = found.get(key)
    const sourceIds = [...new Set([...(known?.sourceIds ?? []), sourceId])]
    found.set(key, {
      ...searched,
      tells: 'taken over',
      core: true,
      what,
      name: name.trim(),
      changed: changed.trim().replace(/\.$/, ''),
      on: [...(known?.on ?? []), ...on],
      sourceIds,
    })
  }
  return [...found.values()]
}

/** How each source was asked; those that were asked alike together, most first. */
function ways(claims: readonly Claim[], context: FactContext): Grouped[] {
  const all = ofKind(claims, 'SearchedWith')
  const told = all.filter((c) => c.headings || c.words || c.codes)
  const joins = ofKind(claims, 'Joined')
  const leftOut = ofKind(claims, 'LeftOut')
  const bare = all.filter((c) => c.nearnessLost).map((c) => c.sourceId)
  const wayOf = (c: ClaimOf<'SearchedWith'>): Way => {
    const { headings, narrower, headingConcepts, codes, words: has, wordConcepts, asked } = c
    return {
      headings,
      narrower,
      headingConcepts,
      codes,
      words: has,
      wordConcepts,
      asked,
      nearnessLost: false,
      fields: fieldsInWords(runWith(context, c.sourceId), context.source(c.sourceId)?.profile),
      join: toldAlike(joins.find((j) => j.sourceId === c.sourceId)?.join),
    }
  }
  return [
    ...(told.length
      ? [
          {
            ...searched,
            tells: 'ways',
            on: evidence(told),
            core: true,
            ways: alike(told, wayOf),
            all: told.length === ofKind(claims, 'SearchedOn').length,
            concepts: context.review.concepts.length,
          } satisfies Grouped,
        ]
      : []),
    ...(bare.length
      ? [{ ...searched, tells: 'no nearness', on: evidence(all), sourceIds: bare } satisfies Grouped]
      : []),
    ...(leftOut.length
      ? [
          {
            ...searched,
            tells: 'left out',
            on: evidence(leftOut),
            sourceIds: leftOut.map((c) => c.sourceId),
          } satisfies Grouped,
        ]
      : []),
    ...ofKind(claims, 'WithoutQuery').map(({ on, sourceId, lineId, deed }): Grouped => ({
      ...searched,
      tells: 'without query',
      on,
      sourceId,
      lineId,
      deed,
    })),
  ]
}

/** Joins that are told in the same words are the same. */
const toldAlike = (join: Way['join']): Way['join'] => (join?.kind === 'other' ? { ...join, text: '' } : join)

function terms(claims: readonly Claim[], { review, yields }: FactContext): Grouped[] {
  const gaps = ofKind(claims, 'NoHeadingFor')
  return [
    ...ofKind(claims, 'TermsGathered').map(({ on }): Grouped => ({
      theme: 'words',
      phase: review.runs.length ? 'searched' : 'planned',
      stage: 'terms',
      tells: 'terms',
      on,
      core: true,
      count: on.length,
      byYield: yields !== undefined && yields.size > 0,
      appendix: review.runs.length > 0,
    })),
    ...(gaps.length
      ? [
          {
            ...planned,
            stage: 'terms',
            tells: 'no heading',
            on: evidence(gaps),
            gaps: gaps.map(({ gapId, sourceId }) => ({ gapId, sourceId })),
          } satisfies Grouped,
        ]
      : []),
    ...ofKind(claims, 'TermsDropped').map(({ on, count, reasoned }): Grouped => ({
      theme: 'words',
      phase: 'again',
      stage: 'terms',
      tells: 'dropped',
      on,
      count,
      reasoned,
    })),
  ]
}

/** Known items, and right behind them how many were found; in order of time that is told when records are here. */
function known(claims: readonly Claim[], byTime: boolean): Grouped[] {
  const [found] = ofKind(claims, 'KnownFound')
  const named = ofKind(claims, 'KnownNamed')
  const told = named.map(({ on, when, count }, n): Grouped => ({
    theme: 'words',
    phase: when === 'before' || when === 'any' ? 'planned' : 'again',
    stage: 'question',
    tells: 'known',
    on,
    when,
    count,
    ...(found && !byTime && n === named.length - 1
      ? { found: { found: found.found, of: found.of, outside: found.outside } }
      : {}),
  }))
  return found && byTime
    ? [
        ...told,
        {
          theme: 'words',
          phase: 'screened',
          stage: 'records',
          tells: 'found',
          on: found.on,
          found: found.found,
          of: found.of,
          outside: found.outside,
        },
      ]
    : told
}

/** Limits that held wherever was searched together; then where they held in some only, and what could not be set. */
function limits(claims: readonly Claim[]): Grouped[] {
  const reasoned = ({ limitId, limit, reason }: ReasonedLimit): ReasonedLimit => ({ limitId, limit, reason })
  const missing = ofKind(claims, 'LimitNotAvailable')
  const applied = ofKind(claims, 'LimitApplied')
  const named = (c: ClaimOf<'LimitApplied'>): boolean =>
    c.held.some((h) => missing.some((m) => m.sourceId === h.sourceId && m.kinds.includes(c.limit.kind)))
  /** It held in every source that has such a limit at all. */
  const kept = applied.filter(
    (c) =>
      c.held.some((h) => h.state === 'applied' || h.state === 'stood in') &&
      c.held.every((h) => h.state !== 'not applied' && (h.state !== 'not available' || named(c))),
  )
  const rest = applied.filter((c) => !kept.includes(c))
  const plannedOnly = ofKind(claims, 'LimitPlanned')
  const dropped = rest.filter((c) => c.held.every((h) => h.state !== 'applied' && h.state !== 'stood in'))
  const together = (
    list: readonly (ReasonedLimit & { on: readonly string[] })[],
    how: 'kept' | 'planned' | 'dropped',
  ): Grouped[] =>
    list.length
      ? [
          {
            theme: 'words',
            phase: how === 'planned' ? 'planned' : 'searched',
            stage: 'question',
            tells: 'limits',
            on: [...new Set(list.flatMap((c) => c.on))],
            core: true,
            limits: list.map(reasoned),
            how,
          },
        ]
      : []
  const stoodIn = ofKind(claims, 'StoodIn')
  const kinds = [...new Set(stoodIn.map((c) => c.kind))]
  return [
    ...together(kept, 'kept'),
    ...together(plannedOnly, 'planned'),
    ...together(dropped, 'dropped'),
    ...rest
      .filter((c) => !dropped.includes(c))
      .map((c): Grouped => ({
        ...searched,
        stage: 'question',
        tells: 'limit in some',
        on: c.on,
        core: true,
        limit: reasoned(c),
        sourceIds: c.held
          .filter((h) => h.state === 'applied' || h.state === 'stood in')
          .map((h) => h.sourceId),
      })),
    ...(missing.length
      ? [
          {
            ...searched,
            tells: 'no limit',
            on: evidence(missing),
            kinds: alike(missing, (c) => c.kinds),
          } satisfies Grouped,
        ]
      : []),
    ...kinds.map((kind): Grouped => {
      const own = stoodIn.filter((c) => c.kind === kind)
      return { ...searched, tells: 'stood in', on: evidence(own), kind, by: alike(own, (c) => c.by) }
    }),
  ]
}
