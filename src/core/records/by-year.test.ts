import { expect, it } from 'vitest'
import { byYear } from './by-year'

it('counts works by year, for each source that found them, with years that have none and works that have no year', () => {
  const work = (year: number | undefined, ...sources: string[]) => ({ year, sources })
  expect(byYear([work(2019, 'a'), work(2021, 'a', 'b'), work(2021, 'b', 'b'), work(undefined, 'a')])).toEqual(
    {
      years: [2019, 2020, 2021],
      works: [1, 0, 2],
      bySource: { a: [1, 0, 1], b: [0, 0, 2] },
      without: 1,
    },
  )
  expect(byYear([work(undefined, 'a')])).toEqual({ years: [], works: [], bySource: {}, without: 1 })
})
