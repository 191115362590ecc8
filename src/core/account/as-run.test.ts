import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import type { Line, Review } from '../review'
import { demoContext } from './demo-context.fixture'
import { contextOf, journal, reviews } from './random-review.fixture'
import {
  draftAccount,
  inlinesOf,
  inlineWords,
  resolved,
  resolveFact,
  sectionDocument,
  toMarkdown,
  type FactContext,
  type Telling,
} from '.'

const TELLINGS: Telling[] = [
  { order: 'theme', length: 'full' },
  { order: 'time', length: 'full' },
  { order: 'theme', length: 'short' },
]
const told = (c: FactContext): string[] =>
  TELLINGS.flatMap((telling) =>
    draftAccount(c, telling).flatMap((p) =>
      p.content.map((x) => [...inlinesOf(x)].map((n) => inlineWords(c, n)).join('')),
    ),
  )
const withLines = (c: FactContext, sourceId: string, change: (lines: Line[]) => Line[]): FactContext => {
  const strategies = { ...c.review.strategies, [sourceId]: change([...c.review.strategies[sourceId]!]) }
  return { ...c, review: { ...c.review, strategies } as Review }
}
const wordsOf = (c: FactContext): string[] =>
  toMarkdown(resolved(sectionDocument(c), (ref) => resolveFact(c, ref).text)).split('\n')
/** Something else is asked, or with other limits. */
const edited = (line: Line, n: number): Line =>
  n % 2 ? { ...line, text: 'title: otters' } : { ...line, limits: [{ kind: 'years', from: 1901, to: 1902 }] }

describe('what was run stays told as run', () => {
  it('whatever line of a random review is edited since and not run', () => {
    let tried = 0
    fc.assert(
      fc.property(reviews, fc.nat(), fc.nat(), fc.nat(), (drawn, s, l, how) => {
        const context = contextOf(journal(drawn).entries, drawn.brought)
        const ran = new Set(context.review.runs.map((r) => r.lineId))
        const whole = context.review.sources.filter(({ id }) => {
          const last = context.review.strategies[id]?.at(-1)
          return last && ran.has(last.id)
        })
        fc.pre(whole.length > 0)
        const { id } = whole[s % whole.length]!
        const { id: lineId } = context.review.strategies[id]![l % context.review.strategies[id]!.length]!
        fc.pre(ran.has(lineId))
        tried++
        const since = withLines(context, id, (lines) =>
          lines.map((x) => (x.id === lineId ? edited(x, how) : x)),
        )
        expect(told(since)).toEqual(told(context))
      }),
      { numRuns: trials(60, 1000) },
    )
    expect(tried).toBeGreaterThan(40)
  })

  it('in the demo, whole with its table and appendices: of any database, edited, put in front, appended or taken out', async () => {
    const context = await demoContext()
    const before = wordsOf(context)
    const bare: Line = { id: 'new', text: 'title: otters', limits: [], note: '', drafted: false }
    for (const { id } of context.review.sources.filter((x) => context.review.strategies[x.id]?.length))
      for (const change of [
        (lines: Line[]) => lines.map((x, n) => (n ? x : edited(x, 1))),
        (lines: Line[]) => lines.map((x, n) => (n < lines.length - 1 ? x : edited(x, 0))),
        (lines: Line[]) => [...lines, bare],
      ])
        expect(wordsOf(withLines(context, id, change)).filter((w) => !before.includes(w))).toEqual([])
  })
})
