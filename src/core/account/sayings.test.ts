import fc from 'fast-check'
import { afterAll, describe, expect, it } from 'vitest'
import { trials } from '../base/trials.fixture'
import type { Command, Entry } from '../review'
import { holds } from './meanings'
import {
  andThen,
  beside,
  readingContext,
  readingJournal,
  readings,
  WORKS,
  type Reading,
} from './random-reading.fixture'
import { gatheringJournal, gatherings, type Gathering } from './random-gathering.fixture'
import { noted, searchingJournal, searchings, type Searching } from './random-ways.fixture'
import { READS } from './reads/en'
import { groupsOf, isTold, SAYING_NAMES, SAYINGS, sayingsTold, type SayingName } from './sayings'
import { limitsBeyond } from './sayings/limits-beyond'
import { leavingOut } from './leaving-out'
import { apartIn } from './taken-apart'
import { WORDS } from './words/en'
import type { Words } from './words/en/words'
import { speaker } from './draft/say'
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

/** Sentences of the same parts that are not told as sayings yet: other checkers judge them. */
const OTHERS =
  /^(?!.*(?:came in\.|came in;|removed (?:before|\()|ruled the same|saw differently|full text|report \d)).*(?:personal|search|^We went through)/

/** Sentences of the parts on searching that are no sayings yet: none of these has a word that the sayings there have. */
const OF_SEARCHES =
  /^(?!.*(?:truncation|not as a phrase|NOT was not sent|only in part|references of|that cite|looked through|asked on|answer|by hand|search histor|logged wrongly|took over no|taken out of the plan|to be run again|no two databases|deposited|set no limits|limited to|found in .* brought in|were found, of which|were looked up|came in[.;]|Searching brought|that the searches found|searches found [\d,]+ records|An update|By an update|nobody else|none of the questions|for further works)).*$/

interface Case {
  drawn: Reading | Searching | Gathering
  others: RegExp
  entries: Entry[]
  context: FactContext
  sentences: string[]
}
let made: Case[] | undefined
/** Random reviews, made once for all laws. */
const cases = (): Case[] =>
  (made ??= [
    ...fc.sample(readings, CASES * 1.1).map((drawn) => caseOf(drawn, OTHERS, readingJournal(drawn))),
    ...fc.sample(searchings, CASES * 0.7).map((drawn) => caseOf(drawn, OF_SEARCHES, searchingJournal(drawn))),
    ...fc.sample(gatherings, CASES * 0.4).map((drawn) => caseOf(drawn, OF_SEARCHES, gatheringJournal(drawn))),
  ])
const caseOf = (drawn: Case['drawn'], others: RegExp, entries: Entry[]): Case => {
  const context = readingContext(entries)
  return { drawn, others, entries, context, sentences: sentencesOf(context) }
}
/** So many breaks of one saying are tried; all of them in `npm run explore`. */
const BREAKS_TRIED = trials(100, Infinity)

const taken = (sentence: string): SayingName[] =>
  SAYING_NAMES.filter((name) => READS[name](sentence) !== undefined)
const isTrue = (name: SayingName, sentence: string, entries: readonly Entry[]): boolean =>
  holds(name, READS[name](sentence)! as never, entries, beside)

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

/** The smallest changes of a review by which what a sentence says is no longer so, one for each condition of its meaning. */
const BREAKS: Readonly<
  Record<SayingName, (entries: readonly Entry[], c: FactContext) => Command[] | undefined>
> = {
  duplicates: (_e, c) => {
    const known = new Set(c.review.decisions.map((d) => [d.a, d.b].sort().join()))
    const pairs = ids.flatMap((a) => ids.filter((b) => a < b).map((b) => ({ a, b })))
    const fresh = pairs.find(({ a, b }) => !known.has(`${a},${b}`))
    return fresh && [{ kind: 'pair.part', payload: fresh }]
  },
  'came-in': (_e, c) => more(c.review.imports.at(-1)),
  'removed-unread': (_e, c) => {
    const recordId = ids.find((id) => !readBy(c, id, 'broad').length)
    return recordId === undefined
      ? undefined
      : [
          {
            kind: 'ruling.many',
            payload: {
              ...{ records: [recordId], pass: 'broad', reader: 'p-1', verdict: 'out' },
              ...{ because: 'no study', which: 'type' },
            } as never,
          },
        ]
  },
  'titles-agreed': (_e, c) => rule(c, 'broad', (id) => readBy(c, id, 'broad').length > 0, 'p-9'),
  'texts-agreed': (_e, c) =>
    rule(c, 'close', (id) => passed(c, id) && readBy(c, id, 'close').length > 0, 'p-9'),
  'titles-settled': (_e, c) => differ(c, 'broad'),
  'texts-settled': (_e, c) => differ(c, 'close'),
  'texts-sought': (_e, c) => rule(c, 'broad', (id) => !readBy(c, id, 'broad').length, 'p-1'),
  studies: (_e, c) => {
    const [one] = c.review.studies ?? []
    return one && [{ kind: 'study.part', payload: { id: one.id } }]
  },
  'update-brought': (_e, c) => more(c.review.imports.findLast((i) => i.roundId !== undefined)),
  'titles-read': (_e, c) => rule(c, 'broad', (id) => !readBy(c, id, 'broad').length, 'p-1'),
  'titles-who': (_e, c) => rule(c, 'broad', (id) => readBy(c, id, 'broad').length > 0, 'p-9'),
  'titles-asked': (_e, c) => {
    const [question] = c.review.criteria.filter((q) => q.pass === 'broad' && q.text.trim())
    return question && [{ kind: 'criterion.set', payload: { ...question, text: `${question.text} Really?` } }]
  },
  'titles-order': (_e, c) => {
    const recordId = ids.find((id) => readBy(c, id, 'broad').includes('p-1'))
    if (recordId === undefined) return undefined
    const of = { recordId, pass: 'broad' as const, reader: 'p-1' }
    return [
      { kind: 'ruling.remove', payload: of },
      { kind: 'order.choose', payload: { pass: 'broad', order: 'chance', at: 'at' } },
      { kind: 'ruling.set', payload: { ...of, verdict: 'in' } },
    ]
  },
  'texts-asked': (_e, c) => {
    const [question] = c.review.criteria.filter((q) => q.pass === 'close' && q.text.trim())
    return question && [{ kind: 'criterion.set', payload: { ...question, text: `${question.text} Really?` } }]
  },
  'texts-reasons': (_e, c) => {
    const recordId = ids.find((id) => passed(c, id) && !readBy(c, id, 'close').length)
    return recordId === undefined
      ? undefined
      : [
          {
            kind: 'ruling.set',
            payload: { recordId, pass: 'close', reader: 'p-1', verdict: 'out', reason: 'too short' },
          },
        ]
  },
  'way-followed': (_e, c) => again(c, ['reference lists', 'citing papers']),
  'way-looked': (_e, c) => again(c, ['people', 'web', 'register', 'hand search', 'own collection']),
  'way-people': (_e, c) => {
    const [one] = (c.review.contacts ?? []).filter((x) => x.asked)
    return one && [{ kind: 'contact.set', payload: { ...one, id: 'c-9', asked: '2027-01-04' } }]
  },
  'ways-not-gone': (_e, c) => {
    const kinds = ['register', 'web', 'reference lists', 'citing papers', 'people'] as const
    const kind = kinds.find((k) => c.review.sources.every((s) => s.kind !== k))
    return kind && [{ kind: 'source.set', payload: { id: 'more', kind, name: 'more', why: '' } }]
  },
  'source-gone': (_e, c) => {
    // It is searched once more, on a later day.
    const run = c.review.runs.find((r) => !c.review.sources.some((s) => s.id === r.sourceId))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'later', at: '2027-02-02T09:00:00Z' } }]
  },
  deposited: (_e, c) => {
    const [one] = c.review.deposits ?? []
    return (
      one && [
        { kind: 'package.deposit', payload: { ...one, id: 'd-2', address: 'https://archive.example/2' } },
      ]
    )
  },
  'search-again': (_e, c) => {
    const source = c.review.sources.find((s) => s.reminder)
    return (
      source && [
        { kind: 'source.set', payload: { ...source, reminder: { every: 'month', from: '2027-03-03' } } },
      ]
    )
  },
  'brought-short': (_e, c) => more(c.review.imports[0]),
  'limits-beyond': (_e, c) => {
    // One of them is planned after all.
    const [limit] = [...limitsBeyond(c.review).values()][0] ?? []
    return limit && [{ kind: 'limit.set', payload: { id: 'after-all', limit: limit as never, reason: '' } }]
  },
  'counts-by-hand': (_e, c) => {
    const run = c.review.runs.findLast((r) => r.how !== 'stand-in' && r.lineId === last(c, r.sourceId))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'other', how: 'stand-in' } }]
  },
  'counts-corrected': (_e, c) => {
    const wrong = new Set(c.review.runs.map((r) => r.supersedes))
    const run = c.review.runs.find((r) => r.supersedes === undefined && !wrong.has(r.id))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'better', supersedes: run.id, because: 'so' } }]
  },
  'searches-without': (_e, c) =>
    c.review.limits.length
      ? undefined
      : [{ kind: 'limit.set', payload: { id: 'z', limit: { kind: 'years', from: 2018 }, reason: '' } }],
  'headings-seen': (_e, c) =>
    c.review.headingsNoted?.length || c.review.lookups?.length
      ? [{ kind: 'heading.noted', payload: noted('n-late', 'Din', '2027-03-04') as never }]
      : undefined,
  truncation: (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => /\*/.test(r.text) && r.lineId === last(c, r.sourceId))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'phrases-apart': (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => apartIn(r).length > 0)
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'not-partly': (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => leavingOut(r).includes('partly'))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'not-sent': (_e, c) => {
    // The same line is sent again as it is written.
    const run = c.review.runs.findLast((r) => leavingOut(r).includes('lost'))
    return run && [{ kind: 'run.log', payload: { ...run, id: 'again', sent: run.text } }]
  },
  'texts-read': (_e, c) => rule(c, 'close', (id) => passed(c, id) && !readBy(c, id, 'close').length, 'p-1'),
  'texts-who': (_e, c) => rule(c, 'close', (id) => passed(c, id) && readBy(c, id, 'close').length > 0, 'p-9'),
}
/** One record more came in the same way. */
const more = (i: FactContext['review']['imports'][number] | undefined): Command[] | undefined =>
  i && [{ kind: 'records.import', payload: { ...i, id: 'more', count: 1, digest: 'd'.repeat(64) } as never }]
