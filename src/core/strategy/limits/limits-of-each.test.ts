import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { LimitValue } from '../../query'
import { limitsInForce } from './ledger'

const YEARS: LimitValue = { kind: 'years', from: 2017, to: 2026 }
const PEERS: LimitValue = { kind: 'peer reviewed' }
const line = (text: string, ...limits: LimitValue[]) => ({ id: text, text, limits })
const last = (...lines: ReturnType<typeof line>[]): string[] =>
  limitsInForce(lines)
    .at(-1)!
    .map((l) => l.kind)

it('finds the limit that all that remains after NOT has', () => {
  expect(last(line('x'), line('y', YEARS), line('any(#1, #2)'), line('#3 NOT #1'))).toEqual(['years'])
  expect(last(line('x'), line('y', YEARS), line('#1 OR #2'), line('#3 NOT x'))).toEqual(['years'])
})

it('does not find one where something without it remains', () => {
  expect(last(line('x'), line('y', YEARS), line('any(#1, #2)'), line('#3 NOT #2'))).toEqual([])
  expect(last(line('x', PEERS), line('y', YEARS), line('any(#1, #2) NOT z'))).toEqual([])
})

it('says nothing of a line that can find nothing', () => {
  expect(last(line('x', YEARS), line('y'), line('(#1 OR #2) NOT (#1 OR #2)'))).toEqual([])
})

it('has no limit that a record outside of it could be found without, in random joins', () => {
  const joins = fc.array(
    fc.record({
      op: fc.constantFrom(' AND ', ' OR ', ' NOT '),
      a: fc.nat(),
      b: fc.nat(),
      limit: fc.constantFrom(undefined, undefined, YEARS, PEERS),
    }),
    { minLength: 1, maxLength: 6 },
  )
  fc.assert(
    fc.property(joins, (rows) => {
      const lines = [line('x'), line('y', YEARS), line('z', PEERS)]
      rows.forEach(({ op, a, b, limit }, i) => {
        const [left, right] = [(a % (i + 3)) + 1, (b % (i + 3)) + 1]
        lines.push({ ...line(`#${left}${op}#${right}`, ...(limit ? [limit] : [])), id: `j${i}` })
      })
      /** Every record that there can be: which of the three words and of the two limits it has. */
      const found = (n: number, has: number): boolean => {
        const { text, limits } = lines[n - 1]!
        const m = /^#(\d+) (\w+) #(\d+)$/.exec(text)
        const own = m
          ? m[2] === 'AND'
            ? found(Number(m[1]), has) && found(Number(m[3]), has)
            : m[2] === 'OR'
              ? found(Number(m[1]), has) || found(Number(m[3]), has)
              : found(Number(m[1]), has) && !found(Number(m[3]), has)
          : (has & (1 << 'xyz'.indexOf(text))) > 0
        return own && limits.every((l) => (has & (l === YEARS ? 8 : 16)) > 0)
      }
      const all = Array.from({ length: 32 }, (_, has) => has)
      limitsInForce(lines).forEach((kinds, i) => {
        const those = all.filter((has) => found(i + 1, has))
        if (!those.length) return
        for (const [kind, bit] of [
          ['years', 8],
          ['peer reviewed', 16],
        ] as const)
          expect(kinds.some((l) => l.kind === kind)).toBe(those.every((has) => (has & bit) > 0))
      })
    }),
  )
})
