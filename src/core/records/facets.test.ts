import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildIndex, relevance } from '../engine'
import { parse } from '../query'
import { countFacets, emptyRecord, facetValues, hasFacets, RECORD_FACETS, toDocument, type Rec } from '.'

const record = (id: number, more: Partial<Rec>): Rec => ({
  ...emptyRecord(String(id), `Title ${id}`),
  ...more,
})
const heading = (label: string) => ({ label, main: false })
const RECORDS = [
  record(0, {
    year: 2020,
    language: 'en',
    type: 'journal article',
    headings: [heading('Noise'), heading('Noise')],
  }),
  record(1, { year: 2021, language: 'de', keywords: ['Babble', 'babble'], headings: [heading('Noise')] }),
  record(2, { year: 2020, places: ['Norway'] }),
]

describe('facets of records', () => {
  it('count a record once for a value, the most frequent first', () => {
    const counts = countFacets(RECORDS)
    expect(counts.heading.values).toEqual([{ value: 'Noise', count: 2 }])
    expect(counts.keyword.values).toEqual([{ value: 'babble', count: 1 }])
    expect(counts.year.values).toEqual([
      { value: '2020', count: 2 },
      { value: '2021', count: 1 },
    ])
    expect(countFacets([]).type).toEqual({ of: 0, values: [] })
  })

  it('say what would be left if a value were taken in; leaving it out gives the rest (common practice)', () => {
    for (const facet of RECORD_FACETS)
      for (const { value, count } of countFacets(RECORDS)[facet].values) {
        const taken = RECORDS.filter((r) => hasFacets(r, { [facet]: [value] }))
        expect(taken).toHaveLength(count)
        expect(RECORDS.filter((r) => !taken.includes(r))).toHaveLength(RECORDS.length - count)
      }
  })

  it('count in a facet with what is chosen in the others, not in itself', () => {
    const { year, heading: own } = countFacets(RECORDS, { year: ['2021'] })
    expect(year.values.map((v) => v.count)).toEqual([2, 1])
    expect(own).toEqual({ of: 1, values: [{ value: 'Noise', count: 1 }] })
  })

  it('join values of one facet by OR and facets by AND (common practice)', () => {
    expect(RECORDS.filter((r) => hasFacets(r, { year: ['2020', '2021'] }))).toHaveLength(3)
    expect(RECORDS.filter((r) => hasFacets(r, { year: ['2020'], heading: ['Noise'] }))).toHaveLength(1)
    fc.assert(
      fc.property(fc.subarray(['2020', '2021']), fc.subarray(['en', 'de']), (year, language) => {
        for (const r of RECORDS) {
          const wanted =
            (!year.length || facetValues(r, 'year').some((v) => year.includes(v))) &&
            (!language.length || facetValues(r, 'language').some((v) => language.includes(v)))
          expect(hasFacets(r, { year, language })).toBe(wanted)
        }
      }),
    )
  })
})

describe('ordering by relevance', () => {
  it('puts rare words before common ones and the title before the abstract, and leaves NOT aside', () => {
    const index = buildIndex(
      [
        { title: 'Noise', abstract: 'rooms' },
        { title: 'Rooms', abstract: 'noise' },
        { title: 'Rooms', abstract: 'babble' },
        { title: 'Rooms', abstract: '' },
      ].map((r, i) => toDocument({ ...emptyRecord(String(i), r.title), abstract: r.abstract })),
    )
    const [a, b, c, d] = relevance(index, parse('(noise OR babble) NOT rooms').tree!)
    expect(a).toBeGreaterThan(b!)
    expect(c).toBeGreaterThan(b!)
    expect(d).toBe(0)
  })
})
