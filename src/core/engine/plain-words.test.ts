import fc from 'fast-check'
import { expect, it } from 'vitest'
import { tokens } from '../base'
import { trials } from '../base/trials.fixture'
import { PlainWords } from './plain-words'

/** The words of texts one after the other, each by its number. */
function read(texts: readonly string[]): string[] {
  const words: string[] = []
  const plain = new PlainWords((word) => words.push(word) - 1)
  const found: string[] = []
  for (const text of texts) plain.each(text, (number) => found.push(words[number]!))
  expect(new Set(words).size, 'a word has one number').toBe(words.length)
  return found
}
const byTokens = (texts: readonly string[]): string[] => texts.flatMap((t) => tokens(t).map((w) => w.text))

it('Plain words are those that the general reader of words finds, in their order, whatever stands between them', () => {
  const sign = fc.constantFrom(...'abzABZ019 .,-_/()[]"\'\t\n–—’“”…·×™°€→\u00a0\u2028😀')
  const texts = fc.array(fc.string({ unit: sign, maxLength: 60 }), { maxLength: 8 })
  fc.assert(
    fc.property(texts, (of) => {
      expect(read(of)).toEqual(byTokens(of))
    }),
    { numRuns: trials(300, 20_000) },
  )
})

it('As many words as a large vocabulary has keep their numbers, also where letters and table grow', () => {
  const text = Array.from(
    { length: 40_000 },
    (_, n) => `w${n.toString(36)} ${'long'.repeat(n % 40)}${n}`,
  ).join(' ')
  expect(read([text, text])).toEqual(byTokens([text, text]))
})
