import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { digestOf, plainJson } from '../base'
import { trials } from '../base/trials.fixture'
import { blockBytes, emptyRecord } from '../records'
import {
  besideOf,
  fold,
  lastDeed,
  nextEntry,
  plainReview,
  RETRIEVAL_STATES,
  sideBytes,
  sideEntry,
  undoable,
  SELECTION_RULES,
  type Command,
  type Entry,
  type SideJournal,
} from '../review'
import { blindedJournal } from './blinded'

const AT = '2026-11-25T09:00:00.000Z'
const RECORDS = blockBytes(['1', '2', '3'].map((id) => emptyRecord(id, `Title ${id}`)))
const ids = ['i/1', 'i/2', 'i/3']
const BEGUN: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'Sound' } },
  { kind: 'person.named', payload: { id: 'p-1', name: 'M. Osei' } },
  { kind: 'source.set', payload: { id: 's', kind: 'database', name: 'Harbour Abstracts', why: '' } },
  {
    kind: 'records.import',
    payload: { id: 'i', sourceId: 's', digest: digestOf(RECORDS), count: 3, at: AT },
  },
  { kind: 'criterion.set', payload: { id: 'c', text: 'Was sound measured?', pass: 'broad', sense: 'in' } },
  {
    kind: 'terms.set',
    payload: {
      terms: [
        {
          id: 't',
          conceptId: 'k',
          sourceId: 'all',
          kind: 'text',
          expression: 'babble',
          withNarrower: false,
          mainFocus: false,
          origin: 'typed',
          status: 'in use',
        },
      ],
    },
  },
]

/** A second reader's file, which the review takes in. */
const side = ((): SideJournal => {
  const origin = { review: 'r', seq: 0, digest: journalOf(BEGUN.slice(0, 1))[0]!.digest }
  const begun: SideJournal = { origin, person: 'p-2', entries: [] }
  const said: Command[] = [
    { kind: 'person.named', payload: { id: 'p-2', name: 'A. Quill' } },
    { kind: 'ruling.set', payload: { recordId: 'i/2', pass: 'broad', reader: 'p-2', verdict: 'in' } },
    { kind: 'retrieval.set', payload: { recordId: 'i/2', state: 'have' } },
  ]
  return said.reduce<SideJournal>(
    (s, command, n) => ({ ...s, entries: [...s.entries, sideEntry(s, command, { at: AT, salt: salt(n) })] }),
    begun,
  )
})()
const SIDE = sideBytes(side)
const BYTES = new Map([
  [digestOf(RECORDS), RECORDS],
  [digestOf(SIDE), SIDE],
])

function salt(n: number): string {
  return n.toString(16).padStart(32, '0')
}
function journalOf(commands: readonly Command[]): Entry[] {
  const entries: Entry[] = []
  for (const command of commands)
    entries.push(nextEntry(entries.at(-1), command, { at: AT, by: 'p-1', salt: salt(entries.length) }))
  return entries
}

const pass = fc.constantFrom('broad' as const, 'close' as const)
const recordId = fc.constantFrom(...ids)
const some = fc.subarray(ids, { minLength: 1 })
const of = <K extends Command['kind']>(
  kind: K,
  payload: fc.Arbitrary<Extract<Command, { kind: K }>['payload']>,
): fc.Arbitrary<Command> => payload.map((p) => ({ kind, payload: p }) as Command)
/** What is ruled, and what is done because of it. */
const because: fc.Arbitrary<Command> = fc.oneof(
  of(
    'ruling.set',
    fc.record({
      recordId,
      pass,
      reader: fc.constant('p-1'),
      verdict: fc.constantFrom('in', 'out', 'unsure'),
    }),
  ),
  of(
    'ruling.many',
    fc.record({
      records: some,
      pass,
      reader: fc.constant('p-1'),
      verdict: fc.constant('out' as const),
      because: fc.constant('no study'),
      which: fc.constant('f'),
    }),
  ),
  of(
    'ruling.settle',
    fc.record({
      recordId,
      pass,
      verdict: fc.constantFrom('in' as const, 'out' as const),
      by: fc.constant('p-1'),
      how: fc.constant('by talking'),
    }),
  ),
  of('retrieval.set', fc.record({ recordId, state: fc.constantFrom(...RETRIEVAL_STATES) })),
  of('study.bind', fc.record({ id: fc.constant('st'), name: fc.constant('A trial'), records: some })),
  of('group.set', fc.record({ id: fc.constant('g'), name: fc.constant('kept') })),
  of('group.put', fc.record({ id: fc.constant('g'), records: some, in: fc.constant(true) })),
  of('order.choose', fc.record({ pass, order: fc.constant('likely' as const), at: fc.constant(AT) })),
  of(
    'quote.set',
    fc.record({ id: fc.constant('q'), recordId, text: fc.constant('loud'), page: fc.constant('3') }),
  ),
  of(
    'step.follow',
    fc.record({
      id: fc.constant('step'),
      sourceId: fc.constant('s'),
      of: some,
      named: fc.constant(2),
      known: fc.constant(2),
      at: fc.constant(AT),
    }),
  ),
  of(
    'way.log',
    fc.record({
      id: fc.constant('w'),
      sourceId: fc.constant('s'),
      of: some,
      how: fc.constant('read'),
      day: fc.constant('2026-11-25'),
    }),
  ),
  of(
    'filter.set',
    fc.record({ id: fc.constant('f'), name: fc.constant('in'), chosen: fc.constant({ ruled: ['in'] }) }),
  ),
  of(
    'departure.explain',
    fc.record({ key: fc.constant('criterion:c'), reason: fc.constant('we disagreed on sixty works') }),
  ),
  of(
    'account.edit',
    fc.record({
      passage: fc.constantFrom('screened' as const, 'judged' as const),
      content: fc.constant([{ type: 'paragraph' }]),
    }),
  ),
  of(
    'stop.rule',
    fc.record({
      id: fc.constant('stop'),
      pass,
      agreed: fc.constant('a hundred in a row'),
      at: fc.constant(AT),
      sample: some,
    }),
  ),
  of(
    'reading.ask',
    fc.record({
      id: fc.constantFrom('ask-1', 'ask-2'),
      pass,
      called: fc.constant('those that differ'),
      records: some,
      at: fc.constant(AT),
      by: fc.constant('p-1'),
    }),
  ),
  fc.constant<Command>({
    kind: 'side.take',
    payload: { person: 'p-2', head: side.entries.at(-1)!.digest, digest: digestOf(SIDE) },
  }),
  fc.constant<Command>({
    kind: 'records.export',
    payload: { id: 'e', at: AT, format: 'RIS', works: 2, which: 'those that are in' },
  }),
)

