import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, it } from 'vitest'

/** How often components do commands themselves. What can be done is decided in `core/doing`: the number only falls. */
const CALLS = 0

it('lets components do no more commands of their own than there were', () => {
  const files = readdirSync(import.meta.dirname, { recursive: true })
    .map(String)
    .filter((name) => name.endsWith('.tsx'))
  const calls = files.flatMap(
    (name) => readFileSync(path.join(import.meta.dirname, name), 'utf8').match(/\b(?:act|actAll)\(/g) ?? [],
  )
  // One fewer? Then write the new number: it must not rise again.
  expect(calls.length).toBe(CALLS)
})
