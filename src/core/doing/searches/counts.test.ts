import { expect, it } from 'vitest'
import type { Line, Review, Run } from '../../review'
import { chooseCounts, countsProposed } from './counts'

const line = (n: number, text: string, more: Partial<Line> = {}): Line => ({
  id: `l${n}`,
  text,
  limits: [],
  note: '',
  drafted: false,
  ...more,
})
const run = (n: number, hits: number): Run =>
  ({ id: `r${n}`, sourceId: 's', lineId: `l${n}`, number: n, hits, at: '2026-11-01T09:00:00Z' }) as Run
/** What was pasted: two concepts, joined and limited, and two words that were tried behind it. */
const LINES = [
  line(1, 'noise'),
  line(2, 'reading'),
  line(3, '#1 AND #2'),
  line(4, '#3', { limits: [{ kind: 'years', from: 2016, to: 2026 }] }),
  line(5, 'otters'),
  line(6, 'noise AND otters'),
]
const review = (more: Partial<Review> = {}): Review =>
  ({
    strategies: { s: LINES },
    runs: LINES.map((_, n) => run(n + 1, [4812, 9120, 318, 97, 41, 3][n]!)),
    imports: [],
    ...more,
  }) as unknown as Review
const brought = (runId: string) => ({ id: `i-${runId}`, sourceId: 's', runId, count: 97, digest: '', at: '' })

it('is the line of which records were brought in, whatever was tried behind it', () => {
  const found = countsProposed(review({ imports: [brought('r3'), brought('r4')] as never }), 's')
  expect(found).toMatchObject({ number: 4, because: 'records', instead: { number: 6 } })
})

it('is else the one built of most lines that no other uses', () => {
  expect(countsProposed(review(), 's')).toMatchObject({
    number: 4,
    because: 'largest',
    instead: { number: 6 },
  })
})

it('is nothing where that line counts already, where somebody chose, and where nothing was run', () => {
  const before = { strategies: { s: LINES.slice(0, 4) }, runs: [1, 2, 3, 4].map((n) => run(n, n)) }
  expect(countsProposed(review(before), 's')).toBeUndefined()
  expect(countsProposed(review({ counts: { s: { lineId: 'l6', why: '' } } }), 's')).toBeUndefined()
  expect(countsProposed(review({ runs: [] }), 's')).toBeUndefined()
  // A line that is not there any more was chosen by nobody.
  expect(countsProposed(review({ counts: { s: { lineId: 'gone', why: '' } } }), 's')).toMatchObject({
    number: 4,
  })
})

it('is chosen once: to choose it again does nothing', () => {
  const at = { review: review(), now: '', newId: () => 'x', person: 'p' }
  const commands = chooseCounts(at, { sourceId: 's', lineId: 'l4' })
  expect(commands).toEqual([{ kind: 'strategy.counts', payload: { sourceId: 's', lineId: 'l4', why: '' } }])
  const chosen = { ...at, review: review({ counts: { s: { lineId: 'l4', why: '' } } }) }
  expect(chooseCounts(chosen, { sourceId: 's', lineId: 'l4' })).toEqual([])
})
