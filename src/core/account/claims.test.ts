import fc from 'fast-check'
import { expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import type { Run } from '../review'
import { draftAccount, inlinesOf, inlineWords, selectClaims, type FactContext } from '.'
import { untrueClaims } from './claims.fixture'
import { holds } from './meanings'
import { READS } from './reads/en'
import { SAYING_NAMES } from './sayings'
import { contextOf, journal, reviews, WORLD } from './random-review.fixture'
import { findsSomething } from './what-lines-find.fixture'

/** The sentences of the account, facts in words. A full stop inside a person's words does not occur here. */
function sentencesOf(context: FactContext): string[] {
  return draftAccount(context).flatMap((p) =>
    p.content.flatMap((paragraph) => {
      const text = [...inlinesOf(paragraph)].map((n) => inlineWords(context, n)).join('')
      return text.split(/(?<=[.?]) (?=[A-Z])/)
    }),
  )
}

const CASES = trials(300, 1000)
it('says nothing that the journal does not bear out, in random reviews, by a checker that shares no code with it', () => {
  let checked = 0
  fc.assert(
    fc.property(reviews, (drawn) => {
      fc.pre(drawn.strategies.every((lines) => findsSomething(lines as never)))
      const { entries, asked } = journal(drawn)
      const context = contextOf(entries)
      const { review } = context
      const withAsked = entries.map((e) =>
        e.kind === 'run.log'
          ? { ...e, payload: { ...(e.payload as Run), asked: asked.get((e.payload as Run).id) } }
          : e,
      )
      const sentences = sentencesOf(context)
      checked += sentences.length
      // What is told as a saying is judged by its meaning; the rest by patterns of its own.
      const others = sentences.filter((sentence) => {
        const name = SAYING_NAMES.find((n) => READS[n](sentence) !== undefined)
        if (name) expect(holds(name, READS[name](sentence)! as never, entries), sentence).toBe(true)
        return !name
      })
      expect(untrueClaims(others, withAsked, WORLD)).toEqual([])
      for (const claim of selectClaims(context)) {
        expect(claim.on.length, claim.says).toBeGreaterThan(0)
        // A run that a claim rests on is one of the journal, and what it is said of was run.
        for (const on of claim.on.filter((e) => e.startsWith('run:')))
          expect(review.runs.some((r) => `run:${r.id}` === on)).toBe(true)
      }
      for (const sentence of sentences) expect(sentence).not.toMatch(/…|undefined|\{|\}|\(\)|  /)
    }),
    { numRuns: CASES },
  )
  expect(checked).toBeGreaterThan(CASES * 5)
})

it('has a checker that finds untrue sentences: it is no use otherwise', () => {
  const [drawn] = fc.sample(
    reviews.filter((d) => d.ran.every((r) => r === 'now') && d.limits.length === 3 && d.knownLater === 1),
    1,
  )
  const { entries } = journal(drawn!)
  const untrue = [
    'Nine known items that were named before searching served as a test.',
    'We limited the database searches to work published from 1990 to 1991.',
    'We searched nine databases (Table 1): A, B and C.',
    'Beyond databases we asked nobody in particular.',
    'We tried and dropped eleven more.',
  ]
  expect(untrueClaims(untrue, entries, WORLD)).toHaveLength(untrue.length)
  expect(untrueClaims(['It was all very well done.'], entries, WORLD)[0]).toContain('nobody checks')
})
