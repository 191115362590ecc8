import fc from 'fast-check'
import { expect, it } from 'vitest'
import {
  held,
  heldApart,
  heldEntries,
  heldNames,
  heldValues,
  holdsNothing,
  inBuckets,
  letGo,
  withHeld,
} from '.'

const name = fc
  .oneof(
    fc.string({ maxLength: 6 }),
    fc.nat(3000).map((n) => `i/${n}`),
  )
  .filter((n) => n !== '__proto__')
const entries = fc.array(fc.tuple(name, fc.nat(3)), { maxLength: 200 })

it('holds what a map holds, whatever is put in, taken out and put again', () => {
  fc.assert(
    fc.property(
      entries,
      fc.array(fc.tuple(name, fc.option(fc.nat(3), { nil: undefined }))),
      (begun, changes) => {
        const map = new Map(begun)
        const before = inBuckets(begun)
        const kept = structuredClone(before)
        const after = withHeld(before, changes)
        expect(before).toEqual(kept)
        for (const [key, value] of changes) {
          if (value === undefined) map.delete(key)
          else map.set(key, value)
        }
        const sorted = (list: string[]): string[] => list.sort()
        expect(after).toEqual(inBuckets(map))
        expect(new Map(heldEntries(after))).toEqual(map)
        expect(sorted(heldNames(after))).toEqual(sorted([...map.keys()]))
        expect(heldValues(after).sort()).toEqual([...map.values()].sort())
        expect(holdsNothing(after)).toBe(map.size === 0)
        for (const [key] of [...begun, ...changes]) expect(held(after, key)).toBe(map.get(key))
        const was = new Map(begun)
        const differing = [...new Set([...was.keys(), ...map.keys()])].filter(
          (k) => was.get(k) !== map.get(k),
        )
        expect(sorted(heldApart(before, after))).toEqual(sorted(differing))
      },
    ),
    { numRuns: 300 },
  )
})

it('leaves nothing behind when the last is taken out, and shares what was not touched', () => {
  const many = inBuckets(Array.from({ length: 5000 }, (_, i) => [`i/${i}`, { i }] as const))
  const other = withHeld(many, [['i/17', { i: -1 }]])
  expect(Object.keys(many).filter((key) => many[key] !== other[key])).toHaveLength(1)
  // They are spread evenly enough: no bucket holds many times its share.
  expect(Math.max(...Object.values(many).map((own) => Object.keys(own).length))).toBeLessThan(40)
  const few = inBuckets([['a', 1]])
  letGo(few, 'b')
  letGo(few, 'a')
  expect(few).toEqual({})
})
