import { describe, expect, it } from 'vitest'
import type { Line, Review, Source } from '../../review'
import { readHistory, recogniseHistory } from '../../strategy'
import { PROFILES } from '../../../standins/profiles'
import { pastTaken, type Past } from './past'

const source: Source = {
  id: 's',
  kind: 'database',
  name: 'Lantern Index',
  why: '',
  platform: 'Lantern Online',
}
const review = { terms: [{ conceptId: 'a', kind: 'text', expression: 'noise' }] } as unknown as Review
const there: Line[] = [{ id: 'old', text: 'rooms', limits: [], note: '', drafted: true }]
const SEARCHES = readHistory(
  recogniseHistory('No.\tQuery\tRecords\n1\tnoise\t1,204\n2\techo\t\n3\tL1 and L2\t7\n').rows,
  PROFILES.fernhollow!,
)
const taken = (change: Partial<Past> = {}) => {
  let made = 0
  return pastTaken(
    { review, newId: () => `n${++made}` },
    {
      ...{ source, searches: SEARCHES, lines: there, replace: false, release: '', evidence: {} },
      at: (when) => when ?? '2026-11-30T10:00:00Z',
      ...change,
    },
  )
}

describe('a history that is taken over', () => {
  it('stands behind the lines there are, its references counted on, or in their place', () => {
    const behind = taken()
    expect(behind.lines.map((l) => l.text)).toEqual(['rooms', 'noise', 'echo', '#2 AND #3'])
    expect(behind.added).toBe(3)
    expect(taken({ replace: true }).lines.map((l) => l.text)).toEqual(['noise', 'echo', '#1 AND #2'])
  })

  it('logs a run for each search that has a count, on its line as it stands there, and none for the others', () => {
    const { runs, lines } = taken()
    expect(runs.map((r) => [r.line.text, r.sent, r.hits, r.there])).toEqual([
      ['noise', 'noise', 1204, 1],
      ['#2 AND #3', 'L1 and L2', 7, 3],
    ])
    for (const run of runs) {
      expect(run).toMatchObject({ how: 'pasted history', platform: 'Lantern Online', lines })
      expect(run.at).toBe('2026-11-30T10:00:00Z')
    }
  })

  it('says of a line which concept it is of, where its words are those of one', () => {
    expect(taken().lines.map((l) => l.conceptId)).toEqual([undefined, 'a', undefined, undefined])
    expect(
      taken()
        .lines.slice(1)
        .every((l) => !l.drafted),
    ).toBe(true)
  })
})
