import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { passCounts, readersOf, type RulingLike } from '.'

const ruling = fc.record({
  pass: fc.constantFrom('broad' as const, 'close' as const),
  reader: fc.constantFrom('a', 'b'),
  verdict: fc.constantFrom('in' as const, 'out' as const, 'unsure' as const),
})
const rulings = fc.dictionary(
  fc.constantFrom('w1', 'w2', 'w3', 'gone'),
  fc
    .array(ruling, { maxLength: 3 })
    .map((list): Record<string, RulingLike> =>
      Object.fromEntries(list.map((r) => [`${r.pass}/${r.reader}`, r])),
    ),
)

describe('counting a pass', () => {
  it('always adds up (law 5)', () => {
    fc.assert(
      fc.property(rulings, (all) => {
        const c = passCounts(['w1', 'w2', 'w3'], all, 'broad')
        expect(c.in + c.out + c.unsure + c.left).toBe(c.total)
      }),
    )
  })

  it('keeps a work that one reader wants, and leaves open what they do not agree to set aside', () => {
    const by = (...verdicts: RulingLike['verdict'][]): Record<string, RulingLike> =>
      Object.fromEntries(
        verdicts.map((verdict, i) => [String(i), { pass: 'broad', reader: String(i), verdict }]),
      )
    const counts = passCounts(
      ['a', 'b', 'c'],
      { a: by('in', 'out'), b: by('out', 'unsure'), c: by('out', 'out') },
      'broad',
    )
    expect(counts).toEqual({ total: 3, in: 1, unsure: 1, out: 1, left: 0 })
    expect(readersOf({ a: by('in', 'out') }, 'broad')).toEqual(['0', '1'])
  })
})
