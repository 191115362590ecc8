/** Random reviews that looked beyond databases, and whose searches were sent as a database took them. */
import fc from 'fast-check'
import { REVIEWED, type Command, type Entry } from '../review'
import { lostSearchIn } from './lost-search.fixture'
import { andThen } from './random-reading.fixture'

const day = fc.constantFrom('2026-05-04', '2026-05-12', '2026-06-20')
const count = fc.option(fc.constantFrom(0, 3, 12), { nil: undefined })
const words = (...all: string[]): fc.Arbitrary<string | undefined> => fc.constantFrom(undefined, ...all)
const records = fc.subarray(['i/1', 'i/2', 'i/3'], { minLength: 1 })

const KINDS = [
  'reference lists',
  'citing papers',
  'people',
  'web',
  'register',
  'hand search',
  'own collection',
] as const

/** Only what is there. */
const given = (payload: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(payload).filter(([, v]) => v !== undefined))

const logged = (sourceId: string): fc.Arbitrary<Command> =>
  fc
    .record({
      id: fc.constantFrom('w1', 'w2', 'w3'),
      of: fc.option(records, { nil: undefined }),
      where: words('the shelf of reports'),
      how: fc.constantFrom('read', 'looked through'),
      through: words('the library'),
      day,
      lookedThrough: fc.option(fc.constantFrom(40, 200), { nil: undefined }),
      named: fc.option(fc.constantFrom(12, 20), { nil: undefined }),
      known: count,
      taken: count,
      stopped: words('the year 1990', 'page nine'),
    })
    .map((p) => ({
      kind: 'way.log',
      payload: given({
        ...p,
        // Nobody can know more than were named.
        known: p.known === undefined ? undefined : Math.min(p.known, p.named ?? p.known),
        id: `${sourceId}-${p.id}`,
        sourceId,
      }) as never,
    }))
const step = (sourceId: string): fc.Arbitrary<Command> =>
  fc
    .record({
      id: fc.constantFrom('s1', 's2'),
      of: records,
      named: fc.constantFrom(5, 9),
      known: fc.constantFrom(2, 5, 9),
      day,
    })
    .map(({ day: d, known, ...p }) => ({
      kind: 'step.follow',
      payload: {
        ...p,
        known: Math.min(known, p.named),
        id: `${sourceId}-${p.id}`,
        sourceId,
        at: `${d}T09:00:00Z`,
      },
    }))
const contact = (sourceId: string): fc.Arbitrary<Command> =>
  fc
    .record({
      id: fc.constantFrom('c1', 'c2', 'c3'),
      who: fc.constantFrom('Quill', 'Rook', 'Finch', ''),
      asked: fc.option(day, { nil: undefined }),
      answered: fc.option(day, { nil: undefined }),
    })
    .map((p) => ({
      kind: 'contact.set',
      payload: given({ ...p, id: `${sourceId}-${p.id}`, sourceId, way: 'a letter', what: '' }) as never,
    }))

const page = (sourceId: string): fc.Arbitrary<Command> =>
  fc
    .record({
      id: fc.constantFrom('g1', 'g2', 'g3'),
      seen: fc.option(day, { nil: undefined }),
      publisher: fc.constantFrom('a school board', 'a school board', ''),
      dated: fc.constantFrom('2019', '2019', ''),
      evidence: fc.constantFrom('own measurements', ''),
      purpose: fc.constantFrom('advice', ''),
    })
    .map((p) => ({
      kind: 'page.set',
      payload: given({
        ...p,
        id: `${sourceId}-${p.id}`,
        sourceId,
        address: 'https://school.example/rooms',
        title: 'Rooms',
        searched: 'noise',
      }) as never,
    }))

const way = fc.constantFrom(...KINDS).chain((kind) => {
  const deeds: fc.Arbitrary<Command>[] = [logged(kind)]
  if (kind === 'reference lists' || kind === 'citing papers') deeds.push(step(kind))
  if (kind === 'web') deeds.push(page(kind), page(kind), page(kind))
  if (kind === 'people') deeds.push(contact(kind), contact(kind))
  return fc
    .array(fc.oneof(...deeds), { maxLength: 3 })
    .map((done): Command[] => [
      { kind: 'source.set', payload: { id: kind, kind, name: `the ${kind}`, why: '' } },
      ...done,
    ])
})

