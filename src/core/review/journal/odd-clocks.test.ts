import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { oddClocks } from './odd-clocks'

const on = (...days: string[]) => days.map((at, seq) => ({ seq, at: `${at}T12:00:00.000Z` }))

describe('clocks that cannot have been right', () => {
  it('are told where a day is after today, or before the one of the entry before', () => {
    expect(oddClocks(on('2026-05-01', '9999-12-31', '2026-05-02'), '2026-05-03T00:00:00Z')).toEqual([
      'Entry 2 is dated 31 December 9999, after today: the clock of that computer was wrong.',
    ])
    expect(oddClocks(on('2026-05-01', '2027-12-31', '9999-12-31'), '2026-05-03T00:00:00Z')).toEqual([
      'Entry 2 is dated 31 December 2027, after today, and so is another: the clock of that computer was wrong.',
    ])
    expect(oddClocks(on('2026-05-05', '2026-05-03', '2026-05-04'))).toEqual([
      'Entry 2 is dated 3 May 2026 and was written behind one of 5 May 2026: a clock was set back, or was wrong before.',
    ])
  })

  it('are none where days follow each other, however two places tell the time', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 400 }), { maxLength: 20 }), (hours) => {
        let at = Date.parse('2026-05-01T00:00:00Z')
        // Each is later than the one before, by the clock of a place up to half a day behind.
        const entries = hours.map((h, seq) => ({
          seq,
          at: new Date((at += h * 3_600_000) - (seq % 2) * 12 * 3_600_000).toISOString(),
        }))
        expect(oddClocks(entries, new Date(at).toISOString())).toEqual([])
      }),
      { endOnFailure: true },
    )
  })
})
