import { expect, it } from 'vitest'
import { countingLine, runsThatCount } from './counting'

const strategies = {
  s: [{ id: '1' }, { id: '2' }, { id: '3', described: 'browsed by hand' }],
  t: [],
}
const run = (id: string, lineId: string, more: object = {}) => ({ id, sourceId: 's', lineId, ...more })

it('takes the line that was chosen, else the last one that has a text, else none', () => {
  expect(countingLine({ strategies }, 's')?.id).toBe('2')
  expect(countingLine({ strategies, counts: { s: { lineId: '1' } } }, 's')?.id).toBe('1')
  expect(countingLine({ strategies, counts: { s: { lineId: 'gone' } } }, 's')?.id).toBe('2')
  expect(countingLine({ strategies }, 't')).toBeUndefined()
  expect(countingLine({ strategies }, 'nowhere')).toBeUndefined()
})

it('counts the last run of that line that no correction has taken the place of, also of a source that left the plan', () => {
  const review = {
    sources: [],
    strategies,
    runs: [run('a', '1'), run('b', '2'), run('c', '2'), run('d', '2', { supersedes: 'c' })],
  }
  expect([...runsThatCount(review)].map(([id, r]) => [id, r.id])).toEqual([['s', 'd']])
  expect(runsThatCount({ ...review, counts: { s: { lineId: '1' } } }).get('s')?.id).toBe('a')
  expect(runsThatCount({ ...review, runs: [] }).size).toBe(0)
})
