import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { canonicalJson, digestOf, foldLabel, foldWord, inWords, listed, plural, thousands, tokens } from '.'

describe('words of a text', () => {
  it('folds case, diacritics and compatibility forms', () => {
    expect(foldWord('Ångström')).toBe('angstrom')
    expect(foldWord('ﬁsh')).toBe('fish')
    expect(foldWord('Straße')).toBe('strasse')
  })

  it('folds twice to the same as once', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (s) => {
        expect(foldWord(foldWord(s))).toBe(foldWord(s))
      }),
    )
  })

  it('keeps each word at its place', () => {
    const text = 'Children’s first-grade rooms'
    expect(tokens(text).map((t) => [t.text, text.slice(...t.at)])).toEqual([
      ['children', 'Children'],
      ['s', 's'],
      ['first', 'first'],
      ['grade', 'grade'],
      ['rooms', 'rooms'],
    ])
  })

  it('folds labels that differ only in signs to the same', () => {
    expect(foldLabel('Noise (sound)')).toBe(foldLabel('noise, sound'))
  })

  it('writes numbers and lists as running text has them', () => {
    expect([thousands(1234567), inWords(3), inWords(13), plural(1, 'work'), plural(1204, 'work')]).toEqual([
      '1,234,567',
      'three',
      '13',
      '1 work',
      '1,204 works',
    ])
    expect([listed([]), listed(['a']), listed(['a', 'b', 'c'], 'or')]).toEqual(['', 'a', 'a, b or c'])
  })
})

describe('canonical JSON', () => {
  it('sorts members and leaves out white space (RFC 8785, section 3.2.3, its example of sorting)', () => {
    const value = {
      '\u20ac': 'Euro Sign',
      '\r': 'Carriage Return',
      '\ufb33': 'Hebrew Letter Dalet With Dagesh',
      '1': 'One',
      '\ud83d\ude00': 'Emoji: Grinning Face',
      '\u0080': 'Control',
      '\u00f6': 'Latin Small Letter O With Diaeresis',
    }
    expect(Object.values(JSON.parse(canonicalJson(value)) as object)).toEqual(
      expect.arrayContaining(Object.values(value)),
    )
    const order = [...canonicalJson(value).matchAll(/:"([^"]+)"/g)].map((m) => m[1])
    expect(order).toEqual([
      'Carriage Return',
      'One',
      'Control',
      'Latin Small Letter O With Diaeresis',
      'Euro Sign',
      'Emoji: Grinning Face',
      'Hebrew Letter Dalet With Dagesh',
    ])
  })

  it('reads back as the same value whatever the order of members', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (v) => {
        expect(JSON.parse(canonicalJson(v))).toEqual(JSON.parse(JSON.stringify(v)))
      }),
    )
  })

  it('digests as SHA-256 does (FIPS 180-4, example "abc")', () => {
    expect(digestOf('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad')
  })
})
