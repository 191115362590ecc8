import fc from 'fast-check'
import { expect, it } from 'vitest'
import { buildIndex } from '../../engine'
import type { LimitValue } from '../../query'
import { emptyRecord, toDocument } from '../../records'
import { runStrategy } from '../run/run'
import { foldLimitLines, type PastSearch } from '.'

const WORDS = ['noise', 'rooms', 'reading', 'pupils', 'hum']
const records = Array.from({ length: 60 }, (_, i) => ({
  ...emptyRecord(String(i), WORDS.filter((_w, k) => (i >> k) % 2 === 0).join(' ')),
  year: 2000 + (i % 20),
  language: i % 3 ? 'en' : 'de',
}))
const index = buildIndex(records.map(toDocument))

const limit: fc.Arbitrary<LimitValue> = fc.oneof(
  fc
    .tuple(fc.integer({ min: 2000, max: 2010 }), fc.nat(9))
    .map(([from, more]): LimitValue => ({ kind: 'years', from, to: from + more })),
  fc.constantFrom('en', 'de').map((value): LimitValue => ({ kind: 'language', values: [value] })),
)
/** Expressions of line `n`, over words and the lines above it. */
const expression = (n: number): fc.Arbitrary<string> => {
  const ref = fc.integer({ min: 1, max: Math.max(1, n - 1) }).map((k) => `#${k}`)
  const word = fc.constantFrom(...WORDS)
  return n === 1
    ? word
    : fc.oneof(
        word,
        ref,
        fc.tuple(ref, ref).map(([a, b]) => `${a} AND ${b}`),
        fc.tuple(ref, word).map(([a, w]) => `${a} OR ${w}`),
        ref.map((a) => `any(#1-${a})`),
      )
}
const strategy = fc
  .integer({ min: 2, max: 8 })
  .chain((n) =>
    fc.tuple(
      ...Array.from({ length: n }, (_, i) =>
        fc.tuple(expression(i + 1), fc.option(limit, { nil: undefined })),
      ),
    ),
  )

const past = (drawn: readonly (readonly [string, LimitValue | undefined])[]): PastSearch[] =>
  drawn.map(([text, own], i) => ({
    row: {
      number: i + 1,
      text,
      hits: undefined,
      when: undefined,
      day: '',
      limits: '',
      others: [],
      rest: '',
      unsure: [],
      lines: [i + 1],
    },
    text,
    limits: own ? [own] : [],
    hits: undefined,
    described: undefined,
    folded: [],
    problems: [],
  }))
const hitsOf = (searches: readonly PastSearch[]): (number | undefined)[] =>
  runStrategy(
    { index, options: {} },
    searches.map((s, i) => ({ id: String(i), text: s.text, limits: s.limits })),
  ).map((r) => r.docs?.length)

it('folding limit lines changes nothing that is found: each line left finds as many as it says', () => {
  fc.assert(
    fc.property(strategy, (drawn) => {
      const searches = past(drawn)
      const hits = hitsOf(searches)
      const counted = searches.map((s, i) => ({ ...s, hits: hits[i] }))
      const folded = foldLimitLines(counted)
      expect(hitsOf(folded)).toEqual(folded.map((s) => s.hits))
      // The last search of a history is what was found, whether a line of its own or part of one.
      expect(folded.map((s) => s.hits)).toContain(hits[hits.length - 1])
    }),
    { numRuns: 500 },
  )
})

it('folding loses no line: each stands by itself or is named in the one that took it in', () => {
  fc.assert(
    fc.property(strategy, (drawn) => {
      const folded = foldLimitLines(past(drawn))
      const numbers = folded.flatMap((s) => [s.row.number!, ...s.folded.map((f) => f.number)])
      expect([...numbers].sort((a, b) => a - b)).toEqual(drawn.map((_, i) => i + 1))
    }),
  )
})
