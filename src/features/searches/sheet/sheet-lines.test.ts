import { describe, expect, it } from 'vitest'
import { emptyReview, type Line, type Review, type Run } from '@/core/review'
import { sourceInfo } from '@/standins/source-info'
import { nextLimit, standingsOf } from '../panes/ledger'
import { line, run } from './sheet.fixture'
import { lastHits, sheetView } from './sheet-lines'

const YEARS = { kind: 'years' as const, from: 2017, to: 2026 }
const LINES = [
  line('a', 'text: noise', { conceptId: 'b' }),
  line('b', 'text: reading', { conceptId: 'c' }),
  line('c', 'all(#1-#2)'),
  line('d', '#3', { limits: [YEARS] }),
]
function review(lines: Line[], runs: Run[]): Review {
  return {
    ...emptyReview('r'),
    concepts: ['b', 'c'].map((id) => ({
      id,
      letter: id.toUpperCase() as 'B',
      name: id,
      essential: true,
      note: '',
    })),
    limits: [
      { id: 'l1', limit: YEARS, reason: '' },
      { id: 'l2', limit: { kind: 'language', values: ['en'] }, reason: '' },
      { id: 'l3', limit: { kind: 'open access' }, reason: '' },
    ],
    sources: [
      { id: 's', kind: 'database', name: 'Fernhollow Education Index', profileId: 'fernhollow', why: '' },
    ],
    strategies: { s: lines },
    runs,
  }
}
const infoOf = (r: Review) => sourceInfo(r, r.sources[0]!)

describe('what the rows of a sheet show', () => {
  const r = review(LINES, [run(LINES, 'a', 120, '2026-11-16T09:00:00Z')])
  const view = sheetView(r, infoOf(r))

  it('are the concepts behind each line, and the limits that hold for what it finds', () => {
    expect(view.letters).toEqual([['B'], ['C'], ['B', 'C'], ['B', 'C']])
    expect(view.applied).toEqual([[], [], [], ['years']])
    // What the source has no limit for is no gap of its lines.
    expect(view.planned).toEqual(['years', 'language'])
  })

  it('are hits of what a line asks now, with the change since it asked something else', () => {
    const before = LINES.map((l) => (l.id === 'a' ? { ...l, text: 'text: hum' } : l))
    const changed = review(LINES, [
      run(before, 'a', 100, '2026-11-16T08:00:00Z'),
      run(LINES, 'a', 120, '2026-11-16T09:00:00Z'),
    ])
    const seen = sheetView(changed, infoOf(changed))
    expect(seen.runs.get('a')!.hits).toBe(120)
    expect(seen.changes.get('a')).toBe(20)
    expect(view.changes.size).toBe(0)
  })

  it('end with the last line that has a text: a journal browsed changes no figure', () => {
    const lines = [...LINES, line('e', '', { described: 'browsed a journal' })]
    const runs = [run(lines, 'd', 7, '2026-11-16T09:00:00Z'), run(lines, 'e', 3000, '2026-11-16T09:01:00Z')]
    expect(lastHits(review(lines, runs), 's')).toBe('7')
    expect(lastHits(review(lines, []), 's')).toBe('')
    expect(lastHits(review([], []), 's')).toBe('')
  })
})

describe('the ledger of limits', () => {
  it('tells how each planned limit stands in the last line, and which is to be applied next', () => {
    const r = review(LINES, [])
    expect(standingsOf(r, infoOf(r)).map((s) => s.standing.state)).toEqual([
      'applied',
      'forgotten',
      'not available',
    ])
    expect(nextLimit(r, infoOf(r))).toEqual({ kind: 'language', values: ['en'] })
  })

  it('finds a limit lost at the line that joined anew without it', () => {
    const r = review([...LINES, line('e', 'all(#1, #2)')], [])
    expect(standingsOf(r, infoOf(r))[0]!.standing).toMatchObject({ state: 'lost', line: 4, at: 5 })
    expect(nextLimit(r, infoOf(r))).toEqual(YEARS)
  })
})
