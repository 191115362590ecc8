import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyRecord, type Rec } from '../records'
import type { Import } from './values'
import { worksOf } from './works'

const record = (id: string, doi?: string): Rec => ({
  ...emptyRecord(id, id),
  ...(doi === undefined ? {} : { doi: `10.5555/${doi}` }),
})
const brought = (sourceId: string, ...records: Rec[]) => ({ sourceId, records })
type Brought = ReturnType<typeof brought>
const importsOf = (all: readonly Brought[]): Import[] =>
  all.map(({ sourceId, records }, i) => ({ sourceId, count: records.length, digest: String(i) }) as Import)
const works = (all: readonly Brought[], rulings: Record<string, object> = {}) =>
  worksOf(importsOf(all), (digest) => all[Number(digest)]!.records, rulings)

describe('the works behind records', () => {
  it('are one for records with the same number in a source, or with the same DOI in any', () => {
    const found = works([
      brought('one', record('1', 'a'), record('2')),
      brought('two', record('1'), record('7', 'A')),
      brought('one', record('2')),
    ])
    expect(found.map((w) => [w.id, w.from.length])).toEqual([
      ['doi:10.5555/a', 2],
      ['one:2', 1],
      ['two:1', 1],
    ])
  })

  it('keep their rulings when the records that came first are taken out, and when they come back', () => {
    const one = brought('one', record('1', 'a'), record('3'))
    const two = brought('two', record('7', 'a'), record('8'))
    const rulings = { 'doi:10.5555/a': { 'broad/M. Osei': {} } }
    for (const all of [[one, two], [two], [two, one]])
      expect(works(all, rulings).filter((w) => rulings[w.id as keyof typeof rulings])).toHaveLength(1)
  })

  it('keep rulings made under the name of one of their records', () => {
    const all = [brought('one', record('1', 'a')), brought('two', record('7', 'a'), record('8'))]
    const under = (id: string) => works(all, { [id]: { 'broad/M. Osei': {} } }).map((w) => w.id)
    expect(under('one:1')).toEqual(['one:1', 'two:8'])
    expect(under('two:7')).toEqual(['two:7', 'two:8'])
    // A ruling that was taken back leaves no name behind.
    expect(works(all, { 'two:7': {} }).map((w) => w.id)).toEqual(['doi:10.5555/a', 'two:8'])
  })

  it('are none for no imports, and leave out records that are not here', () => {
    expect(worksOf([], () => undefined)).toEqual([])
    expect(worksOf(importsOf([brought('one', record('1'))]), () => undefined)).toEqual([])
  })

  it('hold every record once, under names that differ', () => {
    const some = fc
      .tuple(
        fc.constantFrom('one', 'two', 'three'),
        fc.array(
          fc.tuple(fc.constantFrom('1', '2', '3'), fc.option(fc.constantFrom('a', 'b'), { nil: undefined })),
          {
            maxLength: 4,
          },
        ),
      )
      .map(([source, drawn]) => brought(source, ...drawn.map(([id, doi]) => record(id, doi))))
    const ruled = fc.dictionary(
      fc
        .tuple(fc.constantFrom('one', 'two', 'three'), fc.constantFrom('1', '2', '3'))
        .map((p) => p.join(':')),
      fc.constant({ 'broad/M. Osei': {} }),
    )
    fc.assert(
      fc.property(fc.array(some, { maxLength: 4 }), ruled, (all, rulings) => {
        const found = works(all, rulings)
        const ids = found.map((w) => w.id)
        expect(new Set(ids).size).toBe(ids.length)
        const stands = new Set(found.flatMap((w) => w.from.map((f) => `${f.sourceId}:${f.recordId}`)))
        expect(stands).toEqual(new Set(all.flatMap((b) => b.records.map((r) => `${b.sourceId}:${r.id}`))))
      }),
    )
  })
})
