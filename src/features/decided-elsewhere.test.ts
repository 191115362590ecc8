import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, it } from 'vitest'

it('lets components do no command of their own: what can be done is decided in `core/doing`', () => {
  const files = readdirSync(import.meta.dirname, { recursive: true })
    .map(String)
    .filter((name) => name.endsWith('.tsx'))
  const calls = files.flatMap(
    (name) => readFileSync(path.join(import.meta.dirname, name), 'utf8').match(/\b(?:act|actAll)\(/g) ?? [],
  )
  expect(calls).toEqual([])
})
