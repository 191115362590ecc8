import { expect, it } from 'vitest'
import { tooMuch } from './too-much'

it('says how much was put in, what the field takes and what to do, and nothing of what is few enough', () => {
  expect(tooMuch(200_000)).toBeUndefined()
  expect(tooMuch(10_485_760)).toMatch(/^What you put in has 10,485,760 characters; this field takes 200,000/)
  expect(tooMuch(300, 299)).toContain('takes 299 at once')
})