/** Somebody else says another thing of a work of which all who read it said the same. */
function differ(c: FactContext, pass: 'broad' | 'close'): Command[] | undefined {
  for (const recordId of ids) {
    const said = new Set(Object.values(own(c, recordId)).flatMap((r) => (r.pass === pass ? [r.verdict] : [])))
    if (said.size === 1) {
      const verdict = said.has('in') ? 'out' : 'in'
      return [{ kind: 'ruling.set', payload: { recordId, pass, reader: 'p-9', verdict } }]
    }
  }
  return undefined
}
const last = (c: FactContext, sourceId: string): string | undefined =>
  c.review.strategies[sourceId]?.at(-1)?.id
/** The way is gone once more, on another day. */
function again(c: FactContext, kinds: readonly string[]): Command[] | undefined {
  const way = c.review.ways?.find((w) =>
    kinds.includes(c.review.sources.find((s) => s.id === w.sourceId)!.kind),
  )
  return way && [{ kind: 'way.log', payload: { ...way, id: 'w-9', day: '2027-01-04' } }]
}
const ids = Array.from({ length: WORKS }, (_, i) => `i/${i + 1}`)
const own = (c: FactContext, id: string): Record<string, { pass: string; reader: string; verdict: string }> =>
  Object.assign({}, ...Object.values(c.review.rulings).map((bucket) => bucket[id] ?? {})) as never
