import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blockBytes, emptyRecord, type Rec } from '../records'
import { digestOf } from '../base'
import {
  fold,
  inMemory,
  nextEntry,
  openPackage,
  packReview,
  RETRIEVAL_STATES,
  SELECTION_RULES,
  worksMadeFrom,
  worksOf,
  type Command,
  type Entry,
  type Import,
} from '../review'
import { faultsOf } from '../selection'
import { slowFlow } from './flow.fixture'
import { figuresAt, tell, tellOn, type Told } from '.'
import { trials } from '../base/trials.fixture'

const record = (id: string, doi?: string): Rec => ({
  ...emptyRecord(id, `Title ${id}`),
  ...(doi ? { doi: `10.5555/${doi}` } : {}),
})
const BROUGHT: Record<string, Rec[]> = {
  i1: [record('1', 'a'), record('2'), record('3', 'c')],
  i2: [record('7', 'a'), record('8')],
  i3: [record('2'), record('9', 'c'), record('1', 'a')],
}
const recordsOf = ({ id }: Import): readonly Rec[] | undefined => BROUGHT[id]
const at = '2026-11-16T09:00:00Z'
const bring = (id: string, sourceId: string, supersedes?: string): Command => ({
  kind: 'records.import',
  payload: {
    id,
    sourceId,
    digest: digestOf(blockBytes(BROUGHT[id])),
    count: BROUGHT[id]!.length,
    at,
    ...(supersedes ? { supersedes: { ids: [supersedes], because: 'a newer export' } } : {}),
  },
})
const recordIds = ['i1/1', 'i1/2', 'i1/3', 'i2/1', 'i2/2', 'i3/1', 'i3/2']
const ruling = fc
  .record({
    recordId: fc.constantFrom(...recordIds),
    pass: fc.constantFrom('broad' as const, 'close' as const),
    reader: fc.constantFrom('P', 'Q'),
    verdict: fc.constantFrom('in' as const, 'out' as const, 'unsure' as const),
    replaces: fc.subarray(recordIds, { maxLength: 2 }),
    reason: fc.constantFrom('no room', '', undefined),
  })
  .map(({ reason, ...r }) => ({ ...r, ...(reason === undefined ? {} : { reason }) }))
  .map((payload): Command => ({ kind: 'ruling.set', payload }))
const anyStep: fc.Arbitrary<Command | 'undo' | 'redo'> = fc.oneof(
  { weight: 6, arbitrary: ruling },
  fc.tuple(fc.constantFrom(...recordIds), fc.constantFrom('P', 'Q')).map(([recordId, reader]): Command => ({
    kind: 'ruling.remove',
    payload: { recordId, pass: 'broad', reader },
  })),
  fc
    .tuple(fc.constantFrom(...recordIds), fc.constantFrom(...recordIds), fc.boolean())
    .filter(([a, b]) => a !== b)
    .map(([a, b, same]): Command => ({ kind: same ? 'pair.join' : 'pair.part', payload: { a, b } })),
  fc.constantFrom(bring('i1', 's'), bring('i2', 't'), bring('i3', 's', 'i1')),
  fc.constantFrom('i1', 'i2').map((id): Command => ({ kind: 'import.remove', payload: { id } })),
  fc.string({ maxLength: 3 }).map((text): Command => ({ kind: 'question.set', payload: { text } })),
  fc.constantFrom('undo' as const, 'redo' as const),
  fc
    .record({
      recordId: fc.constantFrom(...recordIds),
      pass: fc.constantFrom('broad' as const, 'close' as const),
      verdict: fc.constantFrom('in' as const, 'out' as const),
    })
    .map((p): Command => ({ kind: 'ruling.settle', payload: { ...p, by: 'P', how: 'by talking' } })),
  fc
    .record({
      records: fc.subarray(recordIds, { minLength: 1 }),
      pass: fc.constantFrom('broad' as const, 'close' as const),
      reader: fc.constantFrom('P', 'Q'),
      verdict: fc.constantFrom('in' as const, 'out' as const),
    })
    .map((p): Command => ({ kind: 'ruling.many', payload: { ...p, because: 'no study', which: 'type' } })),
  fc
    .record({
      recordId: fc.constantFrom(...recordIds),
      state: fc.constantFrom(...RETRIEVAL_STATES),
    })
    .map((payload): Command => ({ kind: 'retrieval.set', payload })),
  fc
    .tuple(fc.constantFrom(...recordIds), fc.constantFrom(...recordIds), fc.boolean())
    .filter(([a, b]) => a !== b)
    .map(([a, b, notice]): Command => ({
      kind: 'work.relate',
      payload: { a, b, how: notice ? 'notice of' : 'nothing' },
    })),
  fc
    .tuple(fc.constantFrom('broad' as const, 'close' as const), fc.constantFrom(...SELECTION_RULES))
    .map(([pass, rule]): Command => ({ kind: 'selection.rule', payload: { pass, rule } })),
  fc
    .tuple(fc.constantFrom('s', 't'), fc.constantFrom('database', 'register', 'people', 'web'))
    .map(([id, kind]): Command => ({
      kind: 'source.set',
      payload: { id, kind: kind as 'database', name: id, why: '' },
    })),
  fc
    .subarray(recordIds, { minLength: 1, maxLength: 3 })
    .map((records): Command => ({ kind: 'study.bind', payload: { id: 'st', name: 'One trial', records } })),
)
const after = (entries: readonly Entry[], command: Command): Entry[] => [
  ...entries,
  nextEntry(entries.at(-1), command, { at, by: 'P', salt: entries.length.toString(16).padStart(32, '0') }),
]