/** What a line asks for, and ways in which it may have been sent. */
const LINES = [
  ['acoustic*', ['acoustic*', 'acoustic', 'acoustic OR acoustics', 'ACOUSTIC$']],
  ['reverberat* OR noise', ['reverberat OR noise', 'reverberat? or noise', '(reverberat OR noise)']],
  ['"primary school*"', ['primary AND school', '"primary school*"', '"primary schools"']],
  ['"sound field"', ['sound-field', '"sound field"', 'field AND sound', 'sound AND field']],
  ['noise', ['noise']],
  ['noise NOT music', ['noise', 'noise NOT music', 'noise less music']],
  [
    '(noise NOT (birds OR rail*)) OR echo',
    ['(noise) or echo', '(noise NOT (birds OR rail$)) OR echo', '(noise NOT birds) OR echo'],
  ],
] as const
const lineSent = fc
  .constantFrom(...LINES)
  .chain(([text, ways]) => fc.record({ text: fc.constant(text), sent: fc.constantFrom(...ways) }))

export const searchings = fc.record({
  /** A database or two with lines, each run or not; the last line joins the others. */
  databases: fc.array(
    fc.record({
      lines: fc.array(lineSent, { minLength: 1, maxLength: 2 }),
      joined: fc.boolean(),
      /** A last line limits what is above it, and a word that was limited by itself is joined. */
      limited: fc.constantFrom('no', 'no', 'years', 'both', 'word'),
      ran: fc.constantFrom('all', 'all', 'all', 'none'),
      how: fc.constantFrom('by hand', 'by hand', 'pasted history', 'stand-in'),
      corrected: fc.nat(5).map((n) => n === 5),
      /** On the same platform, others were searched with it; it is to be searched again. */
      together: fc.nat(4).map((n) => n === 4),
      again: fc.constantFrom(undefined, undefined, 'month' as const, 'half year' as const),
    }),
    { minLength: 1, maxLength: 2 },
  ),
  /** Another database was searched and taken out of the plan: what left with it, what stayed, or it came again. */
  gone: fc.constantFrom(undefined, undefined, 'nothing', 'records', 'stayed', 'again'),
  /** One was searched before the record was kept, and nobody knows how. */
  lost: fc.nat(5).map((n) => n === 5),
  /** Of which of its lines records of the first database came, if that was noted. */
  came: fc.constantFrom('last', 'last', 'first', 'none'),
  /** By which ranking they were the first, if that was noted. */
  ranked: fc.constantFrom(undefined, undefined, 'relevance', 'day'),
  /** What was looked up in the thesaurus of the first database, when, and whether it was there. */
  lookedUp: fc.array(
    fc.record({ words: fc.constantFrom('Noise', 'echo', 'Room sound'), day, there: fc.boolean() }),
    { maxLength: 3 },
  ),
  /** The record was deposited, once or again. */
  deposits: fc.constantFrom(0, 0, 0, 1, 2),
  ways: fc.uniqueArray(way, { selector: (w) => (w[0]!.payload as { id: string }).id, maxLength: 4 }),
  /** A limit is planned, a line took something over, another person looked over the strategies. */
  limit: fc.nat(3).map((n) => n === 3),
  taken: fc.constantFrom(undefined, undefined, 'filter' as const, 'earlier strategy' as const),
  both: fc.nat(5).map((n) => n === 5),
  reviewed: fc.nat(2).map((n) => n === 2),
  /** Every kind of way is at least planned. */
  every: fc.nat(9).map((n) => n === 9),
  read: fc.constantFrom(true, true, false),
  voice: fc.constantFrom('we' as const, 'I' as const, 'passive' as const),
  order: fc.constantFrom('theme' as const, 'time' as const),
  length: fc.constantFrom('full' as const, 'full' as const, 'short' as const),
})
export type Searching = typeof searchings extends fc.Arbitrary<infer T> ? T : never

export const NAMES = ['Fen', 'Gale'] as const