const readBy = (c: FactContext, id: string, pass: string): string[] =>
  Object.values(own(c, id)).flatMap((r) => (r.pass === pass ? [r.reader] : []))
const passed = (c: FactContext, id: string): boolean =>
  Object.values(own(c, id)).filter((r) => r.pass === 'broad').length > 0 &&
  Object.values(own(c, id)).every((r) => r.pass !== 'broad' || r.verdict === 'in')
function rule(
  c: FactContext,
  pass: 'broad' | 'close',
  test: (id: string) => boolean,
  reader: string,
): Command[] | undefined {
  const recordId = ids.find(test)
  return recordId === undefined
    ? undefined
    : [{ kind: 'ruling.set', payload: { recordId, pass, reader, verdict: 'in' } }]
}

describe('what is told of reading', () => {
  afterAll(() => {
    process.stdout.write(
      `${Object.entries(met)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([what, n]) => `${what} ${n}`)
        .join(' · ')}\n`,
    )
  })

  it('is true: every sentence is taken apart by exactly one reader, and holds by the deeds alone', () => {
    for (const { drawn, others, entries, sentences } of cases())
      for (const sentence of sentences) {
        const names = taken(sentence)
        if (!names.length) {
          expect(sentence).toMatch(others)
          continue
        }
        expect(names, sentence).toHaveLength(1)
        expect(isTrue(names[0]!, sentence, entries), `${sentence} ${JSON.stringify(drawn)}`).toBe(true)
        expect(sentence).not.toMatch(/…|undefined|\{|\}|\(\)|  /)
        meet(variantOf(names[0]!, sentence))
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
    for (const { entries, context, sentences } of cases())
      for (const sentence of sentences)
        for (const name of taken(sentence)) {
          if ((met[`broken: ${name}`] ?? 0) >= BREAKS_TRIED) continue
          const change = BREAKS[name](entries, context)
          if (!change) continue
          const after = andThen(entries, change)
          // A change that leaves the sentence true is no break of this review.
          if (isTrue(name, sentence, after)) continue
          meet(`broken: ${name}`)
          expect(sentencesOf(readingContext(after))).not.toContain(sentence)
        }
  })

  it('is sharp: without any one of its conditions, something untrue would be told', () => {
    const dull = new Set(
      SAYING_NAMES.flatMap((name) => Object.keys(SAYINGS[name].finds.when).map((w) => `${name}: ${w}`)),
    )
    for (const { entries, context } of cases())
      for (const name of SAYING_NAMES)
        for (const [condition, of] of Object.keys(SAYINGS[name].finds.when).flatMap((w) =>
          groupsOf(name, context).map((g) => [w, g] as const),
        )) {
          if (isTold(name, context, undefined, of) || !isTold(name, context, condition, of)) continue
          const words = WORDS[name] as Words<unknown>
          const found = SAYINGS[name].finds.found(context, of ?? '')
          const [best = ''] = words.says(found, speaker(context.review.account.voice), context)
          const sentence = [...inlinesOf({ content: [paragraph(best)] } as never)]
            .map((n) => inlineWords(context, n))
            .join('')
          const names = taken(sentence)
          if (names.length === 1 && isTrue(names[0]!, sentence, entries)) continue
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
