import { describe, expect, it } from 'vitest'
import { parse } from '../query'
import { buildIndex, everything, facetCounts, Scanned, withFacet, wordsInContext } from '.'

const TITLE = 'The cost of background noise and of other noise in classrooms with hard floors and bare walls'
const documents = [
  {
    fields: { title: [TITLE] },
    headings: [],
    classes: [],
    facets: { year: [2020], place: ['Norway', 'Norway', 'Spain'] },
  },
  { fields: {}, headings: [], classes: [], facets: { year: [2020], place: ['Spain'] } },
  { fields: {}, headings: [], classes: [], facets: { year: [2021] } },
]
const index = buildIndex(documents)

describe('facets', () => {
  it('count what would be left if a value were chosen, and leave the rest (common practice)', () => {
    const all = everything(3)
    expect(facetCounts(index, all, 'place')).toEqual([
      { value: 'Spain', count: 2 },
      { value: 'Norway', count: 1 },
    ])
    for (const { value, count } of facetCounts(index, all, 'year'))
      expect(withFacet(index, all, 'year', [value])).toHaveLength(count)
  })

  it('join values that are chosen together by OR (common practice)', () => {
    expect([...withFacet(index, everything(3), 'year', [2020, 2021])]).toEqual([0, 1, 2])
    expect([...withFacet(index, everything(3), 'place', ['Norway'])]).toEqual([0])
  })
})

describe('words in context', () => {
  it('show each match between whole words, and a phrase as one', () => {
    const hits = new Scanned(documents[0]!).hits(parse('"background noise" OR floors').tree!)
    expect(wordsInContext(hits, () => TITLE, 16)).toEqual([
      {
        field: 'title',
        value: 0,
        before: 'The cost of ',
        match: 'background noise',
        behind: ' and of other',
      },
      { field: 'title', value: 0, before: 'with hard ', match: 'floors', behind: ' and bare walls' },
    ])
  })
})
