import { expect, it } from 'vitest'
import { asksOnce } from './asks-once'

it('What is asked for once is asked for again only after a failure', async () => {
  let asked = 0
  const ask = asksOnce(() =>
    ++asked === 1 ? Promise.reject(new Error('not there')) : Promise.resolve(asked),
  )
  await expect(ask()).rejects.toThrow('not there')
  expect(await Promise.all([ask(), ask()])).toEqual([2, 2])
  expect(await ask()).toBe(2)
})
