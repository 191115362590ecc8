import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { encodedPieces, inPieces } from './pieces'

describe('what is written in pieces', () => {
  it('holds the same bytes as all of it at once, whatever the words and however little room there is', () => {
    const words = fc.array(fc.string({ unit: 'grapheme', maxLength: 12 }), { maxLength: 8 })
    fc.assert(
      fc.property(words, fc.integer({ min: 1, max: 9 }), (pieces, size) => {
        const bytes = Buffer.concat(Array.from(encodedPieces(pieces, size), (piece) => Buffer.from(piece)))
        expect(bytes.equals(Buffer.from(pieces.join('')))).toBe(true)
      }),
    )
  })

  it('has every one of many things once, in its order', () => {
    const many = Array.from({ length: 250 }, (_, n) => n)
    expect([...inPieces(many, (some) => some.map((n) => `${n};`).join(''))].join('')).toBe(
      many.map((n) => `${n};`).join(''),
    )
    expect([...inPieces([], () => 'x')]).toEqual([])
  })
})
