import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { trials } from '../../../base/trials.fixture'
import { demoContext } from '../../demo-context.fixture'
import type { Passage } from '../../document'
import { draftAccount, type Telling } from '../../draft'
import type { FactContext } from '../../facts'
import { readingContext, readingJournal, readings } from '../../random-reading.fixture'
import { contextOf, journal, reviews } from '../../random-review.fixture'
import { gatheringJournal, gatherings } from '../../random-gathering.fixture'
import { searchingJournal, searchings } from '../../random-ways.fixture'
import { adviceOn, lookAt } from '..'
import { FALSE_STATEMENTS, LATER } from '../false-statements.fixture'
import { otherwise, type MATTERS } from '.'

type MatterName = keyof typeof MATTERS
let demo: FactContext
beforeAll(async () => {
  demo = await demoContext()
})
const remarked = (sentence: string): boolean => otherwise(sentence, demo) !== undefined

/** The drafted text with something typed at a place of a passage. */
function typedIn(
  passages: readonly Passage[],
  n: number,
  words: string,
  where: 'first' | 'middle' | 'last',
): Passage[] {
  return passages.map((p, i) => {
    if (i !== n) return p
    const own = { type: 'paragraph' as const, content: [{ type: 'text' as const, text: words }] }
    const at = { first: 0, middle: 1, last: p.content.length }[where]
    return { ...p, edited: true, content: [...p.content.slice(0, at), own, ...p.content.slice(at)] }
  })
}

const VOICES = ['we', 'I', 'passive'] as const
const TELLINGS: Telling[] = (['theme', 'time'] as const).flatMap((order) =>
  (['full', 'short'] as const).map((length) => ({ order, length })),
)
/** All sentences of a draft in its twelve forms, with what a matter finds strange in them. */
const strange = (of: FactContext): string[] =>
  VOICES.flatMap((voice) => {
    const context = { ...of, review: { ...of.review, account: { ...of.review.account, voice } } }
    return TELLINGS.flatMap((telling) =>
      lookAt(context, draftAccount(context, telling)).sentences.flatMap(({ text }) => {
        const found = otherwise(text, context)
        return found ? [`${found.matter}: “${text}” but ${found.record}`] : []
      }),
    )
  })

describe('what somebody wrote and the record has otherwise', () => {
  for (const matter of Object.keys(FALSE_STATEMENTS) as MatterName[])
    it(`is remarked on in half of the false statements on ${matter}, by which its rule was mended`, () => {
      const half = FALSE_STATEMENTS[matter].filter((_, n) => n % 2 === 0)
      expect(half.filter((s) => !remarked(s))).toEqual([])
    })

  it('is remarked on in at least four of five of the others', () => {
    const others = Object.values(FALSE_STATEMENTS).flatMap((all) => all.filter((_, n) => n % 2 === 1))
    const missed = others.filter((s) => !remarked(s))
    process.stdout.write(
      `remarked on ${others.length - missed.length} of ${others.length}\n${missed.join('\n')}\n`,
    )
    expect(missed.length).toBeLessThanOrEqual(others.length / 5)
  })

  it('is remarked on in most of those that were written later', () => {
    const missed = LATER.filter((s) => !remarked(s))
    process.stdout.write(
      `remarked on ${LATER.length - missed.length} of ${LATER.length} later ones\n${missed.join('\n')}\n`,
    )
    expect(missed.length).toBeLessThanOrEqual(LATER.length / 2)
  })

  it('is remarked on wherever it was typed, with the words and the place', () => {
    const passages = draftAccount(demo)
    for (const [n, where] of [
      [0, 'first'],
      [1, 'middle'],
      [3, 'last'],
    ] as const)
      for (const words of [
        'We searched six databases.',
        'Every title and abstract was read by two people.',
      ]) {
        const found = adviceOn(demo, typedIn(passages, n, words, where)).filter((a) => a.rule === 'untrue')
        expect(found.map((a) => [a.passage, a.words])).toEqual([[passages[n]!.id, words]])
      }
  })

  it('is nothing in the demo as it is drafted, in any form', () => {
    expect(strange(demo)).toEqual([])
  })

  it('is nothing in the drafts of other reviews, in any form', { timeout: 300_000 }, () => {
    const numRuns = trials(70, 700)
    fc.assert(
      fc.property(reviews, (drawn) => {
        const entries = journal(drawn)
        expect(strange(contextOf(entries))).toEqual([])
      }),
      { numRuns },
    )
    fc.assert(
      fc.property(readings, (drawn) => {
        expect(strange(readingContext(readingJournal(drawn)))).toEqual([])
      }),
      { numRuns },
    )
    fc.assert(
      fc.property(searchings, (drawn) => {
        expect(strange(readingContext(searchingJournal(drawn)))).toEqual([])
      }),
      { numRuns },
    )
    fc.assert(
      fc.property(gatherings, (drawn) => {
        expect(strange(readingContext(gatheringJournal(drawn)))).toEqual([])
      }),
      { numRuns },
    )
  })
})
