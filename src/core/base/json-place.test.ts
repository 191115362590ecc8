import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from './trials.fixture'
import { noJsonAt } from '.'

const isJson = (text: string): boolean => {
  try {
    JSON.parse(text)
    return true
  } catch {
    return false
  }
}

describe('where a text stops being JSON', () => {
  it('is said by line and sign, or as its end', () => {
    expect(noJsonAt('{\n "a": 1,\n}')).toBe('line 3, at “}”')
    expect(noJsonAt('[1, 2')).toBe('its end: something is not closed')
    expect(noJsonAt('{"a": nul}')).toBe('line 1, at “n”')
    expect(noJsonAt('[] x')).toBe('line 1, at “x”')
    expect(noJsonAt('')).toBe('its end: something is not closed')
  })

  it('is nowhere in what the language itself reads as JSON, and somewhere in all else', () => {
    const any = fc.tuple(
      fc.json(),
      fc.nat(),
      fc.constantFrom('', ',', '}', ']', '"', '\\', '0', ' ', 'é', '\n', '-'),
      fc.boolean(),
    )
    fc.assert(
      fc.property(any, ([text, at, put, cut]) => {
        const place = at % (text.length + 1)
        const hurt = text.slice(0, place) + put + (cut ? '' : text.slice(place))
        expect(noJsonAt(hurt) === undefined).toBe(isJson(hurt))
      }),
      { numRuns: trials(2000, 40_000), endOnFailure: true },
    )
  })
})