const YEARS = { kind: 'years', from: 2017 }
const LIMITED: Readonly<Record<Searching['databases'][number]['limited'], unknown[]>> = {
  no: [],
  years: [YEARS],
  both: [
    { kind: 'years', from: 2016, to: 2026 },
    { kind: 'language', values: ['en', 'de'] },
  ],
  word: [{ kind: 'peer reviewed' }],
}

/** What the last line of a database is called, behind the name of the database. */
const lastOf = ({ lines, joined, limited }: Searching['databases'][number]): string =>
  limited === 'years' || limited === 'both'
    ? 'limited'
    : joined && lines.length > 1
      ? 'join'
      : String(lines.length)

/** Lines as a strategy has them, and their runs. */
function database(
  d: Searching['databases'][number],
  n: number,
  taken: readonly ('filter' | 'earlier strategy')[],
): Command[] {
  const sourceId = NAMES[n]!
  const lines: { id: string; text: string; sent: string }[] = d.lines.map((l, i) => ({
    id: `${sourceId}-${i + 1}`,
    text: l.text,
    sent: l.sent,
  }))
  if (d.joined && lines.length > 1)
    lines.push({
      id: `${sourceId}-join`,
      text: '#1 AND #2',
      sent: lines.map((l) => `(${l.sent})`).join(' AND '),
    })
  const limitsOf = (id: string): unknown[] =>
    id.endsWith('limited')
      ? LIMITED[d.limited]
      : d.limited === 'word' && id.endsWith('-1')
        ? LIMITED.word
        : []
  if (d.limited === 'years' || d.limited === 'both')
    lines.push({ id: `${sourceId}-limited`, text: `#${lines.length}`, sent: lines.at(-1)!.sent })
  const set: Command = {
    kind: 'strategy.set',
    payload: {
      sourceId,
      why: 'drafted anew',
      lines: lines.map(({ id, text }, i) => ({
        id,
        text,
        limits: limitsOf(id) as never,
        note: '',
        drafted: false,
        ...(n === 0 && taken[i] ? over(taken[i]) : {}),
      })),
    },
  }
  const bare = lines.map(({ id, text }, i) => ({ number: i + 1, id, text, limits: limitsOf(id) }))
  const ran = lines.map((l, i) => {
    const last = bare[i - 1]
    const reached =
      l.id.endsWith('join') || (l.id.endsWith('limited') && last?.id.endsWith('join'))
        ? bare.slice(0, i + 1)
        : l.id.endsWith('limited')
          ? bare.slice(i - 1, i + 1)
          : [bare[i]!]
    return {
      kind: 'run.log',
      payload: {
        id: `run-${l.id}`,
        sourceId,
        lineId: l.id,
        key: '',
        keyRule: 0,
        reached,
        number: i + 1,
        text: l.text,
        sent: l.sent,
        limits: limitsOf(l.id),
        hits: 40 + i,
        at: '2026-05-02T09:00:00Z',
        by: 'p-1',
        release: '2026',
        how: d.how,
      },
    } as Command
  })
  const first = ran[0]!.payload as object
  const runs: Command[] = d.corrected
    ? [
        ...ran,
        {
          kind: 'run.log',
          payload: {
            ...first,
            id: `again-${sourceId}`,
            hits: 7,
            supersedes: `run-${lines[0]!.id}`,
            because: 'mistyped',
          } as never,
        },
      ]
    : ran
  return [
    {
      kind: 'source.set',
      payload: {
        id: sourceId,
        kind: 'database',
        name: sourceId,
        why: '',
        ...(d.together ? { platform: 'Hall', together: 'Oak' } : {}),
        ...(d.again ? { reminder: { every: d.again, from: n ? '2026-12-01' : '2025-11-30' } } : {}),
      },
    },
    set,
    ...(d.ran === 'all' ? runs : []),
  ]
}

