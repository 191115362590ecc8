import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compareRecords, emptyRecord, type Rec } from '.'

const rec = (id: string, title: string, more: Partial<Rec> = {}): Rec => ({
  ...emptyRecord(id, title),
  ...more,
})

describe('the same source at two times', () => {
  it('has a record still where its number, its DOI, or its title with the year is the same', () => {
    const earlier = [
      rec('1', 'Noise in class'),
      rec('2', 'Listening effort', { doi: '10.5555/x1' }),
      rec('3', 'Reading aloud', { year: 2020 }),
      rec('4', 'Withdrawn'),
    ]
    const later = [
      rec('1', 'Noise in the class'),
      rec('9', 'Listening effort: a trial', { doi: 'https://doi.org/10.5555/X1' }),
      rec('8', 'Reading Aloud.', { year: 2020 }),
      rec('7', 'Reading aloud', { year: 2021 }),
    ]
    const { fresh, gone, both } = compareRecords(earlier, later)
    expect(fresh.map((r) => r.id)).toEqual(['7'])
    expect(gone.map((r) => r.id)).toEqual(['4'])
    expect(both).toBe(3)
  })

  it('does not go by numbers that a reader of files gave', () => {
    const { fresh, gone } = compareRecords([rec('1', 'A')], [rec('1', 'B')], { byNumber: false })
    expect([fresh.length, gone.length]).toEqual([1, 1])
  })

  it('turns new into gone when the times are exchanged, and finds no difference to itself', () => {
    const anyRecs = fc
      .uniqueArray(fc.integer({ min: 1, max: 30 }))
      .map((ids) => ids.map((i) => rec(`${i}`, `Title ${i}`)))
    fc.assert(
      fc.property(anyRecs, anyRecs, (a, b) => {
        const there = compareRecords(a, b)
        const back = compareRecords(b, a)
        expect(back.gone).toEqual(there.fresh)
        expect(back.fresh).toEqual(there.gone)
        expect(there.both + there.fresh.length).toBe(b.length)
        expect(compareRecords(a, a)).toEqual({ fresh: [], gone: [], both: a.length })
      }),
    )
  })
})
