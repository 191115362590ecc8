import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import { currentRuns, type Command, type Line, type Review } from '../review'
import { countingLine, lineKeys } from '../strategy'
import { demoContext } from './demo-context.fixture'
import { andThen } from './random-reading.fixture'
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
        const context = contextOf(journal(drawn))
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

  it('whatever is tried behind the line that somebody chose to count', () => {
    let otherwise = 0
    fc.assert(
      fc.property(reviews, fc.nat(), (drawn, s) => {
        const entries = journal(drawn)
        const before = contextOf(entries)
        const ran = before.review.sources.filter(({ id }) => {
          const line = countingLine(before.review, id)
          return line && currentRuns(before.review, id).has(line.id)
        })
        fc.pre(ran.length > 0)
        const { id: sourceId } = ran[s % ran.length]!
        const counting = countingLine(before.review, sourceId)!
        const run = currentRuns(before.review, sourceId).get(counting.id)!
        const line: Line = { id: 'tried', text: 'title: otters', limits: [], note: '', drafted: false }
        const number = before.review.strategies[sourceId]!.length + 1
        const tried: Command[] = [
          { kind: 'line.add', payload: { sourceId, line } },
          {
            kind: 'run.log',
            payload: {
              ...run,
              id: 'r-tried',
              lineId: line.id,
              number,
              text: line.text,
              sent: line.text,
              hits: 9,
            },
          },
        ]
        // The keys of a line are those of what it asks.
        const key = lineKeys([...before.review.strategies[sourceId]!, line]).get(line.id)!
        Object.assign(tried[1]!.payload, { key, reached: undefined, limits: [], supersedes: undefined })
        const choice: Command = {
          kind: 'strategy.counts',
          payload: { sourceId, lineId: counting.id, why: '' },
        }
        const after = (commands: Command[]): FactContext => contextOf(andThen(entries, [commands]))
        expect(told(after([...tried, choice]))).toEqual(told(after([choice])))
        if (JSON.stringify(told(after(tried))) !== JSON.stringify(told(before))) otherwise++
      }),
      { numRuns: trials(60, 1000) },
    )
    // Without the choice it is the last line that counts, and the account is another.
    expect(otherwise).toBeGreaterThan(20)
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
