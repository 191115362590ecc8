import { describe, expect, it } from 'vitest'
import { demoContext } from './demo-context.fixture'
import { draftAccount, inlineWords, numbersTold } from '.'
import { OTHERS } from './other-reviews.fixture'

describe('the numbers that a section tells', () => {
  it.each(Object.entries(OTHERS))(
    'stand each in a whole sentence that has it, and say where they are from: %s',
    (_name, make) => {
      const context = make()
      const passages = draftAccount(context)
      const whole = passages
        .flatMap((p) => p.content)
        .map((block) => (block.content ?? []).map((n) => inlineWords(context, n)).join(''))
      for (const told of numbersTold(context, passages)) {
        expect(told.text, told.ref).toMatch(/\d|[a-z]/)
        expect(told.sentence, told.ref).toContain(told.text)
        if (told.part !== 'Table 1')
          expect(
            whole.some((text) => text.includes(told.sentence)),
            told.ref,
          ).toBe(true)
        expect(told.from, told.ref).not.toBe('')
      }
    },
  )

  it('of the demo are all that its facts have in figures', async () => {
    const context = await demoContext()
    const passages = draftAccount(context)
    const all = numbersTold(context, passages)
    expect(all.length).toBeGreaterThan(40)
    // Table 1 has dates and counts of five databases.
    expect(all.filter((t) => t.part === 'Table 1').length).toBeGreaterThan(25)
    const refs = new Set(all.map((t) => t.ref))
    const facts = passages.flatMap((p) => p.content.flatMap((b) => b.content ?? []))
    for (const node of facts)
      if (node.type === 'fact' && /\d/.test(inlineWords(context, node)))
        expect(refs.has(node.attrs.ref), node.attrs.ref).toBe(true)
  })
})
