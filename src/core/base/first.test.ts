import fc from 'fast-check'
import { expect, it } from 'vitest'
import { firstOf } from '.'

it('gives the same as sorting the whole list, equal ones in their order', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(5), fc.nat())), fc.nat(12), (list, most) => {
      const order = (a: [number, number], b: [number, number]): number => a[0] - b[0]
      expect(firstOf(list, most, order)).toEqual([...list].sort(order).slice(0, most))
    }),
  )
})
