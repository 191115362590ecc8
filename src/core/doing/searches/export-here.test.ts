import { describe, expect, it } from 'vitest'
import type { Review } from '../../review'
import { exportHere } from './export-here'

const run = (lineId: string, hits: number, roundId?: string): object => ({
  id: `r-${lineId}-${hits}`,
  lineId,
  hits,
  roundId,
})
const brought = (id: string, sourceId: string, roundId?: string): object => ({
  id,
  sourceId,
  roundId,
  count: 3,
})
const review = (of: { runs?: object[]; imports?: object[]; rounds?: object[] }): Review =>
  ({ runs: [], imports: [], rounds: [], ...of }) as unknown as Review
const UPDATE = { id: 'u', kind: 'update' }
const caps = (of: object) => ({ caps: of }) as never

describe('the export of a line that was run elsewhere', () => {
  it('is of its last run, and beside what came of its own source alone', () => {
    const here = exportHere(
      review({
        runs: [run('l', 4), run('l', 9), run('m', 2)],
        imports: [brought('i', 's'), brought('j', 't')],
      }),
      ...(['s', 'l', undefined] as const),
    )
    expect(here.run?.hits).toBe(9)
    expect(here.own.map((i) => i.id)).toEqual(['i'])
    expect(exportHere(review({}), 's', 'l', undefined)).toMatchObject({ run: undefined, own: [] })
  })

  it('is that of an update only where its line was run in the update and nothing of it was brought in yet', () => {
    const of = (runs: object[], imports: object[], rounds = [UPDATE]): boolean =>
      exportHere(review({ runs, imports, rounds }), 's', 'l', undefined).ofUpdate
    expect(of([run('l', 4, 'u')], [brought('i', 's')])).toBe(true)
    expect(of([run('l', 4, 'u')], [brought('i', 's'), brought('k', 's', 'u')])).toBe(false)
    expect(of([run('l', 4)], [brought('i', 's')])).toBe(false)
    expect(of([run('l', 4, 'u')], [])).toBe(false)
    expect(of([run('l', 4, 'u')], [brought('i', 's')], [{ id: 'u', kind: 'first' }])).toBe(false)
  })

  it('is capped where more was found than is handed out, or shown where nothing else is known', () => {
    const of = (hits: number, bounds: object) =>
      exportHere(review({ runs: [run('l', hits)] }), 's', 'l', caps(bounds)).capped
    expect(of(1200, { exported: 500, shown: 100 })).toEqual({ most: 500, hits: 1200 })
    expect(of(1200, { shown: 100 })).toEqual({ most: 100, hits: 1200 })
    expect(of(500, { exported: 500 })).toBeUndefined()
    expect(of(500, {})).toBeUndefined()
  })
})