describe('the figures of a review', () => {
  it('kept up from deed to deed are those that are reckoned from the journal alone, after any path', () => {
    fc.assert(
      fc.property(fc.array(anyStep, { maxLength: 30 }), (steps) => {
        let entries = after([], { kind: 'review.create', payload: { id: 'r', title: 'R' } })
        entries = after(entries, bring('i2', 't'))
        let told: Told | undefined
        let works = worksOf(fold(entries).review, recordsOf)
        let made: readonly unknown[] = []
        for (const step of steps) {
          const { done, undone } = fold(entries)
          const seq = step === 'undo' ? done.at(-1) : step === 'redo' ? undone.at(-1) : undefined
          if (typeof step === 'string' && seq === undefined) continue
          entries = after(entries, typeof step === 'string' ? { kind: step, payload: { seq: seq! } } : step)
          const { review } = fold(entries)
          // Works are found again when what they are made from has changed, as the store does.
          const from = worksMadeFrom(review)
          if (from.some((part, i) => canonical(part) !== canonical(made[i])))
            works = worksOf(review, recordsOf)
          made = from
          told = tellOn(told, review, works)
          expect(told).toEqual(tell(review, works))
          const figures = figuresAt(entries, entries.length - 1, { recordsOf })
          expect(told.figures).toEqual(figures)
          for (const pass of [figures.broad, figures.close])
            expect(pass.in + pass.out + pass.unsure + pass.toSettle + pass.left).toBe(pass.total)
          expect(figures.broad.total).toBe(figures.works)
          // Law 5, for each column and in sum.
          const columns = figures.flow.rounds.flatMap((r) => r.columns)
          expect(columns.flatMap(faultsOf)).toEqual([])
          expect(columns.reduce((n, c) => n + c.works, 0)).toBe(figures.works)
          expect(columns.reduce((n, c) => n + c.identified, 0)).toBe(figures.identified)
          expect(columns.reduce((n, c) => n + c.included, 0)).toBe(figures.flow.included)
          expect(figures.flow.studies).toBeLessThanOrEqual(figures.flow.included)
          const slow = slowFlow(entries, works, review.imports)
          expect(told.figures.conflicts).toEqual(slow.conflicts)
          expect(told.figures.flow.included).toBe(slow.included)
          expect(told.figures.flow.noticed ?? 0).toBe(slow.noticed)
          const places: Record<string, number> = {}
          for (const r of told.tally.rows) {
            const key = [r.roundId ?? '', r.column, r.place, r.reason ?? ''].join('/')
            places[key] = (places[key] ?? 0) + r.count
          }
          expect(places).toEqual(slow.places)
          expect(columns.reduce((n, c) => n + c.noText, 0)).toBe(slow.noText)
        }
      }),
      { numRuns: Number(process.env.RUNS ?? trials(300, 600)) },
    )
  })

  it('are the same from a package, after any path', async () => {
    const blobs = new Map(
      Object.values(BROUGHT).map((records) => [digestOf(blockBytes(records)), blockBytes(records)]),
    )
    await fc.assert(
      fc.asyncProperty(fc.array(anyStep, { maxLength: 20 }), async (steps) => {
        let entries = after([], { kind: 'review.create', payload: { id: 'r', title: 'R' } })
        entries = after(entries, {
          kind: 'round.begin',
          payload: { id: 'first', kind: 'first', why: 'the plan' },
        })
        for (const step of steps) {
          const { done, undone, problems } = fold(entries)
          // What does not fit is refused when a package is opened; it is tested elsewhere.
          fc.pre(!problems.length)
          const seq = step === 'undo' ? done.at(-1) : step === 'redo' ? undone.at(-1) : undefined
          if (typeof step === 'string' && seq === undefined) continue
          entries = after(entries, typeof step === 'string' ? { kind: step, payload: { seq: seq! } } : step)
        }
        fc.pre(!fold(entries).problems.length)
        const opened = await openPackage(inMemory(packReview({ entries, blobs }, 'R')))
        if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
        const last = entries.length - 1
        const records = new Map<string, readonly Rec[]>()
        for (const digest of opened.value.digests)
          records.set(digest, JSON.parse(new TextDecoder().decode(await opened.value.blob(digest))) as Rec[])
        expect(figuresAt(opened.value.entries, last, { recordsOf: (i) => records.get(i.digest) })).toEqual(
          figuresAt(entries, last, { recordsOf }),
        )
        expect(fold(opened.value.entries).review).toEqual(fold(entries).review)
      }),
      { numRuns: 60 },
    )
  })

  it('of an earlier entry are what they were then, whatever came later', () => {
    let entries = after([], { kind: 'review.create', payload: { id: 'r', title: 'R' } })
    entries = after(entries, bring('i1', 's'))
    entries = after(entries, {
      kind: 'ruling.set',
      payload: { recordId: 'i1/1', pass: 'broad', reader: 'P', verdict: 'in' },
    })
    const then = figuresAt(entries, 2, { recordsOf })
    expect(then).toMatchObject({
      identified: 3,
      works: 3,
      duplicates: 0,
      superseded: 0,
      broad: { in: 1, left: 2 },
    })
    entries = after(entries, bring('i3', 's', 'i1'))
    expect(figuresAt(entries, 2, { recordsOf })).toEqual(then)
    // Three records stand in the place of three; what was ruled holds of the record with the same DOI.
    expect(figuresAt(entries, 3, { recordsOf })).toMatchObject({
      identified: 3,
      superseded: 3,
      works: 3,
      broad: { in: 1, left: 2 },
    })
  })
})

