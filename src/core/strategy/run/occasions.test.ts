import { expect, it } from 'vitest'
import { lineKeys, occasionsOf } from '..'

const line = (id: string, text: string) => ({ id, text, limits: [] })

it('counts runs of the same question in the same release as one occasion, and knows the lines of each', () => {
  const first = [line('a', 'noise'), line('b', '#1 AND reading')]
  const second = [line('a', 'noise OR hum'), line('b', '#1 AND reading')]
  const run = (id: string, lines: typeof first, release: string, hits: number) => ({
    id,
    lineId: 'b',
    key: lineKeys(lines).get('b')!,
    text: '#1 AND reading',
    limits: [],
    hits,
    at: '2026-04-14T09:00:00Z',
    by: 'M. Osei',
    release,
  })
  const runs = [
    run('1', first, '2026-03', 10),
    run('2', first, '2026-03', 10),
    run('3', first, '2026-09', 12),
    run('4', second, '2026-09', 15),
    { ...run('5', second, '2026-09', 15), lineId: 'a' },
  ]
  const found = occasionsOf(runs, 'b', [{ lines: first }, { lines: second }])
  expect(found.map((o) => [o.run.id, o.lines?.[0]?.text])).toEqual([
    ['2', 'noise'],
    ['3', 'noise'],
    ['4', 'noise OR hum'],
  ])
  expect(occasionsOf(runs, 'b', [{ lines: second }])[0]!.lines).toBeUndefined()
})
