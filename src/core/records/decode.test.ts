import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { EncodingGuess, textFromBytes, type Encoding } from './decode'

const TEXT = 'Größe – “été” naïve café, Łódź'
const utf16 = (text: string, big: boolean): Uint8Array =>
  Uint8Array.from(
    [...text].flatMap((c) => {
      const code = c.charCodeAt(0)
      return big ? [code >> 8, code & 255] : [code & 255, code >> 8]
    }),
  )
const guess = (bytes: Uint8Array, piece = bytes.length || 1) => {
  const found = new EncodingGuess()
  for (let i = 0; i < bytes.length; i += piece) found.push(bytes.subarray(i, i + piece))
  return found.end()
}
const decode = (bytes: Uint8Array, encoding: Encoding, piece = bytes.length || 1): string => {
  const text = textFromBytes(encoding)
  let all = ''
  for (let i = 0; i < bytes.length; i += piece) all += text.push(bytes.subarray(i, i + piece))
  return all + text.end()
}

describe('the encoding of a file', () => {
  it('is seen from its mark, its zero bytes, or that it is UTF-8 throughout; else it is the usual older one', () => {
    const utf8 = new TextEncoder().encode(TEXT)
    expect(guess(utf8)).toMatchObject({ encoding: 'utf-8', sure: true })
    expect(guess(new Uint8Array([0xff, 0xfe, ...utf16(TEXT, false)]))).toMatchObject({
      encoding: 'utf-16le',
      sure: true,
    })
    expect(guess(utf16('Journal of Learning Spaces', true))).toMatchObject({
      encoding: 'utf-16be',
      sure: false,
    })
    expect(guess(utf16('Journal of Learning Spaces', false)).encoding).toBe('utf-16le')
    expect(guess(new Uint8Array([0x63, 0x61, 0x66, 0xe9]))).toMatchObject({
      encoding: 'windows-1252',
      sure: false,
    })
    expect(guess(new Uint8Array())).toMatchObject({ encoding: 'utf-8' })
  })

  it('is the same, and so is its text, in whatever pieces it comes', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 60 }), fc.integer({ min: 1, max: 7 }), (bytes, piece) => {
        expect(guess(bytes, piece)).toEqual(guess(bytes))
        const { encoding } = guess(bytes)
        expect(decode(bytes, encoding, piece)).toBe(decode(bytes, encoding))
      }),
      { numRuns: 500 },
    )
  })

  it('Windows-1252 has its own signs between 0x80 and 0x9F (outside check: WHATWG Encoding, index windows-1252)', () => {
    expect(decode(new Uint8Array([0x80, 0x8a, 0x93, 0x94, 0x96, 0x9f, 0xe9]), 'windows-1252')).toBe('€Š“”–Ÿé')
  })
})
