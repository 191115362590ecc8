import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { recordsOf } from '../../standins/corpus/releases'
import { areaInterval, chanceOrder, expectedLeft, fitLikely, layTerms, likelyFirst, surenessOf } from '.'

const records = recordsOf('fernhollow', '2026-03').slice(0, 600)
const rows = layTerms(records.map((r) => [r.title, r.abstract ?? '']))
/** Is it about sound? Ruled by headings, which the order does not see here. */
const wanted = records.map((r) => r.headings.some((h) => /noise|sound|acoustic|listening/i.test(h.label)))

describe('the order of what is likely in', () => {
  it('puts what is like the works that were kept before what is like those that were not', () => {
    const labels = Int8Array.from(records, (_, n) => (n < 300 ? Number(wanted[n]) : -1))
    const order = likelyFirst(rows, fitLikely(rows, labels)).filter((n) => n >= 300)
    const share = (list: number[]): number => list.filter((n) => wanted[n]).length / list.length
    expect(share(order.slice(0, 60))).toBeGreaterThan(2 * share(order.slice(60)))
    const sure = surenessOf(rows, labels)!
    expect(sure.of).toBeGreaterThan(0.8)
    expect(sure.interval[0]).toBeLessThan(sure.of)
    expect(sure.interval[1]).toBeGreaterThan(sure.of)
  })

  it('learns nothing where nothing can be learnt, and says so', () => {
    const random = Int8Array.from(records, (_, n) => (n < 300 ? Number((n * 7919) % 13 < 4) : -1))
    const sure = surenessOf(rows, random)!
    expect(sure.of).toBeLessThan(0.65)
    // It cannot be told from chance.
    expect(sure.interval[0]).toBeLessThan(0.5)
    expect(surenessOf(rows, new Int8Array(records.length).fill(-1))).toBeUndefined()
    expect(fitLikely(rows, new Int8Array(records.length).fill(1)).every((w) => w === 0)).toBe(true)
  })

  it('expects about as many among what was not read as there are, where what was read was drawn by chance', () => {
    // Half of the works are read, or a fourth: the rest is known here and not there.
    for (const [part, least] of [
      [2, 0.7],
      [4, 0.6],
    ] as const) {
      const drawn = new Set(
        chanceOrder(
          records.map((r) => r.id),
          'part',
        ).slice(0, records.length / part),
      )
      const labels = Int8Array.from(records, (_, n) => (drawn.has(n) ? Number(wanted[n]) : -1))
      const left = wanted.filter((w, n) => w && !drawn.has(n)).length
      const expected = expectedLeft(rows, labels)!
      expect(expected / left).toBeGreaterThan(least)
      expect(left / expected).toBeGreaterThan(least)
    }
    expect(expectedLeft(rows, new Int8Array(records.length).fill(0))).toBeUndefined()
  })

  it('says between what it lies as Hanley and McNeil reckon it, wider the fewer there are, and never beyond what can be', () => {
    // Their own example: an area of 0.893 of 51 and 58 has a standard error of 0.032 (from memory).
    const [low, high] = areaInterval(0.893, 51, 58)
    expect((high - low) / 2 / 1.95996).toBeCloseTo(0.0325, 3)
    const width = (n: number): number => areaInterval(0.8, n, n)[1] - areaInterval(0.8, n, n)[0]
    expect(width(10)).toBeGreaterThan(width(100))
    expect(areaInterval(1, 20, 20)).toEqual([1, 1])
    expect(areaInterval(0.97, 5, 5)[1]).toBe(1)
  })

  it('is the same each time', () => {
    const labels = Int8Array.from(records, (_, n) => (n % 3 ? Number(wanted[n]) : -1))
    expect(likelyFirst(rows, fitLikely(rows, labels))).toEqual(likelyFirst(rows, fitLikely(rows, labels)))
  })
})

describe('an order of chance', () => {
  it('has every work once, is the same for the same seed, and another for another', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.string(), { maxLength: 40 }), fc.string(), (ids, seed) => {
        const order = chanceOrder(ids, seed)
        expect([...order].sort((a, b) => a - b)).toEqual(ids.map((_, n) => n))
        expect(chanceOrder(ids, seed)).toEqual(order)
      }),
    )
    const ids = Array.from({ length: 200 }, (_, n) => `i/${n}`)
    expect(chanceOrder(ids, 'a')).not.toEqual(chanceOrder(ids, 'b'))
    // The first twenty are not the first of the file.
    expect(
      chanceOrder(ids, 'a')
        .slice(0, 20)
        .filter((n) => n < 20).length,
    ).toBeLessThan(8)
  })
})
