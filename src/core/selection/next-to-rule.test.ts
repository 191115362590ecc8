import fc from 'fast-check'
import { expect, it } from 'vitest'
import { nextToRule } from './next-to-rule'

const works = (ids: readonly string[]) => ids.map((id) => ({ id }))

it('goes on behind the current one, then before it, then in the whole pool, and ends where all are ruled', () => {
  const next = (current: string, ruled: string, list = 'abcd', pool = 'abcdef') =>
    nextToRule(works([...list]), works([...pool]), current, (id) => ruled.includes(id))
  expect(next('b', 'b')).toEqual({ id: 'c', of: 'list' })
  expect(next('d', 'd')).toEqual({ id: 'a', of: 'list' })
  expect(next('d', 'abcd')).toEqual({ id: 'e', of: 'pool' })
  expect(next('d', 'abcdef')).toBeUndefined()
})

it('rules every work of the pool once, whatever part of it and whatever work one begins with', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 30 }), fc.nat(), fc.nat(), (size, part, start) => {
      const pool = Array.from({ length: size }, (_, i) => `w${i}`)
      const list = pool.filter((_, i) => (part >> (i % 30)) & 1)
      const ruled = new Set<string>()
      let current: string | undefined = (list.length ? list : pool)[start % (list.length || size)]
      for (let steps = 0; current !== undefined; steps++) {
        expect(ruled.has(current)).toBe(false)
        ruled.add(current)
        current = nextToRule(works(list), works(pool), current, (id) => ruled.has(id))?.id
      }
      expect(ruled.size).toBe(size)
    }),
  )
})
