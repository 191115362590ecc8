/** Random reviews in which several persons read: shares, changes of mind, bulk, settling, changed questions, orders. */
import fc from 'fast-check'
import {
  nextEntry,
  READING_ORDERS,
  RETRIEVAL_STATES,
  SELECTION_RULES,
  type Command,
  type Entry,
} from '../review'
import type { FactContext } from './facts'
import { contextOf } from './random-review.fixture'

export const WORKS = 6
const ids = Array.from({ length: WORKS }, (_, i) => `i/${i + 1}`)
export const READERS = ['p-1', 'p-2', 'p-3'] as const
const REASONS = ['levels were not measured', 'no comparison', 'no pupils', 'no room', 'not a study']

const pass = fc.constantFrom('broad' as const, 'close' as const)
const recordId = fc.constantFrom(...ids)
const reader = fc.constantFrom(...READERS)
const verdict = fc.constantFrom('in' as const, 'in' as const, 'out' as const, 'unsure' as const)

const ruling = (by: fc.Arbitrary<string>): fc.Arbitrary<Command> =>
  fc
    .record({
      recordId,
      pass,
      reader: by,
      verdict,
      reason: fc.constantFrom(...REASONS, undefined),
      question: fc.nat(3).map((n) => n === 3),
      blinded: fc.constantFrom(undefined, true, false),
    })
    .map(({ reason, question: q, blinded, ...p }) => ({
      kind: 'ruling.set',
      payload: {
        ...p,
        ...(blinded === undefined ? {} : { blinded }),
        ...(p.verdict !== 'out' ? {} : q ? { criterionId: 'q0' } : reason ? { reason } : {}),
      },
    }))

/** A reader goes through all works, or those from one on: how reading is mostly done. */
const through: fc.Arbitrary<Command[]> = fc
  .record({
    by: reader,
    pass,
    from: fc.nat(2),
    verdicts: fc.array(verdict, { minLength: WORKS, maxLength: WORKS }),
  })
  .map(({ by, pass: p, from, verdicts }) =>
    ids.slice(from).map((id, i): Command => ({
      kind: 'ruling.set',
      payload: {
        recordId: id,
        pass: p,
        reader: by,
        verdict: verdicts[i]!,
        ...(verdicts[i] === 'out' ? { reason: REASONS[i % REASONS.length]! } : {}),
      },
    })),
  )

/** Readers who share all works among them, or read each of them. */
const together: fc.Arbitrary<Command[]> = fc
  .record({
    by: fc.subarray([...READERS], { minLength: 2 }),
    pass,
    shared: fc.boolean(),
    verdicts: fc.array(verdict, { minLength: WORKS, maxLength: WORKS }),
  })
  .map(({ by, pass: p, shared, verdicts }) =>
    ids.flatMap((recordId, i) =>
      (shared ? [by[i % by.length]!] : by).map((who): Command => ({
        kind: 'ruling.set',
        payload: {
          recordId,
          pass: p,
          reader: who,
          verdict: p === 'close' ? 'in' : verdicts[i]!,
          ...(p !== 'close' && verdicts[i] === 'out' ? { reason: REASONS[i % REASONS.length]! } : {}),
        },
      })),
    ),
  )

const inTitles = (commands: readonly Command[]): Command[] =>
  commands.map((c) => ({ ...c, payload: { ...c.payload, pass: 'broad' } }) as Command)

const one = (command: fc.Arbitrary<Command>): fc.Arbitrary<Command[]> => command.map((c) => [c])
const step: fc.Arbitrary<Command[]> = fc.oneof(
  { weight: 3, arbitrary: through },
  { weight: 2, arbitrary: together },
  { weight: 4, arbitrary: one(ruling(reader)) },
  one(
    fc
      .record({
        records: fc.subarray(ids, { minLength: 1, maxLength: 2 }),
        reader,
        verdict: fc.constantFrom('out', 'in'),
      })
      .map((p) => ({
        kind: 'ruling.many',
        payload: { ...p, pass: 'broad', because: 'no study', which: 'type' } as never,
      })),
  ),
  one(
    fc
      .record({
        recordId,
        pass,
        verdict: fc.constantFrom('in', 'out'),
        how: fc.constantFrom('by talking it over', 'by talking it over', 'by a third reader'),
      })
      .map((p) => ({ kind: 'ruling.settle', payload: { ...p, by: 'p-1' } as never })),
  ),
  one(fc.record({ recordId, pass, reader }).map((payload) => ({ kind: 'ruling.remove', payload }))),
  one(
    fc
      .record({ recordId, state: fc.constantFrom(...RETRIEVAL_STATES) })
      .map((payload) => ({ kind: 'retrieval.set', payload })),
  ),
  one(
    fc
      .tuple(recordId, recordId)
      .filter(([a, b]) => a !== b)
      .map(([a, b]) => ({ kind: 'pair.part', payload: { a, b } })),
  ),
  one(
    fc
      .tuple(pass, fc.constantFrom(...SELECTION_RULES))
      .map(([p, rule]) => ({ kind: 'selection.rule', payload: { pass: p, rule } })),
  ),
  one(
    fc
      .record({
        n: fc.nat(1),
        text: fc.constantFrom('Was it loud?', 'Was it measured?', 'Were there pupils?'),
        sense: fc.constantFrom('in' as const, 'out' as const),
        pass: fc.constantFrom('broad' as const, 'close' as const),
      })
      .map(({ n, pass: p, ...q }) => ({
        kind: 'criterion.set',
        payload: { id: p === 'close' ? `c${n}` : `q${n}`, ...q, pass: p },
      })),
  ),
  one(
    fc.constantFrom(...READING_ORDERS).map((order) => ({
      kind: 'order.choose',
      payload: { pass: 'broad', order, at: AT } as never,
    })),
  ),
)
const AT = 'at'

