import { readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, it } from 'vitest'
import { parse, print } from '../query'
import { printFor, readFrom, readDescription } from '.'

it('keeps the worked example of the guide true', () => {
  const guide = readFileSync(path.join(import.meta.dirname, '../../../docs/profiles.md'), 'utf8')
  const json = /```json\n([\s\S]*?)```/.exec(guide)![1]!
  const read = readDescription(JSON.parse(json))
  if (!read.ok) throw new Error(read.problems.map((p) => p.message).join('\n'))
  const [, plain, theirs] = /`(text: [^`]*)` becomes\s+`([^`]*)`/.exec(guide)!
  const { text, losses, said } = printFor(parse(plain!).tree!, read.value)
  expect(text).toBe(theirs)
  expect(losses).toEqual([])
  expect(print(readFrom(text, read.value).tree!)).toBe(
    print(said).replace('text:', 'title,abstract,keywords:'),
  )
})
