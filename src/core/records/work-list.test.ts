import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyRecord, toDocument, type Rec } from './record'
import { buildIndex } from '../engine'
import { layColumns, WORK_FACETS, WORK_ORDERS } from './list-columns'
import { WorkList, type AskedWorks } from './work-list'

const work = (
  id: string,
  title: string,
  year: number,
  sources: string[],
  type = 'journal article',
): { id: string; record: Rec; sources: string[] } => ({
  id,
  record: {
    ...emptyRecord(id, title),
    year,
    type,
    authors: [`${title.slice(0, 3)}, A.`],
    timesCited: year % 7,
  },
  sources,
})
const WORKS = [
  work('1', 'Noise in rooms', 2019, ['a', 'b']),
  work('2', 'Aircraft noise and reading', 2021, ['b']),
  work('3', 'Quiet corners', 2021, ['a', 'b', 'c'], 'report'),
  work('4', 'Listening effort', 2018, ['c']),
]
const list = new WorkList(layColumns(WORKS), () => buildIndex(WORKS.map((w) => toDocument(w.record))))
const still = { ruled: (at: number) => [at % 2 ? 'in' : 'not yet'], groups: () => [], isNew: () => false }
const ids = (asked: AskedWorks): string[] => list.ask(asked, still).places.map((p) => WORKS[p]!.id)

describe('the list of works', () => {
  it('is narrowed by words in the plain notation, by values taken in and left out, and by exact sources', () => {
    expect(ids({ words: 'noise' })).toEqual(['1', '2'])
    expect(ids({ words: 'title: noise NOT aircraft' })).toEqual(['1'])
    expect(ids({ chosen: { year: ['2021', '2018'] } })).toEqual(['2', '3', '4'])
    expect(ids({ chosen: { year: ['2021'] }, leftOut: { type: ['report'] } })).toEqual(['2'])
    expect(ids({ chosen: { ruled: ['in'] } })).toEqual(['2', '4'])
    expect(ids({ only: ['b', 'a'] })).toEqual(['1'])
  })

  it('says why words cannot be read, and shows everything then', () => {
    const { places, trouble } = list.ask({ words: 'noise AND (' }, still)
    expect([places.length, typeof trouble]).toEqual([4, 'string'])
  })

  it('is sorted by whatever is asked', () => {
    expect(ids({ order: 'year' })).toEqual(['2', '3', '1', '4'])
    expect(ids({ order: 'title' })).toEqual(['2', '4', '1', '3'])
    expect(ids({ order: 'source' })).toEqual(['1', '3', '2', '4'])
    expect(ids({ words: 'noise OR reading', order: 'relevance' })).toEqual(['2', '1'])
  })

  it('counts for each value what it would leave with what is chosen elsewhere', () => {
    const value = fc.record({
      chosen: fc.record({
        year: fc.subarray(['2018', '2019', '2021']),
        source: fc.subarray(['a', 'b', 'c']),
        type: fc.subarray(['report', 'journal article']),
      }),
      leftOut: fc.record({ 'found in': fc.subarray(['one source', 'two', 'three and more']) }),
      order: fc.constantFrom(...WORK_ORDERS),
    })
    fc.assert(
      fc.property(value, fc.constantFrom(...WORK_FACETS), (asked, facet) => {
        for (const { value: v, count } of list.ask(asked, still, 50).facets[facet].values)
          expect(
            list.ask({ ...asked, chosen: { ...asked.chosen, [facet]: [v] } }, still).places,
          ).toHaveLength(count)
      }),
      { numRuns: 200 },
    )
  })
})
