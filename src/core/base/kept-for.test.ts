import { expect, it } from 'vitest'
import { keptByText, keptFor } from '.'

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

it('finds an answer once for each text, for as many as were asked for last', () => {
  const asked: string[] = []
  const length = keptByText(
    (text) => {
      asked.push(text)
      return text.length
    },
    { most: 2, longest: 4 },
  )
  expect(['a', 'a', 'bb', 'a'].map(length)).toEqual([1, 1, 2, 1])
  expect(asked).toEqual(['a', 'bb'])
  // Four more: the first has gone, what was asked for since has not.
  expect(['c', 'bb', 'd', 'bb', 'e', 'bb', 'a'].map(length)).toEqual([1, 2, 1, 2, 1, 2, 1])
  expect(asked).toEqual(['a', 'bb', 'c', 'd', 'e', 'a'])
  // What is too long is not kept at all.
  expect(['longer', 'longer'].map(length)).toEqual([6, 6])
  expect(asked.filter((text) => text === 'longer')).toHaveLength(2)
})
