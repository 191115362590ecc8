import fc from 'fast-check'
import { afterAll, describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import { fold, type Entry } from '../review'
import { holds } from './meanings'
import {
  andThen,
  beside,
  readingContext,
  readingJournal,
  readings,
  type Reading,
} from './random-reading.fixture'
import { gatheringJournal, gatherings, type Gathering } from './random-gathering.fixture'
import { searchingJournal, searchings, type Searching } from './random-ways.fixture'
import { READS } from './reads/en'
import { groupsOf, isTold, SAYING_NAMES, SAYINGS, sayingsTold, type SayingName } from './sayings'
import { OF_WORKS, type Breaks } from './breaks-of-works.fixture'
import { OF_SEARCHES } from './breaks-of-searches.fixture'
import { contextOf, findsSomething, journal, reviews, WORLD, type Drawn } from './random-review.fixture'
import { WORDS } from './words/en'
import type { Words } from './words/en/words'
import { speaker } from './words/en/speaker'
import { draftAccount, inlinesOf, inlineWords, paragraph, type FactContext } from '.'

const CASES = trials(1000, 5000)
/** How often each was met; less than this is no proof. */
const ENOUGH = 20

/** The sentences of a section, facts in words. */
function sentencesOf(context: FactContext): string[] {
  return draftAccount(context).flatMap((p) =>
    p.content.flatMap((block) => {
      const text = [...inlinesOf(block)].map((n) => inlineWords(context, n)).join('')
      return text.split(/(?<=[.?]) (?=[A-Z])/)
    }),
  )
}

interface Case {
  drawn: Reading | Searching | Gathering | Drawn
  entries: Entry[]
  of: (entries: readonly Entry[]) => FactContext
  context: FactContext
  sentences: string[]
}
let made: Case[] | undefined
/** Random reviews, made once for all laws. */
const cases = (): Case[] =>
  (made ??= [
    ...fc.sample(readings, CASES * 1.1).map((drawn) => caseOf(drawn, readingJournal(drawn), readingContext)),
    ...fc
      .sample(searchings, CASES * 0.7)
      .map((drawn) => caseOf(drawn, searchingJournal(drawn), readingContext)),
    ...fc
      .sample(gatherings, CASES * 0.4)
      .map((drawn) => caseOf(drawn, gatheringJournal(drawn), readingContext)),
    ...fc
      .sample(
        reviews.filter((d) => [...d.strategies, ...d.before].every(findsSomething)),
        CASES * 0.6,
      )
      .map((drawn) => caseOf(drawn, journal(drawn), contextOf)),
  ])
const caseOf = (drawn: Case['drawn'], entries: Entry[], of: Case['of']): Case => {
  const context = of(entries)
  return { drawn, entries, of, context, sentences: sentencesOf(context) }
}
/** So many breaks of one saying are tried; all of them in `npm run explore`. */
const BREAKS_TRIED = trials(40, Infinity)

/** By which names a sentence is taken apart; what was asked of one is kept. */
const taken = (sentence: string): readonly SayingName[] => {
  const names = TAKEN.get(sentence) ?? SAYING_NAMES.filter((name) => READS[name](sentence) !== undefined)
  TAKEN.set(sentence, names)
  return names
}
const TAKEN = new Map<string, readonly SayingName[]>()
const isTrue = (name: SayingName, sentence: string, entries: readonly Entry[], of: Case['of']): boolean =>
  holds(name, READS[name](sentence)! as never, entries, beside, of === contextOf ? WORLD : undefined)
const BREAKS: Record<SayingName, Breaks[string]> = { ...OF_WORKS, ...OF_SEARCHES }

const met: Record<string, number> = {}
const meet = (what: string): void => {
  met[what] = (met[what] ?? 0) + 1
}
/** Which way of telling it is, as far as it differs in meaning. */
const variantOf = (name: SayingName, sentence: string): string =>
  /shared/.test(sentence)
    ? `${name}: shared`
    : /-who$/.test(name)
      ? `${name}: ${/^(?:Of|Among)/.test(sentence) ? 'groups' : /(?:One of us|one reader)/.test(sentence) ? 'one of several' : 'each'}`
      : name === 'titles-asked'
        ? `${name}: ${/of each|Each was/.test(sentence) ? 'each' : 'not each'}`
        : name === 'titles-order'
          ? `${name}: ${/^(?:Works|They)/.test(sentence) ? 'one' : 'several'}`
          : name

describe('what is told of a review', () => {
  afterAll(() => {
    process.stdout.write(
      `${Object.entries(met)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([what, n]) => `${what} ${n}`)
        .join(' · ')}\n`,
    )
  })

  it('is true: every sentence is taken apart by exactly one reader, and holds by the deeds alone', () => {
    for (const { drawn, entries, of, sentences } of cases()) {
      // A deed that is not understood would leave the review without what it draws.
      expect(fold(entries).problems).toEqual([])
      for (const sentence of sentences) {
        const names = taken(sentence)
        expect(names, sentence).toHaveLength(1)
        expect(isTrue(names[0]!, sentence, entries, of), `${sentence} ${JSON.stringify(drawn)}`).toBe(true)
        expect(sentence).not.toMatch(/…|undefined|\{|\}|\(\)|  /)
        meet(variantOf(names[0]!, sentence))
      }
    }
  })

  it('is owed: of each family at most one thing is told, and where anything was read, that it was', () => {
    for (const { drawn, context, sentences } of cases()) {
      const told = sayingsTold(context)
      // Of what is told of parts of a review, one is told of each part.
      const families = told.map((s) => `${SAYINGS[s.saying].family} ${s.of ?? ''}`)
      expect(new Set(families).size).toBe(families.length)
      const read = context.figures.flow.rounds.some((r) => r.columns.some((c) => c.screened > 0))
      expect(families.includes('titles read ')).toBe(read)
      const inText = sentences.flatMap(taken)
      for (const name of new Set(told.map((s) => s.saying)))
        if (drawn.length === 'full')
          expect(inText.filter((n) => n === name)).toHaveLength(told.filter((s) => s.saying === name).length)
    }
  })

  it('is broken by the smallest change: the old sentence is false then, and is not told any more', () => {
    for (const { entries, of, context, sentences } of cases())
      for (const sentence of sentences)
        for (const name of taken(sentence)) {
          if ((met[`broken: ${name}`] ?? 0) >= BREAKS_TRIED) continue
          const change = BREAKS[name](entries, context)
          if (!change) continue
          const after = andThen(entries, change)
          // A change that leaves the sentence true is no break of this review.
          if (isTrue(name, sentence, after, of)) continue
          meet(`broken: ${name}`)
          expect(sentencesOf(of(after))).not.toContain(sentence)
        }
  })

  it('is sharp: without any one of its conditions, something untrue would be told', () => {
    const dull = new Set(
      SAYING_NAMES.flatMap((name) => Object.keys(SAYINGS[name].finds.when).map((w) => `${name}: ${w}`)),
    )
    for (const { entries, of: contextFrom, context } of cases())
      for (const name of SAYING_NAMES)
        for (const [condition, of] of Object.keys(SAYINGS[name].finds.when).flatMap((w) =>
          groupsOf(name, context).map((g) => [w, g] as const),
        )) {
          if ((met[`sharp: ${name}: ${condition}`] ?? 0) >= BREAKS_TRIED) continue
          if (isTold(name, context, undefined, of) || !isTold(name, context, condition, of)) continue
          const words = WORDS[name] as Words<unknown>
          const found = SAYINGS[name].finds.found(context, of ?? '')
          const [best = ''] = words.says(found, speaker(context.review.account.voice), context)
          const sentence = [...inlinesOf({ content: [paragraph(best)] } as never)]
            .map((n) => inlineWords(context, n))
            .join('')
          const names = taken(sentence)
          if (names.length === 1 && isTrue(names[0]!, sentence, entries, contextFrom)) continue
          dull.delete(`${name}: ${condition}`)
          meet(`sharp: ${name}: ${condition}`)
        }
    expect([...dull]).toEqual([])
  })

  it('was met often enough for all of this to mean something', () => {
    const rare = Object.entries(met).filter(([, n]) => n < ENOUGH)
    expect(rare).toEqual([])
    for (const name of SAYING_NAMES) {
      expect(
        Object.keys(met).some((m) => m.startsWith(name)),
        name,
      ).toBe(true)
      expect(met[`broken: ${name}`] ?? 0, name).toBeGreaterThanOrEqual(ENOUGH)
    }
  })
})
