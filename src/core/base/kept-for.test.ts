import { expect, it } from 'vitest'
import { keptFor } from '.'

it('finds an answer once for each thing, also where the answer is undefined', () => {
  const asked: number[] = []
  const half = keptFor(({ n }: { n: number }) => {
    asked.push(n)
    return n % 2 ? undefined : n / 2
  })
  const [four, five] = [{ n: 4 }, { n: 5 }]
  expect([half(four), half(four), half(five), half(five), half({ n: 4 })]).toEqual([
    2,
    2,
    undefined,
    undefined,
    2,
  ])
  expect(asked).toEqual([4, 5, 4])
})
