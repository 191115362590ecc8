import { expect, it } from 'vitest'
import { searchOrder } from './search-order'

it('orders sources by their first run, and those without one behind, as they were brought in', () => {
  const run = (sourceId: string, at: string, more: object = {}) => ({
    id: `${sourceId}${at}`,
    sourceId,
    at,
    ...more,
  })
  const imports = ['notes', 'late', 'early', 'people', 'late'].map((sourceId) => ({ sourceId }))
  const runs = [
    run('late', '2026-05-02T09:00:00Z'),
    run('early', '2026-05-03T09:00:00Z'),
    run('early', '2026-05-01T09:00:00+01:00'),
  ]
  expect(searchOrder({ runs, imports } as never)).toEqual(['early', 'late', 'notes', 'people'])
  // A run that was corrected is none.
  const corrected = [...runs, run('early', '2026-05-09T09:00:00Z', { supersedes: runs[2]!.id })]
  expect(searchOrder({ runs: corrected, imports } as never)[0]).toBe('late')
})
