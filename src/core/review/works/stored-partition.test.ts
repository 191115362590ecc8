import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drain, inBuckets } from '../../base'
import { emptyRecord, type Rec } from '../../records'
import { emptyReview, type Import, type Review } from '../values'
import { partitionOf } from './stored-partition'
import { worksOf } from './works'

const titled = (id: string, title: string, more: Partial<Rec> = {}): Rec => ({
  ...emptyRecord(id, title),
  authors: ['Ahola, R.', 'Prins, D.'],
  year: 2019,
  journal: 'Rooms',
  volume: '7',
  pages: '41–58',
  ...more,
})
const SOUND = 'Sound fields in the classrooms of older schools'
const BROUGHT: Record<string, Rec[]> = {
  i1: [titled('1', SOUND), titled('2', 'Quiet corners and busy mornings in school', { pages: '61–70' })],
  i2: [
    titled('7', SOUND.toUpperCase()),
    titled('8', 'Reading next door to aircraft noise', { pages: '3–9' }),
  ],
  i3: [titled('9', `${SOUND}: A trial`)],
  i4: [titled('4', `${SOUND}: Another matter`, { volume: undefined, pages: undefined, year: 2018 })],
}
const importOf = (id: string, more: Partial<Import> = {}): Import => ({
  id,
  sourceId: `s${id}`,
  digest: id,
  count: BROUGHT[id]!.length,
  at: '',
  ...more,
})
const recordsOf = ({ id }: Import): Rec[] => BROUGHT[id]!
const reviewWith = (imports: Import[]): { review: Review; at: (digest: string) => number[] } => {
  const { stored } = drain(partitionOf(imports, recordsOf))
  return {
    review: {
      ...emptyReview('r'),
      imports,
      partition: { rules: 1, imports: stored.imports, digest: 'classes', toSettle: 'pairs' },
    },
    at: (digest) => (digest === 'classes' ? stored.classes : stored.toSettle),
  }
}
const worksWith = (imports: Import[], part: Partial<Review> = {}) => {
  const { review, at } = reviewWith(imports)
  return worksOf({ ...review, ...part }, recordsOf, at)
}

describe('works under stored rules', () => {
  it('are joined by title, people and place, without a DOI; what the rules are not sure of is to settle', () => {
    const { works, toSettle } = worksWith(['i1', 'i2', 'i3', 'i4'].map((id) => importOf(id)))
    expect(works.map((w) => w.records)).toEqual([['i1/1', 'i2/1', 'i3/1'], ['i1/2'], ['i2/2'], ['i4/1']])
    expect(toSettle).toHaveLength(1)
    // The best value of every field is shown: not the capitals, and the subtitle.
    expect(works[0]!.record.title).toBe(`${SOUND}: A trial`)
  })

  it('follow what people say above the rules, and nothing that was said is asked again', () => {
    const imports = ['i1', 'i2', 'i3', 'i4'].map((id) => importOf(id))
    const [pair] = worksWith(imports).toSettle
    const said = (same: boolean) => worksWith(imports, { decisions: [{ ...pair!, same }] })
    expect(said(true).works.some((w) => w.records.includes('i4/1') && w.records.length > 1)).toBe(true)
    expect(said(false).works).toHaveLength(4)
    expect([said(true).toSettle, said(false).toSettle]).toEqual([[], []])
  })

  it('are the same whatever comes first, and go on from what was matched before', () => {
    const ids = ['i1', 'i2', 'i3', 'i4']
    const sets = (imports: Import[]): string[] =>
      worksWith(imports)
        .works.map((w) => [...w.records].sort().join(' '))
        .sort()
    const plain = sets(ids.map((id) => importOf(id)))
    fc.assert(
      fc.property(fc.shuffledSubarray(ids, { minLength: 4 }), fc.nat(3), (order, first) => {
        const imports = order.map((id) => importOf(id))
        expect(sets(imports)).toEqual(plain)
        const { kept } = drain(partitionOf(imports.slice(0, first), recordsOf))
        const on = drain(partitionOf(imports, recordsOf, kept)).stored
        expect(on).toEqual(drain(partitionOf(imports, recordsOf)).stored)
      }),
      { numRuns: 30 },
    )
  })

  it('keep the records of an import that was superseded with the work that has them', () => {
    const imports = [importOf('i2', {}), importOf('i1', { supersedes: { ids: ['i2'] } })]
    const { works } = worksWith(imports, {
      rulings: inBuckets([
        ['i2/1', { 'broad/P': { recordId: 'i2/1', pass: 'broad', reader: 'P', verdict: 'in' } }],
      ]),
    })
    expect(works.map((w) => [w.records, w.former])).toEqual([
      [['i1/1'], ['i2/1']],
      [['i1/2'], []],
    ])
  })

  it('name records by their position in the file, broken ones counted', () => {
    const imports = [importOf('i1', { broken: [{ position: 1, line: 1, why: 'cut off' }] })]
    expect(worksWith(imports).works.map((w) => w.id)).toEqual(['i1/2', 'i1/3'])
  })

  it('show the value that a person chose, under the record it is of', () => {
    const imports = ['i1', 'i2'].map((id) => importOf(id))
    const { works } = worksWith(imports, { choices: [{ recordId: 'i2/1', field: 'title' }] })
    expect(works[0]!.record.title).toBe(SOUND.toUpperCase())
  })
})
