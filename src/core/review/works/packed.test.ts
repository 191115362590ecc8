import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyRecord } from '../../records'
import { emptyReview, type Import, type KnownItem } from '../values'
import { packWorks, unpackWorks } from './packed'
import { worksOf, type Works } from './works'

const drain = <T>(steps: Generator<unknown, T>): T => {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
const withoutRecords = ({ works, ...rest }: Works): Works => ({
  ...rest,
  works: works.map(({ id, records, former, sources }) => ({ id, records, former, sources })),
})

/** Imports of a few records each, some taken out, some with a broken place, as a review has them. */
const anyImports = fc.array(
  fc.record({
    source: fc.constantFrom('one', 'two', 'three'),
    dois: fc.array(fc.constantFrom('a', 'b', 'c', undefined), { minLength: 1, maxLength: 4 }),
    takenOut: fc.boolean(),
    brokenAt: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
    there: fc.boolean(),
  }),
  { maxLength: 5 },
)

describe('works handed from one thread to another', () => {
  it('are the same afterwards, whatever was taken out, is broken or is not here', () => {
    fc.assert(
      fc.property(anyImports, (drawn) => {
        const imports = drawn.map(({ source, dois, takenOut, brokenAt }, n): Import => ({
          id: `i${n}`,
          sourceId: source,
          count: dois.length,
          digest: String(n),
          at: '',
          ...(takenOut ? { takenOut } : {}),
          ...(brokenAt === undefined ? {} : { broken: [{ position: brokenAt, line: 1, why: 'cut off' }] }),
        }))
        const item: KnownItem = { id: 'k', raw: '', form: 'DOI', title: '', authors: [], doi: '10.5555/a' }
        const review = {
          ...emptyReview('r'),
          imports,
          knownItems: [item],
          rulings: Object.fromEntries(imports.map((i) => [`${i.id}/9`, {}])),
          decisions: imports.length > 1 ? [{ a: 'i0/1', b: 'i1/1', same: true }] : [],
        }
        const found = worksOf(review, (i) => {
          const { dois, there } = drawn[Number(i.digest)]!
          return there
            ? dois.map((doi, k) => ({
                ...emptyRecord(`${i.id}-${k}`, `Title ${i.id} ${k}`),
                ...(doi === undefined ? {} : { doi: `10.5555/${doi}` }),
              }))
            : undefined
        })
        const again = drain(unpackWorks(packWorks(found, imports), imports))
        expect(again).toEqual(withoutRecords(found))
      }),
      { numRuns: 400 },
    )
  })

  it('find the known items among them by what identifies each', () => {
    const imports: Import[] = [{ id: 'i', sourceId: 's', count: 2, digest: 'd', at: '' }]
    const known = (id: string, title: string, doi?: string): KnownItem => ({
      id,
      raw: title,
      form: 'reference',
      title,
      authors: [],
      ...(doi === undefined ? {} : { doi }),
    })
    const { known: found } = worksOf(
      {
        ...emptyReview('r'),
        imports,
        knownItems: [
          known('k1', 'another title', '10.5555/A'),
          known('k2', 'Quiet rooms at noon'),
          known('k3', 'no'),
        ],
      },
      () => [
        { ...emptyRecord('1', 'One'), doi: '10.5555/a' },
        emptyRecord('2', 'Quiet rooms at noon: A trial'),
      ],
    )
    expect([...found]).toEqual([
      ['k1', 'i/1'],
      ['k2', 'i/2'],
    ])
  })
})
