/** The smallest changes of a review by which what a sentence says of the plan and of searching is no longer so. */
import type { Command } from '../review'
import { lineKeys } from '../strategy'
import type { Breaks } from './breaks-of-works.fixture'
import type { FactContext } from './facts'
import { sayingsTold, type SayingName } from './sayings'

type Review = FactContext['review']

/** What a saying that is told found, the first of its kind. */
const foundOf = (c: FactContext, name: SayingName): Record<string, unknown> | undefined =>
  sayingsTold(c).find((s) => s.saying === name)?.found as Record<string, unknown> | undefined
/** The last source that a saying names. */
const namedIn = (c: FactContext, name: SayingName): string | undefined =>
  (foundOf(c, name)?.sourceIds as string[] | undefined)?.at(-1)

const again = <T extends object>(
  kind: string,
  was: T | undefined,
  change: Partial<T>,
): Command[] | undefined => was && [{ kind, payload: { ...was, ...change } } as never]

/** Something else is asked of a source, and run. */
function askedOtherwise(sourceId: string | undefined, text = 'title: q'): Command[] | undefined {
  if (sourceId === undefined) return undefined
  const line = { id: 'other', text, limits: [], note: '', drafted: false }
  const run = {
    ...{ id: 'run-other', sourceId, lineId: 'other', key: lineKeys([line]).get('other'), keyRule: 0 },
    ...{ reached: [{ number: 1, id: 'other', text: line.text, limits: [] }], number: 1, text: line.text },
    ...{ sent: line.text, limits: [], hits: 1, at: '2026-12-30T09:00:00Z', by: 'M. Osei' },
    ...{ release: 'release of September 2026', how: 'stand-in' },
  }
  return [
    { kind: 'strategy.set', payload: { sourceId, lines: [line], why: 'drafted anew' } },
    { kind: 'run.log', payload: run },
  ] as never
}

/** A run of a line that stands as it was run is made again, on the day behind the last. */
function dayAfter({ runs, sources, strategies }: Review): Command[] | undefined {
  const stands = (r: Review['runs'][number]): boolean => {
    const current = lineKeys(strategies[r.sourceId] ?? [])
    return sources.some((s) => s.id === r.sourceId) && current.get(r.lineId) === r.key
  }
  const own = runs.filter((r) => r.text.trim() && stands(r))
  const last = own.toSorted((a, b) => (a.at < b.at ? -1 : 1)).at(-1)
  const at = last && new Date(Date.parse(last.at) + 86_400_000).toISOString()
  return last && [{ kind: 'run.log', payload: { ...last, id: 'day-after', at: at! } }]
}

const source = (c: FactContext, test: (s: Review['sources'][number]) => boolean) =>
  c.review.sources.find(test)
const otherWay = (c: FactContext) => source(c, (s) => s.kind !== 'database')
const database = (id: string): Command => ({
  kind: 'source.set',
  payload: { id, kind: 'database', name: 'Lea Index', why: '' },
})
const known = (title: string): Command =>
  ({
    kind: 'known.add',
    payload: { items: [{ id: 'k-9', raw: title, form: 'reference', title, authors: [] }] },
  }) as never

