import { expect, it } from 'vitest'
import type { Command } from '../../review'
import { andThen, readingContext } from '../random-reading.fixture'
import { departures } from '.'

const AT = '2026-04-02T09:00:00Z'
const question = (text: string): Command => ({
  kind: 'criterion.set',
  payload: { id: 'q', text, sense: 'in', pass: 'broad' },
})
const ruled = (n: number, reader: string, pass: 'broad' | 'close' = 'broad'): Command => ({
  kind: 'ruling.set',
  payload: { recordId: `i/${n}`, pass, reader, verdict: 'in' },
})
const FROZEN: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'R' } },
  { kind: 'source.set', payload: { id: 's', kind: 'database', name: 'Fen', why: '' } },
  question('Was it loud?'),
  {
    kind: 'records.import',
    payload: { id: 'i', sourceId: 's', digest: 'a'.repeat(64), count: 6, at: AT },
  },
  { kind: 'protocol.freeze', payload: { id: 'v0', at: AT, readers: 2 } },
]
const found = (commands: readonly Command[]) => departures(readingContext(andThen([], commands)))
const amended: Command = {
  kind: 'protocol.amend',
  payload: { id: 'v1', at: '2026-04-20T09:00:00Z', readers: 2, why: 'to tidy up' },
}

it('an amendment keeps what was departed from before it, with its day and the reason that was first given', () => {
  const changed = [...FROZEN, question('Was it measured?'), ruled(1, 'p-1'), ruled(1, 'p-2')]
  const explained: Command = {
    kind: 'departure.explain',
    payload: { key: 'criterion:q', reason: 'loudness was rarely told' },
  }
  const [late, ...others] = found([...changed, explained, amended])
  expect(others).toEqual([])
  expect(late).toMatchObject({
    key: 'criterion:q',
    reason: 'loudness was rarely told',
    amended: '2026-04-20T09:00:00Z',
  })
  expect(late!.at!.slice(0, 10)).toBe('2026-04-01')
  expect(found([...changed, amended])[0]).toMatchObject({ reason: 'to tidy up' })
})

it('what is amended before anything was done on it is no departure', () => {
  expect(found([...FROZEN, ruled(1, 'p-1'), ruled(1, 'p-2'), question('Was it measured?'), amended])).toEqual(
    [],
  )
})

it('fewer readers than planned are told by works, once it was acted on; a ruling of a second person does not hide them', () => {
  const once = [1, 2, 3, 4, 5, 6].map((n) => ruled(n, 'p-1'))
  expect(found([...FROZEN, ...once.slice(0, 5), ruled(1, 'p-2')])).toEqual([])
  const all = found([...FROZEN, ...once, ruled(1, 'p-2')])
  expect(all).toMatchObject([{ key: 'readers', from: 'two', to: 'fewer: of 6 works, 5 by one' }])
  expect(found([...FROZEN, ...once.slice(0, 5), ruled(1, 'p-2'), ruled(1, 'p-1', 'close')])).toMatchObject([
    { key: 'readers', to: 'fewer: of 5 works, 4 by one' },
  ])
  expect(found([...FROZEN, ...once, ...[1, 2, 3, 4, 5, 6].map((n) => ruled(n, 'p-2'))])).toEqual([])
})
