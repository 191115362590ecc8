/** Random reviews that brought records in from several sources, in rounds, joined some, and bound works as studies. */
import fc from 'fast-check'
import type { Command, Entry } from '../review'
import { andThen } from './random-reading.fixture'

const SOURCES = ['A', 'B', 'P'] as const
const nth = fc.nat(7)

export const gatherings = fc.record({
  /** How many records each source gave; none: nothing was brought in from it. */
  gave: fc.array(fc.constantFrom(0, 2, 3), { minLength: 3, maxLength: 3 }),
  /** What the databases found, where they were run. */
  found: fc.array(fc.constantFrom(undefined, 3, 9), { minLength: 2, maxLength: 2 }),
  /** What was done in the first database without a query, and how many it gave. */
  browsed: fc.constantFrom(undefined, undefined, 12, 1200),
  /** What later rounds brought again from the first database. */
  updates: fc.array(fc.integer({ min: 1, max: 3 }), { maxLength: 2 }),
  /** Records that people took for one work, by their places among all; and which of these pairs they parted again. */
  joined: fc.array(fc.tuple(nth, nth), { maxLength: 4 }),
  parted: fc.option(fc.nat(3), { nil: undefined, freq: 2 }),
  /** What was ruled of each work, on its first record: out on titles, in, or in and included. */
  ruled: fc.array(fc.constantFrom('none', 'out', 'in', 'included', 'included', 'included', 'included'), {
    minLength: 12,
    maxLength: 12,
  }),
  studies: fc.array(fc.array(nth, { minLength: 2, maxLength: 4 }), { minLength: 1, maxLength: 3 }),
  apart: fc.boolean(),
  removed: fc.nat(5).map((n) => n === 5),
  voice: fc.constantFrom('we' as const, 'I' as const, 'passive' as const),
  order: fc.constantFrom('theme' as const, 'time' as const),
  length: fc.constantFrom('full' as const, 'full' as const, 'full' as const, 'short' as const),
})
export type Gathering = typeof gatherings extends fc.Arbitrary<infer T> ? T : never

const line = (sourceId: string) => ({
  ...{ id: `${sourceId}-1`, text: 'noise', limits: [], note: '', drafted: false },
})

const BROWSED = 'went through the shelf of reports'

/** A search without text, behind the line that counts. */
const browsedIn = (sourceId: string, hits: number): Command =>
  ({
    kind: 'run.log',
    payload: {
      ...{ id: `browsed-${sourceId}`, sourceId, lineId: `${sourceId}-2`, key: '', keyRule: 0, number: 2 },
      reached: [{ number: 2, id: `${sourceId}-2`, text: '', limits: [], described: BROWSED }],
      ...{ text: '', sent: BROWSED, limits: [], hits, at: '2026-05-09T09:00:00Z' },
      ...{ by: 'p-1', release: '2026', how: 'by hand' },
    },
  }) as never

const searched = (sourceId: string, hits: number | undefined, browsed?: number): Command[] =>
  hits === undefined
    ? []
    : ([
        {
          kind: 'strategy.set',
          payload: {
            sourceId,
            why: 'drafted anew',
            lines: [
              line(sourceId),
              ...(browsed === undefined
                ? []
                : [{ ...line(sourceId), id: `${sourceId}-2`, text: '', described: BROWSED }]),
            ],
          },
        },
        {
          kind: 'run.log',
          payload: {
            ...{ id: `run-${sourceId}`, sourceId, lineId: `${sourceId}-1`, key: '', keyRule: 0 },
            reached: [{ number: 1, id: `${sourceId}-1`, text: 'noise', limits: [] }],
            ...{ number: 1, text: 'noise', sent: 'noise', limits: [], hits, at: '2026-05-02T09:00:00Z' },
            ...{ by: 'p-1', release: '2026', how: 'stand-in' },
          },
        },
      ] as Command[])