export const OF_SEARCHES = {
  asked: () => [{ kind: 'question.set', payload: { text: 'How bright is it?' } }],
  divided: () => [
    {
      kind: 'concept.set',
      payload: { id: 'c9', letter: 'D', name: 'Floors', essential: true, note: '' },
    },
  ],
  'one-enough': (_e, c) =>
    c.review.alternatives.map(({ id }) => ({ kind: 'alternatives.remove', payload: { id } })),
  'not-required': (_e, c) =>
    again(
      'concept.set',
      c.review.concepts.find((k) => !k.essential),
      { essential: true },
    ),
  'protocol-frozen': () => [
    { kind: 'protocol.register', payload: { place: 'another house', number: 'C-7' } },
  ],
  'protocol-amended': () => [
    { kind: 'protocol.amend', payload: { id: 'v9', at: '2027-01-01T09:00:00Z', readers: 2, why: 'more' } },
  ],
  departed: () => [
    { kind: 'criterion.set', payload: { id: 'z9', text: 'Is it new?', pass: 'close', sense: 'in' } },
  ],
  searched: (_e, c) => {
    const id = namedIn(c, 'searched')
    return id === undefined ? undefined : [{ kind: 'source.remove', payload: { id } }]
  },
  'to-search': () => [database('lea')],
  'to-search-besides': () => [database('lea')],
  indexed: (_e, c) =>
    again(
      'source.set',
      source(c, (s) => s.id === namedIn(c, 'indexed')),
      { name: 'Lea Index' },
    ),
  chosen: (_e, c) =>
    again(
      'source.set',
      source(c, (s) => s.kind === 'database' && s.why !== ''),
      { why: 'somebody said so' },
    ),
  together: (_e, c) =>
    again(
      'source.set',
      source(c, (s) => s.together !== undefined),
      { together: 'the Ash Papers' },
    ),
  'searched-on': (_e, c) => dayAfter(c.review),
  'searched-again': (_e, c) => dayAfter(c.review),
  // Somebody found out what was asked.
  'searched-before': (_e, c) => askedOtherwise(namedIn(c, 'searched-before')),
  'way-gone': (_e, c) => again('source.set', otherWay(c), { name: 'somebody else' }),
  'ways-at-once': (_e, c) => again('source.set', otherWay(c), { name: 'somebody else' }),
  'way-planned': (_e, c) => {
    const sourceId = foundOf(c, 'way-planned')?.sourceId as string | undefined
    return sourceId === undefined
      ? undefined
      : [{ kind: 'way.log', payload: { id: 'w-9', sourceId, how: 'read', day: '2027-01-04' } as never }]
  },
  'pages-noted': (_e, c) =>
    again(
      'page.set',
      c.review.pages?.find((p) => p.seen),
      { id: 'p-9' },
    ),
  'asked-with': (_e, c) => askedOtherwise(namedIn(c, 'asked-with')),
  'asked-otherwise': (_e, c) => askedOtherwise(namedIn(c, 'asked-otherwise')),
  stemmed: (_e, c) => {
    // What was sent last to one of them asks for one form alone.
    const found = foundOf(c, 'stemmed') as { stems: string[]; plurals: string[] } | undefined
    return askedOtherwise(found?.stems[0] ?? found?.plurals[0], '"q r"')
  },
  'no-nearness': (_e, c) => askedOtherwise(namedIn(c, 'no-nearness')),
  'left-out': (_e, c) => askedOtherwise(namedIn(c, 'left-out')),
  'without-query': (_e, c) =>
    again(
      'run.log',
      c.review.runs.findLast((r) => !r.text.trim()),
      { id: 'counted-again', hits: 3 },
    ),
  'taken-over': (_e, c) => {
    const sourceId = namedIn(c, 'taken-over')
    const lines = c.review.strategies[sourceId ?? '']?.map(({ takenOver: _, ...line }) => line)
    return sourceId === undefined
      ? undefined
      : [{ kind: 'strategy.set', payload: { sourceId, lines, why: 'drafted anew' } as never }]
  },
  terms: (_e, c) =>
    again(
      'term.set',
      c.review.terms.find((t) => t.status === 'in use'),
      { id: 't-9', expression: 'newly' },
    ),
  'no-heading': (_e, c) => again('gap.set', c.review.gaps[0], { about: 'sheer noise' }),
  dropped: (_e, c) =>
    c.review.terms
      .filter((t) => t.status === 'dropped')
      .map((t) => ({ kind: 'term.set', payload: { ...t, status: 'in use' } })),
  'known-named': (_e, c) => {
    const [item] = c.review.knownItems
    return item && [{ kind: 'known.remove', payload: { id: item.id } }]
  },
  'known-added': () => [known('Quite another thing')],
  'known-found': () => [known('Quite another thing')],
  'limits-kept': (_e, c) => askedOtherwise(namedIn(c, 'searched')),
  'limit-in-some': (_e, c) => askedOtherwise(namedIn(c, 'limit-in-some')),
  'limits-planned': (_e, c) => c.review.limits.map(({ id }) => ({ kind: 'limit.remove', payload: { id } })),
  'limits-dropped': (_e, c) => c.review.limits.map(({ id }) => ({ kind: 'limit.remove', payload: { id } })),
  'no-limit': (_e, c) => c.review.limits.map(({ id }) => ({ kind: 'limit.remove', payload: { id } })),
  'stood-in': (_e, c) => askedOtherwise(namedIn(c, 'stood-in')),
  'search-reviewed': (_e, c) => {
    const finished = Object.values(c.review.searchReviews ?? {}).find((r) => r.finished)
    return (
      finished && [
        {
          kind: 'searchreview.finish',
          payload: { reader: finished.reader, as: '', at: '2027-03-01T09:00:00Z' },
        },
      ]
    )
  },
  'points-raised': (_e, c) => {
    const finished = Object.values(c.review.searchReviews ?? {}).find((r) => r.finished)
    return (
      finished && [
        {
          kind: 'searchreview.comment',
          payload: {
            reader: finished.reader,
            id: 'k-9',
            sourceId: c.review.sources[0]!.id,
            of: 'x',
            text: 'more',
          },
        },
      ]
    )
  },
} satisfies Breaks