/** A third database that was searched, and taken out of the plan. */
function takenOutOf(how: NonNullable<Searching['gone']>): (Command | Command[])[] {
  const source = (id: string): Command => ({
    kind: 'source.set',
    payload: { id, kind: 'database', name: 'Mere', why: '' },
  })
  const run = {
    ...{ id: 'run-mere', sourceId: 'Mere', lineId: 'm-1', key: '', keyRule: 0, reached: [], number: 1 },
    ...{ text: 'noise', sent: 'noise', limits: [], hits: 12, at: '2026-05-03T09:00:00Z', by: 'p-1' },
    ...{ release: '2026', how: 'by hand' },
  }
  const brought = {
    ...{ id: 'j', sourceId: 'Mere', digest: 'c'.repeat(64), count: 6, at: '2026-05-03T10:00:00Z' },
  }
  const out: Command = { kind: 'source.remove', payload: { id: 'Mere' } }
  return [
    source('Mere'),
    { kind: 'run.log', payload: run } as never as Command,
    ...(how === 'nothing' ? [] : [{ kind: 'records.import', payload: brought } as never as Command]),
    how === 'records' || how === 'again'
      ? [{ kind: 'import.remove', payload: { id: 'j' } } as Command, out]
      : out,
    ...(how === 'again' ? [source('Mere-2')] : []),
  ]
}

export const noted = (id: string, label: string, on: string): object => ({
  ...{ id, sourceId: 'Fen', label, broader: [], narrower: [], related: [], usedFor: [] },
  ...{ day: on, from: 'page' },
})

const over = (what: 'filter' | 'earlier strategy'): object => ({
  takenOver: { what, name: 'Trials', changed: '' },
})

export const searchingJournal = ({
  databases,
  ways,
  every,
  gone,
  lost,
  ranked,
  came,
  deposits,
  lookedUp,
  limit,
  taken,
  both,
  reviewed,
  read,
  voice,
  order,
  length,
}: Searching): Entry[] =>
  andThen([], [
    { kind: 'review.create', payload: { id: 'r', title: 'R' } },
    { kind: 'account.voice', payload: { voice } },
    { kind: 'account.telling', payload: { order, length } },
    ...databases.flatMap((d, n) =>
      database(d, n, both ? ['filter', 'earlier strategy'] : taken ? [taken] : []),
    ),
    ...(limit || both
      ? [{ kind: 'limit.set', payload: { id: 'y', limit: { kind: 'years', from: 2017 }, reason: '' } }]
      : []),
    ...(reviewed || both
      ? [
          ...REVIEWED.map((element) => ({
            kind: 'searchreview.answer',
            payload: { reader: 'p-9', element, verdict: 'none', words: '' },
          })),
          { kind: 'searchreview.finish', payload: { reader: 'p-9', as: '', at: '2026-05-03T09:00:00Z' } },
        ]
      : []),
    {
      kind: 'records.import',
      payload: {
        ...{ id: 'i', sourceId: 'Fen', digest: 'a'.repeat(64), count: 6, at: '2026-05-02T10:00:00Z' },
        ...(ranked ? { of: { hits: 40, taken: 6, rankedBy: ranked } } : {}),
        ...(came === 'none' || databases[0]!.ran === 'none'
          ? {}
          : { runId: `run-Fen-${came === 'first' ? '1' : lastOf(databases[0]!)}` }),
      },
    },
    ...(read
      ? [{ kind: 'ruling.set', payload: { recordId: 'i/1', pass: 'broad', reader: 'p-1', verdict: 'in' } }]
      : []),
    ...(every
      ? KINDS.map((kind) => ({
          kind: 'source.set',
          payload: { id: kind, kind, name: `the ${kind}`, why: '' },
        }))
      : []),
    ...ways.flat(),
    ...lookedUp.map(({ words: said, day: on, there }, n) =>
      there
        ? { kind: 'heading.noted', payload: noted(`n-${n}`, said, on) }
        : {
            kind: 'lookup.log',
            payload: { id: `l-${n}`, what: 'heading', sourceId: 'Fen', words: said, day: on },
          },
    ),
    ...(gone ? takenOutOf(gone) : []),
    ...(lost ? lostSearchIn('Reed', 'Reed') : []),
    ...Array.from({ length: deposits }, (_, n) => ({
      kind: 'package.deposit',
      payload: {
        ...{ id: `d${n}`, address: `https://archive.example/${n}`, day: `2026-06-0${n + 1}` },
        digest: 'amber birch',
      },
    })),
  ] as (Command | Command[])[])