const canonical = (value: unknown): string => JSON.stringify(value ?? null)

describe('known items that were not found', () => {
  const line = (id: string, from?: number) => ({
    id,
    text: 'title: noise',
    limits: from === undefined ? [] : [{ kind: 'years', from, to: 2026 }],
  })
  const told = (
    years: readonly (number | undefined)[],
    searched: readonly (number | undefined)[],
  ): number => {
    const commands = [
      { kind: 'review.create', payload: { id: 'r', title: 'R' } },
      {
        kind: 'known.add',
        payload: {
          items: years.map((year, n) => ({
            id: `k${n}`,
            raw: 'x',
            form: 'reference',
            title: `Wanted ${n}`,
            authors: [],
            ...(year === undefined ? {} : { year }),
          })),
        },
      },
      ...searched.flatMap((from, n) => [
        { kind: 'source.set', payload: { id: `d${n}`, kind: 'database', name: `D${n}`, why: '' } },
        {
          kind: 'strategy.set',
          payload: {
            sourceId: `d${n}`,
            why: 'drafted anew',
            lines: [{ ...line('l', from), note: '', drafted: false }],
          },
        },
        {
          kind: 'run.log',
          payload: {
            id: `run${n}`,
            sourceId: `d${n}`,
            lineId: 'l',
            key: '',
            keyRule: 0,
            reached: [{ number: 1, ...line('l', from) }],
            number: 1,
            text: 'title: noise',
            sent: 'noise',
            limits: line('l', from).limits,
            hits: 3,
            at,
            by: 'p-1',
            release: '2026',
            how: 'by hand',
          },
        },
      ]),
    ] as Command[]
    const entries: Entry[] = []
    for (const command of commands)
      entries.push(nextEntry(entries.at(-1), command, { at, by: 'p-1', salt: '0'.repeat(32) }))
    const { review, problems } = fold(entries)
    expect(problems).toEqual([])
    return tell(review, worksOf(review, recordsOf)).figures.knownOutside
  }
  it('are outside the limits by their own year, where every search that was run left it out', () => {
    expect(told([2012, 2020, undefined], [2017])).toBe(1)
    expect(told([2012, 2016, 2017], [2017, 2015])).toBe(1)
    expect(told([2012], [2017, undefined])).toBe(0)
    expect(told([2012], [])).toBe(0)
  })
})
