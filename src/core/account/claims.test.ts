import fc from 'fast-check'
import { expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import type { Profile } from '../profile'
import {
  fold,
  nextEntry,
  worksOf,
  type Command,
  type Entry,
  type Line,
  type Review,
  type Run,
} from '../review'
import { tell } from '../figures'
import { lineKeys } from '../strategy'
import { emptyRecord } from '../records'
import { draftAccount, inlinesOf, resolveFact, selectClaims, type FactContext } from '.'
import { untrueClaims, type World } from './claims.fixture'
import { findsSomething, spelledOut } from './what-lines-find.fixture'

const SOURCES = ['Fen', 'Gale', 'Quay'] as const
const PROFILE: Record<string, Profile> = {
  Fen: PROFILES.fernhollow!,
  Gale: PROFILES.girder!,
  Quay: PROFILES.quayside!,
}
const WORLD: World = {
  indexed: ['Fen', 'Gale'],
  noLimit: { Quay: ['language', 'document type'] },
  standIn: Object.fromEntries(
    SOURCES.map((s) => [
      s,
      Object.fromEntries(
        Object.entries(PROFILE[s]!.limits).flatMap(([k, v]) => (v?.standIn ? [[k, v.standIn]] : [])),
      ),
    ]),
  ),
}
const CONCEPTS = [
  { id: 'c1', letter: 'A', name: 'Rooms' },
  { id: 'c2', letter: 'B', name: 'Noise' },
  { id: 'c3', letter: 'C', name: 'Reading' },
] as const
const LIMITS = [
  { kind: 'years', from: 2017, to: 2026 },
  { kind: 'language', values: ['en', 'de'] },
  { kind: 'peer reviewed' },
] as const
const TEXTS = ['x', 'y', 'title: z', 'heading: "H"', 'heading.below: "N"', 'x OR y', 'x NOT z']

/** A random strategy: lines of concepts, joins of lines above in any way, limits anywhere. */
const strategy = fc
  .array(
    fc.record({
      text: fc.constantFrom(...TEXTS),
      how: fc.constantFrom('own', 'own', 'any', 'all', 'mixed', 'one', 'less'),
      refs: fc.array(fc.nat(5), { minLength: 1, maxLength: 3 }),
      concept: fc.option(fc.constantFrom('c1', 'c2', 'c3'), { nil: undefined }),
      limit: fc.option(fc.constantFrom(...LIMITS, { kind: 'language', values: ['de', 'en'] } as const), {
        nil: undefined,
        freq: 3,
      }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((rows) =>
    rows.map((row, i): Line => {
      const back = [...new Set(row.refs.filter((n) => n < i).map((n) => n + 1))]
      const joined = (op: string): string => back.map((n) => `#${n}`).join(op)
      const text =
        !back.length || row.how === 'own'
          ? row.text
          : row.how === 'any'
            ? `any(${joined(', ')})`
            : row.how === 'all'
              ? `all(${joined(', ')})`
              : row.how === 'one'
                ? `#${back[0]}`
                : row.how === 'less'
                  ? joined(' NOT ')
                  : back.length > 2
                    ? `#${back[0]} AND (#${back[1]} OR #${back[2]})`
                    : joined(' AND ')
      const own = !back.length || row.how === 'own' || row.how === 'any'
      return {
        id: `l${i}`,
        text,
        limits: row.limit ? [structuredClone(row.limit) as never] : [],
        note: '',
        drafted: false,
        ...(own && row.concept ? { conceptId: row.concept } : {}),
      }
    }),
  )

/** A random review as the commands that a person would have given, in any order that could have been. */
const reviews = fc.record({
  essential: fc.array(fc.boolean(), { minLength: 3, maxLength: 3 }),
  note: fc.constantFrom('', 'authors rarely name it'),
  limits: fc.subarray([...LIMITS]),
  reason: fc.constantFrom('', 'rules changed in 2016'),
  sources: fc.subarray([...SOURCES], { minLength: 1 }),
  people: fc.boolean(),
  peopleBrought: fc.boolean(),
  strategies: fc.array(strategy, { minLength: 3, maxLength: 3 }),
  before: fc.array(strategy, { minLength: 3, maxLength: 3 }),
  ran: fc.array(fc.constantFrom('never', 'before', 'now', 'both', 'some'), { minLength: 3, maxLength: 3 }),
  knownFirst: fc.nat(2),
  knownLater: fc.nat(2),
  dropped: fc.subarray(['x', 'nothing*']),
  droppedReason: fc.boolean(),
  brought: fc.nat(3),
  rulings: fc.array(fc.tuple(fc.nat(2), fc.constantFrom('in', 'out', 'unsure'), fc.constantFrom('P', 'Q')), {
    maxLength: 4,
  }),
  closeRulings: fc.array(
    fc.tuple(fc.nat(2), fc.constantFrom('in', 'out', 'unsure'), fc.constantFrom('P', 'Q')),
    {
      maxLength: 4,
    },
  ),
  closeReason: fc.constantFrom('levels were not measured', undefined),
  many: fc.option(fc.nat(2), { nil: undefined }),
  fetched: fc.array(fc.tuple(fc.nat(2), fc.constantFrom('have', 'not to be had', 'loan asked')), {
    maxLength: 2,
  }),
  correct: fc.boolean(),
})
type Drawn = typeof reviews extends fc.Arbitrary<infer T> ? T : never

function journal(d: Drawn): { entries: Entry[]; asked: Map<string, string> } {
  const entries: Entry[] = []
  const asked = new Map<string, string>()
  let minute = 0
  const time = (): string => new Date(Date.UTC(2026, 3, 1, 8, minute++)).toISOString()
  const put = (command: unknown): void => {
    const salt = entries.length.toString(16).padStart(32, '0')
    entries.push(nextEntry(entries.at(-1), command as Command, { at: time(), by: 'p-1', salt }))
  }
  put({ kind: 'review.create', payload: { id: 'r', title: 'R' } })
  put({ kind: 'question.set', payload: { text: 'How loud is it?' } })
  CONCEPTS.forEach((c, i) =>
    put({
      kind: 'concept.set',
      payload: { ...c, essential: d.essential[i]!, note: d.essential[i] ? '' : d.note },
    }),
  )
  d.limits.forEach((limit, i) =>
    put({ kind: 'limit.set', payload: { id: `p${i}`, limit, reason: d.reason } }),
  )
  for (const s of d.sources)
    put({
      kind: 'source.set',
      payload: { id: s, kind: 'database', name: `${s} Index`, profileId: s, why: '' },
    })
  if (d.people)
    put({ kind: 'source.set', payload: { id: 'people', kind: 'people', name: 'two acousticians', why: '' } })
  put({ kind: 'term.set', payload: term('t0', 'y', 'in use') })
  const known = (id: string): unknown => ({
    id,
    raw: id,
    form: 'reference',
    title: `Known ${id}`,
    authors: [],
  })
  for (let i = 0; i < d.knownFirst; i++) put({ kind: 'known.add', payload: { items: [known(`k${i}`)] } })
  const run = (sourceId: string, lines: readonly Line[], only: number, release: string): void => {
    const keys = lineKeys(lines)
    lines.forEach((line, i) => {
      if (i % only) return
      const id = `r${minute}`
      asked.set(id, spelledOut(lines as never, i))
      const payload: Run = {
        id,
        sourceId,
        lineId: line.id,
        key: keys.get(line.id)!,
        number: i + 1,
        text: line.text,
        sent: line.text,
        limits: line.limits,
        hits: 1000 + minute * 7,
        at: time(),
        by: 'M. Osei',
        release,
        how: 'stand-in',
      }
      put({ kind: 'run.log', payload })
      if (d.correct && i === 0) {
        asked.set(`${id}c`, asked.get(id)!)
        put({
          kind: 'run.log',
          payload: { ...payload, id: `${id}c`, hits: payload.hits + 1, supersedes: id, because: 'mistyped' },
        })
      }
    })
  }
  d.sources.forEach((s, i) => {
    const [past, lines, ran] = [d.before[i]!, d.strategies[i]!, d.ran[i]!]
    if (ran === 'before' || ran === 'both') {
      put({ kind: 'strategy.set', payload: { sourceId: s, lines: past, why: 'drafted anew' } })
      run(s, past, 1, 'release of March 2026')
    }
    put({ kind: 'strategy.set', payload: { sourceId: s, lines, why: 'drafted anew' } })
    if (ran === 'now' || ran === 'both') run(s, lines, 1, 'release of September 2026')
    if (ran === 'some') run(s, lines, 2, 'release of September 2026')
  })
  d.dropped.forEach((t, i) =>
    put({
      kind: 'term.set',
      payload: { ...term(`d${i}`, t, 'dropped'), ...(d.droppedReason ? { reason: 'noise' } : {}) },
    }),
  )
  for (let i = 0; i < d.knownLater; i++) put({ kind: 'known.add', payload: { items: [known(`n${i}`)] } })
  const bring = (sourceId: string): void =>
    put({
      kind: 'records.import',
      payload: { id: `i${sourceId}`, sourceId, digest: 'a'.repeat(64), count: d.brought, at: time() },
    })
  if (d.brought) bring(d.sources[0]!)
  if (d.brought && d.people && d.peopleBrought) bring('people')
  for (const [work, verdict, reader] of d.brought ? d.rulings : [])
    put({
      kind: 'ruling.set',
      payload: { recordId: `i${d.sources[0]}/${(work % d.brought) + 1}`, pass: 'broad', reader, verdict },
    })
  const recordId = (n: number): string => `i${d.sources[0]}/${(n % d.brought) + 1}`
  if (d.brought && d.many !== undefined)
    put({
      kind: 'ruling.many',
      payload: {
        records: [recordId(d.many)],
        pass: 'broad',
        reader: 'P',
        verdict: 'out',
        because: 'no study',
        which: 'type',
      },
    })
  for (const [work, verdict, reader] of d.brought ? d.closeRulings : [])
    put({
      kind: 'ruling.set',
      payload: {
        recordId: recordId(work),
        pass: 'close',
        reader,
        verdict,
        ...(verdict === 'out' && d.closeReason ? { reason: d.closeReason } : {}),
      },
    })
  for (const [work, state] of d.brought ? d.fetched : [])
    put({ kind: 'retrieval.set', payload: { recordId: recordId(work), state } })
  return { entries, asked }
}
const term = (id: string, expression: string, status: string): object => ({
  id,
  conceptId: 'c1',
  sourceId: 'all',
  kind: 'text',
  expression,
  withNarrower: false,
  mainFocus: false,
  origin: 'typed',
  status,
})

/** The sentences of the account, facts in words. A full stop inside a person's words does not occur here. */
function sentencesOf(context: FactContext): string[] {
  return draftAccount(context).flatMap((p) =>
    p.content.flatMap((paragraph) => {
      const text = [...inlinesOf(paragraph)]
        .map((n) => (n.type === 'text' ? n.text : resolveFact(context, n.attrs.ref).text))
        .join('')
      return text.split(/(?<=[.?]) (?=[A-Z])/)
    }),
  )
}

const CASES = 600
it('says nothing that the journal does not bear out, in random reviews, by a checker that shares no code with it', () => {
  let checked = 0
  fc.assert(
    fc.property(reviews, (drawn) => {
      fc.pre(drawn.strategies.every((lines) => findsSomething(lines as never)))
      const { entries, asked } = journal(drawn)
      const review: Review = fold(entries).review
      const records = Array.from({ length: drawn.brought }, (_, i) => emptyRecord(String(i), `Title ${i}`))
      const context: FactContext = {
        review,
        figures: tell(
          review,
          worksOf(review, () => records),
        ).figures,
        entries,
        source: (id) => ({
          release: 'release of September 2026',
          releaseWords: (r) => r,
          hasVocabulary: id === 'Fen' || id === 'Gale',
          profile: PROFILE[id],
        }),
      }
      const withAsked = entries.map((e) =>
        e.kind === 'run.log'
          ? { ...e, payload: { ...(e.payload as Run), asked: asked.get((e.payload as Run).id) } }
          : e,
      )
      const sentences = sentencesOf(context)
      checked += sentences.length
      expect(untrueClaims(sentences, withAsked, WORLD)).toEqual([])
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
    'We kept to work published from 1990 to 1991.',
    'We searched nine databases (Table 1): A, B and C.',
    'In all, 77 records came in.',
    'Beyond databases we asked nobody in particular.',
    'We tried and dropped eleven more.',
  ]
  expect(untrueClaims(untrue, entries, WORLD)).toHaveLength(untrue.length)
  expect(untrueClaims(['It was all very well done.'], entries, WORLD)[0]).toContain('nobody checks')
})
