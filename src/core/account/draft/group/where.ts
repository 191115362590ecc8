import type { Claim } from '../../claims'
import type { Grouped } from '../grouped'
import type { ToldSaying } from '../../sayings'
import { protocol } from './protocol'
import { alike, evidence, ofKind } from './alike'
import { toldAs } from './told-as'

/** The question, the sources, why and when they were searched, and the other ways. */
export function where(claims: readonly Claim[], sayings: readonly ToldSaying[], byTime: boolean): Grouped[] {
  const asked = ofKind(claims, 'Asked')
  const searched = ofKind(claims, 'SourcesSearched')
  const chosen = ofKind(claims, 'SourceChosen')
  const indexed = ofKind(claims, 'SourcesIndexed').map(({ on, sourceIds }): Grouped => ({
    tells: 'indexed',
    theme: 'where',
    phase: searched.length ? 'searched' : 'planned',
    stage: 'question',
    on,
    sourceIds,
    of: (searched.length ? searched : ofKind(claims, 'SourcesPlanned')).flatMap((c) => c.sourceIds).length,
  }))
  const toSearch = ofKind(claims, 'SourcesPlanned').map(({ on, sourceIds, besides }): Grouped => ({
    tells: 'to search',
    theme: 'where',
    phase: 'planned',
    stage: 'question',
    on,
    core: true,
    sourceIds,
    besides,
  }))
  return [
    ...asked.map(({ on }): Grouped => ({
      tells: 'asked',
      theme: 'where',
      phase: 'planned',
      stage: 'question',
      on,
      core: true,
    })),
    ...protocol(claims),
    ...searched.map(({ on, sourceIds }): Grouped => ({
      tells: 'searched',
      theme: 'where',
      phase: 'searched',
      stage: 'question',
      on,
      core: true,
      sourceIds,
      table: sourceIds.length > 1,
    })),
    ...(searched.length ? [...indexed, ...toSearch] : [...toSearch, ...indexed]),
    ...(chosen.length
      ? [
          {
            tells: 'chosen',
            theme: 'where',
            phase: 'planned',
            stage: 'question',
            on: evidence(chosen),
            only:
              new Set([...searched, ...ofKind(claims, 'SourcesPlanned')].flatMap((c) => c.sourceIds)).size ===
              1,
            reasons: alike(chosen, (c) => c.reason.trim().replace(/\.$/, '')),
          } satisfies Grouped,
        ]
      : []),
    ...ofKind(claims, 'SearchedTogether').map(({ on, sourceId, platform }): Grouped => ({
      tells: 'together',
      theme: 'where',
      phase: 'searched',
      stage: 'question',
      on,
      core: true,
      sourceId,
      platform,
    })),
    ...dated(claims, byTime),
    ...toldAs(
      sayings.filter(
        (s) => s.saying === 'counts-by-hand' || s.saying === 'counts-corrected' || s.saying === 'source-gone',
      ),
      ['runs'],
    ),
    ...others(claims, sayings),
    ...toldAs(
      sayings.filter((s) => s.saying === 'ways-not-gone' || s.saying === 'search-again'),
      ['plan'],
    ),
  ]
}

/** When was searched: once for all that were searched as often; by time, each time of searching apart. */
function dated(claims: readonly Claim[], byTime: boolean): Grouped[] {
  const on = ofKind(claims, 'SearchedOn').filter((c) => c.spells > 0)
  if (!on.length) return []
  const groups = alike(on, (c) => c.spells)
  const most = Math.max(...on.map((c) => c.spells))
  const again = on.filter((c) => c.spells > 1)
  const base = {
    tells: 'dated',
    theme: 'where',
    stage: 'searches',
    on: evidence(on),
    core: true,
  } as const
  const revised = again.length > 0 && again.every((c) => c.revised)
  if (!byTime || most === 1)
    return [
      {
        ...base,
        phase: 'searched',
        spells: groups.map((g) => ({
          sourceIds: g.sourceIds,
          what: Array.from({ length: g.what }, (_, n) => n),
        })),
        all: groups.length === 1,
        revised,
        counted: most > 1 && on.every((c) => c.counted),
      },
    ]
  const ids = (list: readonly { sourceId: string }[]): string[] => list.map((c) => c.sourceId)
  return [
    {
      ...base,
      phase: 'searched',
      spells: [{ sourceIds: ids(on), what: [0] }],
      all: true,
      revised: false,
      counted: false,
    },
    ...Array.from({ length: most - 1 }, (_, n): Grouped => {
      const own = on.filter((c) => c.spells > n + 1)
      return {
        ...base,
        phase: 'again',
        spells: [{ sourceIds: ids(own), what: [n + 1] }],
        all: own.length === on.length,
        revised: n + 2 === most && revised,
        counted: n + 2 === most && on.every((c) => c.counted),
      }
    }),
  ]
}

/** Each way that is no database with what was done on it; those that are only planned last. */
function others(claims: readonly Claim[], sayings: readonly ToldSaying[]): Grouped[] {
  const ways = ofKind(claims, 'OtherSource')
  const alone = !ofKind(claims, 'SourcesSearched').length && !ofKind(claims, 'SourcesPlanned').length
  return [...ways.filter((w) => w.done), ...ways.filter((w) => !w.done)].flatMap((way, nth): Grouped[] => {
    const { sourceId, done } = way
    const base = {
      theme: 'where',
      phase: done ? 'again' : 'planned',
      stage: done ? 'selection' : 'question',
      on: way.on,
      sourceId,
    } as const
    const own = <C extends { sourceId: string }>(list: readonly C[]): C[] =>
      list.filter((c) => c.sourceId === sourceId)
    return [
      {
        ...base,
        tells: 'other way',
        kind: way.kind as never,
        done,
        reason: way.reason,
        core: true,
        nth,
        alone,
      },
      ...toldAs(
        sayings.filter((s) => s.of === sourceId),
        way.on,
      ),
      ...own(ofKind(claims, 'PagesSeen')).map(({ count }): Grouped => ({
        ...base,
        tells: 'pages',
        stage: 'selection',
        count,
      })),
    ]
  })
}