export const readings = fc.record({
  /** A question of full texts is there before anybody reads. */
  ofTexts: fc.boolean(),
  /** One person alone does all of it, or several do. */
  alone: fc.constantFrom(false, false, false, true),
  /** A question is there, and an order was chosen, before anybody reads. */
  question: fc.boolean(),
  ordered: fc.constantFrom(undefined, 'source', 'year', 'chance', 'likely'),
  /** Titles are read by some before anything else, one after the other. */
  first: fc.oneof(
    fc.constant<Command[][]>([]),
    fc.array(through, { maxLength: 2 }),
    fc.array(together, { minLength: 1, maxLength: 1 }),
  ),
  /** The rules told records apart before anything was done. */
  rules: fc.constantFrom('none', 'sure', 'unsure'),
  /** What was brought in is taken out again in the end. */
  removed: fc.nat(19).map((n) => n === 19),
  steps: fc.array(step, { minLength: 2, maxLength: 9 }),
  voice: fc.constantFrom('we' as const, 'I' as const, 'passive' as const),
  order: fc.constantFrom('theme' as const, 'time' as const),
  length: fc.constantFrom('full' as const, 'full' as const, 'short' as const),
})
export type Reading = typeof readings extends fc.Arbitrary<infer T> ? T : never

/** The same journal with some deeds more, a minute apart; what stands in a list of its own is one deed. */
export function andThen(
  entries: readonly Entry[],
  deeds: readonly (Command | readonly Command[])[],
): Entry[] {
  const all = [...entries]
  for (const deed of deeds) {
    const at = new Date(Date.UTC(2026, 3, 1, 8, all.length)).toISOString()
    for (const command of [deed].flat()) {
      const payload = { ...command.payload } as Record<string, unknown>
      if (payload.at === AT) payload.at = at
      const salt = all.length.toString(16).padStart(32, '0')
      all.push(nextEntry(all.at(-1), { kind: command.kind, payload } as Command, { at, by: 'p-1', salt }))
    }
  }
  return all
}

export const readingJournal = ({
  alone,
  ofTexts,
  question,
  ordered,
  rules,
  removed,
  first,
  steps,
  voice,
  order,
  length,
}: Reading): Entry[] =>
  andThen([], [
    { kind: 'review.create', payload: { id: 'r', title: 'R' } },
    { kind: 'source.set', payload: { id: 's', kind: 'database', name: 'Fen', why: '' } },
    { kind: 'account.voice', payload: { voice } },
    { kind: 'account.telling', payload: { order, length } },
    {
      kind: 'records.import',
      payload: { id: 'i', sourceId: 's', digest: 'a'.repeat(64), count: WORKS, at: '2026-04-01T08:00:00Z' },
    },
    ...(rules === 'none'
      ? []
      : [
          {
            kind: 'partition.set',
            payload: {
              rules: rules === 'unsure' ? 2 : 1,
              imports: ['i'],
              digest: OWN_WORK,
              ...(rules === 'unsure' ? { toSettle: ALIKE } : {}),
            },
          },
        ]),
    ...(question
      ? [{ kind: 'criterion.set', payload: { id: 'q0', text: 'Was it loud?', sense: 'in', pass: 'broad' } }]
      : []),
    ...(ofTexts
      ? [{ kind: 'criterion.set', payload: { id: 'c0', text: 'Was it told?', sense: 'in', pass: 'close' } }]
      : []),
    ...(ordered ? [{ kind: 'order.choose', payload: { pass: 'broad', order: ordered, at: AT } }] : []),
    ...[...first.map(inTitles), ...steps]
      .flat()
      .map((c): Command =>
        alone && 'reader' in (c.payload as object)
          ? ({ ...c, payload: { ...(c.payload as object), reader: 'p-1' } } as Command)
          : c,
      ),
    ...(removed ? [{ kind: 'import.remove', payload: { id: 'i' } }] : []),
  ] as Command[])

/** What lies beside such a journal: each record is a work of its own, and the rules found two pairs of them alike. */
const [OWN_WORK, ALIKE] = ['b'.repeat(64), 'c'.repeat(64)]
export const beside = (digest: string): number[] | undefined =>
  digest === ALIKE ? [0, 1, 2, 3] : digest === OWN_WORK ? ids.map((_, n) => n) : undefined

/** What an account of such a journal is read from. */
export const readingContext = (entries: readonly Entry[]): FactContext => ({
  ...contextOf(entries, beside),
  source: () => ({ release: 'release of September 2026', hasVocabulary: false }),
})
