import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { agreementOf, fleissOf, kappaInterval, kappaOf } from '.'
import { trials } from '../base/trials.fixture'

describe('agreement of two readers', () => {
  it('is Cohen’s kappa with the variance of Fleiss, Cohen and Everitt (1969), as a statistics package reckons it', () => {
    // From a statistics package, with 1.95996 for the 97.5 % point.
    const bounds = (table: number[][]): number[] => {
      const { kappa, variance } = kappaOf(table)!
      return [kappa, kappa - 1.959964 * Math.sqrt(variance), kappa + 1.959964 * Math.sqrt(variance)]
    }
    const first = bounds([
      [20, 5],
      [10, 15],
    ])
    expect(first[0]).toBeCloseTo(0.4, 10)
    expect(first[1]).toBeCloseTo(0.15109, 5)
    expect(first[2]).toBeCloseTo(0.64891, 5)
    const second = bounds([
      [45, 15],
      [25, 15],
    ])
    expect(second[0]).toBeCloseTo(0.130434783, 9)
    expect(second[1]).toBeCloseTo(-0.062938, 6)
    expect(second[2]).toBeCloseTo(0.323808, 6)
  })

  it('shows where kappa misleads: the two tables of Feinstein and Cicchetti (J Clin Epidemiol 1990;43:543)', () => {
    // The tables, their kappas and specific agreements as they are commonly quoted; values from memory, reckoned by hand.
    const even = agreementOf([
      [40, 0, 9],
      [0, 0, 0],
      [6, 0, 45],
    ])
    const skewed = agreementOf([
      [80, 0, 10],
      [0, 0, 0],
      [5, 0, 5],
    ])
    expect([even.agreed, skewed.agreed]).toEqual([0.85, 0.85])
    expect(even.kappa).toBeCloseTo(0.7, 2)
    expect(skewed.kappa).toBeCloseTo(0.32, 2)
    expect(skewed.positive).toBeCloseTo(160 / 175, 10)
    expect(skewed.negative).toBeCloseTo(10 / 25, 10)
    expect([even.pabak, skewed.pabak]).toEqual([expect.closeTo(0.7, 10), expect.closeTo(0.7, 10)])
    expect(even.classes).toEqual(['in', 'out'])
  })

  it('of three and more is Fleiss’ kappa, as in the example of ten subjects and fourteen raters', () => {
    // A worked example of Fleiss' statistic in common use; values from memory.
    const counts = [
      [0, 0, 0, 0, 14],
      [0, 2, 6, 4, 2],
      [0, 0, 3, 5, 6],
      [0, 3, 9, 2, 0],
      [2, 2, 8, 1, 1],
      [7, 7, 0, 0, 0],
      [3, 2, 6, 3, 0],
      [2, 5, 3, 2, 2],
      [6, 5, 2, 1, 0],
      [0, 2, 2, 3, 7],
    ]
    const all = fleissOf(counts.map((c) => [c, 1]))!
    expect(all).toMatchObject({ readers: 14, works: 10 })
    expect(all.agreed).toBeCloseTo(0.378, 3)
    expect(all.kappa).toBeCloseTo(0.21, 3)
    expect(fleissOf([])).toBeUndefined()
    expect(fleissOf([[[3, 0], 2]])?.kappa).toBeUndefined()
  })

  it('has no kappa where there is nothing beyond chance to find, and no interval where there is too little', () => {
    expect(
      agreementOf([
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ]),
    ).toMatchObject({ both: 0, kappa: undefined, pabak: undefined })
    expect(
      agreementOf([
        [2, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ]),
    ).toMatchObject({ agreed: 1, kappa: undefined })
    expect(
      kappaInterval([
        [20, 5],
        [10, 24],
      ]),
    ).toBeUndefined()
    expect(
      kappaInterval([
        [20, 5],
        [10, 25],
      ]),
    ).toBeDefined()
    expect(
      kappaInterval([
        [96, 2],
        [1, 1],
      ]),
    ).toBeUndefined()
    // They never differed: the interval ends at one, and is none of no width.
    const [low, high] = kappaInterval([
      [30, 0],
      [0, 40],
    ])!
    expect(high).toBe(1)
    expect(low).toBeGreaterThan(0.85)
    expect(low).toBeLessThan(0.96)
  })

  it('does not depend on which reader is the first, and lies within its interval', () => {
    const cell = fc.nat(30)
    const three = fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 3, maxLength: 3 })
    fc.assert(
      fc.property(three, (t) => {
        const turned = t.map((_, i) => t.map((row) => row[i]!))
        const [a, b] = [agreementOf(t), agreementOf(turned)]
        expect(a.kappa === undefined).toBe(b.kappa === undefined)
        expect([a.positive, a.negative, a.pabak]).toEqual([b.positive, b.negative, b.pabak])
        if (a.kappa === undefined) return
        expect(a.kappa).toBeCloseTo(b.kappa!, 9)
        expect(a.kappa).toBeLessThanOrEqual(1 + 1e-12)
        if (!a.interval) return
        expect(a.interval[0]).toBeLessThanOrEqual(a.kappa + 1e-12)
        expect(a.interval[1]).toBeGreaterThanOrEqual(a.kappa - 1e-12)
        expect(a.interval[0]).toBeGreaterThanOrEqual(-1)
      }),
      { numRuns: trials(200, 5000) },
    )
  })
})