const bytesAt = (digest: string): Promise<Uint8Array | undefined> => Promise.resolve(BYTES.get(digest))
async function blinded(entries: readonly Entry[]) {
  let n = 1000
  const made = await blindedJournal(entries, bytesAt, {
    at: '2026-12-01T09:00:00.000Z',
    by: 'p-1',
    salt: () => salt(n++),
  })
  if (!made) throw new Error('no beginning')
  return made
}

describe('a package without rulings', () => {
  it('is the same whatever was ruled, and whatever was done because of it, but for the digest of the head', async () => {
    const bare = await blinded(journalOf(BEGUN))
    await fc.assert(
      fc.asyncProperty(fc.array(because, { maxLength: 12 }), fc.nat(3), async (deeds, undone) => {
        let entries = journalOf([...BEGUN, ...deeds])
        for (const { seq } of entries.slice(BEGUN.length).reverse().slice(0, undone))
          entries = journalOf([
            ...entries.map(({ kind, payload }) => ({ kind, payload }) as Command),
            { kind: 'undo', payload: { seq } },
          ])
        const made = await blinded(entries)
        expect(new TextDecoder().decode(made.state.bytes)).toBe(new TextDecoder().decode(bare.state.bytes))
        const told = (all: readonly Entry[]) =>
          all.map(({ digest: _digest, payloadDigest: _payload, payload, ...e }) => ({
            ...e,
            payload: e.kind === 'journal.from' ? undefined : payload,
          }))
        expect(told(made.entries)).toEqual(told(bare.entries))
        expect(made.entries[1]!.payload).toMatchObject({ of: { seq: 0, digest: entries.at(-1)!.digest } })
      }),
      { numRuns: trials(150, 3000) },
    )
  })

  it('comes to the same plan, records and searches, in which nobody has ruled, on the day of handing on', async () => {
    const entries = journalOf([
      ...BEGUN,
      { kind: 'ruling.set', payload: { recordId: 'i/1', pass: 'broad', reader: 'p-1', verdict: 'in' } },
      { kind: 'selection.rule', payload: { pass: 'broad', rule: SELECTION_RULES[2] } },
    ])
    const { entries: own, state } = await blinded(entries)
    const beside = await besideOf(own, async (d) => (d === state.digest ? state.bytes : bytesAt(d)))
    const { review, problems } = fold(own, beside)
    const whole = fold(entries, await besideOf(entries, bytesAt)).review
    expect(problems).toEqual([])
    expect(review.rulings).toEqual({})
    expect(review).toMatchObject({
      title: 'Sound',
      imports: whole.imports,
      criteria: whole.criteria,
      terms: whole.terms,
      people: whole.people,
      selectionRules: { broad: 'settle first' },
    })
    expect(new Set(own.slice(1).map((e) => e.at))).toEqual(new Set(['2026-12-01T09:00:00.000Z']))
    // What was handed on is not taken back by undo: nobody did it there.
    expect(lastDeed(own, undoable(fold(own, beside)))?.stays).toContain('handed on')
    // What somebody rules there goes back to the review that it came of: both begin with the same entry.
    expect(own[0]).toEqual(entries[0])
    expect(plainJson(plainReview(review))).not.toContain('ruled')
  })
})
