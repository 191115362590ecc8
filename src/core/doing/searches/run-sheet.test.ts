import { expect, it } from 'vitest'
import { PROFILES } from '../../../standins/profiles'
import { emptyReview, type Line, type Review } from '../../review'
import { runOf, runSheet } from '..'

const line = (id: string, text: string, more: Partial<Line> = {}): Line => ({
  ...{ id, text, limits: [], note: '', drafted: false },
  ...more,
})
const LINES = [
  line('a', 'noise'),
  line('b', 'pupils'),
  line('c', '', { described: 'browsed the shelf' }),
  line('d', '#1 AND #2'),
]
const source = { id: 's', name: 'Lantern Index', kind: 'database', why: '' } as const
const at = { review: emptyReview('r'), now: '2026-11-28T10:00:00Z', newId: () => 'n', person: 'p-1' }
const ran = (of: Line, there?: number) =>
  runOf(at, {
    source,
    lines: LINES,
    line: of,
    sent: '',
    hits: 7,
    release: '',
    how: 'by hand',
    evidence: {},
    there,
  })
const review: Review = { ...emptyReview('r'), strategies: { s: LINES }, runs: [ran(LINES[0]!, 4)] }

it('leads through the lines that are not run as they stand, in their syntax and with the numbers they get there', () => {
  const rows = runSheet(review, 's', PROFILES.mindmere!, 'open')
  expect(rows.map((r) => [r.number, r.there, r.said?.text])).toEqual([
    [2, 5, 'pupils'],
    [4, 7, 'row4 and row5'],
  ])
})

it('leads through all of them where the search is made again, and knows what was run', () => {
  const rows = runSheet(review, 's', PROFILES.mindmere!, 'all')
  expect(rows.map((r) => [r.number, r.run?.hits])).toEqual([
    [1, 7],
    [2, undefined],
    [4, undefined],
  ])
  expect(runSheet(review, 'none', PROFILES.mindmere!, 'all')).toEqual([])
})
