import { expect, it } from 'vitest'
import { saysTheSame } from './same-ruling'
import type { Ruling } from './values'

const OUT: Ruling = { recordId: 'i/1', pass: 'broad', reader: 'p', verdict: 'out', criterionId: 'c' }

it('is the same ruling only where verdict, reason, answers, version and note are, and somebody read it', () => {
  expect(saysTheSame(undefined, OUT)).toBe(false)
  expect(saysTheSame(OUT, { ...OUT, replaces: ['i/2'] })).toBe(true)
  const others: Partial<Ruling>[] = [
    { verdict: 'in' },
    { criterionId: 'd' },
    { reason: 'too short' },
    { answers: { c: 'no' } },
    { version: 'v' },
    { note: 'a note' },
  ]
  for (const other of others) expect(saysTheSame(OUT, { ...OUT, ...other })).toBe(false)
  expect(saysTheSame({ ...OUT, unread: true }, OUT)).toBe(false)
})
