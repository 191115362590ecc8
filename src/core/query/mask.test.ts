import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { maskedWords, maskStem, maskTest } from '.'

describe('truncation signs', () => {
  it.each([
    ['reverberat*', ['reverberation', 'reverberat'], ['reverb']],
    ['wom?n', ['woman', 'women'], ['womn', 'womaan']],
    // Common practice: "up to two more characters" finds nutritional from nutrition.
    ['nutrition*2', ['nutrition', 'nutritions', 'nutritional'], ['nutritionist']],
    ['colo*1ur', ['colour', 'coloxur'], ['color', 'coloxxur']],
    ['*phone', ['phone', 'telephone'], ['phones']],
    ['Café', ['cafe'], ['cafes']],
  ])('%s', (mask, yes, no) => {
    const test = maskTest(mask)
    for (const word of yes) expect(test(word), word).toBe(true)
    for (const word of no) expect(test(word), word).toBe(false)
  })

  it('agrees with a regular expression on every mask and word', () => {
    const mask = fc
      .array(fc.constantFrom('a', 'b', '?', '*', '*2'), { minLength: 1, maxLength: 6 })
      .map((p) => p.join(''))
    const word = fc.array(fc.constantFrom('a', 'b'), { maxLength: 8 }).map((p) => p.join(''))
    fc.assert(
      fc.property(mask, word, (m, w) => {
        const pattern = m.replace(/\*(\d)|\*|\?/g, (s, n?: string) =>
          n ? `.{0,${n}}` : s === '*' ? '.*' : '.',
        )
        expect(maskTest(m)(w)).toBe(new RegExp(`^${pattern}$`).test(w))
      }),
      { numRuns: 3000 },
    )
  })

  it('begins every match with its stem', () => {
    expect(maskStem('reverberat*')).toBe('reverberat')
    expect(maskStem('*phone')).toBe('')
  })

  it('drops signs that stand by themselves', () => {
    expect(maskedWords('sound - * field*')).toEqual(['sound', 'field*'])
  })
})
