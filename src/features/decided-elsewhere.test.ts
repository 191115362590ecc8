import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, it } from 'vitest'

/** These do what others decided: with the rules of duplicates that take long, and what a file of a reader holds. */
const DOERS = ['shared/tell-apart.ts', 'shared/side-files/take-side.ts']

it('lets what is shown do no command of its own: what can be done is decided in `core/doing`', () => {
  const files = readdirSync(import.meta.dirname, { recursive: true })
    .map((name) => String(name).replaceAll('\\', '/'))
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name) && !DOERS.includes(name))
  expect(files.length).toBeGreaterThan(200)
  const calls = files.flatMap((name) =>
    (readFileSync(path.join(import.meta.dirname, name), 'utf8').match(/\b(?:act|actAll)\(/g) ?? []).map(
      () => name,
    ),
  )
  expect(calls).toEqual([])
})
