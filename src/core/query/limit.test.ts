import fc from 'fast-check'
import { expect, it } from 'vitest'
import { limitToTick, tickedLimit, type LimitValue } from '.'

const word = fc.stringMatching(/^[a-z][a-z ]{0,12}[a-z]$/)
const year = fc.integer({ min: 1000, max: 9999 })
const limits: fc.Arbitrary<LimitValue> = fc.oneof(
  fc.record({ kind: fc.constant('years' as const), from: year, to: year }),
  fc.record({ kind: fc.constant('years' as const), from: year }),
  fc.record({ kind: fc.constant('years' as const), to: year }),
  fc.record({
    kind: fc.constant('language' as const),
    values: fc.uniqueArray(fc.constantFrom('en', 'de', 'es', 'fr'), { minLength: 1 }),
  }),
  fc.record({
    kind: fc.constantFrom('document type' as const, 'population' as const, 'place' as const),
    values: fc.uniqueArray(word, { minLength: 1, maxLength: 3 }),
  }),
  fc.constant({ kind: 'peer reviewed' as const }),
  fc.constant({ kind: 'open access' as const }),
  fc.record({ kind: fc.constant('other' as const), text: word }),
)

it('a limit as it is printed for ticking is read back as the same limit', () => {
  fc.assert(
    fc.property(limits, (limit) => {
      expect(tickedLimit(limitToTick(limit))).toEqual(limit)
    }),
  )
})

it('words that name no limit are none', () => {
  for (const words of ['', 'years: lately', 'colour: red', 'language:'])
    expect(tickedLimit(words)).toBeUndefined()
})
