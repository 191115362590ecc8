import { expect, it } from 'vitest'
import { listSteps } from './list-steps'

it('goes a row, ten rows, or to an end, and never beyond', () => {
  const from = (at: number, key: string, count = 25): number | undefined => {
    let gone: number | undefined
    const go = (to: number): void => {
      gone = to
    }
    const action = listSteps({ id: 'x', next: 'Next', before: 'Before', row: 'row', at, count, go }).find(
      (a) => a.key === key,
    )!
    if (action.when!()) action.run()
    return gone
  }
  const keys = ['ArrowDown', 'ArrowUp', 'PageDown', 'PageUp', 'Home', 'End']
  expect(keys.map((key) => from(12, key))).toEqual([13, 11, 22, 2, 0, 24])
  expect(keys.map((key) => from(24, key))).toEqual([undefined, 23, undefined, 14, 0, undefined])
  expect(keys.map((key) => from(0, key))).toEqual([1, undefined, 10, undefined, undefined, 24])
  // Where nothing is chosen yet, one on is the first.
  expect(from(-1, 'ArrowDown')).toBe(0)
  expect(keys.map((key) => from(-1, key, 0))).toEqual(keys.map(() => undefined))
})
