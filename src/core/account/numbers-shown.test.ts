import { describe, expect, it } from 'vitest'
import { demoContext } from './demo-context.fixture'
import { numbersShown } from '.'
import { OTHERS } from './other-reviews.fixture'

const digits = (text: string): number => Number(text.replace(/\D/g, ''))

describe('the numbers that screens show', () => {
  it.each(Object.entries(OTHERS))(
    'stand each in what is read there, and say what they count: %s',
    (_name, make) => {
      const context = make()
      const shown = numbersShown(context)
      expect(new Set(shown.map((s) => `${s.part} ${s.ref}`)).size).toBe(shown.length)
      for (const { ref, text, sentence, from } of shown) {
        expect(text, ref).toMatch(/\d/)
        expect(sentence, ref).toContain(text)
        expect(from, ref).not.toBe('')
      }
    },
  )

  it('of the demo are those that its runs, records and rulings give', async () => {
    const { review } = await demoContext()
    const shown = numbersShown(await demoContext())
    // The last run of each line of the demo counts: none was changed since.
    for (const [sourceId, lines] of Object.entries(review.strategies))
      for (const line of lines) {
        const run = review.runs.findLast((r) => r.lineId === line.id)!
        const told = shown.find((s) => s.ref === `hits.line:${sourceId}/${line.id}`)!
        expect(digits(told.text), line.text).toBe(run.hits)
        expect(told.anchor).toBe(`line:${line.id}`)
      }
    const flow = shown.filter((s) => s.part === 'The flow')
    const box = (words: string): number[] =>
      flow.filter((s) => s.sentence.includes(words)).map((s) => digits(s.text))
    const brought = review.imports.filter(
      (i) => !review.imports.some((other) => other.supersedes?.ids.includes(i.id)),
    )
    expect(box('records identified').reduce((a, b) => a + b, 0)).toBe(
      brought.reduce((n, i) => n + i.count, 0),
    )
    expect(box('works included')).toHaveLength(1)
    expect(shown.filter((s) => s.part === 'The course')).toHaveLength(5)
  })
})
