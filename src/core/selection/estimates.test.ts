import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { wilson } from '../records'
import { agreementOf, chapman, chapmanWarnings, numberNeededToRead, stoppingCurve, tableOf } from '.'

describe('agreement of two readers', () => {
  it('is Cohen’s kappa with the interval of Fleiss, Cohen and Everitt (1969), as a statistics package reckons it', () => {
    // From a statistics package, with 1.95996 for the 97.5 % point.
    const first = agreementOf([
      [20, 5],
      [10, 15],
    ])
    expect(first).toMatchObject({ both: 50, agreed: 0.7 })
    expect(first.kappa).toBeCloseTo(0.4, 10)
    expect(first.interval![0]).toBeCloseTo(0.15109, 5)
    expect(first.interval![1]).toBeCloseTo(0.64891, 5)
    const second = agreementOf([
      [45, 15],
      [25, 15],
    ])
    expect(second.kappa).toBeCloseTo(0.130434783, 9)
    expect(second.interval![0]).toBeCloseTo(-0.062938, 6)
    expect(second.interval![1]).toBeCloseTo(0.323808, 6)
  })

  it('has no kappa where there is nothing beyond chance to find', () => {
    expect(agreementOf([[0]])).toMatchObject({ both: 0, kappa: undefined })
    expect(
      agreementOf(
        tableOf([
          ['in', 'in'],
          ['in', 'in'],
        ]),
      ),
    ).toMatchObject({ agreed: 1, kappa: undefined })
  })

  it('does not depend on which reader is the first, and is one where they always agree', () => {
    const cell = fc.nat(30)
    fc.assert(
      fc.property(
        fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 3, maxLength: 3 }),
        (t) => {
          const turned = t.map((_, i) => t.map((row) => row[i]!))
          const [a, b] = [agreementOf(t), agreementOf(turned)]
          expect(a.kappa === undefined).toBe(b.kappa === undefined)
          if (a.kappa === undefined) return
          expect(a.kappa).toBeCloseTo(b.kappa!, 9)
          expect(a.interval![0]).toBeLessThanOrEqual(a.kappa + 1e-12)
          expect(a.kappa).toBeLessThanOrEqual(1 + 1e-12)
        },
      ),
    )
  })
})

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
