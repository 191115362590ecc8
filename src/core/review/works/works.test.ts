import { heldEntries, inBuckets, withHeld } from '../../base'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decideByHand, emptyRecord, type Decision, type Rec } from '../../records'
import { emptyReview, type Import, type Review, type Ruling } from '../values'
import { rulingsByWork, type WorkRuling } from './rulings'
import { worksOf, type WorkRead } from './works'
import { worksOfFirstForm } from './first-form.fixture'

const record = (id: string, doi?: string): Rec => ({
  ...emptyRecord(id, id),
  ...(doi === undefined ? {} : { doi: `10.5555/${doi}` }),
})
const brought = (sourceId: string, ...records: Rec[]) => ({ sourceId, records })
type Brought = ReturnType<typeof brought>
const importsOf = (all: readonly Brought[]): Import[] =>
  all.map(({ sourceId, records }, i) => ({
    id: `i${i}`,
    sourceId,
    count: records.length,
    digest: String(i),
    at: '',
  }))
const reviewOf = (all: readonly Brought[], rulings: Review['rulings'] = {}): Review => ({
  ...emptyReview('r'),
  imports: importsOf(all),
  rulings,
})
const at = (all: readonly Brought[]) => (i: Import) => all[Number(i.digest)]!.records
const works = (all: readonly Brought[]): readonly WorkRead[] => worksOf(reviewOf(all), at(all)).works
const ruling = (recordId: string, verdict: Ruling['verdict'], more: Partial<Ruling> = {}): Ruling => ({
  recordId,
  pass: 'broad',
  reader: 'P',
  verdict,
  ...more,
})
const rulings = (...all: Ruling[]): Review['rulings'] => {
  const by: Record<string, Record<string, Ruling>> = {}
  for (const r of all) (by[r.recordId] ??= {})[`${r.pass}/${r.reader}`] = r
  return inBuckets(Object.entries(by))
}

const anyBrought = fc
  .tuple(
    fc.constantFrom('one', 'two', 'three'),
    fc.array(
      fc.tuple(fc.constantFrom('1', '2', '3'), fc.option(fc.constantFrom('a', 'b'), { nil: undefined })),
      { maxLength: 4 },
    ),
  )
  .map(([source, drawn]) => brought(source, ...drawn.map(([id, doi]) => record(id, doi))))

describe('the works behind records', () => {
  it('are one for records with the same number in a source, or with the same DOI in any', () => {
    const found = works([
      brought('one', record('1', 'a'), record('2')),
      brought('two', record('1'), record('7', 'A')),
      brought('one', record('2')),
    ])
    expect(found.map((w) => [w.id, w.records.length, w.from.length])).toEqual([
      ['i0/1', 2, 2],
      ['i0/2', 2, 1],
      ['i1/1', 1, 1],
    ])
  })

  it('are those of the first form in version 0 of the rules: as many, in the same order, of the same records', () => {
    fc.assert(
      fc.property(fc.array(anyBrought, { maxLength: 5 }), (all) => {
        const old = worksOfFirstForm(importsOf(all), (digest) => all[Number(digest)]!.records)
        expect(works(all).map((w) => [w.record, w.from])).toEqual(old.map((w) => [w.record, w.from]))
      }),
      { numRuns: 500 },
    )
  })

  it('are none for no imports, and leave out records that are not here', () => {
    expect(works([])).toEqual([])
    expect(worksOf(reviewOf([brought('one', record('1'))]), () => undefined).works).toEqual([])
  })

  it('hold every record once, whatever people decide, and never a pair that was parted', () => {
    const all = [
      brought('one', record('1', 'a'), record('2', 'b')),
      brought('two', record('1', 'a'), record('3')),
    ]
    const ids = ['i0/1', 'i0/2', 'i1/1', 'i1/2']
    const decision = fc
      .tuple(fc.constantFrom(...ids), fc.constantFrom(...ids), fc.boolean())
      .filter(([a, b]) => a < b)
      .map(([a, b, same]): Decision => ({ a, b, same }))
    const decisions = fc.uniqueArray(decision, { maxLength: 6, selector: (d) => `${d.a} ${d.b}` })
    fc.assert(
      fc.property(decisions, fc.nat(720), (drawn, turn) => {
        const found = worksOf({ ...reviewOf(all), decisions: drawn }, at(all))
        expect(found.works.flatMap((w) => w.records).sort()).toEqual(ids)
        for (const d of drawn.filter((x) => !x.same))
          expect(found.works.some((w) => w.records.includes(d.a) && w.records.includes(d.b))).toBe(false)
        // What the decisions come to does not depend on the order in which they stand.
        const other = [
          ...drawn.slice(turn % (drawn.length + 1)),
          ...drawn.slice(0, turn % (drawn.length + 1)),
        ]
        expect(worksOf({ ...reviewOf(all), decisions: other.reverse() }, at(all))).toEqual(found)
      }),
      { numRuns: 1000 },
    )
  })

  it('let records go to settle where rules and people see them differently', () => {
    const decided = decideByHand(
      [['a', 'b', 'c'], ['d']],
      [{ a: 'a', b: 'b', same: false }],
      ['a', 'b', 'c', 'd'],
    )
    expect(decided).toEqual({
      classes: [['a'], ['b'], ['c'], ['d']],
      toSettle: [
        { a: 'a', b: 'c' },
        { a: 'b', b: 'c' },
      ],
    })
  })
})

