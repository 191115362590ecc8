import { describe, expect, it } from 'vitest'
import type { FacetTable } from './facet-index'
import { facetsShown } from './facets-shown'
import { WORK_FACETS, type WorkFacet } from './list-columns'

const table = (values: Record<string, number>): FacetTable =>
  ({ total: 9, values: Object.entries(values).map(([value, count]) => ({ value, count })) }) as never
const tables = (some: Partial<Record<WorkFacet, Record<string, number>>>) =>
  Object.fromEntries(WORK_FACETS.map((f) => [f, table(some[f] ?? {})])) as Record<WorkFacet, FacetTable>
const NOTHING = { chosen: {}, leftOut: {} }
const shown = (...input: Parameters<typeof facetsShown>): string[] =>
  facetsShown(...input).map(
    ({ facet, values }) =>
      `${facet}: ${values.map((v) => `${v.value} ${v.count}${v.state ? ` ${v.state}` : ''}`).join(', ')}`,
  )

describe('the facets that are shown', () => {
  it('are all that there are, each once', () => {
    const two = Object.fromEntries(WORK_FACETS.map((f) => [f, { a: 1, b: 2 }]))
    expect(facetsShown(tables(two), NOTHING, []).map((f) => f.facet)).toEqual(WORK_FACETS)
  })

  it('have two values and more to choose from, or one that is chosen', () => {
    const one = tables({ language: { en: 9 }, source: { a: 5, b: 4 } })
    expect(shown(one, NOTHING, [])).toEqual(['source: a 5, b 4'])
    expect(shown(one, { chosen: { language: ['en'] }, leftOut: {} }, [])).toEqual([
      'source: a 5, b 4',
      'language: en 9 in',
    ])
  })

  it('keep in sight what is left out, also where no work has it now', () => {
    expect(shown(tables({ type: { thesis: 2 } }), { chosen: {}, leftOut: { type: ['report'] } }, [])).toEqual(
      ['type: thesis 2, report 0 out'],
    )
  })

  it('stand in their own order: years from the latest on, ten of them and what is chosen', () => {
    const years = Object.fromEntries(Array.from({ length: 14 }, (_, n) => [`${2010 + n}`, 1]))
    const [year] = facetsShown(tables({ year: years }), { chosen: { year: ['2011'] }, leftOut: {} }, [])
    expect(year!.values.map((v) => v.value)).toEqual([
      ...Array.from({ length: 10 }, (_, n) => `${2023 - n}`),
      '2011',
    ])
    expect(shown(tables({ ruled: { out: 1, 'not yet': 7, in: 1 } }), NOTHING, [])).toEqual([
      'ruled: not yet 7, in 1, out 1',
    ])
  })

  it('have groups without a work of the list: works can be put into them', () => {
    expect(shown(tables({}), NOTHING, ['g1'])).toEqual(['group: g1 0'])
    expect(shown(tables({ group: { g1: 3 } }), NOTHING, ['g1', 'g2'])).toEqual(['group: g1 3, g2 0'])
  })
})
