import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { wilson } from '../base'
import { chapman, chapmanWarnings, numberNeededToRead, stoppingCurve } from '.'

describe('estimates of what is still missing', () => {
  it('are Chapman’s and Wilson’s', () => {
    // Chapman's estimator from its formula in Seber (1982); Wilson, J Am Stat Assoc 1927;22:209, as statistics packages give it.
    expect(chapman(60, 70, 45).total).toBeCloseTo(93.15217, 5)
    expect(wilson(8, 10)).toMatchObject({
      from: expect.closeTo(0.490162472, 8),
      to: expect.closeTo(0.943317849, 8),
    })
    expect(wilson(0, 20)).toMatchObject({ from: expect.closeTo(0, 9), to: expect.closeTo(0.161125158, 8) })
  })

  it('are never fewer than were seen, and warn where they say little', () => {
    fc.assert(
      fc.property(fc.nat(80), fc.nat(80), fc.nat(80), (a, b, c) => {
        const [first, second, both] = [a + c, b + c, c]
        const { total, interval } = chapman(first, second, both)
        expect(total).toBeGreaterThanOrEqual(first + second - both - 1e-9)
        expect(interval[0]).toBeGreaterThanOrEqual(first + second - both)
        expect(interval[1]).toBeGreaterThanOrEqual(total - 1e-9)
      }),
    )
    expect(chapmanWarnings(10, 20, 3)).toEqual(['few in common'])
    expect(chapmanWarnings(10, 20, 10)).toEqual(['one holds the other'])
    expect(chapmanWarnings(40, 30, 12)).toEqual([])
  })

  it('count what is read for one that is kept, and follow what was found in the order of reading', () => {
    expect([numberNeededToRead(40, 8), numberNeededToRead(3, 0)]).toEqual([5, undefined])
    expect(stoppingCurve([true, false, true, false, false])).toEqual([
      { read: 0, found: 0 },
      { read: 1, found: 1 },
      { read: 3, found: 2 },
      { read: 5, found: 2 },
    ])
    expect(stoppingCurve([])).toEqual([{ read: 0, found: 0 }])
  })
})