describe('what was said of works', () => {
  const one = brought('one', record('1', 'a'), record('3'))
  const two = brought('two', record('7', 'a'), record('8'))
  const said = (review: Review, all: readonly Brought[]) => rulingsByWork(worksOf(review, at(all)), review)
  const byWork = (review: Review, all: readonly Brought[]): Record<string, Record<string, WorkRuling>> =>
    Object.fromEntries(heldEntries(said(review, all).byWork))

  it('is united where records are joined, and each ruling is its record’s again where they are parted', () => {
    const all = [one, two]
    const base = reviewOf(all, rulings(ruling('i0/2', 'in'), ruling('i1/2', 'out')))
    const join: Decision = { a: 'i0/2', b: 'i1/2', same: true }
    const apart = byWork(base, all)
    expect([apart['i0/2']!['broad/P']!.verdict, apart['i1/2']!['broad/P']!.verdict]).toEqual(['in', 'out'])
    const joined = byWork({ ...base, decisions: [join] }, all)['i0/2']!['broad/P']!
    expect([joined.verdict, joined.toSettle?.map((r) => r.recordId)]).toEqual(['unsure', ['i0/2', 'i1/2']])
    // Said again of the joined work, both earlier rulings are replaced, until they are parted.
    const again = rulings(ruling('i0/2', 'in', { replaces: ['i1/2'] }), ruling('i1/2', 'out'))
    const settled = { ...base, rulings: again, decisions: [join] }
    expect(byWork(settled, all)['i0/2']!['broad/P']).toMatchObject({ verdict: 'in' })
    expect(byWork({ ...settled, decisions: [{ ...join, same: false }] }, all)).toMatchObject({
      'i0/2': { 'broad/P': { verdict: 'in' } },
      'i1/2': { 'broad/P': { verdict: 'out' } },
    })
  })

  it('holds of a work under every name that the first form gave it, and is told where a name means nothing', () => {
    const all = [one, two]
    for (const name of ['was:doi:10.5555/a', 'was:one:1', 'was:two:7'])
      expect(byWork(reviewOf(all, rulings(ruling(name, 'in'))), all)).toMatchObject({
        'i0/1': { 'broad/P': { verdict: 'in' } },
      })
    // Under two names of one work: in the first form the second was lost without a word.
    const both = rulings(ruling('was:doi:10.5555/a', 'in'), ruling('was:two:7', 'out'))
    expect(byWork(reviewOf(all, both), all)['i0/1']!['broad/P']!.toSettle).toHaveLength(2)
    expect(said(reviewOf(all, rulings(ruling('was:gone:1', 'in'))), all).lost).toEqual(['was:gone:1'])
  })

  it('goes on where a newer export stands in the place of the one that was read', () => {
    const newer = brought('one', record('3'), record('1', 'a'), record('9'))
    const review = reviewOf([one, newer], rulings(ruling('i0/2', 'in'), ruling('i0/1', 'out')))
    review.imports[1]!.supersedes = { ids: ['i0'] }
    const found = worksOf(review, at([one, newer]))
    expect(found.works.map((w) => [w.id, w.former])).toEqual([
      ['i1/1', ['i0/2']],
      ['i1/2', ['i0/1']],
      ['i1/3', []],
    ])
    expect(Object.fromEntries(heldEntries(rulingsByWork(found, review).byWork))).toMatchObject({
      'i1/1': { 'broad/P': { verdict: 'in' } },
      'i1/2': { 'broad/P': { verdict: 'out' } },
    })
  })

  it('is the same found anew and found on, whatever is ruled and taken back', () => {
    const all = [one, two]
    const name = fc.constantFrom(
      'i0/1',
      'i0/2',
      'i1/1',
      'i1/2',
      'was:doi:10.5555/a',
      'was:two:8',
      'was:gone:1',
    )
    const some = fc
      .array(fc.tuple(name, fc.constantFrom('in' as const, 'out' as const), fc.subarray(['i0/1', 'i1/1'])), {
        maxLength: 5,
      })
      .map((drawn) => rulings(...drawn.map(([id, verdict, replaces]) => ruling(id, verdict, { replaces }))))
    fc.assert(
      fc.property(some, some, (first, second) => {
        const names = withHeld(first, heldEntries(second))
        const found = worksOf(reviewOf(all, names), at(all))
        const before = rulingsByWork(found, { rulings: first })
        // Works are found again when an old name comes in; here all are known from the beginning.
        expect(rulingsByWork(found, { rulings: second }, before)).toEqual(
          rulingsByWork(found, { rulings: second }),
        )
      }),
      { numRuns: 500 },
    )
  })
})