/** Of no two files the same. */
const digestOf = (id: string): string =>
  [...id]
    .map((c) => c.charCodeAt(0).toString(16))
    .join('')
    .padEnd(64, '0')

const brought = (id: string, sourceId: string, count: number, roundId?: string): Command => ({
  kind: 'records.import',
  payload: {
    ...{ id, sourceId, digest: digestOf(id), count, at: '2026-05-02T10:00:00Z' },
    ...(roundId ? { roundId } : {}),
  },
})

export function gatheringJournal(d: Gathering): Entry[] {
  const files = [
    ...SOURCES.flatMap((s, n) => (d.gave[n] ? [{ id: `i${s}`, sourceId: s, count: d.gave[n]! }] : [])),
    ...d.updates.map((count, n) => ({ id: `u${n}`, sourceId: 'A', count, roundId: `r${n}` })),
  ]
  const ids = files.flatMap((f) => Array.from({ length: f.count }, (_, n) => `${f.id}/${n + 1}`))
  const at = (n: number): string | undefined => ids[n]
  const pairs = (list: readonly (readonly [number, number])[]): [string, string][] =>
    list.flatMap(([a, b]) => {
      const [x, y] = [at(Math.min(a, b)), at(Math.max(a, b))]
      return x !== undefined && y !== undefined && x !== y ? [[x, y] as [string, string]] : []
    })
  // Each is joined to at most one before it: so one record of a work is the first, and only that one is ruled.
  const joined = [...new Map(pairs(d.joined).map(([a, b]) => [b, a]))].map(([b, a]) => [a, b] as const)
  const later = new Set(joined.map(([, b]) => b))
  return andThen([], [
    { kind: 'review.create', payload: { id: 'r', title: 'R' } },
    { kind: 'account.voice', payload: { voice: d.voice } },
    { kind: 'account.telling', payload: { order: d.order, length: d.length } },
    ...SOURCES.map((id) => ({
      kind: 'source.set',
      payload: { id, kind: id === 'P' ? 'people' : 'database', name: `Source ${id}`, why: '' },
    })),
    ...searched('A', d.found[0], d.browsed),
    ...(d.browsed === undefined || d.found[0] === undefined ? [] : [browsedIn('A', d.browsed)]),
    ...searched('B', d.found[1]),
    ...files.flatMap(({ id, sourceId, count, ...of }) => [
      ...('roundId' in of
        ? [{ kind: 'round.begin', payload: { id: of.roundId, kind: 'update', why: '' } }]
        : []),
      brought(id, sourceId, count, 'roundId' in of ? of.roundId : undefined),
    ]),
    ...joined.map(([a, b]) => ({ kind: 'pair.join', payload: { a, b } })),
    ...joined.filter((_, n) => n === d.parted).map(([a, b]) => ({ kind: 'pair.part', payload: { a, b } })),
    ...ids
      .filter((id) => !later.has(id))
      .flatMap((recordId, n) => {
        const said = d.ruled[n % d.ruled.length]!
        const ruling = { recordId, reader: 'p-1' }
        return said === 'none'
          ? []
          : [
              {
                kind: 'ruling.set',
                payload: { ...ruling, pass: 'broad', verdict: said === 'out' ? 'out' : 'in' },
              },
              ...(said === 'included'
                ? [{ kind: 'ruling.set', payload: { ...ruling, pass: 'close', verdict: 'in' } }]
                : []),
            ]
      }),
    ...d.studies.flatMap((of, n) => {
      const records = [...new Set(of.flatMap((i) => at(i) ?? []))]
      return records.length
        ? [{ kind: 'study.bind', payload: { id: `st${n}`, name: `Trial ${n}`, records } }]
        : []
    }),
    ...(d.apart && d.studies.length ? [{ kind: 'study.part', payload: { id: 'st0' } }] : []),
    ...(d.removed && files.length > 1 ? [{ kind: 'import.remove', payload: { id: files[0]!.id } }] : []),
  ] as Command[])
}
