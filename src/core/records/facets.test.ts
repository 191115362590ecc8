import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildIndex, relevance } from '../engine'
import { parse } from '../query'
import {
  countFacets,
  docsWithFacets,
  emptyRecord,
  facetIndex,
  facetValues,
  RECORD_FACETS,
  toDocument,
  type ChosenFacets,
  type FacetTable,
  type Rec,
  type RecordFacet,
} from '.'

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

const index = facetIndex(RECORDS)
const ALL = RECORDS.map((_, doc) => doc)
const left = (chosen: ChosenFacets): number => docsWithFacets(index, ALL, chosen).length

/** The slow way, record by record. */
const has = (r: Rec, chosen: ChosenFacets): boolean =>
  RECORD_FACETS.every((f) => !chosen[f]?.length || facetValues(r, f).some((v) => chosen[f]!.includes(v)))
function slowly(records: readonly Rec[], chosen: ChosenFacets, facet: RecordFacet): FacetTable {
  const own = records.filter((r) => has(r, { ...chosen, [facet]: [] }))
  const names = [...new Set(own.flatMap((r) => facetValues(r, facet)))]
  const values = names.map((value) => ({
    value,
    count: own.filter((r) => facetValues(r, facet).includes(value)).length,
  }))
  return { of: own.length, values: values.sort((a, b) => b.count - a.count || (a.value < b.value ? -1 : 1)) }
}

describe('facets of records', () => {
  it('count a record once for a value, the most frequent first', () => {
    const counts = countFacets(index, ALL)
    expect(counts.heading.values).toEqual([{ value: 'Noise', count: 2 }])
    expect(counts.keyword.values).toEqual([{ value: 'babble', count: 1 }])
    expect(counts.year.values).toEqual([
      { value: '2020', count: 2 },
      { value: '2021', count: 1 },
    ])
    expect(countFacets(index, []).type).toEqual({ of: 0, values: [] })
  })

  it('say what would be left if a value were taken in; leaving it out gives the rest (common practice)', () => {
    for (const facet of RECORD_FACETS)
      for (const { value, count } of countFacets(index, ALL)[facet].values) {
        expect(left({ [facet]: [value] })).toBe(count)
      }
  })

  it('count in a facet with what is chosen in the others, not in itself', () => {
    const { year, heading: own } = countFacets(index, ALL, { year: ['2021'] })
    expect(year.values.map((v) => v.count)).toEqual([2, 1])
    expect(own).toEqual({ of: 1, values: [{ value: 'Noise', count: 1 }] })
  })

  it('join values of one facet by OR and facets by AND (common practice)', () => {
    expect(left({ year: ['2020', '2021'] })).toBe(3)
    expect(left({ year: ['2020'], heading: ['Noise'] })).toBe(1)
  })

  it('are the same as counted record by record, for any line and any choice', () => {
    const anyRec = fc.record({
      year: fc.constantFrom(2019, 2020, 2021),
      language: fc.constantFrom('en', 'de'),
      keywords: fc.subarray(['a', 'b', 'A', 'c']),
      labels: fc.subarray(['Noise', 'Reading', 'Hearing']),
    })
    const anyChosen = fc.record({
      year: fc.subarray(['2019', '2020', '2030']),
      keyword: fc.subarray(['a', 'c']),
      heading: fc.subarray(['Noise', 'Hearing']),
    })
    fc.assert(
      fc.property(
        fc.array(anyRec, { maxLength: 12 }),
        fc.infiniteStream(fc.boolean()),
        anyChosen,
        (drawn, coins, chosen) => {
          const records = drawn.map(({ labels, ...r }, i) =>
            record(i, { ...r, headings: labels.map(heading) }),
          )
          const docs = records.flatMap((_, doc) => (coins.next().value ? [doc] : []))
          const line = docs.map((d) => records[d]!)
          const own = facetIndex(records)
          expect(docsWithFacets(own, docs, chosen)).toEqual(docs.filter((d) => has(records[d]!, chosen)))
          const counts = countFacets(own, docs, chosen)
          for (const facet of RECORD_FACETS) expect(counts[facet]).toEqual(slowly(line, chosen, facet))
        },
      ),
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
