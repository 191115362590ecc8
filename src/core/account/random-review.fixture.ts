/** Random reviews as the commands that people would have given, and what an account of them is read from. */
import fc from 'fast-check'
import { PROFILES } from '../../standins/profiles'
import type { Profile } from '../profile'
import { tell } from '../figures'
import { emptyRecord } from '../records'
import {
  fold,
  nextEntry,
  REVIEWED,
  worksOf,
  type Command,
  type Entry,
  type Line,
  type Review,
  type Run,
} from '../review'
import { lineKeys, reachedBy } from '../strategy'
import type { World } from './meanings'
import type { FactContext } from './facts'
import { listed } from '../base'
import { foundBy, type SlowLine } from './meanings/what-is-found'
import { lostSearchIn } from './lost-search.fixture'

const SOURCES = ['Fen', 'Gale', 'Quay'] as const
const PROFILE: Record<string, Profile> = {
  Fen: PROFILES.fernhollow!,
  Gale: PROFILES.girder!,
  Quay: PROFILES.quayside!,
}
/** Fields that are called otherwise in a sentence. */
const CALLED: Readonly<Record<string, string>> = {
  fulltext: 'full text',
  subject: 'subject headings',
  place: 'place studied',
  identifier: 'identifiers',
}
export const WORLD: World = {
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
  usual: Object.fromEntries(
    SOURCES.map((s) => [
      s,
      `all fields that it searches by default (${listed(PROFILE[s]!.any.map((f) => CALLED[f] ?? f))})`,
    ]),
  ),
  lacks: {},
  nearless: SOURCES.filter((s) => !PROFILE[s]!.nearness),
  stems: Object.fromEntries(SOURCES.map((s) => [s, PROFILE[s]!.stemming])),
  // Records of a file are counted from one, and named here from none.
  titleOf: (id) => titleOf(id.replace(/\d+$/, (n) => `${Number(n) - 1}`)),
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
const TEXTS = [
  'x',
  'y',
  'title: z',
  'heading: "H"',
  'heading.below: "N"',
  'x OR y',
  'x NOT z',
  'x NEAR/3 y',
  'x AND y',
]

/** A strategy as it is drafted: words of each concept, in a line or two, then one line that joins them all. */
const drafted = fc
  .array(fc.array(fc.constantFrom(...TEXTS), { minLength: 1, maxLength: 2 }), { minLength: 2, maxLength: 3 })
  .map((blocks): Line[] => {
    const rows = blocks.flatMap((texts, n) => texts.map((text) => ({ text, conceptId: CONCEPTS[n]!.id })))
    const at = (id: string): string => {
      const of = rows.flatMap((row, n) => (row.conceptId === id ? [`#${n + 1}`] : []))
      return of.length > 1 ? `(${of.join(' OR ')})` : of[0]!
    }
    const joining = {
      text: CONCEPTS.slice(0, blocks.length)
        .map(({ id }) => at(id))
        .join(' AND '),
    }
    return [...rows, joining].map((row, i) => ({ id: `l${i}`, limits: [], note: '', drafted: true, ...row }))
  })

/** A random strategy: lines of concepts, joins of lines above in any way, limits anywhere. */
const written = fc
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

const strategy = fc.oneof({ weight: 3, arbitrary: written }, { weight: 1, arbitrary: drafted })

/** A random review as the commands that a person would have given, in any order that could have been. */
export const reviews = fc.record({
  essential: fc.array(fc.boolean(), { minLength: 3, maxLength: 3 }),
  note: fc.constantFrom('', 'authors rarely name it'),
  alternatives: fc.option(fc.constantFrom(['c1', 'c2'], ['c2', 'c3']), { nil: undefined }),
  /** Why each database was taken, and what its thesaurus has no heading for. */
  whys: fc.array(fc.constantFrom('', 'Its records are old', 'rooms are its subject'), {
    minLength: 3,
    maxLength: 3,
  }),
  gaps: fc.subarray(['loudness', 'echo']),
  voice: fc.constantFrom('we' as const, 'I' as const, 'passive' as const),
  order: fc.constantFrom('theme' as const, 'time' as const),
  length: fc.constantFrom('full' as const, 'full' as const, 'short' as const),
  /** Other terms than the one that is searched with most. */
  terms: fc.subarray(['x', 'z', 'unheard']),
  limits: fc.subarray([...LIMITS]),
  reason: fc.constantFrom('', 'rules changed in 2016'),
  sources: fc.subarray([...SOURCES], { minLength: 1 }),
  people: fc.boolean(),
  /** One more database was searched before the record was kept, and nobody knows how. */
  lost: fc.nat(5).map((n) => n === 5),
  peopleBrought: fc.boolean(),
  strategies: fc.array(strategy, { minLength: 3, maxLength: 3 }),
  before: fc.array(strategy, { minLength: 3, maxLength: 3 }),
  ran: fc.array(fc.constantFrom('never', 'before', 'now', 'both', 'some'), { minLength: 3, maxLength: 3 }),
  /** What was searched before is searched again a month later, or at once. */
  later: fc.boolean(),
  /** Of what is searched again, not every line is. */
  partly: fc.nat(2).map((n) => n === 2),
  knownFirst: fc.nat(2),
  knownLater: fc.nat(2),
  /** Of each known item, whether it is a record that may be brought in, and its year. */
  knownAre: fc.array(fc.record({ record: fc.boolean(), year: fc.constantFrom(undefined, 2010, 2020) }), {
    minLength: 4,
    maxLength: 4,
  }),
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
  protocol: fc.constantFrom('none', 'none', 'first', 'late'),
  registered: fc.boolean(),
  together: fc.boolean(),
  /** What became of the comments of somebody who looked the searches over; undefined: nobody did. */
  reviewed: fc.option(fc.array(fc.constantFrom('taken', 'declined', 'open'), { maxLength: 3 }), {
    nil: undefined,
  }),
  reviewedAs: fc.constantFrom('', 'subject librarian'),
  /** What was found of each element, and what was done with it. */
  found: fc.array(fc.constantFrom('none', 'none', 'suggested', 'required'), { minLength: 6, maxLength: 6 }),
  foundSettled: fc.array(fc.constantFrom('taken', 'declined', 'open'), { minLength: 6, maxLength: 6 }),
  /** Looked over before the first, second or third database was searched; and again at the end, or not. */
  lookedBefore: fc.option(fc.nat(2), { nil: undefined }),
  lookedTwice: fc.boolean(),
  /** Of how many databases it is known that they were looked at. */
  lookedAt: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
  amended: fc.nat(3),
  changed: fc.nat(2),
})
export type Drawn = typeof reviews extends fc.Arbitrary<infer T> ? T : never

/** Can every line find something? Of nothing, everything is true, and nothing can be checked. */
export const findsSomething = (lines: readonly unknown[]): boolean =>
  lines.every((_, n) => foundBy(lines as SlowLine[], n).length > 0)

export function journal(d: Drawn): Entry[] {
  const entries: Entry[] = []
  let minute = 0
  const time = (): string => new Date(Date.UTC(2026, 3, 1, 8, minute++)).toISOString()
  const put = (command: unknown): void => {
    const salt = entries.length.toString(16).padStart(32, '0')
    entries.push(nextEntry(entries.at(-1), command as Command, { at: time(), by: 'p-1', salt }))
  }
  put({ kind: 'review.create', payload: { id: 'r', title: 'R' } })
  put({ kind: 'account.voice', payload: { voice: d.voice } })
  put({ kind: 'account.telling', payload: { order: d.order, length: d.length } })
  put({ kind: 'question.set', payload: { text: 'How loud is it?' } })
  CONCEPTS.forEach((c, i) =>
    put({
      kind: 'concept.set',
      payload: { ...c, essential: d.essential[i]!, note: d.essential[i] ? '' : d.note },
    }),
  )
  if (d.alternatives) put({ kind: 'alternatives.set', payload: { id: 'a', conceptIds: d.alternatives } })
  d.limits.forEach((limit, i) =>
    put({ kind: 'limit.set', payload: { id: `p${i}`, limit, reason: d.reason } }),
  )
  for (const s of d.sources)
    put({
      kind: 'source.set',
      payload: {
        id: s,
        kind: 'database',
        name: `${s} Index`,
        profileId: s,
        why: d.whys[SOURCES.indexOf(s)]!,
        ...(d.together ? { together: 'the Lantern Reports' } : {}),
      },
    })
  if (d.people)
    put({ kind: 'source.set', payload: { id: 'people', kind: 'people', name: 'two acousticians', why: '' } })
  put({ kind: 'term.set', payload: term('t0', 'y', 'in use') })
  d.terms.forEach((t, i) => put({ kind: 'term.set', payload: term(`u${i}`, t, 'in use') }))
  d.gaps.forEach((about, i) =>
    put({
      kind: 'gap.set',
      payload: { id: `g${i}`, conceptId: 'c2', sourceId: d.sources[i % d.sources.length]!, about },
    }),
  )
  const protocol = (): void => {
    put({ kind: 'protocol.freeze', payload: { id: 'v0', at: time(), readers: 2 } })
    if (d.registered) put({ kind: 'protocol.register', payload: { place: 'a faculty', number: 'B-12' } })
    for (let i = 0; i < d.amended; i++) {
      put({ kind: 'criterion.set', payload: criterion(`a${i}`) })
      put({
        kind: 'protocol.amend',
        payload: { id: `v${i + 1}`, at: time(), readers: 2, why: 'one question was missing' },
      })
    }
    for (let i = 0; i < d.changed; i++) put({ kind: 'criterion.set', payload: criterion(`c${i}`) })
  }
  if (d.protocol === 'first') protocol()
  let nth = 0
  const known = (id: string): unknown => {
    const { record, year } = d.knownAre[nth]!
    const title = record ? titleOf(`i${d.sources[0]}/${nth}`) : titleOf(`known ${id}`)
    nth++
    return { id, raw: id, form: 'reference', title, authors: [], ...(year === undefined ? {} : { year }) }
  }
  for (let i = 0; i < d.knownFirst; i++) put({ kind: 'known.add', payload: { items: [known(`k${i}`)] } })
  const run = (sourceId: string, lines: readonly Line[], only: number, release: string): void => {
    const keys = lineKeys(lines)
    lines.forEach((line, i) => {
      if (i % only) return
      const id = `r${minute}`
      const payload: Run = {
        id,
        sourceId,
        lineId: line.id,
        key: keys.get(line.id)!,
        keyRule: 0,
        reached: reachedBy(lines, line.id),
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
        put({
          kind: 'run.log',
          payload: { ...payload, id: `${id}c`, hits: payload.hits + 1, supersedes: id, because: 'mistyped' },
        })
      }
    })
  }
  /** The six elements answered, and the review of the searches said to be finished. */
  const look = (): void => {
    for (const [i, element] of REVIEWED.entries())
      put({
        kind: 'searchreview.answer',
        payload: { reader: 'p-9', element, verdict: d.found[i]!, words: 'so I think' },
      })
    put({
      kind: 'searchreview.finish',
      payload: {
        reader: 'p-9',
        as: d.reviewedAs,
        at: time(),
        ...(d.lookedAt === undefined
          ? {}
          : {
              of: d.sources.slice(0, d.lookedAt).map((sourceId) => ({ sourceId, head: 'a'.repeat(64) })),
              verdict: d.found.includes('required')
                ? ('revisions required' as const)
                : d.found.includes('suggested')
                  ? ('revisions suggested' as const)
                  : ('no revisions' as const),
            }),
      },
    })
  }
  d.sources.forEach((s, i) => {
    if (d.reviewed && d.lookedBefore === i) look()
    const [past, lines, ran] = [d.before[i]!, d.strategies[i]!, d.ran[i]!]
    if (ran === 'before' || ran === 'both') {
      put({ kind: 'strategy.set', payload: { sourceId: s, lines: past, why: 'drafted anew' } })
      run(s, past, 1, 'release of March 2026')
    }
    put({ kind: 'strategy.set', payload: { sourceId: s, lines, why: 'drafted anew' } })
    if (ran === 'both' && d.later) minute += 30 * 24 * 60
    if (ran === 'now' || ran === 'both')
      run(s, lines, ran === 'both' && d.partly ? 2 : 1, 'release of September 2026')
    if (ran === 'some') run(s, lines, 2, 'release of September 2026')
  })
  if (d.lost) for (const command of lostSearchIn('Reed', 'Reed Index')) put(command)
  if (d.protocol === 'late') protocol()
  d.dropped.forEach((t, i) =>
    put({
      kind: 'term.set',
      payload: { ...term(`d${i}`, t, 'dropped'), ...(d.droppedReason ? { reason: 'noise' } : {}) },
    }),
  )
  for (let i = 0; i < d.knownLater; i++) put({ kind: 'known.add', payload: { items: [known(`n${i}`)] } })
  if (d.reviewed) {
    if (d.lookedBefore === undefined || d.lookedTwice) look()
    for (const [i, as] of d.foundSettled.entries()) {
      const said = entries.findLast(
        (e) => e.kind === 'searchreview.answer' && (e.payload as { element: string }).element === REVIEWED[i],
      )
      if (said && as !== 'open' && d.found[i] !== 'none')
        put({
          kind: 'searchreview.settle',
          payload: {
            reader: 'p-9',
            id: REVIEWED[i]!,
            element: REVIEWED[i]!,
            said: said.at,
            as,
            reason: 'so be it',
          },
        })
    }
    d.reviewed.forEach((as, i) => {
      put({
        kind: 'searchreview.comment',
        payload: { reader: 'p-9', id: `k${i}`, sourceId: d.sources[0], of: 'x', text: 'too narrow' },
      })
      const said = entries.at(-1)!.at
      if (as !== 'open')
        put({
          kind: 'searchreview.settle',
          payload: { reader: 'p-9', id: `k${i}`, said, as, reason: 'so be it' },
        })
    })
    put({ kind: 'person.named', payload: { id: 'p-9', name: 'Hedda Marrow' } })
  }
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
  return entries
}
const criterion = (id: string): object => ({
  id,
  text: `Is it told ${id.startsWith('a') ? 'once' : 'again'} ${['there', 'here', 'anywhere', 'at all'][Number(id.slice(1))] ?? 'ever'}?`,
  pass: 'close',
  sense: 'in',
})
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

/** A title that has no word in common with any other. */
export function titleOf(name: string): string {
  let sum = 7
  for (const sign of name) sum = (sum * 131 + sign.codePointAt(0)!) % 2_147_483_647
  return sum.toString(26).replace(/\d/g, (digit) => 'qrstuvwxyz'[Number(digit)]!)
}

/** What the account of a journal is read from. */
export function contextOf(
  entries: readonly Entry[],
  beside?: (digest: string) => readonly number[] | undefined,
): FactContext {
  const review: Review = fold(entries).review
  return {
    review,
    figures: tell(
      review,
      worksOf(
        review,
        // No two records have an id or a title in common.
        ({ id, count }) =>
          Array.from({ length: count }, (_, i) => emptyRecord(`${id}-${i}`, titleOf(`${id}/${i}`))),
        beside,
      ),
    ).figures,
    entries,
    source: (id) => ({
      release: 'release of September 2026',
      releaseWords: (r) => r,
      hasVocabulary: id === 'Fen' || id === 'Gale',
      profile: PROFILE[id],
    }),
  }
}
